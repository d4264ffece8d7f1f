using Foundling.Core.Tools;

namespace Foundling.Core.State;

/// <summary>Colours to classify: each pixel as red, green, blue, 0 to 255.</summary>
public sealed record ColourInput(IReadOnlyList<int[]> PixelsSrgb);

/// <summary>One pixel in CIELAB (D65) with its class: rust, bright or other.</summary>
public sealed record ColourPixel(double LStar, double Chroma, double HueDeg, string Class);

/// <summary>Classes of all pixels and their shares.</summary>
public sealed record ColourResult(IReadOnlyList<ColourPixel> Pixels, double RustShare, double BrightShare);

/// <summary>Coverage by colour: a starting guess only.</summary>
public static class ColourCoverage
{
    /// <summary>Classifies pixels by lightness, chroma and hue.</summary>
    public static ColourResult Classify(ColourInput input, Assumptions assumptions)
    {
        Assumptions a = assumptions;
        if (input.PixelsSrgb.Count == 0 || input.PixelsSrgb.Any(p => p.Length != 3 || p.Any(c => c is < 0 or > 255)))
        {
            throw new InputException("not_a_colour", "pixels_srgb", null, "three numbers of 0 to 255 for each pixel",
                "Each pixel needs red, green and blue from 0 to 255.");
        }
        List<ColourPixel> pixels = [.. input.PixelsSrgb.Select(p => Of(p[0], p[1], p[2], a))];
        return new ColourResult(pixels, Share("rust"), Share("bright"));
        double Share(string name) => (double)pixels.Count(p => p.Class == name) / pixels.Count;
    }

    /// <summary>One colour in CIELAB with its class.</summary>
    public static ColourPixel Of(int red, int green, int blue, Assumptions a)
    {
        (double l, double chroma, double hue) = Lab(red, green, blue);
        return new ColourPixel(l, chroma, hue, IsRust(l, chroma, hue, a) ? "rust" : chroma < a.BrightChroma && l > a.BrightLight ? "bright" : "other");
    }

    /// <summary>True for a colour of rust. Makes nothing on the heap, so that it can be asked of every pixel.</summary>
    public static bool IsRust(int red, int green, int blue, Assumptions a)
    {
        (double l, double chroma, double hue) = Lab(red, green, blue);
        return IsRust(l, chroma, hue, a);
    }

    private static bool IsRust(double l, double chroma, double hue, Assumptions a) =>
        hue >= a.RustHueLow && hue <= a.RustHueHigh && chroma > a.RustChromaLow && chroma < a.RustChromaHigh && l > a.RustLightLow && l < a.RustLightHigh;

    private static (double L, double Chroma, double Hue) Lab(int red, int green, int blue)
    {
        double r = Linear(red), g = Linear(green), b = Linear(blue);
        double fx = F(((0.4124564 * r) + (0.3575761 * g) + (0.1804375 * b)) / 0.95047);
        double fy = F((0.2126729 * r) + (0.7151522 * g) + (0.0721750 * b));
        double fz = F(((0.0193339 * r) + (0.1191920 * g) + (0.9503041 * b)) / 1.08883);
        double l = (116 * fy) - 16, aStar = 500 * (fx - fy), bStar = 200 * (fy - fz);
        double chroma = Math.Sqrt((aStar * aStar) + (bStar * bStar));
        return (l, chroma, ((Math.Atan2(bStar, aStar) * 180 / Math.PI) + 360) % 360);
    }

    private static readonly double[] LinearOf = [.. Enumerable.Range(0, 256).Select(c => c / 255.0).Select(v => v <= 0.04045 ? v / 12.92
        : Math.Pow((v + 0.055) / 1.055, 2.4))];

    private static double Linear(int c) => LinearOf[c];

    private static double F(double t) => t > 216.0 / 24389 ? Math.Cbrt(t) : ((24389.0 / 27 * t) + 16) / 116;
}

/// <summary>Two points of known distance and an outline, in pixels.</summary>
public sealed record PhotoScaleInput(IReadOnlyList<double[]> ReferencePx, double ReferenceMm, IReadOnlyList<double[]>? OutlinePx = null);

/// <summary>Scale of a photograph and the area inside the outline.</summary>
public sealed record PhotoScaleResult(double MmPerPixel, double? OutlineAreaMm2);

/// <summary>Lengths and areas on a photograph.</summary>
public static class PhotoScale
{
    /// <summary>Scale from two points, area by the shoelace formula.</summary>
    public static PhotoScaleResult Of(PhotoScaleInput input)
    {
        Check.Positive(input.ReferenceMm);
        if (input.ReferencePx.Count != 2 || input.ReferencePx.Any(p => p.Length != 2))
        {
            throw new InputException("two_points", "reference_px", input.ReferencePx.Count, "two points", "Mark the two ends of a known length.");
        }
        double dx = input.ReferencePx[1][0] - input.ReferencePx[0][0], dy = input.ReferencePx[1][1] - input.ReferencePx[0][1];
        double pixels = Math.Sqrt((dx * dx) + (dy * dy));
        if (pixels <= 0)
        {
            throw new InputException("two_points", "reference_px", 0, "two different points", "The two ends of the known length are the same point.");
        }
        double scale = input.ReferenceMm / pixels;
        double? area = null;
        if (input.OutlinePx is { Count: >= 3 } outline && outline.All(p => p.Length == 2))
        {
            area = Corners.Area(outline) * scale * scale;
        }
        return new PhotoScaleResult(scale, area);
    }
}
