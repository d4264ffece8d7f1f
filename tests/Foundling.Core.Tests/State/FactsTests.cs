using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tests.Rod;
using Foundling.Core.Tools;
using Foundling.Core.Units;

namespace Foundling.Core.Tests.State;

/// <summary>What is known of a tool, apart from how it is kept.</summary>
public sealed class FactsTests
{
    private static Tag Plane() => new()
    {
        Kind = KindIds.MetalBenchPlane, LengthMm = 355, IronWidthMm = 51, Hand = Hand.Left,
        Findings = [Finding.Of(new Found(PartIds.Body, FindingKind.Rust, 3), DateTimeOffset.UnixEpoch)],
        Measurements =
        [
            new Measurement { Part = PartIds.Iron, Kind = MeasureIds.EdgeToSlot, Value = 40, Instrument = Instrument.Rule, UncertaintyMm = 0.5 },
            new Measurement { Part = PartIds.Iron, Kind = MeasureIds.EdgeToSlot, Value = 38, Instrument = Instrument.Caliper, UncertaintyMm = 0.05 },
            new Measurement { Part = PartIds.Plate, Kind = MeasureIds.Points, Value = 8, Instrument = Instrument.Count },
        ],
    };

    [Fact]
    public void What_is_known_stays_as_it_was_when_the_tag_changes()
    {
        Tag tag = Plane();
        Facts before = tag.Facts();
        double? steel = before.Steel(Assumptions.Standard)?.Reserve.SharpeningsLeft;
        tag.Findings[0].Severity = 1;
        tag.Findings.Add(Finding.Of(new Found(PartIds.Iron, FindingKind.Pitting, 4), DateTimeOffset.UnixEpoch));
        tag.Measurements.Add(new Measurement { Part = PartIds.Iron, Kind = MeasureIds.EdgeToSlot, Value = 5 });
        tag.LengthMm = 600;

        before.Worst(FindingKind.Rust).ShouldBe(3);
        before.Findings.ShouldHaveSingleItem();
        before.LengthMm.ShouldBe(355);
        before.Steel(Assumptions.Standard)?.Reserve.SharpeningsLeft.ShouldBe((int)steel!.Value);
        tag.Facts().Worst(FindingKind.Rust).ShouldBe(1);
        tag.Facts().Measured(MeasureIds.EdgeToSlot, PartIds.Iron).ShouldBe(5);
    }

    [Fact]
    public void A_reading_carries_its_unit_its_doubt_and_its_instrument_and_the_last_one_stands()
    {
        Facts facts = Plane().Facts();
        Reading slot = facts.Read(PartIds.Iron, MeasureIds.EdgeToSlot)!;
        (slot.Quantity, slot.With).ShouldBe((new Quantity(38, Unit.Millimetres, 0.05), Instrument.Caliper));
        slot.Quantity.ToString().ShouldBe("38 mm");
        Should.Throw<InvalidOperationException>(() => slot.Quantity.In(Unit.Grams)).Message.ShouldContain("Grams");
        facts.Measured(MeasureIds.Points, PartIds.Plate).ShouldBeNull("a plane has no saw plate: the reading is set aside");
        facts.Build.ShouldBe(new Build(355, 51, Hand: Hand.Left));
    }

    [Fact]
    public void Every_measure_that_a_part_offers_is_listed_once_with_a_unit()
    {
        MeasureKinds.All.Select(m => m.Id).ShouldBeUnique();
        MeasureId[] listed = [.. typeof(MeasureIds).GetFields().Select(f => (MeasureId)f.GetValue(null)!)];
        listed.ShouldBe(MeasureKinds.All.Select(m => m.Id), ignoreOrder: true);
        ToolCatalogue.Kinds.SelectMany(k => k.Parts.SelectMany(p => MeasureKinds.For(k, p))).Select(m => m.Id).Distinct()
            .ShouldBe(listed, ignoreOrder: true);
        MeasureKinds.All.Where(m => m.IsCount).ShouldAllBe(m => m.Unit == Unit.Pieces || m.Unit == Unit.PointsPerInch);
    }

    [Fact]
    public void A_tag_of_facts_asks_for_the_same_plan_as_the_facts()
    {
        for (int seed = 0; seed < 60; seed++)
        {
            PlanQuestion question = Asking.Random(new Random(seed));
            Facts again = Asking.Tag(question.Facts).Facts() with { Tried = question.Tried };
            Planner.Plan(question with { Facts = again }).Select(d => (d.Id, d.Title, d.Content))
                .ShouldBe(Planner.Plan(question).Select(d => (d.Id, d.Title, d.Content)), $"seed {seed}");
        }
    }

    [Fact]
    public void Surfaces_are_read_by_their_keys_and_by_the_words_of_older_plans()
    {
        foreach (SurfaceId surface in Enum.GetValues<SurfaceId>())
        {
            Surfaces.Read(KeyText.Of(surface)).ShouldBe(surface);
            Surfaces.Read(Surfaces.Name(surface)).ShouldBe(surface);
        }
        Surfaces.Read("").ShouldBeNull();
        Plan plan = PlanText.Read("""
            {"aim":"work","deeds":[{"id":"soak","stage":"derust","title":"Soak","minutes":{"low":1,"likely":2,"high":3},"surface_lost":"some patina"}]}
            """);
        plan.Deeds[0].SurfaceLost.ShouldBe(SurfaceId.SomePatina);
        PlanText.Write(plan).ShouldContain("\"surface_lost\":\"some-patina\"");
        PlanText.Write(new Plan(AimKind.Work, [plan.Deeds[0] with { SurfaceLost = SurfaceId.WoodFinish }])).ShouldContain("\"wood-finish\"");
    }
}
