namespace Foundling.Core.Soles;

/// <summary>Winding sticks on a wooden sole, mm and degrees.</summary>
public sealed record WoodenSoleInput(
    double StickDifferenceMm, double StickLengthMm, double BodyWidthMm, double BedDeg, double WearDeg, double MouthMm, double HollowMm = 0);

/// <summary>What truing the sole takes and what it does to the mouth, mm.</summary>
public sealed record WoodenSoleResult(double WindMm, double RemovalAtHighCornersMm, double MouthOpensMm, double NewMouthMm);

/// <summary>What is planed off the corners of a sole first, mm.</summary>
/// <param name="ToeNear">Toe, near edge.</param>
/// <param name="ToeFar">Toe, far edge.</param>
/// <param name="HeelNear">Heel, near edge.</param>
/// <param name="HeelFar">Heel, far edge.</param>
public sealed record WoodenCorners(double ToeNear, double ToeFar, double HeelNear, double HeelFar);

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

    /// <summary>
    /// Where to begin: the two high corners across from one another, or both ends alike where the hollow is deeper than half the wind. The
    /// sticks differ by more than nothing when the heel's stands high over the far edge.
    /// </summary>
    public static WoodenCorners Corners(WoodenSoleInput input)
    {
        WoodenSoleResult of = Of(input);
        double off = of.RemovalAtHighCornersMm;
        return input.HollowMm > Math.Abs(of.WindMm) / 2 ? new WoodenCorners(off, off, off, off)
            : of.WindMm >= 0 ? new WoodenCorners(off, 0, 0, off) : new WoodenCorners(0, off, off, 0);
    }

    /// <summary>Whether the mouth is too wide afterwards for what the plane is for, in a sentence.</summary>
    /// <param name="result">The sole, trued.</param>
    /// <param name="purpose">What the plane is for; null for no particular purpose.</param>
    /// <param name="a">How wide mouths may be.</param>
    public static string MouthSays(WoodenSoleResult result, SolePurpose? purpose, Assumptions a)
    {
        double most = purpose switch
        {
            SolePurpose.Smoothing => a.MouthSmoothingMm, SolePurpose.Jack => a.MouthJackMm, SolePurpose.Try => a.MouthTryMm, _ => a.MouthOtherMm,
        };
        return result.NewMouthMm > most + Whole.Slack
            ? $"A mouth of {result.NewMouthMm:0.0} mm is wide for that work, which wants {most:0.#} mm or less: let a piece into the sole before the mouth."
            : $"The mouth stays within the {most:0.#} mm that work bears: no piece is wanted.";
    }
}
