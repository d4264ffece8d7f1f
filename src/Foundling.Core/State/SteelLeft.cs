using Foundling.Core.Edges;
using Foundling.Core.Tools;

namespace Foundling.Core.State;

/// <summary>What is left of a tool's cutting part, from what was measured and found on it.</summary>
/// <param name="Part">The cutting part.</param>
/// <param name="Reserve">Good steel and the sharpenings in it, once it is ground past the stopping pits.</param>
/// <param name="LineMm">The line that was measured, from the edge, mm.</param>
/// <param name="LineIs">What that line is, in words.</param>
/// <param name="PitsMm">Pits near enough to the edge to stop a restoration: their far sides, mm from the edge.</param>
/// <param name="SetbackMm">What is ground away to be past them, mm.</param>
public sealed record SteelLeft(PartDef Part, IronReserveResult Reserve, double LineMm, string LineIs, IReadOnlyList<double> PitsMm, double SetbackMm)
{
    /// <summary>Reckons it from what is known; null when there is no cutting part, or its steel was not measured.</summary>
    /// <param name="facts">What is known of the tool.</param>
    /// <param name="assumptions">What stops a restoration.</param>
    public static SteelLeft? Of(Facts facts, Assumptions assumptions)
    {
        Assumptions a = assumptions;
        if (facts.Tool.Edges.FirstOrDefault() is not { } part)
        {
            return null;
        }
        double? slot = facts.Measured(MeasureIds.EdgeToSlot, part.Id), bit = facts.Measured(MeasureIds.EdgeToBitLine, part.Id),
            hard = facts.Measured(MeasureIds.EdgeToHardEnd, part.Id);
        if ((hard ?? bit ?? slot) is not double line)
        {
            return null;
        }
        List<Pit> pits = [.. EdgePits.Of(facts, part, a).Where(p => SaveTheBack.Stops(p, a))];
        double setback = pits.Count == 0 ? 0 : pits.Max(p => p.FarSideMm) + a.GrindPastPitMm;
        IronReserveResult reserve = IronReserve.Of(new IronReserveInput(bit is null ? IronKind.Solid : IronKind.LaidOn, slot, bit, hard, setback), a);
        return new SteelLeft(part, reserve, line, hard is not null ? "hard steel ends" : bit is not null ? "hard bit ends" : "slot ends",
            [.. pits.Select(p => p.FarSideMm)], setback);
    }
}
