using Foundling.Core.Origin;

namespace Foundling.Core.Marks;

/// <summary>A wording, sign or address that law or custom dates.</summary>
/// <param name="Key">Stable key.</param>
/// <param name="Seen">What one sees.</param>
/// <param name="NotBefore">First year, or none.</param>
/// <param name="NotAfter">Last year, or none.</param>
/// <param name="Soft">A tendency, not a rule.</param>
/// <param name="Why">The reason.</param>
public sealed record DatedMark(string Key, string Seen, int? NotBefore, int? NotAfter, bool Soft, string Why);

/// <summary>A material, fastener or finish with the years it was to be had.</summary>
/// <param name="Key">Stable key.</param>
/// <param name="Seen">What one sees.</param>
/// <param name="NotBefore">Earliest plausible year of an original part, or none.</param>
/// <param name="TypicalFrom">First year it is usual.</param>
/// <param name="TypicalTo">Last year it is usual.</param>
/// <param name="Approximate">A guide only.</param>
/// <param name="Why">The reason.</param>
public sealed record DatedMaterial(string Key, string Seen, int? NotBefore, int? TypicalFrom, int? TypicalTo, bool Approximate, string Why);

/// <summary>A letter of the diamond-shaped registration mark.</summary>
/// <param name="First">True for the cycle of 1842 to 1867, false for that of 1868 to 1883.</param>
/// <param name="IsYear">True for a year letter, false for a month letter.</param>
/// <param name="Letter">The letter.</param>
/// <param name="Year">Year it means, if it fixes one.</param>
/// <param name="Month">Month it means, if it fixes one.</param>
/// <param name="Irregular">One of the documented exceptions.</param>
/// <param name="Note">What to mind.</param>
public sealed record DiamondLetter(bool First, bool IsYear, string Letter, int? Year, int? Month, bool Irregular, string Note);

/// <summary>How an entry of the tables is written or described by people.</summary>
/// <param name="Key">Key of the mark or material.</param>
/// <param name="Group">What it is about, for finding it in the list.</param>
/// <param name="Forms">Its forms as one pattern, without regard to case.</param>
public sealed record MarkForm(string Key, string Group, string Forms);

/// <summary>The public tables the reader works from.</summary>
public sealed record MarkTables(
    IReadOnlyList<YearStart> Patents,
    IReadOnlyList<YearStart> Designs,
    IReadOnlyList<YearStart> RegisteredDesigns,
    IReadOnlyList<DatedMark> Marks,
    IReadOnlyList<DatedMaterial> Materials,
    IReadOnlyList<DiamondLetter> Diamond,
    IReadOnlyList<MarkForm> Forms);

/// <summary>One statement about years that a mark makes.</summary>
/// <param name="Kind">How it bears on years.</param>
/// <param name="Soft">A tendency, not a rule.</param>
/// <param name="NotBefore">First year of a window.</param>
/// <param name="NotAfter">Last year of a window.</param>
/// <param name="IssueYear">Year a patent was granted.</param>
/// <param name="FilingYear">Year a patent was applied for.</param>
/// <param name="GrantYear">Year an applied-for patent was granted.</param>
public sealed record MarkBound(MarkKind Kind, bool Soft = false, int? NotBefore = null, int? NotAfter = null, int? IssueYear = null, int? FilingYear = null,
    int? GrantYear = null)
{
    /// <summary>
    /// First and last year it allows, open where it says nothing. A window without a beginning begins where another statement
    /// of the same mark does; a filing without a grant was granted within the time a patent may pend.
    /// </summary>
    /// <param name="all">Every statement of the mark.</param>
    /// <param name="assumptions">How long a patent pends.</param>
    public (int? From, int? To) Years(IReadOnlyList<MarkBound> all, Assumptions assumptions) =>
        (NotBefore ?? IssueYear ?? FilingYear ?? all.Max(o => o.NotBefore), NotAfter ?? GrantYear ?? FilingYear + assumptions.PatentPendingYears);

    /// <summary>The evidence it makes on a part.</summary>
    public Observation ToObservation(string id, string part, Confidence confidence) =>
        new(id, confidence, Part: part, Mark: Kind, Soft: Soft, NotBeforeYear: NotBefore, NotAfterYear: NotAfter, IssueYear: IssueYear, FilingYear: FilingYear,
            GrantYear: GrantYear);
}

/// <summary>One way to read a mark, or one of several marks in what was read.</summary>
/// <param name="Key">Key of this reading, the same for the same text.</param>
/// <param name="Title">What it is.</param>
/// <param name="Says">The years it gives, in words.</param>
/// <param name="Why">Why, from the tables.</param>
/// <param name="Bounds">What it states about years.</param>
/// <param name="Years">Years the number may have been given out in, when several fit.</param>
/// <param name="Doubt">What speaks against this reading; null for nothing.</param>
public sealed record MarkReading(string Key, string Title, string Says, string Why, IReadOnlyList<MarkBound> Bounds, IReadOnlyList<int>? Years = null,
    string? Doubt = null)
{
    /// <summary>False for a reading that is possible but not what most people would take it for.</summary>
    public bool Likely { get; init; } = true;

    /// <summary>Line of the pattern book whose maker's name was read; null for anything else.</summary>
    public string? Line { get; init; }

    /// <summary>What it is about, for finding it in a list.</summary>
    public string Group { get; init; } = "patents";
}
