using Foundling.Core;
using Foundling.Core.Grits;
using Foundling.Core.Safety;
using Foundling.Core.Shelves;
using Foundling.Core.Soles;
using Foundling.Core.Stores;
using Foundling.Core.Units;
using Foundling.Data.Reference;
using Foundling.Data.Shop;
using Foundling.Data.Stores;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages.Grits;

/// <summary>Which grits to take and which to leave out, over what the shop owns; a grade in all systems; a plate looked at. All of it in the address.</summary>
public sealed class IndexModel(ShopDesk shop, StoreRoom stores, ViewUnits units) : PageModel
{
    private const double UmInMm = 1000, Mm2InDm2 = 10_000;

    /// <summary>How deep the worst pit or scratch is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Defect { get; set; }

    /// <summary>The finish that is wanted, as from a grade: its system and grade, parted by a bar.</summary>
    [BindProperty(SupportsGet = true)]
    public string Finish { get; set; } = Key(GritFinish.Common);

    /// <summary>A finish as it stands in the address.</summary>
    public static string Key(GritFinish finish) => $"{finish.System}|{finish.Grit}";

    /// <summary>Hand pressure, N.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Force { get; set; }

    /// <summary>Area that bears, dm².</summary>
    [BindProperty(SupportsGet = true)]
    public string? Area { get; set; }

    /// <summary>What it is made of.</summary>
    [BindProperty(SupportsGet = true)]
    public LapMetal Metal { get; set; } = LapMetal.CastIron;

    /// <summary>Depth of a stamp that must survive.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Stamp { get; set; }

    /// <summary>A grade to look up, its system.</summary>
    [BindProperty(SupportsGet = true)]
    public string? System { get; set; }

    /// <summary>The grade.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Grit { get; set; }

    /// <summary>How two plates lie.</summary>
    [BindProperty(SupportsGet = true)]
    public Rocks? Laid { get; set; }

    /// <summary>The same, one of them turned.</summary>
    [BindProperty(SupportsGet = true)]
    public Rocks? Turned { get; set; }

    /// <summary>Gaps of three plates in pairs, and the lengths of plate and sole.</summary>
    [BindProperty(SupportsGet = true)]
    public string?[] Gap { get; set; } = [];

    /// <summary>Length of the plate.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Long { get; set; }

    /// <summary>Length of the sole.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Sole { get; set; }

    /// <summary>What the shop owns that cuts or leaves a scratch.</summary>
    public IReadOnlyList<LadderAbrasive> Owned { get; private set; } = [];

    /// <summary>Its grains by name.</summary>
    public IReadOnlyDictionary<string, Grain> Grains { get; private set; } = new Dictionary<string, Grain>();

    /// <summary>The ladder; null where there is none.</summary>
    public LadderResult? Ladder { get; private set; }

    /// <summary>The purchase that would save most time.</summary>
    public (LadderAbrasive Buy, LadderResult With)? Buy { get; private set; }

    /// <summary>The drawing.</summary>
    public GritRule Rule { get; private set; } = null!;

    /// <summary>A grade in all systems.</summary>
    public GritConvertResult? Converted { get; private set; }

    /// <summary>What is said of plates.</summary>
    public PlateResult? Plates { get; private set; }

    /// <summary>What cannot be, by form.</summary>
    public Dictionary<string, string> Faults { get; } = [];

    /// <summary>The shop's assumptions.</summary>
    public Assumptions Assumed { get; private set; } = null!;

    /// <summary>Cautions of a stage.</summary>
    public IReadOnlyList<Caution> Minded => Ladder is null ? [] : Cautions.Of(Ladder.Ladder.Where(Grains.ContainsKey)
        .SelectMany(n => Lubricants.Of(Grains[n]).Cautions).Distinct());

    /// <summary>Sheets a stage uses up; null for what is no sheet.</summary>
    public int? Sheets(LadderStage stage) => Grains.TryGetValue(stage.Name, out Grain? grain) && grain.Form == AbrasiveForm.Sheet
        ? Removal.Sheets(stage.MeanUm, stage.Strokes, Assumed) : null;

    /// <summary>Shows it.</summary>
    public async Task OnGet(CancellationToken cancel)
    {
        Assumed = await shop.Assumed(cancel);
        await Own(cancel);
        Try("ladder", Climb, !string.IsNullOrWhiteSpace(Area));
        Try("convert", () => Converted = GritConvert.Of(new GritConvertInput(System, Grit), ReferenceData.Grits, Assumed), !string.IsNullOrWhiteSpace(Grit));
        bool plates = Laid is not null || Gap.Any(g => !string.IsNullOrWhiteSpace(g)) || !string.IsNullOrWhiteSpace(Sole);
        Try("plate", () => Plates = PlateCheck.Of(new PlateInput(Laid, Turned, Given(Gap.ElementAtOrDefault(0), "ab_mm"),
            Given(Gap.ElementAtOrDefault(1), "ac_mm"), Given(Gap.ElementAtOrDefault(2), "bc_mm"), Given(Long, "plate_length_mm"),
            Given(Sole, "sole_length_mm")), Assumed), plates);
        Rule = new GritRule(ReferenceData.Grits, Owned, Ladder?.Stages ?? []);
    }

    private void Try(string form, Action work, bool asked)
    {
        if (!asked)
        {
            return;
        }
        try
        {
            work();
        }
        catch (InputException fault)
        {
            Faults[form] = fault.Sentence;
        }
    }

    private async Task Own(CancellationToken cancel)
    {
        IReadOnlyList<Owned> drawer = Drawer.Of(await stores.Shelves(cancel), ReferenceData.Grits);
        Grains = drawer.ToDictionary(o => o.Abrasive.Name, o => o.Grain);
        Owned = [.. drawer.Select(o => o.Abrasive)];
    }

    private void Climb()
    {
        string[] finish = Finish.Split('|');
        GritSize wanted = ReferenceData.Grits.Of(finish[0], finish.ElementAtOrDefault(1) ?? "");
        var face = new LadderInput(Owned, (Given(Defect, "defect_depth_um") ?? 0) * UmInMm, wanted.Um * Assumed.ScratchShare,
            Typed.NumberOrNull(Force, "force_n") ?? Assumed.LappingForceN, (Typed.NumberOrNull(Area, "contact_area_mm2") ?? 0) * Mm2InDm2, Metal,
            Given(Stamp, "stamp_depth_um") * UmInMm);
        Buy = Core.Grits.Ladder.BestPurchase(face, Core.Grits.Ladder.Market(ReferenceData.Grits, Assumed), Assumed);
        Ladder = Core.Grits.Ladder.Of(face, Assumed);
    }

    private double? Given(string? text, string field) => string.IsNullOrWhiteSpace(text) ? null : Length.Parse(text, field, units.Units);
}
