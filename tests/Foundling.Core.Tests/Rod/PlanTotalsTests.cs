using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.State;
using Foundling.Core.Tools;
using Foundling.Core.Units;

namespace Foundling.Core.Tests.Rod;

/// <summary>Minutes of a plan together, and how they are said.</summary>
public sealed class PlanTotalsTests
{
    [Theory]
    [InlineData(0, "0 min")]
    [InlineData(2, "under 5 min")]
    [InlineData(37, "35 min")]
    [InlineData(118, "2 h")]
    [InlineData(194, "3 h 15")]
    [InlineData(490, "8 h")]
    [InlineData(500, "8 h 30")]
    public void A_sum_is_said_as_a_person_says_it(double minutes, string said) => Typed.About(minutes).ShouldBe(said);

    [Fact]
    public void What_eight_in_ten_do_not_exceed_is_said_where_it_differs()
    {
        Typed.About(194, 238).ShouldBe("3 h 15, and 4 h if it fights back");
        Typed.About(36, 37).ShouldBe("35 min");
    }

    [Fact]
    public void All_steps_go_quick_or_slow_together()
    {
        Deed[] deeds = [.. Enumerable.Range(0, 30).Select(i => new Deed(new DeedId(StepKey.Own, $"{i}"), Stage.Wood, "x", 6, 10, 14))];
        TotalsResult total = PlanTotals.Of(deeds, Assumptions.Standard);
        total.P50.ShouldBe(300, 1e-9);
        total.Sd.ShouldBe(Math.Sqrt((30 * 64 / 36.0) + (75 * 75)), 1e-9);
        PlanTotals.Of(deeds, Assumptions.Standard.With("common_spread", 0.01)).Sd.ShouldBeLessThan(10);
    }

    [Fact]
    public void A_rung_counts_by_how_likely_it_is_reached()
    {
        PlanQuestion stuck = Asking.Ask(KindIds.MetalBenchPlane, AimKind.Work, Asking.F(PartIds.CapIronScrew, FindingKind.Seizure, 4));
        IReadOnlyList<Deed> plan = Planner.Plan(stuck);
        Deed[] rungs = [.. plan.Where(d => d.OnlyIfNeeded)];
        rungs.Length.ShouldBeGreaterThan(1);
        double[] chances = [.. rungs.Select(d => PlanTotals.Chance(d, Assumptions.Standard))];
        chances.ShouldBe([.. chances.OrderDescending()], "each rung is reached less often than the one before");
        chances.ShouldAllBe(c => c > 0 && c < 0.5);
        PlanTotals.Of(plan, Assumptions.Standard).P50.ShouldBeLessThan(Totals.Of(plan.Select(d => d.Minutes)).P50);
    }

    [Fact]
    public void Minutes_grow_with_size_and_severity_and_never_fall()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            double At(double share, int rust) => PlanTotals.Of(Planner.Plan(Asking.Ask(kind.Id, AimKind.Work,
                [.. kind.Parts.Where(p => p.Ferrous && !p.InSet).Select(p => Asking.F(p.Id, FindingKind.Rust, rust))]) with
            {
                LengthMm = kind.NominalLengthMm * share, TagWays = new Dictionary<ChoiceId, WayId> { [ChoiceId.Rust] = WayId.Abrasive },
            }), Assumptions.Standard).P50;
            double[] sizes = [.. new[] { 0.9, 1, 1.2, 1.5 }.Select(s => At(s, 2))], degrees = [.. new[] { 2, 3, 4 }.Select(d => At(1, d))];
            sizes.ShouldBe([.. sizes.Order()], $"{kind.Id} by size: {string.Join(", ", sizes)}");
            degrees.ShouldBe([.. degrees.Order()], $"{kind.Id} by rust: {string.Join(", ", degrees)}");
        }
    }

    [Theory]
    [InlineData(WayId.Chelating)]
    [InlineData(WayId.Citric)]
    [InlineData(WayId.Vinegar)]
    [InlineData(WayId.Electrolysis)]
    [InlineData(WayId.Wire)]
    [InlineData(WayId.Scrape)]
    [InlineData(WayId.Blast)]
    public void Minutes_and_waits_of_one_way_grow_with_the_tool_and_its_rust(WayId way)
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            (double Minutes, double Waits, WayId Taken) At(double share, int rust)
            {
                PlanQuestion q = Asking.Ask(kind.Id, AimKind.Work,
                    [.. kind.Parts.Where(p => p.Ferrous && !p.InSet).Select(p => Asking.F(p.Id, FindingKind.Rust, rust))]) with
                {
                    LengthMm = kind.NominalLengthMm * share, TagWays = new Dictionary<ChoiceId, WayId> { [ChoiceId.Rust] = way },
                };
                IReadOnlyList<Deed> plan = Planner.Plan(q);
                return (PlanTotals.Of(plan, Assumptions.Standard).P50, plan.Where(d => d.Stage == Stage.Derust).Sum(d => d.Lag?.HoldsMin ?? 0),
                    q.Way(ChoiceId.Rust));
            }
            foreach ((double Share, int Rust)[] growing in new[] { new[] { (0.9, 2), (1, 2), (1.2, 2), (1.5, 2) }, [(1, 2), (1, 3), (1, 4)] })
            {
                // Where more rust closes the way, another takes its place, and the two are not compared.
                List<(double Minutes, double Waits, WayId Taken)> met = [.. growing.Select(g => At(g.Share, g.Rust)).TakeWhile(m => m.Taken == way)];
                met.Select(m => m.Minutes).ShouldBe([.. met.Select(m => m.Minutes).Order()], $"{kind.Id} {string.Join(", ", growing)}");
                met.Select(m => m.Waits).ShouldBe([.. met.Select(m => m.Waits).Order()], $"waits of {kind.Id} {string.Join(", ", growing)}");
            }
        }
    }

    [Fact]
    public void A_total_says_what_makes_it_unsure_and_what_would_settle_it()
    {
        IReadOnlyList<Deed> hollow = Planner.Plan(Asking.Ask(AimKind.Work, Asking.F(PartIds.Body, FindingKind.OutOfFlat, 3)));
        PlanTotals.Unsure(hollow, Assumptions.Standard).ShouldNotBeNull().ShouldContain("Lap the sole");
        PlanTotals.Unsure(hollow, Assumptions.Standard)!.ShouldEndWith("A survey would settle it.");
        // What takes the most minutes is not what is most unsure: the widest step is named, and a plan of small sure steps names none.
        PlanTotals.Unsure(hollow.Where(d => d.Minutes.High - d.Minutes.Low < 3), Assumptions.Standard).ShouldBeNull();
    }
}
