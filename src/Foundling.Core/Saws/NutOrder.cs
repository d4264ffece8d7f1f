namespace Foundling.Core.Saws;

/// <summary>Nuts of a handle, brought up in turn.</summary>
public static class NutOrder
{
    /// <summary>The turn of each nut, as they stand from the one end to the other: from the middle outwards, to either side in turn.</summary>
    /// <param name="nuts">How many there are.</param>
    /// <exception cref="InputException">Fewer than one, or more than a saw has.</exception>
    public static IReadOnlyList<int> Of(int nuts)
    {
        const int Most = 12;
        Check.Within(nuts, 1, Most, "nuts");
        List<int> order = [.. Enumerable.Range(0, nuts).OrderBy(i => Math.Abs((2 * i) - (nuts - 1))).ThenBy(i => i)];
        return [.. Enumerable.Range(0, nuts).Select(i => order.IndexOf(i) + 1)];
    }
}
