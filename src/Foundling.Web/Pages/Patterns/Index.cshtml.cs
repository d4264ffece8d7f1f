using Foundling.Core;
using Foundling.Core.Origin;
using Foundling.Data.Origin;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Patterns;

/// <summary>The pattern book: every line the shop knows.</summary>
[RequestSizeLimit(2 * PatternFile.MostLetters)]
public sealed class IndexModel(PatternShelf shelf) : PatternPageModel(shelf)
{
    /// <inheritdoc />
    protected override string Here => "/patterns";

    /// <summary>Shows the book.</summary>
    public void OnGet()
    {
    }

    /// <summary>The whole book as CSV.</summary>
    public IActionResult OnGetCsv() => Download(Book, "pattern-book", csv: true);

    /// <summary>The whole book as JSON.</summary>
    public IActionResult OnGetJson() => Download(Book, "pattern-book", csv: false);

    /// <summary>Starts a new line.</summary>
    public async Task<IActionResult> OnPostNew(string? maker, string? range, string? kind, string? first, string? last)
    {
        string name = Text(maker) ?? throw new InputException("required", "maker", maker, "a name", "A line needs the maker's name.");
        string id = BookEdits.FreeId($"{name} {range}", Book.Lines.Select(l => l.Id));
        var line = new PatternLine(id, Year(first) ?? throw Needs("first"), Year(last) ?? throw Needs("last"), new Dictionary<string,
            IReadOnlyDictionary<string, int?[]>>(), name, Text(range), 1, null, kind is null ? null : [kind]);
        return await Change($"New line {line.Title}", b => b.With(line), $"/patterns/{id}");
    }

    /// <summary>Reads a file of pages into the book: what is good is kept, what is not is named.</summary>
    public async Task<IActionResult> OnPostImport(IFormFile? file, CancellationToken cancel)
    {
        if (file is null || file.Length == 0 || file.Length > PatternFile.MostLetters)
        {
            throw new InputException("required", "file", null, "a file", file is { Length: > 0 } ? "This file is too large for a pattern book."
                : "Choose a file of pattern pages, CSV or JSON.");
        }
        using var reader = new StreamReader(file.OpenReadStream());
        await Shelf.Import(Path.GetFileName(file.FileName), await reader.ReadToEndAsync(cancel), cancel);
        return LocalRedirect(Here);
    }

    private static InputException Needs(string which) => new("required", $"{which}_year", null, "a year", $"A line needs its {which} year of production.");
}
