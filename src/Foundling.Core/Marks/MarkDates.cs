using System.Globalization;
using System.Text.RegularExpressions;

namespace Foundling.Core.Marks;

/// <summary>A date as it stands on a tool; day and month may be missing.</summary>
/// <param name="Year">Year.</param>
/// <param name="Month">Month, or null.</param>
/// <param name="Day">Day, or null.</param>
/// <param name="Guessed">The century was not written and is a guess.</param>
/// <param name="Impossible">The day as written, where the month has no such day.</param>
public sealed partial record MarkDate(int Year, int? Month = null, int? Day = null, bool Guessed = false, int? Impossible = null)
{
    // US patents were issued on Tuesdays from 1848 on; dates alone were struck until about 1950.
    private const int FirstTuesday = 1848, LastStruck = 1950;

    private static readonly string[] Months = ["jan", "feb", "ma", "ap", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];

    /// <summary>The date in words.</summary>
    public string Shown => this is { Month: int m, Day: int d }
        ? new DateOnly(Year, m, d).ToString("d MMMM yyyy", CultureInfo.InvariantCulture)
        : Month is int month ? new DateOnly(Year, month, 1).ToString("MMMM yyyy", CultureInfo.InvariantCulture) : Year.ToString(CultureInfo.InvariantCulture);

    /// <summary>The weekday, where the day is known.</summary>
    public DayOfWeek? Weekday => this is { Month: int m, Day: int d } ? new DateOnly(Year, m, d).DayOfWeek : null;

    /// <summary>True when only a year was written.</summary>
    public bool Bare => Month is null;

    /// <summary>The first date in a text: "Apr. 19, 1910", "19 Apl. 10", "4-19-10", "1910"; null when there is none.</summary>
    public static MarkDate? Find(string text) => All(text).Select(f => f.Date).FirstOrDefault();

    /// <summary>All dates in a text, in the order they stand there, each with its place.</summary>
    /// <param name="text">What was read.</param>
    public static IReadOnlyList<(MarkDate Date, int At, int Length)> All(string text)
    {
        List<Match> named = Named().Matches(text).ToList();
        var found = new List<(MarkDate Date, int At, int Length)>();
        for (int i = 0; i < named.Count; i++)
        {
            // "Apr. 19 & May 3, 1892": the first has the year of the next.
            Group year = named[i].Groups["y"];
            bool day = year.Length == 2 && !named[i].Groups["d"].Success && int.Parse(year.Value, CultureInfo.InvariantCulture) is > 0 and <= 31;
            string? next = day ? named.Skip(i + 1).FirstOrDefault(n => n.Groups["d"].Success)?.Groups["y"].Value : null;
            if ((next is null ? Of(year.Value, MonthOf(named[i]), named[i].Groups["d"].Value) : Of(next, MonthOf(named[i]), year.Value)) is MarkDate date)
            {
                found.Add((date, named[i].Index, named[i].Length));
            }
        }
        foreach (Match figures in Figures().Matches(text).Where(Free))
        {
            int a = int.Parse(figures.Groups["a"].Value, CultureInfo.InvariantCulture), b = int.Parse(figures.Groups["b"].Value, CultureInfo.InvariantCulture);
            // Month first, as those dates were struck, unless it cannot be.
            MarkDate? date = a < 1 || b < 1 ? null : a <= 12 ? Of(figures.Groups["y"].Value, a, figures.Groups["b"].Value)
                : b <= 12 ? Of(figures.Groups["y"].Value, b, figures.Groups["a"].Value) : null;
            if (date is not null)
            {
                found.Add((date, figures.Index, figures.Length));
            }
        }
        foreach (Match bare in BareText().Matches(text).Where(Free))
        {
            found.Add((new MarkDate(int.Parse(bare.Value, CultureInfo.InvariantCulture)), bare.Index, bare.Length));
        }
        return [.. found.OrderBy(f => f.At)];

        bool Free(Match m) => found.All(f => m.Index >= f.At + f.Length || m.Index + m.Length <= f.At);
    }

    private static int MonthOf(Match named)
    {
        string m = named.Groups["m"].Value.ToLowerInvariant();
        // The short forms of old dies: Mch. for March, Apl. for April, Jne. and Jly.
        return m switch
        {
            "mch" => 3,
            "jne" => 6,
            "jly" => 7,
            _ => m.StartsWith("may", StringComparison.Ordinal) ? 5 : Array.FindIndex(Months, s => m.StartsWith(s, StringComparison.Ordinal)) + 1,
        };
    }

    private static MarkDate? Of(string year, int month, string day)
    {
        int y = int.Parse(year, CultureInfo.InvariantCulture);
        int? d = int.TryParse(day, CultureInfo.InvariantCulture, out int parsed) ? parsed : null;
        bool guessed = year.Length == 2;
        if (guessed)
        {
            // The weekday tells the century where only one of the two was a Tuesday; else a year of 1850 to 1949, when dates were struck so.
            int[] tuesdays = [.. new[] { 1800 + y, 1900 + y }.Where(c => c is >= FirstTuesday and < LastStruck && d >= 1 && d <= DateTime.DaysInMonth(c, month)
                && new DateOnly(c, month, d!.Value).DayOfWeek == DayOfWeek.Tuesday)];
            (y, guessed) = tuesdays.Length == 1 ? (tuesdays[0], false) : (y >= 50 ? 1800 + y : 1900 + y, true);
        }
        return y is < 1790 or > 2000 ? null
            : d is int at && (at < 1 || at > DateTime.DaysInMonth(y, month)) ? new MarkDate(y, month, null, guessed, at)
            : new MarkDate(y, month, d, guessed);
    }

    [GeneratedRegex(@"(?:(?<![\d,.?])(?<d>\d{1,2})(?:st|nd|rd|th)?[ .\-]+(?:of )?)?"
        + @"\b(?<m>jan(?:uary|y)?|feb(?:ruary|y)?|mar(?:ch)?|mch|apr(?:il|l)?|apl|may|june?|jne"
        + @"|july?|jly|aug(?:ust|t)?|sep(?:t(?:ember|r)?|r)?|oct(?:ober|r)?|nov(?:ember|r)?|dec(?:ember|r)?)(?![a-z])[ .,\-']*"
        + @"(?:(?<d>\d{1,2})(?:st|nd|rd|th)?[ .,\-']+)?(?<y>1[789]\d\d|\d\d)(?![\d?]|,\d)", RegexOptions.IgnoreCase)]
    private static partial Regex Named();

    [GeneratedRegex(@"(?<![\d,.?\-/])(?<a>\d{1,2})[-/.](?<b>\d{1,2})[-/.]'?(?<y>1[789]\d\d|\d\d)(?![\d?]|,\d)")]
    private static partial Regex Figures();

    [GeneratedRegex(@"(?<![\d,.?/\-])(?:179\d|1[89]\d\d|2000)(?![\d?]|[,.]\d|-\d)")]
    private static partial Regex BareText();
}
