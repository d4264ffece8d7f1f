using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Stores;
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
    public void Where_the_whole_sole_is_wanted_three_zones_in_one_plane_are_not_enough()
    {
        // Toe, mouth and heel are in one plane; between mouth and heel it is hollow.
        double[][] points = [.. from x in new[] { 5.0, 40, 72, 110, 150, 190, 240 } from y in new[] { 3.0, 30, 57 }
            select new[] { x, y, x is > 80 and < 230 ? -0.12 : 0 }];
        PlanQuestion Of(AimKind aim) => Surveyed(0, aim) is var q ? q with { Facts = q.Facts with { Surveys = [new GridSurveyInput(245, 60, points, 76)] } } :
          q;
        Step(Of(AimKind.Work), StepKey.SoleLap).ShouldBeNull("those three carry the plane");
        Step(Of(AimKind.Show), StepKey.SoleLap)!.Reason.ShouldContain("0.12 mm out of flat by its survey");
    }

    private static GridSurveyInput Bowl(double hollow, double twist = 0) => new(245, 60, [.. from x in Enumerable.Range(0, 9) from y in new[] { 3.0, 30, 57 }
        let u = (x - 4) / 4.0 let v = (y - 30) / 30 select new[] { 2 + (x * 30), y, (hollow * u * u) + (twist * u * v) }]);

    [Fact]
    public void A_survey_decides_about_a_wooden_sole_and_says_where_to_begin()
    {
        Found wound = Asking.F(PartIds.Body, FindingKind.Wind, 2);
        Deed? Trued(GridSurveyInput? survey) => Asking.Ask(KindIds.WoodenBenchPlane, AimKind.Work, wound) is var q
            ? Step(survey is null ? q : q with { Facts = q.Facts with { Surveys = [survey] } }, StepKey.SoleWood) : null;
        Trued(null)!.How.ShouldStartWith("High corners first");
        Trued(Bowl(0.01)).ShouldBeNull("by its survey it is true");
        Trued(Bowl(0.5))!.How.ShouldStartWith("By its survey 0.5");
        Trued(Bowl(0.5))!.How.ShouldContain("toe and heel first");
        Trued(Bowl(-0.5))!.How.ShouldStartWith("By its survey it is high in the middle by 0.5");
        Trued(Bowl(0, 0.4))!.How.ShouldContain("two corners first, across from one another");
    }

    [Fact]
    public void A_survey_decides_about_the_frog_and_the_back()
    {
        PlanQuestion With(string face, double hollow, params Found[] found) => Asking.Ask(AimKind.Work, found) is var q
            ? q with { Facts = q.Facts with { FaceSurveys = [(face, Bowl(hollow))] } } : q;
        Found flat = Asking.F(PartIds.Frog, FindingKind.OutOfFlat, 2);
        Step(With("frog_face", 0.2), StepKey.FrogFace)!.Reason.ShouldContain("0.20 mm out of flat by its survey");
        Step(With("frog_face", 0.01, flat with { Place = "face" }), StepKey.FrogFace).ShouldBeNull("it is flat by its survey");
        Step(With("frog_seat", 0.2), StepKey.FrogSeat)!.Reason.ShouldContain("by its survey");
        Step(With("frog_seat", 0.01, flat with { Place = "seat" }), StepKey.FrogSeat).ShouldBeNull();
        Step(With("back/iron", 0.2) with { Tried = AsFoundTry.Badly }, StepKey.EdgeBack)!.Reason.ShouldContain("by its survey");
    }

    [Fact]
    public void Minutes_strokes_and_sheets_of_lapping_come_from_the_survey()
    {
        static double Sheets(Deed lap) => lap.Needs.Single(n => n.Item == SupplyIds.P80Sheet).Amount!.Value;
        Deed little = Step(Surveyed(0.04, AimKind.Work), StepKey.SoleLap)!, much = Step(Surveyed(0.3, AimKind.Work), StepKey.SoleLap)!;
        Assumptions a = Assumptions.Standard;
        GridSurveyInput survey = Surveyed(0.3, AimKind.Work).Facts.Surveys[0];
        LappingResult run = LapAdvice.Best(LapAdvice.Hands(SoleLayout.Of(Surveyed(0.3, AimKind.Work).Facts, a).Lapped(survey, "P80", a), a))!.Result;
        much.Minutes.Likely.ShouldBe(run.StrokesThreeZones!.Value / a.StrokesPerMinute / a.LapCoarseShare, 0.06 * much.Minutes.Likely);
        much.Minutes.Likely.ShouldBeGreaterThan(2 * little.Minutes.Likely);
        Sheets(much).ShouldBe(Math.Ceiling(run.StrokesThreeZones.Value / a.StrokesPerFineSheet), 1);
        much.Reason.ShouldContain("strokes on P80, then finer");
        much.How.ShouldContain("look after 100 strokes");
        Deed whole = Step(Surveyed(0.3, AimKind.Show), StepKey.SoleLap)!;
        whole.Minutes.Likely.ShouldBeGreaterThan(much.Minutes.Likely, "nine tenths take longer than three zones");
    }

    [Fact]
    public void Marks_that_were_read_since_decide_too()
    {
        PlanQuestion Marked(SoleForm form, double chance, double? left) => Surveyed(0.3, AimKind.Work) is var q
            ? q with { Facts = q.Facts with { Marked = new MarkedSole(form, chance, left, "P120") } } : q;
        Step(Marked(SoleForm.Flat, 0.95, 0), StepKey.SoleLap).ShouldBeNull("the marks say that it is in");
        Step(Marked(SoleForm.Flat, 0.5, 0), StepKey.SoleLap)!.Reason.ShouldContain("by its survey");
        Deed hollow = Step(Marked(SoleForm.HollowLengthwise, 0.95, 600), StepKey.SoleLap)!;
        hollow.Reason.ShouldStartWith("Its marks tell of a sole that is hollow along its length. About 400 strokes on P80");
        hollow.Minutes.Likely.ShouldBe(400 / 60.0 / 0.6, 0.6);
        Step(Marked(SoleForm.Dip, 0.9, null), StepKey.SoleLap)!.Reason.ShouldContain("It will hardly come in");
    }

    [Fact]
    public void What_was_seen_is_the_reason_in_its_own_words_and_nothing_else_is_touched()
    {
        PlanQuestion q = Asking.Ask(AimKind.Work, Asking.F(PartIds.Frog, FindingKind.OutOfFlat, 2));
        Step(q, StepKey.FrogFace)!.Reason.ShouldStartWith("Frog: thin paper slides under.");
        Step(q, StepKey.SoleLap).ShouldBeNull();
        Step(Asking.Ask(AimKind.Work) with { Tried = AsFoundTry.Badly }, StepKey.FrogFace).ShouldBeNull("a dull iron alone explains it");
        Step(Asking.Ask(AimKind.Show) with { Tried = AsFoundTry.Well }, StepKey.FrogFace).ShouldBeNull("it works");
    }

    private static PlanQuestion Read(PlanQuestion q, PartId part, MeasureId measure, double value) => q with
    {
        Facts = q.Facts with { Readings = [.. q.Facts.Readings, new Reading(part, measure, new Quantity(value, MeasureKinds.UnitOf(measure)),
            MeasureKinds.Find(measure)!.With)] },
    };

    [Fact]
    public void What_passed_its_test_is_left_alone()
    {
        PlanQuestion plane = Asking.Ask(AimKind.Work);
        Step(plane, StepKey.CapFit).ShouldNotBeNull();
        Step(Read(plane, PartIds.CapIron, MeasureIds.CapLight, 0), StepKey.CapFit).ShouldBeNull("no light under it");
        Step(Read(plane, PartIds.CapIron, MeasureIds.CapLight, 0.1), StepKey.CapFit)!.Reason.ShouldStartWith("0.1 mm of light");
        Step(plane with { Tried = AsFoundTry.Well }, StepKey.CapFit).ShouldBeNull("it cuts well as it is");
        PlanQuestion cutter = Asking.Ask(KindIds.BoltCutter, AimKind.Work);
        Step(cutter, StepKey.SetStops).ShouldNotBeNull();
        Step(Read(cutter, PartIds.UpperJaw, MeasureIds.JawGap, 0.05), StepKey.SetStops).ShouldBeNull("its jaws close well");
        Step(Read(cutter, PartIds.UpperJaw, MeasureIds.JawGap, 0.4), StepKey.SetStops).ShouldNotBeNull();
    }

    [Fact]
    public void More_to_take_off_takes_longer_where_it_was_measured()
    {
        double Lap(double hollow) => Step(Surveyed(hollow, AimKind.Work), StepKey.SoleLap)!.Minutes.Likely;
        Lap(0.2).ShouldBeGreaterThan(Lap(0.1));
        Lap(0.4).ShouldBeGreaterThan(Lap(0.2));
        PlanQuestion Chipped(double? deep) => Asking.Ask(AimKind.Work, Asking.F(PartIds.Iron, FindingKind.EdgeDamage, 3) with { DepthMm = deep })
            .With(ChoiceId.Grinding, WayId.Glass);
        double Grind(double? deep) => Step(Chipped(deep), StepKey.EdgeGrind)!.Minutes.Likely;
        Grind(3).ShouldBeGreaterThan(Grind(1));
        Grind(1).ShouldBeGreaterThan(Step(Chipped(1).With(ChoiceId.Grinding, WayId.BenchWheel), StepKey.EdgeGrind)!.Minutes.Likely);
        Step(Chipped(2.5), StepKey.EdgeGrind)!.MetalRemovedMm.ShouldBe(2.5);
    }

    [Fact]
    public void Wind_is_told_as_an_amount_for_each_corner()
    {
        PlanQuestion jack = Read(Asking.Ask(KindIds.WoodenBenchPlane, AimKind.Work, Asking.F(PartIds.Body, FindingKind.Wind, 2)), PartIds.Body,
            MeasureIds.Wind, 1.6);
        Deed plane = Step(jack, StepKey.SoleWood)!;
        plane.How.ShouldStartWith("The sticks read 1.6 mm at 450 mm, which is 0.2");
        plane.How.ShouldContain("mm over its width: 0.1");
        plane.MetalRemovedMm.ShouldBe(0.12, 0.03, "half the wind over its width, not half of what long sticks show");
    }

    [Fact]
    public void Bolts_are_no_screws_and_what_a_wedge_holds_gets_no_oil()
    {
        Step(Asking.Ask(KindIds.BoltCutter, AimKind.Work), StepKey.Screws)!.Title.ShouldStartWith("Clean bolts and nuts");
        Step(Asking.Ask(AimKind.Work), StepKey.Screws)!.Title.ShouldStartWith("Clean screws and slots");
        Step(Asking.Ask(KindIds.WoodenBenchPlane, AimKind.Work), StepKey.Assemble)!.Needs.ShouldNotContain(n => n.Item == SupplyIds.LightOil);
        Step(Asking.Ask(KindIds.BackSaw, AimKind.Work), StepKey.Assemble)!.Needs.ShouldContain(n => n.Item == SupplyIds.SplitNutDriver);
        Step(Asking.Ask(KindIds.BoltCutter, AimKind.Work), StepKey.TryAsFound)!.Needs.ShouldNotContain(n => n.Item == SupplyIds.RatedBolt);
        Step(Asking.Ask(KindIds.BoltCutter, AimKind.Work), StepKey.Prove)!.Needs.ShouldContain(n => n.Item == SupplyIds.RatedBolt);
    }

    [Fact]
    public void A_plan_does_not_rest_on_what_a_survey_takes_down_as_it_is_read()
    {
        PlanQuestion q = Surveyed(0.1, AimKind.Work);
        IReadOnlyList<string> Changed(string figure, double value) =>
            Rests.Of(q).Changed(Rests.Of(q with { Shop = q.Shop with { Assumptions = q.Shop.Assumptions.With(figure, value) } }));
        Changed("survey_plate_mm", 0.012).ShouldBeEmpty("a survey keeps the plate it was taken on");
        Changed("sole_smoothing_zones_mm", 0.09).ShouldHaveSingleItem().ShouldBe("the figures the shop goes by");
    }

    private static Found Pit(double depthMm, double nearMm, double wideMm) => Asking.F(PartIds.Iron, FindingKind.Pitting, 3) with { DepthMm = depthMm,
        FromEdgeMm = nearMm, SizeMm = wideMm };

    [Theory]
    [InlineData(WayId.Lap, "lap")]
    [InlineData(WayId.Shim, "shim")]
    [InlineData(WayId.Grind, "grind_back")]
    public void Pits_whose_place_is_known_give_the_step_the_minutes_of_its_route(WayId way, string route)
    {
        PlanQuestion q = Asking.Ask(AimKind.Work, Pit(0.1, 2, 1), Pit(0.04, 6, 2)).With(ChoiceId.Back, way);
        Foundling.Core.Edges.SaveTheBackResult saved = EdgePits.Compare(q.Facts, q.Shop.Assumptions)!;
        saved.StoppingPits.ShouldBe(2);
        Deed step = Step(q, StepKey.EdgeSave)!;
        step.Minutes.Likely.ShouldBe(saved.Ways[route].Minutes, 0.25, "to half a minute");
        step.MetalRemovedMm.ShouldBe(way == WayId.Grind ? saved.Ways[route].SetbackMm : 0.1, 1e-9);
        // What is harder on the stone takes longer, by the same rates.
        Assumptions slow = q.Shop.Assumptions.With("glass_rate", 2).With("diamond_rate", 1).With("grinder_rate", 60);
        Step(q with { Shop = q.Shop with { Assumptions = slow } }, StepKey.EdgeSave)!.Minutes.Likely.ShouldBeGreaterThan(step.Minutes.Likely);
    }

    [Fact]
    public void The_route_that_is_advised_is_the_one_the_edge_bench_advises_where_all_is_measured()
    {
        PlanQuestion Of(double steelMm, double? depthMm) => Asking.Ask(AimKind.Work, Pit(0.1, 2, 1) with { DepthMm = depthMm }) is var q
            ? q with { Facts = q.Facts with { Readings = [new Reading(PartIds.Iron, MeasureIds.EdgeToHardEnd, new Quantity(steelMm, Unit.Millimetres),
                Instrument.Rule)] } } : q;
        PlanQuestion known = Of(28, 0.1);
        string advised = EdgePits.Compare(known.Facts, known.Shop.Assumptions)!.Recommend;
        Foundling.Core.Rod.Ways.EdgeWays.RouteOf(known.Way(ChoiceId.Back)).ShouldBe(advised);
        Of(28, null).Way(ChoiceId.Back).ShouldBe(WayId.Lap, "a depth that was only judged leaves the steel alone");
    }
}
