using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Soaks;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Soaks;
using Foundling.Data.Store;

namespace Foundling.Data.Tests;

/// <summary>A bath is mixed, loaded from two tags, watched, emptied and poured away, and the rods of its tools follow.</summary>
public sealed class BathTests : IDisposable
{
    private readonly TestShop _shop = new();

    /// <inheritdoc />
    public void Dispose() => _shop.Dispose();

    private BathBook Baths(FoundlingDb db) => _shop.Baths(db);

    private static StandingBath Tub(BathKind kind = BathKind.Chelating, double? percent = null) => new()
    {
        Name = "the long tub", Kind = kind, Percent = percent, Litres = 20, Container = Container.Box(600, 400, 180),
    };

    private async Task<int> Rusty(FoundlingDb db, KindId kind, params (PartId Part, int Degree)[] rust)
    {
        int number = await _shop.BookIn(t => (t.Kind, t.LengthMm, t.Name) = (kind, null, kind.Value));
        Tag tag = (await _shop.Tags(db).Find(number))!;
        tag.Findings.AddRange(rust.Select(r => Finding.Of(new Found(r.Part, FindingKind.Rust, r.Degree), _shop.Time.GetUtcNow())));
        await _shop.Tags(db).Save(tag);
        await _shop.Rods(db).Aim(tag, AimKind.Work);
        await _shop.Rods(db).Choose(tag, "rust", "chelating");
        await UpToTheSoak(db, tag);
        return number;
    }

    private async Task UpToTheSoak(FoundlingDb db, Tag tag)
    {
        tag.Steps.ShouldContain(s => s.Key.Step == StepKey.Soak, tag.Kind.Value);
        foreach (PlanStep step in tag.Steps.TakeWhile(s => s.Key.Step != StepKey.Soak).ToList())
        {
            await _shop.Rods(db).Finish(tag, step);
        }
    }

    private static async Task<Tag> Again(TestShop shop, int number)
    {
        await using FoundlingDb db = shop.Open();
        return (await shop.Tags(db).Find(number))!;
    }

    private static PlanStep Step(Tag tag, StepKey step) => tag.Steps.First(s => s.Key.Step == step);

    [Fact]
    public async Task Parts_of_two_tags_lie_in_one_bath_and_both_rods_follow()
    {
        await using FoundlingDb db = _shop.Open();
        int plane = await Rusty(db, KindIds.MetalBenchPlane, (PartIds.Body, 3), (PartIds.Frog, 3)),
            drill = await Rusty(db, KindIds.OpenSpanner, (PartId.Of("shank"), 3));
        BathBook baths = Baths(db);
        StandingBath bath = await baths.Mix(Tub());
        bath.Number.ShouldBe(1);
        IReadOnlyList<ToolWaiting> waiting = await baths.Waiting(BathKind.Chelating);
        waiting.Select(w => w.Tag.Number).ShouldBe([plane, drill], ignoreOrder: true);
        waiting.ShouldAllBe(w => w.NotYet == null);
        await baths.PutIn(1, [.. waiting.SelectMany(w => w.Parts).Select(p => p.Part.Key)]);
        LoadHere load = (await baths.Find(1))!.Loads.ShouldHaveSingleItem();
        load.Load.Parts.Select(p => p.Tag).Distinct().Count().ShouldBe(2);
        foreach (int number in new[] { plane, drill })
        {
            Tag tag = await Again(_shop, number);
            Step(tag, StepKey.Soak).State.ShouldBe(StepState.Done);
            Wait wait = tag.Waits.Where(w => w.EndedAt is null && w.EndedBy.Contains(StepKey.SoakLift)).ShouldHaveSingleItem();
            wait.Bath.ShouldBe(1);
            wait.ReadyAt.ShouldBe(load.Times!.Parts.Where(p => p.Part.Tag == number && !p.Early).Max(p => p.At), TimeSpan.FromSeconds(1));
        }
        (await baths.Waiting(null)).ShouldBeEmpty();
        _shop.Time.Advance(TimeSpan.FromHours(8));
        await baths.Look(1, load.Load.Id, new BathNote { Left = 0.1, Colour = LiquidColour.Brown });
        LoadHere seen = (await baths.Find(1))!.Loads[0];
        seen.Times!.ReadyAt.ShouldBeLessThan(load.Times!.ReadyAt, "nine tenths are gone, sooner than reckoned");
        (await Again(_shop, plane)).Waits.First(w => w.EndedAt is null && w.Bath == 1 && w.EndedBy.Contains(StepKey.SoakLift)).ReadyAt
            .ShouldBe(seen.Times.Parts.Where(p => p.Part.Tag == plane && !p.Early).Max(p => p.At), TimeSpan.FromSeconds(1));
        await baths.TakeOut(1, load.Load.Id, []);
        Step(await Again(_shop, plane), StepKey.SoakLift).State.ShouldBe(StepState.Done);
        (await Again(_shop, drill)).Waits.ShouldAllBe(w => w.EndedAt != null || w.Bath == null);
        await baths.Oiled(1, load.Load.Id, null);
        foreach (int number in new[] { plane, drill })
        {
            Step(await Again(_shop, number), StepKey.SoakOil).State.ShouldBe(StepState.Done);
        }
        BathHere after = (await baths.Find(1))!;
        after.Loads.ShouldBeEmpty();
        after.State.Spent(after.Air.Assumptions).ShouldBeGreaterThan(0);
        await baths.Pour(1, "to the waste point");
        (await baths.Standing()).ShouldBeEmpty();
        (await baths.Poured()).ShouldHaveSingleItem().Name.ShouldBe("the long tub");
    }

    [Fact]
    public async Task The_last_step_is_taken_back_on_the_bath_and_on_the_rod()
    {
        await using FoundlingDb db = _shop.Open();
        int number = await Rusty(db, KindIds.OpenSpanner, (PartId.Of("shank"), 3));
        BathBook baths = Baths(db);
        await baths.Mix(Tub());
        LoadNow load = await baths.PutIn(1, [.. (await baths.Waiting(null)).SelectMany(w => w.Parts).Select(p => p.Part.Key)]);
        _shop.Time.Advance(TimeSpan.FromHours(20));
        await baths.TakeOut(1, load.Id, []);
        await baths.Oiled(1, load.Id, null);
        await baths.TakeBack(1);
        Step(await Again(_shop, number), StepKey.SoakOil).State.ShouldBe(StepState.Open);
        Step(await Again(_shop, number), StepKey.SoakLift).State.ShouldBe(StepState.Done);
        await baths.TakeBack(1);
        Step(await Again(_shop, number), StepKey.SoakLift).State.ShouldBe(StepState.Open);
        (await Again(_shop, number)).Waits.ShouldContain(w => w.EndedAt == null && w.Bath == 1, "it stands in the bath again");
        await baths.TakeBack(1);
        Step(await Again(_shop, number), StepKey.Soak).State.ShouldBe(StepState.Open);
        (await baths.Find(1))!.State.Loads.ShouldBeEmpty();
        (await baths.Waiting(null)).ShouldHaveSingleItem().Tag.Number.ShouldBe(number);
        InputException nothing = await Should.ThrowAsync<InputException>(() => baths.TakeBack(1));
        nothing.Sentence.ShouldBe("Nothing has happened to this bath yet.");
    }

    [Fact]
    public async Task Four_soaks_stand_after_a_hard_stop_with_the_same_moments()
    {
        List<(int Bath, DateTimeOffset Ready)> before = [];
        await using (FoundlingDb db = _shop.Open())
        {
            BathBook baths = Baths(db);
            for (int i = 0; i < 4; i++)
            {
                await Rusty(db, KindIds.OpenSpanner, (PartId.Of("shank"), 2 + (i % 2)));
                StandingBath bath = await baths.Mix(Tub());
                await baths.PutIn(bath.Number, [.. (await baths.Waiting(null)).SelectMany(w => w.Parts).Select(p => p.Part.Key)]);
                _shop.Time.Advance(TimeSpan.FromMinutes(37));
            }
            before.AddRange((await baths.Standing()).Select(b => (b.Bath.Number, b.Loads[0].Times!.ReadyAt)));
        }
        // Nobody said goodbye: the next who opens the shop reads what was kept.
        await using FoundlingDb again = _shop.Open();
        (await Baths(again).Standing()).Select(b => (b.Bath.Number, b.Loads[0].Times!.ReadyAt)).ShouldBe(before);
        _shop.Time.Advance(TimeSpan.FromDays(3));
        (await Baths(again).Standing()).Select(b => (b.Bath.Number, b.Loads[0].Times!.ReadyAt)).ShouldBe(before, "moments are absolute");
    }

    [Fact]
    public async Task What_cannot_be_is_refused_in_words_and_nothing_is_kept()
    {
        await using FoundlingDb db = _shop.Open();
        BathBook baths = Baths(db);
        async Task<string> Refused(StandingBath bath) => (await Should.ThrowAsync<InputException>(() => baths.Mix(bath))).Sentence;
        (await Refused(Tub(BathKind.Citric, 120))).ShouldStartWith("120 % is no bath for tools");
        (await Refused(Tub(BathKind.Citric))).ShouldStartWith("Say how strong the acid is to be");
        StandingBath hot = Tub(BathKind.Citric, 5), full = Tub(), none = Tub();
        (hot.WarmC, full.Litres, none.Litres) = (100, 200, 0);
        (await Refused(hot)).ShouldStartWith("Water of 100 °C is too hot");
        (await Refused(full)).ShouldBe("200 L do not fit: up to 20 mm below its rim this container holds 38.4 L.");
        (await Refused(none)).ShouldBe("Say how much liquid is mixed, in litres.");
        (await baths.Standing()).ShouldBeEmpty();
        await Rusty(db, KindIds.MetalBenchPlane, (PartIds.Body, 3));
        StandingBath cup = Tub();
        (cup.Container, cup.Litres) = (Container.Box(120, 90, 80), 0.4);
        await baths.Mix(cup);
        List<string> keys = [.. (await baths.Waiting(null)).SelectMany(w => w.Parts).Select(p => p.Part.Key)];
        (await Should.ThrowAsync<InputException>(() => baths.PutIn(1, keys))).Sentence.ShouldContain("turned end for end, up to 205 mm go under here");
        (await Should.ThrowAsync<InputException>(() => baths.PutIn(1, []))).Sentence.ShouldBe("Tick what goes in.");
        (await Should.ThrowAsync<InputException>(() => baths.PutIn(7, keys))).Sentence.ShouldBe("That bath does not stand here any more.");
        (await baths.Find(1))!.Bath.Events.ShouldBeEmpty();
        (await baths.Waiting(null)).ShouldHaveSingleItem();
    }

    [Fact]
    public async Task A_part_the_bath_would_harm_and_one_whose_turn_it_is_not_stay_out()
    {
        await using FoundlingDb db = _shop.Open();
        int number = await Rusty(db, KindIds.OpenSpanner, (PartId.Of("shank"), 3));
        Tag tag = (await _shop.Tags(db).Find(number))!;
        await _shop.Rods(db).Reopen(tag, Step(tag, StepKey.Wash));
        BathBook baths = Baths(db);
        await baths.Mix(Tub());
        ToolWaiting waiting = (await baths.Waiting(null)).ShouldHaveSingleItem();
        waiting.NotYet.ShouldNotBeNull();
        InputException early = await Should.ThrowAsync<InputException>(() => baths.PutIn(1, [.. waiting.Parts.Select(p => p.Part.Key)]));
        early.Sentence.ShouldStartWith(tag.Label);
        (await Should.ThrowAsync<InputException>(() => baths.Pour(9, null))).Sentence.ShouldBe("That bath does not stand here any more.");
    }

    [Fact]
    public async Task A_scrub_between_two_soaks_is_a_step_of_the_rod_and_is_taken_back_with_it()
    {
        await using FoundlingDb db = _shop.Open();
        int number = await Rusty(db, KindIds.Brace, (PartIds.Frame, 3));
        Step(await Again(_shop, number), StepKey.SoakAgain).State.ShouldBe(StepState.Open, "plate takes two soaks");
        BathBook baths = Baths(db);
        await baths.Mix(Tub());
        LoadNow load = await baths.PutIn(1, [.. (await baths.Waiting(null)).SelectMany(w => w.Parts).Select(p => p.Part.Key)]);
        Wait first = (await Again(_shop, number)).Waits.Single(w => w.EndedAt is null && w.Bath == 1);
        _shop.Time.Advance(TimeSpan.FromHours(6));
        await baths.Look(1, load.Id, new BathNote { Left = 0.9 });
        await baths.TakeBack(1);
        (await Again(_shop, number)).Waits.Single(w => w.EndedAt is null && w.Bath == 1).ReadyAt.ShouldBe(first.ReadyAt, "a look taken back moves nothing");
        await baths.Scrub(1, load.Id);
        Step(await Again(_shop, number), StepKey.SoakAgain).State.ShouldBe(StepState.Done);
        Wait second = (await Again(_shop, number)).Waits.Single(w => w.EndedAt is null && w.Bath == 1);
        second.Step.Step.ShouldBe(StepKey.SoakAgain);
        second.MustBeOutAt!.Value.ShouldBe(_shop.Time.GetUtcNow().AddHours(12), TimeSpan.FromSeconds(1), "its limit begins anew");
        await baths.TakeBack(1);
        Step(await Again(_shop, number), StepKey.SoakAgain).State.ShouldBe(StepState.Open);
        (await Again(_shop, number)).Waits.Single(w => w.EndedAt is null && w.Bath == 1).Step.Step.ShouldBe(StepKey.Soak, "the first soak stands again");
    }

    [Fact]
    public async Task What_was_seen_becomes_a_finding_when_it_is_oiled_and_goes_with_it()
    {
        await using FoundlingDb db = _shop.Open();
        int number = await Rusty(db, KindIds.MetalBenchPlane, (PartIds.Body, 3), (PartIds.Iron, 2));
        BathBook baths = Baths(db);
        await baths.Mix(Tub());
        LoadNow load = await baths.PutIn(1, [.. (await baths.Waiting(null)).Single().Parts.Select(p => p.Part.Key)]);
        _shop.Time.Advance(TimeSpan.FromHours(9));
        await baths.Look(1, load.Id, new BathNote { LeftOf = load.Parts.ToDictionary(p => p.Key, p => p.Part == PartIds.Iron ? 0 : 0.1) });
        (await Again(_shop, number)).Findings.ShouldAllBe(f => f.Round == Round.AsFound, "it lies in the bath still");
        await baths.TakeOut(1, load.Id, []);
        await baths.Oiled(1, load.Id, null, [$"{number}/{PartIds.Iron}"]);
        Tag tag = await Again(_shop, number);
        tag.Standing().Where(f => f.Kind == FindingKind.Rust).Select(f => (f.Part, f.Severity)).ShouldBe([(PartIds.Body, 1), (PartIds.Iron, 1)],
            ignoreOrder: true);
        tag.Standing().First(f => f.Part == PartIds.Iron).Note.ShouldBe("out of the long tub, no rust left; flash rust: oiled too late out of the long tub");
        // The plan made anew knows it, and nothing that was done is asked for again.
        HashSet<DeedId> before = [.. tag.Steps.Select(s => s.Key)], done = [.. tag.Steps.Where(s => s.State == StepState.Done).Select(s => s.Key)];
        Tag again = (await _shop.Tags(db).Find(number))!;
        await _shop.Rods(db).Aim(again, AimKind.Work);
        again.Steps.Where(s => s.State == StepState.Done).Select(s => s.Key).ShouldBe(done, ignoreOrder: true);
        again.Steps.Where(s => s.State == StepState.Open && s.Key.Step == StepKey.Soak).ShouldBeEmpty();
        again.Steps.Where(s => s.State == StepState.Open).Select(s => s.Key).ShouldContain(k => before.Contains(k));
        await baths.TakeBack(1);
        (await Again(_shop, number)).Findings.ShouldAllBe(f => f.Round == Round.AsFound, "taken back with the oil");
    }

    [Fact]
    public async Task A_second_soak_says_it_anew_and_taken_back_the_first_stands()
    {
        await using FoundlingDb db = _shop.Open();
        int number = await Rusty(db, KindIds.OpenSpanner, (PartId.Of("shank"), 3));
        BathBook baths = Baths(db);
        await baths.Mix(Tub());
        LoadNow load = await baths.PutIn(1, [.. (await baths.Waiting(null)).SelectMany(w => w.Parts).Select(p => p.Part.Key)]);
        Finding? Seen(Tag tag) => tag.Findings.Find(f => f.Round == Round.Finished);
        string key = load.Parts[0].Key;
        await baths.Look(1, load.Id, new BathNote { LeftOf = new Dictionary<string, double> { [key] = 0.4 } });
        await baths.TakeOut(1, load.Id, []);
        await baths.Oiled(1, load.Id, null);
        Seen(await Again(_shop, number))!.Severity.ShouldBe(2);
        Tag tag = (await _shop.Tags(db).Find(number))!;
        foreach (PlanStep step in tag.Steps.Where(s => s.Block == Block.OutOfTheBath || s.Key.Step == StepKey.Soak).Reverse().ToList())
        {
            await _shop.Rods(db).Reopen(tag, step);
        }
        LoadNow second = await baths.PutIn(1, [key]);
        await baths.Look(1, second.Id, new BathNote { LeftOf = new Dictionary<string, double> { [key] = 0 } });
        await baths.TakeOut(1, second.Id, []);
        await baths.Oiled(1, second.Id, null);
        Seen(await Again(_shop, number))!.Severity.ShouldBe(0);
        await baths.TakeBack(1);
        Seen(await Again(_shop, number))!.Severity.ShouldBe(2);
    }

    [Fact]
    public async Task What_is_kept_out_of_a_load_is_not_forgotten()
    {
        await using FoundlingDb db = _shop.Open();
        int number = await Rusty(db, KindIds.MetalBenchPlane, (PartIds.Body, 3), (PartIds.Iron, 3));
        BathBook baths = Baths(db);
        await baths.Mix(Tub());
        IReadOnlyList<PartWaiting> both = (await baths.Waiting(null)).ShouldHaveSingleItem().Parts;
        both.Count.ShouldBeGreaterThan(1);
        await baths.PutIn(1, [both[0].Part.Key]);
        (await _shop.Tags(db).Log(number, 0, 50)).ShouldContain(e => e.Kind == EventKind.Note
            && e.Text.StartsWith("Kept out of the long tub, and still to be done by hand:",
            StringComparison.Ordinal) && e.Text.Contains(both[1].Part.Name, StringComparison.Ordinal));
    }
}
