using Foundling.Core.Edges;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tags;

/// <summary>Pits that were placed on a drawing of the back, kept as findings of the edge.</summary>
public static class PitNotes
{
    /// <summary>Puts the pits of an edge in the place of those that are known with their place; what was said of others stays.</summary>
    /// <param name="tag">The tag.</param>
    /// <param name="part">The part with the edge.</param>
    /// <param name="pits">The pits, as they lie.</param>
    /// <param name="widthMm">Width of the edge, mm.</param>
    /// <param name="camberMm">Its camber, mm; 0 for none.</param>
    /// <param name="a">What degree a pit of a depth is.</param>
    /// <param name="now">Now.</param>
    public static void Put(Tag tag, PartDef part, IReadOnlyList<Pit> pits, double widthMm, double camberMm, Assumptions a, DateTimeOffset now)
    {
        List<Finding> there = [.. tag.Findings.Where(f => EdgePits.On(tag.Tool(), part, f.Fact()))];
        for (int i = 0; i < pits.Count; i++)
        {
            Pit pit = pits[i];
            Finding finding = i < there.Count ? there[i] : new Finding { Id = Guid.CreateVersion7(now), At = now, Part = part.Id, Kind = FindingKind.Pitting };
            finding.Severity = EdgePits.DegreeOf(pit, widthMm, camberMm, a);
            (finding.DepthMm, finding.FromEdgeMm, finding.SizeMm, finding.Doubt) = (pit.DepthMm, pit.NearSideMm, pit.FarSideMm - pit.NearSideMm, "");
            (finding.FromLeftMm, finding.ToLeftMm) = (pit.FromLeftMm, pit.ToLeftMm);
            if (i >= there.Count)
            {
                tag.Findings.Add(finding);
            }
        }
        foreach (Finding gone in there.Skip(pits.Count))
        {
            tag.Findings.Remove(gone);
        }
    }
}
