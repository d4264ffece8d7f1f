using Foundling.Core.Aim;
using Foundling.Core.Rod;
using Foundling.Data.Tags;

namespace Foundling.Web.Pages.Tags;

/// <summary>Which rules made the plan, and what kept the others out of it.</summary>
public sealed class RulesModel(TagBook tags, RodDesk rods, PlanShelf plans) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "rod";

    /// <inheritdoc />
    protected override TagParts Shows => TagParts.Surveys;

    /// <summary>Every rule by its room of the book.</summary>
    public IReadOnlyList<(string Room, IReadOnlyList<RuleTrace> Rules)> Rooms { get; private set; } = [];

    /// <summary>As many earlier plans as are set beside the one that stands.</summary>
    private const int MostEarlier = 12;

    /// <summary>Earlier plans, newest first, each with what the plan as it stands does otherwise.</summary>
    public IReadOnlyList<(PlanRow Plan, PlanDiff Since)> Earlier { get; private set; } = [];

    /// <summary>Earlier plans that are kept but not shown.</summary>
    public int More => Math.Max(0, (Tool.Plan?.Version ?? 1) - 1 - Earlier.Count);

    /// <summary>Traces the plan of the chosen aim; of Work when none is chosen.</summary>
    public async Task OnGet()
    {
        Dictionary<string, RuleTrace> traced = Planner.Trace(await rods.Question(Tool, Tool.Aim ?? AimKind.Work)).ToDictionary(t => t.Rule.Name);
        Rooms = [.. Planner.Rooms.Select(r => (r.Name, (IReadOnlyList<RuleTrace>)[.. r.Rules.Select(x => traced[x.Name])]))];
        if (Tool.Plan is { } stands)
        {
            Earlier = [.. (await plans.Earlier(Tool, MostEarlier)).Select(p => (p, PlanDiff.Of(p.Read().Deeds, stands.Deeds)))];
        }
    }
}
