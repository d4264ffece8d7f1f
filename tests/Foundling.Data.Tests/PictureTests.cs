using Foundling.Core;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Demo;
using Foundling.Data.Pictures;
using SkiaSharp;

namespace Foundling.Data.Tests;

public sealed class PictureTests : IDisposable
{
    private readonly TestShop _shop = new();

    public void Dispose() => _shop.Dispose();

    /// <summary>A picture whose left half is red and right half blue.</summary>
    private static byte[] Halves(int width, int height, SKEncodedImageFormat format)
    {
        using var surface = SKSurface.Create(new SKImageInfo(width, height));
        surface.Canvas.Clear(SKColors.Red);
        using var blue = new SKPaint { Color = SKColors.Blue };
        surface.Canvas.DrawRect(width / 2f, 0, width / 2f, height, blue);
        using SKImage image = surface.Snapshot();
        using SKData data = image.Encode(format, 95);
        return data.ToArray();
    }

    /// <summary>Puts an orientation mark behind the start of a JPEG, as a camera does.</summary>
    private static byte[] Turned(byte[] jpeg, byte orientation)
    {
        byte[] exif = [0xFF, 0xE1, 0x00, 0x22, .. "Exif\0\0"u8, .. "MM\0*"u8, 0, 0, 0, 8, 0, 1, 0x01, 0x12, 0, 3, 0, 0, 0, 1, 0, orientation, 0, 0, 0, 0, 0, 0];
        return [.. jpeg[..2], .. exif, .. jpeg[2..]];
    }

    private async Task<Picture> Add(byte[] bytes, string name = "a.jpg")
    {
        using var stream = new MemoryStream(bytes);
        return await _shop.Pictures.Add(stream, name, "as it came");
    }

    [Theory]
    [InlineData(SKEncodedImageFormat.Jpeg, "jpg")]
    [InlineData(SKEncodedImageFormat.Png, "png")]
    [InlineData(SKEncodedImageFormat.Webp, "webp")]
    public async Task Takes_three_formats_and_keeps_the_original(SKEncodedImageFormat format, string ending)
    {
        byte[] bytes = Halves(2000, 1000, format);
        Picture picture = await Add(bytes);
        picture.File.ShouldEndWith("." + ending);
        (picture.Width, picture.Height).ShouldBe((2000, 1000));
        (await File.ReadAllBytesAsync(_shop.Pictures.Find(picture.File, PictureSize.Original)!)).ShouldBe(bytes);
        using SKBitmap view = SKBitmap.Decode(_shop.Pictures.Find(picture.File, PictureSize.View)),
            thumb = SKBitmap.Decode(_shop.Pictures.Find(picture.File, PictureSize.Thumb));
        (view.Width, view.Height).ShouldBe((1600, 800));
        (thumb.Width, thumb.Height).ShouldBe((320, 160));
        new FileInfo(_shop.Pictures.Find(picture.File, PictureSize.Thumb)!).Length.ShouldBeLessThan(20_000);
    }

    [Theory]
    [InlineData(1, false, true)]
    [InlineData(3, false, false)]
    [InlineData(6, true, true)]
    [InlineData(8, true, false)]
    public async Task Shows_it_the_way_the_camera_was_held(byte orientation, bool upright, bool redFirst)
    {
        Picture picture = await Add(Turned(Halves(400, 200, SKEncodedImageFormat.Jpeg), orientation));
        (picture.Width, picture.Height).ShouldBe(upright ? (200, 400) : (400, 200));
        using SKBitmap view = SKBitmap.Decode(_shop.Pictures.Find(picture.File, PictureSize.View));
        SKColor first = upright ? view.GetPixel(100, 40) : view.GetPixel(40, 100);
        (first.Red > first.Blue).ShouldBe(redFirst);
    }

    [Theory]
    [InlineData("hello, I am a picture", "not_a_picture")]
    [InlineData("GIF89a\u0001\0\u0001\0\0\0\0;", "not_a_picture")]
    [InlineData("", "not_a_picture")]
    public async Task Refuses_what_is_no_picture(string text, string key)
    {
        InputException fault = await Should.ThrowAsync<InputException>(() => Add(System.Text.Encoding.Latin1.GetBytes(text), "me.jpg"));
        fault.ErrorKey.ShouldBe(key);
        fault.Sentence.ShouldContain("me.jpg");
        Directory.GetFiles(_shop.Folder.Pictures).ShouldBeEmpty();
    }

    [Fact]
    public async Task Refuses_a_picture_far_too_wide_before_unpacking_it()
    {
        byte[] png = Halves(20_000, 8, SKEncodedImageFormat.Png);
        (await Should.ThrowAsync<InputException>(() => Add(png, "wide.png"))).Sentence.ShouldContain("20,000");
    }

    [Fact]
    public async Task Refuses_a_file_over_the_limit_without_reading_it_whole()
    {
        using var endless = new ZeroStream(400L * 1024 * 1024);
        InputException fault = await Should.ThrowAsync<InputException>(() => _shop.Pictures.Add(endless, "huge.jpg", ""));
        fault.ErrorKey.ShouldBe("picture_too_large");
        endless.Position.ShouldBeLessThan(PictureStore.MostBytes + 1_000_000);
    }

    [Theory]
    [InlineData(SKEncodedImageFormat.Jpeg)]
    [InlineData(SKEncodedImageFormat.Png)]
    [InlineData(SKEncodedImageFormat.Webp)]
    public async Task Half_a_picture_is_refused(SKEncodedImageFormat format)
    {
        using var surface = SKSurface.Create(new SKImageInfo(900, 700));
        using var paint = new SKPaint();
        for (int i = 0; i < 400; i++)
        {
            paint.Color = new SKColor((byte)(i * 7), (byte)(i * 13), (byte)(i * 29));
            surface.Canvas.DrawCircle(i * 37 % 900, i * 53 % 700, 20, paint);
        }
        byte[] whole = surface.Snapshot().Encode(format, 90).ToArray();
        (await Add(whole, "whole")).Width.ShouldBe(900);
        InputException fault = await Should.ThrowAsync<InputException>(() => Add(whole[..(whole.Length / 2)], "half"));
        fault.Sentence.ShouldContain("\"half\" ");
        Directory.GetFiles(_shop.Folder.Pictures).Length.ShouldBe(3);
    }

    [Fact]
    public async Task A_file_that_was_lost_or_emptied_is_repaired_by_sending_it_again()
    {
        byte[] bytes = Halves(100, 80, SKEncodedImageFormat.Jpeg);
        Picture picture = await Add(bytes);
        string original = _shop.Pictures.Find(picture.File, PictureSize.Original)!, thumb = _shop.Pictures.Find(picture.File, PictureSize.Thumb)!;
        await File.WriteAllBytesAsync(original, []);
        File.Delete(thumb);
        _shop.Pictures.IsWhole(picture.File).ShouldBeFalse();
        _shop.Pictures.Again(picture.File, "x").ShouldBeNull();
        await Add(bytes);
        _shop.Pictures.IsWhole(picture.File).ShouldBeTrue();
        (await File.ReadAllBytesAsync(original)).ShouldBe(bytes);
        _shop.Pictures.Again(picture.File, "x")!.Width.ShouldBe(100);
    }

    [Fact]
    public async Task What_crashes_leave_is_swept_and_what_is_used_or_young_stays()
    {
        Picture used = await Add(Halves(100, 80, SKEncodedImageFormat.Jpeg)), orphan = await Add(Halves(110, 80, SKEncodedImageFormat.Jpeg)),
            young = await Add(Halves(120, 80, SKEncodedImageFormat.Jpeg));
        await _shop.BookIn(t => t.Pictures.Add(used));
        string part = Path.Combine(_shop.Folder.Pictures, "x.part"), waiting = Path.Combine(_shop.Folder.Incoming, "old.json");
        await File.WriteAllTextAsync(part, "half");
        await File.WriteAllTextAsync(waiting, "{}");
        _shop.Time.SetUtcNow(DateTimeOffset.UtcNow.AddDays(2));
        foreach (string file in Directory.GetFiles(_shop.Folder.Pictures).Where(f => f.Contains(young.File[..32])))
        {
            File.SetLastWriteTimeUtc(file, _shop.Time.GetUtcNow().UtcDateTime);
        }
        await using Store.FoundlingDb db = _shop.Open();
        (await new PictureSweep(db, _shop.Folder, _shop.Time).Sweep()).ShouldBe(5);
        (File.Exists(part), File.Exists(waiting)).ShouldBe((false, false));
        (_shop.Pictures.IsWhole(used.File), _shop.Pictures.IsWhole(orphan.File), _shop.Pictures.IsWhole(young.File)).ShouldBe((true, false, true));
    }

    [Fact]
    public async Task The_same_picture_is_kept_once()
    {
        byte[] bytes = Halves(100, 80, SKEncodedImageFormat.Jpeg);
        Picture one = await Add(bytes), two = await Add(bytes);
        one.File.ShouldBe(two.File);
        Directory.GetFiles(_shop.Folder.Pictures).Length.ShouldBe(3);
    }

    [Theory]
    [InlineData("../foundling.db")]
    [InlineData("/etc/passwd")]
    [InlineData("0123456789abcdef0123456789abcdef.exe")]
    [InlineData("..%2f0123456789abcdef0123456789ab.jpg")]
    public void Names_that_are_not_ours_find_nothing(string name) => _shop.Pictures.Find(name, PictureSize.Original).ShouldBeNull();

    [Fact]
    public void Painted_photographs_are_the_same_each_time_and_know_their_rust()
    {
        Profile plane = Profile.Of(KindIds.MetalBenchPlane);
        var weathering = new Weathering(31, 0.38, 0.4, 12);
        PaintedPhotograph one = BenchPhotograph.Paint(plane, weathering, 600), two = BenchPhotograph.Paint(plane, weathering, 600);
        one.Jpeg.ShouldBe(two.Jpeg);
        one.TrueRust.ShouldBe(0.38, 0.002);
        one.RustMask.Zip(one.IronMask).ShouldAllBe(p => !p.First || p.Second);
        BenchPhotograph.Paint(plane, weathering with { Seed = 32 }, 600).Jpeg.ShouldNotBe(one.Jpeg);
    }

    [Fact]
    public void The_tool_fills_the_picture_also_a_long_one()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            Profile profile = Profile.Of(kind.Id);
            PaintedPhotograph photo = BenchPhotograph.Paint(profile, new Weathering(1, 0.2, 0, 0), 400);
            double across = Math.Min(0.94, 0.76 * photo.Height * profile.Width / profile.Height / photo.Width),
                high = across * photo.Width * profile.Height / profile.Width / photo.Height;
            (across * high).ShouldBeGreaterThan(0.6, $"{kind.Id} {photo.Width} x {photo.Height}");
        }
    }

    private sealed class ZeroStream(long length) : Stream
    {
        public override bool CanRead => true;

        public override bool CanSeek => false;

        public override bool CanWrite => false;

        public override long Length => length;

        public override long Position { get; set; }

        public override int Read(byte[] buffer, int offset, int count)
        {
            int n = (int)Math.Min(count, length - Position);
            Position += n;
            return n;
        }

        public override void Flush()
        {
        }

        public override long Seek(long offset, SeekOrigin origin) => throw new NotSupportedException();

        public override void SetLength(long value) => throw new NotSupportedException();

        public override void Write(byte[] buffer, int offset, int count) => throw new NotSupportedException();
    }
}
