using Foundling.Core.Aim;
using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for soles, of iron and of wood.</summary>
internal static class SoleRules
{
    private static readonly Cond Metal = If("it has a flat metal sole", q => q.Tool.HasMetalSole);

    private static readonly Cond Wooden = If("it has a wooden sole", q => q.Tool.HasWoodenSole);

    private static readonly Cond Winds = If("its sole is in wind, hollow or worn", q => new[] { FindingKind.Wind, FindingKind.OutOfFlat,
        FindingKind.Bent }.Any(k => q.Worst(k, PartIds.Body) >= 1));

    private static double Factor(PlanQuestion q) => Math.Max(0.6, (q.LengthMm ?? q.Tool.NominalLengthMm) / 245);

    private static string Heavy(PlanQuestion q) => q.Heavy ? $"{Cautions.Slurry} {Cautions.Heavy}" : Cautions.Slurry;

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("tension", "Tension bends the body.", [NotKeep, Metal], q =>
            new PlanStep("tension", Stage.Together, "Draw the iron back and close the cap to working tension", 1, 2, 4)
        {
            Parts = Ids(q.Present.Where(p => p.Id.Is(PartIds.LeverCap, PartIds.Iron, PartIds.Clamp))), Reason = "The sole is flattened in the shape it works in.",
            FinishTest = "It closes with a firm thumb, the iron still adjusts.", Caution = Cautions.BareEdge,
        }),
        PlanRule.One("survey the sole", "Metal taken off does not come back.", [NotKeep, Metal], q =>
            new PlanStep("sole-check", Stage.Sole, "Survey the sole and decide", 5, 12, 25)
        {
            Parts = [PartIds.Body], Materials = ["straightedge and feelers", "flat plate, longer than the sole"],
            How = "Readings along both edges and the middle. Is the plate itself flat, and long enough?",
            Reason = "It may be flat enough already; a plate too short makes it worse.", FinishTest = "Flatness stands on the tag.",
        }, buys: 2),
        PlanRule.One("lap the sole", "Toe, mouth and heel in one plane.", [NotKeep, Metal], q =>
            new PlanStep("sole-lap", Stage.Sole, q.Way("flat") switch { "whole" => "Lap the whole sole under tension", "cuts" =>
            "Lap the sole under tension, only until it cuts", _ => "Lap the sole under tension: toe, mouth and heel" },
            Math.Round((q.Way("flat") == "whole" ? 18 : q.Way("flat") == "cuts" ? 6 : 12) * Factor(q)),
            Math.Round((q.Way("flat") == "whole" ? 40 : q.Way("flat") == "cuts" ? 14 : 25) * Factor(q)),
            Math.Round((q.Way("flat") == "whole" ? 90 : q.Way("flat") == "cuts" ? 35 : 60) * Factor(q)))
        {
            Parts = [PartIds.Body],
            Materials = ["P80 sheet: 2 sheets", "P120 sheet: 1 sheets", "P180 sheet: 1 sheets", "marker: 1 pieces", "flat plate, longer than the sole"],
            How = "Marks at toe, mouth and heel; look every hundred strokes; press over the mouth. Leave out pits and a worn toe.",
            Reason = "Only where the readings say so, and no further than it cuts. Leaving it is an answer.",
            FinishTest = q.Way("flat") switch { "whole" => "Marks gone on nine tenths of the sole.", "cuts" => "A full-width shaving at the thickness wanted.",
                _ => "Marks gone at toe, mouth and heel." }, Caution = Heavy(q), Undoable = false, MetalRemovedMm = 0.08, SurfaceLost = Surfaces.Machining,
        }, "flat", 12),
        PlanRule.One("clean the sole", "Grit left behind scratches the next board.", [NotKeep, Metal], _ =>
            new PlanStep("sole-clean", Stage.Sole, "Wipe off the slurry and oil the sole", 2, 4, 8)
        {
            Parts = [PartIds.Body], Materials = ["clean cloth: 2 pieces", "light oil: 5 mL"], Reason = "Wet slurry rusts and cuts.",
            FinishTest = "A white cloth stays white.", Caution = Cautions.Slurry,
        }),
        PlanRule.One("sides only if wanted", "Clean sides are looks; square sides are for shooting.", [Metal, AimIs(AimKind.Show, AimKind.Own)], q =>
            new PlanStep("sides", Stage.Sole, "Clean the sides along the machining lines", 5, 12, 30)
        {
            Parts = [PartIds.Body], Materials = ["P240 sheet: 1 sheets", "light oil: 5 mL"],
            How = "This is cleaning, not flattening: block behind the paper, lengthwise. Square to the sole only for a shooting board.",
            Reason = "They are seen; nothing is planed with them.", FinishTest = "Even lines from toe to heel.", Undoable = false, MetalRemovedMm = 0.01,
            SurfaceLost = Surfaces.SomePatina,
        }),
        PlanRule.One("ease the arrises", "Lapping leaves edges that score wood and hands.", [NotKeep, Metal], _ =>
            new PlanStep("arris", Stage.Sole, "Ease the arrises of the sole", 1, 3, 6)
        {
            Parts = [PartIds.Body], Materials = ["fine file"], How = "One light pass, not at the mouth.", Reason = "A sharp arris lines the work.",
            FinishTest = "Smooth to the finger all round.", MetalRemovedMm = 0.1, Undoable = false, Caution = Cautions.Slurry,
        }),
        PlanRule.One("read the wooden sole", "Wood moves: it is read before it is planed.", [Wooden], _ =>
            new PlanStep("sole-check", Stage.Sole, "Read the sole with winding sticks, iron and wedge in", 4, 8, 15)
        {
            Parts = [PartIds.Body], Materials = ["winding sticks", "straightedge and feelers"],
            How = "Wedge driven as in use, iron drawn back. Read wind at the ends and hollow along it, from one reference side.",
            Reason = "The wedge spreads the mouth; a sole trued without it is not true.", FinishTest = "Wind and hollow stand on the tag.",
        }, buys: 3),
        PlanRule.One("true the wooden sole", "As little as possible, for it opens the mouth.", [NotKeep, Wooden, Winds], q =>
            new PlanStep("sole-wood", Stage.Sole, "Plane the wind out of the sole, as little as possible", 10, 20, 45)
        {
            Parts = [PartIds.Body], Materials = ["winding sticks", "flat plate, longer than the sole", "P120 sheet: 1 sheets"],
            How = "High corners first, half the wind at each. Then whole strokes. Wipe damp, let the fuzz rise, last light pass, then finish the bare sole as the rest. Mind the mouth.", Reason = "Each shaving off the sole opens the mouth.", FinishTest = "Sticks in line, no light under a straightedge at toe, mouth and heel.", Undoable = false, MetalRemovedMm = 0.4, SurfaceLost = Surfaces.WoodFinish, Caution = Cautions.WoodDust,
        }, buys: 14),
        PlanRule.One("check the mouth", "A worn mouth is patched, not wished away.", [NotKeep, Wooden], _ =>
            new PlanStep("mouth-check", Stage.Sole, "Check the mouth: width, and a sharp front", 2, 4, 8)
        {
            Parts = [PartIds.Body], Materials = ["small rule"], How = "Iron at working depth. Front edge sharp and square, rear may be eased.",
            Reason = "It decides how fine the plane can work.", FinishTest = "The opening stands on the tag.", Caution = Cautions.BareEdge,
        }, buys: 2),
    ];
}
