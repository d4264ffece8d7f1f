using System.Globalization;
using System.Net;
using System.Text;
using Foundling.Core.Saws;
using SkiaSharp;

namespace Foundling.Web.Drawings;

/// <summary>A filing strip at its true size, as a drawing and as a sheet to print.</summary>
public static class StripSheet
{
    private const float PointsInMm = 72 / (float)Core.Units.Length.MmPerInch, PageWideMm = 297, PageHighMm = 210, MarginMm = 15;

    private static readonly Lazy<SKTypeface> Face = new(() =>
    {
        using Stream font = typeof(StripSheet).Assembly.GetManifestResourceStream("archivo.ttf")!;
        return SKTypeface.FromStream(font);
    });

    /// <summary>The strip as a drawing whose size is given in millimetres.</summary>
    public static string Svg(FilingStrip strip)
    {
        string N(double v) => v.ToString("0.####", CultureInfo.InvariantCulture);
        var svg = new StringBuilder($"<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{N(strip.WidthMm)}mm\" height=\"{N(strip.HeightMm)}mm\" "
            + $"viewBox=\"0 0 {N(strip.WidthMm)} {N(strip.HeightMm)}\" fill=\"none\" stroke=\"#1b1b1b\">");
        foreach (StripLine l in strip.Lines)
        {
            svg.Append($"<path d=\"M{N(l.X1)} {N(l.Y1)}L{N(l.X2)} {N(l.Y2)}\" stroke-width=\"{N(Wide(l.Mark))}\"{(l.Mark == StripMark.FleamOther
                ? " stroke-dasharray=\"1 0.8\"" : "")} data-mark=\"{l.Mark}\"/>");
        }
        foreach (StripText t in strip.Texts)
        {
            svg.Append($"<text x=\"{N(t.X)}\" y=\"{N(t.Y)}\" font-size=\"{N(t.SizeMm)}\" font-family=\"sans-serif\" fill=\"#1b1b1b\" stroke=\"none\">"
                + $"{WebUtility.HtmlEncode(t.Text)}</text>");
        }
        return svg.Append("</svg>").ToString();
    }

    /// <summary>The strip on a sheet of A4, at its true size.</summary>
    public static byte[] Pdf(FilingStrip strip)
    {
        using var bytes = new MemoryStream();
        using (var document = SKDocument.CreatePdf(bytes))
        {
            SKCanvas page = document.BeginPage(PageWideMm * PointsInMm, PageHighMm * PointsInMm);
            using var line = new SKPaint { Style = SKPaintStyle.Stroke, Color = SKColors.Black, IsAntialias = true };
            using var ink = new SKPaint { Color = SKColors.Black, IsAntialias = true };
            using var dashes = SKPathEffect.CreateDash([PointsInMm, PointsInMm], 0);
            float At(double mm) => (float)(mm + MarginMm) * PointsInMm;
            foreach (StripLine l in strip.Lines)
            {
                line.StrokeWidth = (float)Wide(l.Mark) * PointsInMm;
                line.PathEffect = l.Mark == StripMark.FleamOther ? dashes : null;
                page.DrawLine(At(l.X1), At(l.Y1), At(l.X2), At(l.Y2), line);
            }
            foreach (StripText t in strip.Texts)
            {
                using var font = new SKFont(Face.Value, (float)t.SizeMm * PointsInMm);
                page.DrawText(t.Text, At(t.X), At(t.Y), SKTextAlign.Left, font, ink);
            }
            document.EndPage();
            document.Close();
        }
        return bytes.ToArray();
    }

    private static double Wide(StripMark mark) => mark is StripMark.Tenth or StripMark.Rake ? Thick : Thin;

    private const double Thin = 3 / (double)20, Thick = 2 * Thin;
}
