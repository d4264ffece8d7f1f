namespace Foundling.Web.Drawings;

/// <summary>A rule: a scale with ticks and figures.</summary>
/// <param name="X">Left end, drawing units.</param>
/// <param name="Y">Top.</param>
/// <param name="Width">Length.</param>
/// <param name="From">Value at the left end.</param>
/// <param name="To">Value at the right end.</param>
/// <param name="Height">Height of the rule.</param>
/// <param name="Pale">Drawn pale, below a rod.</param>
public sealed record RuleView(double X, double Y, double Width, double From, double To, double Height = 20, bool Pale = false)
{
    private static readonly double[] Steps = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000];

    /// <summary>Distance of figures, so that they have room.</summary>
    public double Figure => Steps.FirstOrDefault(s => s / (To - From) * Width >= 46, Steps[^1]);

    /// <summary>Distance of ticks.</summary>
    public double Tick => Figure / (Figure.ToString("0.##", System.Globalization.CultureInfo.InvariantCulture).TrimStart('0', '.').StartsWith('2') ? 4 : 5);

    /// <summary>Place of a value.</summary>
    public double At(double value) => X + ((value - From) / (To - From) * Width);

    /// <summary>Ticks with their figure where they have one.</summary>
    public IEnumerable<(double X, bool Big, string Text)> Ticks()
    {
        int first = (int)Math.Ceiling((From / Tick) - 1e-9), last = (int)Math.Floor((To / Tick) + 1e-9);
        for (int i = first; i <= last; i++)
        {
            double v = i * Tick;
            bool big = Math.Abs(Math.Round(v / Figure) - (v / Figure)) < 1e-6;
            yield return (At(v), big, big ? $"{v:0.##}" : "");
        }
    }
}
