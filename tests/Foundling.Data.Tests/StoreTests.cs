using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Origin;
using Foundling.Core.Rod;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Reference;
using Foundling.Data.Shop;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Tests;

public sealed class StoreTests : IDisposable
{
    private readonly TestShop _shop = new();

    public void Dispose() => _shop.Dispose();

    [Fact]
    public void Migrations_say_the_same_as_the_model()
    {
        using FoundlingDb db = _shop.Open();
        db.Database.HasPendingModelChanges().ShouldBeFalse();
    }

    [Fact]
    public void Writes_are_made_to_survive_a_power_cut()
    {
        using FoundlingDb db = _shop.Open();
        db.Database.OpenConnection();
        string Ask(string pragma)
        {
            using System.Data.Common.DbCommand command = db.Database.GetDbConnection().CreateCommand();
            command.CommandText = pragma;
            return command.ExecuteScalar()!.ToString()!;
        }
        Ask("PRAGMA journal_mode").ShouldBe("wal");
        Ask("PRAGMA synchronous").ShouldBe("2");
        Ask("PRAGMA foreign_keys").ShouldBe("1");
    }

    [Fact]
    public async Task Numbers_are_given_in_order()
    {
        (await _shop.BookIn()).ShouldBe(1);
        (await _shop.BookIn(t => t.Number = 41)).ShouldBe(41);
        (await _shop.BookIn()).ShouldBe(42);
        Tag.LabelOf(42).ShouldBe("F-0042");
    }

    [Fact]
    public async Task Two_writers_do_not_overwrite_one_another()
    {
        int number = await _shop.BookIn();
        await using FoundlingDb one = _shop.Open(), two = _shop.Open();
        Tag first = (await _shop.Tags(one).Find(number))!, second = (await _shop.Tags(two).Find(number))!;
        first.Story = "mine";
        second.Story = "yours";
        await _shop.Tags(one).Save(first);
        await Should.ThrowAsync<DbUpdateConcurrencyException>(() => _shop.Tags(two).Save(second));
    }

    [Fact]
    public async Task The_shelf_is_searched_by_number_and_by_words_as_they_stand()
    {
        await _shop.BookIn(t => t.Name = "100 % brass");
        await _shop.BookIn(t => t.Owner = "Maud");
        await using FoundlingDb db = _shop.Open();
        async Task<int> Found(string text) => (await _shop.Tags(db).Shelf(text, null, 0, 10)).All;
        (await Found("F-0002")).ShouldBe(1);
        (await Found("maud")).ShouldBe(1);
        (await Found("% br")).ShouldBe(1);
        (await Found("%")).ShouldBe(1);
        (await Found("_")).ShouldBe(0);
        (await Found("")).ShouldBe(2);
    }

    [Fact]
    public async Task Choosing_an_aim_makes_a_rod_and_changing_it_keeps_what_is_done()
    {
        int number = await _shop.BookIn(t => t.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = PartIds.Body, Kind = FindingKind.Rust, Severity = 3 }));
        await using (FoundlingDb db = _shop.Open())
        {
            Tag tag = (await _shop.Tags(db).Find(number))!;
            await _shop.Rods(db).Aim(tag, AimKind.Work);
            await _shop.Rods(db).Finish(tag, tag.Steps[0]);
        }
        await using (FoundlingDb db = _shop.Open())
        {
            Tag tag = (await _shop.Tags(db).Find(number))!;
            tag.Steps.Count.ShouldBeGreaterThan(15);
            tag.Steps[0].State.ShouldBe(StepState.Done);
            await _shop.Rods(db).Aim(tag, AimKind.Keep);
        }
        await using (FoundlingDb db = _shop.Open())
        {
            Tag tag = (await _shop.Tags(db).Find(number))!;
            tag.Steps[0].State.ShouldBe(StepState.Done);
            tag.Steps.ShouldNotContain(s => s.Key == StepKey.Soak);
            tag.Steps.Select(s => s.Order).ShouldBe(Enumerable.Range(1, tag.Steps.Count));
        }
    }

    [Fact]
    public async Task A_finished_soak_stands_with_its_times()
    {
        int number = await _shop.BookIn(t => t.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = PartIds.Body, Kind = FindingKind.Rust, Severity = 2 }));
        await using FoundlingDb db = _shop.Open();
        Tag tag = (await _shop.Tags(db).Find(number))!;
        await _shop.Rods(db).Aim(tag, AimKind.Work);
        PlanStep soak = tag.Steps.First(s => s.Key == StepKey.Soak);
        await _shop.Rods(db).Finish(tag, soak);
        await _shop.Rods(db).Finish(tag, soak);
        Wait wait = tag.Waits.ShouldHaveSingleItem();
        wait.StartedAt.ShouldBe(_shop.Time.GetUtcNow());
        wait.LookInAt!.Value.ShouldBeGreaterThan(wait.StartedAt);
        wait.MustBeOutAt.ShouldBe(wait.StartedAt.AddHours(30));
        tag.Log.Select(l => l.Kind).ShouldBe([EventKind.Done, EventKind.UsedUp, EventKind.WaitBegun]);
    }

    [Fact]
    public async Task One_clock_runs_and_outlives_the_process()
    {
        int number = await _shop.BookIn();
        await using (FoundlingDb db = _shop.Open())
        {
            await _shop.Rods(db).Aim((await _shop.Tags(db).Find(number))!, AimKind.Work);
            await _shop.Clock(db).Start(number, StepKey.Photos);
        }
        _shop.Time.Advance(TimeSpan.FromMinutes(12));
        await using (FoundlingDb db = _shop.Open())
        {
            var clock = _shop.Clock(db);
            (await clock.Running())!.Step.ShouldBe((DeedId)StepKey.Photos);
            await clock.Start(number, StepKey.Photos);
            await clock.Start(number, StepKey.Wash);
        }
        _shop.Time.Advance(TimeSpan.FromMinutes(7));
        await using (FoundlingDb db = _shop.Open())
        {
            var clock = _shop.Clock(db);
            (await clock.Stop())!.Minutes!.Value.ShouldBe(7, 1e-6);
            (await clock.Stop()).ShouldBeNull();
            Tag tag = (await _shop.Tags(db).Find(number))!;
            IReadOnlyDictionary<DeedId, double> spent = (await _shop.Tags(db).Booked(number)).ByStep;
            await _shop.Tags(db).ReadLog(tag);
            spent[StepKey.Photos].ShouldBe(12, 1e-6);
            spent[StepKey.Wash].ShouldBe(7, 1e-6);
            tag.Log.Count(l => l.Kind == EventKind.Started).ShouldBe(2);
        }
    }

    [Fact]
    public async Task The_clock_refuses_what_is_not_there()
    {
        int number = await _shop.BookIn();
        await using FoundlingDb db = _shop.Open();
        var clock = _shop.Clock(db);
        (await Should.ThrowAsync<InputException>(() => clock.Start(999, StepKey.Photos))).ErrorKey.ShouldBe("unknown_tag");
        (await Should.ThrowAsync<InputException>(() => clock.Start(number, new DeedId(StepKey.Own, "1")))).ErrorKey.ShouldBe("unknown_step");
        (await clock.Running()).ShouldBeNull();
    }

    [Fact]
    public async Task A_whole_tag_comes_back_as_it_was_kept()
    {
        DateTimeOffset at = _shop.Time.GetUtcNow().AddTicks(1234567);
        int number = await _shop.BookIn(t =>
        {
            t.Price = 12.5m;
            t.Built = t.Built.Adding("brass fence", Material.Brass, PartFinish.Bare, PartIds.Body)
                .With(FeatureIds.Sole, FormIds.Corrugated);
            t.Looks.Add(new Look { Id = Guid.NewGuid(), Order = 1, Trait = "side_wing", Variant = "peaked", Confidence = Confidence.Likely, At = at });
            t.Looks.Add(new Look { Id = Guid.NewGuid(), Order = 2, Part = "body", Mark = MarkKind.PatentGranted, IssueYear = 1911, Reading = "Patent of 1911",
                At = at });
            t.Proofs.Add(new ProofRecord { Id = Guid.NewGuid(), At = at, ReadingsMm = [0.03, 0.031, 0.029], TargetMm = 0.05, ResolutionMm = 0.001 });
        });
        await using FoundlingDb db = _shop.Open();
        Tag tag = (await _shop.Tags(db).Find(number))!;
        tag.Price.ShouldBe(12.5m);
        tag.Tool().Part(PartId.Of("added_1"))!.Name.ShouldBe("brass fence");
        tag.Tool().Is(FormIds.Corrugated).ShouldBeTrue();
        tag.Looks[0].At.ShouldBe(at);
        tag.Looks[1].ToObservation().IssueYear.ShouldBe(1911);
        tag.Proofs[0].Verdict().ShouldBe("met");
    }

    [Fact]
    public void The_shipped_tables_are_read()
    {
        ReferenceData.Book.Lines.Count.ShouldBeGreaterThanOrEqualTo(6);
        ReferenceData.Book.LinesFor(KindIds.MetalBenchPlane).First().Variants.Count.ShouldBeGreaterThanOrEqualTo(12);
        ReferenceData.Book.Lines.SelectMany(l => l.Variants.Keys).ShouldAllBe(t => ReferenceData.Book.Traits.Any(x => x.Id == t));
        ReferenceData.Book.Lines.ShouldAllBe(l => l.Variants.Count >= 10 && l.Source != null && l.Note != null);
        ReferenceData.Book.Lines.SelectMany(l => l.Kinds!).Select(k => ToolCatalogue.Kind(KindId.Of(k)).Family).Distinct().Count()
            .ShouldBeGreaterThanOrEqualTo(4);
        var empty = new PatternBook([], []);
        empty.Join(ReferenceData.Book).Lines.Count.ShouldBe(ReferenceData.Book.Lines.Count);
        ReferenceData.Baths.Rules.Count.ShouldBeGreaterThan(60);
        IssueYears.Of(1_380_000, ReferenceData.Marks.Patents).ShouldBe(1921);
        foreach (Trait trait in ReferenceData.Book.Traits)
        {
            trait.Variants.ShouldAllBe(v => trait.DrawingOf(v) != null && trait.VariantTitle(v) != "");
        }
    }

    [Fact]
    public void Brass_and_wood_stay_out_of_acid()
    {
        ToolKind plane = ToolCatalogue.Kind(KindIds.MetalBenchPlane);
        ReferenceData.Baths.For(Core.Baths.BathKind.Citric, plane.Part(PartIds.Tote)!).Allowed.ShouldBeFalse();
        ReferenceData.Baths.For(Core.Baths.BathKind.Citric, plane.Part(PartIds.CapIron)!).Allowed.ShouldBeFalse();
        ReferenceData.Baths.For(Core.Baths.BathKind.Citric, plane.Part(PartIds.Adjuster)!).OutByHours.ShouldBe(0.25);
        Core.Baths.BathTable.Strictest([.. new[] { "body", "iron" }.Select(p =>
            ReferenceData.Baths.For(Core.Baths.BathKind.Chelating, plane.Part(PartId.Of(p))!))])
            .OutByHours.ShouldBe(30);
    }
}
