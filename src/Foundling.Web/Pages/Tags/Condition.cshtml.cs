using Foundling.Core.State;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;

namespace Foundling.Web.Pages.Tags;

/// <summary>The condition report: what was found, when, and how it was known. Made to be printed.</summary>
public sealed class ConditionModel(TagBook tags) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "papers";

    /// <summary>What the findings say.</summary>
    public TriageResult Weighed => Triage.Weigh(Tool.Tool(), Tool.Standing(), Tool.Tried, IronView.Of(Tool)?.Reserve.SharpeningsLeft);

    /// <summary>Shows it.</summary>
    public void OnGet()
    {
    }
}
