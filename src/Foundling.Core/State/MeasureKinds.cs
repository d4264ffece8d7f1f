using Foundling.Core.Tools;
using static Foundling.Core.State.MeasureIds;
using Unit = Foundling.Core.Units.Unit;

namespace Foundling.Core.State;

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

    /// <summary>A protractor, or a bevel gauge held to one.</summary>
    Protractor,
}

/// <summary>What can sensibly be measured on which part, and how closely instruments read.</summary>
public static class MeasureKinds
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<MeasureKind> All { get; } =
    [
        new(Length, "length", Instrument.Rule),
        new(Thickness, "thickness", Instrument.Caliper),
        new(EdgeToSlot, "edge to the end of the slot", Instrument.Rule),
        new(EdgeToBitLine, "edge to the line of the hard bit", Instrument.Rule),
        new(EdgeToHardEnd, "edge to where a file bites", Instrument.Rule),
        new(OutOfSquare, "edge out of square", Instrument.Feeler),
        new(Bow, "bow over the whole length", Instrument.Feeler),
        new(Kink, "kink", Instrument.Feeler),
        new(Points, "points to the inch", Instrument.Count, Unit.PointsPerInch),
        new(MissingTeeth, "missing teeth", Instrument.Count, Unit.Pieces),
        new(JawGap, "gap of the closed jaws", Instrument.Feeler),
        new(Play, "play at the tip", Instrument.Indicator),
        new(RunOut, "run-out of the chuck", Instrument.Indicator),
        new(OpeningTips, "opening at the tips", Instrument.Caliper),
        new(OpeningFloor, "opening near the floor", Instrument.Caliper),
        new(ToothHeight, "height of the teeth, in the middle", Instrument.Caliper),
        new(HandleGap, "gap under the handle", Instrument.Feeler),
        new(Rock, "rock on its seat", Instrument.Feeler),
        new(Mouth, "mouth opening", Instrument.Feeler),
        new(CapSetBack, "set-back from the edge, as found", Instrument.Rule),
        new(CapLight, "light under its edge, 0 for none", Instrument.Feeler),
        new(OpeningTime, "time to spring open, tenths of a second", Instrument.Count, Unit.Pieces),
        new(FrogPosition, "distance behind the front of its seat, as found", Instrument.Rule),
        new(PivotNotch, "notch it stands at, as found", Instrument.Count, Unit.Pieces),
        new(Wind, "difference of the winding sticks", Instrument.Rule),
        new(Rake, "its teeth lean back by", Instrument.Protractor, Unit.Degrees),
        new(Fleam, "its teeth are filed aslant by", Instrument.Protractor, Unit.Degrees),
        new(Set, "set of a point, on its side", Instrument.Caliper),
        new(Bevel, "angle it is ground to", Instrument.Protractor, Unit.Degrees),
        new(Camber, "camber of its edge", Instrument.Feeler),
        new(BurrPasses, "passes the burr was turned in", Instrument.Count, Unit.Pieces),
        new(BurrFirst, "first pass of the burnisher", Instrument.Protractor, Unit.Degrees),
        new(BurrLast, "last pass of the burnisher", Instrument.Protractor, Unit.Degrees),
        new(BurrTurns, "burrs turned since its bevel was filed", Instrument.Count, Unit.Pieces),
    ];

    private static readonly Dictionary<MeasureId, MeasureKind> ById = All.ToDictionary(m => m.Id);

    /// <summary>A kind of measurement, or null.</summary>
    public static MeasureKind? Find(MeasureId id) => ById.GetValueOrDefault(id);

    /// <summary>What a measure is counted in.</summary>
    /// <exception cref="KeyNotFoundException">It is none the program knows.</exception>
    public static Unit UnitOf(MeasureId id) => ById[id].Unit;

    /// <summary>Kinds that make sense for a part of a tool.</summary>
    public static IReadOnlyList<MeasureKind> For(ToolKind tool, PartDef part) => [.. Ids(tool, part).Select(m => ById[m])];

    private static MeasureId[] Ids(ToolKind tool, PartDef part) => [.. Shape(tool, part), .. tool.Edges.Contains(part) ? Ground(tool) : []];

    private static MeasureId[] Shape(ToolKind tool, PartDef part) => part switch
    {
        var p when p.Is(PartIds.Iron) => tool.Is(FormIds.SolidIron)
            ? [Length, Thickness, EdgeToSlot, EdgeToHardEnd, OutOfSquare] : [Length, Thickness, EdgeToSlot, EdgeToBitLine, EdgeToHardEnd, OutOfSquare],
        var p when p.Is(PartIds.Plate) => [Bow, Kink, Points, MissingTeeth, Thickness, Rake, Fleam, Set],
        var p when p.Is(PartIds.Frog) => [Rock, FrogPosition],
        var p when p.Is(PartIds.CapIron) => [CapLight, CapSetBack, Length, Thickness],
        var p when p.Is(PartIds.Pivot) && tool.Edge == EdgeForm.Bypass => [PivotNotch, OpeningTime, Play],
        var p when p.Is(PartIds.Body) && tool.HasWoodenSole => [Mouth, Wind, Length],
        var p when p.Is(PartIds.Body) && tool.Family == Family.Plane => [Mouth, Length],
        var p when p.Is(PartIds.Chuck) => [RunOut],
        var p when p.Is(PartIds.Tote, PartIds.Knob, PartIds.Handle, PartIds.Haft) => [HandleGap, Length],
        var p when p.Is(PartIds.Blade, PartIds.Bit) => [Length, Thickness, EdgeToHardEnd, OutOfSquare],
        var p when p.Is(PartIds.FixedJaw, PartIds.SlidingJaw) && tool.Made(PartIds.HeelPin) => [ToothHeight, Play],
        var p when p.Is(PartIds.FixedJaw) && !tool.Made(PartIds.SlidingJaw) => [OpeningTips, OpeningFloor, Thickness],
        var p when p.Is(PartIds.SlidingJaw, PartIds.UpperJaw, PartIds.LowerJaw, PartIds.Anvil) => [JawGap, Play],
        _ => [Length, Thickness],
    };

    private static MeasureId[] Ground(ToolKind tool) => tool.Edge switch
    {
        EdgeForm.Burr => [Bevel, BurrPasses, BurrFirst, BurrLast, BurrTurns],
        EdgeForm.BackAndBevel or EdgeForm.TwoBevels or EdgeForm.FlatFace => [Bevel, Camber],
        EdgeForm.Curved or EdgeForm.Profiled or EdgeForm.Toothed or EdgeForm.Bypass => [Bevel],
        _ => [],
    };

    /// <summary>How far an instrument may be off, mm, degrees for a protractor. The person may say otherwise.</summary>
    public static double UncertaintyMm(Instrument instrument, Assumptions a) => instrument switch
    {
        Instrument.Protractor => a.ProtractorDeg,
        Instrument.Eye => a.EyeMm,
        Instrument.Rule => a.RuleMm,
        Instrument.Caliper => a.CaliperMm,
        Instrument.Feeler => a.FeelerMm,
        Instrument.Indicator => a.IndicatorMm,
        _ => 0,
    };
}
