using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.State;
using Foundling.Core.Tools;
using Foundling.Core.Units;

namespace Foundling.Core.Rod.Rust;

/// <summary>A rusty part that does not go into the bath.</summary>
/// <param name="Part">The part.</param>
/// <param name="Why">Why, in a sentence without its stop.</param>
/// <param name="Soaks">How many soaks it would take, where only its limit keeps it out.</param>
/// <param name="LimitHours">How long each might be.</param>
/// <param name="Left">Share of its rust that is left to do by hand; less than 1 for a part that was in the bath as long as it may.</param>
public sealed record KeptOut(PartDef Part, string Why, int? Soaks = null, double? LimitHours = null, double Left = 1);

/// <summary>
/// What goes into one bath together: how long and in how many soaks, what comes out before the rest, and what is kept out, so that the limit of one part never
/// drags the others.
/// </summary>
public sealed record SoakLoad
{
    private const double MinutesAnHour = 60, HoursAWeek = 7 * 24, KiloInMl = 1000, MlInL = 1000;

    /// <summary>The way it belongs to.</summary>
    public required WayId Way { get; init; }

    /// <summary>The bath.</summary>
    public required BathMix Mix { get; init; }

    /// <summary>Parts that stay in to the end.</summary>
    public IReadOnlyList<PartDef> Main { get; private init; } = [];

    /// <summary>Parts that come out before the rest.</summary>
    public IReadOnlyList<PartDef> Early { get; private init; } = [];

    /// <summary>When those come out, hours.</summary>
    public double EarlyHours { get; private init; }

    /// <summary>When those must be out, hours, and why.</summary>
    public LoadLimit EarlyLimit { get; private init; } = new(true, null, null);

    /// <summary>Everything that goes in.</summary>
    public IReadOnlyList<PartDef> In => [.. Main, .. Early];

    /// <summary>Rusty parts that do not go in.</summary>
    public IReadOnlyList<KeptOut> Out { get; private init; } = [];

    /// <summary>The worst rust of what goes in.</summary>
    public RustLevel Rust { get; private init; }

    /// <summary>How long, in how many soaks; null when nothing goes in.</summary>
    public SoakResult? Time { get; private init; }

    /// <summary>What the parts that stay in stand.</summary>
    public LoadLimit Limit { get; private init; } = new(true, null, null);

    /// <summary>The tub that holds it and how the parts lie in it.</summary>
    public BathVolumeInput? Tub { get; private init; }

    /// <summary>Liquid to mix, L, to the next tenth; 0 when nothing goes in.</summary>
    public double Litres { get; private init; }

    /// <summary>Why nothing goes in; null when something does.</summary>
    public string? Closed { get; private init; }

    /// <summary>Parts that cannot be parted, with what they stand together.</summary>
    private sealed record Lot(IReadOnlyList<PartDef> Parts, RustLevel Rust, double? LimitHours, string? Why, PartDef? Sets, double AreaDm2) : ISoaks;

    /// <summary>The load of a bath.</summary>
    /// <param name="q">What is planned.</param>
    /// <param name="way">The way, which uses a bath.</param>
    /// <param name="wanted">Rusty parts that are to go in.</param>
    public static SoakLoad Of(PlanQuestion q, WayId way, IReadOnlyList<PartDef> wanted)
    {
        Assumptions a = q.Shop.Assumptions;
        BathMix mix = BathMix.Of(way, a)!;
        List<Lot> lots = [];
        List<KeptOut> kept = [];
        var placed = new HashSet<PartId>();
        foreach (PartDef part in wanted.Where(p => !placed.Contains(p.Id)))
        {
            IReadOnlyList<PartDef> together = Joined.To(q, part);
            placed.UnionWith(together.Select(p => p.Id));
            if (Harmed(q, mix, together) is { } harmed)
            {
                kept.AddRange(together.Where(wanted.Contains).Select(p => new KeptOut(p, harmed.Part == p ? harmed.Why
                    : Beside(harmed.Part, harmed.Why))));
                continue;
            }
            (PartDef Part, LoadLimit Limit)? strictest = together.Select(p => ((PartDef, LoadLimit)?)(p, q.Limit(mix.Kind, p)))
                .Where(p => p!.Value.Item2.OutByHours is not null).MinBy(p => p!.Value.Item2.OutByHours);
            lots.Add(new Lot(together, Level(q, together), strictest?.Limit.OutByHours, strictest?.Limit.Reason, strictest?.Part,
                q.Extents.Work(together).Dm2));
        }
        if (lots.Count == 0)
        {
            return new SoakLoad { Way = way, Mix = mix, Out = kept, Closed = kept.Count == 0 ? "Nothing rusty enough to soak."
                : $"{Sentences.Start(kept[0].Why)}." };
        }
        BathVolumeInput tub = Lying([.. lots.SelectMany(l => l.Parts)], q.Extents, a);
        double litres = LitresOf(tub, a);
        SoakResult Soaked(RustLevel rust, double? limit) => Soak.Time(new SoakInput(mix.Kind, rust, mix.WarmC ?? q.TemperatureC, mix.Percent,
            RelativeHumidityPercent: q.RelativeHumidityPercent, OutByHours: limit, RoomTemperatureC: mix.WarmC is null ? null : q.TemperatureC,
            VolumeL: mix.WarmC is null ? null : litres, Share: mix.Share), a);
        Dictionary<RustLevel, double> hours = lots.Select(l => l.Rust).Distinct().ToDictionary(r => r, r => Soaked(r, null).SoakHours);
        LoadSplit<Lot> split = LoadSplit.Of(lots, hours, a.MostSoaks, a.SoakWorthShare);
        (IReadOnlyList<Lot> main, IReadOnlyList<Lot> early, double at) = (split.Main, split.Early, split.EarlyHours);
        kept.AddRange(early.Where(l => hours[l.Rust] > at + Whole.Slack).SelectMany(l => l.Parts.Where(wanted.Contains).Select(p =>
            new KeptOut(p, $"The {p.Name} must be out of the bath before the rest, and what is left comes off by hand", Left: 1 - (at / hours[l.Rust])))));
        kept.AddRange(split.Not.SelectMany(l => l.Parts.Where(wanted.Contains).Select(p => Late(p, l, hours[l.Rust]))));
        if (main.Count == 0)
        {
            return new SoakLoad { Way = way, Mix = mix, Out = kept, Closed = $"{kept.First(k => k.Soaks is not null).Why}." };
        }
        LoadLimit limit = Strictest(main), earlyLimit = Strictest(early);
        RustLevel worst = main.Max(l => l.Rust);
        SoakResult time = Soaked(worst, limit.OutByHours);
        if (time.SoakHours > HoursAWeek)
        {
            return new SoakLoad { Way = way, Mix = mix, Out = kept, Closed = $"It would take {time.SoakHours / 24:0} days in this shop." };
        }
        List<PartDef> goingIn = [.. main.Concat(early).SelectMany(l => l.Parts)];
        BathVolumeInput lying = goingIn.Count == tub.Parts.Count ? tub : Lying(goingIn, q.Extents, a);
        return new SoakLoad
        {
            Way = way, Mix = mix, Main = [.. main.SelectMany(l => l.Parts)], Early = [.. early.SelectMany(l => l.Parts)], EarlyHours = at,
            EarlyLimit = earlyLimit, Out = kept, Rust = worst, Time = time, Limit = limit, Tub = lying,
            Litres = LitresOf(lying, a),
        };
    }

    /// <summary>What a tub takes to cover what lies in it, L, to the next tenth.</summary>
    private static double LitresOf(BathVolumeInput tub, Assumptions a) => Math.Ceiling((BathVolume.Of(tub, a).LiquidMl / MlInL * 10) - Whole.Slack) / 10;

    // The table says what a bath does to wood, and what to do where the wood comes off; here it does not.
    private static string Beside(PartDef harmed, string why) => harmed.Material == Material.Wood
        ? $"It cannot be parted from the {harmed.Name}, which {Sentences.Middle(why.Split(';')[0].TrimEnd('.'))}"
        : $"It cannot be parted from the {harmed.Name}. {why}";

    /// <summary>The first of parts that stay together which a bath would harm at all, and how.</summary>
    private static (PartDef Part, string Why)? Harmed(PlanQuestion q, BathMix mix, IReadOnlyList<PartDef> together)
    {
        foreach (PartDef part in together)
        {
            if (q.Limit(mix.Kind, part) is { Allowed: false } never)
            {
                return (part, never.Reason ?? "The bath would harm it");
            }
        }
        return null;
    }

    private static RustLevel Level(PlanQuestion q, IEnumerable<PartDef> parts) => PlanQuestion.LevelOf(parts.Max(p => q.Worst(FindingKind.Rust, p.Id)));

    private static LoadLimit Strictest(IReadOnlyList<Lot> lots) =>
        lots.Where(l => l.LimitHours is not null).MinBy(l => l.LimitHours) is { } strictest ? new LoadLimit(true, strictest.LimitHours, strictest.Why)
        : new LoadLimit(true, null, null);

    private static KeptOut Late(PartDef part, Lot lot, double hours)
    {
        double limit = lot.LimitHours!.Value;
        int soaks = Whole.Ceiling(hours / limit);
        string with = lot.Sets is { } sets && sets != part ? $"It cannot be parted from the {sets.Name}, and would" : "It would";
        return new KeptOut(part, $"{with} take {soaks} {(soaks == 1 ? "soak" : "soaks")} of {Typed.Hours(limit * MinutesAnHour)}: {Sentences.Middle(lot.Why!)}",
            soaks, limit);
    }

    /// <summary>A tub that just holds parts lying side by side, each on its broadest side.</summary>
    private static BathVolumeInput Lying(IReadOnlyList<PartDef> parts, IReadOnlyDictionary<PartId, PartExtent> extents, Assumptions a)
    {
        double plan = 0, longest = 1, broadest = 1;
        List<SoakPart> lying = [];
        foreach (PartDef part in parts)
        {
            PartExtent e = extents[part.Id];
            plan += e.LengthMm * e.WidthMm * e.Pieces;
            (longest, broadest) = (Math.Max(longest, e.LengthMm), Math.Max(broadest, e.WidthMm));
            lying.Add(new SoakPart(part.Name, Math.Max(1, e.LengthMm), Math.Max(1, e.ThickMm), e.Litres * KiloInMl * a.IronDensity, a.IronDensity));
        }
        double length = longest + a.BathEndRoomMm, width = Math.Max(broadest + a.BathEndRoomMm, plan / a.BathPackedShare / length);
        return new BathVolumeInput(new Tub(length, width, lying.Max(p => p.HeightMm) + a.BathCoverMm + a.BathRimMm), lying);
    }
}
