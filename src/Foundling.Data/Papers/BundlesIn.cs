using System.IO.Compression;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Foundling.Core;
using Foundling.Core.Log;
using Foundling.Core.Origin;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Kinds;
using Foundling.Data.Origin;
using Foundling.Data.Papers.Format;
using Foundling.Data.Pictures;
using Foundling.Data.Shop;
using Foundling.Data.Store;
using Foundling.Data.Tags;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Papers;

/// <summary>A bundle that was judged and waits to be taken.</summary>
/// <param name="Id">Key under which it waits.</param>
/// <param name="Tag">The tag in it.</param>
/// <param name="Gone">Pictures it names but does not hold.</param>
/// <param name="Pages">Pages of the pattern book in it that this shop does not have.</param>
/// <param name="Number">Number the tag would get here.</param>
/// <param name="Unknown">What it says that this version does not know, by name; it is kept as it is.</param>
public sealed record BundleView(string Id, Tag Tag, IReadOnlyList<string> Gone, PatternBook Pages, int Number, IReadOnlyList<string> Unknown);

/// <summary>
/// Takes bundles from other shops in: a bundle is judged whole before anything of it is kept, shown, and then taken or let go.
/// </summary>
public sealed partial class BundlesIn(TagBook tags, PictureStore pictures, PatternShelf patterns, ShopDesk shop, KindShelf kinds,
    FoundlingDb db, DataFolder folder, TimeProvider time)
{
    private const long MostDocumentBytes = 16L * 1024 * 1024, MostBytes = 512L * 1024 * 1024;
    private const int MostEntries = 500, MostLines = 60;

    private static readonly InputLimits Limits = new(Items: 30_000, All: 2_000_000, Letters: 20_000);

    /// <summary>Judges a bundle and holds it until it is taken or let go.</summary>
    /// <exception cref="InputException">Not a bundle, or one that does not hold together; nothing of it is kept.</exception>
    public async Task<BundleView> Receive(Stream from, CancellationToken cancel = default)
    {
        string id = Guid.NewGuid().ToString("N");
        try
        {
            TagDocument document;
            await using (var zip = new ZipArchive(from, ZipArchiveMode.Read, leaveOpen: true))
            {
                document = await Judge(zip, await shop.Assumed(cancel).ConfigureAwait(false), cancel).ConfigureAwait(false);
                foreach (string file in document.Tag.Pictures.Select(p => p.File).Distinct())
                {
                    await Keep(zip, file, cancel).ConfigureAwait(false);
                }
            }
            // Only the document waits: its pictures are in the store already, to be swept if nobody takes them.
            await Durable.Write(PathOf(id), JsonSerializer.SerializeToUtf8Bytes(document, BundleDesk.Json), cancel).ConfigureAwait(false);
            return await View(id, document, cancel).ConfigureAwait(false);
        }
        catch (Exception fault) when (fault is not InputException && (fault is InvalidDataException or NotSupportedException or ArgumentException
            || (fault is IOException && StoreFault.Of(fault) is null)))
        {
            throw Bad("This file is not a zip, or it is broken. Choose the papers bundle of a tag, a file ending in .zip.");
        }
    }

    /// <summary>A bundle that waits, or null.</summary>
    public async Task<BundleView?> Held(string? id, CancellationToken cancel = default) =>
        await Read(id, cancel).ConfigureAwait(false) is { } document ? await View(id!, document, cancel).ConfigureAwait(false) : null;

    /// <summary>Takes a bundle that waits into the shop. A number already taken is exchanged for the next free one.</summary>
    /// <param name="id">Key under which it waits.</param>
    /// <param name="pages">Lines of its pattern pages that come into this shop's book.</param>
    /// <param name="cancel">Stops it.</param>
    /// <exception cref="InputException">It does not wait any more.</exception>
    public async Task<Tag> Take(string? id, IReadOnlyCollection<string> pages, CancellationToken cancel = default)
    {
        TagDocument document = await Read(id, cancel).ConfigureAwait(false) ?? throw Bad("That bundle does not wait here any more; send it again.");
        Teach(document);
        if (document.Tag.KindFile is { } kind)
        {
            await kinds.Keep(kind, cancel).ConfigureAwait(false);
        }
        Tag tag = TagPapers.From(document.Tag);
        PatternBook here = await patterns.Read(cancel).ConfigureAwait(false);
        PatternBook more = New(document, here).Only([.. pages]);
        if (more.Lines.Count > 0)
        {
            await patterns.Change($"Pages that came with {tag.Label}", book => book.Join(more), cancel).ConfigureAwait(false);
        }
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            if (await db.Tags.AnyAsync(t => t.Number == tag.Number, cancel).ConfigureAwait(false) || await AnyKnown(tag, cancel).ConfigureAwait(false))
            {
                tag = TagPapers.From(await MakeRoom(document.Tag, cancel).ConfigureAwait(false));
            }
            tag.ImportedAt = time.GetUtcNow();
            await tags.BookIn(tag, cancel).ConfigureAwait(false);
            await write.Done(cancel).ConfigureAwait(false);
        }
        return tag;
    }

    /// <summary>Lets a bundle go.</summary>
    public void LetGo(string? id)
    {
        if (IsKey(id))
        {
            File.Delete(PathOf(id!));
        }
    }

    /// <summary>Takes a tag that came in a bundle out of the shop again.</summary>
    /// <exception cref="InputException">It did not come in a bundle.</exception>
    public async Task TakeOut(Tag tag, CancellationToken cancel = default)
    {
        if (tag.ImportedAt is null)
        {
            throw Bad("Only a tag that came in a bundle can be taken out again.");
        }
        await db.Clock.Where(c => c.TagNumber == tag.Number).ExecuteDeleteAsync(cancel).ConfigureAwait(false);
        db.Tags.Remove(tag);
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
    }

    private static async Task<TagDocument> Judge(ZipArchive zip, Core.Assumptions assumptions, CancellationToken cancel)
    {
        if (zip.Entries.Count > MostEntries || zip.Entries.Sum(e => Math.Max(0, e.Length)) > MostBytes)
        {
            throw Bad($"This bundle is too large: at most {MostEntries} files and {MostBytes / 1024 / 1024} MB.");
        }
        if (zip.Entries.FirstOrDefault(e => e.FullName != BundleDesk.DocumentName && !PictureEntry().IsMatch(e.FullName)) is { } stray)
        {
            throw Bad($"The bundle holds \"{stray.FullName}\", which has no place in it. Nothing was imported.");
        }
        if (zip.Entries.GroupBy(e => e.FullName).FirstOrDefault(g => g.Count() > 1) is { } twice)
        {
            throw Bad($"The bundle holds \"{twice.Key}\" twice. Nothing was imported.");
        }
        ZipArchiveEntry entry = zip.GetEntry(BundleDesk.DocumentName) ?? throw Bad($"This zip holds no {BundleDesk.DocumentName}, so it is no papers bundle.");
        TagDocument document;
        try
        {
            byte[] bytes = await Bytes(entry, MostDocumentBytes, cancel).ConfigureAwait(false);
            JsonNode? node = JsonNode.Parse(bytes);
            if (node is JsonObject older && older["version"] is JsonValue version && version.TryGetValue(out int number) && number == OlderTag.Version)
            {
                node = OlderTag.Read(older);
            }
            document = node.Deserialize<TagDocument>(BundleDesk.Json) ?? throw new JsonException();
        }
        catch (Exception fault) when (fault is not InputException and (JsonException or InvalidOperationException or ArgumentException))
        {
            throw Bad($"The {BundleDesk.DocumentName} of this bundle cannot be "
                + $"read{((fault as JsonException)?.Path is { Length: > 1 } path ? $" at {path}" : "")}. Nothing was imported.");
        }
        if (document.Format != BundleDesk.FormatName || document.Version != BundleDesk.FormatVersion)
        {
            throw Bad($"This bundle is \"{document.Format}\" version {document.Version}; this shop reads {BundleDesk.FormatName} version "
                + $"{BundleDesk.FormatVersion}.");
        }
        try
        {
            // A drawing is longer than anything a person writes, and is judged with its kind.
            InputGuard.Check(document with { Tag = document.Tag with { KindFile = null } }, Limits);
        }
        catch (InputException fault)
        {
            throw Bad($"{fault.Sentence} Nothing was imported.");
        }
        Teach(document);
        if (document.Tag.Pictures.FirstOrDefault(p => !PictureStore.IsFileName(p.File)) is not null)
        {
            throw Bad("The tag in this bundle does not hold together: a picture has a name that is none. Nothing was imported.");
        }
        if (TagCheck.Of(Mapped(document.Tag), assumptions) is [{ } first, ..] faults)
        {
            throw Bad("The tag in this bundle does not hold together: "
                + $"{first.Sentence}{(faults.Count > 1 ? $" And {faults.Count - 1} more of the kind." : "")} Nothing was imported.");
        }
        Judge(document.PatternBook);
        return document;
    }

    /// <summary>Tells the program of the kind a bundle brings; it is kept with the tag, or forgotten at the next start.</summary>
    private static void Teach(TagDocument document)
    {
        try
        {
            if (document.Tag.KindFile is not { } file)
            {
                return;
            }
            if (file.Kind != document.Tag.Kind)
            {
                throw Bad("The kind that comes with this bundle is another than its tag's. Nothing was imported.");
            }
            _ = ToolCatalogue.Learn(file);
        }
        catch (InputException fault) when (fault.ErrorKey == "kind_file")
        {
            throw Bad($"The kind that comes with this bundle cannot be taken: {fault.Sentence} Nothing was imported.");
        }
    }

    private static Tag Mapped(TagBody tag)
    {
        try
        {
            return TagPapers.From(tag);
        }
        catch (InputException fault)
        {
            throw Bad($"{fault.Sentence} Nothing was imported.");
        }
    }

    private static void Judge(PatternBook? pages)
    {
        if (pages is null)
        {
            return;
        }
        if (pages.Lines.Count > MostLines)
        {
            throw Bad($"This bundle brings {pages.Lines.Count} lines for the pattern book; {MostLines} are the most. Nothing was imported.");
        }
        try
        {
            // Joined to an empty book, so that they are judged by themselves.
            _ = new PatternBook([], []).Join(pages);
        }
        catch (InputException fault)
        {
            throw Bad($"The pattern pages in this bundle do not hold together: {fault.Sentence} Nothing was imported.");
        }
    }

    private async Task Keep(ZipArchive zip, string file, CancellationToken cancel)
    {
        if (zip.GetEntry(BundleDesk.PictureFolder + file) is not { } entry)
        {
            return;
        }
        using var content = new MemoryStream(await Bytes(entry, PictureStore.MostBytes, cancel).ConfigureAwait(false));
        Picture kept = await pictures.Add(content, file, "", cancel).ConfigureAwait(false);
        if (kept.File != file)
        {
            throw Bad($"The picture {file} was changed since it was bundled. Nothing was imported.");
        }
    }

    private async Task<TagDocument?> Read(string? id, CancellationToken cancel)
    {
        if (!IsKey(id) || !File.Exists(PathOf(id!)))
        {
            return null;
        }
        return JsonSerializer.Deserialize<TagDocument>(await File.ReadAllBytesAsync(PathOf(id!), cancel).ConfigureAwait(false), BundleDesk.Json);
    }

    private async Task<BundleView> View(string id, TagDocument document, CancellationToken cancel)
    {
        int number = await db.Tags.AnyAsync(t => t.Number == document.Tag.Number, cancel).ConfigureAwait(false)
            ? await tags.NextNumber(cancel).ConfigureAwait(false) : document.Tag.Number;
        List<string> gone = [.. document.Tag.Pictures.Select(p => p.File).Distinct().Where(f => !pictures.IsWhole(f))];
        return new BundleView(id, TagPapers.From(document.Tag), gone, New(document, await patterns.Read(cancel).ConfigureAwait(false)), number,
            Unread.Names(document.Tag));
    }

    /// <summary>Pages of a bundle that this shop does not have; its own are left as they are.</summary>
    private static PatternBook New(TagDocument document, PatternBook here) =>
        document.PatternBook is { } pages ? pages.Only([.. pages.Lines.Select(l => l.Id).Where(id => here.Lines.All(l => l.Id != id))]) : new PatternBook([],
            []);

    private async Task<bool> AnyKnown(Tag tag, CancellationToken cancel) =>
        await Known<Look>(tag.Looks.Select(x => x.Id), cancel).ConfigureAwait(false) || await Known<LookAside>(tag.Aside.Select(x => x.Id),
            cancel).ConfigureAwait(false)
        || await Known<Finding>(tag.Findings.Select(x => x.Id), cancel).ConfigureAwait(false) || await Known<Measurement>(tag.Measurements.Select(x => x.Id),
            cancel).ConfigureAwait(false)
        || await Known<CountRecord>(tag.Counts.Select(x => x.Id), cancel).ConfigureAwait(false) || await Known<Picture>(tag.Pictures.Select(x => x.Id),
            cancel).ConfigureAwait(false)
        || await Known<BenchEvent>(tag.Log.Select(x => x.Id), cancel).ConfigureAwait(false) || await Known<Wait>(tag.Waits.Select(x => x.Id),
            cancel).ConfigureAwait(false)
        || await Known<RubRecord>((tag.Rubs ?? []).Select(x => x.Id), cancel).ConfigureAwait(false)
        || await Known<SoleRecord>(tag.Surveys.Select(x => x.Id), cancel).ConfigureAwait(false) || await Known<ProofRecord>(tag.Proofs.Select(x => x.Id),
            cancel).ConfigureAwait(false);

    private async Task<bool> Known<T>(IEnumerable<Guid> keys, CancellationToken cancel)
        where T : class
    {
        Guid[] all = [.. keys];
        return all.Length > 0 && await db.Set<T>().AnyAsync(x => all.Contains(EF.Property<Guid>(x, "Id")), cancel).ConfigureAwait(false);
    }

    /// <summary>Gives a tag a free number, and everything on it new keys.</summary>
    private async Task<TagBody> MakeRoom(TagBody tag, CancellationToken cancel)
    {
        Dictionary<Guid, Guid> pictures = tag.Pictures.ToDictionary(p => p.Id, _ => Guid.CreateVersion7());
        Dictionary<Guid, Guid> events = tag.Log.ToDictionary(e => e.Id, _ => Guid.CreateVersion7());
        static Guid? Now(Dictionary<Guid, Guid> keys, Guid? old) => old is Guid id && keys.TryGetValue(id, out Guid now) ? now : null;
        return tag with
        {
            Number = await db.Tags.AnyAsync(t => t.Number == tag.Number, cancel).ConfigureAwait(false)
                ? await tags.NextNumber(cancel).ConfigureAwait(false) : tag.Number,
            Pictures = [.. tag.Pictures.Select(x => x with { Id = pictures[x.Id] })],
            Looks = [.. tag.Looks.Select(x => x with { Id = Guid.CreateVersion7(), PictureId = Now(pictures, x.PictureId) })],
            Aside = [.. tag.Aside.Select(x => x with { Id = Guid.CreateVersion7() })],
            Counts = [.. tag.Counts.Select(x => x with { Id = Guid.CreateVersion7(), PictureId = pictures[x.PictureId] })],
            Measurements = [.. tag.Measurements.Select(x => x with { Id = Guid.CreateVersion7() })],
            Findings = [.. tag.Findings.Select(x => x with { Id = Guid.CreateVersion7(), PictureId = Now(pictures, x.PictureId) })],
            Log = [.. tag.Log.Select(x => x with { Id = events[x.Id], Corrects = Now(events, x.Corrects) })],
            Waits = [.. tag.Waits.Select(x => x with { Id = Guid.CreateVersion7() })],
            Surveys = [.. tag.Surveys.Select(x => x with { Id = Guid.CreateVersion7() })],
            Rubs = tag.Rubs is null ? null : [.. tag.Rubs.Select(x => x with { Id = Guid.CreateVersion7() })],
            Proofs = [.. tag.Proofs.Select(x => x with { Id = Guid.CreateVersion7() })],
        };
    }

    private static async Task<byte[]> Bytes(ZipArchiveEntry entry, long most, CancellationToken cancel)
    {
        await using Stream stream = await entry.OpenAsync(cancel).ConfigureAwait(false);
        using var memory = new MemoryStream();
        byte[] buffer = new byte[81_920];
        int read;
        // The sizes in a zip are only claims, so what really comes out is counted.
        while ((read = await stream.ReadAsync(buffer, cancel).ConfigureAwait(false)) > 0)
        {
            memory.Write(buffer, 0, read);
            if (memory.Length > most)
            {
                throw Bad($"\"{entry.FullName}\" in this bundle is too large. Nothing was imported.");
            }
        }
        return memory.ToArray();
    }

    private string PathOf(string id) => Path.Combine(folder.Incoming, id + ".json");

    private static bool IsKey(string? id) => id is { Length: 32 } && id.All(char.IsAsciiHexDigitLower);

    private static InputException Bad(string sentence) => new("not_a_bundle", "bundle", null, "a papers bundle", sentence);

    [GeneratedRegex(@"^pictures/[0-9a-f]{32}\.(jpg|png|webp)\z")]
    private static partial Regex PictureEntry();
}
