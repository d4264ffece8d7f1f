using System.Text;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using Foundling.Data.Kinds;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages;

/// <summary>Kinds of tool of the shop's own: made from the nearest one there is, taken in, and sent on.</summary>
[RequestSizeLimit(KindReader.MostLetters * 2)]
public sealed class KindsModel(KindShelf shelf, KindList list) : SentencePageModel
{
    /// <summary>Rows for parts beside those of the nearest kind.</summary>
    public const int MoreRows = 4;

    /// <summary>The shop's own kinds.</summary>
    public IReadOnlyList<ToolKind> Own => list.Own;

    /// <summary>Kinds one can start from.</summary>
    public IReadOnlyList<ToolKind> All => list.All;

    /// <summary>The nearest kind; null until one is chosen.</summary>
    public ToolKind? Near { get; private set; }

    /// <summary>What was typed, kept when it is refused.</summary>
    public (string? Name, string? Length, IReadOnlyList<string> Has, IReadOnlyDictionary<string, string> Called, IReadOnlyList<KindExtra> Extras)
        Sent { get; private set; } = (null, null, [], new Dictionary<string, string>(), []);

    /// <summary>Shows the shop's kinds, and the parts of the nearest one when it is chosen.</summary>
    public void OnGet(string? near) => Start(near);

    private void Start(string? near)
    {
        Near = near is { Length: > 0 } && ToolCatalogue.Knows(KindId.Of(near)) ? ToolCatalogue.Kind(KindId.Of(near)) : null;
        Sent = Sent with { Has = [.. Near?.Parts.Select(p => p.Id.Value) ?? []] };
    }

    /// <summary>Makes a kind.</summary>
    /// <param name="near">The nearest kind.</param>
    /// <param name="name">What it is called.</param>
    /// <param name="length">What its length measures.</param>
    /// <param name="has">Parts of the nearest kind it has too.</param>
    /// <param name="called">What parts are called, by their keys.</param>
    /// <param name="more">Names of parts it has beside.</param>
    /// <param name="of">What those are made of.</param>
    /// <param name="on">What those sit on.</param>
    public async Task<IActionResult> OnPostMake(string? near, string? name, string? length, string[] has, Dictionary<string, string> called, string[] more,
        Material[] of, string[] on)
    {
        Start(near);
        if (Near is null)
        {
            return LocalRedirect("/kinds");
        }
        List<KindExtra> extras = [.. more.Take(MoreRows).Select((m, i) => new KindExtra(m ?? "", of.ElementAtOrDefault(i), PartId.Of(on.ElementAtOrDefault(i))))
            .Where(e => e.Name.Trim().Length > 0)];
        Sent = (name, length, has, called, extras);
        ToolKind made = await shelf.Make(new KindDraft(Near.Id, name ?? "")
        {
            Without = [.. Near.Parts.Where(p => !has.Contains(p.Id.Value)).Select(p => p.Id)], Length = length, Extras = extras,
            Called = called.Where(c => c.Value is { Length: > 0 }).ToDictionary(c => PartId.Of(c.Key), c => c.Value),
        });
        return LocalRedirect($"/new?kind={Uri.EscapeDataString(made.Id.Value)}");
    }

    /// <summary>Takes in a kind from a file.</summary>
    public async Task<IActionResult> OnPostTake(IFormFile? file)
    {
        if (file is null || file.Length is 0 or > KindReader.MostLetters)
        {
            throw new Core.InputException("required", "file", file?.Length, "a kind file", file is { Length: > 0 }
                ? "This file is too large to be a kind of tool."
                : "Choose the file of a kind, ending in .json.");
        }
        using var reader = new StreamReader(file.OpenReadStream(), Encoding.UTF8);
        await shelf.Read(await reader.ReadToEndAsync());
        return LocalRedirect("/kinds");
    }

    /// <summary>Takes a kind away that nothing is of.</summary>
    public async Task<IActionResult> OnPostRemove(string? kind)
    {
        await shelf.Remove(KindId.Of(kind));
        return LocalRedirect("/kinds");
    }

    /// <summary>The file of a kind.</summary>
    public IActionResult OnGetFile(string? kind) => Own.FirstOrDefault(k => k.Id.Value == kind) is { } own
        ? File(Encoding.UTF8.GetBytes(KindShelf.Written(own)), "application/json", $"{own.Id}.json") : NotFound();
}
