using Foundling.Core.Aim;
using Foundling.Core.Log;
using Foundling.Core.Safety;
using Foundling.Core.Tags;

namespace Foundling.Core.Bench;

/// <summary>What must be seen, agreed or have arrived before a step may start.</summary>
/// <param name="Unseen">Cautions not yet seen on this tool.</param>
/// <param name="Agreement">Why someone must agree first, in a sentence; null when nobody need.</param>
/// <param name="WaitsFor">What it waits for, in a sentence; null for nothing.</param>
/// <param name="Order">Why it is not its turn, in a sentence; null when it is. It can be overruled with a reason.</param>
public sealed record Gate(IReadOnlyList<Caution> Unseen, string? Agreement, string? WaitsFor, string? Order)
{
    /// <summary>True when the step may start.</summary>
    public bool Open => Unseen.Count == 0 && Agreement is null && WaitsFor is null && Order is null;

    /// <summary>The first thing that is in the way, in a sentence.</summary>
    public string Sentence => WaitsFor ?? Order ?? Agreement ?? (Unseen.Count > 0 ? $"Read the caution first: {Unseen[0].About}." : "");

    /// <summary>The gate of a step.</summary>
    /// <param name="tag">Its tag.</param>
    /// <param name="step">The step.</param>
    /// <param name="shop">Name of the shop, whose own tools need nobody's consent.</param>
    /// <param name="now">This moment.</param>
    public static Gate Of(Tag tag, PlanStep step, string shop, DateTimeOffset now) => new(
        [.. Cautions.Of(step.Cautions).Where(c => !tag.SeenCautions.Contains(c.Id))],
        step.Undoable || step.AgreedAt is not null ? null
            : IsOthers(tag, shop) ? $"This cannot be undone, and the tool is {tag.Owner}'s: note that {tag.Owner} agrees, and how."
            : tag.Aim == AimKind.Keep ? "This cannot be undone, and the aim is Keep: note why it is done all the same."
            : null,
        step.WaitsFor.Length == 0 ? null : $"It waits for: {step.WaitsFor}{(step.ArrivesOn is DateOnly day ? $", expected {day:d MMMM}" : "")}.",
        step is { State: StepState.Open, IsOverruled: false } ? Bench.Order.Forbids(tag, step, now) : null);

    /// <summary>True for a tool that belongs to someone other than the shop.</summary>
    public static bool IsOthers(Tag tag, string shop) => tag.Owner.Length > 0 && !string.Equals(tag.Owner, shop, StringComparison.OrdinalIgnoreCase);
}
