using Foundling.Core.Rod.Rust;
using Foundling.Core;
using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Shop;
using Foundling.Core.State;
using Foundling.Core.Tools;
using Foundling.Data.Reference;

namespace Foundling.Data.Tests;

/// <summary>Plans of made-up tools, held to the tables the program ships.</summary>
public sealed class ShippedTableTests
{
    private static PlanQuestion Ask(Random random)
    {
        ToolKind kind = ToolCatalogue.Kinds[random.Next(ToolCatalogue.Kinds.Count)];
        Found[] rusty = [.. kind.Parts.Where(p => random.Next(2) == 0).SelectMany(p => Faults.For(kind, p).Where(f => f != FindingKind.Missing
            && random.Next(3) == 0).Select(f => new Found(p.Id, f, random.Next(1, 5))))];
        Choice derust = Choices.Find(RustWays.Id);
        return new PlanQuestion(new Facts(kind, rusty), (AimKind)random.Next(4), new ShopContext(Assumptions.Standard, new Climate(), ReferenceData.Baths))
        {
            TagWays = new Dictionary<ChoiceId, WayId> { [RustWays.Id] = derust.Ways[random.Next(derust.Ways.Count)].Id },
        };
    }

    [Fact]
    public void No_plan_puts_into_a_bath_what_the_table_keeps_out_or_leaves_it_in_too_long()
    {
        int soaks = 0;
        for (int seed = 0; seed < 600; seed++)
        {
            PlanQuestion question = Ask(new Random(seed));
            IReadOnlyList<Deed> plan = Planner.Plan(question);
            foreach (Deed soak in plan.Where(d => d.Bath is not null))
            {
                soaks++;
                // What comes out before the rest has a limit of its own, which the step that lifts it keeps.
                HashSet<PartId> early = [.. plan.Where(d => d.Id == new DeedId(StepKey.SoakEarly, soak.Id.Of)).SelectMany(d => d.Parts)];
                LoadLimit[] limits = [.. soak.Parts.Except(early).Select(p => question.Limit(soak.Bath!.Value, question.Tool.Part(p)!))];
                limits.ShouldAllBe(l => l.Allowed, $"seed {seed}: {soak.Title}");
                double? strictest = limits.Select(l => l.OutByHours).Min();
                (strictest is null || soak.Lag!.MostMin <= (strictest * 60) + 1e-6).ShouldBeTrue($"seed {seed}: {soak.Lag}, but out by {strictest} h");
                plan.Select(d => d.Id.Step).ShouldContain(StepKey.SoakDry, $"seed {seed}");
                soak.Parts.SelectMany(p => Joined.To(question, question.Tool.Part(p)!)).Select(p => p.Id).Except(soak.Parts)
                    .ShouldBeEmpty($"seed {seed}: a part goes in without what it cannot be parted from");
            }
        }
        soaks.ShouldBeGreaterThan(60);
    }

    [Fact]
    public void Everything_a_plan_names_is_in_the_tables()
    {
        HashSet<PartId> parts = [.. ToolCatalogue.Kinds.SelectMany(k => k.Parts).Select(p => p.Id)];
        for (int seed = 0; seed < 200; seed++)
        {
            PlanQuestion question = Ask(new Random(seed));
            foreach (Deed deed in Planner.Plan(question))
            {
                deed.Parts.ShouldAllBe(p => parts.Contains(p) && question.Tool.Part(p) != null, $"seed {seed}: {deed.Title}");
                deed.Needs.ShouldAllBe(n => n.Supply != null, $"seed {seed}: {deed.Title}");
            }
        }
    }
}
