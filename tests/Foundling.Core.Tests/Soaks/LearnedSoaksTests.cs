using CsCheck;
using Foundling.Core.Baths;
using Foundling.Core.Safety;
using Foundling.Core.Soaks;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Soaks;

/// <summary>What is left of the rust part by part, what it comes to, and what real soaks say about soak times.</summary>
public sealed class LearnedSoaksTests
{
    private static readonly Assumptions A = Assumptions.Standard;

    private static readonly DateTimeOffset Day = new(2030, 5, 4, 8, 0, 0, TimeSpan.Zero);

    private static readonly SoakAir Air = new(20, 50, A, TimeZoneInfo.Utc);

    private static SoakedPart Part(string id, RustLevel rust = RustLevel.Medium) => new(1, PartId.Of(id), id, rust, 4, 0.1, 200, 50, 10);

    private static StandingBath Bath(params (double Hour, BathNote Seen)[] looks)
    {
        var bath = new StandingBath { Number = 1, Kind = BathKind.Chelating, Litres = 20, MixedAt = Day };
        var load = Guid.CreateVersion7(Day);
        bath.Happened(Day, BathDeed.LoadIn, load, new BathNote { Parts = [Part("frame"), Part("jaw", RustLevel.Heavy)] });
        foreach ((double hour, BathNote seen) in looks)
        {
            bath.Happened(Day.AddHours(hour), BathDeed.LookedIn, load, seen);
        }
        return bath;
    }

    private static BathNote Saw(double frame, double jaw) => new() { LeftOf = new Dictionary<string, double> { ["1/frame"] = frame, ["1/jaw"] = jaw } };

    [Fact]
    public void Each_part_is_advised_by_what_was_seen_on_it()
    {
        var state = BathState.Of(Bath((6, Saw(0, 0.5))), A);
        DateTimeOffset now = Day.AddHours(6);
        BathWords.Advice(state, state.Loads[0], SoakTimes.Of(state, state.Loads[0], Air, now), Air, now).ShouldBe(
            ["Frame: take it out: no rust is left, and every hour more only dulls.", "Jaw: leave it: it does what it should."]);
        BathWords.Said(state.Loads[0], state.Loads[0].Looks[0]).ShouldBe("frame no rust left, jaw 50 % of the rust left");
        state.Loads[0].LeftOn("1/jaw")!.Value.Left.ShouldBe(0.5);
        state = BathState.Of(Bath((6, Saw(0.5, 0.5)), (8, new BathNote { Left = 0.2 })), A);
        state.Loads[0].LeftOn("1/jaw")!.Value.Left.ShouldBe(0.2, "the last look counts");
    }

    [Fact]
    public void What_is_minded_is_of_this_bath_and_not_of_the_one_that_was_planned()
    {
        BathWords.Minded([CautionId.Bath, CautionId.OldPaint], BathKind.Citric).ShouldBe([CautionId.OldPaint, CautionId.Acid]);
        BathWords.Minded([CautionId.Acid], BathKind.Electrolysis).ShouldBe([CautionId.Electrolysis]);
        BathWords.Minded([], BathKind.Chelating).ShouldBe([CautionId.Bath]);
    }

    [Theory]
    [InlineData(RustLevel.Heavy, 1, 3)]
    [InlineData(RustLevel.Heavy, 0.4, 2)]
    [InlineData(RustLevel.Heavy, 0.1, 1)]
    [InlineData(RustLevel.Medium, 0.3, 1)]
    [InlineData(RustLevel.Light, 1, 1)]
    [InlineData(RustLevel.Heavy, 0, 0)]
    public void What_is_left_of_crust_is_as_deep_as_lesser_rust(RustLevel was, double left, int degree) => RustLeft.Degree(was, left, A).ShouldBe(degree);

    [Fact]
    public void Less_left_is_never_more_rust() => Gen.Select(Gen.Enum<RustLevel>(), Gen.Double[0, 1], Gen.Double[0, 1]).Sample((was, one, other) =>
        (one <= other ? RustLeft.Degree(was, one, A) <= RustLeft.Degree(was, other, A) : RustLeft.Degree(was, one, A) >= RustLeft.Degree(was, other, A))
        && RustLeft.Degree(was, one, A) <= RustLeft.DegreeOf(was));

    [Fact]
    public void A_count_before_and_after_says_what_is_left()
    {
        WilsonResult before = Wilson.Count(new WilsonInput(80, 100)), after = Wilson.Count(new WilsonInput(20, 100));
        (double left, double low, double high) = RustLeft.Of(before, after);
        left.ShouldBe(after.Share / before.Share, 1e-9);
        low.ShouldBeLessThan(left);
        high.ShouldBeGreaterThan(left);
        RustLeft.Of(null, after).Left.ShouldBe(after.Share);
        RustLeft.Of(after, before).Left.ShouldBe(1, "more rust than there was is all of it");
    }

    [Fact]
    public void Soaks_that_take_longer_move_the_shops_own_time_and_no_soak_moves_nothing()
    {
        LearnedSoaks.Of([BathState.Of(Bath(), A)], Air).ShouldBeEmpty();
        LearnedSoaks.Of([BathState.Of(Bath((3, Saw(0.8, 0.9))), A)], Air).ShouldBeEmpty("less than half gone tells nothing");
        BathState slow = BathState.Of(Bath((20, Saw(0, 0.5))), A);
        double book = A.SoakChelatingMediumHours;
        LearnedSoak one = LearnedSoaks.Of([slow], Air).Single(l => l.Rust == RustLevel.Medium);
        (one.BookHours, one.UsedHours, one.Own.Jobs).ShouldBe((book, book, 1));
        one.OwnHours.ShouldBeInRange(book, 20);
        LearnedSoak many = LearnedSoaks.Of(Enumerable.Repeat(slow, 30), Air).Single(l => l.Rust == RustLevel.Medium);
        many.OwnHours.ShouldBeGreaterThan(one.OwnHours);
        many.OwnHours.ShouldBe(20, 1.5);
        // Half of the crust gone after 20 h is 40 h for all of it.
        LearnedSoaks.Of(Enumerable.Repeat(slow, 30), Air).Single(l => l.Rust == RustLevel.Heavy).OwnHours.ShouldBe(40, 4);
        Assumptions.Knows(one.Assumption).ShouldBeTrue();
        Enum.GetValues<BathKind>().SelectMany(b => Enum.GetValues<RustLevel>().Select(r => (one with { Bath = b, Rust = r }).Assumption))
            .ShouldAllBe(name => Assumptions.Knows(name));
    }

    [Fact]
    public void Cold_and_age_are_taken_out_of_what_a_soak_says()
    {
        var cold = new SoakAir(10, 50, A, TimeZoneInfo.Utc);
        (_, _, double hours, _) = LearnedSoaks.Times(BathState.Of(Bath((20, Saw(0, 1))), A), BathState.Of(Bath((20, Saw(0, 1))), A).Loads[0], cold).Single();
        hours.ShouldBe(10, 0.01, "20 h at 10 °C are 10 h at 20 °C");
    }
}
