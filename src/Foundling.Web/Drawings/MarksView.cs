using System.Globalization;
using System.Text;
using Foundling.Core;
using Foundling.Core.Soles;

namespace Foundling.Web.Drawings;

/// <summary>The marks on a sole after some strokes, in small.</summary>
/// <param name="Strokes">How many strokes.</param>
/// <param name="Cleaned">Share of the marks that is gone.</param>
/// <param name="Left">Strokes of the marker that are all there.</param>
/// <param name="Faint">Those that are faint.</param>
/// <param name="Height">Height of the drawing.</param>
public sealed record MarksView(double Strokes, double Cleaned, string Left, string Faint, double Height)
{
    /// <summary>Width of the drawing.</summary>
    public const double Width = 134;

    private const double LeastHeight = 22;
    private const int Columns = 30, Rows = 3;

    // How much of the marks is gone where the picture is taken; the last is the end.
    private static readonly double[] Shares = [0, 0.25, 0.5, 0.75];

    /// <summary>A few frames of a run, from the first to the last.</summary>
    public static IReadOnlyList<MarksView> Of(LapSole sole, IReadOnlyList<(LapFrame Frame, LappingSnapshot Snapshot)> frames, Assumptions a)
    {
        List<int> at = [.. Shares.Select(s => frames.ToList().FindIndex(f => f.Snapshot.CleanedFraction >= s - Whole.Slack)).Where(i => i >= 0),
            frames.Count - 1];
        return [.. at.Distinct().Order().Select(i => One(sole, frames[i].Frame, frames[i].Snapshot, a))];
    }

    private static MarksView One(LapSole sole, LapFrame frame, LappingSnapshot snapshot, Assumptions a)
    {
        double height = Math.Max(LeastHeight, sole.WidthMm / sole.LengthMm * Width);
        MarkLeft[] fields = MarkFields.Of(sole, frame.WearMm, Columns, Rows, a);
        string Strokes(MarkLeft which)
        {
            var path = new StringBuilder();
            for (int f = 0; f < fields.Length; f++)
            {
                (double x, double y, double w, double h) = (f / Rows * Width / Columns, f % Rows * height / Rows, Width / Columns, height / Rows);
                if (fields[f] == which)
                {
                    path.Append(CultureInfo.InvariantCulture, $"M{x:0.#} {y + h:0.#}L{x + w:0.#} {y:0.#}");
                }
            }
            return path.ToString();
        }
        return new MarksView(frame.Strokes, snapshot.CleanedFraction, Strokes(MarkLeft.Left), Strokes(MarkLeft.Faint), height);
    }
}
