using System.Text.Json;
using Foundling.Core;
using Foundling.Core.Gauges;
using Foundling.Core.Keys;
using Foundling.Core.Units;
using Foundling.Data.Origin;
using Foundling.Data.Reference;
using Foundling.Data.Shop;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages.Gauges;

/// <summary>Calculators that work on their own, without a tag.</summary>
public sealed class IndexModel(PatternShelf patterns, ShopDesk shop) : PageModel
{
    /// <summary>Gauges that can be used here, by room.</summary>
    public IReadOnlyList<IGrouping<string, Gauge>> Rooms { get; } = [.. GaugeCatalogue.All.Where(g => GaugeForm.Fields(g) is not null).GroupBy(g => g.File)];

    private const int MostTyped = 4000;

    /// <summary>The chosen gauge.</summary>
    public Gauge? Chosen { get; private set; }

    /// <summary>Its fields.</summary>
    public IReadOnlyList<GaugeField> Fields { get; private set; } = [];

    /// <summary>Its result.</summary>
    public JsonElement? Result { get; private set; }

    /// <summary>What is wrong with which field.</summary>
    public InputException? Fault { get; private set; }

    /// <summary>What was typed in a field.</summary>
    public string? Typed(string field) => Request.Query[field].ToString() is { Length: > 0 } text ? Shorten.To(text, MostTyped) : null;

    /// <summary>Shows the list or a gauge; the values are in the address, so a result can be kept or sent.</summary>
    public async Task<IActionResult> OnGet(string? file, string? calculation, CancellationToken cancel)
    {
        if (file is null || calculation is null)
        {
            return Page();
        }
        Chosen = GaugeCatalogue.Find(file, calculation);
        if (Chosen is not null && PageOf(Chosen) is { } room)
        {
            return LocalRedirect(room);
        }
        if (Chosen is null || GaugeForm.Fields(Chosen) is not { } fields)
        {
            Chosen = null;
            Response.StatusCode = 404;
            return Page();
        }
        Fields = fields;
        if (Request.Query.Count == 0)
        {
            return Page();
        }
        try
        {
            object result = GaugeCatalogue.Run(Chosen, GaugeForm.Read(fields, Typed), new GaugeContext(await shop.Assumed(cancel), await patterns.Read(cancel),
                ReferenceData.Grits, cancel));
            Result = JsonSerializer.SerializeToElement(result, Chosen.Output, OpenJson.Options);
        }
        catch (InputException fault)
        {
            Fault = fault;
        }
        return Page();
    }

    /// <summary>Where the gauge of a step is worked: on a bench of its own, which the tag fills in, or here, filled in.</summary>
    public static string AddressOf(StepGauge gauge, int tag) => gauge.Gauge.File is "edges" or "saws" ? $"{PageOf(gauge.Gauge)}?tag={tag}" : gauge.Address;

    /// <summary>Where a gauge is worked that has a room of its own; null for one that is worked here.</summary>
    public static string? PageOf(Gauge gauge) => gauge is { File: "grits" } or { File: "sole", Calculation: "plate" } ? "/grits"
        : gauge.File == "saws" ? "/saws"
        : gauge.File == "edges" ? gauge.Calculation switch
        {
            "knife_angle" => "/edges/blade",
            "mouth" => "/edges/mouth",
            "stop_jaws" => "/edges/cutters",
            _ => "/edges",
        }
        : gauge.File != "baths" ? null : gauge.Calculation switch
    {
        "blasting" => "/baths/blasting",
        "spent_and_neutralise" => "/baths",
        _ => "/baths/load?into=",
    };
}
