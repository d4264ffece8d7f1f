using Foundling.Core.Tags;

namespace Foundling.Core.Rod;

/// <summary>A step of a tag that can be worked on now.</summary>
public sealed record Job(Tag Tag, PlanStep Step);

/// <summary>What can be done next.</summary>
public static class Bench
{
    /// <summary>The first step still open that waits for no part; null when there is none.</summary>
    public static PlanStep? Next(Tag tag) => tag.Steps.FirstOrDefault(s => s.State == StepState.Open && s.WaitsFor.Length == 0);

    /// <summary>The next step of each tag that nothing standing holds up, the soonest promised first, then the oldest tag.</summary>
    /// <param name="tags">The tags in hand with their steps and waits.</param>
    /// <param name="now">This moment.</param>
    public static IEnumerable<Job> Ready(IEnumerable<Tag> tags, DateTimeOffset now) =>
        from tag in tags
        where !tag.Waits.Any(w => WaitEnds.Holds(w, now))
        let step = Next(tag)
        where step is not null
        orderby tag.PromisedOn ?? DateOnly.MaxValue, tag.Number
        select new Job(tag, step);
}
