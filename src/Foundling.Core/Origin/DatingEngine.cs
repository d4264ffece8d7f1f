namespace Foundling.Core.Origin;

/// <summary>What dating a tool needs.</summary>
/// <param name="Observations">Evidence in the order it was entered.</param>
/// <param name="PatternBook">The book to date by.</param>
/// <param name="CandidateLines">Lines that may be meant; none means the unknown line.</param>
/// <param name="Measurements">Measured length and iron width.</param>
/// <param name="Kinship">Looks at wedge and iron together.</param>
/// <param name="OtherShare">Chance before any evidence that a maker the book does not have made it; 0 leaves that out, 1 leaves the candidates out but for the
/// habits of the trade.</param>
/// <param name="OddSizeShare">Chance before any measurement that its size is none of those listed; 0 leaves that out.</param>
public sealed record DatingInput(
    IReadOnlyList<Observation> Observations,
    PatternBook PatternBook,
    IReadOnlyList<string> CandidateLines,
    Measurements? Measurements = null,
    Kinship? Kinship = null,
    double OtherShare = 0,
    double OddSizeShare = 0);

/// <summary>Measured sizes, mm.</summary>
public sealed record Measurements(double? LengthMm = null, double? IronWidthMm = null);

/// <summary>
/// Exact inference over pattern line and year. Every hypothesis is a line with a year of 1800 to 2000; parts may
/// have been made ahead of the tool or swapped from another one. Works in log space.
/// </summary>
public sealed class DatingEngine
{
    /// <summary>First year considered.</summary>
    public const int FirstYear = 1800;

    /// <summary>Last year considered.</summary>
    public const int LastYear = 2000;

    internal const int YearCount = LastYear - FirstYear + 1;

    private readonly Assumptions _assumptions;
    private readonly PatternBook _book;
    private readonly Dictionary<string, Trait> _traits;
    private readonly LineCurves[] _curves;
    private readonly OtherMaker? _other;
    private readonly Dictionary<(PatternLine, int, int), double> _tradeSizes = [];
    private readonly DatingInput _input;

    /// <summary>Prepares the hypotheses.</summary>
    /// <exception cref="InputException">A line, trait or variant the book does not have; years out of order.</exception>
    public DatingEngine(DatingInput input, Assumptions assumptions)
    {
        _input = input;
        _assumptions = assumptions;
        _book = input.PatternBook;
        _traits = [];
        foreach (Trait trait in _book.Traits)
        {
            _traits[trait.Id] = trait;
        }
        List<PatternLine> candidates = input.CandidateLines.Count == 0 ? [PatternLine.Unknown] : [.. input.CandidateLines.Distinct().Select(_book.LineOf)];
        double other = Check.Within(input.OtherShare, 0, 1, "other_share");
        Check.Within(input.OddSizeShare, 0, 0.999, "odd_size_share");
        _other = other > 0 && input.CandidateLines.Count > 0 ? new OtherMaker(candidates, _assumptions) : null;
        Lines = _other is null ? candidates : other >= 1 ? [_other.Line] : [.. candidates, _other.Line];
        _curves = [.. Lines.Select(LineCurves.Of)];
        double shares = candidates.Sum(l => Check.Positive(l.Share));
        Spans = new (int, int)[Lines.Count];
        Prior = new double[Lines.Count * YearCount];
        LogPrior = new double[Lines.Count * YearCount];
        Array.Fill(LogPrior, double.NegativeInfinity);
        for (int l = 0; l < Lines.Count; l++)
        {
            int from = Math.Max(FirstYear, Lines[l].FirstYear), to = Math.Min(LastYear, Lines[l].LastYear);
            if (from > to)
            {
                throw new InputException("years_out_of_order", "last_year", Lines[l].LastYear,
                    $"{Lines[l].FirstYear} or later, within {FirstYear} to {LastYear}",
                    $"The line {Lines[l].Title} ends before it begins.");
            }
            Spans[l] = (Index(l, from), Index(l, to));
            if (_other is not null && Lines[l] == _other.Line)
            {
                double[] years = _other.Years(ByYear(candidates, shares));
                for (int year = from; year <= to; year++)
                {
                    Set(l, year, other * years[year - FirstYear]);
                }
                continue;
            }
            for (int year = from; year <= to; year++)
            {
                Set(l, year, Lines[l].Share / shares * (_other is null ? 1 : 1 - other) / (to - from + 1));
            }
        }
    }

    private void Set(int line, int year, double prior)
    {
        Prior[Index(line, year)] = prior;
        LogPrior[Index(line, year)] = Math.Log(prior);
    }

    /// <summary>The chance of each year by the lines alone, each line's share spread evenly over its production.</summary>
    private static double[] ByYear(IEnumerable<PatternLine> lines, double shares)
    {
        var years = new double[YearCount];
        foreach (PatternLine line in lines)
        {
            int from = Math.Max(FirstYear, line.FirstYear), to = Math.Min(LastYear, line.LastYear);
            for (int year = from; year <= to; year++)
            {
                years[year - FirstYear] += line.Share / shares / (to - from + 1);
            }
        }
        return years;
    }

    /// <summary>The candidate lines.</summary>
    public IReadOnlyList<PatternLine> Lines { get; }

    internal double[] LogPrior { get; }

    /// <summary>For each line the first and last place that can hold belief; nothing is reckoned elsewhere.</summary>
    internal (int First, int Last)[] Spans { get; }

    internal double[] Prior { get; }

    internal static int Index(int line, int year) => (line * YearCount) + year - FirstYear;

    internal Assumptions Assumptions => _assumptions;

    internal PatternBook Book => _book;

    internal Trapezoid? YearsOf(int line, string trait, string variant) => _curves[line].Years(trait, variant);

    internal bool Knows(int line, string trait) => _curves[line].Knows(trait);

    /// <summary>The trait of an observation, checked against the book.</summary>
    internal Trait TraitOf(Observation o)
    {
        if (o.Trait is null)
        {
            throw new InputException("required", "trait", o.Id, "a trait with its variant, or a mark",
                "Each observation needs a trait with its variant, or a mark.");
        }
        Trait trait = _traits.TryGetValue(o.Trait, out Trait? found) ? found : _book.TraitOf(o.Trait);
        return Answers(trait).Contains(o.Variant) ? trait : throw new InputException("unknown_variant", "variant", o.Variant,
            string.Join(", ", trait.Variants), $"\"{trait.Title}\" has no variant \"{o.Variant}\".");
    }

    /// <summary>What can be seen of a trait: its variants, and of a maker's own mark, where other makers count, another one.</summary>
    internal IReadOnlyList<string> Answers(Trait trait) => _other is not null ? trait.Answers : trait.Variants;

    /// <summary>The part an observation speaks of.</summary>
    internal string PartOf(Observation o) => o.Trait is null ? o.Part ?? "body" : TraitOf(o).Part;

    /// <summary>How far a variant, its share and its likelihood hold in one year of one line.</summary>
    internal (double Mu, double Share, bool Says, double Likelihood) Probe(int line, Trait trait, string variant, int year, double misread)
    {
        Check.Within(year, FirstYear, LastYear);
        double even = 1.0 / trait.Variants.Count;
        (double[]? shares, bool[]? says) = _curves[line].Share(trait.Id, variant);
        double mu = YearsOf(line, trait.Id, variant)?.At(year) ?? 0;
        if (says?[year - FirstYear] != true)
        {
            return (mu, even, false, even);
        }
        double share = shares?[year - FirstYear] ?? 0;
        return (mu, share, true, ((1 - misread) * share) + (misread * even));
    }

    internal double Misread(Confidence confidence, bool soft = false)
    {
        double eps = confidence switch
        {
            Confidence.Sure => _assumptions.SureMisread,
            Confidence.Likely => _assumptions.LikelyMisread,
            _ => _assumptions.UnsureMisread,
        };
        return soft ? Math.Max(eps, _assumptions.SoftMisread) : eps;
    }

    private double MarkLikelihood(Observation o, int year)
    {
        double eps = Misread(o.Confidence, o.Soft);
        (int? first, int? last) = o.MarkWindow(_assumptions);
        double f = (first is null || year >= first) && (last is null || year <= last) ? 1 : 0;
        if (f > 0 && o.Mark == MarkKind.PatentGranted)
        {
            double past = year - o.IssueYear!.Value - _assumptions.PatentTermYears;
            f = past <= 0 ? 1 : Math.Max(_assumptions.PatentHabitFloor, Math.Pow(0.5, past / _assumptions.PatentHabitHalfLifeYears));
        }
        return eps + ((1 - (2 * eps)) * f);
    }

    /// <summary>Likelihood of one observation over all hypotheses, before stock and swaps.</summary>
    /// <param name="o">The observation.</param>
    /// <param name="into">Where it is written, so that many can be weighed without filling memory; null for a new array.</param>
    internal double[] Likelihood(Observation o, double[]? into = null)
    {
        double[] result = into ?? new double[LogPrior.Length];
        if (o.Mark is not null)
        {
            // A mark says the same about every line.
            double[] years = [.. Enumerable.Range(FirstYear, YearCount).Select(year => MarkLikelihood(o, year))];
            for (int l = 0; l < Lines.Count; l++)
            {
                (int from, int to) = Spans[l];
                Array.Copy(years, from - (l * YearCount), result, from, to - from + 1);
            }
            return result;
        }
        Trait trait = TraitOf(o);
        int answers = Answers(trait).Count;
        double misread = Misread(o.Confidence), even = 1.0 / answers;
        for (int l = 0; l < Lines.Count; l++)
        {
            if (_other is not null && Lines[l] == _other.Line)
            {
                (int from, int to) = Spans[l];
                double[] trade = _other.Share(trait, o.Variant!, answers);
                for (int i = from; i <= to; i++)
                {
                    result[i] = ((1 - misread) * trade[i - (l * YearCount)]) + (misread * even);
                }
                continue;
            }
            (double[]? shares, bool[]? says) = _curves[l].Share(trait.Id, o.Variant!);
            int at = l * YearCount;
            (int first, int last) = Spans[l];
            if (says is null)
            {
                Array.Fill(result, even, first, last - first + 1);
                continue;
            }
            for (int i = first - at; i <= last - at; i++)
            {
                result[at + i] = says[i] ? ((1 - misread) * (shares is null ? 0 : shares[i])) + (misread * even) : even;
            }
        }
        return result;
    }

    /// <summary>A part's factor: its evidence, lagged by stock, mixed with the chance that it was swapped.</summary>
    /// <param name="likelihood">Its evidence over all hypotheses.</param>
    /// <param name="part">The part.</param>
    /// <param name="swappedMean">What the evidence says of a part from any tool.</param>
    /// <param name="lagged">The evidence with the years a part may have lain.</param>
    /// <param name="room">Where the lagged evidence and the factor are written; null for new arrays.</param>
    internal double[] Factor(double[] likelihood, string part, out double swappedMean, out double[] lagged, (double[] Lagged, double[] Factor)? room = null)
    {
        int lag = PartRules.LagYears(part, _assumptions);
        double swap = PartRules.SwapPrior(part, _input.Kinship, _assumptions);
        if (lag == 0)
        {
            lagged = likelihood;
        }
        else
        {
            lagged = room?.Lagged ?? new double[likelihood.Length];
            double total = Enumerable.Range(0, lag + 1).Sum(k => Math.Pow(_assumptions.StockDecay, k));
            double[] weights = [.. Enumerable.Range(0, lag + 1).Select(k => Math.Pow(_assumptions.StockDecay, k) / total)];
            for (int l = 0; l < Lines.Count; l++)
            {
                (int first, int last) = Spans[l];
                for (int at = first; at <= last; at++)
                {
                    double sum = 0;
                    for (int k = 0; k <= lag; k++)
                    {
                        sum += weights[k] * likelihood[Math.Max(at - k, first)];
                    }
                    lagged[at] = sum;
                }
            }
        }
        swappedMean = 0;
        foreach ((int first, int last) in Spans)
        {
            for (int i = first; i <= last; i++)
            {
                swappedMean += Prior[i] * lagged[i];
            }
        }
        double[] factor = room?.Factor ?? new double[lagged.Length];
        foreach ((int first, int last) in Spans)
        {
            for (int i = first; i <= last; i++)
            {
                factor[i] = ((1 - swap) * lagged[i]) + (swap * swappedMean);
            }
        }
        return factor;
    }

    /// <summary>Density of the measurements for each size of a line in a year, equally likely before.</summary>
    internal IReadOnlyList<(LineSize? Size, double Weight)> SizeWeights(int line, int year)
    {
        double Density(double? nominal, double? measured, double sigma)
        {
            if (measured is not double x)
            {
                return 1;
            }
            double slip = 1 / (20 * sigma);
            return nominal is not double n
                ? slip
                : ((1 - _assumptions.RuleSlip) * Math.Exp(-(x - n) * (x - n) / (2 * sigma * sigma)) / (sigma * Math.Sqrt(2 * Math.PI)))
                    + (_assumptions.RuleSlip * slip);
        }
        double Of(LineSize? size) =>
            Density(size?.LengthMm, _input.Measurements?.LengthMm, _assumptions.LengthSigmaMm)
            * Density(size?.IronWidthMm, _input.Measurements?.IronWidthMm, _assumptions.IronWidthSigmaMm);

        // Where a size is none of those listed, any size is as likely as any other.
        double Flat() => (_input.Measurements?.LengthMm is null ? 1 : 1 / _assumptions.FlatLengthMm) * (_input.Measurements?.IronWidthMm is null ? 1
            : 1 / _assumptions.FlatIronWidthMm);
        IReadOnlyList<(LineSize? Size, double Weight)> OfLine(PatternLine of)
        {
            IReadOnlyList<LineSize> all = of.SizesOrNone;
            if (all.Count == 0)
            {
                return [(null, Of(null))];
            }
            List<LineSize> made = [.. all.Where(s => (s.FirstYear ?? int.MinValue) <= year && year <= (s.LastYear ?? int.MaxValue))];
            IReadOnlyList<LineSize> counted = made.Count > 0 ? made : all;
            double listed = 1 - _input.OddSizeShare;
            IEnumerable<(LineSize?, double)> sizes = counted.Select(s => ((LineSize?)s, listed * Of(s) / counted.Count));
            return _input.OddSizeShare > 0 ? [.. sizes, (LineSize.NotInBook, _input.OddSizeShare * Flat())] : [.. sizes];
        }
        if (_other is null || Lines[line] != _other.Line)
        {
            return OfLine(Lines[line]);
        }
        List<double> trade = [.. _other.Trade.Where(l => l.SizesOrNone.Count > 0 && l.FirstYear <= year && year <= l.LastYear).Select(l => OfTrade(l))];
        double OfTrade(PatternLine l)
        {
            // The sizes made change in few years only, so what they say together is reckoned once for each set of them.
            var made = (l, l.SizesOrNone.Count(s => (s.FirstYear ?? int.MinValue) <= year), l.SizesOrNone.Count(s => (s.LastYear ?? int.MaxValue) < year));
            return _tradeSizes.TryGetValue(made, out double sum) ? sum : _tradeSizes[made] = OfLine(l).Sum(s => s.Weight);
        }
        return [(null, _other.Trade.All(l => l.SizesOrNone.Count == 0) ? Of(null) : trade.Count == 0 ? Flat()
            : (_assumptions.OtherSize * trade.Average()) + ((1 - _assumptions.OtherSize) * Flat()))];
    }

    /// <summary>True when a size may be none of those listed.</summary>
    internal bool CountsOddSizes => _input.OddSizeShare > 0;

    internal double SwapPriorOf(string part) => PartRules.SwapPrior(part, _input.Kinship, _assumptions);

    /// <summary>What a look costs in minutes.</summary>
    internal double MinutesFor(LookEffort effort) => effort switch
    {
        LookEffort.Glance => _assumptions.GlanceMinutes,
        LookEffort.Lens => _assumptions.LensMinutes,
        LookEffort.CapOff => _assumptions.CapOffMinutes,
        _ => _assumptions.StripMinutes,
    };

    /// <summary>Weighs all evidence.</summary>
    public DatingPosterior Weigh() => DatingPosterior.Of(this, _input.Observations, _input.Measurements is { } m && (m.LengthMm ?? m.IronWidthMm) is not null);
}
