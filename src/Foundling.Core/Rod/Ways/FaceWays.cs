using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Rules;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.Ways;

/// <summary>Ways to fit the faces round an iron, and to bring up a shine.</summary>
public static class FaceWays
{
    /// <summary>How the frog's face is flattened.</summary>
    public static Choice FrogFace { get; } = new(ChoiceId.FrogFace, "The frog's face is", "what the iron lies on", q => q.Aim != AimKind.Keep
        && q.Has(PartIds.Frog) && q.May(PartIds.Frog) && BedRules.Face(q) is not null,
    [
        new(WayId.Lap, "lapped with its lever in place", "a few strokes, round the lever"),
        new(WayId.PinOut, "lapped whole, the pin of its lever out", "for those who want every part of it flat; a new pin is peened in")
        {
            Kit = [SupplyIds.PinPunches], Closed = q => q.Has(PartIds.LateralLever) && q.May(PartIds.LateralLever) ? null : "No lever is in the way.",
        },
        new(WayId.Leave, "left alone", "the iron bears at the mouth and at its cap screw, and that is enough"),
    ], _ => (WayId.Lap, "It takes minutes, and its lever stays whole."));

    /// <summary>Whether the back is lifted by a shim with every honing.</summary>
    public static Choice BackHabit { get; } = new(ChoiceId.BackHabit, "The back is honed", "whether a shim lifts it each time", q => EdgeWays.Cuts(q)
        && EdgeWays.MayRaise(q) && EdgeWays.Pits(q) < EdgeWays.PitsThatStop,
    [
        new(WayId.FlatBack, "flat on the stone", "a true back; its whole last part is polished once"),
        new(WayId.Shim, "over a shim, pits or not", "a hair of back bevel; less to polish now, and from then on always with the shim"),
    ], _ => (WayId.FlatBack, "A back that is flat stays flat."));

    /// <summary>What brings up a shine.</summary>
    public static Choice Buff { get; } = new(ChoiceId.Buff, "A shine is brought up", "brass and the last of an edge", q => q.Aim != AimKind.Keep
        && (Shines(q) || (SmallWays.Brass.Asked(q) && q.Way(ChoiceId.Brass) == WayId.Shine)),
    [
        new(WayId.ByHand, "by hand", "edges and letters stay crisp"),
        new(WayId.Buffed, "on a cloth wheel with compound", "minutes for hours; it softens letters and heats thin steel", "goes", "soften")
        {
            Kit = [SupplyIds.BuffingWheel],
        },
    ], _ => (WayId.ByHand, "A wheel rounds what should be crisp."));

    /// <summary>True when an edge is taken on until it shines.</summary>
    private static bool Shines(PlanQuestion q) => Choices.Find(ChoiceId.Grit).Asked(q) && q.Way(ChoiceId.Grit) == WayId.Shines && !EdgeRules.GritThatCuts(q);

    /// <summary>True when a shine comes off a wheel.</summary>
    public static bool Buffs(PlanQuestion q) => Buff.Asked(q) && q.Way(ChoiceId.Buff) == WayId.Buffed;

    // From here on a fingernail catches in them.
    private const int SeenPits = 2;

    /// <summary>Broad faces that bear, on which pits can be lived with.</summary>
    private static IEnumerable<Found> Pitted(PlanQuestion q) => q.Findings.Where(f => f.Kind == FindingKind.Pitting && f.Severity >= SeenPits
        && q.Tool.Part(f.Part) is { } part && (part.Is(PartIds.Body) && q.Tool.HasMetalSole || part.Is(PartIds.Frog)) && q.May(part.Id)
        && PartGroups.Bears(q.Tool, part, f.Place));

    /// <summary>What happens to pits in soles and frogs.</summary>
    public static Choice FacePits { get; } = new(ChoiceId.FacePits, "Pits in sole and frog are", "pits in broad faces that bear", q => q.Aim != AimKind.Keep
        && Pitted(q).Any(),
    [
        new(WayId.Lived, "lived with", "the metal round them bears; they are left out when it is lapped"),
        new(WayId.Lap, "lapped out", "hours, and metal that a mouth and a frog need", "goes"),
    ], _ => (WayId.Lived, "A pit bears nothing and hinders nothing."));

    /// <summary>True where pits in a broad face are a reason to lap it.</summary>
    public static bool LapsPits(PlanQuestion q) => FacePits.Asked(q) && q.Way(ChoiceId.FacePits) == WayId.Lap;

    /// <summary>What happens to pits in the cap iron.</summary>
    public static Choice CapPits { get; } = new(ChoiceId.CapPits, "Pits in the cap iron are", "for looks: what bears is fitted either way", q =>
        q.Aim != AimKind.Keep && q.Has(PartIds.CapIron) && q.May(PartIds.CapIron) && q.Worst(FindingKind.Pitting, PartIds.CapIron) >= SeenPits,
    [
        new(WayId.Leave, "cleaned and oiled", "nobody sees them at work"),
        new(WayId.Paint, "touched in with dull black", "above the hump only; it comes off again"),
    ], q => q.Aim == AimKind.Show ? (WayId.Paint, "It will be looked at.") : (WayId.Leave, "They do no harm where nothing bears."));
}
