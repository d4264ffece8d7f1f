using Foundling.Core.Aim;
using Foundling.Core.Log;
using Foundling.Core.Papers;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Tags;
using Foundling.Core.Tests.Rod;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Papers;

public sealed class AccountTests
{
    private static Tag Rusty() => new() { Kind = KindIds.MetalBenchPlane, Aim = AimKind.Work,
        Findings = [.. Asking.Rusty.Append(F(PartIds.LeverCap, FindingKind.Seizure, 4)).Select(f => Finding.Of(f, DateTimeOffset.UnixEpoch))] };

    private static PlanQuestion Ask(Tag tag) => For(tag) with { TagWays = Choices.Read(tag.Ways) };

    [Fact]
    public void Only_what_was_done_counts_as_done_and_what_never_came_up_is_not_left_out()
    {
        Tag tag = Rusty();
        tag.Plan(Planner.Plan(Ask(tag)));
        PlanStep first = tag.Steps[0], shock = tag.Steps.First(s => s.OnlyIfNeeded), other = tag.Steps.Last(s => !s.OnlyIfNeeded && s != first);
        shock.Title.ShouldStartWith("If it still sits");
        tag.Set(first.Key, StepState.Done);
        tag.Set(shock.Key, StepState.Skipped, "it moved");
        tag.Set(other.Key, StepState.Skipped, "the owner likes it so");
        var account = Account.Of(tag, LogTotals.OfSums([(first.Key, 12), (null, 5)]), Ask(tag));
        account.Done.Select(s => s.Key).ShouldBe([first.Key]);
        account.LeftOut.Select(s => s.Key).ShouldBe([other.Key]);
        account.MinutesBooked.ShouldBe(17);
        account.PartlyTimed.ShouldBeFalse();
    }

    [Fact]
    public void Time_that_was_booked_on_some_steps_alone_is_said_to_be_partial()
    {
        Tag tag = Rusty();
        tag.Plan(Planner.Plan(Ask(tag)));
        foreach (PlanStep step in tag.Steps.Take(3).ToList())
        {
            tag.Set(step.Key, StepState.Done);
        }
        Account.Of(tag, LogTotals.OfSums([(tag.Steps[0].Key, 12)]), Ask(tag)).ShouldSatisfyAllConditions(a => a.Timed.ShouldBe(1), a =>
            a.PartlyTimed.ShouldBeTrue());
        Account.Of(tag, LogTotals.OfSums([]), Ask(tag)).PartlyTimed.ShouldBeFalse("nothing was booked at all, and that is said in other words");
    }

    [Fact]
    public void A_way_is_named_once_its_steps_are_done_and_no_more_when_the_choice_was_changed_since()
    {
        Tag tag = Rusty();
        tag.Plan(Planner.Plan(Ask(tag)));
        Account.Of(tag, LogTotals.OfSums([]), Ask(tag)).Ways.ShouldBeEmpty("nothing is done yet");
        foreach (PlanStep step in tag.Steps.Where(s => s.Choice == RustWays.Id).ToList())
        {
            tag.Set(step.Key, StepState.Done);
        }
        string way = RustWays.Choice.Take(Ask(tag)).Name;
        Account.Of(tag, LogTotals.OfSums([]), Ask(tag)).Ways.ShouldContain($"Rust comes off by {way}");
        tag.Ways = Choices.Keep([], RustWays.Id, RustWays.Choice.Ways.First(w => w.Id != RustWays.Choice.Take(Ask(tag)).Id
            && !PlanStep.Fresh(Planner.Plan(Ask(tag)
            with { TagWays = Choices.Read([$"{RustWays.Choice.Key}={w.Key}"]) }))
            .Select(s => s.Key).Intersect(tag.Steps.Where(s => s.State == StepState.Done).Select(s => s.Key)).Any()).Id);
        Account.Of(tag, LogTotals.OfSums([]), Ask(tag)).Ways.ShouldAllBe(w => !w.StartsWith("Rust"));
    }
}
