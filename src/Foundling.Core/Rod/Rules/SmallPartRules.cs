using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for screws, brass, knurls and other small parts.</summary>
internal static class SmallPartRules
{
    private static IEnumerable<PartDef> Screws(PlanQuestion q) => q.Worked.Where(p => p.IsFastener && p.Joint != Joint.StaysOn);

    // A plate has its own way of being straightened, and a casting breaks.
    private static IEnumerable<PartDef> Bent(PlanQuestion q) => q.With(FindingKind.Bent, 2).Where(p => !p.Is(PartIds.Plate)
        && p.Joint != Joint.Sprung && !(q.Tool.Made(PartIds.HeelPin) && !p.IsFastener)
        && p.Material is Material.Steel or Material.SpringSteel or Material.EdgeSteel);

    // A bruised face is no slot: it has a rule of its own.
    private static List<PartDef> Chewed(PlanQuestion q) => [.. Screws(q).Where(p => q.Worst(FindingKind.Burred, p.Id) >= 2)];

    private static List<PartDef> Torn(PlanQuestion q, int from, int to) => [.. q.With(FindingKind.Worn, from).Where(p => p.IsThreaded
        && q.Worst(FindingKind.Worn, p.Id) <= to && q.May(p.Id))];

    private static IEnumerable<PartDef> Brass(PlanQuestion q) => q.Worked.Where(p => p.Material == Material.Brass);

    private static bool Slotted(PlanQuestion q) => Screws(q).Any(p => p.IsThreaded && !ApartRules.IsHexagon(q, p));

    private static bool Shined(PlanQuestion q) => q.Way(ChoiceId.Brass) == WayId.Shine;

    private static bool Buffed(PlanQuestion q) => Shined(q) && Ways.FaceWays.Buffs(q);

    private static IEnumerable<PartDef> Knurled(PlanQuestion q) => q.Worked.Where(p =>
        p.Is(PartIds.Knurl, PartIds.Adjuster, PartIds.Chuck, PartIds.TiltNuts, PartIds.DepthStop, PartIds.ClampScrew));

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("screws and slots", "Small parts are lost or rounded when done in the heap.", [If("it has screws, nuts or bolts", q => Screws(q).Any(p =>
            p.IsThreaded))],
            q => new Deed(StepKey.Screws, Stage.SmallParts, Slotted(q) ? "Clean screws and slots one at a time" : "Clean bolts and nuts one at a time",
            q.Minutes(StepKey.Screws, Screws(q)))
        {
            Parts = Ids(Screws(q)), Needs = q.Aim == AimKind.Keep ? [Need.Of(SupplyIds.SoftBrush), Need.Of(SupplyIds.WoodenScraper),
                Need.Of(SupplyIds.LightOil, 2)]
                : [Need.Of(SupplyIds.NylonAbrasivePad, 1), Need.Of(Slotted(q) ? SupplyIds.SlotFile : SupplyIds.FineWireBrush), Need.Of(SupplyIds.LightOil, 5)],
            How = q.Aim == AimKind.Keep ? "Brush and a splinter of wood, oil, wipe. No abrasive and no file: heads keep their skin."
                : "Hold the shank in a sleeve, thread covered, and spin it slowly. " + (Slotted(q) ? "Clean the slot with a file of its width."
                    : "Brush the thread; the flats keep their corners."),
            Reason = Slotted(q) ? "A clean slot takes the driver next time." : "Clean flats take the spanner next time.",
            FinishTest = $"Each {(Slotted(q) ? "screw" : "nut")} runs home by hand.",
            Cautions = q.Aim == AimKind.Keep ? [] : [CautionId.Rotating],
        }, buys: 3),
        PlanRule.One("chewed slots", "A slot that slips once slips for good.",
            [NotKeep, If("a screw is chewed", q => Chewed(q).Count > 0)], q => new Deed(StepKey.SlotsDress,
            Stage.SmallParts, q.Worst(FindingKind.Burred, Ids(Chewed(q)).ToArray()) > 3 ? $"Cut new slots or flats on {Names(Chewed(q))}"
                : $"Peen and file the slots of {Names(Chewed(q))}",
                q.Minutes(StepKey.SlotsDress, Chewed(q)))
        {
            Parts = Ids(Chewed(q)),
            Needs = [Need.Of(SupplyIds.SlotFile), Need.Of(SupplyIds.BrassHammer), Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws)],
                How = "Tap the raised lip back, then true the slot, no deeper than it was."
                    + (q.Worst(FindingKind.Burred, Ids(Chewed(q)).ToArray()) > 3
                        ? " Where nothing is left: a new slot across the old, or the flats filed to the next size down; else one of the same thread." : ""),
            Reason = "The driver must bite before anything else can be done with it.", FinishTest = "A fitted driver stands up in it by itself.",
            Undoable = false, MetalRemovedMm = q.Metal(StepKey.SlotsDress), Cautions = [CautionId.StuckScrew],
        }),
        PlanRule.One("torn threads", "A thread that is forced once is torn for good.", [NotKeep,
            If("a thread is torn for a turn or two", q => Torn(q, 2, 2).Count > 0)], q =>
            new Deed(StepKey.ThreadMend, Stage.SmallParts, $"Chase the thread of {Names(Torn(q, 2, 2))}", q.Minutes(StepKey.ThreadMend, Torn(q, 2, 2)))
        {
            Parts = Ids(Torn(q, 2, 2)), Needs = [Need.Of(SupplyIds.TapsAndDies), Need.Of(SupplyIds.LightOil, 2)],
            How = "Measure turns and diameter first: many old threads are of no table. Oil, half a turn on and a quarter back; only what lies over is "
                + "pushed back.",
            Reason = "A torn turn tears the next one.", FinishTest = "It runs home by hand.", Undoable = false, MetalRemovedMm = 0,
        }, buys: 3),
        PlanRule.One("stripped threads", "A thread that no longer holds is replaced, not packed.", [NotKeep,
            If("a thread strips before it is tight", q => Torn(q, 3, 4).Count > 0)], q =>
            new Deed(new DeedId(StepKey.ThreadMend, "stripped"), Stage.SmallParts, $"Replace {Names(Torn(q, 3, 4))}, or mend the hole",
                q.Minutes(StepKey.ThreadMend, Torn(q, 3, 4), StepCase.Much))
        {
            Parts = Ids(Torn(q, 3, 4)), Needs = [Need.Of(SupplyIds.ReplacementPart, 1), Need.Of(SupplyIds.TapsAndDies), Need.Of(SupplyIds.DrillPress)],
            How = "Which side is torn? A sound one of the same thread tells. A screw is replaced; a torn hole is bushed and tapped again in the old "
                + "thread, never drilled out for a new one. Turns and diameter are measured before anything is bought.",
            Reason = "Drawn tight it lets go.", FinishTest = "It draws tight and stays.", Undoable = false, Cautions = [CautionId.Rotating],
        }, buys: 6),
        PlanRule.One("lock tabs", "A tab stands few bends.", [If("it has lock tabs", q => q.Present.Any(p => p.Joint == Joint.LockTab)),
            Found(FindingKind.BentTab, 2)], q => new Deed(StepKey.Tabs, Stage.SmallParts, "Make or buy new lock tabs", q.Minutes(StepKey.Tabs))
        {
            Parts = Ids(q.Present.Where(p => p.Joint == Joint.LockTab)), Needs = [Need.Of(SupplyIds.NewLockTab, 2)],
            How = "Same thickness; cut the ear wide enough for two flats.", Reason = "A cracked tab lets the nut walk off at work.",
            FinishTest = "No crack at the bend under the lens.",
        }),
        PlanRule.One("knurling", "Knurling is brushed, never sanded.", [If("it has knurled parts", q => Knurled(q).Any())], q =>
            new Deed(StepKey.Knurl, Stage.SmallParts, $"{(Knurled(q).All(p => p.Is(PartIds.Knurl)) ? "Brush out the" : "Brush out the knurling of")} "
                + Names(Knurled(q)), q.Minutes(StepKey.Knurl, Knurled(q)))
        {
            Parts = Ids(Knurled(q)), Needs = [Need.Of(SupplyIds.FineWireBrush), Need.Of(SupplyIds.LightOil, 3)],
            How = "Along the lines of the knurl, brass brush on brass. No abrasive, no wheel.", Reason = "Its points are what the fingers hold.",
            FinishTest = "Clean to the root, points sharp.",
        }),
        PlanRule.One("clean brass", "Brass is brightened, not worn.", [NotKeep, If("it has brass", q => Brass(q).Any())], q =>
            new Deed(StepKey.Brass, Stage.SmallParts, $"{(Shined(q) ? "Brighten" : "Clean")} brass: {Names(Brass(q))}",
                q.Minutes(StepKey.Brass, Brass(q), Buffed(q) ? StepCase.Machine : StepCase.Usual))
        {
            Parts = Ids(Brass(q)), Needs = Buffed(q) ? [Need.Of(SupplyIds.BuffingWheel), Need.Of(SupplyIds.HoningCompound, 2), Need.Of(SupplyIds.CleanCloth, 1)]
                : Shined(q) ? [Need.Of(SupplyIds.MetalPolish, 5), Need.Of(SupplyIds.CleanCloth, 2)]
                : [Need.Of(SupplyIds.Detergent, 5), Need.Of(SupplyIds.SoftBrush)],
            How = Buffed(q) ? "Polish on a cloth wheel with a little compound, below its middle, no edge turned into it. Letters and knurls stay off it. "
                + "Small parts are held in a wooden jig and dipped: they burn fingers before they look hot."
                : Shined(q) ? "Polish by hand, away from wood." : "Warm soapy water, soft brush, dry at once.",
            Reason = Shined(q) ? "As it left the works." : "Dirt off; the colour of use may stay.",
            FinishTest = "Clean in every corner, edges still crisp.", Cautions = Buffed(q) ? [CautionId.Rotating, CautionId.Polish] : Shined(q)
                ? [CautionId.Polish] : [],
            SurfaceLost = Shined(q) ? SurfaceId.Brass : null, Final = Shined(q),
        }, ChoiceId.Brass, 2),
        PlanRule.One("mushroomed ends", "A rolled lip splits wood and sheds splinters.",
            [NotKeep, If("a struck end has spread", q => q.With(FindingKind.Mushroomed, 2).Any())], q => new Deed(StepKey.Mushroom, Stage.SmallParts,
            $"Dress the spread end of {Names(q.With(FindingKind.Mushroomed, 2))}", q.Minutes(StepKey.Mushroom))
        {
            Parts = Ids(q.With(FindingKind.Mushroomed, 2)), Needs = [Need.Of(SupplyIds.FineFile), Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws)],
            How = q.With(FindingKind.Mushroomed, 2).All(p => p.Material == Material.Wood) ? "Pare and round the lip, with the grain, back to sound wood."
                : "File the lip off and leave a small round; never grind a hardened end hot.", Reason = "What is rolled over breaks off at the next blow.",
            FinishTest = "No lip catches the finger.", Undoable = false, MetalRemovedMm = q.Metal(StepKey.Mushroom),
            Cautions = q.With(FindingKind.Mushroomed, 2).All(p => p.Material == Material.Wood) ? [CautionId.WoodDust] : [],
        }, buys: 3),
        PlanRule.One("bad repairs", "What changes how it works must come out first.", [NotKeep, Found(FindingKind.Repair, 4)], q =>
            new Deed(StepKey.UndoRepair, Stage.SmallParts, $"Take the bad repair out of {Names(q.With(FindingKind.Repair, 4))}", q.Minutes(StepKey.UndoRepair))
        {
            Parts = Ids(q.With(FindingKind.Repair, 4)), Needs = [Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws)],
            How = "Find out how it was made before it is touched; keep what comes out with the tag.", Reason = "Everything after it would be built on it.",
            FinishTest = "The old surfaces are free.", Undoable = false,
        }),
        PlanRule.One("straighten", "Small bends come back slowly, between wood.",
            [NotKeep, If("something is bent that may be straightened cold: no saw plate, no spring, nothing of a pipe wrench", q => Bent(q).Any())], q =>
                new Deed(StepKey.Straighten, Stage.SmallParts,
            $"Straighten {Names(Bent(q))}", q.Minutes(StepKey.Straighten))
        {
            Parts = Ids(Bent(q)),
            Needs = [Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws)],
            How = "Cold, between wood, a little past straight and let it come back. Stop at the first sound."
                + (Bent(q).Any(p => p.Material == Material.EdgeSteel) ? " Only behind the hard steel: the hard end snaps." : ""),
            Reason = "It does not run or sit true.", FinishTest = "Straight along an edge.", Undoable = false, Cautions = [CautionId.Bending],
        }, buys: 4),
    ];
}
