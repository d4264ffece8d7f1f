namespace Foundling.Core.Stores;

/// <summary>Keys of the kit and materials the rules speak of, as the store and the open formats write them.</summary>
public static class SupplyIds
{
    /// <summary>Taps and dies.</summary>
    public static readonly SupplyId TapsAndDies = SupplyId.Of("taps-and-dies");

    /// <summary>Metal-filled epoxy.</summary>
    public static readonly SupplyId MetalFilledEpoxy = SupplyId.Of("metal-filled-epoxy");

    /// <summary>Lapping powder.</summary>
    public static readonly SupplyId LappingPowder = SupplyId.Of("lapping-powder");

    /// <summary>Blank for a handle.</summary>
    public static readonly SupplyId BlankForAHandle = SupplyId.Of("blank-for-a-handle");

    /// <summary>Cloth buffing wheel.</summary>
    public static readonly SupplyId BuffingWheel = SupplyId.Of("buffing-wheel");

    /// <summary>Freezer bag.</summary>
    public static readonly SupplyId FreezerBag = SupplyId.Of("freezer-bag");

    /// <summary>Bench vice.</summary>
    public static readonly SupplyId BenchVice = SupplyId.Of("bench-vice");

    /// <summary>Soft jaws.</summary>
    public static readonly SupplyId SoftJaws = SupplyId.Of("soft-jaws");

    /// <summary>Fitted screwdrivers.</summary>
    public static readonly SupplyId FittedScrewdrivers = SupplyId.Of("fitted-screwdrivers");

    /// <summary>Split-nut driver.</summary>
    public static readonly SupplyId SplitNutDriver = SupplyId.Of("split-nut-driver");

    /// <summary>Pin punches.</summary>
    public static readonly SupplyId PinPunches = SupplyId.Of("pin-punches");

    /// <summary>Mallet.</summary>
    public static readonly SupplyId Mallet = SupplyId.Of("mallet");

    /// <summary>Brass hammer.</summary>
    public static readonly SupplyId BrassHammer = SupplyId.Of("brass-hammer");

    /// <summary>Heat gun.</summary>
    public static readonly SupplyId HeatGun = SupplyId.Of("heat-gun");

    /// <summary>Gas torch.</summary>
    public static readonly SupplyId GasTorch = SupplyId.Of("gas-torch");

    /// <summary>Pin wrench.</summary>
    public static readonly SupplyId PinWrench = SupplyId.Of("pin-wrench");

    /// <summary>Drill press.</summary>
    public static readonly SupplyId DrillPress = SupplyId.Of("drill-press");

    /// <summary>Camera and rule.</summary>
    public static readonly SupplyId CameraAndRule = SupplyId.Of("camera-and-rule");

    /// <summary>Box with compartments.</summary>
    public static readonly SupplyId BoxWithCompartments = SupplyId.Of("box-with-compartments");

    /// <summary>Lens.</summary>
    public static readonly SupplyId Lens = SupplyId.Of("lens");

    /// <summary>Soft brush.</summary>
    public static readonly SupplyId SoftBrush = SupplyId.Of("soft-brush");

    /// <summary>Wooden scraper.</summary>
    public static readonly SupplyId WoodenScraper = SupplyId.Of("wooden-scraper");

    /// <summary>Bath tub, longer than the longest part.</summary>
    public static readonly SupplyId BathTub = SupplyId.Of("bath-tub");

    /// <summary>Bench power supply.</summary>
    public static readonly SupplyId BenchPowerSupply = SupplyId.Of("bench-power-supply");

    /// <summary>Wire wheel.</summary>
    public static readonly SupplyId WireWheel = SupplyId.Of("wire-wheel");

    /// <summary>Fine wire brush.</summary>
    public static readonly SupplyId FineWireBrush = SupplyId.Of("fine-wire-brush");

    /// <summary>Scraping blade.</summary>
    public static readonly SupplyId ScrapingBlade = SupplyId.Of("scraping-blade");

    /// <summary>Blast cabinet.</summary>
    public static readonly SupplyId BlastCabinet = SupplyId.Of("blast-cabinet");

    /// <summary>Slot file.</summary>
    public static readonly SupplyId SlotFile = SupplyId.Of("slot-file");

    /// <summary>Fine file.</summary>
    public static readonly SupplyId FineFile = SupplyId.Of("fine-file");

    /// <summary>Safe-edge file.</summary>
    public static readonly SupplyId SafeEdgeFile = SupplyId.Of("safe-edge-file");

    /// <summary>Straightedge and feelers.</summary>
    public static readonly SupplyId StraightedgeAndFeelers = SupplyId.Of("straightedge-and-feelers");

    /// <summary>Flat plate, longer than the sole.</summary>
    public static readonly SupplyId FlatPlate = SupplyId.Of("flat-plate");

    /// <summary>Winding sticks.</summary>
    public static readonly SupplyId WindingSticks = SupplyId.Of("winding-sticks");

    /// <summary>Small square.</summary>
    public static readonly SupplyId SmallSquare = SupplyId.Of("small-square");

    /// <summary>Small rule.</summary>
    public static readonly SupplyId SmallRule = SupplyId.Of("small-rule");

    /// <summary>Bench grinder.</summary>
    public static readonly SupplyId BenchGrinder = SupplyId.Of("bench-grinder");

    /// <summary>Coarse diamond plate.</summary>
    public static readonly SupplyId CoarseDiamondPlate = SupplyId.Of("coarse-diamond-plate");

    /// <summary>Medium stone.</summary>
    public static readonly SupplyId MediumStone = SupplyId.Of("medium-stone");

    /// <summary>Fine stone.</summary>
    public static readonly SupplyId FineStone = SupplyId.Of("fine-stone");

    /// <summary>Strop.</summary>
    public static readonly SupplyId Strop = SupplyId.Of("strop");

    /// <summary>Spanners that fit.</summary>
    public static readonly SupplyId Spanners = SupplyId.Of("spanners");

    /// <summary>Pliers.</summary>
    public static readonly SupplyId Pliers = SupplyId.Of("pliers");

    /// <summary>Hacksaw.</summary>
    public static readonly SupplyId Hacksaw = SupplyId.Of("hacksaw");

    /// <summary>Hand saw.</summary>
    public static readonly SupplyId HandSaw = SupplyId.Of("hand-saw");

    /// <summary>Rasp.</summary>
    public static readonly SupplyId Rasp = SupplyId.Of("rasp");

    /// <summary>Bench plane.</summary>
    public static readonly SupplyId BenchPlane = SupplyId.Of("bench-plane");

    /// <summary>Honing jig.</summary>
    public static readonly SupplyId HoningJig = SupplyId.Of("honing-jig");

    /// <summary>Burnisher.</summary>
    public static readonly SupplyId Burnisher = SupplyId.Of("burnisher");

    /// <summary>Saw files.</summary>
    public static readonly SupplyId SawFiles = SupplyId.Of("saw-files");

    /// <summary>Saw set.</summary>
    public static readonly SupplyId SawSet = SupplyId.Of("saw-set");

    /// <summary>Saw vice.</summary>
    public static readonly SupplyId SawVice = SupplyId.Of("saw-vice");

    /// <summary>Clamps.</summary>
    public static readonly SupplyId Clamps = SupplyId.Of("clamps");

    /// <summary>Card scraper.</summary>
    public static readonly SupplyId CardScraper = SupplyId.Of("card-scraper");

    /// <summary>Fine brush.</summary>
    public static readonly SupplyId FineBrush = SupplyId.Of("fine-brush");

    /// <summary>Spray gear.</summary>
    public static readonly SupplyId SprayGear = SupplyId.Of("spray-gear");

    /// <summary>Shop oven.</summary>
    public static readonly SupplyId ShopOven = SupplyId.Of("shop-oven");

    /// <summary>Spokeshave for the haft.</summary>
    public static readonly SupplyId SpokeshaveForTheHaft = SupplyId.Of("spokeshave-for-the-haft");

    /// <summary>Scrap of softwood.</summary>
    public static readonly SupplyId ScrapOfSoftwood = SupplyId.Of("scrap-of-softwood");

    /// <summary>Scrap of hardwood.</summary>
    public static readonly SupplyId ScrapOfHardwood = SupplyId.Of("scrap-of-hardwood");

    /// <summary>A nut of known size.</summary>
    public static readonly SupplyId NutOfKnownSize = SupplyId.Of("nut-of-known-size");

    /// <summary>Slip stones.</summary>
    public static readonly SupplyId SlipStones = SupplyId.Of("slip-stones");

    /// <summary>Steel pipe of known size.</summary>
    public static readonly SupplyId PipeOfKnownSize = SupplyId.Of("pipe-of-known-size");

    /// <summary>Caliper.</summary>
    public static readonly SupplyId Caliper = SupplyId.Of("caliper");

    /// <summary>Try square.</summary>
    public static readonly SupplyId TrySquare = SupplyId.Of("try-square");

    /// <summary>Drill bits.</summary>
    public static readonly SupplyId DrillBits = SupplyId.Of("drill-bits");

    /// <summary>Scrap of mild steel.</summary>
    public static readonly SupplyId ScrapOfMildSteel = SupplyId.Of("scrap-of-mild-steel");

    /// <summary>Auger bit.</summary>
    public static readonly SupplyId AugerBit = SupplyId.Of("auger-bit");

    /// <summary>Green wood.</summary>
    public static readonly SupplyId GreenWood = SupplyId.Of("green-wood");

    /// <summary>A bolt of the rated size.</summary>
    public static readonly SupplyId RatedBolt = SupplyId.Of("rated-bolt");

    /// <summary>A soft bolt.</summary>
    public static readonly SupplyId SoftBolt = SupplyId.Of("soft-bolt");

    /// <summary>Light oil.</summary>
    public static readonly SupplyId LightOil = SupplyId.Of("light-oil");

    /// <summary>Penetrating oil.</summary>
    public static readonly SupplyId PenetratingOil = SupplyId.Of("penetrating-oil");

    /// <summary>White spirit.</summary>
    public static readonly SupplyId WhiteSpirit = SupplyId.Of("white-spirit");

    /// <summary>Alcohol.</summary>
    public static readonly SupplyId Alcohol = SupplyId.Of("alcohol");

    /// <summary>Detergent.</summary>
    public static readonly SupplyId Detergent = SupplyId.Of("detergent");

    /// <summary>Clean cloth.</summary>
    public static readonly SupplyId CleanCloth = SupplyId.Of("clean-cloth");

    /// <summary>Chelating bath.</summary>
    public static readonly SupplyId ChelatingBath = SupplyId.Of("chelating-bath");

    /// <summary>Citric acid.</summary>
    public static readonly SupplyId CitricAcid = SupplyId.Of("citric-acid");

    /// <summary>Vinegar.</summary>
    public static readonly SupplyId Vinegar = SupplyId.Of("vinegar");

    /// <summary>Washing soda.</summary>
    public static readonly SupplyId WashingSoda = SupplyId.Of("washing-soda");

    /// <summary>Baking soda.</summary>
    public static readonly SupplyId BakingSoda = SupplyId.Of("baking-soda");

    /// <summary>Plain iron anode.</summary>
    public static readonly SupplyId PlainIronAnode = SupplyId.Of("plain-iron-anode");

    /// <summary>Nylon abrasive pad.</summary>
    public static readonly SupplyId NylonAbrasivePad = SupplyId.Of("nylon-abrasive-pad");

    /// <summary>0000 steel wool.</summary>
    public static readonly SupplyId SteelWool = SupplyId.Of("steel-wool");

    /// <summary>Metal polish.</summary>
    public static readonly SupplyId MetalPolish = SupplyId.Of("metal-polish");

    /// <summary>P80 sheet.</summary>
    public static readonly SupplyId P80Sheet = SupplyId.Of("p80-sheet");

    /// <summary>P120 sheet.</summary>
    public static readonly SupplyId P120Sheet = SupplyId.Of("p120-sheet");

    /// <summary>P180 sheet.</summary>
    public static readonly SupplyId P180Sheet = SupplyId.Of("p180-sheet");

    /// <summary>P240 sheet.</summary>
    public static readonly SupplyId P240Sheet = SupplyId.Of("p240-sheet");

    /// <summary>P400 sheet.</summary>
    public static readonly SupplyId P400Sheet = SupplyId.Of("p400-sheet");

    /// <summary>P600 sheet.</summary>
    public static readonly SupplyId P600Sheet = SupplyId.Of("p600-sheet");

    /// <summary>Soft blasting medium.</summary>
    public static readonly SupplyId SoftBlastingMedium = SupplyId.Of("soft-blasting-medium");

    /// <summary>Coarse blasting medium.</summary>
    public static readonly SupplyId CoarseBlastingMedium = SupplyId.Of("coarse-blasting-medium");

    /// <summary>Marking blue.</summary>
    public static readonly SupplyId MarkingBlue = SupplyId.Of("marking-blue");

    /// <summary>Marker.</summary>
    public static readonly SupplyId Marker = SupplyId.Of("marker");

    /// <summary>Honing compound.</summary>
    public static readonly SupplyId HoningCompound = SupplyId.Of("honing-compound");

    /// <summary>Masking tape.</summary>
    public static readonly SupplyId MaskingTape = SupplyId.Of("masking-tape");

    /// <summary>Tape or cork strip.</summary>
    public static readonly SupplyId TapeOrCorkStrip = SupplyId.Of("tape-or-cork-strip");

    /// <summary>Lint-free cloth.</summary>
    public static readonly SupplyId LintFreeCloth = SupplyId.Of("lint-free-cloth");

    /// <summary>Gloss black enamel.</summary>
    public static readonly SupplyId GlossBlackEnamel = SupplyId.Of("gloss-black-enamel");

    /// <summary>Enamel, matched in colour.</summary>
    public static readonly SupplyId EnamelMatchedInColour = SupplyId.Of("enamel-matched-in-colour");

    /// <summary>Enamel in the shop's colour.</summary>
    public static readonly SupplyId EnamelInTheShopsColour = SupplyId.Of("enamel-in-the-shops-colour");

    /// <summary>Primer.</summary>
    public static readonly SupplyId Primer = SupplyId.Of("primer");

    /// <summary>Japanning.</summary>
    public static readonly SupplyId Japanning = SupplyId.Of("japanning");

    /// <summary>Paint stripper.</summary>
    public static readonly SupplyId PaintStripper = SupplyId.Of("paint-stripper");

    /// <summary>Microcrystalline wax.</summary>
    public static readonly SupplyId MicrocrystallineWax = SupplyId.Of("microcrystalline-wax");

    /// <summary>Paste wax.</summary>
    public static readonly SupplyId PasteWax = SupplyId.Of("paste-wax");

    /// <summary>Belt grinder.</summary>
    public static readonly SupplyId BeltGrinder = SupplyId.Of("belt-grinder");

    /// <summary>Raw linseed oil.</summary>
    public static readonly SupplyId RawLinseedOil = SupplyId.Of("raw-linseed-oil");

    /// <summary>Boiled linseed oil.</summary>
    public static readonly SupplyId BoiledLinseedOil = SupplyId.Of("boiled-linseed-oil");

    /// <summary>2 lb shellac.</summary>
    public static readonly SupplyId Shellac = SupplyId.Of("shellac");

    /// <summary>Lacquer.</summary>
    public static readonly SupplyId Lacquer = SupplyId.Of("lacquer");

    /// <summary>Wood stain.</summary>
    public static readonly SupplyId WoodStain = SupplyId.Of("wood-stain");

    /// <summary>Wood glue.</summary>
    public static readonly SupplyId WoodGlue = SupplyId.Of("wood-glue");

    /// <summary>Liquid hide glue.</summary>
    public static readonly SupplyId LiquidHideGlue = SupplyId.Of("liquid-hide-glue");

    /// <summary>Slow epoxy.</summary>
    public static readonly SupplyId SlowEpoxy = SupplyId.Of("slow-epoxy");

    /// <summary>Grease.</summary>
    public static readonly SupplyId Grease = SupplyId.Of("grease");

    /// <summary>Dry graphite.</summary>
    public static readonly SupplyId DryGraphite = SupplyId.Of("dry-graphite");

    /// <summary>New lock tab.</summary>
    public static readonly SupplyId NewLockTab = SupplyId.Of("new-lock-tab");

    /// <summary>New rivet.</summary>
    public static readonly SupplyId NewRivet = SupplyId.Of("new-rivet");

    /// <summary>Blank for a haft.</summary>
    public static readonly SupplyId BlankForAHaft = SupplyId.Of("blank-for-a-haft");

    /// <summary>Hardwood wedge.</summary>
    public static readonly SupplyId HardwoodWedge = SupplyId.Of("hardwood-wedge");

    /// <summary>Shim.</summary>
    public static readonly SupplyId Shim = SupplyId.Of("shim");

    /// <summary>Cord or leather.</summary>
    public static readonly SupplyId CordOrLeather = SupplyId.Of("cord-or-leather");

    /// <summary>Replacement part.</summary>
    public static readonly SupplyId ReplacementPart = SupplyId.Of("replacement-part");
}
