using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Rust;
using Foundling.Core.Stores;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.Ways;

/// <summary>Ways to take rust off.</summary>
public static class RustWays
{
    /// <summary>Key of the choice.</summary>
    public const ChoiceId Id = ChoiceId.Rust;

    private const string KeepSays = "Under Keep only live rust comes off, by hand.", GreySkin = "goes, a grey skin comes", Short = "stay if it is short",
        Lifts = "lifts at chips";

    /// <summary>How rust that stands up comes off.</summary>
    public static Choice Choice { get; } = new(Id, "Rust comes off by", "how rust that stands up is taken off", q => q.Rusty.Count > 0,
    [
        Bath(WayId.Chelating, "chelating bath", "slow, gentle, dear: the careful restorer's", "goes from soaked faces", "stay", "stays where it is sound"),
        Bath(WayId.Citric, "citric acid", "quicker, must be watched", GreySkin, Short, Lifts),
        Bath(WayId.CitricWarm, "citric acid, mixed warm", "an hour or two while it cools, with someone by", GreySkin, Short, Lifts),
        Bath(WayId.Vinegar, "vinegar", "cheap and slow, smells", GreySkin, Short, Lifts),
        Bath(WayId.VinegarHalf, "vinegar, half strength", "cheaper, slower and milder", GreySkin, Short, Lifts),
        Bath(WayId.Electrolysis, "electrolysis", "for crust on plain iron; needs a supply", "goes, left black", "stay", "comes off",
            SupplyIds.BenchPowerSupply),
        Bath(WayId.SoakWheel, "half a bath, then the wheel", "the bath loosens it, the wheel is quick then", "goes", "blur at their edges", "scratched",
            SupplyIds.WireWheel),
        Dry(WayId.Wire, "wire wheel", "fast, dry, small parts", "thinned and shined", "blur at their edges", "scratched where it is touched",
            SupplyIds.WireWheel),
        new(WayId.Abrasive, "fine abrasive and oil", "along the machining lines, by hand", "thinned", "stay if it is fine enough", "stays")
        {
            Closed = q => q.Aim == AimKind.Keep ? KeepSays : null,
        },
        new(WayId.Scrape, "blade held flat", "keeps patina: the conserver's", "stays", "stay", "stays"),
        Dry(WayId.Blast, "soft blasting", "fast in corners, leaves it matt", "goes", "blur", "comes off", SupplyIds.BlastCabinet),
        Dry(WayId.BlastCoarse, "coarse blasting", "crust on castings that get a new coat; leaves a key for paint", "goes", "go", "comes off",
            SupplyIds.BlastCabinet),
    ], Advise);

    /// <summary>How a light bloom comes off.</summary>
    public static Choice Bloom { get; } = new(ChoiceId.Bloom, "Light rust comes off by", "how a bloom is taken off", q => q.Aim != AimKind.Keep
        && q.Bloomed.Any(),
    [
        new(WayId.Wipe, "oil and fine wool", "quick on faces one can reach"),
        new(WayId.Dip, "a dip of minutes in warm acid", "for many small parts, knurls and threads", GreySkin, Short, Lifts)
        {
            Closed = q => q.LoadBy(WayId.Dip).Closed,
        },
    ], _ => (WayId.Wipe, "It comes off with oil and fine wool."));

    /// <summary>Why a part may not be treated by a way; null when it may.</summary>
    /// <param name="q">What is planned.</param>
    /// <param name="way">The way.</param>
    /// <param name="part">A rusty part.</param>
    public static string? Closed(PlanQuestion q, WayId way, PartDef part) =>
        q.Aim == AimKind.Keep && way != WayId.Scrape ? KeepSays
        : BathMix.Of(way, q.Shop.Assumptions) is not null ? SoakLoad.Of(q, way, [part]).Closed
        : RustPlan.Harm(q, way, part) is string harm ? $"{harm}." : null;

    /// <summary>What blocks a way for a part, in a sentence: kit that is lacking, or the harm it does; null when nothing does.</summary>
    /// <param name="q">What is planned.</param>
    /// <param name="way">The way.</param>
    /// <param name="part">A rusty part.</param>
    public static string? Blocked(PlanQuestion q, Way way, PartDef part) => way.Lacks(q) ?? Closed(q, way.Id, part);

    private static Way Bath(WayId way, string name, string school, string patina, string stamps, string coating, params SupplyId[] kit) =>
        new(way, name, school, patina, stamps, coating) { Kit = kit, Closed = q => q.Aim == AimKind.Keep ? KeepSays : q.LoadBy(way).Closed };

    private static Way Dry(WayId way, string name, string school, string patina, string stamps, string coating, params SupplyId[] kit) =>
        new(way, name, school, patina, stamps, coating)
        {
            Kit = kit,
            Closed = q => q.Aim == AimKind.Keep ? KeepSays : q.Rusty.Any(p => RustPlan.Harm(q, way, p) is null) ? null
                : q.Rusty.Select(p => $"{RustPlan.Harm(q, way, p)}.").FirstOrDefault(),
        };

    private static (WayId, string) Advise(PlanQuestion q) =>
        q.Aim == AimKind.Keep ? (WayId.Scrape, "Old darkening is history; only rust that still works is lifted.")
        : q.Present.Any(q.Etched) && q.Worst(FindingKind.Mark) >= 3
            ? (WayId.Abrasive, "A faint etch is worked for by hand and by eye; a bath cannot stop in time.")
        : q.Rusty.All(p => p.IsFastener) ? q.Rusty.All(p => RustPlan.Harm(q, WayId.Wire, p) is null)
            ? (WayId.Wire, "A few screws are done before a bath is mixed.") : (WayId.Abrasive, "A few screws are done before a bath is mixed.")
        : q.LoadBy(WayId.Chelating).Closed is string closed ? (WayId.Abrasive, closed)
        : (WayId.Chelating, "It takes rust and leaves iron.");
}
