using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Tests.Rod;

/// <summary>Whole jobs take what those who do them often say they take.</summary>
public sealed class PlanSpanTests
{
    private static Found F(PartId part, FindingKind kind, int severity) => Asking.F(part, kind, severity);

    private static PlanQuestion Ask(KindId kind, AimKind aim, double? length, AsFoundTry? tried, params Found[] findings) =>
        Asking.Ask(kind, aim, findings) with { LengthMm = length, Tried = tried };

    private static Found[] Light(KindId kind) => [.. ToolCatalogue.Kind(kind).Parts.Where(p => p.Ferrous && !p.InSet)
        .Select(p => F(p.Id, FindingKind.Rust, p.IsFastener ? 1 : p == ToolCatalogue.Kind(kind).Parts[0] ? 2 : 1))];

    private static readonly Dictionary<string, (PlanQuestion Question, double From, double To)> Jobs = new()
    {
        ["bench plane, Work, light rust, hollow 0.1 mm"] = (Ask(KindIds.MetalBenchPlane, AimKind.Work, 245, null, [.. Light(KindIds.MetalBenchPlane),
            F(PartIds.Body, FindingKind.OutOfFlat, 2)]), 1.5, 3),
        ["the same, Show with its coating renewed"] = (Ask(KindIds.MetalBenchPlane, AimKind.Show, 245, null, [.. Light(KindIds.MetalBenchPlane),
            F(PartIds.Body, FindingKind.OutOfFlat, 2), F(PartIds.Body, FindingKind.CoatingLoss, 3), F(PartIds.Frog, FindingKind.CoatingLoss, 2)]), 5, 9),
        ["bench plane, Work, sole nearly flat, wood scraped and oiled"] = (Ask(KindIds.MetalBenchPlane, AimKind.Work, 245, null,
            [.. Light(KindIds.MetalBenchPlane), F(PartIds.Tote, FindingKind.CoatingLoss, 3), F(PartIds.Knob, FindingKind.CoatingLoss, 3)])
            .With(ChoiceId.Wood, WayId.OilWax), 2, 3.5),
        ["bench plane over 500 mm, by hand, coating and sole left"] = (Ask(KindIds.MetalBenchPlane, AimKind.Work, 560, null, Light(KindIds.MetalBenchPlane))
            .With(ChoiceId.Rust, WayId.Abrasive).With(ChoiceId.Coating, WayId.Leave), 2.5, 4),
        ["back saw, Work"] = (Ask(KindIds.BackSaw, AimKind.Work, 305, null, F(PartIds.Plate, FindingKind.Rust, 1), F(PartIds.Plate, FindingKind.EdgeDamage, 1)),
            0.67, 1.5),
        ["hand saw, Work, plate by hand and handle cleaned"] = (Ask(KindIds.HandSaw, AimKind.Work, 660, null, F(PartIds.Plate, FindingKind.Rust, 2),
            F(PartIds.Plate, FindingKind.EdgeDamage, 1)).With(ChoiceId.Rust, WayId.Abrasive), 1.5, 3),
        ["pruner, Work"] = (Ask(KindIds.Pruner, AimKind.Work, 200, null, F(PartIds.Blade, FindingKind.Rust, 1), F(PartIds.Blade, FindingKind.EdgeDamage, 1)),
            0.25, 0.67),
        ["bolt cutter, Show"] = (Ask(KindIds.BoltCutter, AimKind.Show, 457, null, [.. ToolCatalogue.Kind(KindIds.BoltCutter).Parts.Where(p => p.Ferrous)
            .Select(p => F(p.Id, FindingKind.Rust, 2)), F(PartId.Of("upper_handle"), FindingKind.CoatingLoss, 3), F(PartId.Of("upper_jaw"),
            FindingKind.EdgeDamage, 2), F(PartIds.Pivot, FindingKind.Seizure, 2)]), 6, 10),
        ["wooden bench plane, Work, iron ground back past pits"] = (Ask(KindIds.WoodenBenchPlane, AimKind.Work, 432, null, F(PartIds.Iron, FindingKind.Rust, 2),
            F(PartIds.Iron, FindingKind.Pitting, 3), F(PartIds.CapIron, FindingKind.Rust, 2), F(PartIds.Body, FindingKind.Wind, 1))
            .With(ChoiceId.Back, WayId.Grind), 2, 4),
        ["plough that was tried and cut well, Work"] = (Ask(KindIds.PloughPlane, AimKind.Work, null, AsFoundTry.Well, F(PartIds.Iron, FindingKind.Rust, 1),
            F(PartIds.Skate, FindingKind.Rust, 2)), 1, 2),
        ["hatchet, Work, on a new haft"] = (Ask(KindIds.HewingHatchet, AimKind.Work, null, null, F(PartIds.Haft, FindingKind.Crack, 4),
            F(PartIds.Head, FindingKind.Rust, 2), F(PartIds.Bit, FindingKind.EdgeDamage, 2)), 3, 6),
        ["all-metal hatchet, Show, new grip"] = (Ask(KindIds.MetalHatchet, AimKind.Show, null, null, F(PartIds.Head, FindingKind.Rust, 2),
            F(PartIds.Poll, FindingKind.Mushroomed, 2), F(PartIds.Handle, FindingKind.Rust, 2), F(PartIds.Bit, FindingKind.Pitting, 1),
            F(PartIds.Grip, FindingKind.Crack, 4), F(PartIds.Bit, FindingKind.EdgeDamage, 3)), 4, 8),
        ["hand drill, Show, one joint seized"] = (Ask(KindIds.HandDrill, AimKind.Show, null, null, [.. ToolCatalogue.Kind(KindIds.HandDrill).Parts
            .Where(p => p.Ferrous).Select(p => F(p.Id, FindingKind.Rust, 2)), F(PartIds.Chuck, FindingKind.Seizure, 3), F(PartIds.Frame,
            FindingKind.CoatingLoss, 3), F(PartIds.Gear, FindingKind.CoatingLoss, 3)]), 6, 14),
        ["scraper plane, Keep"] = (Ask(KindIds.ScraperPlane, AimKind.Keep, null, null, [.. ToolCatalogue.Kind(KindIds.ScraperPlane).Parts
            .Where(p => p.Ferrous).Select(p => F(p.Id, FindingKind.Rust, p.Is(PartIds.Body, PartIds.Frame) ? 3 : 2))]), 2, 4),
    };

    public static TheoryData<string> Names => [.. Jobs.Keys];

    [Theory, MemberData(nameof(Names))]
    public void A_job_takes_what_it_takes(string name)
    {
        (PlanQuestion question, double from, double to) = Jobs[name];
        IReadOnlyList<Deed> plan = Planner.Plan(question);
        double hours = PlanTotals.Of(plan, question.Shop.Assumptions).P50 / 60;
        string steps = string.Join("\n", plan.Select(d => $"{d.Minutes.Likely,6:0.#}  {d.Title}{(d.OnlyIfNeeded ? " (only if)" : "")}"));
        hours.ShouldBeInRange(from, to, $"{name}: {hours:0.00} h\n{steps}");
    }
}
