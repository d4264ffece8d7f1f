using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.Rod.Ways;

/// <summary>Ways to flatten a sole.</summary>
public static class SoleWays
{
    private static bool Laps(PlanQuestion q) => q.Aim != AimKind.Keep && q.Tool.HasMetalSole;

    private static readonly Choice Flat = new(ChoiceId.Flat, "The sole is flat when", "what is measured against", Laps,
    [
        new(WayId.Zones, "toe, mouth and heel are in one plane", "what the work feels"),
        new(WayId.Whole, "the whole sole is within the tolerance", "the strictest, most metal"),
        new(WayId.Cuts, "it cuts", "no tolerance: a full-width shaving is the proof"),
        new(WayId.Leave, "it is left as it is", "no survey and no lapping: leaving it is an answer"),
    ], q => q.Aim == AimKind.Show ? (WayId.Whole, "It will be looked at.") : (WayId.Zones, "Those three carry the plane."));

    private static readonly Choice Order = new(ChoiceId.Order, "Honing and lapping", "which comes first; the edge is covered and drawn back either way", Laps,
    [
        new(WayId.HoneFirst, "hone first, lap last", "nothing moves after the sole is true"),
        new(WayId.LapFirst, "lap first, hone last", "the edge meets no slurry"),
    ], _ => (WayId.HoneFirst, "The sole is flattened in the state it works in."));

    private static readonly Choice Lapping = new(ChoiceId.Lapping, "The sole is lapped", "in which state", q => Laps(q) && q.Tool.HasBed
        && !q.Tool.Works(KindTrait.CheeksGuide) && q.Way(ChoiceId.Flat) != WayId.Leave,
    [
        new(WayId.Tensioned, "whole and under tension", "in the shape it works in"),
        new(WayId.BareBody, "as a bare body", "light in the hand and easily washed; tension then bends it by a hair"),
        new(WayId.RoughFirst, "rough first, then last under tension", "rust and high spots go before anything else; two sittings"),
    ], _ => (WayId.Tensioned, "Tension bends the body, so it is judged under it."));

    /// <summary>True when the bare body is lapped, before it goes together.</summary>
    public static bool IsBare(PlanQuestion q) => Lapping.Asked(q) && q.Way(ChoiceId.Lapping) == WayId.BareBody;

    /// <summary>True when the bare body is lapped roughly first, and truly at the end.</summary>
    public static bool IsTwice(PlanQuestion q) => Lapping.Asked(q) && q.Way(ChoiceId.Lapping) == WayId.RoughFirst;

    private static readonly Choice Lubricant = new(ChoiceId.Lubricant, "The sole is lapped on", "what cuts, and what carries the swarf away", q => Laps(q)
        && q.Way(ChoiceId.Flat) != WayId.Leave && q.May(PartIds.Body),
    [
        new(WayId.OilFilm, "paper with a film of light oil", "keeps rust off; the paper floats when it is too much"),
        new(WayId.Spirit, "paper with white spirit", "washes the paper clean; it burns, so the door is open"),
        new(WayId.Water, "paper with water and soap", "cheap, and it rusts in minutes: dried and oiled at each stop"),
        new(WayId.Powder, "loose powder and oil, on bare glass", "cuts fast and evenly, wears the glass, and every grain must be washed off"),
        new(WayId.Dry, "dry paper", "quick to see the marks; dust for the lungs"),
    ], _ => (WayId.OilFilm, "It keeps rust off between two looks."));

    /// <summary>All of them.</summary>
    public static IReadOnlyList<Choice> All { get; } = [Flat, Lapping, Lubricant, Order];
}
