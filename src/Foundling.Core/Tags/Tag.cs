using Foundling.Core.Aim;
using Foundling.Core.Soles;
using Foundling.Core.Tools;

namespace Foundling.Core.Tags;

/// <summary>How far to go.</summary>
public enum AimKind
{
    /// <summary>Stabilise.</summary>
    Keep,

    /// <summary>Make it cut.</summary>
    Work,

    /// <summary>As it left the works.</summary>
    Show,
}

/// <summary>Where a tool stands.</summary>
public enum TagStatus
{
    /// <summary>On the bench or waiting for it.</summary>
    InHand,

    /// <summary>Used, though steps are still open.</summary>
    InUse,

    /// <summary>Finished and on the rack.</summary>
    Done,

    /// <summary>Gone to its owner or sold.</summary>
    Left,
}

/// <summary>Which hand a tool is made for.</summary>
public enum Hand
{
    /// <summary>Either, or not looked at.</summary>
    Either,

    /// <summary>Right hand.</summary>
    Right,

    /// <summary>Left hand.</summary>
    Left,
}

/// <summary>The record of one tool, from arrival to leaving.</summary>
public sealed class Tag
{
    /// <summary>Tag number; written F-0042.</summary>
    public int Number { get; set; }

    /// <summary>Kind of tool, a key of <see cref="ToolCatalogue"/>.</summary>
    public string Kind { get; set; } = "";

    /// <summary>What people call it.</summary>
    public string Name { get; set; } = "";

    /// <summary>Measured length, mm.</summary>
    public double? LengthMm { get; set; }

    /// <summary>Measured iron or blade width, mm.</summary>
    public double? IronWidthMm { get; set; }

    /// <summary>Measured width of the sole, mm.</summary>
    public double? SoleWidthMm { get; set; }

    /// <summary>Front of the mouth from the toe, mm.</summary>
    public double? MouthFrontMm { get; set; }

    /// <summary>What its sole is for.</summary>
    public SolePurpose? Purpose { get; set; }

    /// <summary>Where it came from.</summary>
    public string Source { get; set; } = "";

    /// <summary>What was paid.</summary>
    public decimal? Price { get; set; }

    /// <summary>The day it came.</summary>
    public DateOnly ArrivedOn { get; set; }

    /// <summary>Whose it is.</summary>
    public string Owner { get; set; } = "";

    /// <summary>Name or initials stamped on it by an owner.</summary>
    public string OwnersMark { get; set; } = "";

    /// <summary>Which hand it is for.</summary>
    public Hand Hand { get; set; }

    /// <summary>Its story.</summary>
    public string Story { get; set; } = "";

    /// <summary>The day it is promised.</summary>
    public DateOnly? PromisedOn { get; set; }

    /// <summary>How far to go.</summary>
    public AimKind? Aim { get; set; }

    /// <summary>Where it stands.</summary>
    public TagStatus Status { get; set; }

    /// <summary>When it was booked in.</summary>
    public DateTimeOffset BookedAt { get; set; }

    /// <summary>Counts changes; guards against two people overwriting one another.</summary>
    public int Version { get; set; }

    /// <summary>Looks taken and marks read, in the order they were entered.</summary>
    public List<Look> Looks { get; set; } = [];

    /// <summary>What is wrong with it.</summary>
    public List<Finding> Findings { get; set; } = [];

    /// <summary>Pictures.</summary>
    public List<Picture> Pictures { get; set; } = [];

    /// <summary>The rod.</summary>
    public List<PlanStep> Steps { get; set; } = [];

    /// <summary>What happened at the bench; only ever added to.</summary>
    public List<LogEntry> Log { get; set; } = [];

    /// <summary>Soaks, glue, coats: what stands.</summary>
    public List<Wait> Waits { get; set; } = [];

    /// <summary>Sole surveys.</summary>
    public List<SoleRecord> Surveys { get; set; } = [];

    /// <summary>Proof readings.</summary>
    public List<ProofRecord> Proofs { get; set; } = [];

    /// <summary>The number as it is written on the paper tag.</summary>
    public string Label => LabelOf(Number);

    /// <summary>A tag number as it is written.</summary>
    public static string LabelOf(int number) => $"F-{number:0000}";

    /// <summary>The catalogue entry of this kind.</summary>
    public ToolKind Tool() => ToolCatalogue.Kind(Kind);

    /// <summary>What to call it: its name, or its kind with its length.</summary>
    public string Title => Name.Length > 0 ? Name : Tool().Name;
}

/// <summary>A look taken at a trait, or a dated mark read.</summary>
public sealed class Look
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>Order of entry within the tag.</summary>
    public int Order { get; set; }

    /// <summary>Trait of the pattern book, or null for a mark.</summary>
    public string? Trait { get; set; }

    /// <summary>Variant seen.</summary>
    public string? Variant { get; set; }

    /// <summary>Part a mark stands on.</summary>
    public string? Part { get; set; }

    /// <summary>Kind of mark.</summary>
    public Origin.MarkKind? Mark { get; set; }

    /// <summary>The mark as read, in words.</summary>
    public string? Reading { get; set; }

    /// <summary>A tendency rather than a rule.</summary>
    public bool Soft { get; set; }

    /// <summary>How sure.</summary>
    public Origin.Confidence Confidence { get; set; }

    /// <summary>First year of a window.</summary>
    public int? NotBeforeYear { get; set; }

    /// <summary>Last year of a window.</summary>
    public int? NotAfterYear { get; set; }

    /// <summary>Year of grant.</summary>
    public int? IssueYear { get; set; }

    /// <summary>When it was seen.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>The evidence this look gives.</summary>
    public Origin.Observation ToObservation() =>
        new(Id.ToString("N"), Confidence, Trait, Variant, Part, Mark, Soft, NotBeforeYear, NotAfterYear, IssueYear);
}

/// <summary>One thing wrong, or notable, on one part.</summary>
public sealed class Finding
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>Part it is on.</summary>
    public string Part { get; set; } = "";

    /// <summary>What is wrong.</summary>
    public FindingKind Kind { get; set; }

    /// <summary>How much, 0 to 4 on the written scale.</summary>
    public int Severity { get; set; }

    /// <summary>Where, and anything else.</summary>
    public string Note { get; set; } = "";

    /// <summary>Distance from the edge for pits and chips, mm.</summary>
    public double? FromEdgeMm { get; set; }

    /// <summary>Grid points that fell on it, where it was counted.</summary>
    public int? CountHits { get; set; }

    /// <summary>Grid points counted.</summary>
    public int? CountPoints { get; set; }

    /// <summary>When it was found.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>The counted share with its interval, or null.</summary>
    public State.WilsonResult? Counted() =>
        this is { CountHits: int hits, CountPoints: int points } ? State.Wilson.Count(new State.WilsonInput(hits, points)) : null;
}

/// <summary>A picture of the tool. The original is kept as it came; copies are made from it.</summary>
public sealed class Picture
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>File name in the picture store, made from the content.</summary>
    public string File { get; set; } = "";

    /// <summary>What it shows.</summary>
    public string Caption { get; set; } = "";

    /// <summary>Width as shown, pixels.</summary>
    public int Width { get; set; }

    /// <summary>Height as shown, pixels.</summary>
    public int Height { get; set; }

    /// <summary>When it was added.</summary>
    public DateTimeOffset At { get; set; }
}

/// <summary>Where a step stands.</summary>
public enum StepState
{
    /// <summary>Not begun.</summary>
    Open,

    /// <summary>Hands-on part finished.</summary>
    Done,

    /// <summary>Left out, with a reason.</summary>
    Skipped,
}

/// <summary>One step of a rod.</summary>
public sealed class PlanStep
{
    /// <summary>Key within the rod, from the rule that made it.</summary>
    public string Key { get; set; } = "";

    /// <summary>Place in the rod.</summary>
    public int Order { get; set; }

    /// <summary>Stage of the work.</summary>
    public Rod.Stage Stage { get; set; }

    /// <summary>What to do, in one line.</summary>
    public string Title { get; set; } = "";

    /// <summary>Parts it is about.</summary>
    public List<string> Parts { get; set; } = [];

    /// <summary>Hands-on minutes if all goes well.</summary>
    public double LowMin { get; set; }

    /// <summary>Hands-on minutes, likely.</summary>
    public double LikelyMin { get; set; }

    /// <summary>Hands-on minutes if it fights back.</summary>
    public double HighMin { get; set; }

    /// <summary>Waiting after it, minutes.</summary>
    public double? WaitMin { get; set; }

    /// <summary>Look in after so many minutes of waiting.</summary>
    public double? LookInMin { get; set; }

    /// <summary>The wait must end by then, minutes.</summary>
    public double? OutByMin { get; set; }

    /// <summary>Why.</summary>
    public string Reason { get; set; } = "";

    /// <summary>How.</summary>
    public string How { get; set; } = "";

    /// <summary>What it needs.</summary>
    public List<string> Materials { get; set; } = [];

    /// <summary>What could hurt, and what to do about it.</summary>
    public string Caution { get; set; } = "";

    /// <summary>How to know that it is finished.</summary>
    public string FinishTest { get; set; } = "";

    /// <summary>False when it cannot be undone.</summary>
    public bool Undoable { get; set; } = true;

    /// <summary>Original surface it costs, in words; empty for none.</summary>
    public string SurfaceLost { get; set; } = "";

    /// <summary>Metal it takes off, mm.</summary>
    public double MetalRemovedMm { get; set; }

    /// <summary>Name of the unbroken block it belongs to.</summary>
    public string? Block { get; set; }

    /// <summary>Rule that put it in.</summary>
    public string Rule { get; set; } = "";

    /// <summary>Where it stands.</summary>
    public StepState State { get; set; }

    /// <summary>When it was finished or skipped.</summary>
    public DateTimeOffset? EndedAt { get; set; }

    /// <summary>Why it was skipped.</summary>
    public string SkipReason { get; set; } = "";

    /// <summary>The estimate of the hands-on time.</summary>
    public ThreePoint Minutes => new(LowMin, LikelyMin, HighMin);
}

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
}

/// <summary>Something that happened at the bench.</summary>
public sealed class LogEntry
{
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

    /// <summary>Readings, mm.</summary>
    public List<double> ReadingsMm { get; set; } = [];

    /// <summary>Target, mm.</summary>
    public double TargetMm { get; set; }

    /// <summary>Least step of the instrument, mm.</summary>
    public double ResolutionMm { get; set; }

    /// <summary>The verdict on these readings.</summary>
    public Proof.ThicknessResult Judge() =>
        Proof.Thickness.Judge(new Proof.ThicknessInput(ReadingsMm, Proof.Direction.AtMost, TargetMm, ResolutionMm));
}
