using Foundling.Core;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>What is wrong with it, part by part.</summary>
public sealed class StateModel(TagBook tags, ViewUnits units, TimeProvider time) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "state";

    /// <summary>Part chosen on the drawing.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Part { get; set; }

    /// <summary>The chosen part.</summary>
    public PartDef? Chosen => Tool.Tool().Part(Part ?? "");

    /// <summary>What was typed, kept when it is refused.</summary>
    public (string? Note, string? FromEdge, string? Hits, string? Points, FindingKind? Kind, int? Severity) Typed { get; private set; }

    /// <summary>Shows the findings.</summary>
    public void OnGet()
    {
    }

    /// <summary>Adds a finding, or changes the one of this kind on this part.</summary>
    public async Task<IActionResult> OnPostFind(FindingKind? kind, int? severity, string? note, string? fromEdge, string? hits, string? points)
    {
        Typed = (note, fromEdge, hits, points, kind, severity);
        if (Chosen is null)
        {
            ModelState.AddModelError("Part", "Choose a part, on the drawing or in the list.");
        }
        if (kind is null || severity is null)
        {
            ModelState.AddModelError("Kind", "Choose what is wrong and how much.");
        }
        else if (severity is < 0 or > FindingScales.Worst)
        {
            ModelState.AddModelError("Kind", "The scale runs from 0 to 4.");
        }
        if (note is { Length: > 1000 })
        {
            ModelState.AddModelError("Note", $"This note is {note.Length:#,0} characters long; 1,000 is the most.");
        }
        double? edge = ReadLength(fromEdge, "FromEdge", units.Units, 0, 500);
        (int? counted, int? of) = (Whole(hits, "Count"), Whole(points, "Count"));
        if (counted is null != of is null && ModelState.IsValid)
        {
            ModelState.AddModelError("Count", "A count needs both numbers: points hit and points counted.");
        }
        else if (counted is int h && of is int n)
        {
            try
            {
                Wilson.Count(new WilsonInput(h, n));
            }
            catch (InputException fault)
            {
                ModelState.AddModelError("Count", fault.Sentence);
            }
        }
        if (!ModelState.IsValid)
        {
            return Page();
        }
        DateTimeOffset now = time.GetUtcNow();
        Finding? finding = Tool.Findings.FirstOrDefault(f => f.Part == Chosen!.Id && f.Kind == kind);
        if (finding is null)
        {
            finding = new Finding { Id = Guid.CreateVersion7(now), Part = Chosen!.Id, Kind = kind!.Value, At = now };
            Tool.Findings.Add(finding);
        }
        finding.Severity = severity!.Value;
        finding.Note = (note ?? "").Trim();
        finding.FromEdgeMm = edge;
        (finding.CountHits, finding.CountPoints) = (counted, of);
        await Book.Save(Tool);
        return LocalRedirect($"/tag/{Tool.Number}/state");
    }

    /// <summary>Takes a finding back.</summary>
    public async Task<IActionResult> OnPostForget(Guid id)
    {
        Tool.Findings.RemoveAll(f => f.Id == id);
        await Book.Save(Tool);
        return ToLeaf("state");
    }

    private int? Whole(string? text, string field)
    {
        if (string.IsNullOrWhiteSpace(text))
        {
            return null;
        }
        if (int.TryParse(text.Trim(), out int n) && n is >= 0 and <= 100_000)
        {
            return n;
        }
        ModelState.AddModelError(field, $"\"{text}\" is not a whole number.");
        return null;
    }
}
