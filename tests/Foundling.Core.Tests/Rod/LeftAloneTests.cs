using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>What a person will not have touched, what stays on, and the road on which no metal comes off.</summary>
public sealed class LeftAloneTests
{
    private static readonly Stage[] Working = [Stage.Wash, Stage.Derust, Stage.SmallParts, Stage.Coating, Stage.Wood, Stage.Bed, Stage.Mechanism, Stage.Edge,
        Stage.Sole, Stage.Tune];

    private static PlanQuestion Leaving(PlanQuestion q, PartId part, bool touch, string why) => q with
    {
        Facts = q.Facts with { Tool = ToolBuild.AsMade.Leaving(q.Tool, q.Tool.Part(part)!, touch, why).Of(q.Tool) },
    };

    [Fact]
    public void Nothing_is_done_to_a_part_that_is_not_to_be_touched()
    {
        var random = new Random(77);
        int bound = 0;
        for (int i = 0; i < 600; i++)
        {
            PlanQuestion free = Asking.Random(random);
            PartDef part = free.Tool.Parts[random.Next(free.Tool.Parts.Count)];
            PlanQuestion q = Leaving(free, part.Id, false, "the owner's initials");
            IReadOnlyList<Deed> plan = Planner.Plan(q);
            plan.Where(d => Working.Contains(d.Stage) && d.Kind is not (DeedKind.Look or DeedKind.Order) && d.Id.Step != StepKey.KeepOut
                && d.Parts.Contains(part.Id))
                .Select(d => $"{q.Tool.Name}, {part.Name}: {d.Title}").ShouldBeEmpty();
            if (q.Has(part.Id))
            {
                plan.Single(d => d.Id == StepKey.LeaveOn).How.ShouldContain("initials", customMessage: $"{q.Tool.Name}, {part.Name}");
                FindingAnswers.Of(q, plan).Where(a => a.Finding.Part == part.Id && a.Finding.Kind != FindingKind.Missing).ShouldAllBe(a => a.By.Count == 0
                    && a.WhyNot!.Contains("not to be touched"));
                bound++;
            }
        }
        bound.ShouldBeGreaterThan(400);
    }

    [Fact]
    public void A_part_that_is_left_on_stays_on_and_goes_into_no_bath_that_harms_what_it_sits_on()
    {
        PlanQuestion q = Leaving(Ask(AimKind.Work, F(PartIds.Frog, FindingKind.Rust, 2), F(PartIds.LateralLever, FindingKind.Rust, 2)), PartIds.Tote, true,
            "its bolt turns in the casting");
        Deed left = Planner.Plan(q).Single(d => d.Id == StepKey.LeaveOn);
        left.Title.ShouldContain("tote");
        left.How.ShouldContain("its bolt turns in the casting");
        Planner.Plan(q).Single(d => d.Id == StepKey.Apart).Title.ShouldNotContain("tote");
        Planner.Plan(q).Single(d => d.Id == StepKey.Assemble).Title.ShouldNotContain("tote");
        Should.Throw<InputException>(() => Leaving(q, PartIds.Body, true, "heavy")).Sentence.ShouldContain("can only be left untouched");
        ToolBuild.AsMade.Leaving(q.Tool, q.Tool.Part(PartIds.Knob)!, false, "a label").Leaving(q.Tool, q.Tool.Part(PartIds.Knob)!, false, " ").IsAsMade
            .ShouldBeTrue();
    }

    [Fact]
    public void Between_Keep_and_Work_no_metal_comes_off_and_worth_follows()
    {
        var random = new Random(78);
        for (int i = 0; i < 300; i++)
        {
            PlanQuestion work = Asking.Random(random) with { Aim = AimKind.Work };
            PlanQuestion q = MetalWays.OnMiddleRoad(work);
            MetalWays.IsOnMiddleRoad(q).ShouldBeTrue();
            IReadOnlyList<Deed> plan = Planner.Plan(q);
            // The page that says why a plan is what it is tells the same.
            Planner.Trace(q).SelectMany(r => r.Steps).ShouldBe(plan.Select(d => d.Id), ignoreOrder: true);
            plan.Where(d => d.MetalRemovedMm > 0).Select(d => $"{q.Tool.Name}: {d.Title}").ShouldBeEmpty();
            plan.Single(d => d.Id == StepKey.Prove).Title.StartsWith("Try it", StringComparison.Ordinal).ShouldBe(MetalWays.Spares(q),
                "only a tool without iron is proved as ever");
            SurfaceLoss.Share(plan, q).ShouldBeLessThanOrEqualTo(SurfaceLoss.Share(Planner.Plan(work with { TagWays = new Dictionary<ChoiceId, WayId>() }),
                work)
                + 1e-9);
        }
        AimReview Of(PlanQuestion q) => AimReview.Of(q, 400, Rarity.Scarce);
        AimReview between = Of(MetalWays.OnMiddleRoad(Ask(AimKind.Work, Rusty))), worked = Of(Ask(AimKind.Work, Rusty)), kept = Of(Ask(AimKind.Keep, Rusty));
        kept.WorthAfter.ShouldBe(400);
        between.WorthAfter!.Value.ShouldBeInRange(worked.WorthAfter!.Value + 20, 400);
        worked.WorthAfter!.Value.ShouldBeLessThan(400 * 0.9, "a scarce tool that was soaked, lapped and ground has lost more than a little");
    }

    [Fact]
    public void What_is_lost_follows_the_parts()
    {
        PlanQuestion jack = Ask(KindIds.WoodenBenchPlane, AimKind.Work, F(PartIds.Iron, FindingKind.Rust, 2));
        PlanQuestion plane = Ask(AimKind.Work, F(PartIds.Body, FindingKind.Rust, 2), F(PartIds.Iron, FindingKind.Rust, 2), F(PartIds.CapIron,
            FindingKind.Rust, 2),
            F(PartIds.LeverCap, FindingKind.Rust, 2));
        Planner.Plan(jack).ShouldContain(d => d.SurfaceLost == SurfaceId.Patina, string.Join("; ", Planner.Plan(jack).Select(d => d.Title)));
        double Patina(PlanQuestion q) => SurfaceLoss.Share([.. Planner.Plan(q).Where(d => d.SurfaceLost is SurfaceId.Patina)], q);
        Patina(jack).ShouldBeInRange(1e-6, Patina(plane) / 2);
    }

    [Fact]
    public void A_part_the_tool_works_without_holds_nothing_up()
    {
        IReadOnlyList<Deed> plan = Planner.Plan(Ask(KindIds.WoodenBenchPlane, AimKind.Work, F(PartIds.Strike, FindingKind.Missing, 2, true)));
        Deed look = plan.Single(d => d.Id == new DeedId(StepKey.IronsFind, PartIds.Strike.Value));
        look.WaitsFor.ShouldContain("on order");
        plan.ShouldAllBe(d => d.After.All(a => a.Id != look.Id));
        plan.ShouldNotContain(d => d.Id.Step == StepKey.Find);
    }
}
