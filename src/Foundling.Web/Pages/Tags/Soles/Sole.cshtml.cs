using Foundling.Core;
using Foundling.Core.Log;
using Foundling.Core.Soles;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Soles;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>The sole: readings in, map out.</summary>
[RequestSizeLimit(2 * MostFileBytes)]
public sealed class SoleModel(TagBook tags, SoleMaps maps, ViewUnits units, TimeProvider time) : TagPageModel(tags)
{
    /// <summary>Largest readings file taken, bytes.</summary>
    public const long MostFileBytes = 2 * 1024 * 1024;

    private const int GridColumns = 8;

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

    /// <summary>Length of the sole, mm.</summary>
    public double LengthMm => KnownFacts.LengthMm;

    /// <summary>Width of the sole, mm.</summary>
    public double WidthMm => Tool.SoleWidthMm ?? Shop.Assumptions.UsualSoleWidthMm;

    /// <summary>Places along the sole where the grid is read, mm from the toe.</summary>
    public IReadOnlyList<double> GridX => Grid.AlongMm;

    /// <summary>Places across, mm from the near edge.</summary>
    public IReadOnlyList<double> GridY => Grid.AcrossMm;

    private SurveyGrid Grid => SurveyGrid.Of(LengthMm, WidthMm, GridColumns);

    /// <summary>Shows the last survey.</summary>
    public void OnGet() => Draw();

    /// <summary>Imports readings from a file or pasted text.</summary>
    public async Task<IActionResult> OnPostImport(IFormFile? file, string? text)
    {
        string source = "pasted readings";
        if (file is { Length: > 0 })
        {
            if (file.Length > MostFileBytes)
            {
                ModelState.AddModelError("Import", $"\"{file.FileName}\" is larger than 2 MB; a survey is a few kilobytes.");
                Draw();
                return Page();
            }
            using var reader = new StreamReader(file.OpenReadStream());
            text = await reader.ReadToEndAsync();
            source = Shorten.To(Path.GetFileName(file.FileName), 200);
        }
        Text = text;
        try
        {
            if (string.IsNullOrWhiteSpace(text))
            {
                throw new InputException("no_readings", "readings", null, "a file or pasted lines", "Choose a file of readings, or paste its lines.");
            }
            ReadingsResult read = ReadingsFile.Read(text);
            Faults = read.Faults;
            if (Faults.Count > 0)
            {
                ModelState.AddModelError("Import", $"{Words.Count(Faults.Count, "line")} cannot be read. Put {(Faults.Count == 1 ? "it" : "them")} right "
                    + "below and import again; nothing was kept yet.");
            }
            else
            {
                await Keep(read.Points, source);
                return LocalRedirect($"/tag/{Tool.Number}/sole");
            }
        }
        catch (InputException fault)
        {
            ModelState.AddModelError("Import", fault.Sentence);
        }
        Draw();
        return Page();
    }

    /// <summary>Keeps readings typed into the grid.</summary>
    public async Task<IActionResult> OnPostGrid(string?[]? cell)
    {
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
        try
        {
            if (ModelState.IsValid)
            {
                await Keep(points, "typed in");
                return LocalRedirect($"/tag/{Tool.Number}/sole");
            }
        }
        catch (InputException fault)
        {
            ModelState.AddModelError("Grid", fault.Sentence);
        }
        Draw();
        return Page();
    }

    private async Task Keep(IReadOnlyList<double[]> points, string source)
    {
        double length = Tool.LengthMm ?? points.Select(p => p[0]).DefaultIfEmpty(LengthMm).Max();
        double width = Tool.SoleWidthMm ?? Math.Max(10, points.Select(p => p[1]).DefaultIfEmpty(WidthMm).Max());
        double mouth = Tool.MouthFrontMm is double m && m < length ? m : GridSurveyInput.UsualMouthFrontMm(length, Shop.Assumptions);
        var input = new GridSurveyInput(length, width, points, mouth, Tool.Purpose ?? SolePurpose.Smoothing);
        GridSurvey.Read(input, Shop.Assumptions);
        DateTimeOffset now = time.GetUtcNow();
        Tool.Take(new SoleRecord { Id = Guid.CreateVersion7(now), At = now, Source = source, Input = input });
        await Book.Save(Tool);
    }

    private void Draw() => Map = Tool.Surveys.Count > 0 ? maps.Of(Tool.Surveys[^1], Shop.Assumptions) : null;

    /// <summary>What an earlier survey shows.</summary>
    public GridSurveyResult Read(SoleRecord survey) => maps.Read(survey, Shop.Assumptions);

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
