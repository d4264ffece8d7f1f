using System.Globalization;

namespace Foundling.Web.Drawings;

/// <summary>Figures as drawings write them.</summary>
public static class Figure
{
    /// <summary>A number for SVG, to the tenth.</summary>
    public static string N(double value) => value.ToString("0.#", CultureInfo.InvariantCulture);
}
