using Foundling.Core.State;
using Foundling.Core.Tags;

namespace Foundling.Web.Drawings;

/// <summary>The cutting end of an iron from the front: edge, pits, where the hard steel ends, what would be ground away.</summary>
/// <param name="Steel">What is left of it.</param>
/// <param name="WidthMm">Its width, mm.</param>
public sealed record IronView(SteelLeft Steel, double WidthMm)
{
    /// <summary>Drawing units per millimetre, and room at the left and the top.</summary>
    public const double Scale = 5.2, Left = 16, Top = 12;

    private const double NominalWidthMm = 50, LeastShownMm = 16, AboveLineMm = 6;

    /// <summary>How much of it is drawn from the edge up, mm.</summary>
    public double ShownMm => Math.Max(LeastShownMm, Steel.LineMm + AboveLineMm);

    /// <summary>Height of the drawing.</summary>
    public double Height => (ShownMm * Scale) + Top + 8;

    /// <summary>Place of a distance from the edge.</summary>
    public double Y(double fromEdgeMm) => Top + ((ShownMm - Math.Min(ShownMm, fromEdgeMm)) * Scale);

    /// <summary>The view of a tag, or null when its steel was not measured.</summary>
    public static IronView? Of(Tag tag, Core.Assumptions assumptions) => tag.Facts().Steel(assumptions) is { } steel
        ? new IronView(steel, tag.IronWidthMm ?? NominalWidthMm) : null;
}
