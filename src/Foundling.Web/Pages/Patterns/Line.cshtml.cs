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
        return Change($"{of.Title}: {of.VariantTitle(variant ?? "")}", book => book.WithYears(Line.Id, of.Id, variant ?? "",
            [Year(a), Year(b), Year(c), Year(d)]));
    }

    /// <summary>What the line says of a trait, as this page shows it.</summary>
    public IEnumerable<(string Field, string? Value)> WasFigures(Trait trait) => trait.Variants.Select(v => ($"form.{v}", Figures(trait.Id, v)));

    /// <summary>Years and sources of all forms of a trait, as typed. A form without a tick was never used.</summary>
    public async Task<IActionResult> OnPostFigures(string? trait, List<string?> variant, List<string?> a, List<string?> b, List<string?> c, List<string?> d,
        List<string?> source, List<string?> note, List<string?> used)
    {
        Trait of = Book.TraitOf(trait ?? "");
        PatternBook made = Book;
        foreach ((string? form, int i) in variant.Select((v, i) => (v, i)))
        {
            if (form is null || !of.Variants.Contains(form))
            {
                throw new InputException("unknown_variant", "variant", form, string.Join(", ", of.Variants),
                    $"\"{of.Title}\" has no form \"{Shorten.To(form, 60)}\".");
            }
            int?[]? years = used.Contains(form) ? [Year(At(a, i)), Year(At(b, i)), Year(At(c, i)), Year(At(d, i))] : null;
            var said = new Statement(Text(At(source, i)), Text(At(note, i)));
            if (Merge.Mine($"form.{form}", of.VariantTitle(form), Figures(years, said), Figures(of.Id, form)))
            {
                made = made.WithYears(Line.Id, of.Id, form, years, said);
            }
        }
        return Merge.Clashed ? Page() : await Change($"Years of {of.Title.ToLowerInvariant()}", _ => made);
    }

    private string? Figures(string trait, string variant) =>
        Line.Variants.GetValueOrDefault(trait)?.GetValueOrDefault(variant) is { } years ? Figures(years, Line.StatementOn(trait, variant)) : null;

    private static string? Figures(int?[]? years, Statement? said) =>
        years is null ? null : (string.Join(", ", years.Select(y => y?.ToString(CultureInfo.InvariantCulture) ?? "open"))
            + $" {said?.Source} {said?.Note}").TrimEnd();

    /// <summary>The line itself, as this page shows it.</summary>
    public IEnumerable<(string Field, string? Value)> WasLine =>
    [
        ("maker", Line.Maker), ("range", Line.Range), ("first", Line.FirstYear.ToString(CultureInfo.InvariantCulture)),
            ("last", Line.LastYear.ToString(CultureInfo.InvariantCulture)),
        ("share", Share(Line.Share)), ("source", Line.Source), ("note", Line.Note), ("kinds", string.Join(' ', Line.Kinds ?? [])),
    ];

    /// <summary>A share as a field writes it.</summary>
    public static string Share(double share) => share.ToString("0.####", CultureInfo.InvariantCulture);

    /// <summary>The line itself.</summary>
    public async Task<IActionResult> OnPostLine(string? maker, string? range, string? first, string? last, string? share, List<string?> kinds, string? source,
        string? note)
    {
        double met = double.TryParse(share?.Replace(',', '.'), CultureInfo.InvariantCulture, out double s) ? s
            : throw new InputException("bad_share", "share", share, "a number above 0",
                $"\"{Shorten.To(share, 40)}\" is not a share; 1 is a line met as often as any other.");
        string[] covers = [.. kinds.OfType<string>().Distinct()];
        PatternLine to = Line;
        to = Merge.Mine("maker", "The maker", maker, Line.Maker) ? to with { Maker = Text(maker) } : to;
        to = Merge.Mine("range", "What they made", range, Line.Range) ? to with { Range = Text(range) } : to;
        to = Merge.Mine("first", "The first year", first, Line.FirstYear.ToString(CultureInfo.InvariantCulture)) ? to with { FirstYear = Year(first)
            ?? Line.FirstYear } : to;
        to = Merge.Mine("last", "The last year", last, Line.LastYear.ToString(CultureInfo.InvariantCulture)) ? to with { LastYear = Year(last)
            ?? Line.LastYear } : to;
        to = Merge.Mine("share", "How often it is met", share, Share(Line.Share)) ? to with { Share = met } : to;
        to = Merge.Mine("source", "Where it comes from", source, Line.Source) ? to with { Source = Text(source) } : to;
        to = Merge.Mine("note", "What to know", note, Line.Note) ? to with { Note = Text(note) } : to;
        to = Merge.Mine("kinds", "The kinds of tool", string.Join(' ', covers), string.Join(' ', Line.Kinds ?? [])) ? to with { Kinds = covers } : to;
        return Merge.Clashed ? Page() : await Change($"About {Line.Title}", book => book.With(to));
    }

    /// <summary>The sizes as this page shows them.</summary>
    public IEnumerable<(string Field, string? Value)> WasSizes => Line.SizesOrNone.Select(s => ($"size.{s.Id}", (string?)Words(s)));

    /// <summary>Its sizes; a row without a number is taken out.</summary>
    public async Task<IActionResult> OnPostSizes(List<string?> size, List<string?> length, List<string?> iron, List<string?> from, List<string?> to)
    {
        List<LineSize> sent = [.. size.Select((s, i) => (Text(s), i)).Where(s => s.Item1 is not null).Select(s =>
            new LineSize(s.Item1!, Mm(At(length, s.i)), Mm(At(iron, s.i)), Year(At(from, s.i)), Year(At(to, s.i))))];
        if (sent.Select(s => s.Id).Distinct().Count() < sent.Count)
        {
            throw new InputException("bad_pattern", "size", null, "each number once", "A size stands there twice; each number can stand there once.");
        }
        var kept = Line.SizesOrNone.ToList();
        foreach (string id in sent.Concat(kept).Select(s => s.Id).Distinct().ToList())
        {
            LineSize? mine = sent.Find(s => s.Id == id), now = kept.Find(s => s.Id == id);
            if (Merge.Mine($"size.{id}", $"The size {id}", mine is null ? "" : Words(mine), now is null ? "" : Words(now)))
            {
                int at = now is null ? -1 : kept.IndexOf(now);
                kept = mine is null ? [.. kept.Where(s => s.Id != id)] : at < 0 ? [.. kept, mine] : [.. kept.Select(s => s.Id == id ? mine : s)];
            }
        }
        return Merge.Clashed ? Page() : await Change($"Sizes of {Line.Title}", book => book.With(Line with { Sizes = kept }));
    }

    private string Words(LineSize s) => $"{units.Show(s.LengthMm)}, {units.Show(s.IronWidthMm)}, {s.FirstYear} to {s.LastYear}";

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
