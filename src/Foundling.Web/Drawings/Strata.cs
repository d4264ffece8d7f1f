using System.Globalization;
using System.Text;
using Foundling.Core;
using Foundling.Core.Origin;
using Foundling.Core.Tags;

namespace Foundling.Web.Drawings;

/// <summary>One piece of evidence as a band over years.</summary>
public sealed record StrataBand(Guid Id, string Title, string Seen, string Sureness, bool Odd, string Path, double Y, string Years, double Bits);

/// <summary>The dating evidence under a rule of years, with what it adds up to.</summary>
public sealed class StrataView
{
    private const double Left = 220, Right = 560, RowStep = 33, Top = 96;

    /// <summary>Lays out the drawing.</summary>
    public StrataView(Tag tag, DatingReport report, PatternBook book)
    {
        PatternLine line = book.LineOf(report.BestLine);
        List<(Look Look, int? A, int? B, int? C, int? D)> spans = [.. tag.Looks.Select(l => Span(l, line))];
        int low = report.Interval90[0], high = report.Interval90[1];
        foreach ((_, int? a, int? b, int? c, int? d) in spans)
        {
            low = Math.Min(low, a ?? b ?? low);
            high = Math.Max(high, d ?? c ?? high);
        }
        low = Math.Max(DatingEngine.FirstYear, Math.Max(low - 8, line.FirstYear - 4));
        high = Math.Min(DatingEngine.LastYear, Math.Min(high + 8, line.LastYear + 4));
        int round = high - low > 60 ? 10 : 5;
        From = low / round * round;
        To = Math.Min(DatingEngine.LastYear, (high + round - 1) / round * round);
        Rule = new RuleView(Left, Top, Right, From, To, 22);
        Interval = report.Interval90;
        Sum = Profile(report.ByYear);
        Bands = [.. spans.Select((s, i) => Band(s, i, report, book))];
        Height = Top + 34 + (Bands.Count * RowStep) + 18;
    }

    /// <summary>First year drawn.</summary>
    public int From { get; }

    /// <summary>Last year drawn.</summary>
    public int To { get; }

    /// <summary>The rule of years.</summary>
    public RuleView Rule { get; }

    /// <summary>Years that hold nine tenths of the belief.</summary>
    public int[] Interval { get; }

    /// <summary>Outline of the combined profile.</summary>
    public string Sum { get; }

    /// <summary>The bands.</summary>
    public IReadOnlyList<StrataBand> Bands { get; }

    /// <summary>Height of the drawing.</summary>
    public double Height { get; }

    private static (Look, int?, int?, int?, int?) Span(Look look, PatternLine line)
    {
        if (look.Mark is not null)
        {
            (int? first, int? last) = look.ToObservation().MarkWindow(Assumptions.Standard);
            return look.Mark == MarkKind.PatentGranted ? (look, first, first, first + 17, first + 45) : (look, first, first, last, last);
        }
        return line.Variants.TryGetValue(look.Trait!, out IReadOnlyDictionary<string, int?[]>? variants) && variants.TryGetValue(look.Variant!, out int?[]? y)
            ? (look, y[0], y[1], y[2], y[3])
            : (look, null, null, null, null);
    }

    private StrataBand Band((Look Look, int? A, int? B, int? C, int? D) s, int index, DatingReport report, PatternBook book)
    {
        Look look = s.Look;
        double y = Top + 36 + (index * RowStep);
        double X(int? year, double open) => year is int v ? Rule.At(Math.Clamp(v, From, To)) : open;
        double a = X(s.A, Left), b = X(s.B, Left), c = X(s.C, Left + Right), d = X(s.D, Left + Right);
        Trait? trait = look.Trait is null ? null : book.TraitOf(look.Trait);
        string part = trait?.Part ?? look.Part ?? "body";
        bool odd = report.PartLabel.TryGetValue(part, out string? label) && label == "odd";
        (string name, string seen) = trait is null ? (look.Reading ?? "Mark", "read on the " + part.Replace('_', ' ')) : (trait.Title, trait.VariantTitle(look.Variant!));
        string years = (s.A ?? s.B, s.D ?? s.C) switch
        {
            (null, null) => "says nothing about years in this line",
            (null, int end) => $"up to {end}",
            (int start, null) => $"from {start}",
            (int start, int end) => $"{start} to {end}",
        };
        string path = s is (_, null, null, null, null) ? "" : string.Create(CultureInfo.InvariantCulture, $"M{a:0.#} {y + 19:0.#}L{b:0.#} {y:0.#}L{c:0.#} {y:0.#}L{d:0.#} {y + 19:0.#}Z");
        double bits = report.Weights?.GetValueOrDefault(look.Id.ToString("N"))?.Bits ?? 0;
        return new StrataBand(look.Id, name, seen, look.Confidence.ToString().ToLowerInvariant(), odd, path, y, years, bits);
    }

    private string Profile(double[] byYear)
    {
        double most = byYear.Max();
        var path = new StringBuilder();
        path.Append(CultureInfo.InvariantCulture, $"M{Left:0.#} {Top}");
        for (int year = From; year <= To; year++)
        {
            double y = Top - (76 * byYear[year - DatingEngine.FirstYear] / most);
            path.Append(CultureInfo.InvariantCulture, $"L{Rule.At(year):0.#} {y:0.##}");
        }
        path.Append(CultureInfo.InvariantCulture, $"L{Left + Right:0.#} {Top}Z");
        return path.ToString();
    }
}
