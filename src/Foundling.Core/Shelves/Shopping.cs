using Foundling.Core.Baths;
using Foundling.Core.Log;
using Foundling.Core.Stores;
using Foundling.Core.Units;

namespace Foundling.Core.Shelves;

/// <summary>What a tool's open steps ask of the stores.</summary>
/// <param name="Tag">Number of the tag.</param>
/// <param name="Item">What.</param>
/// <param name="Amount">How much, in its unit; null for kit.</param>
/// <param name="Gone">How much of that is gone afterwards, where the rest serves again; null for all of it.</param>
/// <param name="For">Which part is meant, for a part that is replaced; empty otherwise.</param>
/// <param name="Boxed">Which of these parts lies in the parts box, off another tool of the kind; empty for none.</param>
public sealed record Asked(int Tag, SupplyId Item, double? Amount, double? Gone = null, string For = "", string Boxed = "");

/// <summary>A line of the shopping list.</summary>
/// <param name="Supply">What.</param>
/// <param name="Amount">How much to buy, in its unit; null for kit, and where nobody can say how much.</param>
/// <param name="Packs">In how many packs; null for what is bought loose.</param>
/// <param name="Cost">What that costs, in the shop's money.</param>
/// <param name="Why">Why, in a sentence.</param>
/// <param name="Tags">Tags that ask for it.</param>
public sealed record ShoppingLine(Supply Supply, double? Amount, int? Packs, double Cost, string Why, IReadOnlyList<int> Tags)
{
    /// <summary>What is to be bought, in words: "2 packs of 500 mL".</summary>
    public string Much => Amount is not double amount ? ""
        : Packs is int packs ? $"{Sentences.Count(packs, "pack")} of {Measure.Say(amount / packs, Supply.Unit)}" : Measure.Say(amount, Supply.Unit);
}

/// <summary>What is low and what the open rods need, on one list.</summary>
public static class Shopping
{
    /// <summary>
    /// What a tool's open steps ask for. What a bath is mixed from is left out where such a bath stands: the step goes into that one.
    /// </summary>
    /// <param name="tag">Number of the tag.</param>
    /// <param name="steps">Its steps.</param>
    /// <param name="standing">Baths that stand and are not used up.</param>
    /// <param name="nameOf">Name of a part of the tool.</param>
    /// <param name="boxed">Parts of its kind that lie in the parts box.</param>
    public static IEnumerable<Asked> Of(int tag, IEnumerable<PlanStep> steps, IReadOnlySet<BathKind> standing, Func<PartId, string> nameOf,
        IReadOnlySet<PartId> boxed) =>
        from step in steps
        where step.State == StepState.Open
        from need in step.Needs
        where !step.Without.Contains(need.Item)
        where step.Deed.Bath is not BathKind bath || !standing.Contains(bath) || !Ingredients.Are(bath, need.Item)
        let replaced = need.Item == SupplyIds.ReplacementPart ? step.Parts : []
        select new Asked(tag, need.Item, need.Kit ? null : need.Amount, need.UsedUp, Sentences.List([.. replaced.Select(nameOf)]),
            Sentences.List([.. replaced.Where(boxed.Contains).Select(nameOf)]));

    /// <summary>The list: by class and name.</summary>
    /// <param name="kept">What the shop knows of its stores.</param>
    /// <param name="asked">What open steps ask for.</param>
    /// <param name="assumptions">Prices.</param>
    /// <param name="today">This day.</param>
    public static IReadOnlyList<ShoppingLine> List(IReadOnlyCollection<StoreItem> kept, IReadOnlyCollection<Asked> asked, Assumptions assumptions,
        DateOnly today)
    {
        ILookup<SupplyId, Asked> wanted = asked.ToLookup(a => a.Item);
        var known = kept.ToDictionary(k => k.Item);
        return
        [
            .. known.Keys.Concat(wanted.Select(w => w.Key)).Distinct()
                .Select(id => Line(known.GetValueOrDefault(id) ?? new StoreItem { Item = id }, [.. wanted[id]], assumptions, today)).OfType<ShoppingLine>()
                .OrderBy(l => l.Supply.Class).ThenBy(l => l.Supply.Name, StringComparer.Ordinal),
        ];
    }

    private static ShoppingLine? Line(StoreItem item, List<Asked> asked, Assumptions a, DateOnly today)
    {
        Supply supply = item.Supply;
        double need = Together(asked);
        bool none = item.Stock is Stock.None or Stock.OnOrder;
        IReadOnlyList<int> tags = [.. asked.Select(w => w.Tag).Distinct().Order()];
        if (supply.Kit)
        {
            return item.Stock == Stock.None && tags.Count > 0 ? new ShoppingLine(supply, null, null, 0, $"None here, and {Asks(tags)}.", tags) : null;
        }
        double? lack = item.Amount is double there
            ? need + (item.Least ?? 0) - (item.IsPast(today) ? 0 : there) - (item.Ordered ?? 0)
            : none || item.Stock == Stock.Low || item.IsPast(today) ? need + (item.Least ?? 0) - (item.Ordered ?? 0) : null;
        bool coming = item.Stock == Stock.OnOrder && item.Ordered is null;
        bool finished = item.IsPast(today) || (item.Amount is double left ? left <= 0 : item.Stock != Stock.Have);
        if (coming || !(lack > Whole.Slack || (finished && item.Ordered is null)))
        {
            return null;
        }
        double? amount = lack > Whole.Slack ? lack : null;
        int? packs = item.Pack is > 0 and double pack ? (int)Math.Max(1, Whole.Ceiling((amount ?? 0) / pack)) : null;
        amount = packs is int n ? n * item.Pack!.Value : amount is double loose && Supply.IsWhole(supply.Unit) ? Whole.Ceiling(loose) : amount;
        return new ShoppingLine(supply, amount, packs, (amount ?? 0) * item.PriceIn(a), Why(item, need, tags, asked, today), tags);
    }

    /// <summary>
    /// How much several rods ask for in all: what each uses up, and beside that the most that is wanted at once and serves again.
    /// </summary>
    public static double Together(IReadOnlyCollection<Asked> asked) => asked.Sum(w => w.Gone ?? w.Amount ?? 0)
        + asked.Select(w => (w.Amount ?? 0) - (w.Gone ?? w.Amount ?? 0)).DefaultIfEmpty().Max();

    private static string Why(StoreItem item, double need, IReadOnlyList<int> tags, List<Asked> asked, DateOnly today)
    {
        string here = item.IsPast(today) ? $"what is here was good until {item.BestBefore:d MMMM yyyy}"
            : item.Amount is > 0 and double there ? $"{Measure.Say(there, item.Supply.Unit)} here"
            : item.Stock == Stock.Low ? item.Amount is null ? "little left" : "used up by what was planned" : "none here";
        string least = item.Least is > 0 and double keep ? $", {Measure.Say(keep, item.Supply.Unit)} to keep" : "";
        string coming = item.Ordered is > 0 and double on ? $", {Measure.Say(on, item.Supply.Unit)} on order" : "";
        string meant = asked.Select(w => w.For).Where(f => f.Length > 0).Distinct().ToList() is { Count: > 0 } parts ? $" ({Sentences.List(parts)})" : "";
        string boxed = string.Concat(asked.Where(w => w.Boxed.Length > 0)
            .Select(w => $" Try the parts box first for {Tags.Tag.LabelOf(w.Tag)}: {w.Boxed}."));
        return Sentences.Start($"{here}{least}{coming}"
            + $"{(tags.Count == 0 ? "" : $"; {Asks(tags)}{(need > 0 ? $" for {Measure.Say(need, item.Supply.Unit)}" : "")}{meant}")}.{boxed}");
    }

    private static string Asks(IReadOnlyList<int> tags) => tags.Count <= 3
        ? $"{Sentences.List([.. tags.Select(Tags.Tag.LabelOf)])} {(tags.Count == 1 ? "asks" : "ask")}" : $"{tags.Count} rods ask";
}
