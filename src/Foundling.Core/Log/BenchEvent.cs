namespace Foundling.Core.Log;

/// <summary>What happened in an event.</summary>
public enum EventKind
{
    /// <summary>The clock started.</summary>
    Started,

    /// <summary>The clock stopped; carries the minutes.</summary>
    Stopped,

    /// <summary>Words.</summary>
    Note,

    /// <summary>Minutes added or taken by hand; names the event it puts right, where there is one.</summary>
    Corrected,

    /// <summary>A step was finished.</summary>
    Done,

    /// <summary>A step was left out; carries the reason.</summary>
    LeftOut,

    /// <summary>A step that was finished or left out was taken up again.</summary>
    Reopened,

    /// <summary>It was agreed that a step which cannot be undone may be done; carries the words and what was agreed to.</summary>
    Agreed,

    /// <summary>What a step waited for has come.</summary>
    Arrived,

    /// <summary>A wait began: into the bath, glue drying.</summary>
    WaitBegun,

    /// <summary>Someone looked in on a wait.</summary>
    LookedIn,

    /// <summary>A wait ended: out of the bath, glue cured.</summary>
    WaitEnded,

    /// <summary>Material was used.</summary>
    UsedUp,

    /// <summary>Something was measured.</summary>
    Measured,

    /// <summary>A step was done against a rule of order; carries the reason.</summary>
    Overruled,

    /// <summary>Words that go with the tool in its papers.</summary>
    PapersNote,

    /// <summary>Money spent on it beyond its price.</summary>
    Spent,

    /// <summary>A step goes on without something it needs; carries what, and what stands in for it or why.</summary>
    WentWithout,
}

/// <summary>
/// Something that happened at the bench. Events are only ever added: what was wrong is put right by another. How steps stand,
/// minutes, waits and money are read off them.
/// </summary>
public sealed class BenchEvent
{
    /// <summary>An event at a moment, with a key of its own.</summary>
    /// <param name="at">When.</param>
    /// <param name="kind">What.</param>
    /// <param name="text">In words.</param>
    /// <param name="step">The deed it belongs to.</param>
    /// <param name="minutes">Minutes it books.</param>
    public static BenchEvent New(DateTimeOffset at, EventKind kind, string text, Rod.DeedId? step = null, double? minutes = null) =>
        new() { Id = Guid.CreateVersion7(at), At = at, Kind = kind, Text = text, Step = step, Minutes = minutes };

    /// <summary>Money spent, with an event of its own.</summary>
    public static BenchEvent Money(DateTimeOffset at, string what, decimal amount) =>
        new() { Id = Guid.CreateVersion7(at), At = at, Kind = EventKind.Spent, Text = what, Amount = amount };

    /// <summary>Material used up by a step, with an event of its own; of a bath that serves again only the share that is gone.</summary>
    /// <param name="at">When.</param>
    /// <param name="step">The deed it went into.</param>
    /// <param name="need">What, and how much.</param>
    public static BenchEvent Used(DateTimeOffset at, Rod.DeedId step, Rod.Need need) => new()
    {
        Id = Guid.CreateVersion7(at), At = at, Kind = EventKind.UsedUp, Step = step, Supply = need.Item, Quantity = need.UsedUp ?? need.Amount,
        Text = $"{need.Name}, as planned",
    };

    /// <summary>A step that goes on without something it needs, with an event of its own.</summary>
    /// <param name="at">When.</param>
    /// <param name="step">The deed.</param>
    /// <param name="supply">What it does without.</param>
    /// <param name="words">What stands in for it, or why.</param>
    public static BenchEvent Without(DateTimeOffset at, Rod.DeedId step, SupplyId supply, string words) => new()
    {
        Id = Guid.CreateVersion7(at), At = at, Kind = EventKind.WentWithout, Step = step, Supply = supply, Text = words,
    };

    /// <summary>Key, made by who sent it.</summary>
    public Guid Id { get; init; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; init; }

    /// <summary>What.</summary>
    public EventKind Kind { get; init; }

    /// <summary>Deed it belongs to; null for the tool as a whole.</summary>
    public Rod.DeedId? Step { get; init; }

    /// <summary>Minutes, for a stop or a correction.</summary>
    public double? Minutes { get; init; }

    /// <summary>Money, for what was spent.</summary>
    public decimal? Amount { get; init; }

    /// <summary>What was used up, or done without; null for anything else.</summary>
    public SupplyId? Supply { get; init; }

    /// <summary>How much of it, in its unit; null for anything else.</summary>
    public double? Quantity { get; init; }

    /// <summary>In words.</summary>
    public string Text { get; init; } = "";

    /// <summary>Who did it; empty for whoever is at the bench.</summary>
    public string Helper { get; init; } = "";

    /// <summary>The event this one puts right; null for none.</summary>
    public Guid? Corrects { get; init; }

    /// <summary>For an agreement, what was agreed to: the <see cref="Rod.Deed.Content"/> of the deed as it was then.</summary>
    public string? Bound { get; init; }

    /// <summary>The same event with another key, other words or another thing agreed to.</summary>
    public BenchEvent Copy(Guid? id = null, string? text = null, string? bound = null, Guid? corrects = null) => new()
    {
        Id = id ?? Id, At = At, Kind = Kind, Step = Step, Minutes = Minutes, Amount = Amount, Supply = Supply, Quantity = Quantity,
        Text = text ?? Text, Helper = Helper, Corrects = corrects ?? Corrects, Bound = bound ?? Bound,
    };
}
