using Foundling.Core.Aim;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod;

/// <summary>The order rules of the book.</summary>
public static partial class OrderRules
{
    private static readonly Cond HoneFirst = When.If("honing comes first, lapping last", q => !q.Tool.HasMetalSole || q.Aim == AimKind.Keep
        || q.Way(ChoiceId.Order) == WayId.HoneFirst);

    private static readonly Cond LapFirst = When.If("lapping comes first, honing last", q => q.Tool.HasMetalSole && q.Aim != AimKind.Keep
        && q.Way(ChoiceId.Order) == WayId.LapFirst);

    private static readonly Cond Shimmed = When.If("pits are passed under by a shim or a lift", Ways.EdgeWays.Raises);

    private static readonly Cond NotShimmed = When.If("pits are lapped out or ground past", q => !Ways.EdgeWays.Raises(q));

    private static readonly Cond HoneFirstWhole = When.If("honing comes first, lapping last, and the sole is lapped whole", q => HoneFirst.Holds(q)
        && !Ways.SoleWays.IsBare(q));

    private static readonly Cond Wound = When.If("its grip is wound", q => q.Tool.Is(Tools.FormIds.WoundGrip));

    private static readonly Cond Washers = When.If("its grip is of washers", q => !q.Tool.Is(Tools.FormIds.WoundGrip));

    private static readonly Cond Bare = When.If("the sole is lapped as a bare body", Ways.SoleWays.IsBare);

    private static readonly Cond Whole = When.If("the sole is lapped whole", q => !Ways.SoleWays.IsBare(q));

    /// <summary>All order rules.</summary>
    public static IReadOnlyList<OrderRule> All { get; } = [.. ToCleanParts(), .. ToTheProof()];
}
