using Foundling.Core.Keys;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod;

/// <summary>What hurts at a deed: what its rule says, what goes with all it uses, and what cuts among the parts it has in the hand.</summary>
public static class Dangers
{
    // These take the tool by its handles, or only write something down.
    private static readonly StepSet HandsOff = new(StepKey.TryAsFound, StepKey.Prove, StepKey.LeaveOn, StepKey.KeepOut, StepKey.RollCall, StepKey.Find);

    /// <summary>The cautions of a deed, each once.</summary>
    /// <param name="deed">The deed.</param>
    /// <param name="question">The tool it is done to.</param>
    public static IReadOnlyList<CautionId> Of(Deed deed, PlanQuestion question)
    {
        List<CautionId> said = [.. deed.Cautions, .. deed.Needs.SelectMany(n => n.Supply?.Cautions ?? [])];
        if (!HandsOff.Has(deed.Id.Step) && !IsBought(deed))
        {
            said.AddRange(Cuts(question, deed.Parts));
        }
        // At the wheel a covered edge is no help, and an edge still to be ground is blunt.
        return [.. said.Distinct().Where(c => c != CautionId.BareEdge || !said.Contains(CautionId.Grinder))];
    }

    /// <summary>What hurts whoever tries or proves a tool.</summary>
    public static IReadOnlyList<CautionId> InUse(ToolKind tool) => tool.Manner.Danger is { } danger ? [danger] : [];

    /// <summary>What cuts the hand that holds these parts.</summary>
    private static IEnumerable<CautionId> Cuts(PlanQuestion q, IReadOnlyList<PartId> parts)
    {
        if (q.Tool.Family == Family.Saw && parts.Any(p => q.Tool.Part(p)?.Is(PartIds.Plate) == true))
        {
            yield return CautionId.Teeth;
        }
        if (parts.Any(q.Sharp.Contains))
        {
            yield return CautionId.BareEdge;
        }
    }

    private static bool IsBought(Deed deed) => deed.Needs.Count > 0 && deed.Needs.All(n => n.Item == SupplyIds.ReplacementPart);
}
