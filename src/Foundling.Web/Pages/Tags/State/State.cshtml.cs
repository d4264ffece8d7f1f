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
public sealed class StateModel(TagBook tags, RodDesk rods, PartsBox box, ViewUnits units, TimeProvider time) : TagPageModel(tags)
{
    private const int MostWords = 500;

    /// <inheritdoc />
    public override string Here => "state";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Counts | TagParts.Pictures | TagParts.Surveys;

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
    public PartDef? Chosen => Tool.Tool().Part(PartId.Of(Part)) ?? Group?.Parts[0];

    /// <summary>Several parts chosen at once.</summary>
    public PartGroup? Group => PartGroups.Of(Tool.Tool()).FirstOrDefault(g => g.Id == Part);

    /// <summary>What the findings say.</summary>
    public TriageResult Weighed => Triage.Of(KnownFacts, Shop.Assumptions);

    /// <summary>The round that is under way: that of the last finding.</summary>
    public Round LastRound => Tool.Findings.Count == 0 ? Round.AsFound : Tool.Findings.MaxBy(f => (f.At, f.Round))!.Round;

    /// <summary>What was typed as a reading, kept when it is refused.</summary>
    public string? TypedValue { get; private set; }

    /// <summary>What was typed, kept when it is refused.</summary>
    public FindingForm? Typed { get; private set; }

    /// <summary>Finding that is being changed.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid? Edit { get; set; }

    /// <summary>The finding that is being changed, or null.</summary>
    public Finding? Edited => Tool.Findings.FirstOrDefault(f => f.Id == Edit && f.Part == Chosen?.Id);

    /// <summary>A fault whose degree was just changed, and the degree it had.</summary>
    [BindProperty(SupportsGet = true)]
    public FindingKind? Changed { get; set; }

    /// <inheritdoc cref="Changed"/>
    [BindProperty(SupportsGet = true)]
    public int? From { get; set; }

    /// <summary>What stands on the whole tool, line by line.</summary>
    public IReadOnlyList<FindingRow> Rows => FindingRow.Of(Tool);

    /// <summary>What stands on the chosen part.</summary>
    public IEnumerable<Finding> OnPart => Tool.Standing().Where(f => About.Any(p => p.Id == f.Part));

    /// <summary>Parts in the box that this tool lacks.</summary>
    public IReadOnlyList<OrphanPart> ToBeHad { get; private set; } = [];

    /// <summary>Parts the finding form is about.</summary>
    private IEnumerable<PartDef> About => Group?.Parts ?? (Chosen is { } one ? [one] : []);

    /// <summary>Findings on the chosen part as this page shows them.</summary>
    public IEnumerable<(string Field, string? Value)> Was =>
        About.SelectMany(p => Tool.Findings.Where(f => f.Part == p.Id)).Select(f => (Edited == f ? Field(f.Id) : Field(f.Part, f.Kind, f.Round),
            (string?)Text(f)));

    /// <summary>What was decided, as this page shows it.</summary>
    public IEnumerable<(string Field, string? Value)> WasDecided =>
        [("tried", Tool.Tried?.ToString()), ("triedNote", Tool.TriedNote), ("decision", Tool.Decision?.ToString()), ("why", Tool.DecisionReason)];

    private static string Field(PartId part, FindingKind kind, Round round) => $"finding.{part}.{kind}.{round}";

    private static string Field(Guid id) => $"finding.{id:N}";

    private static string Text(Finding f) => string.Create(System.Globalization.CultureInfo.InvariantCulture,
        $"{f.Severity}|{f.Note}|{f.FromEdgeMm}|{f.DepthMm}|{f.SizeMm}|{f.Place}|{f.CountHits}/{f.CountPoints}|{f.PictureId}|{f.Round}");

    /// <summary>Shows the findings.</summary>
    public async Task OnGet(CancellationToken cancel) => ToBeHad = await box.For(Tool, cancel);

    /// <summary>Puts the parts worth saving into the parts box.</summary>
    public async Task<IActionResult> OnPostSaveParts(CancellationToken cancel)
    {
        await box.Save(Tool, Weighed.WorthSaving, cancel);
        return LocalRedirect("/stores/parts");
    }

    /// <summary>Notes a finding; of a fault at a spot a part can have several.</summary>
    /// <param name="found">Fault and degree in one, as the buttons of the scales send it: "Rust:2".</param>
    /// <param name="form">The same in fields, with all that can be said about it.</param>
    public async Task<IActionResult> OnPostFind(string? found, FindingForm form)
    {
        Typed = form.With(found, Request.Form);
        if (Read(Typed) is not { } sent)
        {
            return Page();
        }
        Finding? before = null;
        foreach (PartDef part in About)
        {
            Finding finding = On(part, sent);
            Finding? there = Tool.There(part.Id, finding.Kind, finding.Round);
            if (Faults.IsSpot(finding.Kind) || Merge.Mine(Field(part.Id, finding.Kind, finding.Round), What(part, finding.Kind), Text(finding), there is null
                ? "" : Text(there), Shown(there)))
            {
                before = Tool.Note(finding) ?? before;
            }
        }
        if (Merge.Clashed)
        {
            return Page();
        }
        await Book.Save(Tool);
        string changed = before is not null && before.Severity != sent.Severity ? $"&Changed={sent.Kind}&From={before.Severity}" : "";
        return LocalRedirect($"{ThisPart}{changed}#find");
    }

    /// <summary>Changes one finding and says more about it.</summary>
    public async Task<IActionResult> OnPostChange(FindingForm form)
    {
        Typed = form;
        if (Edited is not { } there)
        {
            ModelState.AddModelError("", "That finding is not there any more.");
            return Page();
        }
        Typed.Kind = there.Kind;
        if (Read(Typed) is not { } sent || Chosen is not { } part)
        {
            return Page();
        }
        Finding changed = On(part, sent);
        (changed.Id, changed.At, changed.OnOrder, changed.ArrivesOn) = (there.Id, there.At, there.OnOrder, there.ArrivesOn);
        if (Merge.Mine(Field(there.Id), What(part, there.Kind), Text(changed), Text(there), Shown(there)))
        {
            (there.Severity, there.Note, there.FromEdgeMm, there.DepthMm, there.SizeMm, there.Place, there.Round) =
                (changed.Severity, changed.Note, changed.FromEdgeMm, changed.DepthMm, changed.SizeMm, changed.Place, changed.Round);
            // Looked at again, it is no longer a guess.
            (there.Doubt, there.PictureId, there.CountHits, there.CountPoints) = ("", changed.PictureId, changed.CountHits, changed.CountPoints);
        }
        if (Merge.Clashed)
        {
            return Page();
        }
        await Book.Save(Tool);
        return LocalRedirect($"{ThisPart}#find");
    }

    private string ThisPart => $"/tag/{Tool.Number}/state?Part={Uri.EscapeDataString(Part ?? "")}{(Apart ? "&Apart=True" : "")}";

    private static string What(PartDef part, FindingKind kind) => $"{Words.Start(part.Name)}, {FindingScales.Name(kind, part)}";

    private static string Shown(Finding? there) => there is null ? "" : $"{there.Severity}, {there.Note}".TrimEnd(',', ' ');

    private Finding On(PartDef part, Finding sent)
    {
        DateTimeOffset now = Noted ??= time.GetUtcNow();
        return new Finding
        {
            Id = Guid.CreateVersion7(now), At = now, Part = part.Id, Kind = sent.Kind, Severity = sent.Severity, Round = sent.Round, Note = sent.Note,
            FromEdgeMm = sent.FromEdgeMm, DepthMm = sent.DepthMm, SizeMm = sent.SizeMm,
            Place = PartGroups.Places(Tool.Tool(), part, sent.Kind).Contains(sent.Place) ? sent.Place : "", PictureId = sent.PictureId,
            CountHits = sent.CountHits, CountPoints = sent.CountPoints,
        };
    }

    /// <summary>The moment of this request: what is noted together bears one time.</summary>
    private DateTimeOffset? Noted { get; set; }

    private Finding? Read(FindingForm form)
    {
        if (Chosen is null)
        {
            ModelState.AddModelError("Part", "Choose a part, on the drawing or in the list.");
        }
        if (form.Kind is null || form.Severity is null)
        {
            ModelState.AddModelError("Kind", "Choose what is wrong and how much.");
        }
        else if (form.Severity is < 0 or > FindingScales.Worst)
        {
            ModelState.AddModelError("Kind", "The scale runs from 0 to 4.");
        }
        if (form.Note is { Length: > 1000 })
        {
            ModelState.AddModelError("Note", $"This note is {form.Note.Length:#,0} characters long; 1,000 is the most.");
        }
        double? edge = ReadLength(form.FromEdge, "FromEdge", units.Units, 0, 500), depth = ReadLength(form.Depth, "Depth", units.Units, 0, 100),
            size = ReadLength(form.Size, "Size", units.Units, 0, 2000);
        (int? counted, int? of) = (Whole(form.Hits, "Count"), Whole(form.Points, "Count"));
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
        return !ModelState.IsValid ? null : new Finding
        {
            Kind = form.Kind!.Value, Severity = form.Severity!.Value, Round = form.Round, Note = (form.Note ?? "").Trim(), FromEdgeMm = edge, DepthMm = depth,
            SizeMm = size, Place = form.Place ?? "",
            PictureId = Tool.Pictures.FirstOrDefault(p => p.Id == form.Picture)?.Id, CountHits = counted, CountPoints = of,
        };
    }

    /// <summary>Says that what is missing is on order, or no longer is.</summary>
    public async Task<IActionResult> OnPostOrder(Guid id, DateOnly? arrives, bool on)
    {
        foreach (Finding finding in RowOf(id).Where(f => f.Kind == FindingKind.Missing))
        {
            (finding.OnOrder, finding.ArrivesOn) = (on, on ? arrives : null);
        }
        await Book.Save(Tool);
        return LocalRedirect($"/tag/{Tool.Number}/state");
    }

    private IEnumerable<Finding> RowOf(Guid id) => Rows.FirstOrDefault(r => r.All.Any(f => f.Id == id))?.All ?? [];

    /// <summary>The chosen part is noted as lost.</summary>
    public bool Lost => Chosen is { } part && Tool.Gone(part.Id) is not null;

    /// <summary>What was just said is about the build.</summary>
    [BindProperty(SupportsGet = true)]
    public bool BuildOpen { get; set; }

    /// <summary>What was typed as the name of an added part, kept when it is refused.</summary>
    public string? AddName { get; private set; }

    /// <summary>Says how the chosen part is built on this tool: one thing at a tap, or all that stands in the fold.</summary>
    public async Task<IActionResult> OnPostBuild(Material? material, PartFinish? finish, PartStand? stand, bool lost, bool more, PartFinish? under,
        Joint? joint, string? held)
    {
        if (Chosen is not { } part || Group is not null)
        {
            ModelState.AddModelError("Part", "Choose a part, on the drawing or in the list.");
            return Page();
        }
        if (lost)
        {
            Tool.Lose(part, LastRound, time.GetUtcNow());
        }
        else
        {
            Tool.Say(part, new PartChange(material, finish, stand, more, under, joint, held));
        }
        await Book.Save(Tool);
        return LocalRedirect(Tool.Tool().Part(part.Id) is null ? $"/tag/{Tool.Number}/state?BuildOpen=True#built" : $"{ThisPart}#build");
    }

    /// <summary>Says how a feature of the whole was made; the form it has already takes the word back.</summary>
    public async Task<IActionResult> OnPostForm(string? feature, string? form)
    {
        if (Feature.Find(FeatureId.Of(feature)) is not { } what || what.Find(FormId.Of(form)) is not { } said)
        {
            ModelState.AddModelError("Part", "Choose one of the forms that are shown.");
            return Page();
        }
        bool again = Tool.Built.Forms.TryGetValue(what.Id, out FormId there) && there == said.Id;
        Tool.Built = Tool.Built.With(what.Id, again ? null : said.Id);
        await Book.Save(Tool);
        return LocalRedirect($"/tag/{Tool.Number}/state?{(Chosen is { } part ? $"Part={part.Id}&" : "")}BuildOpen=True#built");
    }

    /// <summary>Takes back that it never had a part.</summary>
    public async Task<IActionResult> OnPostHad(string? had)
    {
        PartId part = PartId.Of(had);
        if (Tool.Tool().Never.FirstOrDefault(p => p.Id == part) is { } never)
        {
            Tool.Say(never, new PartChange(Stand: PartStand.AsMade));
            await Book.Save(Tool);
        }
        return LocalRedirect($"/tag/{Tool.Number}/state?Part={Uri.EscapeDataString(part.Value)}#build");
    }

    /// <summary>Adds a part no tool of this kind has.</summary>
    public async Task<IActionResult> OnPostAdd(string? name, Material material, string? on)
    {
        AddName = name?.Trim();
        if (string.IsNullOrEmpty(AddName) || AddName.Length > ToolBuild.MostName)
        {
            ModelState.AddModelError("AddName", string.IsNullOrEmpty(AddName) ? "Say what it is: \"a brass sole plate\"."
                : $"{ToolBuild.MostName} letters are the most.");
            return Page();
        }
        if (!Enum.IsDefined(material) || Tool.Tool().Part(PartId.Of(on)) is not { } there)
        {
            ModelState.AddModelError("AddName", "Choose what it is made of and what it sits on.");
            return Page();
        }
        if (Tool.Built.Parts.Count >= TagCheck.MostDiffering)
        {
            ModelState.AddModelError("AddName", $"More than {TagCheck.MostDiffering} parts differ from its kind; this is another kind.");
            return Page();
        }
        Tool.Built = Tool.Built.Adding(AddName, material, Materials.Finishes(material)[0], there.Id);
        await Book.Save(Tool);
        return LocalRedirect($"/tag/{Tool.Number}/state?Part={Tool.Built.Parts[^1].Part}#build");
    }

    /// <summary>Keeps a measurement; earlier ones stay.</summary>
    public async Task<IActionResult> OnPostMeasure(string? kind, string? value, Instrument? instrument, string? off)
    {
        TypedValue = value;
        MeasureKind? what = Chosen is null ? null : MeasureKinds.For(Tool.Tool(), Chosen).FirstOrDefault(m => m.Id == MeasureId.Of(kind));
        double? reading = what is null || string.IsNullOrWhiteSpace(value) ? null : OrFault(() => what.Read(value, "Value", units.Units), "Value");
        double? error = what is not { Unit: Core.Units.Unit.Degrees } ? ReadLength(off, "Off", units.Units, 0, 50)
            : string.IsNullOrWhiteSpace(off) ? null : OrFault(() => what.Read(off, "Off", units.Units), "Off");
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
        Tool.Take(new Measurement
        {
            Id = Guid.CreateVersion7(now), Part = Chosen!.Id, Kind = what.Id, Value = reading!.Value, Instrument = with,
            UncertaintyMm = what.IsCount ? 0 : error ?? MeasureKinds.UncertaintyMm(with, Shop.Assumptions), At = now,
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
        Tool.Decision = Merge.Mine("decision", "The decision", decision?.ToString(), Tool.Decision?.ToString(), Tool.Decision is { } v ? Words.Of(v) : "")
            ? decision : Tool.Decision;
        Tool.DecisionReason = Merge.Mine("why", "The reason", reason, Tool.DecisionReason) ? reason : Tool.DecisionReason;
        if (!ModelState.IsValid)
        {
            return Page();
        }
        await rods.Tried(Tool);
        return ToLeaf("state");
    }

    /// <summary>Takes a finding back: the one, or with all that were noted together with it.</summary>
    public async Task<IActionResult> OnPostForget(Guid id, bool row)
    {
        List<Guid> gone = row ? [.. RowOf(id).Select(f => f.Id)] : [id];
        Tool.Findings.RemoveAll(f => gone.Contains(f.Id));
        await Book.Save(Tool);
        return row ? ToLeaf("state") : LocalRedirect($"{ThisPart}#find");
    }

    private double? OrFault(Func<double> read, string field)
    {
        try
        {
            return read();
        }
        catch (InputException fault)
        {
            ModelState.AddModelError(field, fault.Sentence);
            return null;
        }
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
