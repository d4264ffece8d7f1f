using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tags;

/// <summary>Notes findings on a tag: of faults at a spot a part can have several, of others one for each look.</summary>
public static class FindingBook
{
    /// <summary>The finding a new one would change: of the same look, on the same part, of a fault that holds for the whole part.</summary>
    public static Finding? There(this Tag tag, PartId part, FindingKind kind, Round round) =>
        Faults.IsSpot(kind) ? null : tag.Findings.FirstOrDefault(f => f.Part == part && f.Kind == kind && f.Round == round);

    /// <summary>What says that a part is gone; null when it is there.</summary>
    public static Finding? Gone(this Tag tag, PartId part) =>
        tag.Standing().LastOrDefault(f => f.Part == part && f.Kind == FindingKind.Missing && f.Severity > 0);

    /// <summary>Notes that a part it was made with is gone; noted already, nothing changes.</summary>
    /// <param name="tag">The tag.</param>
    /// <param name="part">The part.</param>
    /// <param name="round">When it was seen.</param>
    /// <param name="at">When it is noted.</param>
    /// <exception cref="InputException">Without it there would be no tool.</exception>
    public static void Lose(this Tag tag, PartDef part, Round round, DateTimeOffset at)
    {
        if (!Faults.Can(tag.Tool(), part, FindingKind.Missing))
        {
            throw new InputException("main_part", "lost", part.Id.Value, "a part that can be gone", $"Without the {part.Name} there is no tool to work on.");
        }
        if (tag.Gone(part.Id) is null)
        {
            tag.Note(new Finding { Id = Guid.CreateVersion7(at), At = at, Part = part.Id, Kind = FindingKind.Missing, Severity = Faults.GoneUsually(part),
                Round = round });
        }
    }

    /// <summary>Says how a part is built; one that is said to be there, or never to have been, is not lost.</summary>
    /// <exception cref="InputException">It cannot be.</exception>
    public static void Say(this Tag tag, PartDef part, PartChange change)
    {
        tag.Built = tag.Built.Said(ToolCatalogue.Kind(tag.Kind), part, change);
        if (change.Stand is not null && tag.Gone(part.Id) is { } gone)
        {
            tag.Findings.Remove(gone);
        }
    }

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
