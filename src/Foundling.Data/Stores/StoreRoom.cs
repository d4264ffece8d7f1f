using Foundling.Core;
using Foundling.Core.Stores;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;

namespace Foundling.Data.Stores;

/// <summary>What the shop knows of one supply. What it says nothing of is taken as there.</summary>
public sealed class StoreItem
{
    /// <summary>The supply.</summary>
    public SupplyId Item { get; set; }

    /// <summary>How much there is.</summary>
    public Stock Stock { get; set; }

    /// <summary>When what is on order should come.</summary>
    public DateOnly? ArrivesOn { get; set; }

    /// <summary>When this was said.</summary>
    public DateTimeOffset At { get; set; }
}

/// <summary>Kit and materials of the shop.</summary>
public sealed class StoreRoom(FoundlingDb db, TimeProvider time)
{
    /// <summary>What the shop has said, by supply.</summary>
    public async Task<IReadOnlyDictionary<SupplyId, StoreItem>> All(CancellationToken cancel = default) =>
        await db.StoreItems.AsNoTracking().ToDictionaryAsync(s => s.Item, cancel).ConfigureAwait(false);

    /// <summary>How much of a supply there is; what the shop says nothing of is taken as there.</summary>
    public static Stock StockOf(IReadOnlyDictionary<SupplyId, StoreItem> said, SupplyId item) => said.TryGetValue(item, out StoreItem? kept) ? kept.Stock
        : Stock.Have;

    /// <summary>What the shop has none of, by supply: kit, which closes the ways that need it, and material, which holds the steps that use it.</summary>
    public async Task<IReadOnlyDictionary<SupplyId, Short>> Short(CancellationToken cancel = default)
    {
        List<StoreItem> none = await db.StoreItems.AsNoTracking().Where(s => s.Stock == Stock.None || s.Stock == Stock.OnOrder)
            .ToListAsync(cancel).ConfigureAwait(false);
        return none.Where(s => Supplies.Find(s.Item) is not null).ToDictionary(s => s.Item, s => new Short(Supplies.Find(s.Item)!, s.Stock == Stock.OnOrder,
            s.ArrivesOn));
    }

    /// <summary>Says how much of something there is.</summary>
    /// <exception cref="InputException">Nothing the rules speak of.</exception>
    public async Task Say(SupplyId item, Stock stock, DateOnly? arrivesOn = null, CancellationToken cancel = default)
    {
        Supply supply = Supplies.Find(item) ?? throw new InputException("unknown_supply", "item", item.Value, "a supply of the book",
            $"\"{item}\" is nothing the rules speak of.");
        StoreItem? kept = await db.StoreItems.FirstOrDefaultAsync(s => s.Item == supply.Id, cancel).ConfigureAwait(false);
        if (kept is null)
        {
            db.StoreItems.Add(kept = new StoreItem { Item = supply.Id });
        }
        (kept.Stock, kept.ArrivesOn, kept.At) = (stock, stock == Stock.OnOrder ? arrivesOn : null, time.GetUtcNow());
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }
}

internal sealed class StoreItemMapping : IEntityTypeConfiguration<StoreItem>
{
    public void Configure(EntityTypeBuilder<StoreItem> item) => item.HasKey(s => s.Item);
}
