using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Grits;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Shelves;
using Foundling.Core.Soaks;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Reference;
using Foundling.Data.Store;
using Foundling.Data.Stores;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Tests;

/// <summary>The stores follow the work: steps draw on them and put back, baths are mixed from them, files and prices go in and out.</summary>
public sealed class StoreRoomTests : IDisposable
{
    private readonly TestShop _shop = new();

    /// <inheritdoc />
    public void Dispose() => _shop.Dispose();

    private async Task<StoreItem> Now(SupplyId id)
    {
        await using FoundlingDb db = _shop.Open();
        return (await _shop.Stores(db).Show(id))!;
    }

    private async Task<Tag> Planned(FoundlingDb db, params Found[] more)
    {
        int number = await _shop.BookIn(t => (t.Kind, t.Name) = (KindIds.MetalBenchPlane, "plane"));
        Tag tag = (await _shop.Tags(db).Find(number))!;
        tag.Findings.Add(Finding.Of(new Found(PartIds.Body, FindingKind.Rust, 2), _shop.Time.GetUtcNow()));
        tag.Findings.Add(Finding.Of(new Found(PartIds.Body, FindingKind.Sap, 2), _shop.Time.GetUtcNow()));
        tag.Findings.AddRange(more.Select(f => Finding.Of(f, _shop.Time.GetUtcNow())));
        tag.Status = TagStatus.InHand;
        await _shop.Tags(db).Save(tag);
        await _shop.Rods(db).Aim(tag, AimKind.Work);
        return tag;
    }

    private static (PlanStep Step, Need Need) Using(Tag tag) => tag.Steps.Where(s => s.State == StepState.Open)
        .SelectMany(s => s.Deed.UsesUp.Where(n => n.UsedUp is null).Select(n => (s, n))).First();

    [Fact]
    public async Task A_step_that_is_done_draws_and_taken_up_again_puts_back()
    {
        await using FoundlingDb db = _shop.Open();
        Tag tag = await Planned(db);
        (PlanStep step, Need need) = Using(tag);
        StoreRoom stores = _shop.Stores(db);
        await stores.Count(need.Item, need.Amount!.Value + 5);
        await _shop.Rods(db).Finish(tag, step);
        (await Now(need.Item)).Amount.ShouldBe(5);
        StoreMove used = (await stores.Moves(need.Item, 5))[0];
        (used.Kind, used.Change, used.Tag, used.Step).ShouldBe((StoreDeed.Used, -need.Amount!.Value, (int?)tag.Number, (DeedId?)step.Key));
        await _shop.Rods(db).Finish(tag, tag.Steps.First(s => s.Key == step.Key));
        (await Now(need.Item)).Amount.ShouldBe(5, "done twice draws once");
        await _shop.Rods(db).Reopen(tag, tag.Steps.First(s => s.Key == step.Key));
        (await Now(need.Item)).Amount.ShouldBe(need.Amount + 5);
        await _shop.Rods(db).Finish(tag, tag.Steps.First(s => s.Key == step.Key));
        await _shop.Rods(db).Reopen(tag, tag.Steps.First(s => s.Key == step.Key));
        (await Now(need.Item)).Amount.ShouldBe(need.Amount + 5, "each end is put back once");
    }

    [Fact]
    public async Task Who_counted_since_counted_what_is_really_there()
    {
        await using FoundlingDb db = _shop.Open();
        Tag tag = await Planned(db);
        (PlanStep step, Need need) = Using(tag);
        await _shop.Stores(db).Count(need.Item, 1000);
        await _shop.Rods(db).Finish(tag, step);
        _shop.Time.Advance(TimeSpan.FromMinutes(5));
        await _shop.Stores(db).Count(need.Item, 700);
        _shop.Time.Advance(TimeSpan.FromMinutes(5));
        await _shop.Rods(db).Reopen(tag, tag.Steps.First(s => s.Key == step.Key));
        (await Now(need.Item)).Amount.ShouldBe(700);
    }

    [Fact]
    public async Task What_nobody_counts_is_not_drawn_on()
    {
        await using FoundlingDb db = _shop.Open();
        Tag tag = await Planned(db);
        (PlanStep step, Need need) = Using(tag);
        await _shop.Rods(db).Finish(tag, step);
        (await Now(need.Item)).Amount.ShouldBeNull();
        (await _shop.Stores(db).Moves(need.Item, 5)).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_bath_is_mixed_from_the_stores_and_a_soak_in_it_draws_no_more()
    {
        await using FoundlingDb db = _shop.Open();
        await _shop.Stores(db).Count(SupplyIds.ChelatingBath, 25);
        await _shop.Baths(db).Mix(new StandingBath { Name = "the tub", Kind = BathKind.Chelating, Litres = 20, Container = Container.Box(600, 400, 180) });
        (await Now(SupplyIds.ChelatingBath)).Amount.ShouldBe(5);
        Tag tag = await Planned(db);
        await _shop.Rods(db).Choose(tag, "rust", "chelating");
        foreach (PlanStep step in tag.Steps.TakeWhile(s => s.Key.Step != StepKey.Soak).ToList())
        {
            await _shop.Rods(db).Finish(tag, step);
        }
        await _shop.Baths(db).PutIn(1, [.. (await _shop.Baths(db).Waiting(null)).Single().Parts.Select(p => p.Part.Key)]);
        (await Now(SupplyIds.ChelatingBath)).Amount.ShouldBe(5, "it is in the tub already");
        (await _shop.Tags(db).Used(tag.Number, Assumptions.Standard)).ShouldContain(n => n.Item == SupplyIds.ChelatingBath && n.Amount < 20,
            "its share is the tool's all the same");
    }

    [Fact]
    public async Task A_bath_that_was_never_mixed_goes_and_the_stores_have_it_again()
    {
        await using FoundlingDb db = _shop.Open();
        await _shop.Stores(db).Count(SupplyIds.CitricAcid, 900);
        await _shop.Baths(db).Mix(new StandingBath { Kind = BathKind.Citric, Percent = 5, Litres = 10, Container = Container.Box(600, 400, 180) });
        (await Now(SupplyIds.CitricAcid)).Amount.ShouldBe(400);
        (await _shop.Baths(db).TakeBack(1)).ShouldBeFalse();
        (await Now(SupplyIds.CitricAcid)).Amount.ShouldBe(900);
        (await _shop.Baths(db).Standing()).ShouldBeEmpty();
        (await Should.ThrowAsync<InputException>(() => _shop.Baths(db).TakeBack(1))).ErrorKey.ShouldBe("unknown_bath");
    }

    [Fact]
    public async Task All_changes_add_up_to_what_there_is()
    {
        var random = new Random(7);
        await using FoundlingDb db = _shop.Open();
        StoreRoom stores = _shop.Stores(db);
        for (int i = 0; i < 150; i++)
        {
            _shop.Time.Advance(TimeSpan.FromMinutes(1));
            double amount = random.Next(1, 90);
            try
            {
                await (random.Next(5) switch
                {
                    0 => stores.Count(SupplyIds.Grease, amount - 1),
                    1 => stores.Bought(SupplyIds.Grease, amount),
                    2 => stores.TakeOut(SupplyIds.Grease, amount, "wheel bearings"),
                    3 => stores.Say(SupplyIds.Grease, (Stock)random.Next(4)),
                    _ => stores.TakeBack(SupplyIds.Grease),
                });
            }
            catch (InputException fault)
            {
                fault.Sentence.ShouldNotBeEmpty();
            }
            db.ChangeTracker.Clear();
            double sum = (await db.StoreMoves.Where(m => m.Item == SupplyIds.Grease).ToListAsync()).Sum(m => m.Change);
            double there = (await Now(SupplyIds.Grease)).Amount ?? 0;
            there.ShouldBe(sum, 1e-9, $"after step {i}");
            there.ShouldBeGreaterThanOrEqualTo(0);
        }
    }

    [Fact]
    public async Task Less_than_nothing_is_refused_and_nothing_is_lost()
    {
        await using FoundlingDb db = _shop.Open();
        await _shop.Stores(db).Count(SupplyIds.Grease, 40);
        InputException fault = await Should.ThrowAsync<InputException>(() => _shop.Stores(db).TakeOut(SupplyIds.Grease, 60, null));
        (fault.ErrorKey, fault.Sentence).ShouldBe(("negative_stock", "There are 40 g: 60 g cannot come out. Count it anew if there is more."));
        (await Now(SupplyIds.Grease)).Amount.ShouldBe(40);
    }

    [Fact]
    public async Task A_price_is_what_every_cost_is_reckoned_with()
    {
        await using FoundlingDb db = _shop.Open();
        await _shop.StoreDesk(db).Price(SupplyIds.WhiteSpirit, 0.02);
        Assumptions assumed = await _shop.Desk(db).Assumed();
        Needs.Cost(Need.Of(SupplyIds.WhiteSpirit, 100), assumed).ShouldBe(2, 1e-9);
        (await Should.ThrowAsync<InputException>(() => _shop.StoreDesk(db).Price(SupplyIds.WhiteSpirit, 900))).ErrorKey.ShouldBe("out_of_range");
    }

    [Fact]
    public async Task The_list_is_what_the_rods_in_hand_ask_for()
    {
        await using FoundlingDb db = _shop.Open();
        Tag tag = await Planned(db);
        (PlanStep step, Need need) = Using(tag);
        await _shop.Stores(db).Count(need.Item, 0);
        double asked = tag.Steps.SelectMany(s => s.Needs).Where(n => n.Item == need.Item).Sum(n => n.Amount ?? 0);
        ShoppingLine line = (await _shop.StoreDesk(db).List()).First(l => l.Supply.Id == need.Item);
        line.Amount!.Value.ShouldBe(asked, 1);
        line.Tags.ShouldBe([tag.Number]);
        StoreDesk.Text([line]).ShouldContain($"- {Core.Units.Sentences.Start(need.Name)}: ");
        await _shop.Rods(db).Skip(tag, step, "not this time");
        (await _shop.StoreDesk(db).List()).FirstOrDefault(l => l.Supply.Id == need.Item)?.Amount.ShouldNotBe(line.Amount, "what is left out asks for nothing");
    }

    [Fact]
    public async Task A_part_that_lies_in_the_parts_box_is_tried_before_one_is_bought()
    {
        await using FoundlingDb db = _shop.Open();
        Tag tag = await Planned(db, new Found(PartIds.Yoke, FindingKind.Missing, 1));
        await _shop.Stores(db).Say(SupplyIds.ReplacementPart, Stock.None, null);
        async Task<string> Why() => (await _shop.StoreDesk(db).List()).First(l => l.Supply.Id == SupplyIds.ReplacementPart).Why;
        (await Why()).ShouldEndWith("(yoke).");
        var box = new PartsBox(db, _shop.Time);
        await box.Add(KindIds.BlockPlane.Value, PartIds.LeverCap.Value, "");
        (await Why()).ShouldEndWith("(yoke).", customMessage: "another kind's part is no help");
        await box.Add(KindIds.MetalBenchPlane.Value, PartIds.Yoke.Value, "off a wreck");
        (await Why()).ShouldEndWith($"(yoke). Try the parts box first for {tag.Label}: yoke.");
    }

    [Fact]
    public async Task A_file_goes_out_and_comes_in_the_same()
    {
        await using FoundlingDb db = _shop.Open();
        StoreRoom stores = _shop.Stores(db);
        StoreDesk desk = _shop.StoreDesk(db);
        await stores.Count(SupplyIds.Shellac, 220);
        await stores.Keep(SupplyIds.Shellac, new StoreFacts { Least = 100, Pack = 250, BestBefore = new DateOnly(2030, 1, 2), Place = "=1+1" });
        StoreItem own = await stores.New(new StoreFacts { Name = "ceramic belt", Class = SupplyClass.Abrasive, Unit = "pieces",
            Grain = new Grain(AbrasiveForm.Belt, "FEPA-P", "P60") });
        await stores.Count(own.Item, 3);
        await desk.Price(own.Item, 4.5);
        await desk.Price(SupplyIds.Shellac, 0.055);
        string file = await desk.Csv();
        file.ShouldContain("'=1+1");
        await desk.Take(file);
        (await desk.Csv()).ShouldBe(file);
        (await stores.Moves(SupplyIds.Shellac, 9)).Count.ShouldBe(1, "what a file says again changes nothing");

        using var other = new TestShop();
        await using FoundlingDb there = other.Open();
        await other.StoreDesk(there).Take(file);
        (await other.StoreDesk(there).Csv()).ShouldBe(file, "a whole shop of stores moves");
    }

    [Fact]
    public async Task A_file_with_a_wrong_unit_names_the_line_and_takes_nothing()
    {
        await using FoundlingDb db = _shop.Open();
        StoreDesk desk = _shop.StoreDesk(db);
        const string File = "name;amount;least\nwhite spirit;1.5 L;200\nvinegar;3 kg;\nlight oil;-4;\nshop oven;2;\nunheard of stuff;7;\n";
        InputException fault = await Should.ThrowAsync<InputException>(() => desk.Take(File));
        fault.Sentence.ShouldContain("Line 3: Vinegar is counted in L, not in kg.");
        fault.Sentence.ShouldContain("Line 4: There cannot be less than nothing: Light oil, -4.");
        fault.Sentence.ShouldContain("Line 5: shop oven is kit: it is there or it is not, and has no amount.");
        fault.Sentence.ShouldEndWith("Nothing was taken from the file.");
        (await Now(SupplyIds.WhiteSpirit)).Amount.ShouldBeNull();
        (await desk.Take("name,amount\nwhite spirit,1.5 L\n")).ShouldBe(1);
        (await Now(SupplyIds.WhiteSpirit)).Amount.ShouldBe(1500);
    }

    [Theory]
    [InlineData("", "There is nothing under the heading of this file.")]
    [InlineData("colour,size\nred,5\n", "The first line must name the columns")]
    [InlineData("name,unit,amount\nodd stuff,barrels,4\n", "Line 2: odd stuff: \"barrels\" is no unit of the stores")]
    [InlineData("name,grading,grit\nP80 sheet,FEPA-P,P81\n", "Line 2: FEPA-P has no grade \"P81\"")]
    [InlineData("name,opened\n2 lb shellac,3/4/2030\n", "Line 2: \"3/4/2030\" in the column opened is no day")]
    public async Task What_is_no_stores_file_is_said(string file, string sentence)
    {
        await using FoundlingDb db = _shop.Open();
        (await Should.ThrowAsync<InputException>(() => _shop.StoreDesk(db).Take(file))).Sentence.ShouldContain(sentence);
    }

    [Fact]
    public async Task Something_of_the_shops_own_has_one_name()
    {
        await using FoundlingDb db = _shop.Open();
        StoreRoom stores = _shop.Stores(db);
        (await stores.New(new StoreFacts { Name = "Rottenstone", Class = SupplyClass.Abrasive, Unit = "g" })).Item.Value.ShouldBe("own-1");
        foreach ((SupplyClass sort, string _) in SupplyClasses.All)
        {
            StoreItem one = await stores.New(new StoreFacts { Name = $"a {sort}", Class = sort, Unit = "g" });
            (await Now(one.Item)).ShouldSatisfyAllConditions(i => i.Class.ShouldBe(sort), i => i.Unit.ShouldBe(sort == SupplyClass.Kit ? "" : "g"));
        }
        (await Should.ThrowAsync<InputException>(() => stores.New(new StoreFacts { Name = "rottenstone" }))).ErrorKey.ShouldBe("there_already");
        (await Should.ThrowAsync<InputException>(() => stores.New(new StoreFacts { Name = "White spirit" }))).ErrorKey.ShouldBe("there_already");
        (await Should.ThrowAsync<InputException>(() => stores.New(new StoreFacts { Name = " " }))).ErrorKey.ShouldBe("required");
    }

    [Fact]
    public void Grits_are_found_however_they_are_written()
    {
        GritTable grits = ReferenceData.Grits;
        grits.Find("FEPA-P", "p 400")!.Um.ShouldBe(grits.Find("FEPA-P", "400")!.Um);
        grits.Find("steel_wool", "0000")!.Flat.ShouldBeFalse();
        grits.Checked(new Grain(AbrasiveForm.Stone, "jis", "1000")).ShouldBe(new Grain(AbrasiveForm.Stone, "JIS", "1000"));
        Should.Throw<InputException>(() => grits.Checked(new Grain(AbrasiveForm.Sheet, "FEPA-P", "P999"))).Sentence.ShouldBe(
            "FEPA-P has no grade \"P999\": from P12 to P2500.");
        Should.Throw<InputException>(() => grits.Checked(new Grain(AbrasiveForm.Sheet, "mesh", "80"))).ErrorKey.ShouldBe("unknown_grading");
        foreach (Supply supply in Supplies.All.Where(s => s.Grain is not null))
        {
            grits.Checked(supply.Grain!).ShouldBe(supply.Grain, supply.Name);
        }
    }

    [Fact]
    public async Task Changes_are_only_added()
    {
        await using FoundlingDb db = _shop.Open();
        await _shop.Stores(db).Count(SupplyIds.Grease, 40);
        (await Should.ThrowAsync<Exception>(() => db.Database.ExecuteSqlRawAsync("UPDATE StoreMoves SET Change = 1"))).Message.ShouldContain("only added");
        (await Should.ThrowAsync<Exception>(() => db.Database.ExecuteSqlRawAsync("DELETE FROM StoreMoves"))).Message.ShouldContain("only added");
    }
}
