using Foundling.Core.Aim;
using Foundling.Core.Keys;

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
    ], q => q.Way(ChoiceId.Coating) == WayId.Bake ? (WayId.ThreeCoats, "Japan goes on thin.") : (WayId.TwoCoats,
        "It wears from the edges, so there must be two."));

    /// <summary>Coats of oil, shellac or lacquer on wood.</summary>
    public static Choice Wood { get; } = new(ChoiceId.WoodCoats, "Coats on the wood", "how many coats of oil, shellac or lacquer",
        q => SurfaceWays.Wood.Asked(q) && q.Way(ChoiceId.Wood) is WayId.Oil or WayId.OilWax or WayId.Shellac or WayId.Lacquer,
    [
        new(WayId.OneCoat, "one", "enough to work with"),
        new(WayId.TwoCoats, "two", "an even tone on bare wood"),
        new(WayId.ThreeCoats, "three", "shellac and lacquer, which are thin"),
        new(WayId.FourCoats, "four", "a full shine"),
    ], q => q.Way(ChoiceId.Wood) is WayId.Shellac or WayId.Lacquer ? (WayId.ThreeCoats, "Thin coats make an even shine.")
        : q.Aim == AimKind.Work ? (WayId.OneCoat, "Enough to work with; it is easily renewed.") : (WayId.TwoCoats, "One coat dries patchy on bare wood."));

    /// <summary>How many coats the way of a choice is.</summary>
    /// <param name="q">What is planned.</param>
    /// <param name="choice">Coats on metal or on wood.</param>
    public static int Count(PlanQuestion q, ChoiceId choice) => Counts[q.Way(choice)];

    /// <summary>A coat in its turn: "First", "Second".</summary>
    public static string Turn(int coat) => coat switch { 1 => "First", 2 => "Second", 3 => "Third", _ => "Fourth" };
}
