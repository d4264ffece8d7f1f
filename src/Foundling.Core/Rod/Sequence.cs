using Foundling.Core.Keys;

namespace Foundling.Core.Rod;

/// <summary>Puts the steps of a plan in order, with a person's own order kept as far as the hard rules allow.</summary>
internal static class Sequence
{
    /// <summary>Orders steps: rules first, then stage, then fewest tool changes; steps of an unbroken block stay together.</summary>
    /// <exception cref="InvalidOperationException">The order rules form a circle: a programming error.</exception>
    public static List<Deed> Sort(List<Deed> steps, PlanQuestion question)
    {
        List<List<Deed>> groups = [.. steps.GroupBy(Unit).Select(g => g.ToList())];
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
        var sorted = new List<Deed>(steps.Count);
        var open = new HashSet<int>(Enumerable.Range(0, count));
        Need? lastKit = null;
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
                throw new InvalidOperationException($"The order rules form a circle among: {string.Join(", ", open.Select(g => groups[g][0].Id))}.");
            }
            open.Remove(next);
            foreach (int late in after[next])
            {
                waiting[late]--;
            }
            sorted.AddRange(groups[next]);
            lastKit = Kit(groups[next][^1]) ?? lastKit;
        }
        return sorted;

        int Compare(int a, int b)
        {
            int stage = groups[a][0].Stage.CompareTo(groups[b][0].Stage);
            return stage != 0 ? stage : (Changes(a), a).CompareTo((Changes(b), b));
        }

        int Changes(int g) => Kit(groups[g][0]) == lastKit ? 0 : 1;

        static Need? Kit(Deed deed) => deed.Needs.Count > 0 ? deed.Needs[0] : null;
    }

    /// <summary>What moves as one: an unbroken block, or a step alone.</summary>
    public static (Block?, DeedId) Unit(Deed deed) => deed.Block is Block block ? (block, new DeedId(StepKey.Own, deed.Id.Of)) : (null, deed.Id);

    /// <summary>True when a rule, soft ones among them, wants one group before another.</summary>
    private static bool Bound(List<Deed> early, List<Deed> late, PlanQuestion question)
    {
        foreach (Deed e in early)
        {
            foreach (Deed l in late)
            {
                if (Planner.Bound(e, l, question))
                {
                    return true;
                }
            }
        }
        return false;
    }
}
