using Foundling.Core.Units;
using Foundling.Core.Keys;
using Foundling.Core.Safety;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for what turns, slides and springs: gears, chucks, ratchets, jaws, pivots, fences.</summary>
internal static class MechanismRules
{
    private static double? Play(PlanQuestion q) => q.Measured(MeasureIds.Play, PartIds.SlidingJaw);

    private static string[] Slide(PlanQuestion q) => q.Tool.Made(PartIds.HeelPin) ? ["thread", "window"] : ["slide"];

    private static IEnumerable<string> Running(PlanQuestion q) => q.Present.Where(p => p.Is(PartIds.Spindle, PartIds.Knurl)).Select(p => p.Name)
        .OrderDescending(StringComparer.Ordinal);

    private static IEnumerable<PartDef> Gears(PlanQuestion q) => q.Those(PartIds.Gear, PartIds.Pinion, PartIds.IdlerPinion, PartIds.Spindle);

    // From here on a tooth is gone.
    private const int ToothGone = 3;

    private static List<PartDef> Chipped(PlanQuestion q) => [.. q.With(FindingKind.EdgeDamage, 2).Where(p => p.Is(Faults.Toothed) && q.May(p.Id))];

    private static List<PartDef> Bruised(PlanQuestion q) => [.. q.With(FindingKind.Burred, 2).Where(p => !p.IsFastener && q.May(p.Id))];

    private static IEnumerable<PartDef> Slides(PlanQuestion q) => q.Those(PartIds.SlidingJaw, PartIds.Knurl, PartIds.Spindle);

    private static IEnumerable<PartDef> Pivots(PlanQuestion q) => q.Those(PartIds.Pivot, PartIds.Bolts, PartIds.ToggleBolts, PartIds.Strap);

    private static IEnumerable<PartDef> Fences(PlanQuestion q) => q.Those(PartIds.Stem, PartIds.StemWedge, PartIds.Fence, PartIds.DepthStop);

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("gears", "Old grease is abrasive.", [There(PartIds.Gear, "gear")], q =>
            new Deed(StepKey.GearClean, Stage.Mechanism, "Clean "
                + $"{(q.Has(PartIds.IdlerPinion) ? "gear and pinions" : q.Has(PartIds.Pinion) ? "gear and pinion" : "the gear")} tooth by tooth",
                q.Minutes(StepKey.GearClean, Gears(q)))
        {
            Parts = Ids(Gears(q)),
            Needs = [Need.Of(SupplyIds.WhiteSpirit, 30), Need.Of(SupplyIds.FineWireBrush), Need.Of(SupplyIds.WoodenScraper), Need.Of(SupplyIds.Grease, 2)],
            How = "A pointed stick for the roots. Turn it through by hand and feel for one rough tooth. A smear of grease, no more.",
            Reason = "Grit in the mesh wears both.", FinishTest = "Every root is clean, and no tooth catches the nail.", Cautions = [CautionId.Solvent],
        }, buys: 14),
        PlanRule.One("chipped teeth", "A chip in the mesh spoils the tooth it meets.", [NotKeep,
            If("a gear has chipped teeth", q => Chipped(q).Count > 0)], q =>
            new Deed(StepKey.GearTeeth, Stage.Mechanism, $"Dress the chipped teeth of {Names(Chipped(q))}", q.Minutes(StepKey.GearTeeth, Chipped(q)))
        {
            Parts = Ids(Chipped(q)), Needs = [Need.Of(SupplyIds.FineFile), Need.Of(SupplyIds.Marker)],
            How = "Only the burr beside the break, by a fine file; the flank that bears is not touched. Turn it through by hand and mark where it catches."
                + (q.WorstOn(FindingKind.EdgeDamage, Chipped(q).Select(p => p.Id)) >= ToothGone
                    ? " Where a tooth is gone it jumps under load: a gear from a broken one of the same make is the cure, light work until then." : ""),
            Reason = "What stands up beside a break ploughs through the other wheel.", FinishTest = "It turns through by hand without a catch.",
            Undoable = false, MetalRemovedMm = q.Metal(StepKey.GearTeeth),
        }, buys: 4),
        PlanRule.One("bruised jaws", "A burr on a jaw marks every nut it turns.", [NotKeep, Of(Family.Wrench),
            If("a jaw is bruised", q => Bruised(q).Count > 0)], q =>
            new Deed(StepKey.JawBurrs, Stage.Mechanism, $"Take the burrs off {Names(Bruised(q))}", q.Minutes(StepKey.JawBurrs, Bruised(q)))
        {
            Parts = Ids(Bruised(q)), Needs = [Need.Of(SupplyIds.FineFile), Need.Of(SupplyIds.MediumStone)],
            How = "Only what stands proud: the file lies flat across the face and takes the lip, not the face. A file that skates means a hard jaw: a stone "
                + "instead. Dents stay.",
            Reason = "What stands proud marks the flats and keeps the face off them.", FinishTest = "A new nut slides along the face without a catch.",
            Undoable = false, MetalRemovedMm = q.Metal(StepKey.JawBurrs),
        }, buys: 3),
        PlanRule.One("chuck", "Jaws hold only when they slide.", [There(PartIds.Chuck, "chuck")], q =>
            new Deed(StepKey.ChuckClean, Stage.Mechanism, q.Worst(FindingKind.Seizure, PartIds.Chuck, PartIds.ChuckJaws) >= 3
            ? "Once it is free: clean the chuck and put it back in order" : "Clean the chuck and put it back in order", q.Minutes(StepKey.ChuckClean))
        {
            Parts = [PartIds.Chuck, PartIds.ChuckJaws],
                Needs = [Need.Of(SupplyIds.WhiteSpirit, 20), Need.Of(SupplyIds.FineWireBrush), Need.Of(SupplyIds.LightOil, 3)],
            How = "By the picture of its parts. Springs whole, jaws matched, cone clean. Dry graphite where grit is about.",
            Reason = "A jaw that hangs lets the bit run out.", FinishTest = "Pushed with a thumb, the jaws slide home in the cone and spring back.",
            Cautions = [CautionId.Spring],
        }, buys: 18),
        PlanRule.One("ratchet", "A pawl that misses throws the hand.", [There(PartIds.Ratchet, "ratchet")], q =>
            new Deed(StepKey.RatchetClean, Stage.Mechanism, $"Free {(q.Has(PartIds.Pawl) ? "ratchet and pawls" : "the ratchet")}, both ways and locked",
                q.Minutes(StepKey.RatchetClean))
        {
            Parts = Ids(q.Those(PartIds.Ratchet, PartIds.Pawl, PartIds.CamRing)),
                Needs = [Need.Of(SupplyIds.WhiteSpirit, 15), Need.Of(SupplyIds.LightOil, 3), Need.Of(SupplyIds.SoftBrush)],
            How = $"{(q.Has(PartIds.CamRing) ? "Cam ring through all its stops. " : "")}Thin oil only: grease holds the pawls up.",
            Reason = "It must hold in both directions and let go in the middle.", FinishTest = "Each pawl drops by itself into every tooth.",
            Cautions = [CautionId.Spring],
        }, buys: 10),
        PlanRule.One("knurl and slide", "A wrench is a screw that must run.", [Of(Family.Wrench),
            If("its jaw slides", q => q.Tool.Made(PartIds.SlidingJaw))], q =>
            new Deed(StepKey.SlideClean, Stage.Mechanism, $"Clean {Sentences.List([.. Slide(q), .. Running(q)])}", q.Minutes(StepKey.SlideClean, Slides(q)))
        {
            Parts = Ids(Slides(q)),
            Needs = [Need.Of(SupplyIds.FineWireBrush), Need.Of(SupplyIds.WhiteSpirit, 15), Need.Of(SupplyIds.LightOil, 3)],
            How = q.Tool.Made(PartIds.HeelPin) ? "Thread of the jaw with a brass brush, clean to its shank. No paint in the window; the knurl is never sanded."
                : "Thread of the jaw with a brush, slide with a strip of wood and cloth.", Reason = "Packed grit reads as wear.",
            FinishTest = "No grit on a white cloth drawn along thread and slide.",
        }, buys: 12),
        PlanRule.One("play in the jaw", "Play is shared by knurl, spindle and slide.", [NotKeep, Of(Family.Wrench),
            If("its jaw is not made to rock", q => q.Tool.Made(PartIds.Spindle)),
            If("the jaw is loose, or its play was measured", q => q.Worst(FindingKind.Looseness, PartIds.SlidingJaw) >= 1
            || Play(q) > q.Shop.Assumptions.JawPlayMm)], q => new Deed(StepKey.JawPlay, Stage.Mechanism,
            "Find where the play comes from and take up what the knurl gives", q.Minutes(StepKey.JawPlay))
        {
            Parts = Ids(Slides(q)),
                Needs = [Need.Of(SupplyIds.StraightedgeAndFeelers), Need.Of(SupplyIds.Shim, 1)],
            How = $"{(Play(q) is double play ? $"{play:0.0#} mm at the tip; up to {q.Shop.Assumptions.JawPlayMm:0.#} mm does no harm. " : "")}Hold the knurl "
                + "still and rock the jaw: what is left is the slide. A thin washer beside the knurl takes up end play. A worn slide is not built up: it "
                + "stays a wrench for light nuts.", Reason = "A rocking jaw rounds nuts and slips off.",
                FinishTest = "The play stands on the tag, with where it comes from.",
        }, buys: 16),
        PlanRule.One("pivots", "A pivot turns on clean metal and a film of oil.", [Of(Family.Cutter)], q =>
            new Deed(StepKey.PivotClean, Stage.Mechanism, "Clean pivots and bores", q.Minutes(StepKey.PivotClean,
                Pivots(q)))
        {
            Parts = Ids(Pivots(q)),
            Needs = [Need.Of(SupplyIds.FineWireBrush), Need.Of(SupplyIds.WhiteSpirit, 15), Need.Of(SupplyIds.Grease, 2)],
            How = q.Has(PartIds.Bolts) ? "Bores by a roll of cloth. Worn bolts are changed in pairs."
                : "The bore by a roll of cloth, its faces with the brush.",
            Reason = "Play at the pivot doubles at the edge.", FinishTest = "The pin turns in its bore by finger and thumb, without rocking.",
        }, buys: 10),
        PlanRule.One("spring", "A tired spring tires the hand.", [There(PartIds.Spring, "spring"),
            If("the spring does not go into the bath with the rest", q => q.SoakLoad.All(p => !p.Is(PartIds.Spring)))], q => new Deed(StepKey.SpringClean,
            Stage.Mechanism, "Clean and oil the spring by hand", q.Minutes(StepKey.SpringClean, q.Those(PartIds.Spring)))
        {
            Parts = [PartIds.Spring], Needs = [Need.Of(SupplyIds.SteelWool, 1), Need.Of(SupplyIds.LightOil, 2)],
                How = "Fine wool, never acid, which makes it break.",
            Reason = "Rust starts cracks in springs.", FinishTest = "Clean and oiled, no crack under the lens.",
        }, buys: 4),
        PlanRule.One("fence, stems and stop", "A plough is set by what slides.", [If("it has a fence on stems", q => q.Tool.Part(PartIds.Stem) is not null)],
            q =>
            new Deed(StepKey.Slides, Stage.Mechanism, $"Free {Names(q.Tool.Parts.Where(p => p.Is(PartIds.Stem, PartIds.Fence, PartIds.DepthStop)))}",
                q.Minutes(StepKey.Slides, Fences(q)))
        {
            Parts = Ids(Fences(q)),
                Needs = [Need.Of(SupplyIds.PasteWax, 3), Need.Of(SupplyIds.FineFile)],
            How = $"Wax, not oil, on wood.{(q.Tool.Made(PartIds.Fence) && q.Tool.HasSkate ? " Fence parallel to the skate at both stems." : "")}",
            Reason = q.Tool.Made(PartIds.Fence) ? "A fence that binds is set askew." : "What binds is set askew.",
            FinishTest = "It slides by hand and holds by its wedges.",
        }, buys: 8),
    ];
}
