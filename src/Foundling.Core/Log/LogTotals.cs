using Foundling.Core.Tags;

namespace Foundling.Core.Log;

/// <summary>Totals derived from the log; the log itself is never changed.</summary>
public static class LogTotals
{
    /// <summary>Minutes spent on each step, stops and corrections together, never below 0.</summary>
    public static IReadOnlyDictionary<string, double> ByStep(IEnumerable<LogEntry> log) => log
        .Where(e => e.Kind is LogKind.Stopped or LogKind.Correction && e.Step is not null)
        .GroupBy(e => e.Step!)
        .ToDictionary(g => g.Key, g => Math.Max(0, g.Sum(e => e.Minutes ?? 0)));

    /// <summary>Minutes spent on the tag in all.</summary>
    public static double All(IEnumerable<LogEntry> log)
    {
        List<LogEntry> entries = [.. log];
        double loose = entries.Where(e => e.Kind is LogKind.Stopped or LogKind.Correction && e.Step is null).Sum(e => e.Minutes ?? 0);
        return Math.Max(0, loose) + ByStep(entries).Values.Sum();
    }
}
