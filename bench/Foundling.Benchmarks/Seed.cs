using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Shop;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Reference;
using Foundling.Data.Store;
using Foundling.Data.Tags;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Benchmarks;

/// <summary>Fills a folder with many made-up tags, to time pages on a large shop.</summary>
internal static class Seed
{
    private static readonly ShopContext Here = new(Assumptions.Standard, new Climate(), ReferenceData.Baths);

    public static async Task Fill(int count, string path)
    {
        var folder = new DataFolder(Path.GetFullPath(path));
        using Opening opening = Opening.Of(folder);
        var options = (DbContextOptions<FoundlingDb>)folder.Configure(new DbContextOptionsBuilder<FoundlingDb>()).Options;
        var random = new Random(1);
        for (int from = 1; from <= count; from += 500)
        {
            await using var db = new FoundlingDb(options);
            db.ChangeTracker.AutoDetectChangesEnabled = false;
            var plans = new PlanShelf(db, new PlanCache(), TimeProvider.System);
            for (int n = from; n < Math.Min(from + 500, count + 1); n++)
            {
                ToolKind kind = ToolCatalogue.Kinds[n % ToolCatalogue.Kinds.Count];
                var tag = new Tag
                {
                    Number = n, Kind = kind.Id, Name = $"{kind.Name} {n}", Owner = $"Owner {n % 40}", Source = $"Stall {n % 90}",
                    ArrivedOn = new DateOnly(2020, 1, 1).AddDays(n % 2000),
                    BookedAt = DateTimeOffset.UnixEpoch.AddDays(18_000 + (n % 2000)), Aim = AimKind.Work,
                    Status = n % 150 == 0 ? TagStatus.InHand : TagStatus.Done, LengthMm = kind.NominalLengthMm,
                };
                tag.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = kind.Parts[0].Id, Kind = FindingKind.Looseness, Severity = random.Next(5) });
                Live(tag, random);
                await plans.Keep(tag);
                db.Tags.Add(tag);
            }
            await db.SaveChangesAsync();
        }
        Console.WriteLine($"{count} tags in {folder.Path}");
    }

    /// <summary>What a tool gathers in a shop: looks, pictures' rows, a plan partly done, some 25 events, and for some a wait.</summary>
    private static void Live(Tag tag, Random random)
    {
        DateTimeOffset at = tag.BookedAt.AddHours(1);
        IReadOnlyList<Core.Origin.Trait> traits = [.. ReferenceData.Book.LinesFor(tag.Kind).Take(1).SelectMany(l => l.Variants.Keys)
            .Select(ReferenceData.Book.TraitOf)];
        tag.Looks.AddRange(traits.Take(4).Select((t, i) => new Look { Id = Guid.NewGuid(), Order = i + 1, Trait = t.Id, Variant = t.Answers[0], At = at }));
        tag.Pictures.AddRange(Enumerable.Range(0, 3)
            .Select(_ => new Picture { Id = Guid.NewGuid(), File = $"{Guid.NewGuid():N}.jpg", Width = 1600, Height = 1200, At = at }));
        tag.Plan = new Plan(AimKind.Work, Planner.Plan(new PlanQuestion(tag.Facts(), AimKind.Work, Here)));
        List<PlanStep> steps = [.. tag.Steps.Take(tag.Status == TagStatus.Done ? tag.Steps.Count : random.Next(tag.Steps.Count))];
        foreach (PlanStep step in steps)
        {
            at = at.AddMinutes(20);
            tag.Happened(BenchEvent.New(at, EventKind.Stopped, step.Title, step.Key, step.LikelyMin));
            if (tag.Log.Count < 25)
            {
                tag.Happened(BenchEvent.New(at, EventKind.Done, step.Title, step.Key));
            }
        }
        while (tag.Log.Count < 25)
        {
            tag.Happened(BenchEvent.New(at = at.AddMinutes(5), EventKind.Note, "A note of some length, as people write them at the bench."));
        }
        if (tag.Number % 100 == 0)
        {
            tag.Waits.AddRange(Waits.After(tag.Plan.Deeds.First(d => d.Lag is not null), tag.Plan.Deeds, DateTimeOffset.UtcNow, TimeZoneInfo.Utc,
                Assumptions.Standard));
        }
    }
}
