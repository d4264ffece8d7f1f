using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Pictures;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>What was written at book-in, to be put right, and the pictures.</summary>
[RequestSizeLimit(FoundlingApp.MostRequestBytes)]
public sealed class BookModel(TagBook tags, PictureStore store, ViewUnits units, TimeProvider time) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "book";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Pictures;

    /// <summary>What is typed.</summary>
    [BindProperty]
    public BookInForm Form { get; set; } = new();

    /// <summary>The form as the tag fills it, for telling later what was changed.</summary>
    public BookInForm Stands => BookInForm.Of(Tool, units.Units);

    /// <summary>Pictures that could not be taken.</summary>
    [TempData]
    public string? Refused { get; set; }

    /// <summary>What a change of the kind set aside.</summary>
    [TempData]
    public string? SetAside { get; set; }

    /// <summary>Shows it.</summary>
    public void OnGet() => Form = Stands;

    /// <summary>Keeps it.</summary>
    public async Task<IActionResult> OnPost()
    {
        KindId kind = Tool.Kind;
        Form.Join(Stands, Merge);
        if (!Merge.Clashed)
        {
            Form.Fill(Tool, ModelState, units.Units, DateOnly.FromDateTime(time.GetLocalNow().Date));
        }
        if (!ModelState.IsValid)
        {
            return Page();
        }
        if (Tool.Kind != kind)
        {
            SetAside = KindChange.Of(Tool, kind).Sentence;
        }
        await Book.Save(Tool);
        return ToLeaf("book");
    }

    /// <summary>Adds pictures: the good ones are kept, the others named.</summary>
    public async Task<IActionResult> OnPostPictures(List<IFormFile> pictures, string? caption, CancellationToken cancel)
    {
        Form = Stands;
        ModelState.Clear();
        List<Picture> taken = await BookInForm.Pictures(pictures, store, ModelState, cancel);
        string bad = string.Join(" ", ModelState["Pictures"]?.Errors.Select(e => e.ErrorMessage) ?? []);
        if (taken.Count == 0)
        {
            if (bad.Length == 0)
            {
                ModelState.AddModelError("Pictures", "Choose one or more pictures.");
            }
            return Page();
        }
        foreach (Picture picture in taken.DistinctBy(p => p.File).Where(p => Tool.Pictures.All(t => t.File != p.File)))
        {
            picture.Caption = string.IsNullOrWhiteSpace(caption) ? "picture" : Shorten.To(caption, 200);
            Tool.Pictures.Add(picture);
        }
        await Book.Save(Tool, cancel);
        Refused = bad.Length > 0 ? bad : null;
        return ToLeaf("book");
    }
}
