using Foundling.Core.Rod;

namespace Foundling.Core.Log;

/// <summary>What went into the work, read off the events of the bench.</summary>
public static class UsedUp
{
    /// <summary>Kinds of entry it is read from.</summary>
    public static IReadOnlyList<EventKind> Speaking { get; } = [EventKind.UsedUp, EventKind.Reopened];

    /// <summary>
    /// What was used of each supply, the most costly first by the book. A step that was taken up again counts from its next end on:
    /// the amounts are those planned for the whole of it.
    /// </summary>
    /// <param name="events">Events, in any order; those of other kinds say nothing.</param>
    /// <param name="assumptions">The shop's prices.</param>
    public static IReadOnlyList<Need> Of(IEnumerable<BenchEvent> events, Assumptions assumptions)
    {
        var standing = new List<BenchEvent>();
        foreach (BenchEvent happened in events.Where(e => Speaking.Contains(e.Kind)).OrderBy(e => e.At).ThenBy(e => e.Id))
        {
            if (happened.Kind == EventKind.Reopened)
            {
                standing.RemoveAll(e => e.Step == happened.Step);
            }
            else if (happened.Supply is not null)
            {
                standing.Add(happened);
            }
        }
        return
        [
            .. standing.GroupBy(e => e.Supply!.Value).Select(g => new Need(g.Key, g.Sum(e => e.Quantity ?? 0)))
                .OrderByDescending(n => Needs.Cost(n, assumptions)).ThenBy(n => n.Name, StringComparer.Ordinal),
        ];
    }
}
