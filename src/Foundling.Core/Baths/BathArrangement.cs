using System.Text.Json.Serialization;
using Foundling.Core.Keys;

namespace Foundling.Core.Baths;

/// <summary>A piece that is to lie in a bath, on its broadest side.</summary>
/// <param name="Key">What it is known by.</param>
/// <param name="Name">What it is called.</param>
/// <param name="LengthMm">Its longest side, mm.</param>
/// <param name="WidthMm">Its next side, mm.</param>
/// <param name="ThickMm">How high it lies, mm.</param>
/// <param name="Litres">Liquid it takes the place of, L.</param>
public sealed record BathPiece(string Key, string Name, double LengthMm, double WidthMm, double ThickMm, double Litres);

/// <summary>How a piece is put in.</summary>
[JsonConverter(typeof(KeyJson))]
public enum Lay
{
    /// <summary>Flat, its length along the container.</summary>
    Along,

    /// <summary>Flat, its length across the container.</summary>
    Across,

    /// <summary>On its end.</summary>
    Upright,

    /// <summary>Too long: one end in and the other over the rim, then turned end for end.</summary>
    EndForEnd,
}

/// <summary>Where somebody wants a piece.</summary>
/// <param name="Key">The piece.</param>
/// <param name="XMm">Its left side from the left wall, mm.</param>
/// <param name="YMm">Its near side from the near wall, mm.</param>
/// <param name="Lay">How it is put in.</param>
public sealed record Wanted(string Key, double XMm, double YMm, Lay Lay);

/// <summary>A piece in its place.</summary>
/// <param name="Piece">The piece.</param>
/// <param name="Lay">How it is put in.</param>
/// <param name="Layer">0 for the floor, 1 for what lies on that.</param>
/// <param name="XMm">Its left side from the left wall, mm.</param>
/// <param name="YMm">Its near side from the near wall, mm.</param>
/// <param name="FromMm">Its underside above the floor, mm.</param>
public sealed record Placed(BathPiece Piece, Lay Lay, int Layer, double XMm, double YMm, double FromMm)
{
    /// <summary>How far it reaches along the container, mm; of one that is turned end for end, with what stands out.</summary>
    public double AlongMm => Lay switch { Lay.Across => Piece.WidthMm, Lay.Upright => Piece.WidthMm, _ => Piece.LengthMm };

    /// <summary>How far it reaches across the container, mm.</summary>
    public double AcrossMm => Lay switch { Lay.Across => Piece.LengthMm, Lay.Upright => Piece.ThickMm, _ => Piece.WidthMm };

    /// <summary>How high it reaches, mm.</summary>
    public double HighMm => Lay == Lay.Upright ? Piece.LengthMm : Piece.ThickMm;

    /// <summary>Its upper side above the floor, mm.</summary>
    public double ToMm => FromMm + HighMm;
}

/// <summary>A piece that does not go in, and why.</summary>
/// <param name="Piece">The piece.</param>
/// <param name="Why">In a sentence.</param>
public sealed record LeftOut(BathPiece Piece, string Why);

/// <summary>How a load lies in a container and what covers it.</summary>
/// <param name="Container">The container.</param>
/// <param name="Placed">What lies in it.</param>
/// <param name="Left">What does not go in.</param>
/// <param name="FillMm">Depth of the liquid, mm; 0 for an empty container.</param>
/// <param name="DisplacedL">What the load takes the place of, L.</param>
/// <param name="LiquidL">Liquid to mix, L.</param>
public sealed record BathArrangement(Container Container, IReadOnlyList<Placed> Placed, IReadOnlyList<LeftOut> Left, double FillMm,
    double DisplacedL, double LiquidL)
{
    /// <summary>True when all of it goes in.</summary>
    public bool Fits => Left.Count == 0;

    /// <summary>Length that lies under along it, mm: what is longer stands out by the rest.</summary>
    public double RunMm { get; init; }

    /// <summary>The plainest box that would hold all of it, where this container does not; null where it does.</summary>
    public Container? Enough { get; init; }
}
