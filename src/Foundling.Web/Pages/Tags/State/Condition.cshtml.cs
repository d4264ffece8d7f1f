using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Data.Tags;

namespace Foundling.Web.Pages.Tags;

/// <summary>The condition report of a tag.</summary>
/// <param name="Tag">The tag.</param>
/// <param name="Assumed">What the shop assumes.</param>
/// <param name="Alone">It is a page of its own, not a part of the papers.</param>
public sealed record ConditionView(Tag Tag, Core.Assumptions Assumed, bool Alone)
{
    /// <summary>What the findings say.</summary>
    public TriageResult Weighed => Triage.Of(Tag.Facts(), Assumed);
}

/// <summary>The condition report: what was found, when, and how it was known. Made to be printed.</summary>
public sealed class ConditionModel(TagBook tags) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "papers";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Pictures | TagParts.Counts;

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }
}
