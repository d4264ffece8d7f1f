using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod;

/// <summary>A condition of a rule, with the words that say it.</summary>
/// <param name="Words">What must hold, in words.</param>
/// <param name="Holds">Whether it does.</param>
public sealed record Cond(string Words, Func<PlanQuestion, bool> Holds);

/// <summary>A rule that puts steps into a plan.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Why">Why it is in the book.</param>
/// <param name="When">What must hold for it, all of it.</param>
/// <param name="Steps">The steps it gives.</param>
/// <param name="Choice">The choice of ways it belongs to; null when no way changes it.</param>
/// <param name="Buys">How much of the result it buys, beside the other rules of the plan; 0 for what is only needed on the way.</param>
public sealed record PlanRule(string Name, string Why, IReadOnlyList<Cond> When, Func<PlanQuestion, IEnumerable<Deed>> Steps, ChoiceId? Choice = null,
    double Buys = 0)
{
    /// <summary>A rule that gives one step.</summary>
    public static PlanRule One(string name, string why, IReadOnlyList<Cond> when, Func<PlanQuestion, Deed> step, ChoiceId? choice = null,
        double buys = 0) =>
        new(name, why, when, q => [step(q)], choice, buys);

    /// <summary>The first condition that does not hold; null when the rule applies.</summary>
    public Cond? Blocker(PlanQuestion q)
    {
        foreach (Cond cond in When)
        {
            if (!cond.Holds(q))
            {
                return cond;
            }
        }
        return null;
    }
}

/// <summary>The conditions rules are written in.</summary>
internal static class When
{
    public static Cond Always { get; } = new("always", _ => true);

    public static Cond NotKeep { get; } = new("the aim goes further than Keep", q => q.Aim != AimKind.Keep);

    public static Cond Keep { get; } = new("the aim is Keep", q => q.Aim == AimKind.Keep);

    public static Cond AimIs(params AimKind[] aims) => new($"the aim is {string.Join(" or ", aims)}", q => aims.Contains(q.Aim));

    public static Cond Of(params Family[] families) => new($"it is of the family {string.Join(" or ", families.Select(Words))}", q =>
        families.Contains(q.Tool.Family));

    public static Cond Edge(params EdgeForm[] forms) => new($"its edge has {string.Join(" or ", forms.Select(Words))}", q => forms.Contains(q.Tool.Edge)
        && q.Tool.Edges.Any(p => q.Has(p.Id)));

    public static Cond There(PartId part, string name) => new($"it has a {name}", q => q.Has(part));

    public static Cond Found(FindingKind kind, int degree = 1, params PartId[] parts) => Seen(kind, degree, parts, q => q.Worst(kind, parts) >= degree);

    /// <summary>The finding or worse on some part that is there and stays.</summary>
    public static Cond FoundOnWhatStays(FindingKind kind, int degree = 1) => Seen(kind, degree, [], q => q.Staying(kind, degree).Any());

    private static Cond Seen(FindingKind kind, int degree, PartId[] parts, Func<PlanQuestion, bool> holds)
    {
        PartDef? named = parts.Select(p => ToolCatalogue.Kinds.Select(k => k.Part(p)).FirstOrDefault(d => d is not null)).FirstOrDefault(d => d is not null);
        string on = named is null ? "" : $", on the {string.Join(" or ", parts.Select(p => p.Value.Replace('_', ' ')))}";
        return new($"{FindingScales.Name(kind, named)}, \"{FindingScales.Sight(kind, degree, named)}\" or worse{on}", holds);
    }

    public static Cond Chosen(ChoiceId choice, params WayId[] ways) =>
        new($"{Ways.Choices.Find(choice).Question}: {string.Join(" or ", ways.Select(w => Ways.Choices.Find(choice).Find(w).Name))}", q =>
            ways.Contains(q.Way(choice)));

    public static Cond If(string words, Func<PlanQuestion, bool> holds) => new(words, holds);

    private static string Words(Family family) => family switch { Family.EdgeTool => "edge tools", Family.BoringTool => "boring tools", _ =>
        family.ToString().ToLowerInvariant() + "s" };

    private static string Words(EdgeForm form) => form switch
    {
        EdgeForm.Curved => "one bevel on a curve", EdgeForm.Profiled => "a bevel in the shape of the sole",
        EdgeForm.BackAndBevel => "a flat back and one bevel", EdgeForm.TwoBevels => "two bevels", EdgeForm.FlatFace => "one flat face", EdgeForm.Burr =>
            "a turned burr", EdgeForm.Toothed => "teeth ground in",
        EdgeForm.Bypass => "a blade that passes a hook", EdgeForm.Meeting => "two edges that meet", EdgeForm.SawTeeth => "saw teeth", _ => "nothing that cuts",
    };
}
