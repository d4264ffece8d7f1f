using Foundling.Core.Aim;
using Foundling.Core.Rod.Ways;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod;

/// <summary>What a plan costs in original surface.</summary>
public static class SurfaceLoss
{
    /// <summary>
    /// Share of the original surface that a plan costs, 0 to 1: each kind of surface by how much of the tool its parts are, so that the iron of a wooden plane
    /// costs less than a whole body; what is lost twice counts once.
    /// </summary>
    /// <param name="deeds">The deeds.</param>
    /// <param name="q">What was planned.</param>
    public static double Share(IReadOnlyList<Deed> deeds, PlanQuestion q)
    {
        double sum = 0;
        HashSet<PartId> patina = Parts(deeds, SurfaceId.Patina);
        foreach (SurfaceId surface in deeds.Select(d => d.SurfaceLost).OfType<SurfaceId>().Distinct())
        {
            HashSet<PartId> parts = Parts(deeds, surface);
            sum += Surfaces.Share(surface, q.Shop.Assumptions) * surface switch
            {
                // Who loses the patina of a part does not lose some of it too.
                SurfaceId.SomePatina => Aged(q, p => parts.Contains(p.Id) && !patina.Contains(p.Id)),
                SurfaceId.Patina => Aged(q, p => parts.Contains(p.Id)),
                SurfaceId.Coating => Of(q, SurfaceWays.Coated(q), p => parts.Contains(p.Id)),
                SurfaceId.WoodFinish => Of(q, q.Present.Where(p => p.Material == Material.Wood), p => parts.Contains(p.Id)),
                SurfaceId.Brass => Of(q, q.Present.Where(p => p.Material == Material.Brass), p => parts.Contains(p.Id)),
                _ => 1,
            };
        }
        return Math.Min(1, sum);
    }

    private static HashSet<PartId> Parts(IReadOnlyList<Deed> deeds, SurfaceId surface) => [.. deeds.Where(d => d.SurfaceLost == surface).SelectMany(d =>
        d.Parts)];

    /// <summary>
    /// How much of what shows its age is lost, 0 to 1: of the parts that were left bare, and of a coated casting that is worked on the faces that were; the
    /// wood counts where the body is of wood.
    /// </summary>
    private static double Aged(PlanQuestion q, Func<PartDef, bool> lost)
    {
        List<PartDef> bare = [.. q.Present.Where(p => !SurfaceWays.IsCoated(p) && (p.Ferrous || q.Tool.Parts[0].Material == Material.Wood))];
        double faces = q.Shop.Assumptions.CoatedBareShare * q.Extents.Work(q.Present.Where(p => SurfaceWays.IsCoated(p) && lost(p))).Dm2;
        double all = q.Extents.Work(bare).Dm2 + faces;
        return all > 0 ? Math.Min(1, (q.Extents.Work(bare.Where(lost)).Dm2 + faces) / all) : 1;
    }

    /// <summary>How much of these parts is lost, 0 to 1; all of it where nothing is known of their size.</summary>
    private static double Of(PlanQuestion q, IEnumerable<PartDef> all, Func<PartDef, bool> lost)
    {
        List<PartDef> whole = [.. all];
        double dm2 = q.Extents.Work(whole).Dm2;
        return dm2 > 0 ? Math.Min(1, q.Extents.Work(whole.Where(lost)).Dm2 / dm2) : 1;
    }

    /// <summary>The original surfaces a plan costs, each once; who loses the patina does not lose some of it too.</summary>
    public static IReadOnlyList<SurfaceId> Of(IEnumerable<Deed> deeds)
    {
        List<SurfaceId> lost = [.. deeds.Select(d => d.SurfaceLost).OfType<SurfaceId>().Distinct()];
        return lost.Contains(SurfaceId.Patina) ? [.. lost.Where(s => s != SurfaceId.SomePatina)] : lost;
    }
}
