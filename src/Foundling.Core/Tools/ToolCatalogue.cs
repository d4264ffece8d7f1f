using System.Collections.Concurrent;
using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.Tools;

/// <summary>
/// Every kind of tool the program knows: those it ships as files, and those a shop made. A shop's kind is told to it when the shop opens
/// or takes one in; its key is made so that no two shops mean different things by one.
/// </summary>
public static class ToolCatalogue
{
    private const string Folder = "kinds/", Ending = ".json";

    private const int MostOwn = 1000;

    private static readonly (ToolKind Kind, Lazy<Profile> Drawing)[] Shipped = [.. typeof(ToolCatalogue).Assembly.GetManifestResourceNames()
        .Where(n => n.StartsWith(Folder, StringComparison.Ordinal) && n.EndsWith(Ending, StringComparison.Ordinal)).Select(Ship)
        .OrderBy(s => s.Kind.Family).ThenBy(s => s.Kind.File.Order).ThenBy(s => s.Kind.Id)];

    private static readonly ConcurrentDictionary<KindId, (ToolKind Kind, Lazy<Profile> Drawing)> Known = new(Shipped.ToDictionary(s => s.Kind.Id));

    /// <summary>The kinds the program ships, by family.</summary>
    public static IReadOnlyList<ToolKind> Kinds { get; } = [.. Shipped.Select(s => s.Kind)];

    /// <summary>Finds a kind.</summary>
    /// <exception cref="InputException">No such kind.</exception>
    public static ToolKind Kind(KindId id) => Find(id).Kind;

    /// <summary>The drawing of a kind at its nominal size.</summary>
    /// <exception cref="InputException">No such kind.</exception>
    public static Profile Drawing(KindId id) => Find(id).Drawing.Value;

    /// <summary>True for a kind that is known.</summary>
    public static bool Knows(KindId id) => Known.ContainsKey(id);

    /// <summary>True for a kind the program ships.</summary>
    public static bool Ships(KindId id) => Kinds.Any(k => k.Id == id);

    /// <summary>The drawing of a kind as it is written.</summary>
    /// <exception cref="InputException">No such kind.</exception>
    public static string Svg(KindId id) => Kind(id).File.Drawing ?? Text($"{Folder}{id}.svg");

    /// <summary>Takes in a kind a shop made. The one that has its key already stays.</summary>
    /// <param name="file">Its file, with its drawing in it.</param>
    /// <returns>The kind that has this key now.</returns>
    /// <exception cref="InputException">It does not hold together, has the key of a kind that is shipped, or there are too many.</exception>
    public static ToolKind Learn(KindFile file)
    {
        (ToolKind Kind, Lazy<Profile> Drawing) read = Read(file);
        return Known.GetOrAdd(file.Kind, _ => read).Kind;
    }

    /// <summary>Takes in a kind a shop made, in place of what was known by its key.</summary>
    /// <param name="file">Its file, with its drawing in it.</param>
    /// <exception cref="InputException">It does not hold together, has the key of a kind that is shipped, or there are too many.</exception>
    public static ToolKind LearnAnew(KindFile file) => (Known[file.Kind] = Read(file, anew: true)).Kind;

    private static (ToolKind Kind, Lazy<Profile> Drawing) Read(KindFile file, bool anew = false)
    {
        if (Known.TryGetValue(file.Kind, out (ToolKind Kind, Lazy<Profile>) known) && (!anew || Ships(file.Kind)))
        {
            return Ships(file.Kind) ? throw KindReader.Wrong("kind", $"\"{file.Kind}\" is a kind this program has of its own.") : known;
        }
        KindReader.Check(file);
        if (!file.Kind.Value.StartsWith(KindDraft.Prefix, StringComparison.Ordinal) || file.Drawing is not { } drawing)
        {
            throw KindReader.Wrong("kind", $"A kind that comes from elsewhere has a key that begins with \"{KindDraft.Prefix}\", and its drawing in it.");
        }
        if (Known.Count >= MostOwn && !Known.ContainsKey(file.Kind))
        {
            throw KindReader.Wrong("kind", $"{MostOwn:#,0} kinds are the most.");
        }
        return (KindReader.Kind(file), new Lazy<Profile>(KindDrawing.Read(drawing, file)));
    }

    /// <summary>True for a part that some kind has, a shop's own among them.</summary>
    public static bool NamesPart(PartId part) => Known.Values.Any(k => k.Kind.Made(part));

    /// <summary>Kinds whose name or key has these words in it.</summary>
    public static IReadOnlyList<KindId> Named(string words) => [.. Known.Values.Select(k => k.Kind).Where(k =>
        k.Name.Contains(words, StringComparison.OrdinalIgnoreCase) || k.Id.Value.Contains(words, StringComparison.OrdinalIgnoreCase)).Select(k => k.Id)];

    private static (ToolKind Kind, Lazy<Profile> Drawing) Find(KindId id) => Known.TryGetValue(id, out (ToolKind, Lazy<Profile>) found) ? found
        : throw new InputException("unknown_kind", "kind", id, string.Join(", ", Kinds.Select(k => k.Id)), $"\"{id}\" is no kind of tool this book knows.");

    // A drawing is read when it is first wanted: a start waits for none.
    private static (ToolKind Kind, Lazy<Profile> Drawing) Ship(string name)
    {
        KindFile file = KindReader.Read(Text(name));
        return (KindReader.Kind(file), new(() => KindDrawing.Read(Text($"{name[..^Ending.Length]}.svg"), file)));
    }

    private static string Text(string name)
    {
        using Stream stream = typeof(ToolCatalogue).Assembly.GetManifestResourceStream(name)!;
        using var reader = new StreamReader(stream);
        return reader.ReadToEnd();
    }
}
