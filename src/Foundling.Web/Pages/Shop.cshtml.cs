using System.Globalization;
using Foundling.Core;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Shop;
using Foundling.Core.Units;
using Foundling.Data.Papers;
using Foundling.Data.Shop;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages;

/// <summary>The shop: its climate and habits, bundles coming in, and what is assumed.</summary>
[RequestSizeLimit(FoundlingApp.MostRequestBytes)]
public sealed class ShopModel(ShopBook shop, AirBook air, BundlesIn bundles, ShopOptions options) : PageModel
{
    private const int MostWords = 80;

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

    /// <summary>The settings as this page shows them.</summary>
    public IEnumerable<(string Field, string? Value)> Was =>
    [
        ("name", Settings.Name), ("dress", Settings.Dress), ("temperature", Number(Settings.TemperatureC)), ("humidity", Number(Settings.HumidityPercent)),
            ("rate", Number(Settings.HourRate)),
        .. Choices.All.Select(c => ($"way-{c.Key}", (string?)WayOf(c))),
    ];

    /// <summary>A number as a field writes it.</summary>
    public static string Number(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);

    /// <summary>An assumed figure as the page shows it: what the book says, what the shop says otherwise, and what stands in the field.</summary>
    public sealed record FigureShown(string Name, string Reason, string Unit, double Book, bool Own, string Typed);

    /// <summary>Assumed figures under their headings.</summary>
    public IEnumerable<(string Heading, IEnumerable<FigureShown> Figures)> Figures
    {
        get
        {
            Dictionary<string, double> own = Assumptions.Of(Settings.Assumed).List().ToDictionary(a => a.Name, a => a.Value);
            Dictionary<string, FigureShown> all = Assumptions.Book.ToDictionary(b => b.Name, b => new FigureShown(b.Name, b.Reason, b.Unit, b.Value,
                own[b.Name] != b.Value, Sent.GetValueOrDefault(b.Name) ?? (own[b.Name] != b.Value ? Figure(own[b.Name]) : "")));
            return Assumptions.Headed.Select(h => (h.Heading, h.Names.Select(n => all[n])));
        }
    }

    private Dictionary<string, string> Sent { get; } = [];

    /// <summary>An assumed figure as a field writes it.</summary>
    public static string Figure(double value) => value.ToString("0.########", CultureInfo.InvariantCulture);

    private void Judge(Action change)
    {
        try
        {
            change();
        }
        catch (InputException fault)
        {
            ModelState.AddModelError($"assume-{fault.Field}", fault.Sentence);
        }
    }

    /// <summary>Puts assumed figures otherwise; an empty field goes back to the book, one that was not sent stays.</summary>
    public async Task<IActionResult> OnPostAssume(bool reset = false)
    {
        Settings = await shop.ForChange();
        Assumptions assumed = reset ? Assumptions.Of([]) : Assumptions.Of(Settings.Assumed);
        foreach (AssumedFigure figure in Assumptions.Book.Where(f => !reset && Request.Form.ContainsKey($"assume-{f.Name}")))
        {
            string text = Sent[figure.Name] = Request.Form[$"assume-{figure.Name}"].ToString().Trim();
            Judge(() => assumed = assumed.With(figure.Name, text.Length == 0 ? figure.Value : Parse(text, double.MinValue, double.MaxValue)
                ?? throw new InputException("not_a_number", figure.Name, text, "a number", $"\"{Shorten.To(text, 40)}\" is no number.")));
        }
        if (ModelState.IsValid)
        {
            Judge(() => assumed.InOrder());
        }
        if (!ModelState.IsValid)
        {
            return Page();
        }
        Settings.Assumed = assumed.Kept();
        await shop.Save(Settings);
        return LocalRedirect("/shop#assumed");
    }

    private string WayOf(Choice choice) => Choices.Read(Settings.Ways).TryGetValue(choice.Id, out WayId way) ? Core.Keys.KeyText.Of(way) : "";

    /// <summary>Keeps the settings; a field that was left alone keeps what someone else wrote meanwhile.</summary>
    public async Task<IActionResult> OnPost(string? name, string? temperature, string? humidity, string? rate, string? dress)
    {
        Settings = await shop.ForChange();
        Typed = (temperature, humidity, rate);
        var merge = new FormMerge(Request.Form, ModelState);
        (string called, string dressed) = (Shorten.To(name, MostWords), Shorten.To(dress, MostWords));
        Settings.Name = merge.Mine("name", "The name", called, Settings.Name) ? called : Settings.Name;
        Settings.Dress = merge.Mine("dress", "The shop's dress", dressed, Settings.Dress) ? dressed : Settings.Dress;
        foreach (Choice choice in Choices.All)
        {
            string way = Request.Form[$"way-{choice.Key}"].ToString();
            if ((choice.Ways.Any(w => w.Key == way) || way.Length == 0) && merge.Mine($"way-{choice.Key}", choice.Question, way, WayOf(choice)))
            {
                Settings.Ways = Choices.Keep(Settings.Ways, choice.Id, way.Length == 0 ? null : choice.Read(way).Id);
            }
        }
        double? hour = string.IsNullOrWhiteSpace(rate) ? 0 : Core.Units.Typed.TryMoney(rate, out decimal money) && money <= 10_000 ? (double)money : null;
        Settings.HourRate = Take("Rate", "rate", "An hour's money", rate, hour, Settings.HourRate, $"\"{rate}\" is not an hour's money; 0 to 10,000.");
        double c = Take("Temperature", "temperature", "The temperature", temperature, Parse(temperature, AirReading.LeastC, AirReading.MostC),
            Settings.TemperatureC, $"\"{temperature}\" is not a shop temperature; {AirReading.LeastC:0} to {AirReading.MostC:0} °C.");
        double percent = Take("Humidity", "humidity", "The humidity", humidity, Parse(humidity, 0, 100), Settings.HumidityPercent,
            $"\"{humidity}\" is not a humidity; 0 to 100 %.");
        if (!ModelState.IsValid)
        {
            return Page();
        }
        await shop.Save(Settings);
        if (c != Settings.TemperatureC || percent != Settings.HumidityPercent)
        {
            // Typed here it is a reading by hand like any other: soaks that stand are timed by it.
            await air.ByHand(new AirReading(c, percent));
        }
        return LocalRedirect("/shop");

        double Take(string field, string form, string what, string? text, double? value, double now, string otherwise)
        {
            if (value is double good)
            {
                return merge.Mine(form, what, text, Number(now)) ? good : now;
            }
            ModelState.AddModelError(field, otherwise);
            return now;
        }
    }

    private static double? Parse(string? text, double least, double most) =>
        double.TryParse(text?.Replace(',', '.').TrimEnd('%', ' '), CultureInfo.InvariantCulture, out double value) && value >= least && value <= most ? value
            : null;

    /// <summary>Receives a papers bundle, to be looked at before it is taken.</summary>
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
            BundleView held = await bundles.Receive(stream, cancel);
            return LocalRedirect($"/shop/incoming/{held.Id}");
        }
        catch (InputException fault)
        {
            ModelState.AddModelError("Bundle", fault.Sentence);
            return Page();
        }
    }
}
