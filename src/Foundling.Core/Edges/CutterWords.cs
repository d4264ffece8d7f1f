using Foundling.Core.Keys;

namespace Foundling.Core.Edges;

/// <summary>Cutters in words.</summary>
public static class CutterWords
{
    /// <summary>A way to deal with chipped jaws.</summary>
    public static string Name(WayId way) => way switch
    {
        WayId.LeaveChip => "Leave the chip", WayId.Stops => "Dress, and file the stops", WayId.Holes => "Dress, and move the holes", _ => "New jaws",
    };

    /// <summary>Why a way is advised, in a sentence.</summary>
    public static string Because(WayId way) => way switch
    {
        WayId.LeaveChip => "Nothing could follow what the faces would lose, and there is face enough beside it.",
        WayId.Stops => "The stops can follow so little, and nothing else has to move.",
        WayId.Holes => "The stops cannot follow, and there is metal beside the holes.",
        _ => "Too much is gone to cut beside it, and nothing could follow the dressing.",
    };

    /// <summary>What is minded when something is cut.</summary>
    public const string Mind =
      "What is cut flies: goggles, and a rag over the short end. What a file skates on is too hard for it: try a scrap with a file first.";

    /// <summary>What is minded with a blade on a spring.</summary>
    public const string MindSpring = "It closes on a spring: fingers away from the edge while it is tried, and catch or strap on when it lies.";

    /// <summary>Why stops cannot follow where there are none.</summary>
    public const string NoStops = "It has no stops that could follow.";

    /// <summary>How hard stock is.</summary>
    public static string Of(StockHardness stock) => stock switch
    {
        StockHardness.Mild => "mild rod and wire", StockHardness.Bolt => "bolts, hard wire", _ => "spring wire, hardened chain",
    };

    /// <summary>Where light may show, with its name.</summary>
    public static IReadOnlyList<(LightAt At, string Name)> Lights { get; } =
    [
        (LightAt.None, "nowhere"), (LightAt.Heel, "near the pivot"), (LightAt.Middle, "in the middle"), (LightAt.Tip, "at the tip"), (LightAt.All, "all along"),
    ];

    /// <summary>Harm an edge that passes a hook may have, with what is done about it.</summary>
    public static IReadOnlyList<(EdgeHarm Harm, string Name, string Do)> Harms { get; } =
    [
        (EdgeHarm.None, "none", ""),
        (EdgeHarm.Rolled, "rolled over", "A rolled edge is stoned back from the bevel side until the burr is gone; the flat side is only rubbed flat."),
        (EdgeHarm.ChipHeel, "chipped near the pivot", "It does the thick twigs: stone it out, with the edge kept straight past it."),
        (EdgeHarm.ChipMiddle, "chipped in the middle", "Stoned out alone it leaves a hollow that folds twigs: bring the whole edge back to it, evenly."),
        (EdgeHarm.ChipTip, "chipped at the tip", "The tip may be shortened to it: round it, and see that it still passes the hook."),
    ];
}

/// <summary>Harm to an edge that passes a hook.</summary>
public enum EdgeHarm
{
    /// <summary>None.</summary>
    None,

    /// <summary>It is rolled over.</summary>
    Rolled,

    /// <summary>A chip near the pivot.</summary>
    ChipHeel,

    /// <summary>A chip in the middle.</summary>
    ChipMiddle,

    /// <summary>A chip at the tip.</summary>
    ChipTip,
}
