using Foundling.Core.Baths;

namespace Foundling.Web.Drawings;

/// <summary>A bath that cools: its temperature as a line, and quarters of the work under it.</summary>
/// <param name="Curve">Moments from the start to the end of the work.</param>
/// <param name="RoomC">The room, °C.</param>
public sealed record CoolingChart(IReadOnlyList<CoolingMoment> Curve, double RoomC)
{
    /// <summary>Size of the drawing.</summary>
    public const double Width = 560, Height = 190;

    private const double Left = 48, Right = 550, Top = 12, Foot = 138;

    /// <summary>Ends of the line across, and its foot.</summary>
    public static (double Left, double Right, double Foot) Frame => (Left, Right, Foot);

    private double Hottest => Curve.Max(m => m.TemperatureC);

    /// <summary>Place of a moment.</summary>
    public double X(double hours) => Left + (hours / Curve[^1].Hours * (Right - Left));

    /// <summary>Height of a temperature; the room stands a little over the foot.</summary>
    public double Y(double c) => Foot - 14 - ((c - RoomC) / Math.Max(1, Hottest - RoomC) * (Foot - 14 - Top));

    /// <summary>The line of temperatures.</summary>
    public string Path => string.Join(' ', Curve.Select((m, i) => $"{(i == 0 ? 'M' : 'L')}{Figure.N(X(m.Hours))} {Figure.N(Y(m.TemperatureC))}"));

    /// <summary>Quarters of the work: where each begins and ends, and how much is done at its end.</summary>
    public IEnumerable<(double X, double Width, double Hours, string Done)> Quarters => Enumerable.Range(0, 4).Select(i =>
    {
        double from = CoolingCurve.By(Curve, i / (double)4), until = CoolingCurve.By(Curve, (i + 1) / (double)4);
        return (X(from), X(until) - X(from), until, i switch { 0 => "a quarter", 1 => "half", 2 => "three quarters", _ => "all" });
    });
}
