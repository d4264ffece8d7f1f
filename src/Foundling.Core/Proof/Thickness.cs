using MathNet.Numerics.Distributions;

namespace Foundling.Core.Proof;

/// <summary>Which side of the target is good.</summary>
public enum Direction
{
    /// <summary>The reading should not exceed the target.</summary>
    AtMost,

    /// <summary>The reading should reach the target.</summary>
    AtLeast,
}

/// <summary>Thickness readings against a target, mm.</summary>
public sealed record ThicknessInput(IReadOnlyList<double> ReadingsMm, Direction Direction, double TargetMm, double ResolutionMm = 0);

/// <summary>The mean with its 95 % interval and what can be said about the target.</summary>
public sealed record ThicknessResult(
    double MeanMm,
    double SdMm,
    [property: System.Text.Json.Serialization.JsonPropertyName("t_975")] double T975,
    double Low95Mm,
    double High95Mm,
    string Verdict)
{
    /// <summary>Readings more, with the same scatter, that would settle it; null when it is settled, or no number would.</summary>
    public int? MoreReadings { get; init; }

    /// <summary>True when the reading lies within half a step of the target: only a finer instrument can settle it.</summary>
    public bool NeedsFinerInstrument { get; init; }
}

/// <summary>Judges repeated readings against a target beyond their error.</summary>
public static class Thickness
{
    /// <summary>Fewest readings that say anything about their own scatter.</summary>
    public const int Fewest = 3;

    /// <summary>Most readings taken.</summary>
    public const int Most = 500;

    private const double ThickestMm = 100;

    /// <summary>Mean, scatter, interval and verdict: met, not_met or cannot_tell.</summary>
    /// <exception cref="InputException">Fewer than three readings, or one that is not above 0.</exception>
    public static ThicknessResult Judge(ThicknessInput input)
    {
        int n = input.ReadingsMm.Count;
        if (n < Fewest)
        {
            throw new InputException("at_least_three_readings", "readings_mm", n, "3 or more",
                $"Take at least three readings; there {(n == 1 ? "is 1" : $"are {n}")}.");
        }
        if (n > Most)
        {
            throw new InputException("too_many_readings", "readings_mm", n, $"{Fewest} to {Most}",
                $"{n:#,0} readings are more than anybody takes; {Most} are the most.");
        }
        foreach (double reading in input.ReadingsMm)
        {
            Check.Positive(reading, "readings_mm");
            Check.Within(reading, 0, ThickestMm, "readings_mm");
        }
        Check.Within(Check.Positive(input.TargetMm), 0, ThickestMm, "target_mm");
        Check.Within(input.ResolutionMm, 0, ThickestMm, "resolution_mm");
        double mean = input.ReadingsMm.Average();
        double sd = Math.Sqrt(input.ReadingsMm.Sum(x => (x - mean) * (x - mean)) / (n - 1));
        double t = StudentT.InvCDF(0, 1, n - 1, 0.975);
        double half = Math.Max(t * sd / Math.Sqrt(n), input.ResolutionMm / 2);
        // A thickness is never below nothing, however wide the scatter.
        double low = Math.Max(0, mean - half), high = mean + half;
        bool below = high <= input.TargetMm + Whole.Slack, above = low >= input.TargetMm - Whole.Slack;
        (bool good, bool bad) = input.Direction == Direction.AtMost ? (below, above) : (above, below);
        var result = new ThicknessResult(mean, sd, t, low, high, good ? "met" : bad ? "not_met" : "cannot_tell");
        return good || bad ? result : result with { MoreReadings = More(n, sd, Math.Abs(mean - input.TargetMm), input.ResolutionMm),
            NeedsFinerInstrument = Math.Abs(mean - input.TargetMm) < input.ResolutionMm / 2 };
    }

    /// <summary>Readings more until the interval no longer reaches the target, should mean and scatter stay.</summary>
    private static int? More(int n, double sd, double apart, double resolution)
    {
        if (apart <= 0 || apart < resolution / 2)
        {
            return null;
        }
        bool Settled(int all) => StudentT.InvCDF(0, 1, all - 1, 0.975) * sd / Math.Sqrt(all) <= apart;
        if (!Settled(Most))
        {
            return null;
        }
        // The interval only narrows, so the place where it is narrow enough is found by halving.
        (int few, int enough) = (n, Most);
        while (enough - few > 1)
        {
            int middle = (few + enough) / 2;
            (few, enough) = Settled(middle) ? (few, middle) : (middle, enough);
        }
        return enough - n;
    }
}
