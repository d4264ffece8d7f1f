using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Shop;
using Foundling.Core.Soaks;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Tags;

namespace Foundling.Data.Demo;

/// <summary>Four baths of different ages, one of them with a demo tool in it.</summary>
internal static class DemoBaths
{
    public static IEnumerable<StandingBath> Of(IReadOnlyList<Tag> tags, ShopContext here, Core.Origin.PatternBook book, DateTimeOffset now,
        TimeZoneInfo zone)
    {
        var green = new StandingBath
        {
            Number = 1, Name = "the green tub", Kind = BathKind.Chelating, Litres = 14, Container = Container.Box(560, 360, 180), MixedAt = now.AddDays(-19),
        };
        Past(green, now.AddDays(-16), (11, RustLevel.Medium));
        Past(green, now.AddDays(-9), (19, RustLevel.Medium), (6, RustLevel.Heavy));
        foreach (Tag tag in tags)
        {
            if (tag.Waits.FirstOrDefault(w => w.EndedAt is null && w.Step.Step == StepKey.Soak) is { } wait && tag.Aim is AimKind aim)
            {
                Into(green, tag, wait, RodDesk.Ask(tag, aim, here, book), new SoakAir(here.Climate.TemperatureC, here.Climate.RelativeHumidityPercent,
                    here.Assumptions,
                    zone), now);
            }
        }
        var gutter = new StandingBath
        {
            Number = 2, Name = "the long gutter", Kind = BathKind.Citric, Percent = 5, Litres = 6, Container = Container.Box(1000, 120, 90),
            MixedAt = now.AddDays(-3),
        };
        Past(gutter, now.AddDays(-2), (14, RustLevel.Medium));
        var jar = new StandingBath
        {
            Number = 3, Name = "pickle jar", Kind = BathKind.Acetic, Percent = 5, Litres = 1, Container = Container.Upright(95, 210),
                MixedAt = now.AddDays(-30),
        };
        Past(jar, now.AddDays(-24), (5, RustLevel.Heavy));
        var tank = new StandingBath
        {
            Number = 4, Name = "the zapper", Kind = BathKind.Electrolysis, Litres = 12, SupplyA = 6, Container = Container.Upright(270, 260),
            MixedAt = now.AddDays(-44),
        };
        return [green, gutter, jar, tank];
    }

    private static void Into(StandingBath bath, Tag tag, Wait wait, PlanQuestion question, SoakAir air, DateTimeOffset now)
    {
        PlanStep step = tag.Steps.First(s => s.Key == wait.Step);
        List<SoakedPart> parts = [.. Lying.Soaked(tag.Number, question, step.Parts.Select(p => tag.Tool().Part(p)).OfType<PartDef>(), bath.Kind,
            step.Key).Select(p => p.Part)];
        bath.Events.Add(BathEvent.New(wait.StartedAt, BathDeed.LoadIn, Guid.CreateVersion7(wait.StartedAt), new BathNote { Parts = parts }));
        var state = BathState.Of(bath, air.Assumptions);
        var times = SoakTimes.Of(state, state.Loads[^1], air, now);
        (wait.Bath, wait.ReadyAt, wait.MustBeOutAt, wait.LookInAt) = (bath.Number, times.ReadyAt, times.OutBy, times.LookIns.Count > 0 ? times.LookIns[0]
            : null);
    }

    // A load of a tool that has left since.
    private static void Past(StandingBath bath, DateTimeOffset at, params (double Dm2, RustLevel Rust)[] parts)
    {
        var load = Guid.CreateVersion7(at);
        bath.Events.Add(BathEvent.New(at, BathDeed.LoadIn, load, new BathNote { Parts = [.. parts.Select((p, i) => new SoakedPart(9,
            PartId.Of($"part_{i + 1}"),
            $"part {i + 1}", p.Rust, p.Dm2, p.Dm2 / 40, 200, 50, 12))] }));
        // Somebody looked in the next morning: brown rust was gone, of the crust a little was left.
        bath.Events.Add(BathEvent.New(at.AddHours(13), BathDeed.LookedIn, load, new BathNote
        {
            LeftOf = parts.Select((p, i) => (Key: $"9/part_{i + 1}", Left: p.Rust == RustLevel.Heavy ? 0.2 : 0)).ToDictionary(p => p.Key, p => p.Left),
        }));
        bath.Events.Add(BathEvent.New(at.AddHours(14), BathDeed.TakenOut, load));
        bath.Events.Add(BathEvent.New(at.AddHours(14).AddMinutes(9), BathDeed.Oiled, load));
    }
}
