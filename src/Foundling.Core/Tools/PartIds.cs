namespace Foundling.Core.Tools;

/// <summary>Keys of the parts the rules speak of, as the drawings and the open formats write them.</summary>
public static class PartIds
{
    /// <summary>Depth adjuster.</summary>
    public static readonly PartId Adjuster = PartId.Of("adjuster");

    /// <summary>Hook.</summary>
    public static readonly PartId Anvil = PartId.Of("anvil");

    /// <summary>Back.</summary>
    public static readonly PartId Back = PartId.Of("back");

    /// <summary>Bit.</summary>
    public static readonly PartId Bit = PartId.Of("bit");

    /// <summary>Blade.</summary>
    public static readonly PartId Blade = PartId.Of("blade");

    /// <summary>Body.</summary>
    public static readonly PartId Body = PartId.Of("body");

    /// <summary>Bolster.</summary>
    public static readonly PartId Bolster = PartId.Of("bolster");

    /// <summary>Jaw bolts.</summary>
    public static readonly PartId Bolts = PartId.Of("bolts");

    /// <summary>Cam ring.</summary>
    public static readonly PartId CamRing = PartId.Of("cam_ring");

    /// <summary>Cap iron.</summary>
    public static readonly PartId CapIron = PartId.Of("cap_iron");

    /// <summary>Cap iron screw.</summary>
    public static readonly PartId CapIronScrew = PartId.Of("cap_iron_screw");

    /// <summary>Cap screw.</summary>
    public static readonly PartId CapScrew = PartId.Of("cap_screw");

    /// <summary>Catch.</summary>
    public static readonly PartId Catch = PartId.Of("catch");

    /// <summary>Chuck shell.</summary>
    public static readonly PartId Chuck = PartId.Of("chuck");

    /// <summary>Chuck jaws.</summary>
    public static readonly PartId ChuckJaws = PartId.Of("chuck_jaws");

    /// <summary>Clamp.</summary>
    public static readonly PartId Clamp = PartId.Of("clamp");

    /// <summary>Clamp screw.</summary>
    public static readonly PartId ClampScrew = PartId.Of("clamp_screw");

    /// <summary>Crank.</summary>
    public static readonly PartId Crank = PartId.Of("crank");

    /// <summary>Crank knob.</summary>
    public static readonly PartId CrankHandle = PartId.Of("crank_handle");

    /// <summary>Front ring.</summary>
    public static readonly PartId CrankRingFront = PartId.Of("crank_ring_front");

    /// <summary>Rear ring.</summary>
    public static readonly PartId CrankRingRear = PartId.Of("crank_ring_rear");

    /// <summary>Crank screw.</summary>
    public static readonly PartId CrankScrew = PartId.Of("crank_screw");

    /// <summary>Depth stop.</summary>
    public static readonly PartId DepthStop = PartId.Of("depth_stop");

    /// <summary>Hoop.</summary>
    public static readonly PartId EndCap = PartId.Of("end_cap");

    /// <summary>Left rivet.</summary>
    public static readonly PartId EndCapLeft = PartId.Of("end_cap_left");

    /// <summary>Right rivet.</summary>
    public static readonly PartId EndCapRight = PartId.Of("end_cap_right");

    /// <summary>Fence.</summary>
    public static readonly PartId Fence = PartId.Of("fence");

    /// <summary>Ferrule.</summary>
    public static readonly PartId Ferrule = PartId.Of("ferrule");

    /// <summary>Left ferrule.</summary>
    public static readonly PartId FerruleLeft = PartId.Of("ferrule_left");

    /// <summary>Right ferrule.</summary>
    public static readonly PartId FerruleRight = PartId.Of("ferrule_right");

    /// <summary>Fixed jaw.</summary>
    public static readonly PartId FixedJaw = PartId.Of("fixed_jaw");

    /// <summary>Frame.</summary>
    public static readonly PartId Frame = PartId.Of("frame");

    /// <summary>Frog.</summary>
    public static readonly PartId Frog = PartId.Of("frog");

    /// <summary>Frog screws.</summary>
    public static readonly PartId FrogScrews = PartId.Of("frog_screws");

    /// <summary>Gear.</summary>
    public static readonly PartId Gear = PartId.Of("gear");

    /// <summary>Grip.</summary>
    public static readonly PartId Grip = PartId.Of("grip");

    /// <summary>Haft.</summary>
    public static readonly PartId Haft = PartId.Of("haft");

    /// <summary>Handle.</summary>
    public static readonly PartId Handle = PartId.Of("handle");

    /// <summary>Left handle.</summary>
    public static readonly PartId HandleLeft = PartId.Of("handle_left");

    /// <summary>Right handle.</summary>
    public static readonly PartId HandleRight = PartId.Of("handle_right");

    /// <summary>Head.</summary>
    public static readonly PartId Head = PartId.Of("head");

    /// <summary>Head.</summary>
    public static readonly PartId HeadHandle = PartId.Of("head_handle");

    /// <summary>Idler pinion.</summary>
    public static readonly PartId IdlerPinion = PartId.Of("idler_pinion");

    /// <summary>Iron.</summary>
    public static readonly PartId Iron = PartId.Of("iron");

    /// <summary>Knob.</summary>
    public static readonly PartId Knob = PartId.Of("knob");

    /// <summary>Knob rod and nut.</summary>
    public static readonly PartId KnobBolt = PartId.Of("knob_bolt");

    /// <summary>Knurl.</summary>
    public static readonly PartId Knurl = PartId.Of("knurl");

    /// <summary>Lateral lever.</summary>
    public static readonly PartId LateralLever = PartId.Of("lateral_lever");

    /// <summary>Lever cap.</summary>
    public static readonly PartId LeverCap = PartId.Of("lever_cap");

    /// <summary>Lever cap screw.</summary>
    public static readonly PartId LeverCapScrew = PartId.Of("lever_cap_screw");

    /// <summary>Lower arm.</summary>
    public static readonly PartId LowerArm = PartId.Of("lower_arm");

    /// <summary>Lower grip.</summary>
    public static readonly PartId LowerGrip = PartId.Of("lower_grip");

    /// <summary>Lower handle.</summary>
    public static readonly PartId LowerHandle = PartId.Of("lower_handle");

    /// <summary>Lower jaw.</summary>
    public static readonly PartId LowerJaw = PartId.Of("lower_jaw");

    /// <summary>Medallion.</summary>
    public static readonly PartId Medallion = PartId.Of("medallion");

    /// <summary>Pawls.</summary>
    public static readonly PartId Pawl = PartId.Of("pawl");

    /// <summary>Pinion.</summary>
    public static readonly PartId Pinion = PartId.Of("pinion");

    /// <summary>Pivot bolt.</summary>
    public static readonly PartId Pivot = PartId.Of("pivot");

    /// <summary>Plate.</summary>
    public static readonly PartId Plate = PartId.Of("plate");

    /// <summary>Poll.</summary>
    public static readonly PartId Poll = PartId.Of("poll");

    /// <summary>Post.</summary>
    public static readonly PartId Post = PartId.Of("post");

    /// <summary>Quill.</summary>
    public static readonly PartId Quill = PartId.Of("quill");

    /// <summary>Ratchet.</summary>
    public static readonly PartId Ratchet = PartId.Of("ratchet");

    /// <summary>Saw nuts.</summary>
    public static readonly PartId SawNuts = PartId.Of("saw_nuts");

    /// <summary>Side ferrule.</summary>
    public static readonly PartId SideFerrule = PartId.Of("side_ferrule");

    /// <summary>Side handle.</summary>
    public static readonly PartId SideHandle = PartId.Of("side_handle");

    /// <summary>Skate.</summary>
    public static readonly PartId Skate = PartId.Of("skate");

    /// <summary>Sliding jaw.</summary>
    public static readonly PartId SlidingJaw = PartId.Of("sliding_jaw");

    /// <summary>Spindle.</summary>
    public static readonly PartId Spindle = PartId.Of("spindle");

    /// <summary>Spring.</summary>
    public static readonly PartId Spring = PartId.Of("spring");

    /// <summary>Stems.</summary>
    public static readonly PartId Stem = PartId.Of("stem");

    /// <summary>Stem wedges.</summary>
    public static readonly PartId StemWedge = PartId.Of("stem_wedge");

    /// <summary>Stops.</summary>
    public static readonly PartId Stops = PartId.Of("stops");

    /// <summary>Straps.</summary>
    public static readonly PartId Strap = PartId.Of("strap");

    /// <summary>Strike button.</summary>
    public static readonly PartId Strike = PartId.Of("strike");

    /// <summary>Left tang.</summary>
    public static readonly PartId TangLeft = PartId.Of("tang_left");

    /// <summary>Right tang.</summary>
    public static readonly PartId TangRight = PartId.Of("tang_right");

    /// <summary>Tilt nuts.</summary>
    public static readonly PartId TiltNuts = PartId.Of("tilt_nuts");

    /// <summary>Tilt rod.</summary>
    public static readonly PartId TiltRod = PartId.Of("tilt_rod");

    /// <summary>Toe plate.</summary>
    public static readonly PartId ToePlate = PartId.Of("toe_plate");

    /// <summary>Toggle bolts.</summary>
    public static readonly PartId ToggleBolts = PartId.Of("toggle_bolts");

    /// <summary>Tote.</summary>
    public static readonly PartId Tote = PartId.Of("tote");

    /// <summary>Tote rod and nut.</summary>
    public static readonly PartId ToteBolt = PartId.Of("tote_bolt");

    /// <summary>Tote toe screw.</summary>
    public static readonly PartId ToteToeScrew = PartId.Of("tote_toe_screw");

    /// <summary>Upper arm.</summary>
    public static readonly PartId UpperArm = PartId.Of("upper_arm");

    /// <summary>Upper grip.</summary>
    public static readonly PartId UpperGrip = PartId.Of("upper_grip");

    /// <summary>Upper handle.</summary>
    public static readonly PartId UpperHandle = PartId.Of("upper_handle");

    /// <summary>Upper jaw.</summary>
    public static readonly PartId UpperJaw = PartId.Of("upper_jaw");

    /// <summary>Wedge.</summary>
    public static readonly PartId Wedge = PartId.Of("wedge");

    /// <summary>Yoke.</summary>
    public static readonly PartId Yoke = PartId.Of("yoke");

    /// <summary>Yoke pin.</summary>
    public static readonly PartId YokePin = PartId.Of("yoke_pin");

    /// <summary>One of the further irons of a plough, counted from 2.</summary>
    public static PartId Set(int number) => PartId.Of($"set_{number}");

    /// <summary>Harder wood let into a sole.</summary>
    public static readonly PartId Boxing = PartId.Of("boxing");

    /// <summary>A strip of metal in a wooden sole.</summary>
    public static readonly PartId WearStrip = PartId.Of("wear_strip");

    /// <summary>Screws of a frame on wood.</summary>
    public static readonly PartId FrameScrews = PartId.Of("frame_screws");

    /// <summary>A collar that draws a cutter to its post.</summary>
    public static readonly PartId Collar = PartId.Of("collar");

    /// <summary>The cord of a frame saw.</summary>
    public static readonly PartId Cord = PartId.Of("cord");

    /// <summary>The stick that winds it.</summary>
    public static readonly PartId Toggle = PartId.Of("toggle");

    /// <summary>Its left peg.</summary>
    public static readonly PartId PegLeft = PartId.Of("peg_left");

    /// <summary>The pad of a keyhole saw.</summary>
    public static readonly PartId Pad = PartId.Of("pad");

    /// <summary>Screws of a pad.</summary>
    public static readonly PartId PadScrews = PartId.Of("pad_screws");

    /// <summary>The pin of a toothed jaw.</summary>
    public static readonly PartId HeelPin = PartId.Of("heel_pin");

    /// <summary>A tang through a handle.</summary>
    public static readonly PartId Tang = PartId.Of("tang");

    /// <summary>A stretcher between two arms.</summary>
    public static readonly PartId Stretcher = PartId.Of("stretcher");

    /// <summary>The left arm of a frame.</summary>
    public static readonly PartId ArmLeft = PartId.Of("arm_left");

    /// <summary>The right arm of a frame.</summary>
    public static readonly PartId ArmRight = PartId.Of("arm_right");

    /// <summary>The right peg of a frame saw.</summary>
    public static readonly PartId PegRight = PartId.Of("peg_right");

    /// <summary>Springs that hold a jaw back.</summary>
    public static readonly PartId Springs = PartId.Of("springs");
}
