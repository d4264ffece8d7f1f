using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Stores;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.Ways;

/// <summary>Ways to take rust off.</summary>
public static class RustWays
{
    /// <summary>Key of the choice.</summary>
    public const ChoiceId Id = ChoiceId.Rust;

    private const string KeepSays = "Under Keep only live rust comes off, by hand.";

    /// <summary>The bath a way uses, or null.</summary>
    public static BathKind? BathOf(WayId way) =>
        way switch { WayId.Chelating => BathKind.Chelating, WayId.Citric => BathKind.Citric, WayId.Vinegar => BathKind.Acetic,
        WayId.Electrolysis => BathKind.Electrolysis, _ => null };

    /// <summary>The choice.</summary>
    public static Choice Choice { get; } = new(Id, "Rust comes off by", "how rust that stands up is taken off", q => q.Rusty.Count > 0,
    [
        new(WayId.Chelating, "chelating bath", "slow, gentle, dear: the careful restorer's", "goes from soaked faces", "stay",
            "stays where it is sound") { Closed = q => Bath(q, BathKind.Chelating) },
        new(WayId.Citric, "citric acid", "quicker, must be watched", "goes, a grey skin comes", "stay if it is short", "lifts at chips") { Closed = q =>
            Bath(q, BathKind.Citric) },
        new(WayId.Vinegar, "vinegar", "cheap and slow, smells", "goes, a grey skin comes", "stay if it is short", "lifts at chips") { Closed = q =>
            Bath(q, BathKind.Acetic) },
        new(WayId.Electrolysis, "electrolysis", "for crust on plain iron; needs a supply", "goes, left black", "stay", "comes off") { Closed = q =>
            Bath(q, BathKind.Electrolysis), Kit = [SupplyIds.BenchPowerSupply] },
        new(WayId.Wire, "wire wheel", "fast, dry, small parts", "thinned and shined", "blur at their edges", "scratched where it is touched")
        {
            Kit = [SupplyIds.WireWheel], Closed = q => q.Aim == AimKind.Keep ? KeepSays : Etched(q) ? "A wheel wipes an etched mark away." : null,
        },
        new(WayId.Abrasive, "fine abrasive and oil", "along the machining lines, by hand", "thinned", "stay if it is fine enough", "stays"),
        new(WayId.Scrape, "blade held flat", "keeps patina: the conserver's", "stays", "stay", "stays"),
        new(WayId.Blast, "soft blasting", "fast in corners, leaves it matt", "goes", "blur", "comes off")
        {
            Kit = [SupplyIds.BlastCabinet],
            Closed = q => q.Aim == AimKind.Keep ? KeepSays : q.Tool.Family == Family.Saw ? "Blasting dishes a thin plate and takes its marks." : Etched(q)
                || q.Worst(FindingKind.Mark) >= 2 ? "Blasting blurs a mark that should be kept." : null,
        },
    ], Advise);

    private static (WayId, string) Advise(PlanQuestion q) =>
        q.Aim == AimKind.Keep ? (WayId.Scrape, "Old darkening is history; only rust that still works is lifted.")
        : Etched(q) && q.Worst(FindingKind.Mark) >= 3 ? (WayId.Abrasive, "A faint etch is worked for by hand and by eye; a bath cannot stop in time.")
        : q.LoadFor(BathKind.Chelating).Count == 0 ? (WayId.Abrasive, "No rusty part may go into a bath.")
        : (WayId.Chelating, "It takes rust and leaves iron.");

    private static bool Etched(PlanQuestion q) => q.Present.Any(q.Etched);

    private static string? Bath(PlanQuestion q, BathKind bath) => q.Aim == AimKind.Keep ? KeepSays
        : q.LoadFor(bath).Count > 0 ? null
        : q.Rusty.Select(p => q.Limit(bath, p)).FirstOrDefault(l => !l.Allowed)?.Reason is string why ? $"{why}." : "Nothing rusty enough to soak.";
}
