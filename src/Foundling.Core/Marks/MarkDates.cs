using System.Globalization;
using System.Text.RegularExpressions;

namespace Foundling.Core.Marks;

/// <summary>A date as it stands on a tool; day and month may be missing.</summary>
/// <param name="Year">Year.</param>
/// <param name="Month">Month, or null.</param>
/// <param name="Day">Day, or null.</param>
/// <param name="Guessed">The century was not written and is a guess.</param>
public sealed partial record MarkDate(int Year, int? Month = null, int? Day = null, bool Guessed = false)
{
    /// <summary>The date in words.</summary>
    public string Shown => this is { Month: int m, Day: int d }
        ? new DateOnly(Year, m, d).ToString("d MMMM yyyy", CultureInfo.InvariantCulture)
        : Month is int month ? new DateOnly(Year, month, 1).ToString("MMMM yyyy", CultureInfo.InvariantCulture) : Year.ToString(CultureInfo.InvariantCulture);

    /// <summary>The weekday, where the day is known.</summary>
    public DayOfWeek? Weekday => this is { Month: int m, Day: int d } ? new DateOnly(Year, m, d).DayOfWeek : null;

    /// <summary>Finds a date in a text: "Apr. 19, 1910", "19 April 10", "4-19-10", "1910"; null when there is none.</summary>
    public static MarkDate? Find(string text)
    {
        if (Named().Match(text) is { Success: true } named)
        {
            int month = Array.FindIndex(CultureInfo.InvariantCulture.DateTimeFormat.AbbreviatedMonthNames, m => m.Length > 0 && named.Groups["m"].Value.StartsWith(m, StringComparison.OrdinalIgnoreCase)) + 1;
            return Of(named.Groups["y"].Value, month, named.Groups["d"].Value);
        }
        if (Figures().Match(text) is { Success: true } figures)
        {
            int a = int.Parse(figures.Groups["a"].Value, CultureInfo.InvariantCulture), b = int.Parse(figures.Groups["b"].Value, CultureInfo.InvariantCulture);
            // Month first, as those dates were struck, unless it cannot be.
            return a <= 12 ? Of(figures.Groups["y"].Value, a, figures.Groups["b"].Value) : b <= 12 ? Of(figures.Groups["y"].Value, b, figures.Groups["a"].Value) : null;
        }
        return Bare().Match(text) is { Success: true } bare ? Of(bare.Value, null, "") : null;
    }

    private static MarkDate? Of(string year, int? month, string day)
    {
        int y = int.Parse(year, CultureInfo.InvariantCulture);
        bool guessed = year.Length == 2;
        // Two figures mean a year of 1850 to 1949, when dates were struck so.
        y = guessed ? (y >= 50 ? 1800 + y : 1900 + y) : y;
        int? d = int.TryParse(day, CultureInfo.InvariantCulture, out int parsed) ? parsed : null;
        return y is < 1790 or > 2000 || (d is int at && (month is null || at < 1 || at > DateTime.DaysInMonth(y, month.Value))) ? null : new MarkDate(y, month, d, guessed);
    }

    [GeneratedRegex(@"\b(?:(?<d>\d{1,2})(?:st|nd|rd|th)?[\s.\-]+)?(?<m>jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*[\s.,\-]*(?:(?<d>\d{1,2})(?:st|nd|rd|th)?[\s.,\-]+)?(?<y>1[789]\d\d|\d\d)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Named();

    [GeneratedRegex(@"(?<![\d,.?])(?<a>\d{1,2})[-/.](?<b>\d{1,2})[-/.](?<y>1[789]\d\d|\d\d)(?![\d,?])")]
    private static partial Regex Figures();

    [GeneratedRegex(@"(?<![\d,.?])(?:17[9]\d|1[89]\d\d|2000)(?![\d,?])")]
    private static partial Regex Bare();
}
