using Foundling.Core.Edges;
using Foundling.Core.Tools;

namespace Foundling.Core.State;

/// <summary>What is known of the edge of a tool, as the edge bench asks for it.</summary>
/// <param name="Part">The part with the edge.</param>
/// <param name="ThicknessMm">How thick it is, as measured or as is usual, mm.</param>
/// <param name="WidthMm">How wide its edge is, mm.</param>
/// <param name="BedDeg">The bed it lies on, degrees; null for a tool without one.</param>
/// <param name="BevelUp">Its bevel faces up on that bed.</param>
/// <param name="ReserveMm">Good steel left, mm; null where it was not measured.</param>
/// <param name="WhyNotLifted">Why its back may not be lifted by a shim; null where it may.</param>
/// <param name="Pits">Pits that were found on it with their place.</param>
public sealed record EdgeFacts(PartDef Part, double ThicknessMm, double WidthMm, double? BedDeg, bool BevelUp, double? ReserveMm, string? WhyNotLifted,
    IReadOnlyList<Pit> Pits)
{
    /// <summary>The angle it is ground to, as measured, degrees; null where it was not.</summary>
    public double? BevelDeg { get; init; }

    /// <summary>How far its middle stands out before its corners, mm; null where it was not measured.</summary>
    public double? CamberMm { get; init; }

    /// <summary>True for an iron of even thickness with a back and one bevel, which a section shows.</summary>
    public static bool HasSection(ToolKind tool) => tool.Edges.Any() && tool.Edge is EdgeForm.BackAndBevel or EdgeForm.Profiled or EdgeForm.Toothed;

    /// <summary>True for a blade that thins towards its edge, or is curved: it is measured behind its edge.</summary>
    public static bool IsBlade(ToolKind tool) => tool.Edges.Any() && tool.Edge is EdgeForm.TwoBevels or EdgeForm.FlatFace or EdgeForm.Curved;

    /// <summary>True for a plane whose iron stands in a mouth.</summary>
    public static bool HasMouth(ToolKind tool) => tool.HasBed && !tool.HasSkate && tool.Edges.Any() && tool.Made(PartIds.Body)
        && tool.Edge is EdgeForm.BackAndBevel or EdgeForm.Toothed;

    /// <summary>True for edges that come off a stone.</summary>
    public static bool IsHoned(ToolKind tool) => tool.Edges.Any() && tool.Edge is not (EdgeForm.None or EdgeForm.Meeting or EdgeForm.SawTeeth);

    /// <summary>The edge of a tool; null for one without such an edge.</summary>
    public static EdgeFacts? Of(Facts facts, Assumptions a) => !HasSection(facts.Tool) || facts.Tool.Edges.FirstOrDefault() is not { } part ? null
        : new EdgeFacts(part, facts.Measured(MeasureIds.Thickness, part.Id) ?? a.UsualIronMm, facts.EdgeWidthMm(a),
            facts.Tool.HasBed ? facts.Tool.BedDeg : null, facts.Tool.BevelUp, facts.Steel(a)?.Reserve.ReserveMm, facts.Tool.WhyNotLifted,
            EdgePits.Of(facts, part, a))
        {
            BevelDeg = facts.Measured(MeasureIds.Bevel, part.Id), CamberMm = facts.Measured(MeasureIds.Camber, part.Id),
        };
}
