namespace Foundling.Core.Tools;

/// <summary>Every kind of tool the program knows.</summary>
public static class ToolCatalogue
{
    private const string Length = "length over all", Sole = "length of the sole";

    /// <summary>A plough takes turns with eight irons; the one it wears is its iron, the others lie beside it.</summary>
    private static readonly PartDef[] IronSet =
    [
        .. new[] { "3/16", "1/4", "5/16", "3/8", "7/16", "1/2", "9/16" }.Select((width, i) => new PartDef(PartIds.Set(i + 2), $"no. {i + 2} iron, {width} in",
            Material.EdgeSteel, Held: "beside the plane, in its roll", On: PartIds.Iron, InSet: true)),
    ];

    /// <summary>All kinds, by family.</summary>
    public static IReadOnlyList<ToolKind> Kinds { get; } =
    [
        new(KindIds.MetalBenchPlane, "Metal bench plane", Family.Plane, Sole, 245,
        [
            new(PartIds.Body, "body", Material.CastIron, PartFinish.Japanned, "one casting; cheeks and sole ground bare"),
            new(PartIds.Frog, "frog", Material.CastIron, PartFinish.Japanned, "two screws into the body"),
            new(PartIds.FrogScrews, "frog screws", Material.Steel, Held: "turn into the body", On: PartIds.Frog, Fastener: Fastening.Screw),
            new(PartIds.LeverCap, "lever cap", Material.CastIron, PartFinish.Plated, "hooks under its screw, cam down"),
            new(PartIds.LeverCapScrew, "lever cap screw", Material.Steel, Held: "turns into the frog", Fastener: Fastening.Screw, With: PartIds.LeverCap),
            new(PartIds.CapIron, "cap iron", Material.SpringSteel, Held: "screw through the iron's slot"),
            new(PartIds.CapIronScrew, "cap iron screw", Material.Steel, Held: "turns into the cap iron", On: PartIds.CapIron, Fastener: Fastening.Screw),
            new(PartIds.Iron, "iron", Material.EdgeSteel, Held: "between frog and lever cap"),
            new(PartIds.Tote, "tote", Material.Wood, PartFinish.Varnished, "rod and nut, and a toe screw on longer planes", Rod: PartIds.ToteBolt),
            new(PartIds.ToteBolt, "tote rod and nut", Material.Brass, Held: "through the tote into the body", Fastener: Fastening.Bolt),
            new(PartIds.ToteToeScrew, "tote toe screw", Material.Steel, Held: "foot of the tote", On: PartIds.Tote, Fastener: Fastening.Screw),
            new(PartIds.Knob, "knob", Material.Wood, PartFinish.Varnished, "rod and nut", Rod: PartIds.KnobBolt),
            new(PartIds.KnobBolt, "knob rod and nut", Material.Brass, Held: "through the knob into the body", Fastener: Fastening.Bolt),
            new(PartIds.LateralLever, "lateral lever", Material.Steel, PartFinish.Plated, "riveted to the frog: leave it on", Joint: Joint.StaysOn,
                With: PartIds.Frog),
            new(PartIds.Adjuster, "depth adjuster", Material.Brass, Held: "on a stud of reverse thread", Joint: Joint.ReverseThread, With: PartIds.Frog),
            new(PartIds.Yoke, "yoke", Material.CastIron, Held: "on a pin through the frog", With: PartIds.Frog),
            new(PartIds.YokePin, "yoke pin", Material.Steel, Held: "driven through the frog", On: PartIds.Yoke, Joint: Joint.StaysOn, Fastener: Fastening.Pin),
        ], EdgeForm.BackAndBevel, SoleOf.Metal),
        new(KindIds.WoodenBenchPlane, "Wooden bench plane", Family.Plane, Sole, 432,
        [
            new(PartIds.Body, "body", Material.Wood, PartFinish.Oiled), new(PartIds.Tote, "tote", Material.Wood, PartFinish.Oiled),
            new(PartIds.Wedge, "wedge", Material.Wood, PartFinish.Oiled, Joint: Joint.Wedged), new(PartIds.Iron, "iron", Material.EdgeSteel),
            new(PartIds.CapIron, "cap iron", Material.SpringSteel), new(PartIds.Strike, "strike button", Material.Wood, Held: "let in and glued: leave it",
                Joint: Joint.StaysOn),
        ], EdgeForm.BackAndBevel, SoleOf.Wood, BedDeg: 46),
        new(KindIds.BlockPlane, "Block plane", Family.Plane, Sole, 158,
        [
            new(PartIds.Body, "body", Material.CastIron, PartFinish.Japanned), new(PartIds.ToePlate, "toe plate", Material.CastIron),
            new(PartIds.LeverCap, "lever cap", Material.CastIron, PartFinish.Japanned),
                new(PartIds.LeverCapScrew, "lever cap screw", Material.Steel, Fastener: Fastening.Screw, With: PartIds.LeverCap),
            new(PartIds.Iron, "iron", Material.EdgeSteel), new(PartIds.Adjuster, "adjuster", Material.Brass),
                new(PartIds.Knob, "knob", Material.Wood, PartFinish.Varnished),
        ], EdgeForm.BackAndBevel, SoleOf.Metal, BedDeg: 20, BevelUp: true),
        new(KindIds.RebatePlane, "Rebate plane", Family.Plane, Sole, 240,
            [new(PartIds.Body, "body", Material.Wood, PartFinish.Oiled), new(PartIds.Wedge, "wedge", Material.Wood, Joint: Joint.Wedged),
                new(PartIds.Iron, "iron", Material.EdgeSteel)], EdgeForm.BackAndBevel, SoleOf.Wood, BedDeg: 50),
        new(KindIds.PloughPlane, "Plough plane", Family.Plane, Length, 197,
        [
            new(PartIds.Body, "body", Material.Wood, PartFinish.Oiled), new(PartIds.Skate, "skate", Material.Steel, Held: "let in and riveted: leave it on",
                Joint: Joint.StaysOn), new(PartIds.Fence, "fence", Material.Wood),
            new(PartIds.Stem, "stems", Material.Wood), new(PartIds.StemWedge, "stem wedges", Material.Wood, Joint: Joint.Wedged, With: PartIds.Stem),
                new(PartIds.Wedge, "wedge", Material.Wood,
                Joint: Joint.Wedged),
            new(PartIds.Iron, "iron", Material.EdgeSteel), new(PartIds.DepthStop, "depth stop", Material.Brass), .. IronSet,
        ], EdgeForm.BackAndBevel, BedDeg: 50),
        new(KindIds.ScraperPlane, "Scraper plane", Family.Plane, Sole, 236,
        [
            new(PartIds.Body, "body", Material.CastIron, PartFinish.Japanned), new(PartIds.Frame, "frame", Material.CastIron, PartFinish.Japanned,
                "hinged on a tapered pin", Joint: Joint.TaperedPin),
            new(PartIds.Iron, "iron", Material.EdgeSteel), new(PartIds.Clamp, "clamp", Material.CastIron),
                new(PartIds.ClampScrew, "clamp screw", Material.Brass, Fastener: Fastening.Screw, With: PartIds.Clamp),
            new(PartIds.TiltRod, "tilt rod", Material.Steel), new(PartIds.TiltNuts, "tilt nuts", Material.Brass, Fastener: Fastening.Nut,
                With: PartIds.TiltRod),
                new(PartIds.Post, "post", Material.CastIron),
            new(PartIds.Tote, "tote", Material.Wood, PartFinish.Varnished, Rod: PartIds.ToteBolt),
                new(PartIds.ToteBolt, "tote rod and nut", Material.Brass, Fastener: Fastening.Bolt),
            new(PartIds.Knob, "knob", Material.Wood, PartFinish.Varnished, Rod: PartIds.KnobBolt),
                new(PartIds.KnobBolt, "knob rod and nut", Material.Brass, Fastener: Fastening.Bolt),
        ], EdgeForm.Burr, SoleOf.Metal),
        new(KindIds.ToothingPlane, "Toothing plane", Family.Plane, Sole, 190,
        [
            new(PartIds.Body, "body", Material.Wood, PartFinish.Oiled), new(PartIds.Wedge, "wedge", Material.Wood, Joint: Joint.Wedged),
            new(PartIds.Iron, "toothed iron", Material.EdgeSteel), new(PartIds.Strike, "strike button", Material.Wood, Held: "let in and glued: leave it",
                Joint: Joint.StaysOn),
        ], EdgeForm.Toothed, SoleOf.Wood, BedDeg: 82),
        new(KindIds.Spokeshave, "Spokeshave", Family.Plane, "width over the handles", 251,
        [
            new(PartIds.Body, "body", Material.CastIron, PartFinish.Japanned), new(PartIds.Iron, "iron", Material.EdgeSteel), new(PartIds.LeverCap, "lever cap",
                Material.CastIron, PartFinish.Japanned),
            new(PartIds.LeverCapScrew, "lever cap screw", Material.Steel, Fastener: Fastening.Screw, With: PartIds.LeverCap),
                new(PartIds.CapScrew, "cap screw", Material.Steel, Fastener: Fastening.Screw, With: PartIds.LeverCap), new(PartIds.Adjuster, "adjusting nuts",
                Material.Brass),
        ], EdgeForm.BackAndBevel),
        new(KindIds.HandSaw, "Hand saw", Family.Saw, "length of the tooth line", 660,
        [
            new(PartIds.Plate, "plate", Material.EdgeSteel), new(PartIds.Handle, "handle", Material.Wood, PartFinish.Varnished),
            new(PartIds.SawNuts, "saw nuts", Material.Brass, Joint: Joint.SplitNut, Fastener: Fastening.Nut),
                new(PartIds.Medallion, "medallion", Material.Brass),
        ], EdgeForm.SawTeeth),
        new(KindIds.BackSaw, "Back saw", Family.Saw, "length of the tooth line", 305,
        [
            new(PartIds.Plate, "plate", Material.EdgeSteel), new(PartIds.Back, "back", Material.Brass),
                new(PartIds.Handle, "handle", Material.Wood, PartFinish.Varnished),
            new(PartIds.SawNuts, "saw nuts", Material.Brass, Joint: Joint.SplitNut, Fastener: Fastening.Nut),
                new(PartIds.Medallion, "medallion", Material.Brass),
        ], EdgeForm.SawTeeth),
        new(KindIds.Chisel, "Chisel", Family.EdgeTool, Length, 284,
        [
            new(PartIds.Blade, "blade", Material.EdgeSteel), new(PartIds.Bolster, "bolster", Material.Steel), new(PartIds.Ferrule, "ferrule", Material.Brass,
                Joint: Joint.StaysOn),
            new(PartIds.Handle, "handle", Material.Wood, PartFinish.Varnished, "driven on the tang: leave it on while it is tight", Joint: Joint.StaysOn),
                new(PartIds.EndCap, "hoop", Material.Steel, Joint: Joint.StaysOn),
        ], EdgeForm.BackAndBevel),
        new(KindIds.Drawknife, "Drawknife", Family.EdgeTool, "width over the handles", 367,
        [
            new(PartIds.Blade, "blade", Material.EdgeSteel), new(PartIds.TangLeft, "left tang", Material.Steel),
                new(PartIds.TangRight, "right tang", Material.Steel),
            new(PartIds.HandleLeft, "left handle", Material.Wood, PartFinish.Varnished),
                new(PartIds.HandleRight, "right handle", Material.Wood, PartFinish.Varnished),
            new(PartIds.FerruleLeft, "left ferrule", Material.Brass), new(PartIds.FerruleRight, "right ferrule", Material.Brass),
            new(PartIds.EndCapLeft, "left rivet", Material.Steel, Held: "the tang is peened over a washer", Joint: Joint.Destroyed), new(PartIds.EndCapRight,
                "right rivet", Material.Steel, Held: "the tang is peened over a washer", Joint: Joint.Destroyed),
        ], EdgeForm.BackAndBevel),
        new(KindIds.Axe, "Axe", Family.EdgeTool, Length, 667,
        [
            new(PartIds.Bit, "bit", Material.EdgeSteel), new(PartIds.Head, "head", Material.Steel), new(PartIds.Poll, "poll", Material.Steel),
            new(PartIds.Haft, "haft", Material.Wood, PartFinish.Oiled), new(PartIds.Wedge, "wedge", Material.Wood, Held: "driven into the kerf of the haft",
                Joint: Joint.Destroyed, With: PartIds.Haft),
        ], EdgeForm.TwoBevels),
        new(KindIds.HewingHatchet, "Hewing hatchet", Family.EdgeTool, Length, 417,
        [
            new(PartIds.Bit, "bit", Material.EdgeSteel), new(PartIds.Head, "head", Material.Steel), new(PartIds.Poll, "poll", Material.Steel),
            new(PartIds.Haft, "haft", Material.Wood, PartFinish.Oiled), new(PartIds.Wedge, "wedge", Material.Wood, Held: "driven into the kerf of the haft",
                Joint: Joint.Destroyed, With: PartIds.Haft),
        ], EdgeForm.FlatFace),
        new(KindIds.MetalHatchet, "All-metal hatchet", Family.EdgeTool, Length, 383,
        [
            new(PartIds.Bit, "bit", Material.EdgeSteel), new(PartIds.Head, "head", Material.Steel), new(PartIds.Poll, "poll", Material.Steel),
                new(PartIds.Handle, "shank",
                Material.Steel),
            new(PartIds.Grip, "grip", Material.Soft, Held: "washers on the tang", Joint: Joint.StaysOn), new(PartIds.Bolster, "bolster", Material.Steel,
                Joint: Joint.StaysOn), new(PartIds.EndCap, "end cap", Material.Steel, Held: "the tang is peened over it", Joint: Joint.Destroyed),
        ], EdgeForm.TwoBevels),
        new(KindIds.AdjustableWrench, "Adjustable wrench", Family.Wrench, Length, 254,
        [
            new(PartIds.Frame, "frame", Material.Steel), new(PartIds.Handle, "handle", Material.Steel), new(PartIds.FixedJaw, "fixed jaw", Material.Steel),
            new(PartIds.SlidingJaw, "sliding jaw", Material.Steel),
                new(PartIds.Knurl, "knurl", Material.Steel, Held: "turns on its spindle, a spring beside it",
                Joint: Joint.Sprung), new(PartIds.Spindle, "spindle", Material.Steel, Held: "screws out of the frame", Fastener: Fastening.Screw),
        ]),
        new(KindIds.HandDrill, "Hand drill", Family.BoringTool, Length, 320,
        [
            new(PartIds.Frame, "frame", Material.CastIron, PartFinish.Painted), new(PartIds.Gear, "gear", Material.CastIron, PartFinish.Painted),
                new(PartIds.Pinion, "pinion",
                Material.Steel, Held: "on a tapered pin", Joint: Joint.TaperedPin),
            new(PartIds.IdlerPinion, "idler pinion", Material.Steel, Held: "on a tapered pin", Joint: Joint.TaperedPin),
                new(PartIds.Spindle, "spindle", Material.Steel),
                new(PartIds.Chuck, "chuck shell", Material.Steel, PartFinish.Plated),
            new(PartIds.ChuckJaws, "chuck jaws", Material.SpringSteel, Held: "a spring holds them apart; note the order of the inner parts",
                Joint: Joint.Sprung),
                new(PartIds.Crank, "crank", Material.Steel),
                    new(PartIds.CrankScrew, "crank screw", Material.Steel, Held: "into the axle; its thread is often odd",
                On: PartIds.Crank, Fastener: Fastening.Screw), new(PartIds.CrankHandle, "crank knob", Material.Wood, PartFinish.Varnished, With: PartIds.Crank),
            new(PartIds.Handle, "handle", Material.Wood, PartFinish.Varnished), new(PartIds.SideHandle, "side handle", Material.Wood, PartFinish.Varnished),
            new(PartIds.Ferrule, "ferrule", Material.Brass), new(PartIds.SideFerrule, "side ferrule", Material.Brass, With: PartIds.SideHandle),
                new(PartIds.EndCap, "end cap", Material.Brass),
        ]),
        new(KindIds.Brace, "Brace", Family.BoringTool, Length, 378,
        [
            new(PartIds.Frame, "frame", Material.Steel, PartFinish.Plated), new(PartIds.Chuck, "chuck shell", Material.Steel, PartFinish.Plated),
                new(PartIds.ChuckJaws, "chuck jaws", Material.SpringSteel, Held: "a spring holds them apart; note the order of the inner parts",
                Joint: Joint.Sprung),
            new(PartIds.Ratchet, "ratchet", Material.Steel, Held: "on a tapered pin", Joint: Joint.TaperedPin),
                new(PartIds.CamRing, "cam ring", Material.Steel, With: PartIds.Ratchet),
                new(PartIds.Pawl, "pawls", Material.SpringSteel, Held: "a flat spring behind each", Joint: Joint.Sprung, With: PartIds.Ratchet),
                    new(PartIds.Quill, "quill", Material.Steel),
            new(PartIds.HeadHandle, "head", Material.Wood, PartFinish.Varnished, "turns on the quill; screws from below"),
                new(PartIds.CrankHandle, "crank handle",
                Material.Wood, PartFinish.Varnished),
            new(PartIds.CrankRingFront, "front ring", Material.Brass), new(PartIds.CrankRingRear, "rear ring", Material.Brass),
        ]),
        new(KindIds.BoltCutter, "Bolt cutter", Family.Cutter, Length, 457,
        [
            new(PartIds.UpperJaw, "upper jaw", Material.EdgeSteel), new(PartIds.LowerJaw, "lower jaw", Material.EdgeSteel),
                new(PartIds.Strap, "straps", Material.Steel),
            new(PartIds.Bolts, "jaw bolts", Material.Steel, Held: "nuts under lock tabs", Joint: Joint.LockTab, Fastener: Fastening.Bolt),
                new(PartIds.Pivot, "pivot bolt", Material.Steel),
                new(PartIds.ToggleBolts, "toggle bolts", Material.Steel, Fastener: Fastening.Bolt), new(PartIds.Stops, "stops", Material.Steel),
            new(PartIds.UpperArm, "upper arm", Material.Steel, PartFinish.Painted), new(PartIds.LowerArm, "lower arm", Material.Steel, PartFinish.Painted),
            new(PartIds.UpperHandle, "upper handle", Material.Steel, PartFinish.Painted),
                new(PartIds.LowerHandle, "lower handle", Material.Steel, PartFinish.Painted),
            new(PartIds.UpperGrip, "upper grip", Material.Soft), new(PartIds.LowerGrip, "lower grip", Material.Soft),
        ], EdgeForm.Meeting),
        new(KindIds.Pruner, "Pruner", Family.Cutter, Length, 200,
        [
            new(PartIds.Blade, "blade", Material.EdgeSteel), new(PartIds.Anvil, "hook", Material.Steel), new(PartIds.Pivot, "pivot", Material.Steel,
                Held: "bolt and nut under a lock tab", Joint: Joint.LockTab), new(PartIds.Spring, "spring", Material.SpringSteel, Held: "between the handles",
                Joint: Joint.Sprung),
            new(PartIds.UpperHandle, "upper handle", Material.Steel), new(PartIds.LowerHandle, "lower handle", Material.Steel),
                new(PartIds.Catch, "catch", Material.Steel,
                Held: "riveted: leave it on", Joint: Joint.StaysOn),
        ], EdgeForm.Bypass),
    ];

    /// <summary>Finds a kind.</summary>
    /// <exception cref="InputException">No such kind.</exception>
    public static ToolKind Kind(KindId id) => Kinds.FirstOrDefault(k => k.Id == id)
        ?? throw new InputException("unknown_kind", "kind", id, string.Join(", ", Kinds.Select(k => k.Id)), $"\"{id}\" is no kind of tool this book knows.");
}
