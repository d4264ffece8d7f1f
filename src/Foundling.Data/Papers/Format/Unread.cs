using System.Text.Json;
using Foundling.Core;
using Foundling.Core.Tags;

namespace Foundling.Data.Papers.Format;

/// <summary>
/// What a bundle says that this version does not know. It is kept with the tag as it was written, and goes out again with
/// its papers, so that a shop with an older program loses nothing for a newer one.
/// </summary>
internal sealed class Unread
{
    private const int MostLetters = 64_000;

    private readonly Dictionary<string, IDictionary<string, JsonElement>> _fields;

    private Unread(Dictionary<string, IDictionary<string, JsonElement>> fields) => _fields = fields;

    /// <summary>Reads what is kept with a tag.</summary>
    public static Unread Of(Tag tag) => new(tag.Unread.Length == 0 ? [] :
        JsonSerializer.Deserialize<Dictionary<string, IDictionary<string, JsonElement>>>(tag.Unread) ?? []);

    /// <summary>What is kept of one item; null for nothing.</summary>
    /// <param name="list">The list it is in; empty for the tag itself.</param>
    /// <param name="key">Its key there.</param>
    public IDictionary<string, JsonElement>? At(string list, object key) => _fields.GetValueOrDefault($"{list}/{key}");

    /// <summary>Gathers what is not known in a tag that was read, as it is kept with it; empty for nothing.</summary>
    /// <exception cref="InputException">It is more than is kept.</exception>
    public static string Gather(TagBody tag)
    {
        var found = Items(tag).Where(i => i.Item.More is { Count: > 0 }).GroupBy(i => i.At).ToDictionary(g => g.Key, g => g.First().Item.More);
        if (found.Count == 0)
        {
            return "";
        }
        string text = JsonSerializer.Serialize(found);
        return text.Length <= MostLetters ? text : throw new InputException("too_much", "tag", text.Length, $"at most {MostLetters:#,0} letters",
            $"It says {text.Length:#,0} letters of things this version does not know; {MostLetters:#,0} are the most that are kept.");
    }

    /// <summary>What is not known, by its names, each with the list it was in.</summary>
    public static IReadOnlyList<string> Names(TagBody tag)
    {
        IEnumerable<(string List, string Field)> deeds = (tag.Plan?.Deeds ?? []).SelectMany(d => d.More?.Keys ?? []).Select(f => ("deeds", f));
        IEnumerable<(string List, string Field)> plan = (tag.Plan?.More?.Keys ?? []).Select(f => ("plan", f));
        IEnumerable<(string List, string Field)> built = (tag.Built?.More?.Keys ?? []).Concat((tag.Built?.Parts ?? []).SelectMany(p => p?.More?.Keys ?? []))
            .Select(f => ("built", f));
        IEnumerable<(string List, string Field)> items = Items(tag).SelectMany(i => (i.Item.More?.Keys ?? []).Select(f => (i.At.Split('/')[0], f)));
        return [.. items.Concat(built).Concat(plan).Concat(deeds).Distinct()
            .Select(x => InputException.InWords(x.Field) + (x.List.Length == 0 ? "" : $" of {InputException.InWords(x.List)}"))];
    }

    private static IEnumerable<(string At, Item Item)> Items(TagBody tag) =>
    [
        ("/", tag),
        .. tag.Looks.Select(x => ($"looks/{x.Id}", (Item)x)),
        .. tag.Aside.Select(x => ($"aside/{x.Id}", (Item)x)),
        .. tag.Findings.Select(x => ($"findings/{x.Id}", (Item)x)),
        .. tag.Measurements.Select(x => ($"measurements/{x.Id}", (Item)x)),
        .. tag.Counts.Select(x => ($"counts/{x.Id}", (Item)x)),
        .. tag.Pictures.Select(x => ($"pictures/{x.Id}", (Item)x)),
        .. tag.Marks.Select(x => ($"marks/{x.Deed}", (Item)x)),
        .. tag.Log.Select(x => ($"log/{x.Id}", (Item)x)),
        .. tag.Waits.Select(x => ($"waits/{x.Id}", (Item)x)),
        .. tag.Surveys.Select(x => ($"surveys/{x.Id}", (Item)x)),
        .. (tag.Rubs ?? []).Select(x => ($"rubs/{x.Id}", (Item)x)),
        .. tag.Proofs.Select(x => ($"proofs/{x.Id}", (Item)x)),
    ];
}
