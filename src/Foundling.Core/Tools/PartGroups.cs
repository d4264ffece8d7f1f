using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.Tools;

/// <summary>Parts that are spoken of together.</summary>
/// <param name="Id">Key, beginning with a star so that it is never a part's.</param>
/// <param name="Name">In words: "all screws, nuts and pins".</param>
/// <param name="Parts">The parts.</param>
public sealed record PartGroup(string Id, string Name, IReadOnlyList<PartDef> Parts);

/// <summary>Groups of parts for findings that hold for all of them, and places on a part.</summary>
public static class PartGroups
{
    /// <summary>Groups of two parts or more that a kind has.</summary>
    public static IReadOnlyList<PartGroup> Of(ToolKind kind)
    {
        (string Id, string Name, Func<PartDef, bool> In)[] all =
        [
            ("*screws", "all screws, nuts and pins", p => p.IsFastener), ("*iron", "all iron and steel", p => p.Ferrous),
            ("*castings", "all castings", p => p.Material == Material.CastIron), ("*edges", "all that cuts", p => p.Material == Material.EdgeSteel),
            ("*small", "small steel parts", p => kind.Family is Family.Plane or Family.BoringTool
                && p.Material is Material.Steel or Material.SpringSteel && !p.IsFastener && Faults.Can(kind, p, FindingKind.Missing)),
            ("*brass", "all brass", p => p.Material == Material.Brass), ("*wood", "all wood", p => p.Material == Material.Wood),
            ("*soft", "leather and cord", p => p.Material == Material.Soft),
            ("*coated", "all coated parts", p => p.Finish is PartFinish.Japanned or PartFinish.Painted),
        ];
        // Two names for the same parts are one too many.
        return [.. all.Select(g => new PartGroup(g.Id, g.Name, [.. kind.Parts.Where(g.In)])).Where(g => g.Parts.Count > 1)
            .DistinctBy(g => string.Join(' ', g.Parts.Select(p => p.Id)))];
    }

    /// <summary>Places on a part where a kind of fault can be; the first is the one usually meant.</summary>
    public static IReadOnlyList<string> Places(ToolKind kind, PartDef part, FindingKind fault) => fault switch
    {
        FindingKind.OutOfFlat => part.Is(PartIds.Frog) ? ["face", "seat"] : ["sole", "cheek", "toe"],
        FindingKind.OutOfSquare => ["cheek"],
        FindingKind.Wind => ["sole"],
        _ => Places(kind, part),
    };

    // Where a body does not touch the work, and where what cuts is far from its edge.
    private static readonly string[] BesideSole = ["cheek", "seat", "bed", "abutments", "arch", "crest", "throat", "grain"],
        BehindEdge = ["slot", "top", "tail", "body middle", "middle of blade", "eye", "poll", "cheek"];

    /// <summary>True when a place is on the face a part works with: the sole of a body, the edge and what lies behind it; also where none is said.</summary>
    /// <param name="kind">The tool.</param>
    /// <param name="part">The part.</param>
    /// <param name="place">The place, in the words of the kind or of the one who looked.</param>
    public static bool Bears(ToolKind kind, PartDef part, string place)
    {
        bool Says(string[] words) => words.Any(w => place.Contains(w, StringComparison.OrdinalIgnoreCase));
        return part.Is(PartIds.Body) && (kind.HasMetalSole || kind.HasWoodenSole) ? !Says(BesideSole)
            : !kind.Edges.Contains(part) || place.Contains("edge", StringComparison.OrdinalIgnoreCase) || !Says(BehindEdge);
    }

    /// <summary>True for the toe of a sole, which wears first and is left out when the sole is read.</summary>
    public static bool IsToe(string place) => place.Contains("toe", StringComparison.OrdinalIgnoreCase);

    /// <summary>A place in words: "at the mouth", "along the grain".</summary>
    public static string At(string place) => place.Length == 0 ? "" : place is "grain" or "along the grain" ? "along the grain" : place.StartsWith("at the ",
        StringComparison.Ordinal) ? place : place is "cheek" or "sole" or "face" or "seat" ? $"on the {place}" : $"at the {place}";

    /// <summary>A place in words, where the words before it do not name it already.</summary>
    public static string At(string place, string said) => place.Length == 0 || said.Contains(place, StringComparison.Ordinal) ? "" : At(place);

    /// <summary>Places on a part that a crack or pit may be at, the ones that decide first.</summary>
    public static IReadOnlyList<string> Places(ToolKind kind, PartDef part) => kind.Family switch
    {
        Family.Plane when part.Is(PartIds.Body) => part.Material == Material.Wood ? ["mouth", "abutments", "cheek", "toe", "heel", "sole"]
            : kind.Works(KindTrait.CutsBelowSole) ? ["throat", "arch", "sole"]
            : ["mouth", kind.Made(PartIds.Frog) ? "frog seat" : "bed", "cheek", "toe", "heel", "sole"],
        Family.Saw when part.Is(PartIds.Plate) => ["tooth line", "heel", "toe", "middle", "back edge"],
        _ when part.Is(PartIds.Head, PartIds.Bit) => ["eye", "edge", "cheek", "poll"],
        _ when part.Material == Material.EdgeSteel => ["edge", "back", "bevel", "slot", "top"],
        _ when part.Material == Material.Wood => ["end grain", "grain", "bore", "horn"],
        _ => [],
    };
}
