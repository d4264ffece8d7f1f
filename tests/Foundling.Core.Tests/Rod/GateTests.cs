using Foundling.Core.Aim;
using Foundling.Core.Finishes;
using Foundling.Core.Gauges;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>Gates before steps, what steps need, aims beside each other, gauges that open filled in.</summary>
public sealed class GateTests
{
    private static Tag Owned(string owner, AimKind aim = AimKind.Work) => new() { Kind = KindIds.MetalBenchPlane, Owner = owner, Aim = aim, Findings = [.. Rusty] };

    [Fact]
    public void A_caution_is_seen_once_before_its_first_step()
    {
        Tag tag = Owned("");
        PlanStep wash = Planner.Plan(Ask(AimKind.Work, Rusty)).First(s => s.Key == "wash");
        Gate.Of(tag, wash, "Loft").Unseen.Select(c => c.Id).ShouldBe([Cautions.Solvent]);
        Gate.Of(tag, wash, "Loft").Sentence.ShouldContain("solvents");
        tag.SeenCautions.Add(Cautions.Solvent);
        Gate.Of(tag, wash, "Loft").Open.ShouldBeTrue();
    }

    [Theory]
    [InlineData("Maud", AimKind.Work, "Maud")]
    [InlineData("loft", AimKind.Work, null)]
    [InlineData("", AimKind.Work, null)]
    [InlineData("", AimKind.Keep, "Keep")]
    public void What_cannot_be_undone_is_agreed_first_on_anothers_tool_and_under_Keep(string owner, AimKind aim, string? because)
    {
        Tag tag = Owned(owner, aim);
        var final = new PlanStep("x", Stage.Sole, "Lap it", 1, 2, 3) { Undoable = false };
        string? said = Gate.Of(tag, final, "Loft").Agreement;
        (said?.Contains(because ?? "never", StringComparison.Ordinal) ?? because is null).ShouldBeTrue(said);
        (final.Agreed, final.AgreedAt) = ("yes", DateTimeOffset.UnixEpoch);
        Gate.Of(tag, final, "Loft").Open.ShouldBeTrue();
        final.Undoable = true;
        final.AgreedAt = null;
        Gate.Of(tag, final, "Loft").Open.ShouldBeTrue();
    }

    [Fact]
    public void What_is_on_order_shuts_its_step()
    {
        var step = new PlanStep("x", Stage.SmallParts, "Fit the screw", 1, 2, 3) { WaitsFor = "screw, on order", ArrivesOn = new DateOnly(2026, 4, 2) };
        Gate gate = Gate.Of(Owned(""), step, "Loft");
        (gate.Open, gate.Sentence).ShouldBe((false, "It waits for: screw, on order, expected 2 April."));
    }

    [Fact]
    public void Cautions_are_two_short_sentences_that_say_what_to_do()
    {
        Cautions.All.Count.ShouldBeGreaterThanOrEqualTo(25);
        Cautions.All.Select(c => c.Id).Distinct().Count().ShouldBe(Cautions.All.Count);
        Cautions.All.ShouldAllBe(c => c.Text.Length > 60 && c.Text.Length < 260 && c.Text.Split(". ", StringSplitOptions.RemoveEmptyEntries).Length == 2);
        Cautions.Of($"{Cautions.Acid} {Cautions.Wire}").Select(c => c.Id).ShouldBe([Cautions.Acid, Cautions.Wire]);
        Cautions.Of("").ShouldBeEmpty();
        // Words of an older rod are shown as they are.
        Cautions.Words("Mind the cat on the bench.").ShouldBe("Mind the cat on the bench.");
    }

    [Fact]
    public void Every_hazard_the_trade_knows_has_its_caution_at_a_step()
    {
        HashSet<string> used = [];
        var random = new Random(5);
        for (int i = 0; i < 1500; i++)
        {
            used.UnionWith(Planner.Plan(Asking.Random(random)).SelectMany(s => s.Caution.Split(' ', StringSplitOptions.RemoveEmptyEntries)));
        }
        Cautions.All.Select(c => c.Id).Except(used).ShouldBeEmpty();
        used.Except(Cautions.All.Select(c => c.Id)).ShouldBeEmpty();
    }

    [Fact]
    public void Needs_are_read_and_summed()
    {
        Need.Parse("penetrating oil: 5 mL").ShouldBe(new Need("penetrating oil", 5, "mL"));
        Need.Parse("bath tub, longer than the longest part").ShouldBe(new Need("bath tub, longer than the longest part"));
        new Need("citric acid", 250, "g").ToString().ShouldBe("citric acid: 250 g");
        IReadOnlyList<PlanStep> plan = Planner.Plan(Ask(AimKind.Work, Rusty));
        IReadOnlyList<KitLine> list = KitList.Of(plan);
        list.Select(l => l.Item).Distinct().Count().ShouldBe(list.Count);
        list.Where(l => !l.Kit).ShouldAllBe(l => l.Amount > 0 && l.Unit.Length > 0 && l.Cost > 0);
        KitLine oil = list.First(l => l.Item == "light oil");
        oil.Amount.ShouldBe(plan.SelectMany(s => s.Materials).Select(Need.Parse).Where(n => n.Item == "light oil").Sum(n => n.Amount));
        list.SkipWhile(l => l.Kit).ShouldAllBe(l => !l.Kit);
        plan.ToList().ForEach(s => s.State = StepState.Done);
        KitList.Of(plan).ShouldBeEmpty();
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
        own.Steps.ShouldContain(s => s.Key == "own-papers");
        work.BuysMost!.Key.ShouldBe("edge-hone");
        work.BuysShare.ShouldBeInRange(0.1, 0.4);
        work.StopAfter.ShouldNotBeNull();
        work.StopMinutes.ShouldBe(work.Steps.TakeWhile(s => s.Order <= work.StopAfter!.Order).Sum(s => s.LikelyMin), 1e-9);
        AimReview.Of(Ask(AimKind.Work, Rusty), null, Rarity.Common).WorthAfter.ShouldBeNull();
        Surfaces.Named(show.Steps).ShouldNotContain(Surfaces.SomePatina);
    }

    [Fact]
    public void Ways_side_by_side_say_what_they_take_and_what_shuts_them()
    {
        IReadOnlyList<WayReview> ways = WayReview.Of(Choices.Find("rust"), Ask(AimKind.Work, Rusty));
        ways.Single(w => w.Taken).Way.Id.ShouldBe("chelating");
        ways.First(w => w.Way.Id == "chelating").WaitMin.ShouldBeGreaterThan(60);
        WayReview wire = ways.First(w => w.Way.Id == "wire");
        (wire.WaitMin, wire.Blocked).ShouldBe((0, null));
        wire.Minutes!.P50.ShouldBeGreaterThan(5);
        wire.Change!.Gone.ShouldContain(s => s.Key == "soak");
        foreach (WayReview way in ways.Where(w => w.Blocked is null && !w.Taken))
        {
            PlanDiff real = PlanDiff.Of(Planner.Plan(Ask(AimKind.Work, Rusty)), Planner.Plan(Ask(AimKind.Work, Rusty).With("rust", way.Way.Id)));
            (way.Change!.Minutes, way.Change.Added.Count, way.Change.Gone.Count).ShouldBe((real.Minutes, real.Added.Count, real.Gone.Count));
        }
        WayReview.Of(Choices.Find("rust"), Ask(AimKind.Keep, Rusty)).Where(w => w.Blocked is null).Select(w => w.Way.Id).ShouldBe(["abrasive", "scrape"]);
        Choices.All.SelectMany(c => c.Ways.GroupBy(w => w.Id).Where(g => g.Count() > 1)).ShouldBeEmpty();
    }

    [Fact]
    public void No_gauge_link_is_dead_and_each_answers_as_it_opens()
    {
        var random = new Random(31);
        int links = 0;
        HashSet<string> seen = [];
        for (int i = 0; i < 1500; i++)
        {
            PlanQuestion question = Asking.Random(random);
            var tag = new Tag { Kind = question.Tool.Id, LengthMm = question.LengthMm, Purpose = (Core.Soles.SolePurpose)random.Next(6),
                Findings = [.. question.Findings], Ways = [.. question.TagWays.Select(w => $"{w.Key}={w.Value}")], Measurements = [.. question.Measurements,
                new Measurement { Part = question.Tool.Edges.FirstOrDefault()?.Id ?? PartIds.Body, Kind = "out_of_square", Value = 1.2 }] };
            foreach (StepGauge link in Planner.Plan(question).SelectMany(s => StepGauges.For(tag, s, 15, 60)))
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
        seen.Count.ShouldBeGreaterThanOrEqualTo(10);
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
