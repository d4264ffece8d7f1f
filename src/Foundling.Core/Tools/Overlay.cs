namespace Foundling.Core.Tools;

/// <summary>The drawing of a tool for laying over a picture of it: its two ends, and each part as a polygon.</summary>
/// <param name="Left">Leftmost point of the tool on its drawing, mm.</param>
/// <param name="Right">Rightmost point, mm.</param>
/// <param name="Parts">Outline of each part that is drawn, mm.</param>
public sealed record Overlay(Spot Left, Spot Right, IReadOnlyDictionary<PartId, IReadOnlyList<Spot>> Parts)
{
    private const int PiecesOfCurve = 3, MostCorners = 60;

    /// <summary>The overlay of a drawing.</summary>
    public static Overlay Of(Profile profile)
    {
        var parts = profile.Parts.Where(p => p.Shapes.Count > 0).GroupBy(p => p.Part).ToDictionary(g => g.Key, g => Largest(g.SelectMany(p => p.Shapes)));
        List<Spot> all = [.. parts.Values.SelectMany(p => p)];
        return new Overlay(all.MinBy(p => p.X), all.MaxBy(p => p.X), parts);
    }

    /// <summary>
    /// The outline of a part moved, turned and scaled so that the two ends of the tool lie on two points. Where that would
    /// stand it on its head the picture shows the other side, and it is mirrored instead.
    /// </summary>
    /// <param name="part">A part that is drawn.</param>
    /// <param name="from">Where the left end of the drawing lies on the picture.</param>
    /// <param name="to">Where its right end lies.</param>
    /// <returns>Corners on the picture; empty for a part that is not drawn, or one point for both ends.</returns>
    public IReadOnlyList<Spot> Laid(PartId part, Spot from, Spot to)
    {
        if (!Parts.TryGetValue(part, out IReadOnlyList<Spot>? corners) || from == to)
        {
            return [];
        }
        (double ex, double ey) = (to.X - from.X, to.Y - from.Y);
        double flip = ex < 0 ? -1 : 1;
        (double dx, double dy) = (Right.X - Left.X, (Right.Y - Left.Y) * flip);
        // The turn and the scale in one: the direction on the picture divided by that of the drawing, as complex numbers.
        double square = (dx * dx) + (dy * dy), a = ((ex * dx) + (ey * dy)) / square, b = ((ey * dx) - (ex * dy)) / square;
        return [.. corners.Select(c => (U: c.X - Left.X, V: (c.Y - Left.Y) * flip)).Select(c =>
            new Spot(from.X + (a * c.U) - (b * c.V), from.Y + (b * c.U) + (a * c.V)))];
    }

    private static IReadOnlyList<Spot> Largest(IEnumerable<Shape> shapes)
    {
        List<Spot> corners = [.. shapes.Where(s => !s.Fine).DefaultIfEmpty(shapes.First()).Select(s => s.Path.Polygon(PiecesOfCurve)).MaxBy(p =>
            Math.Abs(Area(p)))!];
        // Few enough to be moved by hand; every so many are left out of a long one.
        int every = (corners.Count / MostCorners) + 1;
        return [.. corners.Where((_, i) => i % every == 0)];
    }

    private static double Area(IReadOnlyList<Spot> p) =>
        p.Count < 3 ? 0 : p.Select((a, i) => (a.X * p[(i + 1) % p.Count].Y) - (p[(i + 1) % p.Count].X * a.Y)).Sum() / 2;
}
