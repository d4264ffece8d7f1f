namespace Foundling.Core.State;

/// <summary>A hand count: <paramref name="Hits"/> of <paramref name="Points"/> grid points fell on what is counted.</summary>
public sealed record WilsonInput(int Hits, int Points);

/// <summary>The share with its honest error.</summary>
/// <param name="Share">Hits over points, 0 to 1.</param>
/// <param name="Low95">Lower end of the 95 % interval.</param>
/// <param name="High95">Upper end.</param>
/// <param name="HalfWidth">Half the interval.</param>
/// <param name="MorePointsFor10">Points still to count for plus or minus 10 points of share.</param>
/// <param name="MorePointsFor5">Points still to count for plus or minus 5.</param>
public sealed record WilsonResult(double Share, double Low95, double High95, double HalfWidth, int MorePointsFor10, int MorePointsFor5);

/// <summary>How far a share fell, 0 to 1, with its 95 % interval; negative where it rose.</summary>
public sealed record ShareDifference(double Fell, double Low95, double High95);

/// <summary>Coverage by point counting. Source: Wilson's score interval.</summary>
public static class Wilson
{
    private const double Z = 1.959963984540054;

    /// <summary>The 95 % interval of a share counted by points.</summary>
    /// <exception cref="InputException">No points, or hits outside 0 to points.</exception>
    public static WilsonResult Count(WilsonInput input)
    {
        if (input.Points < 1)
        {
            throw new InputException("no_points", "points", input.Points, "1 or more", "Count at least one point.");
        }
        if (input.Hits < 0 || input.Hits > input.Points)
        {
            throw new InputException("hits_outside_points", "hits", input.Hits, $"0 to {input.Points}",
                $"{input.Hits} hits of {input.Points} points cannot be; hits must be 0 to {input.Points}.");
        }
        double p = (double)input.Hits / input.Points;
        double half = HalfWidth(p, input.Points);
        double middle = (p + (Z * Z / (2 * input.Points))) / (1 + (Z * Z / input.Points));
        return new WilsonResult(p, input.Hits == 0 ? 0 : middle - half, input.Hits == input.Points ? 1 : middle + half, half,
            More(p, input.Points, 0.10), More(p, input.Points, 0.05));
    }

    /// <summary>
    /// How far a share fell from one count to another, with its 95 % interval. Source: Newcombe's hybrid score interval
    /// for two independent shares.
    /// </summary>
    /// <param name="before">The count before.</param>
    /// <param name="after">The count after.</param>
    public static ShareDifference Difference(WilsonInput before, WilsonInput after)
    {
        WilsonResult a = Count(before), b = Count(after);
        double fell = a.Share - b.Share;
        static double Root(double x, double y) => Math.Sqrt((x * x) + (y * y));
        return new ShareDifference(fell, fell - Root(a.Share - a.Low95, b.High95 - b.Share), fell + Root(a.High95 - a.Share, b.Share - b.Low95));
    }

    private static double HalfWidth(double p, double n) =>
        Z / (1 + (Z * Z / n)) * Math.Sqrt((p * (1 - p) / n) + (Z * Z / (4 * n * n)));

    private static int More(double p, int n, double wanted)
    {
        int more = 0;
        while (HalfWidth(p, n + more) > wanted + Whole.Slack)
        {
            more++;
        }
        return more;
    }
}
