using Foundling.Core.Rod;
using Foundling.Core.Tags;
using Foundling.Data.Tags;

namespace Foundling.Web.Pages.Tags;

/// <summary>Which rules made the plan, and what kept the others out of it.</summary>
public sealed class RulesModel(TagBook tags, RodDesk rods) : TagPageModel(tags)
{
    /// <inheritdoc />
    public override string Here => "rod";

    /// <summary>Every rule by its room of the book.</summary>
    public IReadOnlyList<(string Room, IReadOnlyList<RuleTrace> Rules)> Rooms { get; private set; } = [];

    /// <summary>Traces the plan of the chosen aim; of Work when none is chosen.</summary>
    public async Task OnGet()
    {
        Dictionary<string, RuleTrace> traced = Planner.Trace(await rods.Question(Tool, Tool.Aim ?? AimKind.Work)).ToDictionary(t => t.Rule.Name);
        Rooms = [.. Planner.Rooms.Select(r => (r.Name, (IReadOnlyList<RuleTrace>)[.. r.Rules.Select(x => traced[x.Name])]))];
    }
}
