using Foundling.Core.State;
using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Rust;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>What goes into a bath together, for how long, and what one part's limit does to the rest: nothing.</summary>
public sealed class SoakLoadTests
{
    private static readonly Found[] AllBrown =
    [
        F(PartIds.Body, FindingKind.Rust, 2), F(PartIds.Frog, FindingKind.Rust, 2), F(PartIds.Iron, FindingKind.Rust, 2),
        F(PartIds.LeverCap, FindingKind.Rust, 2),
    ];

    private static PlanQuestion By(WayId way, params Found[] findings) => Ask(AimKind.Work, findings).With(RustWays.Id, way);

    private static double Wait(IEnumerable<Deed> deeds) => deeds.Where(d => d.Choice == RustWays.Id).Sum(d => d.Lag?.HoldsMin ?? 0);

    [Fact]
    public void One_plated_part_never_drags_the_rest()
    {
        // The lever cap of this plane is plated: an hour in acid, and the rest wants five.
        PlanQuestion plain = By(WayId.Citric, AllBrown) with { TemperatureC = 20 };
        PlanQuestion plated = plain with { Facts = plain.Facts with { Tool = Plated(plain.Tool, PartIds.LeverCap) } };
        SoakLoad load = plated.RustPlan.Loads.ShouldHaveSingleItem();
        load.In.ShouldNotContain(p => p.Id == PartIds.LeverCap);
        KeptOut cap = load.Out.Single(k => k.Part.Id == PartIds.LeverCap);
        (cap.Soaks, cap.LimitHours).ShouldBe((5, 1.0));
        cap.Why.ShouldStartWith("It would take 5 soaks of 1 h");
        Planner.Plan(plated).Single(d => d.Id == StepKey.DerustRest).Parts
            .ShouldBe([PartIds.Frog, PartIds.LeverCap], "the frog carries a plated lever that is riveted to it");
        load.Time!.Soaks.ShouldBe(SoakLoad.Of(plain, WayId.Citric, [.. plain.Rusty.Where(p => p.Id != PartIds.LeverCap)]).Time!.Soaks);
    }

    private static ToolKind Plated(ToolKind kind, PartId part) =>
        kind with { Parts = [.. kind.Parts.Select(p => p.Id == part ? p with { Finish = PartFinish.Plated } : p)] };

    [Fact]
    public void What_is_clean_inside_its_own_limit_comes_out_before_the_rest()
    {
        PlanQuestion q = Ask(KindIds.MetalBenchPlane, AimKind.Work, F(PartIds.Body, FindingKind.Rust, 4), F(PartIds.Iron, FindingKind.Rust, 2)) with
        {
            TemperatureC = 20, LengthMm = 245,
        };
        q = q.With(RustWays.Id, WayId.Citric).With(ChoiceId.Coating, WayId.Respray) with { Findings = [.. q.Findings, F(PartIds.Body, FindingKind.CoatingLoss,
            4)] };
        SoakLoad load = q.RustPlan.Loads.ShouldHaveSingleItem();
        load.Main.Select(p => p.Id).ShouldBe([PartIds.Body]);
        load.Early.Select(p => p.Id).ShouldBe([PartIds.Iron]);
        (load.EarlyHours, load.EarlyLimit.OutByHours, load.Time!.SoakHours, load.Time.Soaks).ShouldBe((5, 6, 12, 1));
        IReadOnlyList<Deed> plan = Planner.Plan(q);
        Deed early = plan.Single(d => d.Id == StepKey.SoakEarly), lift = plan.Single(d => d.Id == StepKey.SoakLift);
        early.Parts.ShouldBe([PartIds.Iron]);
        lift.Parts.ShouldBe([PartIds.Body]);
        early.After.Single(a => a.Id == StepKey.Soak).Lag.ShouldBe(Lag.Bath(300, 360, null, StepKey.SoakEarly) with { EndedBy = early.After
            .Single(a => a.Id == StepKey.Soak).Lag!.EndedBy });
        lift.After.Single(a => a.Id == StepKey.Soak).Lag!.LeastMin.ShouldBe(720);
        early.Reason.ShouldContain("by hand");
        plan.Single(d => d.Id == StepKey.EdgeHone).After.ShouldContain(a => a.Id == StepKey.SoakEarly, "clean metal first");
    }

    [Fact]
    public void Several_soaks_are_several_steps_each_with_its_scrub_and_its_wait()
    {
        PlanQuestion q = By(WayId.Citric, F(PartIds.Body, FindingKind.Rust, 4), F(PartIds.Body, FindingKind.CoatingLoss, 4)) with { TemperatureC = 14 };
        SoakResult time = q.RustPlan.Loads.ShouldHaveSingleItem().Time!;
        SoakResult gauge = Soak.Time(new SoakInput(BathKind.Citric, RustLevel.Heavy, 14, 5, RelativeHumidityPercent: q.RelativeHumidityPercent,
            OutByHours: 14), q.Shop.Assumptions);
        time.ShouldBe(gauge);
        time.Soaks.ShouldBe(2);
        IReadOnlyList<Deed> plan = Planner.Plan(q);
        DeedId again = new(StepKey.SoakAgain, "2");
        plan.Where(d => d.Bath is not null).Select(d => d.Id).ShouldBe([StepKey.Soak, again]);
        Wait(plan).ShouldBe(time.SoakHours * 60, 1);
        plan.Single(d => d.Id == again).After.ShouldContain(a => a.Id == StepKey.Soak && a.Lag!.LeastMin == Math.Round(time.HoursEach * 60));
        plan.Single(d => d.Id == StepKey.SoakLift).After.ShouldContain(a => a.Id == again);
        plan.Single(d => d.Id == again).Minutes.Likely.ShouldBeGreaterThan(3, "a scrub takes hands");
    }

    [Fact]
    public void More_than_three_soaks_or_a_week_closes_the_way()
    {
        PlanQuestion coated = By(WayId.Citric, F(PartIds.Body, FindingKind.Rust, 4)) with { TemperatureC = 14 };
        Choices.Find(RustWays.Id).Find(WayId.Citric).Blocked(coated).ShouldNotBeNull().ShouldStartWith("It would take 5 soaks of 4 h");
        PlanQuestion cold = By(WayId.VinegarHalf, F(PartIds.Chuck, FindingKind.Rust, 4), F(PartIds.Body, FindingKind.Rust, 4),
            F(PartIds.Body, FindingKind.CoatingLoss, 4)) with { TemperatureC = 0 };
        Choices.Find(RustWays.Id).Find(WayId.VinegarHalf).Blocked(cold).ShouldNotBeNull();
    }

    [Fact]
    public void A_coat_that_is_stripped_or_covered_sets_no_limit_and_is_stripped_before_the_bath()
    {
        Found[] findings = [F(PartIds.Body, FindingKind.Rust, 2), F(PartIds.Body, FindingKind.CoatingLoss, 4)];
        PlanQuestion left = By(WayId.Citric, findings).With(ChoiceId.Coating, WayId.Leave), sprayed = By(WayId.Citric, findings);
        left.Limit(BathKind.Citric, left.Tool.Part(PartIds.Body)!).OutByHours.ShouldBe(4);
        sprayed.Limit(BathKind.Citric, sprayed.Tool.Part(PartIds.Body)!).OutByHours.ShouldBe(14);
        IReadOnlyList<Deed> plan = Planner.Plan(sprayed);
        int At(StepKey key) => plan.ToList().FindIndex(d => d.Id == key);
        (At(StepKey.CoatColour) < At(StepKey.CoatStrip) && At(StepKey.CoatStrip) < At(StepKey.Soak) && At(StepKey.SoakOil) < At(StepKey.CoatPrime))
            .ShouldBeTrue("the colour is read, the coat stripped, the rust taken off, then it is painted");
    }

    [Theory]
    [InlineData("plough-plane", "skate")]
    [InlineData("chisel", "blade")]
    [InlineData("drawknife", "blade")]
    [InlineData("axe", "head")]
    [InlineData("billhook", "blade")]
    [InlineData("back-saw", "plate")]
    public void What_cannot_be_parted_from_wood_or_brass_stays_out_and_is_worked_where_one_can_reach(string kind, string part)
    {
        PlanQuestion q = Ask(KindId.Of(kind), AimKind.Work, F(PartId.Of(part), FindingKind.Rust, 3));
        q.RustPlan.Loads.ShouldBeEmpty();
        foreach (WayId way in new[] { WayId.Chelating, WayId.Citric, WayId.Vinegar })
        {
            Choices.Find(RustWays.Id).Find(way).Blocked(q).ShouldNotBeNull().ShouldContain("cannot be parted from the");
        }
        Planner.Plan(q).ShouldContain(d => d.Id == StepKey.DerustAbrasive);
    }

    [Fact]
    public void A_haft_that_is_thrown_away_lets_its_head_into_the_bath()
    {
        PlanQuestion q = Ask(KindId.Of("axe"), AimKind.Work, F(PartIds.Head, FindingKind.Rust, 3), F(PartIds.Haft, FindingKind.Crack, 4));
        q.RustPlan.Loads.ShouldHaveSingleItem().In.Select(p => p.Id).ShouldContain(PartIds.Head);
    }

    [Fact]
    public void The_worst_rust_is_the_worst_in_the_bath()
    {
        PlanQuestion q = By(WayId.Chelating, F(PartIds.Body, FindingKind.Rust, 2), F(PartIds.LeverCapScrew, FindingKind.Rust, 4),
            F(PartIds.LeverCapScrew, FindingKind.PlatingLoss, 2));
        SoakLoad load = q.RustPlan.Loads.ShouldHaveSingleItem();
        load.In.ShouldNotContain(p => p.Id == PartIds.LeverCapScrew, "its plating may be cadmium");
        load.Rust.ShouldBe(RustLevel.Medium);
    }

    [Fact]
    public void Warm_acid_is_quicker_and_half_strength_slower()
    {
        double Hours(WayId way) => By(way, F(PartIds.Iron, FindingKind.Rust, 2)).RustPlan.Loads.ShouldHaveSingleItem().Time!.SoakHours;
        Hours(WayId.CitricWarm).ShouldBeLessThan(Hours(WayId.Citric) * 0.6);
        Hours(WayId.SoakWheel).ShouldBe(Hours(WayId.Citric) / 2, 1e-9);
        Planner.Plan(By(WayId.SoakWheel, F(PartIds.Iron, FindingKind.Rust, 2))).ShouldContain(d => d.Id == StepKey.DerustWire);
        PlanQuestion half = By(WayId.VinegarHalf, F(PartIds.Body, FindingKind.Rust, 2), F(PartIds.Body, FindingKind.CoatingLoss, 4)) with { TemperatureC = 22 };
        half.RustPlan.Loads.ShouldHaveSingleItem().Time!.SoakHours.ShouldBe(14 * Math.Pow(2, 0.7) * Math.Pow(2, -0.2), 0.01);
    }

    [Fact]
    public void A_bath_is_mixed_as_the_gauge_says_and_paid_for_by_what_it_gives()
    {
        PlanQuestion q = By(WayId.Citric, F(PartIds.Iron, FindingKind.Rust, 2));
        SoakLoad load = q.RustPlan.Loads.ShouldHaveSingleItem();
        double litres = Math.Ceiling(BathVolume.Of(load.Tub!, q.Shop.Assumptions).LiquidMl / 100) / 10;
        load.Litres.ShouldBe(litres);
        Deed soak = Planner.Plan(q).Single(d => d.Id == StepKey.Soak);
        Need acid = soak.Needs.Single(n => n.Item == SupplyIds.CitricAcid);
        acid.Amount.ShouldBe(Math.Ceiling(Mixing.Of(new MixingInput(Acid.Citric, litres * 1000, 5)).CitricG!.Value));
        acid.UsedUp!.Value.ShouldBeInRange(0.01, acid.Amount!.Value);
        Needs.Cost(acid, q.Shop.Assumptions).ShouldBe(acid.UsedUp.Value * q.Shop.Assumptions.PriceOf(acid.Supply!), 1e-9);
        // An iron displaces little: a jointer and its irons take a bath several times as large.
        SoakLoad large = (By(WayId.Citric, [.. AllBrown, F(PartIds.Body, FindingKind.CoatingLoss, 4)]) with { LengthMm = 600 }).RustPlan.Loads[0];
        large.Litres.ShouldBeGreaterThan(3 * load.Litres);
    }

    [Fact]
    public void Light_rust_may_be_dipped_for_minutes()
    {
        PlanQuestion q = Ask(AimKind.Work, F(PartIds.Iron, FindingKind.Rust, 1), F(PartIds.LeverCapScrew, FindingKind.Rust, 1))
            .With(ChoiceId.Bloom, WayId.Dip);
        SoakLoad dip = q.RustPlan.Loads.ShouldHaveSingleItem();
        (dip.Time!.SoakHours * 60).ShouldBeInRange(5, 45);
        IReadOnlyList<Deed> plan = Planner.Plan(q);
        plan.ShouldNotContain(d => d.Id == StepKey.DerustBloom);
        plan.Where(d => d.Bath is not null).ShouldHaveSingleItem().Title.ShouldStartWith("Into warm citric acid");
    }

    [Fact]
    public void One_part_may_go_another_way_and_only_its_steps_change()
    {
        PlanQuestion bath = By(WayId.Chelating, AllBrown);
        PlanQuestion wheel = bath with { PartWays = new Dictionary<(ChoiceId, PartId), WayId> { [(ChoiceId.Rust, PartIds.Iron)] = WayId.Wire } };
        PlanDiff diff = PlanDiff.Of(Planner.Plan(bath), Planner.Plan(wheel));
        diff.Added.Select(d => d.Id).ShouldBe([StepKey.DerustWire]);
        diff.Added[0].Parts.ShouldBe([PartIds.Iron]);
        diff.Gone.ShouldBeEmpty();
        diff.Changed.ShouldAllBe(d => d.Choice == RustWays.Id);
        wheel.RustPlan.Loads.ShouldHaveSingleItem().In.ShouldNotContain(p => p.Id == PartIds.Iron);
    }

    [Fact]
    public void A_wheel_is_kept_from_what_it_would_harm_and_from_nothing_else()
    {
        PlanQuestion q = Ask(KindId.Of("adjustable-wrench"), AimKind.Work, F(PartIds.Knurl, FindingKind.Rust, 2), F(PartIds.Frame, FindingKind.Rust, 2))
            .With(RustWays.Id, WayId.Wire);
        q.RustPlan.By(WayId.Wire).Select(p => p.Id).ShouldBe([PartIds.Frame]);
        Planner.Plan(q).Single(d => d.Id == StepKey.DerustRest).Reason.ShouldBe("A wheel rounds the points of a knurl.");
    }
}
