namespace Foundling.Core.Origin;

/// <summary>The span of years and how much belief it holds.</summary>
public sealed record Lobe(int[] Years, double Mass);

/// <summary>Years no sure evidence contradicts, or the pair that clashes.</summary>
/// <param name="State">"bracket" or "contradiction".</param>
/// <param name="FirstYear">First year allowed.</param>
/// <param name="LastYear">Last year allowed.</param>
/// <param name="ClashingPair">The evidence with the latest start and that with the earliest end.</param>
public sealed record HardBracket(string State, int? FirstYear = null, int? LastYear = null, string[]? ClashingPair = null);

/// <summary>What one observation did.</summary>
/// <param name="Bits">Uncertainty it took away, bits; negative when it sows doubt.</param>
/// <param name="MedianShiftYears">How far it moved the median.</param>
public sealed record ObservationWeight(double Bits, int MedianShiftYears)
{
    /// <summary>The span of years without it.</summary>
    public int[] WithoutInterval90 { get; init; } = [];

    /// <summary>Spans of years that were likely enough without it and are hardly possible with it.</summary>
    public IReadOnlyList<int[]> RuledOutYears { get; init; } = [];

    /// <summary>Lines that were likely enough without it and are hardly possible with it.</summary>
    public IReadOnlyList<string> RuledOutLines { get; init; } = [];

    /// <summary>Probability of every year without it, from <see cref="DatingEngine.FirstYear"/>; for drawing.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double[] WithoutByYear { get; init; } = [];
}

/// <summary>What dating a tool gives.</summary>
public sealed record DatingReport(
    double EntropyBits,
    IReadOnlyDictionary<string, double> PLine,
    IReadOnlyDictionary<string, double> PSize,
    int MedianYear,
    int[] Interval90,
    double Interval90Mass,
    IReadOnlyList<Lobe> Lobes,
    IReadOnlyDictionary<string, double> PSwapped,
    IReadOnlyDictionary<string, string> PartLabel,
    HardBracket HardBracket)
{
    /// <summary>Probability of asked-for years.</summary>
    public IReadOnlyDictionary<string, double>? PYear { get; init; }

    /// <summary>What each observation did, when asked for.</summary>
    public IReadOnlyDictionary<string, ObservationWeight>? Weights { get; init; }

    /// <summary>Looks not yet taken, when asked for.</summary>
    public IReadOnlyList<NextLook>? LookNext { get; init; }

    /// <summary>Probability of every year from <see cref="DatingEngine.FirstYear"/>; for drawing.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double[] ByYear { get; init; } = [];

    /// <summary>Years within which a tool counts as dated; what is wider says nothing worth writing down.</summary>
    public const int DatedWithinYears = 100;

    /// <summary>True once the years are narrowed down to less than a century.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsDated => Interval90[1] - Interval90[0] < DatedWithinYears;

    /// <summary>True when the maker is known well enough to be named: not likelier one the book does not have, nor nobody.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool NamesMaker => PLine.Where(p => !PatternLine.IsOfBook(p.Key)).Sum(p => p.Value) <= 0.5;

    /// <summary>The most probable line.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string BestLine => PLine.MaxBy(p => p.Value).Key;

    /// <summary>The most probable line of the book, whatever is believed of no line at all; null when none was a candidate.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string? BestKnownLine => PLine.Where(p => PatternLine.IsOfBook(p.Key)).OrderByDescending(p => p.Value).Select(p => p.Key).FirstOrDefault();
}

/// <summary>Dates a tool: the whole of one question.</summary>
public static class Dating
{
    /// <summary>Share of belief the reported span holds.</summary>
    public const double SpanShare = 0.9;

    private const double LeastLobe = 0.15;

    // What counts as ruled out: years worth naming before, and left with less than a tenth of their belief after.
    private const double LikelyYear = 0.002, LikelyLine = 0.05, HardlyPossible = 0.1;

    /// <summary>Weighs the evidence and reports it.</summary>
    public static DatingReport Report(DatingInput input, Assumptions assumptions, bool weights = false, int lookNext = 0,
        IReadOnlyList<int>? years = null)
    {
        Assumptions a = assumptions;
        if (input.Observations.GroupBy(o => o.Id).FirstOrDefault(g => g.Count() > 1) is { } twice)
        {
            throw new InputException("id_twice", "observations", twice.Key, "each id once", $"Two observations carry the id \"{twice.Key}\".");
        }
        var engine = new DatingEngine(input, a);
        DatingPosterior posterior = engine.Weigh();
        int median = Median(posterior.ByYear);
        (int from, int to, double mass) = ShortestSpan(posterior.ByYear);
        var swapped = posterior.Parts.ToDictionary(p => p, posterior.Swapped);
        var labels = swapped.ToDictionary(p => p.Key, p => Label(p.Value, posterior.SwapPrior(p.Key)));
        IReadOnlyDictionary<string, double> lines = posterior.ByLine();
        int best = engine.Lines.Select((l, i) => (l.Id, i)).MaxBy(x => lines[x.Id]).i;
        return new DatingReport(
            posterior.EntropyBits, lines, posterior.BySize(), median, [from, to], mass, Lobes(posterior.ByYear, a.LobeGapYears),
            swapped, labels, Bracket(engine, input.Observations, best, labels))
        {
            ByYear = posterior.ByYear,
            PYear = years?.ToDictionary(y => y.ToString(System.Globalization.CultureInfo.InvariantCulture),
                y => posterior.ByYear[(int)Check.Within(y, DatingEngine.FirstYear, DatingEngine.LastYear, "report_years") - DatingEngine.FirstYear]),
            Weights = !weights ? null : input.Observations.ToDictionary(o => o.Id, o =>
            {
                DatingPosterior without = posterior.Without(o.Id);
                (int wFrom, int wTo, _) = ShortestSpan(without.ByYear);
                IReadOnlyDictionary<string, double> linesWithout = without.ByLine();
                return new ObservationWeight(without.EntropyBits - posterior.EntropyBits, median - Median(without.ByYear))
                {
                    WithoutInterval90 = [wFrom, wTo], WithoutByYear = without.ByYear,
                    RuledOutYears = RuledOut(without.ByYear, posterior.ByYear, a.LobeGapYears),
                    RuledOutLines = [.. linesWithout.Where(l => l.Value >= LikelyLine && lines[l.Key] < HardlyPossible * l.Value).Select(l => l.Key)],
                };
            }),
            LookNext = lookNext > 0 ? posterior.LookNext(lookNext) : null,
        };
    }

    /// <summary>odd, doubtful or belongs.</summary>
    public static string Label(double swapped, double prior) =>
        swapped > 0.5 + Whole.Slack ? "odd" : swapped > 0.25 + Whole.Slack && swapped > prior + 0.05 + Whole.Slack ? "doubtful" : "belongs";

    private static int Median(double[] byYear)
    {
        double sum = 0;
        for (int i = 0; i < byYear.Length; i++)
        {
            sum += byYear[i];
            if (sum >= 0.5 - Whole.Slack)
            {
                return DatingEngine.FirstYear + i;
            }
        }
        return DatingEngine.LastYear;
    }

    private static (int From, int To, double Mass) ShortestSpan(double[] p)
    {
        var sums = new double[p.Length + 1];
        for (int i = 0; i < p.Length; i++)
        {
            sums[i + 1] = sums[i] + p[i];
        }
        for (int length = 1; length <= p.Length; length++)
        {
            int best = -1;
            double most = 0;
            for (int from = 0; from + length <= p.Length; from++)
            {
                double mass = sums[from + length] - sums[from];
                if (mass >= SpanShare - Whole.Slack && (best < 0 || mass > most + Whole.Slack))
                {
                    (best, most) = (from, mass);
                }
            }
            if (best >= 0)
            {
                return (DatingEngine.FirstYear + best, DatingEngine.FirstYear + best + length - 1, most);
            }
        }
        return (DatingEngine.FirstYear, DatingEngine.LastYear, 1);
    }

    private static List<int[]> RuledOut(double[] without, double[] with, int gapYears) =>
        [.. Runs(Enumerable.Range(0, without.Length).Where(i => without[i] >= LikelyYear && with[i] < HardlyPossible * without[i]), gapYears)
            .Select(r => new[] { DatingEngine.FirstYear + r.From, DatingEngine.FirstYear + r.To })];

    /// <summary>Joins places in rising order into runs; gaps shorter than the given one do not part a run.</summary>
    private static List<(int From, int To)> Runs(IEnumerable<int> places, int gap)
    {
        var runs = new List<(int From, int To)>();
        foreach (int i in places)
        {
            if (runs.Count > 0 && i - runs[^1].To - 1 < gap)
            {
                runs[^1] = (runs[^1].From, i);
            }
            else
            {
                runs.Add((i, i));
            }
        }
        return runs;
    }

    private static List<Lobe> Lobes(double[] p, int gapYears)
    {
        double Digits(double x) => x <= 0 ? 0 : double.Parse(x.ToString("E9", System.Globalization.CultureInfo.InvariantCulture),
            System.Globalization.CultureInfo.InvariantCulture);
        double sum = 0;
        var taken = new List<int>();
        foreach (int i in Enumerable.Range(0, p.Length).OrderByDescending(i => Digits(p[i])).ThenBy(i => i))
        {
            taken.Add(i);
            sum += p[i];
            if (sum >= SpanShare - Whole.Slack)
            {
                break;
            }
        }
        taken.Sort();
        List<Lobe> lobes = [.. Runs(taken, gapYears)
            .Select(r => new Lobe([DatingEngine.FirstYear + r.From, DatingEngine.FirstYear + r.To], p[r.From..(r.To + 1)].Sum()))
            .Where(l => l.Mass >= LeastLobe - Whole.Slack)];
        return lobes.Count >= 2 ? lobes : [];
    }

    private static HardBracket Bracket(DatingEngine engine, IReadOnlyList<Observation> observations, int line, Dictionary<string, string> labels)
    {
        const string LineYears = "line years";
        PatternLine best = engine.Lines[line];
        var spans = new List<(string Id, int First, int Last)>();
        foreach (Observation o in observations)
        {
            string part = engine.PartOf(o);
            if (o.Confidence != Confidence.Sure || o.Soft || labels[part] == "odd")
            {
                continue;
            }
            (int? first, int? last) = o.Mark is not null ? o.MarkWindow(engine.Assumptions)
                : engine.YearsOf(line, o.Trait!, o.Variant!) is { } years ? (years.FirstUsed, years.LastUsed) : (null, null);
            if (first is null && last is null)
            {
                continue;
            }
            spans.Add((o.Id, first ?? int.MinValue, last is int end ? end + PartRules.LagYears(part, engine.Assumptions) : int.MaxValue));
        }
        spans.Add((LineYears, best.FirstYear, best.LastYear));
        (string Id, int First, int Last) latest = spans.MaxBy(s => s.First), earliest = spans.MinBy(s => s.Last);
        return latest.First <= earliest.Last
            ? new HardBracket("bracket", latest.First, earliest.Last)
            : new HardBracket("contradiction", ClashingPair: [latest.Id, earliest.Id]);
    }
}

/// <summary>The first number a patent or design office gave out in a year.</summary>
public sealed record YearStart(int Year, long FirstNumber);

/// <summary>Finds the year a number was issued in.</summary>
public static class IssueYears
{
    /// <summary>The year whose first number is the last one not above <paramref name="number"/>.</summary>
    /// <exception cref="InputException">The number is below the first of the list.</exception>
    public static int Of(long number, IReadOnlyList<YearStart> firstNumbers)
    {
        YearStart? found = firstNumbers.Where(f => f.FirstNumber <= number).MaxBy(f => f.FirstNumber);
        return found?.Year ?? throw new InputException("number_before_the_list", "number", number,
            firstNumbers.Count == 0 ? "a list of first numbers" : $"{firstNumbers.Min(f => f.FirstNumber)} or more",
            $"The number {number} is below the first number of the list.");
    }
}
