using System.Collections.Concurrent;
using System.Globalization;
using System.Xml.Linq;

namespace Foundling.Core.Tools;

/// <summary>One painted shape of a part.</summary>
/// <param name="Class">Fill and line class, for example <c>steel o</c>.</param>
/// <param name="EvenOdd">Holes are cut by the even-odd rule.</param>
/// <param name="Path">Its outline, mm.</param>
public sealed record Shape(string Class, bool EvenOdd, Outline Path)
{
    /// <summary>Hatching, grain and other lines that are left out of small drawings.</summary>
    public bool Fine => Class is "h" or "g" or "l" or "d";
}

/// <summary>A part as it is drawn, with the place where marks go.</summary>
public sealed record DrawnPart(string Part, IReadOnlyList<Shape> Shapes, Spot Anchor);

/// <summary>A tool drawn from the side, in millimetres.</summary>
/// <param name="Kind">Kind of tool.</param>
/// <param name="Width">Width of the drawing with its margins, mm.</param>
/// <param name="Height">Height of the drawing with its margins, mm.</param>
/// <param name="RestY">Where the tool rests, from the top, mm.</param>
/// <param name="Parts">Parts, back to front.</param>
public sealed record Profile(string Kind, double Width, double Height, double RestY, IReadOnlyList<DrawnPart> Parts)
{
    /// <summary>Margin on every side, mm.</summary>
    public const double Margin = 6;

    private const int MostFitted = 2000;

    private static readonly ConcurrentDictionary<string, Profile> Nominal = new();
    private static readonly ConcurrentDictionary<(string Kind, double Length, double? Mouth), Profile> KnownFits = new();

    /// <summary>The drawing of a kind at its nominal size.</summary>
    /// <exception cref="InputException">No such kind.</exception>
    public static Profile Of(string kind) => Nominal.GetOrAdd(kind, Load);

    private static Profile Load(string kind)
    {
        using Stream? stream = typeof(Profile).Assembly.GetManifestResourceStream($"profiles/{kind}.svg");
        if (stream is null)
        {
            throw new InputException("unknown_kind", "kind", kind, string.Join(", ", ToolCatalogue.Kinds.Select(k => k.Id)), $"There is no drawing of \"{kind}\".");
        }
        XElement svg = XDocument.Load(stream).Root!;
        double[] box = [.. svg.Attribute("viewBox")!.Value.Split(' ').Select(v => double.Parse(v, CultureInfo.InvariantCulture))];
        double rest = double.Parse(svg.Attribute("data-rest-y")!.Value, CultureInfo.InvariantCulture);
        List<DrawnPart> parts = [];
        foreach (XElement group in svg.Elements().Where(e => e.Name.LocalName == "g"))
        {
            string part = group.Attribute("data-part")!.Value;
            List<Shape> shapes = [.. group.Elements().Where(e => e.Name.LocalName == "path").Select(p => new Shape(
                p.Attribute("class")?.Value ?? "", p.Attribute("fill-rule")?.Value == "evenodd", Outline.Parse(p.Attribute("d")!.Value)))];
            parts.Add(new DrawnPart(part, shapes, Anchors.Of(kind, part) ?? Middle(shapes)));
        }
        return new Profile(kind, box[2], box[3], rest, parts);
    }

    private static Spot Middle(List<Shape> shapes)
    {
        (Spot low, Spot high) = shapes.Select(s => s.Path.Box()).MaxBy(b => (b.High.X - b.Low.X) * (b.High.Y - b.Low.Y));
        return new Spot((low.X + high.X) / 2, (low.Y + high.Y) / 2);
    }

    /// <summary>The drawing with every point moved, part by part.</summary>
    internal Profile Move(double width, double height, double restY, Func<string, Spot, Spot> map) => new(
        Kind, width, height, restY,
        [.. Parts.Select(p => new DrawnPart(p.Part, [.. p.Shapes.Select(s => s with { Path = s.Path.Move(x => map(p.Part, x)) })], map(p.Part, p.Anchor)))]);

    /// <summary>The drawing at a measured length.</summary>
    /// <param name="kind">Kind of tool.</param>
    /// <param name="lengthMm">Measured length, or null for the nominal one.</param>
    /// <param name="mouthMm">Mouth from the toe where measured.</param>
    public static Profile Fitted(string kind, double? lengthMm, double? mouthMm = null)
    {
        Profile nominal = Of(kind);
        ToolKind tool = ToolCatalogue.Kind(kind);
        if (lengthMm is not double length || length < tool.NominalLengthMm / 4 || length > tool.NominalLengthMm * 4)
        {
            return nominal;
        }
        if (KnownFits.Count > MostFitted)
        {
            KnownFits.Clear();
        }
        return KnownFits.GetOrAdd((kind, length, mouthMm), _ => kind == "metal-bench-plane"
            ? BenchPlaneFit.Fit(nominal, length, mouthMm)
            : nominal.Scaled(length / tool.NominalLengthMm));
    }

    /// <summary>The whole drawing larger or smaller, the margin kept.</summary>
    internal Profile Scaled(double factor)
    {
        double S(double v, double origin) => origin + ((v - origin) * factor);
        return Move(((Width - (2 * Margin)) * factor) + (2 * Margin), ((Height - (2 * Margin)) * factor) + (2 * Margin), S(RestY, Margin),
            (_, p) => new Spot(S(p.X, Margin), S(p.Y, Margin)));
    }
}

/// <summary>Places for marks that are better chosen than the middle of the part, mm on the nominal drawing.</summary>
internal static class Anchors
{
    private static readonly Dictionary<string, Spot> BenchPlane = new()
    {
        ["tote_bolt"] = new(200.4, 22.9), ["tote"] = new(208, 66.1), ["knob_bolt"] = new(48, 52.6), ["knob"] = new(48, 76),
        ["lateral_lever"] = new(161.1, 48.7), ["adjuster"] = new(170, 80.6), ["frog"] = new(147, 71.1), ["yoke"] = new(155, 75.1),
        ["iron"] = new(185.3, 20.6), ["cap_iron"] = new(160.4, 42.3), ["lever_cap"] = new(134.4, 61.6), ["lever_cap_screw"] = new(115.7, 71.2),
        ["body"] = new(98, 104),
    };

    public static Spot? Of(string kind, string part) => kind == "metal-bench-plane" && BenchPlane.TryGetValue(part, out Spot spot) ? spot : null;
}

/// <summary>Fits the metal bench plane to its measurements: the body stretches, everything else keeps its size and moves.</summary>
internal static class BenchPlaneFit
{
    private const double NominalLength = 245, NominalMouth = 76;

    public static Profile Fit(Profile nominal, double length, double? mouth)
    {
        if (length < NominalLength)
        {
            // Small planes have small furniture.
            return nominal.Scaled(length / NominalLength);
        }
        double m = mouth is double measured && measured > length * 0.2 && measured < length * 0.5 ? measured : length * (length < 300 ? 0.31 : 0.32);
        m = Math.Min(m, length - 130 - 12);
        double[] from = [0, 20, 58, NominalMouth, 103, 150, 206, NominalLength];
        double[] to = [0, 20, m - 18, m, m + 27, m + 74, m + 130, length];
        double knob = 0.12 * (length - NominalLength), group = m - NominalMouth;
        return nominal.Move(length + (2 * Profile.Margin), nominal.Height, nominal.RestY, (part, p) => part switch
        {
            "body" => new Spot(Knots(p.X - Profile.Margin, from, to) + Profile.Margin, p.Y),
            "knob" or "knob_bolt" => new Spot(p.X + knob, p.Y),
            _ => new Spot(p.X + group, p.Y),
        });
    }

    /// <summary>Piecewise linear map through knots, the end pieces carried on.</summary>
    internal static double Knots(double x, double[] from, double[] to)
    {
        int i = 1;
        while (i < from.Length - 1 && x > from[i])
        {
            i++;
        }
        return to[i - 1] + ((x - from[i - 1]) * (to[i] - to[i - 1]) / (from[i] - from[i - 1]));
    }
}
