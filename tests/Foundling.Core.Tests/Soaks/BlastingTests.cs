using Foundling.Core.Baths;

namespace Foundling.Core.Tests.Soaks;

/// <summary>The air of a small compressor, and the current of a small supply.</summary>
public sealed class BlastingTests
{
    private static readonly Assumptions A = Assumptions.Standard;

    private static BlastingInput Small(double area = 60_000) => new(50, 8, 5, 250, area, DeliveryLMin: 130);

    [Fact]
    public void A_small_compressor_blasts_a_minute_and_waits_one()
    {
        BlastingResult result = Blasting.Of(Small(), A);
        result.StoredL.ShouldBe(50 * 3 / 1.01325, 1e-9);
        result.BlastSeconds!.Value.ShouldBe(result.StoredL / 120 * 60, 1e-9);
        result.RecoverySeconds.ShouldBe(result.StoredL / 130 * 60, 1e-9);
        result.BlastMinutes.ShouldBe(4, 1e-9);
        result.Passes.ShouldBe(4);
        result.TotalMinutes.ShouldBe(4 + (3 * result.StoredL / 130), 1e-9);
    }

    [Fact]
    public void One_that_keeps_up_needs_no_wait_and_a_plate_promises_more_than_it_gives()
    {
        BlastingResult large = Blasting.Of(Small() with { DeliveryLMin = 400 }, A);
        (large.BlastSeconds, large.RecoverySeconds, large.Passes, large.TotalMinutes).ShouldBe((null, 0, 1, large.BlastMinutes));
        Blasting.Of(Small() with { DeliveryLMin = null, DisplacementLMin = 200 }, A).DeliveryLMin.ShouldBe(130, 1e-9);
    }

    [Fact]
    public void More_area_a_smaller_tank_or_a_hungrier_gun_never_take_less_time()
    {
        var random = new Random(5);
        for (int i = 0; i < 500; i++)
        {
            BlastingInput input = new(random.Next(6, 300), 8 + random.NextDouble(), 3 + random.NextDouble(), random.Next(100, 600), random.Next(1000, 300_000),
                random.Next(50, 500));
            double total = Blasting.Of(input, A).TotalMinutes;
            Blasting.Of(input with { AreaMm2 = input.AreaMm2 * 1.3 }, A).TotalMinutes.ShouldBeGreaterThan(total);
            Blasting.Of(input with { GunLMin = input.GunLMin * 1.3 }, A).TotalMinutes.ShouldBeGreaterThanOrEqualTo(total - 1e-9);
        }
    }

    [Fact]
    public void A_pressure_band_the_wrong_way_round_is_refused_in_words() =>
        Should.Throw<InputException>(() => Blasting.Of(Small() with { LowBar = 9 }, A)).Sentence.ShouldContain("there is nothing between");

    [Fact]
    public void Electrolysis_is_the_soak_of_the_book_with_its_anode_said()
    {
        ElectrolysisResult result = Electrolysis.Of(new ElectrolysisInput(88_000, RustLevel.Medium, 18, 3), A);
        (result.WantedA, result.CurrentA, result.WashingSodaG).ShouldBe((4.4, 3, 216));
        result.Hours.ShouldBe(11.7333, 1e-4);
        result.Anode.ShouldContain("never stainless");
    }
}
