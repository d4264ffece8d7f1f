namespace Foundling.Core.Soles;

/// <summary>What lies under the abrasive.</summary>
public enum LappingPlate
{
    /// <summary>Paper on glass.</summary>
    PaperOnGlass,

    /// <summary>Paper on fibreboard.</summary>
    PaperOnMdf,
}

/// <summary>Shape of a sole, mm; bows positive when the ends are high.</summary>
public sealed record SoleShape(double LengthwiseBowMm = 0, double CrosswiseBowMm = 0, double TwistMm = 0, IReadOnlyList<Dip>? Dips = null);

/// <summary>A round dip, mm.</summary>
public sealed record Dip(double XMm, double YMm, double DepthMm, double RadiusMm);

/// <summary>The mouth, centred on the width, mm.</summary>
public sealed record MouthOpening(double FromMm, double ToMm, double WidthMm);

/// <summary>A groove along the whole length, mm across.</summary>
public sealed record Groove(double FromMm, double ToMm);

/// <summary>A sole to be lapped.</summary>
public sealed record LappingInput(
    double LengthMm,
    double WidthMm,
    string Grit,
    SoleShape Shape,
    double CellMm = 5,
    LappingPlate Plate = LappingPlate.PaperOnGlass,
    double? ForceN = null,
    double? ForceXMm = null,
    double? ForceYMm = null,
    double? MouthFrontMm = null,
    MouthOpening? MouthOpening = null,
    IReadOnlyList<Groove>? Grooves = null,
    LapMetal Metal = LapMetal.Iron,
    IReadOnlyList<int>? ReportAfterStrokes = null,
    int MaxStrokes = 20000);

/// <summary>What the sole is made of.</summary>
public enum LapMetal
{
    /// <summary>Cast iron.</summary>
    Iron,

    /// <summary>Hardened steel.</summary>
    HardenedSteel,

    /// <summary>Brass.</summary>
    Brass,
}

/// <summary>Share of each zone's cells whose marks are gone.</summary>
public sealed record ZoneShares(double? Toe, double? Mouth, double? Heel);

/// <summary>The sole after some strokes.</summary>
public sealed record LappingSnapshot(
    double Strokes,
    double TouchingFraction,
    double CleanedFraction,
    double FaintFraction,
    double PeakPressureKpa,
    double MaxWearUm,
    ZoneShares ZoneCleanedFraction);

/// <summary>How long it takes to bring the sole in; null when the run ended first.</summary>
public sealed record LappingResult(
    double? StrokesThreeZones,
    double? MinutesThreeZones,
    double? MaxWearAtThreeZonesMm,
    double? MetalRemovedAtThreeZonesCm3,
    double? Strokes90Contact,
    double? Minutes90Contact,
    double? MaxWearAt90ContactMm,
    double? MetalRemovedAt90ContactCm3,
    int? SheetsTo90Contact,
    IReadOnlyList<LappingSnapshot> Snapshots)
{
    /// <summary>Greatest relative error of the force balance over the run.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double WorstForceError { get; init; }
}

/// <summary>Simulates lapping a sole on abrasive over a flat plate: elastic contact, wear after Preston.</summary>
public sealed class Lapping
{
    // Mean size of the grits, um, by the public tables.
    private static readonly (double SizeUm, string Grit)[] Grits =
        [(269, "P60"), (201, "P80"), (125, "P120"), (82, "P180"), (58.5, "P240"), (46.2, "P320"), (35, "P400")];

    private readonly LappingInput _input;
    private readonly Assumptions _a;
    private readonly double[] _x, _y, _z;
    private readonly double _k, _force, _fx, _fy, _rate, _area;
    private readonly int[][] _zones;
    private readonly CancellationToken _cancel;
    private double _offset, _tiltX, _tiltY, _worstForceError;
    private long _work;

    /// <summary>Most cells, strokes and reports of a run, and most work in cells times passes: about half a second.</summary>
    public const int MostCells = 60_000, MostStrokes = 200_000, MostReports = 400;

    private const long MostWork = 150_000_000;
    private const double MostMm = 5000, LeastForceN = 0.1, MostForceN = 2000;

    private Lapping(LappingInput input, Assumptions assumptions, CancellationToken cancel)
    {
        _input = input;
        _a = assumptions;
        _cancel = cancel;
        double l = Check.Within(input.LengthMm, 1, MostMm), w = Check.Within(input.WidthMm, 1, MostMm), cell = Check.Within(input.CellMm, 1, 50);
        Check.Within(input.MaxStrokes, 1, MostStrokes);
        Check.Within(input.ReportAfterStrokes?.Count ?? 0, 0, MostReports, "report_after_strokes");
        if (l / cell * (w / cell) > MostCells)
        {
            double least = Math.Ceiling(Math.Sqrt(l * w / MostCells) * 10) / 10;
            throw new InputException("too_many_cells", "cell_mm", cell, $"{least:0.#} or more",
                $"Cells of {cell:0.##} mm are too small for a sole of {l:0.##} by {w:0.##} mm; take {least:0.#} mm or more.");
        }
        _force = Check.Within(input.ForceN ?? _a.LappingForceN, LeastForceN, MostForceN, "force_n");
        _fx = Inside(input.ForceXMm ?? (l / 2), l, "force_x_mm") - (l / 2);
        _fy = Inside(input.ForceYMm ?? (w / 2), w, "force_y_mm") - (w / 2);
        _k = input.Plate == LappingPlate.PaperOnGlass ? _a.StiffnessGlass : _a.StiffnessMdf;
        // um per 100 strokes at 10 kPa to mm per stroke at 1 MPa
        _rate = RateOf(input.Grit, _a) * input.Metal switch { LapMetal.HardenedSteel => _a.LapSteelShare, LapMetal.Brass => _a.LapBrassTimes, _ => 1 } * 1e-3;
        List<(double X, double Y)> cells = [];
        int nx = Math.Max(1, (int)Math.Round(l / cell)), ny = Math.Max(1, (int)Math.Round(w / cell));
        _area = l / nx * (w / ny);
        for (int i = 0; i < nx; i++)
        {
            for (int j = 0; j < ny; j++)
            {
                double x = (i + 0.5) * l / nx, y = (j + 0.5) * w / ny;
                // A centre on the very border of an opening stays sole.
                bool open = input.MouthOpening is { } m && x > m.FromMm && x < m.ToMm && Math.Abs(y - (w / 2)) < m.WidthMm / 2;
                if (!open && input.Grooves?.Any(g => y > g.FromMm && y < g.ToMm) != true)
                {
                    cells.Add((x, y));
                }
            }
        }
        if (cells.Count == 0)
        {
            throw new InputException("no_cells", "grooves", input.Grooves?.Count, "some land between the grooves",
                "Nothing of the sole is left between mouth and grooves.");
        }
        _x = [.. cells.Select(c => c.X - (l / 2))];
        _y = [.. cells.Select(c => c.Y - (w / 2))];
        _z = [.. cells.Select(c => Height(c.X, c.Y))];
        double front = input.MouthFrontMm ?? input.MouthOpening?.FromMm ?? double.NaN;
        int[] Zone(Func<double, bool> within) => [.. Enumerable.Range(0, cells.Count).Where(i => within(cells[i].X))];
        _zones = [Zone(x => x <= _a.ZoneShare * l), Zone(x => x >= front - _a.MouthBandMm && x <= front), Zone(x => x >= (1 - _a.ZoneShare) * l)];
    }

    private static double Inside(double at, double length, string field) =>
        at >= 0 && at <= length ? at : throw new InputException("force_outside_sole", field, at, $"0 to {length:0.##}",
            $"The hand presses at {at:0.##} mm, outside the sole of {length:0.##} mm.");

    private double Height(double x, double y)
    {
        double u = (x - (_input.LengthMm / 2)) * 2 / _input.LengthMm, v = (y - (_input.WidthMm / 2)) * 2 / _input.WidthMm;
        double z = (_input.Shape.LengthwiseBowMm * u * u) + (_input.Shape.CrosswiseBowMm * v * v) + (_input.Shape.TwistMm * u * v / 4);
        foreach (Dip dip in _input.Shape.Dips ?? [])
        {
            double r2 = Math.Pow(x - dip.XMm, 2) + Math.Pow(y - dip.YMm, 2);
            z -= dip.DepthMm * Math.Exp(-r2 / (2 * dip.RadiusMm * dip.RadiusMm));
        }
        return z;
    }

    /// <summary>Removal of a grit, um per 100 strokes of 200 mm at 10 kPa; assumed.</summary>
    /// <exception cref="InputException">A grit that is not listed.</exception>
    public static double RateOf(string grit, Assumptions a) => grit switch
    {
        "P60" => a.LapP60Um,
        "P80" => a.LapP80Um,
        "P120" => a.LapP120Um,
        "P180" => a.LapP180Um,
        "P240" => a.LapP240Um,
        "P320" => a.LapP320Um,
        "P400" => a.LapP400Um,
        _ => throw new InputException("unknown_grit", "grit", grit, string.Join(", ", Grits.Select(r => r.Grit)),
            $"\"{grit}\" is not on the list of lapping grits: {string.Join(", ", Grits.Select(r => r.Grit))}."),
    };

    /// <summary>Counts a pass over all cells; long runs stop when nobody waits for them any more, or when they find no end.</summary>
    private void Pass()
    {
        _cancel.ThrowIfCancellationRequested();
        _work += _z.Length;
        if (_work > MostWork)
        {
            throw new InputException("too_much_work", "cell_mm", _input.CellMm, "larger cells, a coarser grit or fewer strokes",
                "This would take too long to work out. Take larger cells, a coarser grit, fewer strokes or a shape that is less far off.");
        }
    }

    /// <summary>Runs the simulation until nine tenths of the marks are gone and the three zones are clean.</summary>
    public static LappingResult Simulate(LappingInput input, Assumptions assumptions, CancellationToken cancel = default) => new Lapping(input,
        assumptions, cancel).Run();

    private LappingResult Run()
    {
        int n = _z.Length;
        double[] wear = new double[n], delta = new double[n], rate = new double[n];
        int[] all = [.. Enumerable.Range(0, n)];
        double[] goneAt = new double[n];
        Array.Fill(goneAt, double.PositiveInfinity);
        double gone = _a.MarkGoneUm / 1000, strokes = 0;
        var stops = new Queue<double>((_input.ReportAfterStrokes ?? []).Order().Select(s => (double)s));
        var snapshots = new List<LappingSnapshot>();
        (double? three, double? nine) = (null, null);
        var history = new List<(double Strokes, double MaxWear)> { (0, 0) };
        _offset = -_z.Max();
        while (true)
        {
            Settle(delta);
            while (stops.Count > 0 && stops.Peek() <= strokes + 1e-9)
            {
                stops.Dequeue();
                snapshots.Add(Snapshot(strokes, delta, wear));
            }
            three ??= ThreeZones(goneAt, strokes);
            nine ??= AtShare(all, goneAt, 0.9, strokes);
            if ((three is not null && nine is not null && stops.Count == 0) || strokes >= _input.MaxStrokes)
            {
                break;
            }
            double peak = 0;
            for (int i = 0; i < n; i++)
            {
                rate[i] = _rate * _k * Math.Max(0, delta[i]);
                peak = Math.Max(peak, rate[i]);
            }
            double step = Math.Min(0.001 / peak, 0.5 / (_rate * _k));
            step = Math.Min(step, (stops.Count > 0 ? Math.Min(stops.Peek(), _input.MaxStrokes) : _input.MaxStrokes) - strokes);
            for (int i = 0; i < n; i++)
            {
                double removed = rate[i] * step;
                if (wear[i] < gone && wear[i] + removed >= gone)
                {
                    goneAt[i] = strokes + ((gone - wear[i]) / rate[i]);
                }
                wear[i] += removed;
                _z[i] -= removed;
            }
            strokes += step;
            history.Add((strokes, wear.Max()));
        }
        double WearAt(double at)
        {
            int i = history.FindIndex(h => h.Strokes >= at - 1e-9);
            (double s0, double w0) = history[Math.Max(0, i - 1)];
            (double s1, double w1) = history[i];
            return s1 <= s0 ? w1 : w0 + ((w1 - w0) * (at - s0) / (s1 - s0));
        }
        double? Cm3(double? at) => at is null ? null : _rate * _force * at.Value / 1000;
        double perSheet = SizeOf(_input.Grit) <= SizeOf("P80") ? _a.StrokesPerFineSheet : _a.StrokesPerCoarseSheet;
        return new LappingResult(
            three, three / _a.StrokesPerMinute, three is double t ? WearAt(t) : null, Cm3(three),
            nine, nine / _a.StrokesPerMinute, nine is double q ? WearAt(q) : null, Cm3(nine),
            nine is double m ? Whole.Ceiling(m / perSheet) : null, snapshots)
        { WorstForceError = _worstForceError };
    }

    private static double SizeOf(string grit) => Grits.First(r => r.Grit == grit).SizeUm;

    private double? ThreeZones(double[] goneAt, double strokes)
    {
        double latest = 0;
        foreach (int[] zone in _zones)
        {
            if (zone.Length == 0 || AtShare(zone, goneAt, _a.ZoneCleanShare, strokes) is not double at)
            {
                return null;
            }
            latest = Math.Max(latest, at);
        }
        return latest;
    }

    private static double? AtShare(int[] cells, double[] goneAt, double share, double strokes)
    {
        int wanted = Whole.Ceiling(share * cells.Length);
        return cells.Count(i => goneAt[i] <= strokes + 1e-9) >= wanted ? cells.Select(i => goneAt[i]).Order().ElementAt(wanted - 1) : null;
    }

    private LappingSnapshot Snapshot(double strokes, double[] delta, double[] wear)
    {
        double gone = _a.MarkGoneUm / 1000, faint = _a.MarkFaintUm / 1000;
        double n = wear.Length;
        double? Clean(int[] zone) => zone.Length == 0 ? null : zone.Count(i => wear[i] >= gone) / (double)zone.Length;
        return new LappingSnapshot(strokes, delta.Count(d => d > 0) / n, wear.Count(w => w >= gone) / n, wear.Count(w => w >= faint && w < gone) / n,
            _k * delta.Max() * 1000, wear.Max() * 1000, new ZoneShares(Clean(_zones[0]), Clean(_zones[1]), Clean(_zones[2])));
    }

    /// <summary>
    /// Rigid offset and tilts at which the layer carries the force with no moment about the hand: the least value of
    /// sum k A max(0, sink)^2 / 2 - F offset, by damped Newton on the touching cells.
    /// </summary>
    private void Settle(double[] delta)
    {
        double ka = _k * _area;
        double Energy(double o, double tx, double ty)
        {
            Pass();
            double sum = 0;
            for (int i = 0; i < _z.Length; i++)
            {
                double d = _z[i] + o + (tx * (_x[i] - _fx)) + (ty * (_y[i] - _fy));
                sum += d > 0 ? d * d : 0;
            }
            return (ka * sum / 2) - (_force * o);
        }
        double half = Math.Max(_input.LengthMm, _input.WidthMm) / 2;
        for (int round = 0; round < 200; round++)
        {
            Pass();
            double g0 = -_force, g1 = 0, g2 = 0, h00 = 0, h01 = 0, h02 = 0, h11 = 0, h12 = 0, h22 = 0;
            for (int i = 0; i < _z.Length; i++)
            {
                double dx = (_x[i] - _fx) / half, dy = (_y[i] - _fy) / half;
                double d = _z[i] + _offset + (_tiltX * dx * half) + (_tiltY * dy * half);
                delta[i] = d;
                if (d <= 0)
                {
                    continue;
                }
                g0 += ka * d;
                g1 += ka * d * dx;
                g2 += ka * d * dy;
                h00 += ka;
                h01 += ka * dx;
                h02 += ka * dy;
                h11 += ka * dx * dx;
                h12 += ka * dx * dy;
                h22 += ka * dy * dy;
            }
            double off = Math.Max(Math.Abs(g0), Math.Max(Math.Abs(g1), Math.Abs(g2))) / _force;
            if (off < 1e-7)
            {
                _worstForceError = Math.Max(_worstForceError, Math.Abs(g0) / _force);
                return;
            }
            double ridge = 1e-9 * (h00 + ka);
            h00 += ridge;
            h11 += ridge;
            h22 += ridge;
            double det = (h00 * ((h11 * h22) - (h12 * h12))) - (h01 * ((h01 * h22) - (h12 * h02))) + (h02 * ((h01 * h12) - (h11 * h02)));
            double s0 = ((g0 * ((h11 * h22) - (h12 * h12))) - (h01 * ((g1 * h22) - (h12 * g2))) + (h02 * ((g1 * h12) - (h11 * g2)))) / det;
            double s1 = ((h00 * ((g1 * h22) - (h12 * g2))) - (g0 * ((h01 * h22) - (h12 * h02))) + (h02 * ((h01 * g2) - (g1 * h02)))) / det;
            double s2 = ((h00 * ((h11 * g2) - (g1 * h12))) - (h01 * ((h01 * g2) - (g1 * h02))) + (g0 * ((h01 * h12) - (h11 * h02)))) / det;
            double now = Energy(_offset, _tiltX, _tiltY), damp = 1;
            double slope = (g0 * s0) + (g1 * s1) + (g2 * s2);
            while (damp > 1e-8 && Energy(_offset - (damp * s0), _tiltX - (damp * s1 / half), _tiltY - (damp * s2 / half)) > now - (1e-4 * damp * slope))
            {
                damp /= 2;
            }
            _offset -= damp * s0;
            _tiltX -= damp * s1 / half;
            _tiltY -= damp * s2 / half;
        }
        _worstForceError = 1;
    }
}

/// <summary>Winding sticks on a wooden sole, mm and degrees.</summary>
public sealed record WoodenSoleInput(
    double StickDifferenceMm, double StickLengthMm, double BodyWidthMm, double BedDeg, double WearDeg, double MouthMm, double HollowMm = 0);

/// <summary>What truing the sole takes and what it does to the mouth, mm.</summary>
public sealed record WoodenSoleResult(double WindMm, double RemovalAtHighCornersMm, double MouthOpensMm, double NewMouthMm);

/// <summary>Truing wooden soles.</summary>
public static class WoodenSole
{
    /// <summary>Wind from the sticks, metal-free removal and the new mouth.</summary>
    public static WoodenSoleResult Of(WoodenSoleInput input)
    {
        double wind = Check.Finite(input.StickDifferenceMm) * Check.Positive(input.BodyWidthMm) / Check.Positive(input.StickLengthMm);
        double removal = Math.Max(Math.Abs(wind) / 2, Check.NotNegative(input.HollowMm));
        static double Cot(double degrees) => 1 / Math.Tan(degrees * Math.PI / 180);
        double opens = removal * (Cot(Check.Between(input.BedDeg, 0, 180)) + Cot(Check.Between(input.WearDeg, 0, 180)));
        return new WoodenSoleResult(wind, removal, opens, Check.NotNegative(input.MouthMm) + opens);
    }
}
