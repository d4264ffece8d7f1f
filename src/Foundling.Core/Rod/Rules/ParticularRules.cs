using Foundling.Core.Finishes;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Safety;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>
/// Rules for what only few tools have: shaped soles, guiding cheeks, a frame on wood, tangs in a stock, cords, pads, toothed and
/// parallel jaws.
/// </summary>
internal static class ParticularRules
{
    private static readonly Cond Shaped = If("its sole has a shape", q => q.Tool.Edge == EdgeForm.Profiled);

    private static readonly Cond Guided = If("its cheeks guide it", q => q.Tool.Works(KindTrait.CheeksGuide));

    private static readonly Cond Sided = If("its side guides it", q => q.Tool.Works(KindTrait.SideGuides));

    private static readonly Cond Tanged = If("its iron hangs in its own tangs", q => q.Tool.Family == Family.Plane && q.Tool.Edges.Any(e =>
        e.Joint == Joint.Wedged));

    private static readonly Cond Strung = There(PartIds.Cord, "cord");

    /// <summary>How much wider a spanner's jaw is at its tips than near its floor, mm; null where it was not measured.</summary>
    private static double? Spread(PlanQuestion q, PartDef end) =>
        q.Measured(MeasureIds.OpeningTips, end.Id) - q.Measured(MeasureIds.OpeningFloor, end.Id);

    private static List<PartDef> Jaws(PlanQuestion q) => [.. q.Present.Where(p => p.Is(PartIds.FixedJaw, PartIds.SlidingJaw))];

    private static List<PartDef> Sprung(PlanQuestion q) =>
        [.. Jaws(q).Where(p => Spread(q, p) is double mm ? mm > q.Shop.Assumptions.JawSpreadMm : q.Worst(FindingKind.Worn, p.Id) is 2 or 3)];

    private static int Worn(PlanQuestion q) => q.WorstOn(FindingKind.Worn, Jaws(q).Select(j => j.Id));

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("clean the shaped sole", "The sole is the shape it makes, and is not flattened.", [Shaped], q =>
            new Deed(StepKey.SoleShape, Stage.Sole, "Clean the shaped sole and try it along its length", q.Minutes(StepKey.SoleShape, q.Sole))
        {
            Parts = [PartIds.Body, PartIds.Boxing], Needs = [Need.Of(SupplyIds.SoftBrush), Need.Of(SupplyIds.WhiteSpirit, 10)],
            How = "Soft brush and spirit along it, no paper and no plane. A stick of its moulding, slid from toe to heel, touches everywhere. Write down the "
                + "depths of fence and stop.", Reason = "It is the master that the iron is ground to.",
                    FinishTest = "Clean in every quirk; the stick touches all along.",
            Cautions = [CautionId.Solvent],
        }, buys: 6),
        PlanRule.One("glue the boxing", "A loose length of boxing tears at the quirk, and hide glue lets go again.", [There(PartIds.Boxing, "boxing"),
            If("the boxing is loose", q => q.Worst(FindingKind.Looseness, PartIds.Boxing) >= 1)], q =>
            new Deed(StepKey.Boxing, Stage.Wood, q.Worst(FindingKind.Looseness, PartIds.Boxing) >= 4 ? "Let in new boxing where it is gone"
            : "Glue the loose boxing back", q.Minutes(StepKey.Boxing, q.Worst(FindingKind.Looseness, PartIds.Boxing) >= 4 ? StepCase.Much : StepCase.Usual))
        {
            Parts = [.. q.Those(PartIds.Boxing, PartIds.Body).Select(p => p.Id)],
            Lag = Lag.Cure(Adhesive.LiquidHide(q.Shop.Assumptions).In(q.TemperatureC).CuredMin, 60),
            Needs = [Need.Of(SupplyIds.LiquidHideGlue, 6), Need.Of(SupplyIds.Clamps), Need.Of(SupplyIds.ScrapOfSoftwood)],
            How = q.Worst(FindingKind.Looseness, PartIds.Boxing) >= 4
                ? "Hard fine wood, its grain on the same slant, left proud and brought down with a scraper of the opposite shape. No heat, no wet cloth "
                    + "near it."
                : "Dry run, hide glue, the grain on its slant as it was. No heat, no wet cloth near it: box swells and the quirk breaks.",
            Reason = "The quirk is cut by it, and beech alone wears away.", FinishTest = "No joint to feel, the shape runs on.",
        }, buys: 8),
        PlanRule.One("match iron and sole", "Iron and sole are one shape.", [NotKeep, Shaped, There(PartIds.Iron, "iron")], q =>
            new Deed(StepKey.ProfileMatch, Stage.Bed, "Lay the iron against the sole: is it its shape?", q.Minutes(StepKey.ProfileMatch))
        {
            Parts = [PartIds.Iron, PartIds.Body], Needs = [Need.Of(SupplyIds.Lens)],
            How = "In its place, edge just through, sighted from the toe. Tang, width and stamp: is it this plane's? A strange one is named before either is "
                + "touched.",
            Reason = "The iron is ground to the sole, never the sole scraped to the iron.", FinishTest = "It is written where the edge leaves the profile.",
            Cautions = [CautionId.BareEdge],
        }, buys: 4),
        PlanRule.One("read the cheeks", "Both cheeks guide it, so both stand square to the sole.", [NotKeep, Guided], q =>
            new Deed(StepKey.CheekCheck, Stage.Sole, "Read both cheeks with a small square, and the iron against the width of the body",
                q.Minutes(StepKey.CheekCheck))
        {
            Parts = [PartIds.Body, PartIds.ToePlate, PartIds.Iron], Needs = [Need.Of(SupplyIds.TrySquare), Need.Of(SupplyIds.Caliper)],
            How = "Light behind the square at toe, mouth and heel, on either side. The iron should be wider than the body by 0.05 to 0.1 mm, half of it each "
                + "side.",
            Reason = "An iron narrower than the body walks away from the shoulder stroke by stroke.",
            FinishTest = "Squareness, width of body and of iron stand on the tag.",
        }, buys: 5),
        PlanRule.One("true the cheeks", "One cheek, the sole to it, then the other cheek.", [NotKeep, Guided,
            If("a cheek is out of square", q => q.Worst(FindingKind.OutOfSquare, PartIds.Body) >= 2)], q =>
            new Deed(StepKey.CheekLap, Stage.Sole, "Lap one cheek true, and the other parallel to it", q.Minutes(StepKey.CheekLap))
        {
            Parts = [PartIds.Body, PartIds.ToePlate], Needs = [Need.Of(SupplyIds.P180Sheet, 2), Need.Of(SupplyIds.FlatPlate), Need.Of(SupplyIds.TrySquare)],
            How = "Toe piece in and flush, against a square block, no more than shows contact at toe, mouth and heel. Whatever the cheeks lose, the iron "
                + "must lose in width.",
            Reason = "A shoulder follows the cheek, not the eye.", FinishTest = "No light at the square, both sides, at toe, mouth and heel.", Undoable = false,
            MetalRemovedMm = q.Metal(StepKey.CheekLap), SurfaceLost = SurfaceId.Machining, Cautions = [CautionId.Slurry],
        }, buys: 12),
        PlanRule.One("read the side", "The side runs along the wall, and the iron clears it by a hair.", [NotKeep, Sided], q =>
            new Deed(StepKey.CheekCheck, Stage.Sole, "Read the side with a small square, and the iron against the width of the body",
                q.Minutes(StepKey.CheekCheck))
        {
            Parts = [PartIds.Body, PartIds.Iron], Needs = [Need.Of(SupplyIds.TrySquare), Need.Of(SupplyIds.Caliper)],
            How = "Light behind the square at toe, mouth and heel. The iron is a hair wider than the body and stands out past the side that runs along the "
                + "wall; its corner there is sharp.",
            Reason = "An iron narrower than the body steps away from the wall with each shaving.",
            FinishTest = "Squareness, width of body and of iron stand on the tag.", Cautions = [CautionId.BareEdge],
        }, buys: 4),
        PlanRule.One("plane the side", "A rebate is as square as the side that guides it.", [NotKeep, Sided,
            If("the side is out of square", q => q.Worst(FindingKind.OutOfSquare, PartIds.Body) >= 2)], q =>
            new Deed(StepKey.CheekLap, Stage.Sole, "Plane the side true; the sole follows it", q.Minutes(StepKey.CheekLap, StepCase.Wood))
        {
            Parts = [PartIds.Body], Needs = [Need.Of(SupplyIds.BenchPlane), Need.Of(SupplyIds.TrySquare)],
            How = "Iron and wedge in, drawn back. The side first, flat from toe to heel, then the sole square to it, as little as shows no light. What the "
                + "body loses in width the iron has over.",
            Reason = "The wall follows the side, not the eye.", FinishTest = "No light at the square at toe, mouth and heel.", Undoable = false,
            SurfaceLost = SurfaceId.WornSole, Cautions = [CautionId.BareEdge],
        }, buys: 8),
        PlanRule.One("seat the frame", "Iron on wood: it must lie without rocking.", [NotKeep, There(PartIds.FrameScrews, "frame on wood")], q =>
            new Deed(StepKey.FrameSeat, Stage.Bed, "Lay the frame on the wood, and the bare iron on frog and bed: does either rock?",
                q.Minutes(StepKey.FrameSeat))
        {
            Parts = [PartIds.Frame, PartIds.Body, PartIds.Iron], Needs = [Need.Of(SupplyIds.MarkingBlue, 1), Need.Of(SupplyIds.CardScraper)],
            How = "Blue on the iron, ease the wood and only its high spots; a low bed is shimmed, frame and frog are not ground to fit. "
                + "A frame that stands over the cheeks by a hair is age.",
            Reason = "A step between frog and wooden bed chatters however sharp the iron is.",
            FinishTest = "No rock at four corners; a slip of paper is held at four places under the iron.",
            Undoable = false, Cautions = [CautionId.BareEdge],
        }, buys: 8),
        PlanRule.One("fit the tangs", "A loose iron is cured in the mortise.", [NotKeep, Tanged,
            If("the iron is loose in the stock", q => q.Worst(FindingKind.Looseness, [.. q.Tool.Edges.Select(e => e.Id)]) >= 1)], q =>
            new Deed(StepKey.TangFit, Stage.Bed, "Line the mortises until both tangs hold", q.Minutes(StepKey.TangFit))
        {
            Parts = [PartIds.Body, PartIds.Iron], Needs = [Need.Of(SupplyIds.LiquidHideGlue, 2), Need.Of(SupplyIds.ScrapOfHardwood)],
            How = "A slip of veneer glued to one wall, or thin leather; never spread, bend or peen a tang.",
            Reason = "The tangs hold by their fit and by nothing else.",
            FinishTest = "Both tips stand out the same before and after twenty strokes.", Cautions = [CautionId.BareEdge],
        }, buys: 8),
        PlanRule.One("fasten the wear strip", "A strip that stands proud lifts the edge off the work.", [NotKeep, There(PartIds.WearStrip, "wear strip"),
            If("the strip is loose or stands proud", q => q.Worst(FindingKind.Looseness, PartIds.WearStrip) >= 1)], q =>
            new Deed(StepKey.StripSeat, Stage.Bed, "Fasten the wear strip again, level with the wood or a hair below", q.Minutes(StepKey.StripSeat))
        {
            Parts = [PartIds.WearStrip], Needs = [Need.Of(SupplyIds.FittedScrewdrivers), Need.Of(SupplyIds.FineFile)],
            How = "Groove cleaned out, its own screws into their own holes, heads below the strip. A mouth grown wide is closed by the strip, not by the iron.",
            Reason = "It is the sole in front of the edge.", FinishTest = "No step to the nail, screws below the strip.",
        }, buys: 5),
        PlanRule.One("level the foot", "The edge is the lowest point of the foot, and parallel to the sole.", [NotKeep,
            If("its cutter works below the sole", q => q.Tool.Works(KindTrait.CutsBelowSole) && q.Has(PartIds.Iron))], q =>
            new Deed(StepKey.FootLevel, Stage.Tune, "Stand it on glass: the edge touches along its width, its heel does not", q.Minutes(StepKey.FootLevel))
        {
            Parts = [PartIds.Iron, PartIds.Body], Needs = [Need.Of(SupplyIds.FlatPlate)],
            How = "Two equal strips of paper under the corners of the edge. A small fault is ground out at the edge; the foot is hard and is never bent.",
            Reason = "A foot that touches at its heel skates; one out of parallel leaves a sloping floor.", FinishTest = "Both strips are gripped alike.",
            Cautions = [CautionId.BareEdge],
        }, buys: 8),
        PlanRule.One("let the collar grip", "A cutter that creeps goes back to its old place.", [NotKeep, There(PartIds.Collar, "collar")], q =>
            new Deed(StepKey.CollarGrip, Stage.Mechanism, "Dress the end of the collar's screw and the dents it left in the shank",
                q.Minutes(StepKey.CollarGrip))
        {
            Parts = [PartIds.Collar, PartIds.Iron, PartId.Of("collar_screw")], Needs = [Need.Of(SupplyIds.FineFile), Need.Of(SupplyIds.Lens)],
            How = "Screw end rounded and free of burr, dents flush with the shank. Look at the collar's tapped side with the lens: a cracked one is "
                + "replaced, not brazed.",
            Reason = "Tightened in an old dent the cutter creeps to where it was.", FinishTest = "Set to a line and tightened, it stands on the line.",
        }, buys: 5),
        PlanRule.One("new cord", "The cord is many turns of thin line, so that one broken strand does not loose the saw.",
            [NotKeep, If("its cord is worn, slack or gone",
            q => q.Tool.Made(PartIds.Cord) && (q.Worst(FindingKind.Missing, PartIds.Cord) >= 1 || q.Worst(FindingKind.Worn, PartIds.Cord) >= 2
            || q.Worst(FindingKind.Looseness, PartIds.Cord) >= 3))], q =>
            new Deed(StepKey.CordNew, Stage.Together, "Wind a new cord: four to six turns each way, knotted at one arm", q.Minutes(StepKey.CordNew))
        {
            Parts = [PartIds.Cord], Needs = [Need.Of(SupplyIds.CordOrLeather, 8)],
            How = "Thin linen or hemp line; one that creeps under load does not hold a frame. Keep a piece of the old.",
            Reason = "It carries some hundreds of newtons.",
            FinishTest = "All turns lie side by side in both notches.",
        }, buys: 6),
        PlanRule.One("string it", "Strung, a frame saw is its own proof.", [NotKeep, Strung], q =>
            new Deed(StepKey.StringUp, Stage.Tune, "Turn both slots into one plane and wind the cord", q.Minutes(StepKey.StringUp))
        {
            Parts = [PartIds.Cord, PartIds.Plate, PartIds.PegLeft, PartIds.PegRight, PartIds.ArmLeft, PartIds.ArmRight], Needs = [],
            How = "Sight along the blade: turning both pegs takes the twist out, or a slot is askew. Wind a turn at a time, "
                + "hand round the toggle and face aside; stop at the first sound of wood. Slacked again whenever it is put away.",
            Reason = "A blade in wind never tracks; a saw kept strung bends its arms.",
            FinishTest = "Both arms stand alike, the plucked blade rings.", Cautions = [CautionId.Strung, CautionId.Teeth],
        }, buys: 6),
        PlanRule.One("points of the pad screws", "They bite the side of the blade.", [NotKeep, There(PartIds.PadScrews, "pad with screws")], q =>
            new Deed(StepKey.PadScrews, Stage.SmallParts, "Dress the points of the pad screws and the burrs they left on the blade",
                q.Minutes(StepKey.PadScrews))
        {
            Parts = [PartIds.PadScrews, PartIds.Plate], Needs = [Need.Of(SupplyIds.FineFile), Need.Of(SupplyIds.FittedScrewdrivers)],
            How = "Points flat or slightly domed. On the blade only the burrs, flush; the bites stay. A kink belongs behind the screws, not in front of them.",
            Reason = "The blade must slide, and be held alike by both.", FinishTest = "It slides by hand and does not creep at a finger's turn.",
            Cautions = [CautionId.Teeth],
        }, buys: 4),
        PlanRule.One("teeth of the jaws", "The teeth are the tool, and filing only thins them.", [There(PartIds.HeelPin, "toothed heel jaw on a pin")], q =>
            new Deed(StepKey.JawTeeth, Stage.Mechanism, Worn(q) >= 3 ? "Look for new jaws: their teeth are worn to less than half"
            : "Brush out the teeth of both jaws and measure what is left of them", q.Minutes(StepKey.JawTeeth))
        {
            Parts = [.. Jaws(q).Select(j => j.Id)], Needs = [Need.Of(SupplyIds.FineWireBrush), Need.Of(SupplyIds.Caliper)],
            How = "In the middle, against an unworn corner. Both rows lean opposite ways. No file, no wheel: both jaws were made to be renewed.",
            Reason = "Rounded under half their height they no longer bite.", FinishTest = "Both heights stand on the tag.",
        }, buys: 8),
        PlanRule.One("sprung jaws", "A spanner's two faces are its only working surfaces.", [NotKeep,
            If("a jaw is wider at its tips, or marks its nut", q => !q.Tool.Made(PartIds.SlidingJaw) && Sprung(q).Count > 0)], q =>
            new Deed(StepKey.JawSpread, Stage.Mechanism, $"Close the sprung {(Sprung(q).Count > 1 ? "jaws" : "jaw")} of {PlanQuestion.Names(Sprung(q))} a "
                + "little, cold, once", q.Minutes(StepKey.JawSpread))
        {
            Parts = PlanQuestion.Ids(Sprung(q)), Needs = [Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws), Need.Of(SupplyIds.Caliper),
                Need.Of(SupplyIds.Lens)],
            How = "In soft jaws, a hair past and let it come back; measure tips and floor. Then the lens in both corners of the floor. "
                + "No heat, no weld, no hammer; never ground to another size.",
            Reason = Sprung(q).Select(e => Spread(q, e)).Max() is double mm
                ? $"It is {mm:0.0#} mm wider at its tips than near the floor, and rounds nuts." : "Sprung, it rounds nuts.",
            FinishTest = "Tips and floor the same within the target, no crack in a corner.", Undoable = false, Cautions = [CautionId.Bending],
        }, buys: 10),
    ];
}
