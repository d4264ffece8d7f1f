using Foundling.Core.Keys;

namespace Foundling.Core.Rod;

/// <summary>How a wait ends, which decides what is said of it.</summary>
public enum LagKind
{
    /// <summary>It is ready and may stand longer: glue, a cured coat, dry wood.</summary>
    Cure,

    /// <summary>It must be out by then: a bath.</summary>
    OutBy,

    /// <summary>The next coat goes on inside a window.</summary>
    RecoatBefore,

    /// <summary>Oil is wiped off inside a window.</summary>
    WipeOff,

    /// <summary>The tool is looked at again.</summary>
    LookAgain,
}

/// <summary>Time that passes by itself after a deed.</summary>
/// <param name="Kind">How it ends.</param>
/// <param name="LeastMin">Ready after so many minutes.</param>
/// <param name="MostMin">It must end by then, minutes; null where it may stand.</param>
/// <param name="LookInMin">Looked in on after so many minutes; null for not.</param>
/// <param name="EndedBy">Steps that end it when they are done; empty where it ends by itself.</param>
public sealed record Lag(LagKind Kind, double LeastMin, double? MostMin = null, double? LookInMin = null, IReadOnlyList<StepKey>? EndedBy = null)
{
    /// <summary>It stands until it is ready, and longer does no harm.</summary>
    public static Lag Cure(double leastMin, double? lookInMin = null) => new(LagKind.Cure, leastMin, LookInMin: lookInMin);

    /// <summary>A bath it must be out of.</summary>
    public static Lag Bath(double leastMin, double? mostMin, double? lookInMin, StepKey liftedBy) =>
        new(LagKind.OutBy, leastMin, mostMin, lookInMin, [liftedBy]);

    /// <summary>A coat that takes the next one inside a window.</summary>
    public static Lag Recoat(double fromMin, double? untilMin, params StepKey[] next) => new(LagKind.RecoatBefore, fromMin, untilMin, EndedBy: next);

    /// <summary>Oil that is wiped off inside a window.</summary>
    public static Lag WipeOff(double fromMin, double? untilMin, StepKey wiped) => new(LagKind.WipeOff, fromMin, untilMin, EndedBy: [wiped]);

    /// <summary>The tool is looked at again.</summary>
    public static Lag LookAgain(double minutes) => new(LagKind.LookAgain, minutes);

    /// <summary>Minutes the tool is kept from what comes next; 0 for a look again, which keeps nothing.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double HoldsMin => Kind == LagKind.LookAgain ? 0 : LeastMin;
}
