using Foundling.Core.Soles;
using Foundling.Core.Stores;
using Foundling.Core.Tools;

namespace Foundling.Core.Proof;

/// <summary>The proofs there are, by the keys kind files name them by; the first of a kind is the one its papers are known by.</summary>
public static class Proofs
{
    private delegate ProofKind? Make(ToolKind tool, SolePurpose? purpose, Assumptions a);

    private static readonly SupplyId Softwood = SupplyIds.ScrapOfSoftwood, Hardwood = SupplyIds.ScrapOfHardwood, Caliper = SupplyIds.Caliper,
        Square = SupplyIds.TrySquare, Feelers = SupplyIds.StraightedgeAndFeelers, Green = SupplyIds.GreenWood, Nut = SupplyIds.NutOfKnownSize;

    private static readonly Dictionary<string, Make> Known = new()
    {
        ["shaving"] = (_, purpose, a) => Shaving(purpose switch { SolePurpose.Jack => a.JackShavingMm, SolePurpose.Try => a.TryShavingMm, _ =>
            a.FineShavingMm }),
        ["shaving_try"] = (_, _, a) => Shaving(a.TryShavingMm),
        ["shaving_jack"] = (_, _, a) => Shaving(a.JackShavingMm),
        ["surface"] = Seen("surface", "The surface it leaves", "One pass with the grain, in raking light.", "wood, figure", [Softwood],
            "clean and bright", "tracks at the corners", "torn, or it chatters"),
        ["rebate"] = Seen("rebate", "A rebate", "A rebate along the edge, checked with a try square.", "wood, width", [Softwood, Square],
            "square, the wall clean", "the wall leans", "it jams or wanders"),
        ["groove"] = Seen("groove", "A groove in softwood and in hardwood", "One along the grain in each; look at both walls.", "woods, width of the iron",
            [Softwood, Hardwood], "walls clean, shavings leave freely", "walls furred", "it jams or wanders off the fence"),
        ["depth"] = (_, _, a) => new MeasuredProof("depth", "Depth along the groove",
            "How far the depth differs from what the stop was set to, at both ends and in the middle.", "wood, depth set", [Softwood, Caliper],
            "Error of depth", Direction.AtMost, a.GrooveOutMm, 0.05),
        ["moulding"] = Seen("moulding", "A moulding", "A metre in straight softwood, until the stop bears along its whole length.", "wood, length", [Softwood],
            "one shaving over the whole profile, clean", "tracks, or a member it misses", "it chatters, tears or leaves the fence"),
        ["twin"] = Seen("twin", "A second stick", "Run another, lay the two side by side under a straightedge.", "wood", [Softwood, Feelers],
            "alike in every member", "alike, but not as deep", "they differ"),
        ["shoulder"] = Seen("shoulder", "A tenon shoulder", "End grain of hardwood, ten strokes from each side; a square against it.", "wood, width",
            [Hardwood, Square], "square, the corner clean", "light at the square", "it walks away from the corner"),
        ["trench"] = Seen("trench", "A trench", "Ten millimetres deep between two saw cuts in hardwood, lowered in four or five goes.", "wood, width, depth",
            [Hardwood], "level, no chatter lines", "ridges or chatter lines", "it digs in, or the cutter creeps"),
        ["floor"] = (_, _, a) => new MeasuredProof("floor", "Floor of the trench", "Depth at its four corners, each against the first.", "wood, depth",
            [Hardwood, Caliper], "Difference of depth", Direction.AtMost, a.TrenchOutMm, 0.05),
        ["scraped"] = Seen("scraped", "A scraped panel", "Along and across a figured board, skewed a little.", "wood, figure", [Hardwood],
            "shavings, and no tracks", "shavings, with tracks", "dust only"),
        ["scraping"] = (_, _, a) => new MeasuredProof("shaving", "Measured scrapings", "Three or more, each in its middle.", "wood, figure",
            [Hardwood, Caliper],
            "Scraping thickness", Direction.AtMost, a.ScrapingMm, 0.01),
        ["toothed"] = Seen("toothed", "A toothed panel", "Both ways over a panel, then light from the side.", "wood, size of the panel", [Hardwood],
            "even lines all over", "bare patches", "torn, or lines of uneven depth"),
        ["curve"] = Seen("curve", "A curve", "A curve in ash, with the grain and against.", "wood, radius", [Hardwood],
            "clean both ways", "chatters against the grain", "skips or tears"),
        ["chamfer"] = Seen("chamfer", "A chamfer", "Along straight ash, pushed and pulled.", "wood", [Hardwood],
            "unbroken shavings, alike at both ends", "thicker at one end", "it chatters, or the iron creeps"),
        ["drift"] = (_, _, a) => Drift(a.HandSawDriftMm),
        ["drift_back"] = (_, _, a) => Drift(a.BackSawDriftMm),
        ["feel"] = Seen("feel", "How it cuts", "Long even strokes: listen, and look at the far side.", "wood, along or across the grain", [Softwood],
            "runs freely, the kerf is clean", "binds, or the far side frays", "will not start, or wanders"),
        ["strung"] = Seen("strung", "Strung", "Wound to working tension: pluck the blade, then turn it out by a third of a right angle.",
            "turns of the toggle", [],
            "it rings, both arms stand alike, the blade is flat", "dull, or one arm leans", "wood or cord gives, or the blade winds"),
        ["keyhole"] = Seen("keyhole", "A curve from a hole", "From a 10 mm hole in thin board, round a 25 mm radius.", "wood, thickness", [Softwood],
            "round, the blade still in its pad", "it buckles or creeps", "it will not follow"),
        ["pared"] = Seen("pared", "Pared end grain", "Pare end grain of pine by hand.", "wood", [Softwood],
            "a clean shaving, no white line", "white lines where it is nicked", "it crushes the fibres"),
        ["hollow"] = Seen("hollow", "A hollow", "Across the grain in pine, both corners clear of the wood.", "wood", [Softwood],
            "clean and shiny, without a ridge", "a ridge where it is nicked", "it tears, or a corner digs"),
        ["edge"] = Seen("edge", "The edge", "Look along it under a lamp, then draw it through hanging paper.", "", [],
            "no light from it, paper falls in two", "a glint here and there, paper snags", "it shines along its length, paper tears"),
        ["stave"] = Seen("stave", "A stave", "Bevel down and bevel up along a stave.", "wood, green or dry", [Green],
            "long shavings, both hands even", "it dives or chatters", "it will not take a shaving"),
        ["notch"] = Seen("notch", "A notch", "A notch across green wood.", "wood, thickness", [Green],
            "chips fly clean", "it sticks or glances", "the edge turns or chips"),
        ["hewn"] = Seen("notch", "A hewn face", "Hew a face along a line in green wood.", "wood, thickness", [Green],
            "chips fly clean", "it sticks or glances", "the edge turns or chips"),
        ["scallops"] = Seen("scallops", "A dressed face", "Across a baulk, feet well apart and out of its swing.", "wood", [Green],
            "even scallops as wide as the edge", "lines where it is nicked", "it digs or skates"),
        ["rod"] = Seen("rod", "A green rod", "A rod as thick as a thumb, at a slant; then the beak on the pull.", "wood, thickness", [Green],
            "one stroke, smooth, and the beak cuts", "crushed, or a second stroke", "the edge folds"),
        ["head"] = (tool, _, _) => new SeenProof("head", tool.Part(PartIds.Haft) is null ? "Everything tight" : "Head tight",
            "Strike twenty blows, then look at the eye or the grip.", "", [Green], ["tight, no gap", "a thread of a gap", "it has moved"]),
        ["ring"] = Seen("ring", "The haft holds", "A pencil ring round the haft at the near mouth of the eye; thirty blows.", "", [Green],
            "the ring is where it was", "a hair off", "it has moved"),
        ["play"] = (_, _, a) => new MeasuredProof("play", "Play of the jaw",
            "Close it on a nut and rock the sliding jaw; feeler between jaw and slide, three times.",
            "size of the nut", [Nut, Feelers], "Play", Direction.AtMost, a.JawPlayMm, 0.05),
        ["nut"] = Seen("nut", "A nut turned", "Tighten and slacken a clean nut.", "size of the nut", [Nut],
            "no slip, no mark on the flats", "it marks the flats", "it slips"),
        ["nut_fit"] = Seen("fit", "A new nut", "On to the floor of the jaw without force, then a firm pull by hand, both ways.", "size of the nut", [Nut],
            "to the floor, it hardly shakes, no mark", "it shakes, or marks the flats", "it will not go on, or slips"),
        ["spread"] = (_, _, a) => new MeasuredProof("spread", "Jaws parallel", "Opening at the tips less the opening near the floor, three times at each end.",
            "which end", [Caliper], "Widening at the tips", Direction.AtMost, a.JawSpreadMm, 0.05),
        ["bite"] = Seen("bite", "A bite on pipe", "Clean steel pipe of half its size, held in a vice; by hand alone, pulled towards the opening.",
            "size of the pipe",
            [SupplyIds.PipeOfKnownSize, SupplyIds.BenchVice], "bites at once, holds, lets go by itself", "it slips before it bites",
                "it smears, or will not hold"),
        ["hole-wood"] = Seen("hole-wood", "A hole in wood", "Through a scrap, backed.", "wood, size of the bit", [Softwood, SupplyIds.DrillBits],
            "round and in place", "ragged, or off its mark", "the bit slips"),
        ["hole-auger"] = Seen("hole-wood", "A hole in wood", "An auger bit through a board, upright, backed.", "wood, size of the bit",
            [Softwood, SupplyIds.AugerBit], "clean, the bit held", "off its mark", "the bit slips or drops"),
        ["hole-steel"] = Seen("hole-steel", "A hole in mild steel", "Centre punched, with oil.", "thickness, size of the bit",
            [SupplyIds.ScrapOfMildSteel, SupplyIds.DrillBits], "round and in place", "off its mark, or oval", "the bit slips or will not cut"),
        ["runout"] = (_, _, a) => new MeasuredProof("runout", "Run-out of a straight bit",
            "A straight rod in the chuck; turn it slowly past a mark, three times, chucked anew each time.", "size of the rod", [SupplyIds.DrillBits, Feelers],
            "Run-out", Direction.AtMost, a.RunOutMm, 0.05),
        ["ratchet"] = (tool, _, _) => !tool.Made(PartIds.Ratchet) ? null : new SeenProof("ratchet", "The ratchet both ways",
            "Turn it half about in a corner, right and left, then locked.", "", [Softwood, SupplyIds.AugerBit],
            ["holds both ways, and locked", "skips now and then", "does not hold"]),
        ["bolt"] = Seen("bolt", "A bolt of its rated size", "Soft steel of the size it is rated for, never hardened, after a thinner one went well; goggles, "
            + "and the piece held.", "size and kind of the bolt",
            [SupplyIds.SoftBolt, SupplyIds.RatedBolt], "cut through, no mark on the jaws", "cut through, a mark left", "not through"),
        ["gap"] = (_, _, a) => new MeasuredProof("gap", "Gap of the closed jaws", "Feeler between the edges, closed by hand, at both ends and the middle.", "",
            [Feelers], "Gap", Direction.AtMost, a.JawGapMm, 0.05),
        ["twig"] = Seen("twig", "A green twig, then a dry one", "As thick as a pencil; then slip paper along the whole edge.", "size, green or dry", [Green],
            "clean through, paper too", "crushed on one side", "it folds the twig over"),
        ["spring"] = (tool, _, _) => !tool.Made(PartIds.Spring) ? null : new SeenProof("spring", "The spring", "Close it, let go, ten times.", "", [],
            ["opens by itself each time", "sticks now and then", "stays closed"]),
    };

    /// <summary>Keys a kind file may name.</summary>
    public static IReadOnlyCollection<string> Keys => Known.Keys;

    /// <summary>Proofs of a kind of tool.</summary>
    /// <param name="tool">Kind of tool.</param>
    /// <param name="purpose">What a plane's sole is for; decides how thin its shaving must be.</param>
    /// <param name="assumptions">The targets.</param>
    public static IReadOnlyList<ProofKind> For(ToolKind tool, SolePurpose? purpose, Assumptions assumptions) =>
        [.. tool.File.Proofs.Select(p => Known.GetValueOrDefault(p)?.Invoke(tool, purpose, assumptions)).OfType<ProofKind>()];

    /// <summary>A proof of a tool by its key; where the key is of another kind of tool, null.</summary>
    public static ProofKind? Find(ToolKind tool, SolePurpose? purpose, string id, Assumptions assumptions) => For(tool, purpose, assumptions)
        .FirstOrDefault(p => p.Id == id);

    private static MeasuredProof Shaving(double targetMm) => new("shaving", "Measured shavings",
        "Three or more full-width shavings, each measured in its middle.",
        "wood, figure, face or edge, width", [Softwood, Caliper], "Shaving thickness", Direction.AtMost, targetMm, 0.01);

    private static MeasuredProof Drift(double targetMm) => new("drift", "A cut to a line",
        "Cut to a line, the saw's own weight alone; measure how far it left the line at the bottom, three cuts or more.",
        "wood, along or across the grain, depth of the cut", [Softwood, Square], "Drift off the line", Direction.AtMost, targetMm, 0.1);

    private static Make Seen(string id, string name, string how, string on, IReadOnlyList<SupplyId> kit, params string[] degrees)
    {
        var proof = new SeenProof(id, name, how, on, kit, degrees);
        return (_, _, _) => proof;
    }
}
