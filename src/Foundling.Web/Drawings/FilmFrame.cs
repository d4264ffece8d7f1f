using Foundling.Core;
using Foundling.Core.Soles;

namespace Foundling.Web.Drawings;

/// <summary>A frame of the film of a sole being lapped, as it is sent to the page.</summary>
/// <param name="N">Strokes so far.</param>
/// <param name="Marks">A sign for each field, column by column: - no sole there, g gone, f faint, l left.</param>
/// <param name="Touch">A sign for each field: 1 where it touches now.</param>
/// <param name="H">Height along the middle, µm below the highest cell.</param>
/// <param name="Said">What is gone by then, and how flat it would be if one stopped there.</param>
/// <param name="End">True for the last frame.</param>
public sealed record FilmFrame(double N, string Marks, string Touch, IReadOnlyList<int> H, string Said, bool End)
{
    private const double UmInMm = 1000, Percent = 100;
    private const int MostRows = 12;

    /// <summary>Fields across: strokes of a marker are as wide as a hand draws them, however fine the cells are.</summary>
    public static int RowsOf(LapSole sole) => Math.Min(sole.Ny, MostRows);

    /// <summary>A frame as it is sent.</summary>
    /// <param name="sole">The cells.</param>
    /// <param name="frame">The frame.</param>
    /// <param name="snapshot">What is gone by then.</param>
    /// <param name="end">The result, with the last frame.</param>
    /// <param name="a">When a mark is gone.</param>
    /// <param name="length">How a length is written.</param>
    public static FilmFrame Of(LapSole sole, LapFrame frame, LappingSnapshot snapshot, LappingResult? end, Assumptions a,
        Func<double, string> length)
    {
        double[] z = [.. sole.Z.Zip(frame.WearMm, (h, w) => h - w)];
        double top = z.Max();
        int[] middle = new int[sole.Nx];
        double[] off = new double[sole.Nx];
        Array.Fill(off, double.PositiveInfinity);
        for (int i = 0; i < z.Length; i++)
        {
            // The cell of each column that lies nearest to the middle line.
            (int column, double away) = (sole.Index[i] / sole.Ny, Math.Abs(sole.Y[i]));
            if (away < off[column])
            {
                (off[column], middle[column]) = (away, (int)Math.Round((top - z[i]) * UmInMm));
            }
        }
        int rows = RowsOf(sole);
        return new FilmFrame(Math.Round(frame.Strokes), string.Concat(MarkFields.Of(sole, frame.WearMm, sole.Nx, rows, a).Select(m => "-gfl"[(int)m])),
            string.Concat(MarkFields.Touching(sole, frame.SinkMm, sole.Nx, rows).Select(t => t ? '1' : '0')), middle, Told(sole, frame, snapshot, length),
            end is not null);
    }

    private static string Told(LapSole sole, LapFrame frame, LappingSnapshot snapshot, Func<double, string> length)
    {
        (double whole, double? zones) = sole.Flatness(frame.WearMm);
        string gone = snapshot.ZoneCleanedFraction is { Toe: double toe, Mouth: double mouth, Heel: double heel }
            ? $"gone: toe {toe * Percent:0} %, mouth {mouth * Percent:0} %, heel {heel * Percent:0} %" : $"{snapshot.CleanedFraction * Percent:0} % gone";
        return $"after {frame.Strokes:0} strokes · {gone} · if you stop now: whole sole within {length(whole)}"
            + (zones is double three ? $", toe, mouth and heel within {length(three)}" : "");
    }
}
