namespace Foundling.Core.Origin;

/// <summary>Why nothing that could still be looked at would tell anything.</summary>
public static class Silence
{
    /// <summary>The reason, as a sentence.</summary>
    /// <param name="waits">Something is set aside until the tool is apart.</param>
    /// <param name="looked">Traits that were looked at.</param>
    /// <param name="lines">Lines that may be meant.</param>
    /// <param name="book">The pattern book.</param>
    public static string Why(bool waits, IReadOnlySet<string> looked, IReadOnlyCollection<PatternLine> lines, PatternBook book)
    {
        bool left = book.Traits.Any(t => lines.Any(l => l.Variants.ContainsKey(t.Id)) && !looked.Contains(t.Id));
        return waits ? "Nothing left in the book would tell more until the tool is apart."
            : left ? "What is left to look at was made alike in all the years that are left, so it would tell nothing more. A mark, a number or a material can."
            : "Everything the book knows of this kind has been looked at. A mark, a number or a material can still narrow the years.";
    }
}
