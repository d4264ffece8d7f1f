using CsCheck;
using Foundling.Core.Gauges;
using Foundling.Core.Keys;
using Foundling.Core.Units;

namespace Foundling.Core.Tests.Units;

public sealed class LengthTests
{
    [Theory]
    [InlineData("245", 245)]
    [InlineData("0.05 mm", 0.05)]
    [InlineData("0,05", 0.05)]
    [InlineData(".5", 0.5)]
    [InlineData("1/16\"", 1.5875)]
    [InlineData("1/16", 1.5875)]
    [InlineData("9 5/8\"", 244.475)]
    [InlineData("9-5/8 in", 244.475)]
    [InlineData("2 thou", 0.0508)]
    [InlineData("-2thou", -0.0508)]
    [InlineData("24.5 cm", 245)]
    [InlineData("12 µm", 0.012)]
    [InlineData("10 IN", 254)]
    [InlineData("  3  mm ", 3)]
    public void Reads_what_people_type(string text, double mm)
    {
        Length.TryParse(text, out double read).ShouldBeTrue();
        read.ShouldBe(mm, 1e-9);
    }

    [Theory]
    [InlineData("")]
    [InlineData(null)]
    [InlineData("about ten")]
    [InlineData("1/0")]
    [InlineData("12 stone")]
    [InlineData("1 2 3")]
    [InlineData("1e400")]
    [InlineData("mm")]
    [InlineData("--3")]
    public void Refuses_what_is_no_length(string? text) => Length.TryParse(text, out _).ShouldBeFalse();

    [Fact]
    public void A_bare_number_is_in_the_units_shown()
    {
        Length.TryParse("2", out double mm, LengthUnits.Imperial).ShouldBeTrue();
        mm.ShouldBe(50.8, 1e-9);
    }

    [Fact]
    public void The_refusal_says_what_can_be_typed()
    {
        InputException fault = Should.Throw<InputException>(() => Length.Parse("ten", "length_mm"));
        fault.Field.ShouldBe("length_mm");
        fault.Sentence.ShouldContain("\"ten\"");
        fault.Sentence.ShouldContain("2 thou");
    }

    [Fact]
    public void What_is_shown_can_be_typed_back() =>
        Gen.Select(Gen.Double[0.001, 3000], Gen.Bool).Sample((mm, imperial) =>
        {
            LengthUnits units = imperial ? LengthUnits.Imperial : LengthUnits.Metric;
            Length.TryParse(Length.Show(mm, units), out double back, units).ShouldBeTrue();
            double lastDigit = imperial ? mm < 2.54 ? 0.00254 : 0.254 : mm < 0.1 ? 0.001 : mm < 10 ? 0.01 : mm < 100 ? 0.1 : 1;
            Math.Abs(back - mm).ShouldBeLessThanOrEqualTo((lastDigit / 2) + 1e-9);
        });

    [Theory]
    [InlineData("25", 25)]
    [InlineData("25 min", 25)]
    [InlineData("1:30", 90)]
    [InlineData("1 h 30", 90)]
    [InlineData("1.5 h", 90)]
    [InlineData("2h", 120)]
    public void Reads_durations(string text, double minutes)
    {
        Typed.TryMinutes(text, out double read).ShouldBeTrue();
        read.ShouldBe(minutes);
    }

    [Theory]
    [InlineData("soon")]
    [InlineData("")]
    [InlineData("1:2:3")]
    public void Refuses_what_is_no_duration(string text) => Typed.TryMinutes(text, out _).ShouldBeFalse();

    [Theory]
    [InlineData("14", 14)]
    [InlineData("£12.50", 12.5)]
    [InlineData("12,5", 12.5)]
    public void Reads_money(string text, double amount)
    {
        Typed.TryMoney(text, out decimal read).ShouldBeTrue();
        read.ShouldBe((decimal)amount);
    }

    [Theory]
    [InlineData("free")]
    [InlineData("-3")]
    [InlineData("99999999999")]
    public void Refuses_what_is_no_money(string text) => Typed.TryMoney(text, out _).ShouldBeFalse();

    [Theory]
    [InlineData("12", BareUnit.Micrometres, 0.012)]
    [InlineData("12 mm", BareUnit.Micrometres, 12)]
    [InlineData("2", BareUnit.Thou, 0.0508)]
    [InlineData("0.5", BareUnit.Inches, 12.7)]
    [InlineData("-0,25", BareUnit.Millimetres, -0.25)]
    public void A_bare_number_is_what_it_is_said_to_be(string text, BareUnit bare, double mm)
    {
        Length.TryParse(text, out double read, bare).ShouldBeTrue();
        read.ShouldBe(mm, 1e-9);
    }

    [Theory]
    [InlineData(0.004, LengthUnits.Metric)]
    [InlineData(0.0833, LengthUnits.Metric)]
    [InlineData(0.004, LengthUnits.Imperial)]
    [InlineData(0.25, LengthUnits.Imperial)]
    public void What_is_put_back_into_a_field_is_read_as_it_was(double mm, LengthUnits units) =>
        Length.Parse(Length.Typed(mm, units), "field", units).ShouldBe(mm, 0.0002);

    [Theory]
    [InlineData("Interval90", "interval_90")]
    [InlineData("LowP10Min", "low_p10_min")]
    [InlineData("MorePointsFor5", "more_points_for_5")]
    [InlineData("DensityGCm3", "density_g_cm3")]
    [InlineData("OutlineAreaMm2", "outline_area_mm2")]
    [InlineData("PLine", "p_line")]
    [InlineData("RSquared", "r_squared")]
    [InlineData("Strokes90Contact", "strokes_90_contact")]
    public void Names_in_the_open_formats(string name, string field) => SnakeCase.Of(name).ShouldBe(field);

    [Fact]
    public void Every_assumption_has_a_reason_and_a_name_of_its_own()
    {
        var list = Assumptions.Standard.List().ToList();
        list.Count.ShouldBeGreaterThan(60);
        list.ShouldAllBe(a => a.Reason.Length > 5);
        list.Select(a => a.Name).Distinct().Count().ShouldBe(list.Count);
    }
}
