using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tags;

/// <summary>Notes findings on a tag: of faults at a spot a part can have several, of others one for each look.</summary>
public static class FindingBook
{
    /// <summary>The finding a new one would change: of the same look, on the same part, of a fault that holds for the whole part.</summary>
    public static Finding? There(this Tag tag, PartId part, FindingKind kind, Round round) =>
        Faults.IsSpot(kind) ? null : tag.Findings.FirstOrDefault(f => f.Part == part && f.Kind == kind && f.Round == round);

    /// <summary>Notes a finding, beside those that stand or in the place of the one it changes.</summary>
    /// <returns>What stood there before, or null.</returns>
    public static Finding? Note(this Tag tag, Finding finding)
    {
        Finding? before = tag.There(finding.Part, finding.Kind, finding.Round);
        if (before is not null)
        {
            // Another degree is another look at the same thing: what was said about it stays, a count of it only as long as the degree does.
            (finding.OnOrder, finding.ArrivesOn, finding.PictureId) = (before.OnOrder, before.ArrivesOn, finding.PictureId ?? before.PictureId);
            finding.Note = finding.Note.Length == 0 && before.Doubt.Length == 0 ? before.Note : finding.Note;
            (finding.CountHits, finding.CountPoints) = finding.CountPoints is null && finding.Severity == before.Severity
                ? (before.CountHits, before.CountPoints) : (finding.CountHits, finding.CountPoints);
            tag.Findings.Remove(before);
        }
        tag.Findings.Add(finding);
        return before;
    }
}
