using MathNet.Numerics.LinearAlgebra;

namespace Foundling.Core.Soles;

/// <summary>A thin-plate spline r^2 ln r through scattered heights: the smoothest map between the readings.</summary>
public sealed class ThinPlate
{
    private readonly double[][] _at;
    private readonly double[] _weights;
    private readonly double _a, _b, _c, _scale;

    /// <summary>Fits the spline.</summary>
    /// <param name="points">Readings [x, y, z], mm, not all on one line.</param>
    public ThinPlate(IReadOnlyList<double[]> points)
    {
        double[][] at = Spread(points);
        _scale = Math.Max(1e-9, at.Max(p => Math.Max(Math.Abs(p[0]), Math.Abs(p[1]))));
        _at = at;
        int n = at.Length;
        var matrix = Matrix<double>.Build.Dense(n + 3, n + 3);
        var right = Vector<double>.Build.Dense(n + 3);
        for (int i = 0; i < n; i++)
        {
            for (int j = 0; j < i; j++)
            {
                matrix[i, j] = matrix[j, i] = Kernel(at[i][0] - at[j][0], at[i][1] - at[j][1]);
            }
            (matrix[i, n], matrix[i, n + 1], matrix[i, n + 2]) = (1, at[i][0] / _scale, at[i][1] / _scale);
            (matrix[n, i], matrix[n + 1, i], matrix[n + 2, i]) = (1, at[i][0] / _scale, at[i][1] / _scale);
            right[i] = at[i][2];
        }
        Vector<double> solved = matrix.Solve(right);
        _weights = [.. solved.Take(n)];
        (_a, _b, _c) = (solved[n], solved[n + 1], solved[n + 2]);
    }

    /// <summary>Most readings the spline goes through; of more, the means of so many fields are taken.</summary>
    public const int MostStations = 240;

    /// <summary>
    /// Stations for the spline. Two readings at one place cannot both be met, so their mean is; and a cloud of readings is
    /// drawn together field by field, so that the work stays small however many there are.
    /// </summary>
    private static double[][] Spread(IReadOnlyList<double[]> points)
    {
        double[][] at = Means(points, p => (Math.Round(p[0], 4), Math.Round(p[1], 4)));
        if (at.Length <= MostStations)
        {
            return at;
        }
        double left = at.Min(p => p[0]), low = at.Min(p => p[1]), wide = Math.Max(1e-9, at.Max(p => p[0]) - left), high = Math.Max(1e-9,
            at.Max(p => p[1]) - low);
        double field = Math.Sqrt(wide * high / MostStations);
        int across = Math.Clamp((int)(wide / field), 1, MostStations), up = Math.Clamp(MostStations / across, 1, MostStations);
        return Means(at, p => (Math.Min(across - 1, Math.Floor((p[0] - left) / wide * across)), Math.Min(up - 1, Math.Floor((p[1] - low) / high * up))));
    }

    private static double[][] Means(IEnumerable<double[]> points, Func<double[], (double, double)> field) =>
        [.. points.GroupBy(field).Select(g => new[] { g.Average(p => p[0]), g.Average(p => p[1]), g.Average(p => p[2]) })];

    /// <summary>Height at a place, mm.</summary>
    public double At(double x, double y)
    {
        double sum = _a + (_b * x / _scale) + (_c * y / _scale);
        for (int i = 0; i < _at.Length; i++)
        {
            sum += _weights[i] * Kernel(x - _at[i][0], y - _at[i][1]);
        }
        return sum;
    }

    private double Kernel(double dx, double dy)
    {
        double r2 = ((dx * dx) + (dy * dy)) / (_scale * _scale);
        return r2 < 1e-18 ? 0 : 0.5 * r2 * Math.Log(r2);
    }
}
