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
}
