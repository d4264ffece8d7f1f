namespace Foundling.Core.Units;

/// <summary>Cuts words to a length.</summary>
public static class Shorten
{
    /// <summary>The text without blanks at its ends, cut to a length; empty for none.</summary>
    public static string To(string? text, int most)
    {
        string clean = (text ?? "").Trim();
        // A pair of surrogates is one letter: it is kept whole or left out.
        return clean.Length <= most ? clean : clean[..(char.IsHighSurrogate(clean[most - 1]) ? most - 1 : most)];
    }
}
