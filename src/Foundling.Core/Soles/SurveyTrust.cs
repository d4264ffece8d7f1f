namespace Foundling.Core.Soles;

/// <summary>How far the figures of a survey can be trusted: its readings are read again many times, each a little off.</summary>
internal static class SurveyTrust
{
    // Enough for two figures of the spread; of very many readings those that stick out are looked at.
    private const int Times = 120, MostReadings = 160;
    private const double Sigmas = 2;

    /// <summary>A survey's figures with their uncertainty and the verdict against the tolerance of its purpose.</summary>
    /// <param name="input">The survey.</param>
    /// <param name="read">Its figures.</param>
    /// <param name="a">Tolerances.</param>
    public static GridSurveyResult Judged(GridSurveyInput input, GridSurveyResult read, Assumptions a)
    {
        (double? whole, double? zones) = input.ReadingErrorMm is null && input.PlateFlatnessMm is null ? (null, null) : Spread(input, read, a);
        (double WholeMm, double ThreeZoneMm)? wanted = input.Purpose is SolePurpose purpose ? SoleTolerance.For(purpose, a) : null;
        return read with
        {
            WholeUncertaintyMm = whole, ThreeZoneUncertaintyMm = zones,
            WholeVerdict = wanted is null ? null : Against(read.FlatnessMinimumZoneMm, whole, wanted.Value.WholeMm),
            ThreeZoneVerdict = wanted is null || read.ThreeZoneErrorMm is not double error ? null : Against(error, zones, wanted.Value.ThreeZoneMm),
        };
    }

    /// <summary>A figure against a tolerance.</summary>
    public static FlatVerdict Against(double value, double? uncertainty, double tolerance) =>
        value + (uncertainty ?? 0) <= tolerance + Whole.Slack ? FlatVerdict.Met
        : value - (uncertainty ?? 0) > tolerance + Whole.Slack ? FlatVerdict.NotMet : FlatVerdict.CannotTell;

    private static (double? Whole, double? Zones) Spread(GridSurveyInput input, GridSurveyResult read, Assumptions a)
    {
        double plate = input.PlateFlatnessMm ?? 0, sigma = (input.ReadingErrorMm ?? 0) / Sigmas;
        if (sigma <= 0)
        {
            return (plate, read.ThreeZoneErrorMm is null ? null : plate);
        }
        IReadOnlyList<double[]> points = Telling(input.PointsMm);
        GridSurveyInput some = input with { PointsMm = points };
        // The same survey says the same each time it is read.
        var random = new Random(points.Count);
        List<double> wholes = [], zones = [];
        for (int i = 0; i < Times; i++)
        {
            GridSurveyInput again = some with { PointsMm = [.. points.Select(p => new[] { p[0], p[1], p[2] + (sigma * Normal(random)) })] };
            wholes.Add(Planes.MinimumZone(again.PointsMm).HeightMm);
            if (GridSurvey.Zones(again, a).Item2 is double error)
            {
                zones.Add(error);
            }
        }
        return (Total(wholes, plate), read.ThreeZoneErrorMm is null || zones.Count == 0 ? null : Total(zones, plate));
    }

    private static double Total(List<double> values, double plate)
    {
        double mean = values.Average(), spread = Sigmas * Math.Sqrt(values.Average(v => (v - mean) * (v - mean)));
        return Math.Sqrt((spread * spread) + (plate * plate));
    }

    private static double Normal(Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());

    private static IReadOnlyList<double[]> Telling(IReadOnlyList<double[]> points)
    {
        if (points.Count <= MostReadings)
        {
            return points;
        }
        Plane plane = Planes.LeastSquares(points);
        List<double[]> sorted = [.. points.OrderBy(p => p[2] - plane.At(p[0], p[1]))];
        int ends = MostReadings / 4, every = Math.Max(1, (sorted.Count - (2 * ends)) / (MostReadings / 2));
        return [.. sorted.Where((_, i) => i < ends || i >= sorted.Count - ends || (i - ends) % every == 0)];
    }
}
