using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.State;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>How long a plan takes with its waits: the longest way through, and no wait twice.</summary>
public sealed class PlanTimeTests
{
    /// <summary>The longest path by itself: every edge relaxed as often as there are deeds, from no order at all.</summary>
    private static double Longest(IReadOnlyList<Deed> deeds)
    {
        Dictionary<DeedId, double> start = deeds.ToDictionary(d => d.Id, _ => 0.0);
        Dictionary<DeedId, Deed> by = deeds.ToDictionary(d => d.Id);
        double Takes(Deed d) => d.OnlyIfNeeded ? 0 : d.Minutes.Likely;
        double Holds(Lag? lag) => lag is null || lag.Kind == LagKind.LookAgain ? 0 : lag.LeastMin;
        for (int round = 0; round < deeds.Count; round++)
        {
            bool moved = false;
            foreach (Deed late in deeds.Reverse())
            {
                foreach (Follows edge in late.After.Where(e => by.ContainsKey(e.Id)))
                {
                    double at = start[edge.Id] + Takes(by[edge.Id]) + Holds(edge.Lag);
                    if (at > start[late.Id])
                    {
                        (start[late.Id], moved) = (at, true);
                    }
                }
            }
            if (!moved)
            {
                break;
            }
        }
        return deeds.Select(d => start[d.Id] + Takes(d) + (d.OnlyIfNeeded ? 0 : Holds(d.Lag))).DefaultIfEmpty(0).Max();
    }

    [Fact]
    public void Elapsed_is_the_longest_way_through_for_any_plan()
    {
        for (int seed = 0; seed < 1500; seed++)
        {
            IReadOnlyList<Deed> plan = Planner.Plan(Asking.Random(new Random(seed)));
            PlanTime.Elapsed(plan).ShouldBe(Longest(plan), 1e-6, $"seed {seed}");
            IReadOnlyList<TimedDeed> laid = PlanTime.Lay(plan);
            laid.Where(t => t.Longest).Sum(t => t.EndMin - t.StartMin).ShouldBeLessThanOrEqualTo(PlanTime.Elapsed(plan) + 1e-6);
            foreach (TimedDeed late in laid)
            {
                foreach (Follows edge in late.Deed.After)
                {
                    TimedDeed early = laid.Single(t => t.Deed.Id == edge.Id);
                    late.StartMin.ShouldBeGreaterThanOrEqualTo(early.EndMin + (edge.Lag?.HoldsMin ?? 0) - 1e-6,
                        $"seed {seed}: {late.Deed.Id} before {edge.Id}");
                }
            }
        }
    }

    [Fact]
    public void Wood_dries_while_iron_soaks()
    {
        PlanQuestion q = Ask(AimKind.Work, F(PartIds.Body, FindingKind.Rust, 2), F(PartIds.Tote, FindingKind.Crack, 2));
        IReadOnlyList<Deed> plan = Planner.Plan(q);
        double waits = plan.Sum(d => d.Lag?.HoldsMin ?? 0);
        PlanTime.Waiting(plan).ShouldBeLessThan(waits - 300, "the soak lies beside the glue and the oil");
        TimedDeed soak = PlanTime.Lay(plan).Single(t => t.Deed.Id == StepKey.Soak), glue = PlanTime.Lay(plan).Single(t => t.Deed.Id == StepKey.WoodGlue);
        glue.StartMin.ShouldBeLessThan(soak.ReadyMin);
    }

    [Fact]
    public void Every_coat_is_a_step_with_its_window_and_one_coat_less_is_one_step_less()
    {
        PlanQuestion three = Ask(AimKind.Work, F(PartIds.Body, FindingKind.CoatingLoss, 4)).With(ChoiceId.MetalCoats, WayId.ThreeCoats);
        List<Deed> coats = [.. Planner.Plan(three).Where(d => d.Id.Step is StepKey.Coat1 or StepKey.Coat2)];
        coats.Select(d => d.Id.ToString()).ShouldBe(["coat-1", "coat-2", "coat-2:3"]);
        coats.Select(d => d.Title.Split(' ')[0]).ShouldBe(["First", "Second", "Third"]);
        coats[1].After.Single(a => a.Id == coats[0].Id).Lag!.Kind.ShouldBe(LagKind.RecoatBefore);
        coats[2].After.Single(a => a.Id == coats[1].Id).Lag!.MostMin.ShouldBe(coats[1].Lag!.MostMin);
        coats[2].After.ShouldNotContain(a => a.Id == coats[0].Id, "only the coat before opens its window");
        coats[2].Lag!.Kind.ShouldBe(LagKind.Cure);
        PlanDiff diff = PlanDiff.Of(Planner.Plan(three), Planner.Plan(three.With(ChoiceId.MetalCoats, WayId.TwoCoats)));
        diff.Gone.Select(d => d.Id.ToString()).ShouldBe(["coat-2:3"]);
        diff.Added.ShouldBeEmpty();
        diff.WaitMinutes.ShouldBeLessThan(0);
    }

    [Fact]
    public void Oil_in_two_coats_dries_between_and_is_wiped_off_twice()
    {
        PlanQuestion q = Ask(AimKind.Show).With(ChoiceId.Wood, WayId.Oil).With(ChoiceId.WoodCoats, WayId.TwoCoats) with { TemperatureC = 20,
            RelativeHumidityPercent = 50 };
        List<Deed> plan = [.. Planner.Plan(q).Where(d => d.Id.Step is StepKey.WoodOil or StepKey.WoodWipe)];
        plan.Select(d => d.Id.ToString()).ShouldBe(["wood-oil", "wood-wipe", "wood-oil:2", "wood-wipe:2"]);
        plan[2].After.Single(a => a.Id == plan[1].Id).Lag!.LeastMin.ShouldBe(24 * 60);
        plan[3].After.Where(a => a.Lag is { Kind: LagKind.WipeOff }).Select(a => a.Id).ShouldBe([plan[2].Id]);
    }

    [Fact]
    public void The_air_of_the_shop_stretches_every_wait_of_glue_and_coat()
    {
        PlanQuestion warm = Ask(AimKind.Show, F(PartIds.Tote, FindingKind.Crack, 2), F(PartIds.Body, FindingKind.CoatingLoss, 4))
            .With(ChoiceId.Coating, WayId.Respray) with { TemperatureC = 20, RelativeHumidityPercent = 50 };
        PlanQuestion cold = warm with { TemperatureC = 10 };
        IReadOnlyList<Deed> slow = Planner.Plan(cold);
        foreach (Deed quick in Planner.Plan(warm).Where(d => d.Lag is { Kind: not LagKind.LookAgain }))
        {
            Deed same = slow.Single(d => d.Id == quick.Id);
            same.Lag!.LeastMin.ShouldBe(2 * quick.Lag!.LeastMin, 2, quick.Id.ToString());
        }
        slow.Single(d => d.Id == StepKey.WoodGlue).How.ShouldContain("clamps off after 2 h, load after 48 h");
        Planner.Plan(warm with { TemperatureC = 6 }).Single(d => d.Id == StepKey.WoodGlue).How.ShouldContain("At 6 °C it does not hold");
    }
}
