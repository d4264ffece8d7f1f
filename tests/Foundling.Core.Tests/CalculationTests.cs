using CsCheck;
using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Edges;
using Foundling.Core.Proof;
using Foundling.Core.State;

namespace Foundling.Core.Tests;

/// <summary>Properties of the smaller computations, beside their worked examples.</summary>
public sealed class CalculationTests
{
    [Fact]
    public void The_interval_of_a_count_holds_its_share_and_narrows_with_points() => Gen.Select(Gen.Int[1, 400], Gen.Double[0, 1]).Sample((n, share) =>
    {
        int k = (int)(n * share);
        WilsonResult r = Wilson.Count(new WilsonInput(k, n));
        (r.Low95 <= r.Share + 1e-12 && r.Share <= r.High95 + 1e-12 && r.Low95 >= 0 && r.High95 <= 1).ShouldBeTrue();
        Wilson.Count(new WilsonInput(4 * k, 4 * n)).HalfWidth.ShouldBeLessThan(r.HalfWidth);
        r.MorePointsFor10.ShouldBeLessThanOrEqualTo(r.MorePointsFor5);
        WilsonResult other = Wilson.Count(new WilsonInput(n - k, n));
        other.Low95.ShouldBe(1 - r.High95, 1e-9);
    });

    [Theory]
    [InlineData(1, 0, "no_points")]
    [InlineData(6, 5, "hits_outside_points")]
    [InlineData(-1, 5, "hits_outside_points")]
    public void Counts_that_cannot_be_are_told(int hits, int points, string key) =>
        Should.Throw<InputException>(() => Wilson.Count(new WilsonInput(hits, points))).ErrorKey.ShouldBe(key);

    [Fact]
    public void Totals_add_and_do_not_depend_on_order() =>
        Gen.Select(Gen.Double[0, 50], Gen.Double[0, 50], Gen.Double[0, 50]).Array[1, 12].Sample(rows =>
        {
            List<ThreePoint> steps = [.. rows.Select(r => new ThreePoint(r.Item1, r.Item1 + r.Item2, r.Item1 + r.Item2 + r.Item3))];
            TotalsResult all = Totals.Of(steps);
            all.P50.ShouldBe(Totals.Of(steps.AsEnumerable().Reverse()).P50, 1e-9);
            all.P80.ShouldBeGreaterThanOrEqualTo(all.P50);
            all.Mean.ShouldBeInRange(steps.Sum(s => s.Low) - 1e-9, steps.Sum(s => s.High) + 1e-9);
        });

    [Fact]
    public void A_bevel_and_its_face_lead_back_to_one_another() => Gen.Select(Gen.Double[0.5, 6], Gen.Double[5, 85]).Sample((t, beta) =>
        Edge.Bevel(new BevelInput(t, t / Math.Sin(beta * Math.PI / 180))).BevelDeg!.Value.ShouldBe(beta, 1e-6));

    [Fact]
    public void More_grinding_never_leaves_more_steel() => Gen.Select(Gen.Double[0.03, 0.4], Gen.Double[0.2, 6],
        Gen.Double[5, 40]).Sample((depth, far, reserve) =>
    {
        SaveTheBackResult one = SaveTheBack.Compare(new SaveTheBackInput(50, 2.2, 25, reserve, [new Pit(depth, far)]), Assumptions.Standard);
        SaveTheBackResult two = SaveTheBack.Compare(new SaveTheBackInput(50, 2.2, 25, reserve, [new Pit(depth, far), new Pit(depth * 1.5, far + 2, far + 1)]),
            Assumptions.Standard);
        foreach (string way in one.Ways.Keys)
        {
            two.Ways[way].SteelLeftMm.ShouldBeLessThanOrEqualTo(one.Ways[way].SteelLeftMm + 1e-9);
            two.Ways[way].SharpeningsLeft.ShouldBeGreaterThanOrEqualTo(0);
        }
        (one.Recommend == "rack_or_replacement" || one.Ways[one.Recommend].Refused is null).ShouldBeTrue();
    });

    [Fact]
    public void An_iron_without_stopping_pits_is_left_alone() =>
        SaveTheBack.Compare(new SaveTheBackInput(50, 2.2, 25, 20, [new Pit(0.5, 20, 15), new Pit(0.01, 2)]), Assumptions.Standard)
            .Recommend.ShouldBe("nothing_to_do");

    [Theory]
    [InlineData(45, 30, 44, false, "warn")]
    [InlineData(45, 25, 30, false, "ok")]
    [InlineData(12, 25, 30, true, "ok")]
    [InlineData(20, 25, 30, false, "refuse")]
    public void Clearance_decides(double bed, double bevel, double secondary, bool up, string verdict) =>
        Edge.Angles(new AnglesInput(bed, bevel, secondary, 0, up), Assumptions.Standard).Verdict.ShouldBe(verdict);

    [Fact]
    public void Colder_weaker_and_older_baths_take_longer() => Gen.Select(Gen.Double[5, 30], Gen.Double[2, 9], Gen.Double[0, 0.7]).Sample((t, percent, spent) =>
    {
        double Hours(double temperature, double strength, double used) =>
            Soak.Time(new SoakInput(BathKind.Citric, RustLevel.Medium, temperature, strength, used), Assumptions.Standard).SoakHours;
        double now = Hours(t, percent, spent);
        Hours(t - 4, percent, spent).ShouldBeGreaterThan(now);
        Hours(t, percent * 0.8, spent).ShouldBeGreaterThan(now);
        Hours(t, percent, spent + 0.05).ShouldBeGreaterThan(now);
    });

    [Fact]
    public void Soaks_stay_within_the_limit() => Gen.Select(Gen.Double[5, 30], Gen.Double[0.5, 30]).Sample((t, limit) =>
    {
        SoakResult r = Soak.Time(new SoakInput(BathKind.Citric, RustLevel.Heavy, t, 5, OutByHours: limit), Assumptions.Standard);
        r.HoursEach.ShouldBeLessThanOrEqualTo(limit + 1e-6);
        (r.HoursEach * r.Soaks).ShouldBe(r.SoakHours, 1e-9);
        r.LookInMinutes.ShouldBeLessThanOrEqualTo(limit * 60);
    });

    [Fact]
    public void A_cooling_bath_lies_between_hot_and_cold()
    {
        double At(double t) => Soak.Time(new SoakInput(BathKind.Citric, RustLevel.Heavy, t, 5), Assumptions.Standard).SoakHours;
        double cooling = Soak.Time(new SoakInput(BathKind.Citric, RustLevel.Heavy, 45, 5, RoomTemperatureC: 15, VolumeL: 8), Assumptions.Standard).SoakHours;
        cooling.ShouldBeInRange(At(45), At(15));
    }

    [Fact]
    public void A_proof_says_met_only_beyond_its_error() => Gen.Select(Gen.Double[0.01, 0.2].Array[3, 9], Gen.Double[0.02, 0.15]).Sample((readings, target) =>
    {
        ThicknessResult r = Thickness.Judge(new ThicknessInput(readings, Direction.AtMost, target, 0.01));
        (r.High95Mm - r.Low95Mm).ShouldBeGreaterThanOrEqualTo(0.01 - 1e-9);
        r.Verdict.ShouldBe(r.High95Mm <= target + 1e-9 ? "met" : r.Low95Mm >= target - 1e-9 ? "not_met" : "cannot_tell");
        string turned = Thickness.Judge(new ThicknessInput(readings, Direction.AtLeast, target, 0.01)).Verdict;
        (r.Verdict == "cannot_tell").ShouldBe(turned == "cannot_tell");
    });

    [Fact]
    public void Surface_lost_never_adds_worth() => Gen.Select(Gen.Double[1, 500], Gen.Int[0, 3], Gen.Double[0, 1]).Sample((worth, rarity, lost) =>
    {
        double after = Worth.OverRestoration(new OverRestorationInput(worth, (Rarity)rarity, lost), Assumptions.Standard).WorthAfter;
        after.ShouldBeLessThanOrEqualTo(worth + 1e-9);
        Worth.OverRestoration(new OverRestorationInput(worth, Rarity.Rare, lost), Assumptions.Standard).WorthAfter.ShouldBeLessThanOrEqualTo(after + 1e-9);
    });

    [Fact]
    public void Mixing_gives_the_strength_asked_for() => Gen.Select(Gen.Double[100, 20_000], Gen.Double[1, 5], Gen.Double[5, 25]).Sample((ml, target, stock) =>
    {
        MixingResult r = Mixing.Of(new MixingInput(Acid.Acetic, ml, target, stock));
        (r.VinegarMl!.Value + r.WaterMl!.Value).ShouldBe(ml, 1e-6);
        (r.VinegarMl.Value * stock / ml).ShouldBe(target, 1e-9);
    });

    [Fact]
    public void Vinegar_cannot_be_made_stronger() =>
        Should.Throw<InputException>(() => Mixing.Of(new MixingInput(Acid.Acetic, 1000, 10, 5))).ErrorKey.ShouldBe("target_stronger_than_stock");
}
