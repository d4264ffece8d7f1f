using Foundling.Data.Kinds;
using Foundling.Core;
using Foundling.Core.Shop;
using Foundling.Core.Stall;
using Foundling.Core.Tools;

namespace Foundling.Web.Services;

/// <summary>The tables of the stall, worked out once for a shop as it is and again when it changes.</summary>
/// <param name="kinds">The kinds one can choose from.</param>
public sealed class StallTables(KindList kinds)
{
    private readonly Lock _gate = new();
    private (Assumptions Assumed, Climate Climate, string Likes, IReadOnlyList<ToolKind> Own, IReadOnlyList<StallTable> Tables)? _known;

    /// <summary>The tables of every kind in a shop.</summary>
    public IReadOnlyList<StallTable> Of(ShopContext shop)
    {
        string likes = string.Join(' ', shop.Ways.OrderBy(w => w.Key).Select(w => $"{w.Key}={w.Value}").Concat(shop.Lacking.Order().Select(l => l.Value)));
        lock (_gate)
        {
            if (_known is not { } known || known.Assumed != shop.Assumptions || known.Climate != shop.Climate || known.Likes != likes || known.Own != kinds.Own)
            {
                _known = known = (shop.Assumptions, shop.Climate, likes, kinds.Own,
                    [.. kinds.All.AsParallel().AsOrdered().Select(k => StallTable.Of(k, shop))]);
            }
            return known.Tables;
        }
    }
}
