using System.IO.Compression;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Foundling.Core.Keys;
using Foundling.Core.Origin;
using Foundling.Core.Tags;
using Foundling.Data.Origin;
using Foundling.Data.Pictures;
using Foundling.Data.Tags;

namespace Foundling.Data.Papers;

/// <summary>A tag as it travels: see docs/formats.md.</summary>
/// <param name="Format">Always "foundling-tag".</param>
/// <param name="Version">Version of the format.</param>
/// <param name="Tag">The tag with everything on it.</param>
/// <param name="PatternBook">The pages of the pattern book its looks speak of.</param>
/// <param name="MissingPictures">Pictures whose files were gone when it was written.</param>
public sealed record TagDocument(string Format, int Version, Tag Tag, PatternBook? PatternBook = null, IReadOnlyList<string>? MissingPictures = null);

/// <summary>Writes a tag with its pictures into a zip and reads it back.</summary>
public sealed class BundleDesk(TagBook tags, PictureStore pictures, PatternShelf patterns)
{
    /// <summary>Name of the format.</summary>
    public const string Format = "foundling-tag";

    /// <summary>Version of the format.</summary>
    public const int FormatVersion = 2;

    /// <summary>Name of the document in the zip, and of the folder of its pictures.</summary>
    internal const string DocumentName = "tag.json", PictureFolder = "pictures/";

    internal static readonly JsonSerializerOptions Json = new(OpenJson.Options)
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

    /// <summary>Writes the bundle of a tag. A picture whose file is gone is named in the document as missing.</summary>
    /// <param name="tag">The tag.</param>
    /// <param name="to">Where it goes.</param>
    /// <param name="withPlaces">True to leave in the pictures where they were taken, when the camera noted it.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task Write(Tag tag, Stream to, bool withPlaces = false, CancellationToken cancel = default)
    {
        await tags.ReadLog(tag, cancel).ConfigureAwait(false);
        // A copy, so that pictures can go by other names in the bundle than in the shop.
        TagDocument document = JsonSerializer.Deserialize<TagDocument>(Document(tag, await patterns.Read(cancel).ConfigureAwait(false)), Json)!;
        var files = new Dictionary<string, byte[]>();
        var missing = new List<string>();
        foreach (IGrouping<string, Picture> same in document.Tag.Pictures.GroupBy(p => p.File))
        {
            if (pictures.Find(same.Key, PictureSize.Original) is not string path || new FileInfo(path).Length == 0)
            {
                missing.Add(same.Key);
                continue;
            }
            byte[] bytes = await File.ReadAllBytesAsync(path, cancel).ConfigureAwait(false);
            byte[] sent = withPlaces ? bytes : PlaceData.Without(bytes);
            string name = ReferenceEquals(sent, bytes) ? same.Key : PictureStore.NameOf(sent, Path.GetExtension(same.Key).TrimStart('.'));
            foreach (Picture picture in same.ToList())
            {
                picture.File = name;
            }
            files[name] = sent;
        }
        await using var zip = new ZipArchive(to, ZipArchiveMode.Create, leaveOpen: true);
        await using (Stream entry = await zip.CreateEntry(DocumentName).OpenAsync(cancel).ConfigureAwait(false))
        {
            await JsonSerializer.SerializeAsync(entry, document with { MissingPictures = missing.Count > 0 ? missing : null }, Json,
                cancel).ConfigureAwait(false);
        }
        foreach ((string name, byte[] bytes) in files)
        {
            await using Stream entry = await zip.CreateEntry(PictureFolder + name, CompressionLevel.NoCompression).OpenAsync(cancel).ConfigureAwait(false);
            await entry.WriteAsync(bytes, cancel).ConfigureAwait(false);
        }
    }
}
