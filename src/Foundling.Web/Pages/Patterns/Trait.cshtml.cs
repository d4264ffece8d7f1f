using Foundling.Core;
using Foundling.Core.Origin;
using Foundling.Core.Tools;
using Foundling.Data.Origin;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Patterns;

/// <summary>A trait: what to look at, and its forms with their drawings.</summary>
public sealed class TraitModel(PatternShelf shelf) : PatternPageModel(shelf)
{
    private const int NewForms = 1;

    /// <summary>Line it was opened from; a new trait is added to it.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Line { get; set; }

    /// <summary>The trait; null for a new one.</summary>
    public Trait? Trait { get; private set; }

    /// <inheritdoc />
    protected override string Here => Trait is null ? "/patterns" : $"/patterns/trait/{Trait.Id}{(Line is null ? "" : $"?line={Uri.EscapeDataString(Line)}")}";

    /// <summary>Forms as they stand, with room for new ones.</summary>
    public IEnumerable<(string Id, string Name, VariantDrawing Drawing, VariantBuild? Build)> Forms =>
        [.. (Trait?.Variants ?? []).Select(v => (v, Trait!.VariantTitle(v), Trait.DrawingOf(v) ?? new VariantDrawing(), Trait.Builds?.GetValueOrDefault(v))),
            .. Enumerable.Repeat(("", "", new VariantDrawing(), (VariantBuild?)null), NewForms)];

    /// <summary>A form says that the tool never had the part, in the list of finishes.</summary>
    public const string Never = "never";

    private static VariantBuild? Build(string? material, string? finish, string? of)
    {
        Material? made = Enum.TryParse(material, out Material m) && Enum.IsDefined(m) ? m : null;
        PartFinish? finished = Enum.TryParse(finish, out PartFinish f) && Enum.IsDefined(f) ? f : null;
        return made is null && finished is null && finish != Never ? null
            : new VariantBuild(made, finished, finish == Never, Text(of)?.Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries));
    }

    /// <summary>Lines that know it.</summary>
    public IEnumerable<PatternLine> Lines => Book.Lines.Where(l => Trait is not null && l.Variants.ContainsKey(Trait.Id));

    /// <summary>Parts of the kinds the opening line covers, or of all.</summary>
    public IEnumerable<PartDef> Parts => ToolCatalogue.Kinds.Where(k => Book.Lines.FirstOrDefault(l => l.Id == Line)?.Kinds?.Contains(k.Id.Value) != false)
        .SelectMany(k => k.Parts).Prepend(new PartDef(PartIds.Body, "body, or the tool itself", Material.Steel)).DistinctBy(p => p.Id);

    /// <inheritdoc />
    protected override bool Ready()
    {
        string id = RouteData.Values["id"] as string ?? "";
        Trait = Book.Traits.FirstOrDefault(t => t.Id == id);
        return Trait is not null || id == "new";
    }

    /// <summary>Shows the trait.</summary>
    public void OnGet()
    {
    }

    /// <summary>Keeps the trait. A form without a name is taken out.</summary>
    public async Task<IActionResult> OnPost(string? name, string? part, LookEffort effort, string? note, List<string?> id, List<string?> title,
        List<string?> drawn, List<string?> filled, List<string?> pale, List<string?> like, List<string?> material,
        List<string?> finish, List<string?> of, bool own, string? none)
    {
        string words = Text(name) ?? throw new InputException("required", "name", name, "words", "Say in a few words what to look at.");
        var forms = new List<(string Id, string Name, VariantDrawing? Drawing, VariantBuild? Build)>();
        for (int i = 0; i < title.Count; i++)
        {
            if (Text(title[i]) is { } form)
            {
                forms.Add((Text(At(id, i)) ?? BookEdits.FreeId(form, forms.Select(f => f.Id).Concat(Trait?.Variants ?? [])), form, Like(At(like, i))
                    ?? Drawing(At(filled, i), At(pale, i), At(drawn, i)), Build(At(material, i), At(finish, i), At(of, i))));
            }
        }
        if (forms.Select(f => f.Id).Distinct().Count() < forms.Count)
        {
            throw new InputException("bad_pattern", "variant", null, "each form once",
                $"\"{words}\" names a form twice; open the page anew and change it there.");
        }
        var kept = new Trait(Trait?.Id ?? BookEdits.FreeId(words, Book.Traits.Select(t => t.Id)), Text(part) ?? "body", effort, [.. forms.Select(f => f.Id)],
            words,
            forms.ToDictionary(f => f.Id, f => f.Name), forms.Where(f => f.Drawing is not null).ToDictionary(f => f.Id, f => f.Drawing!), Text(note), own, own
                && forms.Any(f => f.Id == none) ? none : null,
            forms.Any(f => f.Build is not null) ? forms.Where(f => f.Build is not null).ToDictionary(f => f.Id, f => f.Build!) : null);
        string? inUse = Trait?.Variants.Except(kept.Variants).FirstOrDefault(v => Book.Lines.Any(l =>
            l.Variants.GetValueOrDefault(Trait.Id)?.ContainsKey(v) == true));
        if (inUse is not null)
        {
            throw new InputException("in_use", "variant", inUse, "a form no line uses",
                $"\"{Trait!.VariantTitle(inUse)}\" has years in a line; take those away first.");
        }
        bool add = Trait is null && Line is not null;
        return await Change(Trait is null ? $"New trait {words}" : $"About {words.ToLowerInvariant()}",
            book => add ? book.With(kept).WithYears(Line!, kept.Id, kept.Variants[0], [null, null, null, null]) : book.With(kept), Line is not null
                ? $"/patterns/{Line}" : $"/patterns/trait/{kept.Id}");
    }

    /// <summary>Drawings of the book to take over, by trait and form.</summary>
    public IEnumerable<(string Key, string Title)> Drawings =>
        from t in Book.Traits from v in t.Variants where t.DrawingOf(v) is not null select ($"{t.Id}/{v}", $"{t.Title}: {t.VariantTitle(v)}");

    private VariantDrawing? Like(string? key) => key?.Split('/') is [var trait, var variant] ? Book.Traits.FirstOrDefault(t =>
        t.Id == trait)?.DrawingOf(variant) : null;

    private static VariantDrawing? Drawing(string? filled, string? pale, string? drawn) =>
        (Text(filled) ?? Text(pale) ?? Text(drawn)) is null ? null : new VariantDrawing(Text(filled), Text(pale), Text(drawn));
}
