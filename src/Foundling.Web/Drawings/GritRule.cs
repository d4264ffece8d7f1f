using Foundling.Core.Grits;

namespace Foundling.Web.Drawings;

/// <summary>All grading systems on one rule of particle size, coarse on the left, with what the shop owns and the ladder that is taken.</summary>
/// <param name="Table">The table of grits.</param>
/// <param name="Owned">What the shop owns.</param>
/// <param name="Stages">The ladder; empty for none.</param>
public sealed record GritRule(GritTable Table, IReadOnlyList<LadderAbrasive> Owned, IReadOnlyList<LadderStage> Stages)
{
    /// <summary>Width of the drawing, where its rows begin, and their height.</summary>
    public const double Width = 760, Left = 112, RowHeight = 24;

    private const double CoarsestUm = 700, FinestUm = 0.4, LetterWide = 5.6, Right = 12, StepUp = 15, Foot = 20, Head = 34;
    private const int MostUp = 3;

    /// <summary>Where the line of what is owned stands.</summary>
    public double OwnedAt => Foot + (StepUp * (Placed().Select(p => p.Row).DefaultIfEmpty().Max() + 1));

    /// <summary>Systems that are drawn: those with a flat backing.</summary>
    public IReadOnlyList<string> Systems { get; } = [.. Table.Sizes.Where(s => s.Flat).Select(s => s.System).Distinct()];

    /// <summary>Height of the drawing.</summary>
    public double Height => OwnedAt + Head + (Systems.Count * RowHeight) + 26;

    /// <summary>Where a size stands.</summary>
    public static double X(double um) =>
        Left + (Math.Log(CoarsestUm / Math.Clamp(um, FinestUm, CoarsestUm)) / Math.Log(CoarsestUm / FinestUm) * (Width - Left - Right));

    /// <summary>Sizes the rule is numbered with, µm.</summary>
    public static IReadOnlyList<double> Numbers { get; } = [500, 200, 100, 50, 20, 10, 5, 2, 1, 0.5];

    /// <summary>Grades of a system that can be written without covering one another.</summary>
    public IEnumerable<(double X, string Grit, bool Named)> Grades(string system)
    {
        double free = double.NegativeInfinity;
        foreach (GritSize size in Table.Sizes.Where(s => s.System == system && s.Um <= CoarsestUm).OrderByDescending(s => s.Um))
        {
            double half = (size.Grit.Length + 1) * LetterWide / 2;
            bool named = X(size.Um) - half >= free && X(size.Um) + half <= Width + Right;
            free = named ? X(size.Um) + half : free;
            yield return (X(size.Um), size.Grit.Replace('-', ' '), named);
        }
    }

    /// <summary>What the shop owns, names stepped up where they would cover one another.</summary>
    public IEnumerable<(double X, double Y, string Name, bool Used, bool Flat)> Knobs() => Placed().Select(p => (X(p.Of.MeanUm),
        OwnedAt - StepUp - (p.Row * StepUp), p.Of.Name, Stages.Any(s => s.Name == p.Of.Name), p.Of.Flattens));

    private IEnumerable<(LadderAbrasive Of, int Row)> Placed()
    {
        double[] taken = new double[MostUp + 1];
        Array.Fill(taken, double.NegativeInfinity);
        foreach (LadderAbrasive own in Owned.OrderByDescending(o => o.MeanUm))
        {
            double x = X(own.MeanUm), wide = (own.Name.Length + 1) * LetterWide;
            int row = Array.FindIndex(taken, t => x - (wide / 2) > t);
            row = row < 0 ? MostUp : row;
            taken[row] = x + (wide / 2);
            yield return (own, row);
        }
    }

    /// <summary>Steps of the ladder.</summary>
    public IEnumerable<string> Steps() => Stages.Zip(Stages.Skip(1), (a, b) => $"M{Figure.N(X(a.MeanUm))} {Figure.N(OwnedAt)}"
        + $"Q{Figure.N((X(a.MeanUm) + X(b.MeanUm)) / 2)} {Figure.N(OwnedAt + Dip)} {Figure.N(X(b.MeanUm))} {Figure.N(OwnedAt)}");

    private const double Dip = 26;
}
