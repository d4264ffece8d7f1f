using Foundling.Core.Units;

namespace Foundling.Core.Rod;

/// <summary>A deed that would come too late after another: a coat that no longer takes the next one, oil gone sticky.</summary>
/// <param name="First">The deed that opens the window.</param>
/// <param name="Then">The deed that must be done inside it.</param>
/// <param name="Sentence">What is missed, in a sentence.</param>
public sealed record MissedWindow(DeedId First, DeedId Then, string Sentence);

/// <summary>Windows of time in a plan.</summary>
public static class Windows
{
    /// <summary>
    /// Windows that close before their deed comes, when the hands-on work between takes as long as it may; what waits by itself meanwhile holds nobody
    /// up. A bath is none of them: what is lifted out is lifted when its time has come, whatever else is being done.
    /// </summary>
    /// <param name="deeds">The deeds in their order.</param>
    public static IReadOnlyList<MissedWindow> Missed(IReadOnlyList<Deed> deeds)
    {
        List<MissedWindow> missed = [];
        for (int i = 0; i < deeds.Count; i++)
        {
            if (deeds[i].Lag is not { Kind: LagKind.RecoatBefore or LagKind.WipeOff, MostMin: double most, EndedBy: { Count: > 0 } next } lag)
            {
                continue;
            }
            double passed = lag.LeastMin;
            for (int j = i + 1; j < deeds.Count && !next.Contains(deeds[j].Id.Step); j++)
            {
                passed += deeds[j].Minutes.High + (deeds[j].After.Any(a => a.Id == deeds[i].Id) ? deeds[j].Lag?.HoldsMin ?? 0 : 0);
            }
            if (deeds.Skip(i + 1).FirstOrDefault(d => next.Contains(d.Id.Step)) is { } then && passed > most)
            {
                missed.Add(new MissedWindow(deeds[i].Id, then.Id, $"\"{then.Title}\" must be done within {Typed.Hours(most)} of \"{deeds[i].Title}\"; "
                    + "with what would then stand between them it comes too late."));
            }
        }
        return missed;
    }
}
