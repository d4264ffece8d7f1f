using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for washing, by kind of dirt, before any bath.</summary>
internal static class WashRules
{
    private static bool Soapy(PlanQuestion q) => q.Way(ChoiceId.Wash) == WayId.Soap;

    // What alcohol softens: paint, japan, varnish, shellac.
    private static bool HasFilm(PartDef part) => part.Finish is PartFinish.Japanned or PartFinish.Painted or PartFinish.Varnished;

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        new("dust", "Dry dirt goes dry.", [Always], q =>
            ApartRules.AsTheyComeOff(q, q.Present, (parts, held) => new Deed(StepKey.WashDust, Stage.Wash, $"Brush and blow off the dust{held}",
                q.Minutes(StepKey.WashDust, parts))
        {
            Needs = [Need.Of(SupplyIds.SoftBrush)], How = "Outdoors, away from the bench where finishing is done.",
                Reason = "Wetted dust is mud in every corner.",
            FinishTest = "A finger stays clean.",
        })),
        PlanRule.One("packed shavings", "What is packed under a cap holds damp.", [FoundOnWhatStays(FindingKind.Packed)], q =>
            new Deed(StepKey.WashPacked, Stage.Wash, $"Pick out what is packed in {Names(q.Staying(FindingKind.Packed))}",
                q.Minutes(StepKey.WashPacked, q.Staying(FindingKind.Packed)))
        {
            Parts = Ids(q.Staying(FindingKind.Packed)), Needs = [Need.Of(SupplyIds.WoodenScraper), Need.Of(SupplyIds.SoftBrush)],
            How = $"Wood against metal, never a screwdriver.{(q.Tool.Family == Family.Plane ? " Old shavings tell the last wood it planed: keep one." : "")}",
            Reason = "It keeps parts off their seats and damp on them.", FinishTest = "Nothing is left that moves under the brush.",
        }),
        PlanRule.One("sap and tar", "Sap turns hard in a bath and glues brushes.", [FoundOnWhatStays(FindingKind.Sap)], q =>
            new Deed(StepKey.WashSap, Stage.Wash, $"Soften sap and old grease on {Names(q.Staying(FindingKind.Sap))}",
                q.Minutes(StepKey.WashSap, q.Staying(FindingKind.Sap)))
        {
            Parts = Ids(q.Staying(FindingKind.Sap)),
                Needs = [q.On(SupplyIds.WhiteSpirit, q.Staying(FindingKind.Sap), 2), Need.Of(SupplyIds.WoodenScraper),
                    q.On(SupplyIds.CleanCloth, q.Staying(FindingKind.Sap))],
            How = "Wet it, wait, wipe; alcohol for sap, white spirit for grease." + (q.Staying(FindingKind.Sap).Any(HasFilm)
                ? " Try a hidden spot first where there is paint or polish: alcohol takes it." : ""),
            Reason = q.Staying(FindingKind.Sap).Any(p => p.Ferrous) ? "It shields rust, and fouls whatever takes the rust off."
                : "It hides what is under it, and smears into whatever comes after.",
            FinishTest = "Nothing sticks to a dry finger.", Cautions = [CautionId.Solvent],
        }),
        PlanRule.One("paint splashes", "Paint that does not belong is lifted, not ground.", [FoundOnWhatStays(FindingKind.PaintSplash)], q =>
            new Deed(StepKey.WashPaint, Stage.Wash, $"Lift paint splashes off {Names(q.Staying(FindingKind.PaintSplash))}",
                q.Minutes(StepKey.WashPaint, q.Staying(FindingKind.PaintSplash)))
        {
            Parts = Ids(q.Staying(FindingKind.PaintSplash)), Needs = q.Staying(FindingKind.PaintSplash).All(HasFilm)
                ? [Need.Of(SupplyIds.ScrapingBlade), Need.Of(SupplyIds.WhiteSpirit, 10)] : [Need.Of(SupplyIds.ScrapingBlade), Need.Of(SupplyIds.Alcohol, 30)],
            How = (q.Staying(FindingKind.PaintSplash).All(HasFilm) ? "Blade flat, white spirit under it: alcohol would take the old finish along."
                : q.Staying(FindingKind.PaintSplash).Any(HasFilm)
                    ? "Blade flat, alcohol under it on bare metal only: where there is an old finish it would take that along."
                    : "Blade flat, alcohol under it.")
                + " Marks are picked clean with wood.", Reason = "The surface under it is often the best that is left.",
            FinishTest = "No colour but its own.", Cautions = [CautionId.OldPaint],
        }),
        new("degrease", "Grease and tar shield rust and foul baths.", [If("it has iron or steel", q => q.Ferrous.Any())], q =>
            ApartRules.AsTheyComeOff(q, q.Ferrous, (parts, held) => new Deed(StepKey.Wash, Stage.Wash,
                (Soapy(q) ? "Wash the metal in hot water and soap, and dry it at once" : "Degrease the metal") + held,
                q.Minutes(StepKey.Wash, parts))
        {
            Parts = Ids(parts),
            Needs = Soapy(q) ? [Need.Of(SupplyIds.Detergent, 20), Need.Of(SupplyIds.SoftBrush), q.On(SupplyIds.CleanCloth, parts),
                Need.Of(SupplyIds.HeatGun)]
                : [q.On(SupplyIds.WhiteSpirit, parts), Need.Of(SupplyIds.SoftBrush), q.On(SupplyIds.CleanCloth, parts)],
            How = Soapy(q) ? "As hot as the hand stands, brush no harder than the finish allows, rinse hot so that it dries by itself. Warm air into threads "
                + "and seats; a drop of oil on what does not go into a bath at once."
                : "Solvent before water. Brush no harder than the finish allows. Dry at once, into the threads.",
            Reason = "A bath works only on what it can wet.", FinishTest = "Water spreads on the metal instead of beading."
                + (ApartRules.Many.Holds(q) ? "" : " Look it over with the lens: new marks go to Origin, new damage to State."),
        }), ChoiceId.Wash, 7),
        PlanRule.One("wash plated screws by hand", "Dull plating may be cadmium.",
            [If("a plated fastener is losing its plating", q => q.Present.Any(q.DullPlate))], q => new Deed(StepKey.WashPlated, Stage.Wash,
            $"Wipe plated fasteners by hand: {Names(q.Present.Where(q.DullPlate))}", q.Minutes(StepKey.WashPlated, q.Present.Where(q.DullPlate)))
        {
            Parts = Ids(q.Present.Where(q.DullPlate)), Needs = [Need.Of(SupplyIds.CleanCloth, 1), Need.Of(SupplyIds.LightOil, 2)],
            How = "Oily cloth only. No bath, no wheel, no flame.", Reason = "Nobody can tell zinc from cadmium by eye.",
            FinishTest = "Clean and oiled, nothing ground off.", Cautions = [CautionId.Cadmium],
        }),
        new("wash wood", "Water and wood part company quickly.", [If("it has wood that stays", q => SurfaceWays.OldWood(q).Any())], q =>
            ApartRules.AsTheyComeOff(q, SurfaceWays.OldWood(q), (parts, _) => new Deed(StepKey.WashWood, Stage.Wash,
                $"Wipe the wood with a nearly dry cloth: {Names(parts)}", q.Minutes(StepKey.WashWood, parts))
        {
            Parts = Ids(parts), Needs = [Need.Of(SupplyIds.Detergent, 5), q.On(SupplyIds.CleanCloth, parts)],
            How = "Wrung out, with the grain, dried at once. Never under the tap.", Reason = "Hand grease and soot go; the colour of use stays.",
            FinishTest = "A white cloth stays white.",
        })),
        new("look again when clean", "Dirt reads as coating, and marks surface.", [ApartRules.Many], q =>
            ApartRules.AsTheyComeOff(q, q.Present, (parts, held) => new Deed(StepKey.LookAgain, Stage.Wash, $"Look again now that it is clean{held}",
                q.Minutes(StepKey.LookAgain, parts))
        {
            Needs = [Need.Of(SupplyIds.Lens)], How = "Cracks with the lens, marks in raking light. New marks go to Origin, new damage to State.",
            Reason = "Cracks and marks show only now.", FinishTest = "State and Origin are up to date.",
        })),
    ];
}
