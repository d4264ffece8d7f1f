namespace Foundling.Core.Soles;

/// <summary>Winding sticks on a wooden sole, mm and degrees.</summary>
public sealed record WoodenSoleInput(
    double StickDifferenceMm, double StickLengthMm, double BodyWidthMm, double BedDeg, double WearDeg, double MouthMm, double HollowMm = 0);

/// <summary>What truing the sole takes and what it does to the mouth, mm.</summary>
public sealed record WoodenSoleResult(double WindMm, double RemovalAtHighCornersMm, double MouthOpensMm, double NewMouthMm);

/// <summary>Truing wooden soles.</summary>
public static class WoodenSole
{
    /// <summary>Wind from the sticks, metal-free removal and the new mouth.</summary>
    public static WoodenSoleResult Of(WoodenSoleInput input)
    {
        double wind = Check.Finite(input.StickDifferenceMm) * Check.Positive(input.BodyWidthMm) / Check.Positive(input.StickLengthMm);
        double removal = Math.Max(Math.Abs(wind) / 2, Check.NotNegative(input.HollowMm));
        static double Cot(double degrees) => 1 / Math.Tan(degrees * Math.PI / 180);
        double opens = removal * (Cot(Check.Between(input.BedDeg, 0, 180)) + Cot(Check.Between(input.WearDeg, 0, 180)));
        return new WoodenSoleResult(wind, removal, opens, Check.NotNegative(input.MouthMm) + opens);
    }
}
