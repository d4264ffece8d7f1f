using Foundling.Core.Deeds;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod.States;

/// <summary>Coats on metal: old ones off or dulled, bare faces covered, new ones on, tape off, the oven.</summary>
internal static class CoatStates
{
    /// <summary>Steps that leave a degreased face degreased.</summary>
    internal static readonly StepKey[] KeepsBare =
    [
        StepKey.CoatMask, StepKey.CoatPrime, StepKey.Coat1, StepKey.Coat2, StepKey.CoatTouch, StepKey.CoatLay, StepKey.CoatUnmask, StepKey.CoatBake,
    ];

    public static IReadOnlyDictionary<StepKey, Action<Statement>> All { get; } = new Dictionary<StepKey, Action<Statement>>
    {
        [StepKey.CoatColour] = s => s.Needs(Came.OldCoat).NeedsDue(Due.Work, "what is dirt and what is coat shows when it is clean")
            .NeedsMade(Known.SeenClean).Makes(Known.Colour),
        [StepKey.CoatStrip] = s => s.NeedsMade(Known.SeenClean).Spoils(Came.NoOldCoat).Makes(Coat.Stripped),
        [StepKey.CoatScuff] = s => s.NeedsMade(Known.Colour).Spoils(Came.NoOldCoat).Makes(Coat.Keyed),
        [StepKey.PitFill] = s => s.NeedsMade(Coat.Keyed).Makes(Coat.Filled, ripens: true),
        [StepKey.CoatDegrease] = s => s.NeedsWhereMade(s.Parts, Coat.Keyed, "the dust of it goes too")
            .NeedsWhereMade(s.Parts, Coat.Filled, "the dust of it goes too").Makes(Film.None),
        [StepKey.CoatMask] = s => Ground(s, "tape holds on clean metal only").NeedsMade(Known.Colour).Makes(Cover.On),
        [StepKey.CoatPrime] = s => Ground(s).NeedsMade(Cover.On).Makes(Coat.Primed, ripens: true),
        [StepKey.Coat1] = Painted,
        [StepKey.Coat2] = Painted,
        [StepKey.CoatTouch] = s => Ground(s).Makes(Coat.Done, ripens: true),
        [StepKey.CoatSeal] = s => s.Makes(Coat.Done),
        [StepKey.CoatLay] = s => Ground(s).NeedsMade(Cover.On).Spoils(Came.NoOldCoat).Makes(Coat.Laid, ripens: true),
        [StepKey.CoatUnmask] = s => s.NeedsMade(Coat.Laid).Makes(Cover.Off),
        [StepKey.CoatBake] = s => s.NeedsMade(Coat.Laid, Cover.Off).Makes(Coat.Done, ripens: true),
    };

    private static Statement Ground(Statement s, string? why = null) =>
        s.NeedsWhereMade(s.Parts, Film.None, why).NeedsMade(Coat.Keyed, Coat.Filled);

    private static void Painted(Statement s)
    {
        Ground(s).NeedsMade(Coat.Primed).Spoils(Came.NoOldCoat);
        if (s.Deed.Id.Of != "second")
        {
            s.NeedsMade(Cover.On);
        }
        if (s.Deed.Lag is { Kind: LagKind.Cure })
        {
            // The tape comes off while the last coat is soft.
            s.Makes(Coat.Done, ripens: true).Makes(Cover.Off);
        }
    }
}
