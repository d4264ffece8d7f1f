using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod;

/// <summary>Rules for cutting edges that are ground and honed.</summary>
internal static class EdgeRules
{
    private static bool Cuts(PlanQuestion q) => q.Aim != AimKind.Keep && q.Tool.Edges.Any(p => q.Has(p.Id));

    private static List<string> Parts(PlanQuestion q) => [.. q.Tool.Edges.Where(p => q.Has(p.Id)).Select(p => p.Id)];

    private static int Pits(PlanQuestion q) => q.Worst(FindingKind.Pitting, [.. q.Tool.Edges.Select(p => p.Id), "-"]);

    private static int Damage(PlanQuestion q) => q.Worst(FindingKind.EdgeDamage, [.. q.Tool.Edges.Select(p => p.Id), "-"]);

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("pits at the edge", "Pits that reach the edge stop a restoration.", q => Cuts(q) && Pits(q) >= 3, q => new PlanStep
        {
            Key = "edge-save", Stage = Stage.Edge, Title = "Deal with the pits: lap, shim or grind back", Parts = Parts(q), LowMin = 4, LikelyMin = 12, HighMin = 40, Materials = ["P100 on glass", "coarse diamond plate"],
            How = "Measure the pits, then let the edge gauge compare the three ways and the steel each leaves.", Reason = "A pit in the edge is a notch in every shaving.", FinishTest = "No pit within the first millimetre of the back.", Caution = Cautions.BareEdge, Undoable = false, MetalRemovedMm = 0.05,
        }),
        PlanRule.One("flat back", "The back is half of the edge.", q => Cuts(q) && q.Tool.Family is Family.Plane or Family.EdgeTool && !q.Tool.Id.Contains("axe", StringComparison.Ordinal) && !q.Tool.Id.Contains("hatchet", StringComparison.Ordinal), q => new PlanStep
        {
            Key = "edge-back", Stage = Stage.Edge, Title = "Flatten the back near the edge", Parts = Parts(q), LowMin = 5, LikelyMin = 15, HighMin = 40, Materials = ["P180 to P400 on glass", "fine stone"],
            How = "Only the last 12 mm; the middle may start high.", Reason = "Honing cannot make a sharp edge on a round back.", FinishTest = "One even shine up to the edge.", Caution = Cautions.BareEdge, Undoable = false, MetalRemovedMm = 0.03,
        }),
        PlanRule.One("grind", "Nicks and a lost bevel need the wheel.", q => Cuts(q) && Damage(q) >= 2, q => new PlanStep
        {
            Key = "edge-grind", Stage = Stage.Edge, Title = Damage(q) >= 3 ? "Grind past the chips and square the edge" : "Grind the bevel", Parts = Parts(q), LowMin = 5, LikelyMin = 12, HighMin = 30, Materials = ["bench grinder, soft wheel", "water pot"],
            How = "Light touch, dip before it is warm to the finger.", Reason = "Chips come out at the wheel, not at the stone.", FinishTest = "Square to the side, no blue.", Caution = Cautions.Grinder, Undoable = false, MetalRemovedMm = Damage(q) >= 3 ? 1.5 : 0.5,
        }),
        PlanRule.One("hone", "Two polished faces that meet.", Cuts, q => new PlanStep
        {
            Key = "edge-hone", Stage = Stage.Edge, Title = "Hone until a burr turns, then strop", Parts = Parts(q), LowMin = 5, LikelyMin = 10, HighMin = 20, Materials = ["medium and fine stone", "strop with honing compound"], Reason = "A dull edge hides every other fault.",
            FinishTest = "No light reflects from the edge.", Caution = Cautions.BareEdge,
        }),
        PlanRule.One("cover the edge", "A bare honed edge is covered at once.", Cuts, q => new PlanStep
        {
            Key = "edge-cover", Stage = Stage.Edge, Title = "Cover the edge until it is needed", Parts = Parts(q), LowMin = 0.5, LikelyMin = 1, HighMin = 1, Materials = ["tape or cork strip"], Reason = "Hands work round it from here on.", FinishTest = "Nothing bare.", Caution = Cautions.BareEdge,
        }),
    ];
}
