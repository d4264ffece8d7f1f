using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

public sealed class PlannerTests
{
    [Fact]
    public void A_rusty_bench_plane_to_be_worked_gets_the_whole_rod()
    {
        IReadOnlyList<PlanStep> plan = PlanStep.Fresh(Planner.Plan(Ask(AimKind.Work, Rusty)));
        plan.Count.ShouldBeGreaterThanOrEqualTo(25);
        plan.Select(s => s.Deed.Rule).Distinct().Count().ShouldBeGreaterThanOrEqualTo(25);
        string[] order = ["photos", "try-as-found", "note-settings", "free-oil", "apart", "roll-call", "wash", "look-again", "soak", "soak-lift", "soak-oil",
            "wood-glue", "frog-seat", "edge-back", "cap-fit", "assemble", "tension", "sole-lap", "final-hone", "protect", "prove", "next-look"];
        order.Select(k => At(plan, k)).ShouldBe(order.Select(k => At(plan, k)).Order());
        order.ShouldAllBe(k => At(plan, k) >= 0);
    }

    [Fact]
    public void Degreasing_comes_before_the_bath_and_oil_right_after_it()
    {
        IReadOnlyList<PlanStep> plan = PlanStep.Fresh(Planner.Plan((Ask(AimKind.Work, Rusty) with { TemperatureC = 20 }).With(ChoiceId.Rust, WayId.Citric)));
        At(plan, "wash").ShouldBeLessThan(At(plan, "soak"));
        plan.Skip(At(plan, "soak-lift")).Take(4).Select(s => s.Key).ShouldBe([StepKey.SoakLift, StepKey.SoakNeutralise, StepKey.SoakDry, StepKey.SoakOil]);
        PlanStep soak = plan[At(plan, "soak")];
        soak.Deed.Lag?.MostMin.ShouldBe(240);
        soak.Parts.ShouldNotContain(PartIds.CapIron);
        soak.Parts.ShouldContain(PartIds.Body);
        plan[At(plan, "derust-rest")].Parts.ShouldContain(PartIds.CapIron);
    }

    [Fact]
    public void Keep_takes_no_bath_and_nothing_that_cannot_be_undone() =>
        PlanStep.Fresh(Planner.Plan(Ask(AimKind.Keep, Rusty))).ShouldAllBe(s => s.Undoable && s.Key != StepKey.Soak && s.Key != StepKey.SoleLap);

    [Fact]
    public void Show_bakes_a_new_coat_before_the_seats_are_filed()
    {
        IReadOnlyList<PlanStep> plan = PlanStep.Fresh(Planner.Plan(Ask(AimKind.Show, Rusty)));
        At(plan, "coat-strip").ShouldBeLessThan(At(plan, "coat-mask"));
        At(plan, "coat-mask").ShouldBeLessThan(At(plan, "coat-bake"));
        At(plan, "coat-bake").ShouldBeLessThan(At(plan, "overspill"));
        plan.ShouldContain(s => s.Key == StepKey.WoodShellac);
    }

    [Fact]
    public void A_shop_without_baths_works_by_hand()
    {
        IReadOnlyList<PlanStep> plan = PlanStep.Fresh(Planner.Plan(Ask(AimKind.Work, Rusty).With(ChoiceId.Rust, WayId.Abrasive)));
        plan.ShouldNotContain(s => s.Key == StepKey.Soak);
        plan.ShouldContain(s => s.Key == StepKey.DerustAbrasive);
    }

    [Fact]
    public void A_seized_or_broken_tool_is_not_tried_as_found()
    {
        PlanStep.Fresh(Planner.Plan(Ask(AimKind.Work, F(PartIds.Adjuster, FindingKind.Seizure, 3)))).ShouldNotContain(s => s.Key == StepKey.TryAsFound);
        PlanStep.Fresh(Planner.Plan(Ask(AimKind.Work))).ShouldContain(s => s.Key == StepKey.TryAsFound);
    }

    [Fact]
    public void Hazardous_steps_carry_their_caution()
    {
        IReadOnlyList<PlanStep> plan = PlanStep.Fresh(Planner.Plan(Ask(AimKind.Show, [.. Rusty, F(PartIds.Iron, FindingKind.EdgeDamage, 3)])
            .With(ChoiceId.Rust, WayId.Citric)));
        foreach (string key in new[] { "wash", "soak", "edge-grind", "edge-hone", "sole-lap", "coat-strip", "coat-bake", "free-clamp", "assemble" })
        {
            plan[At(plan, key)].Cautions.ShouldNotBeEmpty(key);
        }
        PlanStep.Fresh(Planner.Plan(Ask(AimKind.Work, Rusty).With(ChoiceId.Wood, WayId.Oil))).First(s => s.Key == StepKey.WoodOil).Cautions
            .ShouldBe([Core.Safety.CautionId.OilyRags, Core.Safety.CautionId.Driers], "boiled oil has both: fire in the bin, driers on the skin");
    }

    [Fact]
    public void A_look_in_at_night_moves_to_the_evening_before()
    {
        var start = new DateTimeOffset(2026, 3, 3, 20, 0, 0, TimeSpan.Zero);
        var nights = new Nights(TimeZoneInfo.Utc, Assumptions.Standard);
        nights.LookIn(start, 60).ShouldBe(start.AddMinutes(60));
        nights.LookIn(start, 240).ShouldBe(start.AddHours(2));
        nights.LookIn(start, 10 * 60).ShouldBe(start.AddHours(2));
        nights.LookIn(start, 12 * 60).ShouldBe(start.AddHours(12));
        nights.LookIn(start.AddHours(2), 240).ShouldBe(start.AddHours(11), "the evening is past: in the morning");
    }

    [Fact]
    public void Log_totals_follow_stops_and_corrections()
    {
        List<BenchEvent> log =
        [
            new() { Kind = EventKind.Started, Step = StepKey.Wash }, new() { Kind = EventKind.Stopped, Step = StepKey.Wash, Minutes = 20 },
                new() { Kind = EventKind.Corrected,
                Step = StepKey.Wash, Minutes = -5 },
            new() { Kind = EventKind.Stopped, Step = StepKey.Soak, Minutes = 3 }, new() { Kind = EventKind.Corrected, Step = StepKey.Soak, Minutes = -9 },
                new() { Kind = EventKind.Corrected, Minutes = 4 }, new() { Kind = EventKind.Note, Minutes = 99 },
        ];
        Core.Log.LogTotals.Of(log).ByStep.ShouldBe(new Dictionary<DeedId, double> { [StepKey.Wash] = 15, [StepKey.Soak] = 0 }, ignoreOrder: true);
        Core.Log.LogTotals.Of(log).All.ShouldBe(19);
    }
}
