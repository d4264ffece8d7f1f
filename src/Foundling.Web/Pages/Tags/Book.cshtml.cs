using Foundling.Core.Tags;
using Foundling.Data.Pictures;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>What was written at book-in, to be put right, and the pictures.</summary>
[RequestSizeLimit(FoundlingApp.MostRequestBytes)]
[RequestFormLimits(MultipartBodyLengthLimit = FoundlingApp.MostRequestBytes)]
public sealed class BookModel(TagBook tags, PictureStore store, ViewUnits units, TimeProvider time) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "book";

    /// <summary>What is typed.</summary>
    [BindProperty]
    public BookInForm Form { get; set; } = new();

    /// <summary>Shows it.</summary>
    public void OnGet() => Form = BookInForm.Of(Tool, units.Units);

    /// <summary>Keeps it.</summary>
    public async Task<IActionResult> OnPost()
    {
        Form.Fill(Tool, ModelState, units.Units, DateOnly.FromDateTime(time.GetLocalNow().Date));
        if (!ModelState.IsValid)
        {
            return Page();
        }
        await Book.Save(Tool);
        return ToLeaf("book");
    }

    /// <summary>Adds pictures.</summary>
    public async Task<IActionResult> OnPostPictures(List<IFormFile> pictures, string? caption, CancellationToken cancel)
    {
        Form = BookInForm.Of(Tool, units.Units);
        ModelState.Clear();
        List<Picture> taken = await BookInForm.Pictures(pictures, store, ModelState, cancel);
        foreach (Picture picture in taken)
        {
            picture.Caption = string.IsNullOrWhiteSpace(caption) ? "picture" : caption.Trim()[..Math.Min(200, caption.Trim().Length)];
            Tool.Pictures.Add(picture);
        }
        if (taken.Count == 0 && ModelState.IsValid)
        {
            ModelState.AddModelError("Pictures", "Choose one or more pictures.");
        }
        if (!ModelState.IsValid)
        {
            return Page();
        }
        await Book.Save(Tool, cancel);
        return ToLeaf("book");
    }
}
