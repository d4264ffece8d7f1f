using Foundling.Core.Aim;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod.Ways;

/// <summary>Whether metal is taken off at all, and the road between Keep and Work on which none is.</summary>
public static class MetalWays
{
    /// <summary>Whether metal is taken off.</summary>
    public static Choice Metal { get; } = new(ChoiceId.Metal, "Metal is taken off", "whether anything is lapped, filed or ground",
        q => q.Aim != AimKind.Keep,
    [
        new(WayId.Needed, "where something asks for it", "the user's: it should do its work"),
        new(WayId.Nowhere, "nowhere", "the collector's: nothing is lapped, filed or ground; an edge is touched up and no more"),
    ], _ => (WayId.Needed, "A fault that stops it working is put right."));

    /// <summary>The condition of what takes metal off.</summary>
    internal static Cond Asks { get; } = When.If("metal is taken off where something asks for it", q => !Spares(q));

    /// <summary>True when nothing is lapped, filed or ground.</summary>
    public static bool Spares(PlanQuestion q) => Metal.Asked(q) && q.Way(ChoiceId.Metal) == WayId.Nowhere;

    /// <summary>
    /// The ways of the road between Keep and Work, for a collector's tool that should still cut: live rust lifted with a blade, the old coat touched in so that
    /// its edges hold, the wood revived, nothing lapped, filed or ground, and proved by feel.
    /// </summary>
    public static IReadOnlyDictionary<ChoiceId, WayId> MiddleRoad { get; } = new Dictionary<ChoiceId, WayId>
    {
        [ChoiceId.Rust] = WayId.Scrape, [ChoiceId.Bloom] = WayId.Wipe, [ChoiceId.Dark] = WayId.Keep, [ChoiceId.Coating] = WayId.Touch,
        [ChoiceId.Wood] = WayId.Revive, [ChoiceId.Flat] = WayId.Leave, [ChoiceId.Metal] = WayId.Nowhere,
        [ChoiceId.Brass] = WayId.Clean, [ChoiceId.Sides] = WayId.Leave, [ChoiceId.Handles] = WayId.LeftOn,
    };

    /// <summary>The same tool on the road between Keep and Work.</summary>
    public static PlanQuestion OnMiddleRoad(PlanQuestion q)
    {
        Dictionary<ChoiceId, WayId> ways = new(q.TagWays);
        foreach ((ChoiceId choice, WayId way) in MiddleRoad)
        {
            ways[choice] = way;
        }
        return q with { Aim = AimKind.Work, TagWays = ways };
    }

    /// <summary>The same tool without that road: what was chosen because of it is chosen no more; a tool that is not on it is as it was.</summary>
    public static PlanQuestion OffMiddleRoad(PlanQuestion q) => !IsOnMiddleRoad(q) ? q
        : q with { TagWays = q.TagWays.Where(w => !MiddleRoad.ContainsKey(w.Key)).ToDictionary() };

    // Tags that took this road earlier were not asked about handles.
    /// <summary>True for a tool that is on it: the aim is Work and every way of it is chosen.</summary>
    public static bool IsOnMiddleRoad(PlanQuestion q) => q.Aim == AimKind.Work && MiddleRoad.All(w => q.TagWays.TryGetValue(w.Key, out WayId way)
        ? way == w.Value : w.Key == ChoiceId.Handles);
}
