using Foundling.Core.Tags;

namespace Foundling.Core.Rod;

/// <summary>How a wait ends, which decides what is said of it.</summary>
public enum WaitEnd
{
    /// <summary>It is ready and may stand longer: glue, a cured coat, dry wood.</summary>
    Ready,

    /// <summary>It must be out by then: a bath.</summary>
    Out,

    /// <summary>The next coat goes on inside a window.</summary>
    NextCoat,

    /// <summary>Oil is wiped off inside a window.</summary>
    WipeOff,

    /// <summary>The tool is looked at again.</summary>
    LookAgain,
}

/// <summary>Ends of waits.</summary>
public static class WaitEnds
{
    /// <summary>Key of the step that sets the next look.</summary>
    public const string NextLook = "next-look";

    /// <summary>Key of the step that puts oil on wood.</summary>
    public const string Oil = "wood-oil";

    /// <summary>Key of the step that takes off the oil that stands.</summary>
    public const string Wipe = "wood-wipe";

    // In the order they go on; masking and colour matching are no coats.
    private static readonly List<string> Coats = ["coat-prime", "coat-1", "coat-2"];

    /// <summary>Days ahead of which a look again does not stand among what wants doing.</summary>
    public const int LookAheadDays = 7;

    /// <summary>How the wait after a step ends.</summary>
    /// <param name="step">Key of the step.</param>
    /// <param name="limited">True when it has a latest moment.</param>
    public static WaitEnd Of(string step, bool limited) => step switch
    {
        _ when IsOf(step, NextLook) => WaitEnd.LookAgain,
        _ when !limited => WaitEnd.Ready,
        _ when IsOf(step, Oil) => WaitEnd.WipeOff,
        _ when step.StartsWith("coat-", StringComparison.Ordinal) => WaitEnd.NextCoat,
        _ => WaitEnd.Out,
    };

    /// <summary>How a wait ends.</summary>
    public static WaitEnd Of(Wait wait) => Of(wait.Step, wait.MustBeOutAt is not null);

    /// <summary>What stands, in words.</summary>
    public static string What(PlanStep step) => step.Key switch
    {
        _ when IsOf(step.Key, NextLook) => "Look for rust and loose parts again",
        _ when IsOf(step.Key, Wipe) => "Oil on the wood, drying",
        _ => step.Title,
    };

    /// <summary>True while a wait keeps its tool from the next step: a window that has opened asks for it, and a look again keeps nothing.</summary>
    public static bool Holds(Wait wait, DateTimeOffset now) => wait.EndedAt is null && Of(wait) switch
    {
        WaitEnd.LookAgain => false,
        WaitEnd.NextCoat or WaitEnd.WipeOff => wait.ReadyAt > now,
        _ => true,
    };

    /// <summary>True when finishing a step is what a wait was for.</summary>
    public static bool EndedBy(Wait wait, PlanStep step) => wait.EndedAt is null && Of(wait) switch
    {
        WaitEnd.WipeOff => IsOf(step.Key, Wipe),
        WaitEnd.NextCoat => Coats.FindIndex(c => IsOf(step.Key, c)) > Coats.FindIndex(c => IsOf(wait.Step, c)),
        WaitEnd.Out => IsOf(step.Key, "soak-lift"),
        _ => false,
    };

    /// <summary>True for a look again that lies too far ahead to stand among what wants doing.</summary>
    public static bool IsFar(Wait wait, DateTimeOffset now) => Of(wait) == WaitEnd.LookAgain && wait.ReadyAt > now.AddDays(LookAheadDays);

    // A split step keeps its key with a number behind it.
    private static bool IsOf(string step, string key) => step == key || step.StartsWith(key + "/", StringComparison.Ordinal);
}
