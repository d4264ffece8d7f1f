using System.Collections.Concurrent;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod;

/// <summary>
/// Listens which choices are asked while something is worked out, so that it need not be worked out again when another choice changes: most rules care for one
/// or two choices of all there are.
/// </summary>
internal static class Consulting
{
    [ThreadStatic]
    private static ulong _asked;

    /// <summary>Something that was worked out.</summary>
    /// <param name="Value">What came out.</param>
    /// <param name="Asked">The choices that were asked for it, a bit each.</param>
    public sealed record Answer<T>(T Value, ulong Asked)
    {
        /// <summary>The same where a choice was not asked for it; null where it was.</summary>
        public Answer<T>? Without(ChoiceId choice) => (Asked & Bit(choice)) == 0 ? this : null;
    }

    private static ulong Bit(ChoiceId choice) => 1UL << (int)choice;

    /// <summary>Notes that a choice is asked.</summary>
    public static void Note(ChoiceId choice) => _asked |= Bit(choice);

    /// <summary>Notes that all were asked that were asked for an answer.</summary>
    public static void Note(ulong asked) => _asked |= asked;

    /// <summary>Works something out and listens meanwhile.</summary>
    public static Answer<T> Listen<T>(Func<T> work)
    {
        ulong outer = _asked;
        _asked = 0;
        try
        {
            return new Answer<T>(work(), _asked);
        }
        finally
        {
            _asked |= outer;
        }
    }

    /// <summary>Something worked out once; who reads it has asked for all that was asked for it.</summary>
    public static T Read<TKey, T>(ConcurrentDictionary<TKey, Answer<T>> known, TKey key, Func<TKey, T> work)
        where TKey : notnull
    {
        if (!known.TryGetValue(key, out Answer<T>? answer))
        {
            known[key] = answer = Listen(() => work(key));
        }
        Note(answer.Asked);
        return answer.Value;
    }
}
