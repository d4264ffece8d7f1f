using System.Globalization;
using Foundling.Core;
using Foundling.Core.Log;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Devices;
using Foundling.Data.Shop;
using Foundling.Data.Soles;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.Filters;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages.Tags;

/// <summary>The sole: readings in, map out.</summary>
[RequestSizeLimit(2 * MostFileBytes)]
public sealed class SoleModel(TagBook tags, SoleMaps maps, ViewUnits units, ShopBook shop, TimeProvider time) : TagPageModel(tags)
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

    /// <summary>The sole as it is laid out.</summary>
    public SoleLayout Layout => SoleLayout.Of(KnownFacts, Shop.Assumptions);

    /// <summary>Length of the sole, mm.</summary>
    public double LengthMm => Layout.LengthMm;

    /// <summary>Width of the sole, mm.</summary>
    public double WidthMm => Layout.WidthMm;

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
        await base.OnPageHandlerExecutionAsync(context, next);
    }

    /// <summary>Shows the last survey.</summary>
    public void OnGet() => Draw();

    /// <summary>What the indicator says, a line for each of its lines, for as long as somebody listens.</summary>
    public async Task<IActionResult> OnGetLive(CancellationToken cancel)
    {
        if (Settings.Indicator.Length == 0)
        {
            return NotFound();
        }
        Lines lines = Lines.To(Response);
        var watch = new IndicatorWatch(new IndicatorSetup(Settings.IndicatorUnit, Settings.IndicatorTurned), Shop.Assumptions);
        try
        {
            ILineSource source = LineSources.Open(Settings.Indicator, () => new SimulatedIndicator(Grid, LengthMm, WidthMm, time));
            await foreach (string line in source.Lines(cancel))
            {
                IndicatorSaid said = watch.Hear(line);
                await lines.Say(new
                {
                    shown = said.Mm is double mm ? units.Show(mm) : null, steady = said.Steady is double z ? Height(z) : null, wild = said.Wild,
                }, cancel);
            }
            await lines.Say(new { over = "The instrument has said its last." }, cancel);
        }
        catch (InputException fault)
        {
            await lines.Say(new { over = fault.Sentence }, cancel);
        }
        catch (Exception fault) when (fault is IOException or System.Net.Sockets.SocketException or UnauthorizedAccessException)
        {
            await lines.Say(new { over = "The instrument cannot be heard. Is it on, and is its address right?" }, cancel);
        }
        return new EmptyResult();
    }

    // As it is typed into a field, with its unit, so that nothing is lost on the way back.
    private static string Height(double mm) => string.Create(CultureInfo.InvariantCulture, $"{mm:0.####} mm");

    /// <summary>Says where the indicator is heard, and how it is read.</summary>
    public async Task<IActionResult> OnPostIndicator(string? kind, string? address, BareUnit unit, bool turned)
    {
        try
        {
            string heard = kind == LineSources.Simulated ? kind : kind == "device" ? LineSources.Checked(address) : "";
            ShopSettings settings = await shop.ForChange();
            (settings.Indicator, settings.IndicatorUnit, settings.IndicatorTurned) = (heard, unit, turned);
            await shop.Save(settings);
            return LocalRedirect($"/tag/{Tool.Number}/sole#grid");
        }
        catch (InputException fault)
        {
            return Refused("Indicator", fault.Sentence);
        }
    }

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
            return LocalRedirect($"/tag/{Tool.Number}/sole");
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
            return LocalRedirect($"/tag/{Tool.Number}/sole");
        }
        catch (InputException fault)
        {
            return Refused("Grid", fault);
        }
    }

    private async Task Keep(IReadOnlyList<double[]> points, string source)
    {
        SoleRecord? goesOn = Said.More ? Tool.Surveys.LastOrDefault() : null;
        GridSurveyInput survey = SoleSurveys.Taken(KnownFacts, points, goesOn?.Input, Given(Said.Error, "reading_error_mm"),
            Given(Said.Plate, "plate_flatness_mm"), Said.Sure, Shop.Assumptions);
        DateTimeOffset now = time.GetUtcNow();
        string from = string.IsNullOrWhiteSpace(Said.State) ? source : $"{source}, {Shorten.To(Said.State, MostWords)}";
        Tool.Take(new SoleRecord { Id = Guid.CreateVersion7(now), At = now, Source = Shorten.To(from, MostSource), Input = survey }, goesOn);
        await Book.Save(Tool);
    }

    private double? Given(string? text, string field) => string.IsNullOrWhiteSpace(text) ? null : Length.Parse(text, field, units.Units);

    private void Draw()
    {
        Map = Tool.Surveys.Count > 0 ? maps.Of(Tool.Surveys[^1], Shop.Assumptions) : null;
        Before = Tool.Surveys.Count > 1 ? maps.Of(Tool.Surveys[^2], Shop.Assumptions) : null;
    }

    /// <summary>What an earlier survey shows.</summary>
    public GridSurveyResult Read(SoleRecord survey) => maps.Read(survey, Shop.Assumptions);

    /// <summary>Leaves readings of the last survey out, and takes others in again: pits, a worn toe, damage.</summary>
    public async Task<IActionResult> OnPostLeaveOut(int[]? left)
    {
        if (Tool.Surveys is not [.., var last])
        {
            return LocalRedirect($"/tag/{Tool.Number}/sole");
        }
        try
        {
            // It was read when it was read: only what counts of it is another.
            var other = new SoleRecord { Id = Guid.CreateVersion7(last.At), At = last.At, Source = last.Source,
                Input = SoleSurveys.Without(last.Input, new HashSet<int>(left ?? []), Shop.Assumptions) };
            Tool.Surveys.Remove(last);
            Tool.Surveys.Add(other);
            await Book.Save(Tool);
            await Book.Note(Tool.Number, BenchEvent.New(time.GetUtcNow(), EventKind.Note,
                $"{Words.Count(other.Input.LeftOutMm!.Count, "reading")} left out of the sole survey: {other.Said}"));
            return LocalRedirect($"/tag/{Tool.Number}/sole");
        }
        catch (InputException fault)
        {
            return Refused("Left", fault.Sentence);
        }
    }

    /// <summary>The readings as CSV.</summary>
    public IActionResult OnGetCsv() => Tool.Surveys is not [.., var last] ? NotFound()
        : File(System.Text.Encoding.UTF8.GetBytes(ReadingsFile.Write(last.Input)), "text/csv", $"{Tool.Label}-sole.csv");

    /// <summary>The map as a drawing by itself.</summary>
    public IActionResult OnGetSvg()
    {
        Draw();
        return Map is null ? NotFound() : File(System.Text.Encoding.UTF8.GetBytes(Map.Svg($"{Tool.Label} {Tool.Title}")), "image/svg+xml",
            $"{Tool.Label}-sole.svg");
    }

    /// <summary>Takes a survey back; the log says so.</summary>
    public async Task<IActionResult> OnPostForget(Guid id)
    {
        if (Tool.Surveys.FirstOrDefault(s => s.Id == id) is { } survey)
        {
            Tool.Surveys.Remove(survey);
            await Book.Save(Tool);
            await Book.Note(Tool.Number, BenchEvent.New(time.GetUtcNow(), EventKind.Note,
                $"Sole survey taken back: {survey.Said}"));
        }
        return LocalRedirect($"/tag/{Tool.Number}/sole");
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
