using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Rod;

/// <summary>Ten thousand made-up tools in any state, at any aim and by any way: no plan may break what holds always.</summary>
public sealed partial class RandomPlanTests
{
    private const int Tools = 10_000;

    private static readonly StepKey[] Bare = [StepKey.EdgeHone, StepKey.BurrTurn];

    [Fact]
    public void No_plan_of_ten_thousand_breaks_a_rule() => Parallel.For(0, Tools / 100, batch =>
    {
        var random = new Random(7000 + batch);
        for (int i = 0; i < 100; i++)
        {
            PlanQuestion question = Asking.Random(random);
            try
            {
                Check(PlanStep.Fresh(Planner.Plan(question)), question);
            }
            catch (Exception e) when (e is not InvalidOperationException)
            {
                throw new InvalidOperationException($"Tool {i} of seed {7000 + batch}: {e.Message}", e);
            }
        }
    });

    [Fact]
    public void Every_kind_at_every_aim_gets_a_plan_that_keeps_the_order_rules()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            foreach (AimKind aim in Enum.GetValues<AimKind>())
            {
                foreach (bool rusty in new[] { false, true })
                {
                    Found[] findings = rusty ? [.. kind.Parts.SelectMany(p => Faults.For(kind, p).Where(k => k is not FindingKind.Missing).Select(k =>
                        Asking.F(p.Id, k, 3)))] : [];
                    PlanQuestion question = Asking.Ask(kind.Id, aim, findings);
                    IReadOnlyList<PlanStep> plan = PlanStep.Fresh(Planner.Plan(question));
                    Check(plan, question);
                    plan.Count.ShouldBeGreaterThanOrEqualTo(aim == AimKind.Keep ? 6 : 9, $"{kind.Id} {aim}");
                    (aim == AimKind.Keep || plan.Any(s => s.Key == StepKey.Prove)).ShouldBeTrue(kind.Id.Value);
                }
            }
        }
    }

    internal static void Check(IReadOnlyList<PlanStep> plan, PlanQuestion question)
    {
        string Where(PlanStep step) => $"{question.Tool.Id}, {question.Aim}: {step.Key}";
        plan.Select(s => s.Key).Distinct().Count().ShouldBe(plan.Count, question.Tool.Id.Value);
        plan.Select(s => s.Order).ShouldBe(Enumerable.Range(1, plan.Count));
        for (int i = 0; i < plan.Count; i++)
        {
            PlanStep step = plan[i];
            if (!(step.Reason.Length > 10 && step.FinishTest.Length > 5 && step.LikelyMin > 0 && step.Title.Length > 5 && step.Minutes.Low <= step.LikelyMin
                && step.LikelyMin <= step.Minutes.High))
            {
                Assert.Fail($"{Where(step)} lacks its reason, its minutes or its finish test.");
            }
            foreach (Follows after in step.Deed.After)
            {
                Assert.True(plan.Take(i).Any(p => p.Key == after.Id), $"{Where(step)} comes before {after.Id}, but {after.Why}.");
                Assert.True(after.Why.Length >= 8, $"{Where(step)} does not say why it comes after {after.Id}.");
            }
            Assert.True(step.Needs.All(n => n.Supply is not null && (n.Amount is null) == n.Supply.Kit),
                $"{Where(step)} needs something the supplies do not name.");
            Assert.True(step.Parts.All(p => question.Tool.Part(p) is not null), $"{Where(step)} speaks of a part the tool never had.");
        }
        NothingWetIsLeftBare(plan, question, Where);
        NothingSoaksThatMayNot(plan, question, Where);
        BareEdgesAreCovered(plan, Where);
        WhatCutsIsMinded(plan, question, Where);
        CoatsKeepTheirWindow(plan, Where);
        Lapping(plan, question);
        StateHolds([.. plan.Select(s => s.Deed)], question);
        FindingsAreAnswered(plan, question);
        if (question.Aim == AimKind.Keep)
        {
            Assert.True(plan.All(s => s.Undoable), $"{question.Tool.Id}: Keep does nothing that cannot be undone");
        }
        Blocks(plan);
    }

    // Pictures, notes and tries take a tool by its handles; every other step that has an edge among its parts has it in
    // the hand, unless a new one is bought.
    private static readonly StepKey[] ByItsHandles = [StepKey.TryAsFound, StepKey.Prove, StepKey.LeaveOn, StepKey.KeepOut, StepKey.RollCall];

    private static void WhatCutsIsMinded(IReadOnlyList<PlanStep> plan, PlanQuestion question, Func<PlanStep, string> where)
    {
        HashSet<PartId> edges = [.. question.Edges.Select(p => p.Id)];
        foreach (PlanStep step in plan.Where(s => !ByItsHandles.Contains(s.Key.Step) && s.Parts.Any(edges.Contains)
            && !s.Needs.All(n => n.Item == SupplyIds.ReplacementPart)))
        {
            Assert.True(step.Cautions.Any(c => c is CautionId.BareEdge or CautionId.Teeth or CautionId.Grinder),
                $"{where(step)} ({step.Title}) handles what cuts and does not say so.");
        }
        foreach (PlanStep step in plan.Where(s => s.Cautions.Contains(CautionId.Spring)))
        {
            Assert.True(question.Tool.Parts.Any(p => p.Joint == Joint.Sprung) || question.Tool.Part(PartIds.Chuck) is not null
                || question.Tool.Part(PartIds.Ratchet) is not null, $"{where(step)} warns of a spring it never had.");
        }
    }

    private static void NothingWetIsLeftBare(IReadOnlyList<PlanStep> plan, PlanQuestion question, Func<PlanStep, string> where)
    {
        foreach (PlanStep wet in plan.Where(s => s.Key.Step is StepKey.SoakLift or StepKey.DerustBlast))
        {
            List<PlanStep> rest = [.. plan.Skip(wet.Order)];
            List<PlanStep> block = [.. rest.TakeWhile(s => s.Block == wet.Block && s.Key.Of == wet.Key.Of)];
            (block.Count > 0 && block[^1].Key.Step is StepKey.SoakOil or StepKey.DerustBlastOil).ShouldBeTrue($"{where(wet)} is not oiled in the same go");
            block[^1].Parts.ShouldBe(wet.Parts, ignoreOrder: true);
        }
        foreach (PlanStep acid in plan.Where(s => s.Key.Step == StepKey.Soak && s.Deed.Bath is BathKind.Citric or BathKind.Acetic))
        {
            plan.ShouldContain(s => s.Key == new DeedId(StepKey.SoakNeutralise, acid.Key.Of, 1), "an acid is neutralised");
        }
    }

    private static void NothingSoaksThatMayNot(IReadOnlyList<PlanStep> plan, PlanQuestion question, Func<PlanStep, string> where)
    {
        foreach (PlanStep soak in plan.Where(s =>
            s.Key.Step is StepKey.Soak or StepKey.SoakLift or StepKey.SoakDry or StepKey.SoakNeutralise or StepKey.SoakOil))
        {
            BathKind bath = plan.First(s => s.Key == new DeedId(StepKey.Soak, soak.Key.Of, 1)).Deed.Bath!.Value;
            foreach (PartId id in soak.Parts)
            {
                PartDef part = question.Tool.Part(id)!;
                (part.Ferrous || part.Joint != Joint.Plain && part.Material == Material.Brass).ShouldBeTrue($"{where(soak)} takes the {part.Name}");
                question.Limit(bath, part).Allowed.ShouldBeTrue($"{where(soak)} takes the {part.Name}");
            }
            (soak.Key.Step != StepKey.Soak || soak.Deed.Lag?.MostMin is null || soak.WaitMin <= soak.Deed.Lag?.MostMin)
                .ShouldBeTrue($"{where(soak)} stays in too long");
        }
    }

    private static void BareEdgesAreCovered(IReadOnlyList<PlanStep> plan, Func<PlanStep, string> where)
    {
        foreach (PlanStep bare in plan.Where(s => Bare.Contains(s.Key.Step)))
        {
            plan[bare.Order].Key.ShouldBe((DeedId)StepKey.EdgeCover, where(bare));
        }
        if (plan.FirstOrDefault(s => s.Key == StepKey.FinalHone) is { } touched)
        {
            (plan.Any(s => s.Key == StepKey.Store && s.Order > touched.Order)).ShouldBeTrue(where(touched));
        }
    }

    private static void CoatsKeepTheirWindow(IReadOnlyList<PlanStep> plan, Func<PlanStep, string> where)
    {
        foreach (PlanStep then in plan.Where(s => s.Key.Step is StepKey.Coat1 or StepKey.Coat2 or StepKey.WoodShellac or StepKey.WoodLacquer
            or StepKey.WoodWipe))
        {
            foreach (Follows after in then.Deed.After.Where(a => a.Lag is { Kind: LagKind.RecoatBefore or LagKind.WipeOff }))
            {
                PlanStep first = plan.Single(s => s.Key == after.Id);
                (after.Lag!.LeastMin > 0 && !(after.Lag.LeastMin > after.Lag.MostMin)).ShouldBeTrue($"{where(first)} has no window for the next coat");
                double between = plan.Where(s => s.Order > first.Order && s.Order < then.Order).Sum(s => s.Minutes.High);
                (after.Lag.MostMin is null || after.Lag.LeastMin + between <= after.Lag.MostMin).ShouldBeTrue($"{where(then)} misses the window");
            }
            (then.Key.Of.Length == 0 && then.Key.Step is StepKey.Coat1 or StepKey.WoodShellac or StepKey.WoodLacquer || then.Deed.After.Any(a =>
                a.Lag is not null))
                .ShouldBeTrue($"{where(then)} waits for no coat");
        }
    }

    private static void FindingsAreAnswered(IReadOnlyList<PlanStep> plan, PlanQuestion question)
    {
        IReadOnlyList<FindingAnswer> answers = FindingAnswers.Of(question, [.. plan.Select(s => s.Deed)]);
        foreach (Found found in question.Findings.Where(f => f.Severity >= 2 && f.Kind != FindingKind.Mark && question.Tool.Part(f.Part) is not null))
        {
            FindingAnswer answer = answers.Single(a => ReferenceEquals(a.Finding, found));
            (answer.By.Count > 0 == answer.WhyNot is null).ShouldBeTrue();
            answer.By.ShouldAllBe(id => plan.Any(s => s.Key == id));
            (answer.WhyNot is null || answer.WhyNot.EndsWith('.')).ShouldBeTrue();
        }
    }

    private static void Lapping(IReadOnlyList<PlanStep> plan, PlanQuestion question)
    {
        if (plan.FirstOrDefault(s => s.Key == StepKey.SoleLap) is { } lap)
        {
            bool bare = SoleWays.IsBare(question);
            (plan.First(s => s.Key == StepKey.Assemble).Order < lap.Order).ShouldBe(!bare, "the last lapping is done assembled, but for a body lapped bare");
            plan.Any(s => s.Key == StepKey.Tension).ShouldBe(question.Tool.HasBed && !bare, "what lies on a bed is lapped under tension");
            plan.Where(s => s.Key == StepKey.Tension).ShouldAllBe(s => s.Order < lap.Order);
            plan.Any(s => s.Key == StepKey.SoleRough).ShouldBe(SoleWays.IsTwice(question));
        }
    }

    private static void Blocks(IReadOnlyList<PlanStep> plan)
    {
        foreach (List<PlanStep> block in plan.Where(s => s.Block is not null).GroupBy(s => (s.Block, s.Key.Of)).Select(g => g.ToList()))
        {
            block.Select(s => s.Order).ShouldBe(Enumerable.Range(block[0].Order, block.Count), $"{block[0].Block} is broken up");
        }
    }

    [Fact]
    public void A_way_taken_is_never_a_closed_one()
    {
        var random = new Random(11);
        for (int i = 0; i < 2000; i++)
        {
            PlanQuestion question = Asking.Random(random);
            foreach (Choice choice in Choices.All.Where(c => c.Asked(question)))
            {
                (Way way, ChosenBy by) = choice.Taken(question);
                way.Blocked(question).ShouldBeNull($"{question.Tool.Id} {question.Aim} {choice.Id} {way.Id} by {by}");
                if (question.TagWays.TryGetValue(choice.Id, out WayId wished) && choice.Find(wished).Blocked(question) is null)
                {
                    way.Id.ShouldBe(wished);
                }
            }
        }
    }
}
