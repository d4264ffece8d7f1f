using Foundling.Core.Log;
using Foundling.Core.Safety;
using Foundling.Core.Shop;
using Foundling.Core.Stores;
using Foundling.Core.Tags;

namespace Foundling.Core.Bench;

/// <summary>What must be seen, agreed, there or have arrived before a step may start.</summary>
/// <param name="Unseen">Cautions not yet seen on this tool.</param>
/// <param name="Agreement">Why someone must agree first, in a sentence; null when nobody need.</param>
/// <param name="WaitsFor">What it waits for, in a sentence; null for nothing.</param>
/// <param name="Lacks">What it needs and the shop has not, without a word that it goes on without.</param>
/// <param name="Order">Why it is not its turn, in a sentence; null when it is. It can be overruled with a reason.</param>
public sealed record Gate(IReadOnlyList<Caution> Unseen, string? Agreement, string? WaitsFor, IReadOnlyList<Short> Lacks, string? Order)
{
    /// <summary>True when the step may start.</summary>
    public bool Open => Unseen.Count == 0 && Agreement is null && WaitsFor is null && Lacks.Count == 0 && Order is null;

    /// <summary>The first thing that is in the way, in a sentence.</summary>
    public string Sentence => WaitsFor ?? (Lacks.Count > 0 ? $"{Lacks[0].Sentence} Say that it is there, use what stands in for it, or say why you go on "
        + "without."
        : Order ?? Agreement ?? (Unseen.Count > 0 ? $"Read the caution first: {Unseen[0].About}." : ""));

    /// <summary>The gate of a step.</summary>
    /// <param name="tag">Its tag.</param>
    /// <param name="step">The step.</param>
    /// <param name="shop">The shop: its own tools need nobody's consent, and what it has none of holds what needs it.</param>
    /// <param name="now">This moment.</param>
    public static Gate Of(Tag tag, PlanStep step, ShopContext shop, DateTimeOffset now) => new(
        [.. Cautions.Of(step.Cautions).Where(c => !tag.SeenCautions.Contains(c.Id))],
        Consent.Asked(tag, step, shop.Name),
        step.WaitsFor.Length == 0 ? null : $"It waits for: {step.WaitsFor}{(step.ArrivesOn is DateOnly day ? $", expected {day:d MMMM}" : "")}.",
        LacksOf(step, shop),
        step is { State: StepState.Open, IsOverruled: false } ? Bench.Order.Forbids(tag, step, now) : null);

    /// <summary>What a step needs and the shop has not; nothing for a step that is not open.</summary>
    /// <param name="step">The step.</param>
    /// <param name="shop">The shop.</param>
    public static IReadOnlyList<Short> LacksOf(PlanStep step, ShopContext shop) => shop.Short.Count == 0 || step.State != StepState.Open ? []
        : [.. step.Needs.Select(n => n.Item).Distinct().Except(step.Without).Select(i => shop.Short.GetValueOrDefault(i)).OfType<Short>()];
}
