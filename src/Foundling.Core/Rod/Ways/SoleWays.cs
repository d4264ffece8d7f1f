using Foundling.Core.Tags;

namespace Foundling.Core.Rod.Ways;

/// <summary>Ways to flatten a sole.</summary>
public static class SoleWays
{
    private static bool Laps(PlanQuestion q) => q.Aim != AimKind.Keep && q.Tool.HasMetalSole;

    private static readonly Choice Flat = new("flat", "The sole is flat when", "what is measured against", Laps,
    [
        new("zones", "toe, mouth and heel are in one plane", "what the work feels"),
        new("whole", "the whole sole is within the tolerance", "the strictest, most metal"),
        new("cuts", "it cuts", "no tolerance: a full-width shaving is the proof"),
    ], q => q.Aim == AimKind.Show ? ("whole", "It will be looked at.") : ("zones", "Those three carry the plane."));

    private static readonly Choice Order = new("order", "Honing and lapping", "which comes first; the edge is covered and drawn back either way", Laps,
    [
        new("hone-first", "hone first, lap last", "nothing moves after the sole is true"),
        new("lap-first", "lap first, hone last", "the edge meets no slurry"),
    ], _ => ("hone-first", "The sole is flattened in the state it works in."));

    /// <summary>All of them.</summary>
    public static IReadOnlyList<Choice> All { get; } = [Flat, Order];
}
