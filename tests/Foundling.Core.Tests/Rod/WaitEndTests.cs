using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Log.Older;
using Foundling.Core.Rod;
using Foundling.Core.Tags;

namespace Foundling.Core.Tests.Rod;

public sealed class WaitEndTests
{
    private static readonly DateTimeOffset Noon = new(2026, 3, 2, 12, 0, 0, TimeSpan.Zero);

    private static Wait Standing(StepKey step, Lag lag, double ready, double? by) => new()
    {
        Step = step, Kind = lag.Kind, EndedBy = [.. lag.EndedBy ?? []], StartedAt = Noon, ReadyAt = Noon.AddHours(ready),
        MustBeOutAt = by is double hours ? Noon.AddHours(hours) : null,
    };

    private static Wait Bath => Standing(StepKey.Soak, Lag.Bath(120, 540, null, StepKey.SoakLift), 2, 9);

    private static Wait FirstCoat => Standing(StepKey.Coat1, Lag.Recoat(120, 1440, StepKey.Coat2), 2, 24);

    private static Wait Look(double hours) => Standing(StepKey.NextLook, Lag.LookAgain(hours * 60), hours, null);

    [Theory]
    [InlineData("soak", true, LagKind.OutBy)]
    [InlineData("coat-1", true, LagKind.RecoatBefore)]
    [InlineData("coat-prime/2", true, LagKind.RecoatBefore)]
    [InlineData("coat-2", false, LagKind.Cure)]
    [InlineData("wood-oil", true, LagKind.WipeOff)]
    [InlineData("wood-oil/2", true, LagKind.WipeOff)]
    [InlineData("wood-wipe", false, LagKind.Cure)]
    [InlineData("wood-glue", false, LagKind.Cure)]
    [InlineData("next-look", false, LagKind.LookAgain)]
    public void A_wait_of_an_older_shop_ends_as_its_step_asks(string step, bool limited, LagKind end) =>
        OlderStep.LagOf(OlderStep.IdOf(step)!.Value, limited).ShouldBe(end);

    [Fact]
    public void A_wait_begins_with_what_its_deed_says()
    {
        Deed deed = Rods.Deed(StepKey.Soak, Stage.Derust, "Into the bath") with { Lag = Lag.Bath(120, 540, 60, StepKey.SoakLift) };
        Wait wait = Waits.After(deed, [deed], Noon, TimeZoneInfo.Utc, Assumptions.Standard).ShouldHaveSingleItem();
        (wait.Kind, wait.ReadyAt, wait.MustBeOutAt, wait.LookInAt).ShouldBe((LagKind.OutBy, Noon.AddHours(2), Noon.AddHours(9), Noon.AddHours(1)));
        Waits.After(deed with { Lag = null }, [deed], Noon, TimeZoneInfo.Utc, Assumptions.Standard).ShouldBeEmpty();
        Waits.EndedBy(wait, Rods.Deed(StepKey.SoakLift)).ShouldBeTrue();
        Waits.EndedBy(wait, Rods.Deed(StepKey.SoakDry)).ShouldBeFalse();
    }

    [Fact]
    public void A_coat_s_window_holds_the_tool_until_it_opens_and_the_next_coat_ends_it()
    {
        Waits.Holds(FirstCoat, Noon.AddHours(1)).ShouldBeTrue();
        Waits.Holds(FirstCoat, Noon.AddHours(2)).ShouldBeFalse();
        Waits.EndedBy(FirstCoat, Rods.Deed(StepKey.Coat1)).ShouldBeFalse();
        Waits.EndedBy(FirstCoat, Rods.Deed(StepKey.Coat2)).ShouldBeTrue();
        Waits.EndedBy(FirstCoat, Rods.Deed(StepKey.Coat2) with { Id = new DeedId(StepKey.Coat2, Piece: 2) })
            .ShouldBeTrue("a piece of the next coat is the next coat");
        Waits.EndedBy(FirstCoat, Rods.Deed(StepKey.CoatMask)).ShouldBeFalse("masking is no coat");
        Waits.EndedBy(FirstCoat, Rods.Deed(StepKey.CoatPrime)).ShouldBeFalse("primer lies under it");
        Wait cured = Standing(StepKey.Coat2, Lag.Cure(48 * 60), 48, null);
        Waits.Holds(cured, Noon.AddHours(60)).ShouldBeTrue("a person says that it is hard");
        Waits.EndedBy(cured, Rods.Deed(StepKey.Coat2)).ShouldBeFalse();
    }

    [Fact]
    public void The_bench_offers_what_nothing_holds_up()
    {
        static Tag Of(int number, DateOnly? promised, params Wait[] waits)
        {
            Tag tag = new Tag { Number = number, PromisedOn = promised, Waits = [.. waits] }.Plan(
                [Rods.Deed(StepKey.Photos), Rods.Deed(StepKey.Wash) with { WaitsFor = "a screw" }, Rods.Deed(StepKey.WashDust)]);
            tag.Set(StepKey.Photos, StepState.Done);
            return tag;
        }
        Tag[] tags = [Of(4, null), Of(3, null, Look(2000)), Of(2, null, Bath), Of(1, null, FirstCoat), Of(9, new DateOnly(2026, 3, 5))];
        Core.Bench.Jobs.Ready(tags, Asking.Shop, Noon).Select(j => (j.Tag.Number, j.Step.Key)).ShouldBe([(9, StepKey.WashDust), (3, StepKey.WashDust),
            (4, StepKey.WashDust)]);
        Core.Bench.Jobs.Ready(tags, Asking.Shop, Noon.AddHours(3)).Select(j => j.Tag.Number).ShouldBe([9, 1, 3, 4],
            "the next coat may go on now; the bath still waits to be emptied");
    }

    [Fact]
    public void A_look_again_keeps_nothing_and_stands_when_its_week_comes()
    {
        Wait look = Look(24 * 90);
        Waits.Holds(look, Noon).ShouldBeFalse();
        Waits.IsFar(look, Noon).ShouldBeTrue();
        Waits.IsFar(look, Noon.AddDays(84)).ShouldBeFalse();
        Waits.IsFar(Standing(StepKey.WoodDry, Lag.Cure(24 * 90 * 60), 24 * 90, null), Noon).ShouldBeFalse("only looks are put by");
    }
}
