namespace Foundling.Core.State;

/// <summary>Where on a picture something is to be seen: a box as shares of its width and height.</summary>
public sealed record PictureFrame(double Left, double Top, double Right, double Bottom)
{
    // What lies outside the middle share of all contrast is background; a rim is left round the rest.
    private const double Outside = 0.02, Rim = 0.04;

    /// <summary>The whole picture.</summary>
    public static PictureFrame Whole { get; } = new(0, 0, 1, 1);

    /// <summary>Finds the part of a picture that holds nearly all its contrast.</summary>
    /// <param name="light">Lightness of each pixel, row by row, 0 to 255.</param>
    /// <param name="width">Pixels in a row.</param>
    public static PictureFrame Of(IReadOnlyList<byte> light, int width)
    {
        int height = width < 3 ? 0 : light.Count / width;
        if (height < 3)
        {
            return Whole;
        }
        double[] columns = new double[width], rows = new double[height];
        for (int y = 0; y + 1 < height; y++)
        {
            for (int x = 0; x + 1 < width; x++)
            {
                int at = (y * width) + x;
                double step = Math.Abs(light[at + 1] - light[at]) + Math.Abs(light[at + width] - light[at]);
                // Squared, so that the hard edges of a tool outweigh the grain of the bench.
                columns[x] += step * step;
                rows[y] += step * step;
            }
        }
        ((double left, double right), (double top, double bottom)) = (Middle(columns), Middle(rows));
        return new PictureFrame(left, top, right, bottom);
    }

    private static (double From, double To) Middle(double[] contrast)
    {
        double all = contrast.Sum(), sum = 0;
        int from = 0, to = contrast.Length - 1;
        if (all <= 0)
        {
            return (0, 1);
        }
        for (int i = 0; i < contrast.Length; i++)
        {
            double before = sum;
            sum += contrast[i];
            if (before < Outside * all && sum >= Outside * all)
            {
                from = i;
            }
            if (before < (1 - Outside) * all && sum >= (1 - Outside) * all)
            {
                to = i;
            }
        }
        return (Math.Max(0, ((double)from / contrast.Length) - Rim), Math.Min(1, ((to + 1.0) / contrast.Length) + Rim));
    }
}
