using Foundling.Core.Shelves;
using Foundling.Core.Stores;
using Foundling.Data.Stores;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Stores;

/// <summary>Kit of the shop: what is there and what is not.</summary>
public sealed class KitModel(StoreRoom stores) : SentencePageModel
{
    /// <summary>All kit, the shop's own too.</summary>
    public IReadOnlyList<StoreItem> Kit { get; private set; } = [];

    /// <inheritdoc />
    protected override async Task After() => Kit = [.. (await stores.Shelves()).Where(i => i.Supply.Kit)];

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }

    /// <summary>Says whether something is there.</summary>
    public async Task<IActionResult> OnPostStock(string? item, Stock stock, DateOnly? arrives)
    {
        await stores.Say(SupplyId.Of(item), stock, arrives);
        return LocalRedirect("/stores/kit");
    }
}
