using System.Reflection;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod;

/// <summary>Which kind of deed each step is, and which room it belongs to: the one that has its gauges and shows what is its own.</summary>
public static class DeedKinds
{
    private static readonly Dictionary<StepKey, DeedAttribute> ByKey = Enum.GetValues<StepKey>()
        .ToDictionary(k => k, k => typeof(StepKey).GetField(k.ToString())!.GetCustomAttribute<DeedAttribute>() ?? new DeedAttribute(DeedKind.ByHand));

    /// <summary>The kind of a step.</summary>
    public static DeedKind Of(StepKey step) => ByKey[step].Kind;

    /// <summary>The room of a step.</summary>
    public static DeedRoom RoomOf(StepKey step) => ByKey[step].Room ?? RoomOf(ByKey[step].Kind);

    private static DeedRoom RoomOf(DeedKind kind) => kind switch
    {
        DeedKind.Look => DeedRoom.State,
        DeedKind.Measure or DeedKind.Lap => DeedRoom.Soles,
        DeedKind.Prove => DeedRoom.Proof,
        DeedKind.Soak => DeedRoom.Baths,
        DeedKind.Coat or DeedKind.Bake or DeedKind.Cure or DeedKind.DryByAir => DeedRoom.Finishes,
        DeedKind.Grind or DeedKind.Hone or DeedKind.FileTeeth => DeedRoom.Edges,
        DeedKind.Order => DeedRoom.Stores,
        _ => DeedRoom.Bench,
    };
}
