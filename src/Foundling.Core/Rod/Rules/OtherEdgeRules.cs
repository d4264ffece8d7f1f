using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.State;
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

    /// <summary>Why a scraper iron is filed at once; null while its bevel may still be good.</summary>
    private static string? Filed(PlanQuestion q) => Damage(q) >= 2 ? "A nick in the edge is a line in every scraping."
        : q.WorstOn(FindingKind.Pitting, q.Tool.Edges.Select(p => p.Id)) >= 3 ? "No burr stands over a pit at the edge."
        : q.WorstOn(FindingKind.Rust, q.Tool.Edges.Select(p => p.Id)) >= 3 ? "No burr comes up from a rusted bevel."
        : Turned(q) >= q.Shop.Assumptions.BurrRenewals ? $"Its burr was turned {Turned(q):0} times since the bevel was filed: the next will hardly come up."
        : null;

    private static double Turned(PlanQuestion q) => Known(q, MeasureIds.BurrTurns) ?? 0;

    private static double? Known(PlanQuestion q, MeasureId measure) => q.Measured(measure, [.. q.Tool.Edges.Select(p => p.Id)]);

    // What the tag knows of its last burr is turned again.
    private static string Passes(PlanQuestion q)
    {
        double? first = Known(q, MeasureIds.BurrFirst);
        return $"{(first is null ? "Drawn flat, then turned" : "As last time, drawn flat, then turned")} "
            + $"from {first ?? q.Shop.Assumptions.BurrFirstDeg:0.#}° to "
            + $"{Known(q, MeasureIds.BurrLast) ?? q.Shop.Assumptions.BurrLastDeg:0.#}°, firm and even.";
    }

    private static string Bevel(PlanQuestion q) => $"{Known(q, MeasureIds.Bevel) ?? q.Shop.Assumptions.ScraperBevelDeg:0.#}°";

    private static string? Hook(PlanQuestion q) => Causes.Of(q, [FindingKind.EdgeDamage, FindingKind.Worn, FindingKind.Bent, FindingKind.Burred,
        FindingKind.Pitting], 2, PartIds.Anvil);

    private static bool Rough(PlanQuestion q) => q.WorstOn(FindingKind.Pitting, q.Tool.Edges.Select(p => p.Id)) >= 2
        || q.WorstOn(FindingKind.Rust, q.Tool.Edges.Select(p => p.Id)) >= 3;

    private static bool Nicked(PlanQuestion q) => Damage(q) >= 2 && !MetalWays.Spares(q);

    private static readonly Cond Untried = If("it does not already cut well as found", q => q.Tried != State.AsFoundTry.Well || Damage(q) >= 2);

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("file the scraper's bevel", "The burr can only be as straight as what it is turned from.", [NotKeep, Edge(EdgeForm.Burr)], q =>
            new Deed(StepKey.BurrFile, Stage.Edge, Filed(q) is null
                ? $"If the burr no longer comes up: file the scraper iron to {Bevel(q)} and hone it"
                : $"File the scraper iron to {Bevel(q)} and hone it", q.Minutes(StepKey.BurrFile))
        {
            OnlyIfNeeded = Filed(q) is null, Block = Block.HonedAndCovered, Parts = Parts(q),
                Needs = [Need.Of(SupplyIds.FineFile), Need.Of(SupplyIds.MediumStone), Need.Of(SupplyIds.FineStone)],
            How = "File straight across, hone bevel and flat side until no file mark shows.",
            Reason = Filed(q) ?? "The burr is renewed from the bevel there is; filing is for when it no longer comes up.",
            FinishTest = "Square, and no light from the edge.", Undoable = false, MetalRemovedMm = q.Metal(StepKey.BurrFile),
            SurfaceLost = SurfaceId.Edge,
        }, buys: 14),
        PlanRule.One("turn the burr", "A scraper cuts with its burr.", [NotKeep, Edge(EdgeForm.Burr)], q =>
            new Deed(StepKey.BurrTurn, Stage.Edge, $"Draw the burr, then turn it in {(Known(q, MeasureIds.BurrPasses) is double passes
                ? $"{passes:0}" : "two or three")} passes", q.Minutes(StepKey.BurrTurn))
        {
            Block = Block.HonedAndCovered, Parts = Parts(q), Needs = [Need.Of(SupplyIds.Burnisher), Need.Of(SupplyIds.LightOil, 1)],
            How = Passes(q) + " Write angles and passes on the tag.",
            Reason = "The burr is renewed, not the bevel, until it no longer comes up.", FinishTest = "It catches a nail all along.",
        }, buys: 20),
        PlanRule.One("cover the burr", "A turned burr is a saw for fingers.", [NotKeep, Edge(EdgeForm.Burr)], q =>
            new Deed(StepKey.EdgeCover, Stage.Edge, "Cover the edge until it is needed", q.Minutes(StepKey.EdgeCover))
        {
            Block = Block.HonedAndCovered, Parts = Parts(q), Needs = [Need.Of(SupplyIds.TapeOrCorkStrip, 1)], Reason = "Hands work round it from here on.",
            FinishTest = "Nothing bare.",
        }),
        PlanRule.One("spare the grooves", "A toothed iron lives by its grooves.", [NotKeep, Edge(EdgeForm.Toothed)], q =>
            new Deed(StepKey.EdgeTeeth, Stage.Edge, "Clean the grooved face, and flatten it only as far as the teeth allow", q.Minutes(StepKey.EdgeTeeth))
        {
            Parts = Parts(q), Needs = [Need.Of(SupplyIds.FineWireBrush), Need.Of(SupplyIds.LightOil, 2), Need.Of(SupplyIds.FineStone)],
            How = "Brush along the grooves, then a few strokes on the stone, no more than leaves the teeth deeper than "
                + $"{q.Shop.Assumptions.ToothedLeastMm:0.0#} mm.",
            Reason = "Lapped teeth do not come back.",
            FinishTest = "Every groove clean to its root.",
        }, buys: 8),
        PlanRule.One("the flat of the bypass blade", "Flat side and hook are nine tenths of it.", [NotKeep, Edge(EdgeForm.Bypass), Untried], q =>
            new Deed(StepKey.EdgeBack, Stage.Edge, q.Has(PartIds.Anvil) ? "Rub the flat side of the blade and the face of the hook clean and flat"
                : "Rub the flat side of the blade clean and flat", q.Minutes(StepKey.EdgeBack, Rough(q) ? StepCase.Much
                : StepCase.Little))
        {
            Parts = [.. Parts(q), .. new[] { PartIds.Anvil }.Where(q.Has)], Needs = [Need.Of(SupplyIds.P400Sheet, 1), Need.Of(SupplyIds.FineStone)],
            How = "The whole flat side down on the stone, until sap and rust are gone and the shine runs up to the edge. Never tilted: a bevel on this side "
                + "opens a gap.",
            Reason = "It shears where flat meets hook: what sticks there folds the twig in.", FinishTest = "One even shine along the edge.",
            Undoable = !Rough(q), MetalRemovedMm = Rough(q) ? q.Metal(StepKey.EdgeBack) : 0,
        }, buys: 30),
        PlanRule.One("hone the bypass blade", "A light touch to the bevel, after flat side and hook.", [NotKeep, Edge(EdgeForm.Bypass), Untried,
            Chosen(ChoiceId.Bypass, WayId.BothSides)], q =>
            new Deed(StepKey.EdgeHone, Stage.Edge, Nicked(q) ? "File the nicks out of the blade and hone its bevel" : "Hone the bevel of the blade",
            q.Minutes(StepKey.EdgeHone, Nicked(q) ? StepCase.Nicks : StepCase.Blade))
        {
            Block = Block.HonedAndCovered, Parts = Parts(q), Needs = [Need.Of(SupplyIds.FineFile), Need.Of(SupplyIds.MediumStone)],
            How = "Along the curve, on the bevel; a hair steeper at the edge does no harm there. On the flat nothing but the burr is taken off.",
            Reason = "A bevel on the flat side would open a gap; on the bevel side it does not.", FinishTest = "It cuts thin paper along its whole length.",
            Undoable = !Nicked(q), MetalRemovedMm = Nicked(q) ? q.Metal(StepKey.EdgeHone, StepCase.Nicks) : 0,
        }, ChoiceId.Bypass, 10),
        PlanRule.One("true the hook", "The blade cuts against it.", [NotKeep, Edge(EdgeForm.Bypass), There(PartIds.Anvil, "hook"), Untried,
            Causes.Asked(Hook)], q =>
            new Deed(StepKey.HookTrue, Stage.Edge, "True the inner face of the hook", q.Minutes(StepKey.HookTrue))
        {
            Parts = [PartIds.Anvil], Needs = [Need.Of(SupplyIds.FineFile)], How = "Flat against the blade, edge crisp, no more.",
                Reason = $"{Hook(q)} A round hook folds the twig in.",
            FinishTest = "No light between blade and hook as it closes.", Undoable = false, MetalRemovedMm = q.Metal(StepKey.HookTrue),
        }, buys: 16),
        PlanRule.One("cover the blade", "A pruner opens by itself.", [NotKeep, Edge(EdgeForm.Bypass), Untried], q =>
            new Deed(StepKey.EdgeCover, Stage.Edge, "Cover the edge until it is needed", q.Minutes(StepKey.EdgeCover))
        {
            Block = Block.HonedAndCovered, Parts = Parts(q), Needs = [Need.Of(SupplyIds.TapeOrCorkStrip, 1)], Reason = "Hands work round it from here on.",
            FinishTest = "Nothing bare.",
        }),
        PlanRule.One("dress the jaws", "Jaws meet at stops: metal off the faces means moving the stops.", [NotKeep, Edge(EdgeForm.Meeting),
            If("a jaw is nicked or chipped", q => Damage(q) >= 2), Chosen(ChoiceId.Jaws, WayId.Stops, WayId.Holes, WayId.NewJaws)], Jaws, ChoiceId.Jaws, 16),
        PlanRule.One("light dressing of jaws", "Dull is enough for a bolt.", [NotKeep, Edge(EdgeForm.Meeting),
            If("the jaws are only dull, or keep their chip", q => Damage(q) < 2 || q.Way(ChoiceId.Jaws) == WayId.LeaveChip)], q => new Deed(StepKey.JawHone,
                Stage.Edge, "Stone the burrs off the jaws",
                q.Minutes(StepKey.JawHone))
        {
            Parts = Parts(q), Needs = [Need.Of(SupplyIds.MediumStone)], How = Damage(q) < 2 ? "Burrs only; the edge stays blunt as it was made."
                : "Burrs only; the chip stays, and it cuts beside it. A crack at its root is the end of the jaw: look with the lens.",
                    Reason = "A keen jaw chips.",
            FinishTest = "Smooth to the nail.",
        }, buys: 8),
    ];

    private static Deed Jaws(PlanQuestion q)
    {
        WayId way = q.Way(ChoiceId.Jaws);
        return way == WayId.NewJaws ? new Deed(StepKey.JawDress, Stage.Edge, "Look for new jaws: these are past dressing", q.Minutes(StepKey.Find))
        {
            Parts = Parts(q), Needs = [Need.Of(SupplyIds.ReplacementPart, 2)],
            How = "Same maker and size, both from one pair. Measure bolt holes and thickness before buying.",
            Reason = "What the faces would lose is more than anything can follow.", FinishTest = "They lie in the box, and their holes fit.",
        } : new Deed(StepKey.JawDress, Stage.Edge, "Dress both jaws alike, only as far as they still meet", q.Minutes(StepKey.JawDress))
        {
            Parts = Parts(q),
            Needs = way == WayId.Holes ? [Need.Of(SupplyIds.BenchGrinder), Need.Of(SupplyIds.FineFile), Need.Of(SupplyIds.DrillPress),
                Need.Of(SupplyIds.DrillBits)]
                : [Need.Of(SupplyIds.BenchGrinder), Need.Of(SupplyIds.FineFile)],
            How = "Both faces lose the same, dipped often. " + (way == WayId.Holes
                ? "Then the pivot holes move by what the faces lost: marked from the old ones, drilled through both straps together, bolts to fit."
                : "A chip deeper than the stops can follow stays in: it cuts beside it. Work out the stops first."),
            Reason = "A chip bites into what is cut and spreads.", FinishTest = "The edges meet along their length, held against the light.",
            Undoable = false, MetalRemovedMm = q.Metal(StepKey.JawDress), SurfaceLost = SurfaceId.Edge,
        };
    }
}
