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
        EntropyBits = Entropy(Joint);
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

    private static double Entropy(double[] weights)
    {
        // Hypotheses below one in 10^18 change nothing in fifteen digits.
        const double Negligible = 1e-18;
        double sum = 0, plogp = 0;
        foreach (double w in weights)
        {
            if (w > Negligible)
            {
                sum += w;
                plogp += w * Math.Log(w);
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
            foreach (double[] more in same.Skip(1).Select(_engine.Likelihood))
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
        .Select((line, l) => (line.Id, P: Joint.AsSpan(l * DatingEngine.YearCount, DatingEngine.YearCount).ToArray().Sum()))
        .ToDictionary(x => x.Id, x => x.P);

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

    /// <summary>What a further look would tell: expected bits for each trait not yet seen, best per minute first.</summary>
    public IReadOnlyList<NextLook> LookNext(int most = int.MaxValue)
    {
        double misread = _engine.Misread(Confidence.Likely);
        HashSet<string> seen = [.. _observations.Where(o => o.Trait is not null).Select(o => o.Trait!)];
        var looks = new List<NextLook>();
        var weights = new double[Joint.Length];
        foreach (Trait trait in _engine.Book.Traits)
        {
            if (seen.Contains(trait.Id) || !Enumerable.Range(0, _engine.Lines.Count).Any(l => _engine.Knows(l, trait.Id)))
            {
                continue;
            }
            _parts.TryGetValue(trait.Part, out PartEvidence? now);
            double after = 0;
            foreach (string variant in trait.Variants)
            {
                double[] likelihood = _engine.Likelihood(new Observation("", Confidence.Likely, trait.Id, variant));
                if (now is not null)
                {
                    for (int i = 0; i < likelihood.Length; i++)
                    {
                        likelihood[i] *= now.Likelihood[i];
                    }
                }
                double[] factor = _engine.Factor(likelihood, trait.Part, out _, out _);
                double p = 0;
                foreach ((int first, int last) in _engine.Spans)
                {
                    for (int i = first; i <= last; i++)
                    {
                        weights[i] = Joint[i] <= 0 ? 0 : Joint[i] * factor[i] / (now?.Factor[i] ?? 1);
                        p += weights[i];
                    }
                }
                after += p * Entropy(weights);
            }
            double bits = EntropyBits - after;
            if (bits >= 1e-6)
            {
                double minutes = _engine.MinutesFor(trait.Effort);
                looks.Add(new NextLook(trait.Id, bits, minutes, bits / minutes));
            }
        }
        return [.. looks.OrderByDescending(l => l.BitsPerMinute).ThenBy(l => l.Trait, StringComparer.Ordinal).Take(most)];
    }
}

/// <summary>A look not yet taken.</summary>
/// <param name="Trait">What to look at.</param>
/// <param name="Bits">Expected information over line and year, bits.</param>
/// <param name="Minutes">What the look costs.</param>
/// <param name="BitsPerMinute">One over the other.</param>
public sealed record NextLook(string Trait, double Bits, double Minutes, double BitsPerMinute);
