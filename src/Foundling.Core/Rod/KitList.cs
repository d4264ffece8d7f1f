using Foundling.Core.Tags;

namespace Foundling.Core.Rod;

/// <summary>One line of what must be at hand.</summary>
/// <param name="Item">What.</param>
/// <param name="Amount">How much in all; null for kit and for what is counted by need.</param>
/// <param name="Unit">Its unit.</param>
/// <param name="Supply">What is known of it; null for what a person named.</param>
/// <param name="Steps">Steps that use it.</param>
public sealed record KitLine(string Item, double? Amount, string Unit, Supply? Supply, IReadOnlyList<PlanStep> Steps)
{
    /// <summary>True for what is used again and again.</summary>
    public bool Kit => Supply?.Kit ?? Amount is null;

    /// <summary>What it costs, in the shop's money; assumed.</summary>
    public double Cost => (Amount ?? 0) * (Supply is { Kit: false } s ? s.Cost : 0);
}

/// <summary>Everything needed before starting.</summary>
public static class KitList
{
    /// <summary>What the open steps need, kit first, then materials, each with its sum.</summary>
    public static IReadOnlyList<KitLine> Of(IEnumerable<PlanStep> steps) =>
        [.. steps.Where(s => s.State == StepState.Open).SelectMany(s => s.Materials.Select(m => (Step: s, Need: Need.Parse(m)))).GroupBy(x => x.Need.Item)
            .Select(g => new KitLine(g.Key, g.Any(x => x.Need.Amount is not null) ? Round(g.Sum(x => x.Need.Amount ?? 0),
                g.First(x => x.Need.Amount is not null).Need.Unit) : null, g.Select(x => x.Need.Unit).FirstOrDefault(u => u.Length > 0) ?? "",
                Supplies.Find(g.Key), [.. g.Select(x => x.Step).Distinct()]))
            .OrderByDescending(l => l.Kit).ThenBy(l => l.Steps[0].Order)];

    private static double Round(double amount, string unit) => unit is "pieces" or "sheets" or "pads" ? Core.Whole.Ceiling(amount) : amount;
}
