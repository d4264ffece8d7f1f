using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod;

/// <summary>What an aim takes, costs and leaves.</summary>
/// <param name="Aim">The aim.</param>
/// <param name="Steps">Its plan.</param>
/// <param name="Minutes">Hands-on minutes.</param>
/// <param name="WaitMin">Minutes of waiting on top, on the longest way through.</param>
/// <param name="ElapsedMin">Minutes from the first step to the end of the last wait: the longest way through.</param>
/// <param name="MaterialsCost">What its materials cost; assumed prices.</param>
/// <param name="MetalMm">Most metal taken off a working face, mm.</param>
/// <param name="Lost">Original surfaces it costs, in words.</param>
/// <param name="LostShare">Share of the original surface it costs, 0 to 1; assumed.</param>
/// <param name="Final">Steps that cannot be undone.</param>
/// <param name="WorthAfter">What a sound one is worth less what its lost surface takes; null when its worth is not known. Assumed.</param>
/// <param name="BuysMost">The single step that buys most of the result; null when none stands out.</param>
/// <param name="BuysShare">Share of the result it buys, 0 to 1.</param>
/// <param name="StopAfter">The step after which four fifths of the result are there; null when that is the end.</param>
/// <param name="StopMinutes">Hands-on minutes up to there, likely.</param>
public sealed record AimReview(
    AimKind Aim, IReadOnlyList<Deed> Steps, TotalsResult Minutes, double WaitMin, double ElapsedMin, double MaterialsCost, double MetalMm,
        IReadOnlyList<string> Lost,
        double LostShare, IReadOnlyList<Deed> Final,
    double? WorthAfter, Deed? BuysMost, double BuysShare, Deed? StopAfter, double StopMinutes)
{
    /// <summary>The aim the book would take for a tool, and why.</summary>
    /// <param name="rarity">How often such a tool turns up; null when not said.</param>
    /// <param name="tried">What it did as found.</param>
    /// <param name="findings">Findings that stand.</param>
    public static (AimKind Aim, string Why) Advise(Rarity? rarity, AsFoundTry? tried, IReadOnlyList<Found> findings) =>
        rarity is Core.Aim.Rarity.Scarce or Core.Aim.Rarity.Rare ? (AimKind.Keep, "Tools as scarce as this are worth more untouched.")
        : tried == AsFoundTry.Well && findings.All(f => f.Severity < 2 || f.Kind == FindingKind.Mark) ? (AimKind.Keep, "It works well as it is.")
        : (AimKind.Work, "It should cut; more than that is taste.");

    private static readonly PartId[] Working = [PartIds.Body, PartIds.Iron, PartIds.Blade, PartIds.Plate, PartIds.Bit, PartIds.UpperJaw, PartIds.LowerJaw];

    /// <summary>Reviews one aim.</summary>
    /// <param name="question">What the plan is made from, with its aim.</param>
    /// <param name="worthSound">What a sound one is worth, or null.</param>
    /// <param name="rarity">How often such a tool turns up.</param>
    public static AimReview Of(PlanQuestion question, double? worthSound, Rarity rarity)
    {
        IReadOnlyList<Deed> steps = Planner.Plan(question);
        Assumptions a = question.Shop.Assumptions;
        double share = SurfaceLoss.Share(steps, question), total = 0;
        var buys = new List<(Deed Step, double Buys)>();
        foreach (IGrouping<PlanRule?, Deed> byRule in steps.GroupBy(Planner.RuleOf))
        {
            // A rule with several steps buys its share once, with the last of them.
            buys.Add((byRule.Last(), byRule.Key?.Buys ?? 0));
        }
        total = buys.Sum(b => b.Buys);
        (Deed Step, double Buys) most = buys.OrderByDescending(b => b.Buys).ThenBy(b => b.Step.Minutes.Likely).FirstOrDefault();
        double so = 0, minutes = 0, all = steps.Sum(s => PlanTotals.Likely(s, a));
        Deed? stop = null;
        foreach (Deed step in steps)
        {
            minutes += PlanTotals.Likely(step, a);
            so += buys.Where(b => b.Step == step).Sum(b => b.Buys);
            if (so >= a.StopShare * total - Whole.Slack)
            {
                stop = minutes < a.StopLastShare * all ? step : null;
                break;
            }
        }
        return new AimReview(question.Aim, steps, PlanTotals.Of(steps, a), PlanTime.Waiting(steps), PlanTime.Elapsed(steps),
            steps.Sum(s => Needs.Cost(s, a)),
            steps.Where(s => s.Parts.Any(Working.Contains)).Select(s => s.MetalRemovedMm).DefaultIfEmpty(0).Max(),
            [.. SurfaceLoss.Of(steps).Select(Surfaces.Name)], share, [.. steps.Where(s => !s.Undoable)],
            worthSound is double worth ? Worth.OverRestoration(new OverRestorationInput(worth, rarity, share), question.Shop.Assumptions).WorthAfter : null,
                total > 0 ? most.Step : null,
                total > 0 ? most.Buys / total : 0, stop, minutes);
    }
}

/// <summary>A way beside the others: what the plan becomes with it.</summary>
/// <param name="Way">The way.</param>
/// <param name="Taken">It is the one taken.</param>
/// <param name="Blocked">What blocks it, in a sentence; null when it is open.</param>
/// <param name="Minutes">Hands-on minutes of the steps of this choice; null when it is blocked.</param>
/// <param name="WaitMin">Minutes of waiting of those steps.</param>
/// <param name="Cost">What their materials cost; assumed prices.</param>
/// <param name="Change">What it would make of the whole rod.</param>
public sealed record WayReview(Rod.Ways.Way Way, bool Taken, string? Blocked, TotalsResult? Minutes, double WaitMin, double Cost, PlanDiff? Change)
{
    /// <summary>The ways of a choice side by side.</summary>
    public static IReadOnlyList<WayReview> Of(Rod.Ways.Choice choice, PlanQuestion question)
    {
        // Their order says nothing here, so the steps are not sorted.
        List<Deed> now = [.. Planner.Steps(question)];
        WayId taken = question.Way(choice.Id);
        return [.. choice.Ways.Select(way =>
        {
            if (way.Blocked(question) is string blocked)
            {
                return new WayReview(way, way.Id == taken, blocked, null, 0, 0, null);
            }
            List<Deed> with = way.Id == taken ? now : [.. Planner.Steps(question.With(choice.Id, way.Id))];
            List<Deed> own = [.. with.Where(s => s.Choice == choice.Id)];
            return new WayReview(way, way.Id == taken, null, PlanTotals.Of(own, question.Shop.Assumptions), own.Sum(s => s.Lag?.HoldsMin ?? 0),
                own.Sum(s => Needs.Cost(s, question.Shop.Assumptions)),
                way.Id == taken ? null : PlanDiff.Of(now, with));
        })];
    }
}
