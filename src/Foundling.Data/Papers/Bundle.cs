using System.IO.Compression;
using System.Text.Json;
using System.Text.Json.Serialization;
using Foundling.Core.Keys;
using Foundling.Core.Origin;
using Foundling.Core.Tags;
using Foundling.Data.Origin;
using Foundling.Data.Papers.Format;
using Foundling.Data.Pictures;
using Foundling.Data.Tags;

namespace Foundling.Data.Papers;

/// <summary>Writes a tag with its pictures into a zip and reads it back.</summary>
public sealed class BundleDesk(TagBook tags, PictureStore pictures, PatternShelf patterns)
{
    /// <summary>Name of the format.</summary>
    public const string FormatName = "foundling-tag";

    /// <summary>Version of the format.</summary>
    public const int FormatVersion = 2;

    /// <summary>Name of the document in the zip, and of the folder of its pictures.</summary>
    internal const string DocumentName = "tag.json", PictureFolder = "pictures/";

    internal static readonly JsonSerializerOptions Json = new(OpenJson.Options)
    {
        WriteIndented = true,
        RespectRequiredConstructorParameters = true,
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    };

    /// <summary>The JSON document of a tag.</summary>
    public static string Document(Tag tag, PatternBook book) => JsonSerializer.Serialize(Written(tag, book), Json);

    private static TagDocument Written(Tag tag, PatternBook book) => new(FormatName, FormatVersion, TagPapers.Of(tag), Pages(tag, book));

    private static PatternBook? Pages(Tag tag, PatternBook book)
    {
        HashSet<string> looked = [.. tag.Looks.Select(l => l.Trait).OfType<string>()];
        PatternBook pages = book.Only([.. book.LinesFor(tag.Kind).Where(l => l.Variants.Keys.Any(looked.Contains)).Select(l => l.Id)]);
        return pages.Lines.Count == 0 ? null : pages;
    }

    /// <summary>Writes the bundle of a tag. A picture whose file is gone is named in the document as missing.</summary>
    /// <param name="tag">The tag.</param>
    /// <param name="to">Where it goes.</param>
    /// <param name="withPlaces">True to leave in the pictures where they were taken, when the camera noted it.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task Write(Tag tag, Stream to, bool withPlaces = false, CancellationToken cancel = default)
    {
        await tags.ReadLog(tag, cancel).ConfigureAwait(false);
        TagDocument document = Written(tag, await patterns.Read(cancel).ConfigureAwait(false));
        var files = new Dictionary<string, byte[]>();
        var names = new Dictionary<string, string>();
        var missing = new List<string>();
        foreach (string file in document.Tag.Pictures.Select(p => p.File).Distinct())
        {
            if (pictures.Find(file, PictureSize.Original) is not string path || new FileInfo(path).Length == 0)
            {
                missing.Add(file);
                continue;
            }
            byte[] bytes = await File.ReadAllBytesAsync(path, cancel).ConfigureAwait(false);
            byte[] sent = withPlaces ? bytes : PlaceData.Without(bytes);
            names[file] = ReferenceEquals(sent, bytes) ? file : PictureStore.NameOf(sent, Path.GetExtension(file).TrimStart('.'));
            files[names[file]] = sent;
        }
        document = document with
        {
            // Without its place notes a picture is another file, and is named by what it is then.
            Tag = document.Tag with { Pictures = [.. document.Tag.Pictures.Select(p => p with { File = names.GetValueOrDefault(p.File, p.File) })] },
            MissingPictures = missing.Count > 0 ? missing : null,
        };
        await using var zip = new ZipArchive(to, ZipArchiveMode.Create, leaveOpen: true);
        await using (Stream entry = await zip.CreateEntry(DocumentName).OpenAsync(cancel).ConfigureAwait(false))
        {
            await JsonSerializer.SerializeAsync(entry, document, Json, cancel).ConfigureAwait(false);
        }
        foreach ((string name, byte[] bytes) in files)
        {
            await using Stream entry = await zip.CreateEntry(PictureFolder + name, CompressionLevel.NoCompression).OpenAsync(cancel).ConfigureAwait(false);
            await entry.WriteAsync(bytes, cancel).ConfigureAwait(false);
        }
    }
}
