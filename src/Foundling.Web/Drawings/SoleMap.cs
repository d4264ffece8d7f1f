using System.Globalization;
using System.Text;
using Foundling.Core.Soles;
using Foundling.Core.Tags;

namespace Foundling.Web.Drawings;

/// <summary>A sole map as it is drawn for a tool.</summary>
/// <param name="Map">The map.</param>
/// <param name="Grooved">The sole has grooves along it.</param>
public sealed record SoleDrawing(SoleMapView Map, bool Grooved)
{
    private const int GroovesAcross = 9;
    private const double Rim = 0.05, FromEdge = 0.12, RoundTheMouth = 0.045;

    /// <summary>Grooves: from the toe to before the mouth, and from behind it to the heel; an edge stays plain all round.</summary>
    public IEnumerable<(double FromX, double ToX, double Y)> Grooves()
    {
        double near = Map.Width * Rim, far = Map.Width * (1 - Rim), clear = Map.Width * RoundTheMouth;
        foreach (double across in Enumerable.Range(0, Grooved ? GroovesAcross : 0).Select(i => FromEdge + ((1 - (2 * FromEdge)) * i / (GroovesAcross - 1))))
        {
            double y = Math.Round(across * Map.Height, 2);
            if (Map.Mouth is double mouth)
            {
                yield return (near, mouth - clear, y);
                yield return (mouth + 12 + clear, far, y);
            }
            else
            {
                yield return (near, far, y);
            }
        }
    }
}

/// <summary>A sole in marking blue: deep where it is high and touches first, bare where it is hollow.</summary>
public sealed class SoleMapView
{
    private const double DrawnWidth = 760;

    /// <summary>Most readings drawn as dots; of more, every so manieth is.</summary>
    public const int MostDrawn = 400;

    /// <summary>Lays out the map of a survey.</summary>
    public SoleMapView(SoleRecord record, Core.Assumptions assumptions)
    {
        GridSurveyInput input = record.Input;
        Result = GridSurvey.Read(input, assumptions);
        var plane = new Plane(Result.PlaneAMm, Result.PlaneB, Result.PlaneC);
        double scale = DrawnWidth / input.LengthMm;
        Height = Math.Clamp(input.WidthMm * scale, 60, 230);
        double sy = Height / input.WidthMm;
        List<double[]> off = [.. input.PointsMm.Select(p => new[] { p[0], p[1], p[2] - plane.At(p[0], p[1]) })];
        var spline = new ThinPlate(off);
        const int Nx = 40, Ny = 10;
        double low = off.Min(p => p[2]), high = off.Max(p => p[2]), range = Math.Max(1e-6, high - low);
        var cells = new List<(double, double, double, double, double)>();
        for (int i = 0; i < Nx; i++)
        {
            for (int j = 0; j < Ny; j++)
            {
                double z = spline.At((i + 0.5) * input.LengthMm / Nx, (j + 0.5) * input.WidthMm / Ny);
                double depth = Math.Clamp((z - low) / range, 0, 1);
                cells.Add((i * DrawnWidth / Nx, j * Height / Ny, DrawnWidth / Nx, Height / Ny, Math.Round(0.92 * depth * depth * (1.6 - (0.6 * depth)), 3)));
            }
        }
        Cells = cells;
        int every = Math.Max(1, (int)Math.Ceiling(input.PointsMm.Count / (double)MostDrawn));
        Readings = [.. input.PointsMm.Where((_, i) => i % every == 0).Select(p => (p[0] * scale, p[1] * sy))];
        Mouth = input.MouthFrontMm is double m ? m * scale : null;
        Rule = new RuleView(0, Height + 12, DrawnWidth, 0, input.LengthMm, 20);
        double span = Math.Max(0.02, Math.Max(Math.Abs(low), Math.Abs(high)));
        Span = span;
        Lines = [.. new[] { 0.05, 0.5, 0.95 }.Select(v => Line(spline, v * input.WidthMm, input.LengthMm, span))];
    }

    /// <summary>What the survey shows.</summary>
    public GridSurveyResult Result { get; }

    /// <summary>Height of the sole on the drawing.</summary>
    public double Height { get; }

    /// <summary>Width of the sole on the drawing.</summary>
    public double Width => DrawnWidth;

    /// <summary>Cells: x, y, width, height and how blue, 0 to 1.</summary>
    public IReadOnlyList<(double X, double Y, double W, double H, double Blue)> Cells { get; }

    /// <summary>Where readings were taken, as far as they are drawn.</summary>
    public IReadOnlyList<(double X, double Y)> Readings { get; }

    /// <summary>Front of the mouth on the drawing.</summary>
    public double? Mouth { get; }

    /// <summary>Rule along the sole.</summary>
    public RuleView Rule { get; }

    /// <summary>Greatest height drawn in the profiles, mm.</summary>
    public double Span { get; }

    /// <summary>Profiles along the near edge, the middle and the far edge.</summary>
    public IReadOnlyList<string> Lines { get; }

    private static string Line(ThinPlate spline, double y, double length, double span)
    {
        var path = new StringBuilder();
        for (int i = 0; i <= 60; i++)
        {
            double x = i * length / 60;
            path.Append(CultureInfo.InvariantCulture, $"{(i == 0 ? 'M' : 'L')}{x / length * DrawnWidth:0.#} {70 - (spline.At(x, y) / span * 60):0.##}");
        }
        return path.ToString();
    }
}
