using Foundling.Core.Keys;
using Foundling.Core.Rod;
using MathNet.Numerics.Distributions;

namespace Foundling.Core.Log;

/// <summary>Minutes the book gives a kind of step, and the minutes it really took each time.</summary>
public sealed record PaceInput(double BookLikelyMin, IReadOnlyList<double> ActualMin);

/// <summary>What the next one will take.</summary>
/// <param name="Jobs">Times it was done.</param>
/// <param name="LowP10Min">One in ten takes less.</param>
/// <param name="LikelyMedianMin">Half take less.</param>
/// <param name="HighP90Min">One in ten takes more.</param>
/// <param name="Dof">Degrees of freedom of the distribution of the logarithm.</param>
/// <param name="LogScale">Its scale.</param>
public sealed record PaceResult(int Jobs, double LowP10Min, double LikelyMedianMin, double HighP90Min, double Dof, double LogScale);

/// <summary>How the shop's own pace moves what the book says. Source: normal logarithms with a normal, inverse-gamma prior.</summary>
public static class Pace
{
    /// <summary>Latest jobs a pace is read from: people get quicker.</summary>
    public const int MostJobs = 40;

    /// <summary>What the next job takes, by the book and by the jobs done.</summary>
    /// <exception cref="InputException">Minutes that are not more than 0.</exception>
    public static PaceResult Of(PaceInput input, Assumptions assumptions)
    {
        double[] logs = [.. input.ActualMin.Select(x => Math.Log(Check.Positive(x, "actual_min")))];
        double prior = Math.Log(Check.Positive(input.BookLikelyMin)), weight = assumptions.PaceWeight, sd = assumptions.PaceSpread;
        int n = logs.Length;
        double mean = n == 0 ? prior : logs.Average(), all = weight + n;
        double middle = ((weight * prior) + (n * mean)) / all, shape = all / 2;
        double rate = (weight * sd * sd / 2) + (logs.Sum(x => (x - mean) * (x - mean)) / 2)
            + (weight * n * (mean - prior) * (mean - prior) / (2 * all));
        double scale = Math.Sqrt(rate * (all + 1) / (shape * all)), dof = 2 * shape;
        double At(double share) => Math.Exp(StudentT.InvCDF(middle, scale, dof, share));
        return new PaceResult(n, At(LowShare), Math.Exp(middle), At(1 - LowShare), dof, scale);
    }

    // The low end of a three-point estimate is the one in ten.
    private const double LowShare = 0.1;

    /// <summary>True when a step is the same job on every tag: one's own steps are only numbered, and a piece split off is no whole job.</summary>
    public static bool Tells(DeedId step) => step.Step != StepKey.Own && step.Piece == 1;

    /// <summary>Kinds of entry it is read from.</summary>
    public static IReadOnlyList<EventKind> Speaking { get; } = [EventKind.Stopped, EventKind.Corrected, EventKind.Done, EventKind.Reopened, EventKind.LeftOut];

    /// <summary>Minutes a step took wherever it was finished, read off the events; where no clock ran, nothing is known.</summary>
    /// <param name="events">Events of that step, each with the tag it belongs to, in any order.</param>
    public static IReadOnlyList<double> Took(IEnumerable<(int Tag, BenchEvent Happened)> events) =>
    [
        .. events.Where(e => Speaking.Contains(e.Happened.Kind)).GroupBy(e => (e.Tag, e.Happened.Step))
            .Where(g => Standings.Of(g.Select(e => e.Happened)).Values.Any(m => m.State == StepState.Done))
            .Select(g => LogTotals.Of(g.Select(e => e.Happened)).All).Where(m => m > 0),
    ];
}
