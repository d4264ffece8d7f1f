using MathNet.Numerics.LinearAlgebra;
using MathNet.Numerics.LinearAlgebra.Factorization;

namespace Foundling.Core.Soles;

/// <summary>A plane z = a + b x + c y, mm.</summary>
/// <param name="A">Height at the origin, mm.</param>
/// <param name="B">Slope along x.</param>
/// <param name="C">Slope along y.</param>
public readonly record struct Plane(double A, double B, double C)
{
    /// <summary>Height at a place, mm.</summary>
    public double At(double x, double y) => A + (B * x) + (C * y);
}

/// <summary>Planes through readings.</summary>
public static class Planes
{
    /// <summary>True when places are spread over more than a line, so that a plane can be laid through them.</summary>
    public static bool AreSpread(IReadOnlyList<double[]> points) => Spread.IsWide(points, out _);

    /// <summary>Least squares plane through points (x, y, z), solved about their middle.</summary>
    /// <exception cref="InputException">Fewer than three points, or all on one line.</exception>
    public static Plane LeastSquares(IReadOnlyList<double[]> points)
    {
        Spread spread = Spread.Of(points);
        double b = 0, c = 0, mean = points.Average(p => p[2]);
        foreach (double[] p in points)
        {
            (double u, double v) = spread.Whiten(p[0], p[1]);
            b += (p[2] - mean) * u / points.Count;
            c += (p[2] - mean) * v / points.Count;
        }
        return spread.Unwhiten(mean, b, c);
    }

    /// <summary>Greatest less least deviation from a plane, taken along z, mm.</summary>
    public static double Range(IReadOnlyList<double[]> points, Plane plane)
    {
        double low = double.PositiveInfinity, high = double.NegativeInfinity;
        foreach (double[] p in points)
        {
            double d = p[2] - plane.At(p[0], p[1]);
            low = Math.Min(low, d);
            high = Math.Max(high, d);
        }
        return high - low;
    }

    /// <summary>
    /// Minimum zone: the plane whose greatest deviation is least. The range of the deviations is convex in the two
    /// tilts, so a golden-section search nested in another finds it; the coordinates are whitened first, which bounds
    /// both tilts by the range about the least squares plane.
    /// </summary>
    /// <returns>The plane through the middle of the zone and the zone's height, mm.</returns>
    public static (Plane Plane, double HeightMm) MinimumZone(IReadOnlyList<double[]> points)
    {
        Plane least = LeastSquares(points);
        double range = Range(points, least);
        if (range <= 1e-12)
        {
            return (least, range);
        }
        Spread spread = Spread.Of(points);
        int n = points.Count;
        var u = new double[n];
        var v = new double[n];
        var r = new double[n];
        for (int i = 0; i < n; i++)
        {
            (u[i], v[i]) = spread.Whiten(points[i][0], points[i][1]);
            r[i] = (points[i][2] - least.At(points[i][0], points[i][1])) / range;
        }
        (double bestB, double bestC, double mid, double height) = Tightest(u, v, r);
        Plane tilt = spread.Unwhiten(mid * range, bestB * range, bestC * range);
        var plane = new Plane(least.A + tilt.A, least.B + tilt.B, least.C + tilt.C);
        return (plane, Math.Min(range, height * range));
    }

    /// <summary>
    /// The tilts that make the range of r - b u - c v least. Only the few points that stick out matter: the search runs
    /// over those found so far, and any point that sticks out of its answer joins them, until none does.
    /// </summary>
    private static (double B, double C, double Middle, double Height) Tightest(double[] u, double[] v, double[] r)
    {
        var counted = new SortedSet<int>();
        void Extremes(double b, double c, out double low, out double high)
        {
            (low, high) = (double.PositiveInfinity, double.NegativeInfinity);
            (int lowest, int highest) = (0, 0);
            for (int i = 0; i < r.Length; i++)
            {
                double d = r[i] - (b * u[i]) - (c * v[i]);
                if (d < low)
                {
                    (low, lowest) = (d, i);
                }
                if (d > high)
                {
                    (high, highest) = (d, i);
                }
            }
            counted.Add(lowest);
            counted.Add(highest);
        }
        if (r.Length <= AllCounted)
        {
            counted.UnionWith(Enumerable.Range(0, r.Length));
        }
        else
        {
            foreach (double b in FirstTilts)
            {
                foreach (double c in FirstTilts)
                {
                    Extremes(b, c, out _, out _);
                }
            }
        }
        while (true)
        {
            int[] few = [.. counted];
            double Width(double b, double c)
            {
                double low = double.PositiveInfinity, high = double.NegativeInfinity;
                foreach (int i in few)
                {
                    double d = r[i] - (b * u[i]) - (c * v[i]);
                    low = d < low ? d : low;
                    high = d > high ? d : high;
                }
                return high - low;
            }
            double BestB(double c) => Golden(x => Width(x, c));
            double bestC = Golden(c => Width(BestB(c), c)), bestB = BestB(bestC);
            Extremes(bestB, bestC, out double lowest, out double highest);
            if (counted.Count == few.Length || highest - lowest <= Width(bestB, bestC) + 1e-13)
            {
                return (bestB, bestC, (lowest + highest) / 2, highest - lowest);
            }
        }
    }

    /// <summary>Up to so many points the search runs over all of them.</summary>
    private const int AllCounted = 60;

    private static readonly double[] FirstTilts = [-1, -0.4, 0, 0.4, 1];

    private static double Golden(Func<double, double> f)
    {
        const double Ratio = 0.6180339887498949;
        double low = -1.0000001, high = 1.0000001, x1 = high - (Ratio * (high - low)), x2 = low + (Ratio * (high - low));
        double f1 = f(x1), f2 = f(x2);
        for (int i = 0; i < 64; i++)
        {
            if (f1 <= f2)
            {
                (high, x2, f2) = (x2, x1, f1);
                x1 = high - (Ratio * (high - low));
                f1 = f(x1);
            }
            else
            {
                (low, x1, f1) = (x1, x2, f2);
                x2 = low + (Ratio * (high - low));
                f2 = f(x2);
            }
        }
        return (low + high) / 2;
    }

    /// <summary>Turns and scales places so that they have unit spread in both directions.</summary>
    private sealed record Spread(double Mx, double My, double Cos, double Sin, double Su, double Sv)
    {
        public static Spread Of(IReadOnlyList<double[]> points) => IsWide(points, out Spread spread) ? spread
            : throw new InputException("points_on_one_line", "points_mm", points.Count, "readings spread over the length and the width",
                "The readings lie on one line, so they say nothing about twist or width. Take readings along both edges as well.");

        public static bool IsWide(IReadOnlyList<double[]> points, out Spread spread)
        {
            int n = points.Count;
            if (n == 0)
            {
                spread = new Spread(0, 0, 1, 0, 0, 0);
                return false;
            }
            double mx = points.Average(p => p[0]), my = points.Average(p => p[1]), xx = 0, yy = 0, xy = 0;
            foreach (double[] p in points)
            {
                xx += (p[0] - mx) * (p[0] - mx) / n;
                yy += (p[1] - my) * (p[1] - my) / n;
                xy += (p[0] - mx) * (p[1] - my) / n;
            }
            double turn = 0.5 * Math.Atan2(2 * xy, xx - yy), cos = Math.Cos(turn), sin = Math.Sin(turn);
            double su = (xx * cos * cos) + (2 * xy * sin * cos) + (yy * sin * sin), sv = (xx * sin * sin) - (2 * xy * sin * cos) + (yy * cos * cos);
            spread = new Spread(mx, my, cos, sin, Math.Sqrt(su), Math.Sqrt(Math.Max(0, sv)));
            return n >= 3 && sv > 1e-10 * su;
        }

        public (double U, double V) Whiten(double x, double y) =>
            ((((x - Mx) * Cos) + ((y - My) * Sin)) / Su, (((y - My) * Cos) - ((x - Mx) * Sin)) / Sv);

        public Plane Unwhiten(double mean, double bu, double cv)
        {
            double b = (bu * Cos / Su) - (cv * Sin / Sv), c = (bu * Sin / Su) + (cv * Cos / Sv);
            return new Plane(mean - (b * Mx) - (c * My), b, c);
        }
    }

    /// <summary>Least squares by QR and SVD; null when the columns are not of full rank.</summary>
    internal static double[]? Solve(double[][] rows, double[] right, int columns)
    {
        if (rows.Length < columns)
        {
            return null;
        }
        // Thin, so that the work grows with the rows and not with their square.
        var qr = Matrix<double>.Build.DenseOfRowArrays(rows).QR(QRMethod.Thin);
        var svd = qr.R.Svd();
        return svd.S[columns - 1] <= 1e-9 * svd.S[0] ? null : svd.Solve(qr.Q.TransposeThisAndMultiply(Vector<double>.Build.Dense(right))).ToArray();
    }
}
