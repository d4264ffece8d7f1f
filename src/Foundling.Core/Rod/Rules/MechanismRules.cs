using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for what turns, slides and springs: gears, chucks, ratchets, jaws, pivots, fences.</summary>
internal static class MechanismRules
{
    private static double? Play(PlanQuestion q) => q.Measured("play", PartIds.SlidingJaw);

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("gears", "Old grease is abrasive.", [There(PartIds.Gear, "gear")], q =>
            new PlanStep("gear-clean", Stage.Mechanism, "Clean gear and pinions tooth by tooth", 5, 12, 25)
        {
            Parts = Ids(q.Present.Where(p => p.Id.Is(PartIds.Gear, PartIds.Pinion, PartIds.IdlerPinion, PartIds.Spindle))),
            Materials = ["white spirit: 30 mL", "fine wire brush", "wooden scraper", "grease: 2 g"],
            How = "A pointed stick for the roots. Turn it through by hand and feel for one rough tooth. A smear of grease, no more.",
            Reason = "Grit in the mesh wears both.", FinishTest = "It runs on by itself when spun.", Caution = $"{Cautions.Solvent} {Cautions.Rotating}",
        }, buys: 14),
        PlanRule.One("chuck", "Jaws hold only when they slide.", [There(PartIds.Chuck, "chuck")], q =>
            new PlanStep("chuck-clean", Stage.Mechanism, q.Worst(FindingKind.Seizure, PartIds.Chuck, PartIds.ChuckJaws) >= 3
            ? "Once it is free: clean the chuck and put it back in order" : "Clean the chuck and put it back in order", 6, 15, 35)
        {
            Parts = [PartIds.Chuck, PartIds.ChuckJaws], Materials = ["white spirit: 20 mL", "fine wire brush", "light oil: 3 mL"],
            How = "By the picture of its parts. Springs whole, jaws matched, cone clean. Dry graphite where grit is about.",
            Reason = "A jaw that hangs lets the bit run out.", FinishTest = "Jaws open by themselves and close on a hair.", Caution = Cautions.Spring,
        }, buys: 18),
        PlanRule.One("ratchet", "A pawl that misses throws the hand.", [There(PartIds.Ratchet, "ratchet")], q =>
            new PlanStep("ratchet-clean", Stage.Mechanism, "Free ratchet and pawls, both ways and locked", 5, 10, 25)
        {
            Parts = Ids(q.Present.Where(p => p.Id.Is(PartIds.Ratchet, PartIds.Pawl, PartIds.CamRing))), Materials = ["white spirit: 15 mL", "light oil: 3 mL", "soft brush"],
            How = "Cam ring through all its stops. Thin oil only: grease holds the pawls up.",
            Reason = "It must hold in both directions and let go in the middle.", FinishTest = "It clicks both ways and holds under the hand.",
            Caution = Cautions.Spring,
        }, buys: 10),
        PlanRule.One("knurl and slide", "A wrench is a screw that must run.", [Of(Family.Wrench)], q =>
            new PlanStep("slide-clean", Stage.Mechanism, "Clean slide, spindle and knurl", 4, 8, 20)
        {
            Parts = Ids(q.Present.Where(p => p.Id.Is(PartIds.SlidingJaw, PartIds.Knurl, PartIds.Spindle))),
            Materials = ["fine wire brush", "white spirit: 15 mL", "light oil: 3 mL"],
            How = "Thread of the jaw with a brush, slide with a strip of wood and cloth.", Reason = "Packed grit reads as wear.",
            FinishTest = "One finger runs it from end to end.", Caution = Cautions.Spring,
        }, buys: 12),
        PlanRule.One("play in the jaw", "Play is shared by knurl, spindle and slide.", [NotKeep, Of(Family.Wrench),
            If("the jaw is loose, or its play was measured", q => q.Worst(FindingKind.Looseness, PartIds.SlidingJaw) >= 1
            || Play(q) > Assumptions.Standard.JawPlayMm)], q => new PlanStep("jaw-play", Stage.Mechanism,
            "Find where the play comes from and take up what the knurl gives", 8, 20, 45)
        {
            Parts = Ids(q.Present.Where(p => p.Id.Is(PartIds.SlidingJaw, PartIds.Knurl, PartIds.Spindle))), Materials = ["straightedge and feelers", "shim: 1 pieces"],
            How = $"{(Play(q) is double play ? $"{play:0.0#} mm at the tip; up to {Assumptions.Standard.JawPlayMm:0.#} mm does no harm. " : "")}Hold the knurl still and rock the jaw: what is left is the slide. A thin washer beside the knurl takes up end play. A worn slide is not built up: it stays a wrench for light nuts.", Reason = "A rocking jaw rounds nuts and slips off.", FinishTest = "The play stands on the tag, with where it comes from.",
        }, buys: 16),
        PlanRule.One("pivots", "A pivot turns on clean metal and a film of oil.", [Of(Family.Cutter)], q =>
            new PlanStep("pivot-clean", Stage.Mechanism, "Clean pivots and bores", 4, 8, 20)
        {
            Parts = Ids(q.Present.Where(p => p.Id.Is(PartIds.Pivot, PartIds.Bolts, PartIds.ToggleBolts, PartIds.Strap))),
            Materials = ["fine wire brush", "white spirit: 15 mL", "grease: 2 g"],
            How = q.Has(PartIds.Bolts) ? "Bores by a roll of cloth. Worn bolts are changed in pairs." : "The bore by a roll of cloth, its faces with the brush.",
            Reason = "Play at the pivot doubles at the edge.", FinishTest = "It opens under its own weight.",
        }, buys: 10),
        PlanRule.One("spring", "A tired spring tires the hand.", [Kind(KindIds.Pruner), There(PartIds.Spring, "spring"),
            If("the spring does not go into the bath with the rest", q => q.SoakLoad.All(p => p.Id != PartIds.Spring))], _ => new PlanStep("spring-clean",
            Stage.Mechanism, "Clean and oil the spring by hand", 2, 4, 8)
        {
            Parts = [PartIds.Spring], Materials = ["0000 steel wool: 1 pads", "light oil: 2 mL"], How = "Fine wool, never acid, which makes it break.",
            Reason = "Rust starts cracks in springs.", FinishTest = "It opens the handles fully.", Caution = Cautions.Spring,
        }, buys: 4),
        PlanRule.One("fence, stems and stop", "A plough is set by what slides.", [Kind(KindIds.PloughPlane)], q =>
            new PlanStep("slides", Stage.Mechanism, "Free the stems, the fence and the depth stop", 4, 10, 25)
        {
            Parts = Ids(q.Present.Where(p => p.Id.Is(PartIds.Stem, PartIds.StemWedge, PartIds.Fence, PartIds.DepthStop))), Materials = ["paste wax: 3 g", "fine file"],
            How = "Wax, not oil, on wood. Fence parallel to the skate at both stems.", Reason = "A fence that binds is set askew.",
            FinishTest = "It slides by hand and holds by its wedges.",
        }, buys: 8),
    ];
}
