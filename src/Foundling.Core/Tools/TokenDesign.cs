namespace Foundling.Core.Tools;

/// <summary>Metal a token is stamped from.</summary>
public enum TokenMetal
{
    /// <summary>Brass.</summary>
    Brass,

    /// <summary>Zinc.</summary>
    Zinc,

    /// <summary>Copper.</summary>
    Copper,

    /// <summary>Verdigris.</summary>
    Verdigris,
}

/// <summary>Figure stamped round a token.</summary>
public enum TokenFigure
{
    /// <summary>Straight rays.</summary>
    Rays,

    /// <summary>Chevrons pointing out.</summary>
    Chevrons,

    /// <summary>Small crosses.</summary>
    Crosses,

    /// <summary>Rings.</summary>
    Rings,

    /// <summary>Dots.</summary>
    Dots,

    /// <summary>Short arcs.</summary>
    Arcs,
}

/// <summary>
/// The small stamped disc tied to a tool, made from the tag number alone. Numbers run through all designs in long
/// strides, so neighbours look different and the first 4,800 numbers never repeat.
/// </summary>
/// <param name="Metal">What it is stamped from.</param>
/// <param name="Sides">Corners of its outline; 0 is round.</param>
/// <param name="Figure">Figure stamped round it.</param>
/// <param name="Count">How many figures.</param>
/// <param name="CutDegrees">Turn of the cut line, degrees.</param>
public sealed record TokenDesign(TokenMetal Metal, int Sides, TokenFigure Figure, int Count, int CutDegrees)
{
    private static readonly int[] Outlines = [0, 6, 8, 12, 5];

    /// <summary>How many designs there are.</summary>
    public const int Designs = 4 * 5 * 6 * 5 * 8;

    /// <summary>The design of a tag number.</summary>
    public static TokenDesign Of(int number)
    {
        int i = (int)(((number * 1_987L) % Designs + Designs) % Designs);
        int Take(int of)
        {
            int part = i % of;
            i /= of;
            return part;
        }
        return new TokenDesign((TokenMetal)Take(4), Outlines[Take(5)], (TokenFigure)Take(6), 4 + Take(5), (Take(8) * 45) + 11);
    }
}
