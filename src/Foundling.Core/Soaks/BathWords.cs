using Foundling.Core.Baths;

namespace Foundling.Core.Soaks;

/// <summary>What baths are called and how they stand, in words.</summary>
public static class BathWords
{
    private const double AlmostSpent = 0.8, HalfSpent = 0.5, Percent = 100;

    /// <summary>The liquid: "citric acid, 5 %".</summary>
    public static string Liquid(BathKind kind, double? percent) => (kind switch
    {
        BathKind.Citric => "citric acid", BathKind.Acetic => "vinegar", BathKind.Phosphoric => "phosphoric acid",
        BathKind.Electrolysis => "washing soda, for electrolysis", _ => "chelating bath",
    }) + (percent is double strength ? $", {strength:0.#} %" : "");

    /// <summary>How far it is used up, in words: "fresh", "a third used".</summary>
    public static string Age(double spent) => spent switch
    {
        < 0.03 => "fresh", < HalfSpent => $"{spent * Percent:0} % used", < AlmostSpent => $"{spent * Percent:0} % used: slower than fresh",
        < 1 => $"{spent * Percent:0} % used: one small load, then mix anew", _ => "used up: mix anew",
    };

    /// <summary>What is advised after a look, with its reason.</summary>
    /// <param name="state">The bath.</param>
    /// <param name="load">The load that was looked at.</param>
    /// <param name="times">How it looks now.</param>
    /// <param name="now">Now.</param>
    public static string Advice(BathState state, LoadNow load, SoakTimes times, DateTimeOffset now)
    {
        if (load.Looks.Count == 0)
        {
            return "";
        }
        BathNote seen = load.Looks[^1].Note;
        bool acid = state.Bath.IsAcid;
        return times.Late(now) ? "Take it out now: it is past its time, and what it loses from here on is metal."
            : seen.Left is <= 0.02 ? $"Take it out: no rust is left, and every hour more {(acid ? "costs metal" : "only dulls")}."
            : acid && seen is { Bubbles: Bubbles.Many, Left: <= 0.3 } ? "Take it out and scrub: the bubbles come from bare metal now."
            : seen.Colour == LiquidColour.Black && state.Bath.Kind == BathKind.Chelating
                ? "Leave it, but do not count on this bath again: black means that it is used up."
            : times.ReadyAt - now < TimeSpan.FromMinutes(20) ? "Stay near: it is ready within minutes."
            : seen.Left is > 0.9 && times.ReadyAt - load.InAt > (now - load.InAt) * 3 && now - load.InAt > TimeSpan.FromHours(2)
                ? "Leave it, and ask whether grease is in the way: hardly anything has come off."
            : "Leave it: it does what it should.";
    }
}
