using System.Text.Json;
using Foundling.Core;
using Foundling.Core.Keys;
using Foundling.Core.Shop;
using Foundling.Core.Stall;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages;

/// <summary>What a check takes along when it leaves the shop.</summary>
/// <param name="Rate">What the shop counts an hour at; 0 for nothing.</param>
/// <param name="OnShelf">Tools of each kind the shop has.</param>
/// <param name="Sums">How costs and the most to pay are added up.</param>
/// <param name="Tables">Questions with what their answers do, for each kind.</param>
public sealed record StallData(double Rate, IReadOnlyDictionary<KindId, int> OnShelf, StallReckoning Sums, IReadOnlyList<StallTable> Tables);

/// <summary>Two minutes at a stall: is it worth it? Works without a connection once it was opened.</summary>
public sealed class StallModel(TagBook tags, ShopDesk shop, StallTables tables, TimeProvider time) : PageModel
{
    /// <summary>Shows the check.</summary>
    public void OnGet()
    {
    }

    /// <summary>Everything the check needs away from the shop.</summary>
    public async Task<IActionResult> OnGetData(CancellationToken cancel)
    {
        ShopContext here = await shop.Context(cancel);
        return new JsonResult(new StallData(here.HourRate, await tags.KindsOnShelf(cancel), StallReckoning.Of(here.Assumptions), tables.Of(here)),
            new JsonSerializerOptions(OpenJson.Options));
    }

    /// <summary>Makes a tag of a check. Its key lets it arrive once, however often it is sent.</summary>
    public async Task<IActionResult> OnPostKeep(string? kind, string? answers, string? price, string? source, string? note)
    {
        ToolKind tool;
        IReadOnlyList<Found> findings;
        try
        {
            tool = ToolCatalogue.Kind(KindId.Of(kind));
            findings = StallCheck.Findings(tool, (answers ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries));
        }
        catch (InputException fault)
        {
            ModelState.AddModelError("", fault.Sentence);
            return Page();
        }
        DateTimeOffset now = time.GetUtcNow();
        var tag = new Tag
        {
            Kind = tool.Id, ArrivedOn = DateOnly.FromDateTime(time.GetLocalNow().Date),
            Source = string.IsNullOrWhiteSpace(source) ? "a stall" : Shorten.To(source, 200),
            Price = Typed.TryMoney(price, out decimal paid) ? paid : null, Story = Shorten.To(note, 1000),
        };
        tag.Findings.AddRange(findings.Select(f => Finding.Of(f, now)));
        await tags.BookIn(tag);
        return LocalRedirect($"/tag/{tag.Number}/state");
    }
}
