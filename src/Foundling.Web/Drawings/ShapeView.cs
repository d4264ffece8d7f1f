using Foundling.Core.Soles;

namespace Foundling.Web.Drawings;

/// <summary>A form of a sole in small: blue where it is high and touches first.</summary>
/// <param name="Shape">The shape.</param>
/// <param name="LengthMm">Length of the sole, mm.</param>
/// <param name="WidthMm">Its width, mm.</param>
public sealed record ShapeView(SoleShape Shape, double LengthMm, double WidthMm)
{
    /// <summary>Size of the drawing.</summary>
    public const double Width = 150, Height = 44;

    private const int Columns = 25, Rows = 7;
    private const double Deepest = 0.9;

    /// <summary>Cells with how blue they are, 0 to 1.</summary>
    public IEnumerable<(double X, double Y, double W, double H, double Blue)> Cells()
    {
        double[,] z = new double[Columns, Rows];
        (double low, double high) = (double.MaxValue, double.MinValue);
        for (int i = 0; i < Columns; i++)
        {
            for (int j = 0; j < Rows; j++)
            {
                z[i, j] = Shape.At((i + 0.5) * LengthMm / Columns, (j + 0.5) * WidthMm / Rows, LengthMm, WidthMm);
                (low, high) = (Math.Min(low, z[i, j]), Math.Max(high, z[i, j]));
            }
        }
        for (int i = 0; i < Columns; i++)
        {
            for (int j = 0; j < Rows; j++)
            {
                double share = high > low ? (z[i, j] - low) / (high - low) : 1;
                yield return (i * Width / Columns, j * Height / Rows, Width / Columns, Height / Rows, Deepest * share * share);
            }
        }
    }
}
