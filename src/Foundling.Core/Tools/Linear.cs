using System.Globalization;
using System.Text.RegularExpressions;

namespace Foundling.Core.Tools;

/// <summary>
/// A sum of measures, as a kind file writes where a point of a drawing goes: <c>m+27</c>, <c>L/2-15.5</c>, <c>0.43m-65.36</c>, or the least of
/// several, <c>min(m-96, L-235)</c>. Known measures are L, m, W and B, see <see cref="FitMeasures"/>.
/// </summary>
public sealed partial class Linear
{
    private readonly List<(double Constant, double[] Factors)> _sums = [];
    private readonly string _text;

    private Linear(string text) => _text = text;

    /// <summary>Letters of the measures, in the order their values are given.</summary>
    public const string Letters = "LmWB";

    /// <summary>Reads a sum.</summary>
    /// <exception cref="FormatException">It is none.</exception>
    public static Linear Parse(string text)
    {
        var read = new Linear(text);
        string plain = text.Replace(" ", "", StringComparison.Ordinal);
        string[] sums = plain.StartsWith("min(", StringComparison.Ordinal) && plain.EndsWith(')') ? plain[4..^1].Split(',') : [plain];
        foreach (string sum in sums)
        {
            double constant = 0;
            double[] factors = new double[Letters.Length];
            int at = 0;
            foreach (Match term in Term().Matches(sum))
            {
                if (term.Index != at || term.Length == 0 || (at > 0 && term.Groups["s"].Length == 0))
                {
                    break;
                }
                at += term.Length;
                double factor = term.Groups["n"].Length > 0 ? double.Parse(term.Groups["n"].Value, CultureInfo.InvariantCulture) : 1;
                factor = (term.Groups["s"].Value == "-" ? -factor : factor)
                    / (term.Groups["d"].Length > 0 ? double.Parse(term.Groups["d"].Value, CultureInfo.InvariantCulture) : 1);
                if (term.Groups["v"].Length > 0)
                {
                    factors[Letters.IndexOf(term.Groups["v"].Value[0], StringComparison.Ordinal)] += factor;
                }
                else
                {
                    constant += factor;
                }
            }
            if (at == 0 || at < sum.Length || !double.IsFinite(constant) || !factors.All(double.IsFinite))
            {
                throw new FormatException($"\"{text}\" is no sum of measures such as \"m+27\" or \"L/2-15.5\".");
            }
            read._sums.Add((constant, factors));
        }
        return read;
    }

    // A sign, a number and a letter, of which number or letter may be missing; a divisor.
    [GeneratedRegex(@"(?<s>[+-]?)(?=[\d.LmWB])(?<n>\d+\.?\d*|\.\d+)?(?<v>[LmWB])?(/(?<d>\d+\.?\d*))?")]
    private static partial Regex Term();

    /// <summary>Its value at these measures, in the order of <see cref="Letters"/>.</summary>
    public double At(ReadOnlySpan<double> measures)
    {
        double least = double.PositiveInfinity;
        foreach ((double constant, double[] factors) in _sums)
        {
            double sum = constant;
            for (int i = 0; i < factors.Length; i++)
            {
                sum += factors[i] == 0 ? 0 : factors[i] * measures[i];
            }
            least = Math.Min(least, sum);
        }
        return least;
    }

    /// <inheritdoc />
    public override string ToString() => _text;
}
