using Foundling.Core;
using Foundling.Core.Keys;
using Foundling.Core.Units;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.ModelBinding;
using Microsoft.AspNetCore.Mvc.RazorPages.Infrastructure;

namespace Foundling.Web.Door;

/// <summary>
/// A word, date or number of a form that is not understood is refused and what stands stays: nothing is taken for the first
/// word of a list because the one that was sent is unknown.
/// </summary>
internal sealed class Understood : IAsyncPageFilter
{
    private const int MostShown = 40;

    public Task OnPageHandlerSelectionAsync(PageHandlerSelectedContext context) => Task.CompletedTask;

    public Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next)
    {
        HttpRequest request = context.HttpContext.Request;
        if (!HttpMethods.IsPost(request.Method))
        {
            return next();
        }
        foreach ((string key, ModelStateEntry? entry) in context.ModelState)
        {
            if (entry is { ValidationState: ModelValidationState.Invalid, AttemptedValue: { Length: > 0 } sent })
            {
                throw Not(key[(key.LastIndexOf('.') + 1)..], sent);
            }
        }
        foreach (HandlerParameterDescriptor parameter in context.HandlerMethod?.Parameters ?? [])
        {
            if (parameter.ParameterType.IsEnum && !parameter.ParameterInfo.HasDefaultValue && !(request.HasFormContentType
                && request.Form.ContainsKey(parameter.Name)) && !request.Query.ContainsKey(parameter.Name))
            {
                throw Not(parameter.Name, "");
            }
        }
        return next();
    }

    private static InputException Not(string field, string sent) => new("not_understood", SnakeCase.Of(field), sent, "one of the words the form offers",
        $"{(sent.Length > 0 ? $"\"{Shorten.To(sent, MostShown)}\"" : "Nothing")} is not understood as {InputException.InWords(SnakeCase.Of(field))}. Nothing "
            + "was changed.");
}
