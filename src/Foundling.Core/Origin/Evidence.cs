using Foundling.Core.Tools;

namespace Foundling.Core.Origin;

/// <summary>How sure the person is of what was seen.</summary>
public enum Confidence
{
    /// <summary>No doubt.</summary>
    Sure,

    /// <summary>Probably.</summary>
    Likely,

    /// <summary>Could be something else.</summary>
    Unsure,
}

/// <summary>Kinds of dated mark that hold for any maker.</summary>
public enum MarkKind
{
    /// <summary>Not before and/or not after a year.</summary>
    Window,

    /// <summary>A granted patent's number or date.</summary>
    PatentGranted,

    /// <summary>"Patent applied for".</summary>
    PatentApplied,
}

/// <summary>One piece of dating evidence: either a trait's variant, or a dated mark on a part.</summary>
/// <param name="Id">Key of the observation.</param>
/// <param name="Confidence">How sure.</param>
/// <param name="Trait">Trait that was seen; null for a mark.</param>
/// <param name="Variant">Which variant.</param>
/// <param name="Part">Part a mark stands on (a trait knows its own).</param>
/// <param name="Mark">Kind of mark; null for a trait.</param>
/// <param name="Soft">A tendency, not a rule.</param>
/// <param name="NotBeforeYear">Earliest year of a window.</param>
/// <param name="NotAfterYear">Latest year of a window.</param>
/// <param name="IssueYear">Year a patent was granted.</param>
/// <param name="FilingYear">Year a patent was filed.</param>
/// <param name="GrantYear">Year an applied-for patent was granted.</param>
public sealed record Observation(
    string Id,
    Confidence Confidence = Confidence.Sure,
    string? Trait = null,
    string? Variant = null,
    string? Part = null,
    MarkKind? Mark = null,
    bool Soft = false,
    int? NotBeforeYear = null,
    int? NotAfterYear = null,
    int? IssueYear = null,
    int? FilingYear = null,
    int? GrantYear = null)
{
    /// <summary>First and last year this mark allows at full weight; null ends are open.</summary>
    public (int? First, int? Last) MarkWindow(Assumptions assumptions) => Mark switch
    {
        MarkKind.PatentGranted => (IssueYear ?? Missing("issue_year", "the year the patent was granted"), null),
        MarkKind.PatentApplied when GrantYear is int grant => (FilingYear ?? (grant - assumptions.PatentPendingYears), grant),
        MarkKind.PatentApplied => (FilingYear ?? Missing("filing_year", "the year of filing or of grant"), FilingYear + assumptions.PatentPendingYears),
        MarkKind.Window when NotBeforeYear is null && NotAfterYear is null => (Missing("not_before_year", "a first year, a last year or both"), null),
        MarkKind.Window when NotBeforeYear > NotAfterYear => throw new InputException("years_out_of_order", "not_after_year", NotAfterYear,
            $"{NotBeforeYear} or later", $"The last year {NotAfterYear} is before the first year {NotBeforeYear}."),
        _ => (NotBeforeYear, NotAfterYear),
    };

    private static int? Missing(string field, string what) =>
        throw new InputException("required", field, null, what, $"This mark needs {what}.");
}

/// <summary>What a look at wedge and iron together said.</summary>
public enum KinLook
{
    /// <summary>They agree.</summary>
    Match,

    /// <summary>They disagree.</summary>
    Clash,
}

/// <summary>Whether wedge and iron of a wooden tool have always lived together; looks left out say nothing.</summary>
public sealed record Kinship(KinLook? Colour = null, KinLook? Shadow = null, KinLook? Fit = null)
{
    /// <summary>The chance of a swap after these looks.</summary>
    /// <param name="prior">Chance before, 0 to 1.</param>
    /// <param name="assumptions">Likelihood ratios.</param>
    public double Adjust(double prior, Assumptions assumptions)
    {
        double odds = prior / (1 - prior);
        foreach ((KinLook? look, double ratio) in new[] { (Colour, assumptions.KinColour), (Shadow, assumptions.KinShadow), (Fit, assumptions.KinFit) })
        {
            odds *= look switch { KinLook.Match => 1 / ratio, KinLook.Clash => ratio, _ => 1 };
        }
        return odds / (1 + odds);
    }
}

/// <summary>Part names that the dating rules know, and how parts behave.</summary>
public static class PartRules
{
    /// <summary>The body of the tool itself, which is never a swapped part.</summary>
    public static bool IsCore(string part) => part is "body" or "head";

    /// <summary>Years of stock a part may have lain before it was fitted.</summary>
    public static int LagYears(string part, Assumptions a) => IsCore(part) ? 0 : a.StockYears;

    /// <summary>Wedge and iron that the looks at them together make more likely swapped than not.</summary>
    public static IEnumerable<PartId> OddByKinship(Kinship? kinship, Assumptions a) =>
        kinship is null ? [] : new[] { PartIds.Iron, PartIds.Wedge }.Where(p => SwapPrior(p.Value, kinship, a) > 0.5);

    /// <summary>Chance that a part was swapped, before any evidence.</summary>
    public static double SwapPrior(string part, Kinship? kinship, Assumptions a)
    {
        double prior = part switch
        {
            "body" or "head" => 0,
            "iron" => a.SwapIron,
            "cap_iron" => a.SwapCapIron,
            "tote" or "handle" => a.SwapHandle,
            "lever_cap" => a.SwapLeverCap,
            "saw_nuts" => a.SwapSawNuts,
            "knob" => a.SwapKnob,
            "frog" => a.SwapFrog,
            "plate" => a.SwapPlate,
            _ => a.SwapHardware,
        };
        return kinship is not null && part is "iron" or "wedge" ? (kinship ?? new Kinship()).Adjust(prior, a) : prior;
    }
}
