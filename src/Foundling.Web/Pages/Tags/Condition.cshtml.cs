using Foundling.Core.State;
using Foundling.Data.Tags;

namespace Foundling.Web.Pages.Tags;

/// <summary>The condition report: what was found, when, and how it was known. Made to be printed.</summary>
public sealed class ConditionModel(TagBook tags) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "papers";

    /// <summary>What the findings say.</summary>
    public TriageResult Weighed => Triage.Of(Tool);

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }
}
