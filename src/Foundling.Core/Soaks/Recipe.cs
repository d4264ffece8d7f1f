using Foundling.Core.Baths;
using Foundling.Core.Safety;
using Foundling.Core.Stores;

namespace Foundling.Core.Soaks;

/// <summary>Something that is put together for a bath.</summary>
/// <param name="Item">What.</param>
/// <param name="Amount">How much, in its unit.</param>
/// <param name="Cost">What that costs, in the shop's money.</param>
public sealed record RecipeLine(SupplyId Item, double Amount, double Cost)
{
    /// <summary>What is known of it.</summary>
    public Supply Supply => Supplies.Find(Item)!;
}

/// <summary>What a bath is put together from, and what goes with it.</summary>
/// <param name="Lines">What goes in beside water.</param>
/// <param name="WaterL">Water, L.</param>
/// <param name="NeutraliseG">Bicarbonate that would neutralise it fresh, g; 0 for what needs none.</param>
/// <param name="Cautions">What to mind.</param>
/// <param name="Never">What must never go with it, in a sentence.</param>
public sealed record Recipe(IReadOnlyList<RecipeLine> Lines, double WaterL, double NeutraliseG, IReadOnlyList<Caution> Cautions, string Never)
{
    private const double HottestC = 90, ColdestC = 1, WeakestPercent = 0.5, StrongestPercent = 30;

    /// <summary>What all of it costs, in the shop's money.</summary>
    public double Cost => Lines.Sum(l => l.Cost);

    /// <summary>What a bath is put together from.</summary>
    /// <param name="bath">The bath.</param>
    /// <param name="a">Prices, and how strong vinegar comes.</param>
    /// <exception cref="InputException">A bath that cannot be mixed, or spills.</exception>
    public static Recipe Of(StandingBath bath, Assumptions a)
    {
        Checked(bath, a);
        List<RecipeLine> lines = [.. Ingredients.Of(bath.Kind, bath.Percent, bath.Litres, a).Select(i =>
            new RecipeLine(i.Item, i.Amount, i.Amount * a.PriceOf(Supplies.Find(i.Item)!)))];
        double free = BathState.Of(bath, a).Free(a).BicarbonateG;
        return new Recipe(lines, Ingredients.WaterL(bath.Kind, bath.Percent, bath.Litres, a), free,
            Safety.Cautions.Of([BathNames.CautionOf(bath.Kind)]), bath.Kind switch
        {
            BathKind.Electrolysis => "No stainless steel in it, as anode or as work, and no acid: soda and acid make nothing but foam.",
            BathKind.Chelating => "No bleach and no acid in it: they end it.",
            _ => "Never with bleach, and never soda in the same tub while parts are in.",
        });
    }

    /// <summary>The bath again, its figures looked at.</summary>
    /// <exception cref="InputException">What cannot be, in a sentence.</exception>
    public static StandingBath Checked(StandingBath bath, Assumptions a)
    {
        bath.Container = bath.Container.Checked();
        if (bath.Kind == BathKind.Phosphoric)
        {
            throw new InputException("no_recipe", "kind", "phosphoric", "citric, acetic, chelating or electrolysis",
                "Phosphoric acid is thinned as its data sheet says; this room has no recipe of its own for it.");
        }
        if (bath.IsAcid && !(bath.Percent is >= WeakestPercent and <= StrongestPercent))
        {
            throw new InputException("acid_strength", "percent", bath.Percent, $"{WeakestPercent:0.#} to {StrongestPercent:0}", bath.Percent is null
                ? "Say how strong the acid is to be, in percent; 5 is usual."
                : $"{bath.Percent:0.##} % is no bath for tools: between {WeakestPercent:0.#} and {StrongestPercent:0} %, and 5 is usual.");
        }
        bath.Percent = bath.IsAcid ? bath.Percent : null;
        if (bath.WarmC is double warm && !(warm >= ColdestC && warm <= HottestC))
        {
            throw new InputException("bath_temperature", "warm_c", warm, $"{ColdestC:0} to {HottestC:0}",
                $"Water of {warm:0.#} °C is {(warm > HottestC ? "too hot: it scalds, and drives the acid into the air" : "ice")}. "
                    + $"Between {ColdestC:0} and {HottestC:0} °C; as warm as a bath, about {a.WarmBathC:0} °C, is enough.");
        }
        double most = bath.Container.Litres(bath.Container.DepthMm - a.BathRimMm);
        return bath.Litres <= 0 || !double.IsFinite(bath.Litres)
            ? throw new InputException("bath_litres", "litres", bath.Litres, "more than 0", "Say how much liquid is mixed, in litres.")
            : bath.Litres > most + Whole.Slack ? throw new InputException("bath_spills", "litres", bath.Litres, $"at most {most:0.#}",
                $"{bath.Litres:0.#} L do not fit: up to {a.BathRimMm:0} mm below its rim this container holds {most:0.#} L.")
            : bath;
    }
}
