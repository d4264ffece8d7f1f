using System.Globalization;
using System.Xml.Linq;

namespace Foundling.Core.Tools.Kinds;

/// <summary>A part a kind of one's own has beside those of the nearest kind.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Material">What it is made of.</param>
/// <param name="On">The part it sits on, whose drawing stands for it.</param>
public sealed record KindExtra(string Name, Material Material, PartId On);

/// <summary>A kind of the shop's own, said by how it differs from the nearest one there is.</summary>
/// <param name="Near">The nearest kind.</param>
/// <param name="Name">What it is called.</param>
public sealed record KindDraft(KindId Near, string Name)
{
    /// <summary>Beginning of the key of every kind a shop makes.</summary>
    public const string Prefix = "own-";

    private const int KeyLetters = 24;

    /// <summary>Parts of the nearest kind it has not; what goes with them goes too.</summary>
    public IReadOnlyList<PartId> Without { get; init; } = [];

    /// <summary>Parts that are called otherwise.</summary>
    public IReadOnlyDictionary<PartId, string> Called { get; init; } = new Dictionary<PartId, string>();

    /// <summary>Parts it has beside.</summary>
    public IReadOnlyList<KindExtra> Extras { get; init; } = [];

    /// <summary>What its length measures; null for the same as the nearest kind.</summary>
    public string? Length { get; init; }

    /// <summary>The file of the kind, its drawing in it.</summary>
    /// <param name="suffix">Letters and figures that no other shop's kind has.</param>
    /// <exception cref="InputException">It has no name, no parts left, or an extra that cannot be; the sentence says what.</exception>
    public KindFile File(string suffix)
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
        HashSet<PartId> gone = Gone(near);
        List<KindPart> parts = [.. near.File.Parts.Where(p => !gone.Contains(p.Part)).Select(p => p with
        {
            Name = Called.GetValueOrDefault(p.Part)?.Trim() is { Length: > 0 } called ? called : p.Name, Rod = p.Rod is { } rod && gone.Contains(rod) ? null
                : p.Rod,
        })];
        foreach (KindExtra extra in Extras)
        {
            if (string.IsNullOrWhiteSpace(extra.Name) || parts.All(p => p.Part != extra.On || p.On is not null))
            {
                throw KindReader.Wrong("parts", $"\"{Units.Shorten.To(extra.Name, 40)}\" needs a name, and a part of the tool it sits on.");
            }
            parts.Add(new KindPart(PartId.Of($"extra_{parts.Count.ToString(CultureInfo.InvariantCulture)}"), extra.Name.Trim(), extra.Material)
            {
                On = extra.On, With = extra.On == parts[0].Part ? null : extra.On,
            });
        }
        KindFile file = near.File with
        {
            Kind = KindId.Of($"{Prefix}{Plain(Name)}-{suffix}"), Name = Name.Trim(), Length = Length?.Trim() is { Length: > 0 } said ? said : near.LengthIs,
            Parts = parts,
            Manner = near.File.Manner is { } manner ? Kept(manner, gone) : null, Stall = [.. near.File.Stall.Where(q => !gone.Contains(near.Key(q.Part)))],
            Teeth = near.File.Teeth is { } teeth && !gone.Contains(teeth.Part) ? teeth : null, Fit = near.File.Fit is { } fit ? Kept(fit, gone) : null,
            Drawing = Drawn(ToolCatalogue.Svg(Near), gone),
        };
        KindReader.Check(file);
        return file;
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

    private static string Drawn(string svg, HashSet<PartId> gone)
    {
        var drawing = XDocument.Parse(svg);
        drawing.Root!.Elements().Where(e => e.Name.LocalName == "g" && gone.Contains(PartId.Of(e.Attribute("data-part")?.Value))).Remove();
        return drawing.ToString(SaveOptions.DisableFormatting);
    }
}
