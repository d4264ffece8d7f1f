namespace Foundling.Core.Edges;

/// <summary>How an iron is led over a stone so that edge and stone wear evenly.</summary>
/// <param name="Offsets">Middle of the iron from the middle of the stone in each lane, mm.</param>
/// <param name="CornerShare">Strokes the corners get for each one the middle of the edge gets.</param>
/// <param name="StoneShare">Strokes the sides of the stone get for each one its middle gets.</param>
/// <param name="SkewDeg">Angle at which the whole edge bears on the stone at once, degrees; 0 where it does square.</param>
public sealed record StonePattern(IReadOnlyList<double> Offsets, double CornerShare, double StoneShare, double SkewDeg)
{
    private const double MostMm = 500;
    private const int Samples = 200, Fifth = 5;

    // Each lane must overlap the one beside it, or a ridge stays between them.
    private const double Overlap = 2;

    // What hangs over by less is met by turning the iron a little.
    private const double HairMm = 1;

    /// <summary>Lanes for an edge on a stone.</summary>
    /// <param name="ironMm">Width of the edge, mm.</param>
    /// <param name="stoneMm">Width of the stone, mm.</param>
    /// <exception cref="InputException">Widths nothing has.</exception>
    public static StonePattern Of(double ironMm, double stoneMm)
    {
        double w = Check.Within(Check.Positive(ironMm, "iron_mm"), 0, MostMm, "iron_mm"), s = Check.Within(Check.Positive(stoneMm, "stone_mm"), 0, MostMm,
          "stone_mm");
        double play = Math.Abs(w - s) / 2, step = Math.Min(w, s) / Overlap;
        int lanes = play <= (HairMm / 2) + Whole.Slack ? 1 : Whole.Ceiling(2 * play / step) + 1;
        double[] offsets = lanes == 1 ? [0] : [.. Enumerable.Range(0, lanes).Select(i => -play + (2 * play * i / (lanes - 1)))];
        double skew = w <= s + Whole.Slack ? 0 : Edge.Deg(Math.Acos(s / w));
        return new StonePattern(offsets, Share(w, s, offsets), Share(s, w, offsets), skew);
    }

    // Strokes the sides of the one get under the other, for each one its middle gets.
    private static double Share(double wide, double other, double[] offsets)
    {
        double Under(double x) => offsets.Count(o => Math.Abs(x + o) <= (other / 2) + Whole.Slack);
        double middle = Under(0), side = Enumerable.Range(0, Samples).Select(i => Under(wide / 2 * (1 - ((double)i / (Fifth * Samples))))).Average();
        return middle <= 0 ? 0 : side / middle;
    }
}
