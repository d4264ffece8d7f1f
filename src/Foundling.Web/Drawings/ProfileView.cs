using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Web.Drawings;

/// <summary>A numbered mark on a part.</summary>
/// <param name="Part">The drawn part it is on.</param>
/// <param name="Text">What stands in it.</param>
/// <param name="Place">Place on the part, in words; empty for none in particular.</param>
public sealed record Pin(PartId Part, string Text, string Place = "")
{
    /// <summary>Marks for findings, numbered as they are listed; a line for several parts is marked on each that is drawn.</summary>
    public static IReadOnlyList<Pin> Of(ToolKind kind, IEnumerable<FindingRow> rows) =>
        [.. rows.SelectMany(r => r.All.Select(f => kind.Part(f.Part)?.DrawnAs ?? f.Part).Distinct()
            .Select(drawn => new Pin(drawn, r.Number.ToString(System.Globalization.CultureInfo.InvariantCulture), r.First.Place)))];
}

/// <summary>A tool's side profile with its marks.</summary>
/// <param name="Profile">The drawing.</param>
/// <param name="WidthPx">Width on screen.</param>
/// <param name="Text">What it shows, for those who cannot see it.</param>
public sealed record ProfileView(Profile Profile, double WidthPx, string Text)
{
    /// <summary>Parts drawn as missing.</summary>
    public IReadOnlySet<PartId> Missing { get; init; } = new HashSet<PartId>();

    /// <summary>Parts that do not belong.</summary>
    public IReadOnlySet<PartId> Odd { get; init; } = new HashSet<PartId>();

    /// <summary>Part that is lit; the others step back.</summary>
    public PartId? Lit { get; init; }

    /// <summary>Numbered marks at parts.</summary>
    public IReadOnlyList<Pin> Pins { get; init; } = [];

    /// <summary>Parts can be chosen.</summary>
    public bool Choose { get; init; }

    /// <summary>Draw a rule under it.</summary>
    public bool Ruled { get; init; }

    /// <summary>Height on screen.</summary>
    public double HeightPx => WidthPx * (Profile.Height + (Ruled ? 26 : 0)) / Profile.Width;

    /// <summary>Small drawings leave out hatching and grain.</summary>
    public bool Plain => WidthPx < 190;

    /// <summary>Millimetres of the drawing per pixel, which sizes pins and figures.</summary>
    public double MmPerPx => Profile.Width / WidthPx;

    /// <summary>The view of a tag at a width in pixels.</summary>
    public static ProfileView Of(Tag tag, double widthPx) => new(tag.Profile(), widthPx, $"{tag.Tool().Name} from the side")
    {
        Missing = tag.Standing().Where(f => f.Kind == FindingKind.Missing && f.Severity > 0).Select(f => f.Part).ToHashSet(),
    };

    /// <summary>The view of a tag at a scale, for standing beside others.</summary>
    public static ProfileView AtScale(Tag tag, double pxPerMm)
    {
        ProfileView view = Of(tag, 100);
        return view with { WidthPx = Math.Round(view.Profile.Width * pxPerMm, 1) };
    }

    /// <summary>Where the drawing is to be had as a picture of its own, for lists of many tools.</summary>
    public string Address => Api.DrawingApi.Address(Profile, Missing);

    /// <summary>Classes of a part's group.</summary>
    public string Css(PartId part) => Missing.Contains(part) ? "gone" : (Odd.Contains(part) ? "odd" : "") + (Lit is not null && Lit != part ? " dim" : "");

    /// <summary>Shapes of a part that are drawn: of a missing one only its outline.</summary>
    public IEnumerable<Shape> Shapes(DrawnPart part) => Missing.Contains(part.Part)
        ? part.Shapes.Where(s => s.Outlined).DefaultIfEmpty(part.Shapes[0]) : part.Shapes.Where(s => !Plain || !s.Fine);

    /// <summary>The same as paths of SVG, on a page and in a picture of its own.</summary>
    public string Paths(DrawnPart part) =>
        string.Concat(Shapes(part).Select(s => $"<path class=\"{s.Class}\"{(s.EvenOdd ? " fill-rule=\"evenodd\"" : "")} d=\"{s.Path}\"/>"));

    /// <summary>Pins with stacked ones moved apart.</summary>
    public IEnumerable<(double X, double Y, string Text)> PlacedPins()
    {
        var used = new List<(double X, double Y)>();
        double step = 23 * MmPerPx;
        foreach ((PartId part, string text, string place) in Pins)
        {
            DrawnPart? drawn = Profile.Parts.FirstOrDefault(p => p.Part == part);
            if (drawn is null)
            {
                continue;
            }
            (double x, double y) = Places(drawn.At(place), step).Select(p => (X: Math.Clamp(p.X, step / 2, Math.Max(step / 2, Profile.Width - (step / 2))),
                Y: Math.Clamp(p.Y, step / 2, Math.Max(step / 2, Profile.Height - (step / 2)))))
                .FirstOrDefault(p => used.All(u => ((u.X - p.X) * (u.X - p.X)) + ((u.Y - p.Y) * (u.Y - p.Y)) >= step * step * 0.9),
                    (drawn.Anchor.X, drawn.Anchor.Y));
            used.Add((x, y));
            yield return (Math.Round(x, 2), Math.Round(y, 2), text);
        }
    }

    /// <summary>Places for a mark, nearest first: its own, then rings round it, to the right before elsewhere.</summary>
    private static IEnumerable<(double X, double Y)> Places(Spot at, double step)
    {
        const int Rings = 12, Spokes = 16;
        yield return (at.X, at.Y);
        for (int ring = 2; ring < Rings; ring++)
        {
            for (int spoke = 0; spoke < Spokes; spoke++)
            {
                double angle = (spoke % 2 == 0 ? 1 : -1) * Math.PI * ((spoke + 1) / 2) * 2 / Spokes, far = ring * step / 2;
                yield return (at.X + (far * Math.Cos(angle)), at.Y + (far * Math.Sin(angle)));
            }
        }
    }
}
