using Foundling.Core.Tools;

namespace Foundling.Core.Origin;

/// <summary>What a form of a trait says of the build: whoever sees it knows this of the tool, not only years.</summary>
/// <param name="Material">What the part is made of; null when it does not say.</param>
/// <param name="Finish">How the part is finished; null when it does not say.</param>
/// <param name="Never">The tool never had the part.</param>
/// <param name="Parts">Parts it speaks of; null for the part of the trait.</param>
public sealed record VariantBuild(Material? Material = null, PartFinish? Finish = null, bool Never = false, IReadOnlyList<string>? Parts = null)
{
    /// <summary>Most parts one form can speak of.</summary>
    public const int MostParts = 20;
}

/// <summary>Looks that say how a tool is built.</summary>
public static class SeenBuild
{
    /// <summary>
    /// The build with what was seen on it. What a person said of a part stands; what an earlier look said goes when that look is
    /// taken back or seen otherwise. A look nobody is sure of says nothing of the build.
    /// </summary>
    /// <param name="build">The build as it is kept.</param>
    /// <param name="kind">The kind of the tool; what it has not is not spoken of.</param>
    /// <param name="looks">Its looks: trait, variant and how sure, in their order.</param>
    /// <param name="book">The book that says what a variant means.</param>
    /// <returns>The same object when nothing differs.</returns>
    public static ToolBuild Seen(this ToolBuild build, ToolKind kind, IEnumerable<(string? Trait, string? Variant, Confidence Sure)> looks, PatternBook book)
    {
        HashSet<string> known = [.. book.Traits.Select(t => t.Id)];
        List<(string? Trait, string? Variant, Confidence Sure)> all = [.. looks];
        // A word against a look is needed as long as that look stands.
        ToolBuild said = build with { Parts = [.. build.Parts.Where(p => p.Trait is null || !known.Contains(p.Trait))
            .Select(p => p.Against is { } against && all.All(l => l.Trait != against) ? p with { Against = null } : p).Where(p => p.Says)] }, seen = said;
        foreach ((string? name, string? variant, Confidence sure) in all)
        {
            if (sure == Confidence.Unsure || name is null || variant is null || book.Traits.FirstOrDefault(t => t.Id == name) is not { } trait
                || trait.Builds?.GetValueOrDefault(variant) is not { } says)
            {
                continue;
            }
            foreach (PartId id in (says.Parts ?? [trait.Part]).Select(PartId.Of))
            {
                // The same trait may stand on parts of another material in another kind: there it says nothing.
                if (said.Of(id) is null && kind.Part(id) is { } usual && !(says.Never && !Faults.CanNeverHave(kind, usual))
                    && (says.Finish is not { } finish || Materials.Finishes(says.Material ?? usual.Material).Contains(finish)))
                {
                    var change = new PartChange(says.Material, says.Finish, says.Never ? PartStand.NeverHad : null);
                    ToolBuild with = seen.Said(kind, seen.Of(kind).Part(id) ?? usual, change);
                    seen = with.Of(id) is { } part ? with.With(part with { Trait = trait.Id }) : with;
                }
            }
        }
        return seen.Same(build) ? build : seen;
    }
}
