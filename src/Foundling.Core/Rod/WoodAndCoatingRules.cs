using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;

namespace Foundling.Core.Rod;

/// <summary>Rules for wood and coatings.</summary>
internal static class WoodAndCoatingRules
{
    private static IEnumerable<PartDef> Wood(PlanQuestion q) => q.Present.Where(p => p.Material == Material.Wood);

    private static IEnumerable<PartDef> Coated(PlanQuestion q) => q.Present.Where(p => p.Finish is PartFinish.Japanned or PartFinish.Painted);

    private static int CoatingLoss(PlanQuestion q) => q.Worst(FindingKind.CoatingLoss, [.. Coated(q).Select(p => p.Id), "-"]);

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("clean the wood", "Most old wood is sound under its dirt.", q => Wood(q).Any(), q => new PlanStep
        {
            Key = "wood-clean", Stage = Stage.Wood, Title = $"Clean {Names(Wood(q))}", Parts = [.. Wood(q).Select(p => p.Id)], LowMin = 4, LikelyMin = 8, HighMin = 20,
            Materials = ["white spirit", "0000 steel wool"], How = "Try a hidden spot first: alcohol softens shellac, white spirit only lifts wax and grime.", Reason = "Find out what the old finish is before choosing.",
            FinishTest = "The cloth comes away clean.", Caution = Cautions.Solvent,
        }),
        PlanRule.One("glue a break", "A clean break holds better than the wood beside it.", q => Wood(q).Any(p => q.Worst(FindingKind.Crack, p.Id) >= 2), q => new PlanStep
        {
            Key = "wood-glue", Stage = Stage.Wood, Title = $"Glue and clamp {Names(Wood(q).Where(p => q.Worst(FindingKind.Crack, p.Id) >= 2))}", Parts = [.. Wood(q).Where(p => q.Worst(FindingKind.Crack, p.Id) >= 2).Select(p => p.Id)],
            LowMin = 8, LikelyMin = 15, HighMin = 30, WaitMin = 24 * 60, LookInMin = 60, Materials = ["wood glue", "clamps or rubber band", "waxed rod in the bore"],
            How = "Dry run first. A waxed rod keeps the bore open.", Reason = "Glue before any finish, or it will not hold.", FinishTest = "No line to feel, bore free.", SurfaceLost = "",
        }),
        PlanRule.One("tighten loose wood", "Wood shrinks, so a rod bottoms before the wood is tight.", q => q.Aim != AimKind.Keep && Wood(q).Any(p => q.Worst(FindingKind.Looseness, p.Id) >= 2) && (q.Has("tote_bolt") || q.Has("knob_bolt")), q => new PlanStep
        {
            Key = "wood-rod", Stage = Stage.Wood, Title = "Shorten the rod in small bites until the wood draws down", LowMin = 5, LikelyMin = 12, HighMin = 25, Parts = [.. Wood(q).Where(p => q.Worst(FindingKind.Looseness, p.Id) >= 2).Select(p => p.Id)],
            Materials = ["file", "thread left at least its own diameter"], How = "File half of the gap, refit, look, then the rest.", Reason = "The nut is tight but the wood is not: the rod bottoms.",
            FinishTest = "Firm, with a thread or two showing in the nut.", Undoable = false,
        }),
        PlanRule.One("oil the wood", "Bare or thirsty wood cracks.", q => q.Aim != AimKind.Show && Wood(q).Any(), q => new PlanStep
        {
            Key = "wood-finish-oil", Stage = Stage.Wood, Title = "One thin coat of oil on the wood, wiped off", Parts = [.. Wood(q).Select(p => p.Id)], LowMin = 4, LikelyMin = 8, HighMin = 15, WaitMin = 24 * 60, LookInMin = 20,
            Materials = ["boiled linseed oil", "lint-free cloth"], How = "Leave 10 to 15 min, then wipe off all that stands.", Reason = "Feeds the wood and keeps its colour.", FinishTest = "Dry to the hand, no tack.", Caution = Cautions.OilyRags,
        }),
        PlanRule.One("refinish the wood", "As it left the works.", q => q.Aim == AimKind.Show && Wood(q).Any(), q => new PlanStep
        {
            Key = "wood-finish-shellac", Stage = Stage.Wood, Title = "Scrape the wood and build three coats of shellac", Parts = [.. Wood(q).Select(p => p.Id)], LowMin = 25, LikelyMin = 45, HighMin = 90, WaitMin = 3 * 60, LookInMin = 60,
            Materials = ["card scraper", "2 lb shellac", "0000 steel wool"], How = "A coat an hour, rubbed down between.", Reason = "An even shine as it was sold.", FinishTest = "No bare spot in raking light.", Caution = Cautions.WoodDust, Undoable = false, SurfaceLost = "the old finish on the wood",
        }),
        PlanRule.One("seal the coating's edge", "A lifting edge lets damp creep under.", q => q.Aim == AimKind.Keep && CoatingLoss(q) >= 1, q => new PlanStep
        {
            Key = "coat-touch", Stage = Stage.Coating, Title = "Seal the edges of the old coating with wax", Parts = [.. Coated(q).Select(p => p.Id)], LowMin = 4, LikelyMin = 8, HighMin = 15, Materials = ["microcrystalline wax"], Reason = "Keeps what is left without adding colour.", FinishTest = "No edge lifts under a soft brush.",
        }),
        PlanRule.One("touch in the coating", "Small losses are touched in, sound coating stays.", q => q.Aim == AimKind.Work && CoatingLoss(q) is 2 or 3, q => new PlanStep
        {
            Key = "coat-touch", Stage = Stage.Coating, Title = "Touch in the bare patches of coating", Parts = [.. Coated(q).Where(p => q.Worst(FindingKind.CoatingLoss, p.Id) >= 1).Select(p => p.Id)], LowMin = 8, LikelyMin = 15, HighMin = 30, WaitMin = 24 * 60, LookInMin = 60,
            Materials = ["gloss black enamel", "fine brush"], How = "Feather the edge first; seats and bare faces stay bare.", Reason = "Bare casting rusts again; the rest is original.", FinishTest = "Dry, no sags, seats clear.", Caution = Cautions.OldPaint,
        }),
        PlanRule.One("strip the coating", "A new coat holds only on sound ground.", q => q.Aim != AimKind.Keep && (CoatingLoss(q) >= 4 || (q.Aim == AimKind.Show && CoatingLoss(q) >= 2)), q => new PlanStep
        {
            Key = "coat-strip", Stage = Stage.Coating, Title = "Strip what is left of the coating", Parts = [.. Coated(q).Select(p => p.Id)], LowMin = 20, LikelyMin = 40, HighMin = 90, Materials = ["paint stripper or scraper"], Reason = "Too little is left to touch in.", FinishTest = "Bare metal in every corner.",
            Caution = Cautions.OldPaint, Undoable = false, SurfaceLost = "the original coating",
        }),
        PlanRule.One("mask bare faces", "Seats, sole and cheeks were bare when it was made.", q => q.Aim != AimKind.Keep && (CoatingLoss(q) >= 4 || (q.Aim == AimKind.Show && CoatingLoss(q) >= 2)), q => new PlanStep
        {
            Key = "coat-mask", Stage = Stage.Coating, Title = "Mask the faces that were left bare", Parts = ["body"], LowMin = 6, LikelyMin = 12, HighMin = 25, Materials = ["masking tape", "sharp knife"], Reason = "Paint under a seat lets it rock.", FinishTest = "Tape pressed down, edges cut clean.",
        }),
        PlanRule.One("new coat", "Thin coats, one oven.", q => q.Aim != AimKind.Keep && (CoatingLoss(q) >= 4 || (q.Aim == AimKind.Show && CoatingLoss(q) >= 2)), q => new PlanStep
        {
            Key = "coat-paint", Stage = Stage.Coating, Title = q.Aim == AimKind.Show ? "Three thin coats of japanning, baked between" : "Two thin coats of gloss black", Parts = [.. Coated(q).Select(p => p.Id)], LowMin = 20, LikelyMin = 35, HighMin = 60, WaitMin = q.Aim == AimKind.Show ? 8 * 60 : 48 * 60, LookInMin = 60,
            Materials = [q.Aim == AimKind.Show ? "japanning" : "gloss black enamel"], How = "Coat inside the recoat window of the can, or wait for the next.", Reason = "Colour is settled against what survives under the frog.", FinishTest = "Hard to the nail.", Caution = q.Aim == AimKind.Show ? Cautions.Oven : Cautions.Spray, Undoable = false,
        }),
    ];
}
