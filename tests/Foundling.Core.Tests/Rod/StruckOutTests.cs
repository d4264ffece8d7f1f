using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>What a restorer who read the plans aloud would have struck out of them, or missed in them.</summary>
public sealed class StruckOutTests
{
    private static Deed? Step(PlanQuestion q, StepKey step) => Planner.Plan(q).FirstOrDefault(d => d.Id.Step == step);

    [Fact]
    public void An_iron_under_a_wedge_is_not_worked_to_and_fro_with_oil()
    {
        foreach (KindId kind in new[] { KindIds.RebatePlane, KindIds.MouldingPlane, KindIds.ToothingPlane, KindIds.WoodenBenchPlane })
        {
            Step(Ask(kind, AimKind.Work, F(PartIds.Iron, FindingKind.Seizure, 1)), StepKey.FreeStiff).ShouldBeNull(kind.Value);
        }
        Step(Ask(KindIds.RebatePlane, AimKind.Work, F(PartIds.Iron, FindingKind.Seizure, 2)), StepKey.FreeDriver)!.Title.ShouldContain(
            "by a blow in the right place");
        Step(Ask(KindIds.Pruner, AimKind.Work, F(PartIds.Spring, FindingKind.Seizure, 1)), StepKey.FreeStiff).ShouldBeNull("a spring is no joint");
    }

    [Fact]
    public void A_head_that_rocks_is_not_swung_to_try_it()
    {
        Step(Ask(KindIds.Axe, AimKind.Work, F(PartIds.Haft, FindingKind.Looseness, 2)), StepKey.TryAsFound).ShouldBeNull();
        Step(Ask(KindIds.Axe, AimKind.Work, F(PartIds.Haft, FindingKind.Looseness, 1)), StepKey.TryAsFound).ShouldNotBeNull();
        PlanQuestion kept = Ask(KindIds.Axe, AimKind.Keep, F(PartIds.Haft, FindingKind.Looseness, 2));
        IReadOnlyList<Deed> plan = Planner.Plan(kept);
        FindingAnswers.Of(kept, plan).Single().WhyNot.ShouldBe("Under Keep it is left as it is: a head that moves is not swung, and the papers say so.");
        plan.Single(d => d.Id.Step == StepKey.LeaveOn).How.ShouldContain("Haft: loose, and left as it is.");
    }

    [Fact]
    public void Nothing_is_read_on_a_sole_that_is_not_worked()
    {
        foreach (KindId kind in new[] { KindIds.WoodenBenchPlane, KindIds.TransitionalPlane, KindIds.RebatePlane })
        {
            Step(Ask(kind, AimKind.Keep), StepKey.SoleCheck).ShouldBeNull(kind.Value);
            Step(Ask(kind, AimKind.Work), StepKey.SoleCheck).ShouldNotBeNull(kind.Value);
        }
    }

    [Fact]
    public void Oiled_wood_is_fed_with_oil_and_never_shellacked_or_stained_at_work()
    {
        foreach (KindId kind in new[] { KindIds.Axe, KindIds.WoodenBenchPlane, KindIds.Adze, KindIds.FrameSaw })
        {
            ToolKind tool = ToolCatalogue.Kind(kind);
            PartDef wood = tool.Parts.First(p => p.Finish == PartFinish.Oiled);
            IReadOnlyList<Deed> plan = Planner.Plan(Ask(kind, AimKind.Work, F(wood.Id, FindingKind.CoatingLoss, 2)));
            plan.ShouldNotContain(d => d.Id.Step == StepKey.WoodStain, kind.Value);
            plan.ShouldNotContain(d => d.Needs.Any(n => n.Item == SupplyIds.Shellac), kind.Value);
            plan.Single(d => d.Id.Step == StepKey.WoodRevive).Needs.ShouldContain(n => n.Item == SupplyIds.BoiledLinseedOil);
        }
        IReadOnlyList<Deed> both = Planner.Plan(Ask(KindIds.TransitionalPlane, AimKind.Work, F(PartIds.Body, FindingKind.CoatingLoss, 2)));
        both.Where(d => d.Id.Step == StepKey.WoodRevive).Select(d => d.Id.ToString()).Order().ShouldBe(["wood-revive", "wood-revive:oil"]);
        both.Single(d => d.Id.Step == StepKey.WoodStain).Parts.ShouldNotContain(PartIds.Body);
    }

    [Fact]
    public void Teeth_of_a_toothing_iron_are_not_stropped()
    {
        foreach (AimKind aim in new[] { AimKind.Work, AimKind.Show })
        {
            Deed hone = Step(Ask(KindIds.ToothingPlane, aim), StepKey.EdgeHone)!;
            hone.Needs.ShouldNotContain(n => n.Item == SupplyIds.Strop || n.Item == SupplyIds.FineStone || n.Item == SupplyIds.HoningCompound);
            hone.How.ShouldContain("a strop would round the points");
        }
    }

    [Fact]
    public void A_rebate_plane_is_read_at_its_side_and_its_iron_is_wider_than_its_body()
    {
        Deed read = Step(Ask(KindIds.RebatePlane, AimKind.Work), StepKey.CheekCheck)!;
        read.How.ShouldContain("a hair wider than the body");
        List<Deed> plan = [.. Planner.Plan(Ask(KindIds.RebatePlane, AimKind.Work, F(PartIds.Body, FindingKind.OutOfSquare, 2)))];
        int side = plan.FindIndex(d => d.Id.Step == StepKey.CheekLap);
        side.ShouldBeGreaterThan(plan.FindIndex(d => d.Id.Step == StepKey.CheekCheck));
        plan[side].Needs.ShouldContain(n => n.Item == SupplyIds.BenchPlane);
        plan[side].Needs.ShouldNotContain(n => n.Item == SupplyIds.P180Sheet, "wood is planed");
    }

    [Fact]
    public void A_handle_that_is_let_in_is_glued_and_one_on_a_screw_is_drawn_up()
    {
        Deed glue = Step(Ask(KindIds.WoodenBenchPlane, AimKind.Work, F(PartIds.Tote, FindingKind.Looseness, 2)), StepKey.WoodGlue)!;
        glue.Parts.ShouldBe([PartIds.Tote]);
        glue.How.ShouldContain("Old glue out of the joint");
        PlanQuestion router = Ask(KindIds.RouterPlane, AimKind.Work, F(PartId.Of("knob_left"), FindingKind.Looseness, 2));
        Step(router, StepKey.WoodGlue).ShouldBeNull();
        Step(router, StepKey.Assemble)!.How.ShouldContain("The left knob rocked: draw up what holds it");
        Step(Ask(AimKind.Work, F(PartIds.Tote, FindingKind.Looseness, 2)), StepKey.Assemble)!.How.ShouldNotContain("rocked", Case.Sensitive,
            "a tote on its rod has steps of its own");
    }

    [Fact]
    public void A_loose_nut_is_drawn_up_under_Keep_too_and_no_rod_is_filed()
    {
        PlanQuestion q = Ask(AimKind.Keep, F(PartIds.Tote, FindingKind.Looseness, 2));
        Step(q, StepKey.RodWhy).ShouldNotBeNull();
        Step(q, StepKey.RodShorten).ShouldBeNull();
        Step(Ask(KindIds.MouldingPlane, AimKind.Keep, F(PartIds.Boxing, FindingKind.Looseness, 2)), StepKey.Boxing)!.Undoable.ShouldBeTrue();
    }

    [Fact]
    public void The_words_of_stripping_tell_of_this_coat()
    {
        Step(Ask(AimKind.Show, F(PartIds.Body, FindingKind.CoatingLoss, 2)), StepKey.CoatStrip)!.Reason.ShouldBe(
            "What is baked goes on bare iron; over an old coat it lifts.");
        Step(Ask(AimKind.Show, F(PartIds.Body, FindingKind.CoatingLoss, 4)), StepKey.CoatStrip)!.Reason.ShouldBe("Too little is left, or it is not sound.");
    }

    [Fact]
    public void What_keeps_the_skate_out_of_the_bath_is_its_own_wood()
    {
        string how = Step(Ask(KindIds.PloughPlane, AimKind.Work, F(PartId.Of("skate"), FindingKind.Rust, 2), F(PartIds.Iron, FindingKind.Rust, 2)),
            StepKey.DerustRest)!.Reason;
        how.ShouldContain("It cannot be parted from the body, which wood in Chelating.", Case.Sensitive);
        how.ShouldNotContain("handles off");
    }

    [Fact]
    public void Live_worm_is_killed_before_the_wood_is_carried_on_and_metal_does_not_wait()
    {
        PlanQuestion q = Ask(KindIds.WoodenBenchPlane, AimKind.Keep, F(PartIds.Tote, FindingKind.Worm, 3), F(PartIds.Iron, FindingKind.Rust, 2));
        IReadOnlyList<Deed> plan = Planner.Plan(q);
        IReadOnlyList<TimedDeed> laid = PlanTime.Lay(plan);
        TimedDeed At(StepKey step) => laid.First(t => t.Deed.Id.Step == step);
        At(StepKey.WormKill).ReadyMin.ShouldBeGreaterThan(14 * 24 * 60);
        At(StepKey.WoodClean).StartMin.ShouldBeGreaterThanOrEqualTo(At(StepKey.WormKill).ReadyMin);
        At(StepKey.DerustScrape).StartMin.ShouldBeLessThan(24 * 60, "iron is worked while wood is in the cold");
        FindingAnswers.Of(Ask(KindIds.WoodenBenchPlane, AimKind.Work, F(PartIds.Tote, FindingKind.Worm, 2)), []).Single().WhyNot.ShouldBe(
            "Old holes without dust are dead worm: they stay, and the papers say so.");
    }

    [Fact]
    public void What_is_made_at_the_bench_is_not_looked_for_too()
    {
        IReadOnlyList<Deed> axe = Planner.Plan(Ask(KindIds.Axe, AimKind.Work, F(PartIds.Haft, FindingKind.Missing, 3), F(PartIds.Wedge,
            FindingKind.Missing, 1)));
        axe.ShouldContain(d => d.Id.Step == StepKey.HaftShape);
        axe.ShouldNotContain(d => d.Id.Step == StepKey.Find);
        Step(Ask(KindIds.Axe, AimKind.Work, F(PartIds.Haft, FindingKind.Crack, 4)), StepKey.OpenJoint)!.How.ShouldStartWith("Look for metal wedges");
        IReadOnlyList<Deed> knife = Planner.Plan(Ask(KindIds.Drawknife, AimKind.Work, F(PartId.Of("handle_left"), FindingKind.Missing, 2)));
        knife.Single(d => d.Id.Step == StepKey.HandleMake).Parts.Select(p => p.Value).ShouldBe(["handle_left"]);
        knife.ShouldNotContain(d => d.Id.Step == StepKey.Find);
        Planner.Plan(Ask(KindIds.Axe, AimKind.Work, F(PartIds.Haft, FindingKind.Missing, 3, ordered: true))).ShouldContain(d => d.Id.Step == StepKey.Find,
            "what is on order is fitted when it comes");
    }

    [Fact]
    public void Where_a_wedge_holds_the_iron_depth_is_set_by_taps_and_it_is_said_which_way_it_faces()
    {
        foreach ((KindId kind, string faces) in new[] { (KindIds.WoodenBenchPlane, "Bevel down, the cap iron to the front."), (KindIds.RebatePlane,
            "Bevel down"), (KindIds.ToothingPlane, "The grooved face forward"), (KindIds.PloughPlane, "bevel down"),
            (KindIds.MouldingPlane, "from fence to stop") })
        {
            string how = Step(Ask(kind, AimKind.Work), StepKey.Assemble)!.How;
            how.ShouldContain("Depth by taps");
            how.ShouldContain(faces, Case.Sensitive, kind.Value);
        }
        Step(Ask(KindIds.Drawknife, AimKind.Work), StepKey.EdgeHone)!.How.ShouldContain("The stone goes to the blade");
    }

    [Fact]
    public void A_back_that_was_lapped_past_its_pits_is_not_flattened_once_more()
    {
        double Minutes(int pits) => Step(Ask(AimKind.Work, F(PartIds.Iron, FindingKind.Pitting, pits)), StepKey.EdgeBack)!.Minutes.Likely;
        Minutes(3).ShouldBe(Minutes(1), "the pits have a step of their own, and it leaves the back flat");
        Minutes(2).ShouldBeGreaterThan(Minutes(1));
    }

    [Fact]
    public void A_plane_without_its_wedge_is_not_tried_and_there_is_no_wedge_to_free()
    {
        PlanQuestion q = Ask(KindIds.RebatePlane, AimKind.Work, F(PartIds.Wedge, FindingKind.Missing, 2));
        Step(q, StepKey.TryAsFound).ShouldBeNull();
        Step(q, StepKey.Apart)!.Title.ShouldBe("Lift out the iron, which nothing holds");
        Step(q, StepKey.Apart)!.How.ShouldNotContain("wedge");
        Step(Ask(AimKind.Work, F(PartIds.Knob, FindingKind.Missing, 2)), StepKey.TryAsFound).ShouldNotBeNull("a knob that is gone keeps nobody from trying");
    }

    [Fact]
    public void No_abrasive_goes_over_the_teeth_of_a_saw()
    {
        PlanQuestion q = Ask(KindIds.BackSaw, AimKind.Show, F(PartIds.Plate, FindingKind.Rust, 2)).With(ChoiceId.Rust, WayId.Abrasive);
        Step(q, StepKey.DerustAbrasive)!.How.ShouldEndWith("Stop short of the tooth line: abrasive rounds the points.");
        Step(q, StepKey.DarkRemove)!.How.ShouldEndWith("Stop short of the tooth line: abrasive rounds the points.");
        Step(Ask(KindIds.Chisel, AimKind.Work, F(PartIds.Blade, FindingKind.Rust, 2)), StepKey.DerustAbrasive)!.How.ShouldNotContain("tooth");
        Step(q, StepKey.Store)!.Title.ShouldBe("Cover the teeth and hang it dry");
    }

    [Fact]
    public void Chipped_gears_torn_threads_and_bruised_jaws_have_their_steps()
    {
        Step(Ask(KindIds.HandDrill, AimKind.Work, F(PartIds.Gear, FindingKind.EdgeDamage, 3)), StepKey.GearTeeth)!.How.ShouldContain(
            "Where a tooth is gone it jumps under load");
        PlanQuestion nut = Ask(AimKind.Work, F(PartIds.FrogScrews, FindingKind.Worn, 2));
        Step(nut, StepKey.ThreadMend)!.How.ShouldContain("turns and diameter first");
        Faults.Can(nut.Tool, nut.Tool.Part(PartIds.FrogScrews)!, FindingKind.Worn).ShouldBeTrue();
        FindingScales.Sight(FindingKind.Worn, 3, nut.Tool.Part(PartIds.FrogScrews)).ShouldBe("strips before it is tight");
        Step(Ask(KindIds.OpenSpanner, AimKind.Work, F(PartId.Of("large_end"), FindingKind.Burred, 2)), StepKey.JawBurrs)!.Title.ShouldBe(
            "Take the burrs off large end");
    }

    [Fact]
    public void A_tool_that_could_not_be_tried_is_not_told_to_be_tried_again()
    {
        Step(Ask(KindIds.Chisel, AimKind.Work, F(PartIds.Handle, FindingKind.Crack, 3)), StepKey.Prove)!.How.ShouldBe(
            "What it was tried on belongs to the reading.");
        Step(Ask(KindIds.Chisel, AimKind.Work), StepKey.Prove)!.How.ShouldStartWith("The same test as the try as found");
    }

    [Fact]
    public void What_goes_with_a_handle_that_is_made_new_is_not_left_on()
    {
        PlanQuestion split = Ask(KindIds.Chisel, AimKind.Work, F(PartIds.Handle, FindingKind.Crack, 3));
        Step(split, StepKey.LeaveOn).ShouldBeNull("ferrule and hoop come off with the handle");
        Step(split, StepKey.HandleMake)!.Reason.ShouldBe("The old one is past use.");
        Step(Ask(KindIds.Chisel, AimKind.Work), StepKey.LeaveOn)!.Parts.ShouldContain(PartIds.Ferrule);
    }

    [Fact]
    public void A_plough_without_its_wedge_has_none_to_draw()
    {
        Step(Ask(KindIds.PloughPlane, AimKind.Work, F(PartIds.Wedge, FindingKind.Missing, 2)), StepKey.Apart)!.Title.ShouldStartWith("Take it apart: iron, ");
        Step(Ask(KindIds.PloughPlane, AimKind.Work), StepKey.Apart)!.Title.ShouldStartWith("Take it apart: wedge and iron, ");
    }

    [Fact]
    public void A_handle_on_order_is_fitted_when_it_comes_and_not_made_as_well()
    {
        foreach (KindId kind in new[] { KindIds.Billhook, KindIds.Drawknife })
        {
            PartId handle = kind == KindIds.Billhook ? PartIds.Handle : PartIds.HandleRight;
            IReadOnlyList<Deed> plan = Planner.Plan(Ask(kind, AimKind.Work, F(handle, FindingKind.Missing, 1, ordered: true)));
            plan.Count(d => d.Id.Step == StepKey.Find && d.Parts.Contains(handle)).ShouldBe(1, kind.Value);
            plan.ShouldNotContain(d => d.Id.Step == StepKey.HandleMake, kind.Value);
        }
    }

    [Fact]
    public void A_joint_whose_rivet_is_gone_is_not_opened_and_is_closed_with_a_new_one()
    {
        IReadOnlyList<Deed> plan = Planner.Plan(Ask(KindIds.Drawknife, AimKind.Work, F(PartIds.HandleRight, FindingKind.Missing, 1),
            F(PartId.Of("end_cap_right"), FindingKind.Missing, 1)));
        plan.ShouldNotContain(d => d.Id.Step == StepKey.OpenJoint || d.Id.Step == StepKey.RefitPlan);
        plan.Single(d => d.Id.Step == StepKey.CloseJoint).Title.ShouldBe("Close the joint with a new rivet: right rivet");
        plan.ShouldNotContain(d => d.Id.Step == StepKey.IronsFind, "what a new rivet replaces is not looked out for");
    }

    [Fact]
    public void Wood_that_is_not_there_is_neither_cleaned_nor_waxed()
    {
        foreach (AimKind aim in Enum.GetValues<AimKind>())
        {
            IReadOnlyList<Deed> plan = Planner.Plan(Ask(KindIds.Axe, aim, F(PartIds.Haft, FindingKind.Missing, 1)));
            plan.ShouldNotContain(d => d.Id.Step == StepKey.WoodClean && d.Parts.Contains(PartIds.Haft), aim.ToString());
            if (aim == AimKind.Keep)
            {
                plan.ShouldNotContain(d => d.Stage == Stage.Wood && d.Parts.Contains(PartIds.Haft));
            }
        }
    }

    [Fact]
    public void No_step_is_about_nothing()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            foreach (PartDef gone in kind.Parts)
            {
                Planner.Plan(Ask(kind.Id, AimKind.Work, F(gone.Id, FindingKind.Missing, 1)))
                    .ShouldAllBe(d => !d.Title.Replace("which nothing holds", "").Contains("nothing"), $"{kind.Id} without {gone.Id}");
            }
        }
    }
}
