using Foundling.Core.Baths;

namespace Foundling.Core.Tests.Soaks;

/// <summary>A load lies in its container so that all of it is covered, nothing touches and the rim stays free.</summary>
public sealed class ArrangingTests
{
    private static readonly Assumptions A = Assumptions.Standard;

    private static BathPiece Piece(string key, double length, double width, double thick, double litres = 0.05) => new(key, key, length, width, thick,
        litres);

    private static BathPiece[] Random(Random random) => [.. Enumerable.Range(0, random.Next(1, 14)).Select(i =>
    {
        double[] sides = [random.Next(8, 320), random.Next(4, 120), random.Next(1, 70)];
        Array.Sort(sides);
        return Piece($"p{i}", sides[2], sides[1], sides[0], sides[0] * sides[1] * sides[2] / 1_000_000 * random.NextDouble());
    })];

    private static Container RandomContainer(Random random) => random.Next(3) == 0 ? Container.Upright(random.Next(80, 400), random.Next(60, 500))
        : Container.Box(random.Next(60, 700), random.Next(60, 400), random.Next(50, 300));

    [Fact]
    public void No_load_of_two_thousand_leaves_a_part_dry_or_goes_over_the_rim() => Parallel.For(0, 2000, seed =>
    {
        var random = new Random(seed);
        Container container = RandomContainer(random);
        BathPiece[] pieces = Random(random);
        BathArrangement lies = Arranging.Of(container, pieces, A);
        Holds(lies, pieces, $"seed {seed}");
        Holds(Arranging.Of(container, pieces, A, [.. pieces.Select(p => new Wanted(p.Key, random.Next(-50, 700), random.Next(-50, 400),
            (Lay)random.Next(4)))]),
            pieces, $"seed {seed}, by hand");
        if (lies.Enough is { } enough)
        {
            BathArrangement more = Arranging.Of(enough, pieces, A);
            more.Fits.ShouldBeTrue($"seed {seed}");
            Holds(more, pieces, $"seed {seed}, enough");
        }
    });

    private static void Holds(BathArrangement lies, BathPiece[] pieces, string where)
    {
        lies.Placed.Select(p => p.Piece.Key).Concat(lies.Left.Select(l => l.Piece.Key)).Order().ShouldBe(pieces.Select(p => p.Key).Order(), where);
        if (lies.Placed.Count == 0)
        {
            lies.LiquidL.ShouldBe(0);
            return;
        }
        lies.FillMm.ShouldBeLessThanOrEqualTo(lies.Container.DepthMm - A.BathRimMm + 1e-6, where);
        (lies.LiquidL + lies.DisplacedL).ShouldBe(Math.Max(lies.Container.Litres(lies.FillMm), lies.DisplacedL), 1e-9, where);
        double room = A.BathEndRoomMm / 2;
        foreach (Placed p in lies.Placed)
        {
            (p.ToMm + A.BathCoverMm).ShouldBeLessThanOrEqualTo(lies.FillMm + 1e-6, $"{where}: {p.Piece.Key} is covered");
            if (p.Lay == Lay.EndForEnd)
            {
                double run = lies.Container.LengthMm - A.BathEndRoomMm;
                p.Piece.LengthMm.ShouldBeInRange(run, (2 * run) - A.BathOverlapMm + 1e-6, where);
                continue;
            }
            if (lies.Container.Shape == ContainerShape.Box)
            {
                (p.XMm >= room - 1e-6 && p.YMm >= room - 1e-6 && p.XMm + p.AlongMm <= lies.Container.LengthMm - room + 1e-6
                    && p.YMm + p.AcrossMm <= lies.Container.WidthMm - room + 1e-6).ShouldBeTrue($"{where}: {p.Piece.Key} is inside the walls");
            }
            else
            {
                double middle = lies.Container.LengthMm / 2;
                foreach ((double x, double y) in new[] { (p.XMm, p.YMm), (p.XMm + p.AlongMm, p.YMm), (p.XMm, p.YMm + p.AcrossMm),
                    (p.XMm + p.AlongMm, p.YMm + p.AcrossMm) })
                {
                    Math.Sqrt(((x - middle) * (x - middle)) + ((y - middle) * (y - middle))).ShouldBeLessThanOrEqualTo(middle - room + 1e-6, where);
                }
            }
            foreach (Placed o in lies.Placed.Where(o => o.Piece.Key != p.Piece.Key))
            {
                double along = o.Lay == Lay.EndForEnd ? lies.Container.LengthMm - A.BathEndRoomMm : o.AlongMm;
                bool apart = p.XMm + p.AlongMm + A.BathGapMm <= o.XMm + 1e-6 || o.XMm + along + A.BathGapMm <= p.XMm + 1e-6
                    || p.YMm + p.AcrossMm + A.BathGapMm <= o.YMm + 1e-6 || o.YMm + o.AcrossMm + A.BathGapMm <= p.YMm + 1e-6;
                (apart || p.FromMm >= o.ToMm - 1e-6 || o.FromMm >= p.ToMm - 1e-6).ShouldBeTrue($"{where}: {p.Piece.Key} and {o.Piece.Key} touch");
            }
        }
    }

    [Fact]
    public void One_layer_needs_as_much_as_the_gauge_says()
    {
        BathPiece[] pieces = [Piece("body", 356, 60, 62, 1.51 / 7.2), Piece("frog", 70, 50, 40, 0.31 / 7.2)];
        BathArrangement lies = Arranging.Of(Container.Box(400, 150, 120), pieces, A);
        BathVolumeResult gauge = BathVolume.Of(new BathVolumeInput(new Tub(400, 150, 120), [new SoakPart("body", 356, 62, 1510), new SoakPart("frog", 70,
            40, 310)]),
            A);
        lies.Placed.ShouldAllBe(p => p.Layer == 0);
        lies.FillMm.ShouldBe(gauge.FillDepthMm);
        (lies.LiquidL * 1000).ShouldBe(gauge.LiquidMl, 1e-6);
        (lies.DisplacedL * 1000).ShouldBe(gauge.DisplacedMl, 1e-6);
    }

    [Fact]
    public void What_is_too_long_is_turned_end_for_end_and_what_is_longer_still_stays_out()
    {
        Container gutter = Container.Box(400, 150, 120);
        BathArrangement turned = Arranging.Of(gutter, [Piece("plate", 559, 66, 5)], A);
        turned.Placed.Single().Lay.ShouldBe(Lay.EndForEnd);
        turned.Placed.Single().Piece.LengthMm.ShouldBeGreaterThan(gutter.LengthMm);
        BathArrangement longer = Arranging.Of(gutter, [Piece("plate", 780, 66, 5)], A);
        longer.Left.Single().Why.ShouldBe("The plate is 780 mm long: turned end for end, up to 765 mm go under here.");
        longer.Enough.ShouldBe(Container.Box(790, 80, 40));
        Arranging.Of(gutter, [Piece("jaw", 150, 120, 90)], A).Left.Single().Why.ShouldBe("The jaw lies 90 mm high, and this container covers 85 mm.");
    }

    [Fact]
    public void A_bucket_takes_chisels_on_their_ends_and_a_shallow_one_says_how_long_they_may_be()
    {
        BathPiece[] chisels = [.. Enumerable.Range(1, 5).Select(i => Piece($"chisel {i}", 260, 30, 12))];
        BathArrangement bucket = Arranging.Of(Container.Upright(200, 320), chisels, A);
        bucket.Fits.ShouldBeTrue();
        bucket.Placed.ShouldAllBe(p => p.Lay == Lay.Upright && p.Layer == 0);
        bucket.FillMm.ShouldBe(275);
        Arranging.Of(Container.Upright(200, 200), chisels, A).Left[0].Why.ShouldBe("The chisel 1 is 260 mm long: up to 190 mm go under here.");
    }

    [Fact]
    public void A_place_chosen_by_hand_is_kept_where_it_holds_and_left_where_it_does_not()
    {
        BathPiece[] two = [Piece("a", 100, 40, 10), Piece("b", 100, 40, 10)];
        Container tub = Container.Box(300, 200, 100);
        BathArrangement held = Arranging.Of(tub, two, A, [new Wanted("b", 150, 100, Lay.Across)]);
        held.Placed.Single(p => p.Piece.Key == "b").ShouldSatisfyAllConditions(p => (p.XMm, p.YMm, p.Lay).ShouldBe((150, 95, Lay.Across)), p => p.Layer
            .ShouldBe(0));
        BathArrangement outside = Arranging.Of(tub, two, A, [new Wanted("b", 290, 10, Lay.Along)]);
        outside.Placed.Single(p => p.Piece.Key == "b").XMm.ShouldBeLessThan(200);
    }

    [Theory, InlineData(10, 100, 100), InlineData(6000, 100, 100), InlineData(300, double.NaN, 100)]
    public void A_container_no_shop_has_is_refused(double length, double width, double depth) =>
        Should.Throw<InputException>(() => Arranging.Of(Container.Box(length, width, depth), [Piece("a", 10, 10, 10)], A)).ErrorKey
            .ShouldBe("container_size");
}
