using Foundling.Core.Tags;
using Foundling.Data.Papers;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>What leaves with the tool.</summary>
public sealed class PapersModel(TagBook tags, BundleDesk bundles) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "papers";

    /// <summary>Shows the papers.</summary>
    public void OnGet()
    {
    }

    /// <summary>The data bundle.</summary>
    public async Task<IActionResult> OnGetBundle(CancellationToken cancel)
    {
        var memory = new MemoryStream();
        await bundles.Write(Tool, memory, cancel);
        memory.Position = 0;
        return File(memory, "application/zip", $"{Tool.Label}.zip");
    }

    /// <summary>Closes or opens the book.</summary>
    public async Task<IActionResult> OnPostStatus(TagStatus status)
    {
        Tool.Status = status;
        await Book.Save(Tool);
        return ToLeaf("papers");
    }
}
