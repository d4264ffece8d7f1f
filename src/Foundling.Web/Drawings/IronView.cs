using Foundling.Core;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Web.Drawings;

/// <summary>The cutting end of an iron from the front: edge, pits, where the hard steel ends, what would be ground away.</summary>
public sealed class IronView
{
    /// <summary>Pixels per millimetre, and room at the left for words.</summary>
    public const double Scale = 5.2, Left = 16, Top = 12;

    private const double Clear = 0.5;

    private IronView(PartDef part, double widthMm, double shownMm, IronReserveResult reserve, double? lineMm, string lineIs, IReadOnlyList<double> pitsMm, double setbackMm) =>
        (Part, WidthMm, ShownMm, Reserve, LineMm, LineIs, PitsMm, SetbackMm) = (part, widthMm, shownMm, reserve, lineMm, lineIs, pitsMm, setbackMm);

    /// <summary>The cutting part.</summary>
    public PartDef Part { get; }

    /// <summary>Its width, mm.</summary>
    public double WidthMm { get; }

    /// <summary>How much of it is drawn from the edge up, mm.</summary>
    public double ShownMm { get; }

    /// <summary>Good steel and the sharpenings in it.</summary>
    public IronReserveResult Reserve { get; }

    /// <summary>Where the measured line is, from the edge, mm.</summary>
    public double? LineMm { get; }

    /// <summary>What that line is.</summary>
    public string LineIs { get; }

    /// <summary>Pits, mm from the edge.</summary>
    public IReadOnlyList<double> PitsMm { get; }

    /// <summary>What would be ground away to be past the pits, mm.</summary>
    public double SetbackMm { get; }

    /// <summary>Height of the drawing.</summary>
    public double Height => (ShownMm * Scale) + Top + 8;

    /// <summary>Place of a distance from the edge.</summary>
    public double Y(double fromEdgeMm) => Top + ((ShownMm - Math.Min(ShownMm, fromEdgeMm)) * Scale);

    /// <summary>The view of a tag, or null when its steel was not measured.</summary>
    public static IronView? Of(Tag tag)
    {
        PartDef? part = tag.Tool().Edges.FirstOrDefault();
        if (part is null)
        {
            return null;
        }
        double? slot = tag.Measured(part.Id, "edge_to_slot")?.Value, bit = tag.Measured(part.Id, "edge_to_bit_line")?.Value, hard = tag.Measured(part.Id, "edge_to_hard_end")?.Value;
        if ((slot ?? bit ?? hard) is not double line)
        {
            return null;
        }
        Assumptions a = Assumptions.Standard;
        List<double> pits = [.. tag.Standing().Where(f => f.Part == part.Id && f.Kind == FindingKind.Pitting && f.FromEdgeMm is double at && at < a.StoppingPitWithinMm).Select(f => f.FromEdgeMm!.Value)];
        double setback = pits.Count == 0 ? 0 : pits.Max() + Clear;
        IronReserveResult reserve = IronReserve.Of(new IronReserveInput(bit is null ? IronKind.Solid : IronKind.LaidOn, slot, bit, hard, setback), a);
        return new IronView(part, tag.IronWidthMm ?? 50, Math.Max(16, line + 6), reserve, hard ?? bit ?? slot, hard is not null ? "hard steel ends" : bit is not null ? "hard bit ends" : "slot ends", pits, setback);
    }
}
