using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Core.State;

/// <summary>What is left of a tool's cutting part, from what was measured and found on it.</summary>
/// <param name="Part">The cutting part.</param>
/// <param name="Reserve">Good steel and the sharpenings in it, once it is ground past the stopping pits.</param>
/// <param name="LineMm">The line that was measured, from the edge, mm.</param>
/// <param name="LineIs">What that line is, in words.</param>
/// <param name="PitsMm">Pits near enough to the edge to stop a restoration, mm from the edge.</param>
/// <param name="SetbackMm">What is ground away to be past them, mm.</param>
public sealed record SteelLeft(PartDef Part, IronReserveResult Reserve, double LineMm, string LineIs, IReadOnlyList<double> PitsMm, double SetbackMm)
{
    /// <summary>Reckons it for a tag; null when it has no cutting part, or its steel was not measured.</summary>
    public static SteelLeft? Of(Tag tag, Assumptions assumptions) => Of(tag.Tool(), tag.Standing(), (part, kind) => tag.Measured(part, kind)?.Value,
        assumptions);

    /// <summary>Reckons it from what stands and what was measured; null when there is no cutting part, or its steel was not measured.</summary>
    /// <param name="tool">Kind of tool.</param>
    /// <param name="findings">Findings that stand.</param>
    /// <param name="measured">The last reading of a kind on a part, mm; null for none.</param>
    /// <param name="assumptions">What stops a restoration.</param>
    public static SteelLeft? Of(ToolKind tool, IReadOnlyList<Finding> findings, Func<PartId, string, double?> measured, Assumptions assumptions)
    {
        Assumptions a = assumptions;
        if (tool.Edges.FirstOrDefault() is not { } part)
        {
            return null;
        }
        double? slot = measured(part.Id, "edge_to_slot"), bit = measured(part.Id, "edge_to_bit_line"), hard = measured(part.Id, "edge_to_hard_end");
        if ((hard ?? bit ?? slot) is not double line)
        {
            return null;
        }
        List<double> pits = [.. findings.Where(f => f.Part == part.Id && f.Kind == FindingKind.Pitting && f.FromEdgeMm < a.StoppingPitWithinMm).Select(f =>
            f.FromEdgeMm!.Value)];
        double setback = pits.Count == 0 ? 0 : pits.Max() + a.GrindPastPitMm;
        IronReserveResult reserve = IronReserve.Of(new IronReserveInput(bit is null ? IronKind.Solid : IronKind.LaidOn, slot, bit, hard, setback), a);
        return new SteelLeft(part, reserve, line, hard is not null ? "hard steel ends" : bit is not null ? "hard bit ends" : "slot ends", pits, setback);
    }
}
