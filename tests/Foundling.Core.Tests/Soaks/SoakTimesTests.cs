using Foundling.Core.Baths;
using Foundling.Core.Soaks;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Soaks;

/// <summary>When to look, when it is ready and when it must be out, as moments that hold through nights, clock changes and what was seen.</summary>
public sealed class SoakTimesTests
{
    private static readonly Assumptions A = Assumptions.Standard;

    private static readonly SoakAir Air = new(20, 50, A, TimeZoneInfo.Utc);

    private static DateTimeOffset At(int day, int hour, int minute = 0) => new(2026, 3, day, hour, minute, 0, TimeSpan.Zero);

    private static SoakedPart Part(string id, RustLevel rust = RustLevel.Medium, double? limit = null, double area = 2, int tag = 1) =>
        new(tag, PartId.Of(id), id, rust, area, 0.1, 200, 50, 10) { LimitHours = limit, Why = limit is null ? null : "It may not stay." };

    private static StandingBath Bath(BathKind kind = BathKind.Citric, double? percent = 5, double? warm = null) => new()
    {
        Number = 1, Kind = kind, Percent = percent, Litres = 5, MixedAt = At(1, 8), WarmC = warm,
    };

    private static (BathState State, LoadNow Load) In(StandingBath bath, DateTimeOffset at, params SoakedPart[] parts)
    {
        bath.Events.Add(BathEvent.New(at, BathDeed.LoadIn, Guid.CreateVersion7(at), new BathNote { Parts = parts }));
        var state = BathState.Of(bath, A);
        return (state, state.Loads[^1]);
    }

    private static SoakTimes Times(StandingBath bath, SoakAir? air = null, DateTimeOffset? now = null)
    {
        var state = BathState.Of(bath, A);
        return SoakTimes.Of(state, state.Loads[^1], air ?? Air, now ?? state.Loads[^1].InAt);
    }

    [Fact]
    public void A_look_that_nobody_took_is_due_until_somebody_looks()
    {
        var bath = new StandingBath { Number = 1, Kind = BathKind.Chelating, Litres = 20, MixedAt = Morning };
        var load = Guid.CreateVersion7(Morning);
        bath.Happened(Morning, BathDeed.LoadIn, load, new BathNote { Parts = [new(1, PartId.Of("frame"), "frame", RustLevel.Medium, 4, 0.1, 200, 50, 10)] });
        SoakTimes At(double hours) => BathState.Of(bath, Assumptions.Standard) is var s
            ? SoakTimes.Of(s, s.Loads[0], new SoakAir(20, 50, Assumptions.Standard, TimeZoneInfo.Utc), Morning.AddHours(hours)) : null!;
        At(0).LookDue.ShouldBeNull();
        DateTimeOffset first = At(0).LookIns[0];
        At((first - Morning).TotalHours + 0.2).LookDue.ShouldBe(first);
        At((first - Morning).TotalHours + 6).LookDue.ShouldBe(first, "the first that was missed");
        bath.Happened(first.AddHours(1), BathDeed.LookedIn, load, new BathNote { Left = 0.9 });
        At((first - Morning).TotalHours + 1.1).LookDue.ShouldBeNull();
    }

    private static readonly DateTimeOffset Morning = new(2030, 5, 6, 8, 0, 0, TimeSpan.Zero);

    [Fact]
    public void A_load_takes_what_the_gauge_says()
    {
        StandingBath bath = Bath();
        In(bath, At(2, 9), Part("body"));
        Times(bath).ShouldSatisfyAllConditions(t => t.Hours.ShouldBe(5), t => t.ReadyAt.ShouldBe(At(2, 14)), t => t.OutBy.ShouldBeNull(),
            t => t.LookIns.ShouldBe([At(2, 10, 15), At(2, 11, 30), At(2, 12, 45)]), t => t.Night.ShouldBe(""));
    }

    [Fact]
    public void A_mixed_load_takes_the_strictest_limit_and_the_part_that_has_it_comes_out_first()
    {
        StandingBath bath = Bath(BathKind.Chelating, null);
        In(bath, At(2, 8), Part("body", RustLevel.Heavy, area: 8), Part("cap", RustLevel.Medium, 12, area: 1, tag: 2));
        SoakTimes times = Times(bath);
        times.OutBy.ShouldBe(At(2, 20));
        times.Why.ShouldBe("It may not stay.");
        times.Parts.Single(p => p.Part.Tag == 2).ShouldSatisfyAllConditions(p => p.Early.ShouldBeTrue(), p => p.At.ShouldBe(At(2, 18)));
        times.Parts.Single(p => p.Part.Tag == 1).ShouldSatisfyAllConditions(p => p.Early.ShouldBeFalse(), p => p.At.ShouldBe(At(3, 8)));
        bath.Events.Add(BathEvent.New(At(2, 18), BathDeed.TakenOut, bath.Events[0].Load, new BathNote { Of = ["2/cap"] }));
        Times(bath, now: At(2, 18)).OutBy.ShouldBeNull("the rest has no limit");
    }

    [Fact]
    public void No_plan_passes_a_must_be_out_and_nobody_is_asked_to_look_at_night() => Parallel.For(0, 3000, seed =>
    {
        var random = new Random(seed);
        SoakAir air = new(random.Next(5, 28), random.Next(30, 95), A, TimeZoneInfo.Utc);
        BathKind kind = (BathKind)random.Next(5);
        StandingBath bath = Bath(kind, kind is BathKind.Citric or BathKind.Acetic or BathKind.Phosphoric ? random.Next(2, 12) : null,
            random.Next(3) == 0 ? random.Next(25, 60) : null);
        DateTimeOffset at = At(2, 0).AddMinutes(random.Next(2 * 24 * 60));
        In(bath, at, [.. Enumerable.Range(0, random.Next(1, 7)).Select(i => Part($"p{i}", (RustLevel)random.Next(3), random.Next(2) == 0 ? null
            : random.Next(1, 50), random.Next(1, 30)))]);
        if (random.Next(2) == 0)
        {
            bath.Events.Add(BathEvent.New(at.AddMinutes(random.Next(1, 300)), BathDeed.LookedIn, bath.Events[0].Load,
                new BathNote { Left = random.NextDouble() }));
        }
        SoakTimes times = Times(bath, air);
        double? strictest = bath.Events[0].Note.Parts.Min(p => p.LimitHours);
        if (strictest is double limit)
        {
            times.OutBy.ShouldNotBeNull();
            times.OutBy.Value.ShouldBe(at.AddHours(limit), $"seed {seed}: the strictest limit");
            times.ReadyAt.ShouldBeLessThanOrEqualTo(times.OutBy.Value);
        }
        times.Parts.ShouldAllBe(p => p.OutBy == null || p.At <= p.OutBy);
        times.LookIns.ShouldAllBe(l => !air.Nights.Has(l) && (times.OutBy == null || l < times.OutBy));
        times.LookIns.ShouldBe(times.LookIns.Order());
        times.Parts.Count.ShouldBe(bath.Events[0].Note.Parts.Count);
    });

    [Fact]
    public void A_look_moves_the_estimate_by_how_far_the_work_had_come()
    {
        SoakTimes Seen(double hours, double left)
        {
            StandingBath bath = Bath();
            In(bath, At(2, 8), Part("body"));
            bath.Events.Add(BathEvent.New(At(2, 8).AddHours(hours), BathDeed.LookedIn, bath.Events[0].Load, new BathNote { Left = left }));
            return Times(bath, now: At(2, 8).AddHours(hours));
        }
        Seen(2.5, 0.5).ReadyAt.ShouldBe(At(2, 13), TimeSpan.FromSeconds(1), "half gone at half the time: as planned");
        Seen(2.5, 0).ReadyAt.ShouldBe(At(2, 10, 30), "clean is clean");
        Seen(2.5, 0.2).ReadyAt.ShouldBeLessThan(At(2, 13));
        Seen(2.5, 0.9).ReadyAt.ShouldBeGreaterThan(At(2, 13));
        Seen(0.1, 1).ReadyAt.ShouldBeLessThan(At(2, 16), "a look in the first minutes says little");
    }

    [Fact]
    public void What_must_be_out_at_night_asks_to_come_out_or_go_in_earlier()
    {
        StandingBath bath = Bath();
        In(bath, At(2, 18), Part("iron", RustLevel.Light, 6));
        Times(bath).Night.ShouldBe("It must be out by 00:00, at night: take it out by 22:00, or put it in at 01:00 or later.");
        StandingBath free = Bath(BathKind.Chelating, null);
        In(free, At(2, 18), Part("body"));
        Times(free).Night.ShouldBe("It is ready at 04:00, at night, and may stay in until the morning.");
    }

    [Fact]
    public void Moments_hold_over_a_change_of_the_clock()
    {
        TimeZoneInfo zone = TimeZoneInfo.FindSystemTimeZoneById("Europe/Berlin");
        SoakAir air = Air with { Zone = zone };
        foreach (DateTimeOffset start in new[] { new DateTimeOffset(2026, 3, 28, 17, 0, 0, TimeSpan.Zero), new DateTimeOffset(2026, 10, 24, 17, 0, 0,
            TimeSpan.Zero) })
        {
            StandingBath bath = Bath(BathKind.Chelating, null);
            In(bath, start, Part("body", RustLevel.Heavy, 30));
            SoakTimes times = Times(bath, air);
            (times.ReadyAt - start).ShouldBe(TimeSpan.FromHours(24));
            (times.OutBy!.Value - start).ShouldBe(TimeSpan.FromHours(30));
            times.LookIns.ShouldAllBe(l => TimeZoneInfo.ConvertTime(l, zone).Hour >= 7 && TimeZoneInfo.ConvertTime(l,
                zone).TimeOfDay <= TimeSpan.FromHours(22));
            times.LookIns.Count.ShouldBeGreaterThan(2);
        }
    }

    [Fact]
    public void Several_soaks_with_a_scrub_between_stand_one_after_the_other()
    {
        StandingBath bath = Bath();
        In(bath, At(2, 8), Part("body", RustLevel.Heavy, 5));
        SoakTimes first = Times(bath);
        (first.Rounds, first.Round, first.OutBy).ShouldBe((3, 1, At(2, 13)));
        first.ReadyAt.ShouldBe(At(2, 12));
        bath.Events.Add(BathEvent.New(At(2, 12), BathDeed.Scrubbed, bath.Events[0].Load));
        SoakTimes second = Times(bath, now: At(2, 12));
        (second.Round, second.ReadyAt, second.OutBy).ShouldBe((2, At(2, 16), At(2, 17)));
    }

    [Fact]
    public void A_used_up_bath_and_a_cold_one_take_longer_and_a_warm_one_less()
    {
        double Hours(StandingBath bath, double room = 20)
        {
            In(bath, At(3, 8), Part("body"));
            return Times(bath, Air with { RoomC = room }).Hours;
        }
        StandingBath used = Bath();
        In(used, At(2, 8), Part("old", RustLevel.Heavy, area: 5));
        used.Events.Add(BathEvent.New(At(2, 20), BathDeed.TakenOut, used.Events[0].Load));
        double fresh = Hours(Bath());
        Hours(used).ShouldBe(fresh / (1 - BathState.Of(used, A).Loads[1].SpentBefore), 1e-9);
        Hours(Bath(), 10).ShouldBe(fresh * 2, 1e-9);
        StandingBath warm = Bath(warm: 45);
        warm.MixedAt = At(3, 8);
        Hours(warm).ShouldBeLessThan(fresh / 2);
    }
}
