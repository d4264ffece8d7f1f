using System.Text.Json.Serialization;
using Foundling.Core.Stores;

namespace Foundling.Core.Rod;

/// <summary>Something a deed needs.</summary>
/// <param name="Item">The supply.</param>
/// <param name="Amount">How much, in the unit of the supply; null where an amount says nothing.</param>
/// <param name="UsedUp">How much of that is gone afterwards, where the rest serves again: a bath; null for all of it.</param>
public sealed record Need(SupplyId Item, double? Amount = null, [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)] double? UsedUp = null)
{
    /// <summary>What is known of it; null for a supply this version does not know.</summary>
    [JsonIgnore]
    public Supply? Supply => Supplies.Find(Item);

    /// <summary>Its name in words.</summary>
    [JsonIgnore]
    public string Name => Supply?.Name ?? Item.Value.Replace('-', ' ');

    /// <summary>Unit of the amount.</summary>
    [JsonIgnore]
    public string Unit => Supply?.Unit ?? "";

    /// <summary>True for what is used again and again.</summary>
    [JsonIgnore]
    public bool Kit => Supply?.Kit ?? Amount is null;

    /// <summary>A need of a supply.</summary>
    public static Need Of(SupplyId item, double? amount = null) => new(item, amount);
}

/// <summary>What deeds use, taken together.</summary>
public static class Needs
{
    /// <summary>What the materials of a deed cost, in the shop's money.</summary>
    public static double Cost(Deed deed, Assumptions assumptions) => deed.Needs.Sum(n => Cost(n, assumptions));

    /// <summary>What a need costs, in the shop's money; nothing for kit.</summary>
    public static double Cost(Need need, Assumptions assumptions) =>
        (need.UsedUp ?? need.Amount ?? 0) * (need.Supply is { Kit: false } supply ? assumptions.PriceOf(supply) : 0);
}
