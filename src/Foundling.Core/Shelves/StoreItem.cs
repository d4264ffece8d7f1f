using Foundling.Core.Stores;
using Foundling.Core.Units;

namespace Foundling.Core.Shelves;

/// <summary>What the shop knows of one thing it keeps. What it says nothing of is taken as there.</summary>
public sealed class StoreItem
{
    /// <summary>The supply: one of the book, or one of the shop's own.</summary>
    public SupplyId Item { get; set; }

    /// <summary>How much there is, in a word. Where it is counted the amount says it.</summary>
    public Stock Stock { get; set; }

    /// <summary>How much there is, in its unit; null where nobody counts it.</summary>
    public double? Amount { get; set; }

    /// <summary>The least to keep, in its unit; null for none.</summary>
    public double? Least { get; set; }

    /// <summary>What a pack of it holds, in its unit; null for what is bought loose.</summary>
    public double? Pack { get; set; }

    /// <summary>How much is on order, in its unit; null for nothing, or for nobody knows.</summary>
    public double? Ordered { get; set; }

    /// <summary>When what is on order should come.</summary>
    public DateOnly? ArrivesOn { get; set; }

    /// <summary>When it was opened; null for closed, or for what does not matter.</summary>
    public DateOnly? OpenedOn { get; set; }

    /// <summary>The last day it is good; null for what keeps.</summary>
    public DateOnly? BestBefore { get; set; }

    /// <summary>Where it lies.</summary>
    public string Place { get; set; } = "";

    /// <summary>How coarse this one is, for an abrasive the book leaves open.</summary>
    public Grain? Grain { get; set; }

    /// <summary>What it is called, for something of the shop's own; empty for one of the book.</summary>
    public string Name { get; set; } = "";

    /// <summary>What sort of thing it is, for something of the shop's own.</summary>
    public SupplyClass Class { get; set; } = SupplyClass.Sundry;

    /// <summary>What it is counted in, for something of the shop's own; empty for kit.</summary>
    public string Unit { get; set; } = "";

    /// <summary>What a unit costs, for something of the shop's own; prices of the book's stand among the shop's assumptions.</summary>
    public double Price { get; set; }

    /// <summary>When this was last said or changed.</summary>
    public DateTimeOffset At { get; set; }

    /// <summary>What is known of it: from the book, or as the shop says.</summary>
    public Supply Supply => Supplies.Find(Item) ?? new Supply(Item, Name.Length > 0 ? Name : Item.Value.Replace('-', ' '), Unit.Length == 0, Unit, Price)
    {
        Class = Class, Grain = Grain,
    };

    /// <summary>How coarse it is: as the shop says, else as the book does; null for what is no abrasive.</summary>
    public Grain? Coarseness => Grain ?? Supply.Grain;

    /// <summary>True for something of the shop's own.</summary>
    public bool IsOwn => Supplies.Find(Item) is null;

    /// <summary>What a unit costs, in the shop's money.</summary>
    public double PriceIn(Assumptions assumptions) => IsOwn ? Price : assumptions.PriceOf(Supply);

    /// <summary>True when its last good day is past.</summary>
    public bool IsPast(DateOnly today) => BestBefore < today;

    /// <summary>
    /// Says how much there is, by hand: nothing is none, under the least is little. What was on order then is on order still.
    /// </summary>
    public void Count(double amount)
    {
        Amount = amount;
        Stock = amount > 0 ? Little(amount) : Stock == Stock.OnOrder || Ordered > 0 ? Stock.OnOrder : Stock.None;
    }

    /// <summary>
    /// Takes some out by a plan's figure. A plan only estimates, so this never says that there is none: only a look at the shelf does.
    /// </summary>
    /// <returns>How much that took: at most what there was.</returns>
    public double Take(double amount)
    {
        if (Amount is not double there)
        {
            return 0;
        }
        double taken = Math.Min(there, Math.Max(0, amount));
        Amount = there - taken;
        Stock = taken > 0 ? Little(Amount.Value) : Stock;
        return taken;
    }

    /// <summary>Puts some back, or brings some in.</summary>
    public void Add(double amount)
    {
        if (Amount is double there)
        {
            Amount = there + amount;
            Stock = Amount > 0 ? Little(Amount.Value) : Stock;
        }
    }

    private Stock Little(double amount) => amount > 0 && amount >= (Least ?? 0) ? Stock.Have : Stock.Low;

    /// <summary>How it stands, in words: "600 mL", "about used up: look", "low".</summary>
    public string Standing => (Amount, Stock) switch
    {
        ( <= 0, Stock.Low) => "used up by now, by the plans: look",
        ( > 0 and double amount, _) => Measure.Say(amount, Supply.Unit),
        (_, Stock.OnOrder) => "none, on order",
        (_, Stock.None) => "none",
        (_, Stock.Low) => "low",
        _ => "there",
    };

    /// <summary>The same in two or three words, and whether it is past its day.</summary>
    public string Brief(DateOnly today) => IsPast(today) ? "past its day" : Amount <= 0 && Stock == Stock.Low ? "look: used up?"
        : Amount is null && Supply.Kit && Coarseness is { } grain ? $"{grain.System} {grain.Grit}" : Standing;

    /// <summary>True for what somebody should see to.</summary>
    public bool IsWanting(DateOnly today) => Stock != Stock.Have || Wants(today) is not null;

    /// <summary>What to see to, in a sentence: past its day, or lower than is kept; null for nothing.</summary>
    public string? Wants(DateOnly today) => IsPast(today) ? $"Good until {BestBefore:d MMMM yyyy}: try it on scrap before it goes on a tool."
        : Amount is > 0 and double amount && amount < Least ? $"Less than the {Measure.Say(Least.Value, Supply.Unit)} that are kept."
        : Amount is <= 0 && Stock == Stock.Low ? $"{Sentences.Start(Supply.Name)} should be used up by what was planned. Look, and say how much there is."
        : null;
}

/// <summary>What changed how much there is of something.</summary>
public enum StoreDeed
{
    /// <summary>Somebody looked how much there is.</summary>
    Counted,

    /// <summary>Some came in.</summary>
    Bought,

    /// <summary>A step used it, or a bath was mixed from it.</summary>
    Used,

    /// <summary>Something else used it.</summary>
    TakenBy,

    /// <summary>An earlier change is taken back.</summary>
    PutBack,
}

/// <summary>A change of how much there is of something. Changes are only ever added: what was wrong is taken back by another.</summary>
public sealed class StoreMove
{
    /// <summary>Key, made where it is made.</summary>
    public Guid Id { get; init; }

    /// <summary>When.</summary>
    public DateTimeOffset At { get; init; }

    /// <summary>Of what.</summary>
    public SupplyId Item { get; init; }

    /// <summary>What.</summary>
    public StoreDeed Kind { get; init; }

    /// <summary>By how much, in its unit: more than 0 for what came in.</summary>
    public double Change { get; init; }

    /// <summary>How much there was then; null before it was ever counted.</summary>
    public double? Before { get; init; }

    /// <summary>The tag whose step used it; null for none.</summary>
    public int? Tag { get; init; }

    /// <summary>The step that used it; null for none.</summary>
    public Rod.DeedId? Step { get; init; }

    /// <summary>The bath that was mixed from it; null for none.</summary>
    public int? Bath { get; init; }

    /// <summary>In words.</summary>
    public string Text { get; init; } = "";

    /// <summary>The change that is taken back; null for none.</summary>
    public Guid? TakesBack { get; init; }
}
