using Foundling.Core.Aim;
using Foundling.Core.Edges;
using Foundling.Core.Keys;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.Ways;

/// <summary>Ways to work edges: the back, the bevel, the cap iron.</summary>
public static class EdgeWays
{
    /// <summary>Edges that are ground and honed are there and are to be worked.</summary>
    public static bool Cuts(PlanQuestion q) => q.Aim != AimKind.Keep && q.Edges.Any();

    /// <summary>Edges there are that are ground and honed to an angle: not jaws that meet, blades that pass a hook, or burrs.</summary>
    private static bool Honed(PlanQuestion q) => Cuts(q) && q.Tool.Edge is EdgeForm.BackAndBevel or EdgeForm.FlatFace or EdgeForm.TwoBevels or EdgeForm.Toothed
        or EdgeForm.Curved or EdgeForm.Profiled;

    /// <summary>Worst pitting on a cutting part.</summary>
    public static int Pits(PlanQuestion q) => WorstAtEdge(q, FindingKind.Pitting);

    // What is beside the slot or up at the top never reaches the edge.
    private static int WorstAtEdge(PlanQuestion q, FindingKind kind) => q.Findings.Where(f => f.Kind == kind && q.Tool.Part(f.Part) is { } part
        && q.Tool.Edges.Contains(part) && PartGroups.Bears(q.Tool, part, f.Place)).Select(f => f.Severity).DefaultIfEmpty(0).Max();

    /// <summary>The steel left in the cutting part; null when it was not measured.</summary>
    public static SteelLeft? Steel(PlanQuestion q) => q.Facts.Steel(q.Shop.Assumptions);

    private static readonly Choice Back = new(ChoiceId.Back, "Pits in the back are", "how pits that stop an edge are dealt with", q => Cuts(q)
        && q.Tool.Edge is EdgeForm.BackAndBevel or EdgeForm.FlatFace or EdgeForm.Curved or EdgeForm.Profiled && Pits(q) >= PitsThatStop,
    [
        new(WayId.Lap, "lapped out, the whole last part flat", "the careful restorer's; the back stays true"),
        new(WayId.Shim, "passed under by a shim", "a tiny back bevel, then always") { Closed = q => q.Tool.WhyNotLifted },
        new(WayId.Lift, "lifted off by hand", "the back raised a hair on the stone") { Closed = q => q.Tool.WhyNotLifted },
        new(WayId.Grind, "ground back past", "quick where there is steel to spare") { Kit = [SupplyIds.BenchGrinder], Closed = q => Steel(q) is { } s
            && s.Reserve.SharpeningsLeft < q.Shop.Assumptions.SharpeningsWorthSaving ? $"Only {s.Reserve.SharpeningsLeft} sharpenings would be left."
            : null },
    ], q => Measured(q) is { } measured ? measured : Pits(q) >= 4 && Steel(q) is { } s && s.Reserve.SharpeningsLeft
        >= 4 * q.Shop.Assumptions.SharpeningsWorthSaving
        ? (WayId.Grind, "Pits that reach the edge are too deep to lap, and there is steel to spare.") : (WayId.Lap, "It costs minutes, not steel."));

    /// <summary>What dealing with the pits takes by the way that was chosen, from where they are and how deep; null where that is not known.</summary>
    public static (SaveTheBackResult Saved, BackWay Way)? Route(PlanQuestion q) => RouteOf(q.Way(ChoiceId.Back)) is { } key
        && EdgePits.Compare(q.Facts, q.Shop.Assumptions, GroundOn(q), LappedOn(q)) is { } saved ? (saved, saved.Ways[key]) : null;

    /// <summary>The route of a way past pits, as <see cref="SaveTheBackResult"/> calls it; null for a way that is not compared.</summary>
    public static string? RouteOf(WayId way) => way switch { WayId.Lap => "lap", WayId.Shim => "shim", WayId.Grind => "grind_back", _ => null };

    /// <summary>The way of a route; null for one that is none.</summary>
    public static WayId? WayOf(string? route) => new[] { WayId.Lap, WayId.Shim, WayId.Grind }.Where(w => RouteOf(w) == route).Cast<WayId?>().FirstOrDefault();

    // What was measured decides; what was only judged leaves it to what costs no steel.
    private static (WayId Way, string Why)? Measured(PlanQuestion q)
    {
        if (EdgeFacts.Of(q.Facts, q.Shop.Assumptions) is not { ReserveMm: not null } edge || EdgePits.Judged(q.Facts, edge.Part)
            || EdgePits.Compare(q.Facts, q.Shop.Assumptions, GroundOn(q), LappedOn(q)) is not { } saved)
        {
            return null;
        }
        return WayOf(saved.Recommend) is WayId known ? (known, EdgeWords.Because(saved, q.Shop.Assumptions)) : null;
    }

    /// <summary>What a pitted back is lapped on.</summary>
    public static GrindOn LappedOn(PlanQuestion q) => OnWhat(q.Way(ChoiceId.LapOn)) ?? GrindOn.P100OnGlass;

    /// <summary>What a back can be lapped on.</summary>
    public static IEnumerable<GrindOn> LapsOn => LapOn.Ways.Select(w => OnWhat(w.Id)).OfType<GrindOn>();

    private static readonly Choice LapOn = new(ChoiceId.LapOn, "Pitted backs are lapped on", "what cuts a pitted back down", q => Back.Asked(q)
        && !Rounds(q) && q.Way(ChoiceId.Back) == WayId.Lap,
    [
        new(WayId.Glass, "coarse paper", "on something flat; quicker, fresh often, or it dubs the edge"),
        new(WayId.CoarsePlate, "a coarse diamond plate", "stays flat, wants only water; slower") { Kit = [SupplyIds.CoarseDiamondPlate] },
    ], _ => (WayId.Glass, "Fresh paper cuts faster, and its scratches come out on the next."));

    /// <summary>True for a back that is a hollow: no flat plate reaches it.</summary>
    internal static bool Rounds(PlanQuestion q) => q.Tool.Edge == EdgeForm.Curved && !q.Tool.Is(FormIds.InCannel);

    private static readonly Choice Hold = new(ChoiceId.Hold, "Bevels are honed", "how the angle is held", Honed,
    [
        new(WayId.Freehand, "freehand", "quick once learned"),
        new(WayId.Jig, "in a jig", "the same angle every time") { Kit = [SupplyIds.HoningJig], Closed = q =>
            q.Tool.Edge is EdgeForm.BackAndBevel or EdgeForm.Toothed
            && q.Tool.Manner.Jig ? null : "No jig holds it." },
    ], _ => (WayId.Freehand, "It works for every edge."));

    private static readonly Choice Bevel = new(ChoiceId.Bevel, "The bevel is", "how many angles it has", q => Cuts(q) && q.Tool.Edge is EdgeForm.BackAndBevel,
    [
        new(WayId.Secondary, "given a secondary bevel", "little to hone each time"),
        new(WayId.Single, "one flat face", "simple, more to hone"),
        new(WayId.Rounded, "rounded under", "freehand, strong behind the edge"),
    ], _ => (WayId.Secondary, "Only a thin line has to be honed."));

    private static readonly Choice Corners = new(ChoiceId.Corners, "Corners are", "the line of the edge", q => Cuts(q) && q.Tool.Edge == EdgeForm.BackAndBevel
        && q.Tool.Family == Family.Plane && q.Tool.Part(PartIds.CapIron) is not null,
    [
        new(WayId.Eased, "eased", "no tracks, nearly full width"),
        new(WayId.Square, "square", "for joints and for shooting"),
        new(WayId.Cambered, "cambered", "for stock removal"),
    ], q => q.Purpose switch
    {
        Soles.SolePurpose.Jack => (WayId.Cambered, "A jack takes thick shavings."),
        Soles.SolePurpose.Try or Soles.SolePurpose.Block or Soles.SolePurpose.Rebate => (WayId.Square, "It works to a line."),
        _ => (WayId.Eased, "Corners that dig leave tracks."),
    });

    private static readonly Choice Grit = new(ChoiceId.Grit, "The last grit", "where honing stops", Honed,
    [
        new(WayId.Medium, "is the medium stone", "for rough work, and for what is honed often"),
        new(WayId.Cuts, "goes as far as it takes to cut", "the user's"),
        new(WayId.Shines, "goes on until it shines", "for show, and for end grain"),
    ], q => q.Aim == AimKind.Show ? (WayId.Shines, "It will be looked at.") : (WayId.Cuts, q.Tool.HasSkate ? "A groove does not see the shine."
        : q.Tool.Family == Family.Plane ? "A shaving does not see the shine." : "It has to cut, not to shine."));

    private static readonly Choice Cap = new(ChoiceId.Cap, "The cap iron sits", "how far behind the edge", q => q.Aim != AimKind.Keep && q.Has(PartIds.CapIron)
        && q.Has(PartIds.Iron),
    [
        new(WayId.Hard, "hard up, fractions of a millimetre", "against tear-out"),
        new(WayId.One, "about 1 mm back", "all round"),
        new(WayId.Two, "about 2 mm back", "thick shavings"),
    ], q => q.Purpose switch { Soles.SolePurpose.Smoothing => (WayId.Hard, "A smoothing plane must not tear."), Soles.SolePurpose.Jack =>
        (WayId.Two, "Thick shavings need room."), _ => (WayId.One, "It suits most work.") });

    private static readonly Choice Mouth = new(ChoiceId.Mouth, "The mouth is", "how far it is open", q => q.Aim != AimKind.Keep
        && q.Tool.MouthMoves,
    [
        new(WayId.Tight, "tight", "fine shavings only"),
        new(WayId.One, "about a millimetre", "all round"),
        new(WayId.Open, "open, about two", "thick shavings"),
        new(WayId.Any, "as it comes", "with a sharp iron and a good cap it hardly matters"),
    ], q => q.Purpose switch { Soles.SolePurpose.Smoothing => (WayId.Tight, "It holds the fibres down."), Soles.SolePurpose.Jack =>
        (WayId.Open, "Thick shavings need room."), _ => (WayId.One, "It suits most work.") });

    /// <summary>True when steel is ground: nicks or chips come out, or the edge goes back past its pits.</summary>
    public static bool Grinds(PlanQuestion q) => Cuts(q) && q.Tool.Edge is EdgeForm.BackAndBevel or EdgeForm.FlatFace or EdgeForm.Curved or EdgeForm.Profiled
        or EdgeForm.Toothed && (Damage(q) >= 2 || (Back.Asked(q) && q.Way(ChoiceId.Back) == WayId.Grind));

    /// <summary>What steel is ground on.</summary>
    public static GrindOn GroundOn(PlanQuestion q) => OnWhat(q.Way(ChoiceId.Grinding)) ?? GrindOn.BenchGrinder;

    /// <summary>The way to grind or to lap on something.</summary>
    public static WayId WayOf(GrindOn on) => on switch
    {
        GrindOn.Belt => WayId.Belt, GrindOn.P100OnGlass => WayId.Glass, GrindOn.CoarseDiamond => WayId.CoarsePlate, _ => WayId.BenchWheel,
    };

    /// <summary>What a route was compared on, as the choice and the way it is in a plan; null for a route that asks for neither.</summary>
    /// <param name="route">The way past the pits.</param>
    /// <param name="ground">What steel would be ground on; null for as it stands.</param>
    /// <param name="lapped">What a back would be lapped on; null for as it stands.</param>
    public static (ChoiceId Choice, WayId Way)? WorkedOn(WayId route, GrindOn? ground, GrindOn? lapped) => (route, ground, lapped) switch
    {
        (WayId.Grind, GrindOn on, _) => (ChoiceId.Grinding, WayOf(on)),
        (WayId.Lap, _, GrindOn on) => (ChoiceId.LapOn, WayOf(on)),
        _ => null,
    };

    private static GrindOn? OnWhat(WayId way) => Enum.GetValues<GrindOn>().Where(on => WayOf(on) == way).Cast<GrindOn?>().FirstOrDefault();

    /// <summary>Worst damage of an edge.</summary>
    public static int Damage(PlanQuestion q) => WorstAtEdge(q, FindingKind.EdgeDamage);

    private static readonly Choice Grinding = new(ChoiceId.Grinding, "Steel is ground on", "what the bevel is ground on", Grinds,
    [
        new(WayId.BenchWheel, "the bench grinder", "quick; a dip every few seconds") { Kit = [SupplyIds.BenchGrinder] },
        new(WayId.Belt, "a belt", "quickest and cool, flat") { Kit = [SupplyIds.BeltGrinder] },
        new(WayId.Glass, "coarse paper on glass", "no machine, no heat; it takes its time") { Closed = q => Hollow(q) },
        new(WayId.CoarsePlate, "a coarse diamond plate", "flat and cool, and slow") { Kit = [SupplyIds.CoarseDiamondPlate], Closed = q => Hollow(q) },
    ], _ => (WayId.BenchWheel, "It takes seconds, if it is dipped."));

    private static string? Hollow(PlanQuestion q) => q.Tool.Edge == EdgeForm.Profiled || q.Tool.Is(FormIds.InCannel) ? "Nothing flat reaches that bevel."
        : null;

    private static readonly Choice Bypass = new(ChoiceId.Bypass, "A blade that passes a hook is honed", "which sides of it", q => Cuts(q)
        && q.Tool.Edge == EdgeForm.Bypass,
    [
        new(WayId.FlatOnly, "on its flat side and the hook only", "nine tenths of it"),
        new(WayId.BothSides, "on its bevel too", "a hair steeper at the edge; it opens no gap there"),
    ], q => Damage(q) >= 2 || q.Tried is AsFoundTry.Badly or AsFoundTry.NotAtAll or null ? (WayId.BothSides, "A dull or nicked bevel needs a light touch.")
        : (WayId.FlatOnly, "Flat side and hook do most of it."));

    private static readonly Choice Jaws = new(ChoiceId.Jaws, "Chipped jaws are", "metal off faces that meet at stops", q => Cuts(q)
        && q.Tool.Edge == EdgeForm.Meeting
        && Damage(q) >= 2,
    [
        new(WayId.LeaveChip, "left with their chip", "it cuts beside it; burrs off and no more"),
        new(WayId.Stops, "dressed, and the stops moved to follow", "as far as the stops reach") { Closed = q => q.Tool.Made(PartIds.Stops) ? null
            : CutterWords.NoStops },
        new(WayId.Holes, "dressed, and the pivot holes moved", "where the stops reach no further; a drill and a good eye"),
        new(WayId.NewJaws, "replaced", "when they are past dressing"),
    ], q => Damage(q) >= 4 ? (WayId.NewJaws, "They are past dressing.") : q.Tool.Made(PartIds.Stops) ? (WayId.Stops, "The stops can follow a little.")
        : (WayId.LeaveChip, "Nothing can follow what the faces lose."));

    /// <summary>
    /// True when pits are passed under by a shim or a lift: that saves flattening, for the back need only be reasonably flat, and every honing from then on
    /// keeps it.
    /// </summary>
    public static bool Raises(PlanQuestion q) => Shims(q) || (Back.Asked(q) && q.Way(ChoiceId.Back) == WayId.Lift);

    /// <summary>True when a shim lifts the back, for pits or by habit.</summary>
    public static bool Shims(PlanQuestion q) => (Back.Asked(q) && q.Way(ChoiceId.Back) == WayId.Shim) || ByHabit(q);

    /// <summary>True when a shim lifts the back by habit, pits or not.</summary>
    public static bool ByHabit(PlanQuestion q) => FaceWays.BackHabit.Asked(q) && q.Way(ChoiceId.BackHabit) == WayId.Shim;

    /// <summary>From this degree on pits stop an edge.</summary>
    internal const int PitsThatStop = 3;

    /// <summary>True for an iron whose back may be lifted a hair: it clears the work on its bed.</summary>
    internal static bool MayRaise(PlanQuestion q) => q.Tool.Edge == EdgeForm.BackAndBevel && q.Tool.Family == Family.Plane && !q.Tool.HasSkate
        && q.Tool.WhyNotLifted is null;

    /// <summary>All of them, in the order of the work.</summary>
    public static IReadOnlyList<Choice> All { get; } =
    [
        Back, LapOn, FaceWays.BackHabit, Grinding, Bypass, Jaws, Hold, Bevel, Corners, Grit, FaceWays.Buff, FaceWays.FacePits, FaceWays.FrogFace, Cap,
        FaceWays.CapPits, Mouth,
    ];
}
