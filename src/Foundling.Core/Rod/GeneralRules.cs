using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;

namespace Foundling.Core.Rod;

/// <summary>Rules for every tool: from its pictures to its next look.</summary>
internal static class GeneralRules
{
    private static bool Stuck(PlanQuestion q) => q.Worst(FindingKind.Seizure) >= 1;

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("pictures as found", "Nothing can be compared later without them.", _ => true, _ => new PlanStep
        {
            Key = "photos", Stage = Stage.AsFound, Title = "Photograph it as it came", LowMin = 3, LikelyMin = 5, HighMin = 10,
            How = "Both sides, sole, marks close up, each with a rule in the picture.", Reason = "Before and after, and the marks, in case cleaning takes one.",
            FinishTest = "Every mark can be read in a picture.",
        }),
        PlanRule.One("try as found", "A tool that works well as found may need no edge work.",
            q => q.Worst(FindingKind.Seizure) < 3 && q.Worst(FindingKind.Crack) < 3 && q.Worst(FindingKind.Missing) < 4, q => new PlanStep
        {
            Key = "try-as-found", Stage = Stage.AsFound, Title = "Try it as found", LowMin = 2, LikelyMin = 5, HighMin = 12, Parts = [.. q.Tool.Edges.Select(p => p.Id)],
            How = q.Tool.HasMetalSole ? "One cut in soft wood, then a marker rub: where does the sole touch?" : "One cut or one turn on scrap.",
            Reason = "What works already is left alone.", FinishTest = "It is written down what it did.", Caution = Cautions.BareEdge,
        }),
        PlanRule.One("settings as found", "Frog, cap and pivot settings are lost the moment it comes apart.", _ => true, q => new PlanStep
        {
            Key = "note-settings", Stage = Stage.AsFound, LowMin = 1, LikelyMin = 3, HighMin = 5,
            Title = q.Tool.Id == "metal-bench-plane" ? "Note frog position, cap set-back and lever tension" : "Note how it is set",
            Reason = "A good old setting is worth more than a guess.", FinishTest = "Written on the tag.",
        }),
        PlanRule.One("oil stiff threads", "Oil and time free most threads and spoil none.", Stuck, q => new PlanStep
        {
            Key = "free-oil", Stage = Stage.Apart, Title = $"Penetrating oil on {Names(q.With(FindingKind.Seizure))}", Parts = [.. q.With(FindingKind.Seizure).Select(p => p.Id)],
            LowMin = 2, LikelyMin = 4, HighMin = 8, WaitMin = q.Worst(FindingKind.Seizure) >= 3 ? 24 * 60 : 8 * 60, LookInMin = 4 * 60,
            Materials = ["penetrating oil"], How = "A drop at each thread, again when you look in. Only where oil can reach.",
            Reason = "Force on a dry thread chews the slot.", FinishTest = "Oil has crept out on the far side.",
        }),
        PlanRule.One("right driver", "A chewed slot is the end of a screw.", q => q.Worst(FindingKind.Seizure) >= 2, q => new PlanStep
        {
            Key = "free-driver", Stage = Stage.Apart, Title = "Start the stuck threads with a driver that fills the slot", Parts = [.. q.With(FindingKind.Seizure, 2).Select(p => p.Id)],
            LowMin = 5, LikelyMin = 12, HighMin = 40, Reason = "Fitted drivers and steady pressure first; shock and heat only after that, and stopping is an answer.",
            FinishTest = "Every thread has moved a quarter turn.", Caution = Cautions.StuckScrew,
        }),
        PlanRule.One("take apart", "Rust and dirt live under seats.", q => q.Tool.Parts.Count > 1, q => new PlanStep
        {
            Key = "apart", Stage = Stage.Apart, Title = q.Tool.Id == "metal-bench-plane" ? "Take it apart: lever cap, irons, frog, knob, tote" : "Take it apart as far as it should come",
            LowMin = q.Tool.Parts.Count * 0.4, LikelyMin = q.Tool.Parts.Count * 0.8, HighMin = q.Tool.Parts.Count * 2,
            How = q.Tool.Id == "metal-bench-plane" ? "Leave the lateral lever and the yoke pin on. The adjuster has a reverse thread." : "Leave riveted and sound tight joints together.",
            Reason = "Everything that holds dirt or rust must be reached.", FinishTest = "A box for every screw, in the order they came out.",
            Caution = q.Tool.Parts.Any(p => p.Material == Material.SpringSteel && q.Tool.Family is Family.Cutter or Family.BoringTool) ? Cautions.Spring : Cautions.BareEdge,
        }),
        PlanRule.One("roll-call", "A screw missed now is a screw bought later.", q => q.Tool.Parts.Count > 1, q => new PlanStep
        {
            Key = "roll-call", Stage = Stage.Apart, Title = $"Roll-call: {q.Present.Count()} parts", LowMin = 1, LikelyMin = 2, HighMin = 4,
            Reason = "What is missing is found before the glue is mixed.", FinishTest = "Every part is ticked or named missing.",
        }),
        PlanRule.One("wash", "Grease and tar shield rust and foul baths.", _ => true, q => new PlanStep
        {
            Key = "wash", Stage = Stage.Wash, Title = "Blow off the dust, then degrease the metal", Parts = [.. q.Present.Where(p => p.Ferrous).Select(p => p.Id)],
            LowMin = 6, LikelyMin = 12, HighMin = 25, Materials = ["white spirit", "brush no harder than the finish", "dry cloth"],
            How = "Solvent before water. Dry at once, into the threads.", Reason = "A bath works only on what it can wet.",
            FinishTest = "Water spreads on the metal instead of beading.", Caution = Cautions.Solvent,
        }),
        PlanRule.One("look again when clean", "Dirt reads as coating, and marks surface.", _ => true, _ => new PlanStep
        {
            Key = "look-again", Stage = Stage.Wash, Title = "Look again now that it is clean", LowMin = 2, LikelyMin = 5, HighMin = 10,
            How = "Cracks with the lens, marks in raking light. New marks go to Origin, new damage to State.", Reason = "Cracks and marks show only now.",
            FinishTest = "State and Origin are up to date.",
        }),
        PlanRule.One("screws and slots", "Small parts are lost or rounded when done in the heap.", q => q.Present.Any(p => p.Id.Contains("screw", StringComparison.Ordinal) || p.Id.Contains("bolt", StringComparison.Ordinal) || p.Id.Contains("nut", StringComparison.Ordinal)), q => new PlanStep
        {
            Key = "screws", Stage = Stage.SmallParts, Title = "Clean screws and slots one at a time", LowMin = 6, LikelyMin = 12, HighMin = 30, Parts = [.. q.Present.Where(p => p.Id.Contains("screw", StringComparison.Ordinal) || p.Id.Contains("bolt", StringComparison.Ordinal) || p.Id.Contains("nut", StringComparison.Ordinal)).Select(p => p.Id)],
            Materials = ["nylon abrasive pad", "slot file", "light oil"], How = "Spin each in the drill with the thread in a sleeve.", Reason = "A clean slot takes the driver next time.",
            FinishTest = "Each screw runs home by hand.", Caution = Cautions.Wire,
        }),
        PlanRule.One("put together", "Reverse order, and every fastener started before any is tight.", q => q.Tool.Parts.Count > 1, q => new PlanStep
        {
            Key = "assemble", Stage = Stage.Together, LowMin = q.Tool.Parts.Count * 0.5, LikelyMin = q.Tool.Parts.Count, HighMin = q.Tool.Parts.Count * 2,
            Title = q.Tool.Id == "metal-bench-plane" ? "Put it together: frog, tote, knob, irons drawn back, lever cap" : "Put it together",
            Materials = ["light oil"], How = "Oil every thread. Start all, then tighten all.", Reason = "A thread started straight stays whole.", FinishTest = "Nothing left in the box.", Caution = Cautions.BareEdge,
        }),
        PlanRule.One("protect", "Bare iron rusts in one damp night.", _ => true, q => new PlanStep
        {
            Key = "protect", Stage = Stage.Finish, Title = q.Aim == AimKind.Keep ? "Oil the metal thinly, wax over it" : "Wax the sole and sides, oil the pivots", LowMin = 3, LikelyMin = 6, HighMin = 12,
            Materials = ["paste wax", "light oil"], How = "Thin coat, wait for the haze, buff.", WaitMin = 10, Reason = "Wax slides and keeps damp off.", FinishTest = "Dry to the touch, no streaks.",
        }),
        PlanRule.One("prove it", "The proof is what it does.", q => q.Aim != AimKind.Keep, q => new PlanStep
        {
            Key = "prove", Stage = Stage.Finish, LowMin = 5, LikelyMin = 10, HighMin = 20, Parts = [.. q.Tool.Edges.Select(p => p.Id)],
            Title = q.Tool.HasMetalSole ? "Prove it: three full-width shavings, measured" : "Prove it on scrap", Reason = "Someone else should be able to trust the papers.",
            FinishTest = q.Tool.HasMetalSole ? "Three readings within the target beyond their error." : "It does what a sound one does.", Caution = Cautions.BareEdge,
        }),
        PlanRule.One("pictures after", "Before means nothing without after.", _ => true, _ => new PlanStep
        {
            Key = "pictures-after", Stage = Stage.Finish, Title = "Photograph it finished, same views", LowMin = 2, LikelyMin = 4, HighMin = 8, Reason = "The papers show both.", FinishTest = "Same views as the first set.",
        }),
        PlanRule.One("next look", "Rust comes back where it came first.", _ => true, _ => new PlanStep
        {
            Key = "next-look", Stage = Stage.Finish, Title = "Set the next look in six months", LowMin = 1, LikelyMin = 1, HighMin = 2, Reason = "A minute then saves an evening later.", FinishTest = "It is in the calendar.",
        }),
    ];
}
