using Foundling.Core.Edges;

namespace Foundling.Web.Drawings;

/// <summary>A section through a blade that thins towards its edge, to scale.</summary>
public sealed class WedgeView
{
    /// <summary>Width and height of the drawing, and where the edge stands in it.</summary>
    public const double Width = 760, Height = 320, EdgeX = 60, EdgeY = 160;

    private const double Long = 620, High = 280, Arc = 150;

    /// <summary>Draws a section.</summary>
    public WedgeView(WedgeSectionInput input)
    {
        Section = WedgeSection.Of(input);
        double reach = Section.Outline.Max(p => p[0]), thick = Section.Outline.Max(p => Math.Abs(p[1])) * 2;
        Times = Math.Min(Long / reach, High / thick);
        Path = "M" + string.Join("L", Section.Outline.Select(p => At(p[0], p[1]))) + "Z";
        Sign = input.Side == Ground.RightSide ? -1 : 1;
        double half = input.Side == Ground.BothSides ? input.AngleDeg / 2 : input.AngleDeg, reached = Math.Min(reach, Long / Times) * 0.6;
        // The point stands on the face, where both the angle and the thickness are read.
        (HeelX, HeelY) = (EdgeX + (reached * Times), EdgeY - (Sign * reached * Math.Tan(half * Math.PI / 180) * Times));
        Per = input.Side == Ground.BothSides ? 2 : 1;
        double low = input.Side == Ground.BothSides ? -half : 0, high = half;
        Angle = Arcs(Sign * low, Sign * high);
    }

    /// <summary>The section.</summary>
    public WedgeSection Section { get; }

    /// <summary>How many times as large as it is.</summary>
    public double Times { get; }

    /// <summary>The blade.</summary>
    public string Path { get; }

    /// <summary>The point that is dragged.</summary>
    public double HeelX { get; }

    /// <summary>The point that is dragged.</summary>
    public double HeelY { get; }

    /// <summary>Up for a left or both sides, down for the right.</summary>
    public int Sign { get; }

    /// <summary>Angles between the faces for each from the middle line.</summary>
    public int Per { get; }

    /// <summary>The arc of the angle.</summary>
    public string Angle { get; }

    private string At(double x, double y) => $"{Figure.N(EdgeX + (x * Times))} {Figure.N(EdgeY - (y * Times))}";

    private static string Arcs(double from, double to)
    {
        (double a, double b) = from < to ? (from, to) : (to, from);
        string On(double deg) => $"{Figure.N(EdgeX + (Arc * Math.Cos(deg * Math.PI / 180)))} {Figure.N(EdgeY - (Arc * Math.Sin(deg * Math.PI / 180)))}";
        return $"M{On(a)}A{Figure.N(Arc)} {Figure.N(Arc)} 0 0 0 {On(b)}";
    }
}
