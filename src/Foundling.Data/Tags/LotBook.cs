using Foundling.Core;
using Foundling.Core.Tags;
using Foundling.Core.Units;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;

namespace Foundling.Data.Tags;

/// <summary>Tools bought or kept together: one price, one story, several tags.</summary>
public sealed class Lot
{
    /// <summary>Key.</summary>
    public int Id { get; set; }

    /// <summary>What it is called.</summary>
    public string Name { get; set; } = "";

    /// <summary>What was paid for all of it.</summary>
    public decimal? Price { get; set; }

    /// <summary>Its story.</summary>
    public string Story { get; set; } = "";

    /// <summary>When it was put together.</summary>
    public DateTimeOffset At { get; set; }
}

/// <summary>A lot with its tags.</summary>
public sealed record LotView(Lot Lot, IReadOnlyList<Tag> Tags);

/// <summary>Reads and keeps lots.</summary>
public sealed class LotBook(FoundlingDb db, TimeProvider time)
{
    /// <summary>Longest story, letters.</summary>
    public const int MostStory = 20_000;

    /// <summary>All lots, newest first.</summary>
    public async Task<IReadOnlyList<LotView>> All(CancellationToken cancel = default)
    {
        List<Lot> lots = await db.Lots.AsNoTracking().OrderByDescending(l => l.Id).ToListAsync(cancel).ConfigureAwait(false);
        List<Tag> tags = await db.Tags.AsNoTracking().Where(t => t.LotId != null).OrderBy(t => t.Number).ToListAsync(cancel).ConfigureAwait(false);
        return [.. lots.Select(l => new LotView(l, [.. tags.Where(t => t.LotId == l.Id)]))];
    }

    /// <summary>One lot, or null.</summary>
    public async Task<LotView?> Find(int? id, CancellationToken cancel = default) =>
        id is int key && await db.Lots.FirstOrDefaultAsync(l => l.Id == key, cancel).ConfigureAwait(false) is { } lot
            ? new LotView(lot, await db.Tags.Where(t => t.LotId == key).OrderBy(t => t.Number).ToListAsync(cancel).ConfigureAwait(false)) : null;

    /// <summary>Puts a lot together.</summary>
    /// <exception cref="InputException">No name.</exception>
    public async Task<Lot> Add(string? name, decimal? price, string? story, CancellationToken cancel = default)
    {
        string called = (name ?? "").Trim(), told = (story ?? "").Trim();
        if (called.Length is 0 or > 100)
        {
            throw new InputException("required", "name", name, "1 to 100 letters", "Give the lot a name: the oak chest, the Brannoch bundle.");
        }
        if (told.Length > MostStory)
        {
            throw new InputException("too_long", "story", told.Length, $"at most {MostStory:#,0} letters",
                $"This story is {told.Length:#,0} letters long; {MostStory:#,0} is the most.");
        }
        var lot = new Lot { Name = called, Price = price, Story = told, At = time.GetUtcNow() };
        db.Lots.Add(lot);
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        return lot;
    }

    /// <summary>Puts a tag into a lot, or takes it out with null.</summary>
    /// <exception cref="InputException">No such tag.</exception>
    public async Task Put(int number, int? lot, CancellationToken cancel = default)
    {
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            // Only the one column is written, so that it stands in nobody's way.
            int put = await db.Tags.Where(t => t.Number == number).ExecuteUpdateAsync(t => t.SetProperty(x => x.LotId, lot), cancel).ConfigureAwait(false);
            if (put == 0)
            {
                throw new InputException("unknown_tag", "tag", number, "a tag of this shop", $"There is no tag {Tag.LabelOf(number)}.");
            }
            await write.Done(cancel).ConfigureAwait(false);
        }
    }

    /// <summary>Shares the lot's price out over its tags.</summary>
    /// <param name="lot">The lot.</param>
    /// <param name="weights">How much each tag counts, by number; those left out count 1.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">No price, or no tags.</exception>
    public async Task ShareOut(LotView lot, IReadOnlyDictionary<int, decimal> weights, CancellationToken cancel = default)
    {
        decimal price = lot.Lot.Price ?? throw new InputException("required", "price", null, "what was paid", "Write what was paid for the lot first.");
        IReadOnlyList<decimal> shares = Shares.Split(price, [.. lot.Tags.Select(t => weights.GetValueOrDefault(t.Number, 1))]);
        foreach ((Tag tag, decimal share) in lot.Tags.Zip(shares))
        {
            tag.Price = share;
            tag.Version++;
        }
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }
}

internal sealed class LotMapping : IEntityTypeConfiguration<Lot>
{
    public void Configure(EntityTypeBuilder<Lot> lot) => lot.HasMany<Tag>().WithOne().HasForeignKey(t => t.LotId).OnDelete(DeleteBehavior.SetNull);
}
