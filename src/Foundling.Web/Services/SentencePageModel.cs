using Foundling.Core;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Services;

/// <summary>A page whose handlers may refuse an input: the sentence is shown and the page stays.</summary>
public abstract class SentencePageModel : PageModel
{
    /// <inheritdoc />
    public override async Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next)
    {
        if (!await Before())
        {
            context.Result = NotFound();
            return;
        }
        PageHandlerExecutedContext done = await next();
        if (done.Exception is InputException fault)
        {
            done.ExceptionHandled = true;
            ModelState.AddModelError("", fault.Sentence);
            done.Result = Page();
        }
        await After();
    }

    /// <summary>Loads what handlers need; false when what the page is about is not there.</summary>
    protected virtual Task<bool> Before() => Task.FromResult(true);

    /// <summary>Loads what the page shows, after the handler did its work.</summary>
    protected virtual Task After() => Task.CompletedTask;
}
