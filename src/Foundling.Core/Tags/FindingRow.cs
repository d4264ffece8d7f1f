using Foundling.Core.Rod;
using Foundling.Core.Tools;

namespace Foundling.Core.Tags;

/// <summary>Findings that were noted together on several parts, or one alone, as one line of a report.</summary>
/// <param name="Number">Number in the list and on the drawing, from 1.</param>
/// <param name="Title">The part, or the group of parts, in words.</param>
/// <param name="All">The findings; the first stands for all.</param>
public sealed record FindingRow(int Number, string Title, IReadOnlyList<Finding> All)
{
    /// <summary>The finding that stands for all.</summary>
    public Finding First => All[0];

    /// <summary>The lines of what stands on a tag, in the order it was noted.</summary>
    public static IReadOnlyList<FindingRow> Of(Tag tag) => Of(tag.Tool(), tag.Standing());

    /// <summary>The lines of findings on a kind of tool.</summary>
    public static IReadOnlyList<FindingRow> Of(ToolKind tool, IEnumerable<Finding> findings) =>
        [.. findings.GroupBy(f =>
            (f.Kind, f.Severity, f.Place, f.Note, f.Doubt, f.Round, f.At, f.FromEdgeMm, f.FromLeftMm, f.ToLeftMm, f.DepthMm, f.SizeMm, f.CountHits,
                f.CountPoints, f.PictureId, f.OnOrder, f.ArrivesOn))
            .SelectMany(g => g.DistinctBy(f => f.Part).Count() < g.Count() ? g.Select(f => new List<Finding> { f }) : [[.. g]])
            .Select((g, i) => new FindingRow(i + 1, TitleOf(tool, g), g))];

    private static string TitleOf(ToolKind tool, List<Finding> findings)
    {
        var parts = findings.Select(f => f.Part).ToHashSet();
        return parts.Count > 1 && PartGroups.Of(tool).FirstOrDefault(g => parts.SetEquals(g.Parts.Select(p => p.Id))) is { } group
            ? group.Name
            : PlanQuestion.Names(parts.Select(p => tool.Part(p)).OfType<PartDef>()) is { Length: > 0 } names ? names : findings[0].Part.Value;
    }
}
