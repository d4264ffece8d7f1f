using System.Globalization;

namespace Foundling.Web.Services;

/// <summary>Places on a photograph as they stand in an address: x and y, pixels, parted by a space; several parted by a semicolon.</summary>
public static class PhotoPoints
{
    /// <summary>One place, held on the picture; the other one where none was set.</summary>
    /// <param name="text">What stands in the address.</param>
    /// <param name="otherwise">Where it is while nobody set it.</param>
    /// <param name="width">Width of the picture.</param>
    /// <param name="height">Height of the picture.</param>
    public static (double X, double Y) One(string? text, (double X, double Y) otherwise, double width, double height) =>
        All(text, width, height) is [var place, ..] ? place : otherwise;

    /// <summary>All places that can be read, held on the picture.</summary>
    public static IReadOnlyList<(double X, double Y)> All(string? text, double width, double height)
    {
        List<(double, double)> places = [];
        foreach (string one in (text ?? "").Split(';', StringSplitOptions.RemoveEmptyEntries))
        {
            string[] at = one.Split(' ', StringSplitOptions.RemoveEmptyEntries);
            if (at.Length == 2 && double.TryParse(at[0], NumberStyles.Float, CultureInfo.InvariantCulture, out double x) && double.IsFinite(x)
                && double.TryParse(at[1], NumberStyles.Float, CultureInfo.InvariantCulture, out double y) && double.IsFinite(y))
            {
                places.Add((Math.Clamp(x, 0, width), Math.Clamp(y, 0, height)));
            }
        }
        return places;
    }
}
