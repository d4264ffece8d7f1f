namespace Foundling.Core.Origin;

/// <summary>
/// A maker the book does not have, who followed the habits of the trade as the candidate lines show them, and bore a mark of
/// his own or none.
/// </summary>
public sealed class OtherMaker
{
    private readonly Assumptions _assumptions;
    private readonly LineCurves[] _curves;

    /// <summary>A maker beside these lines.</summary>
    /// <param name="trade">Lines that show the habits of the trade.</param>
    /// <param name="assumptions">How far another maker followed them.</param>
    public OtherMaker(IReadOnlyList<PatternLine> trade, Assumptions assumptions)
    {
        Trade = trade;
        _assumptions = assumptions;
        _curves = [.. trade.Select(LineCurves.Of)];
        int first = Math.Max(DatingEngine.FirstYear, trade.Min(l => l.FirstYear) - assumptions.OtherYears), last = Math.Min(DatingEngine.LastYear,
            trade.Max(l => l.LastYear) + assumptions.OtherYears);
        Line = PatternLine.Other with { FirstYear = first, LastYear = last };
    }

    /// <summary>
    /// Chance before any other evidence that a maker the book does not have made a tool: high while no name or own mark was
    /// read, low once one was that the book knows, certain when a name was read that it does not.
    /// </summary>
    /// <param name="observations">Looks taken.</param>
    /// <param name="book">The pattern book.</param>
    /// <param name="strangeName">True when a maker's name was read that the book does not know.</param>
    /// <param name="assumptions">The chances.</param>
    public static double ShareFor(IEnumerable<Observation> observations, PatternBook book, bool strangeName, Assumptions assumptions) =>
        strangeName ? 1
        : observations.Any(o => o.Trait is not null && book.Traits.FirstOrDefault(t => t.Id == o.Trait) is { Own: true } mark && o.Variant != mark.None
            && o.Variant != Trait.Another) ? assumptions.UnknownShare
        : assumptions.NamelessShare;

    /// <summary>The line that stands for him.</summary>
    public PatternLine Line { get; }

    /// <summary>Lines that show the habits of the trade.</summary>
    public IReadOnlyList<PatternLine> Trade { get; }

    /// <summary>Share of his tools that show a variant, by year from <see cref="DatingEngine.FirstYear"/>.</summary>
    /// <param name="trait">The trait.</param>
    /// <param name="variant">The variant, or <see cref="Trait.Another"/>.</param>
    /// <param name="answers">How many things can be seen of it.</param>
    public double[] Share(Trait trait, string variant, int answers)
    {
        var share = new double[DatingEngine.YearCount];
        if (trait.Own)
        {
            double plain = trait.None is null ? 0 : _assumptions.OtherPlain;
            Array.Fill(share, variant == Trait.Another ? 1 - plain : variant == trait.None ? plain : 0);
            return share;
        }
        double even = 1.0 / answers;
        double[] mean = Blurred(Mean(trait, variant, even));
        for (int i = 0; i < share.Length; i++)
        {
            share[i] = (_assumptions.OtherTrade * mean[i]) + ((1 - _assumptions.OtherTrade) * even);
        }
        return share;
    }

    /// <summary>
    /// What the lines nearest in time that know a trait show of a variant, by year: those in production then, else those that began next or ended last,
    /// each at its nearest year.
    /// </summary>
    private double[] Mean(Trait trait, string variant, double even)
    {
        var mean = new double[DatingEngine.YearCount];
        List<(double[]? Shares, bool[] Says, int First, int Last)> known = [];
        for (int l = 0; l < Trade.Count; l++)
        {
            (double[]? shares, bool[]? says) = _curves[l].Share(trait.Id, variant);
            if (says is not null)
            {
                known.Add((shares, says, Math.Max(DatingEngine.FirstYear, Trade[l].FirstYear) - DatingEngine.FirstYear,
                    Math.Min(DatingEngine.LastYear, Trade[l].LastYear) - DatingEngine.FirstYear));
            }
        }
        for (int year = 0; year < mean.Length; year++)
        {
            if (known.Count == 0)
            {
                mean[year] = even;
                continue;
            }
            (int nearest, int count, double sum) = (int.MaxValue, 0, 0);
            foreach ((double[]? shares, bool[] says, int first, int last) in known)
            {
                int at = Math.Clamp(year, first, last), away = Math.Abs(at - year);
                double shown = says[at] ? shares?[at] ?? 0 : even;
                if (away < nearest)
                {
                    (nearest, count, sum) = (away, 1, shown);
                }
                else if (away == nearest)
                {
                    (count, sum) = (count + 1, sum + shown);
                }
            }
            mean[year] = sum / count;
        }
        return mean;
    }

    /// <summary>Another maker took a habit up before or after these: the mean over the years round each, the ends of the years carried on.</summary>
    private double[] Blurred(double[] mean)
    {
        int reach = _assumptions.OtherHabitYears;
        var blurred = new double[mean.Length];
        double all = (double)(reach + 1) * (reach + 1);
        for (int year = 0; year < mean.Length; year++)
        {
            double sum = 0;
            for (int k = -reach; k <= reach; k++)
            {
                sum += (reach + 1 - Math.Abs(k)) * mean[Math.Clamp(year + k, 0, mean.Length - 1)];
            }
            blurred[year] = sum / all;
        }
        return blurred;
    }

    /// <summary>
    /// Chance of each year before any evidence, from <see cref="DatingEngine.FirstYear"/>: mostly as the candidates' own years, so that breadth of years alone
    /// does not speak against him, and a little for every year there may have been.
    /// </summary>
    /// <param name="candidates">The chance of each year by the candidates alone.</param>
    public double[] Years(double[] candidates)
    {
        double like = _assumptions.OtherLikeCandidates, flat = (1 - like) / (Line.LastYear - Line.FirstYear + 1);
        return [.. candidates.Select((chance, i) => (like * chance)
            + (i + DatingEngine.FirstYear >= Line.FirstYear && i + DatingEngine.FirstYear <= Line.LastYear ? flat : 0))];
    }
}
