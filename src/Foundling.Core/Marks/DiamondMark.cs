using System.Globalization;
using Foundling.Core.Origin;

namespace Foundling.Core.Marks;

/// <summary>The diamond-shaped registration mark, read from its corners. Source: the table of its letters.</summary>
public static class DiamondMark
{
    /// <summary>Readings of a diamond mark.</summary>
    /// <param name="tables">The tables.</param>
    /// <param name="top">Top corner: a letter in the first cycle, a number in the second.</param>
    /// <param name="left">Left corner.</param>
    /// <param name="right">Right corner.</param>
    /// <param name="bottom">Bottom corner.</param>
    /// <exception cref="InputException">No corner that tells anything.</exception>
    public static IReadOnlyList<MarkReading> Read(MarkTables tables, string? top, string? left, string? right, string? bottom)
    {
        static string Letter(string? s) => s?.Trim() is { Length: 1 } one && char.IsAsciiLetter(one[0]) ? one.ToUpperInvariant() : "";
        static bool Number(string? s) => s?.Trim() is { Length: > 0 } n && n.All(char.IsAsciiDigit);
        bool first = Letter(top).Length > 0 || Number(right), second = Number(top) || Letter(right).Length > 0;
        if (first && second)
        {
            throw new InputException("diamond_clash", "diamond", null, "letters and numbers of one cycle",
                "These corners do not go together: a letter at the top goes with a number at the right, and the other way round. Look at it again.");
        }
        var found = new List<(bool First, int Year, string? Month, bool Irregular, string Note)>();
        foreach (bool cycle in new[] { true, false }.Where(c => c ? !second : !first))
        {
            (string year, string month) = cycle ? (Letter(top), Letter(left)) : (Letter(right), Letter(bottom));
            if (year.Length == 0)
            {
                continue;
            }
            foreach (DiamondLetter y in tables.Diamond.Where(d => d.First == cycle && d.IsYear && d.Letter == year && d.Year is not null))
            {
                List<DiamondLetter> months = [.. tables.Diamond.Where(d => d.First == cycle && !d.IsYear && d.Letter == month
                    && (!d.Irregular || d.Year == y.Year))];
                bool fits = !y.Irregular || months.Any(m => m.Irregular && m.Year == y.Year) || month.Length == 0;
                if (fits)
                {
                    string? named = months.Count == 0 ? null
                        : string.Join(" or ", months.Select(m => CultureInfo.InvariantCulture.DateTimeFormat.GetMonthName(m.Month!.Value)).Distinct());
                    found.Add((cycle, y.Year!.Value, named, y.Irregular, y.Note));
                }
            }
        }
        if (found.Count == 0)
        {
            throw new InputException("diamond_unread", "diamond", null, "the year letter, at the top or at the right",
                "No year can be read from that. The year letter stands at the top in the marks of 1842 to 1867 and at the right in those of 1868 to 1883.");
        }
        DatedMark end = tables.Marks.First(m => m.Key == "gb_diamond_end");
        return [.. found.Select((f, i) => new MarkReading($"diamond{i}", $"Diamond mark of {(f.Month is null ? "" : f.Month + " ")}{f.Year}",
            $"not before {f.Year}, rarely after {end.NotAfter}",
            $"{(f.First ? "First cycle, 1842 to 1867: the year letter is at the top." : "Second cycle, 1868 to 1883: the year letter is at the right.")} "
                + $"{end.Why}.{(f.Irregular ? " " + f.Note + "." : "")}",
            [new MarkBound(MarkKind.Window, NotBefore: f.Year), new MarkBound(MarkKind.Window, Soft: true, NotAfter: end.NotAfter)], Doubt: f.Irregular
                ? "One of the documented exceptions." : null))];
    }
}
