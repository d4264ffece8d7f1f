namespace Foundling.Core.Tools;

/// <summary>How parts are usually held, and what hides behind them.</summary>
public static class PartLore
{
    private static readonly Dictionary<string, (string Held, string Hides)> Known = new()
    {
        ["frog"] = ("two screws into its seat", "rust and coating on the seat, paint under its feet"), ["lever_cap"] = ("cam or screw", "shavings packed under it, rust along the cap iron"),
        ["cap_iron"] = ("screw through the slot", "rust between it and the iron"), ["iron"] = ("cap, wedge or clamp", "a stamp under the cap, pits on the flat side"),
        ["tote"] = ("rod and nut", "a crack at the bore, a rusted rod"), ["knob"] = ("rod and nut", "a ring of old coating, a chipped foot"), ["wedge"] = ("driven in", "old stamps and a change of colour on the abutments"),
        ["handle"] = ("nuts, rivet or tang", "rust on the metal it covers, a stamp under it"), ["haft"] = ("wedged in the eye", "cracks and old nails in the eye"), ["chuck"] = ("screws onto the spindle", "worn jaws, a broken spring"),
        ["adjuster"] = ("on a stud, often of reverse thread", "a stripped thread"), ["knurl"] = ("on its pin", "packed grit, a bent pin"), ["pivot"] = ("bolt and nut", "a worn hole, a missing washer"),
        ["saw_nuts"] = ("two halves screwed together", "square holes worn round"), ["back"] = ("pinched over the plate", "rust in the fold, a loose toe"), ["strap"] = ("jaw bolts", "worn bolt holes"),
        ["fence"] = ("on its stems", "a bowed edge"), ["skate"] = ("let in and screwed", "rust behind it"), ["grip"] = ("pushed or wound on", "rust under it"), ["end_cap"] = ("driven on or screwed", "a mushroomed end"),
        ["gear"] = ("on its axle", "caked grease, a chipped tooth"), ["ferrule"] = ("driven on", "a crack in the wood under it"), ["poll"] = ("one piece with the head", "mushrooming from being struck"), ["ratchet"] = ("on the frame", "caked grease, a weak pawl"),
    };

    /// <summary>How a part is attached, in words; null when nothing is known.</summary>
    public static string? Held(PartDef part) => part.Held ?? (Find(part) is { } lore ? lore.Held : part.IsFastener ? "turns out; mind which thread" : null);

    /// <summary>What may hide behind a part until it is off; null when nothing is known.</summary>
    public static string? Hides(PartDef part) => Find(part)?.Hides ?? (part.IsFastener ? "a rusted shank, a thread that is not its own" : null);

    private static (string Held, string Hides)? Find(PartDef part) =>
        Known.TryGetValue(part.Id, out (string, string) lore) || Known.TryGetValue(part.Id.Split('_')[0], out lore)
            || Known.TryGetValue(part.Id.Split('_')[^1], out lore) ? lore : null;
}
