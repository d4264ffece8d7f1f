namespace Foundling.Core.Tools;

/// <summary>What is particular to each kind, in the words of its plan; what speaks of a part is said only where the tool has it.</summary>
internal static class KindManners
{
    private static InTurn W(string words, params PartId[] parts) => new(words, parts);

    private static readonly InTurn Tote = W("tote", PartIds.Tote), Knob = W("knob", PartIds.Knob), LeverCap = W("lever cap", PartIds.LeverCap);

    private static readonly InTurn OnePinion = W("pinion", PartIds.Pinion) with { Unless = PartIds.IdlerPinion }, TwoPinions = W("pinions",
        PartIds.IdlerPinion);

    private static readonly KindManner WedgedPlane = new(
        new("Free the wedge and lift out the iron", [], W("Strike the heel with a mallet, wedge in hand. It frees at the second or third blow.")),
        new("Put it together", [W("iron drawn back"), W("wedge by a tap")], W("Iron in line with the side before the wedge is firm.")),
            []) { About = PartIds.Wedge };

    private static readonly KindManner Saw = new(
        new("Take the handle off the plate", [], W("Hold the far side of each nut; ease all a quarter turn before any comes out.")),
        new("Put the handle on the plate", [], W("Seat it by hand, never by the nuts.")),
        [W("points", PartIds.Plate), W("rake", PartIds.Plate), W("set", PartIds.Plate), W("the order of the nuts", PartIds.SawNuts)],
        Trial: "One crosscut in soft wood: does it wander, and to which side?");

    private static readonly Dictionary<KindId, KindManner> Known = new()
    {
        [KindIds.MetalBenchPlane] = new(
            new("Take it apart", [LeverCap, W("irons"), W("frog", PartIds.Frog), Knob, Tote],
                W("Cap iron off its iron last, swung crosswise.", PartIds.CapIron)),
            new("Put it together", [W("frog", PartIds.Frog), Tote, Knob, W("irons drawn back"), LeverCap],
                W("Frog square to the mouth before its screws are tight.", PartIds.Frog), W("The tote's toe screw last.", PartIds.ToteToeScrew)),
            [W("frog position", PartIds.Frog), W("cap set-back", PartIds.CapIron), W("lever tension", PartIds.LeverCap)],
            [W("sole"), W("cheeks"), W("frog seat", PartIds.Frog), W("mouth"), W("the frog's face", PartIds.Frog)]),
        [KindIds.WoodenBenchPlane] = new(
            new("Free wedge and irons", [],
                W("Hold iron and wedge, strike the button or the top of the toe; the heel on a smoother. Never the wedge sideways."))
                { Then = W("then part cap iron from iron", PartIds.CapIron) },
            new("Put it together", [W("irons drawn back"), W("wedge by a tap")],
                W("Cap iron on crosswise.", PartIds.CapIron), W("Wedge firm by a tap, not driven.")), []) { About = PartIds.Wedge },
        [KindIds.RebatePlane] = WedgedPlane,
        [KindIds.ToothingPlane] = WedgedPlane,
        [KindIds.PloughPlane] = new(
            new("Take it apart", [W("wedge and iron"), W("stem wedges", PartIds.StemWedge), W("fence", PartIds.Fence), W("depth stop", PartIds.DepthStop)],
                W("Knock the stem wedges back, never the stems forward.", PartIds.StemWedge)),
            new("Put it together", [W("fence", PartIds.Fence), W("stem wedges", PartIds.StemWedge), W("iron"), W("wedge")],
                W("Fence parallel to the skate before its wedges are tapped.", PartIds.Fence)),
            [W("fence", PartIds.Fence), W("depth stop", PartIds.DepthStop), W("which iron is in it")]),
        [KindIds.BlockPlane] = new(
            new("Take it apart", [LeverCap, W("iron"), W("adjuster", PartIds.Adjuster), Knob, W("toe", PartIds.ToePlate)],
                W("Count the turns of the adjuster as it comes off.", PartIds.Adjuster)),
            new("Put it together", [W("toe", PartIds.ToePlate), Knob, W("adjuster", PartIds.Adjuster), W("iron drawn back"), LeverCap],
                W("Bevel up."), W("The toe slides before it is locked.", PartIds.ToePlate)),
            [W("the toe", PartIds.ToePlate), W("the depth it stands at")],
            [W("sole"), W("cheeks"), W("bed"), W("the slide of the toe", PartIds.ToePlate)]),
        [KindIds.ScraperPlane] = new(
            new("Take it apart", [W("clamp", PartIds.Clamp), W("blade"), W("tilt nuts", PartIds.TiltNuts), W("frame", PartIds.Frame), Knob, Tote],
                W("Tilt nuts first, both of them, or the rod bends.", PartIds.TiltNuts)),
            new("Put it together", [W("frame", PartIds.Frame), W("tilt nuts", PartIds.TiltNuts), W("blade"), W("clamp", PartIds.Clamp), Knob, Tote],
                W("Both tilt nuts loose until the blade stands.", PartIds.TiltNuts)),
            [W("the lean of the blade"), W("the nuts that hold it", PartIds.TiltNuts)],
            [W("sole"), W("cheeks"), W("the hinge of the frame", PartIds.Frame)]),
        [KindIds.Spokeshave] = new(
            new("Take it apart", [W("cap", PartIds.LeverCap), W("iron"), W("adjusting nuts", PartIds.Adjuster)],
                W("Note which screw came from which hole.", PartIds.CapScrew, PartIds.LeverCapScrew)),
            new("Put it together", [W("adjusting nuts", PartIds.Adjuster), W("iron drawn back"), W("cap", PartIds.LeverCap)],
                W("Iron level with the sole before the cap is tight.", PartIds.LeverCap)), [],
            [W("sole"), W("bed"), W("the seat of the cap", PartIds.LeverCap)], Jig: false),
        [KindIds.HandSaw] = Saw,
        [KindIds.BackSaw] = Saw,
        [KindIds.Chisel] = KindManner.Plain with { Trial = "One cut across end grain of soft wood." },
        [KindIds.Drawknife] = KindManner.Plain with { Trial = "One pass along a piece of green wood.", Jig = false },
        [KindIds.AdjustableWrench] = new(
            new("Take it apart", [W("spindle", PartIds.Spindle), W("knurl", PartIds.Knurl), W("sliding jaw", PartIds.SlidingJaw)],
                W("Turn the jaw right out over a cloth, so that nothing rolls away.", PartIds.SlidingJaw)),
            new("Put it together", [W("jaw", PartIds.SlidingJaw), W("knurl", PartIds.Knurl), W("spindle", PartIds.Spindle)],
                W("The spindle last, its spring the right way round.", PartIds.Spindle)),
            [W("the play"), W("which way the knurl is in", PartIds.Knurl)]),
        [KindIds.HandDrill] = new(
            new("Take it apart", [W("crank", PartIds.Crank), W("gear", PartIds.Gear), OnePinion, TwoPinions,
                W("chuck", PartIds.Chuck)], W("Gear off before the pinion.", PartIds.Pinion) with { Unless = PartIds.IdlerPinion },
                W("Gear off before the pinions.", PartIds.IdlerPinion), W("Chuck last, in a cloth.", PartIds.Chuck)),
            new("Put it together", [OnePinion, TwoPinions, W("gear", PartIds.Gear), W("crank", PartIds.Crank),
                W("chuck", PartIds.Chuck)], W("Pins thick end first, in at the mark. Mesh set by hand before it is tight.", PartIds.Pinion)),
            [W("how the chuck parts lie and which way they face", PartIds.Chuck)],
            [W("gear teeth"), W("bearings"), W("the axle")]),
        [KindIds.Brace] = new(
            new("Take it apart", [W("chuck shell", PartIds.Chuck), W("jaws", PartIds.ChuckJaws), W("ratchet", PartIds.Ratchet), W("head", PartIds.HeadHandle)],
                W("Shell off, jaws out together.", PartIds.ChuckJaws), W("The head only if it grinds.", PartIds.HeadHandle)),
            new("Put it together", [W("ratchet", PartIds.Ratchet), W("jaws", PartIds.ChuckJaws), W("chuck shell", PartIds.Chuck),
                W("head", PartIds.HeadHandle)], W("By the pictures; pins thick end first.")),
            [W("how the chuck parts lie and which way they face", PartIds.Chuck)]),
        [KindIds.BoltCutter] = new(
            new("Take it apart", [W("jaw bolts", PartIds.Bolts), W("straps", PartIds.Strap), W("jaws"), W("pivot", PartIds.Pivot)],
                W("Bend the lock tabs down once, with one flat blow.", PartIds.Bolts)),
            new("Put it together", [W("jaws"), W("straps", PartIds.Strap), W("jaw bolts", PartIds.Bolts), W("pivot", PartIds.Pivot)],
                W("Straps on both sides before any nut is tight.", PartIds.Strap), W("New tabs bent once.", PartIds.Bolts)),
            [W("the stops", PartIds.Stops), W("the gap of the closed jaws")],
            [W("jaws"), W("pivot faces"), W("stops", PartIds.Stops)]),
        [KindIds.Pruner] = new(
            new("Take it apart", [W("spring", PartIds.Spring), W("lock tab", PartIds.Pivot), W("pivot", PartIds.Pivot), W("blade", PartIds.Blade)],
                W("Open it wide before the spring is touched.", PartIds.Spring)),
            new("Put it together", [W("blade", PartIds.Blade), W("pivot", PartIds.Pivot), W("lock tab", PartIds.Pivot), W("spring", PartIds.Spring)],
                W("The spring last, handles open.", PartIds.Spring)),
            [W("the notch of the pivot", PartIds.Pivot), W("how far it opens")]),
    };

    /// <summary>The manner of a kind.</summary>
    public static KindManner Of(KindId kind) => Known.GetValueOrDefault(kind, KindManner.Plain);
}
