using Foundling.Core.Safety;

namespace Foundling.Core.Stores;

/// <summary>Something a shop has or buys.</summary>
/// <param name="Id">Its key.</param>
/// <param name="Name">Its name.</param>
/// <param name="Kit">It is used again and again, not used up.</param>
/// <param name="Unit">Unit it is counted in; empty for kit.</param>
/// <param name="Cost">What a unit costs by the book; a shop may say otherwise.</param>
/// <param name="StandIn">What could stand in; empty for nothing.</param>
public sealed record Supply(SupplyId Id, string Name, bool Kit, string Unit = "", double Cost = 0, string StandIn = "")
{
    /// <summary>The cautions that go with it wherever it is used.</summary>
    public IReadOnlyList<CautionId> Cautions { get; init; } = [];

    /// <summary>What sort of thing it is.</summary>
    public SupplyClass Class { get; init; } = SupplyClass.Kit;

    /// <summary>How coarse it is; null for what is no abrasive, or where the shop has to say.</summary>
    public Grain? Grain { get; init; }

    /// <summary>The unit of one of it: a sheet, a mL.</summary>
    public string One => OneOf(Unit);

    /// <summary>The singular of a unit.</summary>
    public static string OneOf(string unit) => unit.Length > 2 ? unit.TrimEnd('s') : unit;

    /// <summary>True for a unit of single things, of which there is no part.</summary>
    public static bool IsWhole(string unit) => unit is "pieces" or "sheets" or "pads";
}

/// <summary>Kit and materials the rules speak of. Costs are assumptions; a bath that serves about six tools costs each of them a sixth.</summary>
public static class Supplies
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Supply> All { get; } =
    [
        Kit(SupplyIds.BenchVice, "bench vice", "clamps on the bench"),
        Kit(SupplyIds.SoftJaws, "soft jaws", "scraps of soft wood"),
        Kit(SupplyIds.FittedScrewdrivers, "fitted screwdrivers", "a driver filed to the slot"),
        Kit(SupplyIds.SplitNutDriver, "split-nut driver", "a thick washer filed to a fork"),
        Kit(SupplyIds.PinPunches, "pin punches", "a nail with its point cut off"),
        Kit(SupplyIds.Mallet, "mallet", "a block of hardwood"),
        Kit(SupplyIds.BrassHammer, "brass hammer", "a hammer and a brass bar"),
        Kit(SupplyIds.HeatGun, "heat gun", "a hair dryer, and patience"),
        Kit(SupplyIds.GasTorch, "gas torch", "a heat gun", CautionId.Torch),
        Kit(SupplyIds.PinWrench, "pin wrench", "two nails in a bar"),
        Kit(SupplyIds.DrillPress, "drill press", "a hand drill in the vice", CautionId.Rotating),
        Kit(SupplyIds.CameraAndRule, "camera and rule", "a phone and a steel rule"),
        Kit(SupplyIds.BoxWithCompartments, "box with compartments", "an egg box"),
        Kit(SupplyIds.Lens, "lens", "a phone held close"),
        Kit(SupplyIds.SoftBrush, "soft brush", "an old paint brush"),
        Kit(SupplyIds.WoodenScraper, "wooden scraper", "a lolly stick"),
        Kit(SupplyIds.BathTub, "bath tub, longer than the longest part", "a length of gutter with closed ends"),
        Kit(SupplyIds.BenchPowerSupply, "bench power supply", "", CautionId.Electrolysis),
        Grit(SupplyIds.WireWheel, "wire wheel", "a wire brush by hand", CautionId.Wire),
        Grit(SupplyIds.BuffingWheel, "cloth buffing wheel", "metal polish by hand", CautionId.Rotating),
        Kit(SupplyIds.FineWireBrush, "fine wire brush", "a nylon abrasive pad"),
        Kit(SupplyIds.ScrapingBlade, "scraping blade", "a snapped-off knife blade", CautionId.Scraper),
        Kit(SupplyIds.BlastCabinet, "blast cabinet", "", CautionId.Blasting),
        Kit(SupplyIds.TapsAndDies, "taps and dies", "a nut of that thread, slit with a hacksaw"),
        Kit(SupplyIds.SlotFile, "slot file", "a hacksaw blade, its side ground smooth"),
        Kit(SupplyIds.FineFile, "fine file"),
        Kit(SupplyIds.SafeEdgeFile, "safe-edge file", "a file with one edge ground smooth"),
        Kit(SupplyIds.StraightedgeAndFeelers, "straightedge and feelers", "the edge of a level longer than the face, and strips of foil"),
        Kit(SupplyIds.FlatPlate, "flat plate, longer than the sole", "thick glass on a level board"),
        Kit(SupplyIds.WindingSticks, "winding sticks", "two straight strips of wood"),
        Kit(SupplyIds.SmallSquare, "small square"),
        Kit(SupplyIds.SmallRule, "small rule"),
        Kit(SupplyIds.BenchGrinder, "bench grinder", "coarse paper on a flat plate", CautionId.Grinder),
        Kit(SupplyIds.BeltGrinder, "belt grinder", "the bench grinder", CautionId.Grinder),
        Grit(SupplyIds.CoarseDiamondPlate, "coarse diamond plate", "P100 on glass"),
        Grit(SupplyIds.MediumStone, "medium stone", "P1000 on glass"),
        Grit(SupplyIds.FineStone, "fine stone", "P2500 on glass"),
        Grit(SupplyIds.Strop, "strop", "honing compound on flat wood"),
        Kit(SupplyIds.Spanners, "spanners that fit", "an adjustable one, closed tight"),
        Kit(SupplyIds.Pliers, "pliers"),
        Kit(SupplyIds.Hacksaw, "hacksaw"),
        Kit(SupplyIds.HandSaw, "hand saw", "", CautionId.Teeth),
        Kit(SupplyIds.Rasp, "rasp"),
        Kit(SupplyIds.BenchPlane, "bench plane, sharp"),
        Kit(SupplyIds.HoningJig, "honing jig", "freehand, with a marker on the bevel"),
        Kit(SupplyIds.Burnisher, "burnisher", "the back of a gouge"),
        Kit(SupplyIds.SawFiles, "saw files", "", CautionId.Teeth),
        Kit(SupplyIds.SawSet, "saw set"),
        Kit(SupplyIds.SawVice, "saw vice", "two boards in the vice", CautionId.Teeth),
        Kit(SupplyIds.Clamps, "clamps", "strips of bicycle tube"),
        Kit(SupplyIds.CardScraper, "card scraper", "a piece of glass, its edge fresh", CautionId.WoodDust),
        Kit(SupplyIds.FineBrush, "fine brush"),
        Kit(SupplyIds.SprayGear, "spray gear", "a brush and patience", CautionId.Spray),
        Kit(SupplyIds.ShopOven, "shop oven", "", CautionId.Oven),
        Kit(SupplyIds.SpokeshaveForTheHaft, "spokeshave for the haft", "a rasp and a scraper"),
        Kit(SupplyIds.ScrapOfSoftwood, "scrap of softwood"),
        Kit(SupplyIds.ScrapOfHardwood, "scrap of hardwood"),
        Kit(SupplyIds.NutOfKnownSize, "a nut of known size"),
        Grit(SupplyIds.SlipStones, "slip stones, round and square"),
        Kit(SupplyIds.PipeOfKnownSize, "steel pipe of known size"),
        Kit(SupplyIds.Caliper, "caliper", "a folded stack of ten, measured with a rule"),
        Kit(SupplyIds.TrySquare, "try square"),
        Kit(SupplyIds.DrillBits, "drill bits"),
        Kit(SupplyIds.ScrapOfMildSteel, "scrap of mild steel"),
        Kit(SupplyIds.AugerBit, "auger bit"),
        Kit(SupplyIds.GreenWood, "green wood"),
        Kit(SupplyIds.SoftBolt, "a soft bolt"),
        Kit(SupplyIds.RatedBolt, "a soft bolt of its rated size"),
        Used(SupplyClass.Chemical, SupplyIds.LightOil, "light oil", "mL", 0.02, "sewing machine oil"),
        Used(SupplyClass.Chemical, SupplyIds.PenetratingOil, "penetrating oil", "mL", 0.04, "light oil thinned with white spirit"),
        Used(SupplyClass.Chemical, SupplyIds.WhiteSpirit, "white spirit", "mL", 0.006, "paraffin", CautionId.Solvent),
        Used(SupplyClass.Chemical, SupplyIds.Alcohol, "alcohol", "mL", 0.01, "", CautionId.Solvent),
        Used(SupplyClass.Chemical, SupplyIds.Detergent, "detergent", "mL", 0.005, "soap flakes"),
        Used(SupplyClass.Sundry, SupplyIds.CleanCloth, "clean cloth", "pieces", 0.2, "an old shirt"),
        Used(SupplyClass.Chemical, SupplyIds.ChelatingBath, "chelating bath", "L", 1, "citric acid, but not for springs, plating or an etch", CautionId.Bath),
        Used(SupplyClass.Chemical, SupplyIds.CitricAcid, "citric acid", "g", 0.012, "vinegar, twice as long", CautionId.Acid),
        Used(SupplyClass.Chemical, SupplyIds.Vinegar, "vinegar", "L", 1.2, "citric acid", CautionId.Acid),
        Used(SupplyClass.Chemical, SupplyIds.WashingSoda, "washing soda", "g", 0.004, "baking soda"),
        Used(SupplyClass.Chemical, SupplyIds.BakingSoda, "baking soda", "g", 0.005, "washing soda"),
        Used(SupplyClass.Sundry, SupplyIds.PlainIronAnode, "plain iron anode", "pieces", 1, "a piece of clean rebar"),
        Used(SupplyClass.Abrasive, SupplyIds.NylonAbrasivePad, "nylon abrasive pad", "pieces", 0.6, "0000 steel wool"),
        Used(SupplyClass.Abrasive, SupplyIds.SteelWool, "0000 steel wool", "pads", 0.7, "a nylon abrasive pad")
            with { Grain = new Grain(AbrasiveForm.Pad, "steel_wool", "0000") },
        Used(SupplyClass.Abrasive, SupplyIds.MetalPolish, "metal polish", "mL", 0.05, "chalk and oil", CautionId.Polish),
        Sheet(SupplyIds.P80Sheet, 80, "P60, more to take out again"),
        Sheet(SupplyIds.P120Sheet, 120, "P100"),
        Sheet(SupplyIds.P180Sheet, 180, "P150"),
        Sheet(SupplyIds.P240Sheet, 240, "P220"),
        Sheet(SupplyIds.P400Sheet, 400, "P320"),
        Sheet(SupplyIds.P600Sheet, 600, "0000 steel wool and oil"),
        Used(SupplyClass.Abrasive, SupplyIds.SoftBlastingMedium, "soft blasting medium", "kg", 2.5, ""),
        Used(SupplyClass.Abrasive, SupplyIds.CoarseBlastingMedium, "coarse blasting medium", "kg", 1.5, ""),
        Used(SupplyClass.Sundry, SupplyIds.MarkingBlue, "marking blue", "mL", 0.3, "a marker"),
        Kit(SupplyIds.Marker, "marker", "marking blue"),
        Used(SupplyClass.Abrasive, SupplyIds.HoningCompound, "honing compound", "g", 0.05, "metal polish"),
        Used(SupplyClass.Sundry, SupplyIds.MaskingTape, "masking tape", "m", 0.1, ""),
        Used(SupplyClass.Sundry, SupplyIds.TapeOrCorkStrip, "tape or cork strip", "pieces", 0.2, "a fold of card"),
        Used(SupplyClass.Sundry, SupplyIds.LintFreeCloth, "lint-free cloth", "pieces", 0.3, "an old shirt"),
        Used(SupplyClass.Finish, SupplyIds.GlossBlackEnamel, "gloss black enamel", "mL", 0.05, ""),
        Used(SupplyClass.Finish, SupplyIds.EnamelMatchedInColour, "enamel, matched in colour", "mL", 0.07, "the nearest tin, tried on a hidden spot"),
        Used(SupplyClass.Finish, SupplyIds.EnamelInTheShopsColour, "enamel in the shop's colour", "mL", 0.05, "gloss black enamel"),
        Used(SupplyClass.Finish, SupplyIds.Primer, "primer", "mL", 0.05, ""),
        Used(SupplyClass.Finish, SupplyIds.Japanning, "japanning", "mL", 0.09, "gloss black enamel, baked low", CautionId.Solvent),
        Used(SupplyClass.Chemical, SupplyIds.PaintStripper, "paint stripper", "mL", 0.03, "a scraper and time", CautionId.Stripper),
        Used(SupplyClass.Finish, SupplyIds.MicrocrystallineWax, "microcrystalline wax", "g", 0.12, "paste wax"),
        Used(SupplyClass.Finish, SupplyIds.PasteWax, "paste wax", "g", 0.05, "microcrystalline wax"),
        Used(SupplyClass.Finish, SupplyIds.RawLinseedOil, "raw linseed oil", "mL", 0.012, "boiled linseed oil, in many coats", CautionId.OilyRags),
        Used(SupplyClass.Finish, SupplyIds.BoiledLinseedOil, "boiled linseed oil", "mL", 0.015, "tung oil", CautionId.OilyRags, CautionId.Driers),
        Used(SupplyClass.Finish, SupplyIds.Shellac, "2 lb shellac", "mL", 0.04, ""),
        Used(SupplyClass.Finish, SupplyIds.Lacquer, "lacquer", "mL", 0.04, "2 lb shellac", CautionId.Spray),
        Used(SupplyClass.Finish, SupplyIds.WoodStain, "wood stain", "mL", 0.06, "strong tea"),
        Used(SupplyClass.Finish, SupplyIds.WoodGlue, "wood glue", "mL", 0.03, "liquid hide glue"),
        Used(SupplyClass.Finish, SupplyIds.LiquidHideGlue, "liquid hide glue", "mL", 0.05, "hot hide glue"),
        Used(SupplyClass.Finish, SupplyIds.SlowEpoxy, "slow epoxy", "mL", 0.25, "", CautionId.Epoxy),
        Used(SupplyClass.Finish, SupplyIds.MetalFilledEpoxy, "metal-filled epoxy", "mL", 0.4, "slow epoxy with fine filings", CautionId.Epoxy),
        Used(SupplyClass.Abrasive, SupplyIds.LappingPowder, "lapping powder", "g", 0.06, "coarse paper on glass", CautionId.Slurry),
        Used(SupplyClass.Sundry, SupplyIds.FreezerBag, "freezer bag", "pieces", 0.4, "a plastic sack, taped shut"),
        Used(SupplyClass.Chemical, SupplyIds.Grease, "grease", "g", 0.02, "paraffin jelly"),
        Used(SupplyClass.Chemical, SupplyIds.DryGraphite, "dry graphite", "g", 0.2, "candle wax"),
        Used(SupplyClass.Spare, SupplyIds.NewLockTab, "new lock tab", "pieces", 0.8, "a strip of tin, bent up"),
        Used(SupplyClass.Spare, SupplyIds.NewRivet, "new rivet", "pieces", 0.5, "a nail of the same iron"),
        Used(SupplyClass.Spare, SupplyIds.BlankForAHaft, "blank for a haft", "pieces", 14, ""),
        Used(SupplyClass.Spare, SupplyIds.BlankForAHandle, "blank for a handle", "pieces", 4, "a straight offcut of ash or beech"),
        Used(SupplyClass.Spare, SupplyIds.HardwoodWedge, "hardwood wedge", "pieces", 0.5, ""),
        Used(SupplyClass.Sundry, SupplyIds.Shim, "shim", "pieces", 0.3, "a feeler gauge of the thickness wanted"),
        Used(SupplyClass.Sundry, SupplyIds.CordOrLeather, "cord or leather", "m", 1.5, ""),
        Used(SupplyClass.Spare, SupplyIds.ReplacementPart, "replacement part", "pieces", 8, "one from the parts box"),
    ];

    private static readonly Dictionary<SupplyId, Supply> ById = All.ToDictionary(s => s.Id);

    private static readonly Dictionary<string, Supply> ByName = All.ToDictionary(s => s.Name);

    /// <summary>Finds a supply, or null.</summary>
    public static Supply? Find(SupplyId id) => ById.GetValueOrDefault(id);

    /// <summary>Finds a supply by the name older files keep it by, or null.</summary>
    public static Supply? Named(string name) => ByName.GetValueOrDefault(name);

    private static Supply Kit(SupplyId id, string name, string standIn = "", params CautionId[] cautions) =>
        new(id, name, true, StandIn: standIn) { Cautions = cautions };

    private static Supply Used(SupplyClass @class, SupplyId id, string name, string unit, double cost, string standIn, params CautionId[] cautions) =>
        new(id, name, false, unit, cost, standIn) { Cautions = cautions, Class = @class };

    // Cuts, and is used again and again.
    private static Supply Grit(SupplyId id, string name, string standIn = "", params CautionId[] cautions) =>
        Kit(id, name, standIn, cautions) with { Class = SupplyClass.Abrasive };

    private static Supply Sheet(SupplyId id, int grit, string standIn) =>
        Used(SupplyClass.Abrasive, id, $"P{grit} sheet", "sheets", 1, standIn) with { Grain = new Grain(AbrasiveForm.Sheet, "FEPA-P", $"P{grit}") };
}
