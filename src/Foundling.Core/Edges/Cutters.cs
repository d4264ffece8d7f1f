using Foundling.Core.Keys;

namespace Foundling.Core.Edges;

/// <summary>Jaws that meet at stops, one of them chipped.</summary>
/// <param name="ChipMm">How deep the deepest chip goes into the face, mm.</param>
/// <param name="PivotToJawFaceMm">From the pivot to the middle of the faces, mm.</param>
/// <param name="PivotToStopMm">From the pivot to the stops, mm.</param>
/// <param name="StopRoomMm">What each stop can lose before nothing is left to file, mm; 0 for no stops.</param>
/// <param name="HoleRoomMm">Metal that may go beside each pivot hole, mm; null where nobody looked.</param>
/// <param name="ChipShare">Share of the length of the face that the chip takes.</param>
public sealed record ChippedJawsInput(double ChipMm, double PivotToJawFaceMm, double PivotToStopMm, double StopRoomMm, double? HoleRoomMm, double ChipShare);

/// <summary>One way to deal with chipped jaws.</summary>
/// <param name="Way">The way.</param>
/// <param name="FaceMm">What each face loses, mm.</param>
/// <param name="FollowMm">How far stops or holes must follow, each, mm; 0 where nothing follows.</param>
/// <param name="Open">Whether it can be done.</param>
/// <param name="Why">Why not, or what it commits one to, in a sentence.</param>
public sealed record JawRoute(WayId Way, double FaceMm, double FollowMm, bool Open, string Why);

/// <summary>The ways side by side, and the one to take.</summary>
public sealed record ChippedJaws(IReadOnlyList<JawRoute> Routes, WayId Recommend)
{
    /// <summary>Compares them.</summary>
    /// <param name="input">The jaws.</param>
    /// <param name="a">How much of a face a chip may take.</param>
    /// <exception cref="InputException">Sizes no cutter has.</exception>
    public static ChippedJaws Of(ChippedJawsInput input, Assumptions a)
    {
        double d = Check.NotNegative(input.ChipMm, "chip_mm"), room = Check.NotNegative(input.StopRoomMm, "stop_room_mm");
        double share = Check.Within(input.ChipShare, 0, 1, "chip_share");
        double follow = Edge.StopJaws(new StopJawsInput(d, input.PivotToJawFaceMm, input.PivotToStopMm)).StopLossEachMm;
        bool stops = room > 0 && follow <= room + Whole.Slack, holes = input.HoleRoomMm is double h && d <= Check.NotNegative(h, "hole_room_mm") + Whole.Slack;
        bool beside = share <= a.ChipMostShare + Whole.Slack;
        JawRoute[] routes =
        [
            new(WayId.LeaveChip, 0, 0, beside, beside ? "It cuts beside the chip; burrs off and no more. A crack at the root of a chip is the end of the jaw."
                : "Too much of the face is gone to cut beside it."),
            new(WayId.Stops, d, follow, stops, stops ? "Stops that were filed do not come back: the next chip may find nothing left."
                : room <= 0 ? CutterWords.NoStops : "The stops cannot follow so far."),
            new(WayId.Holes, d, d, holes, holes ? "Both holes move alike, drilled through both straps together; bolts to fit."
                : input.HoleRoomMm is null ? "Look how much metal stands beside the holes." : "Too little metal would stand beside the holes."),
            new(WayId.NewJaws, 0, 0, true, "Both from one pair, same maker and size; measure holes and thickness before buying."),
        ];
        WayId best = d <= 0 ? WayId.LeaveChip : stops ? WayId.Stops : holes ? WayId.Holes : beside ? WayId.LeaveChip : WayId.NewJaws;
        return new ChippedJaws(routes, best);
    }
}

/// <summary>How hard what is cut is.</summary>
public enum StockHardness
{
    /// <summary>Mild rod and wire.</summary>
    Mild,

    /// <summary>Bolts and hard wire.</summary>
    Bolt,

    /// <summary>Spring wire and hardened chain.</summary>
    Spring,
}

/// <summary>What a cutter may cut.</summary>
public static class CutterCapacity
{
    /// <summary>
    /// Thickest round stock of a hardness, mm, by what is marked for one: what is softer is cut no thicker, for the jaws open no wider; what is harder is not
    /// cut at all, for it chips jaws that were not hardened for it. Null for that.
    /// </summary>
    /// <param name="markedMm">The thickest that is marked, mm.</param>
    /// <param name="markedFor">What it is marked for.</param>
    /// <param name="cut">What shall be cut.</param>
    public static double? MostMm(double markedMm, StockHardness markedFor, StockHardness cut)
    {
        double most = Check.Positive(markedMm, "marked_mm");
        return cut > markedFor ? null : most;
    }
}

/// <summary>Where light shows between a blade and its hook or anvil as it closes.</summary>
public enum LightAt
{
    /// <summary>Nowhere.</summary>
    None,

    /// <summary>Near the pivot.</summary>
    Heel,

    /// <summary>In the middle.</summary>
    Middle,

    /// <summary>At the tip.</summary>
    Tip,

    /// <summary>All along.</summary>
    All,
}

/// <summary>A blade that passes a hook, or comes down on an anvil, read by what it does.</summary>
public static class PassingPair
{
    /// <summary>What its pivot asks for, in a sentence.</summary>
    /// <param name="openingSeconds">How long its spring takes to open it, s; infinite where it stays shut.</param>
    /// <param name="a">How long is too long.</param>
    public static string Pivot(double openingSeconds, Assumptions a) => double.IsPositiveInfinity(openingSeconds)
        ? "Drawn up too far, or dry: oil it, and let the nut back a notch until the spring opens it."
        : Check.NotNegative(openingSeconds, "opening_s") > a.OpeningSlowS ?
          "It opens slowly: clean and oil the pivot first; if it is still slow, one notch back."
        : "The spring opens it freely: try one notch tighter, and keep the last that still opens by itself. Write the notch and the time on the tag.";

    /// <summary>What light between blade and hook asks for.</summary>
    public static string Light(LightAt at) => at switch
    {
        LightAt.None => "No light: it shears as it should.",
        LightAt.Heel => "Light near the pivot: it is loose, or its faces are worn there. Draw it up before anything is ground.",
        LightAt.Middle => "A hollow in the flat side or the hook, often from a chip that was ground out: rub the flat side flat as a whole, then the hook.",
        LightAt.Tip => "The tip stands off: the blade or hook is sprung, or the pivot is loose. Draw it up; then bend the hook back cold, a little at a time.",
        _ => "It stands off all along: the pivot is loose, or something sits under the blade at the pivot.",
    };

    /// <summary>What light between a blade and an anvil asks for.</summary>
    public static string Anvil(LightAt at) => at switch
    {
        LightAt.None => "It meets the anvil all along: leave it.",
        LightAt.Middle => "The anvil is grooved, or the edge is hollow: flatten the anvil's face with a file, or turn or renew its strip; then the edge.",
        LightAt.All => "It does not come down on the anvil: look for what stops the handles first.",
        _ => "It meets at one end only: true the edge to the anvil, not the anvil to the edge.",
    };
}
