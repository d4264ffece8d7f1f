using System.Runtime.CompilerServices;
using System.Text.Json;
using System.Text.Json.Serialization;
using Foundling.Core.Units;

namespace Foundling.Core.Tools;

/// <summary>Where a part of a tool comes from.</summary>
public enum PartStand
{
    /// <summary>It was made with it.</summary>
    AsMade,

    /// <summary>This tool never had one. What it had and lost is a finding.</summary>
    NeverHad,

    /// <summary>Somebody put it on: no tool of this kind has it.</summary>
    Added,

    /// <summary>Made by an owner in place of the part it had.</summary>
    HomeMade,

    /// <summary>It came from another tool.</summary>
    FromAnother,
}

/// <summary>How one part of a tool differs from the part of its kind. What is null is as the kind has it.</summary>
/// <param name="Part">The part.</param>
/// <param name="Stand">Where it comes from.</param>
public sealed record PartBuild(PartId Part, PartStand Stand = PartStand.AsMade)
{
    /// <summary>What an added part is called; null for a part of the kind.</summary>
    public string? Name { get; init; }

    /// <summary>What it is made of.</summary>
    public Material? Material { get; init; }

    /// <summary>How it is finished.</summary>
    public PartFinish? Finish { get; init; }

    /// <summary>The finish that lies under it, where it was coated over.</summary>
    public PartFinish? Under { get; init; }

    /// <summary>How it is held.</summary>
    public string? Held { get; init; }

    /// <summary>How its joint must be treated.</summary>
    public Joint? Joint { get; init; }

    /// <summary>Why it is not to be touched at all: an owner's initials, a label; null for a part that may be.</summary>
    public string? Spared { get; init; }

    /// <summary>The part an added one sits on.</summary>
    public PartId? On { get; init; }

    /// <summary>The trait whose look says so; null where a person did.</summary>
    public string? Trait { get; init; }

    /// <summary>The trait whose look says otherwise: a person had the last word, also where that is what the kind has.</summary>
    public string? Against { get; init; }

    /// <summary>What another version of the program wrote into it and this one does not know.</summary>
    [JsonExtensionData]
    public IDictionary<string, JsonElement>? More { get; init; }

    /// <summary>True when it says anything the kind and the looks do not.</summary>
    [JsonIgnore]
    public bool Says => Stand != PartStand.AsMade || Material is not null || Finish is not null || Under is not null || Held is not null || Joint is not null
        || Against is not null || Spared is not null;

    /// <summary>The same, with what the other says put over it.</summary>
    public PartBuild Over(PartBuild below) => below with
    {
        Stand = Stand == PartStand.AsMade ? below.Stand : Stand, Name = Name ?? below.Name, Material = Material ?? below.Material,
        Finish = Finish ?? below.Finish, Under = Under ?? below.Under, Held = Held ?? below.Held, Joint = Joint ?? below.Joint, On = On ?? below.On,
        Spared = Spared ?? below.Spared,
    };

    /// <summary>The part as it is on this tool.</summary>
    public PartDef Of(PartDef part) => part with
    {
        Name = Name ?? part.Name, Material = Material ?? part.Material, Finish = Finish ?? Materials.Keeping(Material ?? part.Material, part.Finish),
        Under = Under, Held = Held ?? part.Held, Joint = Joint ?? part.Joint, Stand = Stand, Spared = Spared,
    };
}

/// <summary>Something said about a part at once.</summary>
/// <param name="Material">What it is made of; null for nothing said.</param>
/// <param name="Finish">How it is finished; null for nothing said.</param>
/// <param name="Stand">Where it comes from; null for nothing said.</param>
/// <param name="Holding">True when the rest was said too, also where it is nothing.</param>
/// <param name="Under">The finish that lies under it; null for none.</param>
/// <param name="Joint">How its joint must be treated.</param>
/// <param name="Held">How it is held; empty for as usual.</param>
public sealed record PartChange(Material? Material = null, PartFinish? Finish = null, PartStand? Stand = null, bool Holding = false, PartFinish? Under = null,
    Joint? Joint = null, string? Held = null);

/// <summary>Finishes a material can have.</summary>
public static class Materials
{
    /// <summary>Those of a material, the usual ones first.</summary>
    public static IReadOnlyList<PartFinish> Finishes(Material material) => material switch
    {
        Material.CastIron => [PartFinish.Bare, PartFinish.Japanned, PartFinish.Plated, PartFinish.Painted],
        Material.Steel => [PartFinish.Bare, PartFinish.Plated, PartFinish.Painted, PartFinish.Japanned],
        Material.EdgeSteel or Material.SpringSteel or Material.Brass => [PartFinish.Bare, PartFinish.Plated, PartFinish.Painted],
        Material.Wood => [PartFinish.Varnished, PartFinish.Oiled, PartFinish.Painted, PartFinish.Bare],
        _ => [PartFinish.Bare],
    };

    /// <summary>The finish a part keeps when it is of this material: its own where that can be, else none.</summary>
    public static PartFinish Keeping(Material material, PartFinish finish) => Finishes(material).Contains(finish) ? finish : PartFinish.Bare;
}

/// <summary>How a tool differs from its kind. It never changes: what is said later makes another.</summary>
public sealed record ToolBuild
{
    private const string AddedPrefix = "added_";

    private static readonly ConditionalWeakTable<ToolBuild, ConditionalWeakTable<ToolKind, ToolKind>> Known = new();

    /// <summary>A tool just as its kind is.</summary>
    public static ToolBuild AsMade { get; } = new();

    /// <summary>Parts that differ, each once.</summary>
    public IReadOnlyList<PartBuild> Parts { get; init; } = [];

    /// <summary>Which form a feature has, where somebody looked.</summary>
    public IReadOnlyDictionary<FeatureId, FormId> Forms { get; init; } = new Dictionary<FeatureId, FormId>();

    /// <summary>What another version of the program wrote into it and this one does not know.</summary>
    [JsonExtensionData]
    public IDictionary<string, JsonElement>? More { get; init; }

    /// <summary>True when nothing differs.</summary>
    [JsonIgnore]
    public bool IsAsMade => Parts.Count == 0 && Forms.Count == 0 && More is null;

    /// <summary>True for the key of a part that was added.</summary>
    public static bool IsAdded(PartId part) => part.Value.Length <= AddedPrefix.Length + 2 && part.Value.StartsWith(AddedPrefix, StringComparison.Ordinal)
        && int.TryParse(part.Value.AsSpan(AddedPrefix.Length), out int n) && n is > 0 and < 100;

    /// <summary>True when another says the same.</summary>
    public bool Same(ToolBuild? other) => (other ?? AsMade) is var o && Parts.OrderBy(p => p.Part).SequenceEqual(o.Parts.OrderBy(p => p.Part))
        && Forms.OrderBy(f => f.Key).SequenceEqual(o.Forms.OrderBy(f => f.Key));

    /// <summary>How a part differs; null when it does not.</summary>
    public PartBuild? Of(PartId part) => Parts.FirstOrDefault(p => p.Part == part);

    /// <summary>The same with one part said anew; a part that says nothing differs no more.</summary>
    public ToolBuild With(PartBuild part) => this with { Parts = [.. Parts.Where(p => p.Part != part.Part), .. part.Says ? [part] : Array.Empty<PartBuild>()] };

    /// <summary>The same with something said about a part; what is as the kind has it is said no more.</summary>
    /// <param name="kind">Its kind.</param>
    /// <param name="part">The part as it is now.</param>
    /// <param name="change">What is said.</param>
    /// <exception cref="InputException">No such material, finish or joint, or a finish that material cannot have.</exception>
    public ToolBuild Said(ToolKind kind, PartDef part, PartChange change)
    {
        Check(kind, part, change);
        PartBuild now = Of(part.Id) ?? new PartBuild(part.Id);
        if (part.Stand == PartStand.Added && change.Stand == PartStand.NeverHad)
        {
            return this with { Parts = [.. Parts.Where(p => p.Part != part.Id)] };
        }
        // What the kind and the forms of its features say is what is left unsaid; of an added part nothing is.
        PartDef? usual = part.Stand == PartStand.Added ? null
            : (this with { Parts = [.. Parts.Where(p => p.Part != part.Id)] }).Of(kind).Part(part.Id) ?? part;
        Material material = change.Material ?? part.Material;
        PartFinish finish = change.Finish
            ?? (change.Material is not null && material == usual?.Material ? usual.Finish : Materials.Keeping(material, part.Finish));
        PartBuild said = now with
        {
            Material = material == usual?.Material ? null : material, Finish = finish == usual?.Finish ? null : finish,
            Stand = usual is null ? PartStand.Added : change.Stand ?? now.Stand,
            Against = now.Trait ?? now.Against, Trait = null,
        };
        return With(Held(said, usual, change));
    }

    private static void Check(ToolKind kind, PartDef part, PartChange change)
    {
        Material material = change.Material ?? part.Material;
        bool known = Enum.IsDefined(material) && (change.Finish is not { } f || Enum.IsDefined(f)) && (change.Under is not { } u || Enum.IsDefined(u))
            && (change.Joint is not { } j || Enum.IsDefined(j)) && (change.Stand is not { } s || (Enum.IsDefined(s) && s != PartStand.Added));
        if (!known || (change.Finish is { } finish && !Materials.Finishes(material).Contains(finish)))
        {
            throw new InputException("bad_build", "build", change.Finish?.ToString(), string.Join(", ", Materials.Finishes(material)),
                "A part is made, finished and held in one of the ways that are shown.");
        }
        if (change.Stand == PartStand.NeverHad && kind.Part(part.Id) is { } made && !Faults.CanNeverHave(kind, made))
        {
            throw new InputException("main_part", "stand", part.Id.Value, "a part such a tool can be without",
                $"Every {kind.Name.ToLowerInvariant()} had {Articles.A(part.Name)}; what it lost is lost.");
        }
        if (change.Held is { Length: > MostHeld })
        {
            throw new InputException("too_long", "held", change.Held.Length, $"at most {MostHeld} letters",
                $"This is {change.Held.Length:#,0} letters long; {MostHeld} are the most.");
        }
    }

    /// <summary>Most letters of how a part is held, and of the name of an added one.</summary>
    public const int MostHeld = 200, MostName = 60;

    private static PartBuild Held(PartBuild said, PartDef? usual, PartChange change) => !change.Holding ? said : said with
    {
        Under = change.Under, Joint = change.Joint == (usual?.Joint ?? Joint.Plain) ? null : change.Joint,
        Held = string.IsNullOrWhiteSpace(change.Held) ? null : change.Held.Trim(),
    };

    /// <summary>What a person said is left: the part, whether it only stays on, and why.</summary>
    [JsonIgnore]
    public IEnumerable<(PartId Part, bool StaysOn, string Why)> Left => Parts.SelectMany(p => new[]
    {
        (p.Part, false, p.Spared ?? ""), (p.Part, true, p.Joint == Tools.Joint.StaysOn ? p.Held ?? "" : ""),
    }).Where(l => l.Item3.Length > 0);

    /// <summary>The same with a part that is left on, or not touched at all, because a person says so; no words take that back.</summary>
    /// <param name="kind">Its kind.</param>
    /// <param name="part">The part as it is now.</param>
    /// <param name="staysOn">True where it only stays on; false where it is not to be touched at all.</param>
    /// <param name="why">Why; empty to take it back.</param>
    /// <exception cref="InputException">Too many words, or a main part, which everything else comes off.</exception>
    public ToolBuild Leaving(ToolKind kind, PartDef part, bool staysOn, string? why)
    {
        string? words = string.IsNullOrWhiteSpace(why) ? null : why.Trim();
        if (words?.Length > MostHeld)
        {
            throw new InputException("too_long", "why", words.Length, $"at most {MostHeld} letters",
                $"This is {words.Length:#,0} letters long; {MostHeld} are the most.");
        }
        if (staysOn && words is not null && part.Id == kind.Parts[0].Id)
        {
            throw new InputException("main_part", "part", part.Id.Value, "a part that could come off",
                $"Everything else comes off the {part.Name}; it can only be left untouched.");
        }
        PartBuild now = Of(part.Id) ?? new PartBuild(part.Id, part.Stand);
        return With(!staysOn ? now with { Spared = words } : now with { Joint = words is null ? null : Tools.Joint.StaysOn, Held = words });
    }

    /// <summary>The same with a part added.</summary>
    /// <param name="name">What it is called.</param>
    /// <param name="material">What it is made of.</param>
    /// <param name="finish">How it is finished.</param>
    /// <param name="on">The part it sits on.</param>
    public ToolBuild Adding(string name, Material material, PartFinish finish, PartId on)
    {
        int free = Parts.Where(p => IsAdded(p.Part)).Select(p => int.Parse(p.Part.Value.AsSpan(AddedPrefix.Length), null)).DefaultIfEmpty(0).Max() + 1;
        return With(new PartBuild(PartId.Of($"{AddedPrefix}{free}"), PartStand.Added) { Name = name, Material = material, Finish = finish, On = on });
    }

    /// <summary>The same with a feature said anew; null takes it back.</summary>
    public ToolBuild With(FeatureId feature, FormId? form)
    {
        var forms = Forms.Where(f => f.Key != feature).ToDictionary(f => f.Key, f => f.Value);
        if (form is { } said)
        {
            forms[feature] = said;
        }
        return this with { Forms = forms };
    }

    /// <summary>The kind as this tool has it: parts it never had are not there, those added are, and each is as it is on this one.</summary>
    /// <param name="kind">Its kind; what is said of parts the kind has not is set aside.</param>
    public ToolKind Of(ToolKind kind)
    {
        if (IsAsMade)
        {
            return kind;
        }
        // By the kind itself, not its key: a shop may change its own.
        return Known.GetOrCreateValue(this).GetValue(kind, Make);
    }

    private ToolKind Make(ToolKind kind)
    {
        var forms = Feature.Of(kind).Where(f => Forms.ContainsKey(f.Id)).Select(f => (f.Id, Form: f.Find(Forms[f.Id]))).Where(f => f.Form is not null)
            .ToDictionary(f => f.Id, f => f.Form!);
        PartBuild? Said(PartId part)
        {
            PartBuild? made = forms.Values.SelectMany(f => f.Makes).FirstOrDefault(m => m.Part == part), said = Of(part);
            return said is null ? made : made is null ? said : said.Over(made);
        }
        var never = kind.Parts.Where(p => Said(p.Id)?.Stand == PartStand.NeverHad).Select(p => p.Id).ToHashSet();
        // What goes with a part goes with it: its screws, its rod, what sits on it.
        while (kind.Parts.FirstOrDefault(p => !never.Contains(p.Id) && never.Any(n => p.GoesWith(n, kind))) is { } with)
        {
            never.Add(with.Id);
        }
        PartDef[] parts = [.. kind.Parts.Where(p => !never.Contains(p.Id)).Select(p => Said(p.Id) is { } said ? said.Of(p) : p)];
        return kind with
        {
            // The sole is the underside of the body.
            Sole = kind.Sole == SoleOf.None || parts.FirstOrDefault(p => p.Is(PartIds.Body)) is not { } body ? kind.Sole
                : body.Material == Material.Wood ? SoleOf.Wood : SoleOf.Metal,
            Parts =
            [
                .. parts,
                .. Parts.Where(p => p.Stand == PartStand.Added).Select(p => p.Of(new PartDef(p.Part, p.Name ?? p.Part.Value, p.Material ?? Material.Steel,
                    On: p.On is { } on && kind.Part(on) is { } there ? there.DrawnAs : null))),
            ],
            Forms = forms.ToDictionary(f => f.Key, f => f.Value.Id),
            Never = [.. kind.Parts.Where(p => never.Contains(p.Id))],
        };
    }
}
