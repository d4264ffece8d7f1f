using Foundling.Core;
using Foundling.Core.Baths;
using Foundling.Core.Safety;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Web.Drawings;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages.Baths;

/// <summary>How far the air of a small compressor goes, as the tank falls and fills. What is typed stands in the address.</summary>
public sealed class BlastingModel(ShopDesk shop) : PageModel
{
    private const double Mm2InDm2 = 10_000;

    /// <summary>Its tank, L.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Tank { get; set; }

    /// <summary>What is to be blasted, dm².</summary>
    [BindProperty(SupportsGet = true)]
    public string? Area { get; set; }

    /// <summary>Where it switches off, bar.</summary>
    [BindProperty(SupportsGet = true)]
    public string? High { get; set; }

    /// <summary>Down to where the gun works, bar.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Low { get; set; }

    /// <summary>What the gun takes, L/min.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Gun { get; set; }

    /// <summary>What the compressor delivers, L/min.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Delivery { get; set; }

    /// <summary>What its plate says, L/min.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Plate { get; set; }

    /// <summary>True where what it delivers is taken from its plate.</summary>
    public bool FromPlate => string.IsNullOrWhiteSpace(Delivery);

    /// <summary>How it goes; null before anything was typed.</summary>
    public BlastingResult? Result { get; private set; }

    /// <summary>The tank over time.</summary>
    public BlastChart? Chart { get; private set; }

    /// <summary>What cannot be.</summary>
    public InputException? Fault { get; private set; }

    /// <summary>What to mind.</summary>
    public IReadOnlyList<Caution> Minded { get; } = Cautions.Of([CautionId.Blasting]);

    /// <summary>Shows it.</summary>
    public async Task OnGet()
    {
        if (new[] { Tank, Area, High, Low, Gun }.All(string.IsNullOrWhiteSpace))
        {
            return;
        }
        try
        {
            static double Given(string? text, string field, string what) => Typed.NumberOrNull(text, field)
                ?? throw new InputException("required", field, text, "a number", $"Say {what}.");
            Result = Blasting.Of(new BlastingInput(Given(Tank, "tank_l", "how large the tank is"), Given(High, "high_bar", "where the compressor switches off"),
                Given(Low, "low_bar", "down to which pressure the gun works"), Given(Gun, "gun_l_min", "what the gun takes"),
                Given(Area, "area_mm2", "how much is to be blasted") * Mm2InDm2, Typed.NumberOrNull(Delivery, "delivery_l_min"),
                Typed.NumberOrNull(Plate, "displacement_l_min")), await shop.Assumed());
            Chart = new BlastChart(Result);
        }
        catch (InputException fault)
        {
            Fault = fault;
        }
    }
}
