using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Safety;

namespace Foundling.Core.Log;

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

/// <summary>How a deed of the plan stands: what the events of the bench make of it.</summary>
public sealed class StepMark
{
    /// <summary>The deed.</summary>
    public DeedId Deed { get; set; }

    /// <summary>Where it stands.</summary>
    public StepState State { get; set; }

    /// <summary>When it was finished or left out.</summary>
    public DateTimeOffset? EndedAt { get; set; }

    /// <summary>Why it was left out.</summary>
    public string SkipReason { get; set; } = "";

    /// <summary>When it was agreed that it may be done, though it cannot be undone.</summary>
    public DateTimeOffset? AgreedAt { get; set; }

    /// <summary>Who agreed and why.</summary>
    public string Agreed { get; set; } = "";

    /// <summary>What was agreed to, by the <see cref="Rod.Deed.Content"/> of the deed as it was then.</summary>
    public string AgreedTo { get; set; } = "";

    /// <summary>Why it is done though it is not its turn, with the rule that was overruled; empty for nothing.</summary>
    public string Overruled { get; set; } = "";

    /// <summary>What it waited for and has come, in the words it waited with.</summary>
    public string Arrived { get; set; } = "";

    /// <summary>What it goes on without.</summary>
    public List<SupplyId> Without { get; set; } = [];
}

/// <summary>A deed of the plan together with how it stands.</summary>
/// <param name="deed">The deed.</param>
/// <param name="mark">How it stands; null while nothing happened to it.</param>
/// <param name="order">Its place in the plan, from 1.</param>
public sealed class PlanStep(Deed deed, StepMark? mark, int order)
{
    /// <summary>The deeds of a plan nobody has begun.</summary>
    public static IReadOnlyList<PlanStep> Fresh(IEnumerable<Deed> deeds) => [.. deeds.Select((d, i) => new PlanStep(d, null, i + 1))];

    /// <summary>Hands-on minutes still to come.</summary>
    public static TotalsResult Remaining(IEnumerable<PlanStep> steps, Assumptions assumptions) =>
        PlanTotals.Of(steps.Where(s => s.State == StepState.Open).Select(s => s.Deed), assumptions);

    /// <summary>The deed.</summary>
    public Deed Deed => deed;

    /// <summary>Key within the plan.</summary>
    public DeedId Key => deed.Id;

    /// <summary>Place in the plan.</summary>
    public int Order => order;

    /// <summary>Stage of the work.</summary>
    public Stage Stage => deed.Stage;

    /// <summary>What to do, in one line.</summary>
    public string Title => deed.Title;

    /// <summary>Parts it is about.</summary>
    public IReadOnlyList<PartId> Parts => deed.Parts;

    /// <summary>The estimate of the hands-on time.</summary>
    public ThreePoint Minutes => deed.Minutes;

    /// <summary>Hands-on minutes, likely.</summary>
    public double LikelyMin => deed.Minutes.Likely;

    /// <summary>Minutes it keeps the tool afterwards; null for none.</summary>
    public double? WaitMin => deed.Lag?.HoldsMin is double holds and > 0 ? holds : null;

    /// <summary>What it needs.</summary>
    public IReadOnlyList<Need> Needs => deed.Needs;

    /// <summary>What the hurt could be.</summary>
    public IReadOnlyList<CautionId> Cautions => deed.Cautions;

    /// <summary>Why.</summary>
    public string Reason => deed.Reason;

    /// <summary>How.</summary>
    public string How => deed.How;

    /// <summary>How to know that it is finished.</summary>
    public string FinishTest => deed.FinishTest;

    /// <summary>False when it cannot be undone.</summary>
    public bool Undoable => deed.Undoable;

    /// <summary>Original surface it costs; null for none.</summary>
    public SurfaceId? SurfaceLost => deed.SurfaceLost;

    /// <summary>Metal it takes off, mm.</summary>
    public double MetalRemovedMm => deed.MetalRemovedMm;

    /// <summary>The unbroken block it belongs to.</summary>
    public Block? Block => deed.Block;

    /// <summary>Choice of ways it follows from; null when no way changes it.</summary>
    public ChoiceId? Choice => deed.Choice;

    /// <summary>What a person did to it.</summary>
    public StepHand Hand => deed.Hand;

    /// <summary>True for a case that may never come up.</summary>
    public bool OnlyIfNeeded => deed.OnlyIfNeeded;

    /// <summary>What it still waits for, in words; empty for nothing.</summary>
    public string WaitsFor => mark?.Arrived == deed.WaitsFor ? "" : deed.WaitsFor;

    /// <summary>When what it waits for should come.</summary>
    public DateOnly? ArrivesOn => deed.ArrivesOn;

    /// <summary>What it goes on without, though the plan asks for it.</summary>
    public IReadOnlyList<SupplyId> Without => mark?.Without ?? [];

    /// <summary>Where it stands.</summary>
    public StepState State => mark?.State ?? StepState.Open;

    /// <summary>When it was finished or left out.</summary>
    public DateTimeOffset? EndedAt => mark?.EndedAt;

    /// <summary>Why it was left out.</summary>
    public string SkipReason => mark?.SkipReason ?? "";

    /// <summary>When this very act was agreed to; an agreement to another act does not count.</summary>
    public DateTimeOffset? AgreedAt => IsAgreed ? mark!.AgreedAt : null;

    /// <summary>Who agreed and why.</summary>
    public string Agreed => IsAgreed ? mark!.Agreed : "";

    /// <summary>True when a person let it be done out of its turn.</summary>
    public bool IsOverruled => mark is { Overruled.Length: > 0 };

    private bool IsAgreed => mark?.AgreedAt is not null && (mark.AgreedTo == deed.Content || State == StepState.Done);
}
