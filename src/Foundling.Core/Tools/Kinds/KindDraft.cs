using System.Globalization;
using System.Xml.Linq;

namespace Foundling.Core.Tools.Kinds;

/// <summary>A part a kind of one's own has beside those of the nearest kind.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Material">What it is made of.</param>
/// <param name="On">The part it sits on, whose drawing stands for it.</param>
public sealed record KindExtra(string Name, Material Material, PartId On)
{
    /// <summary>Its key, which it keeps from when the kind was made; null for one that is new.</summary>
    public PartId? Part { get; init; }

    /// <summary>How it is finished.</summary>
    public PartFinish Finish { get; init; }
}

/// <summary>What a part is made of and how it is finished.</summary>
/// <param name="Material">What it is made of.</param>
/// <param name="Finish">How it is finished.</param>
public sealed record KindMade(Material Material, PartFinish Finish);

/// <summary>A kind of the shop's own, said by how it differs from the nearest one there is.</summary>
/// <param name="Near">The nearest kind.</param>
/// <param name="Name">What it is called.</param>
public sealed record KindDraft(KindId Near, string Name)
{
    /// <summary>Beginning of the key of every kind a shop makes.</summary>
    public const string Prefix = "own-";

    /// <summary>Most parts it has beside.</summary>
    public const int MostExtras = 12;

    private const int KeyLetters = 24;

    /// <summary>Parts of the nearest kind it has not; what goes with them goes too.</summary>
    public IReadOnlyList<PartId> Without { get; init; } = [];

    /// <summary>Parts that are called otherwise.</summary>
    public IReadOnlyDictionary<PartId, string> Called { get; init; } = new Dictionary<PartId, string>();

    /// <summary>Parts it has beside.</summary>
    public IReadOnlyList<KindExtra> Extras { get; init; } = [];

    /// <summary>Parts that are made of something else, or finished otherwise.</summary>
    public IReadOnlyDictionary<PartId, KindMade> Made { get; init; } = new Dictionary<PartId, KindMade>();

    /// <summary>What its length measures; null for the same as the nearest kind.</summary>
    public string? Length { get; init; }

    /// <summary>How its edge works; null for as on the nearest kind.</summary>
    public EdgeForm? Edge { get; init; }

    /// <summary>Angle of its bed, degrees; null for that of the nearest kind.</summary>
    public double? BedDeg { get; init; }

    /// <summary>True where its iron lies bevel up; null for as on the nearest kind.</summary>
    public bool? BevelUp { get; init; }

    /// <summary>True where it matters for which hand it was made; null for as on the nearest kind.</summary>
    public bool? Handed { get; init; }

    /// <summary>Its silhouette as it was traced; null for that of the nearest kind.</summary>
    public KindTrace? Trace { get; init; }

    // What these edges are, and what is done to them, is alike enough for one to stand in for another.
    private static readonly EdgeForm[] Alike =
    [
        EdgeForm.BackAndBevel, EdgeForm.Curved, EdgeForm.Profiled, EdgeForm.TwoBevels, EdgeForm.FlatFace, EdgeForm.Burr, EdgeForm.Toothed,
    ];

    /// <summary>Edges a kind like this may have: its own first, then those others of its family have.</summary>
    /// <param name="near">The nearest kind.</param>
    public static IReadOnlyList<EdgeForm> Edges(ToolKind near) => !Alike.Contains(near.Edge) ? [near.Edge]
        : [near.Edge, .. ToolCatalogue.Kinds.Where(k => k.Family == near.Family).Select(k => k.Edge).Distinct()
            .Where(e => e != near.Edge && Alike.Contains(e))];

    /// <summary>The file of a new kind, its drawing in it.</summary>
    /// <param name="suffix">Letters and figures that no other shop's kind has.</param>
    /// <exception cref="InputException">It has no name, no parts left, or an extra that cannot be; the sentence says what.</exception>
    public KindFile File(string suffix) => File(KindId.Of($"{Prefix}{Plain(Name)}-{suffix}"));

    /// <summary>The file of the kind, its drawing in it.</summary>
    /// <param name="key">Its key.</param>
    /// <exception cref="InputException">It has no name, no parts left, or something that cannot be; the sentence says what.</exception>
    public KindFile File(KindId key)
    {
        ToolKind near = ToolCatalogue.Kind(Near);
        if (string.IsNullOrWhiteSpace(Name))
        {
            throw KindReader.Wrong("name", "Give it a name: what people call such a tool.");
        }
        if (Without.Contains(near.Parts[0].Id))
        {
            throw KindReader.Wrong("parts", $"The {near.Parts[0].Name} holds the others together; a tool without it has another nearest kind.");
        }
        if (Edge is { } edge && !Edges(near).Contains(edge))
        {
            throw KindReader.Wrong("edge", $"No {near.Name.ToLowerInvariant()} has such an edge; another nearest kind has.");
        }
        HashSet<PartId> gone = Gone(near);
        List<KindPart> parts = [.. near.File.Parts.Where(p => !gone.Contains(p.Part)).Select(p => Own(p, gone)), .. Added(near, gone)];
        // What is said of its edge in the words of the nearest kind is not said of another.
        bool other = Edge is not null && Edge != near.Edge;
        KindManner? manner = near.File.Manner is { } said ? Kept(said, gone) : null;
        KindFile file = near.File with
        {
            Kind = key, Name = Name.Trim(), Length = Length?.Trim() is { Length: > 0 } length ? length : near.LengthIs, Parts = parts,
            Edge = Edge ?? near.Edge, BedDeg = BedDeg ?? near.File.BedDeg, BevelUp = BevelUp ?? near.File.BevelUp, Handed = Handed ?? near.File.Handed,
            Sole = near.Sole == SoleOf.None ? SoleOf.None : parts[0].Material == Material.Wood ? SoleOf.Wood : SoleOf.Metal,
            Manner = other ? manner is null ? null : manner with { Face = null, Back = null, Grind = null, Honing = null } : manner,
            Proofs = other ? ToolCatalogue.Kinds.First(k => k.Family == near.Family && k.Edge == Edge).File.Proofs : near.File.Proofs,
            Stall = [.. near.File.Stall.Where(q => !gone.Contains(near.Key(q.Part)))],
            Teeth = near.File.Teeth is { } teeth && !gone.Contains(teeth.Part) ? teeth : null, Fit = near.File.Fit is { } fit ? Kept(fit, gone) : null,
            Drawing = null, Draft = this,
        };
        file = Trace is null ? file with { Drawing = Drawn(near, gone, parts) } : Trace.Parts.Count > 0 ? Drawn(file, near, Trace) : throw KindReader.Wrong(
            "trace", "Nothing is traced yet; tap round it, or let it look like the nearest kind.");
        KindReader.Check(file);
        return file;
    }

    private KindPart Own(KindPart part, HashSet<PartId> gone) => part with
    {
        Name = Called.GetValueOrDefault(part.Part)?.Trim() is { Length: > 0 } called ? called : part.Name,
        Rod = part.Rod is { } rod && gone.Contains(rod) ? null : part.Rod,
        Material = Made.GetValueOrDefault(part.Part)?.Material ?? part.Material, Finish = Made.GetValueOrDefault(part.Part)?.Finish ?? part.Finish,
    };

    private List<KindPart> Added(ToolKind near, HashSet<PartId> gone)
    {
        PartId main = near.Parts[0].Id;
        List<KindPart> added = [];
        foreach (KindExtra extra in Extras)
        {
            if (string.IsNullOrWhiteSpace(extra.Name) || gone.Contains(extra.On) || near.Part(extra.On) is not { On: null })
            {
                throw KindReader.Wrong("parts", $"\"{Units.Shorten.To(extra.Name, 40)}\" needs a name, and a part of the tool it sits on.");
            }
            PartId key = extra.Part ?? NextKey(Extras.Select(e => e.Part).Concat(added.Select(a => (PartId?)a.Part)));
            added.Add(new KindPart(key, extra.Name.Trim(), extra.Material)
            {
                On = extra.On, With = extra.On == main ? null : extra.On, Finish = extra.Finish,
            });
        }
        return added;
    }

    /// <summary>A key for a part it has beside that none of these has.</summary>
    public static PartId NextKey(IEnumerable<PartId?> taken) => Enumerable.Range(1, int.MaxValue)
        .Select(n => PartId.Of($"extra_{n.ToString(CultureInfo.InvariantCulture)}")).First(key => !taken.Contains(key));

    /// <summary>The file with the drawing that was traced: it is made larger or smaller as a whole, and what is not traced sits on what is.</summary>
    private static KindFile Drawn(KindFile file, ToolKind near, KindTrace trace)
    {
        // A part that was taken off again is no longer looked for in the trace.
        trace = trace with { Parts = [.. trace.Parts.Where(t => file.Parts.Any(p => p.Part == t.Part))] };
        Traced traced = TraceDrawing.Draw(trace, file.Parts, ToolCatalogue.Drawing(near.Id));
        PartId main = file.Parts[0].Part;
        return file with
        {
            Drawing = traced.Svg, LengthMm = traced.LengthMm, Fit = null, Teeth = null,
            Parts = [.. file.Parts.Select(p => traced.Places.TryGetValue(p.Part, out IReadOnlyList<KindPlace>? places)
                ? p with { On = null, Places = places, Apart = null }
                : p with { On = p.On is { } on && traced.Places.ContainsKey(on) ? on : main, Places = [], Apart = null })],
        };
    }

    private HashSet<PartId> Gone(ToolKind near)
    {
        HashSet<PartId> gone = [.. Without.Where(near.Made)];
        while (near.Parts.Skip(1).FirstOrDefault(p => !gone.Contains(p.Id) && gone.Any(g => p.GoesWith(g, near))) is { } more)
        {
            gone.Add(more.Id);
        }
        return gone;
    }

    private static string Plain(string name)
    {
        string plain = new([.. name.Trim().ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-').Take(KeyLetters)]);
        return plain.Trim('-') is { Length: > 0 } key ? key : "kind";
    }

    private static KindManner Kept(KindManner manner, HashSet<PartId> gone)
    {
        IReadOnlyList<InTurn> Turns(IEnumerable<InTurn> turns) => [.. turns.Where(t => t.Parts.Count == 0 || t.Parts.Any(p => !gone.Contains(p)))
            .Select(t => t with { Parts = [.. t.Parts.Where(p => !gone.Contains(p))], Unless = t.Unless is { } u && gone.Contains(u) ? null : t.Unless })];
        Doing Doing(Doing doing) => doing with
        {
            Order = Turns(doing.Order), Minding = Turns(doing.Minding), Then = doing.Then is { } then && Turns([then]) is [var kept] ? kept : null,
        };
        return manner with
        {
            Apart = Doing(manner.Apart), Together = Doing(manner.Together), Settings = Turns(manner.Settings), Bare = manner.Bare is { } bare ? Turns(bare)
                : null,
            About = manner.About is { } about && gone.Contains(about) ? null : manner.About,
        };
    }

    private static KindFit? Kept(KindFit fit, HashSet<PartId> gone)
    {
        List<KindMove> moves = [.. fit.Moves.Where(m => m.Parts is null || m.Parts.Any(p => !gone.Contains(p)))
            .Select(m => m with { Parts = m.Parts is { } parts ? [.. parts.Where(p => !gone.Contains(p))] : null })];
        return moves.Count == 0 ? null : fit with { Moves = moves };
    }

    /// <summary>The drawing of the nearest kind without what is gone, and in the colours of what is made otherwise.</summary>
    private string Drawn(ToolKind near, HashSet<PartId> gone, List<KindPart> parts)
    {
        var drawing = XDocument.Parse(ToolCatalogue.Svg(near.Id));
        static PartId Of(XElement group) => PartId.Of(group.Attribute("data-part")?.Value);
        drawing.Root!.Elements().Where(e => e.Name.LocalName == "g" && gone.Contains(Of(e))).Remove();
        foreach (XElement group in drawing.Root.Elements().Where(e => e.Name.LocalName == "g" && Made.ContainsKey(Of(e))))
        {
            Tones.Colour(group.Elements().Attributes("class"), Tones.Of(KindReader.Part(parts.First(p => p.Part == Of(group)))));
        }
        return drawing.ToString(SaveOptions.DisableFormatting);
    }
}
