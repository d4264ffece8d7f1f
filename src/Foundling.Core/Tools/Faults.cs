namespace Foundling.Core.Tools;

/// <summary>Which faults a part can have: a casting does not bend, only what is struck spreads, only what turns seizes.</summary>
public static class Faults
{
    private static readonly HashSet<FindingKind> Spots =
        [FindingKind.Pitting, FindingKind.Crack, FindingKind.EdgeDamage, FindingKind.Repair, FindingKind.Mark, FindingKind.Bent, FindingKind.PaintSplash,
            FindingKind.OutOfFlat, FindingKind.OutOfSquare];

    /// <summary>True for a fault that sits at a spot, of which a part can have several; else it holds for the whole part.</summary>
    public static bool IsSpot(FindingKind kind) => Spots.Contains(kind);

    /// <summary>Kinds of finding that a part of a tool can have, the commonest first.</summary>
    public static IReadOnlyList<FindingKind> For(ToolKind tool, PartDef part) =>
        [.. Enum.GetValues<FindingKind>().Where(k => Can(tool, part, k)).OrderBy(Order)];

    /// <summary>True for a part that a tool of its kind can have been made without: no main part, and nothing that cuts.</summary>
    public static bool CanNeverHave(ToolKind kind, PartDef part) => Can(kind, part, FindingKind.Missing) && kind.Edges.All(e => e.Id != part.Id);

    /// <summary>How bad it usually is that a part is gone: what is common or can be made is easier had.</summary>
    public static int GoneUsually(PartDef part) => part.IsFastener || part.Material is Material.Wood or Material.Soft ? 2 : 3;

    /// <summary>True when a part of a tool can have a fault.</summary>
    public static bool Can(ToolKind tool, PartDef part, FindingKind kind) => kind switch
    {
        FindingKind.Rust or FindingKind.Pitting => part.Ferrous,
        FindingKind.CoatingLoss => part.Finish is not (PartFinish.Bare or PartFinish.Plated),
        FindingKind.PlatingLoss => part.Finish == PartFinish.Plated || (part.IsFastener && part.Ferrous),
        FindingKind.Crack => part.Material != Material.Soft || part.Is(PartIds.Grip, PartIds.UpperGrip, PartIds.LowerGrip),
        FindingKind.Looseness or FindingKind.Missing => !IsMain(tool, part) && !part.OnePiece,
        FindingKind.Seizure => part.IsFastener || part.Moves && !IsMain(tool, part)
            || part.Joint is Joint.Sprung or Joint.TaperedPin or Joint.Wedged,
        FindingKind.EdgeDamage => part.Material == Material.EdgeSteel || part.Is(PartIds.Plate) || part.Is(Toothed),
        FindingKind.Burred => part.IsFastener || IsGripping(tool, part),
        FindingKind.BentTab => part.Joint == Joint.LockTab,
        FindingKind.Mushroomed => IsStruck(tool, part),
        FindingKind.Bent => part.Material is not (Material.CastIron or Material.Soft) && !(IsMain(tool, part) && part.Material == Material.Wood)
            && !part.Is(PartIds.Head, PartIds.Bit, PartIds.Poll, PartIds.Bolster) && !(part.OnePiece && part.Is(PartIds.FixedJaw)),
        FindingKind.Damp or FindingKind.Worm => part.Material == Material.Wood,
        FindingKind.Packed => part.Material is not (Material.Wood or Material.Soft) || part.Is(PartIds.Body),
        FindingKind.Mark => !part.IsFastener && part.Material is not (Material.Soft or Material.SpringSteel),
        FindingKind.Worn => part.Material is Material.EdgeSteel && !part.Is(PartIds.Plate) || part.Material == Material.Soft
            || part.Is(PartIds.FixedJaw, PartIds.SlidingJaw) || part.IsThreaded,
        FindingKind.OutOfFlat => part.Is(PartIds.Body) && (tool.HasMetalSole || tool.HasWoodenSole) || part.Is(PartIds.Frog),
        FindingKind.OutOfSquare or FindingKind.Wind => part.Is(PartIds.Body) && (tool.HasMetalSole || tool.HasWoodenSole),
        _ => true,
    };

    /// <summary>Parts with teeth that mesh.</summary>
    internal static readonly PartId[] Toothed = [PartIds.Gear, PartIds.Pinion, PartIds.IdlerPinion, PartIds.Ratchet];

    /// <summary>True for a smooth jaw that grips flats, and marks them where it is bruised.</summary>
    private static bool IsGripping(ToolKind tool, PartDef part) => tool.Family == Family.Wrench && part.Is(PartIds.FixedJaw, PartIds.SlidingJaw)
        && part.Material != Material.EdgeSteel;

    /// <summary>The piece all others are attached to.</summary>
    public static bool IsMain(ToolKind tool, PartDef part) => tool.Family != Family.Cutter && part.Id == tool.Parts[0].Id || part.Is(PartIds.Head);

    // What a wedge holds is struck only where there is a wedge.
    private static bool IsStruck(ToolKind tool, PartDef part) => part.Struck && !(part.Is(PartIds.Iron) && !tool.Made(PartIds.Wedge));

    private static int Order(FindingKind kind) => kind switch
    {
        FindingKind.Rust => 0,
        FindingKind.EdgeDamage => 1,
        FindingKind.Pitting => 2,
        FindingKind.CoatingLoss or FindingKind.PlatingLoss => 3,
        FindingKind.Crack => 4,
        FindingKind.Looseness => 5,
        FindingKind.Seizure => 6,
        FindingKind.OutOfFlat or FindingKind.Wind or FindingKind.OutOfSquare => 7,
        FindingKind.Bent => 8,
        FindingKind.Burred or FindingKind.BentTab => 9,
        FindingKind.Worn => 10,
        FindingKind.Missing => 11,
        FindingKind.Damp or FindingKind.Worm => 12,
        _ => 13,
    };
}
