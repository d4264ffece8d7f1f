using Foundling.Core.Aim;
using Foundling.Core.Log;
using Foundling.Core.Tags;

namespace Foundling.Core.Bench;

/// <summary>
/// Whose word a step that cannot be undone needs. One word may cover many steps; each is bound to what it does, so a step that changed asks again.
/// </summary>
public static class Consent
{
    /// <summary>Why someone must agree to a step first, in a sentence; null when nobody need, or somebody did.</summary>
    /// <param name="tag">Its tag.</param>
    /// <param name="step">The step.</param>
    /// <param name="shop">Name of the shop, whose own tools need nobody's consent.</param>
    public static string? Asked(Tag tag, PlanStep step, string shop) => step.Undoable || step.AgreedAt is not null ? null
        : IsOthers(tag, shop) ? $"This cannot be undone, and the tool is {tag.Owner}'s: note that {tag.Owner} agrees, and how."
        : tag.Aim == AimKind.Keep ? "This cannot be undone, and the aim is Keep: note why it is done all the same."
        : null;

    /// <summary>The open steps of a tag that still need someone's word, in their order.</summary>
    /// <param name="tag">The tag.</param>
    /// <param name="shop">Name of the shop.</param>
    public static IReadOnlyList<PlanStep> Open(Tag tag, string shop) => [.. tag.Steps.Where(s => s.State == StepState.Open && Asked(tag, s, shop) is not null)];

    /// <summary>True for a tool that belongs to someone other than the shop.</summary>
    public static bool IsOthers(Tag tag, string shop) => tag.Owner.Length > 0 && !string.Equals(tag.Owner, shop, StringComparison.OrdinalIgnoreCase);
}
