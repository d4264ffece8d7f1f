using Foundling.Core.Soles;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.State;

/// <summary>How the sole of a tool is laid out, mm: what bears, and what is open.</summary>
/// <param name="LengthMm">Its length.</param>
/// <param name="WidthMm">Its width.</param>
/// <param name="MouthFrontMm">Front of the mouth from the toe; null for a sole without one.</param>
/// <param name="Mouth">The opening; null for none.</param>
/// <param name="Grooves">Grooves along it.</param>
public sealed record SoleLayout(double LengthMm, double WidthMm, double? MouthFrontMm, MouthOpening? Mouth, IReadOnlyList<Groove> Grooves)
{
    private const int GroovesAcross = 9, CellsAlong = 60, CellsAcross = 12;
    private const double FromEdge = 0.12, GrooveShare = 0.5, EdgeMm = 3, BesideIronMm = 2;

    /// <summary>The sole of a tool as it was measured, and as its kind is usual where it was not.</summary>
    /// <param name="facts">What is known of the tool.</param>
    /// <param name="a">Where mouths usually are.</param>
    public static SoleLayout Of(Facts facts, Assumptions a)
    {
        double length = facts.LengthMm, width = facts.SoleWidthMm(a);
        double? front = facts.Tool.Family != Family.Plane || facts.Tool.Works(KindTrait.CutsBelowSole) ? null : MouthFront(facts, length, a);
        double across = Math.Min(width - (2 * EdgeMm), facts.EdgeWidthMm(a) + BesideIronMm);
        return new SoleLayout(length, width, front, front is double f && across > 0 ? new MouthOpening(f, f + a.MouthSlotMm, across) : null,
            facts.Tool.Is(FormIds.Corrugated) ? GroovesOf(width) : []);
    }

    /// <summary>Where the mouth of a sole of a length begins, mm from the toe: as measured, else as usual.</summary>
    internal static double MouthFront(Facts facts, double lengthMm, Assumptions a) =>
        facts.Build.MouthFrontMm is double m && m < lengthMm ? m : GridSurveyInput.UsualMouthFrontMm(lengthMm, a);

    /// <summary>Grooves of a corrugated sole: as wide as the lands between them, the edges plain.</summary>
    private static IReadOnlyList<Groove> GroovesOf(double width)
    {
        double pitch = (1 - (2 * FromEdge)) * width / (GroovesAcross - 1), half = pitch * GrooveShare / 2;
        return [.. Enumerable.Range(0, GroovesAcross).Select(i => (FromEdge * width) + (i * pitch)).Select(y => new Groove(y - half, y + half))];
    }

    /// <summary>The sole as it would be lapped: by its survey, or hollow by as much as is usual where none was made.</summary>
    /// <param name="survey">Its latest survey; null for none.</param>
    /// <param name="grit">The grade of the paper.</param>
    /// <param name="a">What is usual.</param>
    public LappingInput Lapped(GridSurveyInput? survey, string grit, Assumptions a)
    {
        // Grooves are narrow: cells that are to tell them from lands must be narrower.
        double across = Grooves.Count > 0 ? (Grooves[0].ToMm - Grooves[0].FromMm) / 2 : WidthMm / CellsAcross;
        LappingInput input = new(LengthMm, WidthMm, grit, CellMm: Math.Clamp(LengthMm / CellsAlong, 1, 50), MouthFrontMm: MouthFrontMm, MouthOpening: Mouth,
            Grooves: Grooves, CellAcrossMm: Math.Clamp(across, 0.5, 50));
        return survey is null ? input with { Shape = new SoleShape(a.UsualHollowMm) }
            : input with
            {
                LengthMm = survey.LengthMm, WidthMm = survey.WidthMm, PointsMm = survey.PointsMm, LeftOutMm = survey.LeftOutMm,
                MouthFrontMm = MouthFrontMm is null ? null : survey.MouthFrontMm ?? MouthFrontMm,
            };
    }
}
