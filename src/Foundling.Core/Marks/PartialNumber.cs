using Foundling.Core.Origin;

namespace Foundling.Core.Marks;

/// <summary>A number of which some digits cannot be read, written with a question mark for each.</summary>
public sealed record PartialNumber
{
    private PartialNumber(string digits) => Digits = digits;

    /// <summary>Digits and question marks, without separators.</summary>
    public string Digits { get; }

    /// <summary>True when every digit is read.</summary>
    public bool Whole => !Digits.Contains('?', StringComparison.Ordinal);

    /// <summary>Least number it can be.</summary>
    public long Least => long.Parse(Digits.Replace('?', '0'), System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>Greatest number it can be.</summary>
    public long Greatest => long.Parse(Digits.Replace('?', '9'), System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>The number with separators, question marks kept.</summary>
    public string Shown => string.Join(",", Digits.Reverse().Chunk(3).Select(c => new string([.. c.Reverse()])).Reverse());

    /// <summary>Reads digits, question marks and separators; null for anything else, or nothing read at all.</summary>
    public static PartialNumber? Parse(string text)
    {
        string digits = new([.. text.Where(c => char.IsAsciiDigit(c) || c == '?')]);
        return digits.Length is > 0 and <= 12 && digits.Any(char.IsAsciiDigit) && text.All(c => char.IsAsciiDigit(c) || c is '?' or ',' or '.' or ' ' or '\'')
            && digits[0] != '0'
            ? new PartialNumber(digits) : null;
    }

    /// <summary>The least number from <paramref name="from"/> on that it can be, or null.</summary>
    public long? NextFrom(long from)
    {
        string least = from.ToString(System.Globalization.CultureInfo.InvariantCulture).PadLeft(Digits.Length, '0');
        if (least.Length > Digits.Length)
        {
            return null;
        }
        char[] made = new char[Digits.Length];
        return Fill(least, 0, true, made) ? long.Parse(made, System.Globalization.CultureInfo.InvariantCulture) : null;
    }

    private bool Fill(string least, int at, bool tight, char[] made)
    {
        if (at == Digits.Length)
        {
            return true;
        }
        (char low, char high) = Digits[at] == '?' ? (at == 0 ? '1' : '0', '9') : (Digits[at], Digits[at]);
        for (char c = tight ? (char)Math.Max(low, least[at]) : low; c <= high; c++)
        {
            made[at] = c;
            if (Fill(least, at + 1, tight && c == least[at], made))
            {
                return true;
            }
        }
        return false;
    }

    /// <summary>The years in which a number that fits was given out, from the first number of each year.</summary>
    /// <returns>Empty when it is before the first number of the list or after the last year it knows.</returns>
    public IReadOnlyList<int> YearsIn(IReadOnlyList<YearStart> starts)
    {
        List<YearStart> sorted = [.. starts.OrderBy(s => s.FirstNumber)];
        var years = new List<int>();
        for (int i = 0; i < sorted.Count; i++)
        {
            // The last year of the list is taken to be no busier than twice the year before.
            long end = i + 1 < sorted.Count ? sorted[i + 1].FirstNumber : sorted[i].FirstNumber + (2 * (sorted[i].FirstNumber - sorted[Math.Max(0,
                i - 1)].FirstNumber));
            if (NextFrom(sorted[i].FirstNumber) < end)
            {
                years.Add(sorted[i].Year);
            }
        }
        return years;
    }
}
