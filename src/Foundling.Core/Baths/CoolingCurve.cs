namespace Foundling.Core.Baths;

/// <summary>A moment of a cooling bath.</summary>
/// <param name="Hours">Hours since it was mixed or the load went in.</param>
/// <param name="TemperatureC">How warm it is then, °C.</param>
/// <param name="Done">Share of the work that is done by then, 0 to 1.</param>
public sealed record CoolingMoment(double Hours, double TemperatureC, double Done);

/// <summary>How a warm bath cools, and how much of its work is done by when: warm it works fast, so most is done early.</summary>
public static class CoolingCurve
{
    private const int Moments = 96, Steps = 8;

    /// <summary>Moments from the start to the end of the work.</summary>
    /// <param name="fromC">How warm it is at the start, °C.</param>
    /// <param name="roomC">The room, °C.</param>
    /// <param name="litres">How much of it there is, L.</param>
    /// <param name="hours">How long all of the work takes, h.</param>
    /// <param name="a">How fast a bath cools.</param>
    public static IReadOnlyList<CoolingMoment> Of(double fromC, double roomC, double litres, double hours, Assumptions a)
    {
        double Warm(double h) => Soak.Cooled(fromC, roomC, litres, h, a);
        double Pace(double h) => 1 / Soak.SlowerAt(Warm(h));
        double step = hours / Moments, done = 0;
        List<(double Hours, double C, double Done)> moments = [(0, fromC, 0)];
        for (int i = 0; i < Moments; i++)
        {
            // Simpson's rule over each stretch.
            for (int j = 0; j < Steps; j++)
            {
                double from = (i + (j / (double)Steps)) * step, part = step / Steps;
                done += part / 6 * (Pace(from) + (4 * Pace(from + (part / 2))) + Pace(from + part));
            }
            moments.Add(((i + 1) * step, Warm((i + 1) * step), done));
        }
        return [.. moments.Select(m => new CoolingMoment(m.Hours, m.C, done > 0 ? m.Done / done : 0))];
    }

    /// <summary>Hours by which a share of the work is done.</summary>
    /// <param name="curve">A curve.</param>
    /// <param name="share">The share, 0 to 1.</param>
    public static double By(IReadOnlyList<CoolingMoment> curve, double share)
    {
        int i = Math.Max(1, curve.ToList().FindIndex(m => m.Done >= share));
        (CoolingMoment a, CoolingMoment b) = (curve[i - 1], curve[i]);
        return b.Done > a.Done ? a.Hours + ((share - a.Done) / (b.Done - a.Done) * (b.Hours - a.Hours)) : b.Hours;
    }
}
