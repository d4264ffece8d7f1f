namespace Foundling.Core.Tools;

/// <summary>Families of tools.</summary>
public enum Family
{
    /// <summary>Planes, shaves and scrapers.</summary>
    Plane,

    /// <summary>Saws.</summary>
    Saw,

    /// <summary>Chisels, axes, drawknives.</summary>
    EdgeTool,

    /// <summary>Wrenches.</summary>
    Wrench,

    /// <summary>Braces and drills.</summary>
    BoringTool,

    /// <summary>Bolt cutters and pruners.</summary>
    Cutter,
}

/// <summary>What a part is made of.</summary>
public enum Material
{
    /// <summary>Grey cast iron.</summary>
    CastIron,

    /// <summary>Malleable iron or forged steel.</summary>
    Steel,

    /// <summary>Hardened steel with an edge or teeth.</summary>
    EdgeSteel,

    /// <summary>Spring steel.</summary>
    SpringSteel,

    /// <summary>Brass.</summary>
    Brass,

    /// <summary>Wood.</summary>
    Wood,

    /// <summary>Leather, cord, rubber.</summary>
    Soft,
}

/// <summary>How a part was finished when it was made.</summary>
public enum PartFinish
{
    /// <summary>Bare metal.</summary>
    Bare,

    /// <summary>Baked japanning or enamel.</summary>
    Japanned,

    /// <summary>Plated.</summary>
    Plated,

    /// <summary>Varnished or lacquered wood.</summary>
    Varnished,

    /// <summary>Oiled wood.</summary>
    Oiled,

    /// <summary>Painted.</summary>
    Painted,
}

/// <summary>A physical piece of a kind of tool.</summary>
/// <param name="Id">Key, as in the drawing.</param>
/// <param name="Name">Name of the part.</param>
/// <param name="Material">What it is made of.</param>
/// <param name="Finish">How it was finished.</param>
/// <param name="Held">How it is attached.</param>
/// <param name="On">The drawn part that stands for it, when it is not drawn itself.</param>
public sealed record PartDef(string Id, string Name, Material Material, PartFinish Finish = PartFinish.Bare, string? Held = null, string? On = null)
{
    /// <summary>Iron or steel, which rusts.</summary>
    public bool Ferrous => Material is Material.CastIron or Material.Steel or Material.EdgeSteel or Material.SpringSteel;

    /// <summary>A screw, bolt, nut or pin.</summary>
    public bool IsFastener => Id.Contains("screw", StringComparison.Ordinal) || Id.Contains("bolt", StringComparison.Ordinal) || Id.Contains("nut", StringComparison.Ordinal) || Id.Contains("pin", StringComparison.Ordinal) && !Id.Contains("pinion", StringComparison.Ordinal);

    /// <summary>The part whose drawing stands for this one.</summary>
    public string DrawnAs => On ?? Id;
}

/// <summary>A kind of tool with its parts.</summary>
/// <param name="Id">Key, as in the drawings.</param>
/// <param name="Name">Name of the kind.</param>
/// <param name="Family">Its family.</param>
/// <param name="LengthIs">What its length measures.</param>
/// <param name="NominalLengthMm">That length on the nominal drawing, mm.</param>
/// <param name="Parts">Its parts.</param>
public sealed record ToolKind(string Id, string Name, Family Family, string LengthIs, double NominalLengthMm, IReadOnlyList<PartDef> Parts)
{
    /// <summary>Finds a part, or null.</summary>
    public PartDef? Part(string id) => Parts.FirstOrDefault(p => p.Id == id);

    /// <summary>True where a flat metal sole is lapped.</summary>
    public bool HasMetalSole => Id is "metal-bench-plane" or "block-plane" or "scraper-plane";

    /// <summary>True where a wooden sole is trued.</summary>
    public bool HasWoodenSole => Id is "wooden-bench-plane" or "rebate-plane" or "toothing-plane";

    /// <summary>Parts with a cutting edge that is ground and honed.</summary>
    public IEnumerable<PartDef> Edges => Family == Family.Saw ? [] : Parts.Where(p => p.Material == Material.EdgeSteel);
}

/// <summary>Every kind of tool the program knows.</summary>
public static class ToolCatalogue
{
    private const string Length = "length over all", Sole = "length of the sole";

    /// <summary>All kinds, by family.</summary>
    public static IReadOnlyList<ToolKind> Kinds { get; } =
    [
        new("metal-bench-plane", "Metal bench plane", Family.Plane, Sole, 245,
        [
            new("body", "body", Material.CastIron, PartFinish.Japanned, "one casting; cheeks and sole ground bare"),
            new("frog", "frog", Material.CastIron, PartFinish.Japanned, "two screws into the body"),
            new("frog_screws", "frog screws", Material.Steel, Held: "turn into the body", On: "frog"),
            new("lever_cap", "lever cap", Material.CastIron, PartFinish.Plated, "hooks under its screw, cam down"),
            new("lever_cap_screw", "lever cap screw", Material.Steel, Held: "turns into the frog"),
            new("cap_iron", "cap iron", Material.SpringSteel, Held: "screw through the iron's slot"),
            new("cap_iron_screw", "cap iron screw", Material.Steel, Held: "turns into the cap iron", On: "cap_iron"),
            new("iron", "iron", Material.EdgeSteel, Held: "between frog and lever cap"),
            new("tote", "tote", Material.Wood, PartFinish.Varnished, "rod and nut, and a toe screw on longer planes"),
            new("tote_bolt", "tote rod and nut", Material.Brass, Held: "through the tote into the body"),
            new("tote_toe_screw", "tote toe screw", Material.Steel, Held: "foot of the tote", On: "tote"),
            new("knob", "knob", Material.Wood, PartFinish.Varnished, "rod and nut"),
            new("knob_bolt", "knob rod and nut", Material.Brass, Held: "through the knob into the body"),
            new("lateral_lever", "lateral lever", Material.Steel, PartFinish.Plated, "riveted to the frog: leave it on"),
            new("adjuster", "depth adjuster", Material.Brass, Held: "on a stud of reverse thread"),
            new("yoke", "yoke", Material.CastIron, Held: "on a pin through the frog"),
            new("yoke_pin", "yoke pin", Material.Steel, Held: "driven through the frog", On: "yoke"),
        ]),
        new("wooden-bench-plane", "Wooden bench plane", Family.Plane, Sole, 432,
        [
            new("body", "body", Material.Wood, PartFinish.Oiled), new("tote", "tote", Material.Wood, PartFinish.Oiled),
            new("wedge", "wedge", Material.Wood, PartFinish.Oiled), new("iron", "iron", Material.EdgeSteel),
            new("cap_iron", "cap iron", Material.SpringSteel), new("strike", "strike button", Material.Wood),
        ]),
        new("block-plane", "Block plane", Family.Plane, Sole, 158,
        [
            new("body", "body", Material.CastIron, PartFinish.Japanned), new("toe_plate", "toe plate", Material.CastIron),
            new("lever_cap", "lever cap", Material.CastIron, PartFinish.Japanned), new("lever_cap_screw", "lever cap screw", Material.Steel),
            new("iron", "iron", Material.EdgeSteel), new("adjuster", "adjuster", Material.Brass), new("knob", "knob", Material.Wood, PartFinish.Varnished),
        ]),
        new("rebate-plane", "Rebate plane", Family.Plane, Sole, 240,
            [new("body", "body", Material.Wood, PartFinish.Oiled), new("wedge", "wedge", Material.Wood), new("iron", "iron", Material.EdgeSteel)]),
        new("plough-plane", "Plough plane", Family.Plane, Length, 197,
        [
            new("body", "body", Material.Wood, PartFinish.Oiled), new("skate", "skate", Material.Steel), new("fence", "fence", Material.Wood),
            new("stem", "stems", Material.Wood), new("stem_wedge", "stem wedges", Material.Wood), new("wedge", "wedge", Material.Wood),
            new("iron", "iron", Material.EdgeSteel), new("depth_stop", "depth stop", Material.Brass),
        ]),
        new("scraper-plane", "Scraper plane", Family.Plane, Sole, 236,
        [
            new("body", "body", Material.CastIron, PartFinish.Japanned), new("frame", "frame", Material.CastIron, PartFinish.Japanned),
            new("iron", "iron", Material.EdgeSteel), new("clamp", "clamp", Material.CastIron), new("clamp_screw", "clamp screw", Material.Brass),
            new("tilt_rod", "tilt rod", Material.Steel), new("tilt_nuts", "tilt nuts", Material.Brass), new("post", "post", Material.CastIron),
            new("tote", "tote", Material.Wood, PartFinish.Varnished), new("tote_bolt", "tote rod and nut", Material.Brass),
            new("knob", "knob", Material.Wood, PartFinish.Varnished), new("knob_bolt", "knob rod and nut", Material.Brass),
        ]),
        new("toothing-plane", "Toothing plane", Family.Plane, Sole, 190,
        [
            new("body", "body", Material.Wood, PartFinish.Oiled), new("wedge", "wedge", Material.Wood),
            new("iron", "toothed iron", Material.EdgeSteel), new("strike", "strike button", Material.Wood),
        ]),
        new("spokeshave", "Spokeshave", Family.Plane, "width over the handles", 251,
        [
            new("body", "body", Material.CastIron, PartFinish.Japanned), new("iron", "iron", Material.EdgeSteel), new("lever_cap", "lever cap", Material.CastIron, PartFinish.Japanned),
            new("lever_cap_screw", "lever cap screw", Material.Steel), new("cap_screw", "cap screw", Material.Steel), new("adjuster", "adjusting nuts", Material.Brass),
        ]),
        new("hand-saw", "Hand saw", Family.Saw, "length of the tooth line", 660,
        [
            new("plate", "plate", Material.EdgeSteel), new("handle", "handle", Material.Wood, PartFinish.Varnished),
            new("saw_nuts", "saw nuts", Material.Brass), new("medallion", "medallion", Material.Brass),
        ]),
        new("back-saw", "Back saw", Family.Saw, "length of the tooth line", 305,
        [
            new("plate", "plate", Material.EdgeSteel), new("back", "back", Material.Brass), new("handle", "handle", Material.Wood, PartFinish.Varnished),
            new("saw_nuts", "saw nuts", Material.Brass), new("medallion", "medallion", Material.Brass),
        ]),
        new("chisel", "Chisel", Family.EdgeTool, Length, 284,
        [
            new("blade", "blade", Material.EdgeSteel), new("bolster", "bolster", Material.Steel), new("ferrule", "ferrule", Material.Brass),
            new("handle", "handle", Material.Wood, PartFinish.Varnished), new("end_cap", "hoop", Material.Steel),
        ]),
        new("drawknife", "Drawknife", Family.EdgeTool, "width over the handles", 367,
        [
            new("blade", "blade", Material.EdgeSteel), new("tang_left", "left tang", Material.Steel), new("tang_right", "right tang", Material.Steel),
            new("handle_left", "left handle", Material.Wood, PartFinish.Varnished), new("handle_right", "right handle", Material.Wood, PartFinish.Varnished),
            new("ferrule_left", "left ferrule", Material.Brass), new("ferrule_right", "right ferrule", Material.Brass),
            new("end_cap_left", "left rivet", Material.Steel), new("end_cap_right", "right rivet", Material.Steel),
        ]),
        new("axe", "Axe", Family.EdgeTool, Length, 667,
        [
            new("bit", "bit", Material.EdgeSteel), new("head", "head", Material.Steel), new("poll", "poll", Material.Steel),
            new("haft", "haft", Material.Wood, PartFinish.Oiled), new("wedge", "wedge", Material.Wood),
        ]),
        new("hewing-hatchet", "Hewing hatchet", Family.EdgeTool, Length, 417,
        [
            new("bit", "bit", Material.EdgeSteel), new("head", "head", Material.Steel), new("poll", "poll", Material.Steel),
            new("haft", "haft", Material.Wood, PartFinish.Oiled), new("wedge", "wedge", Material.Wood),
        ]),
        new("metal-hatchet", "All-metal hatchet", Family.EdgeTool, Length, 383,
        [
            new("bit", "bit", Material.EdgeSteel), new("head", "head", Material.Steel), new("poll", "poll", Material.Steel), new("handle", "shank", Material.Steel),
            new("grip", "grip", Material.Soft), new("bolster", "bolster", Material.Steel), new("end_cap", "end cap", Material.Steel),
        ]),
        new("adjustable-wrench", "Adjustable wrench", Family.Wrench, Length, 254,
        [
            new("frame", "frame", Material.Steel), new("handle", "handle", Material.Steel), new("fixed_jaw", "fixed jaw", Material.Steel),
            new("sliding_jaw", "sliding jaw", Material.Steel), new("knurl", "knurl", Material.Steel), new("spindle", "spindle", Material.Steel),
        ]),
        new("hand-drill", "Hand drill", Family.BoringTool, Length, 320,
        [
            new("frame", "frame", Material.CastIron, PartFinish.Painted), new("gear", "gear", Material.CastIron, PartFinish.Painted), new("pinion", "pinion", Material.Steel),
            new("idler_pinion", "idler pinion", Material.Steel), new("spindle", "spindle", Material.Steel), new("chuck", "chuck shell", Material.Steel, PartFinish.Plated),
            new("chuck_jaws", "chuck jaws", Material.SpringSteel), new("crank", "crank", Material.Steel), new("crank_handle", "crank knob", Material.Wood, PartFinish.Varnished),
            new("handle", "handle", Material.Wood, PartFinish.Varnished), new("side_handle", "side handle", Material.Wood, PartFinish.Varnished),
            new("ferrule", "ferrule", Material.Brass), new("side_ferrule", "side ferrule", Material.Brass), new("end_cap", "end cap", Material.Brass),
        ]),
        new("brace", "Brace", Family.BoringTool, Length, 378,
        [
            new("frame", "frame", Material.Steel, PartFinish.Plated), new("chuck", "chuck shell", Material.Steel, PartFinish.Plated), new("chuck_jaws", "chuck jaws", Material.SpringSteel),
            new("ratchet", "ratchet", Material.Steel), new("cam_ring", "cam ring", Material.Steel), new("pawl", "pawls", Material.SpringSteel), new("quill", "quill", Material.Steel),
            new("head_handle", "head", Material.Wood, PartFinish.Varnished), new("crank_handle", "crank handle", Material.Wood, PartFinish.Varnished),
            new("crank_ring_front", "front ring", Material.Brass), new("crank_ring_rear", "rear ring", Material.Brass),
        ]),
        new("bolt-cutter", "Bolt cutter", Family.Cutter, Length, 457,
        [
            new("upper_jaw", "upper jaw", Material.EdgeSteel), new("lower_jaw", "lower jaw", Material.EdgeSteel), new("strap", "straps", Material.Steel),
            new("bolts", "jaw bolts", Material.Steel), new("pivot", "pivot bolt", Material.Steel), new("toggle_bolts", "toggle bolts", Material.Steel), new("stops", "stops", Material.Steel),
            new("upper_arm", "upper arm", Material.Steel, PartFinish.Painted), new("lower_arm", "lower arm", Material.Steel, PartFinish.Painted),
            new("upper_handle", "upper handle", Material.Steel, PartFinish.Painted), new("lower_handle", "lower handle", Material.Steel, PartFinish.Painted),
            new("upper_grip", "upper grip", Material.Soft), new("lower_grip", "lower grip", Material.Soft),
        ]),
        new("pruner", "Pruner", Family.Cutter, Length, 200,
        [
            new("blade", "blade", Material.EdgeSteel), new("anvil", "hook", Material.Steel), new("pivot", "pivot", Material.Steel), new("spring", "spring", Material.SpringSteel),
            new("upper_handle", "upper handle", Material.Steel), new("lower_handle", "lower handle", Material.Steel), new("catch", "catch", Material.Steel),
        ]),
    ];

    /// <summary>Finds a kind.</summary>
    /// <exception cref="InputException">No such kind.</exception>
    public static ToolKind Kind(string id) => Kinds.FirstOrDefault(k => k.Id == id)
        ?? throw new InputException("unknown_kind", "kind", id, string.Join(", ", Kinds.Select(k => k.Id)), $"\"{id}\" is no kind of tool this book knows.");
}
