using System.Globalization;
using Foundling.Core.Saws;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Saws;

/// <summary>Teeth counted and measured on a photograph: the line of the gullets, a known length, and a mark on every tip. All of it in the address.</summary>
public sealed class PhotoModel(TagBook tags, ViewUnits units) : BenchPageModel
{
    /// <summary>The saw.</summary>
    [BindProperty(SupportsGet = true, Name = "tag")]
    public int Number { get; set; }

    /// <summary>The photograph; nothing for the first.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid? Picture { get; set; }

    /// <summary>One end of the line of the gullets, pixels.</summary>
    [BindProperty(SupportsGet = true)]
    public string? One { get; set; }

    /// <summary>The other end.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Two { get; set; }

    /// <summary>Tips of teeth.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Tips { get; set; }

    /// <summary>How far the ends are apart.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Long { get; set; }

    /// <summary>The saw.</summary>
    public Tag Of { get; private set; } = null!;

    /// <summary>The photograph that is measured on; null for none.</summary>
    public Picture? Shown { get; private set; }

    /// <summary>The ends: field, place, and what it is.</summary>
    public IReadOnlyList<(string Field, double X, double Y, string Name)> Ends { get; private set; } = [];

    /// <summary>Tips that were set.</summary>
    public IReadOnlyList<(double X, double Y)> Marks { get; private set; } = [];

    /// <summary>What was read; null while too little is set.</summary>
    public TeethOnPhoto? Read { get; private set; }

    /// <summary>Where the heights are used.</summary>
    public string Use => string.Create(CultureInfo.InvariantCulture, $"/saws?tag={Number}&points={Read!.Ppi:0.#}&heights=")
        + Uri.EscapeDataString(string.Join(' ', Read.HeightsMm.Select(h => units.InField(Math.Round(h, 2)))));

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        if (await tags.Show(Number, TagParts.Head | TagParts.Pictures, cancel) is not { } tag || tag.Tool().Family != Family.Saw)
        {
            return NotFound();
        }
        Of = tag;
        Shown = tag.Pictures.Find(p => p.Id == Picture) ?? (tag.Pictures.Count > 0 ? tag.Pictures[0] : null);
        if (Shown is null)
        {
            return Page();
        }
        (double w, double h) = (Shown.Width, Shown.Height);
        const double Fifth = 5;
        (double X, double Y) one = PhotoPoints.One(One, (w / Fifth, h / 2), w, h), two = PhotoPoints.One(Two, (w - (w / Fifth), h / 2), w, h);
        Ends = [("one", one.X, one.Y, "one end of the gullets"), ("two", two.X, two.Y, "the other end")];
        Marks = PhotoPoints.All(Tips, w, h);
        if (Given(Long) && Marks.Count > 0)
        {
            Try("long", () => Read = TeethOnPhoto.Of(one, two, units.Mm(Long, "length_mm"), Marks));
        }
        return Page();
    }

    /// <inheritdoc />
    protected override string FieldOf(string input, string otherwise) => input is "line" or "tips" ? "tips" : otherwise;
}
