using CsCheck;
using Foundling.Core.Grits;

namespace Foundling.Core.Tests.Grits;

/// <summary>The ladder of grits is the quickest there is, spares stamps and never flattens with what cannot.</summary>
public sealed class LadderTests
{
    private static readonly Assumptions Usual = Assumptions.Standard;

    private static readonly Gen<LadderInput> Faces =
        from sizes in Gen.Double[1, 300].List[1, 12]
        from flat in Gen.Frequency((5, Gen.Const(true)), (1, Gen.Const(false))).List[12]
        from worn in Gen.Frequency((6, Gen.Const(false)), (1, Gen.Const(true))).List[12]
        from defect in Gen.Frequency((4, Gen.Double[0.5, 300]), (1, Gen.Const(0.0)))
        from target in Gen.Double[0.1, 12]
        from force in Gen.Double[10, 120]
        from area in Gen.Double[300, 30_000]
        from metal in Gen.Enum<LapMetal>()
        from stamp in Gen.Frequency((2, Gen.Const(0.0).Select(_ => (double?)null)), (1, Gen.Double[20, 1200].Select(s => (double?)s)))
        select new LadderInput([.. sizes.Select((s, i) => new LadderAbrasive($"a{i}", s, flat[i], worn[i]))], defect, target, force, area, metal, stamp);

    [Fact]
    public void No_other_choice_of_abrasives_is_quicker() => Faces.Sample(face =>
    {
        double? best = ByHand(face with { StampDepthUm = null });
        LadderResult? told = Ladder.Try(face with { StampDepthUm = null }, Usual);
        (told is null).ShouldBe(best is null);
        told?.TotalMinutes.ShouldBe(best!.Value, 1e-6 * best.Value);
    }, iter: 300);

    /// <summary>Every subset tried, coarse to fine.</summary>
    private static double? ByHand(LadderInput face)
    {
        LadderAbrasive[] own = [.. face.Abrasives.OrderByDescending(x => x.CountsUm(Usual))];
        double? best = null;
        for (int set = 1; set < 1 << own.Length; set++)
        {
            LadderAbrasive[] these = [.. own.Where((_, i) => (set & (1 << i)) != 0)];
            bool may = these.SkipLast(1).All(x => x.Flattens) && (these[0].Flattens || face.DefectDepthUm <= 0)
                && these[^1].CountsUm(Usual) * Usual.ScratchShare <= face.TargetScratchUm + 1e-9;
            if (may)
            {
                double minutes = these.Select((x, k) => ((k == 0 ? face.DefectDepthUm : 1.2 * Usual.ScratchShare * these[k - 1].CountsUm(Usual))
                    / Removal.UmAMinute(x.CountsUm(Usual), face.ForceN / face.ContactAreaMm2 * 1000, face.Metal, Usual)) + 2.5).Sum();
                best = best is double b ? Math.Min(b, minutes) : minutes;
            }
        }
        return best;
    }

    [Fact]
    public void What_cannot_cut_flat_ends_a_ladder_or_stands_alone_on_patina() => Faces.Sample(face =>
    {
        if (Ladder.Try(face, Usual) is not { } told)
        {
            return;
        }
        Dictionary<string, LadderAbrasive> own = face.Abrasives.ToDictionary(x => x.Name);
        told.Ladder.SkipLast(1).ShouldAllBe(n => own[n].Flattens);
        (own[told.Ladder[0]].Flattens || face.DefectDepthUm <= 0).ShouldBeTrue();
        told.StageMinutes.Sum().ShouldBe(told.TotalMinutes, 1e-9 * told.TotalMinutes);
        told.Stages.Sum(s => s.RemovesUm).ShouldBe(told.MetalRemovedUm, 1e-6);
        told.Stages[^1].ScratchUm.ShouldBeLessThanOrEqualTo(face.TargetScratchUm + 1e-9);
        told.SkipOneMoreCostsMinutes.Values.ShouldAllBe(cost => cost >= -1e-9 || face.StampDepthUm != null, "a quicker one would have been told");
        if (told.LimitUm is double limit)
        {
            told.MetalRemovedUm.ShouldBeLessThanOrEqualTo(limit + 1e-6);
        }
    }, iter: 1000);

    [Fact]
    public void A_face_that_nothing_reaches_is_said_so()
    {
        LadderInput face = new([new("wool", 10, Flat: false), new("old P240", 58.5, Worn: true)], 20, 1, 40, 2000);
        Should.Throw<InputException>(() => Ladder.Of(face, Usual)).ErrorKey.ShouldBe("nothing_flattens");
        Ladder.Of(face with { DefectDepthUm = 0 }, Usual).Ladder.ShouldBe(["wool"], "patina is only brightened");
        Should.Throw<InputException>(() => Ladder.Of(face with { Abrasives = [] }, Usual)).ErrorKey.ShouldBe("no_owned_abrasive_is_fine_enough");
        InputException stamp = Should.Throw<InputException>(() => Ladder.Of(new([new("P80", 201), new("P400", 35)], 50, 3, 40, 2000, StampDepthUm: 60), Usual));
        (stamp.ErrorKey, stamp.Sentence.Contains("at most 20 µm", StringComparison.Ordinal)).ShouldBe(("stamp_would_not_survive", true));
        Should.Throw<InputException>(() => Ladder.Of(face with { Abrasives = [.. Enumerable.Repeat(new LadderAbrasive("x", 9), 201)] }, Usual))
            .ErrorKey.ShouldBe("too_many");
    }

    [Fact]
    public void The_purchase_that_is_named_saves_most()
    {
        LadderInput face = new([new("P60", 269), new("P400", 35)], 60, 3, 60, 12_000);
        LadderAbrasive[] market = [new("P80", 201), new("P120", 125), new("P180", 82), new("P2000", 10.3)];
        (LadderAbrasive buy, LadderResult with) = Ladder.BestPurchase(face, market, Usual)!.Value;
        double best = market.Min(m => Ladder.Of(face with { Abrasives = [.. face.Abrasives, m] }, Usual).TotalMinutes);
        with.TotalMinutes.ShouldBe(best, 1e-9);
        with.Ladder.ShouldContain(buy.Name);
        Ladder.BestPurchase(face, [new("P2000", 10.3)], Usual).ShouldBeNull("it would not be used");
    }

    [Fact]
    public void Several_faces_share_their_changes() => Gen.Select(Faces, Gen.Double[0.5, 200], Gen.Double[500, 20_000]).Sample((face, defect, area) =>
    {
        LadderInput first = face with { StampDepthUm = null }, second = first with { DefectDepthUm = defect, ContactAreaMm2 = area };
        if (Ladder.Try(first, Usual) is not { } one || Ladder.Try(second, Usual) is not { } other)
        {
            return;
        }
        TogetherResult told = LadderTogether.Of([new("sole", first), new("frog face", second)], Usual);
        told.TotalMinutes.ShouldBeLessThanOrEqualTo(one.TotalMinutes + other.TotalMinutes + 1e-6);
        told.TotalMinutes.ShouldBeGreaterThanOrEqualTo(Math.Max(one.TotalMinutes, other.TotalMinutes) - 1e-6);
        told.Faces.SelectMany(f => f.Stages.Select(s => s.Name)).Distinct().ShouldBe(told.Grits, ignoreOrder: true);
        (told.Faces.Sum(f => f.Stages.Sum(s => s.Minutes)) + (told.Grits.Count * 2.5)).ShouldBe(told.TotalMinutes, 1e-6 * told.TotalMinutes);
    }, iter: 60);

    [Fact]
    public void Coarser_grains_cut_faster_and_the_listed_ones_as_listed()
    {
        Removal.Um(201, Usual).ShouldBe(9, 1e-9);
        Removal.Um(35, Usual).ShouldBe(1.6, 1e-9);
        Removal.Um(Math.Sqrt(201 * 125), Usual).ShouldBe(Math.Sqrt(9 * 6), 1e-9, "straight in the logarithms");
        Removal.Um(538, Usual).ShouldBeGreaterThan(12, "the end pieces are carried on");
        Gen.Double[0.5, 1500].Sample(um => Removal.Um(um * 1.05, Usual).ShouldBeGreaterThan(Removal.Um(um, Usual)));
    }
}
