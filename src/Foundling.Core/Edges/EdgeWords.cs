namespace Foundling.Core.Edges;

/// <summary>Edges in words: routes past pits and what they commit one to, angles, blades.</summary>
public static class EdgeWords
{
    /// <summary>A route, or what is recommended where none is.</summary>
    /// <param name="route">Its key, as <see cref="SaveTheBackResult"/> gives it.</param>
    public static string Name(string route) => route switch
    {
        "lap" => "Lap the back", "shim" => "Pass under with a shim", "grind_back" => "Grind back past them", "nothing_to_do" => "Nothing to do",
        _ => "For the rack, or a new iron",
    };

    /// <summary>What a route commits one to for good.</summary>
    public static string Commits(string route) => route switch
    {
        "lap" => "the back stays true; it costs minutes, not steel", "shim" => "the shim every time it is honed",
        _ => "steel that does not come back; the bevel is made anew",
    };

    /// <summary>Why a route is closed.</summary>
    /// <param name="refused">The key it is refused by.</param>
    /// <param name="a">How steep a shim may be.</param>
    public static string Closed(string refused, Assumptions a) => refused switch
    {
        "chisel" => "never on a chisel: its back guides it",
        "angle_over_5_deg" => $"the shim would be steeper than {a.ShimLimitDeg:0.#}°",
        _ => "past the hard steel",
    };

    /// <summary>Why that is recommended, in a sentence.</summary>
    public static string Because(SaveTheBackResult saved, Assumptions a) => saved.Recommend == "nothing_to_do"
        ? "No pit is near enough to the edge and deep enough to stop it."
        : saved.Ways.ContainsKey(saved.Recommend) ? $"The quickest that leaves {a.SharpeningsWorthSaving:0} sharpenings or more."
        : "Every route leaves too little steel, or is closed.";

    /// <summary>What the clearance means, in a sentence; null where there is enough.</summary>
    public static string? Of(AnglesResult angles) => angles.Verdict switch
    {
        "refuse" => "No clearance: the heel of the bevel rides on the wood, and it will not cut.",
        "warn" => "Little clearance: it cuts while it is new, and soon rides.",
        _ => null,
    };

    /// <summary>What becomes of the edge when the pits are left, in a sentence.</summary>
    /// <param name="input">The iron and its pits.</param>
    /// <param name="a">What one honing takes, and what stops an edge.</param>
    public static string LiveWith(SaveTheBackInput input, Assumptions a)
    {
        List<double> near = [.. input.Pits.Where(p => SaveTheBack.Standing(p, input.WidthMm, input.CamberMm ?? 0, a) == PitStanding.Stops)
            .Select(p => p.NearSideMm)];
        int honings = near.Count == 0 ? 0 : IronReserve.SharpeningsIn(near.Min(), a);
        return near.Count == 0 ? "No pit stops it." : honings == 0 ? "A pit is in the edge now: it leaves a line on every shaving."
            : $"Honing brings the first pit to the edge after about {honings} sharpenings; from then on it leaves a line on every shaving.";
    }

    /// <summary>What an edge of two faces is like at work; empty for a usual one.</summary>
    public static string Wedge(double includedDeg, Assumptions a) => includedDeg < a.WedgeKeenDeg ? "keen: it bites deep, and bends or chips on knots"
        : includedDeg > a.WedgeStoutDeg ? "stout: it splits and lasts, and glances off" : "";

    /// <summary>What grinding and honing a blade must keep to, in a sentence.</summary>
    /// <param name="side">Which side is ground.</param>
    /// <param name="hollow">It is curved across, as a gouge is: its left side is the outside, its right one the inside.</param>
    public static string Keep(Ground side, bool hollow) => (side, hollow) switch
    {
        (Ground.BothSides, _) =>
          "Both faces alike, counted in strokes, a little rounded behind the edge. Never ground so hot that it colours: it is thin where it "
            + "is hard.",
        (Ground.RightSide, true) => "Ground inside with a slip or a round stone of its radius; the outside is its back and carries no bevel.",
        (_, true) => "Ground outside, rolled so that every part of the edge meets the stone; the hollow is its back and only loses the burr, to a slip.",
        _ => "The flat side stays flat up to the edge: a stone lifted on it makes it wander off the line.",
    };

    /// <summary>What grinding the blade of a tool must keep to, with what is particular to its kind.</summary>
    /// <param name="tool">The tool; null for any blade.</param>
    /// <param name="side">Which side is ground.</param>
    public static string Keep(Tools.ToolKind? tool, Ground side)
    {
        bool hollow = tool?.Edge == Tools.EdgeForm.Curved, asMade = !hollow || (side == Ground.RightSide) == tool!.GroundInside;
        return asMade && tool is not null && !tool.Is(Tools.FormIds.InCannel) && tool.Manner.Grind is { } own ? own : Keep(side, hollow);
    }

    /// <summary>How an edge is brought square.</summary>
    public const string Square = "Scribe the line square across the flat side with the side as guide, blunt the edge down to it, then the bevel.";

    /// <summary>When the edge of a head is made.</summary>
    public const string BeforeTheHaft = "Edge first, covered, then hung: a head without its haft is held and ground more easily, and hands work round the edge "
        + "while it is hung.";

    /// <summary>What a pit means for the edge, in words.</summary>
    public static string Of(PitStanding standing) => standing switch
    {
        PitStanding.Stops => "stops the edge",
        PitStanding.Shallow => "polishes out",
        PitStanding.FarBack => "too far back to matter",
        _ => "goes with the corner",
    };

    /// <summary>What steel is ground on, in words.</summary>
    public static string Of(GrindOn on) => on switch
    {
        GrindOn.BenchGrinder => "the bench grinder", GrindOn.Belt => "a belt", GrindOn.P100OnGlass => "P100 paper on glass", _ => "a coarse diamond plate",
    };
}
