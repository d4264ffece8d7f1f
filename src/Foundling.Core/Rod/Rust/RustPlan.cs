using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.Rust;

/// <summary>How the rust of a tool comes off, part by part.</summary>
/// <param name="Loads">What goes into which bath, the bath of the whole tool first.</param>
/// <param name="Dry">What is worked dry or by hand, by its way.</param>
/// <param name="Rest">Parts that the way meant for them would harm, which are worked by hand.</param>
/// <param name="Wheeled">Parts that go to the wheel after their bath.</param>
public sealed record RustPlan(IReadOnlyList<SoakLoad> Loads, IReadOnlyDictionary<WayId, IReadOnlyList<PartDef>> Dry, IReadOnlyList<KeptOut> Rest,
    IReadOnlyList<PartDef> Wheeled)
{
    /// <summary>Parts that go into a bath.</summary>
    public IReadOnlyList<PartDef> Soaked { get; } = [.. Loads.SelectMany(l => l.In)];

    /// <summary>Parts worked by a way; none where it is not taken.</summary>
    public IReadOnlyList<PartDef> By(WayId way) => Dry.TryGetValue(way, out IReadOnlyList<PartDef>? parts) ? parts : [];

    /// <summary>How the rust of a tool comes off.</summary>
    public static RustPlan Of(PlanQuestion q)
    {
        List<SoakLoad> loads = [];
        Dictionary<WayId, IReadOnlyList<PartDef>> dry = [];
        List<KeptOut> rest = [];
        List<PartDef> wheeled = [];
        WayId whole = q.Rusty.Count > 0 ? q.Way(ChoiceId.Rust) : WayId.Abrasive;
        Dictionary<PartId, WayId> ways = Ways(q, whole);
        foreach (IGrouping<WayId, PartDef> group in q.Rusty.GroupBy(p => ways[p.Id]).OrderBy(g => g.Key == whole ? 0 : 1).ThenBy(g => g.Key))
        {
            if (BathMix.Of(group.Key, q.Shop.Assumptions) is not null)
            {
                SoakLoad load = group.Count() == q.Rusty.Count ? q.LoadBy(group.Key) : SoakLoad.Of(q, group.Key, [.. group]);
                rest.AddRange(load.Out.Count > 0 || load.Closed is null ? load.Out : group.Select(p => new KeptOut(p, load.Closed.TrimEnd('.'))));
                if (load.Closed is null)
                {
                    loads.Add(load);
                    wheeled.AddRange(group.Key != WayId.SoakWheel ? [] : load.In.Where(p => Harm(q, WayId.Wire, p) is null));
                }
                continue;
            }
            List<PartDef> suits = [.. group.Where(p => Harm(q, group.Key, p) is null)];
            rest.AddRange(group.Except(suits).Select(p => new KeptOut(p, Harm(q, group.Key, p)!)));
            if (suits.Count > 0)
            {
                dry[group.Key] = suits;
            }
        }
        if (Choices.Find(ChoiceId.Bloom).Asked(q) && q.Way(ChoiceId.Bloom) == WayId.Dip
            && SoakLoad.Of(q, WayId.Dip, [.. q.Bloomed.Except(loads.SelectMany(l => l.In))]) is { Closed: null } dip)
        {
            loads.Add(dip);
        }
        return new RustPlan(loads, dry, rest, wheeled);
    }

    // What cannot be parted goes into one bath: that which one of its parts was given of its own, else that of the whole tool.
    private static Dictionary<PartId, WayId> Ways(PlanQuestion q, WayId whole)
    {
        bool Bathed(PartDef part) => BathMix.Of(q.RustWay(part), q.Shop.Assumptions) is not null;
        Dictionary<PartId, WayId> ways = q.Rusty.ToDictionary(p => p.Id, q.RustWay);
        if (ways.Values.Distinct().Count() <= 1)
        {
            return ways;
        }
        var seen = new HashSet<PartId>();
        foreach (PartDef part in q.Rusty.Where(p => Bathed(p) && !seen.Contains(p.Id)))
        {
            List<PartDef> together = [.. Joined.To(q, part).Where(p => ways.ContainsKey(p.Id) && Bathed(p))];
            WayId one = together.Select(q.RustWay).FirstOrDefault(w => w != whole, whole);
            together.ForEach(p => ways[p.Id] = one);
            seen.UnionWith(together.Select(p => p.Id));
        }
        return ways;
    }

    /// <summary>What a dry way would do to a part that should not suffer it, in a sentence without its stop; null when nothing.</summary>
    /// <param name="q">What is planned.</param>
    /// <param name="way">The way.</param>
    /// <param name="part">The part.</param>
    public static string? Harm(PlanQuestion q, WayId way, PartDef part) => way switch
    {
        WayId.Wire => q.Etched(part) ? "A wheel wipes an etched mark away"
            : part.Is(PartIds.Knurl) ? "A wheel rounds the points of a knurl"
            : part.IsFastener && (part.Finish == PartFinish.Plated || q.DullPlate(part)) ? "A wheel tears plating off and throws it into the air"
            : SurfaceWays.IsCoated(part) && !SurfaceWays.Strips(q, part) && q.Worst(FindingKind.CoatingLoss, part.Id) >= LooseCoat
                ? "A wheel throws loose old paint into the air, which may hold lead" : null,
        WayId.Blast or WayId.BlastCoarse => part.Is(PartIds.Plate) || part.Material == Material.SpringSteel ? "Blasting dishes what is thin"
            : part.IsFastener ? "Blasting eats threads and the fit of pins"
            : part.Material == Material.EdgeSteel ? "Blasting roughens the faces that make the edge"
            : q.Worst(FindingKind.Mark, part.Id) >= 2 ? "Blasting blurs a mark that should be kept"
            : part.Finish == PartFinish.Plated ? "Blasting strips plating"
            : SurfaceWays.IsCoated(part) && !SurfaceWays.Renews(q, part) ? "Blasting takes the coating, which stays" : null,
        _ => null,
    };

    private const int LooseCoat = 2;
}
