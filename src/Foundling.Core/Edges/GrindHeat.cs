namespace Foundling.Core.Edges;

/// <summary>A colour that heat leaves on bright steel.</summary>
/// <param name="Colour">The colour.</param>
/// <param name="FromC">From this heat on, °C.</param>
/// <param name="ToC">Up to this one, °C.</param>
/// <param name="HardLow">Hardness to expect, Rockwell C, at least.</param>
/// <param name="HardHigh">At most.</param>
/// <param name="Kept">What became of the hardness of an edge.</param>
/// <param name="Means">What it means in use.</param>
public sealed record TemperColour(string Colour, double FromC, double ToC, int HardLow, int HardHigh, HardnessKept Kept, string Means);

/// <summary>What became of the hardness of an edge.</summary>
public enum HardnessKept
{
    /// <summary>It is as it was.</summary>
    Kept,

    /// <summary>Some of it went.</summary>
    Reduced,

    /// <summary>It is gone.</summary>
    Lost,
}

/// <summary>Grinding a volume of hardened steel without drawing its temper.</summary>
/// <param name="Minutes">Minutes in all, dips among them.</param>
/// <param name="ContactSeconds">Seconds on the stone or paper.</param>
/// <param name="Dips">Dips into water; 0 for what stays cool.</param>
/// <param name="Strokes">Seconds of contact before each dip.</param>
public sealed record GrindHeat(double Minutes, double ContactSeconds, int Dips, double Strokes)
{
    /// <summary>Works it out.</summary>
    /// <param name="volumeMm3">Steel to take off, mm³.</param>
    /// <param name="on">What it is ground on.</param>
    /// <param name="a">Rates, and how often to dip.</param>
    public static GrindHeat Of(double volumeMm3, GrindOn on, Assumptions a)
    {
        double all = Edge.Minutes(Check.NotNegative(volumeMm3, "volume_mm3"), on, a), contact = volumeMm3 / Edge.Rate(on, a) * 60;
        return new GrindHeat(all, contact, on == GrindOn.BenchGrinder ? Whole.Ceiling(contact / a.DipEverySeconds) : 0, a.DipEverySeconds);
    }
}

/// <summary>Grinding an edge back: straight across first, then the bevel anew.</summary>
/// <param name="StraightMm3">Steel the straight cut takes, mm³.</param>
/// <param name="BevelMm3">Steel the new bevel takes, mm³.</param>
/// <param name="FlatMm">How thick the blunt edge stands before the bevel is made anew, mm.</param>
public sealed record GroundBack(double StraightMm3, double BevelMm3, double FlatMm)
{
    /// <summary>The two parts of the volume w t x: what a straight cut takes from a bevelled end, and the rest.</summary>
    /// <param name="widthMm">Width of the edge, mm.</param>
    /// <param name="thicknessMm">Thickness of the iron, mm.</param>
    /// <param name="bevelDeg">Its bevel, degrees.</param>
    /// <param name="backMm">How far it goes back, mm.</param>
    public static GroundBack Of(double widthMm, double thicknessMm, double bevelDeg, double backMm)
    {
        double w = Check.Positive(widthMm, "width_mm"), t = Check.Positive(thicknessMm, "thickness_mm"), x = Check.NotNegative(backMm, "setback_mm");
        double slope = Math.Tan(Edge.Rad(Check.Between(bevelDeg, 0, 90, "bevel_deg"))), flat = Math.Min(t, x * slope), ramp = flat / slope;
        double straight = w * ((ramp * flat / 2) + ((x - ramp) * t));
        return new GroundBack(straight, (w * t * x) - straight, flat);
    }
}
