using System.Globalization;
using Foundling.Core;
using Foundling.Core.Edges;
using Foundling.Core.Grits;
using Foundling.Core.Shelves;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Reference;
using Foundling.Data.Shop;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Edges;

/// <summary>Stones: lanes for a wide iron, the ladder from the last scratch to the finish, and the burr of a scraper. All of it in the address.</summary>
public sealed class StonesModel(ShopDesk shop, TagBook tags, StoreRoom stores, ViewUnits units, TimeProvider time)
    : EdgeRoomModel(shop, tags, units, time)
{
    private const int MostTurns = 100;

    /// <summary>How wide the edge is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Wide { get; set; }

    /// <summary>How wide the stone is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Stone { get; set; }

    /// <summary>How wide the honed bevel is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Land { get; set; }

    /// <summary>The grade it was last ground on, by system and grade parted by a bar.</summary>
    [BindProperty(SupportsGet = true)]
    public string? From { get; set; }

    /// <summary>The finish that is wanted, in the same way.</summary>
    [BindProperty(SupportsGet = true)]
    public string? To { get; set; }

    /// <summary>How hard it is pressed, N.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Force { get; set; }

    /// <summary>Passes of the burnisher.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Passes { get; set; }

    /// <summary>Angle of the first, degrees.</summary>
    [BindProperty(SupportsGet = true)]
    public string? First { get; set; }

    /// <summary>Angle of the last, degrees.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Last { get; set; }

    /// <summary>How often the burr was turned since the bevel was filed.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Turned { get; set; }

    /// <summary>No burr comes up any more.</summary>
    [BindProperty(SupportsGet = true)]
    public bool Gone { get; set; }

    /// <summary>How it is led over the stone; null where a width is missing.</summary>
    public StonePattern? Pattern { get; private set; }

    /// <summary>Widths of edge and stone, mm.</summary>
    public (double Iron, double Stone) Widths { get; private set; }

    /// <summary>The ladder; null where there is none.</summary>
    public LadderResult? Ladder { get; private set; }

    /// <summary>The burr of a scraper; null for another edge.</summary>
    public BurrPlan? Burr { get; private set; }

    /// <summary>What the shop owns, by name.</summary>
    public IReadOnlyDictionary<string, Grain> Grains { get; private set; } = new Dictionary<string, Grain>();

    /// <summary>The edge is a burr.</summary>
    public bool Scrapes => Known?.Tool.Edge == EdgeForm.Burr;

    /// <summary>The stone goes to the edge.</summary>
    public bool StoneGoes => Known?.Tool.StoneGoes == true;

    /// <summary>A scraper is shown.</summary>
    public bool ShowsBurr => Known is null || Scrapes;

    /// <inheritdoc />
    public override string Here => "/edges/stones";

    /// <summary>Grades an edge may come from, the coarsest first.</summary>
    public static IEnumerable<GritFinish> Sources => GritFinish.Usual.Where(f => f.System == GritFinish.Papers);

    /// <summary>Shows it.</summary>
    public override async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        if (await Load(cancel) is { } elsewhere)
        {
            return elsewhere;
        }
        IReadOnlyList<Owned> drawer = Drawer.Of(await stores.Shelves(cancel), ReferenceData.Grits);
        Grains = drawer.ToDictionary(o => o.Abrasive.Name, o => o.Grain);
        Try("wide", Lanes);
        Try("land", () => Hone([.. drawer.Select(o => o.Abrasive)]));
        Try("passes", () => Burr = ShowsBurr ? Turning() : null);
        return Page();
    }

    /// <inheritdoc />
    protected override Task Fill(Facts known, CancellationToken cancel)
    {
        if (EdgeFacts.HasSection(known.Tool))
        {
            Wide ??= Units.InField(known.EdgeWidthMm(Assumed));
        }
        string? Kept(MeasureId measure) => known.Measured(measure, known.Tool.Edges.First().Id)?.ToString("0.##", CultureInfo.InvariantCulture);
        Passes = Filled("passes", Passes, Kept(MeasureIds.BurrPasses));
        First = Filled("first", First, Kept(MeasureIds.BurrFirst));
        Last = Filled("last", Last, Kept(MeasureIds.BurrLast));
        Turned = Filled("turned", Turned, Kept(MeasureIds.BurrTurns));
        return Task.CompletedTask;
    }

    /// <summary>Counts a burr that was turned, with its passes and angles.</summary>
    /// <param name="filed">The bevel was filed and honed first.</param>
    /// <param name="cancel">Cancels.</param>
    public async Task<IActionResult> OnPostTurned(bool filed, CancellationToken cancel)
    {
        if (Number is not int number || await Load(cancel) is not null || !Scrapes || await Tags.Find(number, cancel) is not { } tag)
        {
            return NotFound();
        }
        return await Do("passes", async () =>
        {
            BurrPlan burr = Turning();
            PartId part = tag.Tool().Edges.First().Id;
            string Number(double v) => v.ToString(CultureInfo.InvariantCulture);
            Keep(tag,
            [
                new("passes", Number(burr.Angles.Count), part, MeasureIds.BurrPasses), new("first", Number(burr.Angles[0]), part, MeasureIds.BurrFirst),
                new("last", Number(burr.Angles[^1]), part, MeasureIds.BurrLast),
                new("turned", Number(BurrPlan.Count(WholeOr(Turned, "renewals", 0), filed)), part, MeasureIds.BurrTurns),
            ]);
            await Tags.Save(tag, cancel);
            return LocalRedirect($"{Here}?tag={number}");
        }, () => OnGet(cancel));
    }

    private BurrPlan Turning() => BurrPlan.Of(WholeOr(Passes, "passes", BurrPlan.Usual), Typed.NumberOrNull(First, "first_deg") ?? Assumed.BurrFirstDeg,
        Typed.NumberOrNull(Last, "last_deg") ?? Assumed.BurrLastDeg, WholeOr(Turned, "renewals", 0), !Gone, Assumed);

    private static int WholeOr(string? text, string field, int otherwise) =>
        Typed.NumberOrNull(text, field) is double v ? (int)Check.Within(v, 0, MostTurns, field) : otherwise;

    private void Lanes()
    {
        if (Units.MmOrNull(Wide, "iron_mm") is double wide)
        {
            Widths = (wide, Units.MmOrNull(Stone, "stone_mm") ?? Assumed.UsualStoneMm);
            Pattern = StoneGoes ? null : StonePattern.Of(wide, Widths.Stone);
        }
    }

    private void Hone(IReadOnlyList<LadderAbrasive> owned)
    {
        GritFinish from = Finish(From, Sources) ?? Sources.First(), to = Finish(To, GritFinish.Usual) ?? GritFinish.Honed;
        (From, To) = (Key(from), Key(to));
        if (Widths.Iron <= 0 || Scrapes)
        {
            return;
        }
        double Scratch(GritFinish f) => (ReferenceData.Grits.Find(f.System, f.Grit)?.Um ?? 0) * Assumed.ScratchShare;
        double land = Units.MmOrNull(Land, "land_mm") ?? EdgeSection.UsualLandMm(Assumed);
        Ladder = Core.Grits.Ladder.Of(new LadderInput(owned, Scratch(from) * Assumed.ScratchTimes, Scratch(to), Typed.NumberOrNull(Force, "force_n") ??
          Assumed.HoningForceN,
            Widths.Iron * Check.Positive(land, "land_mm"), LapMetal.HardenedSteel), Assumed);
    }

    /// <summary>A finish as it stands in the address.</summary>
    public static string Key(GritFinish finish) => $"{finish.System}|{finish.Grit}";

    private static GritFinish? Finish(string? key, IEnumerable<GritFinish> among) => among.FirstOrDefault(f => Key(f) == key);

    /// <inheritdoc />
    protected override string FieldOf(string input, string otherwise) => input switch
    {
        "iron_mm" => "wide", "stone_mm" => "stone", "land_mm" => "land", "force_n" => "force", "passes" => "passes", "first_deg" => "first",
        "last_deg" => "last", "renewals" => "turned", _ => base.FieldOf(input, otherwise),
    };
}
