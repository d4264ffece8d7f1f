using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Shop;
using Foundling.Core.Tags;

namespace Foundling.Core.Bench;

/// <summary>What can be done next, and why something cannot be done yet: the one place that says so.</summary>
public static class Order
{
    /// <summary>Why a step must not be started or finished yet, in a sentence; null when it may.</summary>
    /// <param name="tag">Its tag.</param>
    /// <param name="step">An open step.</param>
    /// <param name="now">This moment.</param>
    public static string? Forbids(Tag tag, PlanStep step, DateTimeOffset now)
    {
        foreach (Follows bond in step.Deed.After)
        {
            // A step for a case that may never come up keeps nothing back.
            if (tag.Step(bond.Id) is { State: StepState.Open, OnlyIfNeeded: false } earlier)
            {
                return $"\"{earlier.Title}\" comes first: {bond.Why}.";
            }
        }
        foreach (Wait wait in tag.Waits.Where(w => Keeps(w, now)))
        {
            // What stands for a step the plan has no more is about the whole tool.
            PlanStep? kept = tag.Step(wait.Step);
            bool lifts = wait.Kind == LagKind.OutBy && Waits.EndedBy(wait, step.Deed);
            if (lifts && wait.ReadyAt > now)
            {
                return $"\"{wait.What}\" still stands, and is not ready. If it is clean sooner, say on the Bench that it is out.";
            }
            if (!lifts && kept?.Key != step.Key && !HasItsOwn(step, wait) && (kept is null ? step.Deed.Kind != DeedKind.Look : Holds(wait, step)))
            {
                return $"\"{wait.What}\" still stands{(wait.Kind == LagKind.OutBy ? "" : ", and is not ready")}.";
            }
        }
        return null;
    }

    /// <summary>
    /// The first open step that waits for no part, that lacks nothing, and that no rule and nothing standing keeps back; null when there is none.
    /// </summary>
    /// <param name="tag">Its tag.</param>
    /// <param name="shop">The shop, which may have none of what a step needs.</param>
    /// <param name="now">This moment.</param>
    public static PlanStep? Next(Tag tag, ShopContext shop, DateTimeOffset now) => tag.Steps.FirstOrDefault(s => s.State == StepState.Open
        && s.WaitsFor.Length == 0 && Gate.LacksOf(s, shop).Count == 0 && Forbids(tag, s, now) is null);

    // What comes out before the rest waits its own time, not theirs.
    private static bool HasItsOwn(PlanStep step, Wait wait) =>
        step.Deed.Since?.Any(s => s.Id == wait.Step && s.Lag?.EndedBy?.Contains(step.Key.Step) == true) == true;

    // A bath is over when it was lifted; what cures is over when its time has come, whether anybody said so or not.
    private static bool Keeps(Wait wait, DateTimeOffset now) => Waits.Holds(wait, now) && (wait.Kind == LagKind.OutBy || wait.ReadyAt > now);

    /// <summary>A wait holds those who use what it makes, and nothing else; of several reasons for one pair one carries the wait.</summary>
    private static bool Holds(Wait wait, PlanStep step) => step.Deed.After.Any(a => a.Id == wait.Step && a.Lag is not null);
}
