using Foundling.Core;
using Foundling.Core.Soaks;
using Foundling.Core.Units;
using Foundling.Data.Soaks;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Baths;

/// <summary>One bath: what is in it, what was seen, what it has taken, and what becomes of it.</summary>
public sealed class BathModel(BathBook baths, BathLooks looks) : SentencePageModel
{
    /// <summary>The bath.</summary>
    public BathHere Here { get; private set; } = null!;

    /// <summary>Its number.</summary>
    [BindProperty(SupportsGet = true)]
    public int Number { get; set; }

    /// <summary>How many loads like those that wait it can still take; null where it is not used up.</summary>
    public int? LoadsLeft { get; private set; }

    /// <summary>How many loads wait.</summary>
    public int LoadsWaiting { get; private set; }

    /// <summary>What counts on pictures say is left of the rust, by part.</summary>
    public IReadOnlyDictionary<string, (double Left, double Low, double High, DateTimeOffset At)> Counted { get; private set; } =
        new Dictionary<string, (double, double, double, DateTimeOffset)>();

    /// <summary>True where the parts of a load are of several tools.</summary>
    public bool SeveralTools(LoadNow load) => load.Parts.Select(p => p.Tag).Distinct().Count() > 1;

    /// <inheritdoc />
    protected override async Task<bool> Before() => await baths.Find(Number) is { } here && (Here = here) is not null;

    /// <inheritdoc />
    protected override async Task After()
    {
        Here = (await baths.Find(Number))!;
        Assumptions a = Here.Air.Assumptions;
        List<double> iron = [.. (await baths.Waiting(Here.Bath.Kind)).Select(w => w.Parts.Where(p => p.Limit.Allowed).Sum(p => BathState.IronIn(p.Part, a)))];
        Counted = await looks.Counted(Here.State.In);
        (LoadsLeft, LoadsWaiting) = (Here.State.LoadsLeft(iron, a), iron.Count);
    }

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }

    /// <summary>Keeps what was seen.</summary>
    public async Task<IActionResult> OnPostLook(Guid load, LiquidColour? colour, Bubbles? bubbles, string? temperature, string? words)
    {
        Dictionary<string, double> left = [];
        foreach (string field in Request.Form.Keys.Where(k => k.StartsWith(LeftOf, StringComparison.Ordinal) || k.StartsWith(ExactOf, StringComparison.Ordinal))
            .OrderByDescending(k => k, StringComparer.Ordinal))
        {
            // What is typed goes before what is tapped.
            if (Percent(Request.Form[field]) is double share)
            {
                left[field[(field.IndexOf(':', StringComparison.Ordinal) + 1)..]] = share;
            }
        }
        await baths.Look(Number, load, new BathNote
        {
            LeftOf = left, Colour = colour, Bubbles = bubbles, TemperatureC = Typed.NumberOrNull(temperature, "temperature"), Text = words ?? "",
        });
        return LocalRedirect($"/baths/{Number}#load-{load}");
    }

    /// <summary>Scrubs a load and puts it back.</summary>
    public async Task<IActionResult> OnPostScrub(Guid load)
    {
        await baths.Scrub(Number, load);
        return LocalRedirect($"/baths/{Number}#load-{load}");
    }

    /// <summary>Keeps a temperature.</summary>
    public async Task<IActionResult> OnPostFelt(string? temperature)
    {
        await baths.Felt(Number, Typed.NumberOrNull(temperature, "temperature") ?? throw new InputException("required", "temperature", null, "a temperature",
            "Say how warm it is."));
        return LocalRedirect($"/baths/{Number}");
    }

    /// <summary>Pours it away.</summary>
    public async Task<IActionResult> OnPostPour(string? words)
    {
        await baths.Pour(Number, words);
        return LocalRedirect("/baths");
    }

    /// <summary>Takes the last thing back.</summary>
    public async Task<IActionResult> OnPostBack()
    {
        return LocalRedirect(await baths.TakeBack(Number) ? $"/baths/{Number}" : "/baths");
    }

    private const string LeftOf = "left:", ExactOf = "exact:";

    private static double? Percent(string? text) => Typed.NumberOrNull(text, "left") / 100;
}
