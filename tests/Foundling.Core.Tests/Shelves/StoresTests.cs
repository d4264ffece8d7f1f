using CsCheck;
using Foundling.Core.Baths;
using Foundling.Core.Shelves;
using Foundling.Core.Stores;

namespace Foundling.Core.Tests.Shelves;

/// <summary>What the shop keeps: amounts as they are typed, what is low, what is to be bought.</summary>
public sealed class StoresTests
{
    private static readonly Assumptions A = Assumptions.Standard;

    private static readonly DateOnly Today = new(2030, 5, 6);

    private static StoreItem Kept(SupplyId id, double amount, double? least = null, double? pack = null)
    {
        var item = new StoreItem { Item = id, Least = least, Pack = pack };
        item.Count(amount);
        return item;
    }

    private static ShoppingLine? Line(StoreItem item, params Asked[] asked) => Shopping.List([item], asked, A, Today).SingleOrDefault();

    [Theory]
    [InlineData("250", "mL", 250)]
    [InlineData("1.5 L", "mL", 1500)]
    [InlineData("1,5l", "mL", 1500)]
    [InlineData("16 oz", "g", 453.592)]
    [InlineData("2 lb", "kg", 0.907184)]
    [InlineData("1 US gal", "L", 3.78541)]
    [InlineData("30 cm", "m", 0.3)]
    [InlineData("1 sheet", "sheets", 1)]
    [InlineData("3", "pieces", 3)]
    public void An_amount_is_read_in_its_unit(string typed, string unit, double amount) =>
        Measure.Read(typed, unit, "stuff").ShouldBe(amount, 1e-9 * Math.Max(1, amount));

    [Theory]
    [InlineData("3 kg", "L", "Vinegar is counted in L, not in kg.")]
    [InlineData("-5", "mL", "There cannot be less than nothing: Vinegar, -5.")]
    [InlineData("plenty", "mL", "\"plenty\" is not an amount. Vinegar is counted in mL.")]
    [InlineData("", "mL", "\"\" is not an amount. Vinegar is counted in mL.")]
    [InlineData("99999999", "mL", "99999999 of vinegar is more than any shop holds.")]
    [InlineData("2 sheets", "mL", "Vinegar is counted in mL, not in sheets.")]
    public void What_is_no_amount_is_said(string typed, string unit, string sentence) =>
        Should.Throw<InputException>(() => Measure.Read(typed, unit, "vinegar")).Sentence.ShouldBe(sentence);

    [Fact]
    public void Every_unit_of_the_book_can_be_read_and_every_material_has_a_sort()
    {
        foreach (Supply supply in Supplies.All)
        {
            (supply.Class == SupplyClass.Kit).ShouldBe(supply.Kit && supply.Class != SupplyClass.Abrasive, supply.Name);
            supply.Kit.ShouldBe(supply.Unit.Length == 0, supply.Name);
            if (!supply.Kit)
            {
                Measure.Units.ShouldContain(supply.Unit);
                Measure.Read(Measure.Say(12, supply.Unit), supply.Unit, supply.Name).ShouldBe(12);
            }
        }
    }

    [Fact]
    public void What_a_plan_takes_never_says_that_there_is_none()
    {
        StoreItem oil = Kept(SupplyIds.LightOil, 30, least: 10);
        oil.Take(25).ShouldBe(25);
        oil.Stock.ShouldBe(Stock.Low);
        oil.Take(25).ShouldBe(5, "no more than there was");
        (oil.Amount, oil.Stock).ShouldBe((0, Stock.Low), "a plan only estimates");
        oil.Wants(Today)!.ShouldContain("Look");
        oil.Count(0);
        oil.Stock.ShouldBe(Stock.None, "somebody looked");
    }

    [Fact]
    public void Taking_and_putting_back_keep_the_amount() => Gen.Select(Gen.Double[0, 500], Gen.Double[0, 50], Gen.Double[0, 600].Array[0, 12])
        .Sample((amount, least, takes) =>
        {
            StoreItem item = Kept(SupplyIds.WhiteSpirit, amount, least);
            List<double> taken = [.. takes.Select(item.Take)];
            item.Amount!.Value.ShouldBeGreaterThanOrEqualTo(0);
            (item.Amount.Value + taken.Sum()).ShouldBe(amount, 1e-9);
            taken.ForEach(item.Add);
            item.Amount.Value.ShouldBe(amount, 1e-9);
            item.Stock.ShouldBe(amount > 0 && amount >= least ? Stock.Have : amount > 0 ? Stock.Low : Stock.None);
        });

    [Fact]
    public void The_list_brings_everything_to_what_is_needed_and_kept() => Gen.Select(Gen.Double[0, 500], Gen.Double[0, 100], Gen.Double[1, 300],
        Gen.Double[0, 80].Array[0, 8]).Sample((amount, least, pack, wants) =>
        {
            StoreItem item = Kept(SupplyIds.WhiteSpirit, amount, least, pack);
            ShoppingLine? line = Line(item, [.. wants.Select((w, i) => new Asked(i + 1, SupplyIds.WhiteSpirit, w))]);
            double lack = wants.Sum() + least - amount;
            if (lack > 1e-6)
            {
                line!.Amount!.Value.ShouldBeGreaterThanOrEqualTo(lack - 1e-6);
                line.Amount.Value.ShouldBeLessThan(lack + pack + 1e-6, "no pack too many");
                line.Amount.Value.ShouldBe(line.Packs!.Value * pack, 1e-6);
                line.Cost.ShouldBe(line.Amount.Value * A.PriceOf(item.Supply), 1e-6);
            }
            else if (lack < -1e-6 && amount > 0)
            {
                line.ShouldBeNull();
            }
        });

    [Fact]
    public void What_is_past_its_day_counts_as_none_and_what_is_ordered_as_there()
    {
        StoreItem shellac = Kept(SupplyIds.Shellac, 300, least: 100);
        Line(shellac).ShouldBeNull();
        shellac.BestBefore = Today.AddDays(-1);
        ShoppingLine line = Line(shellac)!;
        line.Amount.ShouldBe(100);
        line.Why.ShouldBe("What is here was good until 5 May 2030, 100 mL to keep.");
        shellac.Ordered = 100;
        Line(shellac).ShouldBeNull("it is on its way");
        (shellac.Ordered, shellac.BestBefore) = (null, Today);
        Line(shellac).ShouldBeNull("its last day is a good day");
    }

    [Fact]
    public void What_serves_again_is_bought_once()
    {
        var bath = new StoreItem { Item = SupplyIds.ChelatingBath, Stock = Stock.None };
        ShoppingLine line = Line(bath, new Asked(1, SupplyIds.ChelatingBath, 10, 2), new Asked(2, SupplyIds.ChelatingBath, 14, 3))!;
        line.Amount.ShouldBe(16, "the larger fill, and what the other uses up");
        line.Tags.ShouldBe([1, 2]);
        line.Why.ShouldBe("None here; F-0001 and F-0002 ask for 16 L.");
    }

    [Fact]
    public void Kit_is_bought_only_when_a_rod_asks_for_it()
    {
        var oven = new StoreItem { Item = SupplyIds.ShopOven, Stock = Stock.None };
        Line(oven).ShouldBeNull();
        Line(oven, new Asked(7, SupplyIds.ShopOven, null))!.Why.ShouldBe("None here, and F-0007 asks.");
    }

    [Fact]
    public void A_bath_is_mixed_from_what_it_is_said_to_be_mixed_from()
    {
        foreach (BathKind kind in new[] { BathKind.Citric, BathKind.Acetic, BathKind.Chelating, BathKind.Electrolysis })
        {
            Ingredients.Of(kind, 5, 10, A).ShouldAllBe(i => Ingredients.Are(kind, i.Item));
        }
        Ingredients.Are(BathKind.Citric, SupplyIds.Vinegar).ShouldBeFalse();
    }
}
