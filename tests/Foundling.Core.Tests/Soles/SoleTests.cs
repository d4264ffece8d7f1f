using CsCheck;
using Foundling.Core.Soles;

namespace Foundling.Core.Tests.Soles;

public sealed class SoleTests
{
    private static readonly Gen<List<double[]>> Readings =
        from n in Gen.Int[6, 40]
        from rows in Gen.Select(Gen.Double[0, 245], Gen.Double[0, 60], Gen.Double[-0.2, 0.2]).List[n]
        where rows.Max(r => r.Item1) - rows.Min(r => r.Item1) > 40 && rows.Max(r => r.Item2) - rows.Min(r => r.Item2) > 15
        select rows.ConvertAll(r => new[] { r.Item1, r.Item2, r.Item3 });

    [Fact]
    public void Minimum_zone_is_never_above_least_squares() => Readings.Sample(points =>
    {
        GridSurveyResult r = GridSurvey.Read(new GridSurveyInput(245, 60, points), Assumptions.Standard);
        r.FlatnessMinimumZoneMm.ShouldBeLessThanOrEqualTo(r.FlatnessLsqMm + 1e-12);
        r.FlatnessMinimumZoneMm.ShouldBeGreaterThanOrEqualTo(0);
    }, iter: 200);

    [Fact]
    public void The_zone_holds_every_reading() => Readings.Sample(points =>
    {
        (Plane plane, double height) = Planes.MinimumZone(points);
        points.Max(p => Math.Abs(p[2] - plane.At(p[0], p[1]))).ShouldBeLessThanOrEqualTo((height / 2) + 1e-7);
    }, iter: 200);

    [Fact]
    public void No_other_tilt_gives_a_thinner_zone() => Gen.Select(Readings, Gen.Double[-0.002, 0.002], Gen.Double[-0.006, 0.006]).Sample((points, b, c) =>
    {
        (Plane plane, double height) = Planes.MinimumZone(points);
        Planes.Range(points, new Plane(0, plane.B + b, plane.C + c)).ShouldBeGreaterThanOrEqualTo(height - 1e-7);
    }, iter: 400);

    [Fact]
    public void How_it_lies_on_the_bench_changes_nothing() => HowItLies(100, null);

    private static void HowItLies(int times, string? seed) => Gen.Select(Readings, Gen.Double[-0.01, 0.01], Gen.Double[-0.01, 0.01],
        Gen.Double[-5, 5]).Sample((points, b, c, a) =>
    {
        GridSurveyResult level = GridSurvey.Read(new GridSurveyInput(245, 60, points, 80), Assumptions.Standard);
        GridSurveyResult tilted = GridSurvey.Read(new GridSurveyInput(245, 60, points.ConvertAll(p =>
            new[] { p[0], p[1], p[2] + a + (b * p[0]) + (c * p[1]) }), 80), Assumptions.Standard);
        tilted.FlatnessLsqMm.ShouldBe(level.FlatnessLsqMm, 1e-8);
        tilted.FlatnessMinimumZoneMm.ShouldBe(level.FlatnessMinimumZoneMm, 1e-7);
        (tilted.LengthwiseBowMm ?? 0).ShouldBe(level.LengthwiseBowMm ?? 0, 1e-6);
        (tilted.ThreeZoneErrorMm ?? 0).ShouldBe(level.ThreeZoneErrorMm ?? 0, 1e-8);
    }, iter: times, seed: seed);

    [Fact]
    public void Zones_in_one_line_leave_the_rest_of_the_survey_standing()
    {
        // Found by seed 1EjCRcMABp76 of the property above: toe, mouth and heel were read along one line only.
        double[][] points = [[10, 30, 0.02], [75, 30, 0.01], [235, 30, 0.03], [120, 5, 0], [130, 55, 0.05], [160, 12, 0.01]];
        GridSurveyResult r = GridSurvey.Read(new GridSurveyInput(245, 60, points, 80), Assumptions.Standard);
        r.FlatnessMinimumZoneMm.ShouldBeGreaterThan(0);
        r.LengthwiseBowMm.ShouldNotBeNull();
        (r.ZoneHighMm, r.ThreeZoneErrorMm, r.ThreeZoneWithin).ShouldBe((null, null, null));
        r.NoZonesBecause.ShouldBe("the readings at toe, mouth and heel lie on one line");
        GridSurvey.Read(new GridSurveyInput(245, 60, points[1..5], 80), Assumptions.Standard).NoZonesBecause.ShouldBe("there is no reading at the toe");
        GridSurvey.Read(new GridSurveyInput(245, 60, points), Assumptions.Standard).NoZonesBecause.ShouldNotBeNull();
    }

    [Fact]
    public void The_seed_that_found_it_stays_a_case() => HowItLies(1, "1EjCRcMABp76");

    [Fact]
    public void Thousands_of_readings_give_the_same_zone_as_the_few_that_stick_out()
    {
        var random = new Random(5);
        List<double[]> points = [.. Enumerable.Range(0, 10_000).Select(_ => new[] { random.NextDouble() * 245, random.NextDouble() * 60,
            (random.NextDouble() - 0.5) * 0.1 })];
        (Plane plane, double height) = Planes.MinimumZone(points);
        points.Max(p => Math.Abs(p[2] - plane.At(p[0], p[1]))).ShouldBe(height / 2, 1e-9);
        foreach ((double b, double c) in new[] { (1e-5, 0), (-1e-5, 0), (0, 4e-5), (0, -4e-5), (1e-5, 4e-5), (-1e-5, 3e-5) })
        {
            Planes.Range(points, new Plane(0, plane.B + b, plane.C + c)).ShouldBeGreaterThanOrEqualTo(height - 1e-9);
        }
        var spline = new ThinPlate(points);
        double.IsFinite(spline.At(100, 30)).ShouldBeTrue();
        GridSurvey.Read(new GridSurveyInput(245, 60, points, 80), Assumptions.Standard).ThreeZoneErrorMm.ShouldNotBeNull();
    }

    [Fact]
    public void A_run_stops_when_nobody_waits_for_it()
    {
        using var gone = new CancellationTokenSource();
        gone.Cancel();
        Should.Throw<OperationCanceledException>(() =>
            Lapping.Simulate(new LappingInput(245, 60, "P80", new SoleShape(0.1)), Assumptions.Standard, gone.Token));
    }

    [Fact]
    public void Many_stations_are_solved_as_few_lines()
    {
        // Twenty lines over 400 stations of a twisted sole: the heights come back.
        static double Z(double x, double y) => 0.2 * ((x / 245) - 0.5) * ((y / 60) - 0.5);
        var stations = Enumerable.Range(0, 400).ToDictionary(i => $"s{i}", i => new[] { i % 20 * 12.0, i / 20 * 3.0 });
        FeelerLine Line(string name, IEnumerable<int> along)
        {
            int[] at = [.. along];
            double[] z = [.. at.Select(i => Z(stations[$"s{i}"][0], stations[$"s{i}"][1]))];
            double top = z.Max() + 0.01;
            return new FeelerLine(name, [.. at.Select((i, k) => new[] { System.Text.Json.JsonSerializer.SerializeToElement($"s{i}"),
                System.Text.Json.JsonSerializer.SerializeToElement(top - z[k]) })]);
        }
        FeelerLine[] lines = [.. Enumerable.Range(0, 20).Select(r => Line($"along {r}", Enumerable.Range(0, 20).Select(c => (r * 20) + c))),
            .. Enumerable.Range(0, 3).Select(c => Line($"across {c}", Enumerable.Range(0, 20).Select(r => (r * 20) + (c * 9)))),
            Line("diagonal", Enumerable.Range(0, 20).Select(i => (i * 20) + i)), Line("other diagonal",
                Enumerable.Range(0, 20).Select(i => (i * 20) + 19 - i))];
        LineSurveyResult r = LineSurvey.Solve(new LineSurveyInput(stations, lines));
        Plane plane = Planes.LeastSquares([.. stations.Values.Select(s => new[] { s[0], s[1], Z(s[0], s[1]) })]);
        foreach ((string name, double[] s) in stations)
        {
            r.HeightMm[name].ShouldBe(Z(s[0], s[1]) - plane.At(s[0], s[1]), 1e-9);
        }
        r.ClosureWorstMm.ShouldBeLessThan(1e-9);
    }

    [Fact]
    public void A_known_shape_is_found_again() => Gen.Select(Gen.Double[-0.3, 0.3], Gen.Double[-0.1, 0.1], Gen.Double[-0.2, 0.2]).Sample((bow, cross, twist) =>
    {
        var points = new List<double[]>();
        for (int i = 0; i <= 8; i++)
        {
            for (int j = 0; j <= 2; j++)
            {
                double u = (i / 4.0) - 1, v = j - 1;
                points.Add([i * 245 / 8.0, j * 30.0, (bow * u * u) + (cross * v * v) + (twist * u * v / 4)]);
            }
        }
        GridSurveyResult r = GridSurvey.Read(new GridSurveyInput(245, 60, points), Assumptions.Standard);
        r.LengthwiseBowMm!.Value.ShouldBe(bow, 1e-9);
        r.CrosswiseBowMm!.Value.ShouldBe(cross, 1e-9);
        r.TwistMm!.Value.ShouldBe(twist, 1e-9);
    }, iter: 100);

    [Fact]
    public void The_spline_goes_through_every_reading() => Readings.Sample(readings =>
    {
        // Readings are taken at places a person can tell apart.
        List<double[]> points = [.. readings.Select(p => new[] { Math.Round(p[0] / 4) * 4, Math.Round(p[1] / 4) * 4, p[2] }).DistinctBy(p => (p[0], p[1]))];
        if (points.Select(p => p[1]).Distinct().Count() < 2 || points.Count < 5)
        {
            return;
        }
        var spline = new ThinPlate(points);
        points.ForEach(p => spline.At(p[0], p[1]).ShouldBe(p[2], 1e-6));
    }, iter: 60);

    [Fact]
    public void The_spline_of_a_plane_is_the_plane()
    {
        var spline = new ThinPlate([[0, 0, 0.1], [200, 0, 0.3], [0, 50, 0.2], [200, 50, 0.4], [80, 20, 0.22]]);
        spline.At(100, 25).ShouldBe(0.25, 1e-9);
    }

    [Theory]
    [InlineData(0.1, 0, 0.02)]
    [InlineData(-0.06, -0.01, 0)]
    [InlineData(0, 0.03, -0.05)]
    public void Lapping_keeps_force_and_metal_in_balance(double bow, double cross, double twist)
    {
        LappingResult r = Lapping.Simulate(new LappingInput(245, 60, "P80", new SoleShape(bow, cross, twist), MouthFrontMm: 80, ReportAfterStrokes: [50, 300],
            MaxStrokes: 1500), Assumptions.Standard);
        r.WorstForceError.ShouldBeLessThan(0.001);
        r.Snapshots.Count.ShouldBe(2);
        r.Snapshots[1].CleanedFraction.ShouldBeGreaterThanOrEqualTo(r.Snapshots[0].CleanedFraction);
        r.Snapshots[1].MaxWearUm.ShouldBeGreaterThan(r.Snapshots[0].MaxWearUm);
    }

    [Fact]
    public void Pressing_outside_the_sole_is_refused() =>
        Should.Throw<InputException>(() => Lapping.Simulate(new LappingInput(245, 60, "P80", new SoleShape(), ForceXMm: 300), Assumptions.Standard))
            .ErrorKey.ShouldBe("force_outside_sole");

    [Fact]
    public void A_reading_off_the_sole_is_told() =>
        Should.Throw<InputException>(() => GridSurvey.Read(new GridSurveyInput(245, 60, [[0, 0, 0], [300, 10, 0], [10, 50, 0]]), Assumptions.Standard))
            .ErrorKey.ShouldBe("reading_off_the_sole");

    [Fact]
    public void Few_readings_give_flatness_without_a_shape()
    {
        GridSurveyResult r = GridSurvey.Read(new GridSurveyInput(245, 60, [[0, 0, 0], [245, 0, 0.1], [0, 60, 0], [245, 60, 0]]), Assumptions.Standard);
        r.LengthwiseBowMm.ShouldBeNull();
        r.ReadsAs.ShouldBeNull();
        r.FlatnessMinimumZoneMm.ShouldBe(0.05, 1e-6);
    }
}
