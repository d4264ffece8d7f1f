using Foundling.Core.Keys;
using Foundling.Core.Rod;

namespace Foundling.Core.Tests.Rod.Former;

/// <summary>Steps that pairs name together.</summary>
internal static class Steps
{
    /// <summary>Steps of rungs of the ladder for stuck parts.</summary>
    public static readonly StepSet Free = new(
        StepKey.FreeStiff, StepKey.FreeOil, StepKey.FreeDriver, StepKey.FreeClamp, StepKey.FreeShock, StepKey.FreeHeat, StepKey.FreePins, StepKey.FreeStop);

    /// <summary>Steps of pictures of how it sat.</summary>
    public static readonly StepSet Photo = new(
        StepKey.PhotoPins);

    /// <summary>Steps of washing.</summary>
    public static readonly StepSet Wash = new(
        StepKey.WashDust, StepKey.WashPacked, StepKey.WashSap, StepKey.WashPaint, StepKey.Wash, StepKey.WashPlated, StepKey.WashWood);

    /// <summary>Steps that end with parts out of a bath, dry and oiled.</summary>
    public static readonly StepSet Oiled = new(
        StepKey.SoakOil, StepKey.SoakEarly);

    /// <summary>Steps of taking rust off outside a bath.</summary>
    public static readonly StepSet Derust = new(
        StepKey.DerustWire, StepKey.DerustAbrasive, StepKey.DerustScrape, StepKey.DerustBlast, StepKey.DerustBlastOil, StepKey.DerustRest,
        StepKey.DerustBloom);


    /// <summary>Steps of getting an old coat ready, which come before the rust under it.</summary>
    public static readonly StepSet OldCoat = new(
        StepKey.CoatColour, StepKey.CoatStrip);

    /// <summary>Steps of coating.</summary>
    public static readonly StepSet Coat = new(
        StepKey.CoatSeal, StepKey.CoatTouch, StepKey.CoatScuff, StepKey.PitFill, StepKey.CoatDegrease, StepKey.CoatMask, StepKey.CoatPrime,
        StepKey.Coat1, StepKey.Coat2, StepKey.CoatBake);

    /// <summary>Steps of edges.</summary>
    public static readonly StepSet Edge = new(
        StepKey.EdgeBack, StepKey.EdgeGrind, StepKey.EdgeHone, StepKey.EdgeCover, StepKey.EdgeKeep, StepKey.EdgeSave, StepKey.EdgeTeeth);

    /// <summary>Steps of the frog.</summary>
    public static readonly StepSet Frog = new(
        StepKey.FrogSeat, StepKey.FrogFace);

    /// <summary>Steps of wood.</summary>
    public static readonly StepSet Wood = new(
        StepKey.WoodDry, StepKey.WoodClean, StepKey.WoodGlue, StepKey.WoodScrape, StepKey.WoodStain, StepKey.WoodRevive,
        StepKey.WoodOil, StepKey.WoodWipe, StepKey.WoodWax, StepKey.WoodShellac, StepKey.WoodLacquer);

    /// <summary>Steps of rods of totes and knobs.</summary>
    public static readonly StepSet Rod = new(
        StepKey.RodShorten);

    /// <summary>Steps of small parts.</summary>
    public static readonly StepSet Small = new(
        StepKey.Screws, StepKey.SlotsDress, StepKey.ThreadMend, StepKey.Tabs, StepKey.Knurl, StepKey.Brass, StepKey.Mushroom, StepKey.UndoRepair,
            StepKey.Straighten);

    /// <summary>Steps of hafts.</summary>
    public static readonly StepSet Haft = new(
        StepKey.HaftWedge, StepKey.HaftShape, StepKey.HaftHang);

    /// <summary>Steps of soles.</summary>
    public static readonly StepSet Sole = new(
        StepKey.SoleCheck, StepKey.SoleLap, StepKey.SoleClean, StepKey.SoleWood);

    /// <summary>Steps of turned burrs.</summary>
    public static readonly StepSet Burr = new(
        StepKey.BurrFile, StepKey.BurrTurn);

    /// <summary>Steps of jaws.</summary>
    public static readonly StepSet Jaw = new(
        StepKey.JawPlay, StepKey.JawDress, StepKey.JawHone, StepKey.JawBurrs);

    /// <summary>Steps of saw plates and teeth.</summary>
    public static readonly StepSet Saw = new(
        StepKey.SawStraight, StepKey.SawJoint, StepKey.SawFile, StepKey.SawSet, StepKey.SawCover, StepKey.SawBack, StepKey.SawNuts);


    /// <summary>Steps of setting that come after the last honing.</summary>
    public static readonly StepSet SetLast = new(
        StepKey.SetPivot, StepKey.SetStops);
}
