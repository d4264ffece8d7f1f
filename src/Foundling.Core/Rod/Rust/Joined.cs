using Foundling.Core.Rod.Ways;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.Rust;

/// <summary>Which parts of a tool cannot be parted: what goes into a bath goes in with all that hangs on it, or not at all.</summary>
public static class Joined
{
    /// <summary>The parts that stay together when the tool is as far apart as it should come, the part itself among them.</summary>
    /// <param name="q">What is planned.</param>
    /// <param name="part">One of them.</param>
    public static IReadOnlyList<PartDef> To(PlanQuestion q, PartDef part)
    {
        List<PartDef> present = [.. q.Present.Except(q.Discarded)];
        Dictionary<PartId, PartId> on = [];
        foreach (PartDef p in present)
        {
            if (StaysOn(q, p) is PartId other && other != p.Id)
            {
                on[p.Id] = other;
            }
        }
        var all = new HashSet<PartId> { part.Id };
        for (bool grown = true; grown;)
        {
            grown = false;
            foreach ((PartId one, PartId other) in on)
            {
                grown |= (all.Contains(one) && all.Add(other)) || (all.Contains(other) && all.Add(one));
            }
        }
        return [.. present.Where(p => all.Contains(p.Id))];
    }

    /// <summary>True for a part that is left where it is: riveted or driven, or it only comes off by breaking something.</summary>
    /// <param name="q">What is planned.</param>
    /// <param name="part">The part.</param>
    public static bool Stays(PlanQuestion q, PartDef part) => (part.Joint == Joint.StaysOn && !(IsGrip(part) && HandleWays.Opens(q, part))
        && !q.Discarded.Any(d => d.Id == part.With))
        || ((part.Joint == Joint.Destroyed || (q.Tool.Family == Family.EdgeTool && IsGrip(part) && part.Joint != Joint.Wedged))
        && !HandleWays.Opens(q, part));

    private static bool IsGrip(PartDef part) => part.Material is Material.Wood or Material.Soft;

    /// <summary>The part that a part stays on: it is one piece with it, riveted or driven, or only comes off by breaking something.</summary>
    private static PartId? StaysOn(PlanQuestion q, PartDef part)
    {
        return !part.OnePiece && !Stays(q, part) ? null : part.With is PartId with && q.Has(with) ? with
            : part.On is PartId drawn && !part.InSet && q.Has(drawn) ? drawn
            // On a wooden body a button or a rivet sits in the wood, not on the iron.
            : !part.OnePiece && !q.Tool.Parts[0].Ferrous && q.Has(q.Tool.Parts[0].Id) && part.Id != q.Tool.Parts[0].Id ? q.Tool.Parts[0].Id
            : q.Present.FirstOrDefault(p => p.Ferrous && !p.OnePiece && p.Id != part.Id && (part.OnePiece || IsGrip(part) || p.Id == q.Tool.Parts[0].Id))?.Id
                ?? (q.Has(q.Tool.Parts[0].Id) ? q.Tool.Parts[0].Id : null);
    }
}
