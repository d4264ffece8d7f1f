namespace Foundling.Core.Units;

/// <summary>What a number without a unit is.</summary>
public enum BareUnit
{
    /// <summary>Millimetres.</summary>
    Millimetres,

    /// <summary>Thousandths of a millimetre.</summary>
    Micrometres,

    /// <summary>Inches.</summary>
    Inches,

    /// <summary>Thousandths of an inch.</summary>
    Thou,
}
