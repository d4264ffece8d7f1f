using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Store;

namespace Foundling.Data.Tests;

/// <summary>What stands after a step, and what it is for.</summary>
public sealed class WaitTests : IDisposable
{
    private readonly TestShop _shop = new();

    /// <inheritdoc />
    public void Dispose() => _shop.Dispose();

    private async Task<Tag> Planned(FoundlingDb db)
    {
        Tag tag = (await _shop.Tags(db).Find(await _shop.BookIn()))!;
        await _shop.Rods(db).Aim(tag, AimKind.Work);
        return tag;
    }

    [Fact]
    public async Task Oil_stands_for_its_wipe_off_and_dries_only_after_it()
    {
        await using FoundlingDb db = _shop.Open();
        Tag tag = await Planned(db);
        await _shop.Rods(db).Choose(tag, "wood", "oil");
        PlanStep oil = tag.Steps.First(s => s.Key == StepKey.WoodOil), wipe = tag.Steps.First(s => s.Key == StepKey.WoodWipe);
        wipe.Order.ShouldBeGreaterThan(oil.Order);
        await _shop.Rods(db).Finish(tag, oil);
        Wait window = tag.Waits.ShouldHaveSingleItem();
        window.Kind.ShouldBe(LagKind.WipeOff);
        (window.MustBeOutAt!.Value - window.StartedAt).TotalMinutes.ShouldBeInRange(10, 60);
        Waits.Holds(window, window.StartedAt).ShouldBeTrue("it has not stood long enough");
        Waits.Holds(window, window.ReadyAt).ShouldBeFalse("the cloth is wanted now");
        await _shop.Rods(db).Finish(tag, wipe);
        window.EndedAt.ShouldNotBeNull();
        Wait drying = tag.Waits.Single(w => w.EndedAt is null);
        (drying.Step, drying.Kind).ShouldBe(((DeedId)StepKey.WoodWipe, LagKind.Cure));
        drying.What.ShouldBe("Oil on the wood, drying");
        (drying.ReadyAt - drying.StartedAt).TotalHours.ShouldBeGreaterThan(12);
    }

    [Fact]
    public async Task The_next_look_stands_comes_up_and_sets_the_one_after_it()
    {
        await using FoundlingDb db = _shop.Open();
        Tag tag = await Planned(db);
        foreach (PlanStep step in tag.Steps.ToList())
        {
            await _shop.Rods(db).Finish(tag, step);
        }
        tag.Status.ShouldBe(TagStatus.Done);
        Wait look = (await _shop.Tags(db).Standing()).Select(s => s.Wait).Single(w => w.Kind == LagKind.LookAgain);
        (look.ReadyAt - look.StartedAt).TotalDays.ShouldBeInRange(85, 190);
        Waits.IsFar(look, _shop.Time.GetUtcNow()).ShouldBeTrue();
        _shop.Time.Advance(look.ReadyAt - look.StartedAt);
        Waits.IsFar(look, _shop.Time.GetUtcNow()).ShouldBeFalse("its day has come");
        await _shop.Rods(db).EndWait(tag, look.Id);
        await _shop.Rods(db).EndWait(tag, look.Id);
        Wait next = tag.Waits.Single(w => w.EndedAt is null && w.Kind == LagKind.LookAgain);
        (next.ReadyAt - next.StartedAt).ShouldBe(look.ReadyAt - look.StartedAt);
        tag.Status = TagStatus.Left;
        await _shop.Rods(db).EndWait(tag, next.Id);
        tag.Waits.ShouldNotContain(w => w.EndedAt == null && w.Kind == LagKind.LookAgain, "it has left the shop");
        tag.Log.Count(e => e.Kind == EventKind.LookedIn && e.Step == look.Step).ShouldBe(2, "each look was an event, a second click none");
    }

    [Fact]
    public async Task What_a_step_uses_up_is_noted_once_when_it_is_done()
    {
        await using FoundlingDb db = _shop.Open();
        Tag tag = await Planned(db);
        PlanStep step = tag.Steps.First(s => s.Deed.UsesUp.Any());
        Need[] uses = [.. step.Deed.UsesUp.OrderBy(n => n.Name)];
        async Task<Need[]> Used() => [.. (await _shop.Tags(db).Used(tag.Number, Assumptions.Standard)).OrderBy(n => n.Name)];
        (await Used()).ShouldBeEmpty();
        await _shop.Rods(db).Finish(tag, step);
        await _shop.Rods(db).Finish(tag, tag.Step(step.Key)!);
        (await Used()).ShouldBe(uses);
        _shop.Time.Advance(TimeSpan.FromMinutes(1));
        await _shop.Rods(db).Reopen(tag, tag.Step(step.Key)!);
        (await Used()).ShouldBeEmpty("it is not done any more");
        _shop.Time.Advance(TimeSpan.FromMinutes(1));
        await _shop.Rods(db).Finish(tag, tag.Step(step.Key)!);
        (await Used()).ShouldBe(uses);
        (await _shop.Tags(db).Log(tag.Number, 0, 50)).ShouldNotContain(e => e.Kind == EventKind.UsedUp, "amounts stand in a list of their own");
    }

    [Fact]
    public async Task What_comes_out_of_the_bath_stands_no_more()
    {
        int number = await _shop.BookIn(t => t.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = PartIds.Body, Kind = FindingKind.Rust, Severity = 2 }));
        await using FoundlingDb db = _shop.Open();
        Tag tag = (await _shop.Tags(db).Find(number))!;
        await _shop.Rods(db).Aim(tag, AimKind.Work);
        await _shop.Rods(db).Finish(tag, tag.Steps.First(s => s.Key == StepKey.Soak));
        tag.Waits.Single().Kind.ShouldBe(LagKind.OutBy);
        await _shop.Rods(db).Finish(tag, tag.Steps.First(s => s.Key == StepKey.SoakLift));
        tag.Waits.Single(w => w.Step == StepKey.Soak).EndedAt.ShouldNotBeNull();
    }
}
