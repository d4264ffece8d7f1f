using CsCheck;
using Foundling.Core.Soles;

namespace Foundling.Core.Tests.Soles;

/// <summary>Lapping keeps force, moments and metal in balance, comes out the same on finer cells, and is foreseen as a film.</summary>
public sealed class LappingTests
{
    private static readonly Assumptions Usual = Assumptions.Standard;

    private static readonly Gen<SoleShape> Shapes = Gen.Select(Gen.Double[-0.15, 0.15], Gen.Double[-0.05, 0.05], Gen.Double[-0.1, 0.1], Gen.Double[0, 0.1])
        .Select((bow, cross, twist, ends) => new SoleShape(bow, cross, twist, EndsMm: ends));

    private static LappingInput Sole(SoleShape shape) => new(245, 60, "P80", shape, 7, MouthFrontMm: 80, MouthOpening: new MouthOpening(80, 86, 52),
        MaxStrokes: 400);

    [Fact]
    public void Force_and_moments_balance_at_each_step_and_wear_never_heals() =>
        Gen.Select(Shapes, Gen.Double[40, 200], Gen.Double[10, 50]).Sample((shape, x, y) =>
    {
        LapFilm film = Lapping.Film(Sole(shape) with { ForceXMm = x, ForceYMm = y }, Usual);
        double[] before = new double[film.Sole.Index.Count];
        foreach ((LapFrame frame, LappingSnapshot _, LappingResult? end) in film.Frames)
        {
            double force = frame.SinkMm.Sum(s => 2 * film.Sole.AreaMm2 * Math.Max(0, s));
            force.ShouldBe(60, 0.06);
            for (int axis = 0; axis < 2; axis++)
            {
                double[] at = axis == 0 ? film.Sole.X : film.Sole.Y;
                double hands = axis == 0 ? x - 122.5 : y - 30;
                double moment = frame.SinkMm.Select((s, i) => 2 * film.Sole.AreaMm2 * Math.Max(0, s) * (at[i] - hands)).Sum();
                Math.Abs(moment).ShouldBeLessThan(60 * 122.5 * 0.001);
            }
            frame.WearMm.Zip(before).ShouldAllBe(w => w.First >= w.Second);
            before = [.. frame.WearMm];
            (end?.WorstMomentError ?? 0).ShouldBeLessThan(0.001);
        }
    }, iter: 12);

    [Fact]
    public void What_goes_is_rate_times_force_times_strokes() => Shapes.Sample(shape =>
    {
        LapFilm film = Lapping.Film(Sole(shape), Usual);
        foreach ((LapFrame frame, LappingSnapshot _, LappingResult? _) in film.Frames)
        {
            (frame.WearMm.Sum() * film.Sole.AreaMm2).ShouldBe(0.009 * 60 * frame.Strokes, 0.001 * 0.009 * 60 * Math.Max(1, frame.Strokes));
        }
    }, iter: 12);

    [Fact]
    public void A_flat_sole_wears_evenly()
    {
        (LapSole _, IReadOnlyList<double[]> wear) = Lapping.Wears(Sole(new SoleShape()) with { MouthOpening = null }, [200], Usual);
        wear[0].Max().ShouldBe(wear[0].Min(), 0.001 * wear[0].Max());
    }

    [Theory]
    [InlineData(0.08, 0, 0.02)]
    [InlineData(0.05, 0.01, -0.03)]
    public void Finer_cells_say_the_same(double bow, double cross, double twist)
    {
        // 30 by 6 cells against 60 by 12.
        LappingInput coarse = new(240, 60, "P80", new SoleShape(bow, cross, twist), 8, MouthFrontMm: 80);
        LappingResult few = Lapping.Simulate(coarse with { LengthMm = 240, WidthMm = 48 }, Usual),
            many = Lapping.Simulate(coarse with { LengthMm = 240, WidthMm = 48, CellMm = 4 }, Usual);
        (few.Strokes90Contact!.Value / many.Strokes90Contact!.Value).ShouldBe(1, 0.03);
        (few.MetalRemovedAt90ContactCm3!.Value / many.MetalRemovedAt90ContactCm3!.Value).ShouldBe(1, 0.03);
    }

    [Fact]
    public void A_survey_is_lapped_as_the_shape_it_was_read_from()
    {
        var shape = new SoleShape(0.08, 0, 0.03);
        double[][] readings = [.. from i in Enumerable.Range(0, 13) from j in Enumerable.Range(0, 5) let x = i * 245 / 12.0 let y = j * 15.0
            select new[] { x, y, shape.At(x, y, 245, 60) + 0.4 - (0.001 * x) }];
        LappingInput input = Sole(shape) with { MaxStrokes = 20_000 };
        LappingResult byShape = Lapping.Simulate(input, Usual), byReadings = Lapping.Simulate(input with { Shape = null, PointsMm = readings }, Usual);
        (byReadings.StrokesThreeZones!.Value / byShape.StrokesThreeZones!.Value).ShouldBe(1, 0.03);
        Should.Throw<InputException>(() => Lapping.Simulate(input with { Shape = null }, Usual)).ErrorKey.ShouldBe("required");
    }

    [Fact]
    public void A_worn_toe_that_is_left_out_need_not_come_in()
    {
        double[][] readings = [.. from i in Enumerable.Range(0, 13) from j in Enumerable.Range(0, 5) let x = i * 245 / 12.0 let y = j * 15.0
            select new[] { x, y, x < 25 ? -0.3 : 0.02 * Math.Pow((x - 122.5) / 122.5, 2) }];
        LappingInput whole = Sole(new SoleShape()) with { Shape = null, PointsMm = readings, MaxStrokes = 3000 };
        LappingInput without = whole with { PointsMm = [.. readings.Where(p => p[0] >= 25)], LeftOutMm = [.. readings.Where(p => p[0] < 25)] };
        Lapping.Simulate(whole, Usual).StrokesThreeZones.ShouldBeNull("0.3 mm are a long way");
        Lapping.Simulate(without, Usual).StrokesThreeZones.ShouldNotBeNull();
    }

    [Fact]
    public void Hands_that_move_take_the_metal_there()
    {
        LappingInput still = Sole(new SoleShape(0.05)) with { MaxStrokes = 200 };
        LappingInput moved = still with { Presses = [new LapPress(100, 40)] };
        (LapSole sole, IReadOnlyList<double[]> a) = Lapping.Wears(still, [100, 200], Usual);
        IReadOnlyList<double[]> b = Lapping.Wears(moved, [100, 200], Usual).WearMm;
        b[0].ShouldBe(a[0]);
        sole.Toe.Sum(i => b[1][i]).ShouldBeGreaterThan(1.2 * sole.Toe.Sum(i => a[1][i]));
        Should.Throw<InputException>(() => Lapping.Wears(still with { Presses = [new LapPress(0, 999)] }, [1], Usual)).ErrorKey
            .ShouldBe("force_outside_sole");
    }

    [Fact]
    public void The_film_ends_where_the_run_ends()
    {
        LappingInput input = Sole(new SoleShape(0.06)) with { MaxStrokes = 20_000 };
        LappingResult run = Lapping.Simulate(input, Usual);
        List<(LapFrame Frame, LappingSnapshot Snapshot, LappingResult? End)> frames = [.. Lapping.Film(input, Usual).Frames];
        frames[0].Frame.Strokes.ShouldBe(0);
        frames.Count.ShouldBeLessThan(150);
        frames.Select(f => f.End).Where(e => e is not null).ShouldHaveSingleItem()!.StrokesThreeZones!.Value.ShouldBe(run.StrokesThreeZones!.Value,
            0.01 * run.StrokesThreeZones.Value);
        run.StrokesMouth!.Value.ShouldBeLessThanOrEqualTo(run.StrokesThreeZones.Value + 1e-9);
    }
}
