namespace Foundling.Core.State;

/// <summary>Keys of everything that is measured, as they stand in files and in the store.</summary>
public static class MeasureIds
{
    /// <summary>Length.</summary>
    public static readonly MeasureId Length = MeasureId.Of("length");

    /// <summary>Thickness.</summary>
    public static readonly MeasureId Thickness = MeasureId.Of("thickness");

    /// <summary>From the edge to the end of the slot.</summary>
    public static readonly MeasureId EdgeToSlot = MeasureId.Of("edge_to_slot");

    /// <summary>From the edge to the line of the hard bit.</summary>
    public static readonly MeasureId EdgeToBitLine = MeasureId.Of("edge_to_bit_line");

    /// <summary>From the edge to where a file bites.</summary>
    public static readonly MeasureId EdgeToHardEnd = MeasureId.Of("edge_to_hard_end");

    /// <summary>How far the edge is out of square.</summary>
    public static readonly MeasureId OutOfSquare = MeasureId.Of("out_of_square");

    /// <summary>Bow over the whole length.</summary>
    public static readonly MeasureId Bow = MeasureId.Of("bow");

    /// <summary>A kink.</summary>
    public static readonly MeasureId Kink = MeasureId.Of("kink");

    /// <summary>Points of a saw to the inch.</summary>
    public static readonly MeasureId Points = MeasureId.Of("points");

    /// <summary>Missing teeth.</summary>
    public static readonly MeasureId MissingTeeth = MeasureId.Of("missing_teeth");

    /// <summary>Gap of the closed jaws.</summary>
    public static readonly MeasureId JawGap = MeasureId.Of("jaw_gap");

    /// <summary>Play at the tip.</summary>
    public static readonly MeasureId Play = MeasureId.Of("play");

    /// <summary>Run-out of a chuck.</summary>
    public static readonly MeasureId RunOut = MeasureId.Of("run_out");

    /// <summary>Gap under a handle.</summary>
    public static readonly MeasureId HandleGap = MeasureId.Of("handle_gap");

    /// <summary>Rock on a seat.</summary>
    public static readonly MeasureId Rock = MeasureId.Of("rock");

    /// <summary>Mouth opening.</summary>
    public static readonly MeasureId Mouth = MeasureId.Of("mouth");

    /// <summary>How far the cap iron sits behind the edge.</summary>
    public static readonly MeasureId CapSetBack = MeasureId.Of("cap_set_back");

    /// <summary>Light under the edge of the cap iron.</summary>
    public static readonly MeasureId CapLight = MeasureId.Of("cap_light");

    /// <summary>Tenths of a second a spring takes to open it.</summary>
    public static readonly MeasureId OpeningTime = MeasureId.Of("opening_time");

    /// <summary>How far the frog stands behind the front of its seat.</summary>
    public static readonly MeasureId FrogPosition = MeasureId.Of("frog_position");

    /// <summary>The notch a pivot stands at.</summary>
    public static readonly MeasureId PivotNotch = MeasureId.Of("pivot_notch");

    /// <summary>Difference of the winding sticks.</summary>
    public static readonly MeasureId Wind = MeasureId.Of("wind");

    /// <summary>Opening of a spanner's jaw at its tips.</summary>
    public static readonly MeasureId OpeningTips = MeasureId.Of("opening_tips");

    /// <summary>Opening of a spanner's jaw near its floor.</summary>
    public static readonly MeasureId OpeningFloor = MeasureId.Of("opening_floor");

    /// <summary>How far the teeth of a saw lean back.</summary>
    public static readonly MeasureId Rake = MeasureId.Of("rake");

    /// <summary>How far the teeth of a saw are filed aslant.</summary>
    public static readonly MeasureId Fleam = MeasureId.Of("fleam");

    /// <summary>Set of a point of a saw, on its side.</summary>
    public static readonly MeasureId Set = MeasureId.Of("set");

    /// <summary>The angle an edge is ground to.</summary>
    public static readonly MeasureId Bevel = MeasureId.Of("bevel");

    /// <summary>How far the middle of an edge stands out before its corners.</summary>
    public static readonly MeasureId Camber = MeasureId.Of("camber");

    /// <summary>Passes a burr was turned in.</summary>
    public static readonly MeasureId BurrPasses = MeasureId.Of("burr_passes");

    /// <summary>Angle of the first pass of the burnisher.</summary>
    public static readonly MeasureId BurrFirst = MeasureId.Of("burr_first");

    /// <summary>Angle of the last pass of the burnisher.</summary>
    public static readonly MeasureId BurrLast = MeasureId.Of("burr_last");

    /// <summary>Burrs turned since the bevel was filed.</summary>
    public static readonly MeasureId BurrTurns = MeasureId.Of("burr_turns");

    /// <summary>Height of the teeth of a jaw.</summary>
    public static readonly MeasureId ToothHeight = MeasureId.Of("tooth_height");
}
