namespace Foundling.Core.Units;

/// <summary>Large and small first letters, for joining words into sentences.</summary>
public static class Sentences
{
    /// <summary>A text as the start of a sentence.</summary>
    public static string Start(string text) => text.Length == 0 ? text : char.ToUpperInvariant(text[0]) + text[1..];

    /// <summary>A text for the middle of a sentence.</summary>
    public static string Middle(string text) => text.Length == 0 ? text : char.ToLowerInvariant(text[0]) + text[1..];
}
