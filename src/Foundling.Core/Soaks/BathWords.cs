using Foundling.Core.Baths;
using Foundling.Core.Safety;
using Foundling.Core.Units;

namespace Foundling.Core.Soaks;

/// <summary>How baths stand and what is to be done with them, in words.</summary>
public static class BathWords
{
    private const double Percent = 100;

    /// <summary>How far it is used up, in words: "fresh", "20 % used".</summary>
    /// <param name="spent">Share of what it can take that it has taken.</param>
    /// <param name="a">From where on it is slow, and near its end.</param>
    public static string Age(double spent, Assumptions a) => spent < a.BathFreshShare ? "fresh" : spent >= 1 ? "used up: mix anew"
        : $"{spent * Percent:0} % used" + (spent < a.BathSlowShare ? "" : spent < a.BathEndShare ? ": slower than fresh" : ": one small load, then mix anew");

    /// <summary>How much rust is left, as one sees it without counting, %: what each is called.</summary>
    public static IReadOnlyList<(int Percent, string Name)> Shares { get; } =
        [(100, "all"), (75, "most"), (50, "half"), (20, "a little"), (0, "none")];

    /// <summary>What is advised after a look, with its reason: one sentence where all parts are alike, else one for each; none before the first.</summary>
    /// <param name="state">The bath.</param>
    /// <param name="load">The load that was looked at.</param>
    /// <param name="times">How it looks now.</param>
    /// <param name="air">The shop.</param>
    /// <param name="now">Now.</param>
    public static IReadOnlyList<string> Advice(BathState state, LoadNow load, SoakTimes times, SoakAir air, DateTimeOffset now)
    {
        List<(string Name, string Says)> parts = [.. load.Standing.Select(p => (p.Name, Advice(state, load, p, times, air, now)))];
        return parts.Select(p => p.Says).Distinct().ToList() is [string all] ? all.Length > 0 ? [all] : []
            : [.. parts.Where(p => p.Says.Length > 0).Select(p => $"{Sentences.Start(p.Name)}: {Sentences.Middle(p.Says)}")];
    }

    /// <summary>How much is left, in words: "20 % of the rust left".</summary>
    public static string Left(double share) => share <= 0 ? "no rust left" : $"{share * Percent:0} % of the rust left";

    /// <summary>What was seen in a look, in words: "frame 20 %, jaw none left".</summary>
    public static string Said(LoadNow load, Seen seen)
    {
        List<(string Name, double? Left)> parts = [.. load.Parts.Select(p => (p.Name, seen.LeftOn(p.Key))).Where(p => p.Item2 is not null)];
        return parts.Count == 0 ? "looked in"
            : parts.Count == load.Parts.Count && parts.Select(p => p.Left).Distinct().Count() == 1 ? Left(parts[0].Left!.Value)
            : string.Join(", ", parts.Select(p => $"{p.Name} {Left(p.Left!.Value)}"));
    }

    private static string Advice(BathState state, LoadNow load, SoakedPart part, SoakTimes times, SoakAir air, DateTimeOffset now)
    {
        if (load.Looks.Count == 0)
        {
            return "";
        }
        (Assumptions a, BathNote seen, bool acid) = (air.Assumptions, load.Looks[^1].Note with { Left = load.LeftOn(part.Key)?.Left }, state.Bath.IsAcid);
        return times.Late(now) ? "Take it out now: it is past its time, and what it loses from here on is metal."
            : seen.Left <= a.LookCleanShare ? $"Take it out: no rust is left, and every hour more {(acid ? "costs metal" : "only dulls")}."
            : acid && seen.Bubbles == Bubbles.Many && seen.Left <= a.LookBareShare ? "Take it out and scrub: the bubbles come from bare metal now."
            : seen.Colour == LiquidColour.Black && state.Bath.Kind == BathKind.Chelating
                ? "Leave it, but do not count on this bath again: black means that it is used up."
            : seen.Left >= a.LookStuckShare ? "Leave it, and ask whether grease is in the way: hardly anything has come off."
            : "Leave it: it does what it should.";
    }

    /// <summary>What to mind at steps that are done in this bath, whichever they were planned for.</summary>
    /// <param name="planned">What the steps ask to be minded.</param>
    /// <param name="kind">The bath they are done in.</param>
    public static IReadOnlyList<CautionId> Minded(IEnumerable<CautionId> planned, BathKind kind) =>
        [.. planned.Except(Enum.GetValues<BathKind>().Select(BathNames.CautionOf)).Append(BathNames.CautionOf(kind)).Distinct()];

    /// <summary>What is done between the bath and the oil, in order.</summary>
    /// <param name="bath">The bath.</param>
    public static IReadOnlyList<string> OutOf(StandingBath bath) =>
    [
        .. bath.Kind == BathKind.Electrolysis ? ["Power off, and the leads off the work."] : Array.Empty<string>(),
        "Scrub off the black, along the length, under running water.",
        .. bath.IsAcid ? ["Soda water, a tablespoon to the litre, until no bubble rises; then rinse again."] : Array.Empty<string>(),
        "Dry: cloth first, then warm air into every hole.",
        "Oil it while it is warm, all over.",
    ];

    /// <summary>What lies ready before anything is lifted out.</summary>
    /// <param name="bath">The bath.</param>
    public static string Ready(StandingBath bath) => $"Have water{(bath.IsAcid ? ", soda water" : "")}, cloth, warm air and oil ready first.";

    /// <summary>How it is got rid of.</summary>
    /// <param name="bath">The bath.</param>
    public static string Disposal(StandingBath bath) => bath.IsAcid ? "Neutralise it first, then as your local rules say: the iron in it counts too."
        : bath.Kind == BathKind.Chelating ? "It holds dissolved metal: not into a drain before local rules are read."
        : "Soda water with iron in it: as your local rules say.";
}
