using System.Text.RegularExpressions;
using Foundling.Core.Origin;

namespace Foundling.Core.Marks;

/// <summary>Finds wordings, materials and details of the tables: by their forms first, else by the words that describe them.</summary>
internal sealed partial class MarkWordings
{
    private const int MostDescribed = 6;

    private static readonly HashSet<string> Idle = ["the", "of", "or", "and", "with", "for", "its", "an", "on", "in", "no", "it", "is", "that", "from", "to",
        "at", "by", "words", "example", "number", "mark", "has", "have", "there", "some", "seems", "looks", "like", "old"];

    private readonly List<(string Key, Regex Forms)> _forms;
    private readonly Dictionary<string, string> _groups;
    private readonly MarkTables _tables;

    /// <summary>Takes the forms of the tables.</summary>
    public MarkWordings(MarkTables tables)
    {
        _tables = tables;
        // No backtracking: what a visitor types can never make a search long.
        _forms = [.. tables.Forms.Select(f => (f.Key, new Regex(f.Forms,
            RegexOptions.IgnoreCase | RegexOptions.CultureInvariant | RegexOptions.NonBacktracking)))];
        _groups = tables.Forms.ToDictionary(f => f.Key, f => f.Group);
    }

    /// <summary>Everything in the tables.</summary>
    public IEnumerable<MarkReading> All() => [.. _tables.Marks.Where(m => !IsEnd(m)).Select(Of), .. _tables.Materials.Select(Of)];

    /// <summary>An entry by its key.</summary>
    public MarkReading Entry(string key) => Of(_tables.Marks.First(m => m.Key == key));

    /// <summary>Entries whose form stands in the text, the longest form first where they overlap; what is read is taken.</summary>
    public List<MarkReading> Written(MarkText text, Func<string, bool> wanted)
    {
        var found = new List<(int At, MarkReading Reading)>();
        foreach (var (key, at, length) in _forms.Where(f => wanted(f.Key)).SelectMany(f =>
            f.Forms.Matches(text.Plain).Select(m => (f.Key, m.Index, m.Length))).OrderByDescending(m => m.Length))
        {
            if (text.IsFree(at, length) && Of(key) is MarkReading reading)
            {
                text.Take(at, length);
                if (found.All(f => f.Reading.Key != reading.Key))
                {
                    found.Add((at, reading));
                }
            }
        }
        return [.. found.OrderBy(f => f.At).Select(f => f.Reading)];
    }

    /// <summary>Entries whose description has the words that are left, best first; likely only when every word is in it.</summary>
    /// <param name="rest">Words nothing else explained.</param>
    /// <param name="alone">True when nothing else was found in the text.</param>
    public IEnumerable<MarkReading> Described(string rest, bool alone)
    {
        HashSet<string> asked = Words(rest);
        // One stray word beside a mark that was understood is no second mark.
        if (asked.Count < (alone ? 1 : 2))
        {
            return [];
        }
        (double Hits, double Score) Score(string seen)
        {
            HashSet<string> there = Words(seen), quoted = Words(string.Join(' ', Quoted().Matches(seen).Select(m => m.Groups[1].Value)));
            double hits = asked.Count(a => there.Any(t => t.StartsWith(a, StringComparison.Ordinal)
                || (t.Length > 4 && a.StartsWith(t, StringComparison.Ordinal)))) / (double)asked.Count;
            return (hits, hits + (0.5 * asked.Count(quoted.Contains) / Math.Max(asked.Count, quoted.Count)));
        }
        return All().Select(r => (Score: Score(r.Title), Reading: r)).Where(x => x.Score.Score >= (alone ? 0.5 : 0.75)).OrderByDescending(x =>
            x.Score.Score).Take(MostDescribed)
            .Select((x, i) => x.Reading with { Likely = alone && x.Score.Hits > 0.99 && i < 2 });
    }

    private MarkReading? Of(string key) =>
        _tables.Marks.FirstOrDefault(m => m.Key == key) is DatedMark mark ? Of(mark) : _tables.Materials.FirstOrDefault(m =>
            m.Key == key) is DatedMaterial material ? Of(material) : null;

    private MarkReading Of(DatedMark mark)
    {
        List<DatedMark> both = [mark, .. _tables.Marks.Where(m => m.Key == mark.Key + "_end")];
        return new MarkReading("mark_" + mark.Key, mark.Seen, string.Join("; ", both.Select(m => Says(m.NotBefore, m.NotAfter, m.Soft))),
            string.Join(". ", both.Select(m => m.Why).Distinct()) + ".",
            [.. both.Select(m => new MarkBound(MarkKind.Window, m.Soft, m.NotBefore, m.NotAfter))]) { Group = _groups.GetValueOrDefault(mark.Key, "patents") };
    }

    private MarkReading Of(DatedMaterial m)
    {
        var bounds = new List<MarkBound>();
        if (m.NotBefore is int from)
        {
            bounds.Add(new MarkBound(MarkKind.Window, m.Approximate, from));
        }
        if ((m.TypicalFrom ?? m.TypicalTo) is not null)
        {
            bounds.Add(new MarkBound(MarkKind.Window, true, m.TypicalFrom, m.TypicalTo));
        }
        return new MarkReading("detail_" + m.Key, m.Seen, string.Join("; ", bounds.Select(b => Says(b.NotBefore, b.NotAfter, b.Soft))),
            m.Why + ". A part can be newer than the tool.", bounds)
        {
            Group = _groups.GetValueOrDefault(m.Key, "metal"),
        };
    }

    private static string Says(int? from, int? to, bool soft) => (from, to, soft) switch
    {
        (int f, int t, true) => $"mostly {f} to {t}",
        (int f, null, true) => $"mostly from {f}",
        (null, int t, true) => $"rarely after {t}",
        (int f, int t, false) => $"{f} to {t}",
        (int f, null, false) => $"not before {f}",
        (null, int t, false) => $"not after {t}",
        _ => "no years",
    };

    private static bool IsEnd(DatedMark mark) => mark.Key.EndsWith("_end", StringComparison.Ordinal);

    private static HashSet<string> Words(string text) => [.. Word().Matches(text.ToLowerInvariant().Replace(".", "", StringComparison.Ordinal)).Select(m =>
        m.Value).Where(w => w.Length > 1 && !Idle.Contains(w))];

    [GeneratedRegex("[a-z]+")]
    private static partial Regex Word();

    [GeneratedRegex("'([^']+)'")]
    private static partial Regex Quoted();
}
