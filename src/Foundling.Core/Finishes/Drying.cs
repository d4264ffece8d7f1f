namespace Foundling.Core.Finishes;

/// <summary>When the next coat may go on, until when, and when it has cured, in minutes. The product's data sheet wins.</summary>
/// <param name="RecoatFromMin">Earliest next coat.</param>
/// <param name="RecoatUntilMin">Latest next coat; null for no end.</param>
/// <param name="CureMin">Cured.</param>
/// <param name="AgainMin">A coat that missed the window goes on again from here, after a rub-down; null where it never does, or the window has no end.</param>
public sealed record Drying(double RecoatFromMin, double? RecoatUntilMin, double CureMin, double? AgainMin = null)
{
    /// <summary>Air-dried enamel.</summary>
    public static Drying Enamel(Assumptions a) => new(a.EnamelRecoatFromHours * 60, a.EnamelRecoatUntilHours * 60, a.EnamelCureHours * 60,
        a.EnamelAgainHours * 60);

    /// <summary>Primer.</summary>
    public static Drying Primer(Assumptions a) => new(a.PrimerRecoatFromHours * 60, a.PrimerRecoatUntilHours * 60, a.EnamelCureHours * 60);

    /// <summary>Boiled linseed oil standing on wood: the window in which it is wiped off.</summary>
    public static Drying OilWipeOff(Assumptions a) => new(a.OilWipeFromMin, a.OilWipeUntilMin, a.OilRecoatHours * 60);

    /// <summary>Oil on wood.</summary>
    public static Drying Oil(Assumptions a) => new(a.OilRecoatHours * 60, null, a.OilRecoatHours * 60);

    /// <summary>Shellac.</summary>
    public static Drying Shellac(Assumptions a) => new(a.ShellacRecoatHours * 60, null, a.ShellacCureHours * 60);

    /// <summary>Lacquer.</summary>
    public static Drying Lacquer(Assumptions a) => new(a.LacquerRecoatHours * 60, null, a.LacquerCureHours * 60);

    /// <summary>Stain on wood.</summary>
    public static Drying Stain(Assumptions a) => new(a.StainDryMin, null, a.StainDryMin);

    /// <summary>Wax, which hazes and is buffed.</summary>
    public static Drying Wax(Assumptions a) => new(a.WaxHazeMin, null, a.WaxHazeMin);

    /// <summary>How many times as long as at 20 °C a thing takes to harden: 2^((20 - T)/10).</summary>
    public static double Cold(double temperatureC) => Baths.Soak.SlowerAt(temperatureC);

    /// <summary>The same in a shop that is colder or damper than 20 °C and 50 %: 2^((20 - T)/10) and 1 % for each point of humidity over 50.</summary>
    public Drying In(double temperatureC, double humidityPercent)
    {
        double factor = Cold(temperatureC) * (1 + (Math.Max(0, humidityPercent - 50) / 100));
        double? Scaled(double? minutes) => minutes is double m ? Math.Round(m * factor) : null;
        return new Drying(Math.Round(RecoatFromMin * factor), Scaled(RecoatUntilMin), Math.Round(CureMin * factor), Scaled(AgainMin));
    }
}
