using System.Globalization;
using System.Xml;
using System.Xml.Linq;

namespace Foundling.Core.Tools.Kinds;

/// <summary>Reads the drawing of a kind: an SVG in millimetres, one group for each part, back to front.</summary>
public static class KindDrawing
{
    /// <summary>Most letters of a drawing.</summary>
    public const int MostLetters = 1_000_000;

    private const int MostPaths = 2000;
    private const double MostMm = 10_000;

    /// <summary>Reads a drawing.</summary>
    /// <param name="svg">The file.</param>
    /// <param name="kind">The kind it is of.</param>
    /// <exception cref="InputException">It is no such drawing, or a part is not on it.</exception>
    public static Profile Read(string svg, KindFile kind)
    {
        if (svg.Length > MostLetters)
        {
            throw KindReader.Wrong("drawing", $"This drawing is {svg.Length:#,0} letters long; {MostLetters:#,0} are the most.");
        }
        XElement root = Root(svg);
        double[] box = [.. (root.Attribute("viewBox")?.Value ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(Number)];
        if (box is not [_, _, > 0 and <= MostMm, > 0 and <= MostMm] || root.Attribute("data-rest-y") is not { } restY)
        {
            throw KindReader.Wrong("drawing", "A drawing says how large it is (viewBox) and where the tool rests (data-rest-y), in millimetres.");
        }
        List<DrawnPart> parts = [];
        int paths = 0;
        foreach (XElement group in root.Elements().Where(e => e.Name.LocalName == "g"))
        {
            PartId id = PartId.Of(group.Attribute("data-part")?.Value);
            if (kind.Parts.FirstOrDefault(p => p.Part == id) is not { } part)
            {
                throw KindReader.Wrong("drawing", $"The drawing has a group \"{Units.Shorten.To(id.Value, 40)}\", which is no part of the "
                    + $"{kind.Name.ToLowerInvariant()}.");
            }
            List<Shape> shapes = [.. group.Elements().Where(e => e.Name.LocalName == "path").Select(p => Read(p, part))];
            paths += shapes.Count;
            if (shapes.Count == 0 || paths > MostPaths || parts.Any(p => p.Part == id))
            {
                throw KindReader.Wrong("drawing", $"The {part.Name} is drawn once, by paths, and the whole by {MostPaths} at most.");
            }
            List<(string Name, Spot At)> spots = [.. part.Places.Select(p => (p.Name, new Spot(p.X, p.Y)))];
            parts.Add(new DrawnPart(id, shapes, spots.Count > 0 ? spots[0].At : Middle(shapes), spots));
        }
        foreach (KindPart part in kind.Parts)
        {
            if (parts.All(p => p.Part != (part.On ?? part.Part)))
            {
                throw KindReader.Wrong("drawing", $"The {part.Name} is not on the drawing, and no drawn part stands for it.");
            }
        }
        return new Profile(kind.Kind, box[2], box[3], Number(restY.Value), parts);
    }

    private static XElement Root(string svg)
    {
        try
        {
            using var text = new StringReader(svg);
            using var reader = XmlReader.Create(text, new XmlReaderSettings { DtdProcessing = DtdProcessing.Prohibit, XmlResolver = null });
            XElement root = XDocument.Load(reader).Root!;
            return root.Name.LocalName == "svg" ? root : throw KindReader.Wrong("drawing", "This is no drawing: its root is not svg.");
        }
        catch (XmlException fault)
        {
            throw KindReader.Wrong("drawing", fault.LineNumber > 0 ? $"This is no drawing: something is wrong in line {fault.LineNumber}."
                : "This is no drawing that can be read.");
        }
    }

    private static Shape Read(XElement path, KindPart part)
    {
        try
        {
            string[] classes = (path.Attribute("class")?.Value ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries);
            if (classes.Any(c => !Shape.Classes.Contains(c)))
            {
                throw KindReader.Wrong("drawing", $"The {part.Name} has a class that is not drawn here; those there are: {string.Join(", ", Shape.Classes)}.");
            }
            string data = path.Attribute("d")?.Value ?? "";
            if (string.IsNullOrWhiteSpace(data))
            {
                throw new FormatException("no outline");
            }
            var outline = Outline.Parse(data);
            (Spot low, Spot high) = outline.Box();
            return new[] { low.X, low.Y, high.X, high.Y }.All(v => Math.Abs(v) <= MostMm)
                ? new Shape(string.Join(' ', classes), path.Attribute("fill-rule")?.Value == "evenodd",
                    outline) { Inset = path.Attribute("data-inset") is not null }
                : throw new FormatException("too far out");
        }
        catch (FormatException)
        {
            throw KindReader.Wrong("drawing", $"An outline of the {part.Name} cannot be read: paths of M, L, H, V, C and Z in millimetres are.");
        }
    }

    private static double Number(string text) => double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out double value)
        && double.IsFinite(value) ? value : throw KindReader.Wrong("drawing", $"\"{Units.Shorten.To(text, 40)}\" is no number.");

    private static Spot Middle(List<Shape> shapes)
    {
        (Spot low, Spot high) = shapes.Select(s => s.Path.Box()).MaxBy(b => (b.High.X - b.Low.X) * (b.High.Y - b.Low.Y));
        return new Spot((low.X + high.X) / 2, (low.Y + high.Y) / 2);
    }
}
