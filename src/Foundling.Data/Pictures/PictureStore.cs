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

    private const int ViewSide = 1600, ThumbSide = 320;

    /// <summary>Checks a picture by its content and keeps it with its copies. Pictures are unpacked one at a time.</summary>
    /// <param name="content">The file.</param>
    /// <param name="name">What the file was called, for the sentence when it is refused.</param>
    /// <param name="caption">What it shows.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">Too large, not a picture, or not whole.</exception>
    public async Task<Picture> Add(Stream content, string name, string caption, CancellationToken cancel = default)
    {
        byte[] bytes = await Read(content, name, cancel).ConfigureAwait(false);
        await Turn.WaitAsync(cancel).ConfigureAwait(false);
        Copies copies;
        try
        {
            // Off the request's own thread: unpacking takes a while, and others are waiting for theirs.
            copies = await Task.Run(() => Unpack(bytes, name), cancel).ConfigureAwait(false);
        }
        finally
        {
            Turn.Release();
        }
        string file = NameOf(bytes, copies.Ending);
        await Keep(PathOf(file, PictureSize.Original), bytes, cancel).ConfigureAwait(false);
        await Keep(PathOf(file, PictureSize.View), copies.View, cancel).ConfigureAwait(false);
        await Keep(PathOf(file, PictureSize.Thumb), copies.Thumb, cancel).ConfigureAwait(false);
        DateTimeOffset now = time.GetUtcNow();
        return new Picture { Id = Guid.CreateVersion7(now), File = file, Caption = caption, Width = copies.Width, Height = copies.Height, At = now };
    }

    /// <summary>A picture that was kept before, by its file name; null when the store does not have it whole.</summary>
    public Picture? Again(string file, string caption)
    {
        if (!IsWhole(file))
        {
            return null;
        }
        using SKCodec? codec = SKCodec.Create(PathOf(file, PictureSize.Original));
        if (codec is null)
        {
            return null;
        }
        (int width, int height) = Swaps(codec.EncodedOrigin) ? (codec.Info.Height, codec.Info.Width) : (codec.Info.Width, codec.Info.Height);
        DateTimeOffset now = time.GetUtcNow();
        return new Picture { Id = Guid.CreateVersion7(now), File = file, Caption = caption, Width = width, Height = height, At = now };
    }

    /// <summary>True when a picture and both its copies are there.</summary>
    public bool IsWhole(string file) =>
        IsFileName(file) && Enum.GetValues<PictureSize>().All(size => new FileInfo(PathOf(file, size)) is { Exists: true, Length: > 0 });

    /// <summary>The turn to unpack a picture; held by tests to see that nobody else waits for it.</summary>
    internal SemaphoreSlim Turn { get; } = new(1);

    private static async Task<byte[]> Read(Stream content, string name, CancellationToken cancel)
    {
        using var memory = new MemoryStream();
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
        return memory.ToArray();
    }

    private sealed record Copies(string Ending, int Width, int Height, byte[] View, byte[] Thumb);

    private static Copies Unpack(byte[] bytes, string name)
    {
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
            throw new InputException("not_a_picture", "pictures", name, "JPEG, PNG or WebP",
                $"\"{name}\" is not a picture this book can read. Send a JPEG, PNG or WebP.");
        }
        if (codec.Info.Width > MostSide || codec.Info.Height > MostSide || (long)codec.Info.Width * codec.Info.Height > MostPixels)
        {
            throw new InputException("picture_too_wide", "pictures", name, $"at most {MostSide:#,0} pixels a side",
                $"\"{name}\" is {codec.Info.Width:#,0} by {codec.Info.Height:#,0} pixels; {MostSide:#,0} a side and {MostPixels / 1_000_000} megapixels are "
                    + "the most.");
        }
        // JPEG unpacks straight to a smaller size, which spares time and memory.
        double longSide = Math.Max(codec.Info.Width, codec.Info.Height);
        SKSizeI size = codec.GetScaledDimensions((float)Math.Min(1, ViewSide / longSide));
        if (Math.Max(size.Width, size.Height) < Math.Min(ViewSide, longSide))
        {
            size = codec.GetScaledDimensions((float)Math.Min(1, 2 * ViewSide / longSide));
        }
        using var picture = new SKBitmap(new SKImageInfo(size.Width, size.Height, SKColorType.Rgba8888, SKAlphaType.Premul));
        if (codec.GetPixels(picture.Info, picture.GetPixels()) != SKCodecResult.Success)
        {
            throw new InputException("picture_broken", "pictures", name, "a whole file", $"\"{name}\" stops in the middle. Copy it again from the camera.");
        }
        // Marked as finished, so that drawing from it makes no copy.
        picture.SetImmutable();
        using SKImage image = SKImage.FromBitmap(picture);
        SKEncodedOrigin origin = codec.EncodedOrigin;
        (int width, int height) = Swaps(origin) ? (codec.Info.Height, codec.Info.Width) : (codec.Info.Width, codec.Info.Height);
        return new Copies(ending, width, height, Scaled(image, origin, width, height, ViewSide, 86), Scaled(image, origin, width, height, ThumbSide, 80));
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

    /// <summary>The name of a file in this store: made from its content.</summary>
    public static string NameOf(byte[] content, string ending) => $"{Convert.ToHexStringLower(SHA256.HashData(content))[..32]}.{ending}";

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

    /// <summary>Keeps a file once; one that a crash or a full disk left short is written again.</summary>
    private static Task Keep(string path, byte[] bytes, CancellationToken cancel) =>
        new FileInfo(path) is { Exists: true } there && there.Length == bytes.Length ? Task.CompletedTask : Durable.Write(path, bytes, cancel);

    private static byte[] Scaled(SKImage picture, SKEncodedOrigin origin, int width, int height, int longSide, int quality)
    {
        double factor = Math.Min(1, longSide / (double)Math.Max(width, height));
        var info = new SKImageInfo(Math.Max(1, (int)Math.Round(width * factor)), Math.Max(1, (int)Math.Round(height * factor)), SKColorType.Rgba8888,
            SKAlphaType.Opaque);
        using var surface = SKSurface.Create(info);
        surface.Canvas.Clear(SKColors.White);
        surface.Canvas.SetMatrix(Upright(origin, info.Width, info.Height));
        (int w, int h) = Swaps(origin) ? (info.Height, info.Width) : (info.Width, info.Height);
        surface.Canvas.DrawImage(picture, new SKRect(0, 0, w, h), new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        using SKImage result = surface.Snapshot();
        using SKData data = result.Encode(SKEncodedImageFormat.Jpeg, quality);
        return data.ToArray();
    }

    private static bool Swaps(SKEncodedOrigin origin) =>
        origin is SKEncodedOrigin.LeftTop or SKEncodedOrigin.RightTop or SKEncodedOrigin.RightBottom or SKEncodedOrigin.LeftBottom;

    /// <summary>Turns a picture the way the camera was held, into a frame of the upright width and height.</summary>
    private static SKMatrix Upright(SKEncodedOrigin origin, int w, int h) => origin switch
    {
        SKEncodedOrigin.TopRight => new SKMatrix(-1, 0, w, 0, 1, 0, 0, 0, 1),
        SKEncodedOrigin.BottomRight => new SKMatrix(-1, 0, w, 0, -1, h, 0, 0, 1),
        SKEncodedOrigin.BottomLeft => new SKMatrix(1, 0, 0, 0, -1, h, 0, 0, 1),
        SKEncodedOrigin.LeftTop => new SKMatrix(0, 1, 0, 1, 0, 0, 0, 0, 1),
        SKEncodedOrigin.RightTop => new SKMatrix(0, -1, w, 1, 0, 0, 0, 0, 1),
        SKEncodedOrigin.RightBottom => new SKMatrix(0, -1, w, -1, 0, h, 0, 0, 1),
        SKEncodedOrigin.LeftBottom => new SKMatrix(0, 1, 0, -1, 0, h, 0, 0, 1),
        _ => SKMatrix.Identity,
    };
}
