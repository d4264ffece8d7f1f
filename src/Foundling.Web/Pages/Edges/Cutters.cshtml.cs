using System.Globalization;
using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Edges;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.State;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Edges;

/// <summary>Jaws that meet at stops, and blades that pass a hook or come down on an anvil. All of it in the address.</summary>
public sealed class CuttersModel(ShopDesk shop, TagBook tags, RodDesk rods, ViewUnits units, TimeProvider time) : EdgeRoomModel(shop, tags, units, time)
{
    private const double TenthsInSecond = 10;

    /// <summary>How deep the deepest chip goes into a face.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Chip { get; set; }

    /// <summary>How much of the length of the face it takes, percent.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Share { get; set; }

    /// <summary>From the pivot to the middle of the faces.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Face { get; set; }

    /// <summary>From the pivot to the stops.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Stop { get; set; }

    /// <summary>What each stop can lose.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Left { get; set; }

    /// <summary>Metal that may go beside each hole.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Beside { get; set; }

    /// <summary>Thickest stock that is marked on it.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Marked { get; set; }

    /// <summary>What stock that mark is for.</summary>
    [BindProperty(SupportsGet = true)]
    public StockHardness? For { get; set; }

    /// <summary>Seconds its spring takes to open it; a bar for one that stays shut.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Opens { get; set; }

    /// <summary>The notch its pivot stands at.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Notch { get; set; }

    /// <summary>It stays shut.</summary>
    [BindProperty(SupportsGet = true)]
    public bool Shut { get; set; }

    /// <summary>It comes down on an anvil.</summary>
    [BindProperty(SupportsGet = true)]
    public bool Anvil { get; set; }

    /// <summary>Where light shows as it closes.</summary>
    [BindProperty(SupportsGet = true)]
    public LightAt? Light { get; set; }

    /// <summary>What happened to its edge.</summary>
    [BindProperty(SupportsGet = true)]
    public EdgeHarm Harm { get; set; }

    /// <summary>Chipped jaws, their ways compared.</summary>
    public ChippedJaws? Jaws { get; private set; }

    /// <summary>Half the gap of jaws that were dressed and not followed, mm.</summary>
    public StopJawsResult? Short { get; private set; }

    /// <summary>The jaws as they are drawn; null where nothing is off.</summary>
    public JawsView? View { get; private set; }

    /// <summary>Thickest stock of each hardness.</summary>
    public IReadOnlyList<(StockHardness Stock, double? Mm)> Capacity { get; private set; } = [];

    /// <summary>What its pivot asks for.</summary>
    public string? Pivot { get; private set; }

    /// <summary>Jaws that meet are shown.</summary>
    public bool Meets => Known is null || Known.Tool.Edge == EdgeForm.Meeting;

    /// <summary>A blade that passes a hook is shown.</summary>
    public bool Passes => Known is null || Known.Tool.Edge == EdgeForm.Bypass;

    /// <inheritdoc />
    public override string Here => "/edges/cutters";

    /// <summary>Shows it.</summary>
    public override async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        if (await Load(cancel) is { } elsewhere)
        {
            return elsewhere;
        }
        Try("chip", Compare);
        Try("marked", () => Capacity = !Given(Marked) ? [] : [.. Enum.GetValues<StockHardness>().Select(s => (s,
            CutterCapacity.MostMm(Units.Mm(Marked, "marked_mm"), For ?? StockHardness.Bolt, s)))]);
        Try("opens", () => Pivot = Shut ? PassingPair.Pivot(double.PositiveInfinity, Assumed)
            : Typed.NumberOrNull(Opens, "opening_s") is double seconds ? PassingPair.Pivot(seconds, Assumed) : null);
        return Page();
    }

    private void Compare()
    {
        if (!Given(Chip) || !Given(Face) || !Given(Stop))
        {
            return;
        }
        const double Percent = 100;
        var input = new ChippedJawsInput(Units.Mm(Chip, "chip_mm"), Units.Mm(Face, "pivot_to_jaw_face_mm"), Units.Mm(Stop, "pivot_to_stop_mm"),
            Units.MmOrNull(Left, "stop_room_mm") ?? 0, Units.MmOrNull(Beside, "hole_room_mm"),
            Typed.NumberOrNull(Share, "chip_share") / Percent ?? Assumed.ChipShare);
        Jaws = ChippedJaws.Of(input, Assumed);
        Short = Edge.StopJaws(new StopJawsInput(input.ChipMm, input.PivotToJawFaceMm, input.PivotToStopMm));
        View = input.ChipMm > 0 ? new JawsView(input, Short) : null;
    }

    /// <summary>Takes a way into the rod.</summary>
    public async Task<IActionResult> OnPostTake(WayId? way, CancellationToken cancel)
    {
        if (Number is not int number || await Tags.Find(number, cancel) is not { } tag || tag.Tool().Edge != EdgeForm.Meeting)
        {
            return NotFound();
        }
        return await Do("chip", async () =>
        {
            PlanQuestion question = await rods.Question(tag, tag.Aim ?? AimKind.Work, cancel);
            if (!Choices.Find(ChoiceId.Jaws).Asked(question))
            {
                throw new InputException("no_chip_found", "way", way, "chipped jaws",
                    "The rod deals with chips that were found: note them under State, on the jaws, and take the way then.");
            }
            await rods.Choose(tag, KeyText.Of(ChoiceId.Jaws), way is WayId w ? KeyText.Of(w) : null, cancel);
            return LocalRedirect($"/tag/{number}/rod");
        }, () => OnGet(cancel));
    }

    /// <inheritdoc />
    protected override Task Fill(Facts known, CancellationToken cancel)
    {
        Chip ??= Units.InField(known.Findings.Where(f => f.Kind == FindingKind.EdgeDamage).Max(f => f.DepthMm));
        Notch = Filled("notch", Notch, known.Measured(MeasureIds.PivotNotch, PartIds.Pivot)?.ToString("0", CultureInfo.InvariantCulture));
        Opens = Filled("opens", Opens, (known.Measured(MeasureIds.OpeningTime, PartIds.Pivot) / TenthsInSecond)?.ToString("0.#",
            CultureInfo.InvariantCulture));
        return Task.CompletedTask;
    }

    /// <inheritdoc />
    protected override IEnumerable<BenchReading> Readings(Facts known) =>
    [
        new("notch", Notch, PartIds.Pivot, MeasureIds.PivotNotch), new("opens", Opens, PartIds.Pivot, MeasureIds.OpeningTime, TenthsInSecond),
    ];

    /// <inheritdoc />
    protected override string FieldOf(string input, string otherwise) => input switch
    {
        "chip_mm" => "chip", "chip_share" => "share", "pivot_to_jaw_face_mm" => "face", "pivot_to_stop_mm" => "stop", "stop_room_mm" => "left",
        "hole_room_mm" => "beside", "marked_mm" => "marked", "opening_s" => "opens", _ => base.FieldOf(input, otherwise),
    };
}
