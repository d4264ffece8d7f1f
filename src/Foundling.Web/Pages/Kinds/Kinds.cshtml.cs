using System.Text;
using Foundling.Core;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using Foundling.Data.Kinds;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Kinds;

/// <summary>Kinds of tool of the shop's own: made from the nearest one there is, gone on with, taken in, and sent on.</summary>
[RequestSizeLimit(KindReader.MostLetters * 2)]
public sealed class KindsModel(KindShelf shelf, KindList list, ViewUnits units) : SentencePageModel
{
    /// <summary>Empty rows for parts beside those of the nearest kind.</summary>
    public const int MoreRows = 3;

    /// <summary>The shop's own kinds.</summary>
    public IReadOnlyList<ToolKind> Own => list.Own;

    /// <summary>Kinds one can start from.</summary>
    public IReadOnlyList<ToolKind> All => list.All;

    /// <summary>The nearest kind; null until one is chosen.</summary>
    public ToolKind? Near { get; private set; }

    /// <summary>The kind that is gone on with; null for a new one.</summary>
    public ToolKind? Gone { get; private set; }

    /// <summary>What was typed, kept when it is refused.</summary>
    public KindForm Sent { get; private set; } = new();

    /// <summary>Shows the shop's kinds, and the parts of the nearest one when it is chosen.</summary>
    /// <param name="near">The nearest kind.</param>
    /// <param name="own">A kind to go on with, in place of it.</param>
    public void OnGet(string? near, string? own)
    {
        Start(near, own);
        if (Near is not null)
        {
            Sent = Gone?.File.Draft is { } draft ? KindForm.From(Near, draft, units.Units) : KindForm.From(Near);
        }
    }

    private void Start(string? near, string? own)
    {
        Gone = Own.FirstOrDefault(k => k.Id.Value == own && k.File.Draft is { } draft && ToolCatalogue.Knows(draft.Near));
        Near = Gone is not null ? ToolCatalogue.Kind(Gone.File.Draft!.Near)
            : near is { Length: > 0 } && ToolCatalogue.Knows(KindId.Of(near)) ? ToolCatalogue.Kind(KindId.Of(near)) : null;
    }

    /// <summary>Makes a kind, or changes the one that is gone on with.</summary>
    public async Task<IActionResult> OnPostMake(KindForm form)
    {
        Start(form.Near, form.Own);
        if (Near is null)
        {
            return LocalRedirect("/kinds");
        }
        Sent = form;
        if (Gone is not null)
        {
            await shelf.Change(Gone.Id, form.Draft(Near, units.Units));
            return LocalRedirect("/kinds");
        }
        ToolKind made = await shelf.Make(form.Draft(Near, units.Units));
        return LocalRedirect($"/new?kind={Uri.EscapeDataString(made.Id.Value)}");
    }

    /// <summary>Draws what is traced so far; a sentence where nothing can be drawn yet.</summary>
    public IActionResult OnPostTraced(KindForm form)
    {
        Start(form.Near, form.Own);
        if (Near is null)
        {
            return NotFound();
        }
        try
        {
            form.Traced = true;
            form.Name = "Traced";
            KindFile file = form.Draft(Near, units.Units).File("0");
            return Partial("Kinds/_Traced", KindDrawing.Read(file.Drawing!, file) with { Kind = Near.Id });
        }
        catch (InputException fault)
        {
            return Content(fault.Sentence, "text/plain", Encoding.UTF8);
        }
    }

    /// <summary>Takes in a kind from a file.</summary>
    public async Task<IActionResult> OnPostTake(IFormFile? file)
    {
        if (file is null || file.Length is 0 or > KindReader.MostLetters)
        {
            throw new InputException("required", "file", file?.Length, "a kind file", file is { Length: > 0 }
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
