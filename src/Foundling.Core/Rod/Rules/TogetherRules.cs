using Foundling.Core.Keys;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for putting together and setting.</summary>
internal static class TogetherRules
{
    private static readonly Cond WasApart = If("it was taken apart", q => q.Tool.Parts.Count > 1 && q.Tool.Family != Family.EdgeTool);

    private static string CapSetting(PlanQuestion q) => q.Way(ChoiceId.Cap) switch
    {
        WayId.Hard => "As near as the eye can set it: two to four tenths of a millimetre.",
        WayId.Two => "About 2 mm.",
        _ => "About 1 mm.",
    };

    private static (string Title, string How) Order(ToolKind tool) => tool.Id switch
    {
        var k when k.Is(KindIds.MetalBenchPlane) => ("Put it together: frog, tote, knob, irons drawn back, lever cap",
            "Frog square to the mouth before its screws are tight. The tote's toe screw last."),
        var k when k.Is(KindIds.WoodenBenchPlane) =>
            ("Put it together: irons drawn back, wedge by a tap", "Cap iron on crosswise. Wedge firm by a tap, not driven."),
        var k when k.Is(KindIds.RebatePlane, KindIds.ToothingPlane) =>
            ("Put it together: iron drawn back, wedge by a tap", "Iron in line with the side before the wedge is firm."),
        var k when k.Is(KindIds.PloughPlane) =>
            ("Put it together: fence, stem wedges, iron, wedge", "Fence parallel to the skate before its wedges are tapped."),
        var k when k.Is(KindIds.BlockPlane) =>
            ("Put it together: toe, knob, adjuster, iron drawn back, lever cap", "Bevel up. The toe slides before it is locked."),
        var k when k.Is(KindIds.ScraperPlane) =>
            ("Put it together: frame, tilt nuts, blade, clamp, knob, tote", "Both tilt nuts loose until the blade stands."),
        var k when k.Is(KindIds.Spokeshave) => ("Put it together: adjusting nuts, iron drawn back, cap", "Iron level with the sole before the cap is tight."),
        var k when k.Is(KindIds.HandSaw, KindIds.BackSaw) => ("Put the handle on the plate", "Seat it by hand, never by the nuts."),
        var k when k.Is(KindIds.AdjustableWrench) => ("Put it together: jaw, knurl, spindle", "The spindle last, its spring the right way round."),
        var k when k.Is(KindIds.HandDrill) =>
            ("Put it together: pinions, gear, crank, chuck", "Pins thick end first, in at the mark. Mesh set by hand before it is tight."),
        var k when k.Is(KindIds.Brace) => ("Put it together: ratchet, jaws, chuck shell, head", "By the pictures; pins thick end first."),
        var k when k.Is(KindIds.BoltCutter) =>
            ("Put it together: jaws, straps, jaw bolts, pivot", "Straps on both sides before any nut is tight. New tabs bent once."),
        var k when k.Is(KindIds.Pruner) => ("Put it together: blade, pivot, lock tab, spring", "The spring last, handles open."),
        _ => ("Put it together", "Reverse of how it came apart."),
    };

    private static bool Threaded(PlanQuestion q) => q.Present.Any(p => p.IsFastener || p.Joint is Joint.LockTab or Joint.ReverseThread
        || p.Id == PartIds.Chuck);

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("put together", "Reverse order, and every fastener started before any is tight.", [WasApart], q =>
            new Deed(StepKey.Assemble, Stage.Together, Order(q.Tool).Title,
            q.Minutes(StepKey.Assemble, StepCase.Each) * q.Tool.Parts.Count(p => !p.InSet))
        {
            Needs = q.Present.Any(p => p.IsFastener) ? [Need.Of(SupplyIds.LightOil, 3), Need.Of(SupplyIds.FittedScrewdrivers)]
                : [Need.Of(SupplyIds.LightOil, 3)],
            How = $"{(Threaded(q) ? "Oil every thread. Start all, then tighten all. " : "")}{Order(q.Tool).How}",
            Reason = Threaded(q) ? "A thread started straight stays whole." : "What goes together without force stays true.",
            FinishTest = "Nothing left in the box.", Cautions = q.Handling(),
        }),
        PlanRule.One("close what was opened", "A joint that was broken open is closed by its plan.",
            [NotKeep, If("a joint was opened that is no eye of a head", q => q.Opened && q.Tool.Part(PartIds.Haft) is null)], q => new Deed(StepKey.CloseJoint,
            Stage.Together, $"Close the joint again by its refit plan: {Names(q.Present.Where(p => p.Joint == Joint.Destroyed))}",
                q.Minutes(StepKey.CloseJoint))
        {
            Parts = Ids(q.Present.Where(p => p.Joint == Joint.Destroyed)),
                Needs = [Need.Of(SupplyIds.NewRivet, 2), Need.Of(SupplyIds.BrassHammer), Need.Of(SupplyIds.BenchVice)],
            How = "New handle or washers on, drawn up tight, then peened over in small blows on a solid back.", Reason = "What it holds is new or mended.",
            FinishTest = "No movement when twisted hard.", Undoable = false, Cautions = [CautionId.Shatter, CautionId.BareEdge],
        }, buys: 6),
        PlanRule.One("last honing", "The edge that is proved is fresh.", [NotKeep, Of(Family.Plane), Edge(EdgeForm.BackAndBevel),
            If("it is honed first and lapped last", q => !q.Tool.HasMetalSole || q.Way(ChoiceId.Order) == WayId.HoneFirst),
                If("it does not already cut well as found",
            q => q.Tried != State.AsFoundTry.Well)], q => new Deed(StepKey.FinalHone, Stage.Tune, "Touch up the edge and put it straight back",
                q.Minutes(StepKey.FinalHone))
        {
            Parts = Ids(q.Edges), Needs = [Need.Of(SupplyIds.FineStone), Need.Of(SupplyIds.Strop)], How = "A dozen strokes, then into the plane, drawn back.",
            Reason = "Handling dulls; a minute brings it back.", FinishTest = "Cuts end grain of soft wood clean.", Cautions = [CautionId.BareEdge],
        }, ChoiceId.Order, 4),
        PlanRule.One("set the cap", "Set-back by purpose.", [NotKeep, There(PartIds.CapIron, "cap iron"), There(PartIds.Iron, "iron")], q =>
            new Deed(StepKey.SetCap, Stage.Tune, "Swing on the cap iron and set it back",
            q.Minutes(StepKey.SetCap, q.Way(ChoiceId.Cap) == WayId.Hard ? StepCase.Much : StepCase.Usual))
        {
            Parts = [PartIds.CapIron, PartIds.Iron],
            How = $"Crosswise on, then turn, so it never drags over the edge. {CapSetting(q)}",
            Reason = "Close for fine work, back for thick shavings.", FinishTest = "Even gap from corner to corner.", Cautions = [CautionId.BareEdge],
        }, ChoiceId.Cap, 3),
        PlanRule.One("set the mouth", "Square and as open as the work needs.", [NotKeep, Kind(KindIds.MetalBenchPlane, KindIds.BlockPlane)], q =>
            new Deed(StepKey.SetMouth, Stage.Tune, q.Tool.Id == KindIds.BlockPlane ? "Set the toe and the mouth"
                : "Set the frog square and the mouth to its work", q.Minutes(StepKey.SetMouth))
        {
            Parts = [.. new[] { PartIds.Frog, PartIds.ToePlate, PartIds.Body }.Where(q.Has)], Needs = [Need.Of(SupplyIds.SmallRule)],
            How = q.Way(ChoiceId.Mouth) switch { WayId.Tight => "Tight: three or four shavings of the kind it takes.", WayId.Open => "About 2 mm.", WayId.Any =>
                "As it comes, only square.", _ => "About a millimetre." }, Reason = "A mouth out of square clears on one side only.",
                FinishTest = "Same gap at both ends of the mouth.", Cautions = [CautionId.BareEdge],
        }, ChoiceId.Mouth, 3),
        PlanRule.One("pivot tension", "Drawn up to the limit of its spring.", [Kind(KindIds.Pruner)], q =>
            new Deed(StepKey.SetPivot, Stage.Tune, "Draw the pivot up until the spring just opens it", q.Minutes(StepKey.SetPivot))
        {
            Parts = [PartIds.Pivot, PartIds.Spring], How = "A notch at a time; write down the notch and how long it takes to open. Bend the tab up once.",
            Reason = "Loose it folds, tight it tires the hand.", FinishTest = "It opens by itself, and no light shows at the cut.",
            Cautions = [CautionId.Spring, CautionId.BareEdge],
        }, buys: 14),
        PlanRule.One("set the stops", "Jaws stop by stops, not by one another.", [NotKeep, Kind(KindIds.BoltCutter)], q =>
            new Deed(StepKey.SetStops, Stage.Tune, "Set the stops so that the jaws just meet", q.Minutes(StepKey.SetStops))
        {
            Parts = [PartIds.Stops, PartIds.UpperJaw, PartIds.LowerJaw], Needs = [Need.Of(SupplyIds.StraightedgeAndFeelers), Need.Of(SupplyIds.FineFile)],
            How = q.Worst(FindingKind.EdgeDamage, PartIds.UpperJaw, PartIds.LowerJaw) >= 2
                ? "The faces lost metal, so the stops must too, each by its share of the distance from the pivot. Paper between the jaws is gripped at the "
                    + "tip first." : "Paper between the jaws is gripped along their length, the stops touch in the same moment.",
                    Reason = "Jaws that meet hard chip; jaws that stop short crush.", FinishTest = "Paper is held along the whole edge, stops touching.",
                    Cautions = [CautionId.Shatter], Undoable = q.Worst(FindingKind.EdgeDamage, PartIds.UpperJaw, PartIds.LowerJaw) < 2,
        }, buys: 14),
    ];
}
