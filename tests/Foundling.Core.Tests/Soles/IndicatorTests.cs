using Foundling.Core.Soles;
using Foundling.Core.Units;

namespace Foundling.Core.Tests.Soles;

/// <summary>Lines of an instrument are read as they are meant; a reading is offered once it stands still, and only once.</summary>
public sealed class IndicatorTests
{
    [Theory]
    [InlineData("Z=+0.0124 mm", 0.0124)]
    [InlineData("0.0124", 0.0124)]
    [InlineData("-12 um", -0.012)]
    [InlineData(" h: 0,5 ", 0.5)]
    [InlineData("+ 3 µm", 0.003)]
    [InlineData("0.001 in", 0.0254)]
    [InlineData("E1", null)]
    [InlineData("ERR 4", null)]
    [InlineData("", null)]
    [InlineData("12 34", null)]
    [InlineData("9999 mm", null)]
    [InlineData("NaN", null)]
    public void A_line_is_a_height_or_nothing(string line, double? mm)
    {
        double? read = new IndicatorSetup().Read(line);
        (read is null).ShouldBe(mm is null);
        (read ?? 0).ShouldBe(mm ?? 0, 1e-9);
        (new IndicatorSetup(Turned: true).Read(line) ?? 0).ShouldBe(-(mm ?? 0), 1e-9);
    }

    [Fact]
    public void A_bare_number_is_what_the_shop_said()
    {
        new IndicatorSetup(BareUnit.Micrometres).Read("12")!.Value.ShouldBe(0.012, 1e-12);
        new IndicatorSetup(BareUnit.Inches).Read("0.01")!.Value.ShouldBe(0.254, 1e-12);
        new IndicatorSetup(BareUnit.Inches).Read("0.01 mm")!.Value.ShouldBe(0.01, 1e-12, "a unit that is said wins");
    }

    [Fact]
    public void What_stands_still_is_offered_once_and_again_only_after_it_moved()
    {
        var watch = new IndicatorWatch(new IndicatorSetup(), Assumptions.Standard);
        double?[] Hear(params string[] lines) => [.. lines.Select(l => watch.Hear(l).Steady).Where(s => s is not null)];
        Hear("0.5", "0.1", "0.1", "0.1", "0.1").ShouldBeEmpty("four of them agree");
        Hear("0.1").ShouldBe([0.1]);
        Hear("0.1", "0.1", "0.101", "0.1", "0.1", "0.1").ShouldBeEmpty("it is still the same place");
        Hear("0.104", "0.106", "0.106", "0.106", "0.106", "0.106", "0.106").ShouldBeEmpty("it drifts, and was not lifted");
        Hear("1.2", "0.12", "0.12", "0.12", "0.12", "0.12").ShouldBe([0.12]);
    }

    [Fact]
    public void A_wild_reading_is_refused_and_the_next_is_taken()
    {
        var watch = new IndicatorWatch(new IndicatorSetup(), Assumptions.Standard);
        IndicatorSaid[] Still(double mm) => [.. Enumerable.Repeat(FormattableString.Invariant($"{mm}"), 6).Prepend("50").Select(watch.Hear)];
        foreach (double mm in new[] { 0.1, 0.12, 0.11, 0.13 })
        {
            Still(mm).Count(s => s.Steady is not null).ShouldBe(1);
        }
        IndicatorSaid[] wild = Still(8);
        wild.ShouldAllBe(s => s.Steady == null);
        wild.Count(s => s.Wild).ShouldBe(1);
        Still(0.12).Count(s => s.Steady is not null).ShouldBe(1);
    }
}
