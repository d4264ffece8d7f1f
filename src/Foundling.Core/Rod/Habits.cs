using Foundling.Core.Keys;
using Foundling.Core.Rod.States;

namespace Foundling.Core.Rod;

/// <summary>A pair of steps on whose order practitioners differ.</summary>
/// <param name="Before">The step most do first.</param>
/// <param name="After">The steps they do later.</param>
/// <param name="Why">Why most do.</param>
public sealed record Habit(StepKey Before, IReadOnlyList<StepKey> After, string Why);

/// <summary>Order that is a matter of taste: it stands in a plan, and a person may turn it round.</summary>
public static class Habits
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Habit> All { get; } =
    [
        new(StepKey.WoodStain, [StepKey.WoodRevive, StepKey.WoodOil, StepKey.WoodShellac, StepKey.WoodLacquer], "stain before oil and finish"),
        new(StepKey.Photos, [StepKey.NoteSettings], "pictures show it before a rule was laid on it"),
        new(StepKey.NoteSettings, [StepKey.RodWhy], "settings are noted first"),
        .. FinishStates.KeepsWax.Select(step => new Habit(step, [StepKey.Protect], "wax last")),
    ];

    /// <summary>The habit that speaks of two deeds on the same parts; null for none.</summary>
    internal static Habit? Between(Deed before, Deed after)
    {
        foreach (Habit habit in All)
        {
            if (habit.Before == before.Id.Step && habit.After.Contains(after.Id.Step)
                && (before.Parts.Count == 0 || after.Parts.Count == 0 || before.Parts.Any(after.Parts.Contains)))
            {
                return habit;
            }
        }
        return null;
    }
}
