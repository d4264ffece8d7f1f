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
        var known = new int[DatingEngine.YearCount];
        for (int l = 0; l < Trade.Count; l++)
        {
            (double[]? shares, bool[]? says) = _curves[l].Share(trait.Id, variant);
            if (says is null)
            {
                continue;
            }
            int from = Math.Max(DatingEngine.FirstYear, Trade[l].FirstYear), to = Math.Min(DatingEngine.LastYear, Trade[l].LastYear);
            for (int i = from - DatingEngine.FirstYear; i <= to - DatingEngine.FirstYear; i++)
            {
                known[i]++;
                share[i] += says[i] ? shares?[i] ?? 0 : even;
            }
        }
        for (int i = 0; i < share.Length; i++)
        {
            share[i] = (_assumptions.OtherTrade * (known[i] == 0 ? even : share[i] / known[i])) + ((1 - _assumptions.OtherTrade) * even);
        }
        return share;
    }
}
