using Foundling.Core.Aim;
using Foundling.Core.Tags;

namespace Foundling.Core.Rod;

/// <summary>Builds a rod: rules give the steps, order rules give the sequence.</summary>
public static class Planner
{
    /// <summary>Every rule, general ones first.</summary>
    public static IReadOnlyList<PlanRule> Rules { get; } = [.. GeneralRules.All, .. DerustRules.All, .. WoodAndCoatingRules.All, .. EdgeRules.All, .. BenchPlaneRules.All];

    /// <summary>The plan for a tool, in order.</summary>
    /// <exception cref="InvalidOperationException">The order rules form a circle: a programming error.</exception>
    public static IReadOnlyList<PlanStep> Plan(PlanQuestion question)
    {
        var steps = new List<PlanStep>();
        foreach (PlanRule rule in Rules.Where(r => r.When(question)))
        {
            foreach (PlanStep step in rule.Steps(question))
            {
                step.Rule = rule.Name;
                step.Minutes.Ordered();
                steps.Add(step);
            }
        }
        return Sort(steps);
    }

    /// <summary>Order rules that apply between two steps.</summary>
    public static IEnumerable<OrderRule> Between(string before, string after) =>
        OrderRules.All.Where(r => OrderRule.Matches(r.Before, before) && OrderRule.Matches(r.After, after));

    /// <summary>Total hands-on time of the steps still open.</summary>
    public static TotalsResult Remaining(IEnumerable<PlanStep> steps) => Totals.Of(steps.Where(s => s.State == StepState.Open).Select(s => s.Minutes));

    /// <summary>
    /// Makes a fresh plan while keeping what is done or skipped: steps are matched by key, and finished steps the new
    /// rules no longer ask for stay at the front.
    /// </summary>
    public static IReadOnlyList<PlanStep> Replan(IReadOnlyList<PlanStep> current, PlanQuestion question)
    {
        List<PlanStep> fresh = [.. Plan(question)];
        foreach (PlanStep old in current.Where(s => s.State != StepState.Open).OrderByDescending(s => s.Order))
        {
            int at = fresh.FindIndex(s => s.Key == old.Key);
            if (at >= 0)
            {
                fresh[at] = old;
            }
            else
            {
                fresh.Insert(0, old);
            }
        }
        Number(fresh);
        return fresh;
    }

    private static List<PlanStep> Sort(List<PlanStep> steps)
    {
        // Steps of an unbroken block move as one.
        List<List<PlanStep>> groups = [.. steps.GroupBy(s => s.Block ?? "step " + s.Key).Select(g => g.ToList())];
        var before = groups.ToDictionary(g => g, _ => new HashSet<List<PlanStep>>());
        foreach (List<PlanStep> early in groups)
        {
            foreach (List<PlanStep> late in groups)
            {
                if (early != late && early.Any(e => late.Any(l => Between(e.Key, l.Key).Any())))
                {
                    before[late].Add(early);
                }
            }
        }
        var sorted = new List<PlanStep>();
        var open = new List<List<PlanStep>>(groups);
        string lastWay = "";
        while (open.Count > 0)
        {
            List<PlanStep> next = open
                .Where(g => before[g].Count == 0)
                .OrderBy(g => g[0].Stage)
                .ThenBy(g => g[0].Materials.FirstOrDefault() == lastWay ? 0 : 1)
                .ThenBy(groups.IndexOf)
                .FirstOrDefault() ?? throw new InvalidOperationException(
                    $"The order rules form a circle among: {string.Join(", ", open.Select(g => g[0].Key))}.");
            open.Remove(next);
            foreach (HashSet<List<PlanStep>> waiting in before.Values)
            {
                waiting.Remove(next);
            }
            sorted.AddRange(next);
            lastWay = next[^1].Materials.FirstOrDefault() ?? lastWay;
        }
        Number(sorted);
        return sorted;
    }

    private static void Number(List<PlanStep> steps)
    {
        for (int i = 0; i < steps.Count; i++)
        {
            steps[i].Order = i + 1;
        }
    }
}
