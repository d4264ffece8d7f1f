using Foundling.Core.Baths;
using Foundling.Core.Rod;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Rod;

public sealed class PlannerTests
{
    private static readonly BathTable Baths = new(
    [
        new(BathKind.Chelating, "bare_cast_iron", false, null, "gentle"), new(BathKind.Chelating, "malleable_iron", false, null, "gentle"), new(BathKind.Chelating, "hardened_edge_steel", false, 48, "lift when done"),
        new(BathKind.Chelating, "spring_steel", false, 24, "check often"), new(BathKind.Chelating, "brass", false, 2, "turns pink"), new(BathKind.Chelating, "japanning", false, 12, "may lift"),
        new(BathKind.Chelating, "nickel_plate", false, 6, "dulls"), new(BathKind.Chelating, "wood", true, null, "swells"), new(BathKind.Chelating, "leather", true, null, "hardens"),
        new(BathKind.Citric, "bare_cast_iron", false, 14, "etches"), new(BathKind.Citric, "malleable_iron", false, 14, "etches"), new(BathKind.Citric, "hardened_edge_steel", false, 6, "takes up hydrogen"),
        new(BathKind.Citric, "spring_steel", true, null, "turns brittle"), new(BathKind.Citric, "japanning", false, 2, "lifts"), new(BathKind.Citric, "wood", true, null, "swells"), new(BathKind.Citric, "leather", true, null, "hardens"),
    ]);

    private static Finding F(string part, FindingKind kind, int severity) => new() { Part = part, Kind = kind, Severity = severity };

    private static PlanQuestion Ask(AimKind aim, RustSchool rust = RustSchool.Chelating, string kind = "metal-bench-plane", params Finding[] findings) =>
        new(ToolCatalogue.Kind(kind), aim, findings, Baths, rust, 16, 60, 245);

    private static readonly Finding[] Rusty =
    [
        F("body", FindingKind.Rust, 3), F("frog", FindingKind.Rust, 2), F("iron", FindingKind.Rust, 2), F("iron", FindingKind.Pitting, 3), F("iron", FindingKind.EdgeDamage, 2), F("cap_iron", FindingKind.Rust, 2),
        F("body", FindingKind.CoatingLoss, 3), F("tote", FindingKind.Crack, 2), F("knob", FindingKind.Looseness, 2), F("adjuster", FindingKind.Seizure, 2),
    ];

    private static int At(IReadOnlyList<PlanStep> plan, string key) => plan.ToList().FindIndex(s => s.Key == key);

    [Fact]
    public void A_rusty_bench_plane_to_be_worked_gets_the_whole_rod()
    {
        IReadOnlyList<PlanStep> plan = Planner.Plan(Ask(AimKind.Work, findings: Rusty));
        plan.Count.ShouldBeGreaterThanOrEqualTo(25);
        plan.Select(s => s.Rule).Distinct().Count().ShouldBeGreaterThanOrEqualTo(25);
        string[] order = ["photos", "try-as-found", "note-settings", "free-oil", "apart", "roll-call", "wash", "look-again", "soak", "soak-lift", "soak-oil", "wood-glue", "overspill", "frog-seat", "edge-back", "cap-fit", "assemble", "tension", "sole-lap", "final-hone", "protect", "prove", "next-look"];
        order.Select(k => At(plan, k)).ShouldBe(order.Select(k => At(plan, k)).Order());
        order.ShouldAllBe(k => At(plan, k) >= 0);
    }

    [Fact]
    public void Degreasing_comes_before_the_bath_and_oil_right_after_it()
    {
        IReadOnlyList<PlanStep> plan = Planner.Plan(Ask(AimKind.Work, RustSchool.Citric, findings: Rusty));
        At(plan, "wash").ShouldBeLessThan(At(plan, "soak"));
        plan.Skip(At(plan, "soak") + 1).Take(4).Select(s => s.Key).ShouldBe(["soak-lift", "soak-neutralise", "soak-dry", "soak-oil"]);
        PlanStep soak = plan[At(plan, "soak")];
        soak.OutByMin.ShouldBe(120);
        soak.Parts.ShouldNotContain("cap_iron");
        soak.Parts.ShouldContain("body");
        plan[At(plan, "hand-derust-rest")].Parts.ShouldContain("cap_iron");
    }

    [Fact]
    public void Keep_takes_no_bath_and_nothing_that_cannot_be_undone() =>
        Planner.Plan(Ask(AimKind.Keep, findings: Rusty)).ShouldAllBe(s => s.Undoable && s.Key != "soak" && s.Key != "sole-lap");

    [Fact]
    public void Show_bakes_a_new_coat_before_the_seats_are_filed()
    {
        IReadOnlyList<PlanStep> plan = Planner.Plan(Ask(AimKind.Show, findings: Rusty));
        At(plan, "coat-strip").ShouldBeLessThan(At(plan, "coat-mask"));
        At(plan, "coat-mask").ShouldBeLessThan(At(plan, "coat-paint"));
        At(plan, "coat-paint").ShouldBeLessThan(At(plan, "overspill"));
        plan.ShouldContain(s => s.Key == "wood-finish-shellac");
    }

    [Fact]
    public void A_shop_without_baths_works_by_hand()
    {
        IReadOnlyList<PlanStep> plan = Planner.Plan(Ask(AimKind.Work, RustSchool.ByHand, findings: Rusty));
        plan.ShouldNotContain(s => s.Key == "soak");
        plan.ShouldContain(s => s.Key == "hand-derust-rest");
    }

    [Fact]
    public void A_seized_or_broken_tool_is_not_tried_as_found()
    {
        Planner.Plan(Ask(AimKind.Work, findings: F("adjuster", FindingKind.Seizure, 3))).ShouldNotContain(s => s.Key == "try-as-found");
        Planner.Plan(Ask(AimKind.Work)).ShouldContain(s => s.Key == "try-as-found");
    }

    [Fact]
    public void Random_tools_of_every_kind_get_a_sound_plan()
    {
        var random = new Random(20);
        for (int i = 0; i < 3000; i++)
        {
            ToolKind kind = ToolCatalogue.Kinds[random.Next(ToolCatalogue.Kinds.Count)];
            Finding[] findings = [.. Enumerable.Range(0, random.Next(10)).Select(_ =>
            {
                PartDef part = kind.Parts[random.Next(kind.Parts.Count)];
                FindingKind[] possible = [.. FindingScales.For(part)];
                return F(part.Id, possible[random.Next(possible.Length)], random.Next(5));
            })];
            Check(Planner.Plan(Ask((AimKind)random.Next(3), (RustSchool)random.Next(3), kind.Id, findings)), kind);
        }
    }

    private static void Check(IReadOnlyList<PlanStep> plan, ToolKind kind)
    {
        plan.Select(s => s.Key).Distinct().Count().ShouldBe(plan.Count);
        plan.Select(s => s.Order).ShouldBe(Enumerable.Range(1, plan.Count));
        for (int i = 0; i < plan.Count; i++)
        {
            PlanStep step = plan[i];
            (step.Reason.Length > 10 && step.FinishTest.Length > 5 && step.LikelyMin > 0).ShouldBeTrue(step.Key);
            for (int j = i + 1; j < plan.Count; j++)
            {
                Planner.Between(plan[j].Key, step.Key).ShouldBeEmpty($"{plan[j].Key} must come before {step.Key}");
            }
        }
        int soak = At(plan, "soak");
        if (soak >= 0)
        {
            plan[soak].Parts.ShouldAllBe(p => kind.Part(p)!.Ferrous);
            List<PlanStep> block = [.. plan.Where(s => s.Block is not null)];
            block.Select(s => s.Order).ShouldBe(Enumerable.Range(block[0].Order, block.Count));
            block[^1].Key.ShouldBe("soak-oil");
        }
        if (At(plan, "sole-lap") is int lap and >= 0)
        {
            lap.ShouldBeGreaterThan(At(plan, "tension"));
            lap.ShouldBeGreaterThan(At(plan, "assemble"));
        }
        if (At(plan, "edge-hone") is int hone and >= 0)
        {
            At(plan, "edge-cover").ShouldBeGreaterThan(hone);
        }
    }

    [Fact]
    public void Hazardous_steps_carry_their_caution()
    {
        IReadOnlyList<PlanStep> plan = Planner.Plan(Ask(AimKind.Show, RustSchool.Citric, findings: [.. Rusty, F("iron", FindingKind.EdgeDamage, 3)]));
        foreach (string key in new[] { "wash", "soak", "edge-grind", "edge-hone", "sole-lap", "coat-strip", "coat-paint", "free-driver", "assemble" })
        {
            plan[At(plan, key)].Caution.ShouldNotBeEmpty(key);
        }
        Planner.Plan(Ask(AimKind.Work, findings: Rusty)).First(s => s.Key == "wood-finish-oil").Caution.ShouldContain("fire");
    }

    [Fact]
    public void Planning_again_keeps_what_is_done()
    {
        List<PlanStep> plan = [.. Planner.Plan(Ask(AimKind.Work, findings: Rusty))];
        plan[0].State = StepState.Done;
        plan[1].State = StepState.Skipped;
        IReadOnlyList<PlanStep> again = Planner.Replan(plan, Ask(AimKind.Keep));
        again.First(s => s.Key == plan[0].Key).State.ShouldBe(StepState.Done);
        again.First(s => s.Key == plan[1].Key).State.ShouldBe(StepState.Skipped);
        again.Select(s => s.Order).ShouldBe(Enumerable.Range(1, again.Count));
        Planner.Remaining(again).P50.ShouldBeLessThan(Planner.Remaining(plan).P50);
    }

    [Fact]
    public void A_look_in_at_night_moves_to_the_evening_before()
    {
        var start = new DateTimeOffset(2026, 3, 3, 20, 0, 0, TimeSpan.Zero);
        Soak.LookInAt(start, 60).ShouldBe(start.AddMinutes(60));
        Soak.LookInAt(start, 240).ShouldBe(start.AddHours(2));
        Soak.LookInAt(start, 10 * 60).ShouldBe(start.AddHours(2));
        Soak.LookInAt(start, 12 * 60).ShouldBe(start.AddHours(12));
    }

    [Fact]
    public void Log_totals_follow_stops_and_corrections()
    {
        List<LogEntry> log =
        [
            new() { Kind = LogKind.Started, Step = "a" }, new() { Kind = LogKind.Stopped, Step = "a", Minutes = 20 }, new() { Kind = LogKind.Correction, Step = "a", Minutes = -5 },
            new() { Kind = LogKind.Stopped, Step = "b", Minutes = 3 }, new() { Kind = LogKind.Correction, Step = "b", Minutes = -9 }, new() { Kind = LogKind.Correction, Minutes = 4 }, new() { Kind = LogKind.Note, Minutes = 99 },
        ];
        Core.Log.LogTotals.ByStep(log).ShouldBe(new Dictionary<string, double> { ["a"] = 15, ["b"] = 0 }, ignoreOrder: true);
        Core.Log.LogTotals.All(log).ShouldBe(19);
    }
}
