using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Tools;

/// <summary>How large parts are.</summary>
public sealed class ExtentTests
{
    private static IReadOnlyDictionary<PartId, PartExtent> Of(KindId kind, Build? build = null) =>
        Extents.Of(new Facts(ToolCatalogue.Kind(kind), []) { Build = build ?? new Build() }, Assumptions.Standard);

    [Fact]
    public void A_saw_plate_has_two_sides_and_a_handle_is_as_thick_as_wood()
    {
        PartExtent plate = Of(KindIds.HandSaw)[PartIds.Plate];
        plate.FaceDm2.ShouldBeInRange(6.5, 10, "660 by 150 tapering to 60 mm");
        plate.AllDm2.ShouldBe(2 * plate.FaceDm2, 0.2);
        plate.Litres.ShouldBe(plate.FaceDm2 * 0.009, 0.001);
    }

    [Fact]
    public void A_body_is_as_wide_as_its_sole_and_an_iron_as_its_width()
    {
        var usual = Of(KindIds.MetalBenchPlane);
        var wide = Of(KindIds.MetalBenchPlane, new Build(245, 60, 75));
        usual[PartIds.Body].AllDm2.ShouldBeInRange(4, 6.5);
        wide[PartIds.Body].AllDm2.ShouldBeGreaterThan(usual[PartIds.Body].AllDm2);
        usual[PartIds.Iron].AllDm2.ShouldBeInRange(1.3, 2.2, "about 165 by 50, both faces");
        wide[PartIds.Iron].AllDm2.ShouldBeGreaterThan(usual[PartIds.Iron].AllDm2);
        usual[PartIds.FrogScrews].Small.ShouldBeTrue();
        usual[PartIds.FrogScrews].Pieces.ShouldBe(2);
    }

    [Fact]
    public void The_same_tool_is_as_large_as_each_shop_assumes()
    {
        var facts = new Facts(ToolCatalogue.Kind(KindIds.MetalBenchPlane), []);
        double Body(Assumptions a) => Extents.Of(facts, a)[PartIds.Body].AllDm2;
        double usual = Body(Assumptions.Standard);
        Body(Assumptions.Standard.With("usual_sole_width_mm", 80)).ShouldBeGreaterThan(usual);
        Body(Assumptions.Standard).ShouldBe(usual);
        Extents.Of(facts, Assumptions.Standard.With("small_part_dm2", 0.01))[PartIds.Yoke].Small.ShouldBeFalse();
    }

    [Fact]
    public void Everything_grows_with_the_tool_and_nothing_is_empty()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            var small = Of(kind.Id, new Build(kind.NominalLengthMm * 0.9));
            var large = Of(kind.Id, new Build(kind.NominalLengthMm * 1.2));
            foreach (PartDef part in kind.Parts)
            {
                PartExtent extent = small[part.Id];
                extent.AllDm2.ShouldBeInRange(0.002, 60, $"{kind.Id} {part.Id}");
                extent.Litres.ShouldBeInRange(1e-6, 4, $"{kind.Id} {part.Id}");
                extent.FaceDm2.ShouldBeLessThan(extent.AllDm2);
                (large[part.Id].AllDm2 - extent.AllDm2).ShouldBeGreaterThan(-1e-9, $"{kind.Id} {part.Id}");
            }
            large.Values.Sum(e => e.AllDm2).ShouldBeGreaterThan(small.Values.Sum(e => e.AllDm2) - 1e-9, kind.Id.Value);
        }
    }
}
