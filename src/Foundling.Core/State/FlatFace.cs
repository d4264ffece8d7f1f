using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.State;

/// <summary>A flat face of a tool, which can be read as a sole is.</summary>
/// <param name="Key">Key, as the open formats write it: "sole", "left_cheek", "back/iron".</param>
/// <param name="Part">The part it is on.</param>
/// <param name="Name">Its name, without "the".</param>
/// <param name="From">Where lengths along it are counted from.</param>
/// <param name="Beside">Where lengths across it are counted from.</param>
/// <param name="Layout">Its size, and what is open on it, mm.</param>
/// <param name="WantedMm">How flat it is wanted, mm; null for a sole, which has tolerances by its purpose.</param>
public sealed record FlatFace(string Key, PartId Part, string Name, string From, string Beside, SoleLayout Layout, double? WantedMm)
{
    /// <summary>Names of its two ends, the second empty where it has none.</summary>
    public (string First, string Last) Ends => (Bare(From), From == "the toe" ? "heel" : "");

    private static string Bare(string from) => from["the ".Length..];

    /// <summary>True for the sole.</summary>
    public bool IsSole => Key == FlatFaces.Sole;

    /// <summary>The same face at another size, as it was measured.</summary>
    public FlatFace Sized(double? lengthMm, double? widthMm) => IsSole || (lengthMm ?? widthMm) is null ? this
        : this with { Layout = Layout with { LengthMm = lengthMm ?? Layout.LengthMm, WidthMm = widthMm ?? Layout.WidthMm } };
}

/// <summary>The flat faces of a tool: what slides on the work, what an iron lies on, what meets.</summary>
public static class FlatFaces
{
    /// <summary>Key of the sole.</summary>
    public const string Sole = "sole";

    /// <summary>Longest key that is read.</summary>
    public const int MostKey = 60;

    private const string NearEdge = "the near edge", Left = "the left";

    /// <summary>True for words that can be a key of a face.</summary>
    public static bool IsKey(string key) => key.Length is > 0 and <= MostKey && key.All(c => c is (>= 'a' and <= 'z') or (>= '0' and <= '9') or '_' or '/');

    /// <summary>The faces of a tool, the one that is read most first.</summary>
    /// <param name="facts">What is known of the tool.</param>
    /// <param name="a">Sizes nobody measured, and how flat a face is wanted.</param>
    public static IReadOnlyList<FlatFace> Of(Facts facts, Assumptions a) => [.. All(facts, a)];

    /// <summary>A face that this tool does not have, or has no more: what was surveyed on it is shown all the same.</summary>
    /// <param name="key">Its key.</param>
    /// <param name="facts">What is known of the tool.</param>
    /// <param name="a">Sizes nobody measured.</param>
    public static FlatFace Unnamed(string key, Facts facts, Assumptions a) => new(key, facts.Tool.Parts[0].Id, key == Sole ? "sole" : "face that was surveyed",
        "the toe", NearEdge, SoleLayout.Of(facts, a) with { Mouth = null, MouthFrontMm = null, Grooves = [] }, null);

    private static IEnumerable<FlatFace> All(Facts facts, Assumptions a)
    {
        ToolKind tool = facts.Tool;
        IReadOnlyDictionary<PartId, PartExtent> sizes = Extents.Of(facts, a);
        if (tool.HasMetalSole || tool.HasWoodenSole)
        {
            yield return new FlatFace(Sole, tool.Key(PartIds.Body), "sole", "the toe", NearEdge, SoleLayout.Of(facts, a), null);
        }
        foreach (FlatFace face in Backs(facts, sizes, a).Concat(Frog(tool, sizes, a)).Concat(Cheeks(facts, sizes, a)).Concat(Jaws(tool, sizes, a)))
        {
            yield return face;
        }
    }

    private static FlatFace Face(string key, PartDef part, string name, string from, string beside, double length, double width, double wanted) =>
        new(key, part.Id, name, from, beside, new SoleLayout(Math.Max(1, Math.Round(length)), Math.Max(1, Math.Round(width)), null, null, []), wanted);

    // Along the edge and back from it: what lies far behind the edge of a plane's iron bears on nothing, but a chisel is guided by all of its back.
    private static IEnumerable<FlatFace> Backs(Facts facts, IReadOnlyDictionary<PartId, PartExtent> sizes, Assumptions a)
    {
        ToolKind tool = facts.Tool;
        bool flat = tool.File.Edge is EdgeForm.BackAndBevel or EdgeForm.Profiled or EdgeForm.FlatFace or EdgeForm.Bypass;
        foreach (PartDef part in tool.Edges.Where(p => flat && facts.Has(p.Id)))
        {
            PartExtent e = sizes[part.Id];
            string key = $"back/{part.Id.Value}", name = tool.File.Edge == EdgeForm.FlatFace ? "flat face" : $"back of the {part.Name}";
            bool isWhole = tool.BackGuides && e.LengthMm > facts.EdgeWidthMm(a);
            yield return isWhole ? Face(key, part, name, "the edge", Left, e.LengthMm, facts.EdgeWidthMm(a), a.FaceBackMm)
                : Face(key, part, name, Left, "the edge", tool.Family == Family.Plane || tool.File.Edge == EdgeForm.FlatFace ? facts.EdgeWidthMm(a)
                    : e.LengthMm, Math.Min(a.BackBehindEdgeMm, e.WidthMm), a.FaceBackMm);
        }
        if (tool.Part(PartIds.CapIron) is { } cap && facts.Has(cap.Id))
        {
            yield return Face("cap_iron", cap, "underside of the cap iron, at its edge", Left, "the edge", facts.EdgeWidthMm(a), a.CapIronLandMm, a.FaceCapMm);
        }
    }

    private static IEnumerable<FlatFace> Frog(ToolKind tool, IReadOnlyDictionary<PartId, PartExtent> sizes, Assumptions a)
    {
        if (tool.Part(PartIds.Frog) is not { } frog)
        {
            yield break;
        }
        PartExtent e = sizes[frog.Id];
        yield return Face("frog_face", frog, "face of the frog", "the mouth", Left, e.LengthMm, e.AcrossMm, a.FaceFrogMm);
        yield return Face("frog_seat", frog, "seat of the frog", "the front", Left, e.AcrossMm, Math.Min(e.WidthMm, e.ThickMm), a.FaceFrogMm);
    }

    private static IEnumerable<FlatFace> Cheeks(Facts facts, IReadOnlyDictionary<PartId, PartExtent> sizes, Assumptions a)
    {
        ToolKind tool = facts.Tool;
        bool both = tool.HasMetalSole && tool.HasBed && tool.File.Edge == EdgeForm.BackAndBevel;
        if ((both || tool.Works(KindTrait.SideGuides)) && tool.Part(PartIds.Body) is { } body)
        {
            // The side of a body is drawn; what is left of its sides beside its length and its breadth is its height.
            PartExtent e = sizes[body.Id];
            double high = Math.Max(1, e.WidthMm + e.ThickMm - Math.Min(e.AcrossMm, e.WidthMm));
            (string, string)[] named = both ? [("left_cheek", "left cheek"), ("right_cheek", "right cheek")] : [("side", "side that guides it")];
            foreach ((string key, string name) in named)
            {
                yield return Face(key, body, name, "the toe", "the sole", facts.LengthMm, high, a.FaceCheekMm);
            }
        }
    }

    private static IEnumerable<FlatFace> Jaws(ToolKind tool, IReadOnlyDictionary<PartId, PartExtent> sizes, Assumptions a) =>
        tool.Made(PartIds.HeelPin) ? []
        : tool.Parts.Where(p => p.Is(PartIds.FixedJaw, PartIds.SlidingJaw)).SelectMany(p => tool.Made(PartIds.SlidingJaw)
            ? new[] { Jaw(p, "", sizes, a) } : [Jaw(p, "upper", sizes, a), Jaw(p, "lower", sizes, a)]);

    private static FlatFace Jaw(PartDef part, string which, IReadOnlyDictionary<PartId, PartExtent> sizes, Assumptions a)
    {
        PartExtent e = sizes[part.Id];
        double[] sides = [e.LengthMm, e.WidthMm, e.ThickMm];
        double longest = sides.Where(s => s != e.AcrossMm).DefaultIfEmpty(e.LengthMm).Max(), along = which.Length == 0 ? longest : longest / 2;
        return Face($"jaw/{part.Id.Value}{(which.Length == 0 ? "" : $"/{which}")}", part, which.Length == 0 ? $"face of the {part.Name}"
            : $"{which} jaw face of the {part.Name}", "the tip", "the near side", along, e.AcrossMm, a.FaceJawMm);
    }
}
