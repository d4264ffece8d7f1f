using Foundling.Core;
using Foundling.Core.Tags;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages.Stores;

/// <summary>The parts box: parts without a tool, waiting for one.</summary>
public sealed class PartsModel(PartsBox box, TagBook tags) : PageModel
{
    /// <summary>What is in it, by kind of tool.</summary>
    public IReadOnlyList<IGrouping<string, OrphanPart>> Kinds { get; private set; } = [];

    /// <summary>Tags a part can go to.</summary>
    public IReadOnlyList<Tag> InHand { get; private set; } = [];

    /// <inheritdoc />
    public override async Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next)
    {
        PageHandlerExecutedContext done = await next();
        if (done.Exception is InputException fault)
        {
            done.ExceptionHandled = true;
            ModelState.AddModelError("", fault.Sentence);
            done.Result = Page();
        }
        Kinds = [.. (await box.InBox()).GroupBy(p => p.Kind)];
        InHand = await tags.InHand();
    }

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }

    /// <summary>Puts a part in; it is named as kind/part.</summary>
    public async Task<IActionResult> OnPostAdd(string? part, string? note)
    {
        string[] named = (part ?? "").Split('/');
        await box.Add(named[0], named.Length > 1 ? named[1] : "", note);
        return LocalRedirect("/stores/parts");
    }

    /// <summary>Takes a part out for a tool.</summary>
    public async Task<IActionResult> OnPostUse(int id, int tag)
    {
        await box.Use(id, tag);
        return LocalRedirect("/stores/parts");
    }
}
