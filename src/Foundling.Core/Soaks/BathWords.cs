using Foundling.Core.Baths;

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

    /// <summary>What is advised after a look, with its reason; empty before the first.</summary>
    /// <param name="state">The bath.</param>
    /// <param name="load">The load that was looked at.</param>
    /// <param name="times">How it looks now.</param>
    /// <param name="air">The shop.</param>
    /// <param name="now">Now.</param>
    public static string Advice(BathState state, LoadNow load, SoakTimes times, SoakAir air, DateTimeOffset now)
    {
        if (load.Looks.Count == 0)
        {
            return "";
        }
        (Assumptions a, BathNote seen, bool acid) = (air.Assumptions, load.Looks[^1].Note, state.Bath.IsAcid);
        return times.Late(now) ? "Take it out now: it is past its time, and what it loses from here on is metal."
            : seen.Left <= a.LookCleanShare ? $"Take it out: no rust is left, and every hour more {(acid ? "costs metal" : "only dulls")}."
            : acid && seen.Bubbles == Bubbles.Many && seen.Left <= a.LookBareShare ? "Take it out and scrub: the bubbles come from bare metal now."
            : seen.Colour == LiquidColour.Black && state.Bath.Kind == BathKind.Chelating
                ? "Leave it, but do not count on this bath again: black means that it is used up."
            : seen.Left >= a.LookStuckShare ? "Leave it, and ask whether grease is in the way: hardly anything has come off."
            : "Leave it: it does what it should.";
    }

    /// <summary>What is done between the bath and the oil, in order.</summary>
    /// <param name="bath">The bath.</param>
    public static IReadOnlyList<string> OutOf(StandingBath bath) =>
    [
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
