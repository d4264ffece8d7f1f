using CsCheck;
using Foundling.Core.Grits;
using Foundling.Core.Saws;

namespace Foundling.Core.Tests.Saws;

/// <summary>Teeth, their files, their set and their unevenness; what is drawn agrees with the figures.</summary>
public sealed class SawTests
{
    private static readonly Assumptions A = Assumptions.Standard;

    private static readonly Gen<ToothInput> Teeth = Gen.Select(Gen.Double[2, 30], Gen.Double[-29.5, 59.5], Gen.Double[0, 45])
        .Select((tpi, rake, fleam) => new ToothInput(tpi, null, rake, 600, fleam));

    [Fact]
    public void The_drawing_has_the_angles_of_the_figures() => Teeth.Sample(input =>
    {
        var shape = ToothShape.Of(input, 5);
        for (int i = 0; i < 5; i++)
        {
            (double[] gullet, double[] point, double[] next) = (shape.Outline[2 * i], shape.Outline[(2 * i) + 1], shape.Outline[(2 * i) + 2]);
            double front = Math.Atan2(point[0] - gullet[0], point[1] - gullet[1]) * 180 / Math.PI;
            double back = Math.Atan2(next[0] - point[0], point[1]) * 180 / Math.PI;
            front.ShouldBe(input.RakeDeg, 1e-6, "the front leans back by the rake");
            (front + back).ShouldBe(Tooth.FileDeg, 1e-6, "and the file makes the other flank");
            (next[0] - gullet[0]).ShouldBe(shape.Tooth.PitchMm, 1e-9);
            Math.Max(double.Hypot(point[0] - gullet[0], point[1]), double.Hypot(next[0] - point[0], point[1])).ShouldBe(shape.Tooth.LongFlankMm, 1e-6);
        }
    }, iter: 300);

    [Fact]
    public void Points_are_one_more_than_teeth_and_both_say_the_same() => Gen.Double[2, 30].Sample(tpi =>
    {
        Tooth.Of(new ToothInput(tpi)).ShouldBe(Tooth.Of(new ToothInput(Ppi: tpi + 1)), new Near());
        Should.Throw<InputException>(() => Tooth.Of(new ToothInput(tpi, tpi))).ErrorKey.ShouldBe("tpi_and_ppi_disagree");
    }, iter: 100);

    private sealed class Near : IEqualityComparer<ToothResult>
    {
        public bool Equals(ToothResult? x, ToothResult? y) => Math.Abs(x!.PitchMm - y!.PitchMm) < 1e-9 && Math.Abs(x.ToothHeightMm - y.ToothHeightMm) < 1e-9;

        public int GetHashCode(ToothResult obj) => 0;
    }

    [Theory]
    [InlineData(null, null, 0, "required")]
    [InlineData(1000.0, null, 0, "out_of_range")]
    [InlineData(5.0, null, 60, "out_of_range")]
    [InlineData(5.0, null, -30, "out_of_range")]
    public void What_no_file_cuts_is_said(double? tpi, double? ppi, double rake, string error) =>
        Should.Throw<InputException>(() => Tooth.Of(new ToothInput(tpi, ppi, rake))).ErrorKey.ShouldBe(error);

    [Fact]
    public void The_file_that_is_named_covers_a_flank_twice() => Teeth.Sample(input =>
    {
        ToothResult tooth = Tooth.Of(input);
        if (SawFiles.For(tooth) is { } file)
        {
            file.SideMm.ShouldBeGreaterThanOrEqualTo(2 * tooth.LongFlankMm);
            SawFiles.Usual.Where(f => f.SideMm < file.SideMm).ShouldAllBe(f => SawFiles.Fits(f.SideMm, tooth) == FileFit.TooSmall);
        }
        else
        {
            SawFiles.Usual[^1].SideMm.ShouldBeLessThan(2 * tooth.LongFlankMm);
        }
    }, iter: 300);

    [Fact]
    public void Kerf_is_plate_and_twice_the_set() => Gen.Select(Gen.Double[0.3, 2], Gen.Double[0, 0.6], Gen.Bool).Sample((plate, set, green) =>
    {
        SetResult read = SetAndKerf.Of(new SetInput(green ? SawnWood.Green : SawnWood.DryHardwood, plate, set), A);
        read.KerfMm.ShouldBe(plate + (2 * set), 1e-12);
        (read.Advice == SetAdvice.TooMuch).ShouldBe(set > plate * (green ? A.SetGreenShare : A.SetDryShare) + 1e-9);
    }, iter: 200);

    [Fact]
    public void After_jointing_no_tooth_that_counts_is_lower_than_the_line() => Gen.Double[0, 3].List[1, 80].Sample(heights =>
    {
        var input = new JointingInput(2, heights);
        if (heights.All(h => h < 1))
        {
            Should.Throw<InputException>(() => Jointing.Of(input, A)).ErrorKey.ShouldBe("no_usable_teeth");
            return;
        }
        JointingResult read = Jointing.Of(input, A);
        double line = heights.Max() - read.JointingDepthMm;
        heights.Count(h => h < line - 1e-9).ShouldBe(read.TeethToRecut, "only those that are cut anew stay under it");
        (read.Passes * A.JointingPassMm).ShouldBeGreaterThanOrEqualTo(read.JointingDepthMm - 1e-9);
    }, iter: 300);

    [Fact]
    public void A_breast_is_the_circle_through_its_ends_and_middle() => Gen.Select(Gen.Double[100, 800], Gen.Double[0.1, 40]).Sample((chord, sagitta) =>
    {
        double r = Straightness.Breast(new BreastInput(chord, sagitta)).RadiusMm!.Value;
        (r - Math.Sqrt((r * r) - (chord * chord / 4))).ShouldBe(sagitta, 1e-6 * sagitta + 1e-7);
    }, iter: 200);

    [Fact]
    public void A_bow_is_told_from_a_kink() => Gen.Select(Gen.Double[0.6, 20], Gen.Double[0.15, 0.85]).Sample((most, where) =>
    {
        double[][] At(Func<double, double> gap) => [.. Enumerable.Range(0, 11).Select(i => new[] { i * 60.0, gap(i / 10.0) })];
        Straightness.Bow(new BowInput(600, At(u => 4 * most * u * (1 - u))), A).Is.ShouldBe(PlateBend.Bow);
        double place = Math.Round(where * 10) / 10;
        BowResult kink = Straightness.Bow(new BowInput(600, At(u => u <= place ? most * u / place : most * (1 - u) / (1 - place))), A);
        (kink.Is, kink.AtMm).ShouldBe((PlateBend.Kink, place * 600));
        Straightness.Bow(new BowInput(600, At(_ => 0.1)), A).Is.ShouldBe(PlateBend.Straight);
    }, iter: 200);

    [Fact]
    public void A_strip_has_a_mark_for_each_point_at_its_true_place() => Teeth.Sample(input =>
    {
        ToothResult tooth = Tooth.Of(input);
        var strip = FilingStrip.Of(input, 200);
        double[] points = [.. strip.Lines.Where(l => l.Mark is StripMark.Point or StripMark.Tenth).Select(l => l.X1)];
        points.Length.ShouldBe(Whole.Floor(200 / tooth.PitchMm) + 1);
        points.Select((x, i) => Math.Abs(x - (i * tooth.PitchMm))).ShouldAllBe(d => d < 1e-9);
        strip.Lines.Where(l => l.Mark is StripMark.Fleam or StripMark.FleamOther).ShouldAllBe(l =>
            Math.Abs(Math.Abs(l.X2 - l.X1) - ((l.Y2 - l.Y1) * Math.Tan(input.FleamDeg!.Value * Math.PI / 180))) < 1e-9);
        StripLine rule = strip.Lines.Single(l => l.Mark == StripMark.Rule && l.Y1 == l.Y2);
        (rule.X2 - rule.X1).ShouldBe(100);
        strip.Lines.ShouldAllBe(l => l.X1 >= 0 && l.X2 >= -1e-9 && l.X1 <= 200 + 1e-9 && l.X2 <= 200 + 1e-9 && l.Y1 >= 0 && l.Y2 <= strip.HeightMm);
    }, iter: 200);

    [Fact]
    public void Teeth_on_a_photograph_are_those_that_stand_there_however_it_was_held() => Gen.Select(Gen.Double[0, 6.2], Gen.Double[0.5, 8], Gen.Double[2, 6],
        Gen.Double[0.3, 4].List[4, 30], Gen.Int[0, 29]).Sample((turn, perMm, pitch, heights, gone) =>
    {
        (double X, double Y) At(double along, double high) => (800 + (perMm * ((along * Math.Cos(turn)) - (high * Math.Sin(turn)))),
            600 + (perMm * ((along * Math.Sin(turn)) + (high * Math.Cos(turn)))));
        int missing = 1 + (gone % (heights.Count - 2));
        List<(double, double)> tips = [.. heights.Select((h, i) => (h, i)).Where(t => t.i != missing).Select(t => At(pitch * (t.i + 0.5), t.h))];
        double length = 100 / perMm;
        tips.Reverse();
        TeethOnPhoto read = TeethOnPhoto.Of(At(0, 0), At(length, 0), length, tips);
        read.HeightsMm.Count.ShouldBe(heights.Count);
        read.HeightsMm[missing].ShouldBe(0);
        read.Missing.ShouldBe(1);
        for (int i = 0; i < heights.Count; i++)
        {
            if (i != missing)
            {
                read.HeightsMm[i].ShouldBe(heights[i], 1e-6);
            }
        }
        read.Ppi!.Value.ShouldBe((25.4 / pitch) + 1, 1e-6);
    }, iter: 300);

    [Fact]
    public void A_photograph_that_cannot_be_measured_is_refused()
    {
        Should.Throw<InputException>(() => TeethOnPhoto.Of((0, 0), (5, 0), 100, [(1, 1)])).ErrorKey.ShouldBe("line_too_short");
        Should.Throw<InputException>(() => TeethOnPhoto.Of((0, 0), (500, 0), 100, [(1, 1), (1, 9)])).ErrorKey.ShouldBe("tips_too_near");
        TeethOnPhoto.Of((0, 0), (500, 0), 100, [(1, 10)]).Ppi.ShouldBeNull();
    }

    [Fact]
    public void Nuts_are_brought_up_from_the_middle_outwards_each_in_its_turn()
    {
        NutOrder.Of(1).ShouldBe([1]);
        NutOrder.Of(3).ShouldBe([2, 1, 3]);
        NutOrder.Of(5).ShouldBe([4, 2, 1, 3, 5]);
        for (int n = 1; n <= 12; n++)
        {
            NutOrder.Of(n).Order().ShouldBe(Enumerable.Range(1, n));
        }
        Should.Throw<InputException>(() => NutOrder.Of(0));
    }

    [Fact]
    public void Over_an_etch_nothing_goes_that_is_coarser_than_it_bears() => Gen.Select(Gen.Double[0.002, 0.4], Gen.Double[1, 300].List[0, 12])
        .Sample((depth, sizes) =>
    {
        Assumptions a = Assumptions.Standard;
        List<LadderAbrasive> owned = [.. sizes.Select((um, i) => new LadderAbrasive($"sheet {i}", um))];
        EtchWatch watch = EtchWatch.Of(depth, owned, a);
        bool Spares(LadderAbrasive o) => o.MeanUm <= a.EtchCoarsestUm && o.MeanUm * a.ScratchShare * a.ScratchTimes <= watch.LimitUm;
        watch.LimitUm.ShouldBeLessThan(depth * 1000);
        owned.Where(Spares).Select(o => o.MeanUm).DefaultIfEmpty(0).Max().ShouldBe(owned.FirstOrDefault(o => o.Name == watch.Coarsest)?.MeanUm ?? 0);
    });
}
