namespace Foundling.Core.Saws;

/// <summary>What a saw cuts.</summary>
public enum SawnWood
{
    /// <summary>Dry hardwood, which wants little set.</summary>
    DryHardwood,

    /// <summary>Green or wet wood, whose fibres spring back.</summary>
    Green,
}

/// <summary>Whether a set suits the wood.</summary>
public enum SetAdvice
{
    /// <summary>It suits.</summary>
    Ok,

    /// <summary>The plate will bind.</summary>
    TooLittle,

    /// <summary>It wanders, and rips a wide kerf.</summary>
    TooMuch,
}

/// <summary>Set and plate of a saw.</summary>
/// <param name="Wood">What it cuts.</param>
/// <param name="PlateMm">Thickness of its plate, mm.</param>
/// <param name="SetPerSideMm">How far a point stands out of the plate, on its side, mm.</param>
public sealed record SetInput(SawnWood Wood, double PlateMm, double SetPerSideMm);

/// <summary>What set suits, and the cut it makes, mm.</summary>
/// <param name="SetLowMm">Least set a side.</param>
/// <param name="SetHighMm">Most set a side.</param>
/// <param name="KerfMm">How wide it cuts.</param>
/// <param name="Advice">Whether it suits.</param>
public sealed record SetResult(double SetLowMm, double SetHighMm, double KerfMm, SetAdvice Advice);

/// <summary>Set by wood and plate, and the kerf.</summary>
public static class SetAndKerf
{
    private const double MostPlateMm = 6, MostSetMm = 6;

    /// <summary>Kerf = plate + twice the set; the set that suits is a share of the plate.</summary>
    public static SetResult Of(SetInput input, Assumptions a)
    {
        double plate = Check.Within(Check.Positive(input.PlateMm, "plate_mm"), 0, MostPlateMm, "plate_mm");
        double set = Check.Within(input.SetPerSideMm, 0, MostSetMm, "set_per_side_mm");
        double low = plate * a.SetLeastShare, high = plate * (input.Wood == SawnWood.Green ? a.SetGreenShare : a.SetDryShare);
        return new SetResult(low, high, plate + (2 * set), set < low - Whole.Slack ? SetAdvice.TooLittle : set > high + Whole.Slack ? SetAdvice.TooMuch
            : SetAdvice.Ok);
    }
}
