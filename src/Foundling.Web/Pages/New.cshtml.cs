using Foundling.Core.Tags;
using Foundling.Data.Pictures;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages;

/// <summary>Books in a tool.</summary>
[RequestSizeLimit(FoundlingApp.MostRequestBytes)]
[RequestFormLimits(MultipartBodyLengthLimit = FoundlingApp.MostRequestBytes)]
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

    private DateOnly Today => DateOnly.FromDateTime(time.GetLocalNow().Date);

    /// <summary>An empty form.</summary>
    public async Task OnGet()
    {
        Form.ArrivedOn = Today.ToString("yyyy-MM-dd");
        Number = await tags.NextNumber();
    }

    /// <summary>Books it in and leads to its first leaf.</summary>
    public async Task<IActionResult> OnPost(CancellationToken cancel)
    {
        var tag = new Tag();
        Form.Fill(tag, ModelState, units.Units, Today);
        List<Picture> pictures = await BookInForm.Pictures(Pictures, store, ModelState, cancel);
        if (!ModelState.IsValid)
        {
            Number = await tags.NextNumber(cancel);
            return Page();
        }
        tag.Pictures.AddRange(pictures);
        await tags.BookIn(tag, cancel);
        return LocalRedirect($"/tag/{tag.Number}/origin");
    }
}
