using System.Globalization;

namespace Foundling.Core.Saws;

/// <summary>What a line of a filing strip is.</summary>
public enum StripMark
{
    /// <summary>Where a point stands.</summary>
    Point,

    /// <summary>Where every tenth point stands.</summary>
    Tenth,

    /// <summary>The way of the file for the teeth that are filed from this side.</summary>
    Fleam,

    /// <summary>The same for those filed from the other.</summary>
    FleamOther,

    /// <summary>The check rule.</summary>
    Rule,

    /// <summary>The rim of the strip.</summary>
    Rim,

    /// <summary>A tooth from the side, for the rake.</summary>
    Rake,
}

/// <summary>A line, mm from the upper left corner of the strip.</summary>
public sealed record StripLine(double X1, double Y1, double X2, double Y2, StripMark Mark);

/// <summary>Words, mm from the upper left corner, and how large they are.</summary>
public sealed record StripText(double X, double Y, double SizeMm, string Text);

/// <summary>A strip of paper that is folded over a tooth line and filed by, at its true size.</summary>
/// <param name="WidthMm">Its width, mm.</param>
/// <param name="HeightMm">Its height, mm.</param>
/// <param name="Lines">Its lines.</param>
/// <param name="Texts">Its words.</param>
public sealed record FilingStrip(double WidthMm, double HeightMm, IReadOnlyList<StripLine> Lines, IReadOnlyList<StripText> Texts)
{
    /// <summary>Longest strip, which a sheet of paper takes, mm.</summary>
    public const int LongestMm = 260;

    /// <summary>Length of the check rule, mm.</summary>
    public const int RuleMm = 100;

    private const int Height = 40, PointTo = 5, TenthTo = 8, FleamFrom = 5, FleamTo = 17, TextAt = 23, RuleAt = 31, RuleStep = 10;
    private const int RakeTall = 10, RakeBelow = 36;
    private const double TextMm = 3;

    /// <summary>The strip of some teeth.</summary>
    /// <param name="teeth">The teeth.</param>
    /// <param name="lengthMm">How long the strip is, mm.</param>
    /// <exception cref="InputException">Teeth that cannot be filed, or a strip that no sheet takes.</exception>
    public static FilingStrip Of(ToothInput teeth, double lengthMm)
    {
        ToothResult tooth = Tooth.Of(teeth);
        double length = Check.Within(lengthMm, RuleMm + RuleStep, LongestMm, "strip_mm");
        List<StripLine> lines = [new(0, 0, length, 0, StripMark.Rim), new(0, 0, 0, Height, StripMark.Rim), new(length, 0, length, Height, StripMark.Rim),
            new(0, Height, length, Height, StripMark.Rim)];
        double aslant = (FleamTo - FleamFrom) * Math.Tan(Tooth.Rad(teeth.FleamDeg ?? 0));
        for (int i = 0; i * tooth.PitchMm <= length + Whole.Slack; i++)
        {
            double x = i * tooth.PitchMm;
            lines.Add(new StripLine(x, 0, x, i % RuleStep == 0 ? TenthTo : PointTo, i % RuleStep == 0 ? StripMark.Tenth : StripMark.Point));
            // Every second tooth is filed from the other side, aslant the other way.
            double to = i % 2 == 0 ? x + aslant : x - aslant;
            if (teeth.FleamDeg > 0 && to >= 0 && to <= length)
            {
                lines.Add(new StripLine(x, FleamFrom, to, FleamTo, i % 2 == 0 ? StripMark.Fleam : StripMark.FleamOther));
            }
        }
        for (int mm = 0; mm <= RuleMm; mm += RuleStep)
        {
            lines.Add(new StripLine(RuleStep + mm, RuleAt, RuleStep + mm, RuleAt + (mm % (RuleMm / 2) == 0 ? 4 : 2), StripMark.Rule));
        }
        lines.Add(new StripLine(RuleStep, RuleAt, RuleStep + RuleMm, RuleAt, StripMark.Rule));
        lines.AddRange(RakeOf(teeth, tooth, RuleStep + RuleMm + RuleStep, length));
        string N(double v) => v.ToString("0.##", CultureInfo.InvariantCulture);
        string Filed(string name, double? deg) => deg > 0 ? $" · {name} {N(deg.Value)}°" : "";
        string said = $"{N(tooth.Ppi)} points, {N(tooth.Tpi)} teeth an inch · rake {N(teeth.RakeDeg)}°{Filed("fleam", teeth.FleamDeg)}"
            + $"{Filed("slope", teeth.SlopeDeg)} · file {N(tooth.FileSideAtLeastMm)} mm a side or wider";
        return new FilingStrip(length, Height, lines, [new StripText(2, TextAt, TextMm, said),
            new StripText(RuleStep, RuleAt + 7, TextMm, $"{RuleMm} mm: lay a rule on it; if it is off, print at full size, without fitting to the page")]);
    }

    // One tooth, large enough to set a rake by.
    private static IEnumerable<StripLine> RakeOf(ToothInput teeth, ToothResult tooth, double from, double length)
    {
        double times = RakeTall / tooth.ToothHeightMm;
        if (from + (times * tooth.PitchMm) > length)
        {
            yield break;
        }
        double point = from + (RakeTall * Math.Tan(Tooth.Rake(teeth.RakeDeg)));
        yield return new StripLine(from, RakeBelow, point, RakeBelow - RakeTall, StripMark.Rake);
        yield return new StripLine(point, RakeBelow - RakeTall, from + (times * tooth.PitchMm), RakeBelow, StripMark.Rake);
    }
}
