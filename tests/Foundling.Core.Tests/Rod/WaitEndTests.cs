using Foundling.Core.Rod;
using Foundling.Core.Tags;

namespace Foundling.Core.Tests.Rod;

public sealed class WaitEndTests
{
    private static readonly DateTimeOffset Noon = new(2026, 3, 2, 12, 0, 0, TimeSpan.Zero);

    private static Wait Standing(string step, double ready, double? by) =>
        new() { Step = step, StartedAt = Noon, ReadyAt = Noon.AddHours(ready), MustBeOutAt = by is double hours ? Noon.AddHours(hours) : null };

    [Theory]
    [InlineData("soak", true, WaitEnd.Out)]
    [InlineData("coat-1", true, WaitEnd.NextCoat)]
    [InlineData("coat-prime/2", true, WaitEnd.NextCoat)]
    [InlineData("coat-2", false, WaitEnd.Ready)]
    [InlineData("wood-oil", true, WaitEnd.WipeOff)]
    [InlineData("wood-oil/2", true, WaitEnd.WipeOff)]
    [InlineData("wood-wipe", false, WaitEnd.Ready)]
    [InlineData("wood-glue", false, WaitEnd.Ready)]
    [InlineData("next-look", false, WaitEnd.LookAgain)]
    public void A_wait_ends_as_its_step_asks(string step, bool limited, WaitEnd end) => WaitEnds.Of(step, limited).ShouldBe(end);

    [Fact]
    public void A_coat_s_window_holds_the_tool_until_it_opens_and_the_next_coat_ends_it()
    {
        Wait first = Standing("coat-1", 2, 24);
        WaitEnds.Holds(first, Noon.AddHours(1)).ShouldBeTrue();
        WaitEnds.Holds(first, Noon.AddHours(2)).ShouldBeFalse();
        WaitEnds.EndedBy(first, new PlanStep("coat-1", Stage.Coating, "", 1, 1, 1)).ShouldBeFalse();
        WaitEnds.EndedBy(first, new PlanStep("coat-2", Stage.Coating, "", 1, 1, 1)).ShouldBeTrue();
        WaitEnds.EndedBy(first, new PlanStep("coat-mask", Stage.Coating, "", 1, 1, 1)).ShouldBeFalse("masking is no coat");
        WaitEnds.EndedBy(first, new PlanStep("coat-prime", Stage.Coating, "", 1, 1, 1)).ShouldBeFalse("primer lies under it");
        Wait cured = Standing("coat-2", 48, null);
        WaitEnds.Holds(cured, Noon.AddHours(60)).ShouldBeTrue("a person says that it is hard");
        WaitEnds.EndedBy(cured, new PlanStep("coat-2", Stage.Coating, "", 1, 1, 1)).ShouldBeFalse();
    }

    [Fact]
    public void The_bench_offers_what_nothing_holds_up()
    {
        Tag Of(int number, DateOnly? promised, params Wait[] waits) => new() { Number = number, PromisedOn = promised, Waits = [.. waits],
            Steps = [new PlanStep("a", Stage.Wash, "", 1, 1, 1) { State = StepState.Done }, new PlanStep("b", Stage.Wash, "", 1, 1,
            1) { WaitsFor = "a screw" }, new PlanStep("c", Stage.Wash, "", 1, 1, 1)] };
        Tag[] tags = [Of(4, null), Of(3, null, Standing("next-look", 2000, null)), Of(2, null, Standing("soak", 2, 9)), Of(1, null, Standing("coat-1", 2, 24)),
            Of(9, new DateOnly(2026, 3, 5))];
        Bench.Ready(tags, Noon).Select(j => (j.Tag.Number, j.Step.Key)).ShouldBe([(9, "c"), (3, "c"), (4, "c")]);
        Bench.Ready(tags, Noon.AddHours(3)).Select(j => j.Tag.Number).ShouldBe([9, 1, 3, 4], "the next coat may go on now; the bath still waits to be emptied");
    }

    [Fact]
    public void A_look_again_keeps_nothing_and_stands_when_its_week_comes()
    {
        Wait look = Standing("next-look", 24 * 90, null);
        WaitEnds.Holds(look, Noon).ShouldBeFalse();
        WaitEnds.IsFar(look, Noon).ShouldBeTrue();
        WaitEnds.IsFar(look, Noon.AddDays(84)).ShouldBeFalse();
        WaitEnds.IsFar(Standing("wood-dry", 24 * 90, null), Noon).ShouldBeFalse("only looks are put by");
    }
}
