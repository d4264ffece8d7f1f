namespace Foundling.Core.Baths;

/// <summary>Something that soaks, with what it stands: one part, or several that cannot be parted.</summary>
public interface ISoaks
{
    /// <summary>Its worst rust.</summary>
    RustLevel Rust { get; }

    /// <summary>It must be out by then, h; null for no known limit.</summary>
    double? LimitHours { get; }

    /// <summary>Its surface, dm².</summary>
    double AreaDm2 { get; }
}

/// <summary>How a mixed load is shared out over the time of a bath, so that the limit of one part never drags the others.</summary>
/// <typeparam name="TLoad">What soaks.</typeparam>
/// <param name="Main">What stays in to the end.</param>
/// <param name="Rounds">In how many soaks, with a scrub between.</param>
/// <param name="Early">What comes out before the rest.</param>
/// <param name="EarlyHours">When that comes out, h.</param>
/// <param name="Not">What does not go in, because it would have to come out before it had the better part of its time.</param>
public sealed record LoadSplit<TLoad>(IReadOnlyList<TLoad> Main, int Rounds, IReadOnlyList<TLoad> Early, double EarlyHours, IReadOnlyList<TLoad> Not)
    where TLoad : ISoaks;

/// <summary>Shares a load out.</summary>
public static class LoadSplit
{
    /// <summary>How a load is shared out.</summary>
    /// <param name="load">What is to soak.</param>
    /// <param name="hours">Hours each rust takes in this bath, without any limit.</param>
    /// <param name="mostSoaks">More soaks than this are not worth it.</param>
    /// <param name="worthShare">A bath is worth it for what can have this share of its time.</param>
    public static LoadSplit<TLoad> Of<TLoad>(IReadOnlyList<TLoad> load, IReadOnlyDictionary<RustLevel, double> hours, int mostSoaks, double worthShare)
        where TLoad : ISoaks
    {
        List<TLoad> may = [.. load.Where(l => l.LimitHours is not double own || Whole.Ceiling(hours[l.Rust] / own) <= mostSoaks)];
        List<TLoad> main = Staying(may, hours, mostSoaks, out int rounds);
        List<TLoad> others = [.. load.Except(main)];
        double round = main.Count == 0 ? 0 : main.Max(l => hours[l.Rust]) / rounds;
        (List<TLoad> early, double at) = main.Count == 0 ? ([], 0) : Leaving(others, hours, round, worthShare);
        return new LoadSplit<TLoad>(main, rounds, early, at, [.. others.Except(early)]);
    }

    // A limit holds for the rest only where most of what goes in has it.
    private static List<TLoad> Staying<TLoad>(List<TLoad> load, IReadOnlyDictionary<RustLevel, double> hours, int most, out int rounds)
        where TLoad : ISoaks
    {
        rounds = 1;
        if (load.Count == 0)
        {
            return [];
        }
        double longest = load.Max(l => hours[l.Rust]), half = load.Sum(l => l.AreaDm2) / 2;
        List<TLoad> Within(int n) => [.. load.Where(l => l.LimitHours is not double limit || limit >= (longest / n) - Whole.Slack)];
        while (rounds < most && Within(rounds).Sum(l => l.AreaDm2) < half)
        {
            rounds++;
        }
        return Within(rounds);
    }

    // Of those that may not stay in: the most that come out together inside the limit of each, clean or with the better part of their rust gone.
    private static (List<TLoad> Lots, double AtHours) Leaving<TLoad>(List<TLoad> load, IReadOnlyDictionary<RustLevel, double> hours, double round, double worth)
        where TLoad : ISoaks
    {
        List<TLoad> best = [];
        double by = 0;
        foreach (double limit in load.Where(l => l.LimitHours is not null).Select(l => l.LimitHours!.Value).Distinct())
        {
            List<TLoad> leave = [.. load.Where(l => limit <= l.LimitHours && limit >= (worth * hours[l.Rust]) - Whole.Slack)];
            if (leave.Sum(l => l.AreaDm2) > best.Sum(l => l.AreaDm2))
            {
                (best, by) = (leave, limit);
            }
        }
        return (best, best.Count == 0 ? 0 : Math.Min(Math.Min(round, by), best.Max(l => hours[l.Rust])));
    }
}
