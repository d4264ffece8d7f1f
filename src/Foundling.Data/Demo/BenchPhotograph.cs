using Foundling.Core.Tools;
using SkiaSharp;

namespace Foundling.Data.Demo;

/// <summary>How a demo tool looks.</summary>
/// <param name="Seed">Seed of its rust.</param>
/// <param name="Rust">Share of bare iron that is rusty, 0 to 1.</param>
/// <param name="CoatingLost">Share of the coating that is gone, 0 to 1.</param>
/// <param name="Pits">Pits per part.</param>
/// <param name="Missing">Parts left out.</param>
public sealed record Weathering(int Seed, double Rust, double CoatingLost, int Pits, IReadOnlyList<PartId>? Missing = null);

/// <summary>A painted photograph with the truth about it.</summary>
/// <param name="Jpeg">The picture.</param>
/// <param name="Width">Width, pixels.</param>
/// <param name="Height">Height, pixels.</param>
/// <param name="RustMask">True where a pixel of iron is rusty.</param>
/// <param name="IronMask">True where a pixel is iron or steel.</param>
public sealed record PaintedPhotograph(byte[] Jpeg, int Width, int Height, bool[] RustMask, bool[] IronMask)
{
    /// <summary>Share of the iron that is rusty.</summary>
    public double TrueRust => (double)RustMask.Count(x => x) / Math.Max(1, IronMask.Count(x => x));
}

/// <summary>
/// Paints believable bench photographs of a drawn tool: plank background, side light, cast shadow, metal and wood tone,
/// rust, pits and bare patches where coating has gone. The same seed gives the same picture.
/// </summary>
public static class BenchPhotograph
{
    // Share of the picture the tool takes, across and high, and how low the picture of a long one may be.
    private const double FillsWide = 0.94, FillsHigh = 0.76, LowestShare = 0.16;

    private static readonly Dictionary<string, SKColor> Tones = new()
    {
        ["cast"] = new(0x2c, 0x2e, 0x30), ["iron"] = new(0x86, 0x8c, 0x8a), ["steel"] = new(0xb2, 0xb8, 0xb6), ["dark-steel"] = new(0x6a, 0x70, 0x6e),
        ["brass"] = new(0xa8, 0x80, 0x32), ["rosewood"] = new(0x5e, 0x31, 0x20), ["beech"] = new(0xb9, 0x8d, 0x58), ["ash"] = new(0xc9, 0xaa, 0x77),
        ["leather"] = new(0x6b, 0x45, 0x2a), ["cord"] = new(0x4d, 0x5a, 0x4f), ["paint"] = new(0x74, 0x2b, 0x1d), ["ink"] = new(0x18, 0x1a, 0x19),
    };

    /// <summary>Paints a tool.</summary>
    /// <param name="profile">Its drawing.</param>
    /// <param name="weathering">How it looks.</param>
    /// <param name="width">Width of the picture, pixels.</param>
    public static PaintedPhotograph Paint(Profile profile, Weathering weathering, int width = 1200)
    {
        // One steps back from a tall tool and turns the camera for a long one: the tool fills the picture either way.
        int height = (int)Math.Round(Math.Clamp(width * FillsWide / FillsHigh * profile.Height / profile.Width, width * LowestShare, width));
        var info = new SKImageInfo(width, height, SKColorType.Rgba8888, SKAlphaType.Premul);
        float scale = (float)Math.Min(width * FillsWide / profile.Width, height * FillsHigh / profile.Height);
        var place = SKMatrix.CreateScaleTranslation(scale, scale, (width - ((float)profile.Width * scale)) / 2, (height - ((float)profile.Height * scale)) / 2);

        using var picture = new SKBitmap(info);
        using var parts = new SKBitmap(info);
        using (var canvas = new SKCanvas(picture))
        {
            Bench(canvas, info, weathering.Seed);
            Shadow(canvas, profile, weathering, place, scale);
            canvas.SetMatrix(place);
            Tool(canvas, profile, weathering, flat: false);
        }
        using (var canvas = new SKCanvas(parts))
        {
            canvas.SetMatrix(place);
            Tool(canvas, profile, weathering, flat: true);
        }
        (bool[] rust, bool[] iron) = Weather(picture, parts, weathering, scale);
        using SKImage image = SKImage.FromBitmap(picture);
        using SKData data = image.Encode(SKEncodedImageFormat.Jpeg, 88);
        return new PaintedPhotograph(data.ToArray(), width, height, rust, iron);
    }

    private static void Bench(SKCanvas canvas, SKImageInfo info, int seed)
    {
        using var wall = new SKPaint
        {
            Shader = SKShader.CreateLinearGradient(new SKPoint(0, 0), new SKPoint(info.Width, info.Height * 0.7f), [new SKColor(0xcf, 0xcd, 0xc4),
                new SKColor(0x9a, 0x98, 0x90)], SKShaderTileMode.Clamp),
        };
        canvas.DrawRect(0, 0, info.Width, info.Height, wall);
        float top = info.Height * 0.66f;
        var noise = new Grain(seed + 77);
        for (int plank = 0; plank < 3; plank++)
        {
            float y = top + (plank * (info.Height - top) / 3), h = (info.Height - top) / 3;
            byte tone = (byte)(150 + (14 * plank));
            using var wood = new SKPaint { Color = new SKColor((byte)(tone + 8), (byte)(tone - 30), (byte)(tone - 72)) };
            canvas.DrawRect(0, y, info.Width, h, wood);
            using var grain = new SKPaint { IsAntialias = true, StrokeWidth = 1.2f, IsStroke = true };
            for (float line = y + 3; line < y + h; line += 4.5f)
            {
                grain.Color = new SKColor(60, 36, 16, (byte)(18 + (34 * noise.At(line * 0.11, plank * 9.1))));
                using var builder = new SKPathBuilder();
                builder.MoveTo(0, line);
                for (int x = 0; x <= info.Width; x += 40)
                {
                    builder.LineTo(x, line + (float)((noise.At((x * 0.006) + (line * 0.3), line * 0.02) - 0.5) * 9));
                }
                using SKPath path = builder.Detach();
                canvas.DrawPath(path, grain);
            }
            using var seam = new SKPaint { Color = new SKColor(40, 24, 12, 130), StrokeWidth = 2 };
            canvas.DrawLine(0, y, info.Width, y, seam);
        }
    }

    private static void Shadow(SKCanvas canvas, Profile profile, Weathering weathering, SKMatrix place, float scale)
    {
        canvas.Save();
        canvas.SetMatrix(SKMatrix.Concat(SKMatrix.CreateTranslation(11 * scale, 5 * scale), place));
        using var blur = new SKPaint { Color = new SKColor(0, 0, 0, 120), MaskFilter = SKMaskFilter.CreateBlur(SKBlurStyle.Normal, 4.5f), IsAntialias = true };
        foreach (Shape shape in Shapes(profile, weathering).Where(s => s.Shape.Class.EndsWith(" o", StringComparison.Ordinal)).Select(s => s.Shape))
        {
            using SKPath path = PathOf(shape);
            canvas.DrawPath(path, blur);
        }
        canvas.Restore();
    }

    private static IEnumerable<(DrawnPart Part, Shape Shape)> Shapes(Profile profile, Weathering weathering) =>
        from part in profile.Parts
        where weathering.Missing?.Contains(part.Part) != true
        from shape in part.Shapes.Where(s => !s.Inset)
        select (part, shape);

    private static SKPath PathOf(Shape shape)
    {
        SKPath path = SKPath.ParseSvgPathData(shape.Path.ToString())!;
        path.FillType = shape.EvenOdd ? SKPathFillType.EvenOdd : SKPathFillType.Winding;
        return path;
    }

    /// <summary>Draws the tool lit from the upper left, or flat with one code for each kind of surface.</summary>
    private static void Tool(SKCanvas canvas, Profile profile, Weathering weathering, bool flat)
    {
        foreach ((DrawnPart part, Shape shape) in Shapes(profile, weathering))
        {
            string[] classes = shape.Class.Split(' ');
            using SKPath path = PathOf(shape);
            if (Tones.TryGetValue(classes[0], out SKColor tone))
            {
                SKRect box = path.Bounds;
                using var fill = new SKPaint { IsAntialias = !flat };
                if (flat)
                {
                    fill.Color = Code(classes[0]);
                }
                else
                {
                    fill.Shader = SKShader.CreateLinearGradient(new SKPoint(box.Left, box.Top), new SKPoint(box.Left + (box.Width * 0.2f), box.Bottom),
                        [Lit(tone, 1.22f), tone, Lit(tone, 0.66f)], [0, 0.45f, 1], SKShaderTileMode.Clamp);
                }
                canvas.DrawPath(path, fill);
                if (!flat && classes.Contains("o"))
                {
                    using var line = new SKPaint { IsStroke = true, IsAntialias = true, StrokeWidth = 0.45f, Color = new SKColor(10, 10, 8, 170) };
                    canvas.DrawPath(path, line);
                }
            }
            else if (!flat && classes[0] is "shade" or "light")
            {
                using var fill = new SKPaint { IsAntialias = true, Color = classes[0] == "shade" ? new SKColor(0, 0, 0, 60) : new SKColor(255, 255, 255, 46) };
                canvas.DrawPath(path, fill);
            }
            else if (!flat && classes[0] is "i" or "g" or "l")
            {
                using var line = new SKPaint { IsStroke = true, IsAntialias = true, StrokeWidth = 0.3f, Color = classes[0] == "l" ? new SKColor(255, 255, 255,
                    60) : new SKColor(10, 10, 8, 110) };
                canvas.DrawPath(path, line);
            }
        }
    }

    private static SKColor Lit(SKColor c, float by) => new((byte)Math.Min(255, c.Red * by), (byte)Math.Min(255, c.Green * by), (byte)Math.Min(255,
        c.Blue * by));

    private static SKColor Code(string surface) => surface switch
    {
        "iron" or "steel" or "dark-steel" => new SKColor(255, 0, 0),
        "cast" or "paint" => new SKColor(0, 255, 0),
        "ink" => new SKColor(0, 0, 0),
        _ => new SKColor(0, 0, 255),
    };

    private static (bool[] Rust, bool[] Iron) Weather(SKBitmap picture, SKBitmap parts, Weathering weathering, float scale)
    {
        int w = picture.Width, h = picture.Height;
        SKColor[] pixels = picture.Pixels, codes = parts.Pixels;
        bool[] rust = new bool[w * h], iron = new bool[w * h];
        var coarse = new Grain(weathering.Seed);
        var fine = new Grain(weathering.Seed + 1);
        var value = new float[w * h];
        List<int> ironAt = [], coatAt = [];
        double cell = 1 / (9.0 * scale);
        for (int i = 0; i < codes.Length; i++)
        {
            if (codes[i].Alpha < 200 || (codes[i].Red < 128 && codes[i].Green < 128))
            {
                continue;
            }
            int x = i % w, y = i / w;
            value[i] = (float)((0.55 * coarse.At(x * cell, y * cell)) + (0.3 * coarse.At((x * cell * 2.7) + 40,
                y * cell * 2.7)) + (0.15 * fine.At(x * cell * 9, y * cell * 9)));
            (codes[i].Red > 128 ? ironAt : coatAt).Add(i);
        }
        Stain(ironAt, weathering.Rust, (i, depth) =>
        {
            rust[i] = true;
            pixels[i] = RustTone(fine, i % w, i / w, scale, pixels[i], depth);
        });
        foreach (int i in ironAt)
        {
            iron[i] = true;
        }
        Stain(coatAt, weathering.CoatingLost, (i, depth) =>
            pixels[i] = depth > 0.05 ? RustTone(fine, i % w, i / w, scale, pixels[i], depth) : new SKColor(0x77, 0x6f, 0x66));
        Speckle(pixels, codes, weathering.Seed, w);
        picture.Pixels = pixels;
        Pits(picture, ironAt, weathering, scale);
        return (rust, iron);

        // The share is exact: the most rust-prone pixels are taken until it is reached.
        void Stain(List<int> at, double share, Action<int, double> paint)
        {
            int count = (int)Math.Round(at.Count * Math.Clamp(share, 0, 1));
            if (count == 0)
            {
                return;
            }
            List<int> sorted = [.. at.OrderByDescending(i => value[i])];
            double least = value[sorted[count - 1]];
            foreach (int i in sorted.Take(count))
            {
                paint(i, value[i] - least);
            }
        }
    }

    private static SKColor RustTone(Grain noise, int x, int y, float scale, SKColor under, double depth)
    {
        double n = noise.At(x / (1.6 * scale), y / (1.6 * scale)), m = noise.At((x / (4.0 * scale)) + 90, y / (4.0 * scale));
        double red = 92 + (62 * n), green = 46 + (34 * n) + (8 * m), blue = 22 + (16 * m);
        double cover = Math.Min(0.94, 0.72 + (depth * 1.5));
        double shade = 0.72 + (0.28 * ((under.Red + under.Green + under.Blue) / 480.0));
        byte Mix(double r, byte u) => (byte)Math.Clamp((r * shade * cover) + (u * (1 - cover)), 0, 255);
        return new SKColor(Mix(red, under.Red), Mix(green, under.Green), Mix(blue, under.Blue));
    }

    private static void Speckle(SKColor[] pixels, SKColor[] codes, int seed, int width)
    {
        var noise = new Grain(seed + 5);
        for (int i = 0; i < pixels.Length; i++)
        {
            double n = (noise.At(i % width * 0.9, i / width * 0.9) - 0.5) * (codes[i].Alpha > 0 ? 18 : 9);
            SKColor c = pixels[i];
            pixels[i] = new SKColor((byte)Math.Clamp(c.Red + n, 0, 255), (byte)Math.Clamp(c.Green + n, 0, 255), (byte)Math.Clamp(c.Blue + n, 0, 255));
        }
    }

    private static void Pits(SKBitmap picture, List<int> ironAt, Weathering weathering, float scale)
    {
        if (ironAt.Count == 0)
        {
            return;
        }
        var random = new Random(weathering.Seed);
        using var canvas = new SKCanvas(picture);
        using var dark = new SKPaint { Color = new SKColor(34, 20, 12, 210), IsAntialias = true };
        using var rim = new SKPaint { Color = new SKColor(255, 255, 255, 50), IsAntialias = true };
        for (int k = 0; k < weathering.Pits; k++)
        {
            int i = ironAt[random.Next(ironAt.Count)];
            float x = i % picture.Width, y = i / picture.Width, r = (0.25f + (0.5f * (float)random.NextDouble())) * scale;
            canvas.DrawCircle(x + (0.15f * scale), y + (0.15f * scale), r, rim);
            canvas.DrawCircle(x, y, r, dark);
        }
    }

    /// <summary>Smooth random values from 0 to 1 over a plane, the same for the same seed.</summary>
    private sealed class Grain(int seed)
    {
        public double At(double x, double y)
        {
            int ix = (int)Math.Floor(x), iy = (int)Math.Floor(y);
            double fx = x - ix, fy = y - iy;
            fx = fx * fx * (3 - (2 * fx));
            fy = fy * fy * (3 - (2 * fy));
            double top = Knot(ix, iy) + (fx * (Knot(ix + 1, iy) - Knot(ix, iy)));
            double low = Knot(ix, iy + 1) + (fx * (Knot(ix + 1, iy + 1) - Knot(ix, iy + 1)));
            return top + (fy * (low - top));
        }

        private double Knot(int x, int y)
        {
            unchecked
            {
                uint h = ((uint)x * 374_761_393u) + ((uint)y * 668_265_263u) + ((uint)seed * 2_246_822_519u);
                h = (h ^ (h >> 13)) * 1_274_126_177u;
                return ((h ^ (h >> 16)) & 0xFFFFFF) / (double)0x1000000;
            }
        }
    }
}
