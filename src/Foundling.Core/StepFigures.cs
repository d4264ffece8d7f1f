using Foundling.Core.Keys;

namespace Foundling.Core;

/// <summary>In which case a step takes other minutes than usual.</summary>
public enum StepCase
{
    /// <summary>As it mostly is.</summary>
    Usual,

    /// <summary>More for each of several: a screw, a part, an iron, a foot of teeth.</summary>
    Each,

    /// <summary>Only until it works.</summary>
    Little,

    /// <summary>Where there is much to do.</summary>
    Much,

    /// <summary>By grinding back.</summary>
    Grind,

    /// <summary>With a shim.</summary>
    Shim,

    /// <summary>With the back lifted a hair.</summary>
    Lift,

    /// <summary>A blade that passes a hook.</summary>
    Blade,

    /// <summary>Such a blade with nicks in it.</summary>
    Nicks,

    /// <summary>On wood.</summary>
    Wood,
}

/// <summary>What a step takes by the book.</summary>
/// <param name="Step">The step.</param>
/// <param name="What">What it is, after "to".</param>
/// <param name="Low">Minutes if all goes well.</param>
/// <param name="Likely">Minutes most often; a shop may put them otherwise, and the other two follow.</param>
/// <param name="High">Minutes if it fights back.</param>
/// <param name="Case">In which case.</param>
/// <param name="MetalMm">Metal it takes off, mm.</param>
public sealed record StepFigure(StepKey Step, string What, double Low, double Likely, double High, StepCase Case = StepCase.Usual, double MetalMm = 0)
{
    /// <summary>The case in words, with a comma before it; empty for the usual one.</summary>
    public string InCase => Case switch
    {
        StepCase.Each => ", for each more",
        StepCase.Little => ", only until it works",
        StepCase.Much => ", where there is much to do",
        StepCase.Grind => ", by grinding back",
        StepCase.Shim => ", with a shim",
        StepCase.Lift => ", with the back lifted",
        StepCase.Blade => ", on a blade that passes a hook",
        StepCase.Nicks => ", on such a blade with nicks",
        StepCase.Wood => ", on wood",
        _ => "",
    };

    /// <summary>Its name in the list of assumptions, behind what is assumed of it.</summary>
    public string Name => KeyText.Of(Step, '_') + (Case == StepCase.Usual ? "" : "_" + KeyText.Of(Case, '_'));
}

/// <summary>Minutes and metal of every step: assumptions from practice, in one table.</summary>
public static class StepFigures
{
    /// <summary>All of them, stage by stage as their rules stand.</summary>
    public static IReadOnlyList<StepFigure> All { get; } =
    [
        new(StepKey.LeaveOn, "list what stays on", 0.5, 1, 2),
        new(StepKey.RefitPlan, "plan a refit", 4, 8, 20),
        new(StepKey.OpenJoint, "open what only breaks open", 5, 15, 40),
        new(StepKey.RollCall, "call the roll of the parts", 1, 2, 4),
        new(StepKey.LookApart, "look again when it is apart", 2, 4, 8),
        new(StepKey.Find, "find a missing part", 5, 20, 60),
        new(StepKey.IronsFind, "look out for what a set lacks", 1, 3, 10),
        new(StepKey.IronsFit, "fit an iron that came", 6, 12, 25),
        new(StepKey.Photos, "photograph it as found", 3, 5, 10),
        new(StepKey.PhotoPins, "photograph pins as they sit", 1, 2, 4),
        new(StepKey.PhotoChuck, "photograph the chuck coming apart", 1, 2, 4),
        new(StepKey.TryAsFound, "try it as found", 2, 5, 12),
        new(StepKey.NoteSettings, "note its settings", 1, 3, 5),
        new(StepKey.Overspill, "file overspill off the seats", 3, 6, 15),
        new(StepKey.FrogSeat, "seat the frog", 6, 12, 35, StepCase.Usual, 0.02),
        new(StepKey.FrogSeat, "seat the frog", 6, 20, 35, StepCase.Much, 0.02),
        new(StepKey.FrogFace, "flatten the frog face", 4, 10, 25, StepCase.Usual, 0.03),
        new(StepKey.BedFlat, "true a bed without a frog", 4, 10, 25, StepCase.Usual, 0.02),
        new(StepKey.Abutments, "clean the abutments", 3, 8, 15),
        new(StepKey.WedgeFit, "fit the wedge", 5, 12, 40),
        new(StepKey.WedgeFit, "fit the wedge", 5, 25, 40, StepCase.Much),
        new(StepKey.WedgeNote, "name the wedge as a stranger", 1, 1, 2),
        new(StepKey.CoatSeal, "seal the coating's edge", 4, 8, 15),
        new(StepKey.CoatTouch, "touch in the coating", 8, 15, 30),
        new(StepKey.CoatColour, "settle the colour", 2, 5, 10),
        new(StepKey.CoatStrip, "strip the coating", 20, 40, 90),
        new(StepKey.CoatScuff, "key the old coat", 5, 12, 25),
        new(StepKey.CoatMask, "mask bare faces", 6, 12, 25),
        new(StepKey.CoatPrime, "prime", 8, 15, 25),
        new(StepKey.Coat1, "lay the first coat", 8, 15, 25),
        new(StepKey.Coat2, "lay the second coat", 8, 15, 25),
        new(StepKey.CoatBake, "japan and bake", 30, 55, 90),
        new(StepKey.KeepOut, "keep out of the bath", 1, 2, 4),
        new(StepKey.DerustWire, "use the wire wheel", 4, 8, 20),
        new(StepKey.DerustWire, "use the wire wheel", 1, 2, 4, StepCase.Each),
        new(StepKey.DerustAbrasive, "rub with fine abrasive and oil", 6, 10, 25),
        new(StepKey.DerustAbrasive, "rub with fine abrasive and oil", 2, 5, 10, StepCase.Each),
        new(StepKey.DerustScrape, "scrape", 10, 25, 60),
        new(StepKey.DerustBlast, "blast", 6, 15, 35),
        new(StepKey.DerustBlastOil, "oil after blasting", 2, 4, 8),
        new(StepKey.DerustRest, "derust what the bath may not take", 3, 8, 20),
        new(StepKey.DerustRest, "derust what the bath may not take", 2, 4, 8, StepCase.Each),
        new(StepKey.DerustBloom, "wipe off the bloom", 3, 6, 15),
        new(StepKey.DarkRemove, "take the dark skin off", 10, 25, 60, StepCase.Usual, 0.01),
        new(StepKey.Soak, "put it into the bath", 4, 8, 15),
        new(StepKey.SoakLift, "lift it out, scrub and rinse", 3, 6, 12),
        new(StepKey.SoakNeutralise, "neutralise after an acid", 2, 3, 5),
        new(StepKey.SoakDry, "dry it after the bath", 2, 4, 8),
        new(StepKey.SoakOil, "oil it after the bath", 1, 2, 4),
        new(StepKey.EdgeBack, "flatten the back", 5, 15, 40, StepCase.Usual, 0.03),
        new(StepKey.EdgeGrind, "grind", 5, 12, 30, StepCase.Usual, 0.5),
        new(StepKey.EdgeGrind, "grind", 5, 12, 30, StepCase.Much, 1.5),
        new(StepKey.EdgeHone, "hone", 5, 10, 25),
        new(StepKey.EdgeHone, "hone", 5, 15, 25, StepCase.Much),
        new(StepKey.EdgeHone, "hone", 5, 10, 30, StepCase.Blade),
        new(StepKey.EdgeHone, "hone", 5, 18, 30, StepCase.Nicks, 0.4),
        new(StepKey.EdgeCover, "cover the edge", 0.5, 1, 1),
        new(StepKey.IronsHone, "hone the rest of a set", 3, 7, 14, StepCase.Each),
        new(StepKey.CapFit, "fit the cap iron", 5, 10, 25),
        new(StepKey.LeverCap, "true the front of a lever cap", 2, 5, 10),
        new(StepKey.EdgeKeep, "only stabilise the edge", 1, 2, 4),
        new(StepKey.EdgeSave, "save a pitted edge", 8, 20, 80, StepCase.Usual, 0.05),
        new(StepKey.EdgeSave, "save a pitted edge", 8, 40, 80, StepCase.Much, 0.05),
        new(StepKey.EdgeSave, "save a pitted edge", 4, 10, 25, StepCase.Grind, 3),
        new(StepKey.EdgeSave, "save a pitted edge", 3, 6, 12, StepCase.Shim, 0.02),
        new(StepKey.EdgeSave, "save a pitted edge", 3, 7, 15, StepCase.Lift, 0.03),
        new(StepKey.Protect, "protect bare iron", 3, 6, 12),
        new(StepKey.Prove, "prove it", 5, 10, 20),
        new(StepKey.Store, "put it away", 0.5, 1, 2),
        new(StepKey.PicturesAfter, "photograph it finished", 2, 4, 8),
        new(StepKey.OwnPapers, "say in the papers what is the shop's own", 2, 3, 6),
        new(StepKey.NextLook, "set the next look", 1, 1, 2),
        new(StepKey.RodWhy, "find why a handle is loose", 2, 4, 8),
        new(StepKey.RodShorten, "shorten the rod", 5, 12, 25),
        new(StepKey.TangBed, "seat a handle on its tang", 8, 15, 30),
        new(StepKey.HaftWedge, "draw up a loose haft", 5, 10, 20),
        new(StepKey.HaftShape, "shape a new haft", 40, 90, 180),
        new(StepKey.HaftHang, "hang the head", 10, 20, 40),
        new(StepKey.Grip, "wind a grip", 8, 25, 50),
        new(StepKey.GearClean, "clean gears", 5, 12, 25),
        new(StepKey.ChuckClean, "clean a chuck", 6, 15, 35),
        new(StepKey.RatchetClean, "clean a ratchet", 5, 10, 25),
        new(StepKey.SlideClean, "clean slide and knurl", 4, 8, 20),
        new(StepKey.JawPlay, "take up play in a jaw", 8, 20, 45),
        new(StepKey.PivotClean, "clean pivots", 4, 8, 20),
        new(StepKey.SpringClean, "clean a spring", 2, 4, 8),
        new(StepKey.Slides, "clean fence, stems and stop", 4, 10, 25),
        new(StepKey.BurrFile, "file the scraper's bevel", 5, 12, 25, StepCase.Usual, 0.2),
        new(StepKey.BurrTurn, "turn the burr", 2, 5, 10),
        new(StepKey.EdgeTeeth, "hone and spare the grooves", 3, 8, 15),
        new(StepKey.HookTrue, "true a hook", 3, 8, 15, StepCase.Usual, 0.1),
        new(StepKey.JawDress, "dress the jaws", 10, 25, 60, StepCase.Usual, 0.4),
        new(StepKey.JawHone, "dress jaws lightly", 2, 5, 10),
        new(StepKey.EtchFind, "find an etch", 3, 6, 12),
        new(StepKey.SawStraight, "straighten the plate", 5, 15, 40),
        new(StepKey.SawJoint, "joint the teeth", 3, 6, 12, StepCase.Usual, 0.3),
        new(StepKey.SawFile, "file the teeth", 8, 16, 32, StepCase.Each, 0.2),
        new(StepKey.SawSet, "set the teeth", 4, 10, 20),
        new(StepKey.SawCover, "cover the teeth", 0.5, 1, 2),
        new(StepKey.SawBack, "seat the back", 2, 6, 15),
        new(StepKey.SawNuts, "bring the nuts in line", 3, 6, 12),
        new(StepKey.FreeOil, "oil stiff threads", 2, 4, 8),
        new(StepKey.FreeDriver, "try the right driver on a stuck screw", 5, 12, 40),
        new(StepKey.FreeClamp, "grip it in soft wood", 5, 12, 30),
        new(StepKey.FreeShock, "shock it", 3, 8, 20),
        new(StepKey.FreeHeat, "heat it", 5, 12, 30),
        new(StepKey.FreePins, "turn it with a pin wrench", 10, 20, 40),
        new(StepKey.FreeStop, "decide to stop", 1, 2, 5),
        new(StepKey.Screws, "clean screws and slots", 2, 4, 10),
        new(StepKey.Screws, "clean screws and slots", 1, 3, 6, StepCase.Each),
        new(StepKey.SlotsDress, "dress chewed slots", 4, 10, 25, StepCase.Usual, 0.1),
        new(StepKey.Tabs, "straighten lock tabs", 3, 8, 20),
        new(StepKey.Knurl, "clean knurling", 2, 4, 10),
        new(StepKey.Brass, "clean brass", 3, 8, 20),
        new(StepKey.Mushroom, "dress mushroomed ends", 3, 8, 20, StepCase.Usual, 0.5),
        new(StepKey.UndoRepair, "undo a bad repair", 10, 25, 60),
        new(StepKey.Straighten, "straighten", 5, 12, 30),
        new(StepKey.Tension, "set the tension", 1, 2, 4),
        new(StepKey.SoleCheck, "survey the sole", 5, 12, 25),
        new(StepKey.SoleCheck, "survey the sole", 4, 8, 15, StepCase.Wood),
        new(StepKey.SoleLap, "lap the sole", 12, 25, 60, StepCase.Usual, 0.08),
        new(StepKey.SoleLap, "lap the sole", 6, 14, 35, StepCase.Little, 0.08),
        new(StepKey.SoleLap, "lap the sole", 18, 40, 90, StepCase.Much, 0.08),
        new(StepKey.SoleClean, "clean the sole", 2, 4, 8),
        new(StepKey.Sides, "dress the sides", 5, 12, 30, StepCase.Usual, 0.01),
        new(StepKey.Arris, "ease the arrises", 1, 3, 6, StepCase.Usual, 0.1),
        new(StepKey.SoleWood, "true the wooden sole", 10, 20, 45, StepCase.Usual, 0.4),
        new(StepKey.MouthCheck, "check the mouth", 2, 4, 8),
        new(StepKey.Assemble, "put together", 0.5, 1, 2, StepCase.Each),
        new(StepKey.CloseJoint, "close what was opened", 10, 20, 45),
        new(StepKey.FinalHone, "hone once more", 2, 4, 8),
        new(StepKey.SetCap, "set the cap", 1, 2, 6),
        new(StepKey.SetCap, "set the cap", 1, 4, 6, StepCase.Much),
        new(StepKey.SetMouth, "set the mouth", 2, 5, 10),
        new(StepKey.SetPivot, "set the tension of a pivot", 2, 5, 10),
        new(StepKey.SetStops, "set the stops", 3, 8, 20),
        new(StepKey.WashDust, "brush the dust off", 1, 3, 6),
        new(StepKey.WashPacked, "clear packed shavings", 2, 5, 12),
        new(StepKey.WashSap, "take off sap and tar", 4, 10, 25),
        new(StepKey.WashPaint, "take off paint splashes", 4, 10, 30),
        new(StepKey.Wash, "degrease", 5, 10, 22),
        new(StepKey.WashPlated, "wash plated screws by hand", 2, 4, 8),
        new(StepKey.WashWood, "wash wood", 2, 5, 10),
        new(StepKey.LookAgain, "look again when clean", 2, 5, 10),
        new(StepKey.WoodDry, "dry damp wood", 2, 4, 8),
        new(StepKey.WoodFind, "find out the old finish", 2, 4, 8),
        new(StepKey.WoodClean, "clean the wood", 4, 8, 20),
        new(StepKey.WoodGlue, "glue a break", 8, 15, 30),
        new(StepKey.WoodScrape, "scrape the wood", 15, 30, 60),
        new(StepKey.WoodStain, "stain the dings", 3, 8, 15),
        new(StepKey.WoodRevive, "revive the finish", 4, 8, 15),
        new(StepKey.WoodOil, "oil the wood", 3, 6, 11),
        new(StepKey.WoodWipe, "wipe the oil off", 1, 2, 4),
        new(StepKey.WoodWax, "wax the wood", 3, 6, 12),
        new(StepKey.WoodShellac, "shellac the wood", 12, 20, 40),
        new(StepKey.WoodLacquer, "lacquer the wood", 10, 18, 35),
    ];

    private static readonly Dictionary<(StepKey, StepCase), StepFigure> ByStep = All.ToDictionary(f => (f.Step, f.Case));

    /// <summary>The figures of a step in a case.</summary>
    /// <exception cref="KeyNotFoundException">None are in the table: a programming error.</exception>
    public static StepFigure Of(StepKey step, StepCase @case) => ByStep[(step, @case)];
}
