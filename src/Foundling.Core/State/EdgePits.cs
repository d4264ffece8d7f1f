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
        .. facts.Findings.Where(f => On(facts.Tool, part, f)).OrderBy(f => f.FromEdgeMm).Select(f => new Pit(Depths.Of(f, a), Far(f, a), f.FromEdgeMm!.Value)),
    ];

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
    public static SaveTheBackResult? Compare(Facts facts, Assumptions a, GrindOn on = GrindOn.BenchGrinder)
    {
        if (EdgeFacts.Of(facts, a) is not { Pits.Count: > 0 } edge)
        {
            return null;
        }
        // Minutes and metal do not ask how much steel is left; where nobody measured it, no route is recommended by it.
        SaveTheBackResult saved = SaveTheBack.Compare(new SaveTheBackInput(edge.WidthMm, edge.ThicknessMm, a.UsualBevelDeg, edge.ReserveMm ?? 0, edge.Pits,
            edge.WhyNotLifted is not null, GrindOn: on), a);
        return saved.StoppingPits > 0 ? saved : null;
    }

    /// <summary>The degree of a pit that was measured, on the scale of edges: it reaches the edge, is near it, is away from it, or is a point.</summary>
    /// <param name="pit">The pit.</param>
    /// <param name="a">What stops an edge.</param>
    public static int DegreeOf(Pit pit, Assumptions a) => SaveTheBack.Stops(pit, a) ? pit.NearSideMm <= Whole.Slack ? 4 : 3
        : pit.DepthMm > a.StoppingPitDepthMm + Whole.Slack ? 2 : 1;
}
