using System.Globalization;
using System.Text.RegularExpressions;

namespace Foundling.Core.Units;

/// <summary>How lengths are shown.</summary>
public enum LengthUnits
{
    /// <summary>Millimetres.</summary>
    Metric,

    /// <summary>Inches, and thousandths for small values.</summary>
    Imperial,
}

/// <summary>Reads and writes lengths as people at a bench type them. Stored in millimetres.</summary>
public static partial class Length
{
    /// <summary>Most letters of a length.</summary>
    public const int MostLetters = 60;

    /// <summary>Millimetres in an inch.</summary>
    public const double MmPerInch = 25.4;

    private const double MmPerUm = 0.001;

    // From a tenth of an inch on a length is said in inches.
    private const double LeastInches = 2.54;

    /// <summary>
    /// Reads a length: <c>0.05 mm</c>, <c>1/16"</c>, <c>9 3/4 in</c>, <c>2 thou</c>, <c>0,05</c>. A bare number is in
    /// <paramref name="bare"/> units.
    /// </summary>
    /// <param name="text">What was typed.</param>
    /// <param name="mm">The length in millimetres.</param>
    /// <param name="bare">Units of a number without one.</param>
    /// <returns>False when it is no length.</returns>
    public static bool TryParse(string? text, out double mm, LengthUnits bare = LengthUnits.Metric) =>
        TryParse(text, out mm, bare == LengthUnits.Metric ? BareUnit.Millimetres : BareUnit.Inches);

    /// <summary>Reads a length where a bare number may be in other units than those that are shown.</summary>
    /// <param name="text">What was typed, or what an instrument or a file says.</param>
    /// <param name="mm">The length in millimetres.</param>
    /// <param name="bare">What a number without a unit is.</param>
    /// <returns>False when it is no length.</returns>
    public static bool TryParse(string? text, out double mm, BareUnit bare)
    {
        mm = 0;
        string clean = (text ?? "").Trim();
        // No length has more letters, and what is longer is not looked at at all.
        if (clean.Length > MostLetters || Pattern().Match(clean) is not { Success: true } match)
        {
            return false;
        }
        double value = 0;
        if (match.Groups["whole"].Success)
        {
            value = Number(match.Groups["whole"].Value);
        }
        if (match.Groups["num"].Success)
        {
            double denominator = Number(match.Groups["den"].Value);
            if (denominator == 0)
            {
                return false;
            }
            value += Number(match.Groups["num"].Value) / denominator;
        }
        double factor = match.Groups["unit"].Value.ToLowerInvariant() switch
        {
            "mm" => 1,
            "cm" => 10,
            "m" => 1000,
            "um" or "µm" or "μm" => MmPerUm,
            "thou" or "mil" => MmPerInch / 1000,
            // A machinist's tenth is a tenth of a thou.
            "tenth" or "tenths" => MmPerInch / 10_000,
            "" when !match.Groups["num"].Success => bare switch
            {
                BareUnit.Micrometres => MmPerUm, BareUnit.Inches => MmPerInch, BareUnit.Thou => MmPerInch / 1000, _ => 1,
            },
            _ => MmPerInch,
        };
        mm = value * factor * (match.Groups["sign"].Value is "-" or "−" ? -1 : 1);
        return double.IsFinite(mm);
    }

    /// <summary>Reads a length or throws an <see cref="InputException"/> that says what can be typed.</summary>
    public static double Parse(string? text, string field, LengthUnits bare = LengthUnits.Metric) =>
        TryParse(text, out double mm, bare)
            ? mm
            : throw new InputException("not_a_length", field, text, "a length", NotALength(text));

    /// <summary>A length as it is put back into the field it was typed in: a bare number, fine enough to read the same again.</summary>
    public static string Typed(double mm, LengthUnits units)
    {
        // What is less than a millimetre was read with an instrument, and keeps its places.
        string fine = Math.Abs(mm) < 1 ? "##" : "";
        return units == LengthUnits.Metric ? mm.ToString($"0.##{fine}", CultureInfo.InvariantCulture)
            : (mm / MmPerInch).ToString($"0.###{fine}", CultureInfo.InvariantCulture);
    }

    /// <summary>The sentence for something that is no length.</summary>
    public static string NotALength(string? text) =>
        $"\"{Shorten.To(text, MostLetters)}\" is not a length. Type a number, with a unit if you like: 245, 9 5/8\", 2 thou, 0.05 mm.";

    /// <summary>Writes a length with its unit: small ones in hundredths of a millimetre or in thou.</summary>
    /// <param name="mm">Length in millimetres.</param>
    /// <param name="units">Units to show.</param>
    public static string Show(double mm, LengthUnits units = LengthUnits.Metric)
    {
        double size = Math.Abs(mm);
        return units == LengthUnits.Imperial
            ? size < LeastInches ? $"{mm / MmPerInch * 1000:0.#} thou" : $"{mm / MmPerInch:0.##} in"
            : size < 0.1 ? $"{mm:0.000} mm" : size < 10 ? $"{mm:0.00} mm" : size < 100 ? $"{mm:0.#} mm" : $"{mm:0} mm";
    }

    /// <summary>Writes a reading no finer than the instrument that took it reads.</summary>
    /// <param name="mm">Length in millimetres.</param>
    /// <param name="stepMm">Least step of the instrument, mm; 0 when it is not known.</param>
    /// <param name="units">Units to show.</param>
    public static string Show(double mm, double stepMm, LengthUnits units)
    {
        if (stepMm <= 0)
        {
            return Show(mm, units);
        }
        bool inches = units == LengthUnits.Imperial && Math.Abs(mm) >= LeastInches;
        double unit = inches ? MmPerInch : units == LengthUnits.Imperial ? MmPerInch / 1000 : 1;
        // A step of 0.5 is read to one figure behind the point, and so is the mean of such readings.
        int places = Math.Clamp((int)Math.Ceiling(-Math.Log10(stepMm / unit) - 0.05), 0, 4);
        return $"{(mm / unit).ToString("F" + places, CultureInfo.CurrentCulture)} {(inches ? "in" : units == LengthUnits.Imperial ? "thou" : "mm")}";
    }

    private static double Number(string text) => double.Parse(text.Replace(',', '.'), CultureInfo.InvariantCulture);

    [GeneratedRegex("""^(?<sign>[-−+])?\s*(?:(?<whole>\d+)[\s-]+(?<num>\d+)\s*/\s*(?<den>\d+)|(?<num>\d+)\s*/\s*(?<den>\d+)"""
        + """|(?<whole>(?:\d+(?:[.,]\d+)?|[.,]\d+)))\s*(?<unit>mm|cm|m|um|µm|μm|thou|mil|tenths?|in|inch|inches|"|”|″|'')?$""", RegexOptions.IgnoreCase)]
    private static partial Regex Pattern();
}
