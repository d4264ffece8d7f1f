using CsCheck;
using Foundling.Core.Edges;
using Foundling.Core.Keys;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.EdgeBench;

/// <summary>The section that is drawn has the angles of the figures; corners that a camber removes do not count.</summary>
public sealed class EdgeSectionTests
{
    private static readonly Assumptions A = Assumptions.Standard;

    private static double Angle(double[] from, double[] to) => Math.Atan2(to[1] - from[1], to[0] - from[0]) * 180 / Math.PI;

    [Fact]
    public void Angles_of_the_section_are_those_that_are_said() => Gen.Select(Gen.Double[1, 6], Gen.Double[12, 60], Gen.Double[15, 40], Gen.Double[0, 12],
        Gen.Double[0, 4], Gen.Bool).Sample((thick, bed, bevel, more, back, up) =>
    {
        var input = new EdgeSectionInput(thick, bed, bevel, bevel + more, 0.8, back, back > 0 ? 0.3 : 0, up);
        IReadOnlyList<double[]> at = EdgeSection.Of(input).Outline;
        AnglesResult said = Edge.Angles(new AnglesInput(bed, bevel, bevel + more, back, up), A);
        double[] edge = at[2];
        edge.ShouldBe([0, 0]);
        // Above is the side that turns the shaving, below the side that must clear the wood.
        double backSide = back > 0 ? Angle(edge, at[1]) : Angle(at[1], at[0]), honedSide = Angle(edge, at[3]);
        (up ? honedSide : backSide).ShouldBe(said.CuttingAngleDeg, 1e-6);
        (up ? backSide : honedSide).ShouldBe(said.ClearanceDeg, 1e-6);
        double across = Math.Abs(((at[0][0] - at[5][0]) * Math.Sin(bed * Math.PI / 180)) - ((at[0][1] - at[5][1]) * Math.Cos(bed * Math.PI / 180)));
        across.ShouldBe(thick, 1e-6, "it is as thick as it is");
        Math.Abs(Angle(at[3], at[4]) - Angle(at[0], at[1])).ShouldNotBe(0);
    }, iter: 500);

    [Theory]
    [InlineData(25, 20.0, "secondary_below_primary")]
    [InlineData(95, null, "out_of_range")]
    public void What_no_iron_is_is_said(double bevel, double? second, string error) =>
        Should.Throw<InputException>(() => EdgeSection.Of(new EdgeSectionInput(2, 45, bevel, second))).ErrorKey.ShouldBe(error);

    [Fact]
    public void A_rounded_bevel_has_its_full_angle_at_the_edge_and_ends_at_the_same_heel() => Gen.Select(Gen.Double[1, 6], Gen.Double[35, 60],
        Gen.Double[18, 30], Gen.Double[0, 8]).Sample((thick, bed, bevel, more) =>
    {
        var round = EdgeSection.Of(new EdgeSectionInput(thick, bed, bevel, bevel + more, 0.8, Rounded: true));
        var flat = EdgeSection.Of(new EdgeSectionInput(thick, bed, bevel));
        round.Heel.Zip(flat.Heel, (a, b) => Math.Abs(a - b)).ShouldAllBe(d => d < 1e-9);
        Angle([0, 0], round.Round!).ShouldBe(bed - (bevel + more), 1e-6);
        flat.Round.ShouldBeNull();
    }, iter: 200);

    private static Facts Plain(string kind, params Found[] found) => new(ToolCatalogue.Kind(KindId.Of(kind)), found);

    [Fact]
    public void The_bench_is_told_what_the_tool_is()
    {
        EdgeFacts.Of(Plain("axe"), A).ShouldBeNull("two bevels show no section with a back");
        EdgeFacts.Of(Plain("chisel"), A)!.BedDeg.ShouldBeNull();
        EdgeFacts.Of(Plain("chisel"), A)!.WhyNotLifted!.ShouldContain("never on a chisel");
        EdgeFacts.Of(Plain("shoulder-plane"), A)!.WhyNotLifted!.ShouldContain("runs on or just over the work");
        EdgeFacts bench = EdgeFacts.Of(Plain("metal-bench-plane", new Found(PartIds.Iron, FindingKind.Pitting, 3) { FromEdgeMm = 3 },
            new Found(PartIds.Iron, FindingKind.Pitting, 2) { FromEdgeMm = 6, DepthMm = 0.07, SizeMm = 1 }, new Found(PartIds.Iron, FindingKind.Pitting, 4)),
              A)!;
        (bench.BedDeg, bench.BevelUp, bench.WhyNotLifted).ShouldBe((45.0, false, null));
        bench.Pits.ShouldBe([new Pit(A.PitDeepMm, 3, 3), new Pit(0.07, 7, 6)], "one without a place is none that can be drawn");
        EdgeFacts.Of(Plain("block-plane"), A)!.BevelUp.ShouldBeTrue();
    }

    private static SaveTheBackResult Saved(double? camber, params Pit[] pits) => SaveTheBack.Compare(new SaveTheBackInput(50, 2, 25, 28, pits,
        CamberMm: camber), A);

    [Fact]
    public void A_pit_in_a_corner_that_the_camber_removes_stops_nothing()
    {
        var corner = new Pit(0.1, 0.25, 0, 0, 2);
        Saved(null, corner).StoppingPits.ShouldBe(1);
        Saved(0.4, corner).StoppingPits.ShouldBe(0, "the corner goes with the camber");
        Saved(0.4, corner with { FromLeftMm = 20, ToLeftMm = 30 }).StoppingPits.ShouldBe(1, "in the middle nothing goes");
        Saved(0.4, corner with { FarSideMm = 1 }).StoppingPits.ShouldBe(1, "it reaches farther than the camber");
        Should.Throw<InputException>(() => Saved(0.4, corner with { FromLeftMm = 5 })).ErrorKey.ShouldBe("pit_sides_swapped");
    }

    [Fact]
    public void More_camber_never_leaves_more_pits() => Gen.Select(Gen.Double[0.01, 1], Gen.Double[0.01, 1], Gen.Select(Gen.Double[0.03, 0.4],
        Gen.Double[0.1, 6], Gen.Double[0, 40], Gen.Double[1, 9]).List[1, 6]).Sample((one, other, pits) =>
    {
        Pit[] all = [.. pits.Select(p => new Pit(p.Item1, p.Item2, 0, p.Item3, p.Item3 + p.Item4))];
        Saved(Math.Max(one, other), all).StoppingPits.ShouldBeLessThanOrEqualTo(Saved(Math.Min(one, other), all).StoppingPits);
        Saved(null, all).StoppingPits.ShouldBeGreaterThanOrEqualTo(Saved(one, all).StoppingPits);
    }, iter: 300);

    [Fact]
    public void Bevel_face_and_angle_lead_to_one_another() => Gen.Select(Gen.Double[0.5, 8], Gen.Double[5, 85]).Sample((thick, bevel) =>
    {
        double face = Edge.Bevel(new BevelInput(thick, BevelDeg: bevel)).BevelFaceMm!.Value;
        Edge.Bevel(new BevelInput(thick, face)).BevelDeg!.Value.ShouldBe(bevel, 1e-6);
    }, iter: 200);
}
