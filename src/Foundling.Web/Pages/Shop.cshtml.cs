using Foundling.Core;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Tags;
using Foundling.Data.Papers;
using Foundling.Data.Shop;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages;

/// <summary>The shop: its climate and habits, bundles coming in, and what is assumed.</summary>
[RequestSizeLimit(FoundlingApp.MostRequestBytes)]
[RequestFormLimits(MultipartBodyLengthLimit = FoundlingApp.MostRequestBytes)]
public sealed class ShopModel(ShopBook shop, BundleDesk bundles, ShopOptions options) : PageModel
{
    /// <summary>The settings.</summary>
    public ShopSettings Settings { get; private set; } = new();

    /// <summary>What was typed.</summary>
    public (string? Temperature, string? Humidity, string? Rate) Typed { get; private set; }

    /// <summary>True when a passphrase guards this shop.</summary>
    public bool Guarded => options.Passphrase is not null;

    /// <summary>Where everything is kept.</summary>
    public string DataPath => options.DataPath;

    /// <summary>Shows the shop.</summary>
    public async Task OnGet() => Settings = await shop.Read();

    /// <summary>Keeps the settings.</summary>
    public async Task<IActionResult> OnPost(string? name, string? temperature, string? humidity, string? rate, string? dress)
    {
        Settings = await shop.Read();
        Typed = (temperature, humidity, rate);
        Settings.Name = (name ?? "").Trim()[..Math.Min(80, (name ?? "").Trim().Length)];
        Settings.Dress = (dress ?? "").Trim()[..Math.Min(80, (dress ?? "").Trim().Length)];
        foreach (Choice choice in Choices.All)
        {
            string way = Request.Form[$"way-{choice.Id}"].ToString();
            Settings.Ways = choice.Ways.Any(w => w.Id == way) || way.Length == 0 ? Choices.Keep(Settings.Ways, choice.Id, way) : Settings.Ways;
        }
        if (string.IsNullOrWhiteSpace(rate))
        {
            Settings.HourRate = 0;
        }
        else if (Core.Units.Typed.TryMoney(rate, out decimal hour) && hour is >= 0 and <= 10_000)
        {
            Settings.HourRate = (double)hour;
        }
        else
        {
            ModelState.AddModelError("Rate", $"\"{rate}\" is not an hour's money; 0 to 10,000.");
        }
        if (double.TryParse(temperature?.Replace(',', '.'), out double t) && t is >= -20 and <= 50)
        {
            Settings.TemperatureC = t;
        }
        else
        {
            ModelState.AddModelError("Temperature", $"\"{temperature}\" is not a shop temperature; -20 to 50 °C.");
        }
        if (double.TryParse(humidity?.Replace(',', '.').TrimEnd('%', ' '), out double h) && h is >= 0 and <= 100)
        {
            Settings.HumidityPercent = h;
        }
        else
        {
            ModelState.AddModelError("Humidity", $"\"{humidity}\" is not a humidity; 0 to 100 %.");
        }
        if (!ModelState.IsValid)
        {
            return Page();
        }
        await shop.Save(Settings);
        return LocalRedirect("/shop");
    }

    /// <summary>Imports a papers bundle.</summary>
    public async Task<IActionResult> OnPostImport(IFormFile? bundle, CancellationToken cancel)
    {
        Settings = await shop.Read(cancel);
        try
        {
            if (bundle is null || bundle.Length == 0)
            {
                throw new InputException("required", "bundle", null, "a bundle", "Choose the papers bundle of a tag, a file ending in .zip.");
            }
            await using Stream stream = bundle.OpenReadStream();
            Tag tag = await bundles.Read(stream, cancel);
            return LocalRedirect($"/tag/{tag.Number}/papers");
        }
        catch (InputException fault)
        {
            ModelState.AddModelError("Bundle", fault.Sentence);
            return Page();
        }
    }
}
