using System.Globalization;
using Foundling.Core.Safety;

namespace Foundling.Core.Rod;

/// <summary>Something a step needs, kept in words: "penetrating oil: 5 mL", or only "bench vice".</summary>
/// <param name="Item">What, as <see cref="Supplies"/> names it.</param>
/// <param name="Amount">How much; null where an amount says nothing.</param>
/// <param name="Unit">Unit of the amount.</param>
public sealed record Need(string Item, double? Amount = null, string Unit = "")
{
    /// <summary>Reads a need.</summary>
    public static Need Parse(string text)
    {
        int at = text.LastIndexOf(": ", StringComparison.Ordinal);
        string[] amount = at > 0 ? text[(at + 2)..].Split(' ', 2) : [];
        return amount.Length == 2 && double.TryParse(amount[0], NumberStyles.Float, CultureInfo.InvariantCulture, out double value) ? new Need(text[..at],
            value, amount[1]) : new Need(text);
    }

    /// <summary>The need in words.</summary>
    public override string ToString() => Amount is double value ? string.Create(CultureInfo.InvariantCulture, $"{Item}: {value:0.##} {Unit}") : Item;
}

/// <summary>Something a shop has or buys.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Kit">It is used again and again, not used up.</param>
/// <param name="Unit">Unit it is counted in; empty for kit.</param>
/// <param name="Cost">What a unit costs, in the shop's money; an assumption.</param>
/// <param name="StandIn">What could stand in; empty for nothing.</param>
/// <param name="Caution">Key of the caution that goes with it wherever it is used; empty for none.</param>
public sealed record Supply(string Name, bool Kit, string Unit = "", double Cost = 0, string StandIn = "", string Caution = "");

/// <summary>Kit and materials the rules speak of. Costs are assumptions; a bath that serves about six tools costs each of them a sixth.</summary>
public static class Supplies
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Supply> All { get; } =
    [
        Kit("bench vice", "clamps on the bench"), Kit("soft jaws", "scraps of soft wood"), Kit("fitted screwdrivers", "a driver filed to the slot"),
            Kit("split-nut driver", "an old chisel filed to a fork"), Kit("pin punches", "a nail with its point cut off"),
        Kit("mallet", "a block of hardwood"), Kit("brass hammer", "a hammer and a brass bar"), Kit("heat gun", "a kettle of boiling water"),
            Kit("gas torch", "a heat gun", caution: Cautions.Torch), Kit("pin wrench", "two nails in a bar"), Kit("drill press", "a hand drill in the vice",
            caution: Cautions.Rotating),
        Kit("camera and rule", "a phone and a steel rule"), Kit("box with compartments", "an egg box"), Kit("lens", "a phone held close"),
            Kit("soft brush", "an old paint brush"), Kit("wooden scraper", "a lolly stick"), Kit("bath tub, longer than the longest part",
            "a length of gutter with closed ends"),
        Kit("bench power supply", caution: Cautions.Electrolysis), Kit("wire wheel", "a wire brush by hand", caution: Cautions.Wire), Kit("fine wire brush",
            "a nylon abrasive pad"), Kit("scraping blade", "a snapped-off knife blade"), Kit("blast cabinet", caution: Cautions.Blasting),
            Kit("slot file", "a hacksaw blade, its side ground smooth"), Kit("fine file"), Kit("safe-edge file", "a file with one edge ground smooth"),
        Kit("straightedge and feelers", "the back of a good chisel and strips of foil"), Kit("flat plate, longer than the sole",
            "thick glass on a level board"), Kit("winding sticks", "two straight strips of wood"), Kit("small square"), Kit("small rule"), Kit("bench grinder",
            "coarse paper on a flat plate", caution: Cautions.Grinder),
        Kit("coarse diamond plate", "P100 on glass"), Kit("medium stone", "P1000 on glass"), Kit("fine stone", "P2500 on glass"),
            Kit("strop", "honing compound on flat wood"), Kit("honing jig", "freehand, with a marker on the bevel"), Kit("burnisher", "the back of a gouge"),
            Kit("saw files", "", caution: Cautions.Teeth), Kit("saw set"), Kit("saw vice", "two boards in the vice", caution: Cautions.Teeth),
        Kit("clamps", "strips of bicycle tube"), Kit("card scraper", "a piece of glass, its edge fresh", caution: Cautions.WoodDust), Kit("fine brush"),
            Kit("spray gear", "a brush and patience", caution: Cautions.Spray), Kit("shop oven", caution: Cautions.Oven), Kit("spokeshave for the haft",
            "a rasp and a scraper"), Kit("scrap of softwood"), Kit("scrap of hardwood"), Kit("a nut of known size"),
        Kit("caliper", "a folded stack of ten, measured with a rule"), Kit("try square"), Kit("drill bits"), Kit("scrap of mild steel"), Kit("auger bit"),
            Kit("green wood"), Kit("a soft bolt"),
        Used("light oil", "mL", 0.02, "sewing machine oil"), Used("penetrating oil", "mL", 0.04, "light oil thinned with white spirit"), Used("white spirit",
            "mL", 0.006, "paraffin", caution: Cautions.Solvent), Used("alcohol", "mL", 0.01, "", caution: Cautions.Solvent), Used("detergent", "mL", 0.005,
            "washing soda"), Used("clean cloth", "pieces", 0.2, "an old shirt"),
        Used("chelating bath", "L", 1, "citric acid, watched closely", caution: Cautions.Bath), Used("citric acid", "g", 0.012, "vinegar, twice as long",
            caution: Cautions.Acid), Used("vinegar", "L", 1.2, "citric acid", caution: Cautions.Acid), Used("washing soda", "g", 0.004, "baking soda"),
            Used("baking soda", "g", 0.005, "washing soda"), Used("plain iron anode", "pieces", 1, "a piece of clean rebar"),
        Used("nylon abrasive pad", "pieces", 0.6, "0000 steel wool"), Used("0000 steel wool", "pads", 0.7, "a nylon abrasive pad"), Used("metal polish", "mL",
            0.05, "chalk and oil", caution: Cautions.Polish), Used("P80 sheet", "sheets", 1, "P60, more to take out again"), Used("P120 sheet", "sheets", 1,
            "P100"), Used("P180 sheet", "sheets", 1, "P150"), Used("P240 sheet", "sheets", 1, "P220"), Used("P400 sheet", "sheets", 1, "P320"),
            Used("P600 sheet", "sheets", 1, "0000 steel wool and oil"),
        Used("soft blasting medium", "kg", 2.5, ""), Used("marking blue", "mL", 0.3, "a marker"), Used("marker", "pieces", 0.3, "marking blue"),
            Used("honing compound", "g", 0.05, "metal polish"), Used("masking tape", "m", 0.1, ""), Used("tape or cork strip", "pieces", 0.2,
            "a fold of card"), Used("lint-free cloth", "pieces", 0.3, "an old shirt"),
        Used("gloss black enamel", "mL", 0.05, ""), Used("enamel, matched in colour", "mL", 0.07, "the nearest tin, tried on a hidden spot"),
            Used("enamel in the shop's colour", "mL", 0.05, "gloss black enamel"), Used("primer", "mL", 0.05, ""), Used("japanning", "mL", 0.09,
            "gloss black enamel, baked low", caution: Cautions.Oven), Used("paint stripper", "mL", 0.03, "a scraper and time", caution: Cautions.Stripper),
            Used("microcrystalline wax", "g", 0.12, "paste wax"), Used("paste wax", "g", 0.05, "microcrystalline wax"),
        Used("boiled linseed oil", "mL", 0.015, "tung oil", caution: Cautions.OilyRags), Used("2 lb shellac", "mL", 0.04, ""), Used("lacquer", "mL", 0.04,
            "2 lb shellac", caution: Cautions.Spray), Used("wood stain", "mL", 0.06, "strong tea"), Used("wood glue", "mL", 0.03, "liquid hide glue"),
            Used("liquid hide glue", "mL", 0.05, "hot hide glue"), Used("slow epoxy", "mL", 0.25, "liquid hide glue, for a joint that must open again",
            caution: Cautions.Epoxy), Used("grease", "g", 0.02, "paraffin jelly"), Used("dry graphite", "g", 0.2, "candle wax"),
        Used("new lock tab", "pieces", 0.8, "a strip of tin, bent up"), Used("new rivet", "pieces", 0.5, "a nail of the same iron"), Used("blank for a haft",
            "pieces", 14, ""), Used("hardwood wedge", "pieces", 0.5, ""), Used("shim", "pieces", 0.3, "a strip from a drinks can"), Used("cord or leather",
            "m", 1.5, ""), Used("replacement part", "pieces", 8, "one from the parts box"),
    ];

    private static readonly Dictionary<string, Supply> ByName = All.ToDictionary(s => s.Name);

    /// <summary>Finds a supply, or null.</summary>
    public static Supply? Find(string name) => ByName.GetValueOrDefault(name);

    /// <summary>What the materials of a step cost, in the shop's money.</summary>
    public static double Cost(Tags.PlanStep step) => step.Materials.Select(Need.Parse).Sum(n =>
        (n.Amount ?? 0) * (Find(n.Item) is { Kit: false } supply ? supply.Cost : 0));

    /// <summary>The cautions of a step with those that go with what it uses, so that none is forgotten.</summary>
    public static string Cautioned(Tags.PlanStep step) => string.Join(' ', step.Caution.Split(' ', StringSplitOptions.RemoveEmptyEntries)
        .Concat(step.Materials.Select(m => Find(Need.Parse(m).Item)?.Caution ?? "").Where(c => c.Length > 0)).Distinct());

    private static Supply Kit(string name, string standIn = "", string caution = "") => new(name, true, StandIn: standIn, Caution: caution);

    private static Supply Used(string name, string unit, double cost, string standIn, string caution = "") => new(name, false, unit, cost, standIn, caution);
}
