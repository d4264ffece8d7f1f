using CsCheck;
using Foundling.Core.Soles;

namespace Foundling.Core.Tests.Soles;

/// <summary>A survey says how sure it is; a plate says whether it can be trusted.</summary>
public sealed class TrustTests
{
    private static GridSurveyInput Hollow(double mm, double? error, double? plate = null) => new(245, 60,
        [.. from i in Enumerable.Range(0, 8) from j in Enumerable.Range(0, 3) let u = (i / 3.5) - 1 select new[] { i * 35.0, j * 30.0, mm * u * u }], 80,
        SolePurpose.Smoothing, ReadingErrorMm: error, PlateFlatnessMm: plate);

    [Theory]
    [InlineData(0.01, 0.004, FlatVerdict.Met)]
    [InlineData(0.038, 0.01, FlatVerdict.CannotTell)]
    [InlineData(0.042, 0.01, FlatVerdict.CannotTell)]
    [InlineData(0.2, 0.01, FlatVerdict.NotMet)]
    public void A_verdict_counts_the_error_of_the_reading(double hollow, double error, FlatVerdict verdict)
    {
        GridSurveyResult read = GridSurvey.Read(Hollow(hollow, error), Assumptions.Standard);
        read.WholeVerdict.ShouldBe(verdict);
        read.WholeUncertaintyMm!.Value.ShouldBeInRange(error / 3, error * 3);
        GridSurvey.Read(Hollow(hollow, error), Assumptions.Standard).ShouldBeEquivalentTo(read, "the same survey says the same each time");
    }

    [Fact]
    public void Without_a_stated_error_the_figure_is_taken_as_it_is()
    {
        GridSurveyResult read = GridSurvey.Read(Hollow(0.039, null), Assumptions.Standard);
        (read.WholeUncertaintyMm, read.WholeVerdict, read.WholeWithin).ShouldBe((null, FlatVerdict.Met, true));
    }

    [Fact]
    public void A_worse_plate_makes_it_less_sure() => Gen.Select(Gen.Double[0, 0.02], Gen.Double[0.001, 0.05]).Sample((error, plate) =>
    {
        double with = GridSurvey.Read(Hollow(0.05, error, plate), Assumptions.Standard).WholeUncertaintyMm!.Value;
        with.ShouldBeGreaterThanOrEqualTo(plate - 1e-12);
        with.ShouldBeGreaterThanOrEqualTo(GridSurvey.Read(Hollow(0.05, error), Assumptions.Standard).WholeUncertaintyMm!.Value - 1e-12);
    }, iter: 20);

    [Fact]
    public void Readings_that_are_left_out_are_not_reckoned_with()
    {
        GridSurveyInput all = Hollow(0.01, null);
        GridSurveyResult pit = GridSurvey.Read(all with { PointsMm = [.. all.PointsMm, [100, 20, -0.5]] }, Assumptions.Standard);
        GridSurveyResult left = GridSurvey.Read(all with { LeftOutMm = [[100, 20, -0.5]] }, Assumptions.Standard);
        (pit.WholeVerdict, left.WholeVerdict).ShouldBe((FlatVerdict.NotMet, FlatVerdict.Met));
        Should.Throw<InputException>(() => GridSurvey.Read(all with { LeftOutMm = [[400, 20, 0]] }, Assumptions.Standard)).ErrorKey
            .ShouldBe("reading_off_the_sole");
    }

    [Fact]
    public void Three_plates_in_pairs_tell_the_bow_of_each() => Gen.Select(Gen.Double[-0.1, 0.1], Gen.Double[-0.1, 0.1], Gen.Double[-0.1, 0.1])
        .Sample((a, b, c) =>
    {
        PlateResult read = PlateCheck.Of(new PlateInput(AbMm: a + b, AcMm: a + c, BcMm: b + c), Assumptions.Standard);
        read.AMm!.Value.ShouldBe(a, 1e-12);
        read.BMm!.Value.ShouldBe(b, 1e-12);
        read.CMm!.Value.ShouldBe(c, 1e-12);
    });

    [Theory]
    [InlineData(Rocks.Still, null, "Turn one by a quarter")]
    [InlineData(Rocks.Still, Rocks.Still, "lie still both ways")]
    [InlineData(Rocks.Still, Rocks.Corners, "the same way round")]
    [InlineData(Rocks.Corners, Rocks.Corners, "rock both ways")]
    [InlineData(Rocks.Middle, null, "round")]
    public void Rocking_plates_are_read(Rocks laid, Rocks? turned, string says) =>
        PlateCheck.Of(new PlateInput(laid, turned), Assumptions.Standard).Reading!.ShouldContain(says);

    [Fact]
    public void A_short_plate_improves_nothing()
    {
        PlateResult small = PlateCheck.Of(new PlateInput(PlateLengthMm: 500, SoleLengthMm: 559), Assumptions.Standard);
        (small.LongEnough, small.NeededLengthMm).ShouldBe((false, 559 * 1.2));
        small.Says.ShouldContain("leave the sole as it is");
        PlateCheck.Of(new PlateInput(PlateLengthMm: 600, SoleLengthMm: 245), Assumptions.Standard).LongEnough.ShouldBe(true);
        Should.Throw<InputException>(() => PlateCheck.Of(new PlateInput(), Assumptions.Standard)).ErrorKey.ShouldBe("nothing_to_read");
        Should.Throw<InputException>(() => PlateCheck.Of(new PlateInput(AbMm: 0.1, AcMm: 0.2), Assumptions.Standard)).ErrorKey.ShouldBe("three_pairs");
    }
}
