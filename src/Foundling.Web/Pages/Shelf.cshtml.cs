using Foundling.Web.Services;
using Foundling.Data.Shop;
using Foundling.Core.Tags;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Foundling.Web.Pages;

/// <summary>The shelf: every tool, drawn to one scale.</summary>
public sealed class ShelfModel(TagBook tags, ShopDesk shop, Datings datings) : PageModel
{
    private const int PageSize = 24;

    /// <summary>What is looked for.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Find { get; set; }

    /// <summary>Only tags that stand like this.</summary>
    [BindProperty(SupportsGet = true)]
    public TagStatus? Status { get; set; }

    /// <summary>Page, from 1.</summary>
    [BindProperty(SupportsGet = true)]
    public int Leaf { get; set; } = 1;

    /// <summary>Tags on this page.</summary>
    public List<Tag> Tags { get; private set; } = [];

    /// <summary>The pattern book they are dated by.</summary>
    public Core.Origin.PatternBook Patterns { get; private set; } = null!;

    /// <summary>The dating of a tag; null when nothing was looked at.</summary>
    public Core.Origin.DatingReport? Dated(Tag tag) => datings.Of(tag, Patterns, Assumed, weigh: false);

    private Core.Assumptions Assumed { get; set; } = null!;

    /// <summary>How many there are in all.</summary>
    public int All { get; private set; }

    /// <summary>Number of pages.</summary>
    public int Leaves => Math.Max(1, (All + PageSize - 1) / PageSize);

    /// <summary>Reads the shelf.</summary>
    public async Task OnGet()
    {
        Leaf = Math.Clamp(Leaf, 1, 100_000);
        Patterns = await tags.Patterns();
        Assumed = await shop.Assumed();
        (Tags, All) = await tags.Shelf(Find, Status, (Leaf - 1) * PageSize, PageSize);
    }
}
