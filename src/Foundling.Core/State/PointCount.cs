using Foundling.Core.Tools;

namespace Foundling.Core.State;

/// <summary>What is counted and how closely.</summary>
/// <param name="OutlinePx">Corners of the part's outline on the picture, pixels.</param>
/// <param name="Points">How many points are wanted; the grid gives about as many.</param>
/// <param name="Seed">Seed of the random offset.</param>
public sealed record PointGridInput(IReadOnlyList<double[]> OutlinePx, int Points, int Seed);

/// <summary>Points to look at, in reading order.</summary>
/// <param name="SpacingPx">Distance of neighbours, pixels.</param>
/// <param name="PointsPx">The points inside the outline.</param>
public sealed record PointGridResult(double SpacingPx, IReadOnlyList<double[]> PointsPx);

/// <summary>
/// Systematic random points for counting coverage: a square grid with a random offset, points outside the outline
/// dropped. Source: stereology's point counting; the offset makes every place equally likely to be met.
/// </summary>
public static class PointGrid
{
    /// <summary>Fewest and most points that make sense.</summary>
    public const int Fewest = 10, Most = 1000;

    /// <summary>Most places of the grid over the outline's frame that are looked at.</summary>
    private const double MostPlaces = 200_000;

    /// <summary>Lays the grid over an outline.</summary>
    /// <exception cref="InputException">No outline, an outline of no size, or too few or many points.</exception>
    public static PointGridResult Of(PointGridInput input)
    {
        Check.Within(input.Points, Fewest, Most);
        IReadOnlyList<double[]> outline = input.OutlinePx;
        if (outline.Count < 3 || outline.Any(p => p.Length != 2 || !p.All(double.IsFinite)))
        {
            throw new InputException("no_outline", "outline_px", outline.Count, "three corners or more",
                "Mark the outline of the part first: three corners or more.");
        }
        double area = Corners.Area(outline);
        if (area < input.Points)
        {
            throw new InputException("outline_too_small", "outline_px", area, $"{input.Points} pixels or more",
                "This outline is too small to count in. Mark it larger, or take the picture from nearer.");
        }
        double left = outline.Min(p => p[0]), top = outline.Min(p => p[1]), wide = outline.Max(p => p[0]) - left, high = outline.Max(p => p[1]) - top;
        if (wide * high / area * input.Points > MostPlaces)
        {
            throw new InputException("outline_too_thin", "outline_px", area, "an outline that holds some of the picture",
                "This outline is a thread: hardly anything lies inside it. Mark the corners of the part one after another, all the way round.");
        }
        return Lay(Math.Sqrt(area / input.Points), left, top, wide, high, input.Seed, (x, y) => Corners.Inside(outline, x, y));
    }

    /// <summary>Lays a grid of a spacing over a rectangle and keeps the points that are inside.</summary>
    public static PointGridResult Lay(double spacing, double left, double top, double width, double height, int seed, Func<double, double, bool> inside)
    {
        var random = new Random(seed);
        double dx = random.NextDouble() * spacing, dy = random.NextDouble() * spacing;
        var points = new List<double[]>();
        for (double y = top + dy; y < top + height; y += spacing)
        {
            for (double x = left + dx; x < left + width; x += spacing)
            {
                if (inside(x, y))
                {
                    points.Add([x, y]);
                }
            }
        }
        return new PointGridResult(spacing, points);
    }
}
