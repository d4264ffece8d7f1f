using Foundling.Core.Shelves;
using System.Text;
using Foundling.Core;
using Foundling.Core.Stores;
using Foundling.Data.Stores;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Stores;

/// <summary>The shelves of the shop: what there is of everything that is used up, and the abrasives.</summary>
public sealed class IndexModel(StoreRoom stores, StoreDesk desk, Chrome chrome) : SentencePageModel
{
    private const int MostBytes = 1_000_000;

    /// <summary>This day.</summary>
    public DateOnly Today { get; } = DateOnly.FromDateTime(chrome.Now.DateTime);

    /// <summary>All that is kept.</summary>
    public IReadOnlyList<StoreItem> Things { get; private set; } = [];

    /// <summary>What is low, out, or past its day.</summary>
    public IReadOnlyList<StoreItem> Wanting { get; private set; } = [];

    /// <summary>Lines just taken from a file.</summary>
    [BindProperty(SupportsGet = true)]
    public int? Taken { get; set; }

    /// <summary>Something new was tried and refused.</summary>
    public bool Fresh { get; private set; }

    /// <inheritdoc />
    protected override async Task After()
    {
        Things = await stores.Shelves();
        Wanting = [.. Things.Where(i => !i.Supply.Kit && i.IsWanting(Today)).OrderBy(i => i.Supply.Name, StringComparer.Ordinal)];
    }

    /// <summary>Shows them.</summary>
    public void OnGet()
    {
    }

    /// <summary>All of it as CSV.</summary>
    public async Task<IActionResult> OnGetCsv() => File(Encoding.UTF8.GetBytes(await desk.Csv()), "text/csv; charset=utf-8", "stores.csv");

    /// <summary>Puts something of the shop's own on the shelf.</summary>
    public async Task<IActionResult> OnPostNew(string? name, SupplyClass sort, string? unit)
    {
        Fresh = true;
        StoreItem item = await stores.New(new StoreFacts { Name = name ?? "", Class = sort, Unit = unit ?? "" });
        return LocalRedirect($"/stores/{item.Item}");
    }

    /// <summary>Takes a file in.</summary>
    public async Task<IActionResult> OnPostCsv(IFormFile? file, CancellationToken cancel)
    {
        if (file is not { Length: > 0 and <= MostBytes })
        {
            throw new InputException("required", "file", null, "a file", file is { Length: > 0 } ? "This file is too large for a list of stores."
                : "Choose a CSV file.");
        }
        using var reader = new StreamReader(file.OpenReadStream());
        return LocalRedirect($"/stores?taken={await desk.Take(await reader.ReadToEndAsync(cancel), cancel)}");
    }
}
