using CsCheck;
using Foundling.Core.Edges;
using Foundling.Core.Keys;

namespace Foundling.Core.Tests.EdgeBench;

/// <summary>Blades, grinding, mouths, cutters, stones and burrs: figures that must agree with one another.</summary>
public sealed class BenchTests
{
    private static readonly Assumptions A = Assumptions.Standard;

    private static double Angle(double[] at) => Math.Atan2(Math.Abs(at[1]), at[0]) * 180 / Math.PI;

    [Fact]
    public void A_blade_is_drawn_with_the_angle_that_was_measured_behind_its_edge() => Gen.Select(Gen.Double[1, 12], Gen.Double[4, 20], Gen.Enum<Ground>())
        .Sample((thick, behind, side) =>
    {
        double angle = Edge.KnifeAngle(new KnifeAngleInput(thick, behind, side != Ground.BothSides)).IncludedAngleDeg;
        if (angle >= 90)
        {
            return;
        }
        var section = WedgeSection.Of(new WedgeSectionInput(angle, behind, Side: side));
        section.ThickMm.ShouldBe(thick, 1e-9);
        double[] upper = section.Outline[0], lower = section.Outline[^1];
        (Angle(upper) + Angle(lower)).ShouldBe(angle, 1e-9);
        (side == Ground.BothSides).ShouldBe(lower[1] != 0);
        Math.Sign(upper[1]).ShouldBe(side == Ground.RightSide ? -1 : 1);
    }, iter: 300);

    [Fact]
    public void An_edge_honed_more_acute_than_its_faces_is_refused() =>
        Should.Throw<InputException>(() => WedgeSection.Of(new WedgeSectionInput(30, 10, 25))).ErrorKey.ShouldBe("secondary_below_primary");

    [Fact]
    public void Grinding_back_is_a_straight_cut_and_a_new_bevel_and_nothing_else() => Gen.Select(Gen.Double[5, 80], Gen.Double[1, 6], Gen.Double[15, 45],
        Gen.Double[0, 20]).Sample((w, t, bevel, back) =>
    {
        var ground = GroundBack.Of(w, t, bevel, back);
        (ground.StraightMm3 + ground.BevelMm3).ShouldBe(w * t * back, 1e-6);
        ground.StraightMm3.ShouldBeGreaterThanOrEqualTo(-1e-9);
        ground.BevelMm3.ShouldBeGreaterThanOrEqualTo(-1e-9);
        ground.FlatMm.ShouldBeInRange(0, t);
        // What the bevel takes is the triangle in front of the blunt end, once that stands at full thickness.
        if (ground.FlatMm >= t)
        {
            ground.BevelMm3.ShouldBe(w * t * t / Math.Tan(bevel * Math.PI / 180) / 2, 1e-6);
        }
        foreach (GrindOn on in Enum.GetValues<GrindOn>())
        {
            var heat = GrindHeat.Of(w * t * back, on, A);
            heat.Minutes.ShouldBe(Edge.Minutes(w * t * back, on, A), 1e-9);
            (heat.Minutes * 60).ShouldBe(heat.ContactSeconds + (heat.Dips * A.DipSeconds), 1e-6);
        }
    }, iter: 300);

    [Fact]
    public void What_is_done_about_a_mouth_brings_it_where_it_is_wanted() => Gen.Select(Gen.Double[12, 60], Gen.Double[0, 4], Gen.Double[1.5, 4],
        Gen.Double[1.5, 4], Gen.Double[-1, 1], Gen.Double[0, 3], Gen.Int[0, 3].Select(i => new[] { WayId.Tight, WayId.One, WayId.Open, WayId.Any }[i]))
        .Sample((bed, mouth, iron, next, forward, room, wanted) =>
    {
        var plan = MouthPlan.Of(new MouthPlanInput(bed, mouth, iron, next, forward, room, Wanted: wanted), A);
        double now = plan.After.NewMouthMm + plan.Deeds.Sum(d => d.Do switch { MouthDo.Close => -d.Mm, MouthDo.Open or MouthDo.FileFront => d.Mm, _ => 0 });
        now.ShouldBeGreaterThanOrEqualTo((plan.LeastMm ?? 0) - 1e-6);
        now.ShouldBeLessThanOrEqualTo((plan.MostMm ?? double.PositiveInfinity) + 1e-6);
        plan.Deeds.Where(d => d.Do == MouthDo.Open).Sum(d => d.Mm).ShouldBeLessThanOrEqualTo(room + 1e-9);
        plan.Deeds.ShouldNotBeEmpty();
    }, iter: 500);

    [Fact]
    public void A_mouth_that_nothing_moves_is_filed_or_pieced()
    {
        MouthPlan Of(double mouth) => MouthPlan.Of(new MouthPlanInput(45, mouth, 2, Moves: false, Wanted: WayId.One), A);
        Of(4).Deeds.ShouldHaveSingleItem().Do.ShouldBe(MouthDo.LetIn);
        Of(0.2).Deeds.ShouldHaveSingleItem().Do.ShouldBe(MouthDo.FileFront);
        Of(1).Deeds.ShouldHaveSingleItem().Do.ShouldBe(MouthDo.Leave);
    }

    [Fact]
    public void An_iron_fits_or_it_is_said_where_it_does_not()
    {
        IReadOnlyList<FitCheck> Of(double wide, double yoke) => MouthPlan.Of(new MouthPlanInput(45, 1, 2, 3, OpeningWideMm: 51, IronWideMm: wide, SlotMm: 11,
            ScrewMm: 7, YokeMm: yoke, CapScrewMm: 5), A).Fits;
        Of(50, 4.5).ShouldAllBe(f => f.Fits);
        Of(51.2, 3).Where(f => !f.Fits).Select(f => f.Fit).ShouldBe([IronFit.Opening, IronFit.Yoke]);
        MouthWords.Of(Of(51.2, 3)[0], mm => $"{mm:0.0} mm").ShouldContain("needs 51.7 mm, and there are 51.0 mm");
    }

    [Fact]
    public void Cap_irons_sit_as_each_school_has_them()
    {
        CapSetting hard = CapSetting.Of(WayId.Hard, A), one = CapSetting.Of(WayId.One, A), two = CapSetting.Of(WayId.Two, A);
        hard.MostMm.ShouldBeLessThan(one.LeastMm);
        one.MostMm.ShouldBeLessThan(two.LeastMm);
        one.Holds(1).ShouldBeTrue();
        one.Holds(0.3).ShouldBeFalse();
        Should.Throw<InputException>(() => CapSetting.Of(WayId.Lap, A));
    }

    [Fact]
    public void Chipped_jaws_take_the_way_that_can_follow()
    {
        WayId Best(double chip, double room, double? beside, double share = 0.2) =>
            ChippedJaws.Of(new ChippedJawsInput(chip, 34, 10, room, beside, share), A).Recommend;
        Best(0.4, 0.3, null).ShouldBe(WayId.Stops);
        Best(2, 0.3, 3).ShouldBe(WayId.Holes);
        Best(2, 0.3, 1).ShouldBe(WayId.LeaveChip);
        Best(2, 0, null, 0.6).ShouldBe(WayId.NewJaws);
        ChippedJaws.Of(new ChippedJawsInput(0.4, 34, 10, 0, null, 0.2), A).Routes.Single(r => r.Way == WayId.Stops).Why.ShouldContain("no stops");
    }

    [Fact]
    public void What_is_harder_than_the_mark_is_not_cut_and_softer_no_thicker()
    {
        double? Most(StockHardness mark, StockHardness cut) => CutterCapacity.MostMm(8, mark, cut);
        Most(StockHardness.Bolt, StockHardness.Mild).ShouldBe(8);
        Most(StockHardness.Bolt, StockHardness.Bolt).ShouldBe(8);
        Most(StockHardness.Bolt, StockHardness.Spring).ShouldBeNull();
        Most(StockHardness.Spring, StockHardness.Spring).ShouldBe(8);
        Should.Throw<InputException>(() => CutterCapacity.MostMm(0, StockHardness.Bolt, StockHardness.Bolt));
    }

    [Fact]
    public void Every_part_of_an_edge_meets_the_stone_in_some_lane() => Gen.Select(Gen.Double[5, 90], Gen.Double[20, 80]).Sample((iron, stone) =>
    {
        var pattern = StonePattern.Of(iron, stone);
        pattern.Offsets.Sum().ShouldBe(0, 1e-6, "as far to the left as to the right");
        double least = Math.Min(iron, stone);
        // From lane to lane they overlap, and in the outermost one the sides are level.
        pattern.Offsets.Zip(pattern.Offsets.Skip(1), (a, b) => b - a).ShouldAllBe(d => d <= (least / 2) + 1e-9);
        if (pattern.Offsets.Count > 1)
        {
            pattern.Offsets[^1].ShouldBe(Math.Abs(iron - stone) / 2, 1e-9);
        }
        pattern.CornerShare.ShouldBeInRange(0, 1.0001);
        (iron * Math.Cos(pattern.SkewDeg * Math.PI / 180)).ShouldBeLessThanOrEqualTo(stone + 1e-6, "turned, the whole edge is on it");
    }, iter: 500);

    [Fact]
    public void A_burr_is_renewed_until_it_no_longer_comes_up()
    {
        BurrPlan.Of(3, 5, 15, 2, true, A).ShouldSatisfyAllConditions(b => b.Angles.ShouldBe([5, 10, 15]), b => b.FileNow.ShouldBeFalse());
        BurrPlan.Of(2, 5, 15, 6, true, A).FileNow.ShouldBeTrue("it was renewed as often as it usually comes up");
        BurrPlan.Of(2, 5, 15, 1, false, A).FileNow.ShouldBeTrue();
        Should.Throw<InputException>(() => BurrPlan.Of(1, 5, 15, 0, true, A));
        Should.Throw<InputException>(() => BurrPlan.Of(2, 15, 5, 0, true, A));
    }

    [Fact]
    public void A_photograph_may_be_turned_and_enlarged() => Gen.Select(Gen.Double[5, 80], Gen.Double[0, 6], Gen.Double[100, 900], Gen.Double[0.3, 3])
        .Sample((angle, turn, far, times) =>
    {
        (double, double) At(double deg, double r) => (500 + (r * Math.Cos(turn + (deg * Math.PI / 180))), 400 + (r * Math.Sin(turn + (deg * Math.PI / 180))));
        var read = PhotoAngle.Of((500, 400), At(0, far), At(angle, far * times), 20);
        read.AngleDeg.ShouldBe(angle, 1e-6);
        // With the scale of the first side, both sides and the angle between them give the third.
        double b = 20 * times;
        read.ThickMm!.Value.ShouldBe(Math.Sqrt(400 + (b * b) - (2 * 20 * b * Math.Cos(angle * Math.PI / 180))), 1e-6);
    });

    [Fact]
    public void Points_on_one_another_are_refused() =>
        Should.Throw<InputException>(() => PhotoAngle.Of((5, 5), (6, 5), (90, 5))).ErrorKey.ShouldBe("points_too_near");

    [Fact]
    public void A_pit_through_the_iron_is_refused() => Should.Throw<InputException>(() => SaveTheBack.Compare(new SaveTheBackInput(50, 2, 25, 20,
        [new Pit(2.5, 3, 1)]), A)).ErrorKey.ShouldBe("pit_through_the_iron");

    [Theory]
    [InlineData(0.1, 0, 4)]
    [InlineData(0.1, 3, 3)]
    [InlineData(0.1, 30, 2)]
    [InlineData(0.01, 3, 1)]
    public void A_pit_has_the_degree_its_scale_gives_it(double depth, double near, int degree) =>
        Foundling.Core.State.EdgePits.DegreeOf(new Pit(depth, near + 1, near), 50, 0, A).ShouldBe(degree);
}
