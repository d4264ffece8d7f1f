using Foundling.Core.Baths;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod.Rust;

/// <summary>A bath as it is mixed for a job.</summary>
/// <param name="Kind">Which bath.</param>
/// <param name="Percent">Strength of an acid, %.</param>
/// <param name="WarmC">How warm it is mixed, °C; null for as warm as the shop.</param>
/// <param name="Share">Share of the soak that is given to it; what is left comes off otherwise.</param>
public sealed record BathMix(BathKind Kind, double? Percent = null, double? WarmC = null, double Share = 1)
{
    /// <summary>True for an acid, which is neutralised.</summary>
    public bool IsAcid => Kind is BathKind.Citric or BathKind.Acetic or BathKind.Phosphoric;

    /// <summary>What it is called: "warm citric acid, 5 %".</summary>
    public string Name
    {
        get
        {
            string liquid = Kind switch
            {
                BathKind.Electrolysis => "the electrolysis tub", BathKind.Chelating => "the chelating bath", _ => BathNames.Liquid(Kind),
            };
            return $"{(WarmC is null ? "" : "warm ")}{liquid}{(Percent is double percent ? $", {percent:0.#} %" : "")}";
        }
    }

    /// <summary>The bath of a way, as this shop mixes it; null for a way that uses none.</summary>
    /// <param name="way">A way to take rust off.</param>
    /// <param name="a">Strength and warmth.</param>
    public static BathMix? Of(WayId way, Assumptions a)
    {
        // Water is neither frozen nor boiling, whatever a shop assumes.
        double percent = Math.Clamp(a.AcidPercent, LeastPercent, 100), warm = Math.Clamp(a.WarmBathC, 1, HottestC);
        return way switch
        {
            WayId.Chelating => new BathMix(BathKind.Chelating),
            WayId.Citric => new BathMix(BathKind.Citric, percent),
            WayId.CitricWarm or WayId.Dip => new BathMix(BathKind.Citric, percent, warm),
            WayId.SoakWheel => new BathMix(BathKind.Citric, percent, Share: Math.Clamp(a.SoakWheelShare, LeastPercent, 1)),
            WayId.Vinegar => new BathMix(BathKind.Acetic, percent),
            WayId.VinegarHalf => new BathMix(BathKind.Acetic, percent / 2),
            WayId.Electrolysis => new BathMix(BathKind.Electrolysis),
            _ => null,
        };
    }

    private const double LeastPercent = 0.02, HottestC = 90;
}
