using MathNet.Numerics.LinearAlgebra;

namespace Foundling.Core.Soles;

/// <summary>What straightedge lines may leave unseen.</summary>
public enum UnseenShape
{
    /// <summary>Wind between the ends.</summary>
    Twist,

    /// <summary>Hollow or round along the length.</summary>
    Lengthwise,

    /// <summary>Hollow or round across.</summary>
    Crosswise,

    /// <summary>Places that no line touches.</summary>
    Places,
}

/// <summary>Which shapes a set of straightedge lines can see.</summary>
public static class LineSight
{
    private const double Nothing = 1e-9;

    /// <summary>
    /// Shapes that could be there and would show on none of these lines: a straightedge only shows where heights bend along it, so a shape is
    /// seen when it bends on some line and no other shape could have made the same gaps.
    /// </summary>
    /// <param name="input">Stations and the lines laid over them; readings are not looked at beyond their stations.</param>
    /// <param name="bare">Stations that no line touches.</param>
    public static IReadOnlyList<UnseenShape> Unseen(LineSurveyInput input, IReadOnlyList<string> bare)
    {
        double[][] places = [.. input.StationsMm.Values];
        (double left, double wide) = Span(places, 0);
        (double low, double high) = Span(places, 1);
        var rows = new List<double[]>();
        foreach (FeelerLine line in input.Lines)
        {
            double[][] at = [.. line.Readings.Select(r => r[0].GetString()!).Distinct().Where(input.StationsMm.ContainsKey)
                .Select(s => input.StationsMm[s]).Select(p => new[] { (p[0] - left) / wide, (p[1] - low) / high })];
            rows.AddRange(Bends(at));
        }
        List<UnseenShape> unseen = [.. Open(rows)];
        if (bare.Count > 0)
        {
            unseen.Add(UnseenShape.Places);
        }
        return unseen;
    }

    /// <summary>What to do about a shape that is not seen, in a sentence.</summary>
    public static string Says(UnseenShape shape) => shape switch
    {
        UnseenShape.Twist => "Twist cannot be seen: add both diagonals.",
        UnseenShape.Lengthwise => "Hollow along the length cannot be seen: lay a line along an edge, with a reading in its middle.",
        UnseenShape.Crosswise => "Hollow across cannot be seen: lay a line across, with a reading in its middle.",
        _ => "Some places were read on no line: lay one over them, or leave them out.",
    };

    private static (double From, double Span) Span(double[][] places, int axis)
    {
        double from = places.Min(p => p[axis]);
        return (from, Math.Max(Nothing, places.Max(p => p[axis]) - from));
    }

    /// <summary>For each three neighbours on a line: how far twist, lengthwise and crosswise hollow stand off the straight through the outer two.</summary>
    private static IEnumerable<double[]> Bends(double[][] at)
    {
        for (int i = 2; i < at.Length; i++)
        {
            (double[] a, double[] b, double[] c) = (at[i - 2], at[i - 1], at[i]);
            double whole = Math.Sqrt(Math.Pow(c[0] - a[0], 2) + Math.Pow(c[1] - a[1], 2));
            double t = whole <= Nothing ? 0 : Math.Sqrt(Math.Pow(b[0] - a[0], 2) + Math.Pow(b[1] - a[1], 2)) / whole;
            double Off(Func<double[], double> z) => z(b) - (z(a) * (1 - t)) - (z(c) * t);
            yield return [Off(p => p[0] * p[1]), Off(p => p[0] * p[0]), Off(p => p[1] * p[1])];
        }
    }

    private static IEnumerable<UnseenShape> Open(List<double[]> rows)
    {
        UnseenShape[] shapes = [UnseenShape.Twist, UnseenShape.Lengthwise, UnseenShape.Crosswise];
        if (rows.Count == 0)
        {
            return shapes;
        }
        var svd = Matrix<double>.Build.DenseOfRows(rows.Concat(Enumerable.Repeat(new double[3], 3))).Svd();
        return shapes.Where((_, k) => Enumerable.Range(0, 3).Any(s => svd.S[s] <= Nothing && Math.Abs(svd.VT[s, k]) > Nothing));
    }
}
