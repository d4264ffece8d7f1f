using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;

namespace Foundling.Core.Tests.Rod;

/// <summary>What the state of parts keeps in every plan: no need unmet, no hold on what the waiting does not touch, the longest way the longest.</summary>
public sealed partial class RandomPlanTests
{
    [Theory]
    [InlineData(7067, 90)]
    public void Tools_that_once_broke_a_rule_keep_it(int seed, int tool)
    {
        var random = new Random(seed);
        PlanQuestion question = Enumerable.Range(0, tool + 1).Select(_ => Asking.Random(random)).Last();
        Check(PlanStep.Fresh(Planner.Plan(question)), question);
    }

    private static void StateHolds(List<Deed> plan, PlanQuestion question)
    {
        string where = $"{question.Tool.Id}, {question.Aim}";
        Bonds.Of(plan, question).Unmet.ShouldBeEmpty(where);
        Dictionary<DeedId, Deed> byId = plan.ToDictionary(d => d.Id);
        // What is done on the whole tool touches every part.
        foreach (Deed late in plan.Where(d => d.Stage < Stage.Together && d.Parts.Count > 0))
        {
            foreach (Deed early in late.After.Where(a => a.Lag is not null).Select(a => byId[a.Id]).Where(d => d.Parts.Count > 0))
            {
                Assert.True(early.Parts.Any(late.Parts.Contains), $"{where}: {late.Id} is held by {early.Id} and shares no part with it");
            }
        }
        PlanTime.Elapsed(plan).ShouldBe(Longest(plan), 0.001, where);
    }

    /// <summary>The longest way through, found backwards: from each deed what is still to come after it.</summary>
    private static double Longest(List<Deed> plan)
    {
        Dictionary<DeedId, double> rest = plan.ToDictionary(d => d.Id, d => d.OnlyIfNeeded ? 0 : d.Lag?.HoldsMin ?? 0);
        double longest = 0;
        for (int i = plan.Count - 1; i >= 0; i--)
        {
            double own = (plan[i].OnlyIfNeeded ? 0 : plan[i].Minutes.Likely) + rest[plan[i].Id];
            longest = Math.Max(longest, own);
            foreach (Follows after in plan[i].After)
            {
                rest[after.Id] = Math.Max(rest[after.Id], (after.Lag?.HoldsMin ?? 0) + own);
            }
        }
        return longest;
    }
}
