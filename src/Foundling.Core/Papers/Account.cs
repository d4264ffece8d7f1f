using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Tags;

namespace Foundling.Core.Papers;

/// <summary>What the work on a tool came to, as its papers tell it: only what was really done, timed and decided.</summary>
/// <param name="Done">Steps that were done, in the order of the rod.</param>
/// <param name="LeftOut">Steps left out for a reason; those for a case that never came up are not among them.</param>
/// <param name="MinutesBooked">Minutes booked, all of them.</param>
/// <param name="Timed">How many of the steps done have minutes of their own.</param>
/// <param name="Ways">Ways by which steps were done, each a clause such as "Rust comes off by the chelating bath".</param>
public sealed record Account(IReadOnlyList<PlanStep> Done, IReadOnlyList<PlanStep> LeftOut, double MinutesBooked, int Timed, IReadOnlyList<string> Ways)
{
    /// <summary>True when some of what was done was never timed, so that the minutes are too few.</summary>
    public bool PartlyTimed => MinutesBooked > 0 && Timed < Done.Count;

    /// <summary>Sums up a tag.</summary>
    /// <param name="tag">The tag with its steps.</param>
    /// <param name="booked">Minutes booked on it.</param>
    /// <param name="question">What its plan is made from.</param>
    public static Account Of(Tag tag, LogTotals booked, PlanQuestion question)
    {
        List<PlanStep> done = [.. tag.Steps.Where(s => s.State == StepState.Done).OrderBy(s => s.Order)];
        List<PlanStep> leftOut = [.. tag.Steps.Where(s => s.State == StepState.Skipped && !s.OnlyIfNeeded).OrderBy(s => s.Order)];
        return new Account(done, leftOut, booked.All, done.Count(s => booked.ByStep.GetValueOrDefault(s.Key) > 0), [.. Taken(done, question, tag)]);
    }

    private static IEnumerable<string> Taken(List<PlanStep> done, PlanQuestion question, Tag tag)
    {
        List<IGrouping<ChoiceId?, PlanStep>> chosen = [.. done.Where(s => s.Choice is not null).GroupBy(s => s.Choice)];
        if (chosen.Count == 0)
        {
            yield break;
        }
        // A choice may have been changed after its steps were done: a way is named only while it would still ask for them.
        HashSet<(ChoiceId?, DeedId)> today = [.. Planner.Plan(question).Select(s => (s.Choice, s.Id))];
        foreach (Choice choice in Choices.All)
        {
            if (chosen.Find(g => g.Key == choice.Id) is { } steps && steps.All(s => today.Contains((s.Choice, s.Key))))
            {
                string? why = Choices.ReasonFor(tag.WayReasons, choice.Id);
                yield return $"{choice.Question} {choice.Take(question).Name}{(why is null ? "" : $", because {why}")}";
            }
        }
    }
}
