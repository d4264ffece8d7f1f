using Foundling.Core.Baths;
using Foundling.Core.Soaks;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Soaks;

/// <summary>What a bath has taken, what it can still take, and what neutralises the rest: mass is neither lost nor made.</summary>
public sealed class BathStateTests
{
    private static readonly Assumptions A = Assumptions.Standard;

    private static readonly DateTimeOffset Day = new(2026, 5, 4, 8, 0, 0, TimeSpan.Zero);

    private static SoakedPart Part(double area, RustLevel rust = RustLevel.Medium) => new(1, PartId.Of("body"), "body", rust, area, 0.1, 200, 50, 10);

    private static StandingBath Bath(BathKind kind, double? percent, double litres) => new()
    {
        Number = 1, Kind = kind, Percent = percent, Litres = litres, MixedAt = Day,
    };

    private static Guid Soaked(StandingBath bath, double hour, BathNote inNote, BathNote? outNote = null)
    {
        var load = Guid.CreateVersion7(Day.AddHours(hour));
        bath.Events.Add(BathEvent.New(Day.AddHours(hour), BathDeed.LoadIn, load, inNote));
        bath.Events.Add(BathEvent.New(Day.AddHours(hour + 5), BathDeed.TakenOut, load, outNote));
        return load;
    }

    [Fact]
    public void Iron_and_free_acid_add_up_to_the_acid_that_was_mixed()
    {
        var random = new Random(11);
        for (int i = 0; i < 200; i++)
        {
            StandingBath bath = Bath(i % 2 == 0 ? BathKind.Citric : BathKind.Acetic, random.Next(2, 12), random.Next(1, 30));
            for (int load = 0; load < random.Next(1, 5); load++)
            {
                double before = random.Next(200, 3000);
                Soaked(bath, load * 10, new BathNote { Parts = [Part(random.Next(1, 40), (RustLevel)random.Next(3))], BeforeG = random.Next(2) == 0 ? null
                    : before },
                    new BathNote { AfterG = before - random.Next(0, 20) });
            }
            var state = BathState.Of(bath, A);
            (double free, double soda) = state.Free(A);
            double perAcid = Chemistry.IronPerAcid(bath.Kind == BathKind.Citric ? Acid.Citric : Acid.Acetic);
            if (free > 0)
            {
                (free + (state.IronTakenG(A) / perAcid)).ShouldBe(state.AcidG, 1e-9);
            }
            soda.ShouldBe(free * Chemistry.BicarbonatePerAcid(bath.Kind == BathKind.Citric ? Acid.Citric : Acid.Acetic), 1e-9);
            state.Spent(A).ShouldBe(state.IronTakenG(A) / (state.AcidG * perAcid * A.BathCapacityShare), 1e-9);
            state.IronTakenG(A).ShouldBe(state.Loads.Sum(l => BathState.IronOf(l, A)), 1e-9);
        }
    }

    [Fact]
    public void The_used_citric_bath_of_the_gauge_is_the_same_here()
    {
        StandingBath bath = Bath(BathKind.Citric, 5, 5);
        Soaked(bath, 0, new BathNote { Parts = [Part(3)], BeforeG = 1835 }, new BathNote { AfterG = 1824.6 });
        Soaked(bath, 10, new BathNote { Parts = [Part(8.8, RustLevel.Heavy)] });
        var state = BathState.Of(bath, A);
        SpentResult gauge = Mixing.Spent(new SpentInput(Acid.Citric, 250, 0.436, [new BathLoad(1835, 1824.6), new BathLoad(AreaMm2: 88000,
            Rust: RustLevel.Heavy)]), A);
        state.IronTakenG(A).ShouldBe(gauge.IronTakenG, 1e-9);
        state.Spent(A).ShouldBe(gauge.Spent, 1e-9);
        state.Free(A).BicarbonateG.ShouldBe(gauge.BicarbonateG, 1e-9);
    }

    [Fact]
    public void What_is_taken_back_leaves_no_trace_in_how_it_stands()
    {
        StandingBath bath = Bath(BathKind.Chelating, null, 4);
        Soaked(bath, 0, new BathNote { Parts = [Part(6)] });
        BathState.Of(bath, A).Spent(A).ShouldBeGreaterThan(0);
        BathEvent last = BathState.Last(bath)!;
        last.Kind.ShouldBe(BathDeed.TakenOut);
        bath.Events.Add(BathEvent.New(Day.AddHours(6), BathDeed.TakenBack, null, new BathNote { TakesBack = last.Id }));
        BathState.Of(bath, A).ShouldSatisfyAllConditions(s => s.Spent(A).ShouldBe(0), s => s.In.Count().ShouldBe(1));
        BathState.Last(bath)!.Kind.ShouldBe(BathDeed.LoadIn);
    }

    [Fact]
    public void What_came_out_half_clean_has_given_half_its_iron()
    {
        StandingBath bath = Bath(BathKind.Chelating, null, 4);
        Guid load = Soaked(bath, 0, new BathNote { Parts = [Part(6)] });
        double whole = BathState.Of(bath, A).IronTakenG(A);
        bath.Events.Insert(1, BathEvent.New(Day.AddHours(4), BathDeed.LookedIn, load, new BathNote { Left = 0.5 }));
        BathState.Of(bath, A).IronTakenG(A).ShouldBe(whole / 2, 1e-9);
    }

    [Fact]
    public void A_bath_takes_so_many_more_and_electrolysis_is_never_used_up()
    {
        StandingBath bath = Bath(BathKind.Chelating, null, 1);
        BathState.Of(bath, A).LoadsLeft([5, 5, 5], A).ShouldBe(2);
        BathState.Of(Bath(BathKind.Electrolysis, null, 18), A).ShouldSatisfyAllConditions(s => s.LoadsLeft([5], A).ShouldBeNull(), s => s.Spent(A)
            .ShouldBe(0));
    }

    [Fact]
    public void A_warm_bath_cools_towards_the_room_and_a_reading_sets_it_anew()
    {
        StandingBath bath = Bath(BathKind.Citric, 5, 5);
        bath.WarmC = 45;
        BathState.Of(bath, A).TemperatureC(Day, 15, A).ShouldBe(45);
        BathState.Of(bath, A).TemperatureC(Day.AddHours(2), 15, A).ShouldBe(15 + (30 * Math.Exp(-0.7)), 1e-9);
        BathState.Of(bath, A).TemperatureC(Day.AddHours(48), 15, A).ShouldBe(15, 0.01);
        bath.Events.Add(BathEvent.New(Day.AddHours(2), BathDeed.Felt, null, new BathNote { TemperatureC = 40 }));
        BathState.Of(bath, A).TemperatureC(Day.AddHours(2), 15, A).ShouldBe(40);
    }

    [Fact]
    public void What_comes_out_later_has_to_be_oiled_too()
    {
        StandingBath bath = Bath(BathKind.Chelating, null, 4);
        var load = Guid.CreateVersion7(Day);
        bath.Events.Add(BathEvent.New(Day, BathDeed.LoadIn, load, new BathNote { Parts = [Part(6), Part(1) with { Part = PartId.Of("cap") }] }));
        bath.Events.Add(BathEvent.New(Day.AddHours(2), BathDeed.TakenOut, load, new BathNote { Of = ["1/cap"] }));
        bath.Events.Add(BathEvent.New(Day.AddHours(2.1), BathDeed.Oiled, load));
        BathState.Of(bath, A).Loads[0].ShouldSatisfyAllConditions(l => l.OiledAt.ShouldNotBeNull(), l => l.IsOut.ShouldBeFalse());
        bath.Events.Add(BathEvent.New(Day.AddHours(9), BathDeed.TakenOut, load));
        BathState.Of(bath, A).Loads[0].ShouldSatisfyAllConditions(l => l.OiledAt.ShouldBeNull("the rest is wet"), l => l.IsOut.ShouldBeTrue());
    }

    [Fact]
    public void Words_say_how_old_a_bath_is_and_what_a_look_means()
    {
        BathWords.Age(0, A).ShouldBe("fresh");
        BathWords.Age(0.2, A).ShouldBe("20 % used");
        BathWords.Age(0.6, A).ShouldBe("60 % used: slower than fresh");
        BathWords.Age(0.9, A).ShouldBe("90 % used: one small load, then mix anew");
        BathWords.Age(1.2, A).ShouldBe("used up: mix anew");
        string Advised(BathKind kind, BathNote seen, double hours = 2)
        {
            StandingBath bath = Bath(kind, kind == BathKind.Citric ? 5 : null, 4);
            var load = Guid.CreateVersion7(Day);
            bath.Events.Add(BathEvent.New(Day, BathDeed.LoadIn, load, new BathNote { Parts = [Part(6) with { LimitHours = 4, Why = "It etches." }] }));
            bath.Events.Add(BathEvent.New(Day.AddHours(hours), BathDeed.LookedIn, load, seen));
            var state = BathState.Of(bath, A);
            var air = new SoakAir(20, 50, A, TimeZoneInfo.Utc);
            DateTimeOffset now = Day.AddHours(hours);
            return BathWords.Advice(state, state.Loads[0], SoakTimes.Of(state, state.Loads[0], air, now), air, now).ShouldHaveSingleItem();
        }
        Advised(BathKind.Citric, new BathNote { Left = 0 }).ShouldStartWith("Take it out: no rust is left, and every hour more costs metal");
        Advised(BathKind.Citric, new BathNote { Left = 0.2, Bubbles = Bubbles.Many }).ShouldContain("the bubbles come from bare metal now");
        Advised(BathKind.Chelating, new BathNote { Left = 0.5, Colour = LiquidColour.Black }).ShouldContain("black means that it is used up");
        Advised(BathKind.Citric, new BathNote { Left = 0.95 }).ShouldContain("grease");
        Advised(BathKind.Citric, new BathNote { Left = 0.5 }).ShouldBe("Leave it: it does what it should.");
        Advised(BathKind.Citric, new BathNote { Left = 0.5 }, 6).ShouldStartWith("Take it out now: it is past its time");
    }

    [Fact]
    public void What_happens_keeps_its_order_whatever_the_clock_of_the_shop_says()
    {
        StandingBath bath = Bath(BathKind.Chelating, null, 4);
        var load = Guid.CreateVersion7(Day);
        bath.Happened(Day, BathDeed.LoadIn, load, new BathNote { Parts = [Part(6)] });
        bath.Happened(Day.AddHours(-1), BathDeed.TakenOut, load);
        bath.Happened(Day.AddHours(-1), BathDeed.Oiled, load);
        bath.Events.Reverse();
        BathState.Of(bath, A).Loads[0].ShouldSatisfyAllConditions(l => l.IsOut.ShouldBeTrue("an hour set back undoes nothing"),
            l => l.OiledAt.ShouldNotBeNull());
    }

    [Fact]
    public void No_acid_is_taken_for_another()
    {
        (Chemistry.AcidOf(BathKind.Citric), Chemistry.AcidOf(BathKind.Acetic)).ShouldBe((Acid.Citric, Acid.Acetic));
        var unknown = BathState.Of(Bath(BathKind.Phosphoric, 10, 4), A);
        (unknown.CapacityG(A), unknown.Spent(A), unknown.Free(A).BicarbonateG).ShouldBe((null, 0, 0), "what is not known is not taken for another acid");
    }
}
