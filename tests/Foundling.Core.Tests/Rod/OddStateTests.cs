using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Tests.Rod.Asking;

namespace Foundling.Core.Tests.Rod;

/// <summary>States that come seldom and are met sooner or later: each sentence speaks of that part in that state.</summary>
public sealed class OddStateTests
{
    private static Deed? Step(PlanQuestion q, StepKey step) => Planner.Plan(q).FirstOrDefault(d => d.Id.Step == step);

    private static string? WhyNot(PlanQuestion q) => FindingAnswers.Of(q, Planner.Plan(q)).Single().WhyNot;

    [Fact]
    public void Alcohol_stays_off_an_old_finish()
    {
        Deed polished = Step(Ask(AimKind.Work, F(PartIds.Tote, FindingKind.PaintSplash, 2)), StepKey.WashPaint)!;
        polished.How.ShouldContain("alcohol would take the old finish along");
        polished.Needs.ShouldNotContain(n => n.Item == SupplyIds.Alcohol);
        Step(Ask(AimKind.Work, F(PartIds.Iron, FindingKind.PaintSplash, 2)), StepKey.WashPaint)!.How.ShouldStartWith("Blade flat, alcohol under it. ");
        Step(Ask(AimKind.Work, F(PartIds.Iron, FindingKind.PaintSplash, 2), F(PartIds.Knob, FindingKind.PaintSplash, 2)), StepKey.WashPaint)!.How
            .ShouldContain("on bare metal only");
        Step(Ask(AimKind.Work, F(PartIds.Iron, FindingKind.Sap, 2)), StepKey.WashSap)!.How.ShouldNotContain("paint");
        Step(Ask(KindIds.RebatePlane, AimKind.Work, F(PartIds.Wedge, FindingKind.Sap, 2)), StepKey.WashSap)!.Reason.ShouldNotContain("rust");
    }

    [Fact]
    public void No_work_is_put_into_what_is_thrown_away_or_gone()
    {
        PlanQuestion axe = Ask(KindIds.Axe, AimKind.Work, F(PartIds.Haft, FindingKind.Crack, 4), F(PartIds.Wedge, FindingKind.PaintSplash, 2),
            F(PartIds.Haft, FindingKind.Damp, 3), F(PartIds.Haft, FindingKind.Sap, 3));
        IReadOnlyList<Deed> plan = Planner.Plan(axe);
        plan.ShouldNotContain(d => d.Id.Step == StepKey.WashPaint || d.Id.Step == StepKey.WoodDry || d.Id.Step == StepKey.WashSap);
        FindingAnswers.Of(axe, plan).Where(f => f.Finding.Kind != FindingKind.Crack).ShouldAllBe(f => f.WhyNot == "A new part takes its place.");
        PlanQuestion gone = Ask(KindIds.Billhook, AimKind.Work, F(PartIds.EndCap, FindingKind.Missing, 2), F(PartIds.EndCap, FindingKind.Packed, 4));
        Step(gone, StepKey.WashPacked).ShouldBeNull();
    }

    [Fact]
    public void A_broken_or_crumbling_wedge_of_a_haft_gets_a_new_one()
    {
        foreach (Found past in new[] { F(PartIds.Wedge, FindingKind.Crack, 4), F(PartIds.Wedge, FindingKind.Damp, 4) })
        {
            PlanQuestion q = Ask(KindIds.HewingHatchet, AimKind.Work, past);
            Step(q, StepKey.HaftWedge)!.Title.ShouldBe("Draw the old wedge, drive the head up and set a new one");
            Step(q, StepKey.WoodDry).ShouldBeNull();
        }
        Step(Ask(KindIds.HewingHatchet, AimKind.Work, F(PartIds.Haft, FindingKind.Looseness, 2)), StepKey.HaftWedge)!.Title.ShouldBe(
            "Drive the head up and set the wedge again");
        Step(Ask(KindIds.HewingHatchet, AimKind.Work), StepKey.HaftWedge).ShouldBeNull();
    }

    [Fact]
    public void A_new_cord_is_wound_and_not_looked_for()
    {
        PlanQuestion q = Ask(KindIds.FrameSaw, AimKind.Work, F(PartIds.Cord, FindingKind.Missing, 3));
        Step(q, StepKey.CordNew).ShouldNotBeNull();
        Step(q, StepKey.Find).ShouldBeNull();
    }

    [Fact]
    public void Sentences_fit_how_bad_it_is()
    {
        WhyNot(Ask(AimKind.Work, F(PartIds.LeverCapScrew, FindingKind.Pitting, 2))).ShouldBe(
            "Pits where nothing bears and nothing cuts do no harm once they are clean and oiled.");
        WhyNot(Ask(AimKind.Work, F(PartIds.LeverCapScrew, FindingKind.Pitting, 4)))!.ShouldContain("it is weaker there");
        WhyNot(Ask(KindIds.AdjustableWrench, AimKind.Work, F(PartIds.FixedJaw, FindingKind.Pitting, 2)))!.ShouldStartWith("A nut does not feel them");
        WhyNot(Ask(AimKind.Work, F(PartIds.FrogScrews, FindingKind.Crack, 3)))!.ShouldContain("one of the same thread");
        WhyNot(Ask(KindIds.BackSaw, AimKind.Work, F(PartIds.Handle, FindingKind.Bent, 3)))!.ShouldStartWith("Warped wood");
        WhyNot(Ask(KindIds.BackSaw, AimKind.Work, F(PartIds.Handle, FindingKind.Repair, 3)))!.ShouldStartWith("It works otherwise than it was made to");
        WhyNot(Ask(KindIds.BackSaw, AimKind.Work, F(PartIds.Handle, FindingKind.Repair, 2)))!.ShouldStartWith("A repair that does its work");
    }

    [Fact]
    public void A_screw_with_nothing_left_to_turn_it_by_gets_a_new_slot()
    {
        Deed dress = Step(Ask(KindIds.RouterPlane, AimKind.Work, F(PartId.Of("knob_bolts"), FindingKind.Burred, 4)), StepKey.SlotsDress)!;
        dress.Title.ShouldBe("Cut new slots or flats on knob screws");
        dress.How.ShouldContain("a new slot across the old");
        Step(Ask(KindIds.RouterPlane, AimKind.Work, F(PartId.Of("knob_bolts"), FindingKind.Burred, 2)), StepKey.SlotsDress)!.How.ShouldNotContain("new slot");
    }

    [Fact]
    public void What_lies_flat_is_tapped_loose_and_not_turned_in_a_vice()
    {
        Deed iron = Step(Ask(KindIds.ShoulderPlane, AimKind.Work, F(PartIds.Iron, FindingKind.Seizure, 2)), StepKey.FreeDriver)!;
        iron.Title.ShouldBe("Tap iron loose");
        iron.Needs.ShouldNotContain(n => n.Item == SupplyIds.BenchVice);
        Step(Ask(KindIds.Brace, AimKind.Work, F(PartId.Of("quill"), FindingKind.Seizure, 2)), StepKey.FreeDriver)!.Title
            .ShouldBe("Work quill loose in soft jaws");
    }

    [Fact]
    public void Hard_steel_is_bent_only_behind_its_hard_end_and_rotten_wood_is_a_pattern()
    {
        Step(Ask(KindIds.Chisel, AimKind.Work, F(PartIds.Blade, FindingKind.Bent, 3)), StepKey.Straighten)!.How.ShouldContain("Only behind the hard steel");
        Step(Ask(AimKind.Work, F(PartIds.Knob, FindingKind.Damp, 4)), StepKey.WoodDry)!.How.ShouldContain("it is the pattern for a new one");
        Step(Ask(AimKind.Work, F(PartIds.Knob, FindingKind.Damp, 2)), StepKey.WoodDry)!.How.ShouldNotContain("pattern");
    }

    [Fact]
    public void Under_Keep_a_button_that_is_glued_is_not_said_to_be_left_loose()
    {
        PlanQuestion q = Ask(KindIds.WoodenBenchPlane, AimKind.Keep, F(PartIds.Strike, FindingKind.Looseness, 3));
        Step(q, StepKey.WoodGlue).ShouldNotBeNull();
        Step(q, StepKey.LeaveOn)!.How.ShouldNotContain("left as it is");
    }
}
