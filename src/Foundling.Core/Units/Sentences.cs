namespace Foundling.Core.Units;

/// <summary>Large and small first letters, for joining words into sentences.</summary>
public static class Sentences
{
    /// <summary>A text as the start of a sentence.</summary>
    public static string Start(string text) => text.Length == 0 ? text : char.ToUpperInvariant(text[0]) + text[1..];

    /// <summary>Several things as a list: "frog, cap and lever".</summary>
    public static string List(IReadOnlyList<string> words) =>
        words.Count < 2 ? string.Concat(words) : $"{string.Join(", ", words.Take(words.Count - 1))} and {words[^1]}";

    /// <summary>A number of things: "1 reading", "2 readings".</summary>
    /// <param name="n">How many.</param>
    /// <param name="one">What one is called.</param>
    /// <param name="many">What several are called; null to put an s behind.</param>
    public static string Count(int n, string one, string? many = null) => n == 1 ? $"1 {one}" : $"{n} {many ?? one + "s"}";

    /// <summary>A text for the middle of a sentence.</summary>
    public static string Middle(string text) => text.Length == 0 ? text : char.ToLowerInvariant(text[0]) + text[1..];
}
