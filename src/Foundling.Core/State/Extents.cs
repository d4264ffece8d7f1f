using System.Runtime.CompilerServices;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.State;

/// <summary>How large a part is.</summary>
/// <param name="FaceDm2">One face, as it is drawn, dm².</param>
/// <param name="AllDm2">All of its surface, dm².</param>
/// <param name="RimDm">Round its outline, dm.</param>
/// <param name="Litres">Its volume, L.</param>
/// <param name="Pieces">How many pieces it is.</param>
/// <param name="BeyondDm2">Surface beyond that of small parts, which are held between two fingers, dm²; 0 for small ones.</param>
/// <param name="LengthMm">Its longest side, mm.</param>
/// <param name="WidthMm">Its next side, mm: with the longest it is what it lies on.</param>
/// <param name="ThickMm">Its shortest side, mm: how high it lies.</param>
/// <param name="AcrossMm">How deep it is across its drawing, mm.</param>
public readonly record struct PartExtent(double FaceDm2, double AllDm2, double RimDm, double Litres, int Pieces, double BeyondDm2, double LengthMm = 0,
    double WidthMm = 0, double ThickMm = 0, double AcrossMm = 0)
{
    /// <summary>True for one that is held between two fingers; for several, that each of them is.</summary>
    public bool Small => BeyondDm2 <= 0;
}

/// <summary>How large the parts of a tool are: from their outlines at its measurements, and what they are across the drawing.</summary>
public static class Extents
{
    private const double Mm2InDm2 = 10_000, MmInDm = 100, Mm3InL = 1_000_000;
    private const int CurvePieces = 4;

    // A part that is drawn by another has the size of a screw.
    private static readonly PartExtent Undrawn = new(0.02, 0.06, 0.5, 0.0005, 1, 0, 25, 8, 8, 8);

    private static readonly ConditionalWeakTable<Facts, ConditionalWeakTable<Assumptions, IReadOnlyDictionary<PartId, PartExtent>>> Known = new();

    /// <summary>The parts of a tool, those that are drawn and those that are not.</summary>
    /// <param name="facts">What is known of the tool.</param>
    /// <param name="assumptions">Widths nobody measured.</param>
    public static IReadOnlyDictionary<PartId, PartExtent> Of(Facts facts, Assumptions assumptions) =>
        Known.GetOrCreateValue(facts).GetValue(assumptions, a => Measure(facts, a));

    /// <summary>What there is to work on when parts are worked all round.</summary>
    /// <param name="extents">How large they are.</param>
    /// <param name="parts">The parts.</param>
    public static Work Work(this IReadOnlyDictionary<PartId, PartExtent> extents, IEnumerable<PartDef> parts)
    {
        var work = new Work();
        foreach (PartDef part in parts)
        {
            PartExtent e = extents[part.Id];
            work = new Work(work.Dm2 + e.AllDm2, work.BeyondDm2 + e.BeyondDm2, work.Pieces + e.Pieces,
                work.Fasteners + (part.IsFastener ? e.Pieces : 0), work.RimDm + e.RimDm);
        }
        return work;
    }

    private static Dictionary<PartId, PartExtent> Measure(Facts facts, Assumptions a)
    {
        // A kind that came in a question and is in no book brings its drawing along, or has none.
        Profile? drawing = ToolCatalogue.Knows(facts.Tool.Id) ? facts.Profile()
            : facts.Tool.File.Drawing is { } own ? KindDrawing.Read(own, facts.Tool.File) : null;
        Dictionary<PartId, KindPart> said = facts.Tool.File.Parts.ToDictionary(p => p.Part);
        Dictionary<PartId, PartExtent> all = [];
        foreach (PartDef part in facts.Tool.Parts)
        {
            KindPart? file = said.GetValueOrDefault(part.Id);
            int pieces = Math.Max(1, file?.Pieces ?? 1);
            DrawnPart? drawn = drawing?.Parts.FirstOrDefault(p => p.Part == (part.InSet ? part.DrawnAs : part.Id));
            KindPart? like = part.InSet ? said.GetValueOrDefault(part.DrawnAs) : file;
            all[part.Id] = drawn is null ? Undrawn with { AllDm2 = Undrawn.AllDm2 * pieces, Pieces = pieces } : Drawn(drawn, part, like, facts, a, pieces);
        }
        return all;
    }

    private static PartExtent Drawn(DrawnPart drawn, PartDef part, KindPart? file, Facts facts, Assumptions a, int pieces)
    {
        (double face, double rim, double largest, double its) = (0, 0, 0, 0);
        foreach (Shape shape in drawn.Shapes.Where(s => s.Outlined).DefaultIfEmpty(drawn.Shapes[0]))
        {
            (double area, double round) = shape.Path.Measured(CurvePieces, shape.EvenOdd);
            (face, rim) = (face + area, rim + round);
            (largest, its) = area > largest ? (area, round) : (largest, its);
        }
        (double longer, double shorter) = Sides(largest, its);
        PartExtent Sized(double allMm2, double mm3, double deep)
        {
            double[] sides = [longer, shorter, Math.Max(deep, 0)];
            Array.Sort(sides);
            return new(face / Mm2InDm2, allMm2 / Mm2InDm2, rim / MmInDm, mm3 / Mm3InL, pieces, Math.Max(0, (allMm2 / Mm2InDm2) - (a.SmallPartDm2 * pieces)),
                sides[2], sides[1], sides[0], Math.Max(deep, 0));
        }
        Section section = file?.Section ?? Section.Usual;
        if (section == Section.Round || (section == Section.Usual && file?.AcrossMm is null && (part.Material == Material.Wood || part.IsFastener)))
        {
            // A turned part: its surface is pi times what one sees, its volume that of a rod as long as half its outline.
            double length = Math.Max(1, (rim / 2) - (2 * face / Math.Max(1, rim)));
            return Sized(Math.PI * face, Math.PI / 4 * face * face / length, shorter);
        }
        double across = section switch
        {
            Section.Iron => facts.EdgeWidthMm(a),
            Section.Sole => facts.SoleWidthMm(a),
            _ => file?.AcrossMm ?? face / Math.Max(1, rim / 2),
        };
        // A metal body is cast hollow, with its sides and sole as thick as they must be.
        double solid = section == Section.Sole && part.Ferrous ? a.CastSolidShare : 1;
        return Sized((2 * face) + (rim * across), face * across * solid, across);
    }

    /// <summary>Sides of the rectangle of the same area and outline, which does not care how a part is turned in its drawing.</summary>
    private static (double Longer, double Shorter) Sides(double area, double round)
    {
        double sum = round / 2, under = (sum * sum) - (4 * area);
        double longer = under <= 0 ? Math.Sqrt(area) : (sum + Math.Sqrt(under)) / 2;
        return (longer, area / Math.Max(longer, 1));
    }
}
