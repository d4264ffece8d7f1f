using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Stores;

namespace Foundling.Core.Rod.Ways;

/// <summary>How many coats go on.</summary>
public static class CoatWays
{
    private static readonly Dictionary<WayId, int> Counts = new()
    {
        [WayId.OneCoat] = 1, [WayId.TwoCoats] = 2, [WayId.ThreeCoats] = 3, [WayId.FourCoats] = 4,
    };

    /// <summary>Coats of paint or japan on metal.</summary>
    public static Choice Metal { get; } = new(ChoiceId.MetalCoats, "Coats on the metal", "how many coats of paint or japan", SurfaceWays.Renews,
    [
        new(WayId.OneCoat, "one", "over a sound old coat of its own colour"),
        new(WayId.TwoCoats, "two", "covers, and wears evenly"),
        new(WayId.ThreeCoats, "three", "japan, which is thin; paint that is looked at"),
        new(WayId.FourCoats, "four", "to fill small pits"),
    ], q => SurfaceWays.CoatedBy(q, WayId.Bake).Count > 0 ? (WayId.ThreeCoats, "Japan goes on thin.") : (WayId.TwoCoats,
        "It wears from the edges, so there must be two."));

    /// <summary>How an old coat comes off.</summary>
    public static Choice Strip { get; } = new(ChoiceId.Strip, "The old coat comes off by", "how metal is bared for a new coat", q => SurfaceWays.Strips(q)
        && SurfaceWays.Stripped(q).Except(q.RustPlan.By(WayId.Blast)).Except(q.RustPlan.By(WayId.BlastCoarse)).Any(),
    [
        new(WayId.Chemical, "paint stripper", "no dust, corners too; slow in the cold", Coating: "stripped"),
        new(WayId.Scrape, "a scraper, dry", "without chemicals; the most work", Coating: "stripped"),
        new(WayId.Heat, "hot air", "quick on thick paint; old paint may hold lead", Coating: "stripped"),
        new(WayId.Blast, "soft blasting", "every corner, matt", Stamps: "blur", Coating: "stripped") { Kit = [SupplyIds.BlastCabinet] },
        new(WayId.BlastCoarse, "coarse blasting", "crust and coat in one, a key for paint", "goes", "go", "stripped") { Kit = [SupplyIds.BlastCabinet] },
    ], _ => (WayId.Chemical, "It raises no dust."));

    /// <summary>Whether a primer goes under paint.</summary>
    public static Choice Primer { get; } = new(ChoiceId.Primer, "Under the paint goes", "whether a primer comes first",
        q => SurfaceWays.CoatedBy(q, WayId.Respray).Count > 0,
    [
        new(WayId.NoPrimer, "none", "over a sound old coat"),
        new(WayId.Primed, "a primer", "on bare metal, or to level what is left of the old coat"),
    ], q => SurfaceWays.Strips(q) ? (WayId.Primed, "Bare iron holds paint badly.") : (WayId.NoPrimer, "A sound old coat is the best primer."));

    /// <summary>How many colours a new coat has.</summary>
    public static Choice Colours { get; } = new(ChoiceId.Colours, "The new paint is", "one colour, or two", q => SurfaceWays.CoatedBy(q,
        WayId.Respray).Count > 0,
    [
        new(WayId.OneColour, "one colour", "as most left the works"),
        new(WayId.TwoColours, "two colours", "raised letters, or a part that had its own"),
    ], _ => (WayId.OneColour, "Nothing says that there were two."));

    /// <summary>Coats of oil, shellac or lacquer on wood.</summary>
    public static Choice Wood { get; } = new(ChoiceId.WoodCoats, "Coats on the wood", "how many coats of oil, shellac or lacquer",
        q => SurfaceWays.FinishedBy(q, WayId.Oil, WayId.OilWax, WayId.OilShellac, WayId.Shellac, WayId.Lacquer).Count > 0,
    [
        new(WayId.OneCoat, "one", "enough to work with"),
        new(WayId.TwoCoats, "two", "an even tone on bare wood"),
        new(WayId.ThreeCoats, "three", "shellac and lacquer, which are thin"),
        new(WayId.FourCoats, "four", "a full shine"),
    ], q => SurfaceWays.FinishedBy(q, WayId.Shellac, WayId.Lacquer, WayId.OilShellac).Count > 0 ? (WayId.ThreeCoats, "Thin coats make an even shine.")
        : q.Aim == AimKind.Work ? (WayId.OneCoat, "Enough to work with; it is easily renewed.") : (WayId.TwoCoats, "One coat dries patchy on bare wood."));

    /// <summary>How many coats the way of a choice is.</summary>
    /// <param name="q">What is planned.</param>
    /// <param name="choice">Coats on metal or on wood.</param>
    public static int Count(PlanQuestion q, ChoiceId choice) => Counts[q.Way(choice)];

    /// <summary>A coat in its turn: "First", "Second".</summary>
    public static string Turn(int coat) => coat switch { 1 => "First", 2 => "Second", 3 => "Third", _ => "Fourth" };
}
