using System.Text.Json.Serialization;

namespace Foundling.Core.Soles;

/// <summary>What a sole is for, which decides how flat it must be.</summary>
public enum SolePurpose
{
    /// <summary>Smoothing plane.</summary>
    Smoothing,

    /// <summary>Jack plane.</summary>
    Jack,

    /// <summary>Try plane.</summary>
    Try,

    /// <summary>Block plane.</summary>
    Block,

    /// <summary>Rebate plane.</summary>
    Rebate,

    /// <summary>Scraper plane.</summary>
    Scraper,
}

/// <summary>Heights over a sole, mm: x from the toe, y from one long edge, z up with the sole facing up.</summary>
/// <param name="LengthMm">Length of the sole, mm.</param>
/// <param name="WidthMm">Its width, mm.</param>
/// <param name="PointsMm">Readings [x, y, height], mm.</param>
/// <param name="MouthFrontMm">Front of the mouth, mm from the toe; null where nobody said.</param>
/// <param name="Purpose">What it is for; null for no particular purpose.</param>
/// <param name="LeftOutMm">Readings over pits, a worn toe or damage: kept, drawn as such, and not reckoned with.</param>
/// <param name="ReadingErrorMm">How far off a reading may be, mm (two standard deviations); null where nobody said.</param>
/// <param name="PlateFlatnessMm">How far the plate or straightedge itself is out of flat, mm; null where nobody said.</param>
public sealed record GridSurveyInput(
    double LengthMm,
    double WidthMm,
    IReadOnlyList<double[]> PointsMm,
    double? MouthFrontMm = null,
    SolePurpose? Purpose = null,
    IReadOnlyList<double[]>? LeftOutMm = null,
    double? ReadingErrorMm = null,
    double? PlateFlatnessMm = null)
{
    private const double LongMm = 300, SamePlaceMm = 0.5;

    /// <summary>Readings that come to those of an earlier survey: a place that was read again counts as it was read last.</summary>
    /// <param name="before">The earlier readings, mm.</param>
    /// <param name="more">The later ones, mm.</param>
    public static IReadOnlyList<double[]> Together(IReadOnlyList<double[]> before, IReadOnlyList<double[]> more) =>
        [.. before.Where(p => !more.Any(q => Math.Abs(p[0] - q[0]) < SamePlaceMm && Math.Abs(p[1] - q[1]) < SamePlaceMm)), .. more];

    /// <summary>Where the mouth of a metal plane of this length usually begins, mm from the toe.</summary>
    public static double UsualMouthFrontMm(double lengthMm, Assumptions assumptions) =>
        lengthMm * (lengthMm < LongMm ? assumptions.UsualMouthShareShort : assumptions.UsualMouthShareLong);
}

/// <summary>Highest reading of each zone over the three-zone plane, mm.</summary>
public sealed record ZoneHeights(double Toe, double Mouth, double Heel)
{
    /// <summary>How far the worst zone hangs off the plate, mm.</summary>
    [JsonIgnore]
    public double ErrorMm => Math.Max(Toe, Math.Max(Mouth, Heel)) - Math.Min(Toe, Math.Min(Mouth, Heel));
}

/// <summary>What a survey shows, mm.</summary>
public sealed record GridSurveyResult(
    double PlaneAMm,
    double PlaneB,
    double PlaneC,
    double FlatnessLsqMm,
    double FlatnessMinimumZoneMm,
    double? LengthwiseBowMm,
    double? CrosswiseBowMm,
    double? TwistMm,
    double? RSquared,
    string? ReadsAs,
    ZoneHeights? ZoneHighMm,
    double? ThreeZoneErrorMm,
    bool? WholeWithin,
    bool? ThreeZoneWithin,
    string? NoZonesBecause = null)
{
    /// <summary>How far off the figure of the whole sole may be, mm; null where no error was stated.</summary>
    public double? WholeUncertaintyMm { get; init; }

    /// <summary>How far off the figure of the three zones may be, mm; null where no error was stated.</summary>
    public double? ThreeZoneUncertaintyMm { get; init; }

    /// <summary>The whole sole against its tolerance: met, not met, or it cannot be told; null without a purpose.</summary>
    public FlatVerdict? WholeVerdict { get; init; }

    /// <summary>The three zones against theirs; null without a purpose or zones.</summary>
    public FlatVerdict? ThreeZoneVerdict { get; init; }
}

/// <summary>A figure against its tolerance.</summary>
public enum FlatVerdict
{
    /// <summary>Within it, the error of the reading counted in.</summary>
    Met,

    /// <summary>Outside it, whatever the error.</summary>
    NotMet,

    /// <summary>Nearer to it than the reading is sure.</summary>
    CannotTell,
}

/// <summary>Flatness tolerances by purpose, whole sole (minimum zone) and three zones, mm.</summary>
public static class SoleTolerance
{
    /// <summary>Assumed tolerance for a purpose; null for none in particular.</summary>
    public static (double WholeMm, double ThreeZoneMm) For(SolePurpose? purpose, Assumptions a) => purpose switch
    {
        SolePurpose.Smoothing => (a.SoleSmoothingWholeMm, a.SoleSmoothingZonesMm),
        SolePurpose.Jack => (a.SoleJackWholeMm, a.SoleJackZonesMm),
        SolePurpose.Try => (a.SoleTryWholeMm, a.SoleTryZonesMm),
        SolePurpose.Block => (a.SoleBlockWholeMm, a.SoleBlockZonesMm),
        SolePurpose.Rebate => (a.SoleRebateWholeMm, a.SoleRebateZonesMm),
        _ => (a.SoleOtherWholeMm, a.SoleOtherZonesMm),
    };
}

/// <summary>Reads a grid of heights.</summary>
public static class GridSurvey
{
    /// <summary>Most readings taken, and most mm of a sole's length or width.</summary>
    public const int MostReadings = 20_000, MostMm = 5000;

    private const double MostHeightMm = 100, MostErrorMm = 10;

    /// <summary>Planes, flatness, shape and the three zones of a sole.</summary>
    /// <exception cref="InputException">Too few readings, all on one line, or off the sole.</exception>
    public static GridSurveyResult Read(GridSurveyInput input, Assumptions assumptions)
    {
        Checked(input);
        GridSurveyResult read = Figures(input, assumptions);
        return SurveyTrust.Judged(input, read, assumptions);
    }

    /// <summary>A figure against a tolerance.</summary>
    /// <param name="valueMm">The figure, mm.</param>
    /// <param name="uncertaintyMm">How far off it may be, mm; null where nobody said.</param>
    /// <param name="toleranceMm">The tolerance, mm.</param>
    public static FlatVerdict Against(double valueMm, double? uncertaintyMm, double toleranceMm) =>
        SurveyTrust.Against(valueMm, uncertaintyMm, toleranceMm);

    /// <summary>The figures of a survey that was looked at before, without a word on how sure they are.</summary>
    private static GridSurveyResult Figures(GridSurveyInput input, Assumptions assumptions)
    {
        Plane plane = Planes.LeastSquares(input.PointsMm);
        double lsq = Planes.Range(input.PointsMm, plane);
        double zone = Math.Min(lsq, Planes.MinimumZone(input.PointsMm).HeightMm);
        double[]? shape = Shape(input);
        (ZoneHeights? zones, double? error, string? whyNot) = Zones(input, assumptions);
        double? rSquared = shape is null ? null : RSquared(input, plane, shape);
        (double WholeMm, double ThreeZoneMm)? wanted = input.Purpose is SolePurpose purpose ? SoleTolerance.For(purpose, assumptions) : null;
        return new GridSurveyResult(
            plane.A, plane.B, plane.C, lsq, zone, shape?[3], shape?[5], shape is null ? null : 4 * shape[4], rSquared,
            shape is null ? null : shape[3] > 1e-9 ? "hollow_lengthwise" : shape[3] < -1e-9 ? "round_lengthwise" : "straight_lengthwise",
            zones, error,
            wanted is null ? null : zone <= wanted.Value.WholeMm + Whole.Slack,
            wanted is null || error is null ? null : error <= wanted.Value.ThreeZoneMm + Whole.Slack,
            whyNot);
    }

    /// <summary>A survey, its readings looked at.</summary>
    /// <exception cref="InputException">Too few readings, or one that is off the sole or no reading.</exception>
    public static GridSurveyInput Checked(GridSurveyInput input)
    {
        Check.Within(input.LengthMm, 1, MostMm, "length_mm");
        Check.Within(input.WidthMm, 1, MostMm, "width_mm");
        Check.Within(input.ReadingErrorMm ?? 0, 0, MostErrorMm, "reading_error_mm");
        Check.Within(input.PlateFlatnessMm ?? 0, 0, MostErrorMm, "plate_flatness_mm");
        if (input.PointsMm.Count is < 3 or > MostReadings)
        {
            throw new InputException(input.PointsMm.Count < 3 ? "points_on_one_line" : "too_many_readings", "points_mm", input.PointsMm.Count,
                $"3 to {MostReadings:#,0}, better 24",
                input.PointsMm.Count < 3
                    ? $"{(input.PointsMm.Count == 1 ? "1 reading" : $"{input.PointsMm.Count} readings")} cannot show a plane. Take three rows along the sole."
                    : $"{input.PointsMm.Count:#,0} readings are more than a sole needs; {MostReadings:#,0} are the most.");
        }
        if (input.LeftOutMm is { Count: > MostReadings })
        {
            throw new InputException("too_many_readings", "left_out_mm", input.LeftOutMm.Count, $"at most {MostReadings:#,0}",
                $"{input.LeftOutMm.Count:#,0} readings are more than a sole needs; {MostReadings:#,0} are the most.");
        }
        foreach (double[] p in input.PointsMm.Concat(input.LeftOutMm ?? []))
        {
            if (p.Length != 3 || p.Any(v => !double.IsFinite(v)))
            {
                throw new InputException("not_a_reading", "points_mm", string.Join(", ", p), "x, y and height",
                    "Each reading needs three numbers: x, y and height in millimetres.");
            }
            if (Math.Abs(p[2]) > MostHeightMm)
            {
                throw new InputException("out_of_range", "points_mm", p[2], $"{-MostHeightMm} to {MostHeightMm}",
                    $"A height of {p[2]:0.##} mm is no reading of a sole; at most {MostHeightMm} mm up or down.");
            }
            if (p[0] < -0.5 || p[0] > input.LengthMm + 0.5 || p[1] < -0.5 || p[1] > input.WidthMm + 0.5)
            {
                throw new InputException("reading_off_the_sole", "points_mm", $"{p[0]:0.##}, {p[1]:0.##}",
                    $"x 0 to {input.LengthMm:0.##}, y 0 to {input.WidthMm:0.##}",
                    $"The reading at x {p[0]:0.##}, y {p[1]:0.##} lies off a sole of {input.LengthMm:0.##} by {input.WidthMm:0.##} mm.");
            }
        }
        if (input.MouthFrontMm is double mouth)
        {
            Check.Between(mouth, 0, input.LengthMm, "mouth_front_mm");
        }
        return input;
    }

    /// <summary>
    /// Coefficients of 1, u, v, u^2, uv, v^2 with u and v from -1 to 1 over the sole: u^2 is then the lengthwise bow,
    /// v^2 the crosswise one, and four times uv the wind between the ends.
    /// </summary>
    private static double[]? Shape(GridSurveyInput input)
    {
        double[][] rows = [.. input.PointsMm.Select(p => Row(p[0], p[1], input))];
        double middle = input.PointsMm.Average(p => p[2]);
        double[]? solved = Planes.Solve(rows, [.. input.PointsMm.Select(p => p[2] - middle)], 6);
        if (solved is not null)
        {
            solved[0] += middle;
        }
        return solved;
    }

    private static double[] Row(double x, double y, GridSurveyInput input)
    {
        double u = (x - (input.LengthMm / 2)) / (input.LengthMm / 2), v = (y - (input.WidthMm / 2)) / (input.WidthMm / 2);
        return [1, u, v, u * u, u * v, v * v];
    }

    private static double? RSquared(GridSurveyInput input, Plane plane, double[] shape)
    {
        double planeSs = 0, shapeSs = 0;
        foreach (double[] p in input.PointsMm)
        {
            double off = p[2] - plane.At(p[0], p[1]);
            double left = p[2] - Row(p[0], p[1], input).Zip(shape, (r, s) => r * s).Sum();
            planeSs += off * off;
            shapeSs += left * left;
        }
        return planeSs / input.PointsMm.Count <= 1e-18 ? null : 1 - (shapeSs / planeSs);
    }

    /// <summary>Toe, mouth and heel of a survey, over the plane of the three.</summary>
    internal static (ZoneHeights?, double?, string?) Zones(GridSurveyInput input, Assumptions a)
    {
        if (input.MouthFrontMm is not double front)
        {
            return (null, null, "where the mouth is was not said");
        }
        List<double[]> toe = [.. input.PointsMm.Where(p => p[0] <= (a.ZoneShare * input.LengthMm) + Whole.Slack)];
        List<double[]> heel = [.. input.PointsMm.Where(p => p[0] >= ((1 - a.ZoneShare) * input.LengthMm) - Whole.Slack)];
        List<double[]> mouth = [.. input.PointsMm.Where(p => p[0] >= front - a.MouthBandMm - Whole.Slack && p[0] <= front + Whole.Slack)];
        if (mouth.Count == 0 && input.PointsMm.Any(p => p[0] <= front))
        {
            double nearest = input.PointsMm.Where(p => p[0] <= front).Max(p => p[0]);
            mouth = [.. input.PointsMm.Where(p => Math.Abs(p[0] - nearest) < 1e-6)];
        }
        if (toe.Count == 0 || heel.Count == 0 || mouth.Count == 0)
        {
            return (null, null, $"there is no reading at the {(toe.Count == 0 ? "toe" : mouth.Count == 0 ? "mouth" : "heel")}");
        }
        return Over(toe, mouth, heel) is { } heights ? (heights, heights.ErrorMm, null)
            : (null, null, "the readings at toe, mouth and heel lie on one line");
    }

    /// <summary>How high three zones stand over the plane of the three; null where they lie on one line, or one has no place.</summary>
    internal static ZoneHeights? Over(IReadOnlyList<double[]> toe, IReadOnlyList<double[]> mouth, IReadOnlyList<double[]> heel)
    {
        List<double[]> three = [.. toe, .. mouth, .. heel];
        if (toe.Count == 0 || mouth.Count == 0 || heel.Count == 0 || !Planes.AreSpread(three))
        {
            return null;
        }
        Plane plane = Planes.LeastSquares(three);
        double High(IReadOnlyList<double[]> zone) => zone.Max(p => p[2] - plane.At(p[0], p[1]));
        return new ZoneHeights(High(toe), High(mouth), High(heel));
    }
}
