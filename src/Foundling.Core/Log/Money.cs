

namespace Foundling.Core.Log;

/// <summary>What a tool cost and brought, in the shop's money.</summary>
/// <param name="Paid">Price paid for it; null when none was noted.</param>
/// <param name="Spent">Spent on it beyond that.</param>
/// <param name="Sold">What it was sold for; null while it is here, or it was given away.</param>
public sealed record Money(decimal? Paid, decimal Spent, decimal? Sold)
{
    /// <summary>The money of a tag.</summary>
    /// <param name="paid">Price paid for it.</param>
    /// <param name="sold">What it was sold for.</param>
    /// <param name="spent">Log entries of what was spent.</param>
    public static Money Of(decimal? paid, decimal? sold, IEnumerable<BenchEvent> spent) =>
        new(paid, spent.Where(e => e.Kind == EventKind.Spent).Sum(e => e.Amount ?? 0), sold);

    /// <summary>Everything that went into it.</summary>
    public decimal Cost => (Paid ?? 0) + Spent;

    /// <summary>What is left of the sale; null while it is not sold.</summary>
    public decimal? Left => Sold - Cost;

    /// <summary>What an hour at the bench brought; null while it is not sold, or nothing was booked.</summary>
    /// <param name="minutes">Minutes booked.</param>
    public decimal? AnHour(double minutes) => minutes < 1 ? null : Left / (decimal)(minutes / 60);
}
