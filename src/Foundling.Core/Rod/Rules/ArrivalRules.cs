using Foundling.Core.Units;
using Foundling.Core.Keys;
using Foundling.Core.Proof;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules before anything is touched: pictures, the try as found, its settings.</summary>
internal static class ArrivalRules
{
    // Without what holds it an edge does nothing: a wedge, a screw, a lever cap. A handle that is gone keeps nobody from trying.
    private static bool Holds(PartDef part) => !part.Dispensable && !part.InSet && (part.Material != Material.Wood || part.Is(PartIds.Wedge));

    // A head without its haft, or on a loose one, is not swung.
    internal static readonly Cond Tryable = If("nothing seized, loose, broken or gone keeps it from being tried", q => q.Worst(FindingKind.Seizure) < 3
        && q.Worst(FindingKind.Crack) < 3 && q.Worst(FindingKind.Missing) < 4 && !q.Gone.Any(p => Holds(p))
        && (q.Tool.Part(PartIds.Haft) is null || (q.Has(PartIds.Haft) && q.Worst(FindingKind.Looseness, PartIds.Haft, PartIds.Head) < 2)));

    private static string How(ToolKind tool) => tool.Family switch
    {
        _ when tool.Manner.Trial is { } trial => trial,
        Family.Plane when tool.HasMetalSole => "One cut in soft wood, then a marker rub: where does the sole touch?",
        Family.Plane => "One cut along the grain of soft wood. Does it jam, and where?",
        Family.EdgeTool => "A few cuts into green wood: does it stick, is the head tight?",
        Family.Wrench => "Close it on a nut: how far does the jaw rock?",
        Family.BoringTool => "One hole in wood: does it run true, do the jaws hold?",
        _ => "One cut on the soft side of what it is for; never at its rated size.",
    };

    private static string Settings(PlanQuestion q)
    {
        IReadOnlyList<string> noted = InTurn.Said(q.Tool.Manner.Settings, q.Has);
        return noted.Count == 0 ? "Note how it is set" : $"Note {Sentences.List(noted)}";
    }

    // A pin that mostly stays on is photographed too when it must be driven.
    private static IEnumerable<PartDef> Pins(PlanQuestion q) => q.Present.Where(p => p.Joint == Joint.TaperedPin
        || p.Fastener == Fastening.Pin && q.Worst(FindingKind.Seizure, p.Id) >= 2);

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("pictures as found", "Nothing can be compared later without them.", [Always], q =>
            new Deed(StepKey.Photos, Stage.AsFound, "Photograph it as it came", q.Minutes(StepKey.Photos, q.Present))
        {
            Needs = [Need.Of(SupplyIds.CameraAndRule)], How = "Both sides, sole or face, marks close up, each with a rule in the picture.",
            Reason = "Before and after, and the marks, in case cleaning takes one.", FinishTest = "Every mark can be read in a picture.",
        }, buys: 1),
        PlanRule.One("pin orientations", "A tapered pin comes out one way, and goes back the same way.",
            [If("it has a tapered pin, or a pin that must be driven", q => Pins(q).Any())], q => new Deed(StepKey.PhotoPins, Stage.AsFound,
            $"Photograph both ends of the pins: {Names(Pins(q))}", q.Minutes(StepKey.PhotoPins, Pins(q)))
        {
            Parts = Ids(Pins(q)), Needs = [Need.Of(SupplyIds.CameraAndRule)],
            How = "The thick end comes out first, so drive from the thin end. Mark it with a dot.",
            Reason = "Driven the wrong way it jams or splits its seat.", FinishTest = "The thick end of each pin is marked in a picture.",
        }),
        PlanRule.One("chuck order", "The inner parts of a chuck fit one way.", [If("it has a chuck", q => q.Has(PartIds.Chuck))], q =>
            new Deed(StepKey.PhotoChuck, Stage.Apart, "Open the chuck and photograph its parts as they come out", q.Minutes(StepKey.PhotoChuck))
        {
            Parts = [PartIds.Chuck, PartIds.ChuckJaws], Needs = [Need.Of(SupplyIds.CameraAndRule)],
                How = "Shell off, jaws out together, over a cloth. Lay the pieces in a row on white paper as they leave it.",
            Reason = "Springs and jaws look alike from both ends.", FinishTest = "A picture shows the row in order.", Cautions = [CautionId.Spring],
        }),
        PlanRule.One("try as found", "A tool that works well as found may need no edge work.", [Tryable], q =>
            new Deed(StepKey.TryAsFound, Stage.AsFound, "Try it as found", q.Minutes(StepKey.TryAsFound))
        {
            Parts = Ids(q.Edges), Needs = [.. Proofs.For(q.Tool, q.Purpose, q.Shop.Assumptions)
                .FirstOrDefault(p => p.Kit.Count > 0)?.Kit.Where(k => k != SupplyIds.RatedBolt).Select(k => Need.Of(k)) ?? []], How = How(q.Tool),
                Reason = "What works already is left alone.",
            FinishTest = "It is written down what it did.",
            Cautions = Dangers.InUse(q.Tool),
        }, buys: 2),
        PlanRule.One("settings as found", "Settings are lost the moment it comes apart.",
            [If("something on it is set", q => q.Tool.ComesApart || InTurn.Said(q.Tool.Manner.Settings, q.Has).Count > 0)], q =>
            new Deed(StepKey.NoteSettings, Stage.AsFound, Settings(q), q.Minutes(StepKey.NoteSettings))
        {
            Reason = "A good old setting is worth more than a guess.", FinishTest = "Written on the tag.",
        }),
    ];
}
