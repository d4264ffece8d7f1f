using Foundling.Core.Aim;

namespace Foundling.Core.Rod;

/// <summary>What a plan costs in original surface.</summary>
public static class SurfaceLoss
{
    /// <summary>Share of the original surface that a plan costs, 0 to 1; what is lost twice counts once.</summary>
    public static double Share(IEnumerable<Deed> deeds, Assumptions assumptions) => Math.Min(1, Of(deeds).Sum(s => Surfaces.Share(s, assumptions)));

    /// <summary>The original surfaces a plan costs, each once; who loses the patina does not lose some of it too.</summary>
    public static IReadOnlyList<SurfaceId> Of(IEnumerable<Deed> deeds)
    {
        List<SurfaceId> lost = [.. deeds.Select(d => d.SurfaceLost).OfType<SurfaceId>().Distinct()];
        return lost.Contains(SurfaceId.Patina) ? [.. lost.Where(s => s != SurfaceId.SomePatina)] : lost;
    }
}
