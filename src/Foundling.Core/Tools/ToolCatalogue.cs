namespace Foundling.Core.Tools;

/// <summary>Every kind of tool the program knows.</summary>
public static class ToolCatalogue
{
    private const string Length = "length over all", Sole = "length of the sole";

    /// <summary>A plough takes turns with eight irons; the one it wears is its iron, the others lie beside it.</summary>
    private static readonly PartDef[] IronSet =
    [
        .. new[] { "3/16", "1/4", "5/16", "3/8", "7/16", "1/2", "9/16" }.Select((width, i) => new PartDef($"set_{i + 2}", $"no. {i + 2} iron, {width} in",
            Material.EdgeSteel, Held: "beside the plane, in its roll", On: "iron", InSet: true)),
    ];

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
            new("lateral_lever", "lateral lever", Material.Steel, PartFinish.Plated, "riveted to the frog: leave it on", Joint: Joint.StaysOn),
            new("adjuster", "depth adjuster", Material.Brass, Held: "on a stud of reverse thread", Joint: Joint.ReverseThread),
            new("yoke", "yoke", Material.CastIron, Held: "on a pin through the frog"),
            new("yoke_pin", "yoke pin", Material.Steel, Held: "driven through the frog", On: "yoke", Joint: Joint.StaysOn),
        ], EdgeForm.BackAndBevel),
        new("wooden-bench-plane", "Wooden bench plane", Family.Plane, Sole, 432,
        [
            new("body", "body", Material.Wood, PartFinish.Oiled), new("tote", "tote", Material.Wood, PartFinish.Oiled),
            new("wedge", "wedge", Material.Wood, PartFinish.Oiled, Joint: Joint.Wedged), new("iron", "iron", Material.EdgeSteel),
            new("cap_iron", "cap iron", Material.SpringSteel), new("strike", "strike button", Material.Wood, Held: "let in and glued: leave it",
                Joint: Joint.StaysOn),
        ], EdgeForm.BackAndBevel),
        new("block-plane", "Block plane", Family.Plane, Sole, 158,
        [
            new("body", "body", Material.CastIron, PartFinish.Japanned), new("toe_plate", "toe plate", Material.CastIron),
            new("lever_cap", "lever cap", Material.CastIron, PartFinish.Japanned), new("lever_cap_screw", "lever cap screw", Material.Steel),
            new("iron", "iron", Material.EdgeSteel), new("adjuster", "adjuster", Material.Brass), new("knob", "knob", Material.Wood, PartFinish.Varnished),
        ], EdgeForm.BackAndBevel),
        new("rebate-plane", "Rebate plane", Family.Plane, Sole, 240,
            [new("body", "body", Material.Wood, PartFinish.Oiled), new("wedge", "wedge", Material.Wood, Joint: Joint.Wedged), new("iron", "iron", Material.EdgeSteel)], EdgeForm.BackAndBevel),
        new("plough-plane", "Plough plane", Family.Plane, Length, 197,
        [
            new("body", "body", Material.Wood, PartFinish.Oiled), new("skate", "skate", Material.Steel, Held: "let in and riveted: leave it on",
                Joint: Joint.StaysOn), new("fence", "fence", Material.Wood),
            new("stem", "stems", Material.Wood), new("stem_wedge", "stem wedges", Material.Wood, Joint: Joint.Wedged), new("wedge", "wedge", Material.Wood,
                Joint: Joint.Wedged),
            new("iron", "iron", Material.EdgeSteel), new("depth_stop", "depth stop", Material.Brass), .. IronSet,
        ], EdgeForm.BackAndBevel),
        new("scraper-plane", "Scraper plane", Family.Plane, Sole, 236,
        [
            new("body", "body", Material.CastIron, PartFinish.Japanned), new("frame", "frame", Material.CastIron, PartFinish.Japanned,
                "hinged on a tapered pin", Joint: Joint.TaperedPin),
            new("iron", "iron", Material.EdgeSteel), new("clamp", "clamp", Material.CastIron), new("clamp_screw", "clamp screw", Material.Brass),
            new("tilt_rod", "tilt rod", Material.Steel), new("tilt_nuts", "tilt nuts", Material.Brass), new("post", "post", Material.CastIron),
            new("tote", "tote", Material.Wood, PartFinish.Varnished), new("tote_bolt", "tote rod and nut", Material.Brass),
            new("knob", "knob", Material.Wood, PartFinish.Varnished), new("knob_bolt", "knob rod and nut", Material.Brass),
        ], EdgeForm.Burr),
        new("toothing-plane", "Toothing plane", Family.Plane, Sole, 190,
        [
            new("body", "body", Material.Wood, PartFinish.Oiled), new("wedge", "wedge", Material.Wood, Joint: Joint.Wedged),
            new("iron", "toothed iron", Material.EdgeSteel), new("strike", "strike button", Material.Wood, Held: "let in and glued: leave it",
                Joint: Joint.StaysOn),
        ], EdgeForm.Toothed),
        new("spokeshave", "Spokeshave", Family.Plane, "width over the handles", 251,
        [
            new("body", "body", Material.CastIron, PartFinish.Japanned), new("iron", "iron", Material.EdgeSteel), new("lever_cap", "lever cap",
                Material.CastIron, PartFinish.Japanned),
            new("lever_cap_screw", "lever cap screw", Material.Steel), new("cap_screw", "cap screw", Material.Steel), new("adjuster", "adjusting nuts",
                Material.Brass),
        ], EdgeForm.BackAndBevel),
        new("hand-saw", "Hand saw", Family.Saw, "length of the tooth line", 660,
        [
            new("plate", "plate", Material.EdgeSteel), new("handle", "handle", Material.Wood, PartFinish.Varnished),
            new("saw_nuts", "saw nuts", Material.Brass, Joint: Joint.SplitNut), new("medallion", "medallion", Material.Brass),
        ], EdgeForm.SawTeeth),
        new("back-saw", "Back saw", Family.Saw, "length of the tooth line", 305,
        [
            new("plate", "plate", Material.EdgeSteel), new("back", "back", Material.Brass), new("handle", "handle", Material.Wood, PartFinish.Varnished),
            new("saw_nuts", "saw nuts", Material.Brass, Joint: Joint.SplitNut), new("medallion", "medallion", Material.Brass),
        ], EdgeForm.SawTeeth),
        new("chisel", "Chisel", Family.EdgeTool, Length, 284,
        [
            new("blade", "blade", Material.EdgeSteel), new("bolster", "bolster", Material.Steel), new("ferrule", "ferrule", Material.Brass,
                Joint: Joint.StaysOn),
            new("handle", "handle", Material.Wood, PartFinish.Varnished, "driven on the tang: leave it on while it is tight", Joint: Joint.StaysOn),
                new("end_cap", "hoop", Material.Steel, Joint: Joint.StaysOn),
        ], EdgeForm.BackAndBevel),
        new("drawknife", "Drawknife", Family.EdgeTool, "width over the handles", 367,
        [
            new("blade", "blade", Material.EdgeSteel), new("tang_left", "left tang", Material.Steel), new("tang_right", "right tang", Material.Steel),
            new("handle_left", "left handle", Material.Wood, PartFinish.Varnished), new("handle_right", "right handle", Material.Wood, PartFinish.Varnished),
            new("ferrule_left", "left ferrule", Material.Brass), new("ferrule_right", "right ferrule", Material.Brass),
            new("end_cap_left", "left rivet", Material.Steel, Held: "the tang is peened over a washer", Joint: Joint.Destroyed), new("end_cap_right",
                "right rivet", Material.Steel, Held: "the tang is peened over a washer", Joint: Joint.Destroyed),
        ], EdgeForm.BackAndBevel),
        new("axe", "Axe", Family.EdgeTool, Length, 667,
        [
            new("bit", "bit", Material.EdgeSteel), new("head", "head", Material.Steel), new("poll", "poll", Material.Steel),
            new("haft", "haft", Material.Wood, PartFinish.Oiled), new("wedge", "wedge", Material.Wood, Held: "driven into the kerf of the haft",
                Joint: Joint.Destroyed),
        ], EdgeForm.TwoBevels),
        new("hewing-hatchet", "Hewing hatchet", Family.EdgeTool, Length, 417,
        [
            new("bit", "bit", Material.EdgeSteel), new("head", "head", Material.Steel), new("poll", "poll", Material.Steel),
            new("haft", "haft", Material.Wood, PartFinish.Oiled), new("wedge", "wedge", Material.Wood, Held: "driven into the kerf of the haft",
                Joint: Joint.Destroyed),
        ], EdgeForm.FlatFace),
        new("metal-hatchet", "All-metal hatchet", Family.EdgeTool, Length, 383,
        [
            new("bit", "bit", Material.EdgeSteel), new("head", "head", Material.Steel), new("poll", "poll", Material.Steel), new("handle", "shank",
                Material.Steel),
            new("grip", "grip", Material.Soft, Held: "washers on the tang", Joint: Joint.StaysOn), new("bolster", "bolster", Material.Steel,
                Joint: Joint.StaysOn), new("end_cap", "end cap", Material.Steel, Held: "the tang is peened over it", Joint: Joint.Destroyed),
        ], EdgeForm.TwoBevels),
        new("adjustable-wrench", "Adjustable wrench", Family.Wrench, Length, 254,
        [
            new("frame", "frame", Material.Steel), new("handle", "handle", Material.Steel), new("fixed_jaw", "fixed jaw", Material.Steel),
            new("sliding_jaw", "sliding jaw", Material.Steel), new("knurl", "knurl", Material.Steel, Held: "turns on its spindle, a spring beside it",
                Joint: Joint.Sprung), new("spindle", "spindle", Material.Steel, Held: "screws out of the frame"),
        ]),
        new("hand-drill", "Hand drill", Family.BoringTool, Length, 320,
        [
            new("frame", "frame", Material.CastIron, PartFinish.Painted), new("gear", "gear", Material.CastIron, PartFinish.Painted), new("pinion", "pinion",
                Material.Steel, Held: "on a tapered pin", Joint: Joint.TaperedPin),
            new("idler_pinion", "idler pinion", Material.Steel, Held: "on a tapered pin", Joint: Joint.TaperedPin), new("spindle", "spindle", Material.Steel),
                new("chuck", "chuck shell", Material.Steel, PartFinish.Plated),
            new("chuck_jaws", "chuck jaws", Material.SpringSteel, Held: "a spring holds them apart; note the order of the inner parts", Joint: Joint.Sprung),
                new("crank", "crank", Material.Steel), new("crank_screw", "crank screw", Material.Steel, Held: "into the axle; its thread is often odd",
                On: "crank"), new("crank_handle", "crank knob", Material.Wood, PartFinish.Varnished),
            new("handle", "handle", Material.Wood, PartFinish.Varnished), new("side_handle", "side handle", Material.Wood, PartFinish.Varnished),
            new("ferrule", "ferrule", Material.Brass), new("side_ferrule", "side ferrule", Material.Brass), new("end_cap", "end cap", Material.Brass),
        ]),
        new("brace", "Brace", Family.BoringTool, Length, 378,
        [
            new("frame", "frame", Material.Steel, PartFinish.Plated), new("chuck", "chuck shell", Material.Steel, PartFinish.Plated),
                new("chuck_jaws", "chuck jaws", Material.SpringSteel, Held: "a spring holds them apart; note the order of the inner parts",
                Joint: Joint.Sprung),
            new("ratchet", "ratchet", Material.Steel, Held: "on a tapered pin", Joint: Joint.TaperedPin), new("cam_ring", "cam ring", Material.Steel),
                new("pawl", "pawls", Material.SpringSteel, Held: "a flat spring behind each", Joint: Joint.Sprung), new("quill", "quill", Material.Steel),
            new("head_handle", "head", Material.Wood, PartFinish.Varnished, "turns on the quill; screws from below"), new("crank_handle", "crank handle",
                Material.Wood, PartFinish.Varnished),
            new("crank_ring_front", "front ring", Material.Brass), new("crank_ring_rear", "rear ring", Material.Brass),
        ]),
        new("bolt-cutter", "Bolt cutter", Family.Cutter, Length, 457,
        [
            new("upper_jaw", "upper jaw", Material.EdgeSteel), new("lower_jaw", "lower jaw", Material.EdgeSteel), new("strap", "straps", Material.Steel),
            new("bolts", "jaw bolts", Material.Steel, Held: "nuts under lock tabs", Joint: Joint.LockTab), new("pivot", "pivot bolt", Material.Steel),
                new("toggle_bolts", "toggle bolts", Material.Steel), new("stops", "stops", Material.Steel),
            new("upper_arm", "upper arm", Material.Steel, PartFinish.Painted), new("lower_arm", "lower arm", Material.Steel, PartFinish.Painted),
            new("upper_handle", "upper handle", Material.Steel, PartFinish.Painted), new("lower_handle", "lower handle", Material.Steel, PartFinish.Painted),
            new("upper_grip", "upper grip", Material.Soft), new("lower_grip", "lower grip", Material.Soft),
        ], EdgeForm.Meeting),
        new("pruner", "Pruner", Family.Cutter, Length, 200,
        [
            new("blade", "blade", Material.EdgeSteel), new("anvil", "hook", Material.Steel), new("pivot", "pivot", Material.Steel,
                Held: "bolt and nut under a lock tab", Joint: Joint.LockTab), new("spring", "spring", Material.SpringSteel, Held: "between the handles",
                Joint: Joint.Sprung),
            new("upper_handle", "upper handle", Material.Steel), new("lower_handle", "lower handle", Material.Steel), new("catch", "catch", Material.Steel,
                Held: "riveted: leave it on", Joint: Joint.StaysOn),
        ], EdgeForm.Bypass),
    ];

    /// <summary>Finds a kind.</summary>
    /// <exception cref="InputException">No such kind.</exception>
    public static ToolKind Kind(string id) => Kinds.FirstOrDefault(k => k.Id == id)
        ?? throw new InputException("unknown_kind", "kind", id, string.Join(", ", Kinds.Select(k => k.Id)), $"\"{id}\" is no kind of tool this book knows.");
}
