using System.Globalization;
using Foundling.Core;
using Foundling.Core.Grits;
using Foundling.Core.Safety;
using Foundling.Core.Shelves;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Units;
using Foundling.Data.Reference;
using Foundling.Data.Shop;
using Foundling.Data.Soles;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Grits;

/// <summary>Which grits to take and which to leave out, over what the shop owns; a grade in all systems; a plate looked at. All of it in the address.</summary>
public sealed class IndexModel(ShopDesk shop, ShopBook book, StoreRoom stores, TagBook tags, ViewUnits units, TimeProvider time) : BenchPageModel
{
    private const double UmInMm = 1000, Mm2InDm2 = 10_000;

    /// <summary>Most faces done in one go.</summary>
    public const int MostFaces = 6;

    private const int MostName = 40, MostFaults = 5;

    /// <summary>The tag whose faces they are; null for none.</summary>
    [BindProperty(SupportsGet = true, Name = "tag")]
    public int? Number { get; set; }

    /// <summary>The tag; null for none.</summary>
    public Core.Tags.Tag? Of { get; private set; }

    /// <summary>What each face is called.</summary>
    [BindProperty(SupportsGet = true)]
    public string?[] Name { get; set; } = [];

    /// <summary>How deep the worst pit or scratch of each is.</summary>
    [BindProperty(SupportsGet = true)]
    public string?[] Defect { get; set; } = [];

    /// <summary>The finish that is wanted of each, as from a grade: its system and grade, parted by a bar.</summary>
    [BindProperty(SupportsGet = true)]
    public string?[] Finish { get; set; } = [];

    /// <summary>A finish as it stands in the address.</summary>
    public static string Key(GritFinish finish) => $"{finish.System}|{finish.Grit}";

    /// <summary>Hand pressure, N.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Force { get; set; }

    /// <summary>Area of each that bears, dm²; nothing for a face that is not done.</summary>
    [BindProperty(SupportsGet = true)]
    public string?[] Area { get; set; } = [];

    /// <summary>What each is made of.</summary>
    [BindProperty(SupportsGet = true)]
    public LapMetal[] Metal { get; set; } = [];

    /// <summary>Depth of a stamp on it that must survive.</summary>
    [BindProperty(SupportsGet = true)]
    public string?[] Stamp { get; set; } = [];

    /// <summary>The faces as they are typed, with one more that is blank while there is room.</summary>
    public IReadOnlyList<FaceTyped> Rows { get; private set; } = [];

    /// <summary>Several faces in one go; null where it is one.</summary>
    public TogetherResult? Together { get; private set; }

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

    /// <summary>The plate as it was surveyed just now; null where it was not.</summary>
    public SoleMapView? PlateMap { get; private set; }

    /// <summary>Readings of the plate, kept when they are refused.</summary>
    public string? PlateText { get; private set; }

    /// <summary>The shop's assumptions.</summary>
    public Assumptions Assumed { get; private set; } = null!;

    /// <summary>Cautions of a stage.</summary>
    public IReadOnlyList<Caution> Minded => Cautions.Of((Ladder?.Ladder ?? Together?.Grits ?? []).Where(Grains.ContainsKey)
        .SelectMany(n => Lubricants.Of(Grains[n]).Cautions).Distinct());

    /// <summary>Sheets a stage uses up; null for what is no sheet.</summary>
    public int? Sheets(LadderStage stage) => Grains.TryGetValue(stage.Name, out Grain? grain) && grain.Form == AbrasiveForm.Sheet
        ? Removal.Sheets(stage.MeanUm, stage.Strokes, Assumed) : null;

    /// <summary>Shows it.</summary>
    public async Task OnGet(CancellationToken cancel)
    {
        Assumed = await shop.Assumed(cancel);
        await Own(cancel);
        Of = Number is int number ? await tags.Show(number, TagParts.Head | TagParts.Surveys, cancel) : null;
        Rows = Faces();
        if (Rows.Any(r => r.IsDone))
        {
            Try("ladder", Climb);
        }
        if (Given(Grit))
        {
            Try("convert", () => Converted = GritConvert.Of(new GritConvertInput(System, Grit), ReferenceData.Grits, Assumed));
        }
        if (Laid is not null || Gap.Any(Given) || Given(Sole))
        {
            Try("plate", () => Plates = PlateCheck.Of(new PlateInput(Laid, Turned, units.MmOrNull(Gap.ElementAtOrDefault(0), "ab_mm"),
                units.MmOrNull(Gap.ElementAtOrDefault(1), "ac_mm"), units.MmOrNull(Gap.ElementAtOrDefault(2), "bc_mm"),
                units.MmOrNull(Long, "plate_length_mm"), units.MmOrNull(Sole, "sole_length_mm")), Assumed));
        }
        Rule = new GritRule(ReferenceData.Grits, Owned, Ladder?.Stages ?? Together?.Faces.SelectMany(f => f.Stages).DistinctBy(s => s.Name)
            .OrderByDescending(s => s.MeanUm).ToList() ?? []);
    }

    /// <summary>Reads a survey of the plate: how flat it is itself. Nothing is kept of it but the figure, once that is reckoned with.</summary>
    public async Task<IActionResult> OnPostPlate(string? text, BareUnit heights, CancellationToken cancel)
    {
        PlateText = text;
        await OnGet(cancel);
        Try("survey", () =>
        {
            ReadingsResult read = ReadingsFile.Read(text ?? "", heights);
            if (read.Faults.Count > 0)
            {
                throw new InputException("bad_lines", "text", read.Faults.Count, "x, y, height", string.Join(' ', read.Faults.Take(MostFaults)));
            }
            double Reach(int axis) => Math.Max(1, read.Points.Select(p => p[axis]).DefaultIfEmpty(1).Max());
            DateTimeOffset now = time.GetUtcNow();
            PlateMap = new SoleMapView(new Core.Tags.SoleRecord { Id = Guid.CreateVersion7(now), At = now,
                Input = new GridSurveyInput(Reach(0), Reach(1), read.Points) }, Assumed);
        });
        return Page();
    }

    /// <summary>Surveys reckon with this plate from now on.</summary>
    /// <param name="flat">How far it is out of flat, mm.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<IActionResult> OnPostReckon(string? flat, CancellationToken cancel)
    {
        try
        {
            ShopSettings settings = await book.ForChange(cancel);
            settings.Assumed = Core.Assumptions.Of(settings.Assumed).With("survey_plate_mm", Length.Parse(flat, "flat", units.Units)).Kept();
            await book.Save(settings, cancel);
            return LocalRedirect("/grits#plate");
        }
        catch (InputException fault)
        {
            await OnGet(cancel);
            Faults["survey"] = fault.Sentence;
            return Page();
        }
    }

    private async Task Own(CancellationToken cancel)
    {
        IReadOnlyList<Owned> drawer = Drawer.Of(await stores.Shelves(cancel), ReferenceData.Grits);
        Grains = drawer.ToDictionary(o => o.Abrasive.Name, o => o.Grain);
        Owned = [.. drawer.Select(o => o.Abrasive)];
    }

    private List<FaceTyped> Faces()
    {
        List<FaceTyped> rows = [.. Enumerable.Range(0, Math.Min(Area.Length, MostFaces)).Select(i => new FaceTyped(
            Shorten.To(Name.ElementAtOrDefault(i) ?? "", MostName), Area[i], Defect.ElementAtOrDefault(i),
            string.IsNullOrEmpty(Finish.ElementAtOrDefault(i)) ? Key(GritFinish.Common) : Finish[i]!, i < Metal.Length ? Metal[i] : LapMetal.CastIron,
            Stamp.ElementAtOrDefault(i))).Where(r => r.IsDone)];
        if (rows.Count == 0 && Of is not null)
        {
            IReadOnlyList<FaceToDo> faces = FaceToDo.Of(Of.Facts(), Assumed);
            string? Mm(double? mm) => mm > 0 ? units.InField(Math.Round(mm.Value, 3)) : null;
            rows = [.. (faces.Any(f => f.DefectMm > 0) ? faces.Where(f => f.DefectMm > 0) : faces.Take(1)).Take(MostFaces).Select(f => new
              FaceTyped(f.Face.Name,
                f.AreaDm2.ToString("0.###", CultureInfo.InvariantCulture), Mm(f.DefectMm), Key(f.Wanted), f.Metal, Mm(f.StampMm)))];
        }
        if (rows.Count < MostFaces)
        {
            rows.Add(new FaceTyped("", null, null, Key(GritFinish.Common), LapMetal.CastIron, null));
        }
        return rows;
    }

    private void Climb()
    {
        List<LadderFace> faces = [.. Rows.Where(r => r.IsDone).Select((r, i) => new LadderFace(r.Name.Length > 0 ? r.Name : $"face {i + 1}", Face(r)))];
        if (faces.Count > 1)
        {
            Together = LadderTogether.Of(faces, Assumed);
            return;
        }
        LadderInput face = faces[0].Face;
        Buy = Core.Grits.Ladder.BestPurchase(face, Core.Grits.Ladder.Market(ReferenceData.Grits, Assumed), Assumed);
        Ladder = Core.Grits.Ladder.Of(face, Assumed);
    }

    private LadderInput Face(FaceTyped row)
    {
        string[] finish = row.Finish.Split('|');
        GritSize wanted = ReferenceData.Grits.Of(finish[0], finish.ElementAtOrDefault(1) ?? "");
        return new LadderInput(Owned, (units.MmOrNull(row.Defect, "defect_depth_um") ?? 0) * UmInMm, wanted.Um * Assumed.ScratchShare,
            Typed.NumberOrNull(Force, "force_n") ?? Assumed.LappingForceN,
            (Typed.NumberOrNull(row.Area, "contact_area_mm2") ?? 0) * Mm2InDm2, row.Metal, units.MmOrNull(row.Stamp, "stamp_depth_um") * UmInMm);
    }
}

/// <summary>A face as it is typed.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Area">Area that bears, dm².</param>
/// <param name="Defect">How deep its worst scratch is.</param>
/// <param name="Finish">The finish wanted.</param>
/// <param name="Metal">What it is made of.</param>
/// <param name="Stamp">Depth of a stamp that must survive.</param>
public sealed record FaceTyped(string Name, string? Area, string? Defect, string Finish, LapMetal Metal, string? Stamp)
{
    /// <summary>True for one that is to be done.</summary>
    public bool IsDone => !string.IsNullOrWhiteSpace(Area);
}
