namespace Foundling.Core.Soles;

/// <summary>Whether one plate rocks on another.</summary>
public enum Rocks
{
    /// <summary>It lies still.</summary>
    Still,

    /// <summary>It rocks from corner to corner.</summary>
    Corners,

    /// <summary>It swings about its middle like a top.</summary>
    Middle,
}

/// <summary>What is known of a plate.</summary>
/// <param name="Laid">How two plates lie face to face; null for not tried.</param>
/// <param name="Turned">The same with one turned by a quarter; null for not tried.</param>
/// <param name="AbMm">Gap in the middle of the plates a and b laid together, mm, below 0 for how far they are proud; null for not measured.</param>
/// <param name="AcMm">The same of a and c.</param>
/// <param name="BcMm">The same of b and c.</param>
/// <param name="PlateLengthMm">Length of the plate, mm.</param>
/// <param name="SoleLengthMm">Length of the sole that is to be lapped on it, mm.</param>
public sealed record PlateInput(Rocks? Laid = null, Rocks? Turned = null, double? AbMm = null, double? AcMm = null, double? BcMm = null,
    double? PlateLengthMm = null, double? SoleLengthMm = null);

/// <summary>What that says.</summary>
/// <param name="Reading">What the rocking says, in a sentence; null for not tried.</param>
/// <param name="AMm">Bow of plate a, mm, hollow positive; null for not measured.</param>
/// <param name="BMm">Bow of plate b.</param>
/// <param name="CMm">Bow of plate c.</param>
/// <param name="NeededLengthMm">Length a plate needs for the sole, mm; null where no sole is given.</param>
/// <param name="LongEnough">Whether it is; null where nobody said how long.</param>
/// <param name="Says">What to do, in a sentence.</param>
public sealed record PlateResult(string? Reading, double? AMm, double? BMm, double? CMm, double? NeededLengthMm, bool? LongEnough, string Says);

/// <summary>Whether a plate is flat and long enough to flatten anything on it.</summary>
public static class PlateCheck
{
    private const double MostMm = 10, LongestMm = 5000;

    /// <summary>Reads two plates that rock or not, three that were compared in pairs, and a plate against the sole.</summary>
    /// <exception cref="InputException">Nothing to read, or only two of the three pairs.</exception>
    public static PlateResult Of(PlateInput input, Assumptions a)
    {
        double?[] pairs = [input.AbMm, input.AcMm, input.BcMm];
        if (pairs.Any(p => p is not null) && pairs.Any(p => p is null))
        {
            throw new InputException("three_pairs", "ab_mm", null, "all three pairs",
                "Three plates tell their bows only when all three pairs are compared.");
        }
        if (input.Laid is null && input.AbMm is null && input.SoleLengthMm is null)
        {
            throw new InputException("nothing_to_read", "laid", null, "how they lie, three gaps, or a plate and a sole",
                "Say how two plates lie on one another, or what the three pairs measure, or how long plate and sole are.");
        }
        (double? ba, double? bb, double? bc) = input.AbMm is double ab
            ? Bows(ab, input.AcMm!.Value, input.BcMm!.Value) : ((double?)null, (double?)null, (double?)null);
        double? needed = input.SoleLengthMm is double sole ? Check.Within(sole, 1, LongestMm, "sole_length_mm") * a.PlateLengthFactor : null;
        bool? enough = needed is double n && input.PlateLengthMm is double l ? Check.Within(l, 1, LongestMm, "plate_length_mm") >= n - Whole.Slack : null;
        return new PlateResult(Reading(input), ba, bb, bc, needed, enough, Says(input, enough, needed));
    }

    private static (double?, double?, double?) Bows(double ab, double ac, double bc)
    {
        foreach (double gap in new[] { ab, ac, bc })
        {
            Check.Within(gap, -MostMm, MostMm, "ab_mm");
        }
        return ((ab + ac - bc) / 2, (ab + bc - ac) / 2, (ac + bc - ab) / 2);
    }

    private static string? Reading(PlateInput input) => (input.Laid, input.Turned) switch
    {
        (null, _) => null,
        (Rocks.Middle, _) or (_, Rocks.Middle) => "One of the two is round: they touch in the middle.",
        (Rocks.Still, Rocks.Still) => "They lie still both ways: flat, or both hollow by the same. A third plate, or a straightedge, tells which.",
        (Rocks.Still, null) => "They lie still this way. Turn one by a quarter before believing it: two twists can fit into one another.",
        (Rocks.Corners, null) => "One of the two is in wind, or both. Turn one by a quarter and try again.",
        (Rocks.Still, _) or (Rocks.Corners, Rocks.Still) => "They fit one way and rock the other: both are in wind, and the same way round.",
        _ => "They rock both ways: at least one is in wind.",
    };

    private static string Says(PlateInput input, bool? enough, double? needed) =>
        enough == false ? $"This plate is too short: for that sole it wants to be {needed:0} mm long. A short plate hollows nothing out and rounds the ends. "
            + "Find a longer one, or leave the sole as it is."
        : input.Laid is Rocks.Corners or Rocks.Middle || input.Turned is Rocks.Corners or Rocks.Middle
            ? "Do not flatten a sole on it before you know which of the two is true."
        : enough == true ? $"Long enough: that sole wants {needed:0} mm." : "As far as this shows, it can be used.";
}
