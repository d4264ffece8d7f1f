using System.Text.Json.Serialization;

namespace Foundling.Core.Keys;

/// <summary>The steps the rules know, each by one name; files and the store write them with hyphens, as in <c>coat-prime</c>.</summary>
[JsonConverter(typeof(KeyJson))]
public enum StepKey
{
    /// <summary>A step a person added.</summary>
    Own,

    /// <summary>Leave-it-on list.</summary>
    LeaveOn,

    /// <summary>Refit plan.</summary>
    RefitPlan,

    /// <summary>Open what only breaks open.</summary>
    OpenJoint,

    /// <summary>Take apart.</summary>
    Apart,

    /// <summary>Roll-call.</summary>
    RollCall,

    /// <summary>Second look apart.</summary>
    LookApart,

    /// <summary>Find a missing part.</summary>
    Find,

    /// <summary>Look out for what a set lacks.</summary>
    IronsFind,

    /// <summary>Fit an iron that came.</summary>
    IronsFit,

    /// <summary>Pictures as found.</summary>
    Photos,

    /// <summary>Pin orientations.</summary>
    PhotoPins,

    /// <summary>Chuck order.</summary>
    PhotoChuck,

    /// <summary>Try as found.</summary>
    TryAsFound,

    /// <summary>Settings as found.</summary>
    NoteSettings,

    /// <summary>Overspill off the seats.</summary>
    Overspill,

    /// <summary>Seat the frog.</summary>
    FrogSeat,

    /// <summary>Flatten the frog face.</summary>
    FrogFace,

    /// <summary>Bed without a frog.</summary>
    BedFlat,

    /// <summary>Clean the abutments.</summary>
    Abutments,

    /// <summary>Fit the wedge.</summary>
    WedgeFit,

    /// <summary>Name the wedge as a stranger.</summary>
    WedgeNote,

    /// <summary>Seal the coating's edge.</summary>
    CoatSeal,

    /// <summary>Touch in the coating.</summary>
    CoatTouch,

    /// <summary>Settle the colour.</summary>
    CoatColour,

    /// <summary>Strip the coating.</summary>
    CoatStrip,

    /// <summary>Key the old coat.</summary>
    CoatScuff,

    /// <summary>Mask bare faces.</summary>
    CoatMask,

    /// <summary>Prime.</summary>
    CoatPrime,

    /// <summary>First coat.</summary>
    Coat1,

    /// <summary>Second coat.</summary>
    Coat2,

    /// <summary>Japan and bake.</summary>
    CoatBake,

    /// <summary>Keep out of the bath.</summary>
    KeepOut,

    /// <summary>Wire wheel.</summary>
    DerustWire,

    /// <summary>Fine abrasive and oil.</summary>
    DerustAbrasive,

    /// <summary>Scrape.</summary>
    DerustScrape,

    /// <summary>Blast.</summary>
    DerustBlast,

    /// <summary>Oil after blasting.</summary>
    DerustBlastOil,

    /// <summary>Derust what the bath may not take.</summary>
    DerustRest,

    /// <summary>Wipe off the bloom.</summary>
    DerustBloom,

    /// <summary>Take the dark skin off.</summary>
    DarkRemove,

    /// <summary>Into the bath.</summary>
    Soak,

    /// <summary>Out of the bath, scrub, rinse.</summary>
    SoakLift,

    /// <summary>Neutralise after an acid.</summary>
    SoakNeutralise,

    /// <summary>Dry after the bath.</summary>
    SoakDry,

    /// <summary>Oil after the bath.</summary>
    SoakOil,

    /// <summary>Flatten the back.</summary>
    EdgeBack,

    /// <summary>Grind.</summary>
    EdgeGrind,

    /// <summary>Hone.</summary>
    EdgeHone,

    /// <summary>Cover the edge.</summary>
    EdgeCover,

    /// <summary>The rest of the set.</summary>
    IronsHone,

    /// <summary>Fit the cap iron.</summary>
    CapFit,

    /// <summary>Lever cap front.</summary>
    LeverCap,

    /// <summary>Only stabilise the edge.</summary>
    EdgeKeep,

    /// <summary>Save a pitted edge.</summary>
    EdgeSave,

    /// <summary>Protect.</summary>
    Protect,

    /// <summary>Prove it.</summary>
    Prove,

    /// <summary>Put away.</summary>
    Store,

    /// <summary>Pictures after.</summary>
    PicturesAfter,

    /// <summary>Say what is ours.</summary>
    OwnPapers,

    /// <summary>Next look.</summary>
    NextLook,

    /// <summary>Why is it loose.</summary>
    RodWhy,

    /// <summary>Shorten the rod.</summary>
    RodShorten,

    /// <summary>Seat a handle on its tang.</summary>
    TangBed,

    /// <summary>Draw up a loose haft.</summary>
    HaftWedge,

    /// <summary>Shape a new haft.</summary>
    HaftShape,

    /// <summary>Hang the head.</summary>
    HaftHang,

    /// <summary>Wind a grip.</summary>
    Grip,

    /// <summary>Gears.</summary>
    GearClean,

    /// <summary>Chuck.</summary>
    ChuckClean,

    /// <summary>Ratchet.</summary>
    RatchetClean,

    /// <summary>Knurl and slide.</summary>
    SlideClean,

    /// <summary>Play in the jaw.</summary>
    JawPlay,

    /// <summary>Pivots.</summary>
    PivotClean,

    /// <summary>Spring.</summary>
    SpringClean,

    /// <summary>Fence, stems and stop.</summary>
    Slides,

    /// <summary>File the scraper's bevel.</summary>
    BurrFile,

    /// <summary>Turn the burr.</summary>
    BurrTurn,

    /// <summary>Spare the grooves.</summary>
    EdgeTeeth,

    /// <summary>True the hook.</summary>
    HookTrue,

    /// <summary>Dress the jaws.</summary>
    JawDress,

    /// <summary>Light dressing of jaws.</summary>
    JawHone,

    /// <summary>Watch the etch.</summary>
    EtchFind,

    /// <summary>Straighten the plate.</summary>
    SawStraight,

    /// <summary>Joint the teeth.</summary>
    SawJoint,

    /// <summary>File the teeth.</summary>
    SawFile,

    /// <summary>Set the teeth.</summary>
    SawSet,

    /// <summary>Cover the teeth.</summary>
    SawCover,

    /// <summary>Seat the back.</summary>
    SawBack,

    /// <summary>Nuts in line.</summary>
    SawNuts,

    /// <summary>Oil stiff threads.</summary>
    FreeOil,

    /// <summary>The right driver.</summary>
    FreeDriver,

    /// <summary>Clamp in soft wood.</summary>
    FreeClamp,

    /// <summary>Shock.</summary>
    FreeShock,

    /// <summary>Heat.</summary>
    FreeHeat,

    /// <summary>Drilled pin wrench.</summary>
    FreePins,

    /// <summary>Stop.</summary>
    FreeStop,

    /// <summary>Screws and slots.</summary>
    Screws,

    /// <summary>Chewed slots.</summary>
    SlotsDress,

    /// <summary>Lock tabs.</summary>
    Tabs,

    /// <summary>Knurling.</summary>
    Knurl,

    /// <summary>Clean brass.</summary>
    Brass,

    /// <summary>Mushroomed ends.</summary>
    Mushroom,

    /// <summary>Bad repairs.</summary>
    UndoRepair,

    /// <summary>Straighten.</summary>
    Straighten,

    /// <summary>Tension.</summary>
    Tension,

    /// <summary>Survey the sole.</summary>
    SoleCheck,

    /// <summary>Lap the sole.</summary>
    SoleLap,

    /// <summary>Clean the sole.</summary>
    SoleClean,

    /// <summary>Sides only if wanted.</summary>
    Sides,

    /// <summary>Ease the arrises.</summary>
    Arris,

    /// <summary>True the wooden sole.</summary>
    SoleWood,

    /// <summary>Check the mouth.</summary>
    MouthCheck,

    /// <summary>Put together.</summary>
    Assemble,

    /// <summary>Close what was opened.</summary>
    CloseJoint,

    /// <summary>Last honing.</summary>
    FinalHone,

    /// <summary>Set the cap.</summary>
    SetCap,

    /// <summary>Set the mouth.</summary>
    SetMouth,

    /// <summary>Pivot tension.</summary>
    SetPivot,

    /// <summary>Set the stops.</summary>
    SetStops,

    /// <summary>Dust.</summary>
    WashDust,

    /// <summary>Packed shavings.</summary>
    WashPacked,

    /// <summary>Sap and tar.</summary>
    WashSap,

    /// <summary>Paint splashes.</summary>
    WashPaint,

    /// <summary>Degrease.</summary>
    Wash,

    /// <summary>Wash plated screws by hand.</summary>
    WashPlated,

    /// <summary>Wash wood.</summary>
    WashWood,

    /// <summary>Look again when clean.</summary>
    LookAgain,

    /// <summary>Dry damp wood.</summary>
    WoodDry,

    /// <summary>Find out the old finish.</summary>
    WoodFind,

    /// <summary>Clean the wood.</summary>
    WoodClean,

    /// <summary>Glue a break.</summary>
    WoodGlue,

    /// <summary>Scrape the wood.</summary>
    WoodScrape,

    /// <summary>Stain the dings.</summary>
    WoodStain,

    /// <summary>Revive the finish.</summary>
    WoodRevive,

    /// <summary>Oil the wood.</summary>
    WoodOil,

    /// <summary>Wipe the oil off.</summary>
    WoodWipe,

    /// <summary>Wax the wood.</summary>
    WoodWax,

    /// <summary>Shellac the wood.</summary>
    WoodShellac,

    /// <summary>Lacquer the wood.</summary>
    WoodLacquer,
}
