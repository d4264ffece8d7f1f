namespace Foundling.Core.Soles;

/// <summary>A sole in cells: those that bear, how high they stand, and which zone they are of. Openings and grooves are no cells.</summary>
public sealed class LapSole
{
    /// <summary>Most cells of a run.</summary>
    public const int MostCells = 60_000;

    private const double MostMm = 5000;

    /// <summary>Lays a sole out in cells, heights and openings taken at their centres.</summary>
    /// <param name="input">The sole.</param>
    /// <param name="a">Zones.</param>
    /// <exception cref="InputException">A size as there is none, too many cells, or neither shape nor readings.</exception>
    public LapSole(LappingInput input, Assumptions a)
    {
        double l = Check.Within(input.LengthMm, 1, MostMm, "length_mm"), w = Check.Within(input.WidthMm, 1, MostMm, "width_mm"),
            cell = Check.Within(input.CellMm, 1, 50, "cell_mm"), across = Check.Within(input.CellAcrossMm ?? cell, 0.5, 50, "cell_across_mm");
        if (l / cell * (w / across) > MostCells)
        {
            double least = Math.Ceiling(Math.Sqrt(l * w / MostCells) * 10) / 10;
            throw new InputException("too_many_cells", "cell_mm", cell, $"{least:0.#} or more",
                $"Cells of {cell:0.##} mm are too small for a sole of {l:0.##} by {w:0.##} mm; take {least:0.#} mm or more.");
        }
        (LengthMm, WidthMm) = (l, w);
        (Nx, Ny) = (Math.Max(1, (int)Math.Round(l / cell)), Math.Max(1, (int)Math.Round(w / across)));
        AreaMm2 = l / Nx * (w / Ny);
        Index = [.. Enumerable.Range(0, Nx * Ny).Where(c => !Open(input, CentreX(c), CentreY(c)))];
        if (Index.Count == 0)
        {
            throw new InputException("no_cells", "grooves", input.Grooves?.Count, "some land between the grooves",
                "Nothing of the sole is left between mouth and grooves.");
        }
        Func<double, double, double> height = Heights(input);
        X = [.. Index.Select(c => CentreX(c) - (l / 2))];
        Y = [.. Index.Select(c => CentreY(c) - (w / 2))];
        Z = [.. Index.Select(c => height(CentreX(c), CentreY(c)))];
        Counts = [.. Index.Select(c => Counted(input, CentreX(c), CentreY(c)))];
        double front = input.MouthFrontMm ?? input.MouthOpening?.FromMm ?? double.NaN;
        int[] Zone(Func<double, bool> within) => [.. Enumerable.Range(0, Index.Count).Where(i => Counts[i] && within(CentreX(Index[i])))];
        Toe = Zone(x => x <= a.ZoneShare * l);
        Mouth = Zone(x => x >= front - a.MouthBandMm && x <= front);
        Heel = Zone(x => x >= (1 - a.ZoneShare) * l);
    }

    /// <summary>Length and width, mm.</summary>
    public double LengthMm { get; }

    /// <summary>Width, mm.</summary>
    public double WidthMm { get; }

    /// <summary>Cells along it.</summary>
    public int Nx { get; }

    /// <summary>Cells across.</summary>
    public int Ny { get; }

    /// <summary>Area of a cell, mm².</summary>
    public double AreaMm2 { get; }

    /// <summary>Which of the Nx by Ny cells bear, row by row along the length.</summary>
    public IReadOnlyList<int> Index { get; }

    /// <summary>Centres of the cells that bear, along the length from the middle, mm.</summary>
    public double[] X { get; }

    /// <summary>Centres of the cells that bear, across from the middle, mm.</summary>
    public double[] Y { get; }

    /// <summary>How high they stand, mm.</summary>
    public double[] Z { get; }

    /// <summary>Whether the mark on it has to go; not where readings were left out.</summary>
    public IReadOnlyList<bool> Counts { get; }

    /// <summary>Cells of the toe.</summary>
    public IReadOnlyList<int> Toe { get; }

    /// <summary>Cells of the land before the mouth.</summary>
    public IReadOnlyList<int> Mouth { get; }

    /// <summary>Cells of the heel.</summary>
    public IReadOnlyList<int> Heel { get; }

    /// <summary>How flat it is after some wear: the whole of it, and how far its worst zone hangs off the plate; null without three zones, mm.</summary>
    /// <param name="wearMm">Metal gone from each cell, mm.</param>
    public (double WholeMm, double? ThreeZoneMm) Flatness(IReadOnlyList<double> wearMm)
    {
        double[] At(int i) => [X[i], Y[i], Z[i] - wearMm[i]];
        List<double[]> counted = [.. Enumerable.Range(0, Index.Count).Where(i => Counts[i]).Select(At)];
        ZoneHeights? zones = GridSurvey.Over([.. Toe.Select(At)], [.. Mouth.Select(At)], [.. Heel.Select(At)]);
        return (Planes.AreSpread(counted) ? Planes.MinimumZone(counted).HeightMm : 0, zones?.ErrorMm);
    }

    /// <summary>The field that a cell lies in where the sole is looked at in so many fields, column by column.</summary>
    /// <param name="i">Which of the cells that bear.</param>
    /// <param name="columns">Fields along it.</param>
    /// <param name="rows">Fields across.</param>
    public int Field(int i, int columns, int rows) => (Math.Min(columns - 1, Index[i] / Ny * columns / Nx) * rows)
        + Math.Min(rows - 1, Index[i] % Ny * rows / Ny);

    private double CentreX(int cell) => ((cell / Ny) + 0.5) * LengthMm / Nx;

    private double CentreY(int cell) => ((cell % Ny) + 0.5) * WidthMm / Ny;

    // A centre on the very border of an opening stays sole.
    private static bool Open(LappingInput input, double x, double y) =>
        (input.MouthOpening is { } m && x > m.FromMm && x < m.ToMm && Math.Abs(y - (input.WidthMm / 2)) < m.WidthMm / 2)
        || input.Grooves?.Any(g => y > g.FromMm && y < g.ToMm) == true;

    private static bool Counted(LappingInput input, double x, double y)
    {
        if (input.LeftOutMm is not { Count: > 0 } left)
        {
            return true;
        }
        double To(IReadOnlyList<double[]> readings) => readings.Min(p => ((p[0] - x) * (p[0] - x)) + ((p[1] - y) * (p[1] - y)));
        return input.PointsMm is { Count: > 0 } read && To(read) <= To(left);
    }

    private static Func<double, double, double> Heights(LappingInput input)
    {
        if (input.PointsMm is { Count: > 0 } read)
        {
            GridSurvey.Checked(new GridSurveyInput(input.LengthMm, input.WidthMm, read) { LeftOutMm = input.LeftOutMm });
            return new ThinPlate([.. read, .. input.LeftOutMm ?? []]).At;
        }
        SoleShape shape = input.Shape ?? throw new InputException("required", "shape", null, "a shape, or readings",
            "Say how the sole is: its bow and twist, or the readings of a survey.");
        return (x, y) => shape.At(x, y, input.LengthMm, input.WidthMm);
    }
}
