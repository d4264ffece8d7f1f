using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>The rung fits the joint, and the ladder is for what oil and time do not move.</summary>
public sealed class LadderTests
{
    private static IReadOnlyList<Deed> Plan(string kind, string part, int degree) =>
        Planner.Plan(Ask(KindId.Of(kind), AimKind.Work, F(PartId.Of(part), FindingKind.Seizure, degree)));

    [Fact]
    public void A_stiff_adjuster_needs_no_night_of_oil()
    {
        IReadOnlyList<Deed> plan = Plan("metal-bench-plane", "adjuster", 1);
        plan.Single(d => Rungs.Contains(d.Id.Step)).Id.ShouldBe((DeedId)StepKey.FreeStiff);
        plan.Single(d => d.Id == StepKey.FreeStiff).Lag.ShouldBeNull();
        plan.Single(d => d.Id == StepKey.FreeStiff).How.ShouldStartWith("The depth adjuster has a reverse thread");
        PlanTime.Waiting(plan).ShouldBe(PlanTime.Waiting(Planner.Plan(Ask(KindIds.MetalBenchPlane, AimKind.Work))), 10);
    }

    private static readonly StepKey[] Rungs = [StepKey.FreeStiff, StepKey.FreeOil, StepKey.FreeDriver, StepKey.FreeClamp, StepKey.FreeShock,
        StepKey.FreeHeat, StepKey.FreePins, StepKey.FreeStop];

    [Theory]
    [InlineData("metal-bench-plane", "frog_screws", "free-driver", "fitted-screwdrivers")]
    [InlineData("bolt-cutter", "bolts", "free-driver:hexagon", "spanners")]
    [InlineData("hand-saw", "saw_nuts", "free-driver:split", "split-nut-driver")]
    [InlineData("hand-drill", "pinion", "free-driver:pin", "pin-punches")]
    [InlineData("metal-bench-plane", "yoke_pin", "free-driver:pin", "pin-punches")]
    [InlineData("wooden-bench-plane", "wedge", "free-driver:wedge", "mallet")]
    [InlineData("pruner", "catch", "free-driver:rivet", "wooden-scraper")]
    [InlineData("adjustable-wrench", "sliding_jaw", "free-driver:hand", "soft-jaws")]
    public void The_grip_fits_the_joint(string kind, string part, string step, string kit)
    {
        Deed start = Plan(kind, part, 2).Single(d => d.Id.Step == StepKey.FreeDriver);
        start.Id.ToString().ShouldBe(step);
        start.Needs.ShouldContain(n => n.Item == SupplyId.Of(kit));
    }

    [Fact]
    public void A_wooden_wedge_gets_neither_oil_nor_heat()
    {
        IReadOnlyList<Deed> plan = Plan("wooden-bench-plane", "wedge", 3);
        plan.Select(d => d.Id.Step).Where(Rungs.Contains).ShouldBe([StepKey.FreeDriver, StepKey.FreeStop]);
    }

    [Fact]
    public void A_pin_that_mostly_stays_is_photographed_before_it_is_driven()
    {
        List<Deed> plan = [.. Plan("metal-bench-plane", "yoke_pin", 2)];
        int photo = plan.FindIndex(d => d.Id == StepKey.PhotoPins), drive = plan.FindIndex(d => d.Id.ToString() == "free-driver:pin");
        (photo >= 0 && photo < drive).ShouldBeTrue();
    }

    [Fact]
    public void What_had_oil_and_heat_already_is_not_heated_again()
    {
        Plan("brace", "quill", 3).ShouldContain(d => d.Id == StepKey.FreeHeat);
        Plan("brace", "quill", 4).ShouldNotContain(d => d.Id == StepKey.FreeHeat);
    }

    [Fact]
    public void Inner_parts_of_a_chuck_are_photographed_when_they_come_out()
    {
        List<Deed> plan = [.. Plan("hand-drill", "chuck", 3)];
        int At(StepKey key) => plan.FindIndex(d => d.Id.Step == key);
        (At(StepKey.FreeStop) < At(StepKey.PhotoChuck) && At(StepKey.Apart) < At(StepKey.PhotoChuck) && At(StepKey.PhotoChuck) < At(StepKey.Wash))
            .ShouldBeTrue();
    }
}
