using Foundling.Core.Aim;
using Foundling.Core.Soles;
using Foundling.Core.Tools;

namespace Foundling.Core.Tags;

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
