using Foundling.Core.Edges;
using Foundling.Core.Tools;

namespace Foundling.Core.State;

/// <summary>Pits that were found with their place behind an edge, and the routes past them.</summary>
public static class EdgePits
{
    /// <summary>Pits on a part with their place: depth as measured or as their degree is judged, width as measured, or none.</summary>
    /// <param name="facts">What is known of the tool.</param>
    /// <param name="part">The part with the edge.</param>
    /// <param name="a">How deep and wide a pit is that nobody measured.</param>
    public static IReadOnlyList<Pit> Of(Facts facts, PartDef part, Assumptions a) =>
    [
        .. facts.Findings.Where(f => On(facts.Tool, part, f)).OrderBy(f => f.FromEdgeMm).Select(f => Pit(f, facts.EdgeWidthMm(a), a)),
    ];

    // A place across that the edge is too narrow for is none.
    private static Pit Pit(Found f, double width, Assumptions a)
    {
        bool across = f is { FromLeftMm: not null, ToLeftMm: double to } && f.FromLeftMm <= to && to <= width;
        return new Pit(Depths.Of(f, a), Far(f, a), f.FromEdgeMm!.Value, across ? f.FromLeftMm : null, across ? f.ToLeftMm : null);
    }

    // One that nobody measured ends where it was seen, unless that is in the edge itself.
    private static double Far(Found f, Assumptions a) => f.SizeMm is double size ? f.FromEdgeMm!.Value + size : Math.Max(f.FromEdgeMm!.Value, a.PitWideMm);

    /// <summary>True for a pit on a part whose place behind the edge is known.</summary>
    public static bool On(ToolKind tool, PartDef part, Found found) => tool.Key(found.Part) == part.Id && found is { Kind: FindingKind.Pitting,
        FromEdgeMm: not null };

    /// <summary>True where the depth of a pit with a place was judged by its degree, not measured.</summary>
    public static bool Judged(Facts facts, PartDef part) => facts.Findings.Any(f => On(facts.Tool, part, f) && f.DepthMm is null);

    /// <summary>The routes past the pits, as the edge bench compares them; null for an edge without a back, and where no pit with a place stops it.</summary>
    /// <param name="facts">What is known of the tool.</param>
    /// <param name="a">Rates, and what stops a restoration.</param>
    /// <param name="on">What steel is ground on.</param>
    /// <param name="lapOn">What a back is lapped on.</param>
    public static SaveTheBackResult? Compare(Facts facts, Assumptions a, GrindOn on = GrindOn.BenchGrinder, GrindOn lapOn = GrindOn.P100OnGlass)
    {
        if (EdgeFacts.Of(facts, a) is not { Pits.Count: > 0 } edge)
        {
            return null;
        }
        try
        {
            // Minutes and metal do not ask how much steel is left; where nobody measured it, no route is recommended by it.
            SaveTheBackResult saved = SaveTheBack.Compare(new SaveTheBackInput(edge.WidthMm, edge.ThicknessMm, edge.BevelDeg ?? a.UsualBevelDeg,
                edge.ReserveMm ?? 0, edge.Pits, edge.WhyNotLifted is not null, lapOn, on, edge.CamberMm), a);
            return saved.StoppingPits > 0 ? saved : null;
        }
        catch (InputException)
        {
            // A reading that cannot be, such as an iron of no thickness, compares nothing; the edge bench says what is wrong with it.
            return null;
        }
    }

    /// <summary>The degree of a pit that was measured, on the scale of edges: it reaches the edge, is near it, is away from it, or is a point.</summary>
    /// <param name="pit">The pit.</param>
    /// <param name="widthMm">Width of the edge, mm.</param>
    /// <param name="camberMm">Its camber, mm; 0 for none.</param>
    /// <param name="a">What stops an edge.</param>
    public static int DegreeOf(Pit pit, double widthMm, double camberMm, Assumptions a) => SaveTheBack.Standing(pit, widthMm, camberMm, a) switch
    {
        PitStanding.Stops => pit.NearSideMm <= Whole.Slack ? 4 : 3,
        PitStanding.FarBack => 2,
        _ => 1,
    };
}
