using Foundling.Core.State;
using Foundling.Core.Units;
using System.Reflection;
using Foundling.Core.Aim;
using Foundling.Core.Rod;
using Foundling.Core.Stores;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Rod;

/// <summary>Every id a rule can name is of something that is there, and every condition can be asked of every tool.</summary>
public sealed class IdsTests
{
    private static T[] Constants<T>(Type list) =>
        [.. list.GetFields(BindingFlags.Public | BindingFlags.Static).Select(f => f.GetValue(null)).OfType<T>()];

    [Fact]
    public void Every_constant_is_the_id_of_something()
    {
        HashSet<PartId> parts = [.. ToolCatalogue.Kinds.SelectMany(k => k.Parts).Select(p => p.Id)];
        Constants<PartId>(typeof(PartIds)).Where(p => !parts.Contains(p)).ShouldBeEmpty();
        Constants<KindId>(typeof(KindIds)).ShouldBe(ToolCatalogue.Kinds.Select(k => k.Id), ignoreOrder: true);
        Constants<SupplyId>(typeof(SupplyIds)).ShouldBe(Supplies.All.Select(s => s.Id), ignoreOrder: true);
        Constants<MeasureId>(typeof(MeasureIds)).ShouldAllBe(m => MeasureKinds.Find(m) != null);
    }

    // No gap under the nut of a loose tote.
    private static PlanQuestion Tight(PlanQuestion q) => q with
    {
        Facts = q.Facts with { Readings = [new Reading(PartIds.Tote, MeasureIds.HandleGap, new Quantity(0, Unit.Millimetres), Instrument.Feeler)] },
    };

    [Fact]
    public void Every_condition_can_be_asked_of_every_tool_and_holds_for_some()
    {
        var random = new Random(8);
        PlanQuestion[] asked =
        [
            .. ToolCatalogue.Kinds.SelectMany(k => Enum.GetValues<AimKind>().Select(a => Asking.Ask(k.Id, a,
                [.. k.Parts.SelectMany(p => Faults.For(k, p).Where(f => f != FindingKind.Missing).Select(f => Asking.F(p.Id, f, 3)))]))),
            .. Enumerable.Range(0, 3000).Select(_ => Asking.Random(random)),
            Tight(Asking.Ask(AimKind.Work, Asking.F(PartIds.Tote, FindingKind.Looseness, 2))),
        ];
        Planner.Rules.Count.ShouldBeGreaterThan(100);
        foreach (PlanRule rule in Planner.Rules)
        {
            foreach (Cond cond in rule.When)
            {
                asked.Any(cond.Holds).ShouldBeTrue($"{rule.Name}: \"{cond.Words}\" holds for no tool there is");
            }
            asked.Any(q => rule.Blocker(q) is null).ShouldBeTrue($"{rule.Name} never applies");
        }
    }
}
