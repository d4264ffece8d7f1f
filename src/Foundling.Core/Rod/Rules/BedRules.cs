using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for what an iron lies on: bed, frog, wedge and abutments.</summary>
internal static class BedRules
{
    private static readonly Cond Metal = If("its iron lies on metal", q => q.Tool.HasMetalBed);

    private static readonly Cond Frogged = If("it has a frog", q => q.Has(PartIds.Frog));

    private static readonly Cond Wedged = If("its iron is held by a wedge", q => q.Tool.IsWedged);

    // Its face is one of four sides that are about alike.
    private const double FacesOfAFrog = 4;

    private static List<PartId> Seats(PlanQuestion q) => [.. new[] { PartIds.Body, PartIds.Frog, PartIds.Frame, PartIds.ToePlate }.Where(q.Has)];

    // A measured rock says whether the frog is seated, whatever else is known.
    private static string? Seat(PlanQuestion q) => q.Measured(MeasureIds.Rock, PartIds.Frog) is { } rock
        ? rock > q.Shop.Assumptions.FrogRockMm ? $"It rocks by {rock:0.0#} mm on its seat." : null
        : Causes.BySurvey(q, "frog_seat", q.Shop.Assumptions.FaceFrogMm, () => Causes.OfFace(q, f => f.Place != "face" && Causes.Lapped(q, f), PartIds.Frog));

    /// <summary>Why the frog's face is worked on; null when nothing asks for it.</summary>
    internal static string? Face(PlanQuestion q) => Causes.BySurvey(q, "frog_face", q.Shop.Assumptions.FaceFrogMm,
        () => Causes.OfFace(q, f => f.Place != "seat" && Causes.Lapped(q, f), PartIds.Frog));

    private static bool PinOut(PlanQuestion q) => q.Way(ChoiceId.FrogFace) == WayId.PinOut;

    private static string? Bed(PlanQuestion q) => Causes.Of(q, [FindingKind.Pitting], 3, f => !OnSole(q, f), Seats(q));

    // The bed is no part of the sole.
    private static bool OnSole(PlanQuestion q, Found f) => f.Place is not ("" or "mouth" or "bed" or "frog seat")
        && q.Tool.Part(f.Part)?.Is(PartIds.Body) == true;

    private static string? Abutments(PlanQuestion q) => q.Odd.Contains(PartIds.Wedge) ? "A strange wedge is fitted to them."
        : Causes.Of(q, [FindingKind.Packed, FindingKind.Sap, FindingKind.Looseness, FindingKind.Worn], 1, PartIds.Wedge, PartIds.Body);

    private static string? Wedge(PlanQuestion q) => q.Odd.Contains(PartIds.Wedge) ? "It is from another plane."
        : Causes.Of(q, [FindingKind.Looseness, FindingKind.Worn, FindingKind.Crack, FindingKind.Burred], 1, PartIds.Wedge);

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("overspill off the seats", "Coating under a seat lets it rock.",
            [NotKeep, Metal, If("a new coat goes on", SurfaceWays.Renews)], q =>
            new Deed(StepKey.Overspill, Stage.Bed, "File coating overspill off the mating faces",
                q.Minutes(StepKey.Overspill, q.Those([.. Seats(q)])))
        {
            Parts = Seats(q), Needs = [Need.Of(SupplyIds.SafeEdgeFile)], How = "Only what stands proud, only on the seats.",
            Reason = "Metal must meet metal under the iron.", FinishTest = "Bright metal on all pads, no step to the nail.",
            Cautions = SurfaceWays.Strips(q) ? [] : [CautionId.OldPaint],
        }, buys: 3),
        PlanRule.One("seat the frog", "A rocking frog chatters and no edge cures it.", [NotKeep, Frogged, Causes.Asked(Seat)], q =>
            new Deed(StepKey.FrogSeat, Stage.Bed, "Rub the frog on its seat until it sits on all pads", 
            q.Minutes(StepKey.FrogSeat, q.Measured(MeasureIds.Rock, PartIds.Frog) > q.Shop.Assumptions.FrogRockMm ? StepCase.Much : StepCase.Usual))
        {
            Parts = [PartIds.Frog, q.Has(PartIds.Frame) ? PartIds.Frame : PartIds.Body], Needs = [Need.Of(SupplyIds.MarkingBlue, 1),
                Need.Of(SupplyIds.FineFile)],
                How = "Blue the seat, rub, take off only what is blue.",
            Reason = $"{Seat(q)} A rocking iron chatters.", FinishTest = "Blue on all four pads, no rock under two thumbs.", Undoable = false,
            MetalRemovedMm = q.Metal(StepKey.FrogSeat),
        }, buys: 8),
        PlanRule.One("flatten the frog face", "The iron lies on it.", [NotKeep, Frogged, Causes.Asked(Face),
            Chosen(ChoiceId.FrogFace, WayId.Lap, WayId.PinOut)], q =>
            new Deed(StepKey.FrogFace, Stage.Bed, PinOut(q) ? "Flatten the frog's whole face, the pin of its lever out" : "Flatten the frog's face",
                q.Minutes(StepKey.FrogFace, Work.Surface(q.Extents[PartIds.Frog].AllDm2 / FacesOfAFrog), PinOut(q) ? StepCase.Much : StepCase.Usual))
        {
            Parts = PinOut(q) ? [PartIds.Frog, PartIds.LateralLever] : [PartIds.Frog],
            Needs = [Need.Of(SupplyIds.P180Sheet, 1), Need.Of(SupplyIds.Marker), .. PinOut(q) ? [Need.Of(SupplyIds.FlatPlate), Need.Of(SupplyIds.PinPunches),
                Need.Of(SupplyIds.NewRivet, 1)] : Array.Empty<Need>()],
            How = PinOut(q) ? "File the peened rim of the pin away, drive it out from there, lever off. The face on the plate, then a new pin, peened until "
                + "the lever swings without play."
                : q.Tool.Made(PartIds.LateralLever) ? "Few strokes, mind the lateral lever." : "Few strokes, the paper on a true block.",
            Reason = $"{Face(q)} Bare contact behind the edge stops chatter.", FinishTest = "Marker gone from top to mouth.", Undoable = false,
            MetalRemovedMm = q.Metal(StepKey.FrogFace), Cautions = PinOut(q) ? [CautionId.Shatter] : [],
        }, ChoiceId.FrogFace, 4),
        PlanRule.One("bed without a frog", "The iron lies on the casting.", [NotKeep, Metal,
            If("it has no frog", q => q.Tool.Part(PartIds.Frog) is null), Causes.Asked(Bed)], q =>
            new Deed(StepKey.BedFlat, Stage.Bed, "True the bed under the iron", q.Minutes(StepKey.BedFlat))
        {
            Parts = Seats(q), Needs = [Need.Of(SupplyIds.SafeEdgeFile), Need.Of(SupplyIds.MarkingBlue, 1)],
            How = q.Tool.Works(KindTrait.CheeksGuide) ? "Blue a flat iron, rub, ease the high spots with a scraper held flat. The tip at the mouth is a "
                + "feather of iron: it is not filed."
                : "Blue a flat iron, rub, file the high spots, most of all at the mouth.", Reason = $"{Bed(q)} An iron on three points chatters.",
            FinishTest = "Blue across the whole width behind the mouth.", Undoable = false, MetalRemovedMm = q.Metal(StepKey.BedFlat),
        }, buys: 6),
        PlanRule.One("clean the abutments", "A wedge that binds on dirt lets shavings under it.", [Wedged, Causes.Asked(Abutments)], q =>
            new Deed(StepKey.Abutments, Stage.Bed, "Clean bed and abutments", q.Minutes(StepKey.Abutments))
        {
            Parts = [PartIds.Body], Needs = [Need.Of(SupplyIds.ScrapingBlade), Need.Of(SupplyIds.WoodenScraper)],
            How = "Only dirt and old polish, no wood. The front of the mouth stays sharp, the rear may be eased.",
            Reason = $"{Abutments(q)} The wedge must bear along its whole length.", FinishTest = "Bare wood, no shine, no step.",
        }, buys: 4),
        PlanRule.One("fit the wedge", "A wedge holds at its tip, or shavings jam.", [NotKeep, Wedged, If("it has its wedge", q => q.Has(PartIds.Wedge)),
            Causes.Asked(Wedge)], q =>
            new Deed(StepKey.WedgeFit, Stage.Bed, q.Odd.Contains(PartIds.Wedge) ? "Fit the wedge, which is from another plane, to this one"
            : "Fit the wedge to its abutments", 
            q.Minutes(StepKey.WedgeFit, q.Odd.Contains(PartIds.Wedge) ? StepCase.Much : StepCase.Usual))
        {
            Parts = [PartIds.Wedge, PartIds.Body], Needs = [Need.Of(SupplyIds.Marker), Need.Of(SupplyIds.FineFile)],
            How = "Rub with chalk or marker, pare the wedge and never the body. Tips thin, touching first; they must not reach the mouth.",
            Reason = q.Odd.Contains(PartIds.Wedge) ? "Its taper was cut for another body: it grips at the top and lets shavings under."
                : $"{Wedge(q)} It must grip low and let shavings past.",
            FinishTest = "No light along either finger; the iron does not move at a tap.", Undoable = false,
            SurfaceLost = q.Odd.Contains(PartIds.Wedge) ? null : SurfaceId.Joint, Cautions = [CautionId.BareEdge],
        }, buys: 8),
        PlanRule.One("name the wedge as a stranger", "Who has it next should know.",
            [Wedged, If("the wedge is not its own", q => q.Odd.Contains(PartIds.Wedge) && q.Has(PartIds.Wedge))], q => new Deed(StepKey.WedgeNote, Stage.Finish,
            "Say in the papers that the wedge is from elsewhere", q.Minutes(StepKey.WedgeNote))
        {
            Parts = [PartIds.Wedge], How = "It stays with the plane; its own may yet turn up.",
            Reason = "Colour, shadow and fit say that it came from another plane.", FinishTest = "The papers say so.",
        }),
    ];
}
