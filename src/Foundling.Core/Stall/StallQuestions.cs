using Foundling.Core.State;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using Foundling.Core.Units;

namespace Foundling.Core.Stall;

/// <summary>What an answer at the stall means for the tool.</summary>
/// <param name="Id">Key within its question.</param>
/// <param name="Text">What one taps.</param>
/// <param name="Share">How often this is the answer, of tools seen at stalls.</param>
/// <param name="Findings">The findings it stands for.</param>
/// <param name="Raises">Questions whose bad answers it makes more likely.</param>
public sealed record StallAnswer(string Id, string Text, double Share, IReadOnlyList<Found> Findings, IReadOnlyList<string> Raises);

/// <summary>One question at the stall.</summary>
/// <param name="Id">Key.</param>
/// <param name="Ask">The question.</param>
/// <param name="Look">Where to look, in one line.</param>
/// <param name="Picture">The picture to ask a seller for when it cannot be looked at.</param>
/// <param name="Answers">From sound to bad.</param>
/// <param name="NotAfter">Answers, as question/answer, after which it is not asked.</param>
public sealed record StallQuestion(string Id, string Ask, string Look, string Picture, IReadOnlyList<StallAnswer> Answers, IReadOnlyList<string> NotAfter)
{
    /// <summary>It is asked before every other.</summary>
    public bool First { get; init; }

    /// <summary>Several answers may be true at once; the first means none of the others.</summary>
    public bool Many { get; init; }
}

/// <summary>
/// The questions for each kind of tool, made from its anatomy. An answer is exactly what was seen, on the part it was seen
/// on; what a stall cannot show is kept as a doubt.
/// </summary>
public static class StallQuestions
{
    /// <summary>Most questions asked of one tool.</summary>
    public const int Most = 12;

    // A tool at a stall lacks something in about a fifth of all cases.
    private const double Whole = 0.8;

    private static readonly Dictionary<string, string[]> Telling = new()
    {
        ["rust/crust"] = ["pits", "moves", "slots"], ["rust/scale"] = ["pits", "moves", "slots"], ["rust/brown"] = ["pits"], ["moves/stuck"] = ["slots"],
            ["slots/chewed"] = ["moves", "repair"], ["slots/gone"] = ["moves", "repair"],
        ["pits/near"] = ["edge", "rust"], ["pits/reach"] = ["edge", "rust"], ["steel/little"] = ["edge"], ["coating/traces"] = ["rust", "pits"],
            ["wood/broken"] = ["repair"],
        ["straight/kink"] = ["teeth"], ["straight/crease"] = ["teeth"], ["damp/soft"] = ["rust", "crack"],
    };

    /// <summary>The questions for a kind, in the order of the anatomy.</summary>
    public static IReadOnlyList<StallQuestion> For(ToolKind kind)
    {
        PartDef? edge = Cutting(kind);
        PartDef body = kind.Part(PartIds.Body) ?? kind.Part(PartIds.Head) ?? kind.Part(PartIds.Frame) ?? kind.Part(PartIds.Plate) ?? kind.Parts[0];
        List<StallQuestion> own = [.. kind.File.Stall.Where(q => kind.Made(q.Part)).Select(q => Own(kind, q))];
        List<StallQuestion> usual = [.. Whether(kind, edge), .. Metal(kind, edge, body), .. Wood(kind), .. Looks(kind, body)];
        // What is particular to a kind comes before what is usual; the last of the usual ones give way.
        usual.RemoveAll(q => own.Any(o => o.Id == q.Id));
        int first = usual.Count(q => q.Id is "edge_there" or "complete" or "set");
        List<StallQuestion> questions = [.. usual.Take(first), .. own, .. usual.Skip(first).Take(Most - first - own.Count)];
        HashSet<string> answers = [.. questions.SelectMany(q => q.Answers.Select(a => $"{q.Id}/{a.Id}"))];
        return [.. questions.Select(q => q with { NotAfter = [.. q.NotAfter.Where(answers.Contains)], Answers
            = [.. q.Answers.Select(a => a with { Raises = Telling.GetValueOrDefault($"{q.Id}/{a.Id}")
            ?? [] })] })];
    }

    private static PartDef? Cutting(ToolKind kind) => kind.Edges.FirstOrDefault() ?? kind.Part(PartIds.Plate);

    private static StallQuestion Own(ToolKind kind, KindQuestion question)
    {
        PartId about = kind.Key(question.Part);
        return Q(question.Id, question.Ask, question.Look, question.Picture, [.. question.Answers.Select(a => A(a.Id, a.Text, a.Share,
            a.Finding is not { } found ? [] : a.Doubt is { } doubt ? [Doubtful(F(about, found, a.Degree, a.Place), Sentences.Middle(a.Text), doubt)]
            : [F(about, found, a.Degree, a.Place)]))])
            with { NotAfter = kind.Part(about) == Cutting(kind) ? ["edge_there/gone"] : [$"complete/no_{about}"] };
    }

    private static IEnumerable<StallQuestion> Whether(ToolKind kind, PartDef? edge)
    {
        if (edge is not null && edge.Is(PartIds.Iron, PartIds.Plate) && Faults.Can(kind, edge, FindingKind.Missing))
        {
            yield return Q("edge_there", $"Is the {edge.Name} there?", kind.Made(PartIds.LeverCap) ? "Slide the cap off if the seller lets you."
                : kind.IsWedged ? "Sight up through the mouth; ask to have the wedge knocked loose." : "Turn it over and look.",
                    $"The {edge.Name} on its own, both sides",
                A("yes", "yes", 0.93), A("gone", "no", 0.07, F(edge.Id, FindingKind.Missing, 3))) with { First = true };
        }
        List<PartDef> loose = [.. kind.Parts.Where(p => p != edge && !p.InSet && Faults.Can(kind, p, FindingKind.Missing))];
        if (loose.Count > 0)
        {
            yield return Q("complete", "Is everything else there?", "Tap each part that is gone. A part this model never had is not missing.",
                "The whole tool from both sides and from above",
                [A("all", "all there", Whole),
                    .. loose.Select(p => A($"no_{p.Id}", $"no {p.Name}", (1 - Whole) / loose.Count,
                        F(p.Id, FindingKind.Missing, Faults.GoneUsually(p))))]) with { Many = true };
        }
        if (kind.Set.FirstOrDefault() is { } further)
        {
            yield return Q("set", "Is its set of irons there?", "A roll or a box of them often lies elsewhere on the stall: ask.",
                "All irons side by side, with their numbers",
                A("all", "the whole set", 0.25), A("one", "only the one in it", 0.4, [.. kind.Set.Select(p => F(p.Id, FindingKind.Missing, 2))]),
                A("some", "some of it", 0.35, Doubtful(F(further.Id, FindingKind.Repair, 1), "part of the set is there", "which irons are gone?")));
        }
    }

    private static IEnumerable<StallQuestion> Metal(ToolKind kind, PartDef? edge, PartDef body)
    {
        bool saw = kind.Family == Family.Saw && edge is not null;
        string place = PartGroups.Places(kind, body) is [var first, ..] ? first : "", at = PartGroups.At(place);
        if (!saw)
        {
            string look = body.Material switch
            {
                Material.CastIron => "Tap it: a cracked casting buzzes, a sound one rings. Look for a rust line that runs on.",
                Material.Wood => "Look into it against the light, and along the grain at both ends.",
                _ => "In side light: rust runs along a crack, and a fingernail feels it.",
            };
            yield return Q("crack", $"Any crack in the {body.Name}{(at.Length > 0 ? $", first {at}" : "")}?", look,
                $"The {body.Name} close up{(at.Length > 0 ? $" {at}" : "")}, in side light",
                A("none", "none seen", 0.86), A("hairline", at.Length > 0 ? "a hairline, elsewhere" : "a hairline", 0.08,
                    Doubtful(F(body.Id, FindingKind.Crack, 1), "a hairline", "where does it run, and does it open?")),
                A("there", at.Length > 0 ? $"yes, {at}" : "yes, it opens", 0.06, F(body.Id, FindingKind.Crack, 2, place)));
        }
        else
        {
            yield return Q("straight", $"Is the {edge!.Name} straight?", "Sight along the teeth, then flex it: it should spring back.",
                "Along the tooth line from the heel",
                A("yes", "straight", 0.68), A("bow", "a long bow", 0.22, F(edge.Id, FindingKind.Bent, 2)), A("kink", "a kink", 0.07,
                    F(edge.Id, FindingKind.Bent, 3)), A("crease", "a crease", 0.03, F(edge.Id, FindingKind.Bent, 4))) with { NotAfter = ["edge_there/gone"] };
            yield return Q("teeth", "Are the teeth all there?", "Run the eye along them against the light.", "The tooth line, close, in three parts",
                A("yes", "all there", 0.66), A("worn", "worn or uneven", 0.24, F(edge.Id, FindingKind.EdgeDamage, 2)), A("missing", "some missing", 0.08,
                    F(edge.Id, FindingKind.EdgeDamage, 3)),
                A("crack", "a crack from a tooth", 0.02, F(edge.Id, FindingKind.Crack, 2, "tooth line"))) with { NotAfter = ["edge_there/gone"] };
        }
        // Nothing is asked about an iron that is not there.
        string[] noEdge = ["edge_there/gone"];
        if (edge is not null)
        {
            yield return Q("pits", saw ? "Pits along the teeth?" : $"Pits near the edge of the {edge.Name}?",
                saw ? "Both sides, the last finger's width." : kind.Edge == EdgeForm.Curved
                    ? $"The side without the bevel counts, the {kind.Manner.Face}: the last finger's width behind the edge."
                    : kind.Edge is EdgeForm.BackAndBevel or EdgeForm.FlatFace or EdgeForm.Profiled
                    ? "The flat side counts: the last finger's width behind the edge." : "Both sides, the last finger's width behind the edge.",
                saw ? "Both sides along the teeth, in side light" : $"The {edge.Name} near the edge, both sides, in side light",
                A("none", "none", 0.5), A("away", saw ? "only away from them" : "only away from it", 0.28, F(edge.Id, FindingKind.Pitting, 2)),
                    A("near", saw ? "along the teeth" : "near the edge", 0.16, F(edge.Id, FindingKind.Pitting, 3)),
                A("reach", saw ? "they reach the points" : "they reach it", 0.06, F(edge.Id, FindingKind.Pitting, 4))) with { NotAfter = noEdge };
        }
        if (edge is not null && !saw && kind.Edge != EdgeForm.Meeting)
        {
            yield return Q("steel", $"How much is left of the {edge.Name}?", edge.Is(PartIds.Iron)
                ? "From the edge to the slot, or to the mark: two fingers is plenty."
                : "Compare it with a new one; look for the line where the hard steel ends.", $"The {edge.Name} beside a rule",
                A("plenty", "plenty", 0.62), A("half", "about half", 0.28, F(edge.Id, FindingKind.Worn, 2)), A("little", "little", 0.1,
                    F(edge.Id, FindingKind.Worn, 3))) with { NotAfter = noEdge };
        }
        if (edge is not null && !saw)
        {
            yield return Q("edge", "How is the edge?", "Chips and corners, against the light.", $"The edge of the {edge.Name} from the front",
                A("dull", "only dull", 0.55, F(edge.Id, FindingKind.EdgeDamage, 1)), A("nicked", "nicked", 0.34, F(edge.Id, FindingKind.EdgeDamage, 2)),
                    A("chipped", "chipped deep", 0.11, F(edge.Id, FindingKind.EdgeDamage, 3))) with { NotAfter = noEdge };
        }
        List<PartDef> seen = [.. kind.Parts.Where(p => p.Ferrous && p.On is null && !p.InSet)];
        if (seen.Count > 0)
        {
            PartDef main = seen.FirstOrDefault(p => p == body) ?? seen.FirstOrDefault(p => p != edge && !p.OnePiece) ?? seen[0];
            Found[] All(int degree, int onMain) => [.. seen.Select(p => F(p.Id, FindingKind.Rust, p == main ? onMain : degree))];
            yield return Q("rust", "How rusty is it?", "Scratch it with a nail: does it catch?", "The rustiest side, in daylight",
                A("bright", "bright or dark and smooth", 0.2), A("bloom", "a brown bloom", 0.3, All(1, 1)), A("brown", "brown all over", 0.32, All(2, 2)),
                A("crust", seen.Count > 1 ? $"brown, crust on the {main.Name}" : "crust that catches the nail", 0.13, All(2, 3)), A("scale", seen.Count > 1
                    ? "crust all over" : "scale that lifts", 0.05, All(3, seen.Count > 1 ? 3 : 4)));
        }
        if (kind.Parts.FirstOrDefault(p =>
            p.Is(PartIds.Adjuster, PartIds.Knurl, PartIds.Chuck, PartIds.Pivot, PartIds.ToggleBolts, PartIds.DepthStop, PartIds.TiltNuts)) is { } moving)
        {
            bool many = moving.Name.EndsWith('s');
            yield return Q("moves", $"{(many ? "Do" : "Does")} the {moving.Name} move?", "Turn it gently; never force it at the stall.",
                $"The {moving.Name}, close",
                A("free", "freely", 0.56), A("stiff", "stiffly", 0.29, F(moving.Id, FindingKind.Seizure, 1)), A("stuck", "not by hand", 0.15,
                    Doubtful(F(moving.Id, FindingKind.Seizure, 2), $"{(many ? "do" : "does")} not move by hand", "does oil and a day free it?")));
        }
    }

    private static IEnumerable<StallQuestion> Wood(ToolKind kind)
    {
        List<PartDef> handles = [.. kind.Parts.Where(p => p.Material == Material.Wood
            && !p.Is(PartIds.Body, PartIds.Wedge, PartIds.Strike, PartIds.StemWedge, PartIds.Stem, PartIds.Boxing, PartIds.Stretcher, PartIds.ArmLeft,
                PartIds.ArmRight, PartIds.PegLeft, PartIds.PegRight, PartIds.Toggle) && Faults.Can(kind, p, FindingKind.Looseness)
            && kind.File.Stall.All(q => q.Part != p.Id)).Take(2)];
        foreach (PartDef wood in handles)
        {
            yield return Q(wood == handles[0] ? "wood" : "wood_2", $"{(wood == handles[0] ? "How is" : "And")} the {wood.Name}?", wood.Rod is not null
                ? "Twist it: loose wood may only want a shorter rod." : "Twist it, and look along the grain.", $"The {wood.Name} from both sides",
                A("sound", "sound", 0.58), A("loose", "loose", 0.23, F(wood.Id, FindingKind.Looseness, 2)), A("crack", "cracked", 0.14,
                    F(wood.Id, FindingKind.Crack, 2)), A("broken", "broken", 0.05, F(wood.Id, FindingKind.Crack, 4)))
                with { NotAfter = Faults.Can(kind, wood, FindingKind.Missing) ? [$"complete/no_{wood.Id}"] : [] };
        }
        if (kind.Part(PartIds.Body) is { Material: Material.Wood })
        {
            yield return Q("damp", "Is the wood dry and firm?", "Hold it to your cheek; press the end grain with a nail.", "Both ends of the stock",
                A("dry", "dry and firm", 0.82), A("damp", "damp or dark", 0.13, F(kind.Key(PartIds.Body), FindingKind.Damp, 2)), A("soft", "soft, or worm",
                    0.05,
                    F(kind.Key(PartIds.Body), FindingKind.Damp, 4)));
        }
    }

    private static IEnumerable<StallQuestion> Looks(ToolKind kind, PartDef body)
    {
        if (kind.Parts.FirstOrDefault(p => p.Finish is PartFinish.Japanned or PartFinish.Painted) is { } coated)
        {
            yield return Q("coating", $"How much of the coating on the {coated.Name} is left?", "Dirt looks like coating: wipe a corner.",
                coated.Material == Material.CastIron ? "The inside of the casting" : $"The {coated.Name} from both sides",
                A("most", "most of it", 0.5), A("half", "about half", 0.32, F(coated.Id, FindingKind.CoatingLoss, 3)), A("traces", "only traces", 0.18,
                    F(coated.Id, FindingKind.CoatingLoss, 4)));
        }
        if (kind.Parts.Where(p => p.IsFastener && p.On is null && p.Fastener != Fastening.Pin).OrderByDescending(p =>
            p.Fastener == Fastening.Screw).FirstOrDefault() is { } screw)
        {
            bool slot = screw.Fastener == Fastening.Screw || screw.Joint == Joint.SplitNut;
            yield return Q("slots", slot ? $"Is the slot of the {screw.Name} crisp?" : $"Are the flats of the {screw.Name} crisp?", slot
                ? "A chewed slot tells of a stuck screw." : "Rounded flats tell of a stuck thread.", $"The {screw.Name}, close",
                A("crisp", "crisp", 0.7), A("chewed", slot ? "chewed" : "rounded", 0.24, F(screw.Id, FindingKind.Burred, 2)),
                    A("gone", slot ? "hardly a slot left" : "round", 0.06, F(screw.Id, FindingKind.Burred, 4)))
                with { NotAfter = Faults.Can(kind, screw, FindingKind.Missing) ? [$"complete/no_{screw.Id}"] : [] };
        }
        yield return Q("repair", $"An old repair on the {body.Name}, or a part that looks wrong?", body.Material == Material.Wood
            ? "Plugs, glue, odd screws, wood of another colour." : "Braze, weld, odd screws, another colour of iron.", "Anything that looks mended",
            A("no", "nothing seen", 0.8), A("neat", $"neat, on the {body.Name}", 0.1, F(body.Id, FindingKind.Repair, 1)), A("odd", "a part looks wrong", 0.05,
                Doubtful(F(body.Id, FindingKind.Repair, 1), "a part of it looks wrong", "which, and is it from another tool?")),
            A("bad", $"badly done, on the {body.Name}", 0.05, F(body.Id, FindingKind.Repair, 4)));
    }

    private static StallQuestion Q(string id, string ask, string look, string picture, params StallAnswer[] answers) => new(id, ask, look, picture, answers,
        []);

    private static StallAnswer A(string id, string text, double share, params Found[] findings) => new(id, text, share, findings, []);

    private static Found F(PartId part, FindingKind kind, int degree, string place = "") =>
        new(part, kind, degree) { Place = place, Note = "seen at the stall" };

    /// <summary>What was seen where the scale cannot say it, and what is still to be found out.</summary>
    private static Found Doubtful(Found finding, string seen, string doubt) => finding with { Note = seen, Doubt = doubt };
}
