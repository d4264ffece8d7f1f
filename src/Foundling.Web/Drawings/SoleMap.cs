using System.Globalization;
using System.Text;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Tags;

namespace Foundling.Web.Drawings;

/// <summary>The map of a face as it is drawn for a tool.</summary>
/// <param name="Map">The map.</param>
/// <param name="Face">The face.</param>
/// <param name="Cut">Sections can be cut through it.</param>
public sealed record SoleDrawing(SoleMapView Map, FlatFace Face, bool Cut = false)
{
    /// <summary>The face as it is laid out.</summary>
    public SoleLayout Sole => Face.Layout;

    private const double Rim = 0.05, RoundTheMouth = 0.045;

    /// <summary>Grooves: from the toe to before the mouth, and from behind it to the heel; an edge stays plain all round.</summary>
    public IEnumerable<(double FromX, double ToX, double Y)> Grooves()
    {
        double near = Map.Width * Rim, far = Map.Width * (1 - Rim), clear = Map.Width * RoundTheMouth;
        foreach (double y in Sole.Grooves.Select(g => (g.FromMm + g.ToMm) / 2 / Sole.WidthMm * Map.Height))
        {
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
    /// <summary>How wide a face is drawn.</summary>
    public const double DrawnWidth = 760;

    /// <summary>How high a face is drawn: to scale, but neither so low that nothing shows nor so high that it fills the page.</summary>
    public static double DrawnHeight(double lengthMm, double widthMm) => Math.Clamp(widthMm / lengthMm * DrawnWidth, 60, 230);

    // Two maps on one page are cut out by themselves.
    private readonly string _key;

    /// <summary>Most readings drawn as dots; of more, every so manieth is.</summary>
    public const int MostDrawn = 400;

    /// <summary>Lays out the map of a survey.</summary>
    public SoleMapView(SoleRecord record, Core.Assumptions assumptions)
    {
        GridSurveyInput input = record.Input;
        _key = record.Id.ToString("N");
        Result = GridSurvey.Read(input, assumptions);
        var plane = new Plane(Result.PlaneAMm, Result.PlaneB, Result.PlaneC);
        double scale = DrawnWidth / input.LengthMm;
        Height = DrawnHeight(input.LengthMm, input.WidthMm);
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
        LeftOut = [.. (input.LeftOutMm ?? []).Take(MostDrawn).Select(p => (p[0] * scale, p[1] * sy))];
        Numbers = input.PointsMm.Count > MostNumbers ? [] : [.. off.Select(p => (p[0] * scale, p[1] * sy, p[2]))];
        (LengthMm, WidthMm) = (input.LengthMm, input.WidthMm);
        double[,] grid = new double[GridAlong, GridAcross];
        for (int i = 0; i < GridAlong; i++)
        {
            for (int j = 0; j < GridAcross; j++)
            {
                grid[i, j] = spline.At(i * input.LengthMm / (GridAlong - 1), j * input.WidthMm / (GridAcross - 1));
            }
        }
        Heights = string.Join(',', grid.Cast<double>().Select(z => Math.Round(z * UmInMm)));
        ContourMm = Core.Soles.Contours.Step(range, ContourLines);
        Contours = [.. Enumerable.Range((int)Math.Ceiling(low / ContourMm), (int)Math.Floor(range / ContourMm) + 1)
            .Select(k => Contour(grid, k * ContourMm)).Where(p => p.Length > 0)];
    }

    /// <summary>Columns and rows of the grid that sections are cut from.</summary>
    public const int GridAlong = 49, GridAcross = 13;

    private const int MostNumbers = 90, ContourLines = 5;
    private const double UmInMm = 1000;

    /// <summary>Length and width of the sole, mm.</summary>
    public double LengthMm { get; }

    /// <summary>Width of the sole, mm.</summary>
    public double WidthMm { get; }

    /// <summary>Readings that were left out.</summary>
    public IReadOnlyList<(double X, double Y)> LeftOut { get; }

    /// <summary>Readings with their height over the best plane, mm; none where they would cover one another.</summary>
    public IReadOnlyList<(double X, double Y, double Mm)> Numbers { get; }

    /// <summary>Heights over the best plane on a grid, µm, column by column from the toe.</summary>
    public string Heights { get; }

    /// <summary>From one contour to the next, mm.</summary>
    public double ContourMm { get; }

    /// <summary>Contours.</summary>
    public IReadOnlyList<string> Contours { get; }

    /// <summary>What is drawn of the sole itself: how high it is, its contours, its mouth and where it was read.</summary>
    public string Shapes()
    {
        string N(double v) => v.ToString("0.##", CultureInfo.InvariantCulture);
        string outline = $"width=\"{N(Width)}\" height=\"{N(Height)}\" rx=\"20\"";
        var svg = new StringBuilder($"<rect {outline} class=\"plate\"/><clipPath id=\"clip{_key}\"><rect {outline}/></clipPath>"
            + $"<g clip-path=\"url(#clip{_key})\">");
        foreach ((double x, double y, double w, double h, double blue) in Cells)
        {
            svg.Append($"<rect x=\"{N(x)}\" y=\"{N(y)}\" width=\"{N(w + 0.4)}\" height=\"{N(h + 0.4)}\" class=\"cell\" fill-opacity=\"{N(blue)}\"/>");
        }
        svg.Append(string.Concat(Contours.Select(c => $"<path class=\"contour\" d=\"{c}\"/>"))).Append($"</g><rect {outline} class=\"edge\"/>");
        if (Mouth is double mouth)
        {
            svg.Append($"<rect x=\"{N(mouth)}\" y=\"{N(Height * 0.08)}\" width=\"12\" height=\"{N(Height * 0.84)}\" class=\"mouth\"/>");
        }
        return svg.Append(string.Concat(Readings.Select(r => $"<circle cx=\"{N(r.X)}\" cy=\"{N(r.Y)}\" r=\"1.5\" class=\"at\"/>")))
            .Append(string.Concat(LeftOut.Select(r => $"<path class=\"leftout\" d=\"M{N(r.X - 4)} {N(r.Y - 4)}l8 8m0 -8l-8 8\"/>"))).ToString();
    }

    // A drawing by itself has no style sheet of the page's.
    private const string Alone = ".plate{fill:#ccd0cc}.cell{fill:#1a4c8b}.edge,.contour,.leftout{fill:none;stroke:#1b1b1b}.contour{stroke-opacity:.5}"
        + ".mouth{fill:#fff;stroke:#1b1b1b}.leftout{stroke:#a0461e}";

    /// <summary>The map as a drawing by itself, with a heading.</summary>
    public string Svg(string heading) => $"<svg xmlns=\"http://www.w3.org/2000/svg\" font-family=\"sans-serif\" font-size=\"12\" viewBox=\"-8 -26 776 "
        + $"{Figure.N(Height + 40)}\"><style>{Alone}</style><text y=\"-10\">{System.Net.WebUtility.HtmlEncode(heading)}</text>{Shapes()}</svg>";

    private string Contour(double[,] grid, double at)
    {
        var path = new StringBuilder();
        double w = DrawnWidth / (GridAlong - 1), h = Height / (GridAcross - 1);
        foreach (((double X, double Y) a, (double X, double Y) b) in Core.Soles.Contours.Of(grid, at))
        {
            path.Append(CultureInfo.InvariantCulture, $"M{a.X * w:0.#} {a.Y * h:0.#}L{b.X * w:0.#} {b.Y * h:0.#}");
        }
        return path.ToString();
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
