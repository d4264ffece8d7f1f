using System.Globalization;
using Foundling.Core;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Lots;

/// <summary>Lots: tools bought or kept together, with one price shared out.</summary>
public sealed class IndexModel(LotBook lots, TagBook tags) : SentencePageModel
{
    /// <summary>The lots.</summary>
    public IReadOnlyList<LotView> Lots { get; private set; } = [];

    /// <summary>Tags of the shop that are in no lot.</summary>
    public IReadOnlyList<Tag> Loose { get; private set; } = [];

    /// <inheritdoc />
    protected override async Task After()
    {
        Lots = await lots.All();
        Loose = Lots.Count > 0 ? await tags.Here(loose: true) : [];
    }

    /// <summary>Shows them.</summary>
    public void OnGet()
    {
    }

    /// <summary>Puts a lot together.</summary>
    public async Task<IActionResult> OnPostAdd(string? name, string? price, string? story)
    {
        await lots.Add(name, Money(price), story);
        return LocalRedirect("/lots");
    }

    /// <summary>Puts a tag in.</summary>
    /// <param name="id">The lot.</param>
    /// <param name="tag">The tag chosen from the list.</param>
    /// <param name="other">Another one by its number; it goes before the list.</param>
    public async Task<IActionResult> OnPostPut(int id, int tag, string? other)
    {
        await lots.Put(string.IsNullOrWhiteSpace(other) ? tag : Tag.ReadNumber(other), (await Known(id)).Lot.Id);
        return LocalRedirect($"/lots#lot-{id}");
    }

    /// <summary>Takes a tag out.</summary>
    public async Task<IActionResult> OnPostTake(int tag)
    {
        await lots.Put(tag, null);
        return LocalRedirect("/lots");
    }

    /// <summary>Keeps the price and shares it out by how much each tool counts.</summary>
    public async Task<IActionResult> OnPostShare(int id, string? price, List<int> tag, List<string?> weight)
    {
        LotView lot = await Known(id);
        lot.Lot.Price = Money(price);
        var weights = tag.Zip(weight).ToDictionary(x => x.First, x => decimal.TryParse(x.Second?.Replace(',', '.'), CultureInfo.InvariantCulture,
            out decimal w) ? w : throw new InputException("bad_weight", "weight", x.Second, "a number",
            $"\"{x.Second}\" does not say how much it counts; 1 is as much as any other."));
        await lots.ShareOut(lot, weights);
        return LocalRedirect($"/lots#lot-{id}");
    }

    private async Task<LotView> Known(int id) => await lots.Find(id) ?? throw new InputException("unknown_lot", "lot", id, "a lot of this shop",
        "That lot is not there any more.");

    private static decimal? Money(string? text) => string.IsNullOrWhiteSpace(text) ? null
        : Typed.TryMoney(text, out decimal amount) ? amount : throw new InputException("not_money", "price", text, "an amount",
            $"\"{text}\" is not an amount of money.");
}
