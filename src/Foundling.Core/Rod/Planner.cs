using System.Collections.Concurrent;
using Foundling.Core.Aim;
using Foundling.Core.Rod.Rules;
using Foundling.Core.Tags;

namespace Foundling.Core.Rod;

/// <summary>What became of a rule in a plan.</summary>
/// <param name="Rule">The rule.</param>
/// <param name="Steps">Keys of the steps it gave; empty when it gave none.</param>
/// <param name="Blocker">What did not hold, in words; null when it gave steps.</param>
public sealed record RuleTrace(PlanRule Rule, IReadOnlyList<string> Steps, string? Blocker);

/// <summary>Builds a rod: rules give the steps, order rules give the sequence.</summary>
public static class Planner
{
    private static readonly ConcurrentDictionary<(string, string), OrderRule[]> Pairs = new();

    /// <summary>Rooms of the rule book, in the order of the work.</summary>
    public static IReadOnlyList<(string Name, IReadOnlyList<PlanRule> Rules)> Rooms { get; } =
    [
        ("As it came", ArrivalRules.All), ("Stuck parts", SeizedRules.All), ("Taking apart", ApartRules.All), ("Washing", WashRules.All),
            ("Rust", DerustRules.All), ("Small parts", SmallPartRules.All), ("Coating", CoatingRules.All), ("Wood", WoodRules.All),
        ("Handles", HandleRules.All), ("Bed and wedge", BedRules.All), ("Mechanisms", MechanismRules.All), ("Edges", EdgeRules.All),
            ("Other edges", OtherEdgeRules.All), ("Saws", SawRules.All), ("Putting together", TogetherRules.All), ("Soles", SoleRules.All),
            ("The end", FinishRules.All),
    ];

    /// <summary>Every rule.</summary>
    public static IReadOnlyList<PlanRule> Rules { get; } = [.. Rooms.SelectMany(r => r.Rules)];

    private static readonly Dictionary<string, PlanRule> ByName = Rules.ToDictionary(r => r.Name);

    /// <summary>The rule of a name, or null: steps a person added have none.</summary>
    public static PlanRule? RuleOf(PlanStep step) => ByName.GetValueOrDefault(step.Rule);

    /// <summary>The plan for a tool, in order.</summary>
    /// <exception cref="InvalidOperationException">The order rules form a circle: a programming error.</exception>
    public static IReadOnlyList<PlanStep> Plan(PlanQuestion question) => Sequence.Sort([.. Steps(question)], question);

    /// <summary>The steps the rules give, not yet in order.</summary>
    internal static IEnumerable<PlanStep> Steps(PlanQuestion question)
    {
        foreach (PlanRule rule in Rules.Where(r => r.Blocker(question) is null))
        {
            foreach (PlanStep step in rule.Steps(question))
            {
                (step.Rule, step.Choice) = (rule.Name, rule.Choice ?? "");
                step.Caution = Supplies.Cautioned(step);
                step.Minutes.Ordered();
                yield return step;
            }
        }
    }

    /// <summary>What became of every rule, in the order of the book.</summary>
    public static IReadOnlyList<RuleTrace> Trace(PlanQuestion question) => [.. Rules.Select(rule =>
    {
        Cond? blocker = rule.Blocker(question);
        return new RuleTrace(rule, blocker is null ? [.. rule.Steps(question).Select(s => s.Key)] : [], blocker?.Words);
    })];

    /// <summary>Order rules that hold between two steps of a plan.</summary>
    public static IEnumerable<OrderRule> Between(string before, string after, PlanQuestion question) =>
        Speaking(before, after) is { Length: > 0 } rules ? rules.Where(r => r.When is null || r.When.Holds(question)) : [];

    /// <summary>True when some order rule, a soft one among them, wants one step before another.</summary>
    internal static bool Bound(string before, string after, PlanQuestion question)
    {
        foreach (OrderRule rule in Speaking(before, after))
        {
            if (rule.When is null || rule.When.Holds(question))
            {
                return true;
            }
        }
        return false;
    }

    private static OrderRule[] Speaking(string before, string after) =>
        Pairs.GetOrAdd((before, after), static pair => [.. OrderRules.All.Where(r => OrderRule.Matches(r.Before, pair.Item1) && OrderRule.Matches(r.After,
            pair.Item2))]);

    /// <summary>Total hands-on time of the steps still open.</summary>
    public static TotalsResult Remaining(IEnumerable<PlanStep> steps) => Totals.Of(steps.Where(s => s.State == StepState.Open).Select(s => s.Minutes));
}
