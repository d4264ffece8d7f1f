using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Tags;

namespace Foundling.Core.Tests.Rod;

/// <summary>Rods for tests: deeds with how they stand.</summary>
internal static class Rods
{
    /// <summary>A deed of no matter what.</summary>
    public static Deed Deed(StepKey key, Stage stage = Stage.Wash, string title = "") => new(key, stage, title, 1, 2, 3);

    /// <summary>The same rod with some steps standing otherwise.</summary>
    public static List<PlanStep> Stand(IReadOnlyList<PlanStep> plan, StepState state, params DeedId[] ids) =>
        [.. plan.Select(s => new PlanStep(s.Deed, ids.Contains(s.Key) ? new StepMark { Deed = s.Key, State = state }
            : s.State == StepState.Open ? null : new StepMark { Deed = s.Key, State = s.State }, s.Order))];

    /// <summary>The rod after a change by hand, with what stood standing on.</summary>
    public static List<PlanStep> After(IReadOnlyList<PlanStep> before, IReadOnlyList<Deed> deeds) =>
        [.. deeds.Select((d, i) => new PlanStep(d, before.FirstOrDefault(b => b.Key == d.Id) is { State: not StepState.Open } old
            ? new StepMark { Deed = d.Id, State = old.State } : null, i + 1))];

    /// <summary>Gives a tag a plan.</summary>
    public static Tag Plan(this Tag tag, IEnumerable<Deed> deeds)
    {
        tag.Plan = new Plan(tag.Aim ?? AimKind.Work, [.. deeds]);
        return tag;
    }

    /// <summary>Lets a step of a tag stand otherwise.</summary>
    public static void Set(this Tag tag, DeedId id, StepState state, string reason = "")
    {
        StepMark mark = tag.Mark(id);
        (mark.State, mark.SkipReason) = (state, reason);
    }
}
