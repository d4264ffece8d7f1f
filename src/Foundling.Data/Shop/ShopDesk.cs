using Foundling.Core;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Shop;
using Foundling.Data.Reference;
using Foundling.Data.Stores;

namespace Foundling.Data.Shop;

/// <summary>The shop as it is, for whatever is asked in it.</summary>
public sealed class ShopDesk(ShopBook shop, StoreRoom stores)
{
    /// <summary>The shop now.</summary>
    public async Task<ShopContext> Context(CancellationToken cancel = default) =>
        Of(await shop.Read(cancel).ConfigureAwait(false), await stores.Lacking(cancel).ConfigureAwait(false));

    /// <summary>What the shop assumes.</summary>
    public async Task<Assumptions> Assumed(CancellationToken cancel = default) =>
        Assumptions.Of((await shop.Read(cancel).ConfigureAwait(false)).Assumed);

    /// <summary>A shop of these settings that lacks this kit.</summary>
    public static ShopContext Of(ShopSettings settings, IReadOnlySet<SupplyId> lacking) =>
        new(Assumptions.Of(settings.Assumed), new Climate(settings.TemperatureC, settings.HumidityPercent), ReferenceData.Baths)
        {
            Name = settings.Name, Ways = Choices.Read(settings.Ways), Lacking = lacking, Dress = settings.Dress, HourRate = settings.HourRate,
        };
}
