using Foundling.Data.Origin;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Mend;

/// <summary>Takes changes of the pattern book back when its own pages cannot be shown.</summary>
public sealed class PatternsModel(PatternShelf shelf) : SentencePageModel
{
    /// <summary>Where the book stands among its changes.</summary>
    public BookHistory History { get; private set; } = new(null, null, []);

    /// <inheritdoc />
    protected override async Task<bool> Before()
    {
        History = await shelf.History();
        return true;
    }

    /// <summary>Shows them.</summary>
    public void OnGet()
    {
    }

    /// <summary>Takes the last change back.</summary>
    public async Task<IActionResult> OnPostUndo()
    {
        await shelf.Undo();
        return LocalRedirect("/mend/patterns");
    }
}
