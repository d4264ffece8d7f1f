using System.Globalization;
using System.Text;
using Foundling.Core;
using Foundling.Core.Origin;
using Foundling.Core.Tags;

namespace Foundling.Web.Drawings;

/// <summary>One piece of evidence as a band over years, with what it did.</summary>
/// <param name="Id">Key of the look.</param>
/// <param name="Title">What was looked at.</param>
/// <param name="Seen">What was seen.</param>
/// <param name="Sureness">How sure.</param>
/// <param name="Odd">On a part from another tool.</param>
/// <param name="Path">Outline of the band; empty where it says nothing about years.</param>
/// <param name="Outside">Where its years lie when they are off the drawing; else empty.</param>
/// <param name="Y">Top of its row.</param>
/// <param name="Years">Its years in words.</param>
/// <param name="Weight">What it did to the belief.</param>
/// <param name="Without">Outline of the profile without it.</param>
/// <param name="Picture">Picture that shows it.</param>
public sealed record StrataBand(Guid Id, string Title, string Seen, string Sureness, bool Odd, string Path, string Outside, double Y, string Years,
    ObservationWeight Weight, string Without, Picture? Picture)
{
    /// <summary>What it rules out, in words.</summary>
    public string RuledOut => Weight.RuledOutYears.Count == 0 ? "nothing"
        : string.Join(", ", Weight.RuledOutYears.Take(3).Select(r => r[0] == r[1] ? $"{r[0]}" : $"{r[0]}–{r[1]}")) + (Weight.RuledOutYears.Count > 3
            ? " and more" : "");
}

/// <summary>The dating evidence under a rule of years, with what it adds up to.</summary>
public sealed class StrataView
{
    private const double Left = 220, Right = 560, RowStep = 33, Top = 96, Rise = 76, FirstRow = Top + 36, OddGap = 44;

    private readonly double _most;

    /// <summary>Lays out the drawing.</summary>
    /// <param name="tag">The tag.</param>
    /// <param name="report">What its evidence adds up to, with weights.</param>
    /// <param name="book">The book it was dated by.</param>
    /// <param name="assumptions">How long patents last and are printed.</param>
    /// <param name="near">Only the years that matter, not all the evidence.</param>
    public StrataView(Tag tag, DatingReport report, PatternBook book, Assumptions assumptions, bool near = false)
    {
        PatternLine line = report.BestKnownLine is { } known ? book.LineOf(known) : PatternLine.Unknown;
        bool Odd(Look look) => report.PartLabel.GetValueOrDefault(PartOf(look, book)) == "odd";
        List<(Look Look, int? A, int? B, int? C, int? D)> spans = [.. tag.Looks.Select(l => Span(l, line, assumptions)).OrderBy(s => Odd(s.Look))];
        Lobes = report.Lobes.Count > 0 ? [.. report.Lobes.Select(l => l.Years)] : [report.Interval90];
        int low = Math.Min(report.Interval90[0], Lobes.Min(l => l[0])), high = Math.Max(report.Interval90[1], Lobes.Max(l => l[1]));
        int margin = near ? 6 : 8;
        foreach ((_, int? a, int? b, int? c, int? d) in near ? [] : spans)
        {
            low = Math.Min(low, a ?? b ?? low);
            high = Math.Max(high, d ?? c ?? high);
        }
        low = Math.Max(DatingEngine.FirstYear, Math.Max(low - margin, line.FirstYear - 4));
        high = Math.Min(DatingEngine.LastYear, Math.Min(high + margin, line.LastYear + 4));
        int round = high - low > 60 ? 10 : 5;
        From = low / round * round;
        To = Math.Max(From + 10, Math.Min(DatingEngine.LastYear, (high + round - 1) / round * round));
        Near = near;
        Rule = new RuleView(Left, Top, Right, From, To, 22);
        Interval = report.Interval90;
        _most = report.ByYear.Max();
        Sum = Profile(report.ByYear);
        int firstOdd = spans.FindIndex(s => Odd(s.Look));
        OddY = firstOdd < 0 ? null : FirstRow + (firstOdd * RowStep) + OddGap - 24;
        Bands = [.. spans.Select((s, i) => Band(s, FirstRow + (i * RowStep) + (firstOdd >= 0 && i >= firstOdd ? OddGap : 0), Odd(s.Look), report, tag, book))];
        Height = FirstRow + (Bands.Count * RowStep) + (firstOdd >= 0 ? OddGap : 0) + 18;
    }

    /// <summary>First year drawn.</summary>
    public int From { get; }

    /// <summary>Last year drawn.</summary>
    public int To { get; }

    /// <summary>Drawn close up.</summary>
    public bool Near { get; }

    /// <summary>The rule of years.</summary>
    public RuleView Rule { get; }

    /// <summary>Years that hold nine tenths of the belief.</summary>
    public int[] Interval { get; }

    /// <summary>Spans to light: the interval, or both lobes when there are two.</summary>
    public IReadOnlyList<int[]> Lobes { get; }

    /// <summary>Outline of the combined profile.</summary>
    public string Sum { get; }

    /// <summary>The bands, odd ones last.</summary>
    public IReadOnlyList<StrataBand> Bands { get; }

    /// <summary>Where the odd bands are set apart, or null when there are none.</summary>
    public double? OddY { get; }

    /// <summary>Height of the drawing.</summary>
    public double Height { get; }

    /// <summary>The part a look speaks of.</summary>
    public static string PartOf(Look look, PatternBook book) =>
        (look.Trait is null ? look.Part : book.Traits.FirstOrDefault(t => t.Id == look.Trait)?.Part) ?? "body";

    private static (Look Look, int? A, int? B, int? C, int? D) Span(Look look, PatternLine line, Assumptions assumptions)
    {
        if (look.Mark is not null)
        {
            (int? first, int? last) = look.ToObservation().MarkWindow(assumptions);
            return look.Mark == MarkKind.PatentGranted
                ? (look, first, first, first + (int)Math.Round(assumptions.PatentTermYears), first + assumptions.PatentFadedYears)
                    : (look, first, first, last, last);
        }
        return line.Variants.TryGetValue(look.Trait!, out IReadOnlyDictionary<string, int?[]>? variants) && variants.TryGetValue(look.Variant!, out int?[]? y)
            ? (look, y[0], y[1], y[2], y[3])
            : (look, null, null, null, null);
    }

    private StrataBand Band((Look Look, int? A, int? B, int? C, int? D) s, double y, bool odd, DatingReport report, Tag tag, PatternBook book)
    {
        Look look = s.Look;
        double X(int? year, double open) => year is int v ? Rule.At(Math.Clamp(v, From, To)) : open;
        double a = X(s.A, Left), b = X(s.B, Left), c = X(s.C, Left + Right), d = X(s.D, Left + Right);
        (string name, string seen) = Naming(tag, look, book);
        bool silent = s is (_, null, null, null, null);
        string years = (s.A ?? s.B, s.D ?? s.C) switch
        {
            (null, null) => "says nothing about years in this line",
            (null, int end) => $"up to {end}",
            (int start, null) => $"from {start}",
            (int start, int end) => $"{start} to {end}",
        };
        string outside = s.D < From ? $"ended {s.D}" : s.A > To ? $"from {s.A}" : "";
        string path = silent || outside.Length > 0 ? "" : string.Create(CultureInfo.InvariantCulture,
            $"M{a:0.#} {y + 19:0.#}L{b:0.#} {y:0.#}L{c:0.#} {y:0.#}L{d:0.#} {y + 19:0.#}Z");
        ObservationWeight weight = report.Weights?.GetValueOrDefault(look.Id.ToString("N")) ?? new ObservationWeight(0,
            0) { WithoutInterval90 = report.Interval90, WithoutByYear = report.ByYear };
        return new StrataBand(look.Id, name, seen, look.Confidence.ToString().ToLowerInvariant() + (look.Soft ? ", soft" : ""), odd, path, outside, y, years,
            weight, Profile(weight.WithoutByYear),
            tag.Pictures.FirstOrDefault(p => p.Id == look.PictureId));
    }

    /// <summary>What was looked at and what was seen, in words.</summary>
    public static (string Name, string Seen) Naming(Tag tag, Look look, PatternBook book) =>
        look.Trait is null ? (look.Reading ?? "Mark", "on the " + PartName(tag, look.Part ?? "body"))
        : book.Traits.FirstOrDefault(t => t.Id == look.Trait) is { } trait ? (trait.Title, trait.VariantTitle(look.Variant!))
            : (look.Trait, "not in the book any more");

    /// <summary>A side of a contradiction in words: a look, or the years of the line itself.</summary>
    public static string Side(Tag tag, string id, PatternBook book) => Guid.TryParse(id, out Guid key) && tag.Looks.Find(l => l.Id == key) is { } look
        && Naming(tag, look, book) is var (name, seen)
        ? $"{name.ToLowerInvariant()} ({seen})" : "the line's own years";

    /// <summary>Name of a part in words; marks may stand on the tool as a whole.</summary>
    public static string PartName(Tag tag, string part) => tag.Tool()
        .Part(PartId.Of(part))?.Name ?? (PartRules.IsCore(part) ? "tool itself" : part.Replace('_', ' '));

    private string Profile(double[] byYear)
    {
        double most = Math.Max(_most, byYear.Max());
        var path = new StringBuilder();
        path.Append(CultureInfo.InvariantCulture, $"M{Left:0.#} {Top}");
        for (int year = From; year <= To; year++)
        {
            double y = Top - (Rise * byYear[year - DatingEngine.FirstYear] / most);
            path.Append(CultureInfo.InvariantCulture, $"L{Rule.At(year):0.#} {y:0.##}");
        }
        path.Append(CultureInfo.InvariantCulture, $"L{Left + Right:0.#} {Top}Z");
        return path.ToString();
    }
}
