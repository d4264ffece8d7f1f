using Foundling.Core;
using Foundling.Core.Stores;
using Foundling.Data.Shop;
using Foundling.Data.Stores;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Stores;

/// <summary>Kit and materials of the shop: what is there and what is not.</summary>
public sealed class SuppliesModel(StoreRoom stores, ShopDesk shop) : SentencePageModel
{
    /// <summary>What the shop has said, by supply.</summary>
    public IReadOnlyDictionary<SupplyId, StoreItem> Said { get; private set; } = new Dictionary<SupplyId, StoreItem>();

    /// <summary>How much of a supply there is; what the shop says nothing of is taken as there.</summary>
    public Stock StockOf(Supply supply) => StoreRoom.StockOf(Said, supply.Id);

    /// <summary>What the shop assumes, prices among it.</summary>
    public Assumptions Assumed { get; private set; } = null!;

    /// <inheritdoc />
    protected override async Task After() => (Said, Assumed) = (await stores.All(), await shop.Assumed());

    /// <summary>Shows them.</summary>
    public void OnGet()
    {
    }

    /// <summary>Says how much of something there is.</summary>
    public async Task<IActionResult> OnPostStock(string? item, Stock stock, DateOnly? arrives)
    {
        await stores.Say(SupplyId.Of(item), stock, arrives);
        return LocalRedirect("/stores/supplies");
    }
}
