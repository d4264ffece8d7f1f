using CsCheck;
using Foundling.Core.Aim;
using Foundling.Core.Bench;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>The order rules bind what is done as they bind what is moved.</summary>
public sealed class OrderTests
{
    private static readonly DateTimeOffset Noon = new(2026, 3, 2, 12, 0, 0, TimeSpan.Zero);

    private static Tag Planned(PlanQuestion question) => new Tag { Kind = question.Tool.Id, Aim = question.Aim }.Plan(Planner.Plan(question));

    private static void Done(Tag tag, DeedId id, DateTimeOffset at)
    {
        Deed deed = tag.Step(id)!.Deed;
        tag.Happened(BenchEvent.New(at, EventKind.Done, deed.Title, id));
        tag.Waits.FindAll(w => Waits.EndedBy(w, deed)).ForEach(w => w.EndedAt = at);
        tag.Waits.AddRange(Waits.After(deed, tag.Steps.Select(s => s.Deed), at, TimeZoneInfo.Utc, Assumptions.Standard));
    }

    [Fact]
    public void What_must_come_first_is_named_with_its_reason()
    {
        Tag tag = Planned(Ask(AimKind.Work, Rusty));
        Order.Forbids(tag, tag.Step(StepKey.Soak)!, Noon).ShouldNotBeNull().ShouldContain("comes first");
        Order.Forbids(tag, tag.Step(StepKey.Photos)!, Noon).ShouldBeNull();
        Order.Next(tag, Asking.Shop, Noon)!.Key.ShouldBe((DeedId)StepKey.Photos);
    }

    [Fact]
    public void Wood_is_worked_while_iron_soaks_and_nothing_touches_what_is_in_the_bath()
    {
        Tag tag = Planned(Ask(AimKind.Work, [.. Rusty.Where(f => f is not { Kind: FindingKind.Rust, Severity: > 2 }), F(PartIds.Body, FindingKind.Rust,
            2)]) with
        {
            TemperatureC = 20,
        });
        foreach (PlanStep step in tag.Steps.TakeWhile(s => s.Key != StepKey.Soak).ToList())
        {
            Done(tag, step.Key, Noon.AddDays(-1));
        }
        Done(tag, StepKey.Soak, Noon);
        DateTimeOffset later = Noon.AddMinutes(10);
        PlanStep next = Order.Next(tag, Asking.Shop, later).ShouldNotBeNull("there is wood to work");
        next.Parts.ShouldNotBeEmpty();
        next.Parts.ShouldAllBe(p => !tag.Step(StepKey.Soak)!.Parts.Contains(p));
        Order.Forbids(tag, tag.Step(StepKey.SoakLift)!, later).ShouldNotBeNull().ShouldContain("not ready");
        List<PlanStep> free = [.. tag.Steps.Where(s => s.State == StepState.Open && Order.Forbids(tag, s, later) is null)];
        free.ShouldContain(s => s.Key == StepKey.WoodFind || s.Key == StepKey.WoodGlue);
        HashSet<PartId> inBath = [.. tag.Step(StepKey.Soak)!.Parts];
        free.Where(s => s.Key != StepKey.SoakLift && s.Deed.Kind != DeedKind.Look).ShouldAllBe(s => s.Parts.Count > 0 && !s.Parts.Any(inBath.Contains));
        // The primer or the coat of a body that lies in the bath is refused.
        tag.Steps.Where(s => s.Stage == Stage.Coating).ShouldAllBe(s => Order.Forbids(tag, s, later) != null);
        DateTimeOffset ready = tag.Waits.Single(w => w.EndedAt is null && w.Kind == LagKind.OutBy).ReadyAt;
        Order.Forbids(tag, tag.Step(StepKey.SoakLift)!, ready).ShouldBeNull("its time has come");
        Done(tag, StepKey.SoakLift, ready);
        Order.Next(tag, Asking.Shop, ready)!.Key.ShouldBe((DeedId)StepKey.SoakDry, "the block goes on without a break");
    }

    [Fact]
    public void A_coat_is_not_painted_over_before_its_window_and_glue_not_worked_before_it_has_cured()
    {
        Tag tag = new Tag().Plan(
        [
            Rods.Deed(StepKey.Coat1, Stage.Coating, "First coat") with { Parts = [PartIds.Body], Lag = Lag.Recoat(240, 1440, StepKey.Coat2) },
            Rods.Deed(StepKey.Coat2, Stage.Coating, "Second coat") with
            {
                Parts = [PartIds.Body], After = [new Follows(StepKey.Coat1, "inside the recoat window", Lag.Recoat(240, 1440, StepKey.Coat2))],
            },
            Rods.Deed(StepKey.WoodOil, Stage.Wood, "Oil the tote") with { Parts = [PartIds.Tote] },
        ]);
        Done(tag, StepKey.Coat1, Noon);
        tag.Waits.Single().EndedBy.ShouldBe([StepKey.Coat2]);
        Order.Forbids(tag, tag.Step(StepKey.Coat2)!, Noon.AddHours(1)).ShouldNotBeNull().ShouldContain("not ready");
        Order.Forbids(tag, tag.Step(StepKey.Coat2)!, Noon.AddHours(5)).ShouldBeNull("the window is open");
        Order.Forbids(tag, tag.Step(StepKey.WoodOil)!, Noon.AddHours(1)).ShouldBeNull();
    }

    [Fact]
    public void A_step_for_a_case_that_never_came_up_keeps_nothing_back()
    {
        Tag tag = Planned(Ask(KindIds.MetalBenchPlane, AimKind.Work, F(PartIds.LeverCapScrew, FindingKind.Seizure, 3)));
        foreach (PlanStep step in tag.Steps.TakeWhile(s => s.Key != StepKey.Apart).Where(s => !s.OnlyIfNeeded).ToList())
        {
            Done(tag, step.Key, Noon.AddDays(-2));
        }
        tag.Waits.Clear();
        tag.Steps.ShouldContain(s => s.OnlyIfNeeded && s.State == StepState.Open);
        Order.Forbids(tag, tag.Step(StepKey.Apart)!, Noon).ShouldBeNull();
    }

    [Theory]
    [InlineData(2450)]
    public void A_rod_that_once_kept_its_follower_back_does_so_no_more(int seed) => Follow(Asking.Random(new Random(seed)));

    [Fact]
    public void Whoever_follows_the_rod_is_never_kept_back_by_a_rule() => Gen.Int[0, 4000].Sample(seed => Follow(Asking.Random(new Random(seed))), iter: 200,
        seed: "0N0XIzNsQ0O2");

    private static void Follow(PlanQuestion question)
    {
        Tag tag = Planned(question);
        DateTimeOffset at = Noon;
        foreach (PlanStep step in tag.Steps.ToList())
        {
            at = at.AddDays(40);
            tag.Waits.FindAll(w => w.Kind != LagKind.OutBy).ForEach(w => w.EndedAt ??= at);
            string? forbidden = Order.Forbids(tag, step, at);
            forbidden.ShouldBeNull($"{tag.Kind} {tag.Aim}: {step.Key}: {forbidden}");
            Done(tag, step.Key, at);
        }
    }
}
