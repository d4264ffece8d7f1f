using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Rod;

/// <summary>What comes before what, as it follows from the state of parts.</summary>
public sealed class BondsTests
{
    private static Bonds Of(out PlanQuestion question, KindId kind, AimKind aim, params Found[] findings)
    {
        question = Asking.Ask(kind, aim, findings);
        return Bonds.Of(Planner.Plan(question), question);
    }

    [Fact]
    public void Pictures_come_before_the_first_hand_is_laid_on_it_and_oil_and_wax_come_last()
    {
        Bonds bonds = Of(out _, KindIds.MetalBenchPlane, AimKind.Work, Asking.F(PartIds.Body, FindingKind.Rust, 2));
        bonds.Between(StepKey.Photos, StepKey.TryAsFound)!.Why.ShouldBe("pictures show it as it came");
        bonds.All.Where(b => b.After == StepKey.Photos).ShouldBeEmpty();
        bonds.Between(StepKey.Protect, StepKey.Prove).ShouldNotBeNull();
        bonds.All.Where(b => b.Before == StepKey.Prove).Select(b => b.After.Step).ShouldBeSubsetOf(
            [StepKey.Store, StepKey.PicturesAfter, StepKey.NextLook, StepKey.IronsFind, StepKey.OwnPapers, StepKey.WedgeNote]);
    }

    [Fact]
    public void What_is_in_the_bath_is_worked_when_it_is_out_and_other_parts_wait_for_nothing()
    {
        Bonds bonds = Of(out PlanQuestion question, KindIds.BoltCutter, AimKind.Work, Asking.F(PartIds.UpperJaw, FindingKind.Rust, 3),
            Asking.F(PartIds.LowerJaw, FindingKind.Rust, 3));
        IReadOnlyList<Deed> plan = Planner.Plan(question);
        Deed soak = plan.First(d => d.Id.Step == StepKey.Soak);
        foreach (PlanBond bond in bonds.All.Where(b => b.Before.Step == StepKey.SoakOil))
        {
            Deed late = plan.First(d => d.Id == bond.After);
            (late.Parts.Count == 0 || late.Parts.Any(soak.Parts.Contains)).ShouldBeTrue($"{bond.After} waits for what it does not touch");
        }
    }

    [Fact]
    public void A_new_haft_is_hung_dry_and_oiled_then()
    {
        foreach (KindId kind in new[] { KindIds.Axe, KindIds.HewingHatchet })
        {
            Bonds bonds = Of(out _, kind, AimKind.Own, Asking.F(PartIds.Haft, FindingKind.Crack, 4));
            bonds.Between(StepKey.HaftHang, StepKey.WoodOil).ShouldNotBeNull(kind.Value).Why.ShouldBe("it is hung dry, and oiled then");
        }
    }
}
