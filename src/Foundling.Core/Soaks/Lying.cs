using System.Globalization;
using Foundling.Core.Baths;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Rust;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Soaks;

/// <summary>A part as it lies on its broadest side.</summary>
/// <param name="LengthMm">Its longest side, mm.</param>
/// <param name="WidthMm">Its next side, mm.</param>
/// <param name="ThickMm">How high it lies, mm.</param>
/// <param name="Path">
/// What is seen of it from above, as an SVG path in mm from its left and near corner; a rectangle where its drawing shows another side.
/// </param>
public sealed record LyingPart(double LengthMm, double WidthMm, double ThickMm, string Path);

/// <summary>How parts lie in a tub: their drawn outlines, turned on their broadest side.</summary>
public static class Lying
{
    private const int CurvePieces = 6;
    private const double LeastMm = 1;

    /// <summary>Parts of a tool that cannot be parted, as they lie.</summary>
    /// <param name="facts">What is known of the tool, whose drawing it is at its measurements.</param>
    /// <param name="parts">The parts, one at least; the first is the one they hang on.</param>
    /// <param name="extents">How large they are.</param>
    public static LyingPart Of(Facts facts, IReadOnlyList<PartDef> parts, IReadOnlyDictionary<PartId, PartExtent> extents)
    {
        PartExtent main = extents[parts[0].Id];
        Profile? drawing = ToolCatalogue.Knows(facts.Tool.Id) && main.Pieces == 1 ? facts.Profile() : null;
        List<IReadOnlyList<Spot>> rings = drawing is null ? [] : [.. parts.SelectMany(part =>
            drawing.Parts.FirstOrDefault(p => p.Part == (part.InSet ? part.DrawnAs : part.Id)) is { } drawn
                ? drawn.Shapes.Where(s => s.Outlined).DefaultIfEmpty(drawn.Shapes[0]).SelectMany(s => s.Path.Rings(CurvePieces, s.EvenOdd)) : [])];
        if (rings.Count == 0)
        {
            // Several small pieces lie in a row.
            return Block(main.LengthMm, main.WidthMm * main.Pieces, main.ThickMm);
        }
        (double angle, Spot low, double length, double width) = Narrowest([.. rings.SelectMany(r => r)]);
        double across = Math.Max(LeastMm, parts.Max(p => extents[p.Id].AcrossMm));
        if (across > width)
        {
            // Its drawing shows its edge: it lies on the side that is not drawn.
            return Block(Math.Max(length, across), Math.Min(length, across), width);
        }
        return new LyingPart(Math.Max(LeastMm, length), Math.Max(LeastMm, width), across, string.Concat(rings.Select(r => Ring(r, angle, low))));
    }

    private static LyingPart Block(double length, double width, double thick)
    {
        double[] sides = [Math.Max(LeastMm, length), Math.Max(LeastMm, width), Math.Max(LeastMm, thick)];
        Array.Sort(sides);
        return new LyingPart(sides[2], sides[1], sides[0], string.Create(CultureInfo.InvariantCulture, $"M0 0H{sides[2]:0.##}V{sides[1]:0.##}H0Z"));
    }

    // Outlines run the same way round and holes the other, so that where two parts overlap nothing is cut out.
    private static string Ring(IReadOnlyList<Spot> ring, double angle, Spot low) =>
        "M" + string.Join("L", ring.Select(p => Turned(p, angle)).Select(p => string.Create(CultureInfo.InvariantCulture,
            $"{p.X - low.X:0.##} {p.Y - low.Y:0.##}"))) + "Z";

    private static Spot Turned(Spot p, double angle) =>
        new((p.X * Math.Cos(angle)) + (p.Y * Math.Sin(angle)), (p.Y * Math.Cos(angle)) - (p.X * Math.Sin(angle)));

    /// <summary>The rectangle of least area round points: the angle it is turned by, its low corner there, and its sides, the longer along.</summary>
    private static (double Angle, Spot Low, double Length, double Width) Narrowest(List<Spot> points)
    {
        List<Spot> hull = Hull(points);
        (double Angle, Spot Low, double Length, double Width) best = (0, default, double.MaxValue, double.MaxValue);
        for (int i = 0; i < hull.Count; i++)
        {
            Spot from = hull[i], to = hull[(i + 1) % hull.Count];
            double angle = Math.Atan2(to.Y - from.Y, to.X - from.X);
            foreach (double turned in (double[])[angle, angle + (Math.PI / 2)])
            {
                (Spot low, double along, double across) = Box(hull, turned);
                if (along >= across && along * across < (best.Length * best.Width) - Whole.Slack)
                {
                    best = (turned, low, along, across);
                }
            }
        }
        return best;
    }

    private static (Spot Low, double Along, double Across) Box(List<Spot> hull, double angle)
    {
        (double x0, double x1, double y0, double y1) = (double.MaxValue, double.MinValue, double.MaxValue, double.MinValue);
        foreach (Spot p in hull.Select(p => Turned(p, angle)))
        {
            (x0, x1, y0, y1) = (Math.Min(x0, p.X), Math.Max(x1, p.X), Math.Min(y0, p.Y), Math.Max(y1, p.Y));
        }
        return (new Spot(x0, y0), x1 - x0, y1 - y0);
    }

    private static List<Spot> Hull(List<Spot> points)
    {
        NetTopologySuite.Geometries.Geometry hull = new NetTopologySuite.Algorithm.ConvexHull([.. points.Select(p =>
            new NetTopologySuite.Geometries.Coordinate(p.X, p.Y))], new NetTopologySuite.Geometries.GeometryFactory()).GetConvexHull();
        return [.. hull.Coordinates.Select(c => new Spot(c.X, c.Y))];
    }

    /// <summary>Parts as they would go into a bath, those that cannot be parted as one, with what each stands there.</summary>
    /// <param name="tag">Number of their tag.</param>
    /// <param name="q">What is planned for it.</param>
    /// <param name="parts">The parts.</param>
    /// <param name="bath">The bath.</param>
    /// <param name="step">The step of its rod that puts them in; null for none.</param>
    public static IReadOnlyList<(SoakedPart Part, LoadLimit Limit)> Soaked(int tag, PlanQuestion q, IEnumerable<PartDef> parts, BathKind bath,
        DeedId? step = null)
    {
        List<(SoakedPart, LoadLimit)> all = [];
        List<PartDef> left = [.. parts];
        while (left.Count > 0)
        {
            IReadOnlyList<PartDef> joined = Joined.To(q, left[0]);
            List<PartDef> together = [.. left.Where(p => p == left[0] || joined.Contains(p)).OrderByDescending(p => q.Extents[p.Id].FaceDm2)];
            left.RemoveAll(together.Contains);
            LyingPart lying = Of(q.Facts, together, q.Extents);
            LoadLimit limit = BathTable.Strictest([.. together.Select(p => q.Limit(bath, p))]);
            all.Add((new SoakedPart(tag, together[0].Id, PlanQuestion.Names(together), PlanQuestion.LevelOf(together.Max(p => q.Worst(FindingKind.Rust, p.Id))),
                together.Sum(p => q.Extents[p.Id].AllDm2), together.Sum(p => q.Extents[p.Id].Litres), Math.Round(lying.LengthMm, 1),
                Math.Round(lying.WidthMm, 1), Math.Round(lying.ThickMm, 1))
            {
                LimitHours = limit.OutByHours, Why = limit.Reason, Step = step, Path = lying.Path, With = [.. together.Skip(1).Select(p => p.Id)],
            }, limit));
        }
        return all;
    }
}
