using Foundling.Core.Rod;

namespace Foundling.Core.Log;

/// <summary>How steps stand, read off the events of the bench.</summary>
public static class Standings
{
    /// <summary>True for an event that changes how its step stands.</summary>
    public static bool Speaks(BenchEvent happened) => happened.Step is not null
        && happened.Kind is EventKind.Done or EventKind.LeftOut or EventKind.Reopened or EventKind.Agreed or EventKind.Arrived or EventKind.Overruled
            or EventKind.WentWithout;

    /// <summary>Lets an event change how its step stands.</summary>
    public static void Apply(StepMark mark, BenchEvent happened)
    {
        switch (happened.Kind)
        {
            case EventKind.Done:
                (mark.State, mark.EndedAt, mark.SkipReason) = (StepState.Done, happened.At, "");
                break;
            case EventKind.LeftOut:
                (mark.State, mark.EndedAt, mark.SkipReason) = (StepState.Skipped, happened.At, happened.Text);
                break;
            case EventKind.Reopened:
                (mark.State, mark.EndedAt, mark.SkipReason, mark.Overruled, mark.Without) = (StepState.Open, null, "", "", []);
                break;
            case EventKind.Overruled:
                mark.Overruled = happened.Text;
                break;
            case EventKind.Agreed:
                (mark.AgreedAt, mark.Agreed, mark.AgreedTo) = (happened.At, happened.Text, happened.Bound ?? "");
                break;
            case EventKind.Arrived:
                mark.Arrived = happened.Text;
                break;
            case EventKind.WentWithout when happened.Supply is SupplyId supply:
                mark.Without = [.. mark.Without.Where(w => w != supply), supply];
                break;
        }
    }

    /// <summary>How every step stands after these events, by deed.</summary>
    public static IReadOnlyDictionary<DeedId, StepMark> Of(IEnumerable<BenchEvent> events)
    {
        var marks = new Dictionary<DeedId, StepMark>();
        foreach (BenchEvent happened in events.Where(Speaks).OrderBy(e => e.At).ThenBy(e => e.Id))
        {
            DeedId id = happened.Step!.Value;
            if (!marks.TryGetValue(id, out StepMark? mark))
            {
                marks[id] = mark = new StepMark { Deed = id };
            }
            Apply(mark, happened);
        }
        return marks;
    }
}
