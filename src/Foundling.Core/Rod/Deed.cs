using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using System.Text.Json.Serialization;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Safety;

namespace Foundling.Core.Rod;

/// <summary>What a person did to a deed of the plan.</summary>
public enum StepHand
{
    /// <summary>Nothing: it is as the rules made it.</summary>
    Rule,

    /// <summary>The person added it.</summary>
    Added,

    /// <summary>The person split it off another.</summary>
    Split,

    /// <summary>The person moved it.</summary>
    Moved,
}

/// <summary>A deed this one comes after.</summary>
/// <param name="Id">The earlier deed.</param>
/// <param name="Why">Why this order.</param>
/// <param name="Lag">What must have passed between them; null for nothing.</param>
public sealed record Follows(DeedId Id, string Why, Lag? Lag = null);

/// <summary>A planned step. It never changes: a plan that is made anew, or changed by hand, has other deeds.</summary>
/// <param name="Id">Key within the plan.</param>
/// <param name="Stage">Stage of the work.</param>
/// <param name="Title">What to do, in one line.</param>
/// <param name="Minutes">Hands-on minutes.</param>
[method: JsonConstructor]
public sealed record Deed(DeedId Id, Stage Stage, string Title, ThreePoint Minutes)
{
    /// <summary>A deed with its place, its title and its hands-on minutes.</summary>
    public Deed(DeedId id, Stage stage, string title, double low, double likely, double high)
        : this(id, stage, title, new ThreePoint(low, likely, high))
    {
    }

    /// <summary>What is done in it.</summary>
    [JsonIgnore]
    public DeedKind Kind => DeedKinds.Of(Id.Step);

    /// <summary>The room it belongs to.</summary>
    [JsonIgnore]
    public DeedRoom Room => DeedKinds.RoomOf(Id.Step);

    /// <summary>Parts it is about.</summary>
    public IReadOnlyList<PartId> Parts { get; init; } = [];

    /// <summary>What it uses, kit and materials.</summary>
    public IReadOnlyList<Need> Needs { get; init; } = [];

    /// <summary>Material it uses up, with its amounts.</summary>
    [JsonIgnore]
    public IEnumerable<Need> UsesUp => Needs.Where(n => !n.Kit && n.Amount > 0);

    /// <summary>Resources it holds while it is done: what is free again afterwards.</summary>
    [JsonIgnore]
    public IEnumerable<Need> Holds => Needs.Where(n => n.Kit);

    /// <summary>What the hurt could be.</summary>
    public IReadOnlyList<CautionId> Cautions { get; init; } = [];

    /// <summary>Deeds of the plan that must be done first, and what must have passed since.</summary>
    public IReadOnlyList<Follows> After { get; init; } = [];

    /// <summary>Deeds of its own rule it comes after, whatever the rules of order say, and what must have passed since; null for none.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public IReadOnlyList<Follows>? Since { get; init; }

    /// <summary>Time that passes by itself after it; null for none.</summary>
    public Lag? Lag { get; init; }

    /// <summary>Why.</summary>
    public string Reason { get; init; } = "";

    /// <summary>How.</summary>
    public string How { get; init; } = "";

    /// <summary>How to know that it is finished.</summary>
    public string FinishTest { get; init; } = "";

    /// <summary>True when it cannot be undone.</summary>
    public bool Final { get; init; }

    /// <summary>False when it cannot be undone.</summary>
    [JsonIgnore]
    public bool Undoable
    {
        get => !Final;
        init => Final = !value;
    }

    /// <summary>True for a case that may never come up; the title then begins with the case.</summary>
    public bool OnlyIfNeeded { get; init; }

    /// <summary>Original surface it costs; null for none.</summary>
    [JsonConverter(typeof(SurfaceJson))]
    public SurfaceId? SurfaceLost { get; init; }

    /// <summary>Metal it takes off, mm.</summary>
    public double MetalRemovedMm { get; init; }

    /// <summary>The unbroken block it belongs to.</summary>
    public Block? Block { get; init; }

    /// <summary>The bath it goes into; null for none.</summary>
    public Baths.BathKind? Bath { get; init; }

    /// <summary>Name of the rule that put it in; empty for a person's own.</summary>
    public string Rule { get; init; } = "";

    /// <summary>Choice of ways it follows from; null when no way changes it.</summary>
    public ChoiceId? Choice { get; init; }

    /// <summary>What a person did to it.</summary>
    public StepHand Hand { get; init; }

    /// <summary>True when a person put it before every other.</summary>
    public bool First { get; init; }

    /// <summary>The deed a person put it behind; null when the rules alone place it.</summary>
    public DeedId? Behind { get; init; }

    /// <summary>What it waits for, in words, such as a part on order; empty for nothing.</summary>
    public string WaitsFor { get; init; } = "";

    /// <summary>When what it waits for should come.</summary>
    public DateOnly? ArrivesOn { get; init; }

    /// <summary>What another version of the program wrote into it and this one does not know.</summary>
    [JsonExtensionData]
    public IDictionary<string, JsonElement>? More { get; init; }

    /// <summary>
    /// What is agreed to when this deed is: the act with its parts, how it is done and what it costs. A deed of the same key
    /// that does something else has another content, and is asked about again.
    /// </summary>
    [JsonIgnore]
    public string Content => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(string.Join('\n',
        [Id.ToString(), Kind.ToString(), Title, How, SurfaceLost is { } lost ? Surfaces.Name(lost) : "",
            MetalRemovedMm.ToString("0.###", System.Globalization.CultureInfo.InvariantCulture),
            Final ? "final" : "", .. Parts.Select(p => p.Value), .. Needs.Select(n => n.Item.Value)]))))[..16];
}
