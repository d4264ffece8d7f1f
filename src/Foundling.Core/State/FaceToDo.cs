using Foundling.Core.Grits;
using Foundling.Core.Tools;

namespace Foundling.Core.State;

/// <summary>A metal face of a tool as it would go up the grits.</summary>
/// <param name="Face">The face.</param>
/// <param name="Metal">What it is made of.</param>
/// <param name="AreaDm2">How large it is, dm².</param>
/// <param name="DefectMm">How deep the worst on it goes, mm; 0 where nothing was found.</param>
/// <param name="StampMm">How deep a stamp or etch on it is, as judged, mm; null for none.</param>
public sealed record FaceToDo(FlatFace Face, LapMetal Metal, double AreaDm2, double DefectMm, double? StampMm)
{
    private const double Mm2InDm2 = 10_000;

    /// <summary>The finish it is usually brought to: what carries an edge is honed, what slides is not.</summary>
    public GritFinish Wanted => Face.Key.StartsWith("back", StringComparison.Ordinal) || Face.Key == "cap_iron" ? GritFinish.Honed : GritFinish.Common;

    /// <summary>The metal faces of a tool, each with what was found on it.</summary>
    /// <param name="facts">What is known of the tool.</param>
    /// <param name="a">How deep pits and stamps nobody measured are.</param>
    public static IReadOnlyList<FaceToDo> Of(Facts facts, Assumptions a)
    {
        List<FaceToDo> all = [];
        foreach (FlatFace face in FlatFaces.Of(facts, a))
        {
            if (facts.Tool.Part(face.Part) is { } part && MetalOf(part.Material) is LapMetal metal)
            {
                List<Found> on = [.. facts.Findings.Where(f => facts.Tool.Key(f.Part) == part.Id && Lies(facts.Tool, part, face, f))];
                double pits = on.Where(f => f.Kind == FindingKind.Pitting).Select(f => Depths.Of(f, a)).DefaultIfEmpty(0).Max();
                double? stamp = on.Where(f => f.Kind == FindingKind.Mark && f.Severity > 0).Select(f => (double?)Depths.Of(f, a)).Min();
                all.Add(new FaceToDo(face, metal, face.Layout.LengthMm * face.Layout.WidthMm / Mm2InDm2, Math.Max(pits, Hollow(facts, face, a)), stamp));
            }
        }
        return all;
    }

    // A sole that is out of flat is brought in by taking off what stands high.
    private static double Hollow(Facts facts, FlatFace face, Assumptions a) =>
        face.IsSole && SurveysRead.OfSole(facts, a) is { } read ? SurveysRead.Off(read, facts, null, a)?.Mm ?? 0 : 0;

    private static bool Lies(ToolKind tool, PartDef part, FlatFace face, Found found)
    {
        bool Says(string word) => found.Place.Contains(word, StringComparison.OrdinalIgnoreCase);
        return face.Key switch
        {
            FlatFaces.Sole => PartGroups.Bears(tool, part, found.Place) && !Says("side"),
            "left_cheek" or "right_cheek" or "side" => Says("cheek") || Says("side"),
            "frog_seat" => Says("seat"),
            "frog_face" => !Says("seat"),
            _ => PartGroups.Bears(tool, part, found.Place) && !Says("bevel"),
        };
    }

    private static LapMetal? MetalOf(Material material) => material switch
    {
        Material.CastIron => LapMetal.CastIron,
        Material.Steel => LapMetal.MildSteel,
        Material.EdgeSteel or Material.SpringSteel => LapMetal.HardenedSteel,
        Material.Brass => LapMetal.Brass,
        _ => null,
    };
}
