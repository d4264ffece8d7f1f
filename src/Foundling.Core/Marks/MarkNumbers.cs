using System.Globalization;
using System.Text.RegularExpressions;
using Foundling.Core.Origin;

namespace Foundling.Core.Marks;

/// <summary>Reads the numbers of offices: patents, designs, registered designs, British patents with their year.</summary>
internal static partial class MarkNumbers
{
    // Fewer figures than this without a word beside them are a size, a pattern or a workman's number far more often.
    private const int LongEnough = 5;

    // British patents were numbered afresh each year from late 1852 to 1915, then from this number on.
    private const int FirstYearly = 1852, LastYearly = 1915, FirstOfSeries = 100_001, FirstSeriesYear = 1916;

    /// <summary>British patents written with their year, "12,345 of 1897" or "12345/97"; what is read is taken.</summary>
    public static IEnumerable<MarkReading> Yearly(MarkText text)
    {
        foreach (Match m in YearlyText().Matches(text.Plain).Where(m => text.IsFree(m.Index, m.Length)))
        {
            string y = m.Groups["y"].Value;
            int year = int.Parse(y, CultureInfo.InvariantCulture);
            year = y.Length == 4 ? year : year >= FirstYearly % 100 ? 1800 + year : 1900 + year;
            if (year is < FirstYearly or > LastYearly)
            {
                continue;
            }
            text.TakeWhole(m.Index, m.Length);
            yield return new MarkReading($"yearly{m.Index}",
                $"British patent no. {Shown(long.Parse(m.Groups["n"].Value.Replace(",", "", StringComparison.Ordinal), CultureInfo.InvariantCulture))} of "
                    + $"{year}", $"not before {year}",
                "British patents were numbered afresh each year from 1852 to 1915, so the year stands beside the number. A tool can be much later than the "
                    + "patent on it.",
                [new MarkBound(MarkKind.Window, NotBefore: year)]);
        }
    }

    /// <summary>The readings of every number that is left, the likeliest of each first; what is read is taken.</summary>
    public static IEnumerable<MarkReading> Read(MarkText text, MarkTables tables)
    {
        var offices = new MarkOffices(text);
        var keys = new HashSet<string>();
        foreach (Match m in NumberText().Matches(text.Plain))
        {
            int at = m.Index, length = m.Length;
            if (!text.IsFree(at, length) || PartialNumber.Parse(m.Value.Trim(' ', ',', '.', '\'')) is not PartialNumber number
                || Measured().IsMatch(text.Plain[(at + length)..]))
            {
                continue;
            }
            Office office = offices.At(at);
            text.TakeWhole(at, length);
            bool likely = office != Office.Any || number.Digits.Length >= LongEnough;
            foreach (MarkReading reading in Of(number, office, tables))
            {
                yield return reading with { Key = keys.Add(reading.Key) ? reading.Key : $"{reading.Key}@{at}", Likely = likely };
                // Without a word only one of the offices can be meant.
                likely = likely && office != Office.Any;
            }
        }
    }

    private static IEnumerable<MarkReading> Of(PartialNumber number, Office office, MarkTables tables)
    {
        if (office is Office.Patent or Office.Any)
        {
            foreach (MarkReading r in Listed(number, "patent", $"Patent no. {number.Shown}", tables.Patents, "US utility patents by year")) { yield return r; }
        }
        if (office is Office.Design or Office.Any)
        {
            foreach (MarkReading r in Listed(number, "design", $"Design patent no. {number.Shown}", tables.Designs,
                "US design patents by year")) { yield return r; }
        }
        if (office is Office.Registered or Office.Any)
        {
            foreach (MarkReading r in Listed(number, "registered", $"Registered design no. {number.Shown}", tables.RegisteredDesigns,
                "British registered designs by year")) { yield return r; }
        }
        if (office == Office.British)
        {
            bool series = number.Least >= FirstOfSeries;
            yield return new MarkReading("british", $"British patent no. {number.Shown}", $"not before {(series ? FirstSeriesYear : FirstYearly)}",
                series ? "One continuous series began with 100,001 in 1916." : "Before 1916 the numbers began afresh each year: look for a year beside it.",
                [new MarkBound(MarkKind.Window, NotBefore: series ? FirstSeriesYear : FirstYearly)]);
        }
    }

    private static IEnumerable<MarkReading> Listed(PartialNumber number, string key, string title, IReadOnlyList<YearStart> list, string table)
    {
        IReadOnlyList<int> years = number.YearsIn(list);
        if (years.Count == 0)
        {
            yield break;
        }
        (int first, int last) = (years[0], years[^1]);
        MarkBound bound = key == "patent" && years.Count == 1 ? new MarkBound(MarkKind.PatentGranted, IssueYear: first) : new MarkBound(MarkKind.Window,
            NotBefore: first);
        string why = number.Whole ? $"That number was given out in {Runs(years)}."
            : $"With the figures you can read it was given out in {Runs(years)}: between {Shown(number.Least)} and {Shown(number.Greatest)}.";
        yield return new MarkReading(key, title, $"not before {first}", $"{why} A tool can be much later than the number on it. (Table: {table}.)", [bound],
            years,
            last - first > 25 ? "So few figures say little." : number.Digits.Length < LongEnough
                ? "A short number is more often a size, a pattern or a workman's." : null);
    }

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

    [GeneratedRegex(@"(?<![\d?/])[\d?]{1,3}(?:[,.'] ?[\d?]{3}| [\d?]{3})+(?![\d?])|(?<![\d/])[\d?]+")]
    private static partial Regex NumberText();

    [GeneratedRegex(@"^ ?(?:""|'(?![a-z])|/|½|¼|¾|-inch|inch|in\b|ins\b|mm\b|cm\b|oz\b|lbs?\b|ppi\b|tpi\b|pts?\b|points?\b|x ?\d)")]
    private static partial Regex Measured();

    [GeneratedRegex(@"\b(?:pat\w*\.?'? ?)?(?:no\.? ?|number )?(?<n>\d{1,2},\d{3}|\d{2,5}) ?(?:/| of | ?a\.?d\.? )'?(?<y>1[89]\d\d|\d\d)\b(?![/\-]\d)")]
    private static partial Regex YearlyText();
}
