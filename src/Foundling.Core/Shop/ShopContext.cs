using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Stores;

namespace Foundling.Core.Shop;

/// <summary>The air of a shop.</summary>
/// <param name="TemperatureC">Temperature, °C.</param>
/// <param name="RelativeHumidityPercent">Relative humidity, %.</param>
public sealed record Climate(double TemperatureC = 20, double RelativeHumidityPercent = 50);

/// <summary>The shop every rule, gauge, table and estimate is asked in: what it assumes, its air, what it has and how it likes to work.</summary>
/// <param name="Assumptions">Assumed figures with the shop's own values.</param>
/// <param name="Climate">Its air.</param>
/// <param name="Baths">What stands which bath.</param>
public sealed record ShopContext(Assumptions Assumptions, Climate Climate, BathTable Baths)
{
    /// <summary>Name of the shop.</summary>
    public string Name { get; init; } = "";

    /// <summary>Ways it prefers, by choice.</summary>
    public IReadOnlyDictionary<ChoiceId, WayId> Ways { get; init; } = new Dictionary<ChoiceId, WayId>();

    /// <summary>Kit it says it has not got, which closes the ways that need it.</summary>
    public IReadOnlySet<SupplyId> Lacking { get; init; } = new HashSet<SupplyId>();

    /// <summary>Kit and material it has none of just now, which holds the steps that need it.</summary>
    public IReadOnlyDictionary<SupplyId, Short> Short { get; init; } = new Dictionary<SupplyId, Short>();

    /// <summary>How it dresses its own tools: a colour, a grip.</summary>
    public string Dress { get; init; } = "";

    /// <summary>What an hour at the bench is counted at, in the shop's money.</summary>
    public double HourRate { get; init; }
}
