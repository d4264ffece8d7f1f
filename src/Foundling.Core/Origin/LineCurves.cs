using System.Runtime.CompilerServices;

namespace Foundling.Core.Origin;

/// <summary>
/// The shares of a line's variants over all years, worked out once for as long as its years live: the same line is asked
/// for by every look, every weight and every page.
/// </summary>
internal sealed class LineCurves
{
    private static readonly ConditionalWeakTable<IReadOnlyDictionary<string, IReadOnlyDictionary<string, int?[]>>, LineCurves> Known = new();

    private readonly Dictionary<string, Dictionary<string, Trapezoid>> _years = [];
    private readonly Dictionary<string, Dictionary<string, double[]>> _shares = [];
    private readonly Dictionary<string, bool[]> _says = [];

    private LineCurves(PatternLine line)
    {
        foreach ((string trait, IReadOnlyDictionary<string, int?[]> variants) in line.Variants)
        {
            Dictionary<string, Trapezoid> years = variants.ToDictionary(v => v.Key, v => Trapezoid.From(v.Value, $"{line.Title}: {trait} {v.Key}"));
            var says = new bool[DatingEngine.YearCount];
            var shares = years.Keys.ToDictionary(v => v, _ => new double[DatingEngine.YearCount]);
            for (int i = 0; i < says.Length; i++)
            {
                double sum = years.Values.Sum(t => t.At(DatingEngine.FirstYear + i));
                says[i] = sum > 0;
                foreach ((string variant, Trapezoid t) in years)
                {
                    shares[variant][i] = sum > 0 ? t.At(DatingEngine.FirstYear + i) / sum : 0;
                }
            }
            (_years[trait], _shares[trait], _says[trait]) = (years, shares, says);
        }
    }

    /// <summary>The curves of a line.</summary>
    /// <exception cref="InputException">Years of a variant out of order.</exception>
    public static LineCurves Of(PatternLine line) => Known.GetValue(line.Variants, _ => new LineCurves(line));

    /// <summary>True when the line's book knows the trait.</summary>
    public bool Knows(string trait) => _years.ContainsKey(trait);

    /// <summary>The years of a variant, or null when this line never used it.</summary>
    public Trapezoid? Years(string trait, string variant) =>
        _years.TryGetValue(trait, out Dictionary<string, Trapezoid>? variants) && variants.TryGetValue(variant, out Trapezoid t) ? t : null;

    /// <summary>Share of a variant by year from the first one (null for a variant never used) and whether the trait says anything that year.</summary>
    public (double[]? Share, bool[]? Says) Share(string trait, string variant) =>
        _says.TryGetValue(trait, out bool[]? says) ? (_shares[trait].GetValueOrDefault(variant), says) : (null, null);
}
