using Foundling.Data.Store;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Door;

/// <summary>
/// When what is kept breaks a page, the page says so and leads to where the broken piece can be taken out, instead of
/// standing there for good as a fault of the program.
/// </summary>
internal sealed class Unshowable(ILogger<Unshowable> log) : IAsyncAlwaysRunResultFilter, IAsyncExceptionFilter
{
    public async Task OnResultExecutionAsync(ResultExecutingContext context, ResultExecutionDelegate next)
    {
        ResultExecutedContext done = await next();
        if (done.Exception is { } fault && !done.ExceptionHandled && await Said(context.HttpContext, context.ActionDescriptor is CompiledPageActionDescriptor,
            fault))
        {
            done.ExceptionHandled = true;
        }
    }

    public async Task OnExceptionAsync(ExceptionContext context)
    {
        // A page that cannot even be made ready is the same to the one who asked for it; a form that fails is not.
        if (HttpMethods.IsGet(context.HttpContext.Request.Method) && context.ActionDescriptor is CompiledPageActionDescriptor
            && await Said(context.HttpContext, true, context.Exception))
        {
            context.ExceptionHandled = true;
        }
    }

    private async Task<bool> Said(HttpContext context, bool isPage, Exception fault)
    {
        if (!isPage || context.Response.HasStarted || fault is OperationCanceledException or BadHttpRequestException || StoreFault.Of(fault) is not null)
        {
            return false;
        }
        string[] path = context.Request.Path.Value!.Split('/', StringSplitOptions.RemoveEmptyEntries);
        (string Label, string To)? mend = path switch
        {
            ["tag", var number, not "mend", ..] when int.TryParse(number, out int tag) =>
                ($"Find what is wrong on {Core.Tags.Tag.LabelOf(tag)} and take it out", $"/tag/{tag}/mend"),
            ["patterns", ..] or ["identify"] => ("Take changes of the pattern book back", "/mend/patterns"),
            _ => null,
        };
        if (mend is null)
        {
            return false;
        }
        log.LogError(fault, "A page could not be shown: {Path}", context.Request.Path);
        context.Response.Clear();
        await BarePage.Write(context, new Fault(StatusCodes.Status200OK, "This page cannot be shown",
            "Something kept for it does not hold together. Nothing is lost; the piece that breaks it can be taken out."), mend);
        return true;
    }
}
