namespace Foundling.Core.Keys;

/// <summary>What is done in a step, which decides what it holds, how its time runs and which gauges help.</summary>
public enum DeedKind
{
    /// <summary>Work by hand that is nothing more particular.</summary>
    ByHand,

    /// <summary>Looking, listing, noting: nothing on the tool changes.</summary>
    Look,

    /// <summary>Measuring.</summary>
    Measure,

    /// <summary>Trying and proving.</summary>
    Prove,

    /// <summary>Taking apart.</summary>
    TakeApart,

    /// <summary>Putting together.</summary>
    PutTogether,

    /// <summary>Into a liquid that works by itself.</summary>
    Soak,

    /// <summary>Left to dry by air.</summary>
    DryByAir,

    /// <summary>A coat of paint, oil, shellac or wax.</summary>
    Coat,

    /// <summary>Coats baked in an oven.</summary>
    Bake,

    /// <summary>Glue or oil that cures.</summary>
    Cure,

    /// <summary>Lapping.</summary>
    Lap,

    /// <summary>Grinding.</summary>
    Grind,

    /// <summary>Honing.</summary>
    Hone,

    /// <summary>Filing and setting saw teeth.</summary>
    FileTeeth,

    /// <summary>Getting a part.</summary>
    Order,
}

/// <summary>The rooms deeds belong to.</summary>
public enum DeedRoom
{
    /// <summary>Work by hand, taking apart and putting together.</summary>
    Bench,

    /// <summary>Looking and noting.</summary>
    State,

    /// <summary>Trying and proving.</summary>
    Proof,

    /// <summary>Soaking.</summary>
    Baths,

    /// <summary>Flat faces.</summary>
    Soles,

    /// <summary>Edges, teeth, jaws and mouths.</summary>
    Edges,

    /// <summary>Coats, oil, wax and glue.</summary>
    Finishes,

    /// <summary>Getting parts.</summary>
    Stores,
}

/// <summary>Says what is done in a step; without it, it is work by hand.</summary>
/// <param name="kind">What is done.</param>
[AttributeUsage(AttributeTargets.Field)]
public sealed class DeedAttribute(DeedKind kind) : Attribute
{
    /// <summary>Says what is done, and which room it belongs to where that does not follow.</summary>
    /// <param name="kind">What is done.</param>
    /// <param name="room">The room.</param>
    public DeedAttribute(DeedKind kind, DeedRoom room)
        : this(kind) => Room = room;

    /// <summary>The room it belongs to; null for the one of its kind.</summary>
    public DeedRoom? Room { get; }

    /// <summary>What is done.</summary>
    public DeedKind Kind { get; } = kind;
}
