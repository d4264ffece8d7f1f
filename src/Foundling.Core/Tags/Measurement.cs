using Foundling.Core.Tools;

namespace Foundling.Core.Tags;

/// <summary>What was measured with.</summary>
public enum Instrument
{
    /// <summary>By eye.</summary>
    Eye,

    /// <summary>A steel rule.</summary>
    Rule,

    /// <summary>A caliper.</summary>
    Caliper,

    /// <summary>Feeler gauges, on a straightedge or square.</summary>
    Feeler,

    /// <summary>A dial or bench indicator.</summary>
    Indicator,

    /// <summary>Counted.</summary>
    Count,
}

/// <summary>A kind of measurement that makes sense on a part.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">What is measured, in words.</param>
/// <param name="With">Instrument it is usually taken with.</param>
public sealed record MeasureKind(string Id, string Name, Instrument With)
{
    /// <summary>True for a number of things rather than a length.</summary>
    public bool IsCount => With == Instrument.Count;
}

/// <summary>A measurement as it was taken. Earlier ones are kept.</summary>
public sealed class Measurement
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>Part measured.</summary>
    public PartId Part { get; set; }

    /// <summary>What was measured, a key of <see cref="MeasureKinds"/>.</summary>
    public string Kind { get; set; } = "";

    /// <summary>The value: mm, or a number of things.</summary>
    public double Value { get; set; }

    /// <summary>What it was measured with.</summary>
    public Instrument Instrument { get; set; }

    /// <summary>How far it may be off, mm; 0 for a count.</summary>
    public double UncertaintyMm { get; set; }

    /// <summary>When it was taken.</summary>
    public DateTimeOffset At { get; set; }
}

/// <summary>What can sensibly be measured on which part, and how closely instruments read.</summary>
public static class MeasureKinds
{
    private static readonly MeasureKind
        Length = new("length", "length", Instrument.Rule), Thickness = new("thickness", "thickness", Instrument.Caliper),
        ToSlot = new("edge_to_slot", "edge to the end of the slot", Instrument.Rule),
        BitLine = new("edge_to_bit_line", "edge to the line of the hard bit", Instrument.Rule),
        HardEnd = new("edge_to_hard_end", "edge to where a file bites", Instrument.Rule),
        Square = new("out_of_square", "edge out of square", Instrument.Feeler), Bow = new("bow", "bow over the whole length", Instrument.Feeler),
        Kink = new("kink", "kink", Instrument.Feeler), Points = new("points", "points to the inch", Instrument.Count),
        MissingTeeth = new("missing_teeth", "missing teeth", Instrument.Count), JawGap = new("jaw_gap", "gap of the closed jaws", Instrument.Feeler),
        Play = new("play", "play at the tip", Instrument.Indicator),
        RunOut = new("run_out", "run-out of the chuck", Instrument.Indicator), HandleGap = new("handle_gap", "gap under the handle", Instrument.Feeler),
        Rock = new("rock", "rock on its seat", Instrument.Feeler),
        Mouth = new("mouth", "mouth opening", Instrument.Feeler), Wind = new("wind", "difference of the winding sticks", Instrument.Rule);

    /// <summary>Kinds that make sense for a part of a tool.</summary>
    public static IReadOnlyList<MeasureKind> For(ToolKind tool, PartDef part) => part.Id switch
    {
        var p when p.Is(PartIds.Iron) => [Length, Thickness, ToSlot, BitLine, HardEnd, Square],
        var p when p.Is(PartIds.Plate) => [Bow, Kink, Points, MissingTeeth, Thickness],
        var p when p.Is(PartIds.Frog) => [Rock],
        var p when p.Is(PartIds.Body) && tool.HasWoodenSole => [Mouth, Wind, Length],
        var p when p.Is(PartIds.Body) && tool.Family == Family.Plane => [Mouth, Length],
        var p when p.Is(PartIds.Chuck) => [RunOut],
        var p when p.Is(PartIds.Tote, PartIds.Knob, PartIds.Handle, PartIds.Haft) => [HandleGap, Length],
        var p when p.Is(PartIds.Blade, PartIds.Bit) => [Length, Thickness, HardEnd, Square],
        var p when p.Is(PartIds.SlidingJaw, PartIds.UpperJaw, PartIds.LowerJaw, PartIds.Anvil) => [JawGap, Play],
        _ => [Length, Thickness],
    };

    /// <summary>How far an instrument may be off, mm. The person may say otherwise.</summary>
    public static double UncertaintyMm(Instrument instrument, Assumptions a) => instrument switch
    {
        Instrument.Eye => a.EyeMm,
        Instrument.Rule => a.RuleMm,
        Instrument.Caliper => a.CaliperMm,
        Instrument.Feeler => a.FeelerMm,
        Instrument.Indicator => a.IndicatorMm,
        _ => 0,
    };
}
