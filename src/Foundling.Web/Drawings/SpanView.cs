using Foundling.Core;
using Foundling.Core.Marks;

namespace Foundling.Web.Drawings;

/// <summary>Years on a thin rule from 1800 to 2000: solid for a rule, hatched for a tendency.</summary>
/// <param name="Bounds">What is stated about years.</param>
/// <param name="Assumed">How long a patent pends, where only its filing is known.</param>
public sealed record SpanView(IReadOnlyList<MarkBound> Bounds, Assumptions Assumed)
{
    /// <summary>Width of the drawing.</summary>
    public const double Width = 400;

    /// <summary>First and last year of the rule.</summary>
    public const int From = 1800, To = 2000;

    /// <summary>Place of a year.</summary>
    public static double At(int year) => (Math.Clamp(year, From, To) - From) * Width / (To - From);

    /// <summary>Bars to draw.</summary>
    public IEnumerable<(double X, double Width, bool Soft)> Bars() => Bounds.Select(b =>
    {
        (int? first, int? last) = b.Years(Bounds, Assumed);
        double from = At(first ?? From), to = At(last ?? To);
        return (from, Math.Max(2, to - from), b.Soft);
    });
}
