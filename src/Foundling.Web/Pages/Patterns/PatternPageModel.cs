using System.Text;
using Foundling.Core;
using Foundling.Core.Origin;
using Foundling.Data.Origin;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Patterns;

/// <summary>A page of the pattern book, with going back and forth among its changes.</summary>
public abstract class PatternPageModel(PatternShelf shelf) : SentencePageModel
{
    /// <summary>The shop's pattern book.</summary>
    protected PatternShelf Shelf { get; } = shelf;

    /// <summary>The book.</summary>
    public PatternBook Book { get; private set; } = null!;

    /// <summary>Where it stands among its changes.</summary>
    public BookHistory History { get; private set; } = null!;

    /// <summary>Where the forms of this page lead back to.</summary>
    protected abstract string Here { get; }

    /// <inheritdoc />
    protected override async Task<bool> Before()
    {
        Book = await Shelf.Read();
        History = await Shelf.History();
        return Ready();
    }

    /// <summary>Finds what the page is about in the book; false when it is not there.</summary>
    protected virtual bool Ready() => true;

    /// <summary>Joins what was sent with what someone else changed meanwhile.</summary>
    protected FormMerge Merge => _merge ??= new FormMerge(Request.Form, ModelState);

    private FormMerge? _merge;

    /// <summary>Makes a change and leads back here.</summary>
    protected async Task<IActionResult> Change(string what, Func<PatternBook, PatternBook> change, string? to = null)
    {
        await Shelf.Change(what, change);
        return LocalRedirect(to ?? Here);
    }

    /// <summary>Takes the last change back.</summary>
    public async Task<IActionResult> OnPostUndo()
    {
        await Shelf.Undo();
        return await Landing();
    }

    /// <summary>Makes it again.</summary>
    public async Task<IActionResult> OnPostRedo()
    {
        await Shelf.Redo();
        return await Landing();
    }

    /// <summary>Back here, or to the book when what this page is about went with the change.</summary>
    private async Task<LocalRedirectResult> Landing()
    {
        Book = await Shelf.Read();
        return LocalRedirect(Ready() ? Here : "/patterns");
    }

    /// <summary>A year from a form; null for nothing typed.</summary>
    /// <exception cref="InputException">Not a year.</exception>
    protected static int? Year(string? text) => string.IsNullOrWhiteSpace(text) || text.Trim() is "open" ? null
        : int.TryParse(text.Trim(), out int year) && year is >= DatingEngine.FirstYear and <= DatingEngine.LastYear ? year
        : throw new InputException("bad_year", "year", text, $"{DatingEngine.FirstYear} to {DatingEngine.LastYear}",
            $"\"{text}\" is not a year from {DatingEngine.FirstYear} to {DatingEngine.LastYear}; leave it empty for an open end.");

    /// <summary>Text without blanks at its ends; null for nothing.</summary>
    protected static string? Text(string? text) => string.IsNullOrWhiteSpace(text) ? null : text.Trim();

    /// <summary>One value of a repeated field.</summary>
    protected static string? At(IReadOnlyList<string?> values, int i) => i < values.Count ? values[i] : null;

    /// <summary>A book as a file to download.</summary>
    protected FileContentResult Download(PatternBook book, string name, bool csv) => csv
        ? File(Encoding.UTF8.GetBytes(PatternFile.WriteCsv(book)), "text/csv", name + ".csv")
        : File(Encoding.UTF8.GetBytes(PatternFile.WriteJson(book)), "application/json", name + ".json");
}
