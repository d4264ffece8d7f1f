using Foundling.Core.Origin;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages;

/// <summary>A tool nobody can name: kind, maker, size and years from what is seen and measured. All of it is in the address.</summary>
public sealed class IdentifyModel(TagBook tags, MarkDesk desk, ViewUnits units, TimeProvider time, ShopDesk shop) : PageModel
{
    private const int Advised = 5;

    /// <summary>Kind of tool, when it can be said.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Kind { get; set; }

    /// <summary>Length as typed.</summary>
    [BindProperty(SupportsGet = true, Name = "length")]
    public string? LengthText { get; set; }

    /// <summary>Iron or blade width as typed.</summary>
    [BindProperty(SupportsGet = true, Name = "iron")]
    public string? IronText { get; set; }

    /// <summary>Looks, each as trait:variant.</summary>
    [BindProperty(SupportsGet = true, Name = "look")]
    public List<string> Taken { get; set; } = [];

    /// <summary>Traits that cannot be seen on it.</summary>
    [BindProperty(SupportsGet = true, Name = "skip")]
    public List<string> Skipped { get; set; } = [];

    /// <summary>The book.</summary>
    public PatternBook Patterns { get; private set; } = null!;

    /// <summary>Looks the book understands.</summary>
    public IReadOnlyList<(Trait Trait, string Variant)> Looks { get; private set; } = [];

    /// <summary>What it may be.</summary>
    public IdentificationResult? Found { get; private set; }

    /// <summary>What to look at next.</summary>
    public IReadOnlyList<(Trait Trait, NextLook Look)> Next { get; private set; } = [];

    /// <summary>The kind that is likeliest.</summary>
    public ToolKind? Likeliest => Found is { } found && found.PKind.Count > 0 ? ToolCatalogue.Kind(KindId.Of(found.PKind.MaxBy(k => k.Value).Key)) : null;

    /// <summary>Shows what it may be.</summary>
    public Task OnGet() => Read();

    /// <summary>Books it in with everything that was seen.</summary>
    public async Task<IActionResult> OnPost()
    {
        await Read();
        if (!ModelState.IsValid || (ToolCatalogue.Kinds.FirstOrDefault(k => k.Id.Value == Kind) ?? Likeliest) is not { } kind)
        {
            ModelState.AddModelError("", "Choose the kind of tool, or take a look that tells it; then it can be booked in.");
            return Page();
        }
        var tag = new Tag { Kind = kind.Id, LengthMm = Mm(LengthText, "length"), IronWidthMm = Mm(IronText, "iron"),
            ArrivedOn = DateOnly.FromDateTime(time.GetLocalNow().Date) };
        foreach ((Trait trait, string variant) in Looks)
        {
            desk.Add(tag, new Look { Trait = trait.Id, Variant = variant, Confidence = Confidence.Sure });
        }
        await tags.BookIn(tag);
        return LocalRedirect($"/tag/{tag.Number}/book");
    }

    /// <summary>This page with one thing more or less.</summary>
    public string With(string? look = null, string? without = null, string? skip = null)
    {
        IEnumerable<(string, string?)> parts =
        [
            ("Kind", Kind), ("length", LengthText), ("iron", IronText), .. Looks.Select(l => $"{l.Trait.Id}:{l.Variant}").Where(l => l != without).Select(l =>
                ("look", (string?)l)), ("look", look),
            .. Skipped.Select(s => ("skip", (string?)s)), ("skip", skip),
        ];
        return "/identify?" + string.Join('&', parts.Where(p => !string.IsNullOrEmpty(p.Item2)).Select(p => $"{p.Item1}={Uri.EscapeDataString(p.Item2!)}"));
    }

    private async Task Read()
    {
        Patterns = await tags.Patterns();
        Kind = ToolCatalogue.Kinds.Any(k => k.Id.Value == Kind) ? Kind : null;
        Looks = [.. Taken.OfType<string>().Take(80).Select(t => t.Split(':')).Where(t => t.Length == 2)
            .Select(t => (Trait: Patterns.Traits.FirstOrDefault(x => x.Id == t[0]), Variant: t[1])).Where(t =>
                t.Trait?.Answers.Contains(t.Variant) == true).Select(t => (t.Trait!, t.Variant)).DistinctBy(t => t.Item1.Id)];
        double? length = Mm(LengthText, "length"), iron = Mm(IronText, "iron");
        Found = Identification.Of(new IdentificationInput([.. Looks.Select((l, i) => new Observation($"o{i}", Confidence.Sure, l.Trait.Id, l.Variant))], Kind,
            new Measurements(length, iron)), Patterns, await shop.Assumed(), 200);
        Next = [.. Found.Dating.LookNext!.Where(n => !Skipped.Contains(n.Trait)).Take(Advised).Select(n => (Patterns.TraitOf(n.Trait), n))];
    }

    private double? Mm(string? text, string field)
    {
        if (string.IsNullOrWhiteSpace(text))
        {
            return null;
        }
        if (Length.TryParse(text, out double mm, units.Units) && mm is > 0 and < 5000)
        {
            return mm;
        }
        ModelState.AddModelError(field, Length.NotALength(text));
        return null;
    }
}
