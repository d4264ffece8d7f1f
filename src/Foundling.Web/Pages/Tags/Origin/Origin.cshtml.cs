using Foundling.Core;
using Foundling.Core.Origin;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Pictures;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>A look not yet taken, with what it would tell.</summary>
/// <param name="Trait">What to look at.</param>
/// <param name="Look">What it would tell and cost; null when it would tell nothing more.</param>
/// <param name="Aside">Set aside before, or null.</param>
public sealed record OpenLook(Trait Trait, NextLook? Look, LookAside? Aside);

/// <summary>Who made it, when, and what does not belong.</summary>
public sealed class OriginModel(TagBook tags, PictureStore store, MarkDesk desk, TimeProvider time) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "origin";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Aside | TagParts.Pictures | TagParts.Waits;

    /// <inheritdoc />
    protected override bool Weigh => true;

    /// <summary>Lines that may be meant.</summary>
    public IReadOnlyList<PatternLine> Lines => TagBook.Candidates(Tool, Patterns);

    /// <summary>Draw only the years that matter.</summary>
    [BindProperty(SupportsGet = true)]
    public bool Near { get; set; }

    /// <summary>A mark as read, to be looked up.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Mark { get; set; }

    /// <summary>Readings of that mark.</summary>
    public ReadingsView? Readings { get; private set; }

    /// <summary>What is wrong with the mark.</summary>
    public string? MarkFault { get; private set; }

    /// <summary>The strata, or null when nothing was looked at.</summary>
    public StrataView? Strata => Dated is null ? null : new StrataView(Tool, Dated, Patterns, Shop.Assumptions, Near);

    /// <summary>True for tools with a wedge, whose kinship to the iron can be judged.</summary>
    public bool HasWedge => Tool.Tool().Part(PartIds.Wedge) is not null;

    /// <summary>Looks that can still be taken, most telling per minute first; asked of all lines of this kind.</summary>
    public IReadOnlyList<OpenLook> Open
    {
        get
        {
            IReadOnlyList<NextLook> next = (Dated ?? TagBook.Weigh(Tool, Patterns, Shop.Assumptions, int.MaxValue)).LookNext ?? [];
            var aside = Tool.Aside.GroupBy(a => a.Trait).ToDictionary(g => g.Key, g => g.Last());
            IEnumerable<Trait> rest = Patterns.Traits.Where(t => Lines.Any(l => l.Variants.ContainsKey(t.Id)) && Tool.Looks.All(k => k.Trait != t.Id)
                && next.All(n => n.Trait != t.Id)).OrderBy(t => t.Effort);
            return [.. next.Select(n => new OpenLook(Patterns.TraitOf(n.Trait), n, aside.GetValueOrDefault(n.Trait))), .. rest.Select(t =>
                new OpenLook(t, null, aside.GetValueOrDefault(t.Id)))];
        }
    }

    /// <summary>Shows the evidence, and the readings of a mark when one was typed.</summary>
    public async Task OnGet()
    {
        if (!Request.Query.ContainsKey("mark"))
        {
            return;
        }
        try
        {
            Readings = new ReadingsView((await desk.Reader()).Read(Mark, Patterns), Tool.Number, [], $"mark={Uri.EscapeDataString(Mark ?? "")}")
            {
                Assumed = Shop.Assumptions, Part = "body", Parts = Parts, Lines = [.. Patterns.LinesFor(Tool.Kind).Select(l => l.Id)],
            };
        }
        catch (InputException fault)
        {
            MarkFault = fault.Sentence;
        }
    }

    /// <summary>Parts a mark can stand on.</summary>
    public IReadOnlyList<(string Id, string Name)> Parts => MarkDesk.Parts(Tool);

    /// <summary>Takes a look at a trait.</summary>
    public async Task<IActionResult> OnPostLook(string? trait, string? variant, Confidence confidence = Confidence.Sure)
    {
        Trait seen = Patterns.TraitOf(trait ?? "");
        if (!seen.Answers.Contains(variant ?? ""))
        {
            ModelState.AddModelError("", $"Choose which form of \"{seen.Title.ToLowerInvariant()}\" you see.");
            return Page();
        }
        Look? before = Tool.Looks.FirstOrDefault(l => l.Trait == trait);
        if (before is not null)
        {
            (before.Variant, before.Confidence) = (variant, confidence);
        }
        else
        {
            desk.Add(Tool, new Look { Trait = trait, Variant = variant, Confidence = confidence });
        }
        Tool.Aside.RemoveAll(a => a.Trait == trait);
        await Book.Save(Tool);
        return Back();
    }

    /// <summary>Sets a look aside: it cannot be told, or waits until the tool is apart.</summary>
    public async Task<IActionResult> OnPostAside(string? trait, AsideReason reason)
    {
        Trait open = Patterns.TraitOf(trait ?? "");
        Tool.Aside.RemoveAll(a => a.Trait == open.Id);
        DateTimeOffset now = time.GetUtcNow();
        Tool.Aside.Add(new LookAside { Id = Guid.CreateVersion7(now), Trait = open.Id, Reason = reason, At = now });
        await Book.Save(Tool);
        return Back();
    }

    /// <summary>Says whose work it is known to be, or that this is for the evidence to say.</summary>
    public async Task<IActionResult> OnPostMaker(string? line)
    {
        Tool.KnownLine = line == PatternLine.OtherId ? line : Patterns.LinesFor(Tool.Kind).FirstOrDefault(l => l.Id == line)?.Id;
        await Book.Save(Tool);
        return Back();
    }

    /// <summary>Takes looks at wedge and iron together.</summary>
    public async Task<IActionResult> OnPostKin(KinLook? colour, KinLook? shadow, KinLook? fit)
    {
        (Tool.KinColour, Tool.KinShadow, Tool.KinFit) = (colour, shadow, fit);
        await Book.Save(Tool);
        return Back();
    }

    /// <summary>Adds what is known of its past: words and years.</summary>
    public async Task<IActionResult> OnPostKnown(string? words, string? notBefore, string? notAfter, bool certain)
    {
        int? from = Year(notBefore, "NotBefore"), to = Year(notAfter, "NotAfter");
        if (string.IsNullOrWhiteSpace(words) || words.Length > 200)
        {
            ModelState.AddModelError("Words", "Say in a few words what is known.");
        }
        if (ModelState.IsValid && from is null && to is null)
        {
            ModelState.AddModelError("NotBefore", "Give the first year it can be of, the last, or both.");
        }
        if (from > to)
        {
            ModelState.AddModelError("NotAfter", $"{to} is before {from}.");
        }
        if (!ModelState.IsValid)
        {
            Known = (words, notBefore, notAfter);
            return Page();
        }
        desk.Add(Tool, new Look { Part = "body", Mark = MarkKind.Window, Soft = !certain, NotBeforeYear = from, NotAfterYear = to, Reading = words!.Trim() });
        await Book.Save(Tool);
        return Back();
    }

    /// <summary>What was typed about its past, kept when it is refused.</summary>
    public (string? Words, string? NotBefore, string? NotAfter) Known { get; private set; }

    /// <summary>Gives a look its own picture: a new one, or one the tag has.</summary>
    public async Task<IActionResult> OnPostPicture(Guid id, Guid? picture, List<IFormFile> files, CancellationToken cancel)
    {
        Look? look = Tool.Looks.FirstOrDefault(l => l.Id == id);
        if (look is null)
        {
            return NotFound();
        }
        List<Picture> taken = await BookInForm.Pictures(files, store, ModelState, cancel);
        if (!ModelState.IsValid)
        {
            ModelState.AddModelError("", string.Join(" ", ModelState["Pictures"]!.Errors.Select(e => e.ErrorMessage)));
            return Page();
        }
        taken.ForEach(p => p.Caption = Patterns.Traits.FirstOrDefault(t => t.Id == look.Trait)?.Title ?? look.Reading ?? "mark");
        Tool.Pictures.AddRange(taken);
        look.PictureId = taken.Count > 0 ? taken[0].Id : Tool.Pictures.FirstOrDefault(p => p.Id == picture)?.Id;
        await Book.Save(Tool, cancel);
        return Back();
    }

    /// <summary>Takes a look back.</summary>
    public async Task<IActionResult> OnPostForget(Guid id)
    {
        Tool.Looks.RemoveAll(l => l.Id == id);
        await Book.Save(Tool);
        return Back();
    }

    private LocalRedirectResult Back() => LocalRedirect($"/tag/{Tool.Number}/origin{(Near ? "?Near=true" : "")}");

    private int? Year(string? text, string field)
    {
        if (string.IsNullOrWhiteSpace(text))
        {
            return null;
        }
        if (int.TryParse(text.Trim(), out int year) && year is >= DatingEngine.FirstYear and <= DatingEngine.LastYear)
        {
            return year;
        }
        ModelState.AddModelError(field, $"\"{text}\" is not a year from {DatingEngine.FirstYear} to {DatingEngine.LastYear}.");
        return null;
    }
}
