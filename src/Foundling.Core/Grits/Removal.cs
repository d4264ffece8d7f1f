namespace Foundling.Core.Grits;

/// <summary>What is ground or lapped.</summary>
public enum LapMetal
{
    /// <summary>Iron, as cast.</summary>
    Iron,

    /// <summary>Cast iron.</summary>
    CastIron,

    /// <summary>Mild steel.</summary>
    MildSteel,

    /// <summary>Hardened steel.</summary>
    HardenedSteel,

    /// <summary>Brass.</summary>
    Brass,
}

/// <summary>How fast grains take metal off.</summary>
public static class Removal
{
    private const double StrokesListed = 100, KpaListed = 10;

    // Mean sizes of the grades whose removal is assumed, µm, by the shipped table of grits.
    private static readonly (double SizeUm, string Grit, Func<Assumptions, double> Um)[] Listed =
    [
        (269, "P60", a => a.LapP60Um), (201, "P80", a => a.LapP80Um), (125, "P120", a => a.LapP120Um), (82, "P180", a => a.LapP180Um),
        (58.5, "P240", a => a.LapP240Um), (46.2, "P320", a => a.LapP320Um), (35, "P400", a => a.LapP400Um),
    ];

    /// <summary>Grades whose removal is assumed; what lies between and beyond follows from them.</summary>
    public static IReadOnlyList<string> Grades { get; } = [.. Listed.Select(l => l.Grit)];

    /// <summary>Mean size of a listed grade, µm; null for another.</summary>
    public static double? SizeOf(string grit) => Listed.Where(l => l.Grit == grit).Select(l => (double?)l.SizeUm).FirstOrDefault();

    /// <summary>
    /// Removal in 100 strokes of 200 mm at 10 kPa on iron, µm: straight in the logarithms between the listed grades, the end pieces carried on beyond.
    /// </summary>
    /// <param name="sizeUm">Mean size of the grain, µm.</param>
    /// <param name="a">What the listed grades take off.</param>
    public static double Um(double sizeUm, Assumptions a)
    {
        Check.Positive(sizeUm, "mean_um");
        int after = Array.FindIndex(Listed, 1, l => l.SizeUm <= sizeUm);
        int to = after < 0 ? Listed.Length - 1 : after;
        (double coarse, _, Func<Assumptions, double> much) = Listed[to - 1];
        (double fine, _, Func<Assumptions, double> little) = Listed[to];
        double share = Math.Log(sizeUm / fine) / Math.Log(coarse / fine);
        return little(a) * Math.Pow(much(a) / little(a), share);
    }

    /// <summary>How a metal comes off against cast iron.</summary>
    public static double Factor(LapMetal metal, Assumptions a) => metal switch
    {
        LapMetal.HardenedSteel => a.LapSteelShare, LapMetal.Brass => a.LapBrassTimes, _ => 1,
    };

    /// <summary>Depth that goes in a minute of strokes, µm.</summary>
    /// <param name="sizeUm">Mean size of the grain, µm.</param>
    /// <param name="kpa">Contact pressure, kPa.</param>
    /// <param name="metal">What is ground.</param>
    /// <param name="a">Removal and strokes a minute.</param>
    public static double UmAMinute(double sizeUm, double kpa, LapMetal metal, Assumptions a) =>
        Um(sizeUm, a) / StrokesListed * a.StrokesPerMinute * (kpa / KpaListed) * Factor(metal, a);

    /// <summary>Sheets that so many strokes use up.</summary>
    public static int Sheets(double sizeUm, double strokes, Assumptions a) =>
        Whole.Ceiling(strokes / Math.Max(1, sizeUm <= SizeOf("P80") ? a.StrokesPerFineSheet : a.StrokesPerCoarseSheet));
}
