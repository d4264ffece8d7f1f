using CsCheck;
using Foundling.Core.Aim;
using Foundling.Core.Edges;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tags;
using Foundling.Core.Tests.Rod;
using Foundling.Core.Tools;
using Foundling.Core.Units;

namespace Foundling.Core.Tests.EdgeBench;

/// <summary>What a tag knows of its edge decides what is done to it.</summary>
public sealed class EdgeRecordTests
{
    private static readonly Assumptions A = Assumptions.Standard;

    private static Deed? Step(PlanQuestion q, StepKey key) => Planner.Plan(q).FirstOrDefault(d => d.Id.Step == key);

    private static PlanQuestion Read(PlanQuestion q, PartId part, params (MeasureId Measure, double Value)[] readings) => q with
    {
        Facts = q.Facts with { Readings = [.. q.Facts.Readings, .. readings.Select(r => new Reading(part, r.Measure, new Quantity(r.Value,
            MeasureKinds.UnitOf(r.Measure)), MeasureKinds.Find(r.Measure)!.With))] },
    };

    private static Found Pit(double depth, double near, double size) => Asking.F(PartIds.Iron, FindingKind.Pitting, 3) with { DepthMm = depth,
        FromEdgeMm = near, SizeMm = size };

    [Fact]
    public void A_bevel_that_was_measured_says_how_far_lapping_sets_the_edge_back()
    {
        PlanQuestion q = Asking.Ask(AimKind.Work, Pit(0.1, 2, 1)).With(ChoiceId.Back, WayId.Lap);
        double Back(double deg) => EdgePits.Compare(Read(q, PartIds.Iron, (MeasureIds.Bevel, deg)).Facts, A)!.Ways["lap"].SetbackMm;
        Back(25).ShouldBe(0.1 / Math.Tan(25 * Math.PI / 180), 1e-9);
        Back(25).ShouldBe(EdgePits.Compare(q.Facts, A)!.Ways["lap"].SetbackMm, 1e-9, "what nobody measured is as is usual");
        Back(35).ShouldBeLessThan(Back(30));
    }

    [Fact]
    public void A_diamond_plate_takes_longer_than_fresh_paper_and_needs_no_sheets()
    {
        foreach (Found pit in new[] { Pit(0.1, 2, 1), Asking.F(PartIds.Iron, FindingKind.Pitting, 3) })
        {
            PlanQuestion q = Asking.Ask(AimKind.Work, pit).With(ChoiceId.Back, WayId.Lap);
            Deed paper = Step(q, StepKey.EdgeSave)!, plate = Step(q.With(ChoiceId.LapOn, WayId.CoarsePlate), StepKey.EdgeSave)!;
            (plate.Minutes.Likely / paper.Minutes.Likely).ShouldBe(A.GlassRate / A.DiamondRate, 0.2);
            plate.Needs.ShouldNotContain(n => n.Item == SupplyIds.P80Sheet);
            plate.Needs.ShouldContain(n => n.Item == SupplyIds.CoarseDiamondPlate);
            plate.How.ShouldContain("diamond plate");
            paper.Needs.ShouldContain(n => n.Item == SupplyIds.P80Sheet);
        }
        Deed knife = Step(Asking.Ask(KindIds.Drawknife, AimKind.Work, Asking.F(PartIds.Blade, FindingKind.Pitting, 3)), StepKey.EdgeSave)!;
        knife.How.ShouldContain("laid flat on it and led along");
        knife.Needs.ShouldNotContain(n => n.Item == SupplyIds.FlatPlate, "its handles stand in the way");
        Deed foot = Step(Asking.Ask(KindIds.RouterPlane, AimKind.Work, Asking.F(PartId.Of("cutter"), FindingKind.Pitting, 3)), StepKey.EdgeSave)!;
        foot.Title.ShouldBe("Lap the pits out of the underside of the foot");
        foot.How.ShouldNotContain("12 mm");
        PlanQuestion gouge = Asking.Ask(KindIds.Gouge, AimKind.Work, Asking.F(PartIds.Blade, FindingKind.Pitting, 3));
        Choices.Find(ChoiceId.LapOn).Asked(gouge).ShouldBeFalse("nothing flat reaches a hollow");
        Step(gouge, StepKey.EdgeSave)!.Needs.ShouldContain(n => n.Item == SupplyIds.SlipStones);
    }

    [Fact]
    public void A_scraper_is_turned_as_last_time_and_filed_when_its_burr_was_turned_too_often()
    {
        PlanQuestion q = Asking.Ask(KindIds.ScraperPlane, AimKind.Work);
        Step(q, StepKey.BurrFile)!.OnlyIfNeeded.ShouldBeTrue();
        Step(q, StepKey.BurrTurn)!.How.ShouldStartWith("Drawn flat, then turned from 5° to 15°");
        PlanQuestion known = Read(q, PartIds.Iron, (MeasureIds.BurrPasses, 4), (MeasureIds.BurrFirst, 6), (MeasureIds.BurrLast, 12), (MeasureIds.BurrTurns, 3));
        Step(known, StepKey.BurrTurn)!.Title.ShouldEndWith("in 4 passes");
        Step(known, StepKey.BurrTurn)!.How.ShouldStartWith("As last time, drawn flat, then turned from 6° to 12°");
        Step(known, StepKey.BurrFile)!.OnlyIfNeeded.ShouldBeTrue();
        Deed filed = Step(Read(known, PartIds.Iron, (MeasureIds.BurrTurns, A.BurrRenewals)), StepKey.BurrFile)!;
        filed.OnlyIfNeeded.ShouldBeFalse();
        filed.Reason.ShouldContain("turned 6 times");
    }

    [Fact]
    public void A_pit_keeps_its_place_across_and_goes_with_its_corner()
    {
        var tag = new Tag { Kind = KindIds.MetalBenchPlane, IronWidthMm = 51 };
        PartDef iron = tag.Tool().Part(PartIds.Iron)!;
        PitNotes.Put(tag, iron, [new Pit(0.1, 0.25, 0, 0, 2), new Pit(0.1, 3, 2, 20, 24)], 51, 0.4, A, DateTimeOffset.UnixEpoch);
        tag.Findings.Select(f => f.Severity).ShouldBe([1, 3], "the one goes with the corner");
        EdgePits.Of(tag.Facts(), iron, A).ShouldBe([new Pit(0.1, 0.25, 0, 0, 2), new Pit(0.1, 3, 2, 20, 24)]);
        EdgePits.Compare(tag.Facts(), A)!.StoppingPits.ShouldBe(2, "nobody measured a camber");
        tag.TakeIfOther(PartIds.Iron, MeasureIds.Camber, 0.4, Instrument.Feeler, A, DateTimeOffset.UnixEpoch);
        EdgePits.Compare(tag.Facts(), A)!.StoppingPits.ShouldBe(1);
        tag.IronWidthMm = 19;
        EdgePits.Of(tag.Facts(), iron, A)[1].FromLeftMm.ShouldBeNull("so narrow an iron has no such place");
    }

    [Theory]
    [InlineData(nameof(MeasureIds.Thickness), 0)]
    [InlineData(nameof(MeasureIds.Thickness), 0.05)]
    [InlineData(nameof(MeasureIds.Bevel), 0)]
    [InlineData(nameof(MeasureIds.Bevel), 90)]
    [InlineData(nameof(MeasureIds.Camber), 4000)]
    public void A_reading_that_cannot_be_leaves_the_plan_to_what_is_usual(string measure, double value)
    {
        var id = (MeasureId)typeof(MeasureIds).GetField(measure)!.GetValue(null)!;
        PlanQuestion q = Read(Asking.Ask(AimKind.Work, Pit(0.1, 2, 1)).With(ChoiceId.Back, WayId.Lap), PartIds.Iron, (id, value));
        EdgePits.Compare(q.Facts, A).ShouldBeNull();
        Step(q, StepKey.EdgeSave)!.Minutes.Likely.ShouldBeGreaterThan(0);
    }

    [Fact]
    public void Every_edge_that_is_ground_can_have_its_angle_kept()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds.Where(k => EdgeFacts.HasSection(k) || EdgeFacts.IsBlade(k)))
        {
            kind.Edges.ShouldAllBe(p => MeasureKinds.For(kind, p).Any(m => m.Id == MeasureIds.Bevel), kind.Id.Value);
        }
    }

    [Fact]
    public void A_camber_leads_to_its_radius_and_back() => Gen.Select(Gen.Double[10, 80], Gen.Double[0.02, 4]).Sample((wide, camber) =>
    {
        double radius = Edge.Camber(new CamberInput(wide, camber)).RadiusMm;
        (radius - Math.Sqrt((radius * radius) - (wide * wide / 4))).ShouldBe(camber, 1e-7);
    }, iter: 200);

    [Fact]
    public void Every_route_takes_the_steel_of_the_body_it_cuts_away() => Gen.Select(Gen.Double[10, 80], Gen.Double[1, 6], Gen.Double[15, 40],
        Gen.Double[0.03, 0.4], Gen.Double[1, 11]).Sample((wide, thick, bevel, deep, far) =>
    {
        IReadOnlyDictionary<string, BackWay> ways = SaveTheBack.Compare(new SaveTheBackInput(wide, thick, bevel, 40, [new Pit(deep, far)]), A).Ways;
        ways["lap"].MetalMm3.ShouldBe(wide * A.StoppingPitWithinMm * deep, 1e-9, "a slab as deep as the pit");
        double land = ways["shim"].LandMm!.Value, angle = ways["shim"].AngleDeg!.Value * Math.PI / 180;
        (land * Math.Tan(angle)).ShouldBe(deep, 1e-9, "the shim's land ends under the pit");
        ways["shim"].MetalMm3.ShouldBe(wide * land * land * Math.Tan(angle) / 2, 1e-9, "a wedge");
        var ground = GroundBack.Of(wide, thick, bevel, ways["grind_back"].SetbackMm);
        ways["grind_back"].MetalMm3.ShouldBe(ground.StraightMm3 + ground.BevelMm3, 1e-6, "the straight cut and the bevel anew");
        // Lapping lowers the back all along: the edge goes where the lowered back meets the bevel.
        (ways["lap"].SetbackMm * Math.Tan(bevel * Math.PI / 180)).ShouldBe(deep, 1e-9);
    }, iter: 300);

    [Fact]
    public void Pits_in_two_bevels_go_with_the_bevels_and_a_head_on_its_haft_stays_while_the_stone_goes()
    {
        PlanQuestion axe = Asking.Ask(KindIds.Axe, AimKind.Work, Asking.F(PartIds.Bit, FindingKind.Pitting, 3));
        Deed file = Step(axe, StepKey.EdgeGrind)!;
        file.Title.ShouldBe("Grind past the pits, both bevels alike");
        file.Reason.ShouldBe("Pits at the edge come out at the file, not at the stone.");
        FindingAnswers.Of(axe, Planner.Plan(axe)).Single(f => f.Finding.Kind == FindingKind.Pitting).WhyNot.ShouldBeNull("a step answers it");
        Step(Asking.Ask(KindIds.Axe, AimKind.Work), StepKey.EdgeGrind).ShouldBeNull();
        Step(axe, StepKey.EdgeHone)!.How.ShouldStartWith("The edge stays still, clamped");
        Step(Asking.Ask(AimKind.Work), StepKey.EdgeHone)!.How.ShouldStartWith("Freehand, elbows in");
        Step(Asking.Ask(KindIds.Drawknife, AimKind.Work), StepKey.EdgeHone)!.How.ShouldStartWith("Marker on the bevel");
        Deed moulded = Step(Asking.Ask(KindIds.MouldingPlane, AimKind.Work, Asking.F(PartIds.Iron, FindingKind.Pitting, 3)).With(ChoiceId.Back, WayId.Grind),
            StepKey.EdgeSave)!;
        moulded.How.ShouldContain("scribed anew from the sole", Case.Insensitive, "straight across its profile would be gone");
        moulded.How.ShouldNotContain("Straight across");
    }

    [Theory]
    [InlineData("points", "7.5", 1, 7.5)]
    [InlineData("bevel", "28,5", 1, 28.5)]
    [InlineData("opening_time", "0.6", 10, 6)]
    [InlineData("burr_turns", "3", 1, 3)]
    [InlineData("thickness", "2 thou", 1, 0.0508)]
    public void A_reading_is_read_in_the_unit_of_its_kind(string measure, string text, double times, double value) =>
        MeasureKinds.Find(MeasureId.Of(measure))!.Read(text, "it", LengthUnits.Metric, times).ShouldBe(value, 1e-9);

    [Theory]
    [InlineData("bevel", "120")]
    [InlineData("bevel", "")]
    [InlineData("thickness", "9 miles")]
    [InlineData("missing_teeth", "2.5")]
    [InlineData("burr_turns", "-1")]
    public void What_no_reading_is_is_said(string measure, string text) =>
        Should.Throw<InputException>(() => MeasureKinds.Find(MeasureId.Of(measure))!.Read(text, "it", LengthUnits.Metric)).Field.ShouldBe("it");

    [Fact]
    public void A_route_takes_what_it_was_worked_on_and_a_filed_bevel_begins_a_new_count()
    {
        EdgeWays.WorkedOn(WayId.Grind, GrindOn.Belt, GrindOn.CoarseDiamond).ShouldBe((ChoiceId.Grinding, WayId.Belt));
        EdgeWays.WorkedOn(WayId.Lap, GrindOn.Belt, GrindOn.CoarseDiamond).ShouldBe((ChoiceId.LapOn, WayId.CoarsePlate));
        EdgeWays.WorkedOn(WayId.Shim, GrindOn.Belt, GrindOn.CoarseDiamond).ShouldBeNull();
        (BurrPlan.Count(4, false), BurrPlan.Count(4, true)).ShouldBe((5, 1));
    }
}
