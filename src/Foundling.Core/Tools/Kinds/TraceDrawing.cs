using System.Globalization;
using System.Text;
using System.Xml.Linq;
using NetTopologySuite.Algorithm.Construct;
using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Utilities;
using NetTopologySuite.Operation.Distance;
using NetTopologySuite.Simplify;

namespace Foundling.Core.Tools.Kinds;

/// <summary>What a trace makes.</summary>
/// <param name="Svg">The drawing.</param>
/// <param name="LengthMm">Length of the tool on it, mm.</param>
/// <param name="Places">Places of each part that is drawn, the one that stands for it first.</param>
public sealed record Traced(string Svg, double LengthMm, IReadOnlyDictionary<PartId, IReadOnlyList<KindPlace>> Places);

/// <summary>Draws a traced tool as the others are drawn: smooth outlines, light from above, shade and its lines below, grain in wood.</summary>
public static class TraceDrawing
{
    // How much of a part's thickness is in shade, is lit, and is left between its edge and the light.
    private const double ShadeShare = 0.28, LightShare = 0.16, RimShare = 0.07;
    private const double MostShadeMm = 9, MostLightMm = 4, LeastThicknessMm = 2.5, CleanMm = 0.08;
    private const int CurvePieces = 8, ShadeLines = 4, GrainLines = 5, RoundPieces = 3;

    // A line held within this of level or upright was meant to be that.
    private const double MeantLevelDeg = 20;
    private const double LeastAreaMm2 = 2, MostMm = 3500;
    private const double KnobShare = 0.012, LeastKnobMm = 2.5, MostKnobMm = 8;

    private static readonly GeometryFactory Plane = new();

    /// <summary>A part to be drawn: its outlines, what they go round, and the middle and radius of the widest circle in that, mm.</summary>
    private sealed record Drawn(KindPart Part, IReadOnlyList<Curve> Curves, Geometry Area)
    {
        public (Coordinate At, double Radius) Middle { get; } = Widest(Area);
    }

    /// <summary>Draws what was traced.</summary>
    /// <param name="trace">The trace.</param>
    /// <param name="parts">Parts of the kind, the main one first.</param>
    /// <param name="like">The nearest kind: in what order its parts lie over each other, and where places on them are.</param>
    /// <exception cref="InputException">Nothing can be drawn from it; the sentence says why.</exception>
    public static Traced Draw(KindTrace trace, IReadOnlyList<KindPart> parts, Profile like)
    {
        trace.Check(parts);
        Func<IReadOnlyList<double>, Spot> mm = Scale(trace);
        Dictionary<PartId, Drawn> drawn = [];
        foreach (TracedPart traced in trace.Parts.Where(p => p.Loops.Count > 0))
        {
            KindPart part = parts.First(p => p.Part == traced.Part);
            List<Curve> curves = [.. traced.Loops.Select(l => new Curve([.. l.Select(p =>
                new CurvePoint(mm(p), p.Count < 3 || p[2] == 0 ? null : p[2] == 1))]))];
            Geometry area = curves.Aggregate((Geometry)Plane.CreatePolygon(), (all, c) => all.SymmetricDifference(Area(c)));
            if (area.Area < LeastAreaMm2)
            {
                throw KindReader.Wrong("trace", $"The outline of the {part.Name} goes round nothing; tap round it once, in order.");
            }
            drawn[traced.Part] = new Drawn(part, curves, area);
        }
        Envelope box = drawn.Values.Aggregate(new Envelope(), (all, d) => all.ExpandedBy(d.Area.EnvelopeInternal));
        if (Math.Max(box.Width, box.Height) > MostMm)
        {
            throw KindReader.Wrong("trace", $"By this line the tool is {box.Width / 1000:0.#} m long: say how long the line itself is.");
        }
        foreach (TracedPart placed in trace.Parts.Where(p => p.At is not null))
        {
            Curve knob = Knob(mm(placed.At!), Math.Clamp(box.Width * KnobShare, LeastKnobMm, MostKnobMm));
            drawn[placed.Part] = new Drawn(parts.First(p => p.Part == placed.Part), [knob], Area(knob));
            box.ExpandToInclude(drawn[placed.Part].Area.EnvelopeInternal);
        }
        double right = Profile.Margin - box.MinX, down = Profile.Margin - box.MinY;
        List<PartId> order = [.. like.Parts.Select(p => p.Part)];
        List<PartId> back = [.. drawn.Keys.OrderBy(p => trace.Parts.First(t => t.Part == p).At is null ? 0 : 1)
            .ThenBy(p => order.IndexOf(p) is var at && at < 0 ? int.MaxValue : at)];
        XNamespace ns = "http://www.w3.org/2000/svg";
        var svg = new XElement(ns + "svg",
            new XAttribute("viewBox", string.Create(CultureInfo.InvariantCulture,
                $"0 0 {box.Width + (2 * Profile.Margin):0.##} {box.Height + (2 * Profile.Margin):0.##}")),
            new XAttribute("data-rest-y", (box.Height + Profile.Margin).ToString("0.##", CultureInfo.InvariantCulture)),
            back.Select(p => new XElement(ns + "g", new XAttribute("data-part", p.Value), Shapes(drawn[p], Tone(drawn[p].Part, like), right, down)
                .Select(s => new XElement(ns + "path", new XAttribute("class", s.Class), s.Holes ? new XAttribute("fill-rule", "evenodd") : null,
                    new XAttribute("d", s.Path))))));
        return new Traced(svg.ToString(SaveOptions.DisableFormatting), trace.Whole ? trace.Mm : Math.Max(box.Width, box.Height),
            drawn.ToDictionary(d => d.Key, d => Places(d.Value, right, down, like.Parts.FirstOrDefault(p => p.Part == d.Key))));
    }

    /// <summary>The colour of a part: that of the nearest kind where it is made of the same, because a coat may leave faces bare.</summary>
    private static string Tone(KindPart part, Profile like)
    {
        string own = Tones.Of(KindReader.Part(part));
        return like.Parts.FirstOrDefault(p => p.Part == part.Part) is { } there && ToolCatalogue.Kind(like.Kind).Part(part.Part) is { } def
            && (def.Material, def.Finish) == (part.Material, part.Finish) ? Tones.Main(there) ?? own : own;
    }

    /// <summary>From pixels of the picture to millimetres, the line levelled where it was meant to be level.</summary>
    private static Func<IReadOnlyList<double>, Spot> Scale(KindTrace trace)
    {
        double dx = trace.To[0] - trace.From[0], dy = trace.To[1] - trace.From[1], by = trace.Mm / Math.Sqrt((dx * dx) + (dy * dy));
        double tilt = Math.Atan2(dy, dx), quarter = Math.Round(tilt / (Math.PI / 2)) * Math.PI / 2;
        double turn = Math.Abs(tilt - quarter) <= MeantLevelDeg * Math.PI / 180 ? quarter - tilt : 0;
        double cos = Math.Cos(turn) * by, sin = Math.Sin(turn) * by, side = trace.Mirrored ? -1 : 1;
        return p => new Spot(side * ((p[0] * cos) - (p[1] * sin)), (p[0] * sin) + (p[1] * cos));
    }

    private static Curve Knob(Spot at, double radius) => new([.. Enumerable.Range(0, 8).Select(i =>
        new CurvePoint(new Spot(at.X + (radius * Math.Cos(i * Math.PI / 4)), at.Y + (radius * Math.Sin(i * Math.PI / 4))), false))]);

    private static Geometry Area(Curve curve)
    {
        IReadOnlyList<Spot> ring = curve.Closes ? Outline.Parse(curve.ToString()).Polygon(CurvePieces) : [];
        return ring.Count < 3 ? Plane.CreatePolygon()
            : GeometryFixer.Fix(DouglasPeuckerSimplifier.Simplify(Plane.CreatePolygon([.. ring.Append(ring[0]).Select(p => new Coordinate(p.X, p.Y))]),
                CleanMm / 4));
    }

    private static IEnumerable<(string Class, bool Holes, string Path)> Shapes(Drawn drawn, string tone, double right, double down)
    {
        (KindPart part, IReadOnlyList<Curve> curves, Geometry area) = drawn;
        yield return ($"{tone} o", curves.Count > 1, Outline.Parse(string.Concat(curves)).Move(p => new Spot(p.X + right, p.Y + down)).ToString());
        double thick = 2 * drawn.Middle.Radius;
        if (thick < LeastThicknessMm)
        {
            yield break;
        }
        Geometry moved = area.Moved(right, down), inner = moved.Buffer(-RimShare * thick, RoundPieces);
        double shade = Math.Min(ShadeShare * thick, MostShadeMm), light = Math.Min(LightShare * thick, MostLightMm);
        Geometry shaded = moved.Difference(moved.Moved(0, -shade));
        foreach ((string name, Geometry lit) in new[] { ("shade", shaded), ("light", inner.Difference(inner.Moved(0, light))) })
        {
            if (Text(lit) is { Length: > 0 } path)
            {
                yield return (name, true, path);
            }
        }
        if (part.Fastener == Fastening.Screw && thick <= 2 * MostKnobMm)
        {
            (double x, double y, double half) = (drawn.Middle.At.X + right, drawn.Middle.At.Y + down, 0.7 * drawn.Middle.Radius);
            yield return ("i", false, string.Create(CultureInfo.InvariantCulture, $"M{x - half:0.##} {y:0.##}L{x + half:0.##} {y:0.##}"));
        }
        Geometry within = moved.Buffer(-CleanMm * 4, RoundPieces).Intersection(shaded);
        IEnumerable<Geometry> lines = Enumerable.Range(1, ShadeLines).Select(i => moved.Boundary.Moved(0, -shade * i * i / (ShadeLines * (ShadeLines + 1.0)))
            .Intersection(within));
        if (Text(lines, thick / 2) is { Length: > 0 } hatched)
        {
            yield return ("h", false, hatched);
        }
        if (part.Material == Material.Wood && Text(Grain(inner.Difference(shaded), moved.EnvelopeInternal, thick), thick / 3) is { Length: > 0 } grain)
        {
            yield return ("g", false, grain);
        }
    }

    /// <summary>Lines along the longer side, broken where the wood shows none.</summary>
    private static IEnumerable<Geometry> Grain(Geometry within, Envelope box, double thick)
    {
        bool along = box.Width >= box.Height;
        double across = along ? box.Height : box.Width, length = along ? box.Width : box.Height, step = Math.Max(thick / GrainLines, across / 40);
        int line = 0;
        for (double at = step * 0.7; at < across; at += step * (0.8 + (0.12 * (line % 4))))
        {
            // Starts and ends wander from line to line, always in the same way, so that a drawing is the same each time.
            double from = length * (0.05 + (0.17 * ((line * 7) % 4))), to = Math.Min(length, from + (length * (0.35 + (0.1 * ((line * 5) % 5)))));
            line++;
            Coordinate Spot(double a, double c) => along ? new Coordinate(box.MinX + a, box.MinY + c) : new Coordinate(box.MinX + c, box.MinY + a);
            double rises = step * (line % 2 == 0 ? 0.14 : -0.1), run = to - from, start = at;
            yield return Plane.CreateLineString([.. Enumerable.Range(0, CurvePieces + 1).Select(i => (double)i / CurvePieces)
                .Select(t => Spot(from + (t * run), start + (rises * Math.Sin(t * Math.PI))))]).Intersection(within);
        }
    }

    private static IReadOnlyList<KindPlace> Places(Drawn drawn, double right, double down, DrawnPart? like)
    {
        (Geometry area, Coordinate middle) = (drawn.Area, drawn.Middle.At);
        KindPlace Named(string name, double x, double y) => new(name, Math.Round(x + right, 2), Math.Round(y + down, 2));
        if (like is null)
        {
            return [Named("", middle.X, middle.Y)];
        }
        (Spot low, Spot high) = Exploded.BoxOf(like);
        Envelope box = area.EnvelopeInternal;
        return
        [
            Named("", middle.X, middle.Y),
            .. like.Spots.Where(s => s.Name.Length > 0).Select(s =>
            {
                var at = new Coordinate(box.MinX + (box.Width * (s.At.X - low.X) / Math.Max(1e-6, high.X - low.X)),
                    box.MinY + (box.Height * (s.At.Y - low.Y) / Math.Max(1e-6, high.Y - low.Y)));
                Coordinate inside = DistanceOp.NearestPoints(area, Plane.CreatePoint(at))[0];
                return Named(s.Name, inside.X, inside.Y);
            }),
        ];
    }

    /// <summary>The middle of the widest circle in a shape, and its radius.</summary>
    private static (Coordinate At, double Radius) Widest(Geometry area)
    {
        Envelope box = area.EnvelopeInternal;
        LineString radius = new MaximumInscribedCircle(area, Math.Max(0.05, Math.Min(box.Width, box.Height) / 60)).GetRadiusLine();
        return (radius.StartPoint.Coordinate, radius.Length);
    }

    private static Geometry Moved(this Geometry shape, double right, double down) => AffineTransformation.TranslationInstance(right, down).Transform(shape);

    private static string Text(Geometry shape)
    {
        var text = new StringBuilder();
        foreach (Polygon polygon in PolygonExtracter.GetPolygons(DouglasPeuckerSimplifier.Simplify(shape, CleanMm)).Cast<Polygon>()
            .Where(p => p.Area > LeastAreaMm2 / 2))
        {
            foreach (LineString ring in polygon.InteriorRings.Prepend(polygon.ExteriorRing))
            {
                Write(text, ring.Coordinates[..^1]).Append('Z');
            }
        }
        return text.ToString();
    }

    private static string Text(IEnumerable<Geometry> lines, double leastMm)
    {
        var text = new StringBuilder();
        foreach (LineString line in lines.SelectMany(l => LinearComponentExtracter.GetLines(l).Cast<LineString>()).Where(l => l.Length >= leastMm))
        {
            Write(text, DouglasPeuckerSimplifier.Simplify(line, CleanMm).Coordinates);
        }
        return text.ToString();
    }

    private static StringBuilder Write(StringBuilder text, Coordinate[] points)
    {
        for (int i = 0; i < points.Length; i++)
        {
            text.Append(CultureInfo.InvariantCulture, $"{(i == 0 ? 'M' : 'L')}{points[i].X:0.##} {points[i].Y:0.##}");
        }
        return text;
    }
}
