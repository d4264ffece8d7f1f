namespace Foundling.Core.Edges;

/// <summary>The routes past pits and what they commit one to, in words.</summary>
public static class BackWords
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
}
