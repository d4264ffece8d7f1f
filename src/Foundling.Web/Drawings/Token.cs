using Foundling.Core.Tools;

namespace Foundling.Web.Drawings;

/// <summary>A tag's token, ready to draw.</summary>
/// <param name="Number">Tag number.</param>
/// <param name="SizePx">Size on screen.</param>
public sealed record TokenView(int Number, int SizePx = 34)
{
    /// <summary>Its design.</summary>
    public TokenDesign Design { get; } = TokenDesign.Of(Number);

    /// <summary>Corners of the outline, empty for a round token.</summary>
    public string Corners => Design.Sides == 0 ? "" : string.Join(' ', Enumerable.Range(0, Design.Sides).Select(i =>
    {
        double a = ((i + 0.5) / Design.Sides * 2 * Math.PI) - (Math.PI / 2);
        return $"{18.4 * Math.Cos(a):0.##},{18.4 * Math.Sin(a):0.##}";
    }));

    /// <summary>Turns of the stamped figures, degrees.</summary>
    public IEnumerable<double> Turns => Enumerable.Range(0, Design.Count).Select(i => Math.Round(i * 360.0 / Design.Count, 2));
}
