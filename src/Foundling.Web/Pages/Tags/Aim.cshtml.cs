using Foundling.Core.Aim;
using Foundling.Core.Rod;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>The aims side by side.</summary>
public sealed class AimModel(TagBook tags, RodDesk rods, ShopBook shop) : TagPageModel(tags)
{
    private const int MostWords = 500;

    /// <inheritdoc />
    public override string Here => "aim";

    /// <summary>Each aim with what it takes and leaves.</summary>
    public List<AimReview> Aims { get; } = [];

    /// <summary>The shop.</summary>
    public ShopSettings Settings { get; private set; } = new();

    /// <summary>What was typed, kept when it is refused.</summary>
    public (string? Worth, string? Wish) Sent { get; private set; }

    /// <summary>True for a tool that is someone else's.</summary>
    public bool Others => Gate.IsOthers(Tool, Settings.Name);

    /// <summary>The aim the book would take for a tool of this rarity in this state, and why.</summary>
    public (AimKind Aim, string Why) Advice => AimReview.Advise(Tool.Rarity, Tool.Tried, Tool.Standing());

    /// <summary>Plans every aim.</summary>
    public async Task OnGet()
    {
        Settings = await shop.Read();
        PlanQuestion question = await rods.Question(Tool, AimKind.Work);
        Aims.AddRange(Enum.GetValues<AimKind>().Select(aim => AimReview.Of(question with { Aim = aim }, (double?)Tool.WorthSound, Tool.Rarity ?? Rarity.Common)));
    }

    /// <summary>Chooses an aim and plans for it.</summary>
    public async Task<IActionResult> OnPost(AimKind aim)
    {
        await rods.Aim(Tool, aim);
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
        (Tool.WorthSound, Tool.Rarity, Tool.Wish) = (sound, rarity, (wish ?? "").Trim()[..Math.Min(MostWords, (wish ?? "").Trim().Length)]);
        await Book.Save(Tool);
        return ToLeaf("aim");
    }
}
