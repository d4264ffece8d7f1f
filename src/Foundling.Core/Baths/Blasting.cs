namespace Foundling.Core.Baths;

/// <summary>Blasting with a small compressor.</summary>
/// <param name="TankL">Its tank, L.</param>
/// <param name="HighBar">Pressure at which it switches off, bar over the air's.</param>
/// <param name="LowBar">Pressure down to which the gun still works, bar over the air's.</param>
/// <param name="GunLMin">What the gun takes, litres of free air a minute.</param>
/// <param name="AreaMm2">What is to be blasted, mm².</param>
/// <param name="DeliveryLMin">What the compressor delivers, litres of free air a minute; null where only its displacement is known.</param>
/// <param name="DisplacementLMin">What it draws in as it says on its plate, L/min; null where its delivery is known.</param>
public sealed record BlastingInput(double TankL, double HighBar, double LowBar, double GunLMin, double AreaMm2, double? DeliveryLMin = null,
    double? DisplacementLMin = null);

/// <summary>How it goes, in passes between which the tank fills again.</summary>
/// <param name="DeliveryLMin">What it delivers, litres of free air a minute.</param>
/// <param name="StoredL">Free air a full tank gives before the gun starves, L.</param>
/// <param name="BlastSeconds">How long one pass may be, s; null where the compressor keeps up with the gun.</param>
/// <param name="RecoverySeconds">How long the tank fills again, s; 0 where it keeps up.</param>
/// <param name="Passes">How many passes the area takes.</param>
/// <param name="BlastMinutes">Minutes at the gun.</param>
/// <param name="TotalMinutes">Minutes with the waits for air.</param>
/// <param name="Before">What comes before, in a sentence.</param>
public sealed record BlastingResult(double DeliveryLMin, double StoredL, double? BlastSeconds, double RecoverySeconds, int Passes, double BlastMinutes,
    double TotalMinutes, string Before);

/// <summary>How far the air of a small compressor goes.</summary>
public static class Blasting
{
    private const double BarOfAir = 1.01325, SecondsAMinute = 60, Mm2InDm2 = 10_000, MostMm2 = 100_000_000;

    /// <summary>Passes, waits and minutes for an area: air in a tank by Boyle's law at the temperature of the shop.</summary>
    /// <exception cref="InputException">A compressor or a gun as there is none.</exception>
    public static BlastingResult Of(BlastingInput input, Assumptions a)
    {
        double tank = Check.Between(input.TankL, 0, 2000, "tank_l"), high = Check.Between(input.HighBar, 0, 16, "high_bar"),
            low = Check.Between(input.LowBar, 0, 16, "low_bar"), gun = Check.Between(input.GunLMin, 0, 5000, "gun_l_min");
        if (low >= high)
        {
            throw new InputException("pressure_band", "low_bar", low, $"below {high:0.#}",
                $"The gun works down to {low:0.#} bar and the tank is full at {high:0.#} bar: there is nothing between.");
        }
        double delivery = input.DeliveryLMin is double d ? Check.Between(d, 0, 5000, "delivery_l_min")
            : input.DisplacementLMin is double plate ? Check.Between(plate, 0, 5000, "displacement_l_min") * a.FreeAirShare
            : throw new InputException("required", "delivery_l_min", null, "litres of free air a minute",
                "Say what the compressor delivers, or what its plate says.");
        double stored = tank * (high - low) / BarOfAir, minutes = Check.Between(input.AreaMm2, 0, MostMm2, "area_mm2") / Mm2InDm2 / a.BlastDm2Min;
        const string before = "Tar and grease come off first, or they drive the medium into the seams; drain the water from tank and line.";
        if (delivery >= gun)
        {
            return new BlastingResult(delivery, stored, null, 0, 1, minutes, minutes, before);
        }
        double pass = stored / (gun - delivery), fill = stored / delivery;
        int passes = Math.Max(1, Whole.Ceiling(minutes / pass));
        return new BlastingResult(delivery, stored, pass * SecondsAMinute, fill * SecondsAMinute, passes, minutes, minutes + ((passes - 1) * fill), before);
    }
}

/// <summary>Electrolysis of a load.</summary>
/// <param name="AreaMm2">Its surface, mm².</param>
/// <param name="Rust">How rusty it is.</param>
/// <param name="VolumeL">Water in the tub, L.</param>
/// <param name="SupplyLimitA">What the supply gives at most, A; null for as much as is wanted.</param>
public sealed record ElectrolysisInput(double AreaMm2, RustLevel Rust, double VolumeL, double? SupplyLimitA = null);

/// <summary>How it is set up and how long it runs.</summary>
/// <param name="WantedA">Current the area wants, A.</param>
/// <param name="CurrentA">Current it gets, A.</param>
/// <param name="WashingSodaG">Washing soda in the water, g.</param>
/// <param name="Hours">How long, h.</param>
/// <param name="LookInMinutes">When to look in, min.</param>
/// <param name="OilWithinMinutes">From the rinse to the oil, min.</param>
/// <param name="Anode">What the anode is, in a sentence.</param>
/// <param name="Air">What becomes of the gas, in a sentence.</param>
public sealed record ElectrolysisResult(double WantedA, double CurrentA, double WashingSodaG, double Hours, double LookInMinutes, double OilWithinMinutes,
    string Anode, string Air);

/// <summary>Electrolysis in washing soda.</summary>
public static class Electrolysis
{
    /// <summary>Current, electrolyte and time for a load; neither cold nor age counts.</summary>
    /// <exception cref="InputException">A load or a tub as there is none.</exception>
    public static ElectrolysisResult Of(ElectrolysisInput input, Assumptions a)
    {
        SoakResult soak = Soak.Time(new SoakInput(BathKind.Electrolysis, input.Rust, AreaMm2: Check.Positive(input.AreaMm2, "area_mm2"),
            VolumeL: Check.Positive(input.VolumeL, "volume_l"), SupplyLimitA: input.SupplyLimitA), a);
        return new ElectrolysisResult(soak.WantedA!.Value, soak.CurrentA!.Value, soak.WashingSodaG!.Value, soak.SoakHours, soak.LookInMinutes,
            soak.DryAndOilWithinMinutes, "Plain mild steel all round the work, never stainless, which makes poisonous chromium; it is eaten and replaced.",
            "It gives off hydrogen: outdoors or in moving air, no flame or spark, power off before touching.");
    }
}
