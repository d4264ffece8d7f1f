using CsCheck;
using Foundling.Core.Proof;
using Foundling.Core.Soles;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;

namespace Foundling.Core.Tests;

/// <summary>Every kind has its own proofs, and a reading says no more than it can.</summary>
public sealed class ProofTests
{
    [Fact]
    public void Every_kind_has_proofs_of_its_own_trade()
    {
        foreach (ToolKind kind in ToolCatalogue.Kinds)
        {
            IReadOnlyList<ProofKind> proofs = Proofs.For(kind, null, Assumptions.Standard);
            proofs.ShouldNotBeEmpty();
            proofs.Select(p => p.Id).ShouldBeUnique();
            proofs.ShouldAllBe(p => p.How.Length > 10 && p.Name.Length > 3);
            proofs.OfType<SeenProof>().ShouldAllBe(p => p.Degrees.Count == 3);
            // No target finer than the instrument that is to read it.
            proofs.OfType<MeasuredProof>().ShouldAllBe(p => p.TargetMm >= p.StepMm);
            // Only what planes shavings is asked for them.
            (proofs.Any(p => p.Name.Contains("shaving")) && kind.Family != Family.Plane).ShouldBeFalse(kind.Id.Value);
        }
        Proofs.For(ToolCatalogue.Kind(KindIds.PloughPlane), null, Assumptions.Standard)[0].Id.ShouldBe("groove");
        Proofs.For(ToolCatalogue.Kind(KindIds.BoltCutter), null, Assumptions.Standard).ShouldContain(p => p.Id == "bolt");
        Proofs.For(ToolCatalogue.Kind(KindIds.HandDrill), null, Assumptions.Standard).ShouldContain(p => p.Id == "hole-steel");
        Proofs.For(ToolCatalogue.Kind(KindIds.Brace), null, Assumptions.Standard).ShouldNotContain(p => p.Id == "hole-steel");
    }

    [Fact]
    public void The_shaving_must_be_as_fine_as_the_plane_is_for()
    {
        double Target(SolePurpose purpose) => ((MeasuredProof)Proofs.For(ToolCatalogue.Kind(KindIds.MetalBenchPlane), purpose, Assumptions.Standard)[0])
            .TargetMm;
        Target(SolePurpose.Smoothing).ShouldBeLessThan(Target(SolePurpose.Try));
        Target(SolePurpose.Try).ShouldBeLessThan(Target(SolePurpose.Jack));
    }

    [Fact]
    public void A_thickness_is_never_below_nothing()
    {
        ThicknessResult wide = Thickness.Judge(new ThicknessInput([0.01, 0.06, 0.02], Direction.AtMost, 0.05, 0.01));
        wide.Low95Mm.ShouldBe(0);
        wide.Verdict.ShouldBe("cannot_tell");
    }

    [Fact]
    public void Cannot_tell_says_how_many_more_would_settle_it() => Gen.Select(Gen.Double[0.02, 0.08].Array[3, 8],
        Gen.Double[0.03, 0.07]).Sample((readings, target) =>
    {
        ThicknessResult r = Thickness.Judge(new ThicknessInput(readings, Direction.AtMost, target, 0.001));
        if (r.Verdict != "cannot_tell")
        {
            r.MoreReadings.ShouldBeNull();
            return;
        }
        if (r.MoreReadings is not int more)
        {
            return;
        }
        // With the same mean and scatter over so many readings the interval is clear of the target, and with one fewer it is not.
        bool Settled(int n) => MathNet.Numerics.Distributions.StudentT.InvCDF(0, 1, n - 1, 0.975) * r.SdMm / Math.Sqrt(n) <= Math.Abs(r.MeanMm - target);
        Settled(readings.Length + more).ShouldBeTrue();
        Settled(readings.Length + more - 1).ShouldBeFalse();
    });

    [Fact]
    public void Readings_on_the_target_want_a_finer_instrument()
    {
        ThicknessResult r = Thickness.Judge(new ThicknessInput([0.05, 0.05, 0.05], Direction.AtMost, 0.05, 0.01));
        r.MoreReadings.ShouldBeNull();
        r.NeedsFinerInstrument.ShouldBeTrue();
    }

    [Fact]
    public void What_was_seen_is_proved_only_at_the_good_end()
    {
        new ProofRecord { Kind = "groove", Degree = 0 }.Verdict().ShouldBe("met");
        new ProofRecord { Kind = "groove", Degree = 1 }.Verdict().ShouldBe("not_met");
        new ProofRecord { Kind = "groove", Degree = 1 }.Judge().ShouldBeNull();
    }

    [Theory]
    [InlineData("5 tenths", 0.0127)]
    [InlineData("1 tenth", 0.00254)]
    [InlineData("2 thou", 0.0508)]
    public void A_tenth_is_a_tenth_of_a_thou(string text, double mm)
    {
        Length.TryParse(text, out double read).ShouldBeTrue();
        read.ShouldBe(mm, 1e-9);
    }

    [Theory]
    [InlineData(0.0328, 0.01, LengthUnits.Metric, "0.03 mm")]
    [InlineData(0.0328, 0.001, LengthUnits.Metric, "0.033 mm")]
    [InlineData(0.0328, 0.0127, LengthUnits.Imperial, "1.3 thou")]
    [InlineData(0.0328, 0.0254, LengthUnits.Imperial, "1 thou")]
    [InlineData(0.0328, 0.00254, LengthUnits.Imperial, "1.3 thou")]
    [InlineData(0.45, 0.05, LengthUnits.Metric, "0.45 mm")]
    public void A_reading_is_shown_to_the_step_of_its_instrument(double mm, double step, LengthUnits units, string shown) => Length.Show(mm, step,
        units).ShouldBe(shown);
}
