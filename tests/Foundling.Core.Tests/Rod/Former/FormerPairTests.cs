using System.Collections.Concurrent;
using Foundling.Core.Keys;
using Foundling.Core.Rod;

namespace Foundling.Core.Tests.Rod.Former;

/// <summary>What was once 470 pairs held by hand follows from the state of parts.</summary>
public sealed class FormerPairTests
{
    private const int Batches = 40, Tools = 40, Seed = 9000;

    /// <summary>Pairs that were struck out, each with its reason in the record of decisions.</summary>
    private static readonly HashSet<(StepKey Before, StepKey After)> Struck =
    [
        (StepKey.CoatBake, StepKey.CoatMask), (StepKey.HaftHang, StepKey.WoodWipe),
    ];

    [Fact]
    public void What_was_held_by_hand_follows_from_the_state_of_parts()
    {
        ConcurrentDictionary<(StepKey, StepKey), string> broken = [];
        Parallel.For(0, Batches, batch =>
        {
            var random = new Random(Seed + batch);
            for (int i = 0; i < Tools; i++)
            {
                PlanQuestion question = Asking.Random(random);
                foreach ((Deed early, Deed late, FormerPair pair) in Broken(Planner.Plan(question), question))
                {
                    broken.TryAdd((early.Id.Step, late.Id.Step),
                        $"{pair.Why}: tool {i} of seed {Seed + batch}, {question.Tool.Id} {question.Aim}, {early.Id} before {late.Id}");
                }
            }
        });
        broken.Where(b => !Struck.Contains(b.Key)).Select(b => b.Value).ShouldBeEmpty();
        // What is struck out and never seen would be a dead entry.
        Struck.Where(s => !broken.ContainsKey(s)).ShouldBeEmpty();
    }

    private static IEnumerable<(Deed Early, Deed Late, FormerPair Pair)> Broken(IReadOnlyList<Deed> plan, PlanQuestion question)
    {
        for (int early = 0; early < plan.Count; early++)
        {
            for (int late = early + 1; late < plan.Count; late++)
            {
                foreach (FormerPair pair in FormerPairs.All.Where(p => !p.Soft && p.Before.Has(plan[late].Id.Step) && p.After.Has(plan[early].Id.Step)))
                {
                    if (Shared(plan[early], plan[late]) && (pair.When is null || pair.When.Holds(question)))
                    {
                        yield return (plan[early], plan[late], pair);
                    }
                }
            }
        }
    }

    private static bool Shared(Deed one, Deed other) => one.Parts.Count == 0 || other.Parts.Count == 0 || one.Parts.Any(other.Parts.Contains);
}
