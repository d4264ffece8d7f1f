using Foundling.Core.Tags;
using Foundling.Data.Papers;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>What leaves with the tool.</summary>
public sealed class PapersModel(TagBook tags, BundleDesk bundles, BundlesIn incoming) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "papers";

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
    public async Task<IActionResult> OnPostStatus(TagStatus status)
    {
        Tool.Status = status;
        await Book.Save(Tool);
        return ToLeaf("papers");
    }
}
