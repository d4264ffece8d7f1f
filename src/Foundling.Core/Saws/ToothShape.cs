namespace Foundling.Core.Saws;

/// <summary>A row of teeth from the side, mm: gullets lie at height 0, points above; the saw cuts towards lower x.</summary>
/// <param name="Outline">Gullets and points in turn, [x, height], mm, from the first gullet.</param>
/// <param name="Tooth">The teeth.</param>
public sealed record ToothShape(IReadOnlyList<double[]> Outline, ToothResult Tooth)
{
    /// <summary>A row of teeth as they are filed.</summary>
    /// <param name="input">The teeth.</param>
    /// <param name="count">How many.</param>
    /// <exception cref="InputException">Teeth that cannot be filed.</exception>
    public static ToothShape Of(ToothInput input, int count)
    {
        ToothResult tooth = Saws.Tooth.Of(input);
        double back = tooth.ToothHeightMm * Math.Tan(Saws.Tooth.Rake(input.RakeDeg));
        List<double[]> outline = [[0, 0]];
        for (int i = 0; i < count; i++)
        {
            outline.Add([(i * tooth.PitchMm) + back, tooth.ToothHeightMm]);
            outline.Add([(i + 1) * tooth.PitchMm, 0]);
        }
        return new ToothShape(outline, tooth);
    }
}
