using Foundling.Core.Keys;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for edges of other kinds: burrs, teeth ground in, blades that pass a hook, jaws that meet at stops.</summary>
internal static class OtherEdgeRules
{
    private static int Damage(PlanQuestion q) => q.WorstOn(FindingKind.EdgeDamage, q.Tool.Edges.Select(p => p.Id));

    private static List<PartId> Parts(PlanQuestion q) => Ids(q.Edges);

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("file the scraper's bevel", "The burr can only be as straight as what it is turned from.", [NotKeep, Edge(EdgeForm.Burr)], q =>
            new Deed(StepKey.BurrFile, Stage.Edge, "File the scraper iron to 45° and hone it", q.Minutes(StepKey.BurrFile))
        {
            Block = Block.HonedAndCovered, Parts = Parts(q),
                Needs = [Need.Of(SupplyIds.FineFile), Need.Of(SupplyIds.MediumStone), Need.Of(SupplyIds.FineStone)],
            How = "File straight across, hone bevel and flat side until no file mark shows.", Reason = "Only when the burr no longer comes up.",
            FinishTest = "Square, and no light from the edge.", Cautions = [CautionId.BareEdge], Undoable = false, MetalRemovedMm = q.Metal(StepKey.BurrFile),
        }, buys: 14),
        PlanRule.One("turn the burr", "A scraper cuts with its burr.", [NotKeep, Edge(EdgeForm.Burr)], q =>
            new Deed(StepKey.BurrTurn, Stage.Edge, "Draw the burr, then turn it in two or three passes", q.Minutes(StepKey.BurrTurn))
        {
            Block = Block.HonedAndCovered, Parts = Parts(q), Needs = [Need.Of(SupplyIds.Burnisher), Need.Of(SupplyIds.LightOil, 1)],
            How = "Drawn flat, then turned from 5° to 15°, firm and even. Write angle and passes on the tag.",
            Reason = "The burr is renewed, not the bevel, until it no longer comes up.", FinishTest = "It catches a nail all along.",
            Cautions = [CautionId.BareEdge],
        }, buys: 20),
        PlanRule.One("cover the burr", "A turned burr is a saw for fingers.", [NotKeep, Edge(EdgeForm.Burr)], q =>
            new Deed(StepKey.EdgeCover, Stage.Edge, "Cover the edge until it is needed", q.Minutes(StepKey.EdgeCover))
        {
            Block = Block.HonedAndCovered, Parts = Parts(q), Needs = [Need.Of(SupplyIds.TapeOrCorkStrip, 1)], Reason = "Hands work round it from here on.",
            FinishTest = "Nothing bare.", Cautions = [CautionId.BareEdge],
        }),
        PlanRule.One("spare the grooves", "A toothed iron lives by its grooves.", [NotKeep, Edge(EdgeForm.Toothed)], q =>
            new Deed(StepKey.EdgeTeeth, Stage.Edge, "Clean the grooved face without lapping it", q.Minutes(StepKey.EdgeTeeth))
        {
            Parts = Parts(q), Needs = [Need.Of(SupplyIds.FineWireBrush), Need.Of(SupplyIds.LightOil, 2)],
            How = "Brush along the grooves. Flattened only as far as the teeth stay deeper than 0.2 mm.", Reason = "Lapped teeth do not come back.",
            FinishTest = "Every groove clean to its root.", Cautions = [CautionId.BareEdge],
        }, buys: 8),
        PlanRule.One("hone the bypass blade", "One bevel, and a flat that stays flat.", [NotKeep, Edge(EdgeForm.Bypass)], q =>
            new Deed(StepKey.EdgeHone, Stage.Edge, Damage(q) >= 2 ? "File the nicks out of the blade and hone its bevel" : "Hone the bevel of the blade",
            q.Minutes(StepKey.EdgeHone, Damage(q) >= 2 ? StepCase.Nicks : StepCase.Blade))
        {
            Block = Block.HonedAndCovered, Parts = Parts(q), Needs = [Need.Of(SupplyIds.FineFile), Need.Of(SupplyIds.MediumStone)],
            How = "Along the curve, bevel only. On the flat nothing but the burr is taken off.",
            Reason = "It shears against the hook; a second bevel opens a gap.", FinishTest = "It cuts thin paper along its whole length.",
            Cautions = [CautionId.BareEdge], Undoable = Damage(q) < 2, MetalRemovedMm = Damage(q) >= 2 ? q.Metal(StepKey.EdgeHone, StepCase.Nicks) : 0,
        }, buys: 28),
        PlanRule.One("true the hook", "The blade cuts against it.", [NotKeep, Edge(EdgeForm.Bypass), There(PartIds.Anvil, "hook")], q =>
            new Deed(StepKey.HookTrue, Stage.Edge, "True the inner face of the hook", q.Minutes(StepKey.HookTrue))
        {
            Parts = [PartIds.Anvil], Needs = [Need.Of(SupplyIds.FineFile)], How = "Flat against the blade, edge crisp, no more.",
                Reason = "A round hook folds the twig in.",
            FinishTest = "No light between blade and hook as it closes.", Undoable = false, MetalRemovedMm = q.Metal(StepKey.HookTrue),
        }, buys: 6),
        PlanRule.One("cover the blade", "A pruner opens by itself.", [NotKeep, Edge(EdgeForm.Bypass)], q =>
            new Deed(StepKey.EdgeCover, Stage.Edge, "Cover the edge until it is needed", q.Minutes(StepKey.EdgeCover))
        {
            Block = Block.HonedAndCovered, Parts = Parts(q), Needs = [Need.Of(SupplyIds.TapeOrCorkStrip, 1)], Reason = "Hands work round it from here on.",
            FinishTest = "Nothing bare.", Cautions = [CautionId.BareEdge],
        }),
        PlanRule.One("dress the jaws", "Jaws meet at stops: metal off the faces means moving the stops.", [NotKeep, Edge(EdgeForm.Meeting),
            If("a jaw is nicked or chipped", q => Damage(q) >= 2)], q => new Deed(StepKey.JawDress, Stage.Edge, Damage(q) >= 4
            ? "Look for new jaws: these are past dressing" : "Dress both jaws alike, only as far as they still meet", q.Minutes(StepKey.JawDress))
        {
            Parts = Parts(q), Needs = [Need.Of(SupplyIds.BenchGrinder), Need.Of(SupplyIds.FineFile)],
            How = q.Tool.Made(PartIds.Stops)
                ? "Both faces lose the same, dipped often. A chip deeper than the stops can follow stays in: it cuts beside it. Work out the stops first."
                : "Both faces lose the same, dipped often. A deep chip stays in: it cuts beside it.",
            Reason = "A chip bites into what is cut and spreads.", FinishTest = "The edges meet along their length, held against the light.",
            Cautions = [CautionId.Grinder, CautionId.Shatter], Undoable = false, MetalRemovedMm = q.Metal(StepKey.JawDress),
        }, buys: 16),
        PlanRule.One("light dressing of jaws", "Dull is enough for a bolt.", [NotKeep, Edge(EdgeForm.Meeting),
            If("the jaws are only dull", q => Damage(q) < 2)], q => new Deed(StepKey.JawHone, Stage.Edge, "Stone the burrs off the jaws",
                q.Minutes(StepKey.JawHone))
        {
            Parts = Parts(q), Needs = [Need.Of(SupplyIds.MediumStone)], How = "Burrs only; the edge stays blunt as it was made.", Reason = "A keen jaw chips.",
            FinishTest = "Smooth to the nail.", Cautions = [CautionId.BareEdge],
        }, buys: 8),
    ];
}
