using Foundling.Core.Keys;
using Foundling.Core.Safety;
using Foundling.Core.Soaks;
using Foundling.Core.Units;
using Foundling.Data.Soaks;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Baths;

/// <summary>Out of the bath: one unbroken run with its own countdown, from the rinse to the oil.</summary>
public sealed class OutModel(BathBook baths, BathLooks looks, TimeProvider time) : SentencePageModel
{
    /// <summary>The bath.</summary>
    public BathHere Here { get; private set; } = null!;

    /// <summary>The load; null when it is done.</summary>
    public LoadHere? Load { get; private set; }

    /// <summary>Number of the bath.</summary>
    [BindProperty(SupportsGet = true)]
    public int Number { get; set; }

    /// <summary>Key of the load.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid Key { get; set; }

    /// <summary>When what came out last was lifted; null while all is in.</summary>
    public DateTimeOffset? LiftedAt { get; private set; }

    /// <summary>Minutes from then within which it must be oiled.</summary>
    public double WithinMin { get; private set; }

    /// <summary>What to mind on the way out.</summary>
    public IReadOnlyList<Caution> Minded { get; private set; } = [];

    /// <summary>True when its time has passed.</summary>
    public bool Late => LiftedAt is DateTimeOffset at && time.GetUtcNow() > at.AddMinutes(WithinMin);

    /// <inheritdoc />
    protected override async Task<bool> Before() => await baths.Find(Number) is { } here && (Here = here).State.Loads.Any(l => l.Id == Key);

    /// <inheritdoc />
    protected override async Task After()
    {
        Here = (await baths.Find(Number))!;
        Load = Here.Loads.FirstOrDefault(l => l.Load.Id == Key);
        LoadNow load = Here.State.Loads.First(l => l.Id == Key);
        LiftedAt = load.OutAt.Count > 0 && load.OiledAt is null ? load.OutAt.Values.Max() : null;
        WithinMin = Core.Baths.Soak.OilWithinMin(Here.Bath.Kind, Here.Air.HumidityPercent, Here.Air.Assumptions);
        Minded = await looks.Minded(load, StepKey.SoakLift, Here.Bath.Kind);
    }

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }

    /// <summary>Takes parts out; the countdown begins.</summary>
    public async Task<IActionResult> OnPostLift(List<string> part)
    {
        await baths.TakeOut(Number, Key, part);
        return LocalRedirect($"/baths/{Number}/out/{Key}");
    }

    /// <summary>It is dry and oiled.</summary>
    public async Task<IActionResult> OnPostOiled(string? grams, List<string> bloom)
    {
        await baths.Oiled(Number, Key, Typed.NumberOrNull(grams, "grams"), bloom);
        return LocalRedirect($"/baths/{Number}");
    }
}
