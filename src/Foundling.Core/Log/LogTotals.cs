

namespace Foundling.Core.Log;

/// <summary>Minutes booked on a tag, derived from its log; the log itself is never changed.</summary>
/// <param name="ByStep">Minutes on each step, stops and corrections together, never below 0.</param>
/// <param name="All">Minutes on the tag in all, those on no step included.</param>
public sealed record LogTotals(IReadOnlyDictionary<Rod.DeedId, double> ByStep, double All)
{
    /// <summary>Kinds of entry that book minutes.</summary>
    public static IReadOnlyList<EventKind> Booking { get; } = [EventKind.Stopped, EventKind.Corrected];

    /// <summary>Totals of a log.</summary>
    public static LogTotals Of(IEnumerable<BenchEvent> log) =>
        OfSums(log.Where(e => Booking.Contains(e.Kind)).GroupBy(e => e.Step).Select(g => (g.Key, g.Sum(e => e.Minutes ?? 0))));

    /// <summary>Totals from the minutes booked on each step; null stands for the tool as a whole.</summary>
    public static LogTotals OfSums(IEnumerable<(Rod.DeedId? Step, double Minutes)> sums)
    {
        List<(Rod.DeedId? Step, double Minutes)> all = [.. sums];
        var steps = all.Where(s => s.Step is not null).ToDictionary(s => s.Step!.Value, s => Math.Max(0, s.Minutes));
        return new LogTotals(steps, Math.Max(0, all.Where(s => s.Step is null).Sum(s => s.Minutes)) + steps.Values.Sum());
    }
}
