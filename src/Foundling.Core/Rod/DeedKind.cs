using Foundling.Core.Keys;

namespace Foundling.Core.Rod;

/// <summary>What is done in a step, which decides what it holds, how its time runs and which gauges help.</summary>
public enum DeedKind
{
    /// <summary>Work by hand that is nothing more particular.</summary>
    ByHand,

    /// <summary>Looking, listing, noting: nothing on the tool changes.</summary>
    Look,

    /// <summary>Measuring.</summary>
    Measure,

    /// <summary>Trying and proving.</summary>
    Prove,

    /// <summary>Taking apart.</summary>
    TakeApart,

    /// <summary>Putting together.</summary>
    PutTogether,

    /// <summary>Into a liquid that works by itself.</summary>
    Soak,

    /// <summary>Left to dry by air.</summary>
    DryByAir,

    /// <summary>A coat of paint, oil, shellac or wax.</summary>
    Coat,

    /// <summary>Coats baked in an oven.</summary>
    Bake,

    /// <summary>Glue or oil that cures.</summary>
    Cure,

    /// <summary>Lapping.</summary>
    Lap,

    /// <summary>Grinding.</summary>
    Grind,

    /// <summary>Honing.</summary>
    Hone,

    /// <summary>Filing and setting saw teeth.</summary>
    FileTeeth,

    /// <summary>Getting a part.</summary>
    Order,
}

/// <summary>Which kind of deed each step is; what is not listed is done by hand.</summary>
public static class DeedKinds
{
    private static readonly Dictionary<StepKey, DeedKind> ByKey = new Dictionary<DeedKind, StepKey[]>
    {
        [DeedKind.Look] =
        [
            StepKey.LeaveOn, StepKey.RefitPlan, StepKey.RollCall, StepKey.LookApart, StepKey.Photos, StepKey.PhotoPins, StepKey.PhotoChuck,
            StepKey.NoteSettings, StepKey.WedgeNote, StepKey.CoatColour, StepKey.KeepOut, StepKey.PicturesAfter, StepKey.OwnPapers, StepKey.NextLook,
            StepKey.RodWhy, StepKey.EtchFind, StepKey.FreeStop, StepKey.LookAgain, StepKey.WoodFind,
        ],
        [DeedKind.Measure] =
        [
            StepKey.SoleCheck, StepKey.MouthCheck,
        ],
        [DeedKind.Prove] =
        [
            StepKey.TryAsFound, StepKey.Prove,
        ],
        [DeedKind.TakeApart] =
        [
            StepKey.OpenJoint, StepKey.Apart, StepKey.UndoRepair,
        ],
        [DeedKind.PutTogether] =
        [
            StepKey.HaftWedge, StepKey.HaftHang, StepKey.Tension, StepKey.Assemble, StepKey.CloseJoint,
        ],
        [DeedKind.Soak] =
        [
            StepKey.Soak, StepKey.FreeOil,
        ],
        [DeedKind.DryByAir] =
        [
            StepKey.WoodDry,
        ],
        [DeedKind.Coat] =
        [
            StepKey.CoatSeal, StepKey.CoatTouch, StepKey.CoatPrime, StepKey.Coat1, StepKey.Coat2, StepKey.Protect, StepKey.WoodStain,
            StepKey.WoodRevive, StepKey.WoodOil, StepKey.WoodWax, StepKey.WoodShellac, StepKey.WoodLacquer,
        ],
        [DeedKind.Bake] =
        [
            StepKey.CoatBake,
        ],
        [DeedKind.Cure] =
        [
            StepKey.TangBed, StepKey.WoodGlue, StepKey.WoodWipe,
        ],
        [DeedKind.Lap] =
        [
            StepKey.SoleLap, StepKey.Sides,
        ],
        [DeedKind.Grind] =
        [
            StepKey.EdgeGrind, StepKey.EdgeSave,
        ],
        [DeedKind.Hone] =
        [
            StepKey.EdgeBack, StepKey.EdgeHone, StepKey.IronsHone, StepKey.EdgeTeeth, StepKey.JawHone, StepKey.FinalHone,
        ],
        [DeedKind.FileTeeth] =
        [
            StepKey.SawJoint, StepKey.SawFile, StepKey.SawSet,
        ],
        [DeedKind.Order] =
        [
            StepKey.Find, StepKey.IronsFind, StepKey.IronsFit,
        ],
    }.SelectMany(k => k.Value.Select(s => (Step: s, Kind: k.Key))).ToDictionary(k => k.Step, k => k.Kind);

    /// <summary>The kind of a step.</summary>
    public static DeedKind Of(StepKey step) => ByKey.GetValueOrDefault(step);
}
