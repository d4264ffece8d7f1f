using Foundling.Core;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>What is wrong with it, part by part.</summary>
public sealed class StateModel(TagBook tags, PartsBox box, ViewUnits units, TimeProvider time) : TagPageModel(tags)
{
    private const int MostWords = 500;

    /// <inheritdoc />
    public override string Here => "state";

    /// <summary>Part chosen on the drawing.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Part { get; set; }

    /// <summary>The tool is drawn apart.</summary>
    [BindProperty(SupportsGet = true)]
    public bool Apart { get; set; }

    /// <summary>The drawing, together or apart, at most so wide.</summary>
    public ProfileView DrawnFor(double widthPx)
    {
        ProfileView together = ProfileView.Of(Tool, widthPx);
        if (!Apart)
        {
            return together;
        }
        // Apart it may be taller than wide; it still has to fit the screen.
        const double MostHighPx = 470;
        Profile apart = Exploded.Of(together.Profile);
        return together with { Profile = apart, WidthPx = Math.Round(Math.Min(widthPx, MostHighPx * apart.Width / apart.Height)) };
    }

    /// <summary>The chosen part.</summary>
    public PartDef? Chosen => Tool.Tool().Part(Part ?? "") ?? Group?.Parts[0];

    /// <summary>Several parts chosen at once.</summary>
    public PartGroup? Group => PartGroups.Of(Tool.Tool()).FirstOrDefault(g => g.Id == Part);

    /// <summary>What the findings say.</summary>
    public TriageResult Weighed => Triage.Of(Tool);

    /// <summary>The round that is under way: that of the last finding.</summary>
    public Round LastRound => Tool.Findings.Count == 0 ? Round.AsFound : Tool.Findings.MaxBy(f => (f.At, f.Round))!.Round;

    /// <summary>What was typed as a reading, kept when it is refused.</summary>
    public string? TypedValue { get; private set; }

    /// <summary>What was typed, kept when it is refused.</summary>
    public (string? Note, string? FromEdge, string? Hits, string? Points, FindingKind? Kind, int? Severity) Typed { get; private set; }

    /// <summary>Parts in the box that this tool lacks.</summary>
    public IReadOnlyList<OrphanPart> ToBeHad { get; private set; } = [];

    /// <summary>Parts the finding form is about.</summary>
    private IEnumerable<PartDef> About => Group?.Parts ?? (Chosen is { } one ? [one] : []);

    /// <summary>Findings on the chosen part as this page shows them.</summary>
    public IEnumerable<(string Field, string? Value)> Was => About.SelectMany(p => Tool.Findings.Where(f => f.Part == p.Id)).Select(f => (Field(f.Part, f.Kind, f.Round), (string?)Text(f)));

    /// <summary>What was decided, as this page shows it.</summary>
    public IEnumerable<(string Field, string? Value)> WasDecided =>
        [("tried", Tool.Tried?.ToString()), ("triedNote", Tool.TriedNote), ("decision", Tool.Decision?.ToString()), ("why", Tool.DecisionReason)];

    private static string Field(string part, FindingKind kind, Round round) => $"finding.{part}.{kind}.{round}";

    private static string Text(Finding f) => string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{f.Severity}|{f.Note}|{f.FromEdgeMm}|{f.Place}|{f.CountHits}/{f.CountPoints}|{f.PictureId}");

    /// <summary>Shows the findings.</summary>
    public async Task OnGet(CancellationToken cancel) => ToBeHad = await box.For(Tool, cancel);

    /// <summary>Puts the parts worth saving into the parts box.</summary>
    public async Task<IActionResult> OnPostSaveParts(CancellationToken cancel)
    {
        await box.Save(Tool, Weighed.WorthSaving, cancel);
        return LocalRedirect("/stores/parts");
    }

    /// <summary>Adds a finding, or changes the one of this kind on this part.</summary>
    public async Task<IActionResult> OnPostFind(FindingKind? kind, int? severity, string? note, string? fromEdge, string? hits, string? points, Round round = Round.AsFound, string? place = null, Guid? picture = null)
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
        foreach (PartDef part in About)
        {
            // A look of a later round is a finding of its own, so that it can be set against the earlier one.
            Finding? there = Tool.Findings.FirstOrDefault(f => f.Part == part.Id && f.Kind == kind && f.Round == round);
            Finding finding = there ?? new Finding { Id = Guid.CreateVersion7(now), Part = part.Id, Kind = kind!.Value, Round = round, At = now };
            var sent = new Finding
            {
                Severity = severity!.Value, Note = (note ?? "").Trim(), FromEdgeMm = edge, Place = PartGroups.Places(Tool.Tool(), part).Contains(place ?? "") ? place! : "",
                PictureId = Tool.Pictures.FirstOrDefault(p => p.Id == picture)?.Id, CountHits = counted, CountPoints = of,
            };
            if (!Merge.Mine(Field(part.Id, finding.Kind, round), $"{Words.Start(part.Name)}, {FindingScales.Name(finding.Kind)}", Text(sent), there is null ? "" : Text(there), there is null ? "" : $"{there.Severity}, {there.Note}".TrimEnd(',', ' ')))
            {
                continue;
            }
            (finding.Severity, finding.Note, finding.FromEdgeMm, finding.Place, finding.PictureId) = (sent.Severity, sent.Note, sent.FromEdgeMm, sent.Place, sent.PictureId);
            (finding.CountHits, finding.CountPoints) = (counted, of);
            if (there is null)
            {
                Tool.Findings.Add(finding);
            }
        }
        if (Merge.Clashed)
        {
            return Page();
        }
        await Book.Save(Tool);
        return LocalRedirect($"/tag/{Tool.Number}/state");
    }

    /// <summary>Says that what is missing is on order, or no longer is.</summary>
    public async Task<IActionResult> OnPostOrder(Guid id, DateOnly? arrives, bool on)
    {
        if (Tool.Findings.FirstOrDefault(f => f.Id == id && f.Kind == FindingKind.Missing) is { } finding)
        {
            (finding.OnOrder, finding.ArrivesOn) = (on, on ? arrives : null);
            await Book.Save(Tool);
        }
        return LocalRedirect($"/tag/{Tool.Number}/state");
    }

    /// <summary>Keeps a measurement; earlier ones stay.</summary>
    public async Task<IActionResult> OnPostMeasure(string? kind, string? value, Instrument? instrument, string? off)
    {
        TypedValue = value;
        MeasureKind? what = Chosen is null ? null : MeasureKinds.For(Tool.Tool(), Chosen).FirstOrDefault(m => m.Id == kind);
        double? reading = what is { IsCount: true } ? Whole(value, "Value") : ReadLength(value, "Value", units.Units, 0, 5000), error = ReadLength(off, "Off", units.Units, 0, 50);
        if (ModelState.IsValid && (what is null || reading is null))
        {
            ModelState.AddModelError("Value", what is null ? "Choose a part and what was measured." : "Write the reading.");
        }
        if (!ModelState.IsValid)
        {
            return Page();
        }
        Instrument with = what!.IsCount ? Instrument.Count : instrument ?? what.With;
        DateTimeOffset now = time.GetUtcNow();
        Tool.Measurements.Add(new Measurement
        {
            Id = Guid.CreateVersion7(now), Part = Chosen!.Id, Kind = what.Id, Value = reading!.Value, Instrument = with, UncertaintyMm = what.IsCount ? 0 : error ?? MeasureKinds.UncertaintyMm(with, Assumptions.Standard), At = now,
        });
        await Book.Save(Tool);
        return LocalRedirect($"/tag/{Tool.Number}/state?Part={Chosen.Id}#measure");
    }

    /// <summary>Keeps what it did as found, and what is decided.</summary>
    public async Task<IActionResult> OnPostDecide(AsFoundTry? tried, string? triedNote, Verdict? decision, string? why)
    {
        (string said, string reason) = (Shorten.To(triedNote, MostWords), Shorten.To(why, MostWords));
        Tool.Tried = Merge.Mine("tried", "Tried as found", tried?.ToString(), Tool.Tried?.ToString(), Words.Of(Tool.Tried)) ? tried : Tool.Tried;
        Tool.TriedNote = Merge.Mine("triedNote", "What it did", said, Tool.TriedNote) ? said : Tool.TriedNote;
        Tool.Decision = Merge.Mine("decision", "The decision", decision?.ToString(), Tool.Decision?.ToString(), Tool.Decision is { } v ? Words.Of(v) : "") ? decision : Tool.Decision;
        Tool.DecisionReason = Merge.Mine("why", "The reason", reason, Tool.DecisionReason) ? reason : Tool.DecisionReason;
        if (!ModelState.IsValid)
        {
            return Page();
        }
        await Book.Save(Tool);
        return ToLeaf("state");
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
