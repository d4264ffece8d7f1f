using System.IO.Compression;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using System.Text.RegularExpressions;
using Foundling.Core;
using Foundling.Core.Gauges;
using Foundling.Core.Origin;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Origin;
using Foundling.Data.Pictures;
using Foundling.Data.Store;
using Foundling.Data.Tags;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Papers;

/// <summary>A tag as it travels: see docs/formats.md.</summary>
/// <param name="Format">Always "foundling-tag".</param>
/// <param name="Version">Version of the format.</param>
/// <param name="Tag">The tag with everything on it.</param>
/// <param name="PatternBook">The pages of the pattern book its looks speak of.</param>
public sealed record TagDocument(string Format, int Version, Tag Tag, PatternBook? PatternBook = null);

/// <summary>Writes a tag with its pictures into a zip and reads it back.</summary>
public sealed partial class BundleDesk(TagBook tags, PictureStore pictures, PatternShelf patterns, FoundlingDb db)
{
    /// <summary>Name of the format.</summary>
    public const string Format = "foundling-tag";

    /// <summary>Version of the format.</summary>
    public const int FormatVersion = 1;

    private const string DocumentName = "tag.json";
    private const long MostDocumentBytes = 16L * 1024 * 1024, MostBytes = 512L * 1024 * 1024;
    private const int MostEntries = 500;

    private static readonly JsonSerializerOptions Json = new(GaugeCatalogue.Json)
    {
        WriteIndented = true,
        RespectRequiredConstructorParameters = true,
        TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { OnlyWhatIsKept } },
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    };

    /// <summary>Computed members are not written: they follow from the rest.</summary>
    private static void OnlyWhatIsKept(JsonTypeInfo type)
    {
        if (type.Type.Namespace == typeof(Tag).Namespace)
        {
            for (int i = type.Properties.Count - 1; i >= 0; i--)
            {
                if (type.Properties[i].Set is null)
                {
                    type.Properties.RemoveAt(i);
                }
            }
        }
    }

    /// <summary>The JSON document of a tag.</summary>
    public static string Document(Tag tag, PatternBook book) => JsonSerializer.Serialize(new TagDocument(Format, FormatVersion, tag, Pages(tag, book)), Json);

    private static PatternBook? Pages(Tag tag, PatternBook book)
    {
        HashSet<string> looked = [.. tag.Looks.Select(l => l.Trait).OfType<string>()];
        PatternBook pages = book.Only([.. book.LinesFor(tag.Kind).Where(l => l.Variants.Keys.Any(looked.Contains)).Select(l => l.Id)]);
        return pages.Lines.Count == 0 ? null : pages;
    }

    /// <summary>Writes the bundle of a tag.</summary>
    public async Task Write(Tag tag, Stream to, CancellationToken cancel = default)
    {
        await using var zip = new ZipArchive(to, ZipArchiveMode.Create, leaveOpen: true);
        await using (Stream document = await zip.CreateEntry(DocumentName).OpenAsync(cancel).ConfigureAwait(false))
        {
            await document.WriteAsync(System.Text.Encoding.UTF8.GetBytes(Document(tag, await patterns.Read(cancel).ConfigureAwait(false))), cancel).ConfigureAwait(false);
        }
        foreach (string file in tag.Pictures.Select(p => p.File).Distinct())
        {
            if (pictures.Find(file, PictureSize.Original) is string path)
            {
                await using Stream entry = await zip.CreateEntry("pictures/" + file, CompressionLevel.NoCompression).OpenAsync(cancel).ConfigureAwait(false);
                await using FileStream original = File.OpenRead(path);
                await original.CopyToAsync(entry, cancel).ConfigureAwait(false);
            }
        }
    }

    /// <summary>Reads a bundle into this shop. A number already taken is exchanged for the next free one.</summary>
    /// <exception cref="InputException">Not a bundle, or one that does not hold together.</exception>
    public async Task<Tag> Read(Stream from, CancellationToken cancel = default)
    {
        try
        {
            await using var zip = new ZipArchive(from, ZipArchiveMode.Read, leaveOpen: true);
            return await Read(zip, cancel).ConfigureAwait(false);
        }
        catch (InvalidDataException)
        {
            throw Bad("This file is not a zip, or it is broken. Choose the papers bundle of a tag, a file ending in .zip.");
        }
    }

    private async Task<Tag> Read(ZipArchive zip, CancellationToken cancel)
    {
        if (zip.Entries.Count > MostEntries || zip.Entries.Sum(e => Math.Max(0, e.Length)) > MostBytes)
        {
            throw Bad($"This bundle is too large: at most {MostEntries} files and {MostBytes / 1024 / 1024} MB.");
        }
        if (zip.Entries.FirstOrDefault(e => e.FullName != DocumentName && !PictureEntry().IsMatch(e.FullName)) is { } stray)
        {
            throw Bad($"The bundle holds \"{stray.FullName}\", which has no place in it. Nothing was imported.");
        }
        ZipArchiveEntry document = zip.GetEntry(DocumentName) ?? throw Bad($"This zip holds no {DocumentName}, so it is no papers bundle.");
        TagDocument bundle;
        try
        {
            byte[] bytes = await Bytes(document, MostDocumentBytes, cancel).ConfigureAwait(false);
            bundle = JsonSerializer.Deserialize<TagDocument>(bytes, Json) ?? throw new JsonException();
        }
        catch (JsonException fault)
        {
            throw Bad($"The {DocumentName} of this bundle cannot be read{(fault.Path is { Length: > 1 } path ? $" at {path}" : "")}. Nothing was imported.");
        }
        if (bundle.Format != Format || bundle.Version != FormatVersion)
        {
            throw Bad($"This bundle is \"{bundle.Format}\" version {bundle.Version}; this shop reads {Format} version {FormatVersion}.");
        }
        Tag tag = bundle.Tag;
        Validate(tag);
        foreach (Picture picture in tag.Pictures)
        {
            ZipArchiveEntry entry = zip.GetEntry("pictures/" + picture.File) ?? throw Bad($"The picture {picture.File} is named but not in the bundle. Nothing was imported.");
            using var content = new MemoryStream(await Bytes(entry, PictureStore.MostBytes, cancel).ConfigureAwait(false));
            Picture kept = await pictures.Add(content, picture.File, picture.Caption, cancel).ConfigureAwait(false);
            if (kept.File != picture.File)
            {
                throw Bad($"The picture {picture.File} was changed since it was bundled. Nothing was imported.");
            }
        }
        await AddPages(bundle, cancel).ConfigureAwait(false);
        await MakeRoom(tag, cancel).ConfigureAwait(false);
        return await tags.BookIn(tag, cancel).ConfigureAwait(false);
    }

    /// <summary>Pages this shop does not have come into its book; its own are left as they are.</summary>
    private async Task AddPages(TagDocument bundle, CancellationToken cancel)
    {
        PatternBook here = await patterns.Read(cancel).ConfigureAwait(false);
        PatternBook? more = bundle.PatternBook?.Only([.. bundle.PatternBook.Lines.Select(l => l.Id).Where(id => here.Lines.All(l => l.Id != id))]);
        if (more is { Lines.Count: > 0 })
        {
            await patterns.Change($"Pages that came with {bundle.Tag.Label}", book => book.Join(more), cancel).ConfigureAwait(false);
        }
    }

    private static void Validate(Tag tag)
    {
        ToolCatalogue.Kind(tag.Kind);
        bool whole = tag.Number is > 0 and < 1_000_000
            && tag.Pictures.All(p => PictureStore.IsFileName(p.File))
            && tag.Looks.All(l => l.Trait is null ? l.Mark is not null : l.Variant is not null)
            && tag.Findings.All(f => f.Severity is >= 0 and <= FindingScales.Worst)
            && tag.Steps.Select(s => s.Key).Distinct().Count() == tag.Steps.Count;
        if (!whole)
        {
            throw Bad("The tag in this bundle does not hold together: its number, pictures, findings or steps are out of range. Nothing was imported.");
        }
        foreach (Look mark in tag.Looks.Where(l => l.Mark is not null))
        {
            mark.ToObservation().MarkWindow(Assumptions.Standard);
        }
        foreach (CountRecord count in tag.Counts)
        {
            count.Grid();
            count.Result();
        }
        foreach (SoleRecord survey in tag.Surveys)
        {
            Core.Soles.GridSurvey.Read(survey.Input);
        }
        foreach (ProofRecord proof in tag.Proofs)
        {
            proof.Judge();
        }
    }

    /// <summary>Gives the tag a free number, and its parts new keys where this shop has used them already.</summary>
    private async Task MakeRoom(Tag tag, CancellationToken cancel)
    {
        if (!await db.Tags.AnyAsync(t => t.Number == tag.Number, cancel).ConfigureAwait(false))
        {
            return;
        }
        tag.Number = await tags.NextNumber(cancel).ConfigureAwait(false);
        tag.Looks.ForEach(x => x.Id = Guid.CreateVersion7());
        tag.Aside.ForEach(x => x.Id = Guid.CreateVersion7());
        tag.Counts.ForEach(x => x.Id = Guid.CreateVersion7());
        tag.Measurements.ForEach(x => x.Id = Guid.CreateVersion7());
        tag.Findings.ForEach(x => x.Id = Guid.CreateVersion7());
        foreach (Picture picture in tag.Pictures)
        {
            var id = Guid.CreateVersion7();
            tag.Looks.FindAll(l => l.PictureId == picture.Id).ForEach(l => l.PictureId = id);
            tag.Findings.FindAll(f => f.PictureId == picture.Id).ForEach(f => f.PictureId = id);
            tag.Counts.FindAll(c => c.PictureId == picture.Id).ForEach(c => c.PictureId = id);
            picture.Id = id;
        }
        tag.Log.ForEach(x => x.Id = Guid.CreateVersion7());
        tag.Waits.ForEach(x => x.Id = Guid.CreateVersion7());
        tag.Surveys.ForEach(x => x.Id = Guid.CreateVersion7());
        tag.Proofs.ForEach(x => x.Id = Guid.CreateVersion7());
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

    private static InputException Bad(string sentence) => new("not_a_bundle", "bundle", null, "a papers bundle", sentence);

    [GeneratedRegex(@"^pictures/[0-9a-f]{32}\.(jpg|png|webp)$")]
    private static partial Regex PictureEntry();
}
