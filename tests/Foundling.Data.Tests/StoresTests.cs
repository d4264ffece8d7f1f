using Foundling.Core;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Store;
using Foundling.Data.Stores;
using Foundling.Data.Tags;

namespace Foundling.Data.Tests;

/// <summary>Lots and the parts box, as they are kept.</summary>
public sealed class StoresTests : IDisposable
{
    private readonly TestShop _shop = new();

    public void Dispose() => _shop.Dispose();

    private async Task<T> Lots<T>(Func<LotBook, Task<T>> act)
    {
        await using FoundlingDb db = _shop.Open();
        return await act(new LotBook(db, _shop.Time));
    }

    private async Task<T> Box<T>(Func<PartsBox, Task<T>> act)
    {
        await using FoundlingDb db = _shop.Open();
        return await act(new PartsBox(db, _shop.Time));
    }

    private async Task<Tag> Tag(int number)
    {
        await using FoundlingDb db = _shop.Open();
        return (await _shop.Tags(db).Find(number))!;
    }

    [Fact]
    public async Task A_lot_holds_its_tags_and_shares_its_price()
    {
        int[] numbers = [await _shop.BookIn(), await _shop.BookIn(), await _shop.BookIn()];
        Lot lot = await Lots(l => l.Add("  The oak chest ", 100, "from the ferry"));
        lot.Name.ShouldBe("The oak chest");
        foreach (int number in numbers)
        {
            await Lots(async l =>
            {
                await l.Put(number, lot.Id);
                return true;
            });
        }
        await Lots(async l =>
        {
            LotView view = (await l.Find(lot.Id))!;
            view.Tags.Select(t => t.Number).ShouldBe(numbers);
            await l.ShareOut(view, new Dictionary<int, decimal> { [numbers[0]] = 2 });
            return true;
        });
        (await Tag(numbers[0])).Price.ShouldBe(50);
        (await Tag(numbers[1])).Price.ShouldBe(25);
        (await Lots(l => l.All())).Single().Tags.Sum(t => t.Price).ShouldBe(100);
    }

    [Fact]
    public async Task A_lot_that_cannot_be_is_told()
    {
        (await Should.ThrowAsync<InputException>(() => Lots(l => l.Add(" ", 1, "")))).Sentence.ShouldContain("name");
        (await Should.ThrowAsync<InputException>(() => Lots(async l =>
        {
            await l.Put(999, null);
            return true;
        }))).Sentence.ShouldContain("F-0999");
        Lot empty = await Lots(l => l.Add("Empty", null, null));
        (await Should.ThrowAsync<InputException>(() => Lots(async l =>
        {
            await l.ShareOut((await l.Find(empty.Id))!, new Dictionary<int, decimal>());
            return true;
        }))).Sentence.ShouldContain("what was paid");
        (await Lots(l => l.Find(77))).ShouldBeNull();
        (await Lots(l => l.Find(null))).ShouldBeNull();
    }

    [Fact]
    public async Task A_lot_stays_with_its_shop_when_a_tag_travels()
    {
        int number = await _shop.BookIn();
        Lot lot = await Lots(l => l.Add("Bundle", 10, ""));
        await Lots(async l =>
        {
            await l.Put(number, lot.Id);
            return true;
        });
        using var bundle = new MemoryStream();
        await using (FoundlingDb db = _shop.Open())
        {
            await _shop.Bundles(db).Write((await _shop.Tags(db).Find(number))!, bundle);
        }
        using var other = new TestShop();
        await using FoundlingDb there = other.Open();
        bundle.Position = 0;
        (await other.Bring(there, bundle)).LotId.ShouldBeNull();
    }

    [Fact]
    public async Task Parts_are_saved_once_and_offered_where_they_lack()
    {
        int broken = await _shop.BookIn(t => t.Name = "Cracked jack");
        Tag tag = await Tag(broken);
        (await Box(b => b.Save(tag, [PartIds.Knob, PartIds.Tote, PartIds.Knob, PartId.Of("no_such_part")]))).ShouldBe(2);
        (await Box(b => b.Save(tag, [PartIds.Knob, PartIds.Iron]))).ShouldBe(1);
        (await Box(b => b.InBox())).Select(p => p.Part).ShouldBe([PartIds.Iron, PartIds.Tote, PartIds.Knob], ignoreOrder: true);
        int lacking = await _shop.BookIn(t =>
            t.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = PartIds.Knob, Kind = FindingKind.Missing, Severity = 3 }));
        int saw = await _shop.BookIn(t => t.Kind = KindIds.HandSaw);
        OrphanPart offered = (await Box(async b => await b.For(await Tag(lacking)))).Single();
        offered.Part.ShouldBe(PartIds.Knob);
        offered.FromTag.ShouldBe(broken);
        (await Box(async b => await b.For(await Tag(saw)))).ShouldBeEmpty();
        await Box(async b =>
        {
            await b.Use(offered.Id, lacking);
            return true;
        });
        (await Box(async b => await b.For(await Tag(lacking)))).ShouldBeEmpty();
        (await Should.ThrowAsync<InputException>(() => Box(async b =>
        {
            await b.Use(offered.Id, lacking);
            return true;
        }))).Sentence.ShouldContain("not in the box any more");
        // Its own parts are not offered to the tool they came off.
        await using FoundlingDb db = _shop.Open();
        Tag own = (await _shop.Tags(db).Find(broken))!;
        own.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = PartIds.Tote, Kind = FindingKind.Missing, Severity = 3 });
        await _shop.Tags(db).Save(own);
        (await Box(b => b.For(own))).ShouldBeEmpty();
    }

    [Fact]
    public async Task Only_known_parts_go_to_known_tags()
    {
        (await Should.ThrowAsync<InputException>(() => Box(async b =>
        {
            await b.Add("chisel", "propeller", "");
            return true;
        }))).Sentence.ShouldContain("no part");
        await Box(async b =>
        {
            await b.Add("chisel", "ferrule", new string('x', 900));
            return true;
        });
        OrphanPart part = (await Box(b => b.InBox())).Single();
        part.Note.Length.ShouldBe(300);
        (await Should.ThrowAsync<InputException>(() => Box(async b =>
        {
            await b.Use(part.Id, 4242);
            return true;
        }))).Sentence.ShouldContain("F-4242");
    }

    [Fact]
    public async Task The_shelf_knows_how_many_of_a_kind_there_are()
    {
        await _shop.BookIn();
        await _shop.BookIn();
        await _shop.BookIn(t => t.Kind = KindIds.Axe);
        await _shop.BookIn(t => t.Status = TagStatus.Left);
        await using FoundlingDb db = _shop.Open();
        IReadOnlyDictionary<KindId, int> shelf = await _shop.Tags(db).KindsOnShelf();
        shelf[KindIds.MetalBenchPlane].ShouldBe(2);
        shelf[KindIds.Axe].ShouldBe(1);
        shelf.ShouldNotContainKey(KindIds.Brace);
    }

    [Fact]
    public async Task Everything_noted_on_a_tag_comes_back_as_it_was_kept()
    {
        var at = new DateTimeOffset(2026, 3, 2, 9, 0, 0, TimeSpan.Zero);
        int number = await _shop.BookIn(t =>
        {
            t.Kind = KindIds.WoodenBenchPlane;
            (t.KnownLine, t.KinColour, t.KinFit, t.Tried, t.TriedNote, t.Decision, t.DecisionReason) = ("pellow_tarn_bench", Core.Origin.KinLook.Match,
                Core.Origin.KinLook.Clash, Core.State.AsFoundTry.Badly, "chatters", Core.State.Verdict.RestoreIf, "it is light");
            t.Looks.Add(new Look { Id = Guid.NewGuid(), Order = 1, Mark = Core.Origin.MarkKind.PatentApplied, FilingYear = 1909, GrantYear = 1911,
                Part = "lever_cap", Reading = "Pat. applied", Soft = true, Confidence = Core.Origin.Confidence.Unsure, At = at, PictureId = Guid.NewGuid() });
            t.Aside.Add(new LookAside { Id = Guid.NewGuid(), Trait = "frog_seat", Reason = AsideReason.WhenApart, At = at });
            t.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = PartIds.Body, Kind = FindingKind.Crack, Severity = 2, Place = "mouth", Round = Round.Apart,
                At = at });
            t.Measurements.Add(new Measurement { Id = Guid.NewGuid(), Part = PartIds.Iron, Kind = MeasureIds.Thickness, Value = 2.05,
                Instrument = Instrument.Caliper,
                UncertaintyMm = 0.03, At = at });
        });
        Tag kept = await Tag(number);
        kept.Kinship().ShouldBe(new Core.Origin.Kinship(Core.Origin.KinLook.Match, null, Core.Origin.KinLook.Clash));
        (kept.KnownLine, kept.Tried, kept.TriedNote, kept.Decision, kept.DecisionReason)
            .ShouldBe(("pellow_tarn_bench", Core.State.AsFoundTry.Badly, "chatters", Core.State.Verdict.RestoreIf, "it is light"));
        Look look = kept.Looks.Single();
        look.ToObservation().MarkWindow(Assumptions.Standard).ShouldBe((1909, 1911));
        (look.Soft, look.Reading, look.PictureId.HasValue, look.At).ShouldBe((true, "Pat. applied", true, at));
        kept.Aside.Single().Reason.ShouldBe(AsideReason.WhenApart);
        (kept.Findings.Single().Place, kept.Findings.Single().Round).ShouldBe(("mouth", Round.Apart));
        (kept.Measurements.Single().Value, kept.Measurements.Single().Instrument,
            kept.Measurements.Single().UncertaintyMm).ShouldBe((2.05, Instrument.Caliper, 0.03));
    }
}
