using System.Globalization;

namespace Foundling.Core.Units;

/// <summary>What a quantity is counted in.</summary>
public enum Unit
{
    /// <summary>Millimetres.</summary>
    Millimetres,

    /// <summary>Degrees of an angle.</summary>
    Degrees,

    /// <summary>Points of a saw to the inch.</summary>
    PointsPerInch,

    /// <summary>A number of things.</summary>
    Pieces,

    /// <summary>Grams.</summary>
    Grams,

    /// <summary>Minutes.</summary>
    Minutes,

    /// <summary>Degrees Celsius.</summary>
    Celsius,

    /// <summary>Hundredths.</summary>
    Percent,
}

/// <summary>A value that travels between rooms: what it is counted in and how far it may be off go with it.</summary>
/// <param name="Value">The value, in its unit.</param>
/// <param name="Unit">What it is counted in.</param>
/// <param name="Uncertainty">How far it may be off to either side, in the same unit; 0 for a count.</param>
public readonly record struct Quantity(double Value, Unit Unit, double Uncertainty = 0)
{
    /// <summary>The value in the unit that is meant.</summary>
    /// <param name="unit">The unit a formula wants.</param>
    /// <exception cref="InvalidOperationException">It is counted in something else: a programming error.</exception>
    public double In(Unit unit) => unit == Unit ? Value
        : throw new InvalidOperationException($"A quantity in {Unit} was asked for in {unit}.");

    /// <summary>How a unit is written behind a number; empty for a number of things.</summary>
    public static string Sign(Unit unit) => unit switch
    {
        Unit.Millimetres => "mm",
        Unit.Degrees => "°",
        Unit.PointsPerInch => "points to the inch",
        Unit.Grams => "g",
        Unit.Minutes => "min",
        Unit.Celsius => "°C",
        Unit.Percent => "%",
        _ => "",
    };

    /// <summary>The value with its unit, as in <c>2.05 mm</c>.</summary>
    public override string ToString() =>
        $"{Value.ToString("0.###", CultureInfo.InvariantCulture)}{(Unit == Unit.Degrees ? "" : " ")}{Sign(Unit)}".TrimEnd();
}
