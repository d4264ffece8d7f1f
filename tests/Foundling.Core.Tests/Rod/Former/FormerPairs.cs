using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;

namespace Foundling.Core.Tests.Rod.Former;

/// <summary>Pairs of steps that were once held by hand.</summary>
internal static partial class FormerPairs
{
    private static readonly Cond HoneFirst = new("honing comes first, lapping last", q => !q.Tool.HasMetalSole || q.Aim == AimKind.Keep
        || q.Way(ChoiceId.Order) == WayId.HoneFirst);

    private static readonly Cond LapFirst = new("lapping comes first, honing last", q => q.Tool.HasMetalSole && q.Aim != AimKind.Keep
        && q.Way(ChoiceId.Order) == WayId.LapFirst);

    private static readonly Cond Shimmed = new("pits are passed under by a shim or a lift", Core.Rod.Ways.EdgeWays.Raises);

    private static readonly Cond NotShimmed = new("pits are lapped out or ground past", q => !Core.Rod.Ways.EdgeWays.Raises(q));

    private static readonly Cond HoneFirstWhole = new("honing comes first, lapping last, and the sole is lapped whole", q => HoneFirst.Holds(q)
        && !Core.Rod.Ways.SoleWays.IsBare(q));

    private static readonly Cond Wound = new("its grip is wound", q => q.Tool.Is(Core.Tools.FormIds.WoundGrip));

    private static readonly Cond Washers = new("its grip is of washers", q => !q.Tool.Is(Core.Tools.FormIds.WoundGrip));

    private static readonly Cond Bare = new("the sole is lapped as a bare body", Core.Rod.Ways.SoleWays.IsBare);

    private static readonly Cond Whole = new("the sole is lapped whole", q => !Core.Rod.Ways.SoleWays.IsBare(q));

    /// <summary>All of them.</summary>
    public static IReadOnlyList<FormerPair> All { get; } = [.. ToCleanParts(), .. ToTheProof()];
}
