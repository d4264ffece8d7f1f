using Foundling.Core;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages;

/// <summary>Says in one sentence what went wrong and what to do.</summary>
[AllowAnonymous]
[IgnoreAntiforgeryToken]
[ResponseCache(NoStore = true)]
public sealed class OopsModel : PageModel
{
    /// <summary>What went wrong.</summary>
    public string Sentence { get; private set; } = "";

    /// <summary>What went wrong, short.</summary>
    public string Head { get; private set; } = "";

    /// <summary>Reads the fault.</summary>
    public void OnGet(int? code) => Say(code);

    /// <summary>Reads the fault.</summary>
    public void OnPost(int? code) => Say(code);

    private void Say(int? code)
    {
        Exception? fault = HttpContext.Features.Get<IExceptionHandlerFeature>()?.Error;
        (Head, Sentence) = (fault, code) switch
        {
            (InputException input, _) => ("That cannot be", input.Sentence),
            (BadHttpRequestException { StatusCode: 413 }, _) or (_, 413) => ("Too large", "What was sent is larger than this shop takes. Send fewer or smaller pictures; what you typed is kept in the form."),
            (_, 404) => ("Not here", "There is no such page or tag. It may have been typed wrong."),
            (_, 400) => ("Not understood", "The form was too old or not whole. Go back, reload the page and send it again; what you typed is kept."),
            (_, 429) => ("Too many tries", "Wait a minute, then try again."),
            _ => ("Something broke", "This is a fault of the program, not yours. Nothing that was confirmed is lost. Go back and try again."),
        };
    }
}
