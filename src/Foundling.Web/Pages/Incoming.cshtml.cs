using Foundling.Core.Tags;
using Foundling.Data.Papers;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages;

/// <summary>A bundle from another shop, shown before it is taken.</summary>
public sealed class IncomingModel(BundlesIn bundles) : SentencePageModel
{
    /// <summary>The bundle.</summary>
    public BundleView Bundle { get; private set; } = null!;

    /// <inheritdoc />
    protected override async Task<bool> Before()
    {
        if (await bundles.Held(RouteData.Values["id"] as string) is not { } held)
        {
            return false;
        }
        Bundle = held;
        return true;
    }

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }

    /// <summary>Takes it, with the pattern pages that were ticked.</summary>
    public async Task<IActionResult> OnPost(List<string?> pages, CancellationToken cancel)
    {
        Tag tag = await bundles.Take(Bundle.Id, [.. pages.OfType<string>()], cancel);
        return LocalRedirect($"/tag/{tag.Number}/papers");
    }

    /// <summary>Lets it go.</summary>
    public IActionResult OnPostLeave()
    {
        bundles.LetGo(Bundle.Id);
        return LocalRedirect("/shop#import");
    }
}
