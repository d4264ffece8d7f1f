using System.Globalization;
using System.Text.RegularExpressions;
using Foundling.Core.Stores;
using Foundling.Core.Units;

namespace Foundling.Core.Shelves;

/// <summary>Reads and writes amounts of what the shop keeps, each in its own unit.</summary>
public static partial class Measure
{
    /// <summary>More than this of anything is a slip of the pen.</summary>
    public const double Most = 1_000_000;

    // What one of each unit is in the first of its line: volume in mL, weight in g, length in m. Source: the definitions of the units.
    private static readonly Dictionary<string, double>[] Kin =
    [
        new() { ["ml"] = 1, ["cl"] = 10, ["dl"] = 100, ["l"] = 1000, ["floz"] = 29.5735, ["pt"] = 473.176, ["qt"] = 946.353, ["gal"] = 3785.41 },
        new() { ["g"] = 1, ["kg"] = 1000, ["oz"] = 28.3495, ["lb"] = 453.592 },
        new() { ["m"] = 1, ["cm"] = 0.01, ["mm"] = 0.001, ["in"] = 0.0254, ["ft"] = 0.3048, ["yd"] = 0.9144 },
    ];

    // Counted things: any of these words will do for any of them.
    private static readonly HashSet<string> Counted = ["piece", "pieces", "pc", "pcs", "sheet", "sheets", "pad", "pads", "x"];

    /// <summary>Units something of the shop's own can be counted in.</summary>
    public static IReadOnlyList<string> Units { get; } = ["mL", "L", "g", "kg", "m", "pieces", "sheets", "pads"];

    /// <summary>Reads an amount in the unit of a supply; another unit of the same kind is turned into it: "1.5 L" of what is counted in mL is 1500.</summary>
    /// <param name="text">What was typed.</param>
    /// <param name="unit">The unit of the supply.</param>
    /// <param name="name">What it is called.</param>
    /// <param name="field">The field it was typed into.</param>
    /// <exception cref="InputException">No number, a number below 0, or a unit that is none of it.</exception>
    public static double Read(string? text, string unit, string name, string field = "amount")
    {
        Match match = Amount().Match((text ?? "").Trim() is { Length: <= 40 } clean ? clean.Replace(',', '.') : "");
        if (!match.Success || !double.TryParse(match.Groups["n"].Value, NumberStyles.Float, CultureInfo.InvariantCulture, out double number))
        {
            throw new InputException("not_an_amount", field, text, $"an amount in {unit}",
                $"\"{Shorten.To(text, 40)}\" is not an amount. {Sentences.Start(name)} is counted in {unit}.");
        }
        double amount = number * Factor(match.Groups["u"].Value, unit, name, field);
        return amount is >= 0 and <= Most ? amount : throw new InputException("amount", field, text, $"0 to {Most:#,0} {unit}", amount < 0
            ? $"There cannot be less than nothing: {Sentences.Start(name)}, {Shorten.To(text, 40)}."
            : $"{Shorten.To(text, 40)} of {name} is more than any shop holds.");
    }

    /// <summary>The same for what may be left out.</summary>
    /// <exception cref="InputException">As <see cref="Read"/>.</exception>
    public static double? ReadOrNull(string? text, string unit, string name, string field) =>
        string.IsNullOrWhiteSpace(text) ? null : Read(text, unit, name, field);

    private static double Factor(string typed, string unit, string name, string field)
    {
        string said = typed.Replace(" ", "", StringComparison.Ordinal).TrimEnd('.').ToLower(CultureInfo.InvariantCulture);
        string own = unit.ToLower(CultureInfo.InvariantCulture);
        if (said.Length == 0 || said == own || (Counted.Contains(said) && Supply.IsWhole(own)))
        {
            return 1;
        }
        Dictionary<string, double>? kin = Array.Find(Kin, k => k.ContainsKey(own));
        return kin is not null && kin.TryGetValue(said.Replace("us", "", StringComparison.Ordinal), out double of) ? of / kin[own]
            : throw new InputException("wrong_unit", field, typed, unit, $"{Sentences.Start(name)} is counted in {unit}, not in {Shorten.To(typed, 20)}.");
    }

    /// <summary>An amount with its unit: "1 sheet", "2 sheets", "30 mL".</summary>
    public static string Say(double amount, string unit) =>
        $"{amount.ToString("#,0.##", CultureInfo.InvariantCulture)} {(amount == 1 ? Supply.OneOf(unit) : unit)}";

    [GeneratedRegex(@"^(?<n>[-+]?\d+(?:\.\d+)?)\s*(?<u>[a-zA-Z. ]*)$")]
    private static partial Regex Amount();
}
