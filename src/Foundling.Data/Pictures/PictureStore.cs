using System.Security.Cryptography;
using Foundling.Core;
using Foundling.Core.Tags;
using Foundling.Data.Store;
using SkiaSharp;

namespace Foundling.Data.Pictures;

/// <summary>Sizes a picture is kept in.</summary>
public enum PictureSize
{
    /// <summary>As it came.</summary>
    Original,

    /// <summary>Long side 1600 pixels.</summary>
    View,

    /// <summary>Long side 320 pixels.</summary>
    Thumb,
}

/// <summary>
/// Keeps pictures as files named after their content. What a file is, is decided by its content; the original is kept
/// untouched and turned copies are made for showing.
/// </summary>
public sealed class PictureStore(DataFolder folder, TimeProvider time)
{
    /// <summary>Largest file taken, bytes.</summary>
    public const long MostBytes = 40L * 1024 * 1024;

    /// <summary>Longest side taken, pixels.</summary>
    public const int MostSide = 12_000;

    /// <summary>Most pixels taken; a small file may unpack to far more.</summary>
    public const long MostPixels = 80_000_000;

    /// <summary>Checks a picture by its content and keeps it with its copies.</summary>
    /// <param name="content">The file.</param>
    /// <param name="name">What the file was called, for the sentence when it is refused.</param>
    /// <param name="caption">What it shows.</param>
    /// <exception cref="InputException">Too large, not a picture, or not whole.</exception>
    public async Task<Picture> Add(Stream content, string name, string caption, CancellationToken cancel = default)
    {
        var memory = new MemoryStream();
        byte[] buffer = new byte[81_920];
        int read;
        while ((read = await content.ReadAsync(buffer, cancel).ConfigureAwait(false)) > 0)
        {
            memory.Write(buffer, 0, read);
            if (memory.Length > MostBytes)
            {
                throw TooLarge(name);
            }
        }
        byte[] bytes = memory.ToArray();
        using SKCodec? codec = SKCodec.Create(new SKMemoryStream(bytes));
        string? ending = codec?.EncodedFormat switch
        {
            SKEncodedImageFormat.Jpeg => "jpg",
            SKEncodedImageFormat.Png => "png",
            SKEncodedImageFormat.Webp => "webp",
            _ => null,
        };
        if (codec is null || ending is null)
        {
            throw new InputException("not_a_picture", "pictures", name, "JPEG, PNG or WebP", $"\"{name}\" is not a picture this book can read. Send a JPEG, PNG or WebP.");
        }
        if (codec.Info.Width > MostSide || codec.Info.Height > MostSide || (long)codec.Info.Width * codec.Info.Height > MostPixels)
        {
            throw new InputException("picture_too_wide", "pictures", name, $"at most {MostSide:#,0} pixels a side",
                $"\"{name}\" is {codec.Info.Width:#,0} by {codec.Info.Height:#,0} pixels; {MostSide:#,0} a side and {MostPixels / 1_000_000} megapixels are the most.");
        }
        using SKBitmap? decoded = SKBitmap.Decode(codec, new SKImageInfo(codec.Info.Width, codec.Info.Height, SKColorType.Rgba8888, SKAlphaType.Premul));
        if (decoded is null)
        {
            throw new InputException("picture_broken", "pictures", name, "a whole file", $"\"{name}\" stops in the middle. Copy it again from the camera.");
        }
        using SKBitmap upright = Upright(decoded, codec.EncodedOrigin);
        string file = $"{Convert.ToHexStringLower(SHA256.HashData(bytes))[..32]}.{ending}";
        await Write(PathOf(file, PictureSize.Original), bytes, cancel).ConfigureAwait(false);
        await Write(PathOf(file, PictureSize.View), Scaled(upright, 1600, 86), cancel).ConfigureAwait(false);
        await Write(PathOf(file, PictureSize.Thumb), Scaled(upright, 320, 80), cancel).ConfigureAwait(false);
        DateTimeOffset now = time.GetUtcNow();
        return new Picture { Id = Guid.CreateVersion7(now), File = file, Caption = caption, Width = upright.Width, Height = upright.Height, At = now };
    }

    /// <summary>The refusal of a file that is too large.</summary>
    public static InputException TooLarge(string name) => new("picture_too_large", "pictures", name, $"at most {MostBytes / 1024 / 1024} MB",
        $"\"{name}\" is larger than {MostBytes / 1024 / 1024} MB. Send a smaller copy of it.");

    /// <summary>The file of a picture in a size, or null when the name is none of ours.</summary>
    public string? Find(string file, PictureSize size)
    {
        if (!IsFileName(file))
        {
            return null;
        }
        string path = PathOf(file, size);
        return File.Exists(path) ? path : null;
    }

    /// <summary>True for a name this store gives: a hash and one of three endings.</summary>
    public static bool IsFileName(string file)
    {
        string[] parts = file.Split('.');
        return parts is [{ Length: 32 } hash, "jpg" or "png" or "webp"] && hash.All(char.IsAsciiHexDigitLower);
    }

    private string PathOf(string file, PictureSize size) => size switch
    {
        PictureSize.Original => Path.Combine(folder.Pictures, file),
        PictureSize.View => Path.Combine(folder.Pictures, Path.GetFileNameWithoutExtension(file) + ".view.jpg"),
        _ => Path.Combine(folder.Pictures, Path.GetFileNameWithoutExtension(file) + ".thumb.jpg"),
    };

    private static async Task Write(string path, byte[] bytes, CancellationToken cancel)
    {
        if (File.Exists(path))
        {
            return;
        }
        // Written aside and moved into place, so that a crash leaves no half picture behind.
        string part = path + "." + Guid.NewGuid().ToString("N") + ".part";
        await File.WriteAllBytesAsync(part, bytes, cancel).ConfigureAwait(false);
        File.Move(part, path, overwrite: true);
    }

    private static byte[] Scaled(SKBitmap picture, int longSide, int quality)
    {
        double factor = Math.Min(1, longSide / (double)Math.Max(picture.Width, picture.Height));
        var info = new SKImageInfo(Math.Max(1, (int)Math.Round(picture.Width * factor)), Math.Max(1, (int)Math.Round(picture.Height * factor)), SKColorType.Rgba8888, SKAlphaType.Opaque);
        using var surface = SKSurface.Create(info);
        surface.Canvas.Clear(SKColors.White);
        using SKImage image = SKImage.FromBitmap(picture);
        surface.Canvas.DrawImage(image, new SKRect(0, 0, info.Width, info.Height), new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        using SKImage result = surface.Snapshot();
        using SKData data = result.Encode(SKEncodedImageFormat.Jpeg, quality);
        return data.ToArray();
    }

    private static SKBitmap Upright(SKBitmap picture, SKEncodedOrigin origin)
    {
        bool swaps = origin is SKEncodedOrigin.LeftTop or SKEncodedOrigin.RightTop or SKEncodedOrigin.RightBottom or SKEncodedOrigin.LeftBottom;
        (int w, int h) = swaps ? (picture.Height, picture.Width) : (picture.Width, picture.Height);
        var turned = new SKBitmap(w, h, SKColorType.Rgba8888, SKAlphaType.Premul);
        using var canvas = new SKCanvas(turned);
        canvas.SetMatrix(origin switch
        {
            SKEncodedOrigin.TopRight => new SKMatrix(-1, 0, w, 0, 1, 0, 0, 0, 1),
            SKEncodedOrigin.BottomRight => new SKMatrix(-1, 0, w, 0, -1, h, 0, 0, 1),
            SKEncodedOrigin.BottomLeft => new SKMatrix(1, 0, 0, 0, -1, h, 0, 0, 1),
            SKEncodedOrigin.LeftTop => new SKMatrix(0, 1, 0, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightTop => new SKMatrix(0, -1, w, 1, 0, 0, 0, 0, 1),
            SKEncodedOrigin.RightBottom => new SKMatrix(0, -1, w, -1, 0, h, 0, 0, 1),
            SKEncodedOrigin.LeftBottom => new SKMatrix(0, 1, 0, -1, 0, h, 0, 0, 1),
            _ => SKMatrix.Identity,
        });
        using SKImage image = SKImage.FromBitmap(picture);
        canvas.DrawImage(image, 0, 0, new SKSamplingOptions(SKFilterMode.Nearest));
        return turned;
    }
}
