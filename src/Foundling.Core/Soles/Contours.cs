namespace Foundling.Core.Soles;

/// <summary>Lines of one height over a grid of heights.</summary>
public static class Contours
{
    private static readonly double[] Nice = [1, 2, 5, 10];

    /// <summary>A round step that gives about so many lines.</summary>
    /// <param name="range">From the lowest to the highest.</param>
    /// <param name="lines">How many lines are wanted, 1 or more.</param>
    public static double Step(double range, int lines)
    {
        if (!(range > 0))
        {
            return 1;
        }
        double rough = range / lines, ten = Math.Pow(10, Math.Floor(Math.Log10(rough)));
        return Nice.First(n => n * ten >= rough - Whole.Slack) * ten;
    }

    /// <summary>Pieces of the line of a height, from cell to cell, in steps of the grid.</summary>
    /// <param name="z">Heights, columns by rows, 2 or more of each.</param>
    /// <param name="at">The height.</param>
    public static IEnumerable<((double X, double Y) From, (double X, double Y) To)> Of(double[,] z, double at)
    {
        for (int i = 0; i < z.GetLength(0) - 1; i++)
        {
            for (int j = 0; j < z.GetLength(1) - 1; j++)
            {
                (int X, int Y)[] corner = [(i, j), (i + 1, j), (i + 1, j + 1), (i, j + 1)];
                List<(double X, double Y)> cut = [];
                for (int k = 0; k < corner.Length; k++)
                {
                    (int X, int Y) a = corner[k], b = corner[(k + 1) % corner.Length];
                    double za = z[a.X, a.Y], zb = z[b.X, b.Y];
                    if (za < at != zb < at)
                    {
                        double share = (at - za) / (zb - za);
                        cut.Add((a.X + (share * (b.X - a.X)), a.Y + (share * (b.Y - a.Y))));
                    }
                }
                // A saddle is cut four times: its pieces are taken two by two.
                for (int k = 0; k + 1 < cut.Count; k += 2)
                {
                    yield return (cut[k], cut[k + 1]);
                }
            }
        }
    }
}
