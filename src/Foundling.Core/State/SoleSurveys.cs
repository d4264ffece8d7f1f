using Foundling.Core.Soles;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using Foundling.Core.Units;

namespace Foundling.Core.State;

/// <summary>Readings of a sole made into a survey of the tool they were taken on.</summary>
public static class SoleSurveys
{
    /// <summary>What is answered where readings are so far apart that it has to be asked what they are.</summary>
    public const string SoFarOut = "so_far_out";

    private const double LeastWidthMm = 10;
    private const string Bare = "as a bare body";

    /// <summary>How a tool may stand while its sole is read; none where that bends nothing.</summary>
    public static IReadOnlyList<string> States(ToolKind tool) => tool.HasMetalBed && tool.HasMetalSole ? ["mounted and under tension", Bare]
        : tool.HasWoodenSole ? ["iron in and held", Bare] : [];

    /// <summary>What to mind of tension before the last strokes, in a sentence; empty where there is none to mind.</summary>
    /// <param name="tool">The tool.</param>
    /// <param name="source">What was said of its last survey; null where none was made.</param>
    public static string OfTension(ToolKind tool, string? source) => !tool.HasMetalBed || tool.Works(KindTrait.CheeksGuide) ? ""
        : source?.Contains(Bare, StringComparison.Ordinal) == true
            ? "It was read as a bare body, and tension bends it by a hair: close the cap, iron drawn back, and read it again before the last strokes."
            : "Iron drawn back and cap closed while it is lapped: the sole is flat in the shape it works in.";

    /// <summary>A survey of a face.</summary>
    /// <param name="face">The face, at the size it is taken to have.</param>
    /// <param name="facts">What is known of the tool; what was not measured on it is taken from the readings.</param>
    /// <param name="points">Readings [x, y, height], mm.</param>
    /// <param name="goesOn">The survey these come to; null for a new one.</param>
    /// <param name="errorMm">How far off a reading may be, mm; null where nobody said.</param>
    /// <param name="plateMm">How far the plate is out of flat, mm; null where nobody said.</param>
    /// <param name="sure">It is really as far out of flat as it reads.</param>
    /// <param name="a">Mouths, and from when on one asks.</param>
    /// <exception cref="InputException">Readings that make no survey, or that are so far apart that it has to be asked what they are.</exception>
    public static GridSurveyInput Taken(FlatFace face, Facts facts, IReadOnlyList<double[]> points, GridSurveyInput? goesOn, double? errorMm, double? plateMm,
        bool sure, Assumptions a)
    {
        IReadOnlyList<double[]> all = GridSurveyInput.Together(goesOn?.PointsMm ?? [], points);
        SoleLayout layout = face.Layout;
        double Reach(int axis, double usual) => all.Select(p => p.ElementAtOrDefault(axis)).DefaultIfEmpty(usual).Max();
        double length = !face.IsSole ? layout.LengthMm : facts.Build.LengthMm ?? goesOn?.LengthMm ?? Reach(0, layout.LengthMm);
        double width = !face.IsSole ? layout.WidthMm : facts.Build.SoleWidthMm ?? goesOn?.WidthMm ?? Math.Max(LeastWidthMm, Reach(1, layout.WidthMm));
        var survey = new GridSurveyInput(length, width, all, layout.MouthFrontMm is null ? null : SoleLayout.MouthFront(facts, length, a),
            face.IsSole ? facts.SolePurpose(a) : null, goesOn?.LeftOutMm, errorMm, plateMm);
        double apart = GridSurvey.Read(survey, a).FlatnessLsqMm;
        return sure || apart <= a.SurveyAskMm ? survey : throw new InputException(SoFarOut, "points_mm", apart, $"at most {a.SurveyAskMm:0.#} mm",
            $"These readings are {Length.Show(apart)} apart, and no flat face is. Were the heights thousandths of a millimetre? Choose it below; or tick "
                + "that it is really so.");
    }

    /// <summary>A survey with other readings left out of it: pits, a worn toe, damage.</summary>
    /// <param name="survey">The survey.</param>
    /// <param name="leftOut">Which of all its readings, those that count first, are left out.</param>
    /// <param name="a">Tolerances.</param>
    /// <exception cref="InputException">Too little is left.</exception>
    public static GridSurveyInput Without(GridSurveyInput survey, IReadOnlySet<int> leftOut, Assumptions a)
    {
        double[][] all = [.. survey.PointsMm, .. survey.LeftOutMm ?? []];
        GridSurveyInput other = survey with
        {
            PointsMm = [.. all.Where((_, i) => !leftOut.Contains(i))], LeftOutMm = [.. all.Where((_, i) => leftOut.Contains(i))],
        };
        GridSurvey.Read(other, a);
        return other;
    }
}
