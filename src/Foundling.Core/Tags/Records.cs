using Foundling.Core.Aim;
using Foundling.Core.Soles;
using Foundling.Core.Tools;

namespace Foundling.Core.Tags;

/// <summary>What an entry of the log records.</summary>
public enum LogKind
{
    /// <summary>The clock started.</summary>
    Started,

    /// <summary>The clock stopped; carries the minutes.</summary>
    Stopped,

    /// <summary>Words.</summary>
    Note,

    /// <summary>Minutes added or taken by hand.</summary>
    Correction,

    /// <summary>A step was finished.</summary>
    StepDone,

    /// <summary>A step was left out.</summary>
    StepSkipped,

    /// <summary>A wait began.</summary>
    WaitBegun,

    /// <summary>A wait ended.</summary>
    WaitEnded,

    /// <summary>A step that was finished or left out was taken up again.</summary>
    StepReopened,

    /// <summary>Words that go with the tool in its papers.</summary>
    PapersNote,

    /// <summary>Money spent on it beyond its price.</summary>
    Spent,
}

/// <summary>Something that happened at the bench.</summary>
public sealed class LogEntry
{
    /// <summary>An entry for a moment, with a key of its own.</summary>
    /// <param name="at">When.</param>
    /// <param name="kind">What.</param>
    /// <param name="text">In words.</param>
    /// <param name="step">Key of the step it belongs to.</param>
    /// <param name="minutes">Minutes it books.</param>
    public static LogEntry New(DateTimeOffset at, LogKind kind, string text, string? step = null, double? minutes = null) =>
        new() { Id = Guid.CreateVersion7(at), At = at, Kind = kind, Text = text, Step = step, Minutes = minutes };

    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>What.</summary>
    public LogKind Kind { get; set; }

    /// <summary>Step it belongs to.</summary>
    public string? Step { get; set; }

    /// <summary>Minutes, for a stop or a correction.</summary>
    public double? Minutes { get; set; }

    /// <summary>Money, for what was spent.</summary>
    public decimal? Amount { get; set; }

    /// <summary>In words.</summary>
    public string Text { get; set; } = "";
}

/// <summary>Something that stands and waits.</summary>
public sealed class Wait
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>Step it follows.</summary>
    public string Step { get; set; } = "";

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
