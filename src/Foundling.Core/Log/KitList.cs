using Foundling.Core.Rod;
using Foundling.Core.Stores;

namespace Foundling.Core.Log;

/// <summary>One line of what must be at hand.</summary>
/// <param name="Item">What.</param>
/// <param name="Amount">How much in all; null for kit and for what is counted by need.</param>
/// <param name="Steps">Steps that use it.</param>
public sealed record KitLine(SupplyId Item, double? Amount, IReadOnlyList<PlanStep> Steps)
{
    private readonly Need _need = new(Item, Amount);

    /// <summary>What is known of it; null for a supply this version does not know.</summary>
    public Supply? Supply => _need.Supply;

    /// <summary>Its name.</summary>
    public string Name => _need.Name;

    /// <summary>Unit of the amount.</summary>
    public string Unit => _need.Unit;

    /// <summary>True for what is used again and again.</summary>
    public bool Kit => _need.Kit;

    /// <summary>What it costs, in the shop's money; assumed.</summary>
    public double Cost(Assumptions assumptions) => Needs.Cost(_need, assumptions);
}

/// <summary>Everything needed before starting.</summary>
public static class KitList
{
    /// <summary>What the open steps need, kit first, then materials, each with its sum.</summary>
    public static IReadOnlyList<KitLine> Of(IEnumerable<PlanStep> steps) =>
    [
        .. steps.Where(s => s.State == StepState.Open).SelectMany(s => s.Needs.Select(n => (Step: s, Need: n))).GroupBy(x => x.Need.Item)
            .Select(g => new KitLine(g.Key, g.Any(x => x.Need.Amount is not null) ? Round(g.Sum(x => x.Need.Amount ?? 0), g.First().Need.Unit) : null,
                [.. g.Select(x => x.Step).Distinct()]))
            .OrderByDescending(l => l.Kit).ThenBy(l => l.Steps[0].Order),
    ];

    private static double Round(double amount, string unit) => Supply.IsWhole(unit) ? Core.Whole.Ceiling(amount) : amount;
}
