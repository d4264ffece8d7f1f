namespace Foundling.Core.Saws;

/// <summary>A tooth line that is breasted, or a back that is bowed.</summary>
/// <param name="ChordMm">From end to end, mm.</param>
/// <param name="SagittaMm">How far its middle stands off the straight between the ends, mm.</param>
public sealed record BreastInput(double ChordMm, double SagittaMm);

/// <summary>Its curve.</summary>
/// <param name="Straight">True for none.</param>
/// <param name="RadiusMm">Radius of the curve, mm; null where it is straight.</param>
public sealed record BreastResult(bool Straight, double? RadiusMm);

/// <summary>Light under a straightedge along a plate.</summary>
/// <param name="LengthMm">Length of the straightedge that touches at both ends, mm.</param>
/// <param name="ReadingsMm">Gaps [from the heel, gap], mm, the plate standing on its teeth.</param>
public sealed record BowInput(double LengthMm, IReadOnlyList<double[]> ReadingsMm);

/// <summary>What ails a plate.</summary>
public enum PlateBend
{
    /// <summary>Nothing.</summary>
    Straight,

    /// <summary>An even bow.</summary>
    Bow,

    /// <summary>A kink at one place.</summary>
    Kink,
}

/// <summary>A bow or a kink, and where.</summary>
/// <param name="Is">Which.</param>
/// <param name="MostMm">The widest gap, mm.</param>
/// <param name="AtMm">Where, mm from the heel.</param>
/// <param name="Says">What to do, in a sentence.</param>
public sealed record BowResult(PlateBend Is, double MostMm, double AtMm, string Says);

/// <summary>Plates and tooth lines that are not straight.</summary>
public static class Straightness
{
    private const int MostReadings = 200;
    private const double MostGapMm = 200;

    /// <summary>Radius of a breasted edge from its sagitta: (c²/4 + s²) / 2s.</summary>
    public static BreastResult Breast(BreastInput input)
    {
        double chord = Check.Within(Check.Positive(input.ChordMm, "chord_mm"), 0, Tooth.MostLengthMm, "chord_mm");
        double sagitta = Check.Within(input.SagittaMm, 0, chord / 2, "sagitta_mm");
        return sagitta <= Whole.Slack ? new BreastResult(true, null) : new BreastResult(false, ((chord * chord / 4) + (sagitta * sagitta)) / (2 * sagitta));
    }

    /// <summary>
    /// A bow bends evenly, so its gaps follow a curve; a kink bends at one place, so they follow two straights. The better of the two says which.
    /// </summary>
    /// <exception cref="InputException">Fewer than three readings, or one off the plate.</exception>
    public static BowResult Bow(BowInput input, Assumptions a)
    {
        double length = Check.Within(Check.Positive(input.LengthMm, "length_mm"), 0, Tooth.MostLengthMm, "length_mm");
        if (input.ReadingsMm.Count is < 3 or > MostReadings || input.ReadingsMm.Any(r => r.Length != 2))
        {
            throw new InputException("too_few_readings", "readings_mm", input.ReadingsMm.Count, "three readings or more, each a place and a gap",
                "Read the gap at three places or more, each with how far it is from the heel.");
        }
        List<(double X, double Gap)> at = [.. input.ReadingsMm.Select(r => (Check.Within(r[0], 0, length, "readings_mm"), Check.Within(r[1], 0, MostGapMm,
            "readings_mm"))).OrderBy(r => r.Item1)];
        (double where, double most) = at.MaxBy(r => r.Gap);
        if (most <= a.StraightSawMm + Whole.Slack)
        {
            return new BowResult(PlateBend.Straight, most, where, "Straight enough: it cuts straight when it is tensioned by the hand.");
        }
        double Even((double X, double Gap) r) => 4 * most * r.X * (length - r.X) / (length * length);
        double Broken((double X, double Gap) r) => r.X <= where ? where <= 0 ? most : most * r.X / where
            : where >= length ? most : most * (length - r.X) / (length - where);
        double Off(Func<(double, double), double> by) => at.Sum(r => Math.Pow(r.Gap - by(r), 2));
        return Off(Even) <= Off(Broken)
            ? new BowResult(PlateBend.Bow, most, where, "An even bow: bend the plate the other way by hand, a little past straight, sight along it, and again.")
            : new BowResult(PlateBend.Kink, most, where, "A kink: bend it back over a round edge just there, never hammered on its peak; a sharp one stays.");
    }
}
