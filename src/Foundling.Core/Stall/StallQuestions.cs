using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Core.Stall;

/// <summary>What an answer at the stall means for the tool.</summary>
/// <param name="Id">Key within its question.</param>
/// <param name="Text">What one taps.</param>
/// <param name="Share">How often this is the answer, of tools seen at stalls.</param>
/// <param name="Findings">The findings it stands for.</param>
/// <param name="Raises">Questions whose bad answers it makes more likely.</param>
public sealed record StallAnswer(string Id, string Text, double Share, IReadOnlyList<Finding> Findings, IReadOnlyList<string> Raises);

/// <summary>One question at the stall.</summary>
/// <param name="Id">Key.</param>
/// <param name="Ask">The question.</param>
/// <param name="Look">Where to look, in one line.</param>
/// <param name="Picture">The picture to ask a seller for when it cannot be looked at.</param>
/// <param name="Answers">From sound to bad.</param>
/// <param name="NotAfter">Answers, as question/answer, after which it is not asked.</param>
public sealed record StallQuestion(string Id, string Ask, string Look, string Picture, IReadOnlyList<StallAnswer> Answers, IReadOnlyList<string> NotAfter);

/// <summary>The questions for each kind of tool, made from its anatomy.</summary>
public static class StallQuestions
{
    /// <summary>Most questions asked of one tool.</summary>
    public const int Most = 12;

    /// <summary>Answers that make trouble elsewhere more likely: heavy rust goes with pits and stuck threads.</summary>
    private static readonly Dictionary<string, string[]> Telling = new()
    {
        ["rust/crust"] = ["pits", "moves", "slots"], ["rust/brown"] = ["pits"], ["moves/stuck"] = ["slots"], ["slots/chewed"] = ["moves", "repair"], ["slots/gone"] = ["moves", "repair"], ["pits/near"] = ["edge", "rust"], ["pits/reach"] = ["edge", "rust"],
        ["steel/little"] = ["edge"], ["coating/traces"] = ["rust", "pits"], ["wood/broken"] = ["repair"], ["complete/piece"] = ["repair"], ["complete/screw"] = ["slots"], ["straight/kink"] = ["teeth"], ["straight/crease"] = ["teeth"], ["damp/soft"] = ["rust", "crack"],
    };

    /// <summary>The questions for a kind, in the order of the anatomy.</summary>
    public static IReadOnlyList<StallQuestion> For(ToolKind kind)
    {
        var questions = new List<StallQuestion>();
        PartDef? edge = kind.Edges.FirstOrDefault() ?? kind.Part("plate");
        PartDef body = kind.Part("body") ?? kind.Part("head") ?? kind.Part("frame") ?? kind.Part("plate") ?? kind.Parts[0];
        StallAnswer A(string id, string text, double share, params Finding[] findings) => new(id, text, share, findings, []);
        void Ask(string id, string ask, string look, string picture, IReadOnlyList<string>? notAfter = null, params StallAnswer[] answers) => questions.Add(new StallQuestion(id, ask, look, picture, [.. answers.Select(a => a with { Raises = Telling.GetValueOrDefault($"{id}/{a.Id}") ?? [] })], notAfter ?? []));

        // Nothing is asked about an iron that is not there.
        string[] noEdge = edge is { Id: "iron" } ? ["edge_there/gone"] : [];
        if (edge is { Id: "iron" })
        {
            Ask("edge_there", $"Is the {edge.Name} there?", "Slide the cap off if the seller lets you.", $"The {edge.Name} on its own, both sides",
                null, A("yes", "yes", 0.93), A("gone", "no", 0.07, F(edge.Id, FindingKind.Missing, 3)));
        }
        List<PartDef> small = [.. kind.Parts.Where(p => p != edge && p != body && p.Material is Material.Brass or Material.Steel or Material.CastIron or Material.SpringSteel)];
        if (small.Count > 0)
        {
            string names = string.Join(", ", small.Take(4).Select(p => p.Name));
            Ask("complete", "Is everything else there?", $"Count: {names}{(small.Count > 4 ? " and the rest" : "")}. A part this model never had is not missing.", "The whole tool from both sides and from above", null,
                A("all", "all there", 0.72), A("never", "all this model had", 0.08), A("screw", "a screw or nut is gone", 0.12, F(small.OrderByDescending(p => p.IsFastener).First().Id, FindingKind.Missing, 2)),
                A("piece", "a piece is gone", 0.08, F(small.OrderBy(p => p.IsFastener).First().Id, FindingKind.Missing, 3)));
        }
        if (kind.Set.FirstOrDefault() is { } further)
        {
            Ask("set", "Is its set of irons there?", "A roll or a box of them often lies elsewhere on the stall: ask.", "All irons side by side, with their numbers", null,
                A("all", "the whole set", 0.25), A("some", "some of it", 0.35, F(further.Id, FindingKind.Missing, 2)), A("one", "only the one in it", 0.4, [.. kind.Set.Select(p => F(p.Id, FindingKind.Missing, 2))]));
        }
        string place = PartGroups.Places(kind, body) is [var first, ..] ? first : "";
        if (kind.Family != Family.Saw)
        {
            Ask("crack", $"Any crack in the {body.Name}{(place.Length > 0 ? $", first at the {place}" : "")}?", "Tap it: a cracked casting buzzes, a sound one rings. Look for a rust line that runs on.", $"The {body.Name} close up{(place.Length > 0 ? $" at the {place}" : "")}, in side light", null,
                A("none", "none seen", 0.86), A("elsewhere", "a hairline, elsewhere", 0.08, F(body.Id, FindingKind.Crack, 2, PartGroups.Places(kind, body) is [_, _, var third, ..] ? third : "")),
                A("there", place.Length > 0 ? $"yes, at the {place}" : "yes, it opens", 0.06, F(body.Id, FindingKind.Crack, 3, place)));
        }
        if (kind.Part("plate") is not null)
        {
            Ask("straight", "Is the plate straight?", "Sight along the teeth, then flex it: it should spring back.", "Along the tooth line from the heel", null,
                A("yes", "straight", 0.68), A("bow", "a long bow", 0.22, F("plate", FindingKind.Bent, 2)), A("kink", "a kink", 0.07, F("plate", FindingKind.Bent, 3)), A("crease", "a crease", 0.03, F("plate", FindingKind.Bent, 4)));
            Ask("teeth", "Are the teeth all there?", "Run the eye along them against the light.", "The tooth line, close, in three parts", null,
                A("yes", "all there", 0.66), A("worn", "worn or uneven", 0.24, F("plate", FindingKind.EdgeDamage, 2)), A("missing", "some missing", 0.08, F("plate", FindingKind.EdgeDamage, 3)), A("crack", "a crack from a tooth", 0.02, F("plate", FindingKind.Crack, 2, "tooth line")));
        }
        if (edge is not null)
        {
            Ask("pits", kind.Family == Family.Saw ? "Pits along the teeth?" : $"Pits near the edge of the {edge.Name}?", kind.Family == Family.Saw ? "Both sides, the last finger's width." : "The flat side counts: the last finger's width behind the edge.", $"The flat side of the {edge.Name} near the edge, in side light", noEdge,
                A("none", "none", 0.5), A("away", "only away from it", 0.28, F(edge.Id, FindingKind.Pitting, 2)), A("near", "near the edge", 0.16, F(edge.Id, FindingKind.Pitting, 3)), A("reach", "they reach it", 0.06, F(edge.Id, FindingKind.Pitting, 4)));
            if (kind.Family != Family.Saw)
            {
                Ask("steel", $"How much is left of the {edge.Name}?", edge.Id == "iron" ? "From the edge to the slot: two fingers is plenty." : "Compare with a new one; look for the line where the hard steel ends.", $"The {edge.Name} beside a rule", noEdge,
                    A("plenty", "plenty", 0.62), A("half", "half worn", 0.28, F(edge.Id, FindingKind.EdgeDamage, 1)), A("little", "little", 0.1, F(edge.Id, FindingKind.EdgeDamage, 4)));
                Ask("edge", "How is the edge?", "Chips and corners, against the light.", $"The edge of the {edge.Name} from the front", noEdge,
                    A("dull", "only dull", 0.55, F(edge.Id, FindingKind.EdgeDamage, 1)), A("nicked", "nicked", 0.34, F(edge.Id, FindingKind.EdgeDamage, 2)), A("chipped", "chipped deep", 0.11, F(edge.Id, FindingKind.EdgeDamage, 3)));
            }
        }
        PartDef iron = kind.Parts.FirstOrDefault(p => p.Ferrous && p != edge) ?? edge ?? body;
        Ask("rust", "How rusty?", "Scratch it with a nail: does it catch?", "The rustiest side, in daylight", null,
            A("bright", "bright or dark and smooth", 0.2), A("bloom", "a brown bloom", 0.3, F(iron.Id, FindingKind.Rust, 1)), A("brown", "brown all over", 0.32, F(iron.Id, FindingKind.Rust, 2)), A("crust", "crust or scale", 0.18, F(iron.Id, FindingKind.Rust, 3)));
        PartDef? moving = kind.Parts.FirstOrDefault(p => p.Id is "adjuster" or "knurl" or "chuck" or "pivot" or "toggle_bolts" or "depth_stop" or "tilt_nuts");
        if (moving is not null)
        {
            Ask("moves", $"Does the {moving.Name} move?", "Turn it gently; never force it at the stall.", $"The {moving.Name}, close", null,
                A("free", "freely", 0.56), A("stiff", "stiffly", 0.29, F(moving.Id, FindingKind.Seizure, 1)), A("stuck", "not at all", 0.15, F(moving.Id, FindingKind.Seizure, 3)));
        }
        PartDef? wood = kind.Parts.FirstOrDefault(p => p.Material == Material.Wood && p.Id is not ("body" or "wedge" or "strike"));
        if (wood is not null)
        {
            Ask("wood", $"And the {wood.Name}?", "Twist it: loose wood may only want a shorter rod.", $"The {wood.Name} from both sides", null,
                A("sound", "sound", 0.55), A("loose", "loose", 0.22, F(wood.Id, FindingKind.Looseness, 2)), A("crack", "cracked", 0.14, F(wood.Id, FindingKind.Crack, 2)), A("broken", "broken or gone", 0.09, F(wood.Id, FindingKind.Crack, 4)));
        }
        if (kind.Part("body") is { Material: Material.Wood })
        {
            Ask("damp", "Is the wood dry and firm?", "Hold it to your cheek; press the end grain with a nail.", "Both ends of the stock", null,
                A("dry", "dry and firm", 0.82), A("damp", "damp or dark", 0.13, F("body", FindingKind.Damp, 2)), A("soft", "soft, or worm", 0.05, F("body", FindingKind.Damp, 4)));
        }
        if (kind.Parts.FirstOrDefault(p => p.Finish is PartFinish.Japanned or PartFinish.Painted) is { } coated)
        {
            Ask("coating", "How much of the coating is left?", "Dirt looks like coating: wipe a corner.", "The inside of the casting", null,
                A("most", "most of it", 0.5), A("half", "about half", 0.32, F(coated.Id, FindingKind.CoatingLoss, 3)), A("traces", "only traces", 0.18, F(coated.Id, FindingKind.CoatingLoss, 4)));
        }
        if (kind.Parts.FirstOrDefault(p => p.IsFastener) is { } screw)
        {
            Ask("slots", "Are the screw slots crisp?", "A chewed slot tells of a stuck screw.", "Screw heads, close", null,
                A("crisp", "crisp", 0.7), A("chewed", "chewed", 0.24, F(screw.Id, FindingKind.Burred, 2)), A("gone", "hardly a slot left", 0.06, F(screw.Id, FindingKind.Burred, 4)));
        }
        Ask("repair", "An old repair, or a part that looks wrong?", "Braze, weld, odd screws, another colour of iron.", "Anything that looks mended", null,
            A("no", "nothing seen", 0.8), A("neat", "neat", 0.13, F(body.Id, FindingKind.Repair, 2)), A("bad", "badly done", 0.07, F(body.Id, FindingKind.Repair, 3)));
        return [.. questions.Take(Most)];
    }

    private static Finding F(string part, FindingKind kind, int degree, string place = "") => new() { Part = part, Kind = kind, Severity = degree, Place = place, Note = "seen at the stall" };
}
