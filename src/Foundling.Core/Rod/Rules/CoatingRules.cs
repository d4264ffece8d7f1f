using Foundling.Core.Aim;
using Foundling.Core.Finishes;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for coatings: sealed, touched in, resprayed or baked, with the faces that were bare left bare.</summary>
internal static class CoatingRules
{
    private const string Id = "coating";

    private static readonly Cond Has = If("it has coated parts", q => SurfaceWays.Coated(q).Any());

    private static readonly Cond Asked = If("coating is lost, or the aim asks for a new one", q => Choices.Find(Id).Asked(q));

    private static readonly Cond Strips = If("too little sound coating is left to paint over, or it is baked anew", q => q.Way(Id) == "bake"
        || SurfaceWays.CoatingLoss(q) >= 3);

    private static readonly Cond Over = If("the old coat is sound enough to paint over", q => SurfaceWays.CoatingLoss(q) < 3);

    private static Cond Way(params string[] ways) => Chosen(Id, ways);

    private static List<PartId> Parts(PlanQuestion q) => Ids(SurfaceWays.Coated(q));

    private static Drying Enamel(PlanQuestion q) => Drying.Enamel(Assumptions.Standard).In(q.TemperatureC, q.RelativeHumidityPercent);

    private static bool Japanned(PlanQuestion q) => SurfaceWays.Coated(q).Any(p => p.Finish == PartFinish.Japanned);

    private static string Colour(PlanQuestion q) => q.Aim == AimKind.Own ? q.Dress.Length > 0 ? q.Dress : "the shop's colour" : Japanned(q) ? "gloss black"
        : "the colour it had";

    private static string Paint(PlanQuestion q) => q.Aim == AimKind.Own ? "enamel in the shop's colour" : Japanned(q) ? "gloss black enamel"
        : "enamel, matched in colour";

    /// <summary>Faces that were left bare at the works, where that is known.</summary>
    private static string Bare(ToolKind tool) => tool.Id switch
    {
        var k when k.Is(KindIds.MetalBenchPlane) => "sole, cheeks, frog seat and mouth; the frog's face",
        var k when k.Is(KindIds.BlockPlane) => "sole, cheeks, bed and the slide of the toe",
        var k when k.Is(KindIds.ScraperPlane) => "sole, cheeks and the hinge of the frame",
        var k when k.Is(KindIds.Spokeshave) => "sole, bed and the seat of the cap",
        var k when k.Is(KindIds.HandDrill) => "gear teeth, bearings and the axle",
        var k when k.Is(KindIds.BoltCutter) => "jaws, pivot faces and stops",
        _ => "seats, threads and whatever slides",
    };

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("seal the coating's edge", "A lifting edge lets damp creep under.", [Has, Asked, Way("seal")], q =>
            new PlanStep("coat-seal", Stage.Coating, "Seal the edges of the old coating with wax", 4, 8, 15)
        {
            Parts = Parts(q), Materials = ["microcrystalline wax: 5 g", "fine brush"], How = "Warm the wax, brush it along every edge, wipe.",
            Reason = "Keeps what is left without adding colour.", FinishTest = "No edge lifts under a soft brush.",
        }, Id, 6),
        PlanRule.One("touch in the coating", "Small losses are touched in, sound coating stays.", [Has, Asked, Way("touch")], q =>
            new PlanStep("coat-touch", Stage.Coating, "Touch in the bare patches of coating", 8, 15, 30)
        {
            Parts = Ids(SurfaceWays.Coated(q).Where(p => q.Worst(FindingKind.CoatingLoss, p.Id) >= 1)), WaitMin = Enamel(q).CureMin, LookInMin = 60,
            Materials = [(Japanned(q) ? "gloss black enamel" : "enamel, matched in colour") + ": 5 mL", "fine brush", "white spirit: 10 mL"],
            How = $"Feather the edge first; match sheen on a hidden spot. Stay off {Bare(q.Tool)}.",
            Reason = Ways.SurfaceWays.Coated(q).Any(p => p.Material == Material.CastIron) ? "Bare casting rusts again; the rest is original."
                : "Bare steel rusts again; the rest is original.", FinishTest = "Dry, no sags, seats clear.", Caution = Cautions.OldPaint,
        }, Id, 5),
        PlanRule.One("settle the colour", "A colour chosen wet is a colour regretted.", [Has, Asked, Way("respray", "bake")], q =>
            new PlanStep("coat-colour", Stage.Coating, q.Aim == AimKind.Own ? $"Settle the colour: {Colour(q)}" : "Match the colour to what survives", 2, 5, 10)
        {
            Parts = Parts(q),
            How = q.Aim == AimKind.Own ? "A dab on scrap beside the last tool dressed like it, dry, in daylight."
                : "Look under frog and seats: there it was never in the light.", Reason = "It is settled before anything is stripped.",
            FinishTest = "A dry dab beside the old one, in daylight.",
        }, Id),
        PlanRule.One("strip the coating", "A new coat holds only on sound ground.", [Has, Asked, Way("respray", "bake"), Strips], q =>
            new PlanStep("coat-strip", Stage.Coating, "Strip what is left of the coating", 20, 40, 90)
        {
            Parts = Parts(q), Materials = ["paint stripper: 150 mL", "wooden scraper", "fine wire brush"],
            How = "Stripper, wait, wood and brush. Soft blasting does corners. Rinse, dry and oil bare iron at once.",
            Reason = "Too little is left, or it is not sound.", FinishTest = "Bare metal in every corner.",
            Caution = $"{Cautions.OldPaint} {Cautions.Stripper}", Undoable = false, SurfaceLost = Surfaces.Coating,
        }, Id),
        PlanRule.One("key the old coat", "A sound coat is the best primer.", [Has, Asked, Way("respray"), Over], q =>
            new PlanStep("coat-scuff", Stage.Coating, "Dull the sound old coat so that the new one holds", 5, 12, 25)
        {
            Parts = Parts(q), Materials = ["P400 sheet: 1 sheets", "white spirit: 30 mL"],
            How = "Wet, only until the shine is gone. No primer over a sound coat.", Reason = "The old coat is whole: it stays, under the new one.",
            FinishTest = "No shine left, no bare spot made.", Caution = Cautions.OldPaint, Undoable = false, SurfaceLost = Surfaces.Coating,
        }, Id),
        PlanRule.One("mask bare faces", "What was bare when it was made stays bare.", [Has, Asked, Way("respray", "bake")], q =>
            new PlanStep("coat-mask", Stage.Coating, $"Mask what was left bare at the works: {Bare(q.Tool)}", 6, 12, 25)
        {
            Parts = Parts(q), Materials = ["masking tape: 3 m", Paint(q) + ": 2 mL"],
            How = "Press the tape down and seal its edge with the base colour, so that nothing creeps under. Plug threads.",
            Reason = "Paint under a seat lets it rock.", FinishTest = "Tape pressed down, edges cut clean.",
        }, Id),
        PlanRule.One("prime", "Bare iron holds paint badly.", [Has, Asked, Way("respray"), Strips], q =>
            new PlanStep("coat-prime", Stage.Coating, "One thin coat of primer on the bare metal", 8, 15, 25)
        {
            Parts = Parts(q), WaitMin = Prime(q).RecoatFromMin, OutByMin = Prime(q).RecoatUntilMin, Materials = ["primer: 30 mL", "spray gear"],
            How = "Degrease with a clean rag first, and do not touch it again.", Reason = "It holds the paint and keeps damp out.",
            FinishTest = "An even matt film.", Caution = Cautions.Spray,
        }, Id),
        PlanRule.One("first coat", "Thin coats inside the recoat window.", [Has, Asked, Way("respray")], q =>
            new PlanStep("coat-1", Stage.Coating, $"First thin coat of {Colour(q)}", 8, 15, 25)
        {
            Parts = Parts(q), WaitMin = Enamel(q).RecoatFromMin, OutByMin = Enamel(q).RecoatUntilMin, Materials = [Paint(q) + ": 40 mL", "spray gear"],
            How = $"Two light passes. The next coat goes on before {Units.Typed.Hours(Enamel(q).RecoatUntilMin ?? 0)}, or after three days and a rub-down.",
            Reason = "A thick coat sags and stays soft.", FinishTest = "Even, no runs.", Caution = Cautions.Spray, Undoable = false,
        }, Id, 4),
        PlanRule.One("second coat", "The second coat covers.", [Has, Asked, Way("respray")], q =>
            new PlanStep("coat-2", Stage.Coating, $"Second thin coat of {Colour(q)}", 8, 15, 25)
        {
            Parts = Parts(q), WaitMin = Enamel(q).CureMin, LookInMin = 60, Materials = [Paint(q) + ": 40 mL", "spray gear"],
            How = "As the first. Tape off while it is still soft.", Reason = "It wears from the edges, so there must be two.",
            FinishTest = "Hard to the nail.", Caution = Cautions.Spray, Undoable = false,
        }, Id, 8),
        PlanRule.One("japan and bake", "As the works did it: thin coats, heat, and time.", [Has, Asked, Way("bake")], q =>
            new PlanStep("coat-bake", Stage.Coating, "Three thin coats of japanning, flashed off and baked between", 30, 55, 90)
        {
            Parts = Parts(q), WaitMin = 8 * 60, LookInMin = 60, Materials = ["japanning: 80 mL", "fine brush", "shop oven"],
            How = "Let each coat flash off for half an hour, then raise the heat slowly, hold, and let it fall with the door shut.",
            Reason = Parts(q).Any(p => q.Tool.Part(p) is { Finish: PartFinish.Japanned }) ? "It left the works baked."
                : "Baked it stands more than the paint it had.", FinishTest = "Hard to the nail, even in raking light.", Caution = Cautions.Oven,
            Undoable = false,
        }, Id, 14),
    ];

    private static Drying Prime(PlanQuestion q) => Drying.Primer(Assumptions.Standard).In(q.TemperatureC, q.RelativeHumidityPercent);
}
