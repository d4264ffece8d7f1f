using Foundling.Core.Soles;
using Foundling.Core.Stores;
using Foundling.Core.Tools;

namespace Foundling.Core.Proof;

/// <summary>A test that shows what a tool can do.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">What is tested, as a heading.</param>
/// <param name="How">How the reading is taken.</param>
/// <param name="On">What belongs to the reading: wood, figure, size.</param>
/// <param name="Kit">What it takes.</param>
public abstract record ProofKind(string Id, string Name, string How, string On, IReadOnlyList<SupplyId> Kit);

/// <summary>A proof by repeated readings of a length against a target.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">What is tested, as a heading.</param>
/// <param name="How">How the reading is taken.</param>
/// <param name="On">What belongs to the reading: wood, figure, size.</param>
/// <param name="Kit">What it takes.</param>
/// <param name="Measures">What is read, in words.</param>
/// <param name="Direction">Which side of the target is good.</param>
/// <param name="TargetMm">Target, mm; assumed, and may be changed.</param>
/// <param name="StepMm">Least step of the usual instrument, mm.</param>
public sealed record MeasuredProof(string Id, string Name, string How, string On, IReadOnlyList<SupplyId> Kit, string Measures, Direction Direction,
    double TargetMm, double StepMm)
    : ProofKind(Id, Name, How, On, Kit);

/// <summary>A proof by what one sees, on a scale of words from good to bad; only the first is a proof.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">What is tested, as a heading.</param>
/// <param name="How">How the reading is taken.</param>
/// <param name="On">What belongs to the reading: wood, figure, size.</param>
/// <param name="Kit">What it takes.</param>
/// <param name="Degrees">What one would see, the good end first.</param>
public sealed record SeenProof(string Id, string Name, string How, string On, IReadOnlyList<SupplyId> Kit, IReadOnlyList<string> Degrees) : ProofKind(Id, Name,
    How, On, Kit);

/// <summary>The proofs of each kind of tool; the first is the one its papers are known by.</summary>
public static class Proofs
{
    private static readonly SupplyId Softwood = SupplyIds.ScrapOfSoftwood, Hardwood = SupplyIds.ScrapOfHardwood, Caliper = SupplyIds.Caliper,
        Square = SupplyIds.TrySquare, Feelers = SupplyIds.StraightedgeAndFeelers;

    private static SeenProof Edge { get; } = new("edge", "The edge", "Look along it under a lamp, then draw it through hanging paper.", "", [],
        ["no light from it, paper falls in two", "a glint here and there, paper snags", "it shines along its length, paper tears"]);

    /// <summary>Proofs of a kind of tool.</summary>
    /// <param name="tool">Kind of tool.</param>
    /// <param name="purpose">What a plane's sole is for; decides how thin its shaving must be.</param>
    /// <param name="assumptions">The targets.</param>
    public static IReadOnlyList<ProofKind> For(ToolKind tool, SolePurpose? purpose, Assumptions assumptions)
    {
        Assumptions a = assumptions;
        MeasuredProof Shaving(double targetMm) => new("shaving", "Measured shavings", "Three or more full-width shavings, each measured in its middle.",
            "wood, figure, face or edge, width", [Softwood, Caliper],
            "Shaving thickness", Direction.AtMost, targetMm, 0.01);
        return tool.Id switch
        {
            var k when k.Is(KindIds.MetalBenchPlane, KindIds.WoodenBenchPlane, KindIds.BlockPlane) =>
            [
                Shaving(purpose switch { SolePurpose.Jack => a.JackShavingMm, SolePurpose.Try => a.TryShavingMm, _ => a.FineShavingMm }),
                new SeenProof("surface", "The surface it leaves", "One pass with the grain, in raking light.", "wood, figure", [Softwood], ["clean and bright",
                    "tracks at the corners", "torn, or it chatters"]),
            ],
            var k when k.Is(KindIds.RebatePlane) =>
            [
                Shaving(a.TryShavingMm),
                new SeenProof("rebate", "A rebate", "A rebate along the edge, checked with a try square.", "wood, width", [Softwood, Square],
                    ["square, the wall clean", "the wall leans", "it jams or wanders"]),
            ],
            var k when k.Is(KindIds.PloughPlane) =>
            [
                new SeenProof("groove", "A groove in softwood and in hardwood", "One along the grain in each; look at both walls.", "woods, width of the iron",
                    [Softwood, Hardwood], ["walls clean, shavings leave freely", "walls furred", "it jams or wanders off the fence"]),
                new MeasuredProof("depth", "Depth along the groove",
                    "How far the depth differs from what the stop was set to, at both ends and in the middle.", "wood, depth set", [Softwood, Caliper],
                    "Error of depth", Direction.AtMost, a.GrooveOutMm, 0.05),
            ],
            var k when k.Is(KindIds.ScraperPlane) =>
            [
                new SeenProof("scraped", "A scraped panel", "Along and across a figured board, skewed a little.", "wood, figure", [Hardwood],
                    ["shavings, and no tracks", "shavings, with tracks", "dust only"]),
                new MeasuredProof("shaving", "Measured scrapings", "Three or more, each in its middle.", "wood, figure", [Hardwood, Caliper],
                    "Scraping thickness", Direction.AtMost, a.ScrapingMm, 0.01),
            ],
            var k when k.Is(KindIds.ToothingPlane) =>
                [new SeenProof("toothed", "A toothed panel", "Both ways over a panel, then light from the side.", "wood, size of the panel",
                [Hardwood], ["even lines all over", "bare patches", "torn, or lines of uneven depth"])],
            var k when k.Is(KindIds.Spokeshave) =>
            [
                new SeenProof("curve", "A curve", "A curve in ash, with the grain and against.", "wood, radius", [Hardwood], ["clean both ways",
                    "chatters against the grain", "skips or tears"]),
                Shaving(a.JackShavingMm),
            ],
            var k when k.Is(KindIds.HandSaw, KindIds.BackSaw) =>
            [
                new MeasuredProof("drift", "A cut to a line",
                    "Cut to a line, the saw's own weight alone; measure how far it left the line at the bottom, three cuts or more.",
                    "wood, along or across the grain, depth of the cut", [Softwood, Square], "Drift off the line", Direction.AtMost,
                    tool.Id == KindIds.BackSaw ? a.BackSawDriftMm : a.HandSawDriftMm, 0.1),
                new SeenProof("feel", "How it cuts", "Long even strokes: listen, and look at the far side.", "wood, along or across the grain", [Softwood],
                    ["runs freely, the kerf is clean", "binds, or the far side frays", "will not start, or wanders"]),
            ],
            var k when k.Is(KindIds.Chisel) =>
                [new SeenProof("pared", "Pared end grain", "Pare end grain of pine by hand.", "wood", [Softwood], ["a clean shaving, no white line",
                "white lines where it is nicked", "it crushes the fibres"]), Edge],
            var k when k.Is(KindIds.Drawknife) =>
                [new SeenProof("stave", "A stave", "Bevel down and bevel up along a stave.", "wood, green or dry", [SupplyIds.GreenWood],
                ["long shavings, both hands even", "it dives or chatters", "it will not take a shaving"]), Edge],
            var k when k.Is(KindIds.Axe, KindIds.HewingHatchet, KindIds.MetalHatchet) =>
            [
                new SeenProof("notch", tool.Id == KindIds.HewingHatchet ? "A hewn face" : "A notch", tool.Id == KindIds.HewingHatchet
                    ? "Hew a face along a line in green wood." : "A notch across green wood.", "wood, thickness", [SupplyIds.GreenWood],
                    ["chips fly clean", "it sticks or glances", "the edge turns or chips"]),
                Edge,
                new SeenProof("head", tool.Part(PartIds.Haft) is null ? "Everything tight" : "Head tight",
                    "Strike twenty blows, then look at the eye or the grip.",
                    "", [SupplyIds.GreenWood], ["tight, no gap", "a thread of a gap", "it has moved"]),
            ],
            var k when k.Is(KindIds.AdjustableWrench) =>
            [
                new MeasuredProof("play", "Play of the jaw", "Close it on a nut and rock the sliding jaw; feeler between jaw and slide, three times.",
                    "size of the nut", [SupplyIds.NutOfKnownSize, Feelers], "Play", Direction.AtMost, a.JawPlayMm, 0.05),
                new SeenProof("nut", "A nut turned", "Tighten and slacken a clean nut.", "size of the nut", [SupplyIds.NutOfKnownSize],
                    ["no slip, no mark on the flats", "it marks the flats", "it slips"]),
            ],
            var k when k.Is(KindIds.HandDrill) =>
            [
                new SeenProof("hole-wood", "A hole in wood", "Through a scrap, backed.", "wood, size of the bit", [Softwood, SupplyIds.DrillBits],
                    ["round and in place", "ragged, or off its mark", "the bit slips"]),
                new SeenProof("hole-steel", "A hole in mild steel", "Centre punched, with oil.", "thickness, size of the bit", [SupplyIds.ScrapOfMildSteel,
                    SupplyIds.DrillBits], ["round and in place", "off its mark, or oval", "the bit slips or will not cut"]),
                new MeasuredProof("runout", "Run-out of a straight bit",
                    "A straight rod in the chuck; turn it slowly past a mark, three times, chucked anew each time.", "size of the rod",
                    [SupplyIds.DrillBits, Feelers], "Run-out", Direction.AtMost, a.RunOutMm, 0.05),
            ],
            var k when k.Is(KindIds.Brace) =>
            [
                new SeenProof("hole-wood", "A hole in wood", "An auger bit through a board, upright, backed.", "wood, size of the bit",
                    [Softwood, SupplyIds.AugerBit], ["clean, the bit held", "off its mark", "the bit slips or drops"]),
                .. tool.Made(PartIds.Ratchet) ? [new SeenProof("ratchet", "The ratchet both ways",
                    "Turn it half about in a corner, right and left, then locked.",
                    "", [Softwood, SupplyIds.AugerBit], ["holds both ways, and locked", "skips now and then", "does not hold"])] : Array.Empty<ProofKind>(),
            ],
            var k when k.Is(KindIds.BoltCutter) =>
            [
                new SeenProof("bolt", "A soft bolt", "A soft bolt well under its rating; goggles, and the piece held.", "size and kind of the bolt",
                    [SupplyIds.SoftBolt], ["cut through, no mark on the jaws", "cut through, a mark left", "not through"]),
                new MeasuredProof("gap", "Gap of the closed jaws", "Feeler between the edges, closed by hand, at both ends and the middle.", "", [Feelers],
                    "Gap", Direction.AtMost, a.JawGapMm, 0.05),
            ],
            _ =>
            [
                new SeenProof("twig", "A green twig, then a dry one", "As thick as a pencil; then slip paper along the whole edge.", "size, green or dry",
                    [SupplyIds.GreenWood], ["clean through, paper too", "crushed on one side", "it folds the twig over"]),
                .. tool.Made(PartIds.Spring) ? [new SeenProof("spring", "The spring", "Close it, let go, ten times.", "", [],
                    ["opens by itself each time", "sticks now and then", "stays closed"])] : Array.Empty<ProofKind>(),
            ],
        };
    }

    /// <summary>A proof of a tool by its key; where the key is of another kind of tool, null.</summary>
    public static ProofKind? Find(ToolKind tool, SolePurpose? purpose, string id, Assumptions assumptions) => For(tool, purpose, assumptions)
        .FirstOrDefault(p => p.Id == id);
}
