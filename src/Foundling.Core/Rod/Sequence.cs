using Foundling.Core.Keys;

namespace Foundling.Core.Rod;

/// <summary>Puts the steps of a plan in order, with a person's own order kept as far as the hard rules allow.</summary>
internal static class Sequence
{
    /// <summary>Orders steps: what ties them first, then stage, then fewest tool changes; steps of an unbroken block stay together.</summary>
    /// <exception cref="InvalidOperationException">What ties them forms a circle: a programming error.</exception>
    public static List<Deed> Sort(List<Deed> steps, Bonds bonds)
    {
        List<List<Deed>> groups = [.. steps.GroupBy(Unit).Select(g => g.ToList())];
        int count = groups.Count;
        var after = new List<int>[count];
        int[] waiting = new int[count];
        for (int i = 0; i < count; i++)
        {
            after[i] = [];
        }
        Dictionary<DeedId, int> groupOf = groups.SelectMany((g, i) => g.Select(d => (d.Id, i))).ToDictionary(p => p.Id, p => p.i);
        foreach ((int before, int late) in bonds.All.Select(b => (groupOf[b.Before], groupOf[b.After])).Where(p => p.Item1 != p.Item2).Distinct())
        {
            after[before].Add(late);
            waiting[late]++;
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
                throw new InvalidOperationException($"What ties them forms a circle among: {string.Join(", ", open.Select(g => groups[g][0].Id))}.");
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
}
