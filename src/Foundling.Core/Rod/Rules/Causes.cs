using Foundling.Core.Aim;
using Foundling.Core.Rod.Ways;
using Foundling.Core.State;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>
/// Why a working face is touched at all: for a finding, a measurement, a new coat, a try that went badly, or an aim that asks. Else it is
/// left.
/// </summary>
internal static class Causes
{
    private static readonly FindingKind[] OfAFace =
    [
        FindingKind.OutOfFlat, FindingKind.OutOfSquare, FindingKind.Wind, FindingKind.Worn, FindingKind.Pitting, FindingKind.Burred, FindingKind.Bent,
    ];

    /// <summary>Why a face is worked on that was surveyed: it is out of flat, or nothing; one that was not is judged by what else is known.</summary>
    /// <param name="q">The question.</param>
    /// <param name="face">Its key, or what its key begins with.</param>
    /// <param name="wantedMm">How flat it is wanted, mm.</param>
    /// <param name="otherwise">What else is known.</param>
    public static string? BySurvey(PlanQuestion q, string face, double wantedMm, Func<string?> otherwise) =>
        q.Facts.OutOfFlatMm(face, q.Shop.Assumptions) is not double off ? otherwise()
            : off <= wantedMm + Whole.Slack ? null : $"It is {off:0.00} mm out of flat by its survey.";

    /// <summary>Why a face of a part is worked on; null when nothing asks for it.</summary>
    /// <param name="q">What is known.</param>
    /// <param name="parts">Parts the face is on.</param>
    public static string? OfFace(PlanQuestion q, params IEnumerable<PartId> parts) => Of(q, OfAFace, 1, f => Bears(q, f), parts);

    /// <summary>Why a face of a part is worked on, by findings at some of its places only; null when nothing asks for it.</summary>
    /// <param name="q">What is known.</param>
    /// <param name="at">Whether a finding is on that face.</param>
    /// <param name="part">The part.</param>
    public static string? OfFace(PlanQuestion q, Func<Found, bool> at, PartId part) => Of(q, OfAFace, 1, f => Bears(q, f) && at(f), part);

    /// <summary>Findings of a broad face that are a reason to work on it: pits are only where they are to be lapped out.</summary>
    public static bool Lapped(PlanQuestion q, Found found) => found.Kind != FindingKind.Pitting || FaceWays.LapsPits(q);

    /// <summary>Findings of a part that are on the face it works with: a pit beside the slot or on the cheek hinders nothing.</summary>
    public static bool Bears(PlanQuestion q, Found found) => q.Tool.Part(found.Part) is { } part && PartGroups.Bears(q.Tool, part, found.Place);

    /// <summary>Why parts are worked on; null when nothing asks for it.</summary>
    /// <param name="q">What is known.</param>
    /// <param name="kinds">Findings that ask for it.</param>
    /// <param name="degree">From which degree.</param>
    /// <param name="parts">The parts.</param>
    public static string? Of(PlanQuestion q, FindingKind[] kinds, int degree, params IEnumerable<PartId> parts) => Of(q, kinds, degree, _ => true, parts);

    /// <inheritdoc cref="Of(PlanQuestion, FindingKind[], int, IEnumerable{PartId})"/>
    /// <param name="q">What is known.</param>
    /// <param name="kinds">Findings that ask for it.</param>
    /// <param name="degree">From which degree.</param>
    /// <param name="at">Whether a finding is at a place that counts.</param>
    /// <param name="parts">The parts.</param>
    public static string? Of(PlanQuestion q, FindingKind[] kinds, int degree, Func<Found, bool> at, params IEnumerable<PartId> parts)
    {
        foreach (PartId part in parts)
        {
            if (q.Findings.FirstOrDefault(f => q.Tool.Key(f.Part) == q.Tool.Key(part) && kinds.Contains(f.Kind) && f.Severity >= degree
                && at(f)) is { } found)
            {
                PartDef def = q.Tool.Part(part)!;
                return $"{Sentences.Start(def.Name)}{(PartGroups.At(found.Place, def.Name) is { Length: > 0 } place ? " " + place : "")}: "
                    + $"{FindingScales.Sight(found.Kind, found.Severity, def)}.";
            }
        }
        // Neither a new coat nor a bad try is a reason: faces that bear are masked, and a dull iron alone explains a bad try.
        return q.Aim == AimKind.Show && q.Tried != AsFoundTry.Well ? "As good as it can be is what was asked for." : null;
    }

    /// <summary>The condition for it.</summary>
    /// <param name="cause">Why; null when nothing asks for it.</param>
    public static Cond Asked(Func<PlanQuestion, string?> cause) =>
        If("a finding, a measurement or the aim asks for it", q => cause(q) is not null);
}
