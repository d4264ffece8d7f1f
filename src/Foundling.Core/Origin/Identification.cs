using Foundling.Core.Tools;

namespace Foundling.Core.Origin;

/// <summary>What is known of a tool nobody has put a name to.</summary>
/// <param name="Observations">Looks taken.</param>
/// <param name="Kind">Kind of tool, when it can be said.</param>
/// <param name="Measurements">Length and iron width.</param>
public sealed record IdentificationInput(IReadOnlyList<Observation> Observations, string? Kind = null, Measurements? Measurements = null);

/// <summary>What it may be.</summary>
/// <param name="PKind">Belief per kind of tool; a line of several kinds shares its belief out evenly. What no line explains is not in it.</param>
/// <param name="PMaker">Belief per maker; <see cref="PatternLine.OtherId"/> is a maker the book does not have.</param>
/// <param name="Dating">The whole report over all candidate lines.</param>
public sealed record IdentificationResult(IReadOnlyDictionary<string, double> PKind, IReadOnlyDictionary<string, double> PMaker, DatingReport Dating)
{
    /// <summary>
    /// True when what was seen speaks against every line of the book that has such parts: little is left of the chance each had, and a maker outside it is
    /// likelier than not.
    /// </summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool FitsNothing { get; init; }
}

/// <summary>Kind, maker, size and years from dimensions and traits across every line of the book, with an honest "none of these".</summary>
public static class Identification
{
    /// <summary>Weighs all lines against one another.</summary>
    /// <param name="input">What is known.</param>
    /// <param name="book">The pattern book.</param>
    /// <param name="lookNext">How many looks to advise.</param>
    /// <param name="assumptions">The shop's assumptions.</param>
    /// <exception cref="InputException">A trait or variant the book does not have.</exception>
    public static IdentificationResult Of(IdentificationInput input, PatternBook book, Assumptions assumptions, int lookNext = 0)
    {
        Assumptions a = assumptions;
        List<PatternLine> lines = [.. input.Kind is null ? book.Lines : book.LinesFor(KindId.Of(input.Kind))];
        // A tool cannot show a look on a part its kind does not have; only a misread one.
        PatternBook weighed = book with { Lines = [.. lines.Select(l => input.Observations.Count(o => !HasPart(l, book, o)) is int foreign and > 0 ? l
            with { Share = l.Share * Math.Pow(a.SureMisread, foreign) } : l)] };
        double outside = lines.Count == 0 ? 0 : OtherMaker.ShareFor(input.Observations, book, false, a);
        DatingReport report = Dating.Report(
            new DatingInput(input.Observations, weighed, [.. lines.Select(l => l.Id)], input.Measurements, null, outside, a.OddSizeShare), lookNext: lookNext,
                assumptions: a);
        var kinds = new Dictionary<string, double>();
        var makers = new Dictionary<string, double>();
        foreach (PatternLine line in lines)
        {
            string maker = line.Maker ?? line.Id;
            makers[maker] = makers.GetValueOrDefault(maker) + report.PLine[line.Id];
            IReadOnlyList<string> of = input.Kind is null ? line.Kinds ?? [] : [input.Kind];
            foreach (string kind in of)
            {
                kinds[kind] = kinds.GetValueOrDefault(kind) + (report.PLine[line.Id] / of.Count);
            }
        }
        makers[PatternLine.OtherId] = report.PLine.Where(l => !PatternLine.IsOfBook(l.Key)).Sum(l => l.Value);
        return new IdentificationResult(kinds, makers, report)
        {
            FitsNothing = makers[PatternLine.OtherId] > 0.5 && lines.Where(l => input.Observations.All(o => HasPart(l, book, o)))
                .All(l => report.PLine[l.Id] < a.NoFitShare * (1 - outside) * l.Share / lines.Sum(x => x.Share)),
        };
    }

    private static bool HasPart(PatternLine line, PatternBook book, Observation look)
    {
        string part = look.Trait is null ? look.Part ?? "body" : book.TraitOf(look.Trait).Part;
        return PartRules.IsCore(part) || line.Kinds is not { Count: > 0 } kinds || line.Variants.ContainsKey(look.Trait ?? "")
            || kinds.Any(k => ToolCatalogue.Kind(KindId.Of(k)).Part(PartId.Of(part)) is not null);
    }
}
