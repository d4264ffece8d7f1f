using Foundling.Core.Shelves;
using Foundling.Core.Stores;

namespace Foundling.Web.Drawings;

/// <summary>A thing of the stores as it stands on the shelf, filled as far as there is some of it.</summary>
/// <param name="Item">The thing.</param>
/// <param name="Today">This day.</param>
/// <param name="Width">Width on the page, px.</param>
public sealed record VesselDrawing(StoreItem Item, DateOnly Today, int Width = 56)
{
    private const double Top = 16, Bottom = 66;

    /// <summary>What it stands in.</summary>
    public Vessel Vessel => Vessels.Of(Item);

    /// <summary>How full it is, 0 to 1; null where nobody counts.</summary>
    public double? Level => Item.Amount / Vessels.Full(Item);

    /// <summary>Height of the level in the drawing; null where nobody counts.</summary>
    public double? LevelY => At(Level);

    /// <summary>Height of the least to keep; null for none.</summary>
    public double? LeastY => Item.Amount is null ? null : At(Item.Least / Vessels.Full(Item));

    /// <summary>Height of the pale level of what nobody counts.</summary>
    public double SomeY => Item.Stock == Stock.Low ? 58 : 28;

    /// <summary>Sheets that are drawn in a stack.</summary>
    public int Sheets => (int)Math.Clamp(Math.Round(12 * (Level ?? 1)), 0, 12);

    /// <summary>Outer radius of what is left on a roll.</summary>
    public double Roll => 9 + (15 * (Level ?? 1));

    /// <summary>What it is drawn as: to be seen to, none there, or as it should be.</summary>
    public string State => Item.Stock is Stock.None or Stock.OnOrder ? "none"
        : Item.IsWanting(Today) ? "low" : Item.Amount is null ? "uncounted" : "";

    private static double? At(double? share) => share is double s ? Bottom - (Math.Clamp(s, 0, 1) * (Bottom - Top)) : null;
}
