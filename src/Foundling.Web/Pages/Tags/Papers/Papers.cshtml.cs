using Foundling.Core.Aim;
using Foundling.Core.Log;
using Foundling.Core.Papers;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Papers;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;

namespace Foundling.Web.Pages.Tags;

/// <summary>What leaves with the tool.</summary>
public sealed class PapersModel(TagBook tags, RodDesk rods, BundleDesk bundles, BundlesIn incoming) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "papers";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Everything;

    /// <summary>What the work came to.</summary>
    public Account Account { get; private set; } = null!;

    /// <summary>What was typed as the price it went for, kept when it is refused.</summary>
    public string? TypedSold { get; private set; }

    /// <summary>Notes that go with the tool.</summary>
    public IReadOnlyList<BenchEvent> Notes { get; private set; } = [];

    /// <inheritdoc />
    public override Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next) =>
        base.OnPageHandlerExecutionAsync(context, async () =>
        {
            // A form that is refused shows the papers too.
            Account = Account.Of(Tool, Booked, await rods.Question(Tool, Tool.Aim ?? AimKind.Work));
            Notes = await Book.PapersNotes(Tool.Number);
            return await next();
        });

    /// <summary>Shows the papers.</summary>
    public void OnGet()
    {
    }

    /// <summary>The data bundle.</summary>
    /// <param name="places">Leave in the pictures where they were taken.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<IActionResult> OnGetBundle(bool places, CancellationToken cancel)
    {
        var memory = new MemoryStream();
        await bundles.Write(Tool, memory, places, cancel);
        memory.Position = 0;
        return File(memory, "application/zip", $"{Tool.Label}.zip");
    }

    /// <summary>Takes a tag that came in a bundle out of the shop again.</summary>
    public async Task<IActionResult> OnPostOut(CancellationToken cancel)
    {
        await incoming.TakeOut(Tool, cancel);
        return LocalRedirect("/shelf");
    }

    /// <summary>Closes or opens the book.</summary>
    /// <param name="status">Where it stands.</param>
    /// <param name="sold">What it was sold for, as typed.</param>
    public async Task<IActionResult> OnPostStatus(TagStatus status, string? sold)
    {
        TypedSold = sold;
        if (!string.IsNullOrWhiteSpace(sold) && !Typed.TryMoney(sold, out _))
        {
            ModelState.AddModelError("Sold", $"\"{Shorten.To(sold, 40)}\" is not an amount of money. Type a number such as 60 or 12.50, or leave it empty.");
            return Page();
        }
        Tool.SoldFor = Typed.TryMoney(sold, out decimal amount) ? amount : null;
        await rods.Stand(Tool, status);
        return ToLeaf("papers");
    }
}
