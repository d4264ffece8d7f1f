namespace Foundling.Core.Tools;

/// <summary>The drawing of a tool for laying over a picture of it: its two ends, and each part as a polygon.</summary>
/// <param name="Left">Leftmost point of the tool on its drawing, mm.</param>
/// <param name="Right">Rightmost point, mm.</param>
/// <param name="Parts">Outline of each part that is drawn, mm.</param>
public sealed record Overlay(Spot Left, Spot Right, IReadOnlyDictionary<string, IReadOnlyList<Spot>> Parts)
{
    private const int PiecesOfCurve = 3, MostCorners = 60;

    /// <summary>The overlay of a drawing.</summary>
    public static Overlay Of(Profile profile)
    {
        var parts = profile.Parts.Where(p => p.Shapes.Count > 0).GroupBy(p => p.Part).ToDictionary(g => g.Key, g => Largest(g.SelectMany(p => p.Shapes)));
        List<Spot> all = [.. parts.Values.SelectMany(p => p)];
        return new Overlay(all.MinBy(p => p.X), all.MaxBy(p => p.X), parts);
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
