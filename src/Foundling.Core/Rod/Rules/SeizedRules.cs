using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>
/// The ladder for parts that will not move. What is only stiff gets oil and is worked; what sits gets oil, time,
/// and the right grip for its joint; only what oil and time do not move gets the further rungs, each when the one before did not do it, and stopping is
/// one of them.
/// </summary>
internal static class SeizedRules
{
    /// <summary>From this degree on a joint does not move by hand.</summary>
    internal const int Sits = 2;

    private const int Stiff = 1, BeyondOil = 3, HeatTried = 4;
    private const double ShortOilMin = 8 * 60, LongOilMin = 24 * 60, LookMin = 4 * 60;

    private static readonly PartId[] Round = [PartIds.Chuck, PartIds.EndCap, PartIds.Knurl, PartIds.Adjuster, PartIds.TiltNuts, PartIds.DepthStop];

    /// <summary>What a stuck joint is turned or driven by.</summary>
    private enum Grip
    {
        Slot, Hexagon, Split, Pin, Wedge, Rivet, Round, Tap, Hand,
    }

    private static Grip GripOf(PlanQuestion q, PartDef part) =>
        part.Joint == Joint.Wedged || part.Is(PartIds.Wedge) || (q.Tool.IsWedged && part.Is(PartIds.Iron)) ? Grip.Wedge
        : part.Joint == Joint.TaperedPin || part.Fastener == Fastening.Pin ? Grip.Pin
        : part.Joint == Joint.StaysOn || part.OnePiece || part.Joint == Joint.Destroyed ? Grip.Rivet
        : part.Joint == Joint.SplitNut ? Grip.Split
        : part.Is(Round) ? Grip.Round
        : part.Fastener == Fastening.Screw || q.Tool.Parts.Any(p => p.Rod == part.Id) ? Grip.Slot
        : part.Fastener is Fastening.Bolt or Fastening.Nut ? Grip.Hexagon
        : part.Material == Material.EdgeSteel || part.Is(PartIds.Frog, PartIds.CapIron, PartIds.LeverCap) || part.Id == q.Tool.Parts[0].Id ? Grip.Tap
        : Grip.Hand;

    private static List<PartDef> Stuck(PlanQuestion q, int degree) => [.. q.With(FindingKind.Seizure, degree)];

    // What a wedge holds comes with its blow, a cap iron is reached only once its wedge is out, and a spring is cleaned where springs are.
    private static List<PartDef> Dry(PlanQuestion q) => [.. Oiled(q, Stiff, Stiff).Where(p => GripOf(q, p) != Grip.Wedge
        && p.Joint != Joint.Sprung && !(q.Tool.IsWedged && p.Is(PartIds.CapIron)))];

    // Oil loosens a wooden wedge for good, and leather never dries of it.
    private static List<PartDef> Oiled(PlanQuestion q, int from, int to) => [.. Stuck(q, from).Where(p => q.Worst(FindingKind.Seizure, p.Id) <= to
        && p.Material is not (Material.Wood or Material.Soft))];

    private static List<PartDef> Heatable(PlanQuestion q) => [.. Stuck(q, BeyondOil).Where(p => q.Worst(FindingKind.Seizure, p.Id) < HeatTried
        && p.Material is Material.Steel or Material.CastIron && p.Finish is PartFinish.Bare or PartFinish.Japanned or PartFinish.Painted
        && GripOf(q, p) is not (Grip.Rivet or Grip.Wedge))];

    private static List<PartDef> Gripped(PlanQuestion q, int degree) => [.. Stuck(q, degree).Where(p => GripOf(q, p) == Grip.Round)];

    private static List<PartDef> Shockable(PlanQuestion q) => [.. Stuck(q, BeyondOil)
        .Where(p => p.Material is not (Material.Wood or Material.Soft or Material.Brass)
        && GripOf(q, p) is not (Grip.Rivet or Grip.Wedge))];

    /// <summary>Which way a reverse thread loosens, said before anybody leans on it.</summary>
    private static string Reverse(IEnumerable<PartDef> parts) => parts.Where(p => p.Joint == Joint.ReverseThread).ToList() is { Count: > 0 } reverse
        ? $"The {Names(reverse)} {Verb(reverse, "has", "have")} a reverse thread and {Verb(reverse, "comes", "come")} loose clockwise. " : "";

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("oil and work what is stiff", "What is only stiff is dry, not stuck.",
            [If("a part of metal is stiff and no more", q => Dry(q).Count > 0)], q =>
            new Deed(StepKey.FreeStiff, Stage.Apart, $"Oil and work {Names(Dry(q))} to and fro", q.Minutes(StepKey.FreeStiff, Dry(q)))
        {
            Parts = Ids(Dry(q)), Needs = [Need.Of(SupplyIds.LightOil, 2), Need.Of(SupplyIds.CleanCloth, 1)],
            How = Reverse(Dry(q)) + "A drop at the thread or pivot, to and fro, wipe off what it brings out, and again. Kept off wood.",
            Reason = "Old oil has gone to gum; fresh oil carries it out.", FinishTest = "It moves under two fingers.",
        }, buys: 2),
        PlanRule.One("oil stuck threads", "Oil and time free most threads and spoil none.",
            [If("a part of metal sits fast", q => Oiled(q, Sits, HeatTried).Count > 0)], q =>
            new Deed(StepKey.FreeOil, Stage.Apart, $"Penetrating oil on {Names(Oiled(q, Sits, HeatTried))}", q.Minutes(StepKey.FreeOil, Oiled(q, Sits,
                HeatTried)))
        {
            Parts = Ids(Oiled(q, Sits, HeatTried)),
            Lag = Lag.Cure(Oiled(q, BeyondOil, HeatTried).Count > 0 ? LongOilMin : ShortOilMin, LookMin),
            Needs = [Need.Of(SupplyIds.PenetratingOil, 5), Need.Of(SupplyIds.CleanCloth, 1)],
            How = "A drop at each joint, again when you look in. Only where oil can reach, and kept off wood, leather and cord.",
            Reason = "Force on a dry joint chews the slot and bends the pin.", FinishTest = "Oil has crept out on the far side.",
        }, buys: 4),
        new("the grip that fits the joint", "The wrong grip is the end of a screw, a pin or a wedge.",
            [If("a stuck part is not gripped all round", q => Stuck(q, Sits).Any(p => GripOf(q, p) != Grip.Round))],
            q => Stuck(q, Sits).Where(p => GripOf(q, p) != Grip.Round).GroupBy(p => GripOf(q, p)).OrderBy(g => g.Key).Select(g => Start(q, g.Key, [.. g]))),
        PlanRule.One("clamp in soft wood", "A round shell is gripped all round or it is crushed.",
            [If("a stuck part is round", q => Gripped(q, Sits).Count > 0)], q => new Deed(StepKey.FreeClamp, Stage.Apart,
            $"Clamp {Names(Gripped(q, Sits))} in soft wood and turn", q.Minutes(StepKey.FreeClamp))
        {
            Parts = Ids(Gripped(q, Sits)), Needs = [Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws), Need.Of(SupplyIds.ScrapOfSoftwood)],
            How = Reverse(Gripped(q, Sits)) + "Bore a hole of its size in softwood, saw it across, and close the vice on the two halves. Knurling must not "
                + "slip.",
            Reason = "Plier marks never come out of a knurl.", FinishTest = "It has moved a quarter turn, no mark on it.", Cautions = [CautionId.StuckScrew],
        }),
        PlanRule.One("shock", "A sharp tap breaks rust that a long pull only bends.",
            [NotKeep, If("what oil and time did not move may be struck: no rivet, wedge or brass", q => Shockable(q).Count > 0)], q =>
            new Deed(StepKey.FreeShock, Stage.Apart, $"If it still sits: shock {Names(Shockable(q))} with a brass hammer", q.Minutes(StepKey.FreeShock))
        {
            OnlyIfNeeded = true,
            Parts = Ids(Shockable(q)), Needs = [Need.Of(SupplyIds.BrassHammer), Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.PenetratingOil, 3)],
            How = Reverse(Shockable(q)) + "Rap round the joint, then tighten a hair before loosening. Support what is under the blow.",
            Reason = "Rust is brittle, iron gives.", FinishTest = "The ring of the tap has changed, or it moves.", Cautions = [CautionId.Shatter],
        }),
        PlanRule.One("heat", "The outer part grows first.", [NotKeep,
            If("what is stuck may be heated and was not yet: no spring, edge, brass or plating", q => Heatable(q).Count > 0)], q =>
            new Deed(StepKey.FreeHeat, Stage.Apart, $"If it still sits: warm {Names(Heatable(q))}, with the oil gone", q.Minutes(StepKey.FreeHeat))
        {
            OnlyIfNeeded = true,
            Parts = Ids(Heatable(q)), Needs = [Need.Of(SupplyIds.HeatGun), Need.Of(SupplyIds.WhiteSpirit, 30)],
            How = "Wipe off all oil and let it dry right off. Warm the outer part until spit sizzles, not to any colour; wood and springs are off it.",
            Reason = "Heat grows the outer part a hair and cracks the rust.", FinishTest = "It turns while warm.",
            // What is stuck sits in something that mostly is painted.
            Cautions = q.Present.Any(SurfaceWays.IsCoated) ? [CautionId.Torch, CautionId.Chlorinated, CautionId.OldPaint]
                : [CautionId.Torch, CautionId.Chlorinated],
        }),
        PlanRule.One("drilled pin wrench", "Two holes are better than a crushed shell.", [NotKeep,
            If("a round part did not move for oil and heat", q => Gripped(q, HeatTried).Count > 0)], q => new Deed(StepKey.FreePins, Stage.Apart,
            $"If it still sits: drill {Names(Gripped(q, HeatTried))} for a pin wrench", q.Minutes(StepKey.FreePins))
        {
            OnlyIfNeeded = true,
            Parts = Ids(Gripped(q, HeatTried)), Needs = [Need.Of(SupplyIds.DrillPress), Need.Of(SupplyIds.DrillBits), Need.Of(SupplyIds.PinWrench),
                Need.Of(SupplyIds.BenchVice)],
            How = Reverse(Gripped(q, HeatTried)) + "Two holes opposite each other, where they will hardly show, as deep as half the wall.",
            Reason = "It turns the shell without crushing it; the holes stay for the next one.", FinishTest = "It has moved.", Undoable = false,
            SurfaceLost = SurfaceId.Shell, Cautions = [CautionId.Rotating],
        }),
        PlanRule.One("stop", "A tool that works stuck is better than a broken one.", [If("a part that may be touched sits so that oil alone does not move it",
            q => Stuck(q, BeyondOil).Count > 0)], q =>
            new Deed(StepKey.FreeStop, Stage.Apart, $"If {Names(Stuck(q, BeyondOil))} still will not move: stop, and plan without it",
                q.Minutes(StepKey.FreeStop))
        {
            OnlyIfNeeded = true,
            Parts = Ids(Stuck(q, BeyondOil)), How = "Leave it as it is, clean round it, write it on the tag. A machine shop may do more.",
            Reason = "The next rung breaks something that cannot be had again.", FinishTest = "It moves, or the tag says that it stays.",
        }),
    ];

    private static Deed Start(PlanQuestion q, Grip grip, IReadOnlyList<PartDef> parts)
    {
        string names = Names(parts), reverse = Reverse(parts);
        bool one = parts.Count == 1 && !parts[0].Name.EndsWith('s');
        (string title, string how, string reason, string done, Need[] kit) = grip switch
        {
            Grip.Slot => ($"Start {names} with a driver that fills the slot", "Fitted driver, steady pressure; a spanner on its shank for more.",
                "A driver that fills the slot turns what a loose one tears.", "It has moved a quarter turn.",
                [Need.Of(SupplyIds.FittedScrewdrivers), Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws)]),
            Grip.Hexagon => ($"Start {names} with a spanner that fits",
                $"{(parts.Any(p => p.Joint == Joint.LockTab) ? "Bend the lock tab flat first. " : "")}Ring or open end that fits the flats, pulled towards "
                    + "you, its head held. "
                    + "Tighten a hair, then loosen.",
                "A spanner that is too wide rounds the corners.", "It has moved a quarter turn.",
                new[] { Need.Of(SupplyIds.Spanners), Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws) }),
            Grip.Split => ($"Start {names} with a split-nut driver",
                "Both prongs in the slots, pressed down hard, and turned slowly. Hold the head on the far side still.",
                "Soft brass tears at the first slip.", "It has moved a quarter turn, the slots whole.", [Need.Of(SupplyIds.SplitNutDriver)]),
            Grip.Pin => ($"Drive {(one ? "the pin of " : "the pins of ")}{names} out from the thin end",
                "Photograph both ends first: the thin end is struck, the thick end leads out. Punch a hair thinner than the pin, the far side on a block "
                    + "with a hole, "
                    + "one sharp blow.",
                "Struck at the thick end it jams for good.", "It has moved out on the thick side.",
                [Need.Of(SupplyIds.PinPunches), Need.Of(SupplyIds.BrassHammer), Need.Of(SupplyIds.ScrapOfHardwood)]),
            Grip.Wedge => ($"Free {names} by a blow in the right place",
                (q.Tool.Family == Family.Plane ? "Strike the heel of the body, or its button, never the iron; "
                    : "Strike the end it was driven from, through wood; ")
                    + "tap the wedge sideways on both cheeks between. A wedge swollen fast is left by the stove's warm side, not wetted and not oiled.",
                "A wedge is let go by the jump of the body, not pulled.", $"{(one ? "It lifts" : "They lift")} out by hand.", [Need.Of(SupplyIds.Mallet)]),
            Grip.Rivet => ($"Work {names} free where {(one ? "it is" : "they are")}",
                "Oil, and small moves to and fro by hand; a thin blade of wood under it. The rivet or pin stays: no hammer on it.",
                "What is riveted comes off only once.", "It swings through its whole way.", [Need.Of(SupplyIds.PenetratingOil, 2),
                    Need.Of(SupplyIds.WoodenScraper)]),
            Grip.Tap => ($"Tap {names} loose",
                $"Whatever presses on {(one ? "it" : "them")} is off first. Light taps through hardwood the way {(one ? "it slides" : "they slide")}, to and "
                    + "fro, oil let in between; never on an edge, an ear or a thread.",
                "A flat seat is let go by small shocks; a lever bends what it pries on.", $"{(one ? "It has" : "They have")} moved, and nothing is bruised.",
                [Need.Of(SupplyIds.Mallet), Need.Of(SupplyIds.ScrapOfHardwood), Need.Of(SupplyIds.PenetratingOil, 2)]),
            _ => ($"Work {names} loose in soft jaws", "Held in soft jaws close to the joint, to and fro with a leather strip round it, oil in between.",
                "What once slid here is held by rust and gum.", "It has moved through its whole way.",
                [Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws), Need.Of(SupplyIds.PenetratingOil, 2)]),
        };
        return new Deed(new DeedId(StepKey.FreeDriver, grip == Grip.Slot ? "" : grip.ToString().ToLowerInvariant()), Stage.Apart, Sentences.Start(title),
            q.Minutes(StepKey.FreeDriver))
        {
            Parts = Ids(parts), Needs = kit, How = reverse + how, Reason = reason, FinishTest = done,
            Cautions = grip is Grip.Slot or Grip.Hexagon or Grip.Split ? [CautionId.StuckScrew] : grip == Grip.Pin ? [CautionId.Shatter] : [],
        };
    }
}
