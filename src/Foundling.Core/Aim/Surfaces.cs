namespace Foundling.Core.Aim;

/// <summary>Original surfaces a step may cost, and how much of a tool's surface worth each is.</summary>
public static class Surfaces
{
    /// <summary>The skin of age on iron.</summary>
    public const string Patina = "patina";

    /// <summary>Part of that skin.</summary>
    public const string SomePatina = "some patina";

    /// <summary>The coating of the works.</summary>
    public const string Coating = "the original coating";

    /// <summary>Lines of the machine on working faces.</summary>
    public const string Machining = "machining marks";

    /// <summary>The finish of the works on wood.</summary>
    public const string WoodFinish = "the old finish on the wood";

    /// <summary>The brown of use on brass.</summary>
    public const string Brass = "the brown of use on brass";

    /// <summary>A joint made at the works.</summary>
    public const string Joint = "a joint made at the works";

    /// <summary>Share of the original surface each stands for; assumptions.</summary>
    public static double Share(string surface, Assumptions a) => surface switch
    {
        Patina => a.SurfacePatina,
        SomePatina => a.SurfacePatina / 2,
        Coating => a.SurfaceCoating,
        Machining => a.SurfaceMachining,
        WoodFinish => a.SurfaceWood,
        Brass => a.SurfaceBrass,
        Joint => a.SurfaceJoint,
        _ => 0,
    };

    /// <summary>Share of the original surface that a plan costs, 0 to 1; what is lost twice counts once.</summary>
    public static double Lost(IEnumerable<Rod.Deed> steps, Assumptions assumptions)
    {
        Assumptions a = assumptions;
        return Math.Min(1, Named(steps).Sum(s => Share(s, a)));
    }

    /// <summary>The original surfaces a plan costs, each once; who loses the patina does not lose some of it too.</summary>
    public static IReadOnlyList<string> Named(IEnumerable<Rod.Deed> steps)
    {
        List<string> lost = [.. steps.Select(s => s.SurfaceLost).Where(s => s.Length > 0).Distinct()];
        return lost.Contains(Patina) ? [.. lost.Where(s => s != SomePatina)] : lost;
    }
}
