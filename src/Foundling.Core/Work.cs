using Foundling.Core.Keys;

namespace Foundling.Core;

/// <summary>What there is to work on in a step.</summary>
/// <param name="Dm2">Surface of all of it, dm².</param>
/// <param name="BeyondDm2">Surface beyond that of small parts, dm².</param>
/// <param name="Pieces">How many pieces.</param>
/// <param name="Fasteners">How many of them are screws, bolts, nuts or pins.</param>
/// <param name="RimDm">Length of its edges, dm.</param>
/// <param name="WidthMm">Width of what is honed or ground, mm.</param>
public readonly record struct Work(double Dm2 = 0, double BeyondDm2 = 0, int Pieces = 0, int Fasteners = 0, double RimDm = 0, double WidthMm = 0)
{
    /// <summary>A surface, dm².</summary>
    public static Work Surface(double dm2) => new(dm2, dm2);

    /// <summary>So many pieces.</summary>
    public static Work Count(int pieces) => new(Pieces: pieces);

    /// <summary>A width, mm.</summary>
    public static Work Wide(double mm) => new(WidthMm: mm);

    /// <summary>How much there is of what a rate is for.</summary>
    /// <param name="per">What it is for.</param>
    /// <param name="smallApart">True where each piece takes what a small one takes,
    /// and more for the surface beyond that: minutes never fall as it grows.</param>
    /// <param name="fastenersApart">True where fasteners are counted by themselves.</param>
    internal double Of(Per per, bool smallApart, bool fastenersApart) => per switch
    {
        Per.Dm2 => smallApart ? BeyondDm2 : Dm2,
        Per.Small => Pieces,
        Per.Piece => fastenersApart ? Pieces - Fasteners : Pieces,
        Per.Fastener => Fasteners,
        Per.Rim => RimDm,
        _ => WidthMm,
    };
}
