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
        Wait cured = Standing("coat-2", 48, null);
        WaitEnds.Holds(cured, Noon.AddHours(60)).ShouldBeTrue("a person says that it is hard");
        WaitEnds.EndedBy(cured, new PlanStep("coat-2", Stage.Coating, "", 1, 1, 1)).ShouldBeFalse();
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
