namespace Foundling.Core.Stores;

/// <summary>How much of something the shop has.</summary>
public enum Stock
{
    /// <summary>Enough.</summary>
    Have,

    /// <summary>Some, not much.</summary>
    Low,

    /// <summary>None.</summary>
    None,

    /// <summary>None, but on order.</summary>
    OnOrder,
}

/// <summary>Something a step needs that is not there.</summary>
/// <param name="Supply">What.</param>
/// <param name="OnOrder">It is on order.</param>
/// <param name="ArrivesOn">When it should come; null where no day is known, or it is not on order.</param>
public sealed record Short(Supply Supply, bool OnOrder = false, DateOnly? ArrivesOn = null)
{
    /// <summary>What is short, in a sentence: "The medium stone is on order, expected 3 December."</summary>
    public string Sentence => OnOrder ? $"It waits for what is on order: {Supply.Name}{(ArrivesOn is DateOnly day ? $", expected {day:d MMMM}" : "")}."
        : $"The shop has none of this: {Supply.Name}.";
}
