using Foundling.Core.Deeds;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod.States;

/// <summary>Washing: dry dirt dry, then what sticks, then the grease; and the look when it is clean.</summary>
internal static class WashStates
{
    public static IReadOnlyDictionary<StepKey, Action<Statement>> All { get; } = new Dictionary<StepKey, Action<Statement>>
    {
        [StepKey.WashDust] = s => s.NeedsMade(Known.Counted, Known.SeenApart, Seat.Opened).Makes(Dirt.Dusted),
        [StepKey.WashPacked] = s => s.NeedsMade(Known.Counted, Known.SeenApart, Dirt.Dusted).Makes(Dirt.Picked),
        [StepKey.WashSap] = s => s.NeedsMade(Known.Counted, Known.SeenApart, Dirt.Dusted, Known.OldFinish).Makes(Dirt.Softened),
        [StepKey.WashPaint] = s => s.NeedsMade(Known.Counted, Known.SeenApart, Dirt.Dusted, Known.OldFinish).Makes(Dirt.Lifted),
        [StepKey.Wash] = Washed,
        [StepKey.WashPlated] = Washed,
        [StepKey.WashWood] = Washed,
        [StepKey.WormKill] = s => s.NeedsDue(Due.Work, "it goes into the bag clean and dry").Makes(Sound.Dead, ripens: true),
        [StepKey.LookAgain] = s => s.NeedsMade(Known.SeenApart).NeedsDue(Due.Work, "dirt reads as coating, rust hides under it").Makes(Known.SeenClean),
        [StepKey.WoodFind] = s => s.NeedsMade(Dirt.Dusted).Makes(Known.OldFinish),
        [StepKey.EtchFind] = s => s.NeedsDue(Due.Work, "an etch shows on clean metal").Makes(Known.Etch),
    };

    private static void Washed(Statement s) => s.NeedsMade(Known.Counted, Known.SeenApart, Seat.Opened, Dirt.Dusted, Dirt.Picked, Dirt.Softened, Dirt.Lifted)
        .Makes(Dirt.Clean);
}
