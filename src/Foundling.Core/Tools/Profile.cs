using System.Collections.Concurrent;
using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.Tools;

/// <summary>One painted shape of a part.</summary>
/// <param name="Class">Fill and line class, for example <c>steel o</c>.</param>
/// <param name="EvenOdd">Holes are cut by the even-odd rule.</param>
/// <param name="Path">Its outline, mm.</param>
public sealed record Shape(string Class, bool EvenOdd, Outline Path)
{
    /// <summary>The classes there are: fills by material, lines by weight.</summary>
    public static IReadOnlySet<string> Classes { get; } = new HashSet<string>
    {
        "cast", "iron", "steel", "dark-steel", "brass", "rosewood", "beech", "ash", "leather", "cord", "paint", "ink", "shade", "light",
        "o", "f", "e", "i", "l", "d", "h", "g",
    };

    /// <summary>It belongs to a second view of its part, beside the first.</summary>
    public bool Inset { get; init; }

    /// <summary>Hatching, grain, second views and other lines that are left out of small drawings.</summary>
    public bool Fine => Inset || Class is "h" or "g" or "l" or "d";

    /// <summary>It has the outline a missing part is drawn by.</summary>
    public bool Outlined => !Inset && Class.Split(' ').Contains("o");
}

/// <summary>A part as it is drawn, with the place where marks go.</summary>
/// <param name="Part">Key of the part.</param>
/// <param name="Shapes">Its shapes, back to front.</param>
/// <param name="Anchor">Where a mark goes that is for no place in particular.</param>
/// <param name="Spots">Named places on it, for marks that are.</param>
public sealed record DrawnPart(PartId Part, IReadOnlyList<Shape> Shapes, Spot Anchor, IReadOnlyList<(string Name, Spot At)> Spots)
{
    /// <summary>Where a mark goes for a place in words; the anchor when the drawing has no such place.</summary>
    public Spot At(string place)
    {
        foreach ((string name, Spot at) in place.Length > 0 ? Spots : [])
        {
            if (name.Contains(place, StringComparison.Ordinal))
            {
                return at;
            }
        }
        return Anchor;
    }
}

/// <summary>A tool drawn from the side, in millimetres.</summary>
/// <param name="Kind">Kind of tool.</param>
/// <param name="Width">Width of the drawing with its margins, mm.</param>
/// <param name="Height">Height of the drawing with its margins, mm.</param>
/// <param name="RestY">Where the tool rests, from the top, mm.</param>
/// <param name="Parts">Parts, back to front.</param>
public sealed record Profile(KindId Kind, double Width, double Height, double RestY, IReadOnlyList<DrawnPart> Parts)
{
    /// <summary>What it was fitted to; null for the nominal drawing.</summary>
    public FitMeasures? FittedTo { get; init; }

    /// <summary>Parts that are left out, because this tool never had them.</summary>
    public IReadOnlyCollection<PartId> Without { get; init; } = [];

    /// <summary>Parts that have another colour than in the drawing of the kind, and which.</summary>
    public IReadOnlyDictionary<PartId, string> Tones { get; init; } = new Dictionary<PartId, string>();

    /// <summary>Margin on every side, mm.</summary>
    public const double Margin = 6;

    private const int MostFitted = 2000;

    private static readonly ConcurrentDictionary<(Profile Nominal, FitMeasures Measures), Profile> KnownFits = new();

    /// <summary>The drawing of a kind at its nominal size.</summary>
    /// <exception cref="InputException">No such kind.</exception>
    public static Profile Of(KindId kind) => ToolCatalogue.Drawing(kind);

    /// <summary>The drawing with every point moved, part by part.</summary>
    internal Profile Move(double width, double height, double restY, Func<PartId, Spot, Spot> map) => new(
        Kind, width, height, restY,
        [.. Parts.Select(p => new DrawnPart(p.Part, [.. p.Shapes.Select(s => s with { Path = s.Path.Move(x => map(p.Part, x)) })], map(p.Part, p.Anchor),
            [.. p.Spots.Select(x => (x.Name, map(p.Part, x.At)))]))]);

    /// <summary>The drawing at a measured length.</summary>
    /// <param name="kind">Kind of tool.</param>
    /// <param name="lengthMm">Measured length, or null for the nominal one.</param>
    /// <param name="mouthMm">Mouth from the toe where measured.</param>
    public static Profile Fitted(KindId kind, double? lengthMm, double? mouthMm = null) =>
        Fitted(kind, new FitMeasures(lengthMm ?? ToolCatalogue.Kind(kind).NominalLengthMm, mouthMm));

    /// <summary>The drawing at what was measured. Lengths no such tool has leave it as it is.</summary>
    /// <param name="kind">Kind of tool.</param>
    /// <param name="measures">What was measured, mm.</param>
    public static Profile Fitted(KindId kind, FitMeasures measures)
    {
        Profile nominal = Of(kind);
        KindFile file = ToolCatalogue.Kind(kind).File;
        double length = file.LengthMm;
        if (measures == new FitMeasures(length) || measures.LengthMm < length / 4 || measures.LengthMm > length * 4)
        {
            return nominal;
        }
        if (KnownFits.Count > MostFitted)
        {
            KnownFits.Clear();
        }
        return KnownFits.GetOrAdd((nominal, measures), _ =>
        {
            Profile fitted = ProfileFits.Of(file, measures) is Map map ? nominal.Stretched(map) : nominal.Scaled(measures.LengthMm / length);
            return SawTeeth.Redraw(fitted, file.Teeth, measures.PointsPerInch) with { FittedTo = measures };
        });
    }

    /// <summary>The drawing with every point moved by a map, on a sheet with the margins it had.</summary>
    private Profile Stretched(Map map)
    {
        (Spot low0, Spot high0) = Frame();
        (Spot low, Spot high) = Move(Width, Height, RestY, (part, p) => map(part, p)).Frame();
        double dx = low0.X - low.X, dy = low0.Y - low.Y, height = Height + (high.Y - high0.Y) + dy;
        return Move(Width + (high.X - high0.X) + dx, height, height - (Height - RestY), (part, p) => map(part, p) is var q ? new Spot(q.X + dx, q.Y + dy) : p);
    }

    /// <summary>From where to where the tool itself reaches, second views apart, mm from the left edge.</summary>
    public (double From, double To) Reach()
    {
        List<(Spot Low, Spot High)> boxes = [.. Parts.SelectMany(p => p.Shapes).Where(s => !s.Inset).Select(s => s.Path.Box())];
        return (boxes.Min(b => b.Low.X), boxes.Max(b => b.High.X));
    }

    private (Spot Low, Spot High) Frame()
    {
        List<(Spot Low, Spot High)> boxes = [.. Parts.Select(Exploded.BoxOf)];
        return (new Spot(boxes.Min(b => b.Low.X), boxes.Min(b => b.Low.Y)), new Spot(boxes.Max(b => b.High.X), boxes.Max(b => b.High.Y)));
    }

    /// <summary>The whole drawing larger or smaller, the margin kept.</summary>
    internal Profile Scaled(double factor)
    {
        double S(double v, double origin) => origin + ((v - origin) * factor);
        return Move(((Width - (2 * Margin)) * factor) + (2 * Margin), ((Height - (2 * Margin)) * factor) + (2 * Margin), S(RestY, Margin),
            (_, p) => new Spot(S(p.X, Margin), S(p.Y, Margin)));
    }
}
