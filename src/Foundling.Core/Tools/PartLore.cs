namespace Foundling.Core.Tools;

/// <summary>How parts are usually held, and what hides behind them.</summary>
public static class PartLore
{
    private static readonly Dictionary<PartId, (string Held, string Hides)> Known = new ((string Held, string Hides) Lore, PartId[] Of)[]
    {
        (("two screws into its seat", "rust and coating on the seat, paint under its feet"), [PartIds.Frog, PartIds.FrogScrews]),
        (("cam or screw", "shavings packed under it, rust along the cap iron"), [PartIds.LeverCap]),
        (("screw through the slot", "rust between it and the iron"), [PartIds.CapIron]),
        (("cap, wedge or clamp", "a stamp under the cap, pits on the flat side"), [PartIds.Iron]),
        (("rod and nut", "a crack at the bore, a rusted rod"), [PartIds.Tote, PartIds.ToteBolt, PartIds.ToteToeScrew]),
        (("rod and nut", "a ring of old coating, a chipped foot"), [PartIds.Knob, PartIds.KnobBolt]),
        (("driven in", "old stamps and a change of colour on the abutments"), [PartIds.Wedge, PartIds.StemWedge]),
        (("nuts, rivet or tang", "rust on the metal it covers, a stamp under it"),
            [PartIds.Handle, PartIds.CrankHandle, PartIds.HandleLeft, PartIds.HandleRight, PartIds.HeadHandle, PartIds.LowerHandle, PartIds.SideHandle,
                PartIds.UpperHandle]),
        (("wedged in the eye", "cracks and old nails in the eye"), [PartIds.Haft]),
        (("screws onto the spindle", "worn jaws, a broken spring"), [PartIds.Chuck, PartIds.ChuckJaws]),
        (("on a stud, often of reverse thread", "a stripped thread"), [PartIds.Adjuster]),
        (("on its pin", "packed grit, a bent pin"), [PartIds.Knurl]),
        (("bolt and nut", "a worn hole, a missing washer"), [PartIds.Pivot]),
        (("two halves screwed together", "square holes worn round"), [PartIds.SawNuts]),
        (("pinched over the plate", "rust in the fold, a loose toe"), [PartIds.Back]),
        (("jaw bolts", "worn bolt holes"), [PartIds.Strap]),
        (("on its stems", "a bowed edge"), [PartIds.Fence]),
        (("let in and screwed", "rust behind it"), [PartIds.Skate]),
        (("pushed or wound on", "rust under it"), [PartIds.Grip, PartIds.LowerGrip, PartIds.UpperGrip]),
        (("driven on or screwed", "a mushroomed end"), [PartIds.EndCap]),
        (("on its axle", "caked grease, a chipped tooth"), [PartIds.Gear]),
        (("driven on", "a crack in the wood under it"), [PartIds.Ferrule, PartIds.FerruleLeft, PartIds.FerruleRight, PartIds.SideFerrule]),
        (("one piece with the head", "mushrooming from being struck"), [PartIds.Poll]),
        (("on the frame", "caked grease, a weak pawl"), [PartIds.Ratchet]),
    }.SelectMany(l => l.Of.Select(p => (Part: p, l.Lore))).ToDictionary(l => l.Part, l => l.Lore);

    /// <summary>How a part is attached, in words; null when nothing is known.</summary>
    public static string? Held(PartDef part) => part.Held ?? (Find(part) is { } lore ? lore.Held : part.IsFastener ? "turns out; mind which thread" : null);

    /// <summary>What may hide behind a part until it is off; null when nothing is known.</summary>
    public static string? Hides(PartDef part) => part.Hides ?? Find(part)?.Hides ?? (part.IsFastener ? "a rusted shank, a thread that is not its own" : null);

    private static (string Held, string Hides)? Find(PartDef part) => Known.TryGetValue(part.Id, out (string, string) lore)
        || (part.As is { } role && Known.TryGetValue(role, out lore)) ? lore : null;
}
