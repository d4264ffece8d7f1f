using System.Text.RegularExpressions;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.Ways;

/// <summary>Ways chosen for single parts: practitioners mix methods on one tool. Kept as "choice.part=way".</summary>
public static partial class PartChoices
{
    /// <summary>The choices a part can have a way of its own for.</summary>
    public static IReadOnlyList<ChoiceId> All { get; } = [ChoiceId.Rust, ChoiceId.Coating, ChoiceId.Wood];

    /// <summary>Parts a choice is about on this tool.</summary>
    /// <param name="q">What is planned.</param>
    /// <param name="choice">Rust, coating or wood.</param>
    public static IReadOnlyList<PartDef> Of(PlanQuestion q, ChoiceId choice) => q.Aim == AimKind.Keep || !Choices.Find(choice).Asked(q) ? [] : choice switch
    {
        ChoiceId.Rust => q.Rusty,
        ChoiceId.Coating => [.. SurfaceWays.Coated(q)],
        ChoiceId.Wood => [.. SurfaceWays.Finished(q)],
        _ => [],
    };

    /// <summary>The ways of a choice that are open to a part.</summary>
    public static IReadOnlyList<Way> OpenFor(PlanQuestion q, ChoiceId choice, PartDef part) =>
        [.. Choices.Find(choice).Ways.Where(w => Blocked(q, choice, w.Id, part) is null)];

    /// <summary>What blocks a way for a part, in a sentence: kit that is lacking, or the harm it does; null when nothing does.</summary>
    /// <param name="q">What is planned.</param>
    /// <param name="choice">Rust, coating or wood.</param>
    /// <param name="way">The way.</param>
    /// <param name="part">The part.</param>
    public static string? Blocked(PlanQuestion q, ChoiceId choice, WayId way, PartDef part) => Choices.Find(choice).Find(way) is var found
        && choice == ChoiceId.Rust ? RustWays.Blocked(q, found, part) : found.Lacks(q) ?? (choice, way) switch
    {
        (ChoiceId.Coating, WayId.Touch) when q.Worst(FindingKind.CoatingLoss, part.Id) == 0 => "Nothing is bare.",
        (ChoiceId.Coating, WayId.Touch) when q.Worst(FindingKind.CoatingLoss, part.Id) == FindingScales.Worst => "Too little is left to touch in.",
        (ChoiceId.Coating, WayId.Bake) when part.Finish == PartFinish.Painted => "It was painted cold when it was made.",
        _ => null,
    };

    /// <summary>Reads ways kept for parts; what the tool or the book has not is left out.</summary>
    /// <param name="kept">What is kept.</param>
    /// <param name="tool">The tool.</param>
    public static IReadOnlyDictionary<(ChoiceId Choice, PartId Part), WayId> Read(IEnumerable<string> kept, ToolKind tool) =>
        kept.Select(Read).Where(k => k is { Way: not null } && tool.Made(k.Value.Part))
            .GroupBy(k => (k!.Value.Choice, k.Value.Part)).ToDictionary(g => g.Key, g => g.Last()!.Value.Way!.Value);

    /// <summary>Reads a way of a part; no way means as the rest. Null for what is no such thing.</summary>
    public static (ChoiceId Choice, PartId Part, WayId? Way)? Read(string kept)
    {
        if (Written().Match(kept) is not { Success: true } match || KeyText.Read<ChoiceId>(match.Groups["choice"].Value) is not ChoiceId choice)
        {
            return null;
        }
        string words = match.Groups["way"].Value;
        WayId? way = KeyText.Read<WayId>(words);
        return (words.Length > 0 && way is null) || (way is WayId known && Choices.Find(choice).Ways.All(w => w.Id != known)) ? null
            : (choice, PartId.Of(match.Groups["part"].Value), way);
    }

    [GeneratedRegex(@"^(?<choice>rust|coating|wood)\.(?<part>[a-z0-9_]{1,40})=(?<way>[a-z0-9-]{0,40})\z")]
    private static partial Regex Written();

    /// <summary>Keeps the way of a part among those kept; no way takes it back.</summary>
    public static List<string> Keep(IEnumerable<string> kept, ChoiceId choice, PartId part, WayId? way)
    {
        string name = $"{KeyText.Of(choice)}.{part}=";
        List<string> others = [.. kept.Where(k => !k.StartsWith(name, StringComparison.Ordinal))];
        return way is WayId taken ? [.. others, name + KeyText.Of(Choices.Find(choice).Find(taken).Id)] : others;
    }
}
