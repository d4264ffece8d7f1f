using Foundling.Core.Tools;
using Foundling.Core.Tags;
using Foundling.Data.Pictures;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages;

/// <summary>Books in a tool.</summary>
[RequestSizeLimit(FoundlingApp.MostRequestBytes)]
public sealed class NewModel(TagBook tags, PictureStore store, ViewUnits units, TimeProvider time) : PageModel
{
    /// <summary>What is typed.</summary>
    [BindProperty]
    public BookInForm Form { get; set; } = new();

    /// <summary>Pictures sent along.</summary>
    [BindProperty]
    public List<IFormFile> Pictures { get; set; } = [];

    /// <summary>Number the tag will get.</summary>
    public int Number { get; private set; }

    /// <summary>Pictures that could not be taken, said once the tool is booked in.</summary>
    [TempData]
    public string? Refused { get; set; }

    private DateOnly Today => DateOnly.FromDateTime(time.GetLocalNow().Date);

    /// <summary>An empty form.</summary>
    /// <param name="kind">A kind that is chosen already.</param>
    public async Task OnGet(string? kind)
    {
        Form.Kind = kind is not null && ToolCatalogue.Knows(KindId.Of(kind)) ? kind : null;
        Form.ArrivedOn = Today.ToString("yyyy-MM-dd");
        Number = await tags.NextNumber();
    }

    /// <summary>Books it in and leads to its first leaf; pictures that are no good are named, the others kept.</summary>
    public async Task<IActionResult> OnPost(CancellationToken cancel)
    {
        var tag = new Tag();
        Form.Fill(tag, ModelState, units.Units, Today);
        bool filled = ModelState.IsValid;
        List<Picture> pictures = await BookInForm.Pictures(Pictures, store, ModelState, cancel);
        pictures.InsertRange(0, Form.Held.Take(BookInForm.MostPictures).Select(f => store.Again(f, "as it came")).OfType<Picture>());
        string bad = string.Join(" ", ModelState["Pictures"]?.Errors.Select(e => e.ErrorMessage) ?? []);
        if (!filled || (bad.Length > 0 && pictures.Count == 0))
        {
            // What was sent already need not be sent again.
            Form.Held = [.. pictures.Select(p => p.File).Distinct()];
            Number = await tags.NextNumber(cancel);
            return Page();
        }
        tag.Pictures.AddRange(pictures.DistinctBy(p => p.File));
        await tags.BookIn(tag, cancel);
        Refused = bad.Length > 0 ? bad : null;
        return LocalRedirect($"/tag/{tag.Number}/{(bad.Length > 0 ? "book" : "origin")}");
    }
}
