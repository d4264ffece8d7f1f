using System.Linq.Expressions;
using Foundling.Core;
using Foundling.Core.Log;
using Foundling.Core.Origin;
using Foundling.Core.Rod;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Origin;
using Foundling.Data.Store;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.ChangeTracking;
using Microsoft.EntityFrameworkCore.Metadata;

namespace Foundling.Data.Tags;

/// <summary>Reads and keeps tags.</summary>
public sealed class TagBook(FoundlingDb db, TimeProvider time, PatternShelf patterns, PlanShelf plans)
{
    /// <summary>The pattern book tags are dated by.</summary>
    public Task<PatternBook> Patterns(CancellationToken cancel = default) => patterns.Read(cancel);

    /// <summary>A tag for changing, with everything on it but its log; or null.</summary>
    public async Task<Tag?> Find(int number, CancellationToken cancel = default)
    {
        Tag? tag = await With(db.Tags, TagParts.Everything).FirstOrDefaultAsync(t => t.Number == number, cancel).ConfigureAwait(false);
        if (tag is not null)
        {
            await plans.Fetch([tag], cancel).ConfigureAwait(false);
            Sort(tag);
        }
        return tag;
    }

    /// <summary>A tag for showing, with these parts of it; or null. What is changed on it is not kept.</summary>
    /// <param name="number">Its number.</param>
    /// <param name="parts">What is shown of it; the other lists are empty.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<Tag?> Show(int number, TagParts parts, CancellationToken cancel = default)
    {
        Tag? tag = await With(db.Tags.AsNoTracking(), parts).FirstOrDefaultAsync(t => t.Number == number, cancel).ConfigureAwait(false);
        if (tag is null)
        {
            return null;
        }
        if (parts.HasFlag(TagParts.Rod))
        {
            await plans.Fetch([tag], cancel).ConfigureAwait(false);
        }
        Sort(tag);
        return tag;
    }

    private static IQueryable<Tag> With(IQueryable<Tag> tags, TagParts parts)
    {
        IQueryable<Tag> If<T>(TagParts part, Expression<Func<Tag, List<T>>> list) => parts.HasFlag(part) ? tags.Include(list) : tags;
        tags = If(TagParts.Looks, t => t.Looks);
        tags = If(TagParts.Aside, t => t.Aside);
        tags = If(TagParts.Findings, t => t.Findings);
        tags = If(TagParts.Measurements, t => t.Measurements);
        tags = If(TagParts.Counts, t => t.Counts);
        tags = If(TagParts.Pictures, t => t.Pictures);
        tags = If(TagParts.Rod, t => t.Marks);
        tags = If(TagParts.Waits, t => t.Waits);
        tags = If(TagParts.Surveys, t => t.Surveys);
        tags = If(TagParts.Surveys, t => t.Rubs);
        return If(TagParts.Proofs, t => t.Proofs);
    }

    /// <summary>Minutes booked on a tag.</summary>
    public async Task<LogTotals> Booked(int number, CancellationToken cancel = default)
    {
        var sums = await LogOf(number).Where(e => LogTotals.Booking.Contains(e.Kind)).GroupBy(e => e.Step)
            .Select(g => new { Step = g.Key, Minutes = g.Sum(e => e.Minutes ?? 0) }).ToListAsync(cancel).ConfigureAwait(false);
        return LogTotals.OfSums(sums.Select(s => (s.Step, s.Minutes)));
    }

    /// <summary>
    /// Entries of a tag's log, newest first. A start whose stop is there too says nothing more, so only the stop is given. What was used
    /// up stands in a list of its own, <see cref="Used"/>.
    /// </summary>
    public async Task<IReadOnlyList<BenchEvent>> Log(int number, int skip, int take, CancellationToken cancel = default) =>
        await LogOf(number)
            .Where(e => e.Kind != EventKind.UsedUp)
            .Where(e => e.Kind != EventKind.Started || !LogOf(number).Any(s => s.Kind == EventKind.Stopped && s.Step == e.Step && s.At >= e.At))
            .OrderByDescending(e => e.At).ThenByDescending(e => e.Id).Skip(skip).Take(take).ToListAsync(cancel).ConfigureAwait(false);

    /// <summary>What was used up on a tag, from its log.</summary>
    public async Task<IReadOnlyList<Need>> Used(int number, Assumptions assumptions, CancellationToken cancel = default) =>
        UsedUp.Of(await LogOf(number).Where(e => UsedUp.Speaking.Contains(e.Kind)).ToListAsync(cancel).ConfigureAwait(false), assumptions);

    /// <summary>Minutes a step took the latest times it was finished, on any tag.</summary>
    public async Task<IReadOnlyList<double>> Took(DeedId step, CancellationToken cancel = default)
    {
        List<int> latest = await db.Set<BenchEvent>().Where(e => e.Step == step && e.Kind == EventKind.Done).OrderByDescending(e => e.At)
            .Take(Pace.MostJobs).Select(e => EF.Property<int>(e, "TagNumber")).ToListAsync(cancel).ConfigureAwait(false);
        var events = await db.Set<BenchEvent>().AsNoTracking()
            .Where(e => e.Step == step && Pace.Speaking.Contains(e.Kind) && latest.Contains(EF.Property<int>(e, "TagNumber")))
            .Select(e => new { Tag = EF.Property<int>(e, "TagNumber"), Happened = e }).ToListAsync(cancel).ConfigureAwait(false);
        return Pace.Took(events.Select(e => (e.Tag, e.Happened)));
    }

    /// <summary>Notes that go with a tag in its papers, oldest first.</summary>
    public async Task<IReadOnlyList<BenchEvent>> PapersNotes(int number, CancellationToken cancel = default) =>
        await LogOf(number).Where(e => e.Kind == EventKind.PapersNote).OrderBy(e => e.At).ThenBy(e => e.Id).ToListAsync(cancel).ConfigureAwait(false);

    /// <summary>What was spent on a tag beyond its price, oldest first.</summary>
    public async Task<IReadOnlyList<BenchEvent>> Spent(int number, CancellationToken cancel = default) =>
        await LogOf(number).Where(e => e.Kind == EventKind.Spent).OrderBy(e => e.At).ThenBy(e => e.Id).ToListAsync(cancel).ConfigureAwait(false);

    /// <summary>Reads the whole log of a tag into it, for what leaves the shop.</summary>
    public async Task ReadLog(Tag tag, CancellationToken cancel = default)
    {
        if (db.Entry(tag).State == EntityState.Detached)
        {
            tag.Log = await LogOf(tag.Number).ToListAsync(cancel).ConfigureAwait(false);
        }
        else
        {
            await db.Entry(tag).Collection(t => t.Log).LoadAsync(cancel).ConfigureAwait(false);
        }
        Sort(tag);
    }

    /// <summary>Adds to a tag's log. It only adds, so it is never in anybody's way.</summary>
    public async Task Note(int number, BenchEvent entry, CancellationToken cancel = default)
    {
        db.Entry(entry).Property("TagNumber").CurrentValue = number;
        db.Add(entry);
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }

    private IQueryable<BenchEvent> LogOf(int number) => db.Set<BenchEvent>().AsNoTracking().Where(e => EF.Property<int>(e, "TagNumber") == number);

    /// <summary>As many tags as one can choose from in a list.</summary>
    public const int MostToChooseFrom = 300;

    /// <summary>Tags to choose from: those in hand and then those that have not left the shop, newest first, without anything on them.</summary>
    /// <param name="loose">Only those that are in no lot.</param>
    /// <param name="cancel">Stops it.</param>
    public Task<List<Tag>> Here(bool loose = false, CancellationToken cancel = default) =>
        db.Tags.AsNoTracking().Where(t => t.Status != TagStatus.Left && (!loose || t.LotId == null)).OrderByDescending(t => t.Status == TagStatus.InHand)
            .ThenByDescending(t => t.Number).Take(MostToChooseFrom).ToListAsync(cancel);

    /// <summary>Everything that stands and waits, soonest due first, wherever its tool stands.</summary>
    public async Task<List<(Tag Tag, Wait Wait)>> Standing(CancellationToken cancel = default)
    {
        // From the waits, which have an index of the open ones, to their tags: the other way round every tag would be looked at.
        var open = await db.Set<Wait>().AsNoTracking().Where(w => w.EndedAt == null)
            .Select(w => new { Number = EF.Property<int>(w, "TagNumber"), Wait = w }).ToListAsync(cancel).ConfigureAwait(false);
        int[] numbers = [.. open.Select(w => w.Number).Distinct()];
        Dictionary<int, Tag> tags = await db.Tags.AsNoTracking().Where(t => numbers.Contains(t.Number)).ToDictionaryAsync(t => t.Number, cancel)
            .ConfigureAwait(false);
        List<(Tag Tag, Wait Wait)> standing = [];
        // A tag that was taken out of the shop between the two takes its waits along.
        foreach (var wait in open.Where(w => tags.ContainsKey(w.Number)))
        {
            tags[wait.Number].Waits.Add(wait.Wait);
            standing.Add((tags[wait.Number], wait.Wait));
        }
        return [.. standing.OrderBy(x => x.Wait.MustBeOutAt ?? x.Wait.ReadyAt).ThenBy(x => x.Tag.Number)];
    }

    /// <summary>All tags that are in hand, newest first, with their waits and their rods.</summary>
    public async Task<List<Tag>> InHand(CancellationToken cancel = default)
    {
        List<Tag> tags = await db.Tags.AsNoTracking().Include(t => t.Waits.Where(w => w.EndedAt == null)).Include(t => t.Marks)
            .Where(t => t.Status == TagStatus.InHand).OrderByDescending(t => t.Number).ToListAsync(cancel).ConfigureAwait(false);
        await plans.Fetch(tags, cancel).ConfigureAwait(false);
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
            string plain = text.Replace("\\", "\\\\", StringComparison.Ordinal).Replace("%", "\\%", StringComparison.Ordinal)
                .Replace("_", "\\_", StringComparison.Ordinal), like = $"%{plain}%";
            KindId[] kinds = [.. ToolCatalogue.Named(text)];
            query = query.Where(t => t.Number == number || EF.Functions.Like(t.Name, like, "\\") || EF.Functions.Like(t.Owner, like, "\\")
                || EF.Functions.Like(t.Source, like, "\\") || kinds.Contains(t.Kind) || EF.Functions.Like(t.OwnersMark, like, "\\"));
        }
        int all = await query.CountAsync(cancel).ConfigureAwait(false);
        List<Tag> tags = await query.OrderByDescending(t => t.Number).Skip(skip).Take(take).Include(t => t.Marks).Include(t => t.Looks)
            .ToListAsync(cancel).ConfigureAwait(false);
        await plans.Fetch(tags, cancel).ConfigureAwait(false);
        tags.ForEach(Sort);
        return (tags, all);
    }

    /// <summary>How many tools of each kind are in the shop.</summary>
    public async Task<IReadOnlyDictionary<KindId, int>> KindsOnShelf(CancellationToken cancel = default) =>
        await db.Tags.Where(t => t.Status != TagStatus.Left).GroupBy(t => t.Kind).Select(g => new { g.Key, Count = g.Count() }).ToDictionaryAsync(g => g.Key,
            g => g.Count, cancel).ConfigureAwait(false);

    /// <summary>The next free tag number.</summary>
    public async Task<int> NextNumber(CancellationToken cancel = default) =>
        (await db.Tags.MaxAsync(t => (int?)t.Number, cancel).ConfigureAwait(false) ?? 0) + 1;

    /// <summary>What was seen on a tag says how it is built, too.</summary>
    /// <param name="tag">The tag with its looks.</param>
    /// <param name="book">The book that says what a look means.</param>
    public static void See(Tag tag, PatternBook book) =>
        tag.Built = tag.Built.Seen(ToolCatalogue.Kind(tag.Kind), tag.Looks.OrderBy(l => l.Order).Select(l => (l.Trait, l.Variant, l.Confidence)), book);

    /// <summary>Books in a new tag and gives it its number.</summary>
    public async Task<Tag> BookIn(Tag tag, CancellationToken cancel = default)
    {
        See(tag, await Patterns(cancel).ConfigureAwait(false));
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            tag.Number = tag.Number > 0 ? tag.Number : await NextNumber(cancel).ConfigureAwait(false);
            tag.BookedAt = tag.BookedAt == default ? time.GetUtcNow() : tag.BookedAt;
            await plans.Keep(tag, cancel).ConfigureAwait(false);
            db.Tags.Add(tag);
            await db.SaveChangesAsync(cancel).ConfigureAwait(false);
            await write.Done(cancel).ConfigureAwait(false);
        }
        return tag;
    }

    /// <summary>
    /// Keeps what was changed on a tag that came from <see cref="Find"/>. What was only added is never in anybody's way, and
    /// what two people change at the same moment is joined where it is not the same thing.
    /// </summary>
    /// <exception cref="DbUpdateConcurrencyException">Someone else changed the same thing at the same moment; sent again it is looked at anew.</exception>
    public async Task Save(Tag tag, CancellationToken cancel = default)
    {
        See(tag, await Patterns(cancel).ConfigureAwait(false));
        await plans.Keep(tag, cancel).ConfigureAwait(false);
        db.ChangeTracker.DetectChanges();
        if (db.ChangeTracker.Entries().All(e => e.State is EntityState.Unchanged or EntityState.Detached || (e.State == EntityState.Added
            && OnlyAdds.Contains(e.Metadata.ClrType))))
        {
            await db.SaveChangesAsync(cancel).ConfigureAwait(false);
            return;
        }
        tag.Version++;
        try
        {
            await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        }
        catch (DbUpdateException fault) when (fault is DbUpdateConcurrencyException || fault.InnerException is SqliteException { SqliteErrorCode: 19 })
        {
            // Two plans made at the same moment want the same place; that is a clash like any other.
            await Join(tag, cancel).ConfigureAwait(false);
            await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        }
    }

    /// <summary>Children of a tag that are added and never say anything against one another.</summary>
    private static readonly HashSet<Type> OnlyAdds =
        [typeof(BenchEvent), typeof(Picture), typeof(Measurement), typeof(ProofRecord), typeof(SoleRecord), typeof(CountRecord), typeof(Wait),
            typeof(StepMark), typeof(RubRecord)];

    /// <summary>Takes over what someone else changed on the tag itself at the same moment, where it is not what is changed here.</summary>
    private async Task Join(Tag tag, CancellationToken cancel)
    {
        EntityEntry<Tag> entry = db.Entry(tag);
        PropertyValues? now = await entry.GetDatabaseValuesAsync(cancel).ConfigureAwait(false);
        bool apart = now is not null
            && db.ChangeTracker.Entries().All(e => e.Entity == tag || e.State is EntityState.Unchanged or EntityState.Added)
            && entry.Properties.All(p => p.Metadata.Name == nameof(Tag.Version) || !p.IsModified || Equals(now[p.Metadata], p.OriginalValue));
        if (!apart)
        {
            throw new DbUpdateConcurrencyException("The same thing was changed by someone else at the same moment.");
        }
        Dictionary<IProperty, object?> mine = entry.Properties.Where(p => p.IsModified).ToDictionary(p => (IProperty)p.Metadata, p => p.CurrentValue);
        entry.OriginalValues.SetValues(now!);
        entry.CurrentValues.SetValues(now!);
        foreach ((IProperty property, object? value) in mine)
        {
            entry.Property(property).CurrentValue = value;
        }
        tag.Version = now!.GetValue<int>(nameof(Tag.Version)) + 1;
    }

    /// <summary>Dates a tag by its looks and measurements; null when nothing was looked at.</summary>
    public static DatingReport? Date(Tag tag, PatternBook book, Assumptions assumptions, int lookNext = 0, bool weights = false) =>
        tag.Looks.Count == 0 ? null : Weigh(tag, book, assumptions, lookNext, weights);

    /// <summary>Belief about a tag, also before the first look: lines of its kind, and none of them.</summary>
    public static DatingReport Weigh(Tag tag, PatternBook book, Assumptions assumptions, int lookNext = 0, bool weights = false)
    {
        List<PatternLine> lines = Candidates(tag, book);
        List<Observation> looks = [.. tag.Looks.Where(l => Known(l, book)).Select(l => l.ToObservation())];
        bool named = lines is [{ Id: var only }] && only == tag.KnownLine;
        double other = named || lines.Count == 0 ? 0 : OtherMaker.ShareFor(looks, book, tag.KnownLine == PatternLine.OtherId, assumptions);
        return Dating.Report(
            new DatingInput(looks, book, [.. lines.Select(l => l.Id)], new Measurements(tag.LengthMm, tag.IronWidthMm), tag.Kinship(), other,
                assumptions.OddSizeShare), assumptions, weights, lookNext);
    }

    /// <summary>Lines a tag may be of: the one it is known to be of, else all of its kind.</summary>
    public static List<PatternLine> Candidates(Tag tag, PatternBook book) =>
        [.. book.LinesFor(tag.Kind).Where(l => tag.KnownLine is null || l.Id == tag.KnownLine || book.LinesFor(tag.Kind).All(k => k.Id != tag.KnownLine))];

    /// <summary>False for a look at something the book no longer has; it is kept, but says nothing.</summary>
    public static bool Known(Look look, PatternBook book) =>
        look.Trait is null || book.Traits.FirstOrDefault(t => t.Id == look.Trait)?.Answers.Contains(look.Variant ?? "") == true;

    /// <summary>Puts the lists of a tag in their order.</summary>
    public static void Sort(Tag tag)
    {
        tag.Looks.Sort((a, b) => a.Order.CompareTo(b.Order));
        tag.Aside.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Findings.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Measurements.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Counts.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Pictures.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Log.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Waits.Sort((a, b) => (a.StartedAt, a.Id).CompareTo((b.StartedAt, b.Id)));
        tag.Surveys.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Rubs.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
        tag.Proofs.Sort((a, b) => (a.At, a.Id).CompareTo((b.At, b.Id)));
    }
}
