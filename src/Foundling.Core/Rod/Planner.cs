using Foundling.Core.Keys;
using Foundling.Core.Rod.Rules;
using Foundling.Core.Rod.Ways;

namespace Foundling.Core.Rod;

/// <summary>What became of a rule in a plan.</summary>
/// <param name="Rule">The rule.</param>
/// <param name="Steps">Keys of the steps it gave; empty when it gave none.</param>
/// <param name="Blocker">What did not hold, in words; null when it gave steps.</param>
public sealed record RuleTrace(PlanRule Rule, IReadOnlyList<DeedId> Steps, string? Blocker);

/// <summary>Builds a rod: rules give the steps, the state of their parts the sequence.</summary>
public static class Planner
{
    /// <summary>Rooms of the rule book, in the order of the work.</summary>
    public static IReadOnlyList<(string Name, IReadOnlyList<PlanRule> Rules)> Rooms { get; } =
    [
        ("As it came", ArrivalRules.All), ("Stuck parts", SeizedRules.All), ("Taking apart", ApartRules.All), ("Washing", WashRules.All),
            ("Baths", SoakRules.All), ("Rust", DerustRules.All), ("Small parts", SmallPartRules.All), ("Coating", CoatingRules.All), ("Wood", WoodRules.All),
        ("Handles", HandleRules.All), ("Bed and wedge", BedRules.All), ("Mechanisms", MechanismRules.All), ("Edges", EdgeRules.All),
            ("Other edges", OtherEdgeRules.All), ("What only some have", ParticularRules.All), ("Saws", SawRules.All), ("Putting together",
                TogetherRules.All), ("Soles", SoleRules.All),
            ("The end", FinishRules.All),
    ];

    /// <summary>Every rule.</summary>
    public static IReadOnlyList<PlanRule> Rules { get; } = [.. Rooms.SelectMany(r => r.Rules)];

    private static readonly Dictionary<string, PlanRule> ByName = Rules.ToDictionary(r => r.Name);

    private static readonly Dictionary<string, int> Places = Rules.Select((r, i) => (r.Name, i)).ToDictionary(r => r.Name, r => r.i);

    /// <summary>The place of a deed's rule in the book; behind all of them for a deed no rule gave.</summary>
    internal static int PlaceOf(Deed deed) => Places.GetValueOrDefault(deed.Rule, int.MaxValue);

    /// <summary>The rule of a name, or null: steps a person added have none.</summary>
    public static PlanRule? RuleOf(Deed deed) => ByName.GetValueOrDefault(deed.Rule);

    /// <summary>The plan for a tool, in order.</summary>
    /// <exception cref="InvalidOperationException">The deeds of a rule form a circle: a programming error.</exception>
    public static IReadOnlyList<Deed> Plan(PlanQuestion question)
    {
        List<Deed> steps = [.. Steps(question)];
        Bonds bonds = Bonds.Of(steps, question);
        return Bind(Sequence.Sort(steps, bonds), bonds);
    }

    /// <summary>The steps the rules give, not yet in order.</summary>
    internal static IEnumerable<Deed> Steps(PlanQuestion question)
    {
        foreach (PlanRule rule in Rules)
        {
            foreach (Deed deed in Of(rule, question))
            {
                yield return deed;
            }
        }
    }

    private static IReadOnlyList<Deed> Of(PlanRule rule, PlanQuestion question) => question.DeedsOf(rule, r => Given(r, question));

    private static List<Deed> Given(PlanRule rule, PlanQuestion question)
    {
        if (rule.Blocker(question) is not null)
        {
            return [];
        }
        List<Deed> deeds = [.. StepsOf(rule, question).Select(d => d with { Rule = rule.Name, Choice = rule.Choice, Cautions = Dangers.Of(d, question) })];
        // Only rules that take metal off ask whether any is.
        if (deeds.Exists(Takes) && MetalWays.Spares(question))
        {
            deeds.RemoveAll(Takes);
        }
        foreach (Deed deed in deeds)
        {
            deed.Minutes.Ordered();
        }
        return deeds;
    }

    private static bool Takes(Deed deed) => StepSets.Takes.Has(deed.Id.Step);

    // What is not to be touched is still photographed, counted and put back.
    private static bool Works(Deed deed) => deed.Stage is not (Stage.AsFound or Stage.Apart or Stage.Together or Stage.Finish)
        && deed.Kind is not (DeedKind.Look or DeedKind.Order) && deed.Id.Step != StepKey.KeepOut;

    // A step is about parts the tool was made with and that may be touched; one that has none of them is no step.
    private static IEnumerable<Deed> StepsOf(PlanRule rule, PlanQuestion question)
    {
        foreach (Deed deed in rule.Steps(question))
        {
            if (deed.Parts.Count == 0)
            {
                yield return deed;
            }
            else if (deed.Parts.Where(question.Tool.Made).Select(question.Tool.Key).Distinct().Where(p => !Works(deed) || question.Tool.Part(p)?.Spared is null)
                .ToList() is { Count: > 0 } made)
            {
                yield return deed with { Parts = made };
            }
        }
    }

    /// <summary>What became of every rule, in the order of the book.</summary>
    public static IReadOnlyList<RuleTrace> Trace(PlanQuestion question) => [.. Rules.Select(rule =>
    {
        Cond? blocker = rule.Blocker(question);
        IReadOnlyList<Deed> given = Of(rule, question);
        return new RuleTrace(rule, [.. given.Select(s => s.Id)], blocker?.Words ?? (given.Count == 0 && MetalWays.Spares(question) ? MetalWays.Asks.Words
            : null));
    })];

    /// <summary>Writes into each deed which of the plan it must come after, and what must have passed since.</summary>
    /// <param name="deeds">The deeds in their order.</param>
    /// <param name="bonds">What ties them.</param>
    public static IReadOnlyList<Deed> Bind(IReadOnlyList<Deed> deeds, Bonds bonds)
    {
        Dictionary<DeedId, List<PlanBond>> before = bonds.All.Where(b => !b.Soft || b.Lag is not null).GroupBy(b => b.After)
            .ToDictionary(g => g.Key, g => g.ToList());
        Dictionary<DeedId, int> at = deeds.Select((d, i) => (d.Id, i)).ToDictionary(p => p.Id, p => p.i);
        return [.. deeds.Select((deed, i) => deed with
        {
            After =
            [
                .. (before.GetValueOrDefault(deed.Id) ?? []).Where(b => at[b.Before] < i).Select(b => new Follows(b.Before, b.Why, b.Lag))
                    .Concat(deeds.Take(i).Select(early => Waited(early, deed)).OfType<Follows>()).OrderBy(f => at[f.Id]),
            ],
        })];
    }

    /// <summary>What a rule says of two of its own deeds; null for nothing.</summary>
    /// <param name="early">The deed that may come first.</param>
    /// <param name="late">The deed that may come after it.</param>
    internal static Follows? Chained(Deed early, Deed late)
    {
        if (late.Since is not null)
        {
            foreach (Follows own in late.Since)
            {
                if (own.Id == early.Id.Whole)
                {
                    return own;
                }
            }
        }
        return null;
    }

    /// <summary>What a step of a person's own with a wait keeps: work on the same parts; a look is never kept. Null for nothing.</summary>
    /// <param name="early">The step of one's own.</param>
    /// <param name="late">A deed that comes later.</param>
    internal static Follows? Waited(Deed early, Deed late) => early.Id.Step == StepKey.Own && early.Lag is { } lag && late.Kind != DeedKind.Look
        && (early.Parts.Count == 0 || late.Parts.Count == 0 || early.Parts.Intersect(late.Parts).Any())
            ? new Follows(early.Id, "what was added by hand is given its time", lag) : null;
}
