using Foundling.Core.Rod;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Reference;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Benchmarks;

/// <summary>Fills a folder with many made-up tags, to time pages on a large shop.</summary>
internal static class Seed
{
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
            for (int n = from; n < Math.Min(from + 500, count + 1); n++)
            {
                ToolKind kind = ToolCatalogue.Kinds[n % ToolCatalogue.Kinds.Count];
                var tag = new Tag
                {
                    Number = n, Kind = kind.Id, Name = $"{kind.Name} {n}", Owner = $"Owner {n % 40}", Source = $"Stall {n % 90}",
                    ArrivedOn = new DateOnly(2020, 1, 1).AddDays(n % 2000),
                    BookedAt = DateTimeOffset.UnixEpoch.AddDays(18_000 + (n % 2000)), Aim = AimKind.Work,
                    Status = n % 200 == 0 ? TagStatus.InHand : TagStatus.Done, LengthMm = kind.NominalLengthMm,
                };
                tag.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = kind.Parts[0].Id, Kind = FindingKind.Looseness, Severity = random.Next(5) });
                tag.Steps.AddRange(Planner.Plan(new PlanQuestion(kind, AimKind.Work, tag.Findings, ReferenceData.Baths)));
                db.Tags.Add(tag);
            }
            await db.SaveChangesAsync();
        }
        Console.WriteLine($"{count} tags in {folder.Path}");
    }
}
