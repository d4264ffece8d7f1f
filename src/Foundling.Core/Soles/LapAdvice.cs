namespace Foundling.Core.Soles;

/// <summary>What comes of pressing at a place.</summary>
/// <param name="Where">The place, in words: "over the mouth".</param>
/// <param name="XMm">From the toe, mm.</param>
/// <param name="Result">What the run comes to.</param>
public sealed record HandsTried(string Where, double XMm, LappingResult Result)
{
    /// <summary>Strokes until toe, mouth and heel touch, or nine tenths where it has no three zones; null where it never comes in.</summary>
    public double? Strokes => Result.StrokesThreeZones ?? Result.Strokes90Contact;

    /// <summary>Metal off the deepest spot by then, mm.</summary>
    public double? DeepestMm => Result.StrokesThreeZones is null ? Result.MaxWearAt90ContactMm : Result.MaxWearAtThreeZonesMm;
}

/// <summary>Where to press, and when to look.</summary>
public static class LapAdvice
{
    /// <summary>The paper that does the flattening, and the one whose marks are easily read.</summary>
    public const string CoarsePaper = "P80", MarksPaper = "P120";

    private const double Quarter = 0.25;

    /// <summary>The same sole with the hands at the usual places, one after the other.</summary>
    /// <param name="input">The sole.</param>
    /// <param name="a">Hands and paper.</param>
    /// <param name="cancel">Stops it.</param>
    public static IReadOnlyList<HandsTried> Hands(LappingInput input, Assumptions a, CancellationToken cancel = default)
    {
        double l = input.LengthMm;
        List<(string Where, double X)> places = [("over the middle", l / 2), ("at the toe", l * Quarter), ("at the heel", l * (1 - Quarter))];
        if (input.MouthFrontMm is double mouth)
        {
            places.Insert(1, ("over the mouth", mouth));
        }
        return [.. places.Select(p => new HandsTried(p.Where, p.X,
            Lapping.Simulate(input with { ForceXMm = p.X, ForceYMm = null, Presses = null }, a, cancel)))];
    }

    /// <summary>The place that brings the sole in with the least metal off its deepest spot; null where none does.</summary>
    public static HandsTried? Best(IReadOnlyList<HandsTried> tried) => tried.Where(h => h.Strokes is not null).MinBy(h => h.DeepestMm);

    /// <summary>The place that brings it in soonest; null where none does.</summary>
    public static HandsTried? Soonest(IReadOnlyList<HandsTried> tried) => tried.Where(h => h.Strokes is not null).MinBy(h => h.Strokes);

    /// <summary>Strokes until the next look: a share of what is left, neither so few that nothing shows nor so many that it goes too far.</summary>
    /// <param name="left">Strokes that are left to the standard wanted; null for never.</param>
    /// <param name="a">How often to look.</param>
    public static double NextLook(double? left, Assumptions a) =>
        Math.Round(Math.Clamp((left ?? double.MaxValue) * a.LookStrokesShare, a.LookStrokesLeast, a.LookStrokesMost) / Tens) * Tens;

    private const double Tens = 10;
}
