using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod;

/// <summary>Rules for the metal bench plane.</summary>
internal static class BenchPlaneRules
{
    private static bool Plane(PlanQuestion q) => q.Tool.Id == "metal-bench-plane";

    private static bool Works(PlanQuestion q) => Plane(q) && q.Aim != AimKind.Keep;

    private static double SoleFactor(PlanQuestion q) => Math.Max(0.6, (q.LengthMm ?? q.Tool.NominalLengthMm) / 245);

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("overspill off the seats", "Coating under a seat lets the frog rock.", Works, _ => new PlanStep
        {
            Key = "overspill", Stage = Stage.Bed, Title = "File coating overspill off the mating faces", Parts = ["body", "frog"], LowMin = 3, LikelyMin = 6, HighMin = 15, Materials = ["safe-edge file"], How = "Only what stands proud, only on the seats.",
            Reason = "Metal must meet metal under the iron.", FinishTest = "Bright metal on all pads, no step to the nail.", Caution = Cautions.OldPaint,
        }),
        PlanRule.One("seat the frog", "A rocking frog chatters and no edge cures it.", Works, _ => new PlanStep
        {
            Key = "frog-seat", Stage = Stage.Bed, Title = "Rub the frog on its seat until it sits on all pads", Parts = ["frog", "body"], LowMin = 6, LikelyMin = 15, HighMin = 35, Materials = ["marking blue", "fine file"],
            How = "Blue the seat, rub, take off only what is blue.", Reason = "Seats the iron; a rocking iron chatters.", FinishTest = "Blue on all four pads, no rock under two thumbs.", Undoable = false, MetalRemovedMm = 0.02,
        }),
        PlanRule.One("flatten the frog face", "The iron lies on it.", Works, _ => new PlanStep
        {
            Key = "frog-face", Stage = Stage.Bed, Title = "Flatten the frog's face", Parts = ["frog"], LowMin = 4, LikelyMin = 10, HighMin = 25, Materials = ["P180 on glass", "marker"], How = "Few strokes, mind the lateral lever.", Reason = "Bare contact behind the edge stops chatter.",
            FinishTest = "Marker gone from top to mouth.", Undoable = false, MetalRemovedMm = 0.03,
        }),
        PlanRule.One("fit the cap iron", "One gap and shavings jam under it.", q => Works(q) && q.Has("cap_iron"), _ => new PlanStep
        {
            Key = "cap-fit", Stage = Stage.Edge, Title = "Fit the cap iron: no light along the edge", Parts = ["cap_iron"], LowMin = 5, LikelyMin = 10, HighMin = 25, Materials = ["medium stone", "strop"], How = "Undercut a little so that the very front touches. Polish the hump.",
            Reason = "A gap of a hair takes a shaving and chokes.", FinishTest = "No light, no rattle when the corners are tapped.", Caution = Cautions.BareEdge,
        }),
        PlanRule.One("lever cap front", "It presses just behind the edge.", q => Works(q) && q.Has("lever_cap"), _ => new PlanStep
        {
            Key = "lever-cap", Stage = Stage.Edge, Title = "True the front of the lever cap", Parts = ["lever_cap"], LowMin = 2, LikelyMin = 5, HighMin = 10, Materials = ["P240 on glass"], Reason = "It must press across the whole cap iron.", FinishTest = "A slip of paper is gripped from corner to corner.",
        }),
        PlanRule.One("tension", "Tension bends the body.", Works, _ => new PlanStep
        {
            Key = "tension", Stage = Stage.Together, Title = "Draw the iron back and close the lever to working tension", Parts = ["lever_cap", "iron"], LowMin = 1, LikelyMin = 2, HighMin = 4, Reason = "The sole is flattened in the shape it works in.",
            FinishTest = "The lever snaps down with a firm thumb, the iron still adjusts.", Caution = Cautions.BareEdge,
        }),
        PlanRule.One("survey the sole", "Metal taken off does not come back.", Works, q => new PlanStep
        {
            Key = "sole-check", Stage = Stage.Sole, Title = "Survey the sole and decide", Parts = ["body"], LowMin = 5, LikelyMin = 12, HighMin = 25, Materials = ["straightedge and feelers, or bench indicator"], How = "Readings along both edges and the middle.",
            Reason = "It may be flat enough already; a plate too short makes it worse.", FinishTest = "Flatness stands on the tag.",
        }),
        PlanRule.One("lap the sole", "Toe, mouth and heel in one plane.", Works, q => new PlanStep
        {
            Key = "sole-lap", Stage = Stage.Sole, Title = "Lap the sole under tension: toe, mouth and heel", Parts = ["body"], LowMin = Math.Round(12 * SoleFactor(q)), LikelyMin = Math.Round(25 * SoleFactor(q)), HighMin = Math.Round(60 * SoleFactor(q)), Materials = ["P80, P120, P180 on glass", "marker"],
            How = "Marks at toe, mouth and heel; look every hundred strokes; press over the mouth.", Reason = "Only where the readings say so, and no further than it cuts.", FinishTest = "Marks gone at toe, mouth and heel.", Caution = Cautions.Slurry, Undoable = false, MetalRemovedMm = 0.08, SurfaceLost = "machining marks on the sole",
        }),
        PlanRule.One("clean the sole", "Grit left behind scratches the next board.", Works, _ => new PlanStep
        {
            Key = "sole-clean", Stage = Stage.Sole, Title = "Wipe off the slurry and oil the sole", Parts = ["body"], LowMin = 2, LikelyMin = 4, HighMin = 8, Materials = ["cloth", "light oil"], Reason = "Wet slurry rusts and cuts.", FinishTest = "A white cloth stays white.", Caution = Cautions.Slurry,
        }),
        PlanRule.One("ease the arrises", "Lapping leaves edges that score wood and hands.", Works, _ => new PlanStep
        {
            Key = "arris", Stage = Stage.Sole, Title = "Ease the arrises of the sole", Parts = ["body"], LowMin = 1, LikelyMin = 3, HighMin = 6, Materials = ["fine file"], How = "One light pass, not at the mouth.", Reason = "A sharp arris lines the work.", FinishTest = "Smooth to the finger all round.", MetalRemovedMm = 0.1, Undoable = false,
        }),
        PlanRule.One("last honing", "The edge that is proved is fresh.", Works, _ => new PlanStep
        {
            Key = "final-hone", Stage = Stage.Tune, Title = "Touch up the edge", Parts = ["iron"], LowMin = 2, LikelyMin = 4, HighMin = 8, Materials = ["fine stone", "strop with honing compound"], Reason = "Handling dulls; a minute brings it back.", FinishTest = "Cuts end grain of soft wood clean.", Caution = Cautions.BareEdge,
        }),
        PlanRule.One("set the cap", "Set-back by purpose.", q => Works(q) && q.Has("cap_iron"), _ => new PlanStep
        {
            Key = "set-cap", Stage = Stage.Tune, Title = "Swing on the cap iron and set it back", Parts = ["cap_iron", "iron"], LowMin = 1, LikelyMin = 3, HighMin = 6, How = "Crosswise on, then turn, so it never drags over the edge. Half a millimetre for smoothing, one to two for coarse work.", Reason = "Close for fine work, back for thick shavings.", FinishTest = "Even gap from corner to corner.", Caution = Cautions.BareEdge,
        }),
        PlanRule.One("set the mouth", "Square and as open as the work needs.", Works, _ => new PlanStep
        {
            Key = "set-mouth", Stage = Stage.Tune, Title = "Set the frog square and the mouth to its work", Parts = ["frog", "body"], LowMin = 2, LikelyMin = 5, HighMin = 10, Materials = ["small rule"], Reason = "A mouth out of square clears on one side only.", FinishTest = "Same gap at both ends of the mouth.",
        }),
        PlanRule.One("missing part", "Made, found or ordered before assembly.", q => Plane(q) && q.Worst(FindingKind.Missing) >= 1, q => new PlanStep
        {
            Key = "screws-missing", Stage = Stage.SmallParts, Title = $"Find or make: {PlanQuestion.Names(q.Tool.Parts.Where(p => q.Worst(FindingKind.Missing, p.Id) >= 1))}", Parts = [.. q.Tool.Parts.Where(p => q.Worst(FindingKind.Missing, p.Id) >= 1).Select(p => p.Id)], LowMin = 10, LikelyMin = 20, HighMin = 60, How = "Parts box first, measured thread and length.", Reason = "The tool cannot go together without it.", FinishTest = "In the box with the rest.",
        }),
    ];
}
