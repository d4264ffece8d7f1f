using Foundling.Core.Deeds;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.States;

/// <summary>Soles, cheeks and sides: read, lapped, cleaned, eased.</summary>
internal static class SoleStates
{
    private static readonly PartId[] Body = [PartIds.Body];

    public static IReadOnlyDictionary<StepKey, Action<Statement>> All { get; } = new Dictionary<StepKey, Action<Statement>>
    {
        [StepKey.SoleCheck] = s => InPlace(s).NeedsAnywhere(Trued.Cheeks).Makes(Body, Known.SoleRead),
        [StepKey.SoleLap] = s => InPlace(s).NeedsAnywhere(Known.SoleRead, Trued.Cheeks).Makes(Body, Trued.Sole),
        [StepKey.SoleWood] = s => InPlace(s).NeedsWhereMade(Body, Known.SoleRead, "read before planing").Makes(Body, Trued.Sole),
        [StepKey.SoleShape] = s => s.NeedsWhereMade(s.Parts, Sound.Mended, "the boxing is part of the shape").NeedsDue(Due.Work).Makes(Dirt.Face),
        [StepKey.Sides] = s => InPlace(s).NeedsWhereMade(Body, Trued.Sole, "the sole before the sides").Makes(Body, Trued.Sides),
        [StepKey.SoleClean] = s => InPlace(s).NeedsAnywhere(Trued.Sole, Trued.Sides, Trued.Cheeks).Makes(Body, Dirt.Slurry),
        [StepKey.Arris] = s => InPlace(s).NeedsAnywhere(Trued.Sole, Trued.Sides, Trued.Cheeks).Makes(Body, Trued.Eased),
        [StepKey.CheekCheck] = s => InPlace(s).Makes(Body, Known.CheeksRead),
        [StepKey.CheekLap] = s => InPlace(s).NeedsAnywhere(Known.CheeksRead).Makes(Body, Trued.Cheeks),
        [StepKey.MouthCheck] = s => TogetherStates.Whole(s).NeedsWhereMade(Body, Trued.Sole, "each shaving off the sole opens the mouth")
            .MakesOfTool(Setting.Checked),
    };

    /// <summary>A sole is judged whole and under tension, or as a bare body before anything goes on it.</summary>
    private static Statement InPlace(Statement s) => SoleWays.IsBare(s.Q)
        ? s.NeedsWhereMade(Body, Seat.Off, "the bare body is lapped").NeedsDue(Body, Due.Work | Due.Clean | Due.Sound).NeedsWhereMade(Body, Coat.Done)
        : TogetherStates.SetFirst(TogetherStates.Whole(s)).NeedsAnywhere(Setting.Tension).NeedsWhereMade(Body, Wet.Seasoned);
}
