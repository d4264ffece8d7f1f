using Foundling.Core;
using Foundling.Core.State;
using SkiaSharp;

namespace Foundling.Data.Pictures;

/// <summary>What colour says about a picture: a starting guess only.</summary>
/// <param name="Png">Rust painted over, the rest clear; the size of the shown copy.</param>
/// <param name="RustShare">Share of the pixels inside the outline that have the colour of rust.</param>
public sealed record ColourMaskResult(byte[] Png, double RustShare);

/// <summary>Finds the colour of rust on a picture inside an outline.</summary>
public static class ColourMask
{
    /// <summary>Paints the mask.</summary>
    /// <param name="picture">The picture's file, of any size.</param>
    /// <param name="inside">True for a point inside the outline, as shares of width and height.</param>
    /// <param name="a">Thresholds.</param>
    public static ColourMaskResult Of(byte[] picture, Func<double, double, bool> inside, Assumptions a)
    {
        using SKBitmap bitmap = SKBitmap.Decode(picture, SKBitmap.DecodeBounds(picture).WithColorType(SKColorType.Rgba8888).WithAlphaType(SKAlphaType.Unpremul))
            ?? throw new InputException("picture_broken", "picture", null, "a whole picture", "This picture cannot be read.");
        using var mask = new SKBitmap(new SKImageInfo(bitmap.Width, bitmap.Height, SKColorType.Rgba8888, SKAlphaType.Unpremul));
        ReadOnlySpan<byte> from = bitmap.GetPixelSpan();
        Span<byte> to = mask.GetPixelSpan();
        int rust = 0, all = 0;
        for (int y = 0; y < bitmap.Height; y++)
        {
            for (int x = 0; x < bitmap.Width; x++)
            {
                if (!inside((x + 0.5) / bitmap.Width, (y + 0.5) / bitmap.Height))
                {
                    continue;
                }
                all++;
                int i = ((y * bitmap.Width) + x) * 4;
                if (ColourCoverage.IsRust(from[i], from[i + 1], from[i + 2], a))
                {
                    rust++;
                    (to[i], to[i + 1], to[i + 2], to[i + 3]) = (0xff, 0x3c, 0x00, 0xb0);
                }
            }
        }
        using SKImage image = SKImage.FromBitmap(mask);
        using SKData data = image.Encode(SKEncodedImageFormat.Png, 60);
        return new ColourMaskResult(data.ToArray(), all == 0 ? 0 : (double)rust / all);
    }
}
