using CsCheck;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.State;

/// <summary>Grids of points, shares and their differences.</summary>
public sealed class PointCountTests
{
    private static readonly double[][] Square = [[100, 100], [500, 100], [500, 400], [100, 400]];

    [Fact]
    public void A_grid_gives_about_the_points_wanted_all_of_them_inside() => Gen.Select(Gen.Int[20, 400], Gen.Int[0, 60_000]).Sample((points, seed) =>
    {
        PointGridResult grid = PointGrid.Of(new PointGridInput(Square, points, seed));
        grid.PointsPx.ShouldAllBe(p => p[0] >= 100 && p[0] <= 500 && p[1] >= 100 && p[1] <= 400);
        // A row or a column more or less is all that the offset can change.
        double rows = 300 / grid.SpacingPx, columns = 400 / grid.SpacingPx;
        grid.PointsPx.Count.ShouldBeInRange((int)(Math.Floor(rows) * Math.Floor(columns)), (int)(Math.Ceiling(rows) * Math.Ceiling(columns)));
        PointGrid.Of(new PointGridInput(Square, points, seed)).PointsPx.ShouldBe(grid.PointsPx, "the same seed gives the same points");
    });

    [Fact]
    public void Every_place_is_met_equally_often()
    {
        // Left half against right half over many offsets.
        int left = 0, all = 0;
        for (int seed = 0; seed < 400; seed++)
        {
            IReadOnlyList<double[]> points = PointGrid.Of(new PointGridInput(Square, 40, seed)).PointsPx;
            left += points.Count(p => p[0] < 300);
            all += points.Count;
        }
        (left / (double)all).ShouldBe(0.5, 0.01);
    }

    [Theory]
    [InlineData(2, 80, "three corners")]
    [InlineData(4, 5, "must be 10 to 1000")]
    public void A_count_needs_an_outline_and_enough_points(int corners, int points, string sentence) =>
        Should.Throw<InputException>(() => PointGrid.Of(new PointGridInput([.. Square.Take(corners)], points, 1))).Sentence.ShouldContain(sentence);

    [Fact]
    public void An_outline_of_no_size_is_refused() =>
        Should.Throw<InputException>(() => PointGrid.Of(new PointGridInput([[1, 1], [2, 1], [2, 2]], 80, 1))).ErrorKey.ShouldBe("outline_too_small");

    [Fact]
    public void A_hollow_outline_keeps_points_out_of_its_bay()
    {
        double[][] bay = [[0, 0], [300, 0], [300, 300], [200, 300], [200, 100], [100, 100], [100, 300], [0, 300]];
        Corners.Area(bay).ShouldBe(70_000);
        PointGrid.Of(new PointGridInput(bay, 200, 3)).PointsPx.ShouldNotContain(p => p[0] > 100 && p[0] < 200 && p[1] > 100);
    }

    [Fact]
    public void A_difference_is_told_from_chance() => Gen.Select(Gen.Int[0, 80], Gen.Int[0, 80]).Sample((before, after) =>
    {
        ShareDifference fell = Wilson.Difference(new WilsonInput(before, 80), new WilsonInput(after, 80));
        fell.Fell.ShouldBe((before - after) / 80.0, 1e-12);
        (fell.Low95 <= fell.Fell && fell.Fell <= fell.High95).ShouldBeTrue();
        ShareDifference back = Wilson.Difference(new WilsonInput(after, 80), new WilsonInput(before, 80));
        back.Low95.ShouldBe(-fell.High95, 1e-12);
    });

    [Fact]
    public void Newcombes_own_example_is_met()
    {
        // 56 of 70 against 48 of 80: 0.2000, 0.0524 to 0.3339 (Newcombe 1998, method 10).
        ShareDifference fell = Wilson.Difference(new WilsonInput(56, 70), new WilsonInput(48, 80));
        fell.Low95.ShouldBe(0.0524, 5e-5);
        fell.High95.ShouldBe(0.3339, 5e-5);
    }

    [Fact]
    public void A_counted_coating_loss_gets_the_degree_its_words_say()
    {
        FindingScales.CoatingDegree(0).ShouldBe(0);
        FindingScales.CoatingDegree(0.5).ShouldBe(3);
        FindingScales.CoatingDegree(1).ShouldBe(FindingScales.Worst);
        int[] degrees = [.. Enumerable.Range(0, 101).Select(i => FindingScales.CoatingDegree(i / 100.0))];
        degrees.ShouldBe(degrees.Order());
    }

    [Fact]
    public void Points_that_cannot_be_seen_do_not_count()
    {
        var count = new CountRecord { Answers = "ynssy", OutlinePx = [.. Square], Points = 40 };
        count.Counted().ShouldBe(new WilsonInput(2, 3));
        count.Scale().ShouldBeNull();
        new CountRecord { Answers = "ss" }.Result().ShouldBeNull();
    }
}
