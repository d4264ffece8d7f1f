namespace Foundling.Core.Rod;

/// <summary>Where a deed lies in time when everything is begun as soon as what it comes after allows.</summary>
/// <param name="Deed">The deed.</param>
/// <param name="StartMin">When it begins, minutes from the first.</param>
/// <param name="EndMin">When hands are off it.</param>
/// <param name="ReadyMin">When the wait after it is over; the same where nothing waits.</param>
/// <param name="Longest">It lies on the longest way through, so that what delays it delays the end.</param>
public sealed record TimedDeed(Deed Deed, double StartMin, double EndMin, double ReadyMin, bool Longest);

/// <summary>
/// How long a plan takes from its first step to its last, waits among it: the longest way through its edges. A wait holds what comes after it and
/// nothing else. One who has one pair of hands and other tools to work on takes longer.
/// </summary>
public static class PlanTime
{
    /// <summary>Minutes from the first step to the end of the last wait, by likely minutes; 0 for no steps.</summary>
    /// <param name="deeds">The deeds of a plan, in an order its edges allow.</param>
    public static double Elapsed(IReadOnlyList<Deed> deeds) => Lay(deeds).Select(t => t.ReadyMin).DefaultIfEmpty(0).Max();

    /// <summary>
    /// True when waits make a job longer than the hours at the bench: one who has one pair of hands is never done sooner than they are, however short the
    /// longest way through is.
    /// </summary>
    /// <param name="deeds">The deeds of a plan, in an order its edges allow.</param>
    public static bool WaitsAdd(IReadOnlyList<Deed> deeds) =>
        Elapsed(deeds) > deeds.Where(d => !d.OnlyIfNeeded).Sum(d => d.Minutes.Likely);

    /// <summary>
    /// Lays the deeds of a plan out in time. A deed for a case that may never come up takes none; a look again months ahead keeps nothing. Deeds of an
    /// unbroken block follow one another.
    /// </summary>
    /// <param name="deeds">The deeds, in an order their edges allow.</param>
    public static IReadOnlyList<TimedDeed> Lay(IReadOnlyList<Deed> deeds)
    {
        Dictionary<DeedId, (double Start, double End, double Ready)> times = [];
        Dictionary<DeedId, DeedId?> held = [];
        foreach (Deed deed in deeds)
        {
            (double start, DeedId? by) = (0, null);
            foreach (Follows after in deed.After)
            {
                if (times.TryGetValue(after.Id, out (double Start, double End, double Ready) early)
                    && early.End + (after.Lag?.HoldsMin ?? 0) is var free && (free > start || by is null))
                {
                    (start, by) = (free, after.Id);
                }
            }
            double end = start + (deed.OnlyIfNeeded ? 0 : deed.Minutes.Likely);
            times[deed.Id] = (start, end, end + (deed.OnlyIfNeeded ? 0 : deed.Lag?.HoldsMin ?? 0));
            held[deed.Id] = by;
        }
        HashSet<DeedId> longest = [];
        for (DeedId? at = deeds.Count == 0 ? null : deeds.MaxBy(d => times[d.Id].Ready)!.Id; at is DeedId id; at = held[id])
        {
            longest.Add(id);
        }
        return [.. deeds.Select(d => new TimedDeed(d, times[d.Id].Start, times[d.Id].End, times[d.Id].Ready, longest.Contains(d.Id)))];
    }

    /// <summary>Minutes that pass over and above the hands-on minutes of the longest way: what waiting costs.</summary>
    /// <param name="deeds">The deeds of a plan, in an order its edges allow.</param>
    public static double Waiting(IReadOnlyList<Deed> deeds)
    {
        IReadOnlyList<TimedDeed> laid = Lay(deeds);
        return laid.Select(t => t.ReadyMin).DefaultIfEmpty(0).Max() - laid.Where(t => t.Longest).Sum(t => t.EndMin - t.StartMin);
    }
}
