using System.Globalization;
using Foundling.Core;
using Foundling.Core.Baths;
using Foundling.Core.Soaks;

namespace Foundling.Web.Drawings;

/// <summary>A container drawn to scale from above and from the side, with what lies in it.</summary>
/// <param name="Lies">How the load lies.</param>
/// <param name="Parts">The parts, by key.</param>
/// <param name="WidthPx">Width on screen.</param>
public sealed record BathDrawing(BathArrangement Lies, IReadOnlyDictionary<string, SoakedPart> Parts, double WidthPx)
{
    private const double Edge = 14, Between = 34, Wall = 3, LinePx = 24, PxPerMm = 0.5, LeastPx = 90, LetterPx = 6.4;

    /// <summary>Liquid that is in it, L; null for as much as covers the load.</summary>
    public double? Litres { get; init; }

    /// <summary>Parts can be moved.</summary>
    public bool Movable { get; init; }

    /// <summary>The drawing of a bath as it stands.</summary>
    /// <param name="state">The bath.</param>
    /// <param name="assumptions">Cover, rim and room.</param>
    /// <param name="most">Width on screen that the largest may take; small containers are drawn smaller, so that all are at one scale.</param>
    /// <param name="scale">How much larger than in a list.</param>
    public static BathDrawing Of(BathState state, Assumptions assumptions, double most, double scale = 1) => new(state.Lying([], assumptions),
        state.In.SelectMany(l => l.Standing).DistinctBy(p => p.Key).ToDictionary(p => p.Key),
        Math.Clamp(state.Bath.Container.LengthMm * PxPerMm * scale, LeastPx, most)) { Litres = state.Bath.Litres };

    private Container Tub => Lies.Container;

    // What is turned end for end stands out on one side, and then on the other.
    private double Out => Lies.Placed.Where(p => p.Lay == Lay.EndForEnd).Select(p => p.Piece.LengthMm - Lies.RunMm).DefaultIfEmpty(0).Max();

    /// <summary>Left wall, mm from the left of the drawing.</summary>
    public double Left => Edge + Out;

    /// <summary>Width of the drawing, mm.</summary>
    public double WidthMm => Tub.LengthMm + (2 * (Edge + Out));

    /// <summary>Near wall of the view from above, mm from the top.</summary>
    public double Top => Edge;

    /// <summary>Rim of the view from the side, mm from the top.</summary>
    public double Rim => Top + Tub.WidthMm + Math.Max(Between, LinePx * MmPerPx) + (Lies.Placed.Any(p => p.Lay == Lay.EndForEnd) ? Out * 0.6 : 0);

    /// <summary>Floor of the view from the side, mm from the top.</summary>
    public double Floor => Rim + Tub.DepthMm;

    /// <summary>Height of the drawing, mm.</summary>
    public double HeightMm => Floor + Edge;

    /// <summary>Height on screen.</summary>
    public double HeightPx => WidthPx * HeightMm / WidthMm;

    /// <summary>Millimetres to a pixel, which sizes figures and lines.</summary>
    public double MmPerPx => WidthMm / WidthPx;

    /// <summary>Depth of the liquid, mm, never over the rim.</summary>
    public double FillMm => Math.Min(Tub.DepthMm, Litres is double litres ? (litres + Lies.DisplacedL) * 1_000_000 / Tub.AreaMm2 : Lies.FillMm);

    /// <summary>The path of a part as it lies, in mm from its corner.</summary>
    public string Path(Placed placed) => placed.Lay == Lay.Upright || !Parts.TryGetValue(placed.Piece.Key, out SoakedPart? part) || part.Path.Length == 0
        ? string.Create(CultureInfo.InvariantCulture, $"M0 0H{placed.AlongMm:0.#}V{placed.AcrossMm:0.#}H0Z") : part.Path;

    /// <summary>How a part is moved and turned in the view from above.</summary>
    public string Transform(Placed placed, double shift = 0) => placed.Lay == Lay.Across
        ? string.Create(CultureInfo.InvariantCulture, $"translate({Left + placed.XMm + placed.Piece.WidthMm:0.#} {Top + placed.YMm:0.#}) rotate(90)")
        : string.Create(CultureInfo.InvariantCulture, $"translate({Left + placed.XMm + shift:0.#} {Top + placed.YMm:0.#})");

    /// <summary>How a part that stands out leans in the view from the side, turned one way or the other.</summary>
    public string Lean(Placed placed, bool other)
    {
        double angle = Math.Atan2(Tub.DepthMm, Lies.RunMm) * 180 / Math.PI;
        return other
            ? string.Create(CultureInfo.InvariantCulture, $"translate({Left + Tub.LengthMm - Wall:0.#} {Floor - Wall:0.#}) scale(-1 1) rotate({-angle:0.##})")
            : string.Create(CultureInfo.InvariantCulture, $"translate({Left + Wall:0.#} {Floor - Wall:0.#}) rotate({-angle:0.##})");
    }

    /// <summary>True when there is room for the name of a part on it.</summary>
    public bool Named(Placed placed) => Math.Min(placed.AlongMm, Tub.LengthMm) / MmPerPx > placed.Piece.Name.Length * LetterPx;

    /// <summary>What it shows, for those who cannot see it.</summary>
    public string Text => $"{(Tub.Shape == ContainerShape.Cylinder ? "A round container" : "A container")} from above and from the side, "
        + (Lies.Placed.Count == 0 ? "empty" : $"with {string.Join(", ", Lies.Placed.Select(p => p.Piece.Name))} in it, covered to {FillMm:0} mm");
}
