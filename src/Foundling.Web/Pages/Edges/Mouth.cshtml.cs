using System.Globalization;
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

/// <summary>Mouth and cap iron in section: what a thicker iron or a moved frog does, and whether an iron fits. All of it in the address.</summary>
public sealed class MouthModel(ShopDesk shop, TagBook tags, RodDesk rods, ViewUnits units, TimeProvider time)
    : EdgeRoomModel(shop, tags, units, time)
{
    /// <summary>The bed, degrees.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Bed { get; set; }

    /// <summary>The bevel faces up.</summary>
    [BindProperty(SupportsGet = true)]
    public bool? Up { get; set; }

    /// <summary>How open it is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Mouth { get; set; }

    /// <summary>How thick its iron is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Iron { get; set; }

    /// <summary>How thick the iron is that shall go in.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Next { get; set; }

    /// <summary>How far frog or toe is moved to close it.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Forward { get; set; }

    /// <summary>How far it can still be moved to open it.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Give { get; set; }

    /// <summary>How open it is wanted.</summary>
    [BindProperty(SupportsGet = true)]
    public WayId? Wanted { get; set; }

    /// <summary>The shaving it shall take.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Shaving { get; set; }

    /// <summary>How far behind the edge the cap iron shall sit.</summary>
    [BindProperty(SupportsGet = true)]
    public WayId? Cap { get; set; }

    /// <summary>How far behind it sits.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Back { get; set; }

    /// <summary>Where light shows under it.</summary>
    [BindProperty(SupportsGet = true)]
    public CapLightAt? Light { get; set; }

    /// <summary>How wide the opening is across.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Across { get; set; }

    /// <summary>How wide the iron is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Wide { get; set; }

    /// <summary>How wide its slot is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Slot { get; set; }

    /// <summary>How thick the screw through it is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Screw { get; set; }

    /// <summary>How far the yoke stands proud.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Yoke { get; set; }

    /// <summary>How long the screw of the cap iron is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? CapScrew { get; set; }

    /// <summary>What becomes of it; null while too little is known.</summary>
    public MouthPlan? Plan { get; private set; }

    /// <summary>The drawing.</summary>
    public MouthView? View { get; private set; }

    /// <summary>The iron has a cap.</summary>
    public bool HasCap => Known is null || Known.Tool.Made(PartIds.CapIron);

    /// <summary>The toe moves, not a frog.</summary>
    public bool Toe => Known?.Tool.Made(PartIds.ToePlate) == true;

    /// <summary>Something moves.</summary>
    public bool Moves => Known is null || Known.Tool.MouthMoves;

    /// <summary>It has an adjuster with a yoke.</summary>
    public bool HasYoke => Known is null || Known.Tool.Made(PartIds.Yoke);

    /// <summary>How far behind the edge the cap iron shall sit; null for no cap iron.</summary>
    public CapSetting? Setting { get; private set; }

    /// <summary>How far behind it sits, mm; null where nobody said.</summary>
    public double? BackMm { get; private set; }

    /// <summary>A lever cap holds it.</summary>
    public bool Levers => Known is null || Known.Tool.Made(PartIds.LeverCap);

    /// <summary>What can be dragged on the drawing; null for nothing.</summary>
    public string? Dragged => (View?.Frog.Length > 0, View?.Cap.Length > 0) switch
    {
        (true, true) => "the frog or the edge of the cap iron",
        (true, false) => "the frog",
        (false, true) => "the edge of the cap iron",
        _ => null,
    };

    /// <summary>How far it was moved to close it, mm.</summary>
    public double Moved { get; private set; }

    /// <summary>How the frog is brought square; null where none moves.</summary>
    public string? Squared => Toe || !Moves ? null : MouthWords.Squared(Known?.Tool.Is(FormIds.FrogScrew) == true ? true
        : Known?.Tool.Is(FormIds.NoFrogScrew) == true ? false : null);

    /// <inheritdoc />
    public override string Here => "/edges/mouth";

    /// <summary>The schools of a choice with their names.</summary>
    public static IEnumerable<(WayId Way, string Name)> Schools(ChoiceId choice) => Choices.Find(choice).Ways.Select(w => (w.Id, w.Name));

    /// <summary>Shows it.</summary>
    public override async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        if (await Load(cancel) is { } elsewhere)
        {
            return elsewhere;
        }
        Wanted ??= WayId.One;
        Cap ??= WayId.One;
        if (HasCap)
        {
            // A school that is none of cap irons stands for the usual one, and a set-back that cannot be read for none.
            Cap = Schools(ChoiceId.Cap).Any(s => s.Way == Cap) ? Cap : WayId.One;
            Setting = CapSetting.Of(Cap.Value, Assumed);
            Try("back", () => BackMm = Units.MmOrNull(Back, "back_mm"));
        }
        Try("mouth", Work);
        return Page();
    }

    private void Work()
    {
        if (!Given(Mouth) || !Given(Iron))
        {
            return;
        }
        double? Mm(string? text, string field) => Units.MmOrNull(text, field);
        var input = new MouthPlanInput(Typed.NumberOrNull(Bed, "bed_deg") ?? Assumed.UsualBedDeg, Units.Mm(Mouth, "mouth_mm"), Units.Mm(Iron, "iron_mm"),
            Mm(Next, "new_iron_mm"), Mm(Forward, "forward_mm") ?? 0, Mm(Give, "room_mm"), Up == true, Moves, Wanted, Mm(Shaving, "shaving_mm"),
            Mm(Across, "opening_wide_mm"), Mm(Wide, "iron_wide_mm"), Mm(Slot, "slot_mm"), Mm(Screw, "screw_mm"), Mm(Yoke, "yoke_mm"),
            Mm(CapScrew, "cap_screw_mm"));
        Moved = input.ForwardMm;
        Plan = MouthPlan.Of(input, Assumed);
        foreach (FitCheck check in Plan.Fits.Where(f => !f.Fits))
        {
            Faults[check.Fit switch { IronFit.Opening => "wide", IronFit.Slot => "slot", IronFit.Yoke => "yoke", _ => "capscrew" }] =
                MouthWords.Of(check, mm => Units.Show(mm));
        }
        View = new MouthView(input, Plan, Assumed.UsualBevelDeg, Up != true ? BackMm ?? Setting?.MostMm : null, Known?.Tool.HasWoodenSole == true);
    }

    /// <summary>Takes how mouth and cap iron are set into the rod.</summary>
    public async Task<IActionResult> OnPostTake(WayId? mouth, WayId? cap, CancellationToken cancel)
    {
        if (Number is not int number || await Tags.Find(number, cancel) is not { } tag)
        {
            return NotFound();
        }
        return await Do("mouth", async () =>
        {
            foreach ((ChoiceId choice, WayId? way) in new[] { (ChoiceId.Mouth, mouth), (ChoiceId.Cap, cap) })
            {
                if (way is WayId wished)
                {
                    await rods.ChooseWhereAsked(tag, choice, wished, cancel);
                }
            }
            return LocalRedirect($"/tag/{number}/rod");
        }, () => OnGet(cancel));
    }

    /// <inheritdoc />
    protected override async Task Fill(Facts known, CancellationToken cancel)
    {
        PlanQuestion question = await rods.Question(Of!, Of!.Aim ?? AimKind.Work, cancel);
        Bed ??= known.Tool.BedDeg.ToString("0.##", CultureInfo.InvariantCulture);
        Up ??= known.Tool.BevelUp;
        Iron = Filled("iron", Iron, Units.InField(known.Measured(MeasureIds.Thickness, known.Tool.Edges.First().Id) ?? Assumed.UsualIronMm));
        Mouth = Filled("mouth", Mouth, Units.InField(known.Measured(MeasureIds.Mouth, PartIds.Body) ?? Assumed.UsualMouthMm));
        Back = Filled("back", Back, Units.InField(known.Measured(MeasureIds.CapSetBack, PartIds.CapIron)));
        Wanted ??= Choices.Find(ChoiceId.Mouth).Asked(question) ? question.Way(ChoiceId.Mouth) : WayId.Any;
        Cap ??= Choices.Find(ChoiceId.Cap).Asked(question) ? question.Way(ChoiceId.Cap) : null;
    }

    /// <inheritdoc />
    protected override IEnumerable<BenchReading> Readings(Facts known) =>
    [
        new("mouth", Mouth, PartIds.Body, MeasureIds.Mouth), new("iron", Iron, known.Tool.Edges.First().Id, MeasureIds.Thickness),
        new("back", Back, PartIds.CapIron, MeasureIds.CapSetBack),
    ];

    /// <inheritdoc />
    protected override string FieldOf(string input, string otherwise) => input switch
    {
        "bed_deg" => "bed", "mouth_mm" => "mouth", "iron_mm" => "iron", "new_iron_mm" => "next", "forward_mm" => "forward", "room_mm" => "give",
        "shaving_mm" => "shaving", "opening_wide_mm" => "across", "iron_wide_mm" => "wide", "slot_mm" => "slot", "screw_mm" => "screw", "yoke_mm" => "yoke",
        "cap_screw_mm" => "capscrew", "back_mm" => "back", _ => base.FieldOf(input, otherwise),
    };
}
