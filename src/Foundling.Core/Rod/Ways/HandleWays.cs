using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.Ways;

/// <summary>What happens to handles and hafts that stay on while they are sound: riveted over, wedged in an eye, or driven on a tang.</summary>
public static class HandleWays
{
    // From these degrees on what a joint holds is past saving in place.
    private const int Broken = 3, Off = 4, Gone = 1, Rotten = 4;

    /// <summary>What is held by such joints: handles, hafts, grips.</summary>
    private static IEnumerable<PartDef> Held(PlanQuestion q) => q.Tool.Parts.Where(p => p.Material is Material.Wood or Material.Soft && !p.Is(PartIds.Wedge));

    // A driven handle that came off goes back on; what a rivet or a wedge held does not.
    internal static bool IsPast(PlanQuestion q, PartDef part) => q.Worst(FindingKind.Crack, part.Id) >= Broken
        || (q.Worst(FindingKind.Looseness, part.Id) >= Off && !IsDriven(q, part)) || q.Worst(FindingKind.Missing, part.Id) >= Gone
        || q.Worst(FindingKind.Damp, part.Id) >= Rotten || q.Worst(FindingKind.Worm, part.Id) >= Rotten;

    /// <summary>True when the wedge of a haft is broken or crumbles: it holds nothing, however tight the head feels.</summary>
    public static bool WedgeIsPast(PlanQuestion q) => q.Tool.Part(PartIds.Haft) is not null && q.Tool.Part(PartIds.Wedge) is { } wedge
        && q.Tool.Made(PartIds.Wedge) && (q.Worst(FindingKind.Crack, wedge.Id) >= Broken || q.Worst(FindingKind.Damp, wedge.Id) >= Rotten
        || q.Worst(FindingKind.Worm, wedge.Id) >= Rotten);

    private static bool IsPast(PlanQuestion q) => Held(q).Any(p => IsPast(q, p));

    /// <summary>True for a wooden handle that is only driven on a tang or into a socket.</summary>
    public static bool IsDriven(PlanQuestion q, PartDef part) => q.Tool.Family == Family.EdgeTool && part.Material == Material.Wood
        && part.Joint == Joint.StaysOn;

    private static bool IsJoint(PlanQuestion q, PartDef part) => part.Joint == Joint.Destroyed || IsDriven(q, part);

    private static IReadOnlyList<PartDef> Joints(PlanQuestion q) => [.. q.Present.Where(p => IsJoint(q, p))];

    // A drawknife has two of everything, one a side.
    private static string Side(PartDef part) => part.Id.Value.EndsWith("_left", StringComparison.Ordinal) ? "left"
        : part.Id.Value.EndsWith("_right", StringComparison.Ordinal) ? "right" : "";

    private static PartDef? Worse(PlanQuestion q) => Held(q).MaxBy(p => (IsPast(q, p) ? Off : 0) + q.Worst(FindingKind.Looseness, p.Id)
        + q.Worst(FindingKind.Crack, p.Id));

    /// <summary>What happens to them.</summary>
    public static Choice Handles { get; } = new(ChoiceId.Handles, "What is riveted, wedged or driven on is", "handles and hafts that stay on while they are "
        + "sound and tight", q => q.Aim != AimKind.Keep && Joints(q).Count > 0 && Held(q).Any(),
    [
        new(WayId.LeftOn, "left on", "what is sound and tight is made no better by opening it") { Closed = q => IsPast(q)
            ? "What is held is past saving in place." : null },
        new(WayId.TakenOff, "taken off and put on again", "all of it is reached, tangs too") { Closed = q => IsPast(q)
            ? "What is held is past saving." : q.Tool.Made(PartIds.Haft) ? "A wedged haft comes out only in pieces."
            : Held(q).All(p => p.Material == Material.Soft) ? "Leather washers do not come off whole." : null },
        new(WayId.OneOff, "taken off on one side only", "the worse of the two; the sound one stays") { Closed = q => IsPast(q)
            ? "What is held is past saving." : Joints(q).Select(Side).Distinct().Count() < 2 ? "There is only one." : null },
        new(WayId.Remade, "made new", "when it is past saving, or never fitted the hand", Coating: "old finish goes with it"),
    ], q => IsPast(q) ? (WayId.Remade, "It is past saving in place.") : (WayId.LeftOn, "Opening it costs more than it gives."));

    /// <summary>True when a joint that opening destroys is opened.</summary>
    public static bool Opened(PlanQuestion q) => Handles.Asked(q) && q.Way(ChoiceId.Handles) != WayId.LeftOn;

    /// <summary>The joints that are opened.</summary>
    public static IReadOnlyList<PartDef> Opening(PlanQuestion q) => Opened(q) ? [.. Joints(q).Where(p => Opens(q, p))] : [];

    /// <summary>The joints that are closed at the end: those that are opened, and those whose rivet or washer was gone already.</summary>
    public static IReadOnlyList<PartDef> Closing(PlanQuestion q) => Opened(q) ? [.. q.Tool.Parts.Where(p => IsJoint(q, p) && Opens(q, p))] : [];

    /// <summary>True when all that is opened is driven on and comes off by blows.</summary>
    public static bool OnlyDriven(PlanQuestion q) => Opening(q) is { Count: > 0 } opening && opening.All(p => IsDriven(q, p));

    /// <summary>True when a part comes off because its joint is opened.</summary>
    public static bool Opens(PlanQuestion q, PartDef part) => Opened(q) && (Side(part).Length == 0 || q.Way(ChoiceId.Handles) switch
    {
        WayId.OneOff => Worse(q) is { } worse && Side(worse) == Side(part),
        WayId.Remade => Remade(q).Any(r => Side(r) == Side(part)),
        _ => true,
    });

    /// <summary>
    /// Handles, hafts and grips that are made new: what is past saving and not on order, or all of them where none is past and new ones are wanted.
    /// </summary>
    public static IReadOnlyList<PartDef> Remade(PlanQuestion q) => !Opened(q) || q.Way(ChoiceId.Handles) != WayId.Remade ? []
        : Held(q).Where(p => IsPast(q, p)).ToList() is { Count: > 0 } past ? [.. past.Where(p => !q.Ordered(p))] : [.. Held(q)];
}
