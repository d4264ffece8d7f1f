using Foundling.Core.Grits;

namespace Foundling.Core.Soles;

/// <summary>Simulates lapping a sole on abrasive over a flat plate: elastic contact, wear after Preston.</summary>
public sealed class Lapping
{
    /// <summary>Most strokes, reports and moves of the hands of a run.</summary>
    public const int MostStrokes = 200_000, MostReports = 400, MostPresses = 50;

    // Cells times passes: about half a second.
    private const long MostWork = 150_000_000;
    private const double LeastForceN = 0.1, MostForceN = 2000, UmInMm = 1000, Cm3InMm3 = 1000, StepMm = 0.001, SinkShare = 0.5, NineTenths = 0.9;

    private readonly LappingInput _input;
    private readonly Assumptions _a;
    private readonly LapSole _sole;
    private readonly LapContact _contact;
    private readonly double[] _z, _wear, _sink, _rates, _goneAt;
    private readonly List<(double From, double N, double X, double Y)> _presses;
    private readonly double _k, _rate, _sizeUm;
    private readonly int[] _all;
    private readonly CancellationToken _cancel;
    private readonly List<(double Strokes, double MaxWear, double Work)> _history = [(0, 0, 0)];
    private double _strokes;
    private long _work;

    private Lapping(LappingInput input, Assumptions assumptions, CancellationToken cancel)
    {
        (_input, _a, _cancel) = (input, assumptions, cancel);
        Check.Within(input.MaxStrokes, 1, MostStrokes, "max_strokes");
        Check.Within(input.ReportAfterStrokes?.Count ?? 0, 0, MostReports, "report_after_strokes");
        Check.Within(input.Presses?.Count ?? 0, 0, MostPresses, "presses");
        _sole = new LapSole(input, assumptions);
        _sizeUm = SizeOf(input);
        _k = input.Plate == LappingPlate.PaperOnGlass ? _a.StiffnessGlass : _a.StiffnessMdf;
        // µm in 100 strokes at 10 kPa is as many mm in a thousand strokes at 1 MPa.
        _rate = Removal.Um(_sizeUm, _a) * Removal.Factor(input.Metal, _a) / UmInMm;
        double force = input.ForceN ?? _a.LappingForceN;
        _presses = [Press(0, input.ForceXMm, input.ForceYMm, force), .. (input.Presses ?? []).OrderBy(p => p.FromStroke)
            .Select(p => Press(Check.Within(p.FromStroke, 0, MostStrokes, "from_stroke"), p.XMm, p.YMm, p.ForceN ?? force))];
        _z = [.. _sole.Z];
        (_wear, _sink, _rates, _goneAt) = (new double[_z.Length], new double[_z.Length], new double[_z.Length], new double[_z.Length]);
        Array.Fill(_goneAt, double.PositiveInfinity);
        _all = [.. Enumerable.Range(0, _z.Length).Where(i => _sole.Counts[i])];
        _contact = new LapContact(_sole.X, _sole.Y, _k, _sole.AreaMm2, Math.Max(_sole.LengthMm, _sole.WidthMm) / 2, Pass);
    }

    /// <summary>Mean size of the grain of a run, µm.</summary>
    /// <exception cref="InputException">A grade that is not listed, and no size with it.</exception>
    public static double SizeOf(LappingInput input) => input.GritUm is double um ? Check.Between(um, 0, UmInMm * 5, "grit_um")
        : Removal.SizeOf(input.Grit) ?? throw new InputException("unknown_grit", "grit", input.Grit, string.Join(", ", Removal.Grades),
            $"\"{input.Grit}\" is not on the list of lapping grits: {string.Join(", ", Removal.Grades)}.");

    private (double From, double N, double X, double Y) Press(double from, double? x, double? y, double force) =>
        (from, Check.Within(force, LeastForceN, MostForceN, "force_n"), Inside(x ?? (_sole.LengthMm / 2), _sole.LengthMm, "force_x_mm")
            - (_sole.LengthMm / 2), Inside(y ?? (_sole.WidthMm / 2), _sole.WidthMm, "force_y_mm") - (_sole.WidthMm / 2));

    private static double Inside(double at, double length, string field) =>
        at >= 0 && at <= length ? at : throw new InputException("force_outside_sole", field, at, $"0 to {length:0.##}",
            $"The hand presses at {at:0.##} mm, outside the sole of {length:0.##} mm.");

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
    /// <exception cref="InputException">A sole, a hand or a paper as there is none, or more than can be worked out.</exception>
    public static LappingResult Simulate(LappingInput input, Assumptions assumptions, CancellationToken cancel = default)
    {
        var run = new Lapping(input, assumptions, cancel);
        var stops = new Queue<double>((input.ReportAfterStrokes ?? []).Order().Select(s => (double)s));
        var snapshots = new List<LappingSnapshot>();
        while (true)
        {
            run.Settle();
            while (stops.Count > 0 && stops.Peek() <= run._strokes + Whole.Slack)
            {
                stops.Dequeue();
                snapshots.Add(run.Snapshot());
            }
            if ((run.IsFinished && stops.Count == 0) || run._strokes >= input.MaxStrokes)
            {
                return run.Result(snapshots);
            }
            run.Rub(stops.Count > 0 ? Math.Min(stops.Peek(), input.MaxStrokes) : input.MaxStrokes);
        }
    }

    /// <summary>The same run as a film: a frame at first often, then ever less so, to its end.</summary>
    /// <param name="input">The sole.</param>
    /// <param name="assumptions">Hands and paper.</param>
    /// <param name="cancel">Stops it between two frames.</param>
    /// <returns>The cells, each frame with the snapshot of it, and at the end the result.</returns>
    public static LapFilm Film(LappingInput input, Assumptions assumptions, CancellationToken cancel = default)
    {
        var run = new Lapping(input, assumptions, cancel);
        return new LapFilm(run._sole, run.Frames());
    }

    /// <summary>Metal gone from each cell after so many strokes, mm.</summary>
    /// <param name="input">The sole.</param>
    /// <param name="looks">Strokes, ascending.</param>
    /// <param name="assumptions">Hands and paper.</param>
    public static (LapSole Sole, IReadOnlyList<double[]> WearMm) Wears(LappingInput input, IReadOnlyList<double> looks, Assumptions assumptions)
    {
        var run = new Lapping(input, assumptions, CancellationToken.None);
        List<double[]> wears = [];
        foreach (double look in looks)
        {
            while (run._strokes < look - Whole.Slack)
            {
                run.Settle();
                run.Rub(look);
            }
            wears.Add([.. run._wear]);
        }
        return (run._sole, wears);
    }

    private IEnumerable<(LapFrame Frame, LappingSnapshot Snapshot, LappingResult? End)> Frames()
    {
        double next = 0;
        while (true)
        {
            Settle();
            bool end = IsFinished || _strokes >= _input.MaxStrokes;
            if (end || _strokes >= next - Whole.Slack)
            {
                yield return (new LapFrame(_strokes, [.. _wear], [.. _sink]), Snapshot(), end ? Result([]) : null);
                next = Math.Min(_input.MaxStrokes, Math.Ceiling((_strokes * FilmGrowth) + FilmStrokes));
            }
            if (end)
            {
                yield break;
            }
            Rub(next);
        }
    }

    private const double FilmGrowth = 1.04, FilmStrokes = 5;

    private bool IsFinished => ThreeZones() is not null && AtShare(_all, NineTenths) is not null;

    private (double From, double N, double X, double Y) Hands => _presses.Last(p => p.From <= _strokes + Whole.Slack);

    private void Settle()
    {
        (_, double n, double x, double y) = Hands;
        _contact.Settle(_z, (n, x, y), _sink);
    }

    /// <summary>A step of strokes: no more than a micrometre from any cell, nor more than half of what it is pressed in.</summary>
    private void Rub(double until)
    {
        double peak = 0, gone = _a.MarkGoneUm / UmInMm;
        for (int i = 0; i < _z.Length; i++)
        {
            _rates[i] = _rate * _k * Math.Max(0, _sink[i]);
            peak = Math.Max(peak, _rates[i]);
        }
        double moves = _presses.Select(p => p.From).FirstOrDefault(f => f > _strokes + Whole.Slack, double.PositiveInfinity);
        double step = Math.Min(Math.Min(StepMm / peak, SinkShare / (_rate * _k)), Math.Min(until, moves) - _strokes);
        double most = 0;
        for (int i = 0; i < _z.Length; i++)
        {
            double removed = _rates[i] * step;
            if (_wear[i] < gone && _wear[i] + removed >= gone)
            {
                _goneAt[i] = _strokes + ((gone - _wear[i]) / _rates[i]);
            }
            _wear[i] += removed;
            _z[i] -= removed;
            most = Math.Max(most, _wear[i]);
        }
        double work = _history[^1].Work + (Hands.N * step);
        _strokes += step;
        _history.Add((_strokes, most, work));
    }

    private double? ThreeZones()
    {
        double latest = 0;
        foreach (IReadOnlyList<int> zone in new[] { _sole.Toe, _sole.Mouth, _sole.Heel })
        {
            if (AtShare(zone, _a.ZoneCleanShare) is not double at)
            {
                return null;
            }
            latest = Math.Max(latest, at);
        }
        return latest;
    }

    /// <summary>The stroke at which the mark of a share of cells was gone; null for not yet, and where there are no cells.</summary>
    private double? AtShare(IReadOnlyList<int> cells, double share)
    {
        int wanted = Whole.Ceiling(share * cells.Count);
        return cells.Count > 0 && cells.Count(i => _goneAt[i] <= _strokes + Whole.Slack) >= wanted
            ? cells.Select(i => _goneAt[i]).Order().ElementAt(Math.Max(0, wanted - 1)) : null;
    }

    private (double MaxWear, double Work) At(double strokes)
    {
        int i = _history.FindIndex(h => h.Strokes >= strokes - Whole.Slack);
        (double s0, double w0, double f0) = _history[Math.Max(0, i - 1)];
        (double s1, double w1, double f1) = _history[i];
        double share = s1 <= s0 ? 1 : (strokes - s0) / (s1 - s0);
        return (w0 + ((w1 - w0) * share), f0 + ((f1 - f0) * share));
    }

    private LappingResult Result(IReadOnlyList<LappingSnapshot> snapshots)
    {
        double? three = ThreeZones(), nine = AtShare(_all, NineTenths);
        double? Wear(double? at) => at is double s ? At(s).MaxWear : null;
        // What goes is the rate times force times strokes, whatever the shape.
        double? Cm3(double? at) => at is double s ? _rate * At(s).Work / Cm3InMm3 : null;
        return new LappingResult(
            three, three / _a.StrokesPerMinute, Wear(three), Cm3(three), nine, nine / _a.StrokesPerMinute, Wear(nine), Cm3(nine),
            nine is double m ? Removal.Sheets(_sizeUm, m, _a) : null, snapshots)
        {
            StrokesMouth = AtShare(_sole.Mouth, _a.ZoneCleanShare), WorstForceError = _contact.WorstForce, WorstMomentError = _contact.WorstMoment,
        };
    }

    private LappingSnapshot Snapshot()
    {
        double gone = _a.MarkGoneUm / UmInMm, faint = _a.MarkFaintUm / UmInMm, n = _wear.Length;
        double? Clean(IReadOnlyList<int> zone) => zone.Count == 0 ? null : zone.Count(i => _wear[i] >= gone) / (double)zone.Count;
        return new LappingSnapshot(_strokes, _sink.Count(d => d > 0) / n, _wear.Count(w => w >= gone) / n, _wear.Count(w => w >= faint && w < gone) / n,
            _k * _sink.Max() * UmInMm, _wear.Max() * UmInMm, new ZoneShares(Clean(_sole.Toe), Clean(_sole.Mouth), Clean(_sole.Heel)));
    }
}

/// <summary>A run as a film.</summary>
/// <param name="Sole">The cells.</param>
/// <param name="Frames">Frames in order; the last has the result.</param>
public sealed record LapFilm(LapSole Sole, IEnumerable<(LapFrame Frame, LappingSnapshot Snapshot, LappingResult? End)> Frames);
