using Foundling.Core.Aim;
using Foundling.Core.Bench;
using Foundling.Core.Finishes;
using Foundling.Core.Gauges;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Shop;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>Gates before steps, what steps need, aims beside each other, gauges that open filled in.</summary>
public sealed class GateTests
{
    private static ShopContext Loft { get; } = Asking.Shop with { Name = "Loft" };

    private static Tag Owned(string owner, AimKind aim = AimKind.Work) =>
        new() { Kind = KindIds.MetalBenchPlane, Owner = owner, Aim = aim, Findings = [.. Rusty.Select(f => Finding.Of(f, DateTimeOffset.UnixEpoch))] };

    [Fact]
    public void A_caution_is_seen_once_before_its_first_step()
    {
        Tag tag = Owned("");
        PlanStep wash = PlanStep.Fresh(Planner.Plan(Ask(AimKind.Work, Rusty))).First(s => s.Key == StepKey.Wash);
        Gate.Of(tag, wash, Loft, DateTimeOffset.UnixEpoch).Unseen.Select(c => c.Id).ShouldBe([CautionId.Solvent, CautionId.BareEdge]);
        Gate.Of(tag, wash, Loft, DateTimeOffset.UnixEpoch).Sentence.ShouldContain("solvents");
        tag.SeenCautions.AddRange([CautionId.Solvent, CautionId.BareEdge]);
        Gate.Of(tag, wash, Loft, DateTimeOffset.UnixEpoch).Open.ShouldBeTrue();
    }

    [Theory]
    [InlineData("Maud", AimKind.Work, "Maud")]
    [InlineData("loft", AimKind.Work, null)]
    [InlineData("", AimKind.Work, null)]
    [InlineData("", AimKind.Keep, "Keep")]
    public void What_cannot_be_undone_is_agreed_first_on_anothers_tool_and_under_Keep(string owner, AimKind aim, string? because)
    {
        Tag tag = Owned(owner, aim);
        Deed lap = Rods.Deed(StepKey.SoleLap, Stage.Sole, "Lap it") with { Undoable = false };
        string? said = Gate.Of(tag, new PlanStep(lap, null, 1), Loft, DateTimeOffset.UnixEpoch).Agreement;
        (said?.Contains(because ?? "never", StringComparison.Ordinal) ?? because is null).ShouldBeTrue(said);
        var mark = new StepMark { Deed = lap.Id, Agreed = "yes", AgreedAt = DateTimeOffset.UnixEpoch, AgreedTo = lap.Content };
        Gate.Of(tag, new PlanStep(lap, mark, 1), Loft, DateTimeOffset.UnixEpoch).Open.ShouldBeTrue();
        Gate.Of(tag, new PlanStep(lap with { Final = false }, null, 1), Loft, DateTimeOffset.UnixEpoch).Open.ShouldBeTrue();
        // What was agreed to was another act: it is asked again.
        Gate.Of(tag, new PlanStep(lap with { Title = "Grind it" }, mark, 1), Loft, DateTimeOffset.UnixEpoch).Open.ShouldBe(because is null);
        Gate.Of(tag, new PlanStep(lap with { MetalRemovedMm = 2 }, mark, 1), Loft, DateTimeOffset.UnixEpoch).Open.ShouldBe(because is null);
    }

    [Fact]
    public void Consent_given_for_one_way_does_not_hold_for_another()
    {
        PlanQuestion pitted = Ask(KindIds.MetalBenchPlane, AimKind.Work, F(PartIds.Iron, FindingKind.Pitting, 4));
        Deed Save(WayId way) => Planner.Plan(pitted.With(ChoiceId.Back, way)).Single(d => d.Id == StepKey.EdgeSave);
        WayId[] ways = [WayId.Lap, WayId.Shim, WayId.Lift, WayId.Grind];
        ways.Select(w => Save(w).Content).Distinct().Count().ShouldBe(ways.Length, "four acts share one key");
        var mark = new StepMark { Deed = StepKey.EdgeSave, Agreed = "Piet, on the telephone: lap it", AgreedAt = DateTimeOffset.UnixEpoch,
            AgreedTo = Save(WayId.Lap).Content };
        new PlanStep(Save(WayId.Lap), mark, 1).Agreed.ShouldNotBeEmpty();
        new PlanStep(Save(WayId.Grind), mark, 1).Agreed.ShouldBeEmpty();
    }

    [Fact]
    public void What_is_on_order_shuts_its_step()
    {
        Deed fit = Rods.Deed(StepKey.Find, Stage.SmallParts, "Fit the screw") with { WaitsFor = "screw, on order", ArrivesOn = new DateOnly(2026, 4, 2) };
        var step = new PlanStep(fit, null, 1);
        Gate gate = Gate.Of(Owned(""), step, Loft, DateTimeOffset.UnixEpoch);
        (gate.Open, gate.Sentence).ShouldBe((false, "It waits for: screw, on order, expected 2 April."));
    }

    [Fact]
    public void What_the_shop_has_none_of_holds_the_steps_that_need_it_until_they_go_on_without()
    {
        Tag tag = Owned("").Plan(Planner.Plan(Ask(AimKind.Work, Rusty)));
        ShopContext bare = Loft with
        {
            Short = new Dictionary<SupplyId, Short> { [SupplyIds.MediumStone] = new(Supplies.Find(SupplyIds.MediumStone)!, true, new DateOnly(2026, 4, 2)) },
        };
        PlanStep hone = tag.Step(StepKey.EdgeHone)!;
        Gate shut = Gate.Of(tag, hone, bare, DateTimeOffset.UnixEpoch);
        shut.Lacks.ShouldHaveSingleItem().Supply.Id.ShouldBe(SupplyIds.MediumStone);
        shut.Sentence.ShouldStartWith("It waits for what is on order: medium stone, expected 2 April.");
        tag.Steps.Where(s => Gate.LacksOf(s, bare).Count > 0).ShouldAllBe(s => s.Needs.Any(n => n.Item == SupplyIds.MediumStone));
        Gate.Of(tag, hone, Loft, DateTimeOffset.UnixEpoch).Lacks.ShouldBeEmpty();
        // The next step that can be done is never one that lacks something.
        foreach (PlanStep step in tag.Steps.Where(s => s.Key != StepKey.EdgeHone && Gate.LacksOf(s, bare).Count == 0).ToList())
        {
            tag.Happened(BenchEvent.New(DateTimeOffset.UnixEpoch, EventKind.Done, step.Title, step.Key));
        }
        Order.Next(tag, bare, DateTimeOffset.UnixEpoch.AddDays(90)).ShouldBeNull();
        Order.Next(tag, Loft, DateTimeOffset.UnixEpoch.AddDays(90)).ShouldNotBeNull();
        tag.Happened(BenchEvent.Without(DateTimeOffset.UnixEpoch, StepKey.EdgeHone, SupplyIds.MediumStone, "with P1000 on glass"));
        hone = tag.Step(StepKey.EdgeHone)!;
        Gate.LacksOf(hone, bare).ShouldBeEmpty();
        tag.Happened(BenchEvent.New(DateTimeOffset.UnixEpoch.AddDays(1), EventKind.Reopened, hone.Title, hone.Key));
        Gate.LacksOf(tag.Step(StepKey.EdgeHone)!, bare).Count.ShouldBe(1, "taken up again, it is asked again");
    }

    [Fact]
    public void One_word_covers_what_it_was_given_for_and_asks_again_for_what_changed()
    {
        PlanQuestion question = Ask(AimKind.Work, Rusty);
        Tag tag = Owned("Maud").Plan(Planner.Plan(question));
        IReadOnlyList<PlanStep> open = Consent.Open(tag, "Loft");
        open.Count.ShouldBeGreaterThan(2);
        open.ShouldAllBe(s => !s.Undoable);
        foreach (PlanStep step in open)
        {
            tag.Happened(BenchEvent.New(DateTimeOffset.UnixEpoch, EventKind.Agreed, "Maud, at the bench", step.Key).Copy(bound: step.Deed.Content));
        }
        Consent.Open(tag, "Loft").ShouldBeEmpty();
        tag.Plan(Planner.Plan(question.With(ChoiceId.Flat, WayId.Whole)));
        Consent.Open(tag, "Loft").Select(s => s.Key).ShouldBe([StepKey.SoleLap], "only the lapping became another act");
        Consent.Open(tag, "maud").ShouldBeEmpty("a shop's own tools need nobody's word");
    }

    [Fact]
    public void Cautions_are_two_short_sentences_that_say_what_to_do()
    {
        Cautions.All.Count.ShouldBeGreaterThanOrEqualTo(25);
        Cautions.All.Select(c => c.Id).Distinct().Count().ShouldBe(Cautions.All.Count);
        Cautions.All.ShouldAllBe(c => c.Text.Length > 60 && c.Text.Length < 260 && c.Text.Split(". ", StringSplitOptions.RemoveEmptyEntries).Length == 2);
        Cautions.Of([CautionId.Acid, CautionId.Wire, CautionId.Acid]).Select(c => c.Id).ShouldBe([CautionId.Acid, CautionId.Wire]);
        Cautions.Of([]).ShouldBeEmpty();
        Cautions.All.Select(c => c.Id).ShouldBe(Enum.GetValues<CautionId>(), ignoreOrder: true);
    }

    [Fact]
    public void Every_hazard_the_trade_knows_has_its_caution_at_a_step()
    {
        HashSet<CautionId> used = [];
        var random = new Random(5);
        for (int i = 0; i < 4000; i++)
        {
            used.UnionWith(PlanStep.Fresh(Planner.Plan(Asking.Random(random))).SelectMany(s => s.Cautions));
        }
        Cautions.All.Select(c => c.Id).Except(used).ShouldBeEmpty();
        used.Except(Cautions.All.Select(c => c.Id)).ShouldBeEmpty();
    }

    [Fact]
    public void Needs_are_read_and_summed()
    {
        (Need.Of(SupplyIds.PenetratingOil, 5).Name, Need.Of(SupplyIds.PenetratingOil, 5).Unit).ShouldBe(("penetrating oil", "mL"));
        Need.Of(SupplyId.Of("moon-dust"), 2).Name.ShouldBe("moon dust", "what a later version brings is shown by its key");
        IReadOnlyList<PlanStep> plan = PlanStep.Fresh(Planner.Plan(Ask(AimKind.Work, Rusty)));
        IReadOnlyList<KitLine> list = KitList.Of(plan);
        list.Select(l => l.Item).Distinct().Count().ShouldBe(list.Count);
        list.Where(l => !l.Kit).ShouldAllBe(l => l.Amount > 0 && l.Unit.Length > 0 && l.Cost(Assumptions.Standard) > 0);
        KitLine oil = list.First(l => l.Item == SupplyIds.LightOil);
        oil.Amount.ShouldBe(plan.SelectMany(s => s.Needs).Where(n => n.Item == SupplyIds.LightOil).Sum(n => n.Amount));
        list.SkipWhile(l => l.Kit).ShouldAllBe(l => !l.Kit);
        KitList.Of(Rods.Stand(plan, StepState.Done, [.. plan.Select(s => s.Key)])).ShouldBeEmpty();
        Supplies.All.Where(s => !s.Kit).ShouldAllBe(s => s.Cost > 0 && s.Unit.Length > 0);
    }

    [Fact]
    public void Aims_say_what_they_cost_and_where_to_stop()
    {
        AimReview[] aims = [.. Enum.GetValues<AimKind>().Select(a => AimReview.Of(Ask(a, Rusty), 200, Rarity.Scarce))];
        aims.Select(a => a.Aim).ShouldBe([AimKind.Keep, AimKind.Work, AimKind.Show, AimKind.Own]);
        AimReview keep = aims[0], work = aims[1], show = aims[2], own = aims[3];
        (keep.Final.Count, keep.LostShare, keep.MetalMm, keep.WorthAfter).ShouldBe((0, 0, 0, 200));
        keep.Minutes.P50.ShouldBeLessThan(work.Minutes.P50);
        work.Minutes.P50.ShouldBeLessThan(show.Minutes.P50);
        show.WorthAfter!.Value.ShouldBe(200 * (1 - (Assumptions.Standard.RarityScarce * show.LostShare)), 1e-9);
        show.LostShare.ShouldBeGreaterThan(work.LostShare);
        own.Steps.ShouldContain(s => s.Id == StepKey.OwnPapers);
        work.BuysMost!.Id.ShouldBe(StepKey.EdgeHone);
        work.BuysShare.ShouldBeInRange(0.1, 0.4);
        work.StopAfter.ShouldNotBeNull();
        work.StopMinutes.ShouldBe(work.Steps.Take(work.Steps.ToList().IndexOf(work.StopAfter!) + 1).Sum(s => PlanTotals.Likely(s, Assumptions.Standard)), 1e-9);
        AimReview.Of(Ask(AimKind.Work, Rusty), null, Rarity.Common).WorthAfter.ShouldBeNull();
        SurfaceLoss.Of(show.Steps).ShouldNotContain(SurfaceId.SomePatina);
    }

    [Fact]
    public void Ways_side_by_side_say_what_they_take_and_what_shuts_them()
    {
        IReadOnlyList<WayReview> ways = WayReview.Of(Choices.Find(ChoiceId.Rust), Ask(AimKind.Work, Rusty));
        ways.Single(w => w.Taken).Way.Id.ShouldBe(WayId.Chelating);
        ways.First(w => w.Way.Id == WayId.Chelating).WaitMin.ShouldBeGreaterThan(60);
        WayReview wire = ways.First(w => w.Way.Id == WayId.Wire);
        (wire.WaitMin, wire.Blocked).ShouldBe((0, null));
        wire.Minutes!.P50.ShouldBeGreaterThan(5);
        wire.Change!.Gone.ShouldContain(s => s.Id == StepKey.Soak);
        foreach (WayReview way in ways.Where(w => w.Blocked is null && !w.Taken))
        {
            PlanDiff real = PlanDiff.Of(Planner.Plan(Ask(AimKind.Work, Rusty)), Planner.Plan(Ask(AimKind.Work, Rusty).With(ChoiceId.Rust, way.Way.Id)));
            (way.Change!.Minutes, way.Change.Added.Count, way.Change.Gone.Count).ShouldBe((real.Minutes, real.Added.Count, real.Gone.Count));
        }
        WayReview.Of(Choices.Find(ChoiceId.Rust), Ask(AimKind.Keep, Rusty)).Where(w => w.Blocked is null).Select(w => w.Way.Id)
            .ShouldBe([WayId.Scrape]);
        Choices.All.SelectMany(c => c.Ways.GroupBy(w => w.Id).Where(g => g.Count() > 1)).ShouldBeEmpty();
    }

    [Fact]
    public void No_gauge_link_is_dead_and_each_answers_as_it_opens()
    {
        var random = new Random(31);
        int links = 0;
        HashSet<string> seen = [];
        for (int i = 0; i < 1600; i++)
        {
            PlanQuestion question = Asking.Random(random);
            Facts facts = question.Facts with
            {
                Build = new Build(question.LengthMm, Purpose: (Core.Soles.SolePurpose)random.Next(6)),
                Readings = [.. question.Facts.Readings, new Reading(question.Tool.Edges.FirstOrDefault()?.Id ?? PartIds.Body, MeasureIds.OutOfSquare,
                    new Quantity(1.2, Unit.Millimetres), Instrument.Feeler)],
            };
            foreach (StepGauge link in Planner.Plan(question).SelectMany(d => StepGauges.For(facts, question.TagWays, d, Asking.Shop)))
            {
                links++;
                seen.Add(link.Gauge.Calculation);
                var input = new System.Text.Json.Nodes.JsonObject();
                foreach ((string name, string value) in link.Values)
                {
                    input[name] = bool.TryParse(value, out bool yes) ? yes : double.TryParse(value, System.Globalization.CultureInfo.InvariantCulture,
                        out double number) ? number == Math.Floor(number) ? (int)number : number : value;
                }
                Should.NotThrow(() => GaugeCatalogue.Run(link.Gauge, System.Text.Json.JsonSerializer.SerializeToElement(input),
                    new GaugeContext(Assumptions.Standard, null!)), link.Address);
                link.Address.ShouldStartWith($"/gauges/{link.Gauge.File}/{link.Gauge.Calculation}");
            }
        }
        links.ShouldBeGreaterThan(1000);
        seen.Count.ShouldBeGreaterThanOrEqualTo(9);
    }

    [Fact]
    public void Coats_wait_longer_in_the_cold_and_the_damp()
    {
        Drying warm = Drying.Enamel(Assumptions.Standard).In(20, 50), cold = Drying.Enamel(Assumptions.Standard).In(10, 50),
            damp = Drying.Enamel(Assumptions.Standard).In(20, 80);
        (warm.RecoatFromMin, warm.RecoatUntilMin, warm.CureMin).ShouldBe((240, 1440, 2880));
        (cold.RecoatFromMin, cold.RecoatUntilMin, cold.CureMin).ShouldBe((480, 2880, 5760));
        damp.RecoatFromMin.ShouldBe(312);
        Drying.Oil(Assumptions.Standard).In(20, 40).RecoatUntilMin.ShouldBeNull();
    }
}
