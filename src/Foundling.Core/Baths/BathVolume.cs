namespace Foundling.Core.Baths;

/// <summary>Inside of a tub, mm.</summary>
public sealed record Tub(double InsideLengthMm, double InsideWidthMm, double InsideDepthMm);

/// <summary>A part as it lies in the tub.</summary>
public sealed record SoakPart(string Name, double LengthMm, double HeightMm, double MassG = 0, double DensityGCm3 = 7.2);

/// <summary>A tub and what shall go in.</summary>
public sealed record BathVolumeInput(Tub Bath, IReadOnlyList<SoakPart> Parts);

/// <summary>Liquid to mix and how the longest part lies.</summary>
public sealed record BathVolumeResult(double FillDepthMm, double DisplacedMl, double LiquidMl, int? Turns, bool TurnsRefused, double LongestPartMm);

/// <summary>How much liquid covers a load.</summary>
public static class BathVolume
{
    /// <summary>Liquid to cover the highest part, less what the parts displace; turns for a part longer than the tub.</summary>
    /// <exception cref="InputException">A part too deep for the tub.</exception>
    public static BathVolumeResult Of(BathVolumeInput input, Assumptions assumptions)
    {
        Assumptions a = assumptions;
        Tub tub = input.Bath;
        double area = Check.Positive(tub.InsideLengthMm) * Check.Positive(tub.InsideWidthMm);
        if (input.Parts.Count == 0)
        {
            throw new InputException("required", "parts", 0, "at least one part", "Name at least one part to soak.");
        }
        double height = input.Parts.Max(p => Check.Positive(p.HeightMm)), length = input.Parts.Max(p => Check.Positive(p.LengthMm));
        double fill = height + a.BathCoverMm, most = Check.Positive(tub.InsideDepthMm) - a.BathRimMm;
        if (fill > most + Whole.Slack)
        {
            double deepest = Math.Max(0, most - a.BathCoverMm);
            throw new InputException("part_too_deep", "height_mm", height, $"at most {deepest:0.#}",
                $"A part {height:0.#} mm high cannot be covered in this tub; {deepest:0.#} mm is the most.")
            {
                Details = { ["deepest_part_mm"] = deepest },
            };
        }
        double displaced = input.Parts.Sum(p => Check.NotNegative(p.MassG) / Check.Positive(p.DensityGCm3));
        double run = Run(Math.Max(tub.InsideLengthMm, tub.InsideWidthMm), a);
        int turns = Turns(length, run, a);
        bool refused = turns > MostTurns;
        return new BathVolumeResult(fill, displaced, (area * fill / 1000) - displaced, refused ? null : turns, refused, LongestMm(run, a));
    }

    /// <summary>In more turns than this the middle of a part never goes under.</summary>
    public const int MostTurns = 2;

    /// <summary>Length of a part that lies under along a tub, mm.</summary>
    /// <param name="insideMm">Inside length of the tub, mm.</param>
    /// <param name="a">Room at its ends.</param>
    public static double Run(double insideMm, Assumptions a) => insideMm - a.BathEndRoomMm;

    /// <summary>The longest part that goes under end for end, mm.</summary>
    public static double LongestMm(double runMm, Assumptions a) => (MostTurns * runMm) - a.BathOverlapMm;

    /// <summary>In how many turns a part goes under.</summary>
    public static int Turns(double lengthMm, double runMm, Assumptions a) => lengthMm <= runMm + Whole.Slack ? 1
        : Math.Max(1, Whole.Ceiling((lengthMm - a.BathOverlapMm) / (runMm - a.BathOverlapMm)));
}

/// <summary>Acid baths that are mixed.</summary>
public enum Acid
{
    /// <summary>Citric acid, from powder.</summary>
    Citric,

    /// <summary>Vinegar.</summary>
    Acetic,
}

/// <summary>A bath to be mixed.</summary>
public sealed record MixingInput(Acid Acid, double VolumeMl, double TargetPercent, double? StockPercent = null);

/// <summary>What to put together; only the lines that apply are filled.</summary>
public sealed record MixingResult(double? CitricG, double? VinegarMl, double? WaterMl);

/// <summary>Mixing and using up acid baths.</summary>
public static class Mixing
{
    /// <summary>Citric by weight in volume, vinegar by thinning.</summary>
    public static MixingResult Of(MixingInput input)
    {
        double ml = Check.Positive(input.VolumeMl), percent = Check.Between(input.TargetPercent, 0, 100);
        if (input.Acid == Acid.Citric)
        {
            return new MixingResult(percent / 100 * ml, null, null);
        }
        double stock = Check.Between(input.StockPercent ?? throw new InputException("required", "stock_percent", null, "the strength on the bottle",
            "Say how strong the vinegar is; it stands on the bottle."), 0, 100, "stock_percent");
        if (percent > stock + Whole.Slack)
        {
            throw new InputException("target_stronger_than_stock", "target_percent", percent, $"at most {stock:0.##}",
                $"Vinegar of {stock:0.##} % cannot be made into {percent:0.##} % by adding water.");
        }
        double vinegar = ml * percent / stock;
        return new MixingResult(null, vinegar, ml - vinegar);
    }

    /// <summary>Iron in the rust on an area, g.</summary>
    /// <param name="areaMm2">The area, mm².</param>
    /// <param name="rust">How rusty it is.</param>
    /// <param name="a">How deep rust is, how heavy, and how much of it is iron.</param>
    public static double IronG(double areaMm2, RustLevel rust, Assumptions a) => areaMm2 * Soak.RustDepthMm(rust, a) / 1000 * a.RustDensity * a.IronInRust;

    /// <summary>Iron a bath has taken, what is left of it, and what neutralises the rest.</summary>
    public static SpentResult Spent(SpentInput input, Assumptions assumptions)
    {
        Assumptions a = assumptions;
        double taken = 0;
        foreach (BathLoad load in input.Loads)
        {
            taken += load is { BeforeG: double before, AfterG: double after }
                ? after > before
                    ? throw new InputException("heavier_after", "after_g", after, $"at most {before:0.##}",
                        $"A part cannot come out heavier ({after:0.##} g) than it went in ({before:0.##} g).")
                    : (before - after) * a.IronInRust
                : load is { AreaMm2: double area, Rust: RustLevel rust } ? IronG(Check.NotNegative(area, "area_mm2"), rust, a)
                : throw new InputException("required", "loads", null, "weights before and after, or area and rust",
                    "Each load needs its weights before and after, or its area and how rusty it was.");
        }
        double capacity = Check.Positive(input.AcidG) * Check.Positive(input.TheoreticalGIronPerGAcid) * a.BathCapacityShare;
        double free = Math.Max(0, input.AcidG - (taken / input.TheoreticalGIronPerGAcid));
        return new SpentResult(taken, capacity, taken / capacity, free, free * Chemistry.BicarbonatePerAcid(input.Acid));
    }
}

/// <summary>One load a bath has had: weighed, or by area and rust.</summary>
public sealed record BathLoad(double? BeforeG = null, double? AfterG = null, double? AreaMm2 = null, RustLevel? Rust = null);

/// <summary>A used bath.</summary>
public sealed record SpentInput(Acid Acid, double AcidG, double TheoreticalGIronPerGAcid, IReadOnlyList<BathLoad> Loads);

/// <summary>How far a bath is used up, and the bicarbonate to neutralise it, g.</summary>
public sealed record SpentResult(double IronTakenG, double CapacityGIron, double Spent, double FreeAcidG, double BicarbonateG);
