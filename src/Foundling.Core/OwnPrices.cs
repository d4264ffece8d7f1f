using Foundling.Core.Stores;

namespace Foundling.Core;

/// <summary>
/// Prices a shop puts otherwise. Two lists that say the same are equal, because what is reckoned is kept by the assumptions
/// it was reckoned with.
/// </summary>
internal sealed class OwnPrices : IEquatable<OwnPrices>
{
    private readonly SortedDictionary<SupplyId, double> _prices = [];

    /// <summary>No price put otherwise.</summary>
    public static OwnPrices None { get; } = new();

    /// <summary>The shop's own price of a unit; null where it keeps to the book.</summary>
    public double? Of(SupplyId item) => _prices.TryGetValue(item, out double price) ? price : null;

    /// <summary>The same prices with one of them put otherwise; what the book says is no price of one's own.</summary>
    public OwnPrices With(Supply supply, double price)
    {
        var other = new OwnPrices();
        foreach ((SupplyId item, double own) in _prices)
        {
            other._prices[item] = own;
        }
        if (price == supply.Cost)
        {
            other._prices.Remove(supply.Id);
        }
        else
        {
            other._prices[supply.Id] = price;
        }
        return other;
    }

    /// <inheritdoc />
    public bool Equals(OwnPrices? other) => other is not null && _prices.SequenceEqual(other._prices);

    /// <inheritdoc />
    public override bool Equals(object? obj) => Equals(obj as OwnPrices);

    /// <inheritdoc />
    public override int GetHashCode() => _prices.Aggregate(0, (all, price) => HashCode.Combine(all, price.Key, price.Value));
}
