namespace Foundling.Core.Edges;

/// <summary>Turning the burr of a scraper iron.</summary>
/// <param name="Angles">Angle of each pass, degrees from flat on the face.</param>
/// <param name="FileNow">True when the bevel is filed and honed first.</param>
public sealed record BurrPlan(IReadOnlyList<double> Angles, bool FileNow)
{
    /// <summary>Fewest and most passes: fewer turn no hook, more break it off.</summary>
    public const int Fewest = 2, Most = 5;

    /// <summary>As many as most people turn it with.</summary>
    public const int Usual = 3;

    private const int MostRenewals = 1000;

    /// <summary>Burrs turned since the bevel was filed, once one more is turned.</summary>
    /// <param name="turned">How many were before.</param>
    /// <param name="filed">The bevel was filed and honed for it.</param>
    public static int Count(int turned, bool filed) => filed ? 1 : turned + 1;

    /// <summary>The passes, evenly from the first angle to the last.</summary>
    /// <param name="passes">How many.</param>
    /// <param name="firstDeg">Angle of the first, degrees.</param>
    /// <param name="lastDeg">Angle of the last, degrees.</param>
    /// <param name="renewals">How often the burr was turned since the bevel was filed.</param>
    /// <param name="comesUp">A burr still comes up.</param>
    /// <param name="a">How often it usually comes up again.</param>
    /// <exception cref="InputException">Passes or angles nobody turns a burr with.</exception>
    public static BurrPlan Of(int passes, double firstDeg, double lastDeg, int renewals, bool comesUp, Assumptions a)
    {
        Check.Within(passes, Fewest, Most, "passes");
        Check.Within(firstDeg, 0, 45, "first_deg");
        Check.Within(lastDeg, firstDeg, 45, "last_deg");
        Check.Within(renewals, 0, MostRenewals, "renewals");
        return new BurrPlan([.. Enumerable.Range(0, passes).Select(i => firstDeg + ((lastDeg - firstDeg) * i / (passes - 1)))], !comesUp
            || renewals >= a.BurrRenewals);
    }
}
