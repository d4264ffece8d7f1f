namespace Foundling.Core.Soles;

/// <summary>Where a sole is read: evenly from toe to heel, near both edges and in the middle.</summary>
/// <param name="AlongMm">Places along it, mm from the toe.</param>
/// <param name="AcrossMm">Places across, mm from the near edge.</param>
public sealed record SurveyGrid(IReadOnlyList<double> AlongMm, IReadOnlyList<double> AcrossMm)
{
    /// <summary>Room left at the ends and at the edges, where every sole is worn round, mm.</summary>
    private const int EndMm = 2, EdgeMm = 3;

    /// <summary>The grid of a sole.</summary>
    /// <param name="lengthMm">Its length, mm.</param>
    /// <param name="widthMm">Its width, mm.</param>
    /// <param name="columns">Places along it, 2 or more.</param>
    public static SurveyGrid Of(double lengthMm, double widthMm, int columns) => new(
        [.. Enumerable.Range(0, columns).Select(i => Math.Round(EndMm + (i * (lengthMm - (2 * EndMm)) / (columns - 1))))],
        [EdgeMm, Math.Round(widthMm / 2), Math.Round(widthMm - EdgeMm)]);
}
