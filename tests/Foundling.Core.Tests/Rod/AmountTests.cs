using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Stores;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Rod;

/// <summary>Materials follow what there is to cover.</summary>
public sealed class AmountTests
{
    private static double? Amount(PlanQuestion q, StepKey step, SupplyId item) =>
        Planner.Plan(q).First(d => d.Id.Step == step).Needs.Single(n => n.Item == item).Amount;

    [Fact]
    public void A_jointer_takes_more_to_wash_than_a_block_plane_and_a_chisel_little()
    {
        double Wash(KindId kind, double length) =>
            Amount(Asking.Ask(kind, AimKind.Work) with { LengthMm = length }, StepKey.Wash, SupplyIds.WhiteSpirit)!.Value;
        Wash(KindIds.MetalBenchPlane, 610).ShouldBeGreaterThan(1.5 * Wash(KindIds.MetalBenchPlane, 245));
        Wash(KindIds.MetalBenchPlane, 245).ShouldBeInRange(50, 80);
        Wash(KindIds.Chisel, 284).ShouldBeLessThan(10);
    }

    [Fact]
    public void Coats_follow_the_coverage_the_shop_assumes()
    {
        PlanQuestion q = Asking.Ask(KindIds.WoodenBenchPlane, AimKind.Work).With(ChoiceId.Wood, WayId.Shellac);
        double usual = Amount(q, StepKey.WoodShellac, SupplyIds.Shellac)!.Value;
        usual.ShouldBeInRange(10, 20, "a coat of 0.83 mL on about 15 dm2");
        PlanQuestion thin = q with { Shop = q.Shop with { Assumptions = Assumptions.Standard.With("shellac_cover_m2_l", 24) } };
        Amount(thin, StepKey.WoodShellac, SupplyIds.Shellac)!.Value.ShouldBe(usual / 2, 3);
        Planner.Plan(q).Count(d => d.Id.Step == StepKey.WoodShellac).ShouldBe(3, "each coat takes its own");
    }

    [Fact]
    public void What_does_not_go_by_surface_is_refused() =>
        Should.Throw<ArgumentOutOfRangeException>(() => Amounts.PerDm2(SupplyIds.BenchVice, Assumptions.Standard));
}
