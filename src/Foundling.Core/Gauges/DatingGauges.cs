using Foundling.Core.Origin;

namespace Foundling.Core.Gauges;

/// <summary>A dating question as the open format puts it; the shop's own book stands in when none is sent.</summary>
public sealed record DateToolInput(
    IReadOnlyList<Observation> Observations,
    IReadOnlyList<string>? CandidateLines = null,
    PatternBook? PatternBook = null,
    Measurements? Measurements = null,
    Kinship? Kinship = null,
    bool ReportWeights = false,
    int ReportLookNext = 0,
    IReadOnlyList<int>? ReportYears = null,
    double OtherShare = 0,
    double OddSizeShare = 0);

/// <summary>One place on a variant's curve.</summary>
public sealed record Probe(string Line, string Trait, string Variant, int Year, Confidence Confidence = Confidence.Sure);

/// <summary>Places to probe, with the book or its traits and lines beside them.</summary>
public sealed record ProbeInput(IReadOnlyList<Probe> Probes, PatternBook? PatternBook = null, IReadOnlyList<Trait>? Traits = null,
    IReadOnlyList<PatternLine>? Lines = null);

/// <summary>What a variant's curve says at one place.</summary>
public sealed record ProbeAnswer(double Mu, double Share, bool SaysSomething, double Likelihood);

/// <summary>Answers in the order asked.</summary>
public sealed record ProbeResult(IReadOnlyList<ProbeAnswer> Probes);

/// <summary>A number and the first numbers of the years.</summary>
public sealed record IssueYearInput(long Number, IReadOnlyList<YearStart> FirstNumbers);

/// <summary>The year of issue.</summary>
public sealed record IssueYearResult(int IssueYear);

internal static class DatingGauges
{
    private const int MostObservations = 400, MostLooks = 400;

    /// <summary>Places a question may span, lines times looks and traits: more takes longer than anybody waits.</summary>
    private const int MostWork = 40_000;

    public static DatingReport DateTool(DateToolInput input, GaugeContext context)
    {
        PatternBook book = input.PatternBook ?? context.Book;
        int lines = Math.Max(1, input.CandidateLines?.Count ?? 0);
        int asked = input.Observations.Count * (input.ReportWeights ? 4 : 1) + (input.ReportLookNext > 0 ? book.Traits.Sum(t => t.Variants.Count) : 0);
        if (input.Observations.Count > MostObservations || (input.ReportYears?.Count ?? 0) > DatingEngine.LastYear - DatingEngine.FirstYear + 1
            || (long)lines * asked > MostWork || book.Lines.Count > BookEdits.MostEntries || book.Traits.Count > BookEdits.MostEntries)
        {
            throw new InputException("too_much", "observations", input.Observations.Count,
                $"at most {MostObservations} observations, and {MostWork:#,0} lines times forms in all",
                "That is more than one tool can show: ask with fewer observations, or of fewer lines.");
        }
        return Report(input, book, context);
    }

    private static DatingReport Report(DateToolInput input, PatternBook book, GaugeContext context) => Dating.Report(
        new DatingInput(input.Observations, book, input.CandidateLines ?? [], input.Measurements, input.Kinship, input.OtherShare, input.OddSizeShare),
        context.Assumptions, input.ReportWeights, Math.Clamp(input.ReportLookNext, 0, MostLooks), input.ReportYears);

    public static ProbeResult Probe(ProbeInput input, GaugeContext context)
    {
        PatternBook book = input.PatternBook ?? (input is { Traits: { } traits, Lines: { } lines } ? new PatternBook(traits, lines) : context.Book);
        return new ProbeResult([.. input.Probes.Select(p =>
        {
            var engine = new DatingEngine(new DatingInput([], book, [p.Line]), context.Assumptions);
            Trait trait = engine.TraitOf(new Observation("", Trait: p.Trait, Variant: p.Variant));
            (double mu, double share, bool says, double likelihood) = engine.Probe(0, trait, p.Variant, p.Year, engine.Misread(p.Confidence));
            return new ProbeAnswer(mu, share, says, likelihood);
        })]);
    }
}
