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

/// <summary>What a person did to a step of the plan.</summary>
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

/// <summary>One step of a rod.</summary>
public sealed class PlanStep
{
    /// <summary>Key of the step that tries a tool before it is touched; its result stands on the tag.</summary>
    public const string TryAsFound = "try-as-found";

    /// <summary>An empty step, to be filled.</summary>
    public PlanStep()
    {
    }

    /// <summary>A step with its place, its title and its hands-on minutes.</summary>
    public PlanStep(string key, Rod.Stage stage, string title, double low, double likely, double high) =>
        (Key, Stage, Title, LowMin, LikelyMin, HighMin) = (key, stage, title, low, likely, high);

    /// <summary>Key within the rod, from the rule that made it.</summary>
    public string Key { get; set; } = "";

    /// <summary>Place in the rod.</summary>
    public int Order { get; set; }

    /// <summary>Stage of the work.</summary>
    public Rod.Stage Stage { get; set; }

    /// <summary>What to do, in one line.</summary>
    public string Title { get; set; } = "";

    /// <summary>Parts it is about.</summary>
    public List<PartId> Parts { get; set; } = [];

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

    /// <summary>What it needs, kit and materials, each as <see cref="Rod.Need"/> writes it.</summary>
    public List<string> Materials { get; set; } = [];

    /// <summary>Keys of its cautions, see <see cref="Safety.Cautions"/>.</summary>
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

    /// <summary>Choice of ways it follows from; empty when no way changes it.</summary>
    public string Choice { get; set; } = "";

    /// <summary>What a person did to it.</summary>
    public StepHand Hand { get; set; }

    /// <summary>Key of the step a person put it behind; null when the rules alone place it, empty for the very first place.</summary>
    public string? After { get; set; }

    /// <summary>What it waits for, in words, such as a part on order; empty for nothing.</summary>
    public string WaitsFor { get; set; } = "";

    /// <summary>When what it waits for should come.</summary>
    public DateOnly? ArrivesOn { get; set; }

    /// <summary>When it was agreed that this step, which cannot be undone, may be done.</summary>
    public DateTimeOffset? AgreedAt { get; set; }

    /// <summary>Who agreed and why.</summary>
    public string Agreed { get; set; } = "";

    /// <summary>Where it stands.</summary>
    public StepState State { get; set; }

    /// <summary>When it was finished or skipped.</summary>
    public DateTimeOffset? EndedAt { get; set; }

    /// <summary>Why it was skipped.</summary>
    public string SkipReason { get; set; } = "";

    /// <summary>True for a step for a case that may never come up; its title then begins with the case.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool OnlyIfNeeded => Title.StartsWith("If ", StringComparison.Ordinal);

    /// <summary>The estimate of the hands-on time.</summary>
    public ThreePoint Minutes => new(LowMin, LikelyMin, HighMin);
}
