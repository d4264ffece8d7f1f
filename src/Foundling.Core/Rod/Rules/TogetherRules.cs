using Foundling.Core.State;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for putting together and setting.</summary>
internal static class TogetherRules
{
    private static readonly Cond WasApart = If("it was taken apart", q => q.Tool.ComesApart);

    private static string CapSetting(PlanQuestion q) => q.Way(ChoiceId.Cap) switch
    {
        WayId.Hard => $"As near as the eye can set it: {q.Shop.Assumptions.CapHardLeastMm:0.0#} to {q.Shop.Assumptions.CapHardMostMm:0.0#} mm.",
        WayId.Two => $"About {q.Shop.Assumptions.CapBackMm:0.#} mm.",
        _ => $"About {q.Shop.Assumptions.CapMiddleMm:0.#} mm.",
    };

    private static string MouthSetting(PlanQuestion q) => q.Way(ChoiceId.Mouth) switch
    {
        WayId.Tight => $"Tight: {q.Shop.Assumptions.MouthTightLeastTimes:0.#} or {q.Shop.Assumptions.MouthTightMostTimes:0.#} shavings of the kind it takes.",
        WayId.Open => $"About {q.Shop.Assumptions.MouthOpenMm:0.#} mm.",
        WayId.Any => "As it comes, only square.",
        _ => $"About {q.Shop.Assumptions.MouthMiddleMm:0.#} mm.",
    };

    private static string FrogMoved(PlanQuestion q) => q.Tool.Made(PartIds.Frog) && (q.Tool.Is(FormIds.FrogScrew) || q.Tool.Is(FormIds.NoFrogScrew))
        ? " " + Edges.MouthWords.Squared(q.Tool.Is(FormIds.FrogScrew)) : "";

    // What was measured before it came apart is shown again where it is set.
    private static string AsFound(PlanQuestion q, MeasureId measure, string was, PartId part) =>
        q.Measured(measure, part) is double mm ? $" As found it {was} by {mm:0.##} mm." : "";

    private static string PivotNotch(PlanQuestion q) => q.Measured(MeasureIds.PivotNotch, PartIds.Pivot) is double notch
        ? $" As found it stood at notch {notch:0}{(q.Measured(MeasureIds.OpeningTime, PartIds.Pivot) is double tenths
            ? $" and opened in {tenths / TenthsASecond:0.#} s" : "")}." : "";

    private const double TenthsASecond = 10;

    private static bool Dressed(PlanQuestion q) => Choices.Find(ChoiceId.Jaws).Asked(q) && q.Way(ChoiceId.Jaws) == WayId.Stops;

    private static string Brittle(PlanQuestion q) => q.Present.Any(p => p.Material == Material.CastIron) && q.Present.Any(p => p.IsThreaded)
        ? "Firm by hand and no more: a thin casting cracks before its screw gives. " : "";

    // Grips on a rod, a tang or glue have steps of their own.
    private static string Rocked(PlanQuestion q) => q.With(FindingKind.Looseness, 2).Where(p => p.Material == Material.Wood && p.Rod is null && !p.OnePiece
        && p.Joint == Joint.Plain && q.Tool.Family is Family.Plane or Family.BoringTool && q.Tool.Part(PartIds.Body)?.Material != Material.Wood).ToList()
        is { Count: > 0 } parts
        ? $" The {Names(parts)} rocked: draw up what holds {Verb(parts, "it", "them")}, and plug a worn screw hole with a glued sliver first." : "";

    private static bool Threaded(PlanQuestion q) => q.Present.Any(p => p.IsThreaded || p.Joint is Joint.LockTab or Joint.ReverseThread
        || p.Is(PartIds.Chuck, PartIds.Knurl));

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("put together", "Reverse order, and every fastener started before any is tight.", [WasApart,
            If("its haft is not hung anew", q => !(q.Tool.TightensItself && HandleRules.HungAnew(q)))], q =>
            new Deed(StepKey.Assemble, Stage.Together, q.Tool.Manner.Together.Said(p => q.Tool.Part(p) is { Joint: not Joint.StaysOn }),
            q.Minutes(StepKey.Assemble, q.Tool.Parts.Where(p => !p.InSet && !p.OnePiece && p.Joint != Joint.StaysOn), StepCase.Each))
        {
            // What a wedge or a taper holds gets no oil.
            Needs = [.. Threaded(q) || (!q.Tool.IsWedged && q.Present.Any(p => p.Moves && p.Ferrous)) ? [Need.Of(SupplyIds.LightOil, 3)]
                : Array.Empty<Need>(), .. ApartRules.Turning(q)],
            How = $"{(Threaded(q) ? "Oil every thread. Start all, then tighten all. " : "")}{Brittle(q)}{q.Tool.Manner.Together.Minded(q.Tool.Made)}"
                + (q.Tool.IsWedged ? " Depth by taps: on the iron to go deeper, where it was freed to draw it back; the wedge again after each." : "")
                + Rocked(q),
            Reason = Threaded(q) ? "A thread started straight stays whole." : "What goes together without force stays true.",
            FinishTest = "Nothing left in the box.", Cautions = q.Handling(),
        }),
        PlanRule.One("drive a handle on", "A handle is driven on with the blade hanging free.", [NotKeep,
            If("a driven handle was taken off", HandleWays.OnlyDriven)], q => new Deed(StepKey.CloseJoint, Stage.Together,
            $"Drive the {(HandleWays.Remade(q).Count > 0 ? "new " : "")}{Names(HandleWays.Opening(q))} on its tang",
            q.Minutes(StepKey.CloseJoint, StepCase.Wood))
        {
            Parts = Ids(HandleWays.Opening(q)), Needs = [Need.Of(SupplyIds.Mallet), Need.Of(SupplyIds.TapeOrCorkStrip, 1)],
            How = "Edge covered. Held in the air by the handle, blade down, and struck on its end: the weight of the blade draws it in. Turn it by a quarter "
                + "after each blow and sight along it."
                + (HandleWays.Remade(q).Count > 0 ? " Ferrule first, hoop last." : " Slack in the old bore: a shaving round the tang, no wider."),
            Reason = "Clamped and driven it splits, or goes on crooked.", FinishTest = "The shoulder sits close, it stands in line, nothing turns.",
            Undoable = false, Cautions = [CautionId.BareEdge],
        }, buys: 6),
        PlanRule.One("close what was opened", "A joint that was broken open is closed by its plan.",
            [NotKeep, If("a joint was opened that is no eye of a head", q => HandleWays.Closing(q).Count > 0 && q.Tool.Part(PartIds.Haft) is null
                && !HandleWays.OnlyDriven(q))], q => new Deed(StepKey.CloseJoint, Stage.Together,
            $"Close the joint {(HandleWays.Opening(q).Count > 0 ? "again by its refit plan" : "with a new rivet")}: {Names(HandleWays.Closing(q))}",
                q.Minutes(StepKey.CloseJoint))
        {
            Parts = Ids(HandleWays.Closing(q)),
                Needs = [Need.Of(SupplyIds.NewRivet, 2), Need.Of(SupplyIds.BrassHammer), Need.Of(SupplyIds.BenchVice)],
            How = $"{(HandleWays.Remade(q).Count > 0 ? "New handle or washers" : "The handle")} on, drawn up tight, then peened over in small blows on a "
                + "solid back.",
            Reason = "What was opened to get it off must hold again.",
            FinishTest = "No movement when twisted hard.", Undoable = false, Cautions = [CautionId.Shatter, CautionId.BareEdge],
        }, buys: 6),
        PlanRule.One("last honing", "The edge that is proved is fresh.", [NotKeep, Of(Family.Plane), Edge(EdgeForm.BackAndBevel),
            If("it is honed first and lapped last", q => !q.Tool.HasMetalSole || q.Way(ChoiceId.Order) == WayId.HoneFirst),
                If("it does not already cut well as found",
            q => q.Tried != State.AsFoundTry.Well)], q => new Deed(StepKey.FinalHone, Stage.Tune, "Touch up the edge and put it straight back",
                q.Minutes(StepKey.FinalHone))
        {
            Parts = Ids(q.Edges), Needs = q.Tool.HasSkate ? [Need.Of(SupplyIds.MediumStone)] : [Need.Of(SupplyIds.FineStone), Need.Of(SupplyIds.Strop)],
            How = q.Tool.HasBed
                ? $"A dozen strokes, {(q.Has(PartIds.CapIron) ? "the cap iron back to the setting it had, " : "")}then into the plane, drawn back. Nothing "
                    + "else is moved."
                : "A dozen strokes, then back in its place, drawn back.",
            Reason = "Handling dulls; a minute brings it back.", FinishTest = "Cuts end grain of soft wood clean.", Cautions = [CautionId.BareEdge],
        }, ChoiceId.Order, 4),
        PlanRule.One("set the cap", "Set-back by purpose.", [NotKeep, There(PartIds.CapIron, "cap iron"), There(PartIds.Iron, "iron")], q =>
            new Deed(StepKey.SetCap, Stage.Together, "Swing on the cap iron and set it back",
            q.Minutes(StepKey.SetCap, q.Way(ChoiceId.Cap) == WayId.Hard ? StepCase.Much : StepCase.Usual))
        {
            Parts = [PartIds.CapIron, PartIds.Iron],
            How = $"Crosswise on, then turn, so it never drags over the edge. {CapSetting(q)}{AsFound(q, MeasureIds.CapSetBack, "sat back", PartIds.CapIron)}",
            Reason = "Close for fine work, back for thick shavings.", FinishTest = "Even gap from corner to corner.", Cautions = [CautionId.BareEdge],
        }, ChoiceId.Cap, 3),
        PlanRule.One("set the mouth", "Square and as open as the work needs.", [NotKeep,
            If("its mouth is set by its frog or its toe", q => q.Tool.MouthMoves)], q =>
            new Deed(StepKey.SetMouth, Stage.Together, q.Tool.Made(PartIds.ToePlate) ? "Set the toe and the mouth"
                : "Set the frog square and the mouth to its work", q.Minutes(StepKey.SetMouth))
        {
            Parts = [.. new[] { PartIds.Frog, PartIds.ToePlate, PartIds.Body }.Where(q.Has)], Needs = [Need.Of(SupplyIds.SmallRule)],
            How = MouthSetting(q) + FrogMoved(q) + AsFound(q, MeasureIds.Mouth, "was open", PartIds.Body)
                + AsFound(q, MeasureIds.FrogPosition, "stood back", PartIds.Frog), Reason = "A mouth out of square clears on one side only.",
                FinishTest = "Same gap at both ends of the mouth.", Cautions = [CautionId.BareEdge],
        }, ChoiceId.Mouth, 3),
        PlanRule.One("pivot tension", "Drawn up to the limit of its spring.", [If("a spring opens it", q => q.Tool.Made(PartIds.Spring))], q =>
            new Deed(StepKey.SetPivot, Stage.Tune, "Draw the pivot up until the spring just opens it", q.Minutes(StepKey.SetPivot))
        {
            Parts = [PartIds.Pivot, PartIds.Spring],
            How = "A notch at a time; write down the notch and how long it takes to open. Bend the tab up once." + PivotNotch(q),
            Reason = "Loose it folds, tight it tires the hand.", FinishTest = "It opens by itself, and no light shows at the cut.",
            Cautions = [CautionId.Spring, CautionId.BareEdge],
        }, buys: 14),
        PlanRule.One("set the stops", "Jaws stop by stops, not by one another.", [NotKeep, If("its jaws meet at stops", q => q.Tool.Made(PartIds.Stops)),
            If("their gap was not measured to be within bounds, or their faces are dressed", q => Dressed(q)
                || q.Measured(MeasureIds.JawGap, PartIds.UpperJaw, PartIds.LowerJaw) is not double gap || gap > q.Shop.Assumptions.JawGapMm + Whole.Slack)],
                    q =>
            new Deed(StepKey.SetStops, Stage.Tune, "Set the stops so that the jaws just meet", q.Minutes(StepKey.SetStops))
        {
            Parts = [PartIds.Stops, PartIds.UpperJaw, PartIds.LowerJaw], Needs = [Need.Of(SupplyIds.StraightedgeAndFeelers), Need.Of(SupplyIds.FineFile)],
            How = Dressed(q)
                ? "The faces lost metal, so the stops must too, each by its share of the distance from the pivot. "
                    + "Paper between the jaws is gripped along their length, the stops touch in the same moment."
                : "Paper between the jaws is gripped along their length, the stops touch in the same moment.",
            Reason = "Jaws that meet hard chip; jaws that stop short crush.", FinishTest = "Paper is held along the whole edge, stops touching.",
            Undoable = !Dressed(q),
        }, buys: 14),
    ];
}
