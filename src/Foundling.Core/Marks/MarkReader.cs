using System.Globalization;
using System.Text.RegularExpressions;
using Foundling.Core.Origin;

namespace Foundling.Core.Marks;

/// <summary>
/// Reads what stands on a tool: patent and design numbers, also partly legible ones, patent dates, wording of origin,
/// addresses, materials, threads and fasteners. Says what years each reading gives, why, and whether that is a rule or a
/// tendency. Source: the public tables in <see cref="MarkTables"/>.
/// </summary>
public sealed partial class MarkReader(MarkTables tables, Assumptions? assumptions = null)
{
    private const int MostWordings = 6;

    private readonly Assumptions _assumptions = assumptions ?? Assumptions.Standard;

    /// <summary>All sensible readings of a text, likeliest first.</summary>
    /// <exception cref="InputException">Nothing was written, or far too much.</exception>
    public IReadOnlyList<MarkReading> Read(string? text)
    {
        string what = (text ?? "").Trim();
        if (what.Length is 0 or > 200)
        {
            throw new InputException("required", "mark", what.Length, "1 to 200 letters", what.Length == 0 ? "Write what you read on the tool, with a ? for each figure you cannot make out." : "That is too long for a mark; write the words that matter.");
        }
        bool design = DesignWords().IsMatch(what), registered = RegisteredWords().IsMatch(what), patent = PatentWords().IsMatch(what), applied = AppliedWords().IsMatch(what);
        MarkDate? date = MarkDate.Find(what);
        PartialNumber? number = NumberText().Matches(what).Select(m => PartialNumber.Parse(m.Value.Trim(' ', ',', '.', '\''))).OfType<PartialNumber>()
            .Where(n => date is null || n.Digits.Length > 4).OrderByDescending(n => n.Digits.Length).FirstOrDefault();
        var readings = new List<MarkReading>();
        if (applied && !registered)
        {
            readings.Add(Applied(date));
        }
        else if (date is not null && !registered && !design)
        {
            readings.Add(Dated(date));
        }
        PartialNumber? lone = number ?? (date is { Month: null } ? PartialNumber.Parse(date.Year.ToString(CultureInfo.InvariantCulture)) : null);
        if (lone is not null)
        {
            bool any = !design && !registered && !patent;
            if (patent || any)
            {
                readings.AddRange(Number(lone, "patent", $"Patent no. {lone.Shown}", tables.Patents, "utility patents by year"));
            }
            if (design || any)
            {
                readings.AddRange(Number(lone, "design", $"Design patent no. {lone.Shown}", tables.Designs, "design patents by year"));
            }
            if (registered || any)
            {
                readings.AddRange(Number(lone, "registered", $"Registered design no. {lone.Shown}", tables.RegisteredDesigns, "registered designs by year"));
            }
        }
        readings.AddRange(Wordings(what));
        return readings;
    }

    /// <summary>Finds a reading again by its key.</summary>
    public MarkReading? Find(string? text, string? key) => Read(text).FirstOrDefault(r => r.Key == key);

    /// <summary>Everything the tables hold on wording, materials and fasteners, for picking from.</summary>
    public IReadOnlyList<MarkReading> All() =>
        [.. tables.Marks.Where(m => !IsEnd(m)).Select(Of), .. tables.Materials.Select(Of)];

    private static MarkReading Dated(MarkDate date)
    {
        string? doubt = date.Guessed ? $"The century is a guess: {date.Year - 100} is the other way to read it."
            : date.Weekday is DayOfWeek day and not DayOfWeek.Tuesday && date.Year >= 1848 ? $"US patents were issued on Tuesdays and this was a {day}: look at the figures again."
            : null;
        return new MarkReading("dated", $"Patent of {date.Shown}", $"not before {date.Year}; fades from {date.Year + 18} on",
            "A granted patent can be named from its issue on. After the term of 17 years the habit of printing it dies away.", [new MarkBound(MarkKind.PatentGranted, IssueYear: date.Year)], Doubt: doubt);
    }

    private MarkReading Applied(MarkDate? date) => date is null
        ? Of(tables.Marks.First(m => m.Key == "patent_applied"))
        : new MarkReading("applied", $"Patent applied for, {date.Year}", $"{date.Year} to {date.Year + _assumptions.PatentPendingYears}",
            $"Between filing and grant, which rarely took more than {_assumptions.PatentPendingYears} years. If {date.Year} is the year of grant, add the patent itself instead.",
            [new MarkBound(MarkKind.PatentApplied, FilingYear: date.Year)]);

    private static IEnumerable<MarkReading> Number(PartialNumber number, string key, string title, IReadOnlyList<YearStart> list, string table)
    {
        IReadOnlyList<int> years = number.YearsIn(list);
        if (years.Count == 0)
        {
            yield break;
        }
        (int first, int last) = (years[0], years[^1]);
        string issued = Runs(years);
        MarkBound bound = key == "patent" && years.Count == 1 ? new MarkBound(MarkKind.PatentGranted, IssueYear: first) : new MarkBound(MarkKind.Window, NotBefore: first);
        string why = number.Whole ? $"That number was given out in {issued}." : $"With the figures you can read it was given out in {issued}: between {Shown(number.Least)} and {Shown(number.Greatest)}.";
        yield return new MarkReading(key, title, $"not before {first}", $"{why} A tool can be much later than the number on it. (Table: {table}.)", [bound], years,
            last - first > 25 ? "So few figures say little." : null);
    }

    /// <summary>Reads the diamond-shaped registration mark from its corners.</summary>
    /// <param name="top">Top corner: a letter in the first cycle, a number in the second.</param>
    /// <param name="left">Left corner.</param>
    /// <param name="right">Right corner.</param>
    /// <param name="bottom">Bottom corner.</param>
    /// <exception cref="InputException">No corner that tells anything.</exception>
    public IReadOnlyList<MarkReading> ReadDiamond(string? top, string? left, string? right, string? bottom)
    {
        static string Letter(string? s) => s?.Trim() is { Length: 1 } one && char.IsAsciiLetter(one[0]) ? one.ToUpperInvariant() : "";
        static bool Number(string? s) => s?.Trim() is { Length: > 0 } n && n.All(char.IsAsciiDigit);
        bool first = Letter(top).Length > 0 || Number(right), second = Number(top) || Letter(right).Length > 0;
        if (first && second)
        {
            throw new InputException("diamond_clash", "diamond", null, "letters and numbers of one cycle", "These corners do not go together: a letter at the top goes with a number at the right, and the other way round. Look at it again.");
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
                List<DiamondLetter> months = [.. tables.Diamond.Where(d => d.First == cycle && !d.IsYear && d.Letter == month && (!d.Irregular || d.Year == y.Year))];
                bool fits = !y.Irregular || months.Any(m => m.Irregular && m.Year == y.Year) || month.Length == 0;
                if (fits)
                {
                    string? named = months.Count == 0 ? null : string.Join(" or ", months.Select(m => CultureInfo.InvariantCulture.DateTimeFormat.GetMonthName(m.Month!.Value)).Distinct());
                    found.Add((cycle, y.Year!.Value, named, y.Irregular, y.Note));
                }
            }
        }
        if (found.Count == 0)
        {
            throw new InputException("diamond_unread", "diamond", null, "the year letter, at the top or at the right", "No year can be read from that. The year letter stands at the top in the marks of 1842 to 1867 and at the right in those of 1868 to 1883.");
        }
        DatedMark end = tables.Marks.First(m => m.Key == "gb_diamond_end");
        return [.. found.Select((f, i) => new MarkReading($"diamond{i}", $"Diamond mark of {(f.Month is null ? "" : f.Month + " ")}{f.Year}", $"not before {f.Year}, rarely after {end.NotAfter}",
            $"{(f.First ? "First cycle, 1842 to 1867: the year letter is at the top." : "Second cycle, 1868 to 1883: the year letter is at the right.")} {end.Why}.{(f.Irregular ? " " + f.Note + "." : "")}",
            [new MarkBound(MarkKind.Window, NotBefore: f.Year), new MarkBound(MarkKind.Window, Soft: true, NotAfter: end.NotAfter)], Doubt: f.Irregular ? "One of the documented exceptions." : null))];
    }

    private IEnumerable<MarkReading> Wordings(string text)
    {
        HashSet<string> asked = Words(text);
        if (asked.Count == 0)
        {
            return [];
        }
        double Score(string seen)
        {
            HashSet<string> there = Words(seen), quoted = Words(string.Join(' ', Quoted().Matches(seen).Select(m => m.Groups[1].Value)));
            double hits = asked.Count(a => there.Any(t => t.StartsWith(a, StringComparison.Ordinal) || (t.Length > 4 && a.StartsWith(t, StringComparison.Ordinal))));
            double exact = asked.Count(quoted.Contains);
            return (hits / asked.Count) + (0.5 * exact / Math.Max(asked.Count, quoted.Count));
        }
        return tables.Marks.Where(m => !IsEnd(m)).Select(m => (Score: Score(m.Seen), Reading: Of(m)))
            .Concat(tables.Materials.Select(m => (Score: Score(m.Seen), Reading: Of(m))))
            .Where(x => x.Score >= 0.5).OrderByDescending(x => x.Score).Take(MostWordings).Select(x => x.Reading);
    }

    private MarkReading Of(DatedMark mark)
    {
        List<DatedMark> both = [mark, .. tables.Marks.Where(m => m.Key == mark.Key + "_end")];
        return new MarkReading("mark_" + mark.Key, mark.Seen, string.Join("; ", both.Select(m => Says(m.NotBefore, m.NotAfter, m.Soft))), string.Join(". ", both.Select(m => m.Why).Distinct()) + ".",
            [.. both.Select(m => new MarkBound(MarkKind.Window, m.Soft, m.NotBefore, m.NotAfter))]);
    }

    private static MarkReading Of(DatedMaterial m)
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
        return new MarkReading("detail_" + m.Key, m.Seen, string.Join("; ", bounds.Select(b => Says(b.NotBefore, b.NotAfter, b.Soft))), m.Why + ". A part can be newer than the tool.", bounds);
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

    private static string Runs(IReadOnlyList<int> years)
    {
        var parts = new List<string>();
        for (int i = 0; i < years.Count;)
        {
            int j = i;
            while (j + 1 < years.Count && years[j + 1] == years[j] + 1)
            {
                j++;
            }
            parts.Add(i == j ? $"{years[i]}" : $"{years[i]} to {years[j]}");
            i = j + 1;
        }
        return parts.Count > 4 ? $"one of {years.Count} years from {years[0]} to {years[^1]}" : string.Join(" or ", parts);
    }

    private static string Shown(long number) => number.ToString("#,0", CultureInfo.InvariantCulture);

    private static HashSet<string> Words(string text) => [.. Word().Matches(text.ToLowerInvariant().Replace(".", "", StringComparison.Ordinal)).Select(m => m.Value).Where(w => w.Length > 1 && !Idle.Contains(w))];

    private static readonly HashSet<string> Idle = ["the", "of", "or", "and", "with", "for", "its", "an", "on", "in", "no", "it", "is", "that", "from", "to", "at", "by", "words", "example", "number", "mark"];

    [GeneratedRegex(@"[\d?][\d?,. ']*[\d?]|[\d?]")]
    private static partial Regex NumberText();

    [GeneratedRegex("[a-z]+")]
    private static partial Regex Word();

    [GeneratedRegex("'([^']+)'")]
    private static partial Regex Quoted();

    [GeneratedRegex(@"\bpat", RegexOptions.IgnoreCase)]
    private static partial Regex PatentWords();

    [GeneratedRegex(@"\bdes(ign)?\b|^\s*D\s?\d", RegexOptions.IgnoreCase)]
    private static partial Regex DesignWords();

    [GeneratedRegex(@"\br(e?g)?d\b\.?|\bregistered\b|\bregd\b", RegexOptions.IgnoreCase)]
    private static partial Regex RegisteredWords();

    [GeneratedRegex(@"\bpat.*(pend|appl|apl)|\bapplied for", RegexOptions.IgnoreCase)]
    private static partial Regex AppliedWords();
}
