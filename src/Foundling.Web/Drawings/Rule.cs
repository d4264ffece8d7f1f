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
    private const double Room = 46;
    private const int MostTicks = 400;

    /// <summary>Distance of figures, so that they have room: 1, 2 or 5 times a power of ten.</summary>
    public double Figure
    {
        get
        {
            double least = (To - From) * Room / Width;
            if (!(least > 0) || !double.IsFinite(least))
            {
                return 1;
            }
            double ten = Math.Pow(10, Math.Floor(Math.Log10(least)));
            return Mantissas.First(m => m * ten >= least * (1 - 1e-9)) * ten;
        }
    }

    private static readonly double[] Mantissas = [1, 2, 5, 10];

    /// <summary>Distance of ticks: quarters of a two, fifths of the others.</summary>
    public double Tick => Figure / (Math.Round(Figure / Math.Pow(10, Math.Floor(Math.Log10(Figure) + 1e-9))) == 2 ? 4 : 5);

    /// <summary>Place of a value.</summary>
    public double At(double value) => X + ((value - From) / (To - From) * Width);

    /// <summary>Ticks with their figure where they have one.</summary>
    public IEnumerable<(double X, bool Big, string Text)> Ticks()
    {
        double tick = Tick, first = Math.Ceiling((From / tick) - 1e-9), last = Math.Min(Math.Floor((To / tick) + 1e-9), first + MostTicks);
        for (double i = first; i <= last; i++)
        {
            double v = i * tick;
            bool big = Math.Abs(Math.Round(v / Figure) - (v / Figure)) < 1e-6;
            // As many places as the figures need, and no "-0" at the left end.
            yield return (At(v), big, big ? (Math.Round(v, 6) + 0.0).ToString("0.####") : "");
        }
    }
}
