using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Origin;
using Foundling.Core.Rod;
using Foundling.Core.Soles;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Origin;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;
using SkiaSharp;

namespace Foundling.Benchmarks;

/// <summary>Fills a folder with what is large for one tag and one book, to time the pages that show it.</summary>
internal static class Heavy
{
    private const int LogEntries = 20_000, Readings = 10_000, Lines = 300, Traits = 60, Pictures = 20;

    public static async Task Fill(string path)
    {
        var folder = new DataFolder(Path.GetFullPath(path));
        using Opening opening = Opening.Of(folder);
        var options = (DbContextOptions<FoundlingDb>)folder.Configure(new DbContextOptionsBuilder<FoundlingDb>()).Options;
        var random = new Random(1);
        await using var db = new FoundlingDb(options);
        DateTimeOffset now = DateTimeOffset.UtcNow;
        var tag = new Tag { Number = 1, Kind = KindIds.MetalBenchPlane, Name = "Heavy", LengthMm = 245, IronWidthMm = 50, SoleWidthMm = 60,
            ArrivedOn = DateOnly.FromDateTime(DateTime.UtcNow), BookedAt = now, Aim = AimKind.Work };
        tag.Log.AddRange(Enumerable.Range(0, LogEntries).Select(i => new BenchEvent { Id = Guid.NewGuid(), At = now.AddMinutes(-i), Kind = EventKind.Stopped,
            Step = StepKey.Wash, Minutes = 1, Text = "Wash" }));
        double[][] points = [.. Enumerable.Range(0, Readings).Select(_ => new[] { random.NextDouble() * 245, random.NextDouble() * 60,
            random.NextDouble() * 0.1 })];
        tag.Surveys.Add(new SoleRecord { Id = Guid.NewGuid(), At = now, Source = "indicator", Input = new GridSurveyInput(245, 60, points, 76,
            SolePurpose.Smoothing) });
        PatternBook book = Book(random);
        tag.Looks.AddRange(book.Traits.Take(8).Select((t, i) => new Look { Id = Guid.NewGuid(), Order = i, Trait = t.Id, Variant = t.Variants[0], At = now }));
        db.Tags.Add(tag);
        await db.SaveChangesAsync();
        await new PatternShelf(db, new PatternCache(), TimeProvider.System).Change("A large book", _ => book);
        for (int i = 0; i < Pictures; i++)
        {
            await File.WriteAllBytesAsync(Path.Combine(folder.Path, $"phone-{i}.jpg"), Phone(i));
        }
        Console.WriteLine($"a tag of {LogEntries} log entries and {Readings} readings, a book of {Lines} lines and {Traits} traits in {folder.Path}");
    }

    private static PatternBook Book(Random random)
    {
        string[] parts = ["body", "knob", "tote", "lever_cap", "iron", "frog"];
        List<Trait> traits = [.. Enumerable.Range(0, Traits).Select(t => new Trait($"t{t}", parts[t % parts.Length], (LookEffort)(t % 4), ["a", "b", "c", "d"],
            $"Trait {t}"))];
        return new PatternBook(traits, [.. Enumerable.Range(0, Lines).Select(l =>
        {
            int first = random.Next(1840, 1920), last = first + random.Next(20, 70);
            return new PatternLine($"l{l}", first, last, traits.ToDictionary(t => t.Id, t => (IReadOnlyDictionary<string, int?[]>)t.Variants.ToDictionary(v =>
                v, v =>
            {
                int from = random.Next(first, last), to = random.Next(from, last);
                return new int?[] { from, Math.Min(from + 2, to), to, Math.Min(to + 3, last) };
            })), $"Maker {l}", Kinds: ["metal-bench-plane"]);
        })]);
    }

    /// <summary>A picture of twelve megapixels with something on it everywhere, as a phone takes it.</summary>
    private static byte[] Phone(int seed)
    {
        using var surface = SKSurface.Create(new SKImageInfo(4000, 3000));
        using var paint = new SKPaint();
        var random = new Random(seed);
        for (int i = 0; i < 6000; i++)
        {
            paint.Color = new SKColor((uint)(0xff000000 | random.Next(0xffffff)));
            surface.Canvas.DrawCircle(random.Next(4000), random.Next(3000), random.Next(10, 120), paint);
        }
        return surface.Snapshot().Encode(SKEncodedImageFormat.Jpeg, 92).ToArray();
    }
}
