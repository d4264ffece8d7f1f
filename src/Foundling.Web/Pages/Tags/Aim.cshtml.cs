using Foundling.Core.Aim;
using Foundling.Core.Rod;
using Foundling.Core.Tags;
using Foundling.Data.Tags;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Tags;

/// <summary>The aims side by side.</summary>
public sealed class AimModel(TagBook tags) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "aim";

    /// <summary>Each aim with its plan and total.</summary>
    public List<(AimKind Aim, IReadOnlyList<PlanStep> Steps, TotalsResult Total)> Aims { get; } = [];

    /// <summary>Plans every aim.</summary>
    public async Task OnGet()
    {
        foreach (AimKind aim in Enum.GetValues<AimKind>())
        {
            IReadOnlyList<PlanStep> steps = Planner.Plan(await Book.Question(Tool, aim));
            Aims.Add((aim, steps, Totals.Of(steps.Select(s => s.Minutes))));
        }
    }

    /// <summary>Chooses an aim and plans for it.</summary>
    public async Task<IActionResult> OnPost(AimKind aim)
    {
        await Book.Aim(Tool, aim);
        return ToLeaf("rod");
    }
}
