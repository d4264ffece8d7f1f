using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tools;
using Foundling.Core.Units;

namespace Foundling.Core.Tests.Rod;

/// <summary>A face is worked only for a cause, and a measurement beats what is assumed.</summary>
public sealed class CauseTests
{
    private static Deed? Step(PlanQuestion q, StepKey key) => Planner.Plan(q).FirstOrDefault(d => d.Id.Step == key);

    private static PlanQuestion Rocking(double mm, params Found[] found)
    {
        PlanQuestion q = Asking.Ask(AimKind.Show, found);
        return q with { Facts = q.Facts with { Readings = [new Reading(PartIds.Frog, MeasureIds.Rock, new Quantity(mm, Unit.Millimetres),
            Instrument.Feeler)] } };
    }

    private static PlanQuestion Surveyed(double hollowMm, AimKind aim, params Found[] found)
    {
        double[][] points = [.. from x in Enumerable.Range(0, 11) from y in new[] { 0.0, 30, 60 }
                                let u = (x - 5) / 5.0
                                select new[] { x * 24.5, y, hollowMm * u * u }];
        PlanQuestion q = Asking.Ask(aim, found);
        return q with { Facts = q.Facts with { Surveys = [new GridSurveyInput(245, 60, points, 76, SolePurpose.Smoothing)] } };
    }

    [Fact]
    public void A_frog_that_does_not_rock_is_not_seated_whatever_else_is_said()
    {
        Step(Rocking(0, Asking.F(PartIds.Frog, FindingKind.OutOfFlat, 2)), StepKey.FrogSeat).ShouldBeNull();
        Step(Rocking(0.15), StepKey.FrogSeat)!.Reason.ShouldStartWith("It rocks by 0.15 mm");
    }

    [Fact]
    public void A_survey_decides_whether_a_sole_is_lapped()
    {
        Step(Surveyed(0, AimKind.Show, Asking.F(PartIds.Body, FindingKind.OutOfFlat, 2)), StepKey.SoleLap).ShouldBeNull("it is flat");
        Step(Surveyed(0.3, AimKind.Work), StepKey.SoleLap)!.Reason.ShouldContain("by its survey");
        PlanQuestion hollow = Surveyed(0.1, AimKind.Work);
        Step(hollow, StepKey.SoleLap).ShouldNotBeNull();
        Assumptions coarse = Assumptions.Standard.With("sole_smoothing_zones_mm", 0.5).With("sole_smoothing_whole_mm", 0.5);
        Step(hollow with { Shop = hollow.Shop with { Assumptions = coarse } }, StepKey.SoleLap).ShouldBeNull("this shop is content with it");
    }

    [Fact]
    public void What_was_seen_is_the_reason_in_its_own_words_and_nothing_else_is_touched()
    {
        PlanQuestion q = Asking.Ask(AimKind.Work, Asking.F(PartIds.Frog, FindingKind.OutOfFlat, 2));
        Step(q, StepKey.FrogFace)!.Reason.ShouldStartWith("Frog: thin paper slides under.");
        Step(q, StepKey.SoleLap).ShouldBeNull();
        Step(Asking.Ask(AimKind.Work) with { Tried = AsFoundTry.Badly }, StepKey.FrogFace)!.Reason.ShouldStartWith("It worked badly as found.");
        Step(Asking.Ask(AimKind.Show) with { Tried = AsFoundTry.Well }, StepKey.FrogFace).ShouldBeNull("it works");
    }
}
