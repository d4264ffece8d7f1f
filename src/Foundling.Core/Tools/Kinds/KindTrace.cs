using Foundling.Core.Units;

namespace Foundling.Core.Tools.Kinds;

/// <summary>
/// A silhouette traced on a picture: a line of known length, and for each part either its outlines or the place where it is seen.
/// Places are in pixels of the picture, to the right and down.
/// </summary>
/// <param name="From">One end of a line of known length.</param>
/// <param name="To">The other end.</param>
/// <param name="Mm">Length of that line, mm.</param>
/// <param name="Parts">Parts that were traced or placed; the others are told apart by their names alone.</param>
public sealed record KindTrace(IReadOnlyList<double> From, IReadOnlyList<double> To, double Mm, IReadOnlyList<TracedPart> Parts)
{
    /// <summary>Most points of one outline.</summary>
    public const int MostPoints = 300;

    /// <summary>Most outlines of a part: the first, and holes in it.</summary>
    public const int MostLoops = 8;

    private const int MostPointsInAll = 2500, LeastLinePx = 20;
    private const double FarthestPx = 50_000, LeastMm = 20, MostMm = 3000;

    /// <summary>The line is the length of the tool itself; otherwise something that lies beside it.</summary>
    public bool Whole { get; init; } = true;

    /// <summary>The picture shows the other side, so the drawing is turned over.</summary>
    public bool Mirrored { get; init; }

    /// <summary>Refuses a trace nothing can be drawn from.</summary>
    /// <param name="parts">Parts of the kind, the main one first.</param>
    /// <exception cref="InputException">Something is missing or too much; the sentence says what.</exception>
    public void Check(IReadOnlyList<KindPart> parts)
    {
        Holds(Place(From) && Place(To) && Math.Max(Math.Abs(To[0] - From[0]), Math.Abs(To[1] - From[1])) >= LeastLinePx,
            "Tap both ends of something of known length on the picture, well apart.");
        Holds(Mm is >= LeastMm and <= MostMm, $"The known length is {LeastMm:0} to {MostMm:#,0} mm.");
        Holds(Parts.Any(p => p.Part == parts[0].Part && p.Loops.Count > 0), $"Tap round the {parts[0].Name}: it holds the others together.");
        foreach (TracedPart traced in Parts)
        {
            KindPart part = parts.FirstOrDefault(p => p.Part == traced.Part)
                ?? throw KindReader.Wrong("trace", $"\"{Shorten.To(traced.Part.Value, 40)}\" is traced and is no part of this kind.");
            Holds(Parts.Count(p => p.Part == traced.Part) == 1, $"The {part.Name} is traced once.");
            Holds(traced.Loops.Count > 0 ? traced.At is null : traced.At is { } at && Place(at), $"The {part.Name} is traced, or placed by one tap.");
            Holds(traced.Loops.Count <= MostLoops && traced.Loops.All(l => l.Count is >= 3 and <= MostPoints && l.All(p => Place(p))),
                $"An outline of the {part.Name} has 3 to {MostPoints} points, and there are {MostLoops} outlines at most.");
        }
        Holds(Parts.Sum(p => p.Loops.Sum(l => l.Count)) <= MostPointsInAll, $"{MostPointsInAll:#,0} points are the most in all.");
    }

    private static bool Place(IReadOnlyList<double> at) => at.Count is 2 or 3 && at.All(v => Math.Abs(v) <= FarthestPx);

    private static void Holds(bool holds, string sentence)
    {
        if (!holds)
        {
            throw KindReader.Wrong("trace", sentence);
        }
    }
}

/// <summary>A part as it was traced.</summary>
/// <param name="Part">The part.</param>
public sealed record TracedPart(PartId Part)
{
    /// <summary>
    /// Its outlines, the first round it and the others round what is open in it. A point is x and y, and a third number where somebody said
    /// how the line passes it: 1 for a corner, 2 for a curve.
    /// </summary>
    public IReadOnlyList<IReadOnlyList<IReadOnlyList<double>>> Loops { get; init; } = [];

    /// <summary>Where it is seen, when it is too small to trace.</summary>
    public IReadOnlyList<double>? At { get; init; }
}
