using System.Text.RegularExpressions;
using Foundling.Core.Origin;

namespace Foundling.Core.Marks;

/// <summary>Finds a maker's name of the pattern book in what was read, also with a letter wrong or written as ?.</summary>
internal static partial class MarkNames
{
    private const int LeastLetters = 4, LongEnoughToMisread = 6;

    // Words that many makers bear; alone they name none.
    private static readonly HashSet<string> Common = ["sons", "bros", "brothers", "company", "works", "tool", "tools", "forge", "steel", "cast", "edge",
        "limited", "incorporated", "warranted", "planes", "saws"];

    /// <summary>One reading for each line of a maker whose name stands in the text; what is read is taken.</summary>
    public static IEnumerable<MarkReading> Read(MarkText text, PatternBook? book)
    {
        List<Match> words = [.. Word().Matches(text.Plain).Where(w => text.IsFree(w.Index, w.Length))];
        foreach (IGrouping<string, PatternLine> maker in (book?.Lines ?? []).Where(l => l.Maker is not null).GroupBy(l => l.Maker!))
        {
            List<string> name = [.. Word().Matches(maker.Key.ToLowerInvariant()).Select(m => m.Value).Where(w => w.Length >= LeastLetters
                && !Common.Contains(w))];
            List<Match> read = [.. words.Where(w => name.Any(n => Same(w.Value, n)))];
            if (read.Count == 0)
            {
                continue;
            }
            read.ForEach(w => text.Take(w.Index, w.Length));
            bool exact = read.Any(w => name.Contains(w.Value));
            foreach (PatternLine line in maker)
            {
                yield return new MarkReading("maker_" + line.Id, line.Title, $"{line.FirstYear} to {line.LastYear}",
                    $"A maker of the pattern book{(line.Source is null ? "" : $" ({line.Source})")}. The name on one part names that part; parts are changed.",
                    [new MarkBound(MarkKind.Window, NotBefore: line.FirstYear, NotAfter: line.LastYear)], Doubt: exact ? null
                        : "A letter differs from the name in the book.") { Line = line.Id, Group = "companies" };
            }
        }
    }

    private static bool Same(string read, string name) =>
        read == name
        || (read.Length == name.Length && read.Count(c => c == '?') is > 0 and <= 2 && read.Zip(name).All(p => p.First == '?' || p.First == p.Second))
        || (name.Length >= LongEnoughToMisread && OneOff(read, name));

    /// <summary>True when one letter is wrong, missing or too many.</summary>
    private static bool OneOff(string a, string b)
    {
        if (Math.Abs(a.Length - b.Length) > 1)
        {
            return false;
        }
        int start = a.Zip(b).TakeWhile(p => p.First == p.Second).Count();
        int end = a.Reverse().Zip(b.Reverse()).TakeWhile(p => p.First == p.Second).Count();
        return Math.Max(a.Length, b.Length) - Math.Min(start + end, Math.Min(a.Length, b.Length)) <= 1;
    }

    [GeneratedRegex("[a-zà-ÿ?]+")]
    private static partial Regex Word();
}
