using System.Globalization;
using Foundling.Core;
using Foundling.Core.Grits;
using Foundling.Core.Saws;
using Foundling.Core.Shelves;
using Foundling.Core.State;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Reference;
using Foundling.Data.Shop;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Saws;

/// <summary>The saw bench: teeth to scale, the file that cuts them, set, jointing, straightness, and a strip to file by. All of it in the address.</summary>
public sealed class IndexModel(ShopDesk shop, TagBook tags, StoreRoom stores, ViewUnits units, TimeProvider time) : TagBenchModel(shop, tags, units, time)
{
    private const int MostTeeth = 400;
    private const double UsualStripMm = 200;

    /// <summary>Points an inch.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Points { get; set; }

    /// <summary>How far the front of a tooth leans back, degrees.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Rake { get; set; }

    /// <summary>How far it is filed aslant, degrees.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Fleam { get; set; }

    /// <summary>How far the handle of the file is held low, degrees.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Slope { get; set; }

    /// <summary>Length of the tooth line.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Long { get; set; }

    /// <summary>Thickness of the plate.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Plate { get; set; }

    /// <summary>Set of a point, on its side.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Set { get; set; }

    /// <summary>What it cuts.</summary>
    [BindProperty(SupportsGet = true)]
    public SawnWood Wood { get; set; }

    /// <summary>Sides of the files that are there.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Files { get; set; }

    /// <summary>Heights of the teeth.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Heights { get; set; }

    /// <summary>Places and gaps under a straightedge along the plate.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Gaps { get; set; }

    /// <summary>How far the middle of a breasted tooth line stands out.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Breast { get; set; }

    /// <summary>How deep the etch is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Etch { get; set; }

    /// <summary>How many nuts its handle has.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Nuts { get; set; }

    /// <summary>How deep the etch is was judged by how well it reads: nobody measured it.</summary>
    public bool EtchJudged { get; private set; }

    /// <summary>What may go over the etch; null where there is none.</summary>
    public EtchWatch? Spared { get; private set; }

    /// <summary>The turn of each nut; empty where nobody said how many.</summary>
    public IReadOnlyList<int> Turns { get; private set; } = [];

    /// <summary>The breasted tooth line; null for a straight one.</summary>
    public BreastView? Line { get; private set; }

    /// <summary>Its teeth.</summary>
    public ToothResult? Tooth { get; private set; }

    /// <summary>Set and kerf.</summary>
    public SetResult? Kerf { get; private set; }

    /// <summary>Files and how they suit.</summary>
    public IReadOnlyList<(double SideMm, FileFit Fit)> Owned { get; private set; } = [];

    /// <summary>What jointing takes.</summary>
    public JointingResult? Jointed { get; private set; }

    /// <summary>Heights that were given, mm.</summary>
    public IReadOnlyList<double> HeightsMm { get; private set; } = [];

    /// <summary>A bow or a kink.</summary>
    public BowResult? Bent { get; private set; }

    /// <summary>The breasted edge.</summary>
    public BreastResult? Breasted { get; private set; }

    /// <summary>The drawing; null where the teeth cannot be.</summary>
    public TeethView? View { get; private set; }

    /// <summary>What was given of the teeth.</summary>
    public ToothInput Teeth { get; private set; } = new();

    /// <summary>Shows it.</summary>
    public override async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        if (await Load(cancel) is { } elsewhere)
        {
            return elsewhere;
        }
        Assumptions a = Assumed;
        Try("points", () => Tooth = Core.Saws.Tooth.Of(Teeth = Read()));
        SetInput? set = null;
        if (Given(Plate) && Given(Set))
        {
            Try("set", () => Kerf = SetAndKerf.Of(set = new SetInput(Wood, Units.Mm(Plate, "plate_mm"), Units.Mm(Set, "set_per_side_mm")), a));
        }
        if (Tooth is not null)
        {
            Try("files", () => Owned = [.. Numbers(Files, "files").Select(s => (s, SawFiles.Fits(s, Tooth)))]);
            Try("heights", () => HeightsMm = Numbers(Heights, "tooth_heights_mm"));
            if (HeightsMm.Count > 0)
            {
                Try("heights", () => Jointed = Jointing.Of(new JointingInput(Tooth.ToothHeightMm, HeightsMm), a));
            }
            double? file = Owned.Where(o => o.Fit == FileFit.Suits).Select(o => (double?)o.SideMm).Min() ?? SawFiles.For(Tooth)?.SideMm;
            View = new TeethView(Teeth, Kerf is null ? null : set, file);
        }
        if (Given(Gaps) && Given(Long))
        {
            Try("gaps", () => Bent = Straightness.Bow(new BowInput(Units.Mm(Long, "length_mm"), Pairs()), a));
        }
        if (Given(Breast) && Given(Long))
        {
            Try("breast", () =>
            {
                var input = new BreastInput(Units.Mm(Long, "chord_mm"), Units.Mm(Breast, "sagitta_mm"));
                Breasted = Straightness.Breast(input);
                Line = Breasted.Straight ? null : new BreastView(input);
            });
        }
        if (Given(Etch))
        {
            IReadOnlyList<LadderAbrasive> owned = [.. Drawer.Of(await stores.Shelves(cancel), ReferenceData.Grits).Select(o => o.Abrasive)];
            Try("etch", () => Spared = EtchWatch.Of(Units.Mm(Etch, "stamp_depth_mm"), owned, a));
        }
        if (Given(Nuts))
        {
            Try("nuts", () => Turns = NutOrder.Of((int)(Typed.NumberOrNull(Nuts, "nuts") ?? 0)));
        }
        return Page();
    }

    /// <summary>The filing strip at its true size, as a drawing.</summary>
    public Task<IActionResult> OnGetStrip(CancellationToken cancel) => Strip(s => File(System.Text.Encoding.UTF8.GetBytes(StripSheet.Svg(s)), "image/svg+xml",
        "filing-strip.svg"), cancel);

    /// <summary>The filing strip on a sheet to print.</summary>
    public Task<IActionResult> OnGetPdf(CancellationToken cancel) => Strip(s => File(StripSheet.Pdf(s), "application/pdf", "filing-strip.pdf"), cancel);

    private async Task<IActionResult> Strip(Func<FilingStrip, IActionResult> made, CancellationToken cancel)
    {
        try
        {
            await Load(cancel);
            ToothInput teeth = Read();
            double length = Math.Clamp(teeth.ToothedLengthMm ?? UsualStripMm, FilingStrip.RuleMm * 3 / (double)2, FilingStrip.LongestMm);
            return made(FilingStrip.Of(teeth, length));
        }
        catch (InputException fault)
        {
            return BadRequest(fault.Sentence);
        }
    }

    /// <inheritdoc />
    public override string Here => "/saws";

    /// <inheritdoc />
    protected override bool Fits(ToolKind tool) => tool.Family == Family.Saw;

    /// <inheritdoc />
    protected override Task Fill(Facts known, CancellationToken cancel)
    {
        ToolKind tool = known.Tool;
        string? Kept(MeasureId measure, double? otherwise = null) => (known.Measured(measure, PartIds.Plate) ?? otherwise)?.ToString("0.##",
            CultureInfo.InvariantCulture);
        Points = Filled("points", Points, Kept(MeasureIds.Points, tool.File.Teeth?.Points));
        Rake = Filled("rake", Rake, Kept(MeasureIds.Rake, tool.File.Teeth?.RakeDeg));
        Fleam = Filled("fleam", Fleam, Kept(MeasureIds.Fleam));
        Plate = Filled("plate", Plate, Units.InField(known.Measured(MeasureIds.Thickness, PartIds.Plate)));
        Set = Filled("set", Set, Units.InField(known.Measured(MeasureIds.Set, PartIds.Plate)));
        Long ??= Units.InField(known.LengthMm);
        Nuts ??= tool.File.Parts.FirstOrDefault(p => p.Part == PartIds.SawNuts)?.Pieces?.ToString(CultureInfo.InvariantCulture);
        List<Found> etches = [.. known.Findings.Where(f => f.Kind == FindingKind.Mark && f.Severity > 0
            && tool.Key(f.Part) == tool.Part(PartIds.Plate)?.Id)];
        EtchJudged = Etch is null && etches.Any(f => f.DepthMm is null);
        Etch ??= Units.InField(etches.Select(f => (double?)Depths.OfEtch(f, Assumed)).Min());
        _ = Filled("bow", null, Units.InField(known.Measured(MeasureIds.Bow, PartIds.Plate)));
        _ = Filled("kink", null, Units.InField(known.Measured(MeasureIds.Kink, PartIds.Plate)));
        return Task.CompletedTask;
    }

    /// <inheritdoc />
    protected override IEnumerable<BenchReading> Readings(Facts known)
    {
        string? Bend(PlateBend bend) => Bent?.Is == bend ? Units.InField(Bent.MostMm) : null;
        return
        [
            new("points", Points, PartIds.Plate, MeasureIds.Points), new("rake", Rake, PartIds.Plate, MeasureIds.Rake),
            new("fleam", Fleam, PartIds.Plate, MeasureIds.Fleam), new("plate", Plate, PartIds.Plate, MeasureIds.Thickness),
            new("set", Set, PartIds.Plate, MeasureIds.Set), new("bow", Bend(PlateBend.Bow), PartIds.Plate, MeasureIds.Bow),
            new("kink", Bend(PlateBend.Kink), PartIds.Plate, MeasureIds.Kink),
        ];
    }

    /// <inheritdoc />
    protected override string FieldOf(string input, string otherwise) => input switch
    {
        "rake_deg" => "rake", "fleam_deg" => "fleam", "slope_deg" => "slope", "toothed_length_mm" or "length_mm" or "chord_mm" => "long",
        "plate_mm" => "plate", "stamp_depth_mm" => "etch", _ => base.FieldOf(input, otherwise),
    };

    private ToothInput Read() => new(null, Typed.NumberOrNull(Points, "ppi"), Typed.NumberOrNull(Rake, "rake_deg") ?? 0,
        Units.MmOrNull(Long, "toothed_length_mm"), Typed.NumberOrNull(Fleam, "fleam_deg"), Typed.NumberOrNull(Slope, "slope_deg"));

    private double[] Numbers(string? text, string field) => [.. (text ?? "").Split([' ', ';', '\n', '\r', '\t'], StringSplitOptions.RemoveEmptyEntries)
        .Take(MostTeeth).Select(t => Units.Mm(t, field))];

    private double[][] Pairs()
    {
        double[] all = Numbers(Gaps, "readings_mm");
        return all.Length % 2 == 0 ? all.Chunk(2).ToArray() : throw new InputException("odd_readings", "readings_mm", all.Length, "places and gaps in turn",
            "Give places and gaps in turn: how far from the heel, then the gap there.");
    }
}
