using Foundling.Core;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Soles;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages.Tags;

/// <summary>A flat face, the sole first of all: readings in, map out.</summary>
[RequestSizeLimit(2 * MostFileBytes)]
public sealed partial class SoleModel(TagBook tags, SoleMaps maps, ViewUnits units, ShopBook shop, RodDesk rods, TimeProvider time) : TagPageModel(tags)
{
    /// <summary>Largest readings file taken, bytes.</summary>
    public const long MostFileBytes = 2 * 1024 * 1024;

    private const int GridColumns = 8, MostWords = 60, MostSource = 200;

    /// <inheritdoc />
    public override string Here => "state";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Surveys;

    /// <summary>The map of the last survey.</summary>
    public SoleMapView? Map { get; private set; }

    /// <summary>Readings as text, kept when they are refused.</summary>
    public string? Text { get; private set; }

    /// <summary>Bad lines, one sentence each.</summary>
    public IReadOnlyList<string> Faults { get; private set; } = [];

    /// <summary>Heights typed into the grid, row by row.</summary>
    public IReadOnlyList<string?> Cells { get; private set; } = new string?[GridColumns * 3];

    /// <summary>The map of the survey before it; null where there is none.</summary>
    public SoleMapView? Before { get; private set; }

    /// <summary>What was said of the readings, kept when they are refused.</summary>
    public SurveySaid Said { get; private set; } = new();

    /// <summary>True once readings were so far apart that it has to be asked what they are.</summary>
    public bool Asks { get; private set; }

    /// <summary>Key of the face; none for the one that is read most.</summary>
    [BindProperty(SupportsGet = true, Name = "face")]
    public string? FaceKey { get; set; }

    /// <summary>How long the face is; nothing for as usual.</summary>
    [BindProperty(SupportsGet = true, Name = "long")]
    public string? Long { get; set; }

    /// <summary>How wide it is.</summary>
    [BindProperty(SupportsGet = true, Name = "wide")]
    public string? Wide { get; set; }

    /// <summary>Flat faces of this tool.</summary>
    public IReadOnlyList<FlatFace> Faces { get; private set; } = [];

    /// <summary>The face that is looked at.</summary>
    public FlatFace Face { get; private set; } = null!;

    /// <summary>Surveys of it, the latest last.</summary>
    public IReadOnlyList<SoleRecord> Surveys => Tool.SurveysOf(Face.Key);

    /// <summary>The last survey against how flat the face is wanted; null where none was made.</summary>
    public FaceRead? Against { get; private set; }

    /// <summary>Where a straightedge is laid.</summary>
    public FeelerPlan Feelers => FeelerPlan.Of(LengthMm, WidthMm, Face.Layout.MouthFrontMm);

    /// <summary>Gaps typed for the lines, in their order.</summary>
    public IReadOnlyList<string?> Gaps { get; private set; } = [];

    /// <summary>Length of the face, mm.</summary>
    public double LengthMm => Face.Layout.LengthMm;

    /// <summary>Width of the face, mm.</summary>
    public double WidthMm => Face.Layout.WidthMm;

    /// <summary>Places along the sole where the grid is read, mm from the toe.</summary>
    public IReadOnlyList<double> GridX => Grid.AlongMm;

    /// <summary>Places across, mm from the near edge.</summary>
    public IReadOnlyList<double> GridY => Grid.AcrossMm;

    private SurveyGrid Grid => SurveyGrid.Of(LengthMm, WidthMm, GridColumns);

    /// <summary>Where the indicator of the shop is heard, and how it is read.</summary>
    public ShopSettings Settings { get; private set; } = new();

    /// <inheritdoc />
    public override async Task OnPageHandlerExecutionAsync(PageHandlerExecutingContext context, PageHandlerExecutionDelegate next)
    {
        Settings = await shop.Read(HttpContext.RequestAborted);
        await base.OnPageHandlerExecutionAsync(context, async () =>
        {
            Faces = FlatFaces.Of(KnownFacts, Shop.Assumptions);
            string key = FaceKey ?? (Faces.Count > 0 ? Faces[0].Key : FlatFaces.Sole);
            FlatFace? face = Faces.FirstOrDefault(f => f.Key == key)
                ?? (FaceKey is null || Tool.LastSurveyOf(key) is not null ? FlatFaces.Unnamed(key, KnownFacts, Shop.Assumptions) : null);
            if (face is null)
            {
                context.Result = NotFound();
                return new PageHandlerExecutedContext(PageContext, context.Filters, context.HandlerMethod, context.HandlerInstance);
            }
            GridSurveyInput? last = Tool.LastSurveyOf(face.Key)?.Input;
            Face = face.Sized(ReadLength(Long, "Size", units.Units, 1) ?? last?.LengthMm, ReadLength(Wide, "Size", units.Units, 1) ?? last?.WidthMm);
            return await next();
        });
    }

    /// <summary>The address of this face.</summary>
    public string Address => $"/tag/{Tool.Number}/sole{(Face.IsSole ? "" : $"?face={Uri.EscapeDataString(Face.Key)}")}";

    /// <summary>Shows the last survey.</summary>
    public void OnGet() => Draw();

    /// <summary>Imports readings from a file or pasted text.</summary>
    public async Task<IActionResult> OnPostImport(IFormFile? file, string? text, [FromForm] SurveySaid said)
    {
        Said = said;
        string source = "pasted readings";
        if (file is { Length: > 0 })
        {
            if (file.Length > MostFileBytes)
            {
                return Refused("Import", $"\"{file.FileName}\" is larger than 2 MB; a survey is a few kilobytes.");
            }
            using var reader = new StreamReader(file.OpenReadStream());
            text = await reader.ReadToEndAsync();
            source = Shorten.To(Path.GetFileName(file.FileName), MostSource);
        }
        Text = text;
        try
        {
            if (string.IsNullOrWhiteSpace(text))
            {
                throw new InputException("no_readings", "readings", null, "a file or pasted lines", "Choose a file of readings, or paste its lines.");
            }
            ReadingsResult read = ReadingsFile.Read(text, said.Heights);
            Faults = read.Faults;
            if (Faults.Count > 0)
            {
                return Refused("Import", $"{Words.Count(Faults.Count, "line")} cannot be read. Put {(Faults.Count == 1 ? "it" : "them")} right "
                    + "below and import again; nothing was kept yet.");
            }
            await Keep(read.Points, source);
            return LocalRedirect(Address);
        }
        catch (InputException fault)
        {
            return Refused("Import", fault);
        }
    }

    private PageResult Refused(string form, InputException fault)
    {
        Asks = fault.ErrorKey == SoleSurveys.SoFarOut;
        return Refused(form, fault.Sentence);
    }

    private PageResult Refused(string form, string sentence)
    {
        ModelState.AddModelError(form, sentence);
        Draw();
        return Page();
    }

    /// <summary>Keeps readings typed into the grid.</summary>
    public async Task<IActionResult> OnPostGrid(string?[]? cell, [FromForm] SurveySaid said)
    {
        Said = said;
        Cells = [.. (cell ?? []).Concat(new string?[GridColumns * 3]).Take(GridColumns * 3)];
        var points = new List<double[]>();
        for (int i = 0; i < Cells.Count; i++)
        {
            if (string.IsNullOrWhiteSpace(Cells[i]))
            {
                continue;
            }
            if (!Length.TryParse(Cells[i], out double z, units.Units))
            {
                ModelState.AddModelError("Grid", $"Column {(i % GridColumns) + 1}, row {(i / GridColumns) + 1}: {Length.NotALength(Cells[i])}");
                continue;
            }
            points.Add([GridX[i % GridColumns], GridY[i / GridColumns], z]);
        }
        if (!ModelState.IsValid)
        {
            Draw();
            return Page();
        }
        try
        {
            await Keep(points, "typed in");
            return LocalRedirect(Address);
        }
        catch (InputException fault)
        {
            return Refused("Grid", fault);
        }
    }

    /// <summary>Keeps the gaps read under a straightedge.</summary>
    public async Task<IActionResult> OnPostLines(string?[]? gap, [FromForm] SurveySaid said)
    {
        Said = said;
        FeelerPlan plan = Feelers;
        Gaps = gap ?? [];
        var gaps = new Dictionary<(string, string), double>();
        int i = 0;
        foreach ((PlannedLine line, string station) in plan.Lines.SelectMany(l => l.Stations.Select(s => (l, s))))
        {
            string? typed = Gaps.ElementAtOrDefault(i++);
            if (string.IsNullOrWhiteSpace(typed))
            {
                continue;
            }
            if (!Length.TryParse(typed, out double mm, units.Units))
            {
                ModelState.AddModelError("Lines", $"Line \"{line.Name}\": {Length.NotALength(typed)}");
                continue;
            }
            gaps[(line.Key, station)] = mm;
        }
        if (!ModelState.IsValid)
        {
            Draw();
            return Page();
        }
        try
        {
            LineSurveyInput laid = plan.Laid(gaps);
            LineSurveyResult read = LineSurvey.Solve(laid);
            await Keep([.. read.HeightMm.Select(h => new[] { laid.StationsMm[h.Key][0], laid.StationsMm[h.Key][1], h.Value })],
                $"{Words.Count(laid.Lines.Count, "straightedge line")}{Closed(plan, read)}");
            return LocalRedirect(Address);
        }
        catch (InputException fault)
        {
            return Refused("Lines", fault);
        }
    }

    private string Closed(FeelerPlan plan, LineSurveyResult read)
    {
        if (plan.Stations.FirstOrDefault(s => s.Key == read.ClosureWorstStation) is not { } at)
        {
            return "";
        }
        if (units.Show(read.ClosureWorstMm) == units.Show(0))
        {
            return "; they close where they cross";
        }
        string where = $"{units.Show(at.XMm)} from {Face.From}, {FeelerPlan.RowName(at.Row)}";
        return $"; where they cross they agree within {units.Show(read.ClosureWorstMm)}, least at {where}";
    }

    private async Task Keep(IReadOnlyList<double[]> points, string source)
    {
        SoleRecord? goesOn = Said.More ? Tool.LastSurveyOf(Face.Key) : null;
        GridSurveyInput survey = SoleSurveys.Taken(Face, KnownFacts, points, goesOn?.Input, units.MmOrNull(Said.Error, "reading_error_mm"),
            units.MmOrNull(Said.Plate, "plate_flatness_mm"), Said.Sure, Shop.Assumptions);
        DateTimeOffset now = time.GetUtcNow();
        string from = string.IsNullOrWhiteSpace(Said.State) ? source : $"{source}, {Shorten.To(Said.State, MostWords)}";
        Tool.Take(new SoleRecord { Id = Guid.CreateVersion7(now), At = now, Face = Face.Key, Source = Shorten.To(from, MostSource), Input = survey },
            Face.Name, goesOn);
        await Book.Save(Tool);
    }

    private void Draw()
    {
        IReadOnlyList<SoleRecord> all = Surveys;
        Map = all.Count > 0 ? maps.Of(all[^1], Shop.Assumptions) : null;
        Before = all.Count > 1 ? maps.Of(all[^2], Shop.Assumptions) : null;
        Against = Map is null ? null : FaceRead.Of(Face, all[^1].Input, Map.Result, KnownFacts, RodDesk.FlatBy(Tool, Shop, Patterns),
            Shop.Assumptions);
    }

    /// <summary>What an earlier survey shows.</summary>
    public GridSurveyResult Read(SoleRecord survey) => maps.Read(survey, Shop.Assumptions);

    /// <summary>Leaves readings of the last survey out, and takes others in again: pits, a worn toe, damage.</summary>
    public async Task<IActionResult> OnPostLeaveOut(int[]? left)
    {
        if (Surveys is not [.., var last])
        {
            return LocalRedirect(Address);
        }
        try
        {
            // It was read when it was read: only what counts of it is another.
            var other = new SoleRecord { Id = Guid.CreateVersion7(last.At), At = last.At, Face = last.Face, Source = last.Source,
                Input = SoleSurveys.Without(last.Input, new HashSet<int>(left ?? []), Shop.Assumptions) };
            Tool.Surveys.Remove(last);
            Tool.Surveys.Add(other);
            await Book.Save(Tool);
            await Book.Note(Tool.Number, BenchEvent.New(time.GetUtcNow(), EventKind.Note,
                $"{Words.Count(other.Input.LeftOutMm!.Count, "reading")} left out of the survey of the {Face.Name}: {other.Said}"));
            return LocalRedirect(Address);
        }
        catch (InputException fault)
        {
            return Refused("Left", fault.Sentence);
        }
    }

    /// <summary>The readings as CSV.</summary>
    public IActionResult OnGetCsv() => Surveys is not [.., var last] ? NotFound()
        : File(System.Text.Encoding.UTF8.GetBytes(ReadingsFile.Write(last.Input)), "text/csv", $"{Tool.Label}-{FileName}.csv");

    /// <summary>The map as a drawing by itself.</summary>
    public IActionResult OnGetSvg()
    {
        Draw();
        return Map is null ? NotFound() : File(System.Text.Encoding.UTF8.GetBytes(Map.Svg($"{Tool.Label} {Tool.Title}: {Face.Name}")), "image/svg+xml",
            $"{Tool.Label}-{FileName}.svg");
    }

    private string FileName => Face.Key.Replace('/', '-').Replace('_', '-');

    /// <summary>True where the plan could be made without lapping: of a metal sole that is planned for.</summary>
    public bool MayLeave => Face.IsSole && Tool.Tool().HasMetalSole && Tool.Aim is not null;

    /// <summary>Leaves the sole as it is, which is an answer: the plan is made anew without lapping.</summary>
    public async Task<IActionResult> OnPostLeave(CancellationToken cancel)
    {
        if (!MayLeave)
        {
            return NotFound();
        }
        await rods.Choose(Tool, KeyText.Of(ChoiceId.Flat), KeyText.Of(WayId.Leave), cancel);
        return LocalRedirect(Address);
    }

    /// <summary>Takes a survey back; the log says so.</summary>
    public async Task<IActionResult> OnPostForget(Guid id)
    {
        if (Surveys.FirstOrDefault(s => s.Id == id) is { } survey)
        {
            Tool.Surveys.Remove(survey);
            await Book.Save(Tool);
            await Book.Note(Tool.Number, BenchEvent.New(time.GetUtcNow(), EventKind.Note,
                $"Survey of the {Face.Name} taken back: {survey.Said}"));
        }
        return LocalRedirect(Address);
    }
}

/// <summary>What is said of the readings of a survey beside their heights.</summary>
public sealed record SurveySaid
{
    /// <summary>What a bare height is.</summary>
    public BareUnit Heights { get; init; }

    /// <summary>How far off a reading may be.</summary>
    public string? Error { get; init; }

    /// <summary>How far the plate is out of flat.</summary>
    public string? Plate { get; init; }

    /// <summary>How the tool stood: mounted and under tension, or bare.</summary>
    public string? State { get; init; }

    /// <summary>The readings come to those of the last survey.</summary>
    public bool More { get; init; }

    /// <summary>It is really so far out of flat.</summary>
    public bool Sure { get; init; }
}
