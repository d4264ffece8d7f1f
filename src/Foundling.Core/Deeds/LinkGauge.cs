using System.Text.Json.Serialization;

namespace Foundling.Core.Deeds;

/// <summary>A deed of a question about order.</summary>
/// <param name="Id">Its key.</param>
/// <param name="Stage">Stage of the work, the higher rank.</param>
/// <param name="Minutes">Hands-on minutes.</param>
/// <param name="Needs">Facets it needs at a value, perhaps ripened: <c>done@hand</c>.</param>
/// <param name="Makes">Facets it brings to a value.</param>
/// <param name="Spoils">Facets it leaves at a value nobody needs.</param>
/// <param name="Ripens">Minutes after which what it makes has ripened, by facet and by what to.</param>
public sealed record DeedInput(
    string Id,
    int Stage = 0,
    double Minutes = 0,
    IReadOnlyDictionary<string, string>? Needs = null,
    IReadOnlyDictionary<string, string>? Makes = null,
    IReadOnlyDictionary<string, string>? Spoils = null,
    IReadOnlyDictionary<string, IReadOnlyDictionary<string, double>>? Ripens = null);

/// <summary>Deeds to be put in order by the state of parts.</summary>
/// <param name="Deeds">The deeds, in the order in which rules gave them.</param>
/// <param name="Start">Facets with their values before the first deed.</param>
public sealed record LinksInput(IReadOnlyList<DeedInput> Deeds, IReadOnlyDictionary<string, string>? Start = null);

/// <summary>One deed before another.</summary>
/// <param name="Before">Key of the earlier deed.</param>
/// <param name="After">Key of the later one.</param>
/// <param name="Why">Facet, value and what it must have ripened to.</param>
/// <param name="LeastMin">Minutes that must lie between them.</param>
public sealed record LinkEdge(string Before, string After, string Why, double LeastMin);

/// <summary>A need that nothing meets.</summary>
/// <param name="Deed">Key of the deed.</param>
/// <param name="Facet">The facet.</param>
/// <param name="Value">The value it needs.</param>
/// <param name="SpoiledBy">Key of the deed that undoes it and can stand nowhere else; null where nobody makes it.</param>
public sealed record UnmetNeed(string Deed, string Facet, string Value,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)] string? SpoiledBy = null);

/// <summary>Deeds in order.</summary>
/// <param name="Order">Keys in the order they are done.</param>
/// <param name="Edges">What comes before what, by the rank of the later, then of the earlier deed.</param>
/// <param name="Unmet">Needs that nothing meets.</param>
/// <param name="Ends">Facets that a deed sets, with their values at the end.</param>
/// <param name="StartMin">When each can begin, minutes, hands always free.</param>
public sealed record LinksResult(
    IReadOnlyList<string> Order,
    IReadOnlyList<LinkEdge> Edges,
    IReadOnlyList<UnmetNeed> Unmet,
    IReadOnlyDictionary<string, string> Ends,
    IReadOnlyDictionary<string, double> StartMin);

/// <summary>The linker as a gauge.</summary>
public static class LinkGauge
{
    /// <summary>Most deeds, and most facets of all of them, that one question may have.</summary>
    public const int MostDeeds = 400, MostFacets = 20_000;

    /// <summary>Puts deeds in order.</summary>
    /// <param name="input">The deeds and the start.</param>
    /// <exception cref="InputException">A key twice, an empty key or value, a facet made and spoiled by one deed, or too many of them.</exception>
    public static LinksResult Of(LinksInput input)
    {
        Check(input);
        List<DeedInput> ranked = [.. input.Deeds.OrderBy(d => d.Stage)];
        IReadOnlyDictionary<string, string> start = input.Start ?? new Dictionary<string, string>();
        Linker linked = Linker.Link([.. ranked.Select((d, i) => new LinkDeed(Needs(d), Leaves(d), i))],
            (facet, value) => start.TryGetValue(facet, out string? has) && has == value);
        List<(int Before, int After, string Why, double Least)> edges =
        [
            .. linked.Bonds.GroupBy(b => (b.Before, b.After)).Select(g =>
                (g.Key.Before, g.Key.After, g.Select(Why).Min(StringComparer.Ordinal)!, g.Max(b => b.LeastMin)))
                .OrderBy(e => e.After).ThenBy(e => e.Before),
        ];
        List<int> order = Ordered(ranked.Count, edges);
        var ends = new SortedDictionary<string, string>(StringComparer.Ordinal);
        foreach (Left left in order.SelectMany(i => Leaves(ranked[i])))
        {
            ends[left.Facet] = left.Value;
        }
        var begins = new double[ranked.Count];
        foreach (int i in order)
        {
            begins[i] = edges.Where(e => e.After == i).Select(e => begins[e.Before] + ranked[e.Before].Minutes + e.Least).DefaultIfEmpty(0).Max();
        }
        return new LinksResult([.. order.Select(i => ranked[i].Id)],
            [.. edges.Select(e => new LinkEdge(ranked[e.Before].Id, ranked[e.After].Id, e.Why, e.Least))],
            [.. linked.Unmet.Select(u => new UnmetNeed(ranked[u.Deed].Id, u.Want.Facet, Written(u.Want),
                u.SpoiledBy is int by ? ranked[by].Id : null))],
            ends, ranked.Select((d, i) => (d.Id, begins[i])).ToDictionary(p => p.Id, p => p.Item2));
    }

    private static string Why(Bond bond) => $"{bond.Facet} {bond.Value}{(bond.Ripe is null ? "" : " " + bond.Ripe)}";

    private static string Written(Wanted want) => want.Ripe is null ? want.Value : $"{want.Value}@{want.Ripe}";

    /// <summary>Of those whose predecessors are all placed the lowest rank next.</summary>
    private static List<int> Ordered(int count, List<(int Before, int After, string Why, double Least)> edges)
    {
        int[] waiting = new int[count];
        edges.ForEach(e => waiting[e.After]++);
        var open = new PriorityQueue<int, int>(Enumerable.Range(0, count).Where(i => waiting[i] == 0).Select(i => (i, i)));
        List<int> order = [];
        while (open.TryDequeue(out int next, out _))
        {
            order.Add(next);
            foreach ((_, int after, _, _) in edges.Where(e => e.Before == next))
            {
                if (--waiting[after] == 0)
                {
                    open.Enqueue(after, after);
                }
            }
        }
        return order;
    }

    private static List<Wanted> Needs(DeedInput deed) => [.. (deed.Needs ?? Nothing).Select(n => n.Value.Split('@', 2) is [var value, var ripe]
        ? new Wanted(n.Key, value, ripe) : new Wanted(n.Key, n.Value))];

    private static List<Left> Leaves(DeedInput deed) =>
    [
        .. (deed.Makes ?? Nothing).Select(m => new Left(m.Key, m.Value, true, deed.Ripens?.GetValueOrDefault(m.Key))),
        .. (deed.Spoils ?? Nothing).Select(s => new Left(s.Key, s.Value, false)),
    ];

    private static readonly Dictionary<string, string> Nothing = [];

    private static void Check(LinksInput input)
    {
        int facets = input.Deeds.Sum(d => (d.Needs?.Count ?? 0) + (d.Makes?.Count ?? 0) + (d.Spoils?.Count ?? 0));
        if (input.Deeds.Count > MostDeeds || facets > MostFacets)
        {
            throw new InputException("too_much", "deeds", input.Deeds.Count, $"at most {MostDeeds} deeds with {MostFacets:#,0} facets in all",
                "That is more than one tool takes: ask about fewer deeds.");
        }
        HashSet<string> ids = [];
        foreach (DeedInput deed in input.Deeds)
        {
            if (string.IsNullOrWhiteSpace(deed.Id) || !ids.Add(deed.Id))
            {
                throw new InputException("id_twice", "deeds", deed.Id, "a key of its own for each deed",
                    $"Two deeds bear the key \"{deed.Id}\", or it is empty.");
            }
            if (deed.Makes is not null && deed.Spoils is not null && deed.Makes.Keys.FirstOrDefault(deed.Spoils.ContainsKey) is { } both)
            {
                throw new InputException("made_and_spoiled", "spoils", both, "a facet it does not make",
                    $"\"{deed.Id}\" makes and spoils {both}: it can leave it at one value only.");
            }
            if (!double.IsFinite(deed.Minutes) || deed.Minutes < 0)
            {
                throw new InputException("out_of_range", "minutes", deed.Minutes, "0 or more", $"\"{deed.Id}\" takes 0 minutes or more.");
            }
            if (deed.Ripens is not null && deed.Ripens.Values.Any(r => r.Values.Any(m => !double.IsFinite(m) || m < 0)))
            {
                throw new InputException("out_of_range", "ripens", deed.Id, "0 minutes or more", $"What \"{deed.Id}\" makes ripens in 0 minutes or more.");
            }
        }
    }
}
