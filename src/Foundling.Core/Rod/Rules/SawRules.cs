using Foundling.Core.Keys;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for saws: plate, teeth, back and nuts.</summary>
internal static class SawRules
{
    private static readonly Cond Saw = Of(Family.Saw);

    private static readonly Cond Dull = If("its teeth are worn, uneven or missing, or it was not found to cut well", q => q.Worst(FindingKind.EdgeDamage,
        PartIds.Plate) >= 2 || q.Tried != State.AsFoundTry.Well);

    private static string Plate(PlanQuestion q) => q.Tool.Part(PartIds.Plate)?.Name ?? "plate";

    private static double Feet(PlanQuestion q) => q.Facts.LengthMm / 305;

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("watch the etch", "An etch is the only papers a saw has.", [Saw, If("it has an etch, or rust that may hide one",
            q => q.Worst(FindingKind.Mark, PartIds.Plate) >= 1 || q.Worst(FindingKind.Rust, PartIds.Plate) >= 2)], q =>
            new Deed(StepKey.EtchFind, Stage.Wash, q.Worst(FindingKind.Mark, PartIds.Plate) >= 1 ? "Find the edges of the etch and mark them on a picture"
                : $"Look for an etch before anything coarse touches the {Plate(q)}", q.Minutes(StepKey.EtchFind))
        {
            Parts = [PartIds.Plate], Needs = [Need.Of(SupplyIds.Lens), Need.Of(SupplyIds.CameraAndRule), Need.Of(SupplyIds.LightOil, 2)],
            How = "Wet it with oil, light from the side, and trace what shows. Stop wherever a line appears.",
            Reason = "Once polished away nothing brings it back.", FinishTest = "A picture says where nothing coarser than wool goes.",
        }),
        PlanRule.One("straighten the plate", "A bow comes out by hand, a kink by a smith, a crease never.",
            [NotKeep, Saw, Found(FindingKind.Bent, 1, PartIds.Plate)], q =>
                new Deed(StepKey.SawStraight, Stage.Edge, q.Worst(FindingKind.Bent, PartIds.Plate) >= 3
            ? "Ask a saw smith about the kink" : $"Bend the bow out of the {Plate(q)}", q.Minutes(StepKey.SawStraight))
        {
            Parts = [PartIds.Plate], Needs = [Need.Of(SupplyIds.StraightedgeAndFeelers)],
            How = q.Worst(FindingKind.Bent, PartIds.Plate) >= 3 ? "Hammering a plate is a trade: a wrong blow makes it oil-can."
                : "Over the knee, a little past straight, and sight along the teeth after each.", Reason = "It wanders towards its bow.",
            FinishTest = "Straight by eye along the teeth.", Undoable = false,
        }, buys: 6),
        PlanRule.One("joint the teeth", "Only teeth of one height all cut.", [NotKeep, Saw, Dull, Found(FindingKind.EdgeDamage, 2, PartIds.Plate)], q =>
            new Deed(StepKey.SawJoint, Stage.Edge, "Joint the teeth level", q.Minutes(StepKey.SawJoint))
        {
            Parts = [PartIds.Plate], Needs = [Need.Of(SupplyIds.SawVice), Need.Of(SupplyIds.FineFile)],
            How = "File flat along the points until the lowest usable one shows a shine; teeth lower than half are cut anew.",
            Reason = "High teeth do all the work and break.", FinishTest = "A shine on every point that counts.", Undoable = false,
            MetalRemovedMm = q.Metal(StepKey.SawJoint),
        }, buys: 6),
        PlanRule.One("file the teeth", "Sharp teeth cut, set only clears.", [NotKeep, Saw, Dull], q =>
            new Deed(StepKey.SawFile, Stage.Edge, "File the teeth", (q.Minutes(StepKey.SawFile, StepCase.Each) * Feet(q)).Whole())
        {
            Parts = [PartIds.Plate], Needs = [Need.Of(SupplyIds.SawFiles), Need.Of(SupplyIds.SawVice), Need.Of(SupplyIds.Marker)],
            How = "Rip or crosscut is known first: it decides rake and fleam, and the guide strip says which. Every second gullet from one side, then from "
                + "the other; "
                + "same strokes each.",
            Reason = "Teeth do the work, the rest is a handle.", FinishTest = "No light from any point.", Undoable = false,
            MetalRemovedMm = q.Metal(StepKey.SawFile, StepCase.Each),
        }, buys: 28),
        PlanRule.One("set the teeth", "Set clears the plate; too much tears.", [NotKeep, Saw, Dull], q =>
            new Deed(StepKey.SawSet, Stage.Edge, "Check the set, and set only what lacks it",
                q.Minutes(StepKey.SawSet) + (q.Minutes(StepKey.SawSet, StepCase.Each) * Feet(q)).Whole())
        {
            Parts = [PartIds.Plate], Needs = [Need.Of(SupplyIds.SawSet), Need.Of(SupplyIds.SawVice)],
            How = "15 to 25 % of the plate's thickness a side in dry hardwood, more in green. Upper half of the tooth, once: teeth break at the second "
                + "bending." + (q.Tool.Made(PartIds.PadScrews) ? " A blade ground thin to its back wants little or none." : ""),
                    Reason = "A saw that binds has too little, one that wanders has it uneven.", FinishTest = "Even along a rule on both sides.",
                Undoable = false,
        }, buys: 8),
        PlanRule.One("cover the teeth", "A filed saw cuts whoever lifts it.", [NotKeep, Saw, Dull], q =>
            new Deed(StepKey.SawCover, Stage.Edge, "Cover the tooth line", q.Minutes(StepKey.SawCover))
        {
            Parts = [PartIds.Plate], Needs = [Need.Of(SupplyIds.TapeOrCorkStrip, 1)], Reason = "Hands go along it from here on.", FinishTest = "No tooth bare.",
        }),
        PlanRule.One("seat the back", "A back keeps the plate straight by gripping it.", [NotKeep, There(PartIds.Back, "back"),
            If("the back is loose, or the plate bowed", q => q.Worst(FindingKind.Looseness, PartIds.Back) >= 1
                || q.Worst(FindingKind.Bent, PartIds.Plate) >= 1)], q =>
            new Deed(StepKey.SawBack, Stage.Together, "Tap the back down until the plate is straight", q.Minutes(StepKey.SawBack))
        {
            Parts = [PartIds.Back, PartIds.Plate], Needs = [Need.Of(SupplyIds.Mallet), Need.Of(SupplyIds.ScrapOfSoftwood)],
            How = "Wood between; heel or toe by turns, sighting along the teeth after each tap.", Reason = "The fold grips where it is driven.",
            FinishTest = "Straight by eye, the back firm from toe to heel.",
        }, buys: 6),
        PlanRule.One("nuts in line", "Soft brass, brought up in line.", [Saw, There(PartIds.SawNuts, "nuts")], q =>
            new Deed(StepKey.SawNuts, Stage.Together, "Bring the nuts up in line", q.Minutes(StepKey.SawNuts, q.Present.Where(p => p.Is(PartIds.SawNuts))))
        {
            Parts = [PartIds.SawNuts, PartIds.Handle], Needs = [Need.Of(SupplyIds.SplitNutDriver)],
            How = "Start all, then snug each in turn, slots along the grain. Not hard: they strip.", Reason = "A loose nut wears its square hole round.",
            FinishTest = "No handle moves, slots in line.", Cautions = [CautionId.Teeth],
        }, buys: 3),
    ];
}
