namespace Foundling.Core.Edges;

/// <summary>What is done about a mouth and a cap iron, in words. Lengths are written by who shows them.</summary>
public static class MouthWords
{
    /// <summary>One thing that is done.</summary>
    /// <param name="deed">What and by how much.</param>
    /// <param name="toe">It is the toe that moves, not a frog.</param>
    /// <param name="length">Writes a length, mm.</param>
    public static string Of(MouthDeed deed, bool toe, Func<double, string> length) => deed.Do switch
    {
        MouthDo.Leave => "Leave it: it is as open as it should be.",
        MouthDo.Close => toe ? $"Draw the toe back by {length(deed.Mm)}." :
          $"Bring the frog forward by {length(deed.Mm)}, as long as the iron still lies on it "
            + "down to its lower end.",
        MouthDo.Open => toe ? $"Let the toe go forward by {length(deed.Mm)}." : $"Draw the frog back by {length(deed.Mm)}, no further than where it runs on "
            + "into the body.",
        MouthDo.FileFront => $"File {length(deed.Mm)} off the front wall: a line scribed square first, a safe-edged file, leaning so that the wall opens "
            + "upwards, tried with the iron often.",
        _ => $"Too open by {length(deed.Mm)}: a piece let in closes it; card under the iron does for a trial.",
    };

    /// <summary>What is never filed.</summary>
    public static string Never(bool moves) => moves ?
      "Never the wall behind the edge, and never the seat of the frog: the iron would hang in the air and chatter."
        : "Never the bed: the iron would hang in the air and chatter.";

    /// <summary>Whether it fits, in a sentence.</summary>
    /// <param name="check">What was compared.</param>
    /// <param name="length">Writes a length, mm.</param>
    public static string Of(FitCheck check, Func<double, string> length) => (check.Fit, check.Fits) switch
    {
        (IronFit.Opening, true) => "It goes through the mouth, with room to be set straight.",
        (IronFit.Opening, false) => $"The iron is too wide for the mouth: with room to be set straight it needs {length(check.NeedsMm)}, and there are "
            + $"{length(check.HasMm)}. Grind the iron's sides, never the cheeks of the mouth.",
        (IronFit.Slot, true) => "Its slot clears the screw.",
        (IronFit.Slot, false) => $"Its slot of {length(check.HasMm)} does not clear a screw of {length(check.NeedsMm)}: file the slot, not the screw.",
        (IronFit.Yoke, true) => "The yoke reaches through it into the cap iron.",
        (IronFit.Yoke, false) => $"The yoke stands {length(check.HasMm)} proud and would need {length(check.NeedsMm)} to hold the cap iron through this iron: "
            + "it would not be moved. Look for a longer yoke, or a thinner iron.",
        (_, true) => "The cap iron's screw is long enough.",
        _ => $"The cap iron's screw of {length(check.HasMm)} is short of the {length(check.NeedsMm)} it needs to hold: look for a longer one of its thread.",
    };

    /// <summary>What is done where light shows between cap iron and iron.</summary>
    public static string Of(CapLightAt at) => at switch
    {
        CapLightAt.None => "No light: leave it. Tap its corners; a rattle means the iron is not flat there.",
        CapLightAt.Middle => "The middle is hollow: hone the front edge on a flat stone, undercut a degree or two, until the line runs right across.",
        CapLightAt.Corners => "The middle stands proud: hone it down on a flat stone; it must not be rounded at the corners.",
        CapLightAt.OneCorner => "It is in wind, or the iron is: lay the iron on a plate first. A soft cap is bent back, cold, by hand pressure in soft jaws; "
            + "a hard one is honed.",
        _ => "It has lost its spring, or its front is not undercut: bend a soft one at the hump, cold, until it meets at its very edge first; then hone.",
    };

    /// <summary>Where light may show, with its name.</summary>
    public static IReadOnlyList<(CapLightAt At, string Name)> Lights { get; } =
    [
        (CapLightAt.None, "nowhere"), (CapLightAt.Middle, "in the middle"), (CapLightAt.Corners, "at both corners"), (CapLightAt.OneCorner, "at one corner"),
        (CapLightAt.All, "all along"),
    ];

    /// <summary>How a frog is brought square and moved.</summary>
    /// <param name="screw">A screw behind it moves it; null where nobody looked.</param>
    public static string Squared(bool? screw) =>
        screw == true ? "The screw behind the frog moves it while its own screws are only snug; then see that it is square."
        : screw == false ? "No screw moves the frog: tap it, a rule laid across the mouth, until the gap is the same at both ends."
        : "See that the frog is square: the same gap at both ends of the mouth, by its screw or by a rule laid across.";

    /// <summary>How a cap iron goes on.</summary>
    public const string SwungOn = "It goes on crosswise behind the edge and is turned in line there: it never drags over the edge.";

    /// <summary>How tight the lever cap is drawn.</summary>
    public const string Tension = "So tight that the iron does not shift in use, and the adjuster still turns with a finger. Where the lever needs two thumbs "
        + "its screw is down too far, and a tight cap bends a thin bed.";
}

/// <summary>Where light shows between a cap iron and its iron, held against a window.</summary>
public enum CapLightAt
{
    /// <summary>Nowhere.</summary>
    None,

    /// <summary>In the middle.</summary>
    Middle,

    /// <summary>At both corners.</summary>
    Corners,

    /// <summary>At one corner.</summary>
    OneCorner,

    /// <summary>All along.</summary>
    All,
}
