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

/// <summary>In which case a step takes other minutes than usual.</summary>
public enum StepCase
{
    /// <summary>As it mostly is.</summary>
    Usual,

    /// <summary>More for each of several: a screw, a part, an iron, a foot of teeth.</summary>
    Each,

    /// <summary>Only until it works.</summary>
    Little,

    /// <summary>Where there is much to do.</summary>
    Much,

    /// <summary>By grinding back.</summary>
    Grind,

    /// <summary>With a shim.</summary>
    Shim,

    /// <summary>With the back lifted a hair.</summary>
    Lift,

    /// <summary>A blade that passes a hook.</summary>
    Blade,

    /// <summary>Such a blade with nicks in it.</summary>
    Nicks,

    /// <summary>On wood.</summary>
    Wood,
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

/// <summary>Says what a step takes by the book, from practice; all of it stands in the shop's list of assumptions.</summary>
/// <param name="what">What it is, after "to".</param>
/// <param name="low">Minutes if all goes well.</param>
/// <param name="likely">Minutes most often.</param>
/// <param name="high">Minutes if it fights back.</param>
/// <param name="case">In which case.</param>
[AttributeUsage(AttributeTargets.Field, AllowMultiple = true)]
public sealed class TakesAttribute(string what, double low, double likely, double high, StepCase @case = StepCase.Usual) : Attribute
{
    /// <summary>What it is, after "to".</summary>
    public string What { get; } = what;

    /// <summary>Minutes if all goes well.</summary>
    public double Low { get; } = low;

    /// <summary>Minutes most often.</summary>
    public double Likely { get; } = likely;

    /// <summary>Minutes if it fights back.</summary>
    public double High { get; } = high;

    /// <summary>In which case.</summary>
    public StepCase Case { get; } = @case;

    /// <summary>Metal it takes off, mm.</summary>
    public double MetalMm { get; init; }
}
