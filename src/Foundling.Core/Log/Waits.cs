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

    /// <summary>The waits that begin when a deed is done: its own, and those of what comes out before the rest.</summary>
    /// <param name="deed">The deed.</param>
    /// <param name="plan">The deeds it stands among.</param>
    /// <param name="now">When it was done.</param>
    /// <param name="zone">Where the shop is, so that nobody is asked to look in at night.</param>
    /// <param name="assumptions">When night is.</param>
    public static IReadOnlyList<Wait> After(Deed deed, IEnumerable<Deed> plan, DateTimeOffset now, TimeZoneInfo zone, Assumptions assumptions) =>
    [
        .. plan.SelectMany(late => (late.Since ?? []).Where(s => s.Id == deed.Id && s.Lag?.EndedBy?.Contains(late.Id.Step) == true
            && deed.Lag?.EndedBy?.Contains(late.Id.Step) != true).Select(s => (late, s.Lag!)))
            .Select(early => Begun(deed, early.late.Title, early.Item2, now, zone, assumptions)),
        .. deed.Lag is { LeastMin: > 0 } lag ? [Begun(deed, What(deed), lag, now, zone, assumptions)] : Array.Empty<Wait>(),
    ];

    private static Wait Begun(Deed deed, string what, Lag lag, DateTimeOffset now, TimeZoneInfo zone, Assumptions assumptions) => new()
    {
        Id = Guid.CreateVersion7(now), Step = deed.Id, Kind = lag.Kind, What = what, StartedAt = now, ReadyAt = now.AddMinutes(lag.LeastMin),
        LookInAt = lag.LookInMin is double look ? new Baths.Nights(zone, assumptions).LookIn(now, look).ToUniversalTime() : null,
        MustBeOutAt = lag.MostMin is double most ? now.AddMinutes(most) : null, EndedBy = [.. lag.EndedBy ?? []],
    };

    /// <summary>True while a wait keeps its tool from the next step: a window that has opened asks for it, and a look again keeps nothing.</summary>
    public static bool Holds(Wait wait, DateTimeOffset now) => wait.EndedAt is null && wait.Kind switch
    {
        LagKind.LookAgain => false,
        LagKind.RecoatBefore or LagKind.WipeOff => wait.ReadyAt > now,
        _ => true,
    };

    /// <summary>True when finishing a deed is what a wait was for: of several of a step, the one that comes after what stands.</summary>
    public static bool EndedBy(Wait wait, Deed deed) => wait.EndedAt is null && wait.EndedBy.Contains(deed.Id.Step)
        && (deed.After.Any(a => a.Id == wait.Step) || deed.After.All(a => a.Id.Step != wait.Step.Step));

    /// <summary>True for a look again that lies too far ahead to stand among what wants doing.</summary>
    public static bool IsFar(Wait wait, DateTimeOffset now) => wait.Kind == LagKind.LookAgain && wait.ReadyAt > now.AddDays(LookAheadDays);
}
