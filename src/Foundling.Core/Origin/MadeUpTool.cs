namespace Foundling.Core.Origin;

/// <summary>A tool drawn from the model: its true year, the years of its parts, and what would be seen on it.</summary>
/// <param name="Year">The year it was made.</param>
/// <param name="PartYears">The year each looked-at part was made in.</param>
/// <param name="Looks">One sure observation for each trait asked for that had a form in that year.</param>
public sealed record MadeUpTool(int Year, IReadOnlyDictionary<string, int> PartYears, IReadOnlyList<Observation> Looks);

/// <summary>
/// Draws tools of one pattern line from the model of <see cref="DatingEngine"/>: variants in proportion to their share in
/// the year, small parts from stock, swapped parts of any year. For practice, tests and figures; the same seed gives the
/// same tools.
/// </summary>
public sealed class ToolMaker
{
    private readonly Assumptions _assumptions;
    private readonly PatternBook _book;
    private readonly Random _random;

    /// <summary>Prepares drawing.</summary>
    /// <param name="book">The book.</param>
    /// <param name="line">Key of the line.</param>
    /// <param name="seed">Seed of the draw.</param>
    /// <param name="assumptions">Stock and swap chances.</param>
    public ToolMaker(PatternBook book, string line, int seed, Assumptions assumptions)
    {
        (_book, Line, _random, _assumptions) = (book, book.LineOf(line), new Random(seed), assumptions);
    }

    /// <summary>The line drawn from.</summary>
    public PatternLine Line { get; }

    /// <summary>A year of production.</summary>
    public int DrawYear() => _random.Next(Line.FirstYear, Line.LastYear + 1);

    /// <summary>Some of the line's traits, in random order.</summary>
    public string[] DrawTraits(int count)
    {
        string[] traits = [.. Line.Variants.Keys];
        _random.Shuffle(traits);
        return traits[..Math.Min(count, traits.Length)];
    }

    /// <summary>One of several.</summary>
    public T DrawOne<T>(IReadOnlyList<T> from) => from[_random.Next(from.Count)];

    /// <summary>A tool whose parts are its own but for those planted.</summary>
    /// <param name="year">Its true year.</param>
    /// <param name="traits">Traits to look at.</param>
    /// <param name="planted">Parts from another year, with that year.</param>
    /// <param name="misread">Chance that a look is misread.</param>
    public MadeUpTool Draw(int year, IEnumerable<string> traits, IReadOnlyDictionary<string, int>? planted = null, double misread = 0) =>
        Draw(year, traits, part => planted is not null && planted.TryGetValue(part, out int other) ? other : year, misread);

    /// <summary>A tool whose parts may have been swapped for one of any year of the line, as the model has it.</summary>
    public MadeUpTool DrawSwapped(int year, IEnumerable<string> traits, double misread) =>
        Draw(year, traits, part => _random.NextDouble() < PartRules.SwapPrior(part, null, _assumptions) ? DrawYear() : year, misread);

    /// <summary>True when a look could not be had on a part of the tool's own year, stock counted.</summary>
    public bool Impossible(Observation look, int year) =>
        !Enumerable.Range(0, PartRules.LagYears(_book.TraitOf(look.Trait!).Part, _assumptions) + 1)
            .Any(k => Line.Variants[look.Trait!].TryGetValue(look.Variant!, out int?[]? years)
                && Trapezoid.From(years, look.Trait!).At(Math.Max(Line.FirstYear, year - k)) > 0);

    private MadeUpTool Draw(int year, IEnumerable<string> traits, Func<string, int> yearOf, double misread)
    {
        var partYears = new Dictionary<string, int>();
        var looks = new List<Observation>();
        foreach (string id in traits)
        {
            Trait trait = _book.TraitOf(id);
            if (!partYears.TryGetValue(trait.Part, out int made))
            {
                partYears[trait.Part] = made = FromStock(yearOf(trait.Part), trait.Part);
            }
            string? seen = Variant(id, made);
            if (misread > 0 && _random.NextDouble() < misread)
            {
                seen = DrawOne(trait.Variants);
            }
            if (seen is not null)
            {
                looks.Add(new Observation("o" + looks.Count, Confidence.Sure, id, seen));
            }
        }
        return new MadeUpTool(year, partYears, looks);
    }

    private string? Variant(string trait, int year)
    {
        List<(string Variant, double Share)> used = [.. Line.Variants[trait].Select(v => (v.Key, Trapezoid.From(v.Value, trait).At(year))).Where(v =>
            v.Item2 > 0)];
        double at = _random.NextDouble() * used.Sum(u => u.Share);
        foreach ((string variant, double share) in used)
        {
            at -= share;
            if (at <= 0)
            {
                return variant;
            }
        }
        return used.Count > 0 ? used[^1].Variant : null;
    }

    private int FromStock(int year, string part)
    {
        double[] weights = [.. Enumerable.Range(0, PartRules.LagYears(part, _assumptions) + 1).Select(k => Math.Pow(_assumptions.StockDecay, k))];
        double at = _random.NextDouble() * weights.Sum();
        int lag = 0;
        while (lag < weights.Length - 1 && at > weights[lag])
        {
            at -= weights[lag++];
        }
        return Math.Max(Line.FirstYear, year - lag);
    }
}
