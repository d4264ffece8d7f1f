using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Safety;
using Foundling.Core.State;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>A caution stands where the hurt would be, and none where there is nothing to fear.</summary>
public sealed class CautionTests
{
    private static IReadOnlyList<CautionId> At(PlanQuestion q, StepKey step) => Planner.Plan(q).First(d => d.Id.Step == step).Cautions;

    [Fact]
    public void A_proof_warns_of_what_that_tool_does_to_who_tries_it()
    {
        IReadOnlyList<CautionId> Proof(KindId kind) => At(Ask(kind, AimKind.Work), StepKey.Prove);
        Proof(KindIds.Pruner).ShouldBeEmpty("a twig hurts nobody");
        Proof(KindIds.HandDrill).ShouldBeEmpty("a hand gear is turned by hand");
        Proof(KindIds.MetalBenchPlane).ShouldBeEmpty();
        Proof(KindIds.BoltCutter).ShouldBe([CautionId.FlyingEnds]);
        Proof(KindIds.Axe).ShouldBe([CautionId.SwungEdge]);
        Proof(KindIds.Chisel).ShouldBe([CautionId.DrivenEdge]);
        At(Ask(KindIds.Drawknife, AimKind.Keep), StepKey.TryAsFound).ShouldBe([CautionId.DrivenEdge]);
    }

    [Fact]
    public void What_cuts_is_minded_wherever_it_is_in_the_hand()
    {
        At(Ask(KindIds.Axe, AimKind.Work, F(PartIds.Bit, FindingKind.Sap, 2)), StepKey.WashSap).ShouldContain(CautionId.BareEdge);
        At(Ask(KindIds.RouterPlane, AimKind.Work, F(PartId.Of("cutter"), FindingKind.Seizure, 1)), StepKey.FreeStiff).ShouldContain(CautionId.BareEdge);
        PlanQuestion wheel = Ask(KindIds.Chisel, AimKind.Work, F(PartIds.Blade, FindingKind.Rust, 2)).With(ChoiceId.Rust, WayId.Wire);
        At(wheel, StepKey.DerustWire).ShouldBe([CautionId.Wire, CautionId.Rotating, CautionId.BareEdge]);
        At(Ask(KindIds.BackSaw, AimKind.Work, F(PartIds.Plate, FindingKind.Rust, 2)), StepKey.Wash).ShouldContain(CautionId.Teeth);
        At(Ask(AimKind.Work, F(PartIds.Iron, FindingKind.EdgeDamage, 3)), StepKey.EdgeGrind).ShouldBe([CautionId.Grinder], "at the wheel it is the wheel");
        At(Ask(KindIds.OpenSpanner, AimKind.Work), StepKey.Wash).ShouldBe([CautionId.Solvent]);
    }

    [Fact]
    public void An_oven_makes_chlorinated_solvent_a_danger_and_a_spray_can_does_not()
    {
        PlanQuestion Coated(WayId way) =>
            Ask(AimKind.Show, F(PartIds.Body, FindingKind.CoatingLoss, 3)).With(ChoiceId.Coating, way);
        At(Coated(WayId.Bake), StepKey.CoatDegrease).ShouldContain(CautionId.Chlorinated);
        At(Coated(WayId.Respray), StepKey.CoatDegrease).ShouldNotContain(CautionId.Chlorinated);
    }

    [Fact]
    public void Heat_on_a_painted_part_may_burn_lead()
    {
        At(Ask(AimKind.Work, F(PartIds.FrogScrews, FindingKind.Seizure, 3)), StepKey.FreeHeat).ShouldBe(
            [CautionId.Torch, CautionId.Chlorinated, CautionId.OldPaint, CautionId.Solvent], ignoreOrder: true);
        At(Ask(KindIds.AdjustableWrench, AimKind.Work, F(PartIds.Spindle, FindingKind.Seizure, 3)), StepKey.FreeHeat).ShouldNotContain(CautionId.OldPaint);
    }

    [Fact]
    public void Only_what_is_round_about_a_bore_spins_while_it_is_finished()
    {
        PlanQuestion saw = Ask(KindIds.BackSaw, AimKind.Show, F(PartIds.Handle, FindingKind.CoatingLoss, 3));
        At(saw, StepKey.WoodShellac).ShouldNotContain(CautionId.Rotating);
        Planner.Plan(saw).First(d => d.Id.Step == StepKey.WoodShellac).How.ShouldNotContain("mandrel");
        At(Ask(AimKind.Show, F(PartIds.Knob, FindingKind.CoatingLoss, 3)), StepKey.WoodShellac).ShouldContain(CautionId.Rotating);
    }

    [Fact]
    public void Chuck_springs_are_minded_when_they_come_out_and_when_they_go_back()
    {
        PlanQuestion drill = Ask(KindIds.HandDrill, AimKind.Work);
        At(drill, StepKey.PhotoChuck).ShouldContain(CautionId.Spring);
        At(drill, StepKey.ChuckClean).ShouldContain(CautionId.Spring);
        At(Ask(KindIds.Pruner, AimKind.Work), StepKey.SpringClean).ShouldBeEmpty("it is off and slack");
    }
}
