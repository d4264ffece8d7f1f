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

    private static readonly (ToolKind Kind, Profile Drawing)[] Shipped = [.. typeof(ToolCatalogue).Assembly.GetManifestResourceNames()
        .Where(n => n.StartsWith(Folder, StringComparison.Ordinal) && n.EndsWith(Ending, StringComparison.Ordinal)).Select(Ship)
        .OrderBy(s => s.Kind.Family).ThenBy(s => s.Kind.File.Order).ThenBy(s => s.Kind.Id)];

    private static readonly ConcurrentDictionary<KindId, (ToolKind Kind, Profile Drawing)> Known = new(Shipped.ToDictionary(s => s.Kind.Id));

    /// <summary>The kinds the program ships, by family.</summary>
    public static IReadOnlyList<ToolKind> Kinds { get; } = [.. Shipped.Select(s => s.Kind)];

    /// <summary>Finds a kind.</summary>
    /// <exception cref="InputException">No such kind.</exception>
    public static ToolKind Kind(KindId id) => Find(id).Kind;

    /// <summary>The drawing of a kind at its nominal size.</summary>
    /// <exception cref="InputException">No such kind.</exception>
    public static Profile Drawing(KindId id) => Find(id).Drawing;

    /// <summary>True for a kind that is known.</summary>
    public static bool Knows(KindId id) => Known.ContainsKey(id);

    private static (ToolKind Kind, Profile Drawing) Find(KindId id) => Known.TryGetValue(id, out (ToolKind, Profile) found) ? found
        : throw new InputException("unknown_kind", "kind", id, string.Join(", ", Kinds.Select(k => k.Id)), $"\"{id}\" is no kind of tool this book knows.");

    private static (ToolKind Kind, Profile Drawing) Ship(string name)
    {
        KindFile file = KindReader.Read(Text(name));
        return (KindReader.Kind(file), KindDrawing.Read(Text($"{name[..^Ending.Length]}.svg"), file));
    }

    private static string Text(string name)
    {
        using Stream stream = typeof(ToolCatalogue).Assembly.GetManifestResourceStream(name)!;
        using var reader = new StreamReader(stream);
        return reader.ReadToEnd();
    }
}
