using Foundling.Core.Shelves;
using Foundling.Core;
using Foundling.Core.Baths;
using Foundling.Core.Rod;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Reference;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Stores;

/// <summary>Kit and materials of the shop: how much there is, what uses it, and what comes in.</summary>
public sealed class StoreRoom(FoundlingDb db, TimeProvider time)
{
    private const int MostName = 60, MostWords = 120, MostOwn = 500;

    private const string OwnPrefix = "own-";

    /// <summary>What the shop has said, by supply.</summary>
    public async Task<IReadOnlyDictionary<SupplyId, StoreItem>> All(CancellationToken cancel = default) =>
        await db.StoreItems.AsNoTracking().ToDictionaryAsync(s => s.Item, cancel).ConfigureAwait(false);

    /// <summary>All the book speaks of and all of the shop's own, said of or not.</summary>
    public async Task<IReadOnlyList<StoreItem>> Shelves(CancellationToken cancel = default)
    {
        IReadOnlyDictionary<SupplyId, StoreItem> said = await All(cancel).ConfigureAwait(false);
        return
        [
            .. Supplies.All.Select(s => said.GetValueOrDefault(s.Id) ?? new StoreItem { Item = s.Id }),
            .. said.Values.Where(i => i.IsOwn).OrderBy(i => i.Name, StringComparer.Ordinal),
        ];
    }

    /// <summary>What the shop knows of one thing, for showing; null for nothing of the book or its own.</summary>
    public async Task<StoreItem?> Show(SupplyId id, CancellationToken cancel = default) =>
        await db.StoreItems.AsNoTracking().FirstOrDefaultAsync(s => s.Item == id, cancel).ConfigureAwait(false)
            ?? (Supplies.Find(id) is null ? null : new StoreItem { Item = id });

    /// <summary>How much of a supply there is; what the shop says nothing of is taken as there.</summary>
    public static Stock StockOf(IReadOnlyDictionary<SupplyId, StoreItem> said, SupplyId item) => said.TryGetValue(item, out StoreItem? kept) ? kept.Stock
        : Stock.Have;

    /// <summary>What the shop has none of, by supply: kit, which closes the ways that need it, and material, which holds the steps that use it.</summary>
    public async Task<IReadOnlyDictionary<SupplyId, Short>> Short(CancellationToken cancel = default)
    {
        List<StoreItem> none = await db.StoreItems.AsNoTracking().Where(s => s.Stock == Stock.None || s.Stock == Stock.OnOrder)
            .ToListAsync(cancel).ConfigureAwait(false);
        return none.Where(s => !s.IsOwn).ToDictionary(s => s.Item, s => new Short(s.Supply, s.Stock == Stock.OnOrder, s.ArrivesOn));
    }

    /// <summary>Says how much of something there is, in a word. What was counted is counted no more, unless the word agrees with it.</summary>
    /// <exception cref="InputException">Nothing the rules speak of.</exception>
    public async Task Say(SupplyId item, Stock stock, DateOnly? arrivesOn = null, CancellationToken cancel = default)
    {
        StoreItem kept = await Known(item, cancel).ConfigureAwait(false);
        bool empty = stock is Stock.None or Stock.OnOrder;
        if (kept.Amount > 0 && empty)
        {
            Move(kept, kept.Amount, StoreDeed.Counted, -kept.Amount.Value, new User("none left"));
        }
        kept.Amount = kept.Amount is null || (kept.Amount <= 0 && !empty) ? null : empty ? 0 : kept.Amount;
        (kept.Stock, kept.ArrivesOn) = (stock, stock == Stock.OnOrder ? arrivesOn : null);
        Stamp(kept);
        kept.Ordered = stock == Stock.OnOrder ? kept.Ordered : null;
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }

    /// <summary>Says how much of something there is, by a look at the shelf.</summary>
    /// <exception cref="InputException">Kit, or nothing the shop keeps.</exception>
    public async Task Count(SupplyId id, double amount, CancellationToken cancel = default)
    {
        StoreItem item = Counted(await Known(id, cancel).ConfigureAwait(false));
        Move(item, item.Amount, StoreDeed.Counted, amount - (item.Amount ?? 0), new User("counted"));
        item.Count(amount);
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }

    /// <summary>Some came in. What is on order is less by it; what came in is not opened, and good as long as it says.</summary>
    /// <param name="id">What.</param>
    /// <param name="amount">How much, in its unit.</param>
    /// <param name="bestBefore">The last day it is good; null for as before, or for what keeps.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">Kit, nothing, or nothing the shop keeps.</exception>
    public async Task Bought(SupplyId id, double amount, DateOnly? bestBefore = null, CancellationToken cancel = default)
    {
        StoreItem item = Counted(await Known(id, cancel).ConfigureAwait(false));
        if (!(amount > 0))
        {
            throw new InputException("amount", "amount", amount, "more than 0", "Say how much came in.");
        }
        // What was there uncounted is not known, so that only what came in is counted from now on.
        Move(item, item.Amount, StoreDeed.Bought, amount, new User("came in"));
        item.Ordered = item.Ordered > amount ? item.Ordered - amount : null;
        item.ArrivesOn = item.Ordered is null ? null : item.ArrivesOn;
        item.Count((item.Amount ?? 0) + amount);
        (item.OpenedOn, item.BestBefore) = (null, bestBefore ?? item.BestBefore);
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }

    /// <summary>Takes some out for something no step speaks of.</summary>
    /// <exception cref="InputException">More than there is, kit, or nothing the shop keeps.</exception>
    public async Task TakeOut(SupplyId id, double amount, string? what, CancellationToken cancel = default)
    {
        StoreItem item = Counted(await Known(id, cancel).ConfigureAwait(false));
        double there = item.Amount ?? throw new InputException("not_counted", "amount", amount, "something that is counted",
            $"{Sentences.Start(item.Supply.Name)} is not counted yet: say how much there is first.");
        if (!(amount > 0 && amount <= there + Whole.Slack))
        {
            throw new InputException("negative_stock", "amount", amount, $"more than 0, at most {Measure.Say(there, item.Supply.Unit)}", amount > 0
                ? $"There are {Measure.Say(there, item.Supply.Unit)}: {Measure.Say(amount, item.Supply.Unit)} cannot come out. Count it anew if there is more."
                : "Say how much was taken.");
        }
        string words = Shorten.To(what, MostWords);
        Move(item, there, StoreDeed.TakenBy, -item.Take(amount), new User(words.Length > 0 ? words : "taken"));
        item.OpenedOn ??= Today;
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }

    /// <summary>Notes that it was ordered: how much, and when it should come.</summary>
    /// <exception cref="InputException">Nothing the shop keeps.</exception>
    public async Task Order(SupplyId id, double? amount, DateOnly? arrives, CancellationToken cancel = default)
    {
        StoreItem item = await Known(id, cancel).ConfigureAwait(false);
        (item.Ordered, item.ArrivesOn) = (amount, arrives);
        Stamp(item);
        item.Stock = item.Stock is Stock.None ? Stock.OnOrder : item.Stock;
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }

    /// <summary>Keeps what is known of something beside how much there is.</summary>
    /// <param name="id">What.</param>
    /// <param name="facts">What is known; the book's own name, class and unit stay.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">Nothing the shop keeps, or figures that cannot be.</exception>
    public async Task Keep(SupplyId id, StoreFacts facts, CancellationToken cancel = default)
    {
        StoreItem item = await Known(id, cancel).ConfigureAwait(false);
        Put(item, facts);
        Stamp(item);
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }

    /// <summary>Says what a unit of something of the shop's own costs.</summary>
    internal async Task Price(SupplyId own, double price, CancellationToken cancel)
    {
        StoreItem item = await Known(own, cancel).ConfigureAwait(false);
        item.Price = price;
        Stamp(item);
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }

    private static void Put(StoreItem item, StoreFacts facts)
    {
        if (facts.OpenedOn > facts.BestBefore)
        {
            throw new InputException("wrong_way_round", "best_before", facts.BestBefore, $"after {facts.OpenedOn:d MMMM yyyy}",
                "It was opened after its last good day. One of the two days is wrong.");
        }
        item.Grain = facts.Grain is null ? null : ReferenceData.Grits.Checked(facts.Grain);
        (item.Least, item.Pack, item.OpenedOn, item.BestBefore) = (facts.Least, facts.Pack is > 0 ? facts.Pack : null, facts.OpenedOn, facts.BestBefore);
        item.Place = Shorten.To(facts.Place, MostName);
        if (item.IsOwn)
        {
            // Kit is not counted, and what is not counted is kit or an abrasive that lasts.
            item.Unit = facts.Class == SupplyClass.Kit ? "" : facts.Unit;
            item.Class = item.Unit.Length == 0 && facts.Class != SupplyClass.Abrasive ? SupplyClass.Kit : facts.Class;
            item.Name = Shorten.To(facts.Name, MostName) is { Length: > 0 } name ? name : item.Name;
        }
        if (item.Amount is double there && item.Stock is Stock.Have or Stock.Low && there > 0)
        {
            item.Count(there);
        }
    }

    /// <summary>Puts something of the shop's own on the shelf.</summary>
    /// <exception cref="InputException">No name, the name of something there is, or a unit that is none.</exception>
    public async Task<StoreItem> New(StoreFacts facts, CancellationToken cancel = default)
    {
        string name = Shorten.To(facts.Name, MostName);
        if (name.Length == 0)
        {
            throw new InputException("required", "name", facts.Name, "a name", "Say what it is called.");
        }
        if (facts.Unit.Length > 0 && !Measure.Units.Contains(facts.Unit))
        {
            throw new InputException("wrong_unit", "unit", facts.Unit, string.Join(", ", Measure.Units),
                $"\"{Shorten.To(facts.Unit, 20)}\" is no unit of the stores: {string.Join(", ", Measure.Units)}, or none for kit.");
        }
        List<StoreItem> own = await db.StoreItems.AsNoTracking().Where(i => i.Name != "").ToListAsync(cancel).ConfigureAwait(false);
        if (Supplies.Named(name.ToLowerInvariant()) is not null || own.Exists(i => string.Equals(i.Name, name, StringComparison.OrdinalIgnoreCase)))
        {
            throw new InputException("there_already", "name", name, "another name", $"{name} is on the shelf already.");
        }
        if (own.Count >= MostOwn)
        {
            throw new InputException("too_many", "name", name, $"at most {MostOwn}", $"The shelf holds {MostOwn} things of the shop's own.");
        }
        int number = own.Select(i => int.TryParse(i.Item.Value.AsSpan(OwnPrefix.Length), out int n) ? n : 0).DefaultIfEmpty().Max() + 1;
        var item = new StoreItem { Item = SupplyId.Of($"{OwnPrefix}{number}"), Name = name, At = time.GetUtcNow() };
        db.StoreItems.Add(item);
        Put(item, facts);
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        return item;
    }

    /// <summary>What changed how much there is of something, the last first.</summary>
    public async Task<IReadOnlyList<StoreMove>> Moves(SupplyId id, int most, CancellationToken cancel = default) =>
        await db.StoreMoves.AsNoTracking().Where(m => m.Item == id).OrderByDescending(m => m.At).ThenByDescending(m => m.Id).Take(most).ToListAsync(cancel)
            .ConfigureAwait(false);

    /// <summary>The last change of something that can be taken back by itself; what a step used comes back with the step. Null for none.</summary>
    public static StoreMove? Last(IReadOnlyList<StoreMove> moves)
    {
        HashSet<Guid> back = [.. moves.Select(m => m.TakesBack).OfType<Guid>()];
        return moves.FirstOrDefault(m => m.Kind != StoreDeed.PutBack && !back.Contains(m.Id)) is { Tag: null, Bath: null } last ? last : null;
    }

    /// <summary>Takes the last change of something back.</summary>
    /// <exception cref="InputException">Nothing changed it, or a step or a bath did, which takes it back itself.</exception>
    public async Task TakeBack(SupplyId id, CancellationToken cancel = default)
    {
        StoreItem item = await Known(id, cancel).ConfigureAwait(false);
        StoreMove last = Last(await Moves(id, 100, cancel).ConfigureAwait(false)) ?? throw new InputException("nothing_to_take_back", "item", id.Value,
            "something that was counted, brought in or taken", "What changed last was a step or a bath: take that back where it was done.");
        double now = item.Amount ?? 0;
        Move(item, item.Amount, StoreDeed.PutBack, -last.Change, new User($"taken back: {last.Text}"), last.Id);
        if (last.Kind == StoreDeed.Counted && last.Before is null)
        {
            (item.Amount, item.Stock) = (null, Stock.Have);
        }
        else
        {
            item.Count(Math.Max(0, now - last.Change));
        }
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }

    /// <summary>A step used these: what is counted is less by it. It is kept with what the caller keeps.</summary>
    internal Task Draw(Tag tag, DeedId step, IEnumerable<(SupplyId Item, double Amount)> used, CancellationToken cancel) =>
        Draw(used, new User(tag.Label, tag.Number, step, null), cancel);

    /// <summary>A bath was mixed from these. It is kept with what the caller keeps.</summary>
    internal Task Draw(int bath, string name, IEnumerable<Ingredient> from, CancellationToken cancel) =>
        Draw(from.Select(i => (i.Item, i.Amount)), new User(name, null, null, bath), cancel);

    private async Task Draw(IEnumerable<(SupplyId Item, double Amount)> used, User by, CancellationToken cancel)
    {
        Dictionary<SupplyId, double> sums = used.GroupBy(u => u.Item).ToDictionary(g => g.Key, g => g.Sum(u => u.Amount));
        SupplyId[] ids = [.. sums.Keys];
        await db.BeginWriting(cancel).ConfigureAwait(false);
        foreach (StoreItem item in await db.StoreItems.Where(i => ids.Contains(i.Item) && i.Amount > 0).ToListAsync(cancel).ConfigureAwait(false))
        {
            double before = item.Amount!.Value, taken = item.Take(sums[item.Item]);
            if (taken > 0)
            {
                Move(item, before, StoreDeed.Used, -taken, by);
                item.OpenedOn ??= Today;
            }
        }
    }

    // Who used something: a step of a tool, a bath that was mixed, or somebody who says for what.
    private sealed record User(string Text, int? Tag = null, DeedId? Step = null, int? Bath = null);

    /// <summary>What a step had used goes back. It is kept with what the caller keeps.</summary>
    internal Task PutBack(Tag tag, DeedId step, CancellationToken cancel) =>
        PutBack(db.StoreMoves.Where(m => m.Tag == tag.Number && m.Step == step), cancel);

    /// <summary>What a bath had been mixed from goes back. It is kept with what the caller keeps.</summary>
    internal Task PutBack(int bath, CancellationToken cancel) => PutBack(db.StoreMoves.Where(m => m.Bath == bath), cancel);

    private async Task PutBack(IQueryable<StoreMove> of, CancellationToken cancel)
    {
        await db.BeginWriting(cancel).ConfigureAwait(false);
        List<StoreMove> moves = await of.ToListAsync(cancel).ConfigureAwait(false);
        HashSet<Guid> back = [.. moves.Select(m => m.TakesBack).OfType<Guid>()];
        foreach (StoreMove used in moves.Where(m => m.Kind == StoreDeed.Used && !back.Contains(m.Id)))
        {
            // Who counted since then counted what was really there.
            bool counted = await db.StoreMoves.AnyAsync(m => m.Item == used.Item && m.Kind == StoreDeed.Counted && m.At > used.At, cancel)
                .ConfigureAwait(false);
            if (!counted && await db.StoreItems.FirstOrDefaultAsync(i => i.Item == used.Item, cancel).ConfigureAwait(false) is { Amount: not null } item)
            {
                Move(item, item.Amount, StoreDeed.PutBack, -used.Change, new User(used.Text, used.Tag, used.Step, used.Bath), used.Id);
                item.Add(-used.Change);
            }
        }
    }

    // Changes of one thing follow one another, whatever the clock of the shop says.
    private DateTimeOffset Stamp(StoreItem item)
    {
        DateTimeOffset now = time.GetUtcNow();
        return item.At = now > item.At ? now : item.At.AddTicks(1);
    }

    private void Move(StoreItem item, double? before, StoreDeed kind, double change, User by, Guid? takesBack = null)
    {
        DateTimeOffset now = Stamp(item);
        db.StoreMoves.Add(new StoreMove
        {
            Id = Guid.CreateVersion7(now), At = now, Item = item.Item, Kind = kind, Change = change, Before = before, Text = by.Text,
            Tag = by.Tag, Step = by.Step, Bath = by.Bath, TakesBack = takesBack,
        });
    }

    private DateOnly Today => DateOnly.FromDateTime(time.GetLocalNow().DateTime);

    private static StoreItem Counted(StoreItem item) => item.Supply.Unit.Length > 0 ? item
        : throw new InputException("not_counted", "item", item.Item.Value, "something that is used up",
            $"{Sentences.Start(item.Supply.Name)} is used again and again: say whether it is there.");

    private async Task<StoreItem> Known(SupplyId id, CancellationToken cancel)
    {
        await db.BeginWriting(cancel).ConfigureAwait(false);
        StoreItem? kept = await db.StoreItems.FirstOrDefaultAsync(s => s.Item == id, cancel).ConfigureAwait(false);
        if (kept is null)
        {
            Supply supply = Supplies.Find(id) ?? throw new InputException("unknown_supply", "item", id.Value, "a supply of the book or of the shop",
                $"\"{id}\" is nothing the rules speak of.");
            db.StoreItems.Add(kept = new StoreItem { Item = supply.Id });
        }
        return kept;
    }
}

/// <summary>What is known of something the shop keeps, beside how much there is.</summary>
public sealed record StoreFacts
{
    /// <summary>What it is called; only asked of something of the shop's own.</summary>
    public string Name { get; init; } = "";

    /// <summary>What sort of thing it is; only asked of something of the shop's own.</summary>
    public SupplyClass Class { get; init; } = SupplyClass.Sundry;

    /// <summary>What it is counted in; only asked of something of the shop's own.</summary>
    public string Unit { get; init; } = "";

    /// <summary>The least to keep, in its unit.</summary>
    public double? Least { get; init; }

    /// <summary>What a pack holds, in its unit.</summary>
    public double? Pack { get; init; }

    /// <summary>When it was opened.</summary>
    public DateOnly? OpenedOn { get; init; }

    /// <summary>The last day it is good.</summary>
    public DateOnly? BestBefore { get; init; }

    /// <summary>Where it lies.</summary>
    public string? Place { get; init; }

    /// <summary>How coarse it is.</summary>
    public Grain? Grain { get; init; }
}
