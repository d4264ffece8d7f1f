using System.Globalization;
using System.Text.RegularExpressions;

namespace Foundling.Core.Units;

/// <summary>Reads amounts of money and durations as people type them.</summary>
public static partial class Typed
{
    private const int MostLetters = 40;

    /// <summary>What is longer than any amount is not looked at.</summary>
    private static string Short(string? text) => (text ?? "").Trim() is { Length: <= MostLetters } clean ? clean : "too long";

    /// <summary>Reads an amount of money, with or without a currency sign: <c>£12.50</c>, <c>12,5</c>.</summary>
    public static bool TryMoney(string? text, out decimal amount)
    {
        amount = 0;
        Match match = MoneyPattern().Match(Short(text));
        return match.Success && decimal.TryParse(match.Groups[1].Value.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture,
            out amount)
            && amount <= 1_000_000;
    }

    /// <summary>Reads a plain number that may be left out: <c>12.5</c>, <c>12,5</c>, <c>40 %</c>.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="field">The field it was typed into.</param>
    /// <exception cref="InputException">Not a number.</exception>
    public static double? NumberOrNull(string? text, string field) => string.IsNullOrWhiteSpace(text) ? null
        : double.TryParse(Short(text).TrimEnd('%', ' ').Replace(',', '.'), NumberStyles.Float, CultureInfo.InvariantCulture, out double number) ? number
        : throw new InputException("not_a_number", field, text, "a number", $"\"{Shorten.To(text, MostLetters)}\" is not a number.");

    /// <summary>Reads what a small amount of something costs, to the thousandth: <c>£0.006</c>, <c>12,5</c>.</summary>
    /// <exception cref="InputException">Not a price, or less than nothing.</exception>
    public static double Price(string? text, string field) =>
        double.TryParse(Short(text).Trim('£', '€', '$', ' ').Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out double price)
            && price <= MostPrice ? price
            : throw new InputException("not_money", field, text, "an amount of money", $"\"{Shorten.To(text, MostLetters)}\" is not an amount of money.");

    private const double MostPrice = 1_000_000;

    /// <summary>Reads a duration in minutes: <c>25</c>, <c>25 min</c>, <c>1:30</c>, <c>1 h 30</c>, <c>1.5 h</c>.</summary>
    public static bool TryMinutes(string? text, out double minutes)
    {
        minutes = 0;
        Match match = MinutesPattern().Match(Short(text));
        if (!match.Success)
        {
            return false;
        }
        static double Number(Group group) => group.Success ? double.Parse(group.Value.Replace(',', '.'), CultureInfo.InvariantCulture) : 0;
        minutes = (Number(match.Groups["h"]) * 60) + Number(match.Groups["m"]);
        return minutes is >= 0 and <= 60 * 24 * 7;
    }

    /// <summary>Reads a duration that may be left out.</summary>
    /// <exception cref="InputException">Not a time.</exception>
    public static double? MinutesOrNull(string? text) => string.IsNullOrWhiteSpace(text) ? null : Minutes(text);

    /// <summary>Reads a duration.</summary>
    /// <exception cref="InputException">Not a time.</exception>
    /// <param name="text">What was typed.</param>
    /// <param name="field">The field it was typed into.</param>
    public static double Minutes(string? text, string field = "minutes") => TryMinutes((text ?? "").Trim(), out double value) ? value
        : throw new InputException("not_a_time", field, text, "minutes",
            $"\"{Shorten.To(text, 40)}\" is not a time. Type minutes such as 25, or hours such as 1:30.");

    /// <summary>Minutes as hours and minutes: <c>1 h 30</c>, <c>25 min</c>.</summary>
    public static string Hours(double minutes)
    {
        if (minutes is > 0 and < 0.75)
        {
            return "under 1 min";
        }
        int whole = (int)Math.Round(minutes);
        return whole < 60 ? $"{whole} min" : whole % 60 == 0 ? $"{whole / 60} h" : $"{whole / 60} h {whole % 60:00}";
    }

    /// <summary>
    /// How finely a sum of estimates is said: up to so many minutes, to the nearest so many. Five minutes under two hours, a quarter of an
    /// hour under eight, half an hour above.
    /// </summary>
    public static IReadOnlyList<double[]> AboutSteps { get; } = [[120, 5], [480, 15], [double.MaxValue, 30]];

    /// <summary>A sum of estimates as a person says it, see <see cref="AboutSteps"/>.</summary>
    public static string About(double minutes)
    {
        double step = AboutSteps.First(s => minutes < s[0])[1], rounded = Math.Round(minutes / step, MidpointRounding.AwayFromZero) * step;
        return minutes > 0 && rounded == 0 ? $"under {step:0} min" : Hours(rounded);
    }

    /// <summary>A wait as a person says it: in hours up to two days, then in half days.</summary>
    public static string Wait(double minutes) => minutes <= LongestInHours ? About(minutes)
        : $"{(Math.Round(minutes / MinutesADay * 2, MidpointRounding.AwayFromZero) / 2).ToString("0.#", CultureInfo.InvariantCulture)} days";

    private const double MinutesADay = 24 * 60, LongestInHours = 2 * MinutesADay;

    /// <summary>A sum and what eight in ten do not exceed: "3 h 15, and 4 h if it fights back".</summary>
    /// <param name="usual">Minutes it usually takes.</param>
    /// <param name="high">Minutes eight in ten do not exceed.</param>
    public static string About(double usual, double high) => About(usual) == About(high) ? About(usual)
        : $"{About(usual)}, and {About(high)} if it fights back";

    [GeneratedRegex(@"^[£€$]?\s*(\d{1,7}(?:[.,]\d{1,2})?)\s*[£€$]?$")]
    private static partial Regex MoneyPattern();

    [GeneratedRegex(@"^(?:(?<h>\d+(?:[.,]\d+)?)\s*(?:h|:)\s*)?(?:(?<m>\d+(?:[.,]\d+)?)\s*(?:min|m)?)?$(?<=\S)", RegexOptions.IgnoreCase)]
    private static partial Regex MinutesPattern();
}
