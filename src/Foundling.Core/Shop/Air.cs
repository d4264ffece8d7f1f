using System.Globalization;
using System.Text.RegularExpressions;
using Foundling.Core.Baths;
using Foundling.Core.Finishes;
using Foundling.Core.Units;

namespace Foundling.Core.Shop;

/// <summary>What a thermometer says.</summary>
/// <param name="TemperatureC">Temperature, °C.</param>
/// <param name="HumidityPercent">Relative humidity, %; null where it does not measure it.</param>
public sealed partial record AirReading(double TemperatureC, double? HumidityPercent = null)
{
    /// <summary>Coldest and hottest air of a shop, °C.</summary>
    public const double LeastC = -20, MostC = 50;

    private const int LongestLine = 80, MostSaid = 20;

    /// <summary>
    /// Reads a line of a thermometer: <c>14.2</c>, <c>T=14.2</c>, <c>T 57.6 F RH 66</c>, <c>14.2 C, 66 %</c>; null for any other line, and for
    /// what no shop's air can be.
    /// </summary>
    public static AirReading? Read(string line)
    {
        Match match = line.Length > LongestLine ? Match.Empty : Line().Match(line.Trim());
        if (!match.Success)
        {
            return null;
        }
        double said = Number(match.Groups["t"]);
        double c = match.Groups["u"].Value is "F" or "f" ? (said - 32) / 9 * 5 : said;
        double? humidity = match.Groups["h"].Success ? Number(match.Groups["h"]) : null;
        return c is >= LeastC and <= MostC && humidity is null or (>= 0 and <= 100) ? new AirReading(c, humidity) : null;
    }

    /// <summary>Reads what somebody typed off a thermometer: the temperature, also in F, and a humidity that may be left out.</summary>
    /// <exception cref="InputException">No air of a shop.</exception>
    public static AirReading Typed(string? temperature, string? humidity)
    {
        string percent = string.IsNullOrWhiteSpace(humidity) ? "" : humidity.Trim().TrimEnd('%').TrimEnd();
        return Read($"{temperature?.Trim()}{(percent.Length > 0 ? $" RH {percent}" : "")}".Replace(',', '.'))
            ?? throw new InputException("shop_air", "temperature", temperature, $"{LeastC:0} to {MostC:0} °C, 0 to 100 %",
                $"\"{Shorten.To(temperature, MostSaid)}{(percent.Length > 0 ? $", {Shorten.To(humidity, MostSaid)}" : "")}\" is not the air of a shop: "
                    + $"{LeastC:0} to {MostC:0} °C, and 0 to 100 % or nothing.");
    }

    private static double Number(Group group) => double.Parse(group.Value, CultureInfo.InvariantCulture);

    [GeneratedRegex(@"^(?:T\s*[=:]?\s*)?(?<t>[-+]?\d{1,3}(?:\.\d{1,3})?)\s*°?\s*(?<u>[CF])?(?:[\s,;]+(?:RH|H)?\s*[=:]?\s*(?<h>\d{1,3}(?:\.\d{1,3})?)\s*%?)?$",
        RegexOptions.IgnoreCase)]
    private static partial Regex Line();
}

/// <summary>A reading that was kept.</summary>
public sealed class ClimateReading
{
    /// <summary>Key, made where it is made.</summary>
    public Guid Id { get; init; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; init; }

    /// <summary>Temperature, °C.</summary>
    public double TemperatureC { get; init; }

    /// <summary>Relative humidity, %; null where it was not measured.</summary>
    public double? HumidityPercent { get; init; }

    /// <summary>Read and typed by somebody, not heard from a device.</summary>
    public bool ByHand { get; init; }
}

/// <summary>What readings do to the air a shop reckons with.</summary>
public static class Airs
{
    private const double HoursADay = 24;

    /// <summary>True when a reading of a device tells something the last one did not: enough time has passed, or it has moved.</summary>
    public static bool Tells(ClimateReading? last, AirReading now, DateTimeOffset at, Assumptions a) => last is null || (at - last.At).TotalMinutes
        >= a.AirEveryMin || Math.Abs(now.TemperatureC - last.TemperatureC) >= a.AirTellsC;

    /// <summary>
    /// The air to reckon with after a reading: what somebody reads by hand holds at once; what a device says holds as the mean of a day, and only
    /// when that has gone far from what held before, because plans should not change with every draught.
    /// </summary>
    /// <param name="now">The air that holds.</param>
    /// <param name="latest">The reading.</param>
    /// <param name="day">Readings of the day before it.</param>
    /// <param name="a">How far is far.</param>
    public static Climate After(Climate now, ClimateReading latest, IReadOnlyCollection<ClimateReading> day, Assumptions a)
    {
        if (latest.ByHand)
        {
            return new Climate(latest.TemperatureC, latest.HumidityPercent ?? now.RelativeHumidityPercent);
        }
        List<ClimateReading> told = [.. day.Where(r => (latest.At - r.At).TotalHours <= HoursADay), latest];
        double c = told.Average(r => r.TemperatureC);
        double percent = told.Select(r => r.HumidityPercent).OfType<double>().DefaultIfEmpty(now.RelativeHumidityPercent).Average();
        return new Climate(Math.Abs(c - now.TemperatureC) >= a.AirFollowC ? Math.Round(c) : now.TemperatureC,
            Math.Abs(percent - now.RelativeHumidityPercent) >= a.AirFollowPercent ? Math.Round(percent) : now.RelativeHumidityPercent);
    }

    /// <summary>What this air does to the work, in sentences.</summary>
    public static IReadOnlyList<string> Effects(Climate air, Assumptions a)
    {
        double slower = Soak.SlowerAt(air.TemperatureC);
        Adhesive wood = Adhesive.Wood(a);
        Drying enamel = Drying.Enamel(a).In(air.TemperatureC, air.RelativeHumidityPercent);
        double within = Soak.OilWithinMin(BathKind.Citric, air.RelativeHumidityPercent, a);
        return
        [
            Math.Abs(slower - 1) < NearOne ? "Baths take as long as the book says." : slower > 1
                ? $"Baths take {slower:0.0} times as long as at 20 °C, except electrolysis." : $"Baths take {slower * 100:0} % of the time they take at 20 °C.",
            $"Out of an acid, a part is oiled within {Math.Floor(within + Whole.Slack):0} min"
                + $"{(air.RelativeHumidityPercent > a.DampPercent ? ": this air is damp" : "")}.",
            wood.TooCold(air.TemperatureC) ? $"Wood glue does not hold under {wood.LeastC:0} °C: warm the shop and the wood first."
                : $"Wood glue stays clamped for {Typed.About(wood.In(air.TemperatureC).ClampedMin)}.",
            $"Enamel takes the next coat after {Typed.Wait(enamel.RecoatFromMin)}.",
        ];
    }

    private const double NearOne = 1 / (double)20;
}
