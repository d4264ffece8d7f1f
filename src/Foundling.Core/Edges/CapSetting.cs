using Foundling.Core.Keys;

namespace Foundling.Core.Edges;

/// <summary>How far behind the edge a cap iron sits.</summary>
/// <param name="LeastMm">At least, mm.</param>
/// <param name="MostMm">At most, mm.</param>
public sealed record CapSetting(double LeastMm, double MostMm)
{
    /// <summary>By the school that is followed.</summary>
    /// <exception cref="InputException">No school of cap irons.</exception>
    public static CapSetting Of(WayId way, Assumptions a) => way switch
    {
        WayId.Hard => new CapSetting(a.CapHardLeastMm, a.CapHardMostMm),
        WayId.One => new CapSetting(a.CapMiddleMm * (1 - a.SettingShare), a.CapMiddleMm * (1 + a.SettingShare)),
        WayId.Two => new CapSetting(a.CapBackMm * (1 - a.SettingShare), a.CapBackMm * (1 + a.SettingShare)),
        _ => throw new InputException("unknown_way", "cap", KeyText.Of(way), "hard, one or two", "A cap iron sits hard up, about 1 mm or about 2 mm back."),
    };

    /// <summary>True for a set-back within it.</summary>
    public bool Holds(double mm) => mm >= LeastMm - Whole.Slack && mm <= MostMm + Whole.Slack;
}
