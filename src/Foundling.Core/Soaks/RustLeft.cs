using Foundling.Core.Baths;
using Foundling.Core.Rod;
using Foundling.Core.State;

namespace Foundling.Core.Soaks;

/// <summary>What a soak leaves of the rust.</summary>
public static class RustLeft
{
    /// <summary>How rusty a part is of which a share of the rust is left, as a degree from 0 to 3: the least rust that is as deep.</summary>
    /// <param name="was">How rusty it was.</param>
    /// <param name="left">Share of it that is left, 0 to 1.</param>
    /// <param name="a">How deep rust is, and what is clean.</param>
    public static int Degree(RustLevel was, double left, Assumptions a)
    {
        if (left <= a.LookCleanShare)
        {
            return 0;
        }
        double deep = Soak.RustDepthMm(was, a) * left;
        RustLevel now = Enum.GetValues<RustLevel>().Where(r => Soak.RustDepthMm(r, a) >= deep - Whole.Slack).DefaultIfEmpty(was).Min();
        return DegreeOf(now);
    }

    /// <summary>The degree of a finding that means so much rust.</summary>
    public static int DegreeOf(RustLevel rust) => Enumerable.Range(1, 3).First(d => PlanQuestion.LevelOf(d) == rust);

    /// <summary>Share of the rust that is left by two counts on pictures: what is rusty now of what was rusty before.</summary>
    /// <param name="before">Share of the part that was rusty; null where nobody counted, which takes all of it as rusty.</param>
    /// <param name="now">Share of it that is rusty now.</param>
    /// <returns>The share, and between what it lies with nine chances in ten or more.</returns>
    public static (double Left, double Low, double High) Of(WilsonResult? before, WilsonResult now)
    {
        double Share(double rusty, double of) => of > 0 ? Math.Clamp(rusty / of, 0, 1) : 0;
        return before is null ? (now.Share, now.Low95, now.High95)
            : (Share(now.Share, before.Share), Share(now.Low95, before.High95), Share(now.High95, before.Low95));
    }
}
