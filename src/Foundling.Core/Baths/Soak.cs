namespace Foundling.Core.Baths;

/// <summary>How rusty a part is.</summary>
public enum RustLevel
{
    /// <summary>A brown bloom.</summary>
    Light,

    /// <summary>Brown all over.</summary>
    Medium,

    /// <summary>Scale that stands up.</summary>
    Heavy,
}

/// <summary>Liquids and methods that take rust off in a tub.</summary>
public enum BathKind
{
    /// <summary>Chelating bath.</summary>
    Chelating,

    /// <summary>Citric acid.</summary>
    Citric,

    /// <summary>Vinegar.</summary>
    Acetic,

    /// <summary>Phosphoric acid.</summary>
    Phosphoric,

    /// <summary>Electrolysis in washing soda.</summary>
    Electrolysis,
}

/// <summary>A load in a bath; <c>Share</c> is the share of the soak that is wanted, where what is left comes off otherwise.</summary>
public sealed record SoakInput(
    BathKind Bath,
    RustLevel Rust,
    double TemperatureC = 20,
    double? Percent = null,
    double Spent = 0,
    double RelativeHumidityPercent = 50,
    double? OutByHours = null,
    double? RoomTemperatureC = null,
    double? VolumeL = null,
    double? AreaMm2 = null,
    double? SupplyLimitA = null,
    double Share = 1);

/// <summary>How long, when to look, and when it must be out.</summary>
public sealed record SoakResult(
    double ReferenceHours,
    double SoakHours,
    double? MustBeOutHours,
    int Soaks,
    double HoursEach,
    double LookInMinutes,
    double DryAndOilWithinMinutes,
    double? WantedA = null,
    double? CurrentA = null,
    double? WashingSodaG = null);

/// <summary>Soak times by bath, rust, strength, age and temperature.</summary>
public static class Soak
{
    /// <summary>Assumed depth of rust, mm.</summary>
    public static double RustDepthMm(RustLevel rust, Assumptions a) => rust switch
    {
        RustLevel.Light => a.RustDepthLightMm, RustLevel.Medium => a.RustDepthMediumMm, _ => a.RustDepthHeavyMm,
    };

    /// <summary>Assumed hours at 20 °C in a fresh bath of reference strength.</summary>
    public static double ReferenceHours(BathKind bath, RustLevel rust, Assumptions a)
    {
        double[] hours = bath switch
        {
            BathKind.Chelating => [a.SoakChelatingLightHours, a.SoakChelatingMediumHours, a.SoakChelatingHeavyHours],
            BathKind.Citric => [a.SoakCitricLightHours, a.SoakCitricMediumHours, a.SoakCitricHeavyHours],
            BathKind.Acetic => [a.SoakAceticLightHours, a.SoakAceticMediumHours, a.SoakAceticHeavyHours],
            BathKind.Phosphoric => [a.SoakPhosphoricLightHours, a.SoakPhosphoricMediumHours, a.SoakPhosphoricHeavyHours],
            _ => [a.SoakElectrolysisLightHours, a.SoakElectrolysisMediumHours, a.SoakElectrolysisHeavyHours],
        };
        return hours[(int)rust];
    }

    /// <summary>Minutes from the rinse within which wet bare iron must be oiled.</summary>
    public static double OilWithinMin(BathKind? bath, double relativeHumidityPercent, Assumptions a) =>
        (bath == BathKind.Chelating ? a.OilWithinChelatingMin : a.OilWithinAcidMin)
        * (relativeHumidityPercent > a.DampPercent ? a.DampPercent / relativeHumidityPercent : 1);

    /// <summary>How many times as long as at 20 °C it takes: 2^((20 - T)/10).</summary>
    /// <param name="temperatureC">Temperature, °C.</param>
    public static double SlowerAt(double temperatureC) => Math.Pow(2, (20 - temperatureC) / 10);

    /// <summary>How often to look in on a soak, min: four times over it, and always before it must be out.</summary>
    /// <param name="hours">How long one soak is, h.</param>
    /// <param name="outByHours">It must be out by then, h; null for no limit.</param>
    public static double LookInMin(double hours, double? outByHours) =>
        Math.Min(Math.Clamp(hours * 60 / 4, 20, 240), outByHours is double by ? by * 60 : double.MaxValue);

    private const double LeastShare = 0.01, LeastPercent = 0.01, ColdestRoomC = -20, HottestRoomC = 60, LeastLitres = 0.05, MostLitres = 5000;

    /// <summary>Time for a load; several soaks with a scrub between when a limit is shorter.</summary>
    public static SoakResult Time(SoakInput input, Assumptions assumptions)
    {
        Assumptions a = assumptions;
        Check.Within(input.TemperatureC, 0, 90);
        Check.Within(input.Spent, 0, 100);
        Check.Within(input.RelativeHumidityPercent, 0, 100);
        double share = Check.Within(input.Share, LeastShare, 1, "share"), reference = ReferenceHours(input.Bath, input.Rust, a);
        bool electrolysis = input.Bath == BathKind.Electrolysis;
        (double? wanted, double? current, double? soda) = (null, null, null);
        double hours;
        if (electrolysis)
        {
            wanted = input.AreaMm2 is double area ? a.ElectrolysisADm2 * Check.Positive(area, "area_mm2") / 10_000 : null;
            current = wanted is double w && input.SupplyLimitA is double limit ? Math.Min(w, Check.Positive(limit, "supply_limit_a")) : wanted;
            soda = input.VolumeL is double litres ? a.WashingSodaGL * Check.Positive(litres, "volume_l") : null;
            hours = reference * share * (wanted / current ?? 1);
        }
        else
        {
            double? standard = input.Bath switch { BathKind.Citric or BathKind.Acetic => 5, BathKind.Phosphoric => 10, _ => null };
            double strength = standard is double s && input.Percent is double percent
                ? Math.Pow(s / Check.Within(percent, LeastPercent, 100, "percent"), a.AcidStrengthPower)
                : 1;
            double at20 = reference * share * strength / Math.Max(a.SpentLeastShare, 1 - input.Spent);
            hours = input is { RoomTemperatureC: double room, VolumeL: double volume }
                ? Cooling(at20, input.TemperatureC, Check.Within(room, ColdestRoomC, HottestRoomC, "room_temperature_c"), Check.Within(volume, LeastLitres,
                    MostLitres, "volume_l"), a.CoolingPerHour)
                : at20 * SlowerAt(input.TemperatureC);
        }
        int soaks = input.OutByHours is double outBy ? Math.Max(1, Whole.Ceiling(hours / Check.Positive(outBy, "out_by_hours"))) : 1;
        double each = hours / soaks;
        double look = LookInMin(each, input.OutByHours);
        double oil = OilWithinMin(input.Bath, input.RelativeHumidityPercent, a);
        return new SoakResult(reference, hours, input.OutByHours, soaks, each, look, oil, wanted, current, soda);
    }

    /// <summary>Temperature of a bath that was mixed warm, or cold, after a while, °C.</summary>
    /// <param name="from">As it was, °C.</param>
    /// <param name="room">The room, °C.</param>
    /// <param name="litres">How much of it there is, L: little cools fast.</param>
    /// <param name="hours">How long ago, h.</param>
    /// <param name="a">How fast 5 L cool.</param>
    public static double Cooled(double from, double room, double litres, double hours, Assumptions a) =>
        room + ((from - room) * Math.Exp(-Pace(Math.Max(LeastLitres, litres), a.CoolingPerHour) * Math.Max(0, hours)));

    // Little water cools fast: by its surface, which grows slower than what it holds.
    private static double Pace(double litres, double perHour) => perHour * Math.Cbrt(5 / litres);

    /// <summary>Hours until a cooling bath has done what <paramref name="at20"/> hours at 20 °C would do.</summary>
    private static double Cooling(double at20, double from, double room, double litres, double perHour)
    {
        double k = Pace(litres, perHour);
        double Rate(double h) => Math.Pow(2, (room + ((from - room) * Math.Exp(-k * h)) - 20) / 10);
        const double Step = 0.002, Cooled = 1e-9;
        double done = 0, h = 0;
        while (true)
        {
            if (Math.Abs(from - room) * Math.Exp(-k * h) < Cooled)
            {
                // As warm as the room by now: the rest goes at one pace.
                return h + ((at20 - done) / Rate(h));
            }
            double part = Step / 6 * (Rate(h) + (4 * Rate(h + (Step / 2))) + Rate(h + Step));
            if (done + part >= at20)
            {
                return h + (Step * (at20 - done) / part);
            }
            done += part;
            h += Step;
        }
    }
}
