namespace Foundling.Core.Soles;

/// <summary>Where a sole is read: evenly from toe to heel, near both edges and in the middle.</summary>
/// <param name="AlongMm">Places along it, mm from the toe.</param>
/// <param name="AcrossMm">Places across, mm from the near edge.</param>
public sealed record SurveyGrid(IReadOnlyList<double> AlongMm, IReadOnlyList<double> AcrossMm)
{
    // Room left at the ends and at the edges, where every face is worn round, mm; on a narrow one a share of it.
    private const int EndMm = 2, EdgeMm = 3, ShareOf = 8, FineBelowMm = 40, AcrossIt = 3;

    /// <summary>The grid of a sole.</summary>
    /// <param name="lengthMm">Its length, mm.</param>
    /// <param name="widthMm">Its width, mm.</param>
    /// <param name="columns">Places along it, 2 or more.</param>
    public static SurveyGrid Of(double lengthMm, double widthMm, int columns) => new(
        Along(lengthMm, columns), Rows(widthMm));

    /// <summary>A place along a face, mm, at a share of the way from the room left at one end to that at the other.</summary>
    private static double Even(double mm, double roomMm, double share)
    {
        double room = Math.Min(roomMm, mm / ShareOf);
        return Math.Round(room + (share * (mm - (2 * room))), mm < FineBelowMm ? 1 : 0);
    }

    /// <summary>Places along a face, mm, evenly from end to end.</summary>
    internal static IReadOnlyList<double> Along(double lengthMm, int columns) =>
        [.. Enumerable.Range(0, columns).Select(i => Even(lengthMm, EndMm, i / (double)(columns - 1)))];

    /// <summary>Places across a face, mm from the near edge: near both edges and in the middle.</summary>
    internal static IReadOnlyList<double> Rows(double widthMm) =>
        [.. Enumerable.Range(0, AcrossIt).Select(i => Even(widthMm, EdgeMm, i / (double)(AcrossIt - 1)))];
}
