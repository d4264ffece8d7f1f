using Foundling.Core.Shelves;
using System.Globalization;
using System.Text;
using CsvHelper;
using Foundling.Core;
using Foundling.Core.Baths;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Soaks;
using Foundling.Data.Store;
using Foundling.Data.Tags;

namespace Foundling.Data.Stores;

/// <summary>What the stores have to do with the rest of the shop: what to buy for the tools in hand, what things cost, files in and out.</summary>
public sealed class StoreDesk(FoundlingDb db, TimeProvider time, StoreRoom stores, ShopBook shop, ShopDesk desk, TagBook tags, BathBook baths,
    PartsBox box)
{
    /// <summary>What to buy: what is low, and what the rods of the tools in hand ask for.</summary>
    public async Task<IReadOnlyList<ShoppingLine>> List(CancellationToken cancel = default)
    {
        Assumptions assumed = await desk.Assumed(cancel).ConfigureAwait(false);
        IReadOnlyDictionary<SupplyId, StoreItem> kept = await stores.All(cancel).ConfigureAwait(false);
        return Shopping.List([.. kept.Values], await Asked(assumed, cancel).ConfigureAwait(false), assumed, Today);
    }

    /// <summary>What the open steps of the tools in hand ask of the stores.</summary>
    public async Task<IReadOnlyList<Asked>> Asked(CancellationToken cancel = default) =>
        await Asked(await desk.Assumed(cancel).ConfigureAwait(false), cancel).ConfigureAwait(false);

    private async Task<IReadOnlyList<Asked>> Asked(Assumptions assumed, CancellationToken cancel)
    {
        HashSet<BathKind> standing = [.. (await baths.Standing(cancel).ConfigureAwait(false)).Where(b => b.State.Spent(assumed) < 1).Select(b => b.Bath.Kind)];
        List<Tag> inHand = await tags.InHand(cancel).ConfigureAwait(false);
        List<OrphanPart> boxed = await box.InBox(cancel).ConfigureAwait(false);
        return [.. inHand.SelectMany(t => Shopping.Of(t.Number, t.Steps, standing, p => t.Tool().Part(p)?.Name ?? p.Value,
            boxed.Where(b => b.Suits(t)).Select(b => b.Part).ToHashSet()))];
    }

    private DateOnly Today => DateOnly.FromDateTime(time.GetLocalNow().DateTime);

    /// <summary>Says what a unit of something costs: from then on every cost is reckoned with it.</summary>
    /// <exception cref="InputException">A price nobody would pay, or nothing the shop keeps.</exception>
    public async Task Price(SupplyId id, double price, CancellationToken cancel = default)
    {
        StoreItem item = await stores.Show(id, cancel).ConfigureAwait(false)
            ?? throw new InputException("unknown_supply", "item", id.Value, "a supply of the book or of the shop", $"\"{id}\" is nothing this shop keeps.");
        if (item.IsOwn)
        {
            await stores.Price(id, price, cancel).ConfigureAwait(false);
            return;
        }
        ShopSettings settings = await shop.ForChange(cancel).ConfigureAwait(false);
        settings.Assumed = Assumptions.Of(settings.Assumed).With(Assumptions.PriceName(id), price).Kept();
        await shop.Save(settings, cancel).ConfigureAwait(false);
    }

    /// <summary>What is kept of something beside how much there is.</summary>
    private static StoreFacts Facts(StoreItem item) => new()
    {
        Name = item.Name, Class = item.Class, Unit = item.Unit, Least = item.Least, Pack = item.Pack, OpenedOn = item.OpenedOn,
        BestBefore = item.BestBefore, Place = item.Place, Grain = item.Grain,
    };

    /// <summary>All that is kept, as CSV.</summary>
    public async Task<string> Csv(CancellationToken cancel = default) =>
        StoresFile.Write(await stores.Shelves(cancel).ConfigureAwait(false), await desk.Assumed(cancel).ConfigureAwait(false));

    /// <summary>Takes a file of stores in: all of it, or nothing.</summary>
    /// <returns>How many things it was about.</returns>
    /// <exception cref="InputException">What cannot be read, each line named.</exception>
    public async Task<int> Take(string csv, CancellationToken cancel = default)
    {
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            Assumptions assumed = await desk.Assumed(cancel).ConfigureAwait(false);
            IReadOnlyList<StoreRow> rows = StoresFile.Read(csv, [.. await stores.Shelves(cancel).ConfigureAwait(false)]);
            foreach (StoreRow row in rows)
            {
                SupplyId id = row.Item ?? (await stores.New(row.Facts, cancel).ConfigureAwait(false)).Item;
                await Take(id, row, assumed, cancel).ConfigureAwait(false);
            }
            await write.Done(cancel).ConfigureAwait(false);
            return rows.Count;
        }
    }

    private async Task Take(SupplyId id, StoreRow row, Assumptions assumed, CancellationToken cancel)
    {
        StoreItem before = (await stores.Show(id, cancel).ConfigureAwait(false))!;
        if (row.Facts with { Class = before.Class, Name = before.Name, Unit = before.Unit } != Facts(before))
        {
            await stores.Keep(id, row.Facts, cancel).ConfigureAwait(false);
        }
        if (row.Price is double price && Math.Round(price, PricePlaces) != Math.Round(before.PriceIn(assumed), PricePlaces))
        {
            await Price(id, price, cancel).ConfigureAwait(false);
        }
        if (row.Stock is Stock said && said != before.Stock && row.Amount is null)
        {
            await stores.Say(id, said, null, cancel).ConfigureAwait(false);
        }
        if (row.Amount is double amount && amount != before.Amount)
        {
            await stores.Count(id, amount, cancel).ConfigureAwait(false);
        }
    }

    // As many places as a price has in a file.
    private const int PricePlaces = 4;

    /// <summary>A shopping list as CSV.</summary>
    public static string Csv(IEnumerable<ShoppingLine> list)
    {
        using var text = new StringWriter { NewLine = "\n" };
        using (CsvWriter csv = CsvWriter.Create(text, new CsvWriterOptions(), true))
        {
            csv.WriteRecord(["what", "amount", "unit", "packs", "cost", "why", "tags"]);
            foreach (ShoppingLine line in list)
            {
                csv.WriteRecord(
                [
                    StoresFile.Plain(line.Supply.Name), line.Amount?.ToString("0.##", CultureInfo.InvariantCulture) ?? "", line.Supply.Unit,
                    line.Packs?.ToString(CultureInfo.InvariantCulture) ?? "", line.Cost > 0 ? line.Cost.ToString("0.00", CultureInfo.InvariantCulture) : "",
                    line.Why, string.Join(' ', line.Tags.Select(Tag.LabelOf)),
                ]);
            }
        }
        return text.ToString();
    }

    /// <summary>A shopping list as plain text, to be sent on.</summary>
    public static string Text(IEnumerable<ShoppingLine> list)
    {
        var text = new StringBuilder();
        foreach (IGrouping<SupplyClass, ShoppingLine> group in list.GroupBy(l => l.Supply.Class))
        {
            text.Append(text.Length > 0 ? "\n" : "").Append(SupplyClasses.Heading(group.Key)).Append('\n');
            foreach (ShoppingLine line in group)
            {
                text.Append("- ").Append(Sentences.Start(line.Supply.Name)).Append(line.Much.Length > 0 ? $": {line.Much}" : "").Append('\n');
            }
        }
        return text.ToString();
    }
}
