namespace Foundling.Core.Units;

/// <summary>Shares one price out over several things.</summary>
public static class Shares
{
    /// <summary>Splits an amount by weight to the cent; the parts add up to the whole exactly.</summary>
    /// <param name="amount">What is shared, 0 or more.</param>
    /// <param name="weights">How much each counts, 0 or more; all 0 counts as equal.</param>
    /// <exception cref="InputException">Nothing to share over, or a weight below 0.</exception>
    public static IReadOnlyList<decimal> Split(decimal amount, IReadOnlyList<decimal> weights)
    {
        if (weights.Count == 0 || amount < 0 || weights.Any(w => w < 0))
        {
            throw new InputException("nothing_to_share", "weights", weights.Count, "one or more, 0 or above",
                "A price is shared over one tool or more, by weights of 0 or above.");
        }
        decimal sum = weights.Sum();
        decimal[] by = [.. sum == 0 ? weights.Select(_ => 1m) : weights];
        sum = by.Sum();
        decimal[] exact = [.. by.Select(w => amount * w / sum)];
        decimal[] parts = [.. exact.Select(e => Math.Floor(e * 100) / 100)];
        // Whole cents that are left go to the largest remainders, the first of equals.
        int left = (int)Math.Round((amount - parts.Sum()) * 100);
        foreach (int i in Enumerable.Range(0, parts.Length).OrderByDescending(i => exact[i] - parts[i]).ThenBy(i => i).Take(left))
        {
            parts[i] += 0.01m;
        }
        return parts;
    }
}
