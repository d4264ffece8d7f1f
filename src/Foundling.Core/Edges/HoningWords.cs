using Foundling.Core.Tools;

namespace Foundling.Core.Edges;

/// <summary>Honing in words: the burr, the strop and the test.</summary>
public static class HoningWords
{
    /// <summary>How the bevel is brought to meet the back, a line each.</summary>
    /// <param name="form">How the edge works.</param>
    public static IReadOnlyList<string> Of(EdgeForm form) => form switch
    {
        EdgeForm.Toothed =>
        [
            "Bevel only, one flat one, no further than the grit that cuts.",
              "The burr is knocked out of the grooves on end grain; no strop: it rounds the points.",
            "Test: it leaves even lines on scrap, every tooth its own.",
        ],
        EdgeForm.Curved =>
        [
            "The bevel rolled on the stone from corner to corner, every part the same strokes, until a burr stands along the whole other side.",
            "The other side only loses the burr: a slip of its curve, flat on it, never lifted.",
            "A strop of the same curve, edge trailing.", "Test: it takes a clean curl across end grain of soft wood, from corner to corner.",
        ],
        EdgeForm.Profiled =>
        [
            "Slips of each radius along the bevel, the fillets last, against the profile of the sole again and again.",
            "The back flat on the stone: it only loses the burr, and keeps the profile.",
              "Test: the shaving has every member of the moulding, none of them torn.",
        ],
        EdgeForm.FlatFace =>
        [
            "The bevel until a burr can be felt along the flat face.", "The flat face flat on the stone, only until the burr is gone: it guides the cut.",
            "Strop, edge trailing; the flat face lies flat on it.", "Test: no line of light along the edge under a lamp.",
        ],
        EdgeForm.Bypass =>
        [
            "On the bevel, along its curve, until a burr stands on the flat side.", "The flat side flat on the stone, once or twice, until the burr is gone.",
            "Test: it cuts thin paper along its whole length.",
        ],
        EdgeForm.TwoBevels =>
        [
            "One side until a burr stands all along the other, then the other; turn and turn about, fewer strokes each time.",
            "The strop for both sides, edge trailing, until the burr no longer changes sides.",
              "Test: no light from the edge under a lamp; it shaves end grain of soft wood.",
        ],
        _ =>
        [
            "Bevel on the coarsest that is needed until a burr can be felt along the whole back; only then the next.",
            "Back flat on the finest stone, a few strokes: the burr bends over; bevel and back in turn until it is gone.",
            "Strop, edge trailing, a few strokes a side: the strop takes off what the stone leaves, and no more.",
            "Test: no line of light along the edge under a lamp; it takes a clean curl off end grain of soft wood.",
        ],
    };

    /// <summary>How the bevel of a tool is brought to meet its back, with what is particular to its kind, a line each.</summary>
    /// <param name="tool">The tool.</param>
    public static IReadOnlyList<string> Of(ToolKind tool)
    {
        IReadOnlyList<string> usual = Of(tool.Edge);
        // What a kind says of a curved blade stands in the place of bevel and back; of a straight one it goes with them.
        return tool.Manner.Honing is not { } own || tool.Is(FormIds.InCannel) ? usual
            : tool.Edge == EdgeForm.Curved ? [own, .. usual.Skip(2)] : [own, .. usual];
    }

    /// <summary>How an edge is held to which the stone goes; null for one that goes to the stone, and where its kind says it in its own words.</summary>
    /// <param name="tool">The tool.</param>
    public static string? Held(ToolKind tool) => !tool.StoneGoes || (tool.Edge == EdgeForm.BackAndBevel && tool.Manner.Honing is not null) ? null
        : "The edge stays still, clamped or propped up and away; the stone goes over it in small circles from end to end, the fingers below the stone's rim.";

    /// <summary>How far an edge is honed that works where nobody sees it; null for one that goes on.</summary>
    /// <param name="tool">The tool.</param>
    /// <param name="a">How deep teeth must stay.</param>
    public static string? NoFurther(ToolKind tool, Assumptions a) => tool.HasSkate ?
      "At the bottom of a groove nobody sees a polish: stop at the grit that cuts."
        : tool.Edge == EdgeForm.Toothed ?
          $"A grooved back is flattened only as far as its teeth stay deeper than {a.ToothedLeastMm:0.0#} mm, and never passed under by a shim." : null;

    /// <summary>Whether the burr is renewed or its bevel filed.</summary>
    public static string Burr(BurrPlan burr, Assumptions a) => burr.FileNow
        ? $"File the bevel to {a.ScraperBevelDeg:0.#}° in a plane, square in the hand, hone bevel and flat side, then turn the burr anew. "
            + "Write angles and passes on the tag."
        : "Burnish the old burr flat and turn it again: the burr is renewed, not the bevel, until it no longer comes up. Write angles and passes on the tag.";

    /// <summary>How an iron is led over a stone, a line each.</summary>
    /// <param name="pattern">The lanes.</param>
    /// <param name="length">Writes a length, mm.</param>
    public static IEnumerable<string> Of(StonePattern pattern, Func<double, string> length)
    {
        int lanes = pattern.Offsets.Count;
        string Lane(double mm) => Math.Abs(mm) < Whole.Slack ? "middle" : $"{length(Math.Abs(mm))} to the {(mm < 0 ? "left" : "right")}";
        yield return lanes > 1 ? $"{lanes} lanes, as many strokes in each: {string.Join(", ", pattern.Offsets.Select(Lane))}."
            : pattern.SkewDeg > 0 ? "It hangs over by a hair." : "Edge and stone are of one width: straight along it.";
        if (pattern.SkewDeg > 0)
        {
            yield return $"{(lanes > 1 ? "Or all at once, the iron turned" : "Turn the iron")} by {pattern.SkewDeg:0}°: its whole edge bears.";
        }
        if (lanes > 1 && pattern.SkewDeg > 0)
        {
            yield return $"In lanes the corners get {Tenths(pattern.CornerShare)} strokes for ten in the middle: as many more on each "
                + "corner as they lack, or the edge turns hollow.";
        }
        else if (lanes > 1)
        {
            yield return $"The sides of the stone get {Tenths(pattern.StoneShare)} strokes for ten in its middle: flatten it before it dishes.";
        }
    }

    private static string Tenths(double share) => $"{share * 10:0.#}";
}
