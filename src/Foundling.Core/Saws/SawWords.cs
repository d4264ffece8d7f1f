namespace Foundling.Core.Saws;

/// <summary>What the figures of a saw mean, in words.</summary>
public static class SawWords
{
    /// <summary>How a file suits.</summary>
    public static string Of(FileFit fit) => fit switch
    {
        FileFit.TooSmall => "too small: its face does not cover a flank twice", FileFit.Suits => "suits",
        _ => "reaches, but its corner makes a round gullet",
    };

    /// <summary>How a set suits.</summary>
    public static string Of(SetAdvice advice) => advice switch
    {
        SetAdvice.TooLittle => "too little: it will bind", SetAdvice.TooMuch => "too much: it wanders", _ => "suits",
    };

    /// <summary>What rake suits which cut.</summary>
    public const string Rake = "how far the front leans back: 0 to 8 to rip, 12 to 20 to crosscut";

    /// <summary>What fleam suits which cut.</summary>
    public const string Fleam = "how far the file is swung aslant: 0 to rip, 15 to 25 to crosscut";

    /// <summary>How coarse one may go over an etch, in a sentence.</summary>
    public static string Etch(Grits.EtchWatch watch) => $"Over the etch no more than {watch.LimitUm:0.#} µm may go: "
        + (watch.Coarsest is { } most ? $"nothing coarser than {most}, and look after every few strokes." :
          "nothing that is here spares it; oil and a rag alone.")
        + " It lies in the surface: rub along it, never scrape.";

    /// <summary>How nuts are brought up.</summary>
    public const string Nuts =
      "Start every nut before any is tight; then snug them in this turn, a little at a time, until all slots lie in line along the grain. "
        + "Soft brass strips: a driver that fills the slot, or pins for split nuts, and no more than snug.";

    /// <summary>What comes before a file touches a saw.</summary>
    public static IReadOnlyList<string> Before { get; } =
    [
        "Look for the etch with oil and a bright light first; what is over it is rubbed only as coarse as it can bear.",
        "Straighten the plate before the teeth are set, and joint before they are shaped.", "Each nut goes back where it came from.",
    ];
}
