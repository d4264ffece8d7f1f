using Foundling.Core.Tools;
using Foundling.Core.Units;

namespace Foundling.Core.State;

/// <summary>Something that is known to be wrong, or notable, on a part.</summary>
/// <param name="Part">Part it is on.</param>
/// <param name="Kind">What is wrong.</param>
/// <param name="Severity">How much, 0 to 4 on the written scale.</param>
public sealed record Found(PartId Part, FindingKind Kind, int Severity)
{
    /// <summary>Place on the part; empty when it does not matter.</summary>
    public string Place { get; init; } = "";

    /// <summary>Where, and anything else, in words.</summary>
    public string Note { get; init; } = "";

    /// <summary>What is still to be found out; the degree is a guess until then. Empty when nothing is.</summary>
    public string Doubt { get; init; } = "";

    /// <summary>Distance from the edge for pits and chips, mm.</summary>
    public double? FromEdgeMm { get; init; }

    /// <summary>Where it begins across the edge, from its left corner, back up and edge down, mm; none for across the whole width.</summary>
    public double? FromLeftMm { get; init; }

    /// <summary>Where it ends across the edge, mm; none for across the whole width.</summary>
    public double? ToLeftMm { get; init; }

    /// <summary>How deep a pit, chip or crack goes, mm.</summary>
    public double? DepthMm { get; init; }

    /// <summary>How long or wide it is, mm.</summary>
    public double? SizeMm { get; init; }

    /// <summary>A replacement is on order.</summary>
    public bool OnOrder { get; init; }

    /// <summary>When the replacement should come.</summary>
    public DateOnly? ArrivesOn { get; init; }
}

/// <summary>Something that was measured on a part.</summary>
/// <param name="Part">Part measured.</param>
/// <param name="Measure">What was measured.</param>
/// <param name="Quantity">The value with its unit and how far it may be off.</param>
/// <param name="With">What it was measured with.</param>
public sealed record Reading(PartId Part, MeasureId Measure, Quantity Quantity, Instrument With);
