using Foundling.Core.State;
using SkiaSharp;

namespace Foundling.Data.Pictures;

/// <summary>Finds the tool on a picture by where its contrast lies.</summary>
public static class FrameFinder
{
    private const int Wide = 240;

    /// <summary>The part of a picture that holds the tool; the whole of one that cannot be read.</summary>
    /// <param name="file">Its file, of any size.</param>
    public static PictureFrame Of(string? file)
    {
        using SKBitmap? full = file is null ? null : SKBitmap.Decode(file);
        if (full is null || full.Width < 3 || full.Height < 3)
        {
            return PictureFrame.Whole;
        }
        using SKBitmap? small = full.Resize(new SKImageInfo(Wide, Math.Max(3, full.Height * Wide / full.Width), SKColorType.Gray8, SKAlphaType.Opaque),
            new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        return small is null ? PictureFrame.Whole : PictureFrame.Of(small.Bytes, small.RowBytes);
    }
}
