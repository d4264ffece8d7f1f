using Foundling.Core.Baths;
using Foundling.Core.Log;

namespace Foundling.Core.Soaks;

/// <summary>How long rust of a grade took in a kind of bath, by the book and by the shop's own soaks.</summary>
/// <param name="Bath">The bath.</param>
/// <param name="Rust">How rusty.</param>
/// <param name="BookHours">Hours of the book at 20 °C in a fresh bath of reference strength.</param>
/// <param name="UsedHours">Hours that are reckoned with now.</param>
/// <param name="Own">What the shop's soaks say, in minutes at 20 °C in a fresh bath.</param>
public sealed record LearnedSoak(BathKind Bath, RustLevel Rust, double BookHours, double UsedHours, PaceResult Own)
{
    private const double MinutesAnHour = 60;

    /// <summary>Hours half of them take by the shop's own soaks.</summary>
    public double OwnHours => Own.LikelyMedianMin / MinutesAnHour;

    /// <summary>Hours one in ten is under, and one in ten over.</summary>
    public (double Low, double High) Between => (Own.LowP10Min / MinutesAnHour, Own.HighP90Min / MinutesAnHour);

    /// <summary>Name of the assumption that holds it.</summary>
    public string Assumption => NameOf(Bath, Rust);

    /// <summary>The same as it would be reckoned with, to the tenth of an hour.</summary>
    public double OwnRoundedHours => Math.Round(OwnHours, 1);

    internal static string NameOf(BathKind bath, RustLevel rust) => $"soak_{Keys.KeyText.Of(bath, '_')}_{Keys.KeyText.Of(rust, '_')}_hours";
}

/// <summary>What the shop's own soaks say about soak times. Source: the same rule as for the pace of steps.</summary>
public static class LearnedSoaks
{
    // A soak tells little of its end before half of the rust is gone.
    private const double LeastGone = 1 / (double)2;

    /// <summary>What each kind of bath and grade of rust took, where at least one soak tells.</summary>
    /// <param name="baths">All baths, also those poured away.</param>
    /// <param name="air">The shop.</param>
    public static IReadOnlyList<LearnedSoak> Of(IEnumerable<BathState> baths, SoakAir air)
    {
        Assumptions a = air.Assumptions;
        return
        [
            .. baths.SelectMany(b => b.Loads.SelectMany(l => Times(b, l, air))).GroupBy(t => (t.Bath, t.Rust)).OrderBy(g => g.Key).Select(g =>
            {
                double book = Assumptions.Book.First(f => f.Name == LearnedSoak.NameOf(g.Key.Bath, g.Key.Rust)).Value;
                double used = Soak.ReferenceHours(g.Key.Bath, g.Key.Rust, a);
                return new LearnedSoak(g.Key.Bath, g.Key.Rust, book, used, Pace.Of(new PaceInput(book * 60,
                    [.. g.OrderByDescending(t => t.At).Take(Pace.MostJobs).Select(t => t.Hours * 60)]), a));
            }),
        ];
    }

    /// <summary>
    /// What a load says: for each part somebody looked at when at least half was gone, the hours it would have taken in a fresh bath at 20 °C.
    /// </summary>
    public static IEnumerable<(BathKind Bath, RustLevel Rust, double Hours, DateTimeOffset At)> Times(BathState bath, LoadNow load, SoakAir air)
    {
        Dictionary<RustLevel, double> takes = SoakTimes.HoursOf(bath, load, air);
        foreach (SoakedPart part in load.Parts)
        {
            // The first look that saw it clean, or else the last that saw the half gone.
            var seen = load.Looks.Select(l => (l.At, Left: l.LeftOn(part.Key)))
                .Where(l => l.Left is double left && 1 - left >= LeastGone).ToList();
            if (seen.Count == 0)
            {
                continue;
            }
            (DateTimeOffset at, double? leftThen) = seen.FirstOrDefault(l => l.Left <= air.Assumptions.LookCleanShare) is { Left: not null } clean ? clean
                : seen[^1];
            double hours = (at - load.InAt).TotalHours / (1 - leftThen!.Value);
            if (hours > 0 && takes[part.Rust] > 0)
            {
                yield return (bath.Bath.Kind, part.Rust, Soak.ReferenceHours(bath.Bath.Kind, part.Rust, air.Assumptions) * hours / takes[part.Rust], at);
            }
        }
    }
}
