namespace Foundling.Core.Saws;

/// <summary>A three-square saw file.</summary>
/// <param name="Name">Its length and cut, as it is sold.</param>
/// <param name="SideMm">Width of one of its faces, mm.</param>
public sealed record SawFile(string Name, double SideMm);

/// <summary>How a file suits teeth.</summary>
public enum FileFit
{
    /// <summary>Its face does not cover the flank twice: two corners wear at once.</summary>
    TooSmall,

    /// <summary>It suits.</summary>
    Suits,

    /// <summary>It reaches, but its corner is rounder than the gullet.</summary>
    Coarse,
}

/// <summary>Which three-square file suits which teeth. Source: usual sizes, to be measured on one's own.</summary>
public static class SawFiles
{
    private const double RoundTimes = 2;

    /// <summary>Usual files, the smallest first; sides are those of common makes and differ by a few tenths.</summary>
    public static IReadOnlyList<SawFile> Usual { get; } =
    [
        new("4 in, double extra slim", 4.0), new("4 in, extra slim", 4.8), new("5 in, extra slim", 5.6), new("6 in, double extra slim", 6.1),
        new("6 in, extra slim", 7.1), new("7 in, extra slim", 7.9), new("6 in, slim", 8.7), new("7 in, slim", 9.5), new("8 in, slim", 10.3),
        new("7 in, regular", 11.5), new("8 in, regular", 13.5), new("10 in, regular", 17.5),
    ];

    /// <summary>How a file of a side suits teeth.</summary>
    /// <param name="sideMm">Width of a face of the file, mm.</param>
    /// <param name="tooth">The teeth.</param>
    public static FileFit Fits(double sideMm, ToothResult tooth) => sideMm < tooth.FileSideAtLeastMm - Whole.Slack ? FileFit.TooSmall
        : sideMm > RoundTimes * tooth.FileSideAtLeastMm ? FileFit.Coarse : FileFit.Suits;

    /// <summary>The smallest usual file that suits teeth; null where none is large enough.</summary>
    public static SawFile? For(ToothResult tooth) => Usual.FirstOrDefault(f => Fits(f.SideMm, tooth) == FileFit.Suits)
        ?? Usual.FirstOrDefault(f => Fits(f.SideMm, tooth) != FileFit.TooSmall);
}
