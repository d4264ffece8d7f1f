using Foundling.Core.Shelves;
using System.Text;
using Foundling.Core.Stores;
using Foundling.Data.Stores;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Stores;

/// <summary>What to buy: printed, as a file, or sent on as text.</summary>
public sealed class ListModel(StoreRoom stores, StoreDesk desk) : SentencePageModel
{
    /// <summary>The list.</summary>
    public IReadOnlyList<ShoppingLine> Lines { get; private set; } = [];

    /// <inheritdoc />
    protected override async Task After() => Lines = await desk.List();

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }

    /// <summary>As CSV.</summary>
    public async Task<IActionResult> OnGetCsv() =>
        File(Encoding.UTF8.GetBytes(StoreDesk.Csv(await desk.List())), "text/csv; charset=utf-8", "shopping-list.csv");

    /// <summary>As plain text.</summary>
    public async Task<IActionResult> OnGetText() => Content(StoreDesk.Text(await desk.List()), "text/plain", Encoding.UTF8);

    /// <summary>Something of it was bought.</summary>
    public async Task<IActionResult> OnPostBought(string? item, string? amount)
    {
        SupplyId id = SupplyId.Of(item);
        Supply? supply = (await stores.Show(id))?.Supply;
        await stores.Bought(id, Measure.Read(amount, supply?.Unit ?? "", supply?.Name ?? id.Value));
        return LocalRedirect("/stores/list");
    }
}
