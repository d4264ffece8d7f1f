using Foundling.Core.Tags;

namespace Foundling.Core.Rod;

/// <summary>Puts the steps of a plan in order, with a person's own order kept as far as the hard rules allow.</summary>
internal static class Sequence
{
    /// <summary>Orders steps: rules first, then stage, then fewest tool changes; steps of an unbroken block stay together.</summary>
    /// <exception cref="InvalidOperationException">The order rules form a circle: a programming error.</exception>
    public static List<PlanStep> Sort(List<PlanStep> steps, PlanQuestion question)
    {
        List<List<PlanStep>> groups = [.. steps.GroupBy(Unit).Select(g => g.ToList())];
        int count = groups.Count;
        var after = new List<int>[count];
        int[] waiting = new int[count];
        for (int i = 0; i < count; i++)
        {
            after[i] = [];
        }
        for (int i = 0; i < count; i++)
        {
            for (int j = 0; j < count; j++)
            {
                if (i != j && Bound(groups[i], groups[j], question))
                {
                    after[i].Add(j);
                    waiting[j]++;
                }
            }
        }
        var sorted = new List<PlanStep>(steps.Count);
        var open = new HashSet<int>(Enumerable.Range(0, count));
        string lastKit = "";
        while (open.Count > 0)
        {
            int next = -1;
            foreach (int g in open)
            {
                if (waiting[g] == 0 && (next < 0 || Compare(g, next) < 0))
                {
                    next = g;
                }
            }
            if (next < 0)
            {
                throw new InvalidOperationException($"The order rules form a circle among: {string.Join(", ", open.Select(g => groups[g][0].Key))}.");
            }
            open.Remove(next);
            foreach (int late in after[next])
            {
                waiting[late]--;
            }
            sorted.AddRange(groups[next]);
            lastKit = groups[next][^1].Materials.FirstOrDefault() ?? lastKit;
        }
        Number(sorted);
        return sorted;

        int Compare(int a, int b)
        {
            int stage = groups[a][0].Stage.CompareTo(groups[b][0].Stage);
            return stage != 0 ? stage : (Changes(a), a).CompareTo((Changes(b), b));
        }

        int Changes(int g) => groups[g][0].Materials.FirstOrDefault() == lastKit ? 0 : 1;
    }

    /// <summary>What moves as one: an unbroken block, or a step alone.</summary>
    public static string Unit(PlanStep step) => step.Block is string block ? "block " + block : "step " + step.Key;

    /// <summary>True when a rule, soft ones among them, wants one group before another.</summary>
    private static bool Bound(List<PlanStep> early, List<PlanStep> late, PlanQuestion question)
    {
        foreach (PlanStep e in early)
        {
            foreach (PlanStep l in late)
            {
                if (Planner.Bound(e.Key, l.Key, question))
                {
                    return true;
                }
            }
        }
        return false;
    }

    /// <summary>Gives steps their places.</summary>
    public static void Number(List<PlanStep> steps)
    {
        for (int i = 0; i < steps.Count; i++)
        {
            steps[i].Order = i + 1;
        }
    }
}
