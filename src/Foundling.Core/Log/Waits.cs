using Foundling.Core.Keys;
using Foundling.Core.Rod;

namespace Foundling.Core.Log;

/// <summary>What waits mean for the tool they keep.</summary>
public static class Waits
{
    /// <summary>Days ahead of which a look again does not stand among what wants doing.</summary>
    public const int LookAheadDays = 7;

    /// <summary>What stands, in words.</summary>
    public static string What(Deed deed) => deed.Lag?.Kind switch
    {
        LagKind.LookAgain => "Look for rust and loose parts again",
        _ when deed.Id.Step == StepKey.WoodWipe => "Oil on the wood, drying",
        _ => deed.Title,
    };

    /// <summary>The wait that begins when a deed is done; null when nothing waits.</summary>
    /// <param name="deed">The deed.</param>
    /// <param name="now">When it was done.</param>
    /// <param name="zone">Where the shop is, so that nobody is asked to look in at night.</param>
    /// <param name="assumptions">When night is.</param>
    public static Wait? After(Deed deed, DateTimeOffset now, TimeZoneInfo zone, Assumptions assumptions) => deed.Lag is not { LeastMin: > 0 } lag ? null
        : new Wait
    {
        Id = Guid.CreateVersion7(now), Step = deed.Id, Kind = lag.Kind, What = What(deed), StartedAt = now, ReadyAt = now.AddMinutes(lag.LeastMin),
        LookInAt = lag.LookInMin is double look ? Baths.Soak.LookInAt(TimeZoneInfo.ConvertTime(now, zone), look, assumptions).ToUniversalTime() : null,
        MustBeOutAt = lag.MostMin is double most ? now.AddMinutes(most) : null, EndedBy = [.. lag.EndedBy ?? []],
    };

    /// <summary>True while a wait keeps its tool from the next step: a window that has opened asks for it, and a look again keeps nothing.</summary>
    public static bool Holds(Wait wait, DateTimeOffset now) => wait.EndedAt is null && wait.Kind switch
    {
        LagKind.LookAgain => false,
        LagKind.RecoatBefore or LagKind.WipeOff => wait.ReadyAt > now,
        _ => true,
    };

    /// <summary>True when finishing a deed is what a wait was for.</summary>
    public static bool EndedBy(Wait wait, DeedId deed) => wait.EndedAt is null && wait.EndedBy.Contains(deed.Step);

    /// <summary>True for a look again that lies too far ahead to stand among what wants doing.</summary>
    public static bool IsFar(Wait wait, DateTimeOffset now) => wait.Kind == LagKind.LookAgain && wait.ReadyAt > now.AddDays(LookAheadDays);
}
