using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>The ladder for parts that will not move: each rung only when the one below did not do it, and stopping is one of them.</summary>
internal static class SeizedRules
{
    private static readonly PartId[] Round = [PartIds.Chuck, PartIds.EndCap, PartIds.Knurl, PartIds.Adjuster, PartIds.TiltNuts, PartIds.DepthStop];

    private static IEnumerable<PartDef> Stuck(PlanQuestion q, int degree) => q.With(FindingKind.Seizure, degree);

    private static IEnumerable<PartDef> Heatable(PlanQuestion q) => Stuck(q, 3).Where(p => p.Material is Material.Steel or Material.CastIron
        && p.Finish is PartFinish.Bare or PartFinish.Japanned or PartFinish.Painted);

    private static IEnumerable<PartDef> Gripped(PlanQuestion q) => Stuck(q, 2).Where(p => Round.Contains(p.Id));

    private static Cond Seized(int degree) => Found(FindingKind.Seizure, degree);

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("oil stiff threads", "Oil and time free most threads and spoil none.", [Seized(1)], q =>
            new Deed(StepKey.FreeOil, Stage.Apart, $"Penetrating oil on {Names(Stuck(q, 1))}", q.Minutes(StepKey.FreeOil, Stuck(q, 1)))
        {
            Parts = Ids(Stuck(q, 1)), Lag = Lag.Cure(q.Worst(FindingKind.Seizure) >= 3 ? 24 * 60 : 8 * 60, 4 * 60),
            Needs = [Need.Of(SupplyIds.PenetratingOil, 5), Need.Of(SupplyIds.CleanCloth, 1)],
            How = "A drop at each thread, again when you look in. Only where oil can reach, and kept off wood, leather and cord.",
            Reason = "Force on a dry thread chews the slot.", FinishTest = "Oil has crept out on the far side.",
        }, buys: 4),
        PlanRule.One("the right driver", "A chewed slot is the end of a screw.",
            [Seized(2), If("a stuck part is turned by a driver", q => Stuck(q, 2).Any(p => !Round.Contains(p.Id)))], q => new Deed(StepKey.FreeDriver,
            Stage.Apart, $"Start {Names(Stuck(q, 2).Where(p => !Round.Contains(p.Id)))} with a driver that fills the slot", q.Minutes(StepKey.FreeDriver))
        {
            Parts = Ids(Stuck(q, 2).Where(p => !Round.Contains(p.Id))),
                Needs = [Need.Of(SupplyIds.FittedScrewdrivers), Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws)],
            How = "Fitted driver, steady pressure; a spanner on its shank for more.", Reason = "A driver that fills the slot turns what a loose one tears.",
            FinishTest = "It has moved a quarter turn.", Cautions = [CautionId.StuckScrew],
        }),
        PlanRule.One("clamp in soft wood", "A round shell is gripped all round or it is crushed.",
            [Seized(2), If("a stuck part is round", q => Gripped(q).Any())], q => new Deed(StepKey.FreeClamp, Stage.Apart,
            $"Clamp {Names(Gripped(q))} in soft wood and turn", q.Minutes(StepKey.FreeClamp))
        {
            Parts = Ids(Gripped(q)), Needs = [Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws), Need.Of(SupplyIds.ScrapOfSoftwood)],
            How = "Bore a hole of its size in softwood, saw it across, and close the vice on the two halves. Knurling must not slip.",
            Reason = "Plier marks never come out of a knurl.", FinishTest = "It has moved a quarter turn, no mark on it.", Cautions = [CautionId.StuckScrew],
        }),
        PlanRule.One("shock", "A sharp tap breaks rust that a long pull only bends.", [Seized(3), NotKeep], q =>
            new Deed(StepKey.FreeShock, Stage.Apart, $"If it still sits: shock {Names(Stuck(q, 3))} with a brass hammer", q.Minutes(StepKey.FreeShock))
        { OnlyIfNeeded = true,
            Parts = Ids(Stuck(q, 3)), Needs = [Need.Of(SupplyIds.BrassHammer), Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.PenetratingOil, 3)],
            How = "Rap round the joint, then tighten a hair before loosening. Support what is under the blow.", Reason = "Rust is brittle, iron gives.",
            FinishTest = "The ring of the tap has changed, or it moves.", Cautions = [CautionId.Shatter],
        }),
        PlanRule.One("heat", "The outer part grows first.", [Seized(3), NotKeep, If("what is stuck may be heated: no spring, edge, brass or plating", q =>
            Heatable(q).Any())], q => new Deed(StepKey.FreeHeat, Stage.Apart, $"If it still sits: warm {Names(Heatable(q))}, with the oil gone",
                q.Minutes(StepKey.FreeHeat))
        { OnlyIfNeeded = true,
            Parts = Ids(Heatable(q)), Needs = [Need.Of(SupplyIds.HeatGun), Need.Of(SupplyIds.WhiteSpirit, 30)],
            How = "Wipe off all oil and let it dry. Warm the outer part until spit sizzles, not to any colour; wood and springs are off it.",
            Reason = "Heat grows the outer part a hair and cracks the rust.", FinishTest = "It turns while warm.",
            Cautions = [CautionId.Torch, CautionId.Chlorinated],
        }),
        PlanRule.One("drilled pin wrench", "Two holes are better than a crushed shell.", [Seized(4), NotKeep,
            If("a stuck part is round", q => Gripped(q).Any())], q => new Deed(StepKey.FreePins, Stage.Apart,
            $"If it still sits: drill {Names(Gripped(q))} for a pin wrench", q.Minutes(StepKey.FreePins))
        { OnlyIfNeeded = true,
            Parts = Ids(Gripped(q)), Needs = [Need.Of(SupplyIds.DrillPress), Need.Of(SupplyIds.PinWrench), Need.Of(SupplyIds.BenchVice)],
            How = "Two holes opposite each other, where they will hardly show, as deep as half the wall.",
            Reason = "It turns the shell without crushing it; the holes stay for the next one.", FinishTest = "It has moved.", Undoable = false,
            SurfaceLost = SurfaceId.Shell, Cautions = [CautionId.Rotating],
        }),
        PlanRule.One("stop", "A tool that works stuck is better than a broken one.", [Seized(3)], q =>
            new Deed(StepKey.FreeStop, Stage.Apart, $"If {Names(Stuck(q, 3))} still will not move: stop, and plan without it", q.Minutes(StepKey.FreeStop))
        { OnlyIfNeeded = true,
            Parts = Ids(Stuck(q, 3)), How = "Leave it as it is, clean round it, write it on the tag. A machine shop may do more.",
            Reason = "The next rung breaks something that cannot be had again.", FinishTest = "It moves, or the tag says that it stays.",
        }),
    ];
}
