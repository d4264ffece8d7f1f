using System.IO.Compression;
using System.Text.Json;
using Foundling.Core;
using Foundling.Core.Keys;
using Foundling.Core.Origin;
using Foundling.Core.Units;
using Foundling.Data.Reference;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;

namespace Foundling.Data.Origin;

/// <summary>The pattern book as it stood after a change. A change never overwrites one before it, so it can be taken back.</summary>
public sealed class BookVersion
{
    /// <summary>Running number.</summary>
    public int Number { get; set; }

    /// <summary>The version it was made from; null for the first.</summary>
    public int? Before { get; set; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>What was changed, in words.</summary>
    public string What { get; set; } = "";

    /// <summary>What a file held that could not be taken, one sentence a line; empty for none.</summary>
    public string LeftOut { get; set; } = "";

    /// <summary>The book, JSON packed with gzip.</summary>
    public byte[] Book { get; set; } = [];

    /// <summary>True for the one in use.</summary>
    public bool Current { get; set; }
}

/// <summary>Where the book stands among its changes.</summary>
/// <param name="Undo">The change that can be taken back, in words; null for none.</param>
/// <param name="Redo">The change that can be made again; null for none.</param>
/// <param name="LeftOut">What the last import could not take, one sentence each.</param>
public sealed record BookHistory(string? Undo, string? Redo, IReadOnlyList<string> LeftOut);

/// <summary>The book in use, read once for as long as it is not changed.</summary>
public sealed class PatternCache
{
    private volatile Entry? _entry;

    /// <summary>The book of a version, or null when it is not at hand.</summary>
    public PatternBook? Get(int number) => _entry is { } entry && entry.Number == number ? entry.Book : null;

    /// <summary>Keeps a book at hand.</summary>
    public void Put(int number, PatternBook book) => _entry = new Entry(number, book);

    private sealed record Entry(int Number, PatternBook Book);
}

/// <summary>Reads and changes the shop's pattern book.</summary>
public sealed class PatternShelf(FoundlingDb db, PatternCache cache, TimeProvider time)
{
    /// <summary>Versions kept to go back to.</summary>
    public const int Kept = 200;

    private const int MostFaults = 100;

    /// <summary>The book; a new shop starts with the sample lines.</summary>
    public async Task<PatternBook> Read(CancellationToken cancel = default)
    {
        int number = await db.BookVersions.Where(v => v.Current).Select(v => v.Number).FirstOrDefaultAsync(cancel).ConfigureAwait(false);
        if (number == 0)
        {
            return ReferenceData.Book;
        }
        if (cache.Get(number) is { } known)
        {
            return known;
        }
        PatternBook book = Unpack(await db.BookVersions.Where(v => v.Number == number).Select(v => v.Book).FirstAsync(cancel).ConfigureAwait(false));
        cache.Put(number, book);
        return book;
    }

    /// <summary>Makes a change and keeps the book as it was to go back to.</summary>
    /// <param name="what">What is changed, in words.</param>
    /// <param name="change">The change.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">The change does not hold together; nothing is kept.</exception>
    public Task<PatternBook> Change(string what, Func<PatternBook, PatternBook> change, CancellationToken cancel = default) =>
        Change(book => (what, change(book), []), cancel);

    /// <summary>Reads a file of pattern pages into the book. What could not be taken is kept with the change, to be read later.</summary>
    /// <exception cref="InputException">Nothing in the file can be read.</exception>
    public Task<PatternBook> Import(string name, string text, CancellationToken cancel = default) => Change(book =>
    {
        PatternImport import = PatternFile.Read(text, book);
        return ($"Import of {name}", import.Book, import.Faults);
    }, cancel);

    private async Task<PatternBook> Change(Func<PatternBook, (string What, PatternBook After, IReadOnlyList<string> LeftOut)> change, CancellationToken cancel)
    {
        // The change is reckoned before anything is locked; only when the book is still the same it is kept.
        int number = await db.BookVersions.Where(v => v.Current).Select(v => v.Number).FirstOrDefaultAsync(cancel).ConfigureAwait(false);
        PatternBook before = await Read(cancel).ConfigureAwait(false);
        (string what, PatternBook after, IReadOnlyList<string> leftOut) = change(before);
        byte[] packed = Pack(after);
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            BookVersion? current = await Current(cancel).ConfigureAwait(false);
            if ((current?.Number ?? 0) != number)
            {
                throw new DbUpdateConcurrencyException("The pattern book was changed by someone else at the same moment.");
            }
            await Keep(current, before, what, packed, leftOut, cancel).ConfigureAwait(false);
            await write.Done(cancel).ConfigureAwait(false);
        }
        return after;
    }

    private async Task Keep(BookVersion? current, PatternBook before, string what, byte[] packed, IReadOnlyList<string> leftOut, CancellationToken cancel)
    {
        if (current is null)
        {
            current = new BookVersion { Number = 1, At = time.GetUtcNow(), What = "The sample lines", Book = Pack(before) };
            db.BookVersions.Add(current);
        }
        int next = Math.Max(1, await db.BookVersions.MaxAsync(v => (int?)v.Number, cancel).ConfigureAwait(false) ?? 0) + 1;
        current.Current = false;
        db.BookVersions.Add(new BookVersion
        {
            Number = next, Before = current.Number, At = time.GetUtcNow(), What = Shorten.To(what, 200), LeftOut = string.Join('\n', leftOut.Take(MostFaults)),
            Book = packed, Current = true,
        });
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        await db.BookVersions.Where(v => v.Number <= next - Kept).ExecuteDeleteAsync(cancel).ConfigureAwait(false);
    }

    /// <summary>What can be taken back, and what can be done again, in words, and what the last file held that could not be taken.</summary>
    public async Task<BookHistory> History(CancellationToken cancel = default)
    {
        var current = await db.BookVersions.AsNoTracking().Where(v => v.Current).Select(v =>
            new { v.Number, v.Before, v.What, v.LeftOut }).FirstOrDefaultAsync(cancel).ConfigureAwait(false);
        if (current is null)
        {
            return new BookHistory(null, null, []);
        }
        bool back = current.Before is int before && await db.BookVersions.AnyAsync(v => v.Number == before, cancel).ConfigureAwait(false);
        string? redo = await db.BookVersions.Where(v => v.Before == current.Number).OrderByDescending(v => v.Number).Select(v =>
            v.What).FirstOrDefaultAsync(cancel).ConfigureAwait(false);
        return new BookHistory(back ? current.What : null, redo, current.LeftOut.Split('\n', StringSplitOptions.RemoveEmptyEntries));
    }

    /// <summary>Takes the last change back; false when there is none.</summary>
    public Task<bool> Undo(CancellationToken cancel = default) => Move(c => db.BookVersions.Where(v => v.Number == c.Before), cancel);

    /// <summary>Makes the change that was taken back again; false when there is none.</summary>
    public Task<bool> Redo(CancellationToken cancel = default) => Move(c => db.BookVersions.Where(v => v.Before == c.Number).OrderByDescending(v => v.Number),
        cancel);

    private async Task<bool> Move(Func<BookVersion, IQueryable<BookVersion>> to, CancellationToken cancel)
    {
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            if (await Current(cancel).ConfigureAwait(false) is not { } current
                || await to(current).FirstOrDefaultAsync(cancel).ConfigureAwait(false) is not { } other)
            {
                return false;
            }
            (current.Current, other.Current) = (false, true);
            await db.SaveChangesAsync(cancel).ConfigureAwait(false);
            await write.Done(cancel).ConfigureAwait(false);
            return true;
        }
    }

    private Task<BookVersion?> Current(CancellationToken cancel) => db.BookVersions.FirstOrDefaultAsync(v => v.Current, cancel);

    private static byte[] Pack(PatternBook book)
    {
        using var memory = new MemoryStream();
        using (var gzip = new GZipStream(memory, CompressionLevel.Fastest))
        {
            JsonSerializer.Serialize(gzip, book, OpenJson.Options);
        }
        return memory.ToArray();
    }

    private static PatternBook Unpack(byte[] packed)
    {
        using var gzip = new GZipStream(new MemoryStream(packed), CompressionMode.Decompress);
        return JsonSerializer.Deserialize<PatternBook>(gzip, OpenJson.Options)!;
    }
}

internal sealed class BookVersionMapping : IEntityTypeConfiguration<BookVersion>
{
    public void Configure(EntityTypeBuilder<BookVersion> version)
    {
        version.HasKey(v => v.Number);
        version.Property(v => v.Number).ValueGeneratedNever();
        version.HasIndex(v => v.Current);
    }
}
