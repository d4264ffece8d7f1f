namespace Foundling.Core.Saws;

/// <summary>Teeth read off a photograph that was taken square to the plate.</summary>
/// <param name="HeightsMm">Height of each tip over the line of the gullets, mm, from the one end to the other; 0 where a tooth is missing.</param>
/// <param name="Missing">Teeth that are missing between those that are there.</param>
/// <param name="Ppi">Points to the inch, from the usual spacing; null for fewer than two teeth.</param>
public sealed record TeethOnPhoto(IReadOnlyList<double> HeightsMm, int Missing, double? Ppi)
{
    /// <summary>Most tips that are read.</summary>
    public const int MostTips = 500;

    private const double LeastPixels = 20;

    // A photograph of a saw with a wide hole in its line is read as no more teeth than this.
    private const int MostMissing = 100;

    /// <summary>Reads them.</summary>
    /// <param name="one">One end of the line of the gullets, pixels.</param>
    /// <param name="other">The other end.</param>
    /// <param name="lengthMm">How far they are apart, mm.</param>
    /// <param name="tips">Tips of the teeth, in any order.</param>
    /// <exception cref="InputException">A line too short to measure by, too many tips, or tips that lie on one another.</exception>
    public static TeethOnPhoto Of((double X, double Y) one, (double X, double Y) other, double lengthMm, IReadOnlyList<(double X, double Y)> tips)
    {
        double dx = other.X - one.X, dy = other.Y - one.Y, pixels = Math.Sqrt((dx * dx) + (dy * dy));
        if (pixels < LeastPixels)
        {
            throw new InputException("line_too_short", "line", pixels, $"{LeastPixels:0} pixels or more",
                "Put the two ends apart, on the line of the gullets, over as many teeth as the picture shows.");
        }
        if (tips.Count > MostTips)
        {
            throw new InputException("too_many", "tips", tips.Count, $"at most {MostTips}", $"At most {MostTips} teeth are read off one picture.");
        }
        double mm = Check.Positive(lengthMm, "length_mm") / pixels;
        List<(double Along, double High)> at = [.. tips.Select(t => ((((t.X - one.X) * dx) + ((t.Y - one.Y) * dy)) / pixels * mm,
            Math.Abs(((t.X - one.X) * dy) - ((t.Y - one.Y) * dx)) / pixels * mm)).OrderBy(t => t.Item1)];
        List<double> steps = [.. at.Zip(at.Skip(1), (a, b) => b.Along - a.Along).Order()];
        if (steps.Count > 0 && steps[0] <= Whole.Slack)
        {
            throw new InputException("tips_too_near", "tips", steps[0], "one mark to a tooth", "Two marks lie on one another: one mark to a tooth.");
        }
        // The median is the usual spacing as long as fewer teeth are missing than are there.
        double pitch = steps.Count == 0 ? 0 : steps[(steps.Count - 1) / 2];
        List<double> heights = [];
        int missing = 0;
        for (int i = 0; i < at.Count; i++)
        {
            int gone = i == 0 ? 0 : Math.Min(MostMissing - missing, (int)Math.Round((at[i].Along - at[i - 1].Along) / pitch) - 1);
            heights.AddRange(Enumerable.Repeat<double>(0, Math.Max(0, gone)));
            missing += Math.Max(0, gone);
            heights.Add(at[i].High);
        }
        return new TeethOnPhoto(heights, missing, pitch > 0 ? (Units.Length.MmPerInch / pitch) + 1 : null);
    }
}
