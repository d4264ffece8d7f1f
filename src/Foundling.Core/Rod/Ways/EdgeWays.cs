using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.Ways;

/// <summary>Ways to work edges: the back, the bevel, the cap iron.</summary>
public static class EdgeWays
{
    /// <summary>Edges that are ground and honed are there and are to be worked.</summary>
    public static bool Cuts(PlanQuestion q) => q.Aim != AimKind.Keep && q.Edges.Any();

    /// <summary>Worst pitting on a cutting part.</summary>
    public static int Pits(PlanQuestion q) => q.WorstOn(FindingKind.Pitting, q.Tool.Edges.Select(p => p.Id));

    /// <summary>The steel left in the cutting part; null when it was not measured.</summary>
    public static SteelLeft? Steel(PlanQuestion q) => SteelLeft.Of(q.Tool, q.Findings, (part, kind) => q.Measured(kind, part));

    private static readonly Choice Back = new("back", "Pits in the back are", "how pits that stop an edge are dealt with", q => Cuts(q)
        && q.Tool.Edge is EdgeForm.BackAndBevel or EdgeForm.FlatFace && Pits(q) >= 3,
    [
        new("lap", "lapped out, the whole last part flat", "the careful restorer's; the back stays true"),
        new("shim", "passed under by a shim", "a tiny back bevel, then always") { Closed = NotOnAChisel },
        new("lift", "lifted off by hand", "the back raised a hair on the stone") { Closed = NotOnAChisel },
        new("grind", "ground back past", "quick where there is steel to spare") { Kit = ["bench grinder"], Closed = q => Steel(q) is { } s
            && s.Reserve.SharpeningsLeft < Assumptions.Standard.SharpeningsWorthSaving ? $"Only {s.Reserve.SharpeningsLeft} sharpenings would be left."
            : null },
    ], q => Pits(q) >= 4 && Steel(q) is { } s && s.Reserve.SharpeningsLeft >= 4 * Assumptions.Standard.SharpeningsWorthSaving
        ? ("grind", "Pits that reach the edge are too deep to lap, and there is steel to spare.") : ("lap", "It costs minutes, not steel."));

    private static readonly Choice Hold = new("hold", "Bevels are honed", "how the angle is held", Cuts,
    [
        new("freehand", "freehand", "quick once learned"),
        new("jig", "in a jig", "the same angle every time") { Kit = ["honing jig"], Closed = q => q.Tool.Edge is EdgeForm.BackAndBevel or EdgeForm.Toothed
            && !q.Tool.Id.Is(KindIds.Drawknife, KindIds.Spokeshave) ? null : "No jig holds it." },
    ], _ => ("freehand", "It works for every edge."));

    private static readonly Choice Bevel = new("bevel", "The bevel is", "how many angles it has", q => Cuts(q) && q.Tool.Edge is EdgeForm.BackAndBevel,
    [
        new("secondary", "given a secondary bevel", "little to hone each time"),
        new("single", "one flat face", "simple, more to hone"),
        new("rounded", "rounded under", "freehand, strong behind the edge"),
    ], _ => ("secondary", "Only a thin line has to be honed."));

    private static readonly Choice Corners = new("corners", "Corners are", "the line of the edge", q => Cuts(q) && q.Tool.Edge == EdgeForm.BackAndBevel
        && q.Tool.Family == Family.Plane && q.Tool.Id.Is(KindIds.MetalBenchPlane, KindIds.WoodenBenchPlane),
    [
        new("eased", "eased", "no tracks, nearly full width"),
        new("square", "square", "for joints and for shooting"),
        new("cambered", "cambered", "for stock removal"),
    ], q => q.Purpose switch
    {
        Soles.SolePurpose.Jack => ("cambered", "A jack takes thick shavings."),
        Soles.SolePurpose.Try or Soles.SolePurpose.Block or Soles.SolePurpose.Rebate => ("square", "It works to a line."),
        _ => ("eased", "Corners that dig leave tracks."),
    });

    private static readonly Choice Grit = new("grit", "The last grit", "where honing stops", Cuts,
    [
        new("cuts", "goes as far as it takes to cut", "the user's"),
        new("shines", "goes on until it shines", "for show, and for end grain"),
    ], q => q.Aim == AimKind.Show ? ("shines", "It will be looked at.") : ("cuts", q.Tool.Id == KindIds.PloughPlane ? "A groove does not see the shine."
        : q.Tool.Family == Family.Plane ? "A shaving does not see the shine." : "It has to cut, not to shine."));

    private static readonly Choice Cap = new("cap", "The cap iron sits", "how far behind the edge", q => q.Aim != AimKind.Keep && q.Has(PartIds.CapIron)
        && q.Has(PartIds.Iron),
    [
        new("hard", "hard up, fractions of a millimetre", "against tear-out"),
        new("one", "about 1 mm back", "all round"),
        new("two", "about 2 mm back", "thick shavings"),
    ], q => q.Purpose switch { Soles.SolePurpose.Smoothing => ("hard", "A smoothing plane must not tear."), Soles.SolePurpose.Jack =>
        ("two", "Thick shavings need room."), _ => ("one", "It suits most work.") });

    private static readonly Choice Mouth = new("mouth", "The mouth is", "how far it is open", q => q.Aim != AimKind.Keep
        && q.Tool.Id.Is(KindIds.MetalBenchPlane, KindIds.BlockPlane),
    [
        new("tight", "tight", "fine shavings only"),
        new("one", "about a millimetre", "all round"),
        new("open", "open, about two", "thick shavings"),
        new("any", "as it comes", "with a sharp iron and a good cap it hardly matters"),
    ], q => q.Purpose switch { Soles.SolePurpose.Smoothing => ("tight", "It holds the fibres down."), Soles.SolePurpose.Jack =>
        ("open", "Thick shavings need room."), _ => ("one", "It suits most work.") });

    /// <summary>All of them, in the order of the work.</summary>
    public static IReadOnlyList<Choice> All { get; } = [Back, Hold, Bevel, Corners, Grit, Cap, Mouth];

    private static string? NotOnAChisel(PlanQuestion q) => q.Tool.Family == Family.Plane ? null
        : "The whole back guides the tool, so it stays flat: never on a chisel or knife.";
}
