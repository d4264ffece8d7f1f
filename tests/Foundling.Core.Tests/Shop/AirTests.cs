using CsCheck;
using Foundling.Core.Shop;

namespace Foundling.Core.Tests.Shop;

/// <summary>What a thermometer says, and what the shop's air makes of it.</summary>
public sealed class AirTests
{
    private static readonly Assumptions A = Assumptions.Standard;

    private static readonly DateTimeOffset Noon = new(2030, 5, 6, 12, 0, 0, TimeSpan.Zero);

    private static ClimateReading Heard(double hoursAgo, double c, double? percent = null, bool byHand = false) =>
        new() { Id = Guid.NewGuid(), At = Noon.AddHours(-hoursAgo), TemperatureC = c, HumidityPercent = percent, ByHand = byHand };

    [Theory]
    [InlineData("14.2", 14.2, null)]
    [InlineData("T=14.2", 14.2, null)]
    [InlineData("T 57.2 F RH 66", 14, 66.0)]
    [InlineData("14.2 C, 66 %", 14.2, 66.0)]
    [InlineData(" t: -3.5 c ; rh=80% ", -3.5, 80.0)]
    [InlineData("T=14.2 C RH=66.5 %", 14.2, 66.5)]
    public void A_line_is_read(string line, double c, double? percent)
    {
        AirReading read = AirReading.Read(line)!;
        read.TemperatureC.ShouldBe(c, 1e-9);
        read.HumidityPercent.ShouldBe(percent);
    }

    [Theory]
    [InlineData("")]
    [InlineData("# thermometer 3.1")]
    [InlineData("T=85 C")]
    [InlineData("T=14 RH=140")]
    [InlineData("14.2.3")]
    [InlineData("T=14 K")]
    [InlineData("GET / HTTP/1.1")]
    public void What_is_no_reading_is_let_go(string line) => AirReading.Read(line).ShouldBeNull();

    [Fact]
    public void Any_text_is_read_or_let_go() => Gen.String[0, 120].Sample(text =>
    {
        if (AirReading.Read(text) is { } read)
        {
            read.TemperatureC.ShouldBeInRange(AirReading.LeastC, AirReading.MostC);
        }
    });

    [Fact]
    public void What_is_read_by_hand_holds_at_once_and_a_draught_does_not()
    {
        var before = new Climate(14, 60);
        Airs.After(before, Heard(0, 21, 50, byHand: true), [], A).ShouldBe(new Climate(21, 50));
        Airs.After(before, Heard(0, 21, byHand: true), [], A).ShouldBe(new Climate(21, 60), "what was not read stays");
        ClimateReading[] day = [.. Enumerable.Range(1, 23).Select(h => Heard(h, 14.5, 62))];
        Airs.After(before, Heard(0, 25, 62), day, A).ShouldBe(before, "one warm reading is no warm day");
        day = [.. Enumerable.Range(1, 23).Select(h => Heard(h, 17, 75))];
        Airs.After(before, Heard(0, 17, 75), day, A).ShouldBe(new Climate(17, 75));
        day = [.. Enumerable.Range(1, 23).Select(h => Heard(h + 25, 30, 75))];
        Airs.After(before, Heard(0, 14, 60), day, A).ShouldBe(before, "yesterday's heat is over");
    }

    [Fact]
    public void A_device_is_kept_every_half_hour_or_when_it_moves()
    {
        Airs.Tells(null, new AirReading(14), Noon, A).ShouldBeTrue();
        Airs.Tells(Heard(0.1, 14), new AirReading(14.4), Noon, A).ShouldBeFalse();
        Airs.Tells(Heard(0.1, 14), new AirReading(15.2), Noon, A).ShouldBeTrue();
        Airs.Tells(Heard(0.5, 14), new AirReading(14), Noon, A).ShouldBeTrue();
    }

    [Fact]
    public void What_it_does_is_said_of_this_air()
    {
        Airs.Effects(new Climate(5, 80), A).ShouldBe(
        [
            "Baths take 2.8 times as long as at 20 °C, except electrolysis.", "Out of an acid, a part is oiled within 3 min: this air is damp.",
            "Wood glue does not hold under 8 °C: warm the shop and the wood first.", Airs.Effects(new Climate(5, 80), A)[3],
        ]);
        Airs.Effects(new Climate(20, 50), A)[0].ShouldBe("Baths take as long as the book says.");
        Airs.Effects(new Climate(30, 50), A)[0].ShouldBe("Baths take 50 % of the time they take at 20 °C.");
    }
}
