using Foundling.Core.Finishes;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for handles: why one is loose, the rod, the tang, the haft.</summary>
internal static class HandleRules
{
    // The cord of a frame saw is no grip.
    private static IEnumerable<PartDef> Grips(PlanQuestion q) => q.Tool.Parts.Where(p => p.Material == Material.Soft && !p.Is(PartIds.Cord));

    private static List<PartDef> LooseOnRod(PlanQuestion q) => [.. SurfaceWays.Wooden(q).Where(p => p.Rod is PartId rod && q.Has(rod)
        && q.Worst(FindingKind.Looseness, p.Id) >= 1)];

    /// <summary>True when a rod may have to be shortened: a handle on it is loose, and it was not only the nut.</summary>
    internal static bool Bottoms(PlanQuestion q) => q.Aim != AimKind.Keep && (Gap(q) is double gap ? gap > 0
        : LooseOnRod(q).Any(p => q.Worst(FindingKind.Looseness, p.Id) >= 2));

    private static string End(PlanQuestion q) => q.Way(ChoiceId.RodEnd) == WayId.BothEnds
        ? "Half of it at each end; leave its own diameter in thread at both."
        : "At the end with more thread; leave its own diameter in thread.";

    private static double? Gap(PlanQuestion q) => LooseOnRod(q).Select(p => q.Measured(MeasureIds.HandleGap, p.Id)).Max();

    private static List<PartDef> LooseOnTang(PlanQuestion q) =>
        [.. SurfaceWays.Wooden(q).Where(p => p.Is(PartIds.Handle, PartIds.HandleLeft, PartIds.HandleRight)
        && q.Tool.Family == Family.EdgeTool && q.Worst(FindingKind.Looseness, p.Id) >= 2)];

    // A head with one flat face hews for one hand: its haft stands off from the work.
    private static string ForHand(PlanQuestion q) => q.Tool.Edge != EdgeForm.FlatFace ? "" : q.Facts.Build.Hand switch
    {
        Hand.Either => " Which hand it hews for is settled first: the flat face lies to the work, and the haft bends away from it.",
        var hand => $" It hews for the {hand.ToString().ToLowerInvariant()} hand: the flat face lies to the work, and the haft bends away from it.",
    };

    private static List<PartDef> NewHandles(PlanQuestion q) => [.. HandleWays.Remade(q).Where(p => p.Material == Material.Wood && !p.Is(PartIds.Haft))];

    private static readonly Cond Hafted = If("its head is hung on a haft", q => q.Tool.Part(PartIds.Haft) is not null);

    private static readonly Cond NewHaft = If("the haft is broken, rotten or gone", HungAnew);

    /// <summary>True when a head gets a new haft.</summary>
    public static bool HungAnew(PlanQuestion q) => (q.Opened && q.Tool.Part(PartIds.Haft) is not null) || q.Worst(FindingKind.Missing, PartIds.Haft) >= 1
        || q.Tool.TightensItself && q.Aim != AimKind.Keep && (q.Worst(FindingKind.Crack, PartIds.Haft) >= 3 || q.Worst(FindingKind.Damp, PartIds.Haft) >= 4);

    /// <summary>True for a part that is made anew at the bench: a handle, a grip, a haft and the wedge that goes with it.</summary>
    internal static bool MadeAnew(PlanQuestion q, PartDef part) => HandleWays.Remade(q).Contains(part)
        || (part.Is(PartIds.Haft, PartIds.Wedge) && q.Aim != AimKind.Keep && q.Tool.Part(PartIds.Haft) is not null && HungAnew(q));

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("why is it loose", "A loose nut and a rod that bottoms feel alike.",
            [If("a handle on a rod is loose, and its gap was not measured", q => LooseOnRod(q).Count > 0 && Gap(q) is null)], q =>
            new Deed(StepKey.RodWhy, Stage.AsFound, $"Find out why {Names(LooseOnRod(q))} {Verb(LooseOnRod(q))} loose: nut or rod", q.Minutes(StepKey.RodWhy))
        {
            Parts = Ids(LooseOnRod(q)), Needs = [Need.Of(SupplyIds.FittedScrewdrivers), Need.Of(SupplyIds.StraightedgeAndFeelers)],
            How = "Tighten the nut. If it stops and the wood still turns, wood has shrunk and the rod bottoms: measure the gap.",
            Reason = "Forcing the nut splits the wood.", FinishTest = "The gap stands on the tag, or it is tight.",
        }),
        PlanRule.One("shorten the rod", "Wood shrinks, so a rod bottoms before the wood is tight.",
            [If("a handle on a rod is loose, it was not only the nut, and the aim goes further than Keep", Bottoms)], q =>
            new Deed(StepKey.RodShorten, Stage.Wood, Gap(q) is null ? $"If the rod bottoms: shorten the rod of {Names(LooseOnRod(q))} in small bites"
                : $"Shorten the rod of {Names(LooseOnRod(q))} in small bites", q.Minutes(StepKey.RodShorten))
        {
            OnlyIfNeeded = Gap(q) is null,
            Parts = [.. LooseOnRod(q).SelectMany(p => new[] { p.Id, p.Rod!.Value })],
                Needs = [Need.Of(SupplyIds.FineFile), Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws)],
            How = Gap(q) is double gap ? $"The gap is {gap:0.0#} mm: take {(gap + q.Shop.Assumptions.RodClearanceMm) / 2:0.0#} mm first, refit and look, "
                + $"then up to {gap + q.Shop.Assumptions.RodClearanceMm:0.0#} mm in all. {End(q)}"
                : $"File half of the gap, refit, look, then the rest. {End(q)}",
            Reason = "The nut is tight but the wood is not: the rod bottoms.", FinishTest = "Firm, with a thread or two showing in the nut.",
                Undoable = false,
            MetalRemovedMm = (Gap(q) ?? 1) + q.Shop.Assumptions.RodClearanceMm,
        }, ChoiceId.RodEnd, 5),
        PlanRule.One("draw up the nut", "A nut that was only loose wants drawing up and nothing else.",
            [If("no gap was found under the nut of a loose handle", q => LooseOnRod(q).Count > 0 && Gap(q) is 0)], q =>
            new Deed(StepKey.RodTighten, Stage.Together, $"Draw up the nut of {Names(LooseOnRod(q))}: it was only loose",
                q.Minutes(StepKey.RodTighten, LooseOnRod(q)))
        {
            Parts = [.. LooseOnRod(q).SelectMany(p => new[] { p.Id, p.Rod!.Value })], Needs = [Need.Of(SupplyIds.FittedScrewdrivers)],
            How = "A drop of oil on the thread, firm by hand, and no more: the wood splits before the rod gives.",
            Reason = "No gap was found under it, so the rod does not bottom.", FinishTest = "It does not turn in the hand.",
        }, buys: 3),
        PlanRule.One("seat a handle on its tang", "A handle that turns is bedded, not driven harder.",
            [NotKeep, If("a handle is loose on its tang, and may stay on", q => LooseOnTang(q).Count > 0 && !q.Opened)], q => new Deed(StepKey.TangBed,
            Stage.Wood, $"Bed {Names(LooseOnTang(q))} on the tang with slow epoxy", q.Minutes(StepKey.TangBed))
        {
            Parts = Ids(LooseOnTang(q)), Lag = Lag.Cure(Adhesive.SlowEpoxy(q.Shop.Assumptions).In(q.TemperatureC).CuredMin, 60),
            Needs = [Need.Of(SupplyIds.SlowEpoxy, 8), Need.Of(SupplyIds.Alcohol, 10), Need.Of(SupplyIds.MaskingTape, 1)],
            How = "Flush the socket with alcohol and let it dry right off. Warm the epoxy thin in hot water, never over a flame; let it run down the tang, "
                + "tap, and stand it upright."
                + (q.Tool.Parts.Count(p => p.Is(PartIds.Handle, PartIds.HandleLeft, PartIds.HandleRight)) > LooseOnTang(q).Count
                    ? " The sound handle stays on."
                    : ""),
            Reason = q.Present.Any(p => p.Joint == Joint.Destroyed) ? "The rivet is whole: opening it would cost more than it gives."
                : "Driven harder it splits; bedded it bears all round.", FinishTest = "No movement when twisted hard.",
                Cautions = [CautionId.Epoxy, CautionId.BareEdge],
        }, buys: 8),
        PlanRule.One("draw up a loose haft", "A dry haft wants a wedge, not a soak.",
            [NotKeep, Hafted, If("the haft is loose but sound, or its wedge is broken or rotten",
                q => (q.Worst(FindingKind.Looseness, PartIds.Haft, PartIds.Head) is >= 1 and <= 3 || HandleWays.WedgeIsPast(q)) && !q.Opened)], q =>
            new Deed(StepKey.HaftWedge, Stage.Wood, q.Tool.Made(PartIds.Wedge) ? HandleWays.WedgeIsPast(q)
                ? "Draw the old wedge, drive the head up and set a new one" : "Drive the head up and set the wedge again"
                : q.Tool.TightensItself ? "Seat the haft in both mouths of the eye" : "Drive the head up the haft until it is tight",
                    q.Minutes(StepKey.HaftWedge))
        {
            Parts = [PartIds.Haft, PartIds.Wedge], Needs = q.Tool.Made(PartIds.Wedge) ? [Need.Of(SupplyIds.Mallet), Need.Of(SupplyIds.HardwoodWedge, 1)]
                : [Need.Of(SupplyIds.Mallet)],
            How = q.Tool.TightensItself ? "Blue the taper and look where it bears: wood all round at the far mouth and at the near one. "
                + "Ease the high spots, drop it on the end of its grip. No wedge, no nail, no water."
                : "Hang it head down and strike the end of the haft; the head climbs. "
                + (!q.Tool.Made(PartIds.Wedge) ? "" : HandleWays.WedgeIsPast(q)
                    ? "The old wedge drawn or drilled out first; the new one glued and driven until it rings. "
                    : "A second wedge across the first, glued dry. ") + "No water: it only swells for a week.",
            Reason = "A head that moves is a head that flies.", FinishTest = "No line opens at the eye when it is swung into a stump.",
            Cautions = [CautionId.BareEdge],
        }, buys: 8),
        PlanRule.One("shape a new haft", "A haft breaks where its grain runs out.", [NotKeep, Hafted, NewHaft], q =>
            new Deed(StepKey.HaftShape, Stage.Wood, "Shape a new haft to the eye", q.Minutes(StepKey.HaftShape))
        {
            Parts = [PartIds.Haft], Needs = [Need.Of(SupplyIds.BlankForAHaft, 1), Need.Of(SupplyIds.SpokeshaveForTheHaft), Need.Of(SupplyIds.Rasp)],
            How = "Grain straight: run-out not steeper than 1 in 15, never past 1 in 10. Fit by light and rub marks, never past the contact; "
                + (q.Tool.TightensItself ? "its taper bears at both mouths, the end 10 to 15 mm proud." : "kerf two thirds of the eye.") + ForHand(q),
                    Reason = "The old one cannot carry the blow.",
                FinishTest = q.Tool.TightensItself ? "It settles by its own weight and touches all round at both mouths."
                    : "It goes in by mallet and stops a finger from home, touching all round.", Cautions = [CautionId.WoodDust],
        }, buys: 10),
        PlanRule.One("hang the head", "Edge first, then the haft: nobody grinds a head on a stick.", [NotKeep, Hafted, NewHaft], q =>
            new Deed(StepKey.HaftHang, Stage.Together, q.Tool.Made(PartIds.Wedge) ? "Hang the head: drive it home, wedge it, cut it flush"
                : "Hang the head: drive it home until it holds", q.Minutes(StepKey.HaftHang))
        {
            Parts = [PartIds.Haft, PartIds.Wedge], Needs = q.Tool.TightensItself ? [Need.Of(SupplyIds.Mallet)]
                : [Need.Of(SupplyIds.Mallet), Need.Of(SupplyIds.HardwoodWedge, 1), Need.Of(SupplyIds.HandSaw)],
            How = q.Tool.TightensItself ? "Dropped on the end of its grip. From the end of the haft both corners of the edge are as far away, "
                + "within 2 or 3 mm: put it right in the fit of the haft, not at the wheel."
                : "Haft hanging free, struck at its end; wedge glued and driven until it rings. Sight the edge along the haft." + ForHand(q),
            Reason = "A head that moves is a head that flies.", FinishTest = q.Tool.TightensItself ? "Edge square across the haft, no gap at either mouth."
                : "Edge in line with the haft, wedge tight, no gap at the eye.",
            Cautions = [CautionId.BareEdge],
        }, buys: 6),
        PlanRule.One("make a handle", "A new handle is bored first and shaped round its bore.", [NotKeep,
            If("a wooden handle is made new", q => NewHandles(q).Count > 0)], q =>
            new Deed(StepKey.HandleMake, Stage.Wood, $"Make {Names(NewHandles(q))} new, the old one the pattern", q.Minutes(StepKey.HandleMake,
                NewHandles(q)))
        {
            Parts = Ids(NewHandles(q)), Needs = [Need.Of(SupplyIds.BlankForAHandle, NewHandles(q).Count), Need.Of(SupplyIds.DrillBits),
                Need.Of(SupplyIds.SpokeshaveForTheHaft), Need.Of(SupplyIds.Rasp)],
            How = "Straight grain. Bored to the taper of the tang first, stepped, and burnt in nowhere; then turned or shaved round the bore. The ferrule is "
                + "the measure of its shoulder. The old one stays with the tag.",
            Reason = NewHandles(q).Exists(p => HandleWays.IsPast(q, p)) ? "The old one is past use." : "The old one never fitted the hand.",
            FinishTest = "It goes on by hand to a finger from home, and stands in line.",
            Cautions = [CautionId.WoodDust],
        }, buys: 10),
        PlanRule.One("wind a grip", "A slipping grip turns the edge.", [NotKeep, If("a grip of leather or cord is loose, torn or gone", q =>
            Grips(q).Any(p => (q.Worst(FindingKind.Looseness, p.Id) >= 2 || q.Worst(FindingKind.Crack, p.Id) >= 3
            || q.Worst(FindingKind.Worn, p.Id) >= 3 || q.Worst(FindingKind.Missing, p.Id) >= 1))
            || HandleWays.Remade(q).Any(p => p.Material == Material.Soft))], q => new Deed(StepKey.Grip,
                Stage.Wood, q.Opened || q.Tool.Family != Family.EdgeTool
            ? "New grip of leather or cord" : "Tighten the grip: swell the leather with oil, or wind cord over it", q.Minutes(StepKey.Grip, Grips(q)))
        {
            Parts = Ids(Grips(q)), Needs = [Need.Of(SupplyIds.CordOrLeather, 6)],
            How = q.Opened && q.Tool.Family == Family.EdgeTool
                ? "Washers cut a hair too large, their slot tight on the tang, each pressed down on the last; shaped when the cap is peened. Wound instead, a "
                    + "sample of ten turns says how much cord it takes."
                : "Wind a sample of ten turns first; it says how much cord is needed.", Reason = "The hand must not slide to the edge.",
            FinishTest = "It does not turn when wrung.",
        }, buys: 6),
    ];
}
