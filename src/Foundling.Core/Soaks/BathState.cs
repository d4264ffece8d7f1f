using Foundling.Core.Baths;

namespace Foundling.Core.Soaks;

/// <summary>What somebody saw who looked in.</summary>
/// <param name="At">When.</param>
/// <param name="Of">Keys of the parts; empty for all of the load.</param>
/// <param name="Note">What was seen.</param>
public sealed record Seen(DateTimeOffset At, IReadOnlyList<string> Of, BathNote Note)
{
    /// <summary>Share of the rust that was seen on a part; null when nothing was said of it.</summary>
    public double? LeftOn(string key) => Note.LeftOf.TryGetValue(key, out double own) ? own : Of.Count == 0 || Of.Contains(key) ? Note.Left : null;
}

/// <summary>A load as it stands now.</summary>
/// <param name="Id">Its key.</param>
/// <param name="InAt">When it went in.</param>
/// <param name="Parts">What went in.</param>
public sealed record LoadNow(Guid Id, DateTimeOffset InAt, IReadOnlyList<SoakedPart> Parts)
{
    /// <summary>Looks, in order.</summary>
    public IReadOnlyList<Seen> Looks { get; init; } = [];

    /// <summary>When it was last scrubbed and put back, each time.</summary>
    public IReadOnlyList<DateTimeOffset> Scrubs { get; init; } = [];

    /// <summary>When each part came out, by its key.</summary>
    public IReadOnlyDictionary<string, DateTimeOffset> OutAt { get; init; } = new Dictionary<string, DateTimeOffset>();

    /// <summary>When what came out last was dry and oiled; null for not yet.</summary>
    public DateTimeOffset? OiledAt { get; init; }

    /// <summary>Weight before the bath, g; null when nobody weighed it.</summary>
    public double? BeforeG { get; init; }

    /// <summary>Weight after it, g; null when nobody weighed it.</summary>
    public double? AfterG { get; init; }

    /// <summary>Where somebody laid the parts.</summary>
    public IReadOnlyList<Wanted> Places { get; init; } = [];

    /// <summary>How far the bath was used up when it went in, 0 for fresh.</summary>
    public double SpentBefore { get; init; }

    /// <summary>When the soak it is in began.</summary>
    public DateTimeOffset RoundAt => Scrubs.Count > 0 ? Scrubs[^1] : InAt;

    /// <summary>Which soak it is in, from 1.</summary>
    public int Round => Scrubs.Count + 1;

    /// <summary>What is still in.</summary>
    public IReadOnlyList<SoakedPart> Standing => [.. Parts.Where(p => !OutAt.ContainsKey(p.Key))];

    /// <summary>True when all of it is out.</summary>
    public bool IsOut => Parts.All(p => OutAt.ContainsKey(p.Key));

    /// <summary>When the last of it came out; null while some is in.</summary>
    public DateTimeOffset? LastOutAt => IsOut && OutAt.Count > 0 ? OutAt.Values.Max() : null;

    /// <summary>Share of the rust that was last seen on a part; null when nobody said.</summary>
    public (DateTimeOffset At, double Left)? LeftOn(string key) =>
        Looks.LastOrDefault(l => l.LeftOn(key) is not null) is { } seen ? (seen.At, seen.LeftOn(key)!.Value) : null;

    /// <summary>Keys of parts that are out and were not yet said to be dry and oiled.</summary>
    public IReadOnlyList<string> Wet => [.. OutAt.Keys.Except(Oiled)];

    /// <summary>Keys of parts that were said to be dry and oiled.</summary>
    public IReadOnlyList<string> Oiled { get; init; } = [];
}

/// <summary>A bath as it stands now, read off what happened to it.</summary>
/// <param name="Bath">The bath.</param>
/// <param name="Loads">Its loads, in order.</param>
public sealed record BathState(StandingBath Bath, IReadOnlyList<LoadNow> Loads)
{
    private const double GInKg = 1000, Dm2InMm2 = 10_000;

    /// <summary>When it was poured away; null while it stands.</summary>
    public DateTimeOffset? PouredAt { get; init; }

    /// <summary>Its temperature as last measured; null when nobody did.</summary>
    public (DateTimeOffset At, double C)? Felt { get; init; }

    /// <summary>Loads of which some part is in.</summary>
    public IEnumerable<LoadNow> In => Loads.Where(l => !l.IsOut);

    /// <summary>How all that is in it lies, with what comes to it.</summary>
    /// <param name="more">Parts that are to go in too.</param>
    /// <param name="a">Cover, rim and room.</param>
    /// <param name="places">Where somebody wants them.</param>
    public BathArrangement Lying(IEnumerable<SoakedPart> more, Assumptions a, IEnumerable<Wanted>? places = null) => Arranging.Of(Bath.Container,
        [.. In.SelectMany(l => l.Standing).Concat(more).Select(p => p.Piece)], a, [.. In.SelectMany(l => l.Places), .. places ?? []]);

    /// <summary>True for a bath that is not used up and covers what comes to it beside what is in it.</summary>
    /// <param name="more">Parts that are to go in.</param>
    /// <param name="a">Cover, rim and room.</param>
    public bool Takes(IEnumerable<SoakedPart> more, Assumptions a) => Spent(a) < 1 && Lying(more, a) is { Fits: true } lies && lies.LiquidL <= Bath.Litres;

    /// <summary>How a bath stands after all that happened to it.</summary>
    /// <param name="bath">The bath.</param>
    /// <param name="assumptions">How much iron a bath takes.</param>
    public static BathState Of(StandingBath bath, Assumptions assumptions)
    {
        HashSet<Guid> back = [.. bath.Events.Where(e => e.Kind == BathDeed.TakenBack).Select(e => e.Note.TakesBack!.Value)];
        var state = new BathState(bath, []);
        foreach (BathEvent happened in bath.Events.Where(e => !back.Contains(e.Id)).OrderBy(e => e.At).ThenBy(e => e.Id))
        {
            state = state.After(happened, assumptions);
        }
        return state;
    }

    /// <summary>The last event that can still be taken back; null for none.</summary>
    public static BathEvent? Last(StandingBath bath)
    {
        HashSet<Guid> back = [.. bath.Events.Where(e => e.Kind == BathDeed.TakenBack).Select(e => e.Note.TakesBack!.Value)];
        return bath.Events.Where(e => e.Kind != BathDeed.TakenBack && !back.Contains(e.Id)).OrderBy(e => e.At).ThenBy(e => e.Id).LastOrDefault();
    }

    private BathState After(BathEvent happened, Assumptions a)
    {
        BathState felt = happened.Note.TemperatureC is double c ? this with { Felt = (happened.At, c) } : this;
        BathState On(Func<LoadNow, LoadNow> change) => felt with { Loads = [.. felt.Loads.Select(l => l.Id == happened.Load ? change(l) : l)] };
        return happened.Kind switch
        {
            BathDeed.LoadIn => felt with
            {
                Loads = [.. felt.Loads, new LoadNow(happened.Load ?? happened.Id, happened.At, happened.Note.Parts)
                {
                    BeforeG = happened.Note.BeforeG, SpentBefore = felt.Spent(a), Places = happened.Note.Places,
                }],
            },
            BathDeed.LookedIn => On(l => l with { Looks = [.. l.Looks, new Seen(happened.At, happened.Note.Of, happened.Note)] }),
            BathDeed.Scrubbed => On(l => l with { Scrubs = [.. l.Scrubs, happened.At] }),
            BathDeed.TakenOut => On(l => l with
            {
                OutAt = l.OutAt.Concat((happened.Note.Of.Count == 0 ? l.Standing.Select(p => p.Key) : happened.Note.Of)
                    .Where(k => !l.OutAt.ContainsKey(k)).Select(k => KeyValuePair.Create(k, happened.At))).ToDictionary(),
                AfterG = happened.Note.AfterG ?? l.AfterG, OiledAt = null,
            }),
            BathDeed.Oiled => On(l => l with { OiledAt = happened.At, AfterG = happened.Note.AfterG ?? l.AfterG, Oiled = [.. l.OutAt.Keys] }),
            BathDeed.PouredAway => felt with { PouredAt = happened.At },
            _ => felt,
        };
    }

    /// <summary>Iron it has taken so far, g: weighed where it was, else by area and how rusty it was, less what was seen to be left.</summary>
    public double IronTakenG(Assumptions a) => Loads.Sum(l => IronOf(l, a));

    /// <summary>Iron a load has given, g.</summary>
    /// <param name="load">The load.</param>
    /// <param name="a">How deep rust is and how much of it is iron.</param>
    public static double IronOf(LoadNow load, Assumptions a) => load is { BeforeG: double before, AfterG: double after }
        ? Math.Max(0, before - after) * a.IronInRust
        : load.Parts.Where(p => load.OutAt.ContainsKey(p.Key)).Sum(p => IronIn(p, a) * (1 - (load.LeftOn(p.Key)?.Left ?? 0)));

    /// <summary>Iron that the rust of a part will give, g.</summary>
    public static double IronIn(SoakedPart part, Assumptions a) =>
        Mixing.IronG(part.AreaDm2 * Dm2InMm2, part.Rust, a);

    /// <summary>Iron it can take in all, g; null where nothing is used up, as in electrolysis, or nothing is known.</summary>
    public double? CapacityG(Assumptions a) => Bath.Kind switch
    {
        BathKind.Electrolysis => null,
        BathKind.Chelating => a.ChelatingIronGL * Bath.Litres,
        _ => Chemistry.AcidOf(Bath.Kind) is Acid acid ? AcidG * Chemistry.IronPerAcid(acid) * a.BathCapacityShare : null,
    };

    /// <summary>How far it is used up: 0 fresh, 1 at the end of its capacity.</summary>
    public double Spent(Assumptions a) => CapacityG(a) is > 0 and double capacity ? IronTakenG(a) / capacity : 0;

    /// <summary>Acid as mixed, g; 0 for other baths.</summary>
    public double AcidG => Bath is { IsAcid: true, Percent: double percent } ? percent / 100 * Bath.Litres * GInKg : 0;

    /// <summary>Acid still free, g, and the bicarbonate that neutralises it, g.</summary>
    public (double AcidG, double BicarbonateG) Free(Assumptions a)
    {
        double free = Chemistry.AcidOf(Bath.Kind) is Acid acid ? Math.Max(0, AcidG - (IronTakenG(a) / Chemistry.IronPerAcid(acid))) : 0;
        return (free, free > 0 ? free * Chemistry.BicarbonatePerAcid(Chemistry.AcidOf(Bath.Kind)!.Value) : 0);
    }

    /// <summary>How many more loads like these it can take before it is used up; null where it is not.</summary>
    /// <param name="waiting">What waits for it, in the order it would go in: iron of each, g.</param>
    /// <param name="a">How much iron a bath takes.</param>
    public int? LoadsLeft(IEnumerable<double> waiting, Assumptions a)
    {
        if (CapacityG(a) is not double capacity)
        {
            return null;
        }
        (double free, int loads) = (capacity - IronTakenG(a), 0);
        foreach (double iron in waiting)
        {
            free -= iron;
            if (free < -Whole.Slack)
            {
                break;
            }
            loads++;
        }
        return loads;
    }

    /// <summary>Its temperature at a moment, °C: as measured or mixed, on its way to that of the room.</summary>
    /// <param name="at">When.</param>
    /// <param name="roomC">Temperature of the room, °C.</param>
    /// <param name="a">How fast a bath cools.</param>
    public double TemperatureC(DateTimeOffset at, double roomC, Assumptions a)
    {
        (DateTimeOffset from, double c) = Felt ?? (Bath.MixedAt, Bath.WarmC ?? roomC);
        return Soak.Cooled(c, roomC, Bath.Litres, (at - from).TotalHours, a);
    }
}
