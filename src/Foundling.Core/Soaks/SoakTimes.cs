using Foundling.Core.Baths;

namespace Foundling.Core.Soaks;

/// <summary>The shop a soak stands in.</summary>
/// <param name="RoomC">Temperature, °C.</param>
/// <param name="HumidityPercent">Relative humidity, %.</param>
/// <param name="Assumptions">Times and limits.</param>
/// <param name="Zone">Where it is.</param>
public sealed record SoakAir(double RoomC, double HumidityPercent, Assumptions Assumptions, TimeZoneInfo Zone)
{
    /// <summary>Its nights.</summary>
    public Nights Nights => new(Zone, Assumptions);
}

/// <summary>When a part should come out.</summary>
/// <param name="Part">The part.</param>
/// <param name="At">When it should be clean, or has had what it may.</param>
/// <param name="OutBy">When it must be out; null for no known limit.</param>
/// <param name="Early">It comes out before the rest.</param>
public sealed record PartTime(SoakedPart Part, DateTimeOffset At, DateTimeOffset? OutBy, bool Early);

/// <summary>A load as moments: when to look, when it is ready, when it must be out.</summary>
/// <param name="Hours">How long it takes in all, h, as it looks now.</param>
/// <param name="Rounds">In how many soaks.</param>
/// <param name="Round">Which of them it is in, from 1.</param>
/// <param name="ReadyAt">When this soak is over.</param>
/// <param name="OutBy">When the first of what is in must be out; null for no limit.</param>
/// <param name="Why">Why it must, in a sentence; null for no limit.</param>
/// <param name="Parts">When each part that is still in should come out.</param>
/// <param name="LookIns">When to look in, from now on, none at night.</param>
/// <param name="OilWithinMin">Minutes from the rinse within which it must be oiled.</param>
public sealed record SoakTimes(double Hours, int Rounds, int Round, DateTimeOffset ReadyAt, DateTimeOffset? OutBy, string? Why,
    IReadOnlyList<PartTime> Parts, IReadOnlyList<DateTimeOffset> LookIns, double OilWithinMin)
{
    private const int MostLooks = 40;
    private const double MinutesAnHour = 60, SureLeft = 0.95;

    /// <summary>What the night asks for, in a sentence; empty for nothing.</summary>
    public string Night { get; init; } = "";

    /// <summary>Since when a look is due that nobody took; null when none is.</summary>
    public DateTimeOffset? LookDue { get; init; }

    /// <summary>Current that electrolysis wants and gets, A; null for other baths.</summary>
    public (double WantedA, double CurrentA)? Current { get; init; }

    /// <summary>True when something must have been out by a moment.</summary>
    public bool Late(DateTimeOffset now) => OutBy is DateTimeOffset by && by < now;

    /// <summary>Keys of the parts that come out now: those whose time has come before the rest, else all.</summary>
    /// <param name="now">Now.</param>
    public IReadOnlySet<string> Due(DateTimeOffset now) => Parts.Where(p => p.Early && p.At <= now).Select(p => p.Part.Key).ToHashSet() is { Count: > 0 } first
        ? first : Parts.Select(p => p.Part.Key).ToHashSet();

    /// <summary>A load as moments.</summary>
    /// <param name="state">The bath it is in.</param>
    /// <param name="load">The load; something of it is in.</param>
    /// <param name="air">The shop.</param>
    /// <param name="now">Now: looks before it are not asked for any more.</param>
    /// <exception cref="InputException">A bath or a shop as there is none.</exception>
    public static SoakTimes Of(BathState state, LoadNow load, SoakAir air, DateTimeOffset now)
    {
        Assumptions a = air.Assumptions;
        Dictionary<RustLevel, SoakResult> takes = Takes(state, load, air);
        Dictionary<RustLevel, double> hours = takes.ToDictionary(t => t.Key, t => t.Value.SoakHours);
        LoadSplit<SoakedPart> split = LoadSplit.Of(load.Parts, hours, a.MostSoaks, a.SoakWorthShare);
        HashSet<string> early = [.. split.Early.Concat(split.Not).Select(p => p.Key)];
        IReadOnlyList<SoakedPart> main = split.Main.Count > 0 ? split.Main : load.Parts;
        double total = main.Max(p => hours[p.Rust]);
        double? limit = main.Min(p => p.LimitHours);
        int rounds = Math.Max(load.Round, limit is double by ? Math.Max(1, Whole.Ceiling(total / by)) : split.Rounds);
        DateTimeOffset ready = Ready(load, main, hours, total, rounds);
        List<PartTime> parts = [.. load.Standing.Select(p =>
        {
            DateTimeOffset? outBy = p.LimitHours is double h ? (early.Contains(p.Key) ? load.InAt : load.RoundAt).AddHours(h) : null;
            DateTimeOffset at = early.Contains(p.Key) ? load.InAt.AddHours(Math.Min(split.EarlyHours > 0 ? split.EarlyHours : hours[p.Rust], hours[p.Rust]))
                : ready;
            return new PartTime(p, outBy < at ? outBy.Value : at, outBy, early.Contains(p.Key));
        })];
        PartTime? first = parts.Where(p => p.OutBy is not null).MinBy(p => p.OutBy);
        DateTimeOffset over = first?.OutBy is DateTimeOffset end && end < ready ? end : ready;
        SoakResult worst = takes[main.MaxBy(p => hours[p.Rust])!.Rust];
        double look = Soak.LookInMin(total / rounds, limit);
        DateTimeOffset last = first?.OutBy is DateTimeOffset must && must < ready ? must : ready;
        (List<DateTimeOffset> looks, DateTimeOffset? due) = Looks(load, last, look, air.Nights, now);
        var result = new SoakTimes(total, rounds, load.Round, over, first?.OutBy, first?.Part.Why, parts, looks, worst.DryAndOilWithinMinutes)
        {
            LookDue = due,
            Current = worst is { WantedA: double wanted, CurrentA: double current } ? (wanted, current) : null,
        };
        return result with { Night = AtNight(result, load, air) };
    }

    /// <summary>Hours each grade of rust in a load takes in all, in this bath as it was when the load went in.</summary>
    public static Dictionary<RustLevel, double> HoursOf(BathState state, LoadNow load, SoakAir air) =>
        Takes(state, load, air).ToDictionary(t => t.Key, t => t.Value.SoakHours);

    private static Dictionary<RustLevel, SoakResult> Takes(BathState state, LoadNow load, SoakAir air)
    {
        StandingBath bath = state.Bath;
        double warm = state.TemperatureC(load.InAt, air.RoomC, air.Assumptions), areaMm2 = load.Parts.Sum(p => p.AreaDm2) * 10_000;
        return load.Parts.Select(p => p.Rust).Distinct().ToDictionary(r => r, r => Soak.Time(new SoakInput(bath.Kind, r, warm, bath.Percent,
            load.SpentBefore, air.HumidityPercent, null, air.RoomC, bath.Litres, areaMm2, bath.SupplyA), air.Assumptions));
    }

    // What was seen counts more the further the work had come: at half gone, half of what the pace so far says.
    private static DateTimeOffset Ready(LoadNow load, IReadOnlyList<SoakedPart> main, Dictionary<RustLevel, double> hours, double total, int rounds)
    {
        DateTimeOffset ready = load.RoundAt.AddHours(total / rounds);
        var seen = main.Where(p => !load.OutAt.ContainsKey(p.Key)).Select(p => (Part: p, Seen: load.LeftOn(p.Key))).Where(p => p.Seen is not null).ToList();
        if (seen.Count == 0)
        {
            return ready;
        }
        return seen.Max(p =>
        {
            (DateTimeOffset at, double left) = p.Seen!.Value;
            double sure = Math.Min(left, SureLeft), gone = 1 - sure, so = (at - load.InAt).TotalHours / gone;
            double blended = Math.Exp((sure * Math.Log(Math.Max(hours[p.Part.Rust], 1 / MinutesAnHour))) + (gone * Math.Log(Math.Max(so, 1 / MinutesAnHour))));
            return at.AddHours(left * blended);
        });
    }

    /// <summary>Moments to look in: by the interval, none at night, none after it is over; and the first that was missed.</summary>
    private static (List<DateTimeOffset> Looks, DateTimeOffset? Missed) Looks(LoadNow load, DateTimeOffset over, double minutes, Nights nights,
        DateTimeOffset now)
    {
        List<DateTimeOffset> looks = [];
        DateTimeOffset? missed = null;
        DateTimeOffset last = load.Looks.Select(l => l.At).Append(load.RoundAt).Max();
        while (looks.Count < MostLooks)
        {
            DateTimeOffset next = nights.LookIn(last, minutes);
            if (next >= over)
            {
                break;
            }
            if (next > now)
            {
                looks.Add(next);
            }
            else
            {
                missed ??= next;
            }
            last = next;
        }
        return (looks, missed);
    }

    private static string AtNight(SoakTimes times, LoadNow load, SoakAir air)
    {
        string Clock(DateTimeOffset at) => TimeZoneInfo.ConvertTime(at, air.Zone).ToString("HH:mm", System.Globalization.CultureInfo.InvariantCulture);
        if (times.OutBy is DateTimeOffset by && air.Nights.Has(by))
        {
            DateTimeOffset evening = air.Nights.EveningBefore(by), morning = air.Nights.MorningAfter(by);
            string later = Clock(load.RoundAt + (morning - by));
            return evening > load.RoundAt ? $"It must be out by {Clock(by)}, at night: take it out by {Clock(evening)}, or put it in at {later} or later."
                : $"It must be out by {Clock(by)}, at night: put it in at {later} or later.";
        }
        return air.Nights.Has(times.ReadyAt) && !(times.OutBy <= air.Nights.MorningAfter(times.ReadyAt))
            ? $"It is ready at {Clock(times.ReadyAt)}, at night, and may stay in until the morning." : "";
    }
}
