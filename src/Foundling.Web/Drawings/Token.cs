using System.Globalization;
using System.Text;
using Foundling.Core.Tools;

namespace Foundling.Web.Drawings;

/// <summary>A tag's token, ready to draw.</summary>
/// <param name="Number">Tag number.</param>
/// <param name="SizePx">Size on screen.</param>
public sealed record TokenView(int Number, int SizePx = 34)
{
    private const double FullTurn = 360, Radius = 18.4;

    /// <summary>Where it is to be had as a picture.</summary>
    public string Address => Api.DrawingApi.Token(Number);

    /// <summary>Its shapes, round the middle of a field of 40 by 40.</summary>
    public string Shapes()
    {
        TokenDesign design = TokenDesign.Of(Number);
        string metal = design.Metal.ToString().ToLowerInvariant();
        var svg = new StringBuilder(design.Sides == 0 ? $"<circle r=\"18\" class=\"{metal} ed\" stroke-width=\"1.1\"/>"
            : $"<polygon points=\"{Corners(design.Sides)}\" class=\"{metal} ed\" stroke-width=\"1.1\"/>");
        svg.Append("<circle r=\"14.2\" class=\"s\" stroke-width=\".8\"/>");
        for (int i = 0; i < design.Count; i++)
        {
            svg.Append(CultureInfo.InvariantCulture, $"<g transform=\"rotate({Math.Round(i * FullTurn / design.Count, 2)})\">{Figure(design.Figure)}</g>");
        }
        return svg.Append("<circle r=\"2.7\" class=\"hole\" stroke-width=\".9\"/>").Append(CultureInfo.InvariantCulture,
            $"<path d=\"M-19 -2L-12 2L-7 -2L-1 3L5 -2L11 2L19 -2\" transform=\"rotate({design.CutDegrees})\" class=\"cut\" stroke-width=\"1.6\"/>").ToString();
    }

    private static string Corners(int sides) => string.Join(' ', Enumerable.Range(0, sides).Select(i =>
    {
        double a = ((i + 0.5) / sides * 2 * Math.PI) - (Math.PI / 2);
        return string.Create(CultureInfo.InvariantCulture, $"{Radius * Math.Cos(a):0.##},{Radius * Math.Sin(a):0.##}");
    }));

    private static string Figure(TokenFigure figure) => figure switch
    {
        TokenFigure.Rays => "<line x1=\"4.5\" x2=\"12\" class=\"s\" stroke-width=\"1.7\"/>",
        TokenFigure.Chevrons => "<path d=\"M6 -3.4L11.5 0L6 3.4\" class=\"s\" stroke-width=\"1.5\"/>",
        TokenFigure.Crosses => "<path d=\"M6 0H12M9 -3V3\" class=\"s\" stroke-width=\"1.4\"/>",
        TokenFigure.Rings => "<circle cx=\"9\" r=\"2.5\" class=\"s\" stroke-width=\"1.3\"/>",
        TokenFigure.Dots => "<circle cx=\"9\" r=\"2\" class=\"dot\"/>",
        _ => "<path d=\"M9.6 -3.6A10.2 10.2 0 0 1 9.6 3.6\" class=\"s\" stroke-width=\"1.8\"/>",
    };
}
