namespace Foundling.Core.Grits;

/// <summary>How coarse one may go over an etch or a stamp that must live.</summary>
/// <param name="LimitUm">Depth that may go, µm.</param>
/// <param name="Coarsest">The coarsest abrasive that is there and spares it; null where none does.</param>
public sealed record EtchWatch(double LimitUm, string? Coarsest)
{
    private const double MostMm = 5, UmInMm = 1000;

    /// <summary>The coarsest whose scratches, rubbed out again, take no more than the mark can bear.</summary>
    /// <param name="depthMm">How deep the mark is, mm.</param>
    /// <param name="owned">Abrasives that are there.</param>
    /// <param name="a">What share of its depth may go, and how deep scratches are.</param>
    /// <exception cref="InputException">No depth a mark has.</exception>
    public static EtchWatch Of(double depthMm, IEnumerable<LadderAbrasive> owned, Assumptions a)
    {
        double limit = Check.Within(Check.Positive(depthMm, "stamp_depth_mm"), 0, MostMm, "stamp_depth_mm") * UmInMm * a.StampShare;
        // Rust comes off with the steel: whatever its scratches take, coarse grain is never laid on an etch.
        return new EtchWatch(limit, owned.Where(o => o.CountsUm(a) is var um && um <= a.EtchCoarsestUm && um * a.ScratchShare * a.ScratchTimes
            <= limit + Whole.Slack).MaxBy(o => o.CountsUm(a))?.Name);
    }
}
