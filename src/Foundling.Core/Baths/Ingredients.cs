using Foundling.Core.Stores;

namespace Foundling.Core.Baths;

/// <summary>Something a bath is put together from.</summary>
/// <param name="Item">What.</param>
/// <param name="Amount">How much, in its unit, as one would weigh or pour it.</param>
public sealed record Ingredient(SupplyId Item, double Amount);

/// <summary>What baths are put together from beside water; the rod and the baths room say the same.</summary>
public static class Ingredients
{
    private const double MlInL = 1000, Tenths = 10;

    /// <summary>What goes in: whole grams, tenths of a litre, never too little.</summary>
    /// <param name="bath">Which bath.</param>
    /// <param name="percent">Strength of an acid, %; not asked of others.</param>
    /// <param name="litres">How much is mixed, L.</param>
    /// <param name="a">How strong vinegar comes, and soda to the litre.</param>
    /// <exception cref="InputException">A strength or an amount that cannot be mixed.</exception>
    public static IReadOnlyList<Ingredient> Of(BathKind bath, double? percent, double litres, Assumptions a) => bath switch
    {
        BathKind.Citric => [new(SupplyIds.CitricAcid, Whole.Ceiling(Mixing.Of(new MixingInput(Acid.Citric, litres * MlInL, percent ?? 0)).CitricG!.Value))],
        BathKind.Acetic => [new(SupplyIds.Vinegar, Whole.Ceiling(Thinned(percent ?? 0, litres, a).VinegarMl!.Value / MlInL * Tenths) / Tenths)],
        BathKind.Electrolysis => [new(SupplyIds.WashingSoda, Math.Round(a.WashingSodaGL * litres)), new(SupplyIds.PlainIronAnode, 1)],
        _ => [new(SupplyIds.ChelatingBath, litres)],
    };

    /// <summary>True for what such a bath is put together from.</summary>
    public static bool Are(BathKind bath, SupplyId item) => bath switch
    {
        BathKind.Citric => item == SupplyIds.CitricAcid,
        BathKind.Acetic => item == SupplyIds.Vinegar,
        BathKind.Electrolysis => item == SupplyIds.WashingSoda || item == SupplyIds.PlainIronAnode,
        _ => item == SupplyIds.ChelatingBath,
    };

    /// <summary>Water that goes in, L.</summary>
    public static double WaterL(BathKind bath, double? percent, double litres, Assumptions a) => bath switch
    {
        BathKind.Acetic => Thinned(percent ?? 0, litres, a).WaterMl!.Value / MlInL,
        BathKind.Citric or BathKind.Electrolysis => litres,
        _ => 0,
    };

    private static MixingResult Thinned(double percent, double litres, Assumptions a) =>
        Mixing.Of(new MixingInput(Acid.Acetic, litres * MlInL, percent, Math.Clamp(a.AcidPercent, percent, 100)));
}
