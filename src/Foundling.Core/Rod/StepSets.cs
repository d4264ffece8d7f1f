using Foundling.Core.Keys;

namespace Foundling.Core.Rod;

/// <summary>Steps that are spoken of together.</summary>
/// <param name="Steps">The steps.</param>
public sealed record StepSet(params StepKey[] Steps)
{
    /// <summary>One step alone.</summary>
    public static implicit operator StepSet(StepKey step) => new(step);

    /// <summary>True when a step is one of them.</summary>
    public bool Has(StepKey step) => Array.IndexOf(Steps, step) >= 0;
}

/// <summary>Steps that several rules name together.</summary>
internal static class StepSets
{
    /// <summary>Steps of rungs of the ladder for stuck parts.</summary>
    public static readonly StepSet Free = new(
        StepKey.FreeStiff, StepKey.FreeOil, StepKey.FreeDriver, StepKey.FreeClamp, StepKey.FreeShock, StepKey.FreeHeat, StepKey.FreePins, StepKey.FreeStop);

    /// <summary>Steps of taking rust off outside a bath.</summary>
    public static readonly StepSet Derust = new(
        StepKey.DerustWire, StepKey.DerustAbrasive, StepKey.DerustScrape, StepKey.DerustBlast, StepKey.DerustBlastOil, StepKey.DerustRest,
        StepKey.DerustBloom);

    /// <summary>Steps on faces that are looked at, which take longer when all must be even.</summary>
    public static readonly StepSet Seen = new(
        StepKey.DerustWire, StepKey.DerustAbrasive, StepKey.DerustRest, StepKey.DerustBloom, StepKey.DarkRemove, StepKey.Screws, StepKey.SlotsDress,
        StepKey.Knurl, StepKey.Brass, StepKey.Sides, StepKey.CoatTouch, StepKey.CoatStrip, StepKey.CoatScuff, StepKey.CoatMask, StepKey.CoatPrime,
        StepKey.Coat1, StepKey.Coat2, StepKey.WoodClean, StepKey.WoodScrape, StepKey.WoodStain, StepKey.WoodOil, StepKey.WoodShellac,
        StepKey.WoodLacquer, StepKey.Grip, StepKey.GearClean, StepKey.ChuckClean, StepKey.RatchetClean, StepKey.SlideClean, StepKey.PivotClean);

    /// <summary>Steps that take metal off, or wood off a working face, and what is only done for their sake.</summary>
    public static readonly StepSet Takes = new(
        StepKey.SoleCheck, StepKey.SoleRough, StepKey.SoleLap, StepKey.SoleClean, StepKey.SoleWood, StepKey.Arris, StepKey.Sides, StepKey.CheekLap,
            StepKey.CheekCheck,
        StepKey.Tension, StepKey.FrogSeat, StepKey.FrogFace, StepKey.BedFlat, StepKey.Overspill, StepKey.WedgeFit, StepKey.JawBurrs, StepKey.GearTeeth,
            StepKey.EdgeSave, StepKey.EdgeGrind,
        StepKey.EdgeBack, StepKey.EdgeTeeth, StepKey.BurrFile, StepKey.HookTrue, StepKey.JawDress, StepKey.JawTeeth, StepKey.JawSpread, StepKey.CapFit,
        StepKey.LeverCap, StepKey.SlotsDress, StepKey.Mushroom, StepKey.RodShorten, StepKey.SawJoint, StepKey.SawFile, StepKey.SawSet, StepKey.DarkRemove,
        StepKey.SoleShape, StepKey.FootLevel);

}
