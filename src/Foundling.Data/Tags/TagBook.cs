using Foundling.Core;
using Foundling.Core.Origin;
using Foundling.Core.Tags;
using Foundling.Data.Origin;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Tags;

/// <summary>Reads and keeps tags.</summary>
public sealed class TagBook(FoundlingDb db, TimeProvider time, PatternShelf patterns)
{
    /// <summary>The pattern book tags are dated by.</summary>
    public Task<PatternBook> Patterns(CancellationToken cancel = default) => patterns.Read(cancel);

    /// <summary>A whole tag for changing, or null.</summary>
    public async Task<Tag?> Find(int number, CancellationToken cancel = default)
    {
        Tag? tag = await Whole().FirstOrDefaultAsync(t => t.Number == number, cancel).ConfigureAwait(false);
        if (tag is not null)
        {
            Sort(tag);
        }
        return tag;
    }

    /// <summary>Tags that are in hand, oldest first, with their waits and with their steps as far as a bench shows them.</summary>
    public async Task<List<Tag>> InHand(int most = 60, CancellationToken cancel = default)
    {
        List<Tag> tags = await db.Tags.AsNoTracking().Include(t => t.Waits)
            .Where(t => t.Status == TagStatus.InHand).OrderBy(t => t.Number).Take(most).ToListAsync(cancel).ConfigureAwait(false);
        var byNumber = tags.ToDictionary(t => t.Number);
        var steps = await db.Set<PlanStep>()
            .Where(s => byNumber.Keys.Contains(EF.Property<int>(s, "TagNumber")))
            .OrderBy(s => s.Order)
            .Select(s => new { Tag = EF.Property<int>(s, "TagNumber"), s.Key, s.Order, s.Stage, s.Title, s.Reason, s.LikelyMin, s.WaitMin, s.State, s.WaitsFor })
            .ToListAsync(cancel).ConfigureAwait(false);
        foreach (var s in steps)
        {
            byNumber[s.Tag].Steps.Add(new PlanStep { Key = s.Key, Order = s.Order, Stage = s.Stage, Title = s.Title, Reason = s.Reason, LikelyMin = s.LikelyMin, WaitMin = s.WaitMin, State = s.State, WaitsFor = s.WaitsFor });
        }
        tags.ForEach(Sort);
        return tags;
    }

    /// <summary>Tags for the shelf: those whose number, name, owner or source match, newest first.</summary>
    public async Task<(List<Tag> Tags, int All)> Shelf(string? search, TagStatus? status, int skip, int take, CancellationToken cancel = default)
    {
        IQueryable<Tag> query = db.Tags.AsNoTracking();
        if (status is not null)
        {
            query = query.Where(t => t.Status == status);
        }
        if (!string.IsNullOrWhiteSpace(search))
        {
            string text = search.Trim();
            string digits = new([.. text.Where(char.IsDigit)]);
            int? number = int.TryParse(digits, out int n) ? n : null;
            string like = $"%{text.Replace("\\", "\\\\", StringComparison.Ordinal).Replace("%", "\\%", StringComparison.Ordinal).Replace("_", "\\_", StringComparison.Ordinal)}%";
            query = query.Where(t => t.Number == number || EF.Functions.Like(t.Name, like, "\\") || EF.Functions.Like(t.Owner, like, "\\")
                || EF.Functions.Like(t.Source, like, "\\") || EF.Functions.Like(t.Kind, like, "\\") || EF.Functions.Like(t.OwnersMark, like, "\\"));
        }
        int all = await query.CountAsync(cancel).ConfigureAwait(false);
        List<Tag> tags = await query.OrderByDescending(t => t.Number).Skip(skip).Take(take).Include(t => t.Steps).Include(t => t.Looks).ToListAsync(cancel).ConfigureAwait(false);
        tags.ForEach(Sort);
        return (tags, all);
    }

    /// <summary>How many tools of each kind are in the shop.</summary>
    public async Task<IReadOnlyDictionary<string, int>> KindsOnShelf(CancellationToken cancel = default) =>
        await db.Tags.Where(t => t.Status != TagStatus.Left).GroupBy(t => t.Kind).Select(g => new { g.Key, Count = g.Count() }).ToDictionaryAsync(g => g.Key, g => g.Count, cancel).ConfigureAwait(false);

    /// <summary>The next free tag number.</summary>
    public async Task<int> NextNumber(CancellationToken cancel = default) =>
        (await db.Tags.MaxAsync(t => (int?)t.Number, cancel).ConfigureAwait(false) ?? 0) + 1;

    /// <summary>Books in a new tag and gives it its number.</summary>
    public async Task<Tag> BookIn(Tag tag, CancellationToken cancel = default)
    {
        tag.Number = tag.Number > 0 ? tag.Number : await NextNumber(cancel).ConfigureAwait(false);
        tag.BookedAt = tag.BookedAt == default ? time.GetUtcNow() : tag.BookedAt;
        db.Tags.Add(tag);
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        return tag;
    }

    /// <summary>Keeps what was changed on a tag that came from <see cref="Find"/>.</summary>
    /// <exception cref="DbUpdateConcurrencyException">Someone else changed the tag meanwhile.</exception>
    public async Task Save(Tag tag, CancellationToken cancel = default)
    {
        tag.Version++;
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }

    /// <summary>Dates a tag by its looks and measurements; null when nothing was looked at.</summary>
    public static DatingReport? Date(Tag tag, PatternBook book, int lookNext = 0, bool weights = false) =>
        tag.Looks.Count == 0 ? null : Weigh(tag, book, lookNext, weights);

    /// <summary>Belief about a tag, also before the first look: lines of its kind, and none of them.</summary>
    public static DatingReport Weigh(Tag tag, PatternBook book, int lookNext = 0, bool weights = false)
    {
        List<PatternLine> lines = Candidates(tag, book);
        return Dating.Report(
            new DatingInput([.. tag.Looks.Where(l => Known(l, book)).Select(l => l.ToObservation())], book.WithUnknown(lines, Assumptions.Standard),
                lines is [{ Id: var only }] && only == tag.KnownLine ? [only] : [.. lines.Select(l => l.Id), PatternLine.UnknownId], new Measurements(tag.LengthMm, tag.IronWidthMm), tag.Kinship()), weights, lookNext);
    }

    /// <summary>Lines a tag may be of: the one it is known to be of, else all of its kind.</summary>
    public static List<PatternLine> Candidates(Tag tag, PatternBook book) =>
        [.. book.LinesFor(tag.Kind).Where(l => tag.KnownLine is null || l.Id == tag.KnownLine || book.LinesFor(tag.Kind).All(k => k.Id != tag.KnownLine))];

    /// <summary>False for a look at something the book no longer has; it is kept, but says nothing.</summary>
    public static bool Known(Look look, PatternBook book) =>
        look.Trait is null || book.Traits.FirstOrDefault(t => t.Id == look.Trait)?.Variants.Contains(look.Variant ?? "") == true;

    private IQueryable<Tag> Whole() => db.Tags
        .Include(t => t.Looks).Include(t => t.Aside).Include(t => t.Findings).Include(t => t.Counts).Include(t => t.Measurements).Include(t => t.Pictures).Include(t => t.Steps)
        .Include(t => t.Log).Include(t => t.Waits).Include(t => t.Surveys).Include(t => t.Proofs);

    /// <summary>Puts the lists of a tag in their order.</summary>
    public static void Sort(Tag tag)
    {
        tag.Looks.Sort((a, b) => a.Order.CompareTo(b.Order));
        tag.Aside.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Findings.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Measurements.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Counts.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Pictures.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Steps.Sort((a, b) => a.Order.CompareTo(b.Order));
        tag.Log.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Waits.Sort((a, b) => (a.StartedAt, a.Id).CompareTo((b.StartedAt, b.Id)));
        tag.Surveys.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Proofs.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
    }
}
