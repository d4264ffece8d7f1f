using Foundling.Core.State;
using Foundling.Core.Units;

namespace Foundling.Core.Tags;

/// <summary>A measurement as it was taken. Earlier ones are kept.</summary>
public sealed class Measurement
{
    /// <summary>Key.</summary>
    public Guid Id { get; set; }

    /// <summary>Part measured.</summary>
    public PartId Part { get; set; }

    /// <summary>What was measured, a key of <see cref="MeasureKinds"/>.</summary>
    public MeasureId Kind { get; set; }

    /// <summary>The value, in the unit of its kind: mm, degrees, or a number of things.</summary>
    public double Value { get; set; }

    /// <summary>What it was measured with.</summary>
    public Instrument Instrument { get; set; }

    /// <summary>How far it may be off, in the same unit; 0 for a count.</summary>
    public double UncertaintyMm { get; set; }

    /// <summary>When it was taken.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>The reading it gives; null for a measure this version does not know.</summary>
    public Reading? Fact() =>
        MeasureKinds.Find(Kind) is { } kind ? new Reading(Part, Kind, new Quantity(Value, kind.Unit, UncertaintyMm), Instrument) : null;
}
