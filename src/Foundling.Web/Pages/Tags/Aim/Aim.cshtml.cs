using Foundling.Core.Aim;
using Foundling.Core.Bench;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>The aims side by side.</summary>
public sealed class AimModel(TagBook tags, RodDesk rods, ShopBook shop) : TagPageModel(tags)
{
    private const int MostWords = 500;

    /// <inheritdoc />
    public override string Here => "aim";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Surveys;

    /// <summary>Each aim with what it takes and leaves.</summary>
    public List<AimReview> Aims { get; } = [];

    /// <summary>The shop.</summary>
    public ShopSettings Settings { get; private set; } = new();

    /// <summary>What was typed, kept when it is refused.</summary>
    public (string? Worth, string? Wish) Sent { get; private set; }

    /// <summary>True for a tool that is someone else's.</summary>
    public bool Others => Consent.IsOthers(Tool, Settings.Name);

    /// <summary>The aim the book would take for a tool of this rarity in this state, and why.</summary>
    public (AimKind Aim, string Why) Advice => AimReview.Advise(Tool.Rarity, Tool.Tried, KnownFacts.Findings);

    /// <summary>What was said of it, as this page shows it.</summary>
    public IEnumerable<(string Field, string? Value)> Was => [("wish", Tool.Wish), ("worth", Money(Tool.WorthSound)), ("rarity", Tool.Rarity?.ToString())];

    /// <summary>Money as a field writes it.</summary>
    public static string? Money(decimal? amount) => amount?.ToString("0.##", System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>Plans every aim.</summary>
    public async Task OnGet()
    {
        Settings = await shop.Read();
        PlanQuestion now = await rods.Question(Tool, AimKind.Work), question = MetalWays.OffMiddleRoad(now);
        Aims.AddRange(Enum.GetValues<AimKind>().Select(aim => AimReview.Of(question with { Aim = aim }, (double?)Tool.WorthSound, Tool.Rarity
            ?? Rarity.Common)));
        Between = AimReview.Of(MetalWays.OnMiddleRoad(question), (double?)Tool.WorthSound, Tool.Rarity ?? Rarity.Common);
        IsBetween = Tool.Aim == AimKind.Work && MetalWays.IsOnMiddleRoad(now);
    }

    /// <summary>The road between Keep and Work; null while it was not asked for.</summary>
    public AimReview? Between { get; private set; }

    /// <summary>True for a tool that is on it.</summary>
    public bool IsBetween { get; private set; }

    /// <summary>Takes the road between Keep and Work.</summary>
    public async Task<IActionResult> OnPostBetween()
    {
        await rods.TakeMiddleRoad(Tool);
        return ToLeaf("rod");
    }

    /// <summary>Chooses an aim and plans for it.</summary>
    public async Task<IActionResult> OnPost(AimKind aim)
    {
        await rods.TakeAim(Tool, aim);
        return ToLeaf("rod");
    }

    /// <summary>Keeps what the owner wishes and what a sound one is worth.</summary>
    public async Task<IActionResult> OnPostWish(string? wish, string? worth, Rarity? rarity)
    {
        Sent = (worth, wish);
        decimal? sound = null;
        if (!string.IsNullOrWhiteSpace(worth))
        {
            if (!Typed.TryMoney(worth, out decimal money))
            {
                ModelState.AddModelError("Worth", $"\"{worth}\" is not a sum of money.");
                await OnGet();
                return Page();
            }
            sound = money;
        }
        string wished = Shorten.To(wish, MostWords);
        Tool.Wish = Merge.Mine("wish", "The wish", wished, Tool.Wish) ? wished : Tool.Wish;
        Tool.WorthSound = Merge.Mine("worth", "What a sound one is worth", worth, Money(Tool.WorthSound)) ? sound : Tool.WorthSound;
        Tool.Rarity = Merge.Mine("rarity", "How often it turns up", rarity?.ToString(), Tool.Rarity?.ToString(), Tool.Rarity is { } r ? Words.Of(r) : "")
            ? rarity : Tool.Rarity;
        if (!ModelState.IsValid)
        {
            await OnGet();
            return Page();
        }
        await Book.Save(Tool);
        return ToLeaf("aim");
    }
}
