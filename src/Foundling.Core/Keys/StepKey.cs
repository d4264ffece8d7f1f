using System.Text.Json.Serialization;

namespace Foundling.Core.Keys;

/// <summary>The steps the rules know, each by one name; files and the store write them with hyphens, as in <c>coat-prime</c>.</summary>
[JsonConverter(typeof(KeyJson))]
public enum StepKey
{
    /// <summary>A step a person added.</summary>
    Own,

    /// <summary>Leave-it-on list.</summary>
    [Deed(DeedKind.Look), Takes("list what stays on", 0.5, 0.5, 1)]
    LeaveOn,

    /// <summary>Refit plan.</summary>
    [Deed(DeedKind.Look), Takes("plan a refit", 4, 8, 20)]
    RefitPlan,

    /// <summary>Open what only breaks open.</summary>
    [Deed(DeedKind.TakeApart), Takes("open what only breaks open", 5, 15, 40),
        Takes("drive a wooden handle off its tang", 2, 5, 15, StepCase.Wood)]
    OpenJoint,

    /// <summary>Take apart.</summary>
    [Deed(DeedKind.TakeApart), Takes("take it apart", 0, Piece = 0.7, Fastener = 0.5)]
    Apart,

    /// <summary>Roll-call.</summary>
    [Deed(DeedKind.Look), Takes("call the roll of the parts", 0, Piece = 0.1)]
    RollCall,

    /// <summary>Second look apart.</summary>
    [Deed(DeedKind.Look), Takes("look again when it is apart", 0.5, Piece = 0.15, Most = 6)]
    LookApart,

    /// <summary>Find a missing part.</summary>
    [Deed(DeedKind.Order), Takes("find a missing part", 5, 20, 60)]
    Find,

    /// <summary>Look out for what a set lacks.</summary>
    [Deed(DeedKind.Order), Takes("look out for what a set lacks", 1, 3, 10)]
    IronsFind,

    /// <summary>Fit an iron that came.</summary>
    [Deed(DeedKind.Order), Takes("fit an iron that came", 6, 12, 25)]
    IronsFit,

    /// <summary>Pictures as found.</summary>
    [Deed(DeedKind.Look), Takes("photograph it as found", 1, Piece = 0.2, Most = 6)]
    Photos,

    /// <summary>Pin orientations.</summary>
    [Deed(DeedKind.Look), Takes("photograph pins as they sit", 0.5, Piece = 0.3)]
    PhotoPins,

    /// <summary>Chuck order.</summary>
    [Deed(DeedKind.Look), Takes("photograph the chuck coming apart", 1, 2, 4)]
    PhotoChuck,

    /// <summary>Try as found.</summary>
    [Deed(DeedKind.Prove), Takes("try it as found", 1, 2, 5)]
    TryAsFound,

    /// <summary>Settings as found.</summary>
    [Deed(DeedKind.Look), Takes("note its settings", 0.5, 1, 3)]
    NoteSettings,

    /// <summary>Overspill off the seats.</summary>
    [Takes("file overspill off the seats", 0, Rim = 1)]
    Overspill,

    /// <summary>Seat the frog.</summary>
    [Takes("seat the frog", 3, 6, 18, MetalMm = 0.02)]
    [Takes("seat the frog", 6, 20, 35, StepCase.Much, MetalMm = 0.02)]
    FrogSeat,

    /// <summary>Flatten the frog face.</summary>
    [Takes("flatten the frog face", 6, Dm2 = 2, MetalMm = 0.03)]
    [Takes("flatten the frog face", 22, StepCase.Much, Dm2 = 2, MetalMm = 0.03)]
    FrogFace,

    /// <summary>Bed without a frog.</summary>
    [Takes("true a bed without a frog", 4, 10, 25, MetalMm = 0.02)]
    BedFlat,

    /// <summary>Clean the abutments.</summary>
    [Takes("clean the abutments", 3, 8, 15)]
    Abutments,

    /// <summary>Fit the wedge.</summary>
    [Takes("fit the wedge", 5, 12, 40)]
    [Takes("fit the wedge", 5, 25, 40, StepCase.Much)]
    WedgeFit,

    /// <summary>Name the wedge as a stranger.</summary>
    [Deed(DeedKind.Look), Takes("name the wedge as a stranger", 1, 1, 2)]
    WedgeNote,

    /// <summary>Seal the coating's edge.</summary>
    [Deed(DeedKind.Coat), Takes("seal the coating's edge", 1, Dm2 = 0.3)]
    CoatSeal,

    /// <summary>Touch in the coating.</summary>
    [Deed(DeedKind.Coat), Takes("touch in the coating", 3, Dm2 = 1.5)]
    CoatTouch,

    /// <summary>Settle the colour.</summary>
    [Deed(DeedKind.Look), Takes("settle the colour", 2, 5, 10)]
    CoatColour,

    /// <summary>Strip the coating.</summary>
    [Takes("strip the coating", 5, Dm2 = 3)]
    [Takes("strip the coating", 2, StepCase.Scraped, Dm2 = 6)]
    [Takes("strip the coating", 5, StepCase.Heated, Dm2 = 3)]
    [Takes("strip the coating", 3, StepCase.Soft, Dm2 = 2)]
    [Takes("strip the coating", 3, StepCase.Coarse, Dm2 = 1)]
    CoatStrip,

    /// <summary>Key the old coat.</summary>
    [Takes("key the old coat", 2, Dm2 = 1)]
    CoatScuff,

    /// <summary>Degrease before a coat.</summary>
    [Takes("degrease before a coat", 2, Dm2 = 0.1)]
    CoatDegrease,

    /// <summary>Mask bare faces.</summary>
    [Takes("mask bare faces", 3, Rim = 0.6)]
    [Takes("mask bare faces again", 2, StepCase.Little, Rim = 0.3)]
    CoatMask,

    /// <summary>Prime.</summary>
    [Deed(DeedKind.Coat), Takes("prime", 2, Dm2 = 0.3)]
    CoatPrime,

    /// <summary>First coat.</summary>
    [Deed(DeedKind.Coat), Takes("lay the first coat", 2, Dm2 = 0.3)]
    Coat1,

    /// <summary>A further coat.</summary>
    [Deed(DeedKind.Coat), Takes("lay a further coat", 2, Dm2 = 0.3)]
    Coat2,

    /// <summary>Lay a coat of japan.</summary>
    [Deed(DeedKind.Coat), Takes("lay a coat of japan", 2, Dm2 = 1)]
    CoatLay,

    /// <summary>Tape and plugs off.</summary>
    [Takes("take tape and plugs off", 1, Rim = 0.1)]
    CoatUnmask,

    /// <summary>Bake.</summary>
    [Deed(DeedKind.Bake), Takes("bake a coat", 3, 5, 10)]
    CoatBake,

    /// <summary>Keep out of the bath.</summary>
    [Deed(DeedKind.Look), Takes("keep out of the bath", 0.5, 1, 2)]
    KeepOut,

    /// <summary>Wire wheel.</summary>
    [Takes("use the wire wheel", 0, Dm2 = 1.2, Small = 0.6)]
    [Takes("use the wire wheel", 0, StepCase.Much, Dm2 = 2.4, Small = 1)]
    DerustWire,

    /// <summary>Fine abrasive and oil.</summary>
    [Takes("rub with fine abrasive and oil", 0, Dm2 = 3, Small = 1)]
    [Takes("rub with fine abrasive and oil", 0, StepCase.Much, Dm2 = 6, Small = 1)]
    DerustAbrasive,

    /// <summary>Scrape.</summary>
    [Takes("scrape", 0, Dm2 = 5, Small = 1.5)]
    [Takes("scrape", 0, StepCase.Much, Dm2 = 10, Small = 2)]
    DerustScrape,

    /// <summary>Blast.</summary>
    [Deed(DeedKind.ByHand, DeedRoom.Baths), Takes("blast", 2, Dm2 = 2)]
    [Takes("blast", 2, StepCase.Coarse, Dm2 = 1)]
    DerustBlast,

    /// <summary>Oil after blasting.</summary>
    [Takes("oil after blasting", 1, Dm2 = 0.2)]
    DerustBlastOil,

    /// <summary>Derust what the bath may not take.</summary>
    [Takes("derust what the bath may not take", 0, Dm2 = 3, Small = 1)]
    [Takes("derust what the bath may not take", 0, StepCase.Much, Dm2 = 6, Small = 1)]
    DerustRest,

    /// <summary>Wipe off the bloom.</summary>
    [Takes("wipe off the bloom", 0, Dm2 = 1, Small = 0.3)]
    DerustBloom,

    /// <summary>Take the dark skin off.</summary>
    [Takes("take the dark skin off", 0, Dm2 = 2.5, Small = 1, MetalMm = 0.01)]
    DarkRemove,

    /// <summary>Into the bath.</summary>
    [Deed(DeedKind.Soak), Takes("put it into the bath", 2, 4, 8)]
    Soak,

    /// <summary>Scrubbed, and into the bath again.</summary>
    [Deed(DeedKind.Soak), Takes("scrub it between two soaks", 3, Dm2 = 0.5)]
    SoakAgain,

    /// <summary>Parts that come out before the rest.</summary>
    [Takes("take parts out of the bath before the rest", 5, Dm2 = 0.7)]
    SoakEarly,

    /// <summary>Out of the bath, scrub, rinse.</summary>
    [Takes("lift it out, scrub and rinse", 3, Dm2 = 0.5)]
    SoakLift,

    /// <summary>Neutralise after an acid.</summary>
    [Takes("neutralise after an acid", 2, 3, 5)]
    SoakNeutralise,

    /// <summary>Dry after the bath.</summary>
    [Takes("dry it after the bath", 1, Dm2 = 0.1)]
    SoakDry,

    /// <summary>Oil after the bath.</summary>
    [Takes("oil it after the bath", 1, Dm2 = 0.1)]
    SoakOil,

    /// <summary>Flatten the back.</summary>
    [Deed(DeedKind.Hone), Takes("flatten the back", 3, 5, 15, MetalMm = 0.03)]
    [Takes("flatten the back", 5, 15, 40, StepCase.Much, MetalMm = 0.03)]
    [Takes("flatten the back", 2, 4, 8, StepCase.Little)]
    EdgeBack,

    /// <summary>Grind.</summary>
    [Deed(DeedKind.Grind), Takes("grind", 3, Width = 0.12, MetalMm = 0.5)]
    [Takes("grind", 3, StepCase.Much, Width = 0.24, MetalMm = 1.5)]
    EdgeGrind,

    /// <summary>Hone.</summary>
    [Deed(DeedKind.Hone), Takes("hone", 4, Width = 0.12)]
    [Takes("hone", 8, StepCase.Much, Width = 0.08)]
    [Takes("hone", 3, 5, 12, StepCase.Blade)]
    [Takes("hone", 6, 10, 20, StepCase.Nicks, MetalMm = 0.4)]
    EdgeHone,

    /// <summary>Cover the edge.</summary>
    [Takes("cover the edge", 0.5, 0.5, 1)]
    EdgeCover,

    /// <summary>The rest of the set.</summary>
    [Deed(DeedKind.Hone), Takes("hone each iron of a set", 0, StepCase.Each, Piece = 5)]
    IronsHone,

    /// <summary>Fit the cap iron.</summary>
    [Takes("fit the cap iron", 3, 5, 15, MetalMm = 0.05)]
    CapFit,

    /// <summary>Lever cap front.</summary>
    [Takes("true the front of a lever cap", 2, 3, 8, MetalMm = 0.05)]
    LeverCap,

    /// <summary>Only stabilise the edge.</summary>
    [Takes("only stabilise the edge", 1, 2, 4)]
    EdgeKeep,

    /// <summary>Save a pitted edge.</summary>
    [Deed(DeedKind.Grind), Takes("save a pitted edge", 8, 20, 80, MetalMm = 0.05)]
    [Takes("save a pitted edge", 8, 40, 80, StepCase.Much, MetalMm = 0.05)]
    [Takes("save a pitted edge", 4, 10, 25, StepCase.Grind, MetalMm = 3)]
    [Takes("save a pitted edge", 3, 6, 12, StepCase.Shim, MetalMm = 0.02)]
    [Takes("save a pitted edge", 3, 7, 15, StepCase.Lift, MetalMm = 0.03)]
    EdgeSave,

    /// <summary>Protect.</summary>
    [Deed(DeedKind.Coat), Takes("protect bare iron", 0.5, Dm2 = 0.2)]
    Protect,

    /// <summary>Prove it.</summary>
    [Deed(DeedKind.Prove), Takes("prove it", 0, Piece = 2)]
    [Takes("prove it", 0, StepCase.Measured, Piece = 5)]
    Prove,

    /// <summary>Put away.</summary>
    [Takes("put it away", 0.5, 0.5, 1)]
    Store,

    /// <summary>Pictures after.</summary>
    [Deed(DeedKind.Look), Takes("photograph it finished", 0.5, Piece = 0.1, Most = 4)]
    PicturesAfter,

    /// <summary>Say what is ours.</summary>
    [Deed(DeedKind.Look), Takes("say in the papers what is the shop's own", 2, 3, 6)]
    OwnPapers,

    /// <summary>Next look.</summary>
    [Deed(DeedKind.Look), Takes("set the next look", 0.5, 0.5, 1)]
    NextLook,

    /// <summary>Why is it loose.</summary>
    [Deed(DeedKind.Look), Takes("find why a handle is loose", 1, 2, 4)]
    RodWhy,

    /// <summary>Shorten the rod.</summary>
    [Takes("shorten the rod", 3, 8, 20)]
    RodShorten,

    /// <summary>Draw up a nut that was only loose.</summary>
    [Takes("draw up a loose nut", 0.5, Piece = 0.5)]
    RodTighten,

    /// <summary>Seat a handle on its tang.</summary>
    [Deed(DeedKind.Cure), Takes("seat a handle on its tang", 8, 15, 30)]
    TangBed,

    /// <summary>Draw up a loose haft.</summary>
    [Deed(DeedKind.PutTogether), Takes("draw up a loose haft", 5, 10, 20)]
    HaftWedge,

    /// <summary>Shape a new haft.</summary>
    [Takes("shape a new haft", 30, 60, 120)]
    HaftShape,

    /// <summary>Hang the head.</summary>
    [Deed(DeedKind.PutTogether), Takes("hang the head", 10, 20, 40)]
    HaftHang,

    /// <summary>Wind a grip.</summary>
    [Takes("wind a grip", 10, Dm2 = 12)]
    Grip,

    /// <summary>Gears.</summary>
    [Takes("clean gears", 2, Dm2 = 3, Small = 2)]
    GearClean,

    /// <summary>Chuck.</summary>
    [Takes("clean a chuck", 4, 8, 25)]
    ChuckClean,

    /// <summary>Ratchet.</summary>
    [Takes("clean a ratchet", 3, 6, 15)]
    RatchetClean,

    /// <summary>Knurl and slide.</summary>
    [Takes("clean slide and knurl", 2, Piece = 1)]
    SlideClean,

    /// <summary>Chipped teeth of gears.</summary>
    [Takes("dress chipped teeth of gears", 4, Piece = 4, MetalMm = 0.1)]
    GearTeeth,

    /// <summary>Burrs and bruises on jaws.</summary>
    [Takes("take burrs off jaws", 2, Piece = 2, MetalMm = 0.1)]
    JawBurrs,

    /// <summary>Make a new handle.</summary>
    [Takes("make a new handle", 10, Piece = 35)]
    HandleMake,

    /// <summary>Play in the jaw.</summary>
    [Takes("take up play in a jaw", 8, 20, 45)]
    JawPlay,

    /// <summary>Pivots.</summary>
    [Takes("clean pivots", 0.5, Piece = 0.5)]
    PivotClean,

    /// <summary>Spring.</summary>
    [Takes("clean a spring", 0.5, Piece = 0.5)]
    SpringClean,

    /// <summary>Fence, stems and stop.</summary>
    [Takes("clean fence, stems and stop", 2, Dm2 = 1.5)]
    Slides,

    /// <summary>File the scraper's bevel.</summary>
    [Deed(DeedKind.ByHand, DeedRoom.Edges), Takes("file the scraper's bevel", 5, 12, 25, MetalMm = 0.2)]
    BurrFile,

    /// <summary>Turn the burr.</summary>
    [Takes("turn the burr", 2, 4, 10)]
    BurrTurn,

    /// <summary>Spare the grooves.</summary>
    [Deed(DeedKind.Hone), Takes("hone and spare the grooves", 3, 6, 15)]
    EdgeTeeth,

    /// <summary>True the hook.</summary>
    [Takes("true a hook", 1, 3, 8, MetalMm = 0.1)]
    HookTrue,

    /// <summary>Dress the jaws.</summary>
    [Deed(DeedKind.ByHand, DeedRoom.Edges), Takes("dress the jaws", 10, 25, 60, MetalMm = 0.4)]
    JawDress,

    /// <summary>Light dressing of jaws.</summary>
    [Deed(DeedKind.Hone), Takes("dress jaws lightly", 2, 5, 10)]
    JawHone,

    /// <summary>Watch the etch.</summary>
    [Deed(DeedKind.Look), Takes("find an etch", 2, 4, 10)]
    EtchFind,

    /// <summary>Straighten the plate.</summary>
    [Takes("straighten the plate", 5, 15, 40)]
    SawStraight,

    /// <summary>Joint the teeth.</summary>
    [Deed(DeedKind.FileTeeth), Takes("joint the teeth", 3, 6, 12, MetalMm = 0.3)]
    SawJoint,

    /// <summary>File the teeth.</summary>
    [Deed(DeedKind.FileTeeth), Takes("file a foot of teeth", 8, 16, 32, StepCase.Each, MetalMm = 0.2)]
    SawFile,

    /// <summary>Set the teeth.</summary>
    [Deed(DeedKind.FileTeeth), Takes("set the teeth", 0.5, 1, 2)]
    [Takes("set the teeth", 1, 3, 6, StepCase.Each)]
    SawSet,

    /// <summary>Cover the teeth.</summary>
    [Takes("cover the teeth", 0.5, 1, 2)]
    SawCover,

    /// <summary>Seat the back.</summary>
    [Takes("seat the back", 2, 6, 15)]
    SawBack,

    /// <summary>Nuts in line.</summary>
    [Takes("bring the nuts in line", 0, Piece = 1)]
    SawNuts,

    /// <summary>Oil and work what is stiff.</summary>
    [Takes("oil and work what is stiff", 1, Piece = 1)]
    FreeStiff,

    /// <summary>Oil stuck threads.</summary>
    [Deed(DeedKind.Soak), Takes("oil stuck threads", 1, Piece = 0.5)]
    FreeOil,

    /// <summary>The right driver.</summary>
    [Takes("try the right driver on a stuck screw", 5, 12, 40)]
    FreeDriver,

    /// <summary>Clamp in soft wood.</summary>
    [Takes("grip it in soft wood", 5, 12, 30)]
    FreeClamp,

    /// <summary>Shock.</summary>
    [Takes("shock it", 3, 8, 20)]
    FreeShock,

    /// <summary>Heat.</summary>
    [Takes("heat it", 5, 12, 30)]
    FreeHeat,

    /// <summary>Drilled pin wrench.</summary>
    [Takes("turn it with a pin wrench", 10, 20, 40)]
    FreePins,

    /// <summary>Stop.</summary>
    [Deed(DeedKind.Look), Takes("decide to stop", 1, 2, 5)]
    FreeStop,

    /// <summary>Screws and slots.</summary>
    [Takes("clean screws and slots", 0, Piece = 0.5)]
    Screws,

    /// <summary>Torn threads.</summary>
    [Takes("chase torn threads", 3, Piece = 4), Takes("mend a stripped thread", 8, StepCase.Much, Piece = 20)]
    ThreadMend,

    /// <summary>Fill pits under a coat.</summary>
    [Takes("fill pits and rub them level", 4, Dm2 = 3)]
    PitFill,

    /// <summary>Chewed slots.</summary>
    [Takes("dress chewed slots", 2, Piece = 2, MetalMm = 0.1)]
    SlotsDress,

    /// <summary>Lock tabs.</summary>
    [Takes("straighten lock tabs", 3, 8, 20)]
    Tabs,

    /// <summary>Knurling.</summary>
    [Takes("clean knurling", 0, Piece = 2)]
    Knurl,

    /// <summary>Clean brass.</summary>
    [Takes("clean brass", 0, Piece = 1, Dm2 = 1), Takes("clean brass", 1, StepCase.Machine, Piece = 0.3, Dm2 = 0.3)]
    Brass,

    /// <summary>Mushroomed ends.</summary>
    [Takes("dress mushroomed ends", 3, 8, 20, MetalMm = 0.5)]
    Mushroom,

    /// <summary>Bad repairs.</summary>
    [Deed(DeedKind.TakeApart), Takes("undo a bad repair", 10, 25, 60)]
    UndoRepair,

    /// <summary>Straighten.</summary>
    [Takes("straighten", 5, 12, 30)]
    Straighten,

    /// <summary>Tension.</summary>
    [Deed(DeedKind.PutTogether), Takes("set the tension", 1, 2, 4)]
    Tension,

    /// <summary>Survey the sole.</summary>
    [Deed(DeedKind.Measure), Takes("survey the sole", 2, Dm2 = 2)]
    [Takes("survey the sole", 4, StepCase.Wood, Dm2 = 1)]
    SoleCheck,

    /// <summary>Lap the bare body roughly, before anything else.</summary>
    [Deed(DeedKind.Lap), Takes("lap the sole roughly", 0, Dm2 = 3.4, MetalMm = 0.05, Quick = 0.5, Slow = 4)]
    SoleRough,

    /// <summary>Lap the sole.</summary>
    [Deed(DeedKind.Lap), Takes("lap the sole", 0, Dm2 = 6.8, MetalMm = 0.08, Quick = 0.5, Slow = 5)]
    [Takes("lap the sole", 0, StepCase.Little, Dm2 = 4, MetalMm = 0.08, Quick = 0.5, Slow = 4)]
    [Takes("lap the sole", 0, StepCase.Much, Dm2 = 12, MetalMm = 0.08, Quick = 0.5, Slow = 4)]
    SoleLap,

    /// <summary>Clean the sole.</summary>
    [Takes("clean the sole", 1, Dm2 = 0.5)]
    SoleClean,

    /// <summary>Sides only if wanted.</summary>
    [Deed(DeedKind.Lap), Takes("dress the sides", 1, Dm2 = 0.5, MetalMm = 0.01)]
    [Takes("dress the sides", 3, StepCase.Much, Dm2 = 3.4, MetalMm = 0.06, Quick = 0.5, Slow = 4)]
    Sides,

    /// <summary>Ease the arrises.</summary>
    [Takes("ease the arrises", 0, Rim = 0.3, MetalMm = 0.1)]
    Arris,

    /// <summary>True the wooden sole.</summary>
    [Takes("true the wooden sole", 5, Dm2 = 3, MetalMm = 0.4)]
    SoleWood,

    /// <summary>Clean a shaped sole.</summary>
    [Takes("clean a shaped sole", 3, Dm2 = 3)]
    SoleShape,

    /// <summary>Glue boxing.</summary>
    [Deed(DeedKind.Cure, DeedRoom.Bench), Takes("glue boxing", 12, 20, 40), Takes("let in new boxing", 40, 75, 150, StepCase.Much)]
    Boxing,

    /// <summary>Match iron and sole.</summary>
    [Deed(DeedKind.Look), Takes("match iron and sole", 3, 6, 12)]
    ProfileMatch,

    /// <summary>Read the cheeks.</summary>
    [Deed(DeedKind.Measure), Takes("read cheeks with a square", 4, 8, 15)]
    CheekCheck,

    /// <summary>True the cheeks.</summary>
    [Deed(DeedKind.Lap), Takes("lap cheeks true", 25, 50, 100, MetalMm = 0.05)]
    [Takes("plane a side true", 8, 15, 35, StepCase.Wood)]
    CheekLap,

    /// <summary>Seat a frame on wood.</summary>
    [Takes("seat a frame on wood", 6, 15, 40)]
    FrameSeat,

    /// <summary>Fit tangs in their mortises.</summary>
    [Takes("fit tangs in their mortises", 10, 20, 45)]
    TangFit,

    /// <summary>Fasten a wear strip.</summary>
    [Takes("fasten a wear strip", 8, 15, 30)]
    StripSeat,

    /// <summary>Level the foot of a cutter.</summary>
    [Deed(DeedKind.Measure), Takes("level the foot of a cutter", 4, 8, 20)]
    FootLevel,

    /// <summary>Let a collar grip.</summary>
    [Takes("let a collar grip", 4, 8, 15)]
    CollarGrip,

    /// <summary>Wind a new cord.</summary>
    [Deed(DeedKind.PutTogether), Takes("wind a new cord", 12, 20, 40)]
    CordNew,

    /// <summary>String a frame saw.</summary>
    [Deed(DeedKind.PutTogether), Takes("string a frame saw", 4, 8, 20)]
    StringUp,

    /// <summary>Dress the points of pad screws.</summary>
    [Takes("dress the points of pad screws", 4, 8, 15)]
    PadScrews,

    /// <summary>Teeth of jaws.</summary>
    [Deed(DeedKind.Measure), Takes("brush and measure the teeth of jaws", 4, 8, 15)]
    JawTeeth,

    /// <summary>Close a sprung jaw.</summary>
    [Takes("close a sprung jaw", 6, 12, 30)]
    JawSpread,

    /// <summary>Check the mouth.</summary>
    [Deed(DeedKind.Measure), Takes("check the mouth", 2, 4, 8)]
    MouthCheck,

    /// <summary>Put together.</summary>
    [Deed(DeedKind.PutTogether), Takes("put it together", 0, StepCase.Each, Piece = 0.8, Fastener = 0.6)]
    Assemble,

    /// <summary>Close what was opened.</summary>
    [Deed(DeedKind.PutTogether), Takes("close what was opened", 10, 20, 45),
        Takes("drive a wooden handle on its tang", 3, 6, 15, StepCase.Wood)]
    CloseJoint,

    /// <summary>Last honing.</summary>
    [Deed(DeedKind.Hone), Takes("hone once more", 1, 2, 5)]
    FinalHone,

    /// <summary>Set the cap.</summary>
    [Deed(DeedKind.ByHand, DeedRoom.Edges), Takes("set the cap", 1, 2, 6)]
    [Takes("set the cap", 1, 4, 6, StepCase.Much)]
    SetCap,

    /// <summary>Set the mouth.</summary>
    [Takes("set the mouth", 1, 3, 8)]
    SetMouth,

    /// <summary>Pivot tension.</summary>
    [Takes("set the tension of a pivot", 0.5, 1, 3)]
    SetPivot,

    /// <summary>Set the stops.</summary>
    [Deed(DeedKind.ByHand, DeedRoom.Edges), Takes("set the stops", 3, 8, 20)]
    SetStops,

    /// <summary>Dust.</summary>
    [Takes("brush the dust off", 0.2, Dm2 = 0.1)]
    WashDust,

    /// <summary>Packed shavings.</summary>
    [Takes("clear packed shavings", 1, Piece = 1)]
    WashPacked,

    /// <summary>Sap and tar.</summary>
    [Takes("take off sap and tar", 2, Dm2 = 1.2)]
    WashSap,

    /// <summary>Paint splashes.</summary>
    [Takes("take off paint splashes", 2, Dm2 = 2)]
    WashPaint,

    /// <summary>Degrease.</summary>
    [Deed(DeedKind.ByHand, DeedRoom.State), Takes("degrease", 1, Dm2 = 0.6)]
    Wash,

    /// <summary>Wash plated screws by hand.</summary>
    [Takes("wash plated screws by hand", 0.5, Piece = 0.3)]
    WashPlated,

    /// <summary>Wash wood.</summary>
    [Takes("wash wood", 0.5, Dm2 = 0.3)]
    WashWood,

    /// <summary>Look again when clean.</summary>
    [Deed(DeedKind.Look), Takes("look again when clean", 0.5, Piece = 0.1, Most = 6)]
    LookAgain,

    /// <summary>Kill live woodworm.</summary>
    [Takes("bag wood with live worm and freeze it", 5, Piece = 2)]
    WormKill,

    /// <summary>Dry damp wood.</summary>
    [Deed(DeedKind.DryByAir), Takes("dry damp wood", 2, 4, 8)]
    WoodDry,

    /// <summary>Find out the old finish.</summary>
    [Deed(DeedKind.Look), Takes("find out the old finish", 1, 3, 6)]
    WoodFind,

    /// <summary>Clean the wood.</summary>
    [Takes("clean the wood", 1, Dm2 = 0.7)]
    WoodClean,

    /// <summary>Glue a break.</summary>
    [Deed(DeedKind.Cure), Takes("glue a break", 0, Piece = 8)]
    WoodGlue,

    /// <summary>Scrape the wood.</summary>
    [Takes("scrape the wood", 2, Dm2 = 3)]
    [Takes("scrape the wood", 2, StepCase.Coarse, Dm2 = 3)]
    WoodScrape,

    /// <summary>Stain the dings.</summary>
    [Deed(DeedKind.Coat), Takes("stain the dings", 2, Dm2 = 0.5)]
    WoodStain,

    /// <summary>Revive the finish.</summary>
    [Deed(DeedKind.Coat), Takes("revive the finish", 1, Dm2 = 0.4)]
    WoodRevive,

    /// <summary>Oil the wood.</summary>
    [Deed(DeedKind.Coat), Takes("oil the wood", 1, Dm2 = 0.5)]
    WoodOil,

    /// <summary>Wipe the oil off.</summary>
    [Deed(DeedKind.Cure), Takes("wipe the oil off", 1, Dm2 = 0.1)]
    WoodWipe,

    /// <summary>Wax the wood.</summary>
    [Deed(DeedKind.Coat), Takes("wax the wood", 1, Dm2 = 0.3)]
    WoodWax,

    /// <summary>Shellac the wood.</summary>
    [Deed(DeedKind.Coat), Takes("shellac the wood", 1, Dm2 = 0.4)]
    [Takes("shellac the wood", 2, StepCase.Much, Dm2 = 0.6)]
    WoodShellac,

    /// <summary>Lacquer the wood.</summary>
    [Deed(DeedKind.Coat), Takes("lacquer the wood", 1, Dm2 = 0.4)]
    [Takes("lacquer the wood", 2, StepCase.Much, Dm2 = 0.6)]
    WoodLacquer,
}
