using Foundling.Core.Shelves;
using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Stores;
using Foundling.Data.Stores;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>Everything needed before starting: what to lay out and what to buy.</summary>
public sealed class NeedsModel(TagBook tags, RodDesk rods, StoreRoom stores) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "rod";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Surveys;

    /// <summary>What the open steps need.</summary>
    public IReadOnlyList<KitLine> Lines { get; private set; } = [];

    /// <summary>What the shop has said of its stores.</summary>
    public IReadOnlyDictionary<SupplyId, StoreItem> Stores { get; private set; } = new Dictionary<SupplyId, StoreItem>();

    /// <summary>How much of it there is; what the shop says nothing of is taken as there.</summary>
    public Stock StockOf(KitLine line) => StoreRoom.StockOf(Stores, line.Item);

    /// <summary>What has to be bought: none there, or none and on order.</summary>
    public IEnumerable<KitLine> Missing => Lines.Where(l => StockOf(l) is Stock.None or Stock.OnOrder);

    /// <summary>Shows the list; without a rod, for the plan the chosen aim would give.</summary>
    public async Task OnGet()
    {
        Lines = KitList.Of(Tool.Steps.Count > 0 ? Tool.Steps : PlanStep.Fresh(Planner.Plan(await rods.Question(Tool, Tool.Aim ?? AimKind.Work))));
        Stores = await stores.All();
    }

    /// <summary>Says how much of something there is.</summary>
    public async Task<IActionResult> OnPostStock(string? item, Stock stock, DateOnly? arrives)
    {
        try
        {
            await stores.Say(SupplyId.Of(item), stock, arrives);
            return ToLeaf("needs");
        }
        catch (InputException fault)
        {
            await OnGet();
            ModelState.AddModelError("", fault.Sentence);
            return Page();
        }
    }
}
