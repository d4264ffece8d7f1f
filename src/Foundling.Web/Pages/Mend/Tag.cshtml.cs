using System.Globalization;
using Foundling.Core;
using Foundling.Core.Tags;
using Foundling.Data.Papers;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Mend;

/// <summary>
/// What does not hold together on a tag, to be taken out piece by piece. It draws nothing and reckons nothing, so that it
/// can be shown when the tag's own pages cannot.
/// </summary>
public sealed class TagModel(TagBook tags, BundlesIn bundles, ShopDesk shop) : SentencePageModel
{
    /// <summary>The tag.</summary>
    public Tag Tool { get; private set; } = null!;

    /// <summary>What does not hold together.</summary>
    public IReadOnlyList<TagFault> Faults { get; private set; } = [];

    /// <inheritdoc />
    protected override async Task<bool> Before()
    {
        if (!int.TryParse(RouteData.Values["number"]?.ToString(), CultureInfo.InvariantCulture, out int number) || await tags.Find(number) is not { } tag)
        {
            return false;
        }
        (Tool, Faults) = (tag, TagCheck.Of(tag, await shop.Assumed()));
        return true;
    }

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }

    /// <summary>Takes one piece out.</summary>
    public async Task<IActionResult> OnPostOut(string? list, string? key)
    {
        int gone = list switch
        {
            nameof(Tag.Looks) => Tool.Looks.RemoveAll(x => x.Id.ToString() == key),
            nameof(Tag.Aside) => Tool.Aside.RemoveAll(x => x.Id.ToString() == key),
            nameof(Tag.Findings) => Tool.Findings.RemoveAll(x => x.Id.ToString() == key),
            nameof(Tag.Measurements) => Tool.Measurements.RemoveAll(x => x.Id.ToString() == key),
            nameof(Tag.Counts) => Tool.Counts.RemoveAll(x => x.Id.ToString() == key),
            nameof(Tag.Pictures) => Tool.Pictures.RemoveAll(x => x.Id.ToString() == key),
            "Deeds" => WithoutDeed(key),
            nameof(Tag.Marks) => Tool.Marks.RemoveAll(x => x.Deed.ToString() == key),
            nameof(Tag.Waits) => Tool.Waits.RemoveAll(x => x.Id.ToString() == key),
            nameof(Tag.Surveys) => Tool.Surveys.RemoveAll(x => x.Id.ToString() == key),
            nameof(Tag.Rubs) => Tool.Rubs.RemoveAll(x => x.Id.ToString() == key),
            nameof(Tag.Proofs) => Tool.Proofs.RemoveAll(x => x.Id.ToString() == key),
            _ => 0,
        };
        if (gone == 0)
        {
            throw new InputException("not_there", "key", key, "a piece of this tag", "That piece is not there any more.");
        }
        await tags.Save(Tool);
        return LocalRedirect($"/tag/{Tool.Number}/mend");
    }

    private int WithoutDeed(string? key)
    {
        if (Tool.StepNamed(key) is not { } step)
        {
            return 0;
        }
        Tool.Plan = Tool.Plan!.With([.. Tool.Plan.Deeds.Where(d => d.Id != step.Key)], "a broken step was taken out");
        return 1;
    }

    /// <summary>Takes the whole tag out, when it came in a bundle.</summary>
    public async Task<IActionResult> OnPostAll()
    {
        await bundles.TakeOut(Tool);
        return LocalRedirect("/shelf");
    }
}
