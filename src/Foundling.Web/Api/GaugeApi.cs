using System.Text.Json;
using Foundling.Core;
using Foundling.Core.Gauges;
using Foundling.Core.Keys;
using Foundling.Core.Origin;
using Foundling.Core.Shop;
using Foundling.Data.Judgements;
using Foundling.Data.Origin;
using Foundling.Data.Reference;
using Foundling.Data.Shop;
using Foundling.Web.Door;

namespace Foundling.Web.Api;

/// <summary>Every gauge as an address: send its input, get its result.</summary>
internal static class GaugeApi
{
    public static void Map(WebApplication app)
    {
        app.MapGet("/api/gauges", () => Results.Json(
                GaugeCatalogue.All.Concat(Judging.All.Select(j => j.Gauge)).Select(g => new GaugeListing(g.File, g.Calculation, g.Path, g.About)),
                    OpenJson.Options))
            .WithSummary("Lists the gauges.").Produces<IEnumerable<GaugeListing>>();
        foreach (Gauge gauge in GaugeCatalogue.All)
        {
            Lead(app, gauge, (request, patterns, shop) => Run(gauge, request, patterns, shop));
        }
        foreach ((Gauge gauge, Func<object, ShopContext, PatternBook, object> judge) in Judging.All)
        {
            Lead(app, gauge, async (request, patterns, shop) =>
            {
                ShopContext here = await shop.Context(request.HttpContext.RequestAborted);
                return await Run(gauge with { Run = (input, context) => judge(input, here, context.Book) }, request, patterns, shop);
            });
        }
        // What is not JSON is not led to a gauge at all, so it ends here.
        app.MapPost("/api/gauges/{file}/{calculation}", (string file, string calculation) => GaugeCatalogue.Find(file, calculation) is null
            && Judging.All.All(j => j.Gauge.File != file || j.Gauge.Calculation != calculation)
            ? Problem(new InputException("unknown_gauge", "calculation", $"{file}/{calculation}", "one of the gauges at /api/gauges",
                $"There is no gauge {file}/{calculation}."), 404)
            : Fault.Of(415).AsProblem()).ExcludeFromDescription();
        app.Map("/api/{**rest}", () => Fault.Of(404).AsProblem()).ExcludeFromDescription();
    }

    private static void Lead(WebApplication app, Gauge gauge, Func<HttpRequest, PatternShelf, ShopDesk, Task<IResult>> answer) =>
        app.MapPost(gauge.Path, (HttpRequest request, PatternShelf patterns, ShopDesk shop) => answer(request, patterns, shop))
            .WithSummary(gauge.About).WithTags(gauge.File).WithName($"{gauge.File}_{gauge.Calculation}")
            .Accepts(gauge.Input, "application/json")
            .Produces(200, gauge.Output, "application/json").ProducesProblem(400).ProducesProblem(415);

    private static async Task<IResult> Run(Gauge gauge, HttpRequest request, PatternShelf patterns, ShopDesk shop)
    {
        CancellationToken gone = request.HttpContext.RequestAborted;
        try
        {
            using JsonDocument document = await JsonDocument.ParseAsync(request.Body, cancellationToken: gone);
            var context = new GaugeContext(await shop.Assumed(gone), await patterns.Read(gone), ReferenceData.Grits, gone);
            // Off the request's own thread, so that long sums keep nobody else waiting.
            object result = await Task.Run(() => GaugeCatalogue.Run(gauge, document.RootElement, context), gone);
            return Results.Json(result, OpenJson.Options);
        }
        catch (InputException fault)
        {
            return Problem(fault, 400);
        }
        catch (JsonException)
        {
            return Problem(new InputException("not_json", "input", null, "a JSON object", "The input is not JSON."), 400);
        }
    }

    private static IResult Problem(InputException fault, int status)
    {
        var more = new Dictionary<string, object?>(fault.Details)
        {
            ["error"] = fault.ErrorKey, ["field"] = fault.Field, ["value"] = fault.Value, ["allowed"] = fault.Allowed,
        };
        return Results.Problem(fault.Sentence, statusCode: status, title: "The gauge cannot take this input.", extensions: more);
    }

    /// <summary>A gauge in the list.</summary>
    internal sealed record GaugeListing(string File, string Calculation, string Path, string About);
}
