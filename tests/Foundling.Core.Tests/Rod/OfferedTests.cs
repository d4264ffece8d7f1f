using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>Ways that practitioners offer beside the usual one, and what each does to the plan.</summary>
public sealed class OfferedTests
{
    private static IReadOnlyList<Deed> Plan(PlanQuestion q) => Planner.Plan(q);

    private static Deed? Step(PlanQuestion q, StepKey step) => Plan(q).FirstOrDefault(d => d.Id.Step == step);

    [Fact]
    public void The_face_of_a_frog_is_lapped_round_its_lever_or_whole_or_left()
    {
        PlanQuestion q = Ask(AimKind.Work, F(PartIds.Frog, FindingKind.OutOfFlat, 2));
        Deed round = Step(q, StepKey.FrogFace)!, whole = Step(q.With(ChoiceId.FrogFace, WayId.PinOut), StepKey.FrogFace)!;
        round.How.ShouldContain("mind the lateral lever");
        whole.Needs.ShouldContain(n => n.Item == SupplyIds.PinPunches);
        whole.Parts.ShouldContain(PartIds.LateralLever);
        whole.Minutes.Likely.ShouldBeGreaterThan(2 * round.Minutes.Likely);
        PlanQuestion left = q.With(ChoiceId.FrogFace, WayId.Leave);
        Step(left, StepKey.FrogFace).ShouldBeNull();
        FaceWays.FrogFace.Find(WayId.PinOut).Blocked(Ask(KindIds.TransitionalPlane, AimKind.Work, F(PartIds.Frog, FindingKind.OutOfFlat, 2),
            F(PartIds.LateralLever, FindingKind.Missing, 2))).ShouldBe("No lever is in the way.");
    }

    [Fact]
    public void A_rock_at_the_seat_says_nothing_about_the_face_of_the_frog()
    {
        PlanQuestion Placed(string place) => Ask(AimKind.Work, F(PartIds.Frog, FindingKind.OutOfFlat, 2) with { Place = place });
        Step(Placed("seat"), StepKey.FrogFace).ShouldBeNull();
        Step(Placed("seat"), StepKey.FrogSeat)!.Reason.ShouldContain("Frog on the seat:");
        Step(Placed("face"), StepKey.FrogSeat).ShouldBeNull();
        Step(Placed("face"), StepKey.FrogFace).ShouldNotBeNull();
    }

    [Fact]
    public void What_is_beside_the_working_face_asks_for_no_metal()
    {
        PlanQuestion Pit(PartId part, string place) => Ask(AimKind.Work, F(part, FindingKind.Pitting, 3) with { Place = place });
        Step(Pit(PartIds.Iron, "edge"), StepKey.EdgeSave).ShouldNotBeNull();
        Step(Pit(PartIds.Iron, "slot"), StepKey.EdgeSave).ShouldBeNull();
        Step(Pit(PartIds.Body, "cheek at the mouth").With(ChoiceId.FacePits, WayId.Lap), StepKey.SoleLap).ShouldBeNull(
            "it is the cheek, though the mouth is near");
        EdgeWays.Pits(Pit(PartIds.Iron, "slot")).ShouldBe(0);
        EdgeWays.Pits(Pit(PartIds.Iron, "top end")).ShouldBe(0);
        EdgeWays.Pits(Pit(PartIds.Iron, "edge (under the cheek)")).ShouldBe(3);
        EdgeWays.Pits(Pit(PartIds.Iron, "")).ShouldBe(3);
    }

    [Fact]
    public void Pits_of_a_sole_are_lived_with_unless_they_are_to_be_lapped_out()
    {
        PlanQuestion Pit(string place) => Ask(AimKind.Work, F(PartIds.Body, FindingKind.Pitting, 3) with { Place = place });
        PlanQuestion sole = Pit("sole");
        Step(sole, StepKey.SoleLap).ShouldBeNull();
        FindingAnswers.Of(sole, []).Single().WhyNot.ShouldBe("Its pits are lived with: the metal round them bears.");
        Deed lap = Step(sole.With(ChoiceId.FacePits, WayId.Lap), StepKey.SoleLap)!;
        lap.How.ShouldContain("On until the pits are gone");
        lap.Minutes.Likely.ShouldBeGreaterThan(1.5 * Step(Ask(AimKind.Work, F(PartIds.Body, FindingKind.OutOfFlat, 2)), StepKey.SoleLap)!.Minutes.Likely);
        FaceWays.FacePits.Asked(Pit("cheek")).ShouldBeFalse("nothing is planed with the cheeks");
        PlanQuestion Painted(string place) => Ask(AimKind.Show, F(PartIds.Body, FindingKind.Pitting, 3) with { Place = place }).With(ChoiceId.Coating,
            WayId.Respray);
        Step(Painted(""), StepKey.PitFill).ShouldNotBeNull();
        Step(Painted("cheek"), StepKey.PitFill).ShouldBeNull("a bare face gets neither paint nor filler");
    }

    [Fact]
    public void A_worn_toe_is_left_out_and_the_plan_says_so()
    {
        PlanQuestion q = Ask(AimKind.Work, F(PartIds.Body, FindingKind.OutOfFlat, 2) with { Place = "toe" });
        Step(q, StepKey.SoleLap).ShouldBeNull();
        Step(q, StepKey.SoleCheck)!.How.ShouldContain("The toe is worn low: leave it out");
        Step(q.With(ChoiceId.Flat, WayId.Whole), StepKey.SoleLap).ShouldNotBeNull("who wants the whole sole flat laps the toe too");
    }

    [Fact]
    public void A_shim_by_habit_is_a_line_behind_the_edge_and_every_burr_comes_off_over_it()
    {
        PlanQuestion q = Ask(AimKind.Work, F(PartIds.Iron, FindingKind.EdgeDamage, 2)).With(ChoiceId.BackHabit, WayId.Shim);
        List<Deed> plan = [.. Plan(q)];
        int At(StepKey step) => plan.FindIndex(d => d.Id.Step == step);
        At(StepKey.EdgeGrind).ShouldBeLessThan(At(StepKey.EdgeSave));
        At(StepKey.EdgeBack).ShouldBeLessThan(At(StepKey.EdgeSave));
        At(StepKey.EdgeSave).ShouldBeLessThan(At(StepKey.EdgeHone));
        plan[At(StepKey.EdgeHone)].How.ShouldContain("with the shim in its place");
        FaceWays.BackHabit.Asked(Ask(KindIds.Chisel, AimKind.Work)).ShouldBeFalse("never on a chisel");
        FaceWays.BackHabit.Asked(Ask(KindIds.ShoulderPlane, AimKind.Work)).ShouldBeFalse("its flat side runs just over the work");
        FaceWays.BackHabit.Asked(Ask(AimKind.Work, F(PartIds.Iron, FindingKind.Pitting, 3))).ShouldBeFalse("pits have a choice of their own");
    }

    [Fact]
    public void A_wheel_brings_up_a_shine_in_less_time_and_says_what_it_does_to_letters()
    {
        PlanQuestion hand = Ask(AimKind.Show), wheel = hand.With(ChoiceId.Buff, WayId.Buffed);
        Deed slow = Step(hand, StepKey.Brass)!, quick = Step(wheel, StepKey.Brass)!;
        quick.Minutes.Likely.ShouldBeLessThan(slow.Minutes.Likely);
        quick.Needs.ShouldContain(n => n.Item == SupplyIds.BuffingWheel);
        quick.How.ShouldContain("Letters and knurls stay off it");
        Step(wheel, StepKey.EdgeHone)!.Needs.ShouldNotContain(n => n.Item == SupplyIds.Strop);
        Step(wheel, StepKey.EdgeHone)!.Cautions.ShouldContain(Core.Safety.CautionId.Rotating);
        FaceWays.Buff.Asked(Ask(AimKind.Work)).ShouldBeFalse("nothing is shined");
    }

    [Fact]
    public void Pits_of_a_cap_iron_are_oiled_or_touched_in_above_its_hump()
    {
        PlanQuestion q = Ask(AimKind.Work, F(PartIds.CapIron, FindingKind.Pitting, 2));
        Plan(q).ShouldNotContain(d => d.Id == new DeedId(StepKey.CoatTouch, "cap"));
        Deed paint = Plan(q.With(ChoiceId.CapPits, WayId.Paint)).Single(d => d.Id == new DeedId(StepKey.CoatTouch, "cap"));
        paint.How.ShouldContain("None on the front that bears");
        paint.Parts.ShouldBe([PartIds.CapIron]);
    }

    [Fact]
    public void A_second_colour_waits_for_the_first()
    {
        PlanQuestion q = Ask(AimKind.Work, F(PartIds.Body, FindingKind.CoatingLoss, 4)).With(ChoiceId.Coating, WayId.Respray).With(ChoiceId.Colours,
            WayId.TwoColours);
        List<Deed> plan = [.. Plan(q)];
        Deed second = plan.Single(d => d.Id == new DeedId(StepKey.Coat2, "second"));
        second.After.ShouldContain(f => f.Id == (DeedId)StepKey.Coat2 && f.Lag != null);
        plan.IndexOf(second).ShouldBeGreaterThan(plan.FindIndex(d => d.Id == StepKey.Coat2));
    }

    [Fact]
    public void Handles_of_a_drawknife_stay_on_or_come_off_both_or_one_or_are_made_new()
    {
        PlanQuestion q = Ask(KindIds.Drawknife, AimKind.Work, F(PartId.Of("handle_left"), FindingKind.Looseness, 2), F(PartIds.Blade, FindingKind.Rust, 2));
        q.Opened.ShouldBeFalse();
        Step(q, StepKey.TangBed).ShouldNotBeNull("a loose handle that stays on is bedded");
        PlanQuestion both = q.With(ChoiceId.Handles, WayId.TakenOff), one = q.With(ChoiceId.Handles, WayId.OneOff), anew = q.With(ChoiceId.Handles,
            WayId.Remade);
        Step(both, StepKey.OpenJoint)!.Parts.Count.ShouldBe(2);
        Step(both, StepKey.Soak)!.Parts.ShouldContain(PartIds.Blade, "with both handles off the blade goes into the bath");
        Step(one, StepKey.OpenJoint)!.Parts.Select(p => p.Value).ShouldBe(["end_cap_left"], "the worse side");
        Step(one, StepKey.Soak).ShouldBeNull("the other handle is still on");
        Step(anew, StepKey.HandleMake)!.Parts.Count.ShouldBe(2);
        Step(anew, StepKey.TangBed).ShouldBeNull();
        foreach (PlanQuestion open in new[] { both, one, anew })
        {
            List<Deed> plan = [.. Plan(open)];
            plan.FindIndex(d => d.Id.Step == StepKey.RefitPlan).ShouldBeLessThan(plan.FindIndex(d => d.Id.Step == StepKey.OpenJoint));
            plan.FindIndex(d => d.Id.Step == StepKey.OpenJoint).ShouldBeLessThan(plan.FindIndex(d => d.Id.Step == StepKey.CloseJoint));
        }
    }

    [Fact]
    public void Only_the_broken_handle_is_made_new()
    {
        PlanQuestion q = Ask(KindIds.Drawknife, AimKind.Work, F(PartId.Of("handle_right"), FindingKind.Crack, 4));
        q.Way(ChoiceId.Handles).ShouldBe(WayId.Remade);
        HandleWays.Handles.Find(WayId.LeftOn).Blocked(q).ShouldBe("What is held is past saving in place.");
        Step(q, StepKey.HandleMake)!.Parts.Select(p => p.Value).ShouldBe(["handle_right"]);
        Step(q, StepKey.OpenJoint)!.Parts.Select(p => p.Value).ShouldBe(["end_cap_right"]);
        Step(q, StepKey.WoodGlue).ShouldBeNull("nothing is glued that is made new");
        List<Deed> plan = [.. Plan(q)];
        int made = plan.FindIndex(d => d.Id.Step == StepKey.HandleMake);
        made.ShouldBeLessThan(plan.FindIndex(d => d.Id == new DeedId(StepKey.WoodRevive, "new")));
        made.ShouldBeLessThan(plan.FindIndex(d => d.Id.Step == StepKey.CloseJoint));
        HandleWays.Handles.Find(WayId.TakenOff).Blocked(Ask(KindIds.Axe, AimKind.Work)).ShouldBe("A wedged haft comes out only in pieces.");
        Step(Ask(KindIds.Axe, AimKind.Work).With(ChoiceId.Handles, WayId.Remade), StepKey.HaftShape).ShouldNotBeNull();
    }

    [Fact]
    public void A_handle_driven_on_a_tang_stays_on_comes_off_or_is_made_new()
    {
        foreach (KindId kind in new[] { KindIds.Chisel, KindIds.Gouge })
        {
            PlanQuestion q = Ask(kind, AimKind.Work, F(PartIds.Blade, FindingKind.Rust, 2), F(PartIds.Handle, FindingKind.Looseness, 2));
            q.Way(ChoiceId.Handles).ShouldBe(WayId.LeftOn);
            Step(q, StepKey.TangBed).ShouldNotBeNull();
            Step(q, StepKey.Soak).ShouldBeNull("wood does not go into a bath");
            PlanQuestion off = q.With(ChoiceId.Handles, WayId.TakenOff), anew = q.With(ChoiceId.Handles, WayId.Remade);
            Step(off, StepKey.OpenJoint)!.Title.ShouldBe("Drive the handle off its tang");
            Step(off, StepKey.RefitPlan).ShouldBeNull("nothing is broken that has to be closed again");
            Step(off, StepKey.Soak)!.Parts.ShouldContain(PartIds.Blade);
            Step(off, StepKey.Soak)!.Parts.ShouldNotContain(PartIds.Ferrule, "it went with the handle");
            Step(off, StepKey.CloseJoint)!.How.ShouldContain("Slack in the old bore");
            Step(anew, StepKey.HandleMake).ShouldNotBeNull();
            Step(anew, StepKey.CloseJoint)!.Title.ShouldBe("Drive the new handle on its tang");
            List<Deed> plan = [.. Plan(anew)];
            plan.FindIndex(d => d.Id.Step == StepKey.OpenJoint).ShouldBeLessThan(plan.FindIndex(d => d.Id.Step == StepKey.Soak));
            plan.FindIndex(d => d.Id.Step == StepKey.HandleMake).ShouldBeLessThan(plan.FindIndex(d => d.Id.Step == StepKey.CloseJoint));
            PlanQuestion fell = Ask(kind, AimKind.Work, F(PartIds.Handle, FindingKind.Looseness, 4));
            fell.Way(ChoiceId.Handles).ShouldBe(WayId.LeftOn, "what fell off goes back on");
        }
    }

    [Fact]
    public void Powder_on_glass_takes_no_paper_and_leaves_none_behind()
    {
        PlanQuestion q = Ask(AimKind.Work, F(PartIds.Body, FindingKind.OutOfFlat, 2)).With(ChoiceId.Lubricant, WayId.Powder);
        Deed lap = Step(q, StepKey.SoleLap)!;
        lap.Needs.ShouldNotContain(n => n.Item == SupplyIds.P80Sheet);
        lap.Needs.ShouldContain(n => n.Item == SupplyIds.LappingPowder);
        lap.How.ShouldContain("none may stay in mouth, threads or slide");
    }
}
