using Foundling.Core.Shelves;
using Foundling.Core;
using Foundling.Core.Stores;
using Foundling.Core.Units;
using Foundling.Data.Reference;
using Foundling.Data.Shop;
using Foundling.Data.Stores;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Stores;

/// <summary>One thing of the stores: how much there is, what asks for it, what went in and out.</summary>
public sealed class ThingModel(StoreRoom stores, StoreDesk desk, ShopDesk shop, Chrome chrome) : SentencePageModel
{
    private const int MostMoves = 40;

    /// <summary>Its key.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <summary>This day.</summary>
    public DateOnly Today { get; } = DateOnly.FromDateTime(chrome.Now.DateTime);

    /// <summary>What is known of it.</summary>
    public StoreItem Item { get; private set; } = null!;

    /// <summary>What a unit costs.</summary>
    public double Price { get; private set; }

    /// <summary>The shop has said what it costs.</summary>
    public bool Priced { get; private set; }

    /// <summary>What changed how much there is, the last first.</summary>
    public IReadOnlyList<StoreMove> Moves { get; private set; } = [];

    /// <summary>The last change can be taken back here.</summary>
    public bool CanTakeBack { get; private set; }

    /// <summary>What asks for it, by tag.</summary>
    public IReadOnlyList<IGrouping<int, Asked>> Asked { get; private set; } = [];

    /// <summary>Size of its grain, µm; null for none, or none that is known.</summary>
    public double? Um { get; private set; }

    /// <summary>What is kept of it was tried and refused.</summary>
    public bool Facing { get; private set; }

    /// <summary>What it costs as its field shows it: a pack, or where it is bought loose a unit.</summary>
    public static string Shown(StoreItem item, double price) => Words.Plain(price * (item.Pack ?? 1));

    /// <inheritdoc />
    protected override async Task<bool> Before() => await stores.Show(SupplyId.Of(Id)) is { } item && (Item = item) is not null;

    /// <inheritdoc />
    protected override async Task After()
    {
        Item = (await stores.Show(Item.Item))!;
        Assumptions assumed = await shop.Assumed();
        Price = Item.PriceIn(assumed);
        Priced = Item.IsOwn || Price != Item.Supply.Cost;
        Moves = await stores.Moves(Item.Item, MostMoves);
        CanTakeBack = StoreRoom.Last(Moves) is not null;
        Asked = [.. (await desk.Asked()).Where(a => a.Item == Item.Item).GroupBy(a => a.Tag)];
        Um = Item.Coarseness is { } grain ? ReferenceData.Grits.Find(grain.System, grain.Grit)?.Um : null;
    }

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }

    /// <summary>Says how much there is.</summary>
    public async Task<IActionResult> OnPostCount(string? amount, bool none)
    {
        await stores.Count(Item.Item, none ? 0 : Read(amount, "amount"));
        return Back();
    }

    /// <summary>Some came in.</summary>
    public async Task<IActionResult> OnPostBought(string? amount, string? paid, DateOnly? best)
    {
        double came = Read(amount, "amount");
        double? price = string.IsNullOrWhiteSpace(paid) ? null : Typed.Price(paid, "paid") / came;
        await stores.Bought(Item.Item, came, best);
        if (price is double each)
        {
            await desk.Price(Item.Item, each);
        }
        return Back();
    }

    /// <summary>Something else took some.</summary>
    public async Task<IActionResult> OnPostTook(string? amount, string? what)
    {
        await stores.TakeOut(Item.Item, Read(amount, "amount"), what);
        return Back();
    }

    /// <summary>It is on order.</summary>
    public async Task<IActionResult> OnPostOrder(string? amount, DateOnly? arrives)
    {
        await stores.Order(Item.Item, Measure.ReadOrNull(amount, Item.Supply.Unit, Item.Supply.Name, "amount") is > 0 and double much ? much : null, arrives);
        return Back();
    }

    /// <summary>Says whether kit is there.</summary>
    public async Task<IActionResult> OnPostStock(string? item, Stock stock, DateOnly? arrives)
    {
        await stores.Say(SupplyId.Of(item), stock, arrives);
        return Back();
    }

    /// <summary>Takes the last change back.</summary>
    public async Task<IActionResult> OnPostBack()
    {
        await stores.TakeBack(Item.Item);
        return Back();
    }

    /// <summary>Keeps what is known of it.</summary>
    public async Task<IActionResult> OnPostFacts(string? name, string? least, string? pack, string? price, DateOnly? opened, DateOnly? best, string? place,
        AbrasiveForm? form, string? grading, string? grit)
    {
        Facing = true;
        Supply supply = Item.Supply;
        double? holds = Measure.ReadOrNull(pack, supply.Unit, supply.Name, "pack");
        Grain? grain = string.IsNullOrWhiteSpace(grading) && string.IsNullOrWhiteSpace(grit) ? null
            : new Grain(form ?? AbrasiveForm.Sheet, grading ?? "", grit ?? "");
        // A price that was not typed over stays, whatever a pack holds now.
        string shown = Shown(Item, Item.PriceIn(await shop.Assumed()));
        double? each = string.IsNullOrWhiteSpace(price) || price.Trim() == shown ? null : Typed.Price(price, "price") / (holds is > 0 ? holds.Value : 1);
        await stores.Keep(Item.Item, new StoreFacts
        {
            Name = name ?? Item.Name, Class = Item.Class, Unit = Item.Unit,
            Least = Measure.ReadOrNull(least, supply.Unit, supply.Name, "least"), Pack = holds, OpenedOn = opened, BestBefore = best, Place = place,
            Grain = grain == supply.Grain ? null : grain,
        });
        if (each is double unit)
        {
            await desk.Price(Item.Item, unit);
        }
        return Back();
    }

    private double Read(string? amount, string field) => Measure.Read(amount, Item.Supply.Unit, Item.Supply.Name, field);

    private LocalRedirectResult Back() => LocalRedirect($"/stores/{Item.Item}");
}
