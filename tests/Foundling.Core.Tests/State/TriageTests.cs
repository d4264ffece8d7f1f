using CsCheck;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.State;

/// <summary>What stops a restoration, what is doubtful, what is only work; looks of several rounds; measurements.</summary>
public sealed class TriageTests
{
    private static Finding Found(string part, FindingKind kind, int degree, string place = "") =>
        new() { Id = Guid.NewGuid(), Part = PartId.Of(part), Kind = kind,
        Severity = degree, Place = place };

    private static TriageResult Weigh(string kind, params Finding[] findings) => Triage.Weigh(Known(KindId.Of(kind), findings), Assumptions.Standard);

    private static Facts Known(KindId kind, params Finding[] findings) => new(ToolCatalogue.Kind(kind), [.. findings.Select(f => f.Fact())]);

    [Theory]
    [InlineData("metal-bench-plane", "body", FindingKind.Crack, 3, "mouth")]
    [InlineData("metal-bench-plane", "body", FindingKind.Crack, 2, "frog seat")]
    [InlineData("hand-saw", "plate", FindingKind.Crack, 2, "tooth line")]
    [InlineData("hand-saw", "plate", FindingKind.Bent, 4, "")]
    [InlineData("axe", "head", FindingKind.Crack, 2, "eye")]
    [InlineData("adjustable-wrench", "sliding_jaw", FindingKind.Crack, 2, "")]
    [InlineData("hand-drill", "chuck", FindingKind.Missing, 4, "")]
    public void What_stops_a_restoration_says_so(string kind, string part, FindingKind found, int degree, string place)
    {
        TriageResult result = Weigh(kind, Found(part, found, degree, place));
        result.Stoppers.Single().Part.ShouldBe(PartId.Of(part));
        result.Verdict.ShouldBeOneOf(Verdict.Parts, Verdict.LeaveAsItIs);
        result.WorthSaving.ShouldNotContain(PartId.Of(part));
    }

    [Theory]
    [InlineData("metal-bench-plane", "body", FindingKind.Crack, 2, "cheek")]
    [InlineData("metal-bench-plane", "lateral_lever", FindingKind.Missing, 3, "")]
    [InlineData("bolt-cutter", "pivot", FindingKind.Seizure, 3, "")]
    [InlineData("metal-bench-plane", "frog_screws", FindingKind.Burred, 4, "")]
    [InlineData("wooden-bench-plane", "body", FindingKind.Damp, 4, "")]
    public void What_must_be_looked_at_makes_it_an_if(string kind, string part, FindingKind found, int degree, string place)
    {
        TriageResult result = Weigh(kind, Found(part, found, degree, place));
        result.Doubts.Single().Sentence.ShouldStartWith("The ");
        result.Verdict.ShouldBe(Verdict.RestoreIf);
    }

    [Fact]
    public void A_broken_handle_is_only_work() => Weigh("metal-bench-plane", Found("tote", FindingKind.Crack, 4)).Verdict.ShouldBe(Verdict.Restore);

    [Fact]
    public void Steel_left_decides_over_pits()
    {
        Facts pits = Known(KindIds.MetalBenchPlane, Found("iron", FindingKind.Pitting, 4));
        Triage.Weigh(pits, Assumptions.Standard).Verdict.ShouldBe(Verdict.RestoreIf);
        Triage.Weigh(pits, Assumptions.Standard, sharpeningsLeft: 200).Verdict.ShouldBe(Verdict.Restore);
        TriageResult gone = Triage.Weigh(pits, Assumptions.Standard, sharpeningsLeft: 8);
        gone.Stoppers.Single().Sentence.ShouldContain("8 sharpenings");
        gone.WorthSaving.ShouldContain(PartIds.Tote);
    }

    [Fact]
    public void A_tool_that_works_and_is_sound_is_left_alone()
    {
        TriageResult Tried(int rust) =>
            Triage.Weigh(Known(KindIds.MetalBenchPlane, Found("body", FindingKind.Rust, rust)) with { Tried = AsFoundTry.Well }, Assumptions.Standard);
        Tried(1).Verdict.ShouldBe(Verdict.LeaveAsItIs);
        Tried(3).Verdict.ShouldBe(Verdict.Restore);
    }

    [Fact]
    public void Every_kind_can_be_examined_and_worse_is_never_judged_better()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            foreach (PartDef part in kind.Parts)
            {
                MeasureKinds.For(kind, part).ShouldNotBeEmpty();
                foreach (FindingKind found in Faults.For(kind, part))
                {
                    foreach (string place in PartGroups.Places(kind, part).Append(""))
                    {
                        int[] weight = [.. Enumerable.Range(0, 5).Select(d => Weigh(kind.Id.Value, Found(part.Id.Value, found, d, place)))
                            .Select(t => t.Stoppers.Count > 0
                            ? 3 : t.Doubts.Count > 0 ? 2 : t.Work.Count)];
                        weight.SequenceEqual(weight.Order()).ShouldBeTrue($"{kind.Id} {part.Id} {found} {place}: {string.Join(' ', weight)}");
                    }
                }
            }
        }
    }

    [Fact]
    public void Every_scale_says_what_one_would_see()
    {
        foreach (FindingKind kind in Enum.GetValues<FindingKind>())
        {
            FindingScales.Degrees(kind).Count.ShouldBe(FindingScales.Worst + 1);
            FindingScales.Degrees(kind).Distinct().Count().ShouldBe(FindingScales.Worst + 1);
            FindingScales.Name(kind).ShouldNotBeEmpty();
        }
    }

    [Fact]
    public void Groups_hold_parts_of_their_sort()
    {
        ToolKind plane = ToolCatalogue.Kind(KindIds.MetalBenchPlane);
        PartGroups.Of(plane).Single(g => g.Id == "*screws").Parts.Select(p =>
            p.Id).ShouldBe([PartIds.FrogScrews, PartIds.LeverCapScrew, PartIds.CapIronScrew, PartIds.ToteBolt, PartIds.ToteToeScrew, PartIds.KnobBolt,
                PartIds.YokePin]);
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            PartGroups.Of(kind).ShouldAllBe(g => g.Parts.Count > 1 && kind.Part(PartId.Of(g.Id)) == null);
            kind.Parts.Where(p => p.Id.Value.Contains("pinion", StringComparison.Ordinal)).ShouldAllBe(p => !p.IsFastener);
        }
    }

    [Fact]
    public void A_later_look_stands_for_the_part()
    {
        var tag = new Tag { Kind = KindIds.MetalBenchPlane };
        DateTimeOffset at = DateTimeOffset.UnixEpoch;
        tag.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = PartIds.Body, Kind = FindingKind.CoatingLoss, Severity = 3, At = at.AddHours(2) });
        tag.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = PartIds.Body, Kind = FindingKind.CoatingLoss, Severity = 1, Round = Round.Washed, At = at });
        tag.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = PartIds.Body, Kind = FindingKind.Rust, Severity = 2, At = at });
        tag.Standing().Select(f => (f.Kind, f.Severity)).ShouldBe([(FindingKind.CoatingLoss, 1), (FindingKind.Rust, 2)], ignoreOrder: true);
    }

    [Fact]
    public void The_last_measurement_counts_and_earlier_ones_stay()
    {
        var tag = new Tag { Kind = KindIds.MetalBenchPlane };
        tag.Measurements.Add(new Measurement { Part = PartIds.Iron, Kind = MeasureIds.Thickness, Value = 2.1 });
        tag.Measurements.Add(new Measurement { Part = PartIds.Iron, Kind = MeasureIds.Thickness, Value = 2.05 });
        tag.Measured(PartIds.Iron, MeasureIds.Thickness)!.Value.ShouldBe(2.05);
        tag.Measured(PartIds.Iron, MeasureIds.Length).ShouldBeNull();
        double[] closeness = [.. new[] { Instrument.Eye, Instrument.Rule, Instrument.Caliper, Instrument.Feeler, Instrument.Indicator }.Select(i =>
            MeasureKinds.UncertaintyMm(i, Assumptions.Standard))];
        closeness.ShouldBe(closeness.OrderDescending());
    }
}
