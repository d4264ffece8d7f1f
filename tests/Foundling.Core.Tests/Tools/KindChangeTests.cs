using Foundling.Core.Aim;
using Foundling.Core.Gauges;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Rod.Ways;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tests.Rod;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Tools;

/// <summary>A kind put right keeps what was seen, sets aside what no longer fits, and breaks nothing.</summary>
public sealed class KindChangeTests
{
    public static TheoryData<string, string> Families()
    {
        var pairs = new TheoryData<string, string>();
        foreach (ToolKind from in ToolCatalogue.Kinds.DistinctBy(k => k.Family))
        {
            foreach (ToolKind to in ToolCatalogue.Kinds.DistinctBy(k => k.Family).Where(k => k != from))
            {
                pairs.Add(from.Id.Value, to.Id.Value);
            }
        }
        return pairs;
    }

    /// <summary>A tag with a finding and a measurement on every part, and an edge, a wedge and a purpose noted.</summary>
    private static Tag Full(string kind)
    {
        var tag = new Tag { Number = 1, Kind = KindId.Of(kind), LengthMm = 240, IronWidthMm = 50, ArrivedOn = new DateOnly(2026, 1, 1),
            Purpose = Core.Soles.SolePurpose.Try, KinFit = Core.Origin.KinLook.Clash, Tried = AsFoundTry.Badly };
        ToolKind tool = tag.Tool();
        foreach (PartDef part in tool.Parts)
        {
            tag.Findings.Add(new Finding { Id = Guid.NewGuid(), Part = part.Id, Kind = Faults.For(tool, part)[0], Severity = 2 });
            tag.Measurements.Add(new Measurement { Id = Guid.NewGuid(), Part = part.Id, Kind = MeasureKinds.For(tool, part)[0].Id, Value = 3 });
        }
        tag.Plan(Planner.Plan(Asking.For(tag)));
        return tag;
    }

    [Theory]
    [MemberData(nameof(Families))]
    public void Every_pair_of_families_holds_together(string from, string to)
    {
        Tag tag = Full(from);
        int findings = tag.Findings.Count, open = tag.Steps.Count;
        tag.Set(tag.Steps[0].Key, StepState.Done);
        var own = new Deed(new DeedId(StepKey.Own, "1"), Stage.Wash, "My own", 1, 2, 3) { Hand = StepHand.Added };
        tag.Plan = tag.Plan!.With([.. tag.Plan.Deeds, own], "my own");
        tag.Kind = KindId.Of(to);
        KindChange change = KindChange.Of(tag, KindId.Of(from));

        tag.Findings.Count.ShouldBe(findings);
        change.Findings.ShouldBe(tag.Findings.Count(f => tag.Tool().Part(f.Part) is null));
        change.Steps.ShouldBe(open - 1);
        tag.Steps.Select(s => s.Title).ShouldBe([tag.Steps[0].Title, "My own"]);
        change.Sentence.ShouldContain(ToolCatalogue.Kind(KindId.Of(to)).Name.ToLowerInvariant());
        if (change.Findings > 0)
        {
            change.Sentence.ShouldContain($"{change.Findings} finding");
        }
        tag.Standing().ShouldAllBe(f => tag.Tool().Part(f.Part) != null);
        // What reads a tag reads it still.
        Triage.Of(tag.Facts(), Assumptions.Standard);
        tag.Facts().Steel(Assumptions.Standard);
        Planner.Plan(Asking.For(tag)).ToList().ForEach(d => StepGauges.For(tag.Facts(), Choices.Read(tag.Ways), d, Asking.Shop));
        Enum.GetValues<AimKind>().ToList().ForEach(aim => AimReview.Of(Asking.For(tag) with { Aim = aim }, 40, Rarity.Common));
        TagCheck.Of(tag, Assumptions.Standard).ShouldBeEmpty();

        // And changed back, everything counts again.
        tag.Kind = KindId.Of(from);
        KindChange.Of(tag, KindId.Of(to)).Findings.ShouldBe(0);
        tag.Standing().Count.ShouldBe(findings);
    }

    [Fact]
    public void Where_nothing_is_set_aside_nothing_is_said_of_it()
    {
        var tag = new Tag { Number = 1, Kind = KindIds.Axe, ArrivedOn = new DateOnly(2026, 1, 1) };
        KindChange.Of(tag, KindIds.Chisel).Sentence.ShouldBe("It is an axe now.");
    }
}
