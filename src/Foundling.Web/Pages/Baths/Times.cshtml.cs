using Foundling.Core;
using Foundling.Core.Soaks;
using Foundling.Data.Shop;
using Foundling.Data.Soaks;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Baths;

/// <summary>Soak times of the book against those of the shop's own soaks, and which of them is reckoned with.</summary>
public sealed class TimesModel(BathLooks looks, ShopBook shop, BathBook baths) : SentencePageModel
{
    /// <summary>What the shop's soaks say.</summary>
    public IReadOnlyList<LearnedSoak> Learned { get; private set; } = [];

    /// <inheritdoc />
    protected override async Task After() => Learned = await looks.Learned();

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }

    /// <summary>Reckons with the shop's own time from now on, or with the book's again.</summary>
    public async Task<IActionResult> OnPostUse(string? which, bool mine)
    {
        LearnedSoak learned = (await looks.Learned()).FirstOrDefault(l => l.Assumption == which)
            ?? throw new InputException("unknown_soak", "which", which, "a soak time of the list", "No soak has told of that yet.");
        ShopSettings settings = await shop.ForChange();
        settings.Assumed = Assumptions.Of(settings.Assumed).With(learned.Assumption, mine ? learned.OwnRoundedHours : learned.BookHours).Kept();
        await shop.Save(settings);
        await baths.Retime();
        return LocalRedirect("/baths/times");
    }
}
