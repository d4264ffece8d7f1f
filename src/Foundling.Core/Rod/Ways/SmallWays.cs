using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Rust;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.Rod.Ways;

/// <summary>Ways to wash metal, to treat brass and the sides of a body, and to shorten a rod.</summary>
public static class SmallWays
{
    /// <summary>What takes the grease off.</summary>
    public static Choice Wash { get; } = new(ChoiceId.Wash, "Metal is first washed with", "what takes the grease off", q => q.Ferrous.Any(),
    [
        new(WayId.Solvent, "white spirit", "reaches every thread and rusts nothing"),
        new(WayId.Soap, "hot water and soap", "cheap and without fumes, but it must be dried at once") { Closed = Wet },
    ], _ => (WayId.Solvent, "Solvent before water: nothing rusts while it dries."));

    private static string? Wet(PlanQuestion q) => q.Aim == AimKind.Keep ? "Water gets under an old coat and lifts it."
        : q.Ferrous.SelectMany(p => Joined.To(q, p)).FirstOrDefault(p => p.Material is Material.Wood or Material.Soft) is { } soft
            ? $"Water runs into the joint and swells the {soft.Name}." : null;

    /// <summary>Whether brass shines.</summary>
    public static Choice Brass { get; } = new(ChoiceId.Brass, "Brass is", "whether the brown of use stays on it", q => q.Aim != AimKind.Keep
        && q.Worked.Any(p => p.Material == Material.Brass),
    [
        new(WayId.Clean, "cleaned", "the brown of use stays"),
        new(WayId.Shine, "shined", "as it left the works", "goes from the brass"),
    ], q => q.Aim == AimKind.Show ? (WayId.Shine, "It left the works bright.") : (WayId.Clean, "The colour of use does no harm."));

    /// <summary>What is done to the sides of a body.</summary>
    public static Choice Sides { get; } = new(ChoiceId.Sides, "The sides are", "sides that do no work", q => q.Aim != AimKind.Keep && q.Tool.HasMetalSole
        && q.Tool.HasBed && !q.Tool.Works(KindTrait.CheeksGuide) && q.May(PartIds.Body),
    [
        new(WayId.Leave, "left as they are", "nothing is planed with them"),
        new(WayId.Clean, "cleaned", "along the machining lines, for looks", "thinned"),
        new(WayId.Trued, "trued", "square to the sole, for a shooting board", "goes"),
    ], q => q.Aim is AimKind.Show or AimKind.Own ? (WayId.Clean, "They are seen; nothing is planed with them.")
        : (WayId.Leave, "Only a shooting board asks for more."));

    /// <summary>Which end of a rod loses what is too long.</summary>
    public static Choice RodEnd { get; } = new(ChoiceId.RodEnd, "A rod that bottoms is shortened", "which end is filed", Rules.HandleRules.Bottoms,
    [
        new(WayId.MoreThread, "at the end with more thread", "the other end keeps its grip"),
        new(WayId.BothEnds, "a little at each end", "where neither has thread to spare"),
    ], _ => (WayId.MoreThread, "Its own diameter in thread must be left."));
}
