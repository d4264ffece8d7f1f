namespace Foundling.Core.Grits;

/// <summary>An abrasive that the shop owns.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="MeanUm">Mean size of its grain, or of the grain whose scratch it leaves, µm.</param>
/// <param name="Flat">It cuts flat on a flat backing; wool, pads, wheels and buffs do not.</param>
/// <param name="Worn">It is a worn sheet, which leaves a finer scratch and flattens nothing.</param>
public sealed record LadderAbrasive(string Name, double MeanUm, bool Flat = true, bool Worn = false)
{
    /// <summary>Size of grain it counts as, µm.</summary>
    public double CountsUm(Assumptions a) => Worn ? MeanUm * a.WornSheetShare : MeanUm;

    /// <summary>It takes metal off in a plane.</summary>
    public bool Flattens => Flat && !Worn;
}

/// <summary>A face that is to be brought from a defect to a finish.</summary>
/// <param name="Abrasives">What the shop owns.</param>
/// <param name="DefectDepthUm">How deep the worst pit or scratch is, µm; 0 for a face that is only to be finer.</param>
/// <param name="TargetScratchUm">Depth of scratch that is fine enough, µm.</param>
/// <param name="ForceN">Hand pressure, N.</param>
/// <param name="ContactAreaMm2">Area that bears, mm².</param>
/// <param name="Metal">What it is made of.</param>
/// <param name="StampDepthUm">Depth of a stamp that must survive, µm; null for none.</param>
public sealed record LadderInput(IReadOnlyList<LadderAbrasive> Abrasives, double DefectDepthUm, double TargetScratchUm, double ForceN,
    double ContactAreaMm2, LapMetal Metal = LapMetal.CastIron, double? StampDepthUm = null);

/// <summary>A stage of a ladder.</summary>
/// <param name="Name">The abrasive.</param>
/// <param name="MeanUm">Size of grain it counts as, µm.</param>
/// <param name="RemovesUm">Depth it takes off, µm.</param>
/// <param name="Minutes">With changing and cleaning, min.</param>
/// <param name="Strokes">Strokes of it.</param>
/// <param name="ScratchUm">Depth of the scratch it leaves, µm.</param>
public sealed record LadderStage(string Name, double MeanUm, double RemovesUm, double Minutes, double Strokes, double ScratchUm);

/// <summary>The quickest ladder of grits.</summary>
/// <param name="PressureKpa">Contact pressure, kPa.</param>
/// <param name="Ladder">Abrasives in order.</param>
/// <param name="StageMinutes">Minutes of each.</param>
/// <param name="TotalMinutes">Minutes of all.</param>
/// <param name="Skipped">Owned abrasives between the first and the last that are not worth their change.</param>
/// <param name="MetalRemovedUm">Depth that goes in all, µm.</param>
/// <param name="SkipOneMoreCostsMinutes">What leaving one more out would cost, min.</param>
/// <param name="WarnJumps">Steps so large that scratches stay behind.</param>
/// <param name="LimitUm">Depth that may go where a stamp must survive, µm.</param>
/// <param name="CoarsestAllowed">The coarsest abrasive one may begin with there.</param>
public sealed record LadderResult(double PressureKpa, IReadOnlyList<string> Ladder, IReadOnlyList<double> StageMinutes, double TotalMinutes,
    IReadOnlyList<string> Skipped, double MetalRemovedUm, IReadOnlyDictionary<string, double> SkipOneMoreCostsMinutes,
    IReadOnlyList<IReadOnlyList<string>> WarnJumps, double? LimitUm = null, string? CoarsestAllowed = null)
{
    /// <summary>The stages with all their figures.</summary>
    public IReadOnlyList<LadderStage> Stages { get; init; } = [];
}

/// <summary>Which grits to take, and which to leave out: the quickest way over what the shop owns.</summary>
public sealed class Ladder
{
    /// <summary>Most abrasives that are looked at.</summary>
    public const int MostAbrasives = 200;

    private const double MostUm = 5000, LeastScratchUm = 0.001, LeastN = 0.1, MostN = 2000, LeastMm2 = 1, MostMm2 = 1e7, MmInUm = 1000;

    private readonly LadderInput _in;
    private readonly Assumptions _a;
    private readonly LadderAbrasive[] _own;
    private readonly double[] _rest, _speed;
    private readonly int[] _next;

    private Ladder(LadderInput input, Assumptions a)
    {
        (_in, _a) = (input, a);
        // One of each size is enough: two of the same are never both used.
        _own = [.. input.Abrasives.OrderByDescending(x => x.CountsUm(a)).ThenByDescending(x => x.Flattens).DistinctBy(x => (x.CountsUm(a), x.Flattens))];
        _speed = [.. _own.Select(x => Removal.UmAMinute(x.CountsUm(a), Kpa, input.Metal, a))];
        (_rest, _next) = (new double[_own.Length], new int[_own.Length]);
        for (int i = _own.Length - 1; i >= 0; i--)
        {
            (_rest[i], _next[i]) = (double.PositiveInfinity, -1);
            if (Fine(i))
            {
                _rest[i] = 0;
                continue;
            }
            for (int j = i + 1; j < _own.Length && _own[i].Flattens; j++)
            {
                double by = RubMinutes(Scratch(i) * a.ScratchTimes, j) + Change + _rest[j];
                if (Size(j) < Size(i) && by < _rest[i])
                {
                    (_rest[i], _next[i]) = (by, j);
                }
            }
        }
    }

    private double Kpa => _in.ForceN / _in.ContactAreaMm2 * MmInUm;

    private double Change => _a.GritChangeMin + _a.GritCleanMin;

    private double Size(int i) => _own[i].CountsUm(_a);

    private double Scratch(int i) => Size(i) * _a.ScratchShare;

    private bool Fine(int i) => Scratch(i) <= _in.TargetScratchUm + Whole.Slack;

    private double RubMinutes(double um, int i) => um / _speed[i];

    /// <summary>The quickest ladder from the defect to the finish.</summary>
    /// <exception cref="InputException">Nothing fine enough, a stamp that no ladder spares, or a face as there is none.</exception>
    public static LadderResult Of(LadderInput input, Assumptions a)
    {
        if (input.Abrasives.Count > MostAbrasives)
        {
            throw new InputException("too_many", "abrasives", input.Abrasives.Count, $"at most {MostAbrasives}",
                $"{input.Abrasives.Count} abrasives are more than a drawer holds; at most {MostAbrasives}.");
        }
        foreach (LadderAbrasive abrasive in input.Abrasives)
        {
            Check.Between(abrasive.MeanUm, 0, MostUm, "mean_um");
        }
        Check.Within(input.DefectDepthUm, 0, MostUm, "defect_depth_um");
        Check.Within(input.TargetScratchUm, LeastScratchUm, MostUm, "target_scratch_um");
        Check.Within(input.ForceN, LeastN, MostN, "force_n");
        Check.Within(input.ContactAreaMm2, LeastMm2, MostMm2, "contact_area_mm2");
        Check.Within(input.StampDepthUm ?? 0, 0, MostUm, "stamp_depth_um");
        return new Ladder(input, a).Quickest();
    }

    private LadderResult Quickest()
    {
        if (!Enumerable.Range(0, _own.Length).Any(Fine))
        {
            throw new InputException("no_owned_abrasive_is_fine_enough", "abrasives", _own.LastOrDefault()?.Name,
                $"one that leaves {_in.TargetScratchUm:0.###} µm or less", _own.Length == 0 ? "No abrasive is there to choose from."
                    : $"The finest, {_own[^1].Name}, leaves scratches of {Scratch(_own.Length - 1):0.##} µm, and {_in.TargetScratchUm:0.###} µm are wanted.");
        }
        if (Starts.Count == 0)
        {
            throw new InputException("nothing_flattens", "abrasives", null, "a sheet, a plate or a stone on a flat backing",
                "Nothing here cuts flat: wool, pads, wheels and worn sheets finish a face, but take no defect out of it.");
        }
        return Told() ?? throw new InputException("stamp_would_not_survive", "stamp_depth_um", _in.StampDepthUm, "a deeper stamp, or a shallower defect",
            $"No ladder spares the stamp: at most {Limit:0.#} µm may go, and the mildest takes {Starts.Min(i => Depth(Path(i))):0.#} µm. Leave the face, "
                + "or go round the stamp.");
    }

    // What has no flat backing may end a ladder, or stand alone where nothing is to be flattened.
    private List<int> Starts => [.. Enumerable.Range(0, _own.Length).Where(i => double.IsFinite(_rest[i]) && (_own[i].Flattens || _in.DefectDepthUm <= 0))];

    private double? Limit => _in.StampDepthUm * _a.StampShare;

    private LadderResult? Told()
    {
        List<int> sparing = [.. Starts.Where(i => Limit is not double most || Depth(Path(i)) <= most + Whole.Slack)];
        return sparing.Count == 0 ? null : Told(Path(sparing.MinBy(i => (Start(i) + _rest[i], i))), Limit is null ? null : _own[sparing[0]].Name);
    }

    private double Start(int i) => RubMinutes(_in.DefectDepthUm, i) + Change;

    private List<int> Path(int start)
    {
        List<int> path = [start];
        while (_next[path[^1]] >= 0)
        {
            path.Add(_next[path[^1]]);
        }
        return path;
    }

    private double Depth(List<int> path) => _in.DefectDepthUm + path.SkipLast(1).Sum(i => Scratch(i) * _a.ScratchTimes);

    private List<LadderStage> Stages(List<int> path) => [.. path.Select((i, k) =>
    {
        double um = k == 0 ? _in.DefectDepthUm : Scratch(path[k - 1]) * _a.ScratchTimes, rub = RubMinutes(um, i);
        return new LadderStage(_own[i].Name, Size(i), um, rub + Change, rub * _a.StrokesPerMinute, Scratch(i));
    })];

    private LadderResult Told(List<int> path, string? coarsest)
    {
        List<LadderStage> stages = Stages(path);
        double total = stages.Sum(s => s.Minutes);
        Dictionary<string, double> skipping = [];
        for (int k = 0; k < path.Count - 1; k++)
        {
            List<int> without = [.. path.Where((_, n) => n != k)];
            if (_own[without[0]].Flattens || _in.DefectDepthUm <= 0)
            {
                skipping[_own[path[k]].Name] = Stages(without).Sum(s => s.Minutes) - total;
            }
        }
        return new LadderResult(Kpa, [.. stages.Select(s => s.Name)], [.. stages.Select(s => s.Minutes)], total,
            [.. Enumerable.Range(path[0], path[^1] - path[0] + 1).Except(path).Where(i => _own[i].Flattens).Select(i => _own[i].Name)], Depth(path), skipping,
            [.. path.Zip(path.Skip(1)).Where(p => Size(p.First) / Size(p.Second) > _a.GritJumpTimes + Whole.Slack)
                .Select(p => new[] { _own[p.First].Name, _own[p.Second].Name })], Limit, coarsest)
        { Stages = stages };
    }

    /// <summary>Sheets that can be had, as coarse as one laps on.</summary>
    /// <param name="table">The table of grits.</param>
    /// <param name="a">How coarse that is.</param>
    public static IEnumerable<LadderAbrasive> Market(GritTable table, Assumptions a) => table.Sizes
        .Where(s => s.Flat && s.System == GritFinish.Papers && s.Um <= a.CoarsestSheetUm).Select(s => new LadderAbrasive($"{s.Grit} sheet", s.Um));

    /// <summary>The one abrasive, of those that can be had, that would save most time; null where none saves any.</summary>
    /// <param name="input">The face and what is owned.</param>
    /// <param name="market">What can be had.</param>
    /// <param name="a">How fast grains cut.</param>
    public static (LadderAbrasive Buy, LadderResult With)? BestPurchase(LadderInput input, IEnumerable<LadderAbrasive> market, Assumptions a)
    {
        double now = Try(input, a)?.TotalMinutes ?? double.PositiveInfinity;
        (LadderAbrasive Buy, LadderResult With)? best = null;
        foreach (LadderAbrasive more in market)
        {
            if (Try(input with { Abrasives = [.. input.Abrasives, more] }, a) is { } with && with.TotalMinutes < now - Whole.Slack)
            {
                (best, now) = ((more, with), with.TotalMinutes);
            }
        }
        return best;
    }

    /// <summary>The quickest ladder of a face that was looked at before; null where none leads to the finish.</summary>
    public static LadderResult? Try(LadderInput input, Assumptions a) => new Ladder(input, a).Told();
}
