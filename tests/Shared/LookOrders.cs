using Foundling.Core;
using Foundling.Core.Origin;
namespace Foundling.Shared;

/// <summary>Counts how many looks a way of choosing them takes to date a made-up tool.</summary>
public static class LookOrders
{
    /// <summary>Looks until nine tenths of the belief lie within a span, or all looks when that is never reached.</summary>
    /// <param name="book">The book.</param>
    /// <param name="line">Key of the line the tool is of.</param>
    /// <param name="tool">The tool.</param>
    /// <param name="next">Traits in the order of preference, given what was seen.</param>
    /// <param name="spanYears">Span aimed at, years.</param>
    public static int Needed(PatternBook book, string line, MadeUpTool tool, Func<IReadOnlyList<Observation>, IEnumerable<string>> next, int spanYears = 10)
    {
        var all = tool.Looks.ToDictionary(o => o.Trait!);
        var seen = new List<Observation>();
        while (seen.Count < all.Count)
        {
            DatingReport report = Dating.Report(new DatingInput(seen, book, [line]), Assumptions.Standard);
            if (report.Interval90[1] - report.Interval90[0] + 1 <= spanYears)
            {
                break;
            }
            string? trait = next(seen).FirstOrDefault(t => all.ContainsKey(t) && seen.All(o => o.Trait != t));
            if (trait is null)
            {
                return all.Count;
            }
            seen.Add(all[trait]);
        }
        return seen.Count;
    }

    /// <summary>The order the advice gives: most bits first.</summary>
    public static IEnumerable<string> Advised(PatternBook book, string line, IReadOnlyList<Observation> seen) =>
        Dating.Report(new DatingInput(seen, book, [line]), Assumptions.Standard, lookNext: int.MaxValue).LookNext!.OrderByDescending(l => l.Bits)
            .Select(l => l.Trait);

    /// <summary>
    /// Fixed orders worth beating: as the book lists them, the other way round, by effort, by what each tells on its own,
    /// and some at random.
    /// </summary>
    public static IReadOnlyList<(string Name, string[] Order)> Fixed(PatternBook book, string line, int random, int seed)
    {
        string[] listed = [.. book.LineOf(line).Variants.Keys];
        var maker = new ToolMaker(book, line, seed, Assumptions.Standard);
        return
        [
            ("as listed", listed), ("listed backwards", [.. listed.Reverse()]), ("by effort", [.. listed.OrderBy(t => book.TraitOf(t).Effort)]),
            ("most telling first", [.. Advised(book, line, [])]),
            .. Enumerable.Range(1, random).Select(i => ($"random {i}", maker.DrawTraits(listed.Length))),
        ];
    }
}
