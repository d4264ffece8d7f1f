using System.Globalization;
using Foundling.Core.Shop;

namespace Foundling.Web.Drawings;

/// <summary>A week of readings over days: temperature as a line, humidity dotted under it, what was read by hand as a ring.</summary>
/// <param name="Readings">Readings, oldest first.</param>
/// <param name="Now">The right end.</param>
/// <param name="Days">Days that are shown.</param>
public sealed record AirChart(IReadOnlyList<ClimateReading> Readings, DateTimeOffset Now, int Days = 7)
{
    /// <summary>Width and height of the drawing.</summary>
    public const double Width = 760, Height = 274;

    private const double Left = 44, Right = 750, Top = 14, Foot = 150, DampTop = 188, DampFoot = 240, LabelWidth = 40;

    /// <summary>Ends of the line across.</summary>
    public static (double Left, double Right) Across => (Left, Right);

    /// <summary>Coldest and warmest line that is drawn, °C.</summary>
    public (int From, int To) Range => Readings.Count == 0 ? (10, 25)
        : ((int)Math.Floor((Readings.Min(r => r.TemperatureC) - 1) / 5) * 5, (int)Math.Ceiling((Readings.Max(r => r.TemperatureC) + 1) / 5) * 5);

    /// <summary>Place of a moment.</summary>
    public double X(DateTimeOffset at) => Right - ((Now - at).TotalDays / Days * (Right - Left));

    /// <summary>Height of a temperature.</summary>
    public double Y(double c) => Foot - ((c - Range.From) / Math.Max(1, Range.To - Range.From) * (Foot - Top));

    /// <summary>Height of a humidity.</summary>
    public static double DampY(double percent) => DampFoot - (percent / 100 * (DampFoot - DampTop));

    /// <summary>Temperatures that have a line.</summary>
    public IEnumerable<int> Lines => Enumerable.Range(0, ((Range.To - Range.From) / 5) + 1).Select(i => Range.From + (i * 5));

    /// <summary>Midnights, with their day.</summary>
    public IEnumerable<(double X, string Day)> Nights => Enumerable.Range(0, Days).Select(d => new DateTimeOffset(Now.Date.AddDays(-d), Now.Offset))
        .Where(m => X(m) > Left && X(m) < Right - LabelWidth).Select(m => (X(m), m.ToString("ddd d", CultureInfo.InvariantCulture)));

    /// <summary>The line of temperatures.</summary>
    public string Path => string.Join(' ', Readings.Select((r, i) => $"{(i == 0 ? 'M' : 'L')}{Figure.N(X(r.At))} {Figure.N(Y(r.TemperatureC))}"));

    /// <summary>The line of humidities.</summary>
    public string DampPath => string.Join(' ', Readings.Where(r => r.HumidityPercent is not null)
        .Select((r, i) => $"{(i == 0 ? 'M' : 'L')}{Figure.N(X(r.At))} {Figure.N(DampY(r.HumidityPercent!.Value))}"));
}
