using Foundling.Core.Aim;
using Foundling.Core.Soles;
using Foundling.Core.Tools;

namespace Foundling.Core.Tags;

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
        Id = id ?? Id, At = At, Kind = Kind, Step = Step, Minutes = Minutes, Amount = Amount, Text = text ?? Text, Helper = Helper,
        Corrects = corrects ?? Corrects, Bound = bound ?? Bound,
    };
}

/// <summary>Something that stands and waits.</summary>
public sealed class Wait
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>Deed it follows.</summary>
    public Rod.DeedId Step { get; set; }

    /// <summary>How it ends.</summary>
    public Rod.LagKind Kind { get; set; }

    /// <summary>Steps that end it when they are done.</summary>
    public List<Rod.StepKey> EndedBy { get; set; } = [];

    /// <summary>What stands, and where.</summary>
    public string What { get; set; } = "";

    /// <summary>When it began.</summary>
    public DateTimeOffset StartedAt { get; set; }

    /// <summary>When to look in.</summary>
    public DateTimeOffset? LookInAt { get; set; }

    /// <summary>When it should be ready.</summary>
    public DateTimeOffset ReadyAt { get; set; }

    /// <summary>When it must be out.</summary>
    public DateTimeOffset? MustBeOutAt { get; set; }

    /// <summary>When it was ended.</summary>
    public DateTimeOffset? EndedAt { get; set; }
}

/// <summary>A sole survey as it was taken.</summary>
public sealed class SoleRecord
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>When it was taken.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>Where the readings come from.</summary>
    public string Source { get; set; } = "";

    /// <summary>The readings and the sole they were taken on.</summary>
    public required GridSurveyInput Input { get; set; }
}

/// <summary>Proof readings as they were taken.</summary>
public sealed class ProofRecord
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>True for a reading as found, before any work.</summary>
    public bool AsFound { get; set; }

    /// <summary>Wood, figure, face or edge: the conditions belong to the reading.</summary>
    public string Conditions { get; set; } = "";

    /// <summary>What was tested, by the key of its <see cref="Proof.ProofKind"/>.</summary>
    public string Kind { get; set; } = "shaving";

    /// <summary>What was seen, on the scale of words; null where it was measured.</summary>
    public int? Degree { get; set; }

    /// <summary>What was seen, in the words it was chosen by; empty where it was measured.</summary>
    public string Seen { get; set; } = "";

    /// <summary>Which side of the target is good.</summary>
    public Proof.Direction Direction { get; set; }

    /// <summary>Readings, mm; empty where it was seen.</summary>
    public List<double> ReadingsMm { get; set; } = [];

    /// <summary>Target, mm.</summary>
    public double TargetMm { get; set; }

    /// <summary>Least step of the instrument, mm.</summary>
    public double ResolutionMm { get; set; }

    /// <summary>What the readings say; null where it was seen.</summary>
    public Proof.ThicknessResult? Judge() =>
        Degree is null ? Proof.Thickness.Judge(new Proof.ThicknessInput(ReadingsMm, Direction, TargetMm, ResolutionMm)) : null;

    /// <summary>met, not_met or cannot_tell.</summary>
    public string Verdict() => Degree is int seen ? seen == 0 ? "met" : "not_met" : Judge()!.Verdict;
}
