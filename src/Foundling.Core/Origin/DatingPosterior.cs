namespace Foundling.Core.Origin;

/// <summary>Belief over lines and years after the evidence, with each part's share in it.</summary>
public sealed class DatingPosterior
{
    private readonly DatingEngine _engine;
    private readonly IReadOnlyList<Observation> _observations;
    private readonly Dictionary<string, PartEvidence> _parts;
    private readonly double[] _logSize;

    private sealed record PartEvidence(double[] Likelihood, double[] Factor, double[] Lagged, double SwappedMean);

    private DatingPosterior(DatingEngine engine, IReadOnlyList<Observation> observations, Dictionary<string, PartEvidence> parts, double[] logSize)
    {
        _engine = engine;
        _observations = observations;
        _parts = parts;
        _logSize = logSize;
        Joint = Normalise(engine, observations.Count, parts, logSize);
        EntropyBits = Entropy(Joint, engine.Spans);
        ByYear = new double[DatingEngine.YearCount];
        for (int i = 0; i < Joint.Length; i++)
        {
            ByYear[i % DatingEngine.YearCount] += Joint[i];
        }
    }

    /// <summary>Probability of each line and year, line by line.</summary>
    public double[] Joint { get; }

    /// <summary>Probability of each year from <see cref="DatingEngine.FirstYear"/>.</summary>
    public double[] ByYear { get; }

    /// <summary>Uncertainty over line and year together, bits.</summary>
    public double EntropyBits { get; }

    /// <summary>Parts with evidence, in the order they were first looked at.</summary>
    public IEnumerable<string> Parts => _parts.Keys;

    internal static DatingPosterior Of(DatingEngine engine, IReadOnlyList<Observation> observations, bool measured)
    {
        var likelihoods = new Dictionary<string, double[]>();
        foreach (Observation o in observations)
        {
            double[] one = engine.Likelihood(o);
            string part = engine.PartOf(o);
            if (likelihoods.TryGetValue(part, out double[]? before))
            {
                for (int i = 0; i < one.Length; i++)
                {
                    one[i] *= before[i];
                }
            }
            likelihoods[part] = one;
        }
        var parts = likelihoods.ToDictionary(p => p.Key, p => Evidence(engine, p.Key, p.Value));
        var logSize = new double[engine.LogPrior.Length];
        if (measured)
        {
            for (int l = 0; l < engine.Lines.Count; l++)
            {
                for (int year = DatingEngine.FirstYear; year <= DatingEngine.LastYear; year++)
                {
                    logSize[DatingEngine.Index(l, year)] = Math.Log(engine.SizeWeights(l, year).Sum(s => s.Weight));
                }
            }
        }
        return new DatingPosterior(engine, observations, parts, logSize);
    }

    private static PartEvidence Evidence(DatingEngine engine, string part, double[] likelihood)
    {
        double[] factor = engine.Factor(likelihood, part, out double mean, out double[] lagged);
        return new PartEvidence(likelihood, factor, lagged, mean);
    }

    private static double[] Normalise(DatingEngine engine, int observations, Dictionary<string, PartEvidence> parts, double[] logSize)
    {
        // Factors are multiplied as they are and turned into a logarithm before the product can underflow.
        const double Small = 1e-150;
        var log = new double[engine.LogPrior.Length];
        double[][] factors = [.. parts.Values.Select(p => p.Factor)];
        double top = double.NegativeInfinity;
        for (int i = 0; i < log.Length; i++)
        {
            log[i] = engine.LogPrior[i] + logSize[i];
            if (log[i] == double.NegativeInfinity)
            {
                continue;
            }
            double product = 1;
            foreach (double[] factor in factors)
            {
                product *= factor[i];
                if (product < Small)
                {
                    log[i] += Math.Log(product);
                    product = 1;
                }
            }
            log[i] += Math.Log(product);
            top = Math.Max(top, log[i]);
        }
        double sum = 0;
        if (top == double.NegativeInfinity)
        {
            throw new InputException("no_belief_left", "observations", observations, "evidence that some year can bear",
                "This evidence leaves no year at all: more of it contradicts itself than numbers can hold. Take some of it back.");
        }
        for (int i = 0; i < log.Length; i++)
        {
            log[i] = Math.Exp(log[i] - top);
            sum += log[i];
        }
        for (int i = 0; i < log.Length; i++)
        {
            log[i] /= sum;
        }
        return log;
    }

    private static double Entropy(double[] weights, (int First, int Last)[] spans)
    {
        // Hypotheses below one in 10^18 change nothing in fifteen digits.
        const double Negligible = 1e-18;
        double sum = 0, plogp = 0;
        foreach ((int first, int last) in spans)
        {
            for (int i = first; i <= last; i++)
            {
                double w = weights[i];
                if (w > Negligible)
                {
                    sum += w;
                    plogp += w * Math.Log(w);
                }
            }
        }
        return sum <= 0 ? 0 : (Math.Log(sum) - (plogp / sum)) / Math.Log(2);
    }

    /// <summary>The same evidence with one observation left out.</summary>
    public DatingPosterior Without(string observationId)
    {
        List<Observation> kept = [.. _observations.Where(o => o.Id != observationId)];
        Observation left = _observations.First(o => o.Id == observationId);
        string part = _engine.PartOf(left);
        var parts = new Dictionary<string, PartEvidence>(_parts);
        List<Observation> same = [.. kept.Where(o => _engine.PartOf(o) == part)];
        if (same.Count == 0)
        {
            parts.Remove(part);
        }
        else
        {
            double[] likelihood = _engine.Likelihood(same[0]);
            foreach (double[] more in same.Skip(1).Select(o => _engine.Likelihood(o)))
            {
                for (int i = 0; i < likelihood.Length; i++)
                {
                    likelihood[i] *= more[i];
                }
            }
            parts[part] = Evidence(_engine, part, likelihood);
        }
        return new DatingPosterior(_engine, kept, parts, _logSize);
    }

    /// <summary>Chance that a part came from another tool.</summary>
    public double Swapped(string part)
    {
        PartEvidence evidence = _parts[part];
        double swap = SwapPrior(part), sum = 0;
        for (int i = 0; i < Joint.Length; i++)
        {
            sum += Joint[i] <= 0 ? 0 : Joint[i] * swap * evidence.SwappedMean / evidence.Factor[i];
        }
        return sum;
    }

    /// <summary>Chance of a swap before the evidence, with the kinship looks counted.</summary>
    public double SwapPrior(string part) => _engine.SwapPriorOf(part);

    /// <summary>Probability of each candidate line.</summary>
    public IReadOnlyDictionary<string, double> ByLine() => _engine.Lines
        .Select((line, l) => (line.Id, P: MassOf(l)))
        .ToDictionary(x => x.Id, x => x.P);

    private double MassOf(int line)
    {
        double sum = 0;
        for (int i = _engine.Spans[line].First; i <= _engine.Spans[line].Last; i++)
        {
            sum += Joint[i];
        }
        return sum;
    }

    /// <summary>Probability of each size as <c>line/size</c>; empty for lines without sizes.</summary>
    public IReadOnlyDictionary<string, double> BySize()
    {
        var result = new Dictionary<string, double>();
        for (int l = 0; l < _engine.Lines.Count; l++)
        {
            if (_engine.Lines[l].SizesOrNone.Count == 0)
            {
                continue;
            }
            foreach (LineSize size in _engine.Lines[l].SizesOrNone)
            {
                result[$"{_engine.Lines[l].Id}/{size.Id}"] = 0;
            }
            if (_engine.CountsOddSizes)
            {
                result[$"{_engine.Lines[l].Id}/{LineSize.NotInBook.Id}"] = 0;
            }
            for (int year = DatingEngine.FirstYear; year <= DatingEngine.LastYear; year++)
            {
                double p = Joint[DatingEngine.Index(l, year)];
                if (p <= 0)
                {
                    continue;
                }
                IReadOnlyList<(LineSize? Size, double Weight)> weights = _engine.SizeWeights(l, year);
                double sum = weights.Sum(w => w.Weight);
                if (sum <= 0)
                {
                    continue;
                }
                foreach ((LineSize? size, double weight) in weights)
                {
                    if (size is not null)
                    {
                        result[$"{_engine.Lines[l].Id}/{size.Id}"] += p * weight / sum;
                    }
                }
            }
        }
        return result;
    }

    /// <summary>Belief with a part's own evidence taken out again, not scaled to one.</summary>
    private double[] WithoutPart(PartEvidence? now)
    {
        if (now is null)
        {
            return Joint;
        }
        var without = new double[Joint.Length];
        foreach ((int first, int last) in _engine.Spans)
        {
            for (int i = first; i <= last; i++)
            {
                without[i] = Joint[i] <= 0 ? 0 : Joint[i] / now.Factor[i];
            }
        }
        return without;
    }

    /// <summary>What a further look would tell: expected bits for each trait not yet seen, best per minute first.</summary>
    public IReadOnlyList<NextLook> LookNext(int most = int.MaxValue)
    {
        HashSet<string> seen = [.. _observations.Where(o => o.Trait is not null).Select(o => o.Trait!)];
        Trait[] open = [.. _engine.Book.Traits.Where(t => !seen.Contains(t.Id) && Enumerable.Range(0, _engine.Lines.Count).Any(l => _engine.Knows(l, t.Id)))];
        var withoutPart = open.Select(t => t.Part).Distinct().ToDictionary(p => p, p => WithoutPart(_parts.GetValueOrDefault(p)));
        var bits = new double[open.Length];
        // Traits say nothing of one another, so they are weighed side by side; each worker has room of its own.
        Parallel.For(0, open.Length, () => new Room(Joint.Length), (i, _, room) =>
        {
            bits[i] = EntropyBits - ExpectedEntropy(open[i], withoutPart[open[i].Part], room);
            return room;
        }, _ => { });
        return [.. open.Select((t, i) => (Trait: t, Bits: bits[i], Minutes: _engine.MinutesFor(t.Effort))).Where(l => l.Bits >= 1e-6)
            .Select(l => new NextLook(l.Trait.Id, l.Bits, l.Minutes, l.Bits / l.Minutes))
            .OrderByDescending(l => l.BitsPerMinute).ThenBy(l => l.Trait, StringComparer.Ordinal).Take(most)];
    }

    private sealed record Room(double[] Likelihood, double[] Lagged, double[] Factor, double[] Weights)
    {
        public Room(int length)
            : this(new double[length], new double[length], new double[length], new double[length])
        {
        }
    }

    /// <summary>Uncertainty left after a look at a trait, over what it may show, bits.</summary>
    private double ExpectedEntropy(Trait trait, double[] without, Room room)
    {
        double[]? before = _parts.GetValueOrDefault(trait.Part)?.Likelihood;
        double after = 0;
        foreach (string variant in _engine.Answers(trait))
        {
            double[] likelihood = _engine.Likelihood(new Observation("", Confidence.Likely, trait.Id, variant), room.Likelihood);
            if (before is not null)
            {
                foreach ((int first, int last) in _engine.Spans)
                {
                    for (int i = first; i <= last; i++)
                    {
                        likelihood[i] *= before[i];
                    }
                }
            }
            double[] factor = _engine.Factor(likelihood, trait.Part, out _, out _, (room.Lagged, room.Factor));
            double p = 0;
            foreach ((int first, int last) in _engine.Spans)
            {
                for (int i = first; i <= last; i++)
                {
                    double weight = without[i] * factor[i];
                    room.Weights[i] = weight;
                    p += weight;
                }
            }
            after += p * Entropy(room.Weights, _engine.Spans);
        }
        return after;
    }
}

/// <summary>A look not yet taken.</summary>
/// <param name="Trait">What to look at.</param>
/// <param name="Bits">Expected information over line and year, bits.</param>
/// <param name="Minutes">What the look costs.</param>
/// <param name="BitsPerMinute">One over the other.</param>
public sealed record NextLook(string Trait, double Bits, double Minutes, double BitsPerMinute);
