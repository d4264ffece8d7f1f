using System.Globalization;
using Foundling.Core;
using Foundling.Core.Origin;
using Foundling.Core.Units;
using Foundling.Data.Origin;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Patterns;

/// <summary>One pattern line: its time chart, and everything about it to change.</summary>
public sealed class LineModel(PatternShelf shelf, ViewUnits units) : PatternPageModel(shelf)
{
    /// <summary>Key of the line.</summary>
    [BindProperty(SupportsGet = true)]
    public string Id { get; set; } = "";

    /// <inheritdoc />
    protected override string Here => $"/patterns/{Id}";

    /// <summary>The line.</summary>
    public PatternLine Line { get; private set; } = null!;

    /// <summary>Its time chart.</summary>
    public PatternChart Chart => new(Line, Book);

    /// <summary>Traits the line does not know yet.</summary>
    public IEnumerable<Trait> Others => Book.Traits.Where(t => !Line.Variants.ContainsKey(t.Id));

    /// <inheritdoc />
    protected override bool Ready()
    {
        Line = Book.Lines.FirstOrDefault(l => l.Id == (RouteData.Values["id"] as string))!;
        Id = Line?.Id ?? "";
        return Line is not null;
    }

    /// <summary>Shows the line.</summary>
    public void OnGet()
    {
    }

    /// <summary>The line with its traits as CSV.</summary>
    public IActionResult OnGetCsv() => Download(Book.Only([Line.Id]), Line.Id, csv: true);

    /// <summary>The line with its traits as JSON.</summary>
    public IActionResult OnGetJson() => Download(Book.Only([Line.Id]), Line.Id, csv: false);

    /// <summary>Years of one form, from the chart.</summary>
    public Task<IActionResult> OnPostYears(string? trait, string? variant, string? a, string? b, string? c, string? d)
    {
        Trait of = Book.TraitOf(trait ?? "");
        return Change($"{of.Title}: {of.VariantTitle(variant ?? "")}", book => book.WithYears(Line.Id, of.Id, variant ?? "", [Year(a), Year(b), Year(c), Year(d)]));
    }

    /// <summary>Years and sources of all forms of a trait, as typed. A form without a tick was never used.</summary>
    public Task<IActionResult> OnPostFigures(string? trait, List<string> variant, List<string?> a, List<string?> b, List<string?> c, List<string?> d, List<string?> source, List<string?> note, List<string> used)
    {
        Trait of = Book.TraitOf(trait ?? "");
        return Change($"Years of {of.Title.ToLowerInvariant()}", book => variant.Select((v, i) => (v, i)).Aggregate(book, (made, x) => made.WithYears(Line.Id, of.Id, x.v,
            used.Contains(x.v) ? [Year(At(a, x.i)), Year(At(b, x.i)), Year(At(c, x.i)), Year(At(d, x.i))] : null, new Statement(Text(At(source, x.i)), Text(At(note, x.i))))));
    }

    /// <summary>The line itself.</summary>
    public Task<IActionResult> OnPostLine(string? maker, string? range, string? first, string? last, string? share, List<string> kinds, string? source, string? note) =>
        Change($"About {Line.Title}", book => book.With(Line with
        {
            Maker = Text(maker), Range = Text(range), FirstYear = Year(first) ?? Line.FirstYear, LastYear = Year(last) ?? Line.LastYear, Kinds = kinds, Source = Text(source), Note = Text(note),
            Share = double.TryParse(share?.Replace(',', '.'), CultureInfo.InvariantCulture, out double s) ? s : throw new InputException("bad_share", "share", share, "a number above 0", $"\"{share}\" is not a share; 1 is a line met as often as any other."),
        }));

    /// <summary>Its sizes; a row without a number is taken out.</summary>
    public Task<IActionResult> OnPostSizes(List<string?> size, List<string?> length, List<string?> iron, List<string?> from, List<string?> to) =>
        Change($"Sizes of {Line.Title}", book => book.With(Line with
        {
            Sizes = [.. size.Select((s, i) => (Text(s), i)).Where(s => s.Item1 is not null).Select(s => new LineSize(s.Item1!, Mm(At(length, s.i)), Mm(At(iron, s.i)), Year(At(from, s.i)), Year(At(to, s.i))))],
        }));

    /// <summary>Adds a trait the book has.</summary>
    public Task<IActionResult> OnPostAdd(string? trait)
    {
        Trait of = Book.TraitOf(trait ?? "");
        return Change($"{of.Title} added to {Line.Title}", book => book.WithYears(Line.Id, of.Id, of.Variants[0], [null, null, null, null]));
    }

    /// <summary>Takes a trait out of the line.</summary>
    public Task<IActionResult> OnPostDrop(string? trait)
    {
        Trait of = Book.TraitOf(trait ?? "");
        return Change($"{of.Title} taken out of {Line.Title}", book => of.Variants.Aggregate(book, (b, v) => b.WithYears(Line.Id, of.Id, v, null)));
    }

    /// <summary>Copies the line for another maker.</summary>
    public Task<IActionResult> OnPostCopy(string? maker)
    {
        PatternLine copy = Book.Copy(Line.Id, Text(maker) ?? throw new InputException("required", "maker", maker, "a name", "Give the copy a maker's name."));
        return Change($"Copy of {Line.Title} for {copy.Maker}", book => book.With(copy), $"/patterns/{copy.Id}");
    }

    /// <summary>Takes the line out of the book.</summary>
    public Task<IActionResult> OnPostDelete() => Change($"{Line.Title} taken out", book => book.WithoutLine(Line.Id), "/patterns");

    private double? Mm(string? text) => string.IsNullOrWhiteSpace(text) ? null
        : Length.TryParse(text, out double mm, units.Units) ? mm : throw new InputException("not_a_length", "size", text, "a length", Length.NotALength(text));
}
