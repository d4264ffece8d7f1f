using System.Net;

namespace Foundling.Web.Door;

/// <summary>
/// A page that says one thing and knows nothing of the shop: for faults and for those who have not signed in. It reads no
/// database, so it can be shown whatever is broken.
/// </summary>
internal static class BarePage
{
    /// <summary>Writes the fault, with a way out where there is one: as a page for people, as problem details for programs.</summary>
    public static async Task Write(HttpContext context, Fault fault, (string Label, string To)? way = null)
    {
        HttpResponse response = context.Response;
        response.StatusCode = fault.Status;
        response.Headers.CacheControl = "no-store";
        if (fault.Again)
        {
            response.Headers.RetryAfter = "1";
        }
        if (context.Request.Path.StartsWithSegments("/api", StringComparison.Ordinal))
        {
            await fault.AsProblem().ExecuteAsync(context);
            return;
        }
        response.ContentType = "text/html; charset=utf-8";
        if (!HttpMethods.IsHead(context.Request.Method))
        {
            await response.WriteAsync(Html(fault, way), context.RequestAborted);
        }
    }

    private static string Html(Fault fault, (string Label, string To)? way)
    {
        string head = WebUtility.HtmlEncode(fault.Head), sentence = WebUtility.HtmlEncode(fault.Sentence);
        string first = way is { } to ? $"""<a class="btn do" href="{WebUtility.HtmlEncode(to.To)}">{WebUtility.HtmlEncode(to.Label)}</a>""" : "";
        return $"""
            <!doctype html>
            <html lang="en">
            <head>
              <meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
              <title>{head} · Foundling</title>
              <link rel="icon" href="/icon.svg" type="image/svg+xml"><link rel="stylesheet" href="/css/app.css">
            </head>
            <body class="bare">
              <main id="main"><h1>{head}</h1>
              <p class="sheet pad" data-fault="{fault.Status}">{sentence}</p>
              <p class="row">{first}<a class="btn {(first.Length > 0 ? "q" : "do")}" href="/">To the bench</a><a class="btn "
                  + "q" href="/shelf">To the shelf</a></p></main>
            </body>
            </html>
            """;
    }
}
