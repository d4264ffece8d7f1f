using System.Text.Json.Serialization;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Rod;

namespace Foundling.Core.Soaks;

/// <summary>A bath that was mixed and stands in the shop, with all that happened to it.</summary>
public sealed class StandingBath
{
    /// <summary>Its number in this shop, from 1.</summary>
    public int Number { get; set; }

    /// <summary>What the shop calls it: "the long gutter".</summary>
    public string Name { get; set; } = "";

    /// <summary>What it is mixed in.</summary>
    public Container Container { get; set; } = Container.Box(400, 300, 150);

    /// <summary>Which bath.</summary>
    public BathKind Kind { get; set; }

    /// <summary>Strength of an acid as mixed, %; null for others.</summary>
    public double? Percent { get; set; }

    /// <summary>Liquid as mixed, L.</summary>
    public double Litres { get; set; }

    /// <summary>How warm it was mixed, °C; null for as warm as the shop.</summary>
    public double? WarmC { get; set; }

    /// <summary>What the power supply gives, A; null where none is needed or it gives enough.</summary>
    public double? SupplyA { get; set; }

    /// <summary>When it was mixed.</summary>
    public DateTimeOffset MixedAt { get; set; }

    /// <summary>When it was poured away; null while it stands.</summary>
    public DateTimeOffset? PouredAt { get; set; }

    /// <summary>Counts every change, so that two hands do not undo each other's.</summary>
    public int Version { get; set; }

    /// <summary>What happened to it, in order.</summary>
    public List<BathEvent> Events { get; set; } = [];

    /// <summary>Adds what happened. Its moment is after all that happened before, whatever the clock of the shop says.</summary>
    /// <param name="at">When.</param>
    /// <param name="kind">What.</param>
    /// <param name="load">The load it is about; null for the bath as a whole.</param>
    /// <param name="note">What was seen, put in or taken out.</param>
    public BathEvent Happened(DateTimeOffset at, BathDeed kind, Guid? load, BathNote? note = null)
    {
        DateTimeOffset last = Events.Select(e => e.At).DefaultIfEmpty(DateTimeOffset.MinValue).Max();
        var happened = BathEvent.New(at > last ? at : last.AddTicks(1), kind, load, note);
        Events.Add(happened);
        Version++;
        return happened;
    }

    /// <summary>True for an acid, which is neutralised.</summary>
    public bool IsAcid => Kind is BathKind.Citric or BathKind.Acetic or BathKind.Phosphoric;
}

/// <summary>What happened to a bath.</summary>
public enum BathDeed
{
    /// <summary>Parts went in.</summary>
    LoadIn,

    /// <summary>Someone looked in.</summary>
    LookedIn,

    /// <summary>Parts were scrubbed and put back: the next soak of the same load.</summary>
    Scrubbed,

    /// <summary>Parts came out.</summary>
    TakenOut,

    /// <summary>What came out is dry and oiled.</summary>
    Oiled,

    /// <summary>Its temperature was measured.</summary>
    Felt,

    /// <summary>It was poured away.</summary>
    PouredAway,

    /// <summary>Another event is taken back.</summary>
    TakenBack,
}

/// <summary>Something that happened to a bath. Events are only ever added: what was wrong is taken back by another.</summary>
public sealed class BathEvent
{
    /// <summary>Key, made where it is made.</summary>
    public Guid Id { get; init; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; init; }

    /// <summary>What.</summary>
    public BathDeed Kind { get; init; }

    /// <summary>The load it is about; null for the bath as a whole.</summary>
    public Guid? Load { get; init; }

    /// <summary>What was seen, put in or taken out.</summary>
    public BathNote Note { get; init; } = new();

    /// <summary>An event at a moment, with a key of its own.</summary>
    public static BathEvent New(DateTimeOffset at, BathDeed kind, Guid? load, BathNote? note = null) =>
        new() { Id = Guid.CreateVersion7(at), At = at, Kind = kind, Load = load, Note = note ?? new BathNote() };
}

/// <summary>How the liquid bubbles.</summary>
[JsonConverter(typeof(KeyJson))]
public enum Bubbles
{
    /// <summary>None.</summary>
    None,

    /// <summary>A few, from rust.</summary>
    Few,

    /// <summary>Many, from bare metal too.</summary>
    Many,
}

/// <summary>What colour the liquid is.</summary>
[JsonConverter(typeof(KeyJson))]
public enum LiquidColour
{
    /// <summary>As mixed.</summary>
    Clear,

    /// <summary>Yellow.</summary>
    Yellow,

    /// <summary>Brown.</summary>
    Brown,

    /// <summary>Black.</summary>
    Black,
}

/// <summary>What an event of a bath says beyond what it is.</summary>
public sealed record BathNote
{
    /// <summary>What went in.</summary>
    public IReadOnlyList<SoakedPart> Parts { get; init; } = [];

    /// <summary>Keys of the parts it is about; empty for all of the load.</summary>
    public IReadOnlyList<string> Of { get; init; } = [];

    /// <summary>Share of the rust still there, 0 to 1, on all it is about; null when nobody said.</summary>
    public double? Left { get; init; }

    /// <summary>The same part by part, by key, where the parts differ.</summary>
    public IReadOnlyDictionary<string, double> LeftOf { get; init; } = new Dictionary<string, double>();

    /// <summary>Keys of parts that were seen to bloom brown before they were oiled.</summary>
    public IReadOnlyList<string> Bloom { get; init; } = [];

    /// <summary>What was found on tools with that, so that it can be taken back.</summary>
    public IReadOnlyList<RoundFinding> Found { get; init; } = [];

    /// <summary>Colour of the liquid; null when nobody said.</summary>
    public LiquidColour? Colour { get; init; }

    /// <summary>How it bubbled; null when nobody said.</summary>
    public Bubbles? Bubbles { get; init; }

    /// <summary>Temperature of the liquid, °C; null when not measured.</summary>
    public double? TemperatureC { get; init; }

    /// <summary>Weight before the bath, g.</summary>
    public double? BeforeG { get; init; }

    /// <summary>Weight after it, clean and dry, g.</summary>
    public double? AfterG { get; init; }

    /// <summary>Words.</summary>
    public string Text { get; init; } = "";

    /// <summary>Where somebody laid the parts; what is not named here finds its own place.</summary>
    public IReadOnlyList<Wanted> Places { get; init; } = [];

    /// <summary>The event that is taken back.</summary>
    public Guid? TakesBack { get; init; }
}

/// <summary>A finding on a tool that came of a soak.</summary>
/// <param name="Tag">Number of the tag.</param>
/// <param name="Id">Key of the finding.</param>
/// <param name="Part">The part.</param>
/// <param name="Severity">How rusty it is now, 0 to 4.</param>
/// <param name="Note">What was seen.</param>
/// <param name="Was">What the finding said before, where there was one; null where it is new.</param>
/// <param name="WasNote">What its note said then.</param>
public sealed record RoundFinding(int Tag, Guid Id, PartId Part, int Severity, string Note, int? Was = null, string WasNote = "");

/// <summary>A part as it went into a bath.</summary>
/// <param name="Tag">Number of its tag.</param>
/// <param name="Part">The part.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Rust">How rusty it is.</param>
/// <param name="AreaDm2">All of its surface, dm².</param>
/// <param name="Litres">Liquid it takes the place of, L.</param>
/// <param name="LengthMm">Its longest side, mm.</param>
/// <param name="WidthMm">Its next side, mm.</param>
/// <param name="ThickMm">Its shortest side, mm.</param>
public sealed record SoakedPart(int Tag, PartId Part, string Name, RustLevel Rust, double AreaDm2, double Litres, double LengthMm, double WidthMm,
    double ThickMm) : ISoaks
{
    /// <summary>It must be out of this bath by then, h; null for no known limit.</summary>
    public double? LimitHours { get; init; }

    /// <summary>Why, in a sentence; null for no limit.</summary>
    public string? Why { get; init; }

    /// <summary>The step of its rod that put it in; null for none.</summary>
    public DeedId? Step { get; init; }

    /// <summary>Parts that go in with it because they cannot be parted from it.</summary>
    public IReadOnlyList<PartId> With { get; init; } = [];

    /// <summary>What is seen of it from above as it lies, as an SVG path in mm; empty for a plain block.</summary>
    public string Path { get; init; } = "";

    /// <summary>What it is known by in the load.</summary>
    [JsonIgnore]
    public string Key => $"{Tag}/{Part.Value}";

    /// <summary>The piece that lies in the container.</summary>
    [JsonIgnore]
    public BathPiece Piece => new(Key, Name, LengthMm, WidthMm, ThickMm, Litres);
}
