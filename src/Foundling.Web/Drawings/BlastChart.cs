using Foundling.Core.Baths;

namespace Foundling.Web.Drawings;

/// <summary>Pressure in a tank over a few passes: it falls at the gun and fills between.</summary>
/// <param name="Result">How it goes.</param>
public sealed record BlastChart(BlastingResult Result)
{
    /// <summary>Size of the drawing.</summary>
    public const double Width = 760, Height = 190;

    /// <summary>Its ends.</summary>
    public const double Left = 70, Right = 745, Top = 20, Foot = 150;

    private const int MostShown = 4;

    private const double SecondsAMinute = 60;

    private int Shown => Math.Min(Result.Passes, MostShown);

    private double Blast => Result.BlastSeconds ?? (Result.BlastMinutes * SecondsAMinute);

    // The last pass may be shorter than the tank allows.
    private double Last => Math.Min(Blast, (Result.BlastMinutes * SecondsAMinute) - ((Result.Passes - 1) * Blast));

    private double Seconds => ((Shown - 1) * (Blast + Result.RecoverySeconds)) + (Shown == Result.Passes ? Last : Blast);

    private double X(double seconds) => Left + (seconds / Math.Max(1, Seconds) * (Right - Left));

    /// <summary>Where the gun is at work.</summary>
    public IEnumerable<(double X, double Width)> Passes => Enumerable.Range(0, Shown).Select(i => (X(i * (Blast + Result.RecoverySeconds)),
        X(i == Result.Passes - 1 ? Last : Blast) - Left));

    /// <summary>The pressure.</summary>
    public string Path => Result.BlastSeconds is null ? $"M{Figure.N(Left)} {Figure.N(Top)}H{Figure.N(Right)}"
        : $"M{Figure.N(Left)} {Figure.N(Top)}" + string.Concat(Enumerable.Range(0, Shown)
        .Select(i =>
        {
            double start = i * (Blast + Result.RecoverySeconds), length = i == Result.Passes - 1 ? Last : Blast;
            string fall = $"L{Figure.N(X(start + length))} {Figure.N(Top + ((Foot - Top) * length / Blast))}";
            return i == Shown - 1 ? fall : $"{fall}L{Figure.N(X(start + Blast + Result.RecoverySeconds))} {Figure.N(Top)}";
        }));

    /// <summary>Minutes under the passes.</summary>
    public IEnumerable<(double X, string Text)> Minutes => Enumerable.Range(0, Shown).Select(i => i * (Blast + Result.RecoverySeconds))
        .Select(s => (X(s), s == 0 ? "0" : $"{s / SecondsAMinute:0.#} min"));
}
