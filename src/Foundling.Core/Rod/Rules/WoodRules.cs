using Foundling.Core.Aim;
using Foundling.Core.Finishes;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for wood: find out what the old finish is, mend, stain before oil, finish with its waits.</summary>
internal static class WoodRules
{
    private const string Id = "wood";

    private static readonly Cond Has = If("it has wood", q => SurfaceWays.Wooden(q).Any());

    private static readonly Cond HasOld = If("it has wood that stays", q => SurfaceWays.OldWood(q).Any());

    private static readonly Cond Dry = If("the wood is dry", q => q.WorstOn(FindingKind.Damp, SurfaceWays.Wooden(q).Select(p => p.Id)) < 2);

    private static List<PartId> Parts(PlanQuestion q) => Ids(SurfaceWays.Wooden(q));

    /// <summary>True when a broken part is bored for a rod or a bolt.</summary>
    private static bool Bored(PlanQuestion q) => Broken(q).Any(p => p.Rod is not null || p.Id.Is(PartIds.Handle) && q.Tool.Family == Family.Saw);

    private static List<PartDef> Broken(PlanQuestion q) => [.. SurfaceWays.Wooden(q).Where(p => q.Worst(FindingKind.Crack, p.Id) is >= 2 and var c
        && !(p.Id == PartIds.Haft && c >= 3))];

    private static Cond Way(params string[] ways) => Chosen(Id, ways);

    private static Drying Wipe(PlanQuestion q) => Drying.OilWipeOff(Assumptions.Standard).In(q.TemperatureC, q.RelativeHumidityPercent);

    private static double In(PlanQuestion q, Func<Assumptions, Drying> finish) => finish(Assumptions.Standard).In(q.TemperatureC,
        q.RelativeHumidityPercent).RecoatFromMin;

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("dry damp wood", "Damp wood moves, and holds neither glue nor finish.", [Has, Found(FindingKind.Damp, 2)], q =>
            new PlanStep("wood-dry", Stage.Wood, $"Let {Names(q.With(FindingKind.Damp, 2))} dry slowly in the shop", 2, 4, 8)
        {
            Parts = Ids(q.With(FindingKind.Damp, 2)), WaitMin = 14 * 24 * 60, LookInMin = 48 * 60,
            How = "Off the ground, out of sun and away from a stove. Weigh it each week: dry when it loses no more.", Reason = "Dried fast it splits.",
            FinishTest = "No lighter than last week.",
        }),
        PlanRule.One("find out the old finish", "What softens it says what it is, and what may go over it.", [HasOld], q =>
            new PlanStep("wood-find", Stage.Wood, "Find out what the old finish on the wood is", 2, 4, 8)
        {
            Parts = Parts(q), Materials = ["alcohol: 5 mL", "white spirit: 5 mL", "clean cloth: 1 pieces"],
            How = "On a hidden spot: alcohol softens shellac, lacquer thinner lacquer, neither oil or varnish; white spirit lifts only wax and grime.",
            Reason = "Cleaned with the wrong one it comes off.", FinishTest = "It is written on the tag.", Caution = Cautions.Solvent,
        }),
        PlanRule.One("clean the wood", "Most old wood is sound under its dirt.", [HasOld], q =>
            new PlanStep("wood-clean", Stage.Wood, $"Clean {Names(SurfaceWays.OldWood(q))}", 4, 8, 20)
        {
            Parts = Parts(q), Materials = ["white spirit: 20 mL", "0000 steel wool: 1 pads"],
            How = "With what does not touch the finish, with the grain, wiped off before it dries.", Reason = "The colour of use is under the dirt.",
            FinishTest = "The cloth comes away clean.", Caution = Cautions.Solvent,
        }, buys: 3),
        PlanRule.One("glue a break", "A clean break holds better than the wood beside it.", [Has, If("wood is cracked or broken", q => Broken(q).Count > 0)],
            q => new PlanStep("wood-glue", Stage.Wood, $"Glue and clamp {Names(Broken(q))}", 8, 15, 30)
        {
            Parts = Ids(Broken(q)), WaitMin = Assumptions.Standard.GlueCureHours * 60, LookInMin = 60, Undoable = q.Aim == AimKind.Keep,
            Materials = [q.Aim == AimKind.Keep ? "liquid hide glue: 8 mL" : "wood glue: 8 mL", "clamps", "scrap of softwood"],
            How = $"Dry run first. {(Bored(q) ? "A waxed rod keeps the bore open; no glue in it. " : "")}Clamps off after an hour, load after a day.",
            Reason = "Glue before any finish, or it will not hold.", FinishTest = Bored(q) ? "No line to feel, bore free." : "No line to feel.",
        }, buys: 6),
        PlanRule.One("scrape the wood", "A new surface starts at clean wood.", [Has, Dry, Way("shellac", "lacquer")], q =>
            new PlanStep("wood-scrape", Stage.Wood, "Scrape the old finish off the wood", 15, 30, 60)
        {
            Parts = Parts(q), Materials = ["card scraper", "P240 sheet: 1 sheets"],
            How = "Scrape, do not sand: edges and stamps stay. Stop at the colour, not at white wood.",
            Reason = "The old finish is too far gone for what is asked.", FinishTest = "Even in raking light.", Caution = Cautions.WoodDust, Undoable = false,
            SurfaceLost = Surfaces.WoodFinish,
        }, Id),
        PlanRule.One("stain the dings", "Stain before oil: oil closes the wood.", [Has, Dry, Way("revive", "shellac", "lacquer")], q =>
            new PlanStep("wood-stain", Stage.Wood, "Stain pale dings and the glue line to match", 3, 8, 15)
        {
            Parts = Parts(q), WaitMin = 60, Materials = ["wood stain: 3 mL", "fine brush"], How = "Thin, in two goes, the second when the first is dry.",
            Reason = "Pale spots are all one sees afterwards.", FinishTest = "Found only by looking for them.",
        }, Id),
        PlanRule.One("revive the finish", "A thin coat over a sound old one keeps its age.", [Has, Dry, Way("revive")], q =>
            new PlanStep("wood-revive", Stage.Wood, "One thin coat over the old finish", 4, 8, 15)
        {
            Parts = Parts(q), WaitMin = In(q, Drying.Shellac), LookInMin = 30, Materials = ["2 lb shellac: 10 mL", "lint-free cloth: 1 pieces"],
            How = "What it was, or shellac, which holds on everything clean. One wipe, no going back over it.",
            Reason = "It closes what is worn without hiding it.", FinishTest = "Dry, even, no drag.", Caution = Cautions.OilyRags,
        }, Id, 5),
        PlanRule.One("oil the wood", "Bare or thirsty wood cracks.", [Has, Dry, Way("oil", "oil-wax")], q =>
            new PlanStep(WaitEnds.Oil, Stage.Wood, "One thin coat of oil on the wood", 3, 6, 11)
        {
            Parts = Parts(q), WaitMin = Wipe(q).RecoatFromMin, OutByMin = Wipe(q).RecoatUntilMin,
            Materials = ["boiled linseed oil: 15 mL", "lint-free cloth: 1 pieces"], Reason = "It keeps the colour and sheds water.",
            How = $"Rub it in thin and let it stand {Wipe(q).RecoatFromMin:0} to {Wipe(q).RecoatUntilMin:0} min, no longer: it skins over.",
            FinishTest = "Wet all over, nowhere a puddle.", Caution = Cautions.OilyRags,
        }, Id, 3),
        PlanRule.One("wipe the oil off", "Oil left standing skins over and stays sticky.", [Has, Dry, Way("oil", "oil-wax")], q =>
            new PlanStep(WaitEnds.Wipe, Stage.Wood, "Wipe off all the oil that stands", 1, 2, 4)
        {
            Parts = Parts(q), WaitMin = In(q, Drying.Oil), Materials = ["lint-free cloth: 1 pieces"],
            How = "With a clean cloth, turned often, into every corner. Where it has gone tacky, fresh oil softens it: rub, and wipe again.",
            Reason = "What the wood has not taken never dries hard.", FinishTest = "Dry to the hand, no tack.", Caution = Cautions.OilyRags,
        }, Id, 2),
        PlanRule.One("wax the wood", "Wax can always come off again.", [Has, Way("wax", "oil-wax")], q =>
            new PlanStep("wood-wax", Stage.Wood, "Wax the wood and buff it", 3, 6, 12)
        {
            Parts = Parts(q), WaitMin = 15, Materials = ["paste wax: 5 g", "lint-free cloth: 1 pieces"], How = "Thin; buff when it hazes, 5 to 15 min.",
            Reason = "Dry to the hand, and it keeps dirt out.", FinishTest = "No streak, no drag.",
        }, Id, 4),
        PlanRule.One("shellac the wood", "Thin coats, an hour apart.", [Has, Dry, Way("shellac")], q =>
            new PlanStep("wood-shellac", Stage.Wood, "Three thin coats of shellac, rubbed down between", 12, 20, 40)
        {
            Parts = Parts(q), WaitMin = 3 * In(q, Drying.Shellac), LookInMin = In(q, Drying.Shellac),
            Materials = ["2 lb shellac: 30 mL", "0000 steel wool: 1 pads", "lint-free cloth: 1 pieces"],
            How = "Small parts spin on a mandrel in the drill press. A coat an hour, wool between.", Reason = "An even shine as it was sold.",
            FinishTest = "No bare spot in raking light.", Caution = $"{Cautions.Solvent} {Cautions.Rotating}", Undoable = false,
        }, Id, 8),
        PlanRule.One("lacquer the wood", "Quick and hard, in moving air.", [Has, Dry, Way("lacquer")], q =>
            new PlanStep("wood-lacquer", Stage.Wood, "Three thin coats of lacquer", 10, 18, 35)
        {
            Parts = Parts(q), WaitMin = 3 * In(q, Drying.Lacquer), LookInMin = In(q, Drying.Lacquer), Materials = ["lacquer: 40 mL", "spray gear"],
            How = "Light passes. Wool between, wax at the end.", Reason = "Hard, clear and even.", FinishTest = "No bare spot in raking light.",
            Caution = Cautions.Spray, Undoable = false,
        }, Id, 8),
    ];
}
