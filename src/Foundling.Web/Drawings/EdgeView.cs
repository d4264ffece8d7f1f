using Foundling.Core.Edges;

namespace Foundling.Web.Drawings;

/// <summary>A section through an edge at work, to scale: iron, bed, and the wood it cuts.</summary>
public sealed class EdgeView
{
    /// <summary>Width and height of the drawing, and where the edge stands in it.</summary>
    public const double Width = 760, Height = 380, EdgeX = 190, EdgeY = 300;

    private const double Room = 250, Arc = 92, Air = 26;

    /// <summary>Draws a section.</summary>
    /// <param name="input">The iron.</param>
    /// <param name="angles">Its angles at work; null for one that is drawn by itself.</param>
    public EdgeView(EdgeSectionInput input, AnglesResult? angles)
    {
        var section = EdgeSection.Of(input);
        double reach = section.Outline.Max(p => Math.Max(Math.Abs(p[0]) / 2, Math.Abs(p[1])));
        Times = Room / Math.Max(reach, input.ThicknessMm * 3);
        Iron = "M" + string.Join("", section.Outline.Select((p, i) => (i == 0 ? "" : i == 4 && section.Round is { } round ? $"Q{At(round[0], round[1])} " : "L")
            + At(p[0], p[1]))) + "Z";
        (HeelX, HeelY) = (EdgeX + (section.Heel[0] * Times), EdgeY - (section.Heel[1] * Times));
        CuttingDeg = angles?.CuttingAngleDeg ?? input.SecondaryBevelDeg ?? input.BevelDeg;
        ClearanceDeg = angles?.ClearanceDeg ?? 0;
        Clearance = ClearanceDeg > 0 ? ArcTo(0, ClearanceDeg, Arc * 2) : "";
        Cutting = ArcTo(0, CuttingDeg, Arc);
        Top = Math.Max(0, EdgeY - Math.Max(section.Outline.Max(p => p[1]) * Times, Arc) - Air);
        BedDeg = input.BedDeg;
        BevelUp = input.BevelUp;
    }

    /// <summary>How many times as large as it is.</summary>
    public double Times { get; }

    /// <summary>Where the drawing begins, from above: a flat one leaves the air out.</summary>
    public double Top { get; }

    /// <summary>The iron.</summary>
    public string Iron { get; }

    /// <summary>The heel of its bevel, which is dragged.</summary>
    public double HeelX { get; }

    /// <summary>The heel of its bevel.</summary>
    public double HeelY { get; }

    /// <summary>The arc of the cutting angle.</summary>
    public string Cutting { get; }

    /// <summary>That angle.</summary>
    public double CuttingDeg { get; }

    /// <summary>The arc of the clearance; empty for none.</summary>
    public string Clearance { get; }

    /// <summary>That angle.</summary>
    public double ClearanceDeg { get; }

    /// <summary>The bed.</summary>
    public double BedDeg { get; }

    /// <summary>The bevel faces up.</summary>
    public bool BevelUp { get; }

    private static string Point(double x, double y) => $"{Figure.N(x)} {Figure.N(y)}";

    private string At(double x, double y) => Point(EdgeX + (x * Times), EdgeY - (y * Times));

    private static string ArcTo(double from, double to, double radius)
    {
        (double X, double Y) On(double deg) => (EdgeX + (radius * Math.Cos(deg * Math.PI / 180)), EdgeY - (radius * Math.Sin(deg * Math.PI / 180)));
        (double x1, double y1) = On(from);
        (double x2, double y2) = On(to);
        return $"M{Point(x1, y1)}A{Figure.N(radius)} {Figure.N(radius)} 0 0 0 {Point(x2, y2)}";
    }
}
