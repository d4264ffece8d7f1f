using System.Text.Json.Serialization;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Proof;
using Foundling.Core.Rod;
using Foundling.Core.Soles;

namespace Foundling.Data.Papers.Format;

/// <summary>How a deed of the plan stands.</summary>
public sealed record MarkItem : Item
{
    /// <summary>The deed.</summary>
    public DeedId Deed { get; init; }

    /// <summary>Where it stands.</summary>
    public StepState State { get; init; }

    /// <summary>When it was finished or left out.</summary>
    public DateTimeOffset? EndedAt { get; init; }

    /// <summary>Why it was left out.</summary>
    public string SkipReason { get; init; } = "";

    /// <summary>When it was agreed that it may be done, though it cannot be undone.</summary>
    public DateTimeOffset? AgreedAt { get; init; }

    /// <summary>Who agreed and why.</summary>
    public string Agreed { get; init; } = "";

    /// <summary>What was agreed to, by the Content of the deed as it was then.</summary>
    public string AgreedTo { get; init; } = "";

    /// <summary>Why it is done though it is not its turn, with the rule that was overruled; empty for nothing.</summary>
    public string Overruled { get; init; } = "";

    /// <summary>What it waited for and has come, in the words it waited with.</summary>
    public string Arrived { get; init; } = "";

    /// <summary>What it goes on without, though the plan asks for it; null for nothing.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public IReadOnlyList<SupplyId>? Without { get; init; }
}

/// <summary>Something that happened at the bench.</summary>
public sealed record EventItem : Item
{
    /// <summary>Key, made by who sent it.</summary>
    public Guid Id { get; init; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; init; }

    /// <summary>What.</summary>
    public EventKind Kind { get; init; }

    /// <summary>Deed it belongs to; null for the tool as a whole.</summary>
    public DeedId? Step { get; init; }

    /// <summary>Minutes, for a stop or a correction.</summary>
    public double? Minutes { get; init; }

    /// <summary>Money, for what was spent.</summary>
    public decimal? Amount { get; init; }

    /// <summary>What was used up; null for anything else.</summary>
    public SupplyId? Supply { get; init; }

    /// <summary>How much of it, in its unit; null for anything else.</summary>
    public double? Quantity { get; init; }

    /// <summary>In words.</summary>
    public string Text { get; init; } = "";

    /// <summary>Who did it; empty for whoever is at the bench.</summary>
    public string Helper { get; init; } = "";

    /// <summary>The event this one puts right; null for none.</summary>
    public Guid? Corrects { get; init; }

    /// <summary>For an agreement, what was agreed to: the Content of the deed as it was then.</summary>
    public string? Bound { get; init; }
}

/// <summary>Something that stands and waits.</summary>
public sealed record WaitItem : Item
{
    /// <summary>Key.</summary>
    public Guid Id { get; init; }

    /// <summary>Deed it follows.</summary>
    public DeedId Step { get; init; }

    /// <summary>How it ends.</summary>
    public LagKind Kind { get; init; }

    /// <summary>Steps that end it when they are done.</summary>
    public IReadOnlyList<StepKey> EndedBy { get; init; } = [];

    /// <summary>What stands, and where.</summary>
    public string What { get; init; } = "";

    /// <summary>When it began.</summary>
    public DateTimeOffset StartedAt { get; init; }

    /// <summary>When to look in.</summary>
    public DateTimeOffset? LookInAt { get; init; }

    /// <summary>When it should be ready.</summary>
    public DateTimeOffset ReadyAt { get; init; }

    /// <summary>When it must be out.</summary>
    public DateTimeOffset? MustBeOutAt { get; init; }

    /// <summary>When it was ended.</summary>
    public DateTimeOffset? EndedAt { get; init; }
}

/// <summary>A survey of the sole, or of another flat face.</summary>
public sealed record SurveyItem : Item
{
    /// <summary>Key.</summary>
    public Guid Id { get; init; }

    /// <summary>The face; left out for the sole.</summary>
    public string? Face { get; init; }

    /// <summary>When it was taken.</summary>
    public DateTimeOffset At { get; init; }

    /// <summary>Where the readings come from.</summary>
    public string Source { get; init; } = "";

    /// <summary>The readings and the sole they were taken on.</summary>
    public required GridSurveyInput Input { get; init; }
}

/// <summary>A rub of the marked sole, and what was left of the marks.</summary>
public sealed record RubItem : Item
{
    /// <summary>Key.</summary>
    public Guid Id { get; init; }

    /// <summary>When somebody looked.</summary>
    public DateTimeOffset At { get; init; }

    /// <summary>What was seen, after how many strokes.</summary>
    public required MarksSeen Seen { get; init; }

    /// <summary>The grade of the paper.</summary>
    public string Grit { get; init; } = "";

    /// <summary>What lay under it.</summary>
    public LappingPlate Plate { get; init; }

    /// <summary>True for the first look of its kind.</summary>
    public bool Anew { get; init; }

    /// <summary>The form the marks told of by then.</summary>
    public SoleForm Likely { get; init; }

    /// <summary>How sure that was, 0 to 1.</summary>
    public double Chance { get; init; }

    /// <summary>Strokes that were left to toe, mouth and heel; null where it would never come in.</summary>
    public double? StrokesLeft { get; init; }
}

/// <summary>A proof.</summary>
public sealed record ProofItem : Item
{
    /// <summary>Key.</summary>
    public Guid Id { get; init; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; init; }

    /// <summary>True for a reading as found, before any work.</summary>
    public bool AsFound { get; init; }

    /// <summary>Wood, figure, face or edge: the conditions belong to the reading.</summary>
    public string Conditions { get; init; } = "";

    /// <summary>What was tested, by the key of its ProofKind.</summary>
    public string Kind { get; init; } = "shaving";

    /// <summary>What was seen, on the scale of words; null where it was measured.</summary>
    public int? Degree { get; init; }

    /// <summary>What was seen, in the words it was chosen by; empty where it was measured.</summary>
    public string Seen { get; init; } = "";

    /// <summary>Which side of the target is good.</summary>
    public Direction Direction { get; init; }

    /// <summary>Readings, mm; empty where it was seen.</summary>
    public IReadOnlyList<double> ReadingsMm { get; init; } = [];

    /// <summary>Target, mm.</summary>
    public double TargetMm { get; init; }

    /// <summary>Least step of the instrument, mm.</summary>
    public double ResolutionMm { get; init; }
}
