using Foundling.Core.Deeds;

namespace Foundling.Core.Rod.States;

/// <summary>What holds before the first deed: it is as it came, together, and in no bath.</summary>
/// <param name="question">What is planned.</param>
internal sealed class Start(PlanQuestion question)
{
    private static readonly HashSet<(string Suffix, string Name)> Holds =
    [
        .. new[] { Came.Untouched, Came.AsItSat, Came.Settings, Came.OldCoat, Wet.Dry, Seat.Together }.Select(v => (v.Suffix, v.Name)),
    ];

    // What is gone, or is thrown away and made new, is on no tool.
    private readonly HashSet<string> _none = [.. question.Gone.Concat(question.Discarded).Select(p => p.Id.Value)];

    /// <summary>Whether a facet has a value.</summary>
    /// <param name="key">Key of the facet on its part.</param>
    /// <param name="value">Key of the value.</param>
    public bool Has(string key, string value)
    {
        int end = key.IndexOfAny(['/', '.']);
        string suffix = key[end..];
        return Holds.Contains((suffix, value)) && !(suffix == Seat.Together.Suffix && _none.Contains(key[..end]));
    }
}
