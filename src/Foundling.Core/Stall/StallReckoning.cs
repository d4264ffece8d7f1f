using Foundling.Core.Aim;
using Foundling.Core.Units;

namespace Foundling.Core.Stall;

/// <summary>One line of a sum: figures multiplied with one another and taken so many times.</summary>
/// <param name="Times">How often it counts.</param>
/// <param name="Of">Names of the figures that are multiplied.</param>
public sealed record StallTerm(double Times, IReadOnlyList<string> Of);

/// <summary>
/// Every sum of the stall check, as tables: away from the shop the page looks up and adds, and has no formula of its own.
/// The figures are <c>worth</c>, <c>materials</c>, <c>minutes</c>, <c>rate</c> (an hour) and <c>selling</c>.
/// </summary>
/// <param name="Most">Questions at most.</param>
/// <param name="Cost">What an aim costs: its materials and its hours.</param>
/// <param name="Price">The most to pay: the worth less what it costs to get there.</param>
/// <param name="Common">Minutes up to which so much variance is added, because all steps of a tool go quick or slow together.</param>
/// <param name="Spread">Variance of the minutes up to which so many are added to the mean to reach what eight in ten do not exceed.</param>
/// <param name="Said">Minutes under which a sum is said to the nearest so many.</param>
public sealed record StallReckoning(int Most, IReadOnlyList<StallTerm> Cost, IReadOnlyList<StallTerm> Price, IReadOnlyList<double[]> Common,
    IReadOnlyList<double[]> Spread, IReadOnlyList<double[]> Said)
{
    private const double WidestMin = 4000, HourMin = 60;

    /// <summary>Each step of the spread is so much wider than the one before; what is said is never too little.</summary>
    private const double Step = 1.02;

    /// <summary>The sums of every check.</summary>
    /// <param name="assumptions">The spread that is common to all steps.</param>
    public static StallReckoning Of(Assumptions assumptions) => new(StallQuestions.Most,
        [new(1, ["materials"]), new(1 / HourMin, ["rate", "minutes"])],
        [new(1, ["worth"]), new(-1, ["materials"]), new(-1 / HourMin, ["rate", "minutes"]), new(-1, ["selling"])],
        [.. Commons(assumptions.CommonSpread)], [.. Spreads()], Typed.AboutSteps);

    /// <summary>A sum of these figures.</summary>
    /// <param name="terms">Its lines.</param>
    /// <param name="figures">The figures by name; what is not there is 0.</param>
    public static double Sum(IEnumerable<StallTerm> terms, IReadOnlyDictionary<string, double> figures) =>
        terms.Sum(t => t.Of.Aggregate(t.Times, (product, name) => product * figures.GetValueOrDefault(name)));

    private static IEnumerable<double[]> Commons(double spread)
    {
        yield return [0, 0];
        for (double mean = 1; mean < WidestMin; mean *= Step)
        {
            yield return [Math.Round(mean, 2), Math.Round(spread * spread * mean * mean, 2)];
        }
    }

    private static IEnumerable<double[]> Spreads()
    {
        yield return [0, 0];
        for (double sd = 1; sd < WidestMin; sd *= Step)
        {
            yield return [Math.Round(sd * sd, 2), Math.Round(Totals.Z80 * sd, 2)];
        }
    }
}
