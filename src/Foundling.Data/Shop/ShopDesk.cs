using Foundling.Core;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Shop;
using Foundling.Core.Stores;
using Foundling.Data.Reference;
using Foundling.Data.Stores;

namespace Foundling.Data.Shop;

/// <summary>The shop as it is, for whatever is asked in it.</summary>
public sealed class ShopDesk(ShopBook shop, StoreRoom stores)
{
    /// <summary>The shop now.</summary>
    public async Task<ShopContext> Context(CancellationToken cancel = default) =>
        Of(await shop.Read(cancel).ConfigureAwait(false), await stores.Short(cancel).ConfigureAwait(false));

    /// <summary>What the shop assumes.</summary>
    public async Task<Assumptions> Assumed(CancellationToken cancel = default) =>
        Assumptions.Of((await shop.Read(cancel).ConfigureAwait(false)).Assumed);

    /// <summary>A shop of these settings that has none of this.</summary>
    public static ShopContext Of(ShopSettings settings, IReadOnlyDictionary<SupplyId, Short> none) =>
        new(Assumptions.Of(settings.Assumed), new Climate(settings.TemperatureC, settings.HumidityPercent), ReferenceData.Baths)
        {
            Name = settings.Name, Ways = Choices.Read(settings.Ways), Short = none,
            Lacking = none.Values.Where(s => s.Supply.Kit).Select(s => s.Supply.Id).ToHashSet(), Dress = settings.Dress, HourRate = settings.HourRate,
        };
}
