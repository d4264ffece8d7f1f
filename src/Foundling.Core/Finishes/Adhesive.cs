namespace Foundling.Core.Finishes;

/// <summary>What holds a joint: how long it can be moved, how long it is clamped, when it has cured. The data sheet wins.</summary>
/// <param name="Name">Its name.</param>
/// <param name="OpenMin">Minutes from spreading it to closing the joint.</param>
/// <param name="ClampedMin">Minutes under clamps.</param>
/// <param name="CuredMin">Minutes until it may be loaded.</param>
/// <param name="LeastC">Coldest it holds at all, °C; null where that is not known.</param>
public sealed record Adhesive(string Name, double OpenMin, double ClampedMin, double CuredMin, double? LeastC = null)
{
    private const double MinutesAnHour = 60;

    /// <summary>Hot hide glue.</summary>
    public static Adhesive HotHide(Assumptions a) => Of("hot hide glue", a.HotHideOpenMin, a.HotHideClampedHours, a.GlueCureHours);

    /// <summary>Liquid hide glue.</summary>
    public static Adhesive LiquidHide(Assumptions a) => Of("liquid hide glue", a.LiquidHideOpenMin, a.LiquidHideClampedHours, a.GlueCureHours);

    /// <summary>White or yellow wood glue.</summary>
    public static Adhesive Wood(Assumptions a) => Of("wood glue", a.WoodGlueOpenMin, a.WoodGlueClampedHours,
        a.GlueCureHours) with { LeastC = a.WoodGlueLeastC };

    /// <summary>Slow epoxy.</summary>
    public static Adhesive SlowEpoxy(Assumptions a) => Of("slow epoxy", a.SlowEpoxyOpenMin, a.SlowEpoxyClampedHours, a.GlueCureHours);

    /// <summary>Quick epoxy.</summary>
    public static Adhesive QuickEpoxy(Assumptions a) => Of("quick epoxy", a.QuickEpoxyOpenMin, a.QuickEpoxyClampedHours, a.QuickEpoxyCureHours);

    /// <summary>Metal-filled epoxy.</summary>
    public static Adhesive MetalEpoxy(Assumptions a) => Of("metal-filled epoxy", a.MetalEpoxyOpenMin, a.MetalEpoxyClampedHours, a.GlueCureHours);

    /// <summary>Contact cement: both faces dry, then pressed and never shifted.</summary>
    public static Adhesive Contact(Assumptions a) => Of("contact cement", a.ContactDryMin, 0, a.GlueCureHours);

    /// <summary>The same in a shop that is colder or warmer than 20 °C: 2^((20 - T)/10).</summary>
    public Adhesive In(double temperatureC)
    {
        double factor = Drying.Cold(temperatureC);
        return this with { OpenMin = Math.Round(OpenMin * factor, 1), ClampedMin = Math.Round(ClampedMin * factor), CuredMin = Math.Round(CuredMin * factor) };
    }

    /// <summary>True where it is too cold for it to hold.</summary>
    public bool TooCold(double temperatureC) => temperatureC < LeastC - Whole.Slack;

    private static Adhesive Of(string name, double openMin, double clampedHours, double curedHours) =>
        new(name, openMin, clampedHours * MinutesAnHour, curedHours * MinutesAnHour);
}
