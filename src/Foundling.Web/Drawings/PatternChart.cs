using System.Globalization;
using Foundling.Core.Origin;

namespace Foundling.Web.Drawings;

/// <summary>A place on a band that can be dragged.</summary>
/// <param name="Name">a, b, c or d.</param>
/// <param name="Says">What it marks, in words.</param>
/// <param name="Year">Its year; null at an open end.</param>
/// <param name="X">Place.</param>
/// <param name="Y">Height.</param>
public sealed record BandHandle(string Name, string Says, int? Year, double X, double Y);

/// <summary>A form of a trait over the years of a line.</summary>
/// <param name="Variant">Key of the form.</param>
/// <param name="Title">The form in words.</param>
/// <param name="Years">a, b, c, d; null when the line never used it.</param>
/// <param name="Y">Top of its row.</param>
/// <param name="Path">Outline of the band.</param>
/// <param name="Handles">What can be dragged.</param>
public sealed record ChartBand(string Variant, string Title, int?[]? Years, double Y, string Path, IReadOnlyList<BandHandle> Handles)
{
    /// <summary>The years as one text: open ends are left empty.</summary>
    public string YearsText => Years is null ? "" : string.Join(',', Years.Select(y => y?.ToString(CultureInfo.InvariantCulture) ?? ""));
}

/// <summary>A trait with its forms.</summary>
public sealed record ChartRow(Trait Trait, double Y, IReadOnlyList<ChartBand> Bands);

/// <summary>All variants of a line over its years, to be read and dragged.</summary>
public sealed class PatternChart
{
    /// <summary>Where years begin, width for them, and height of a band, drawing units.</summary>
    public const double Left = 214, Span = 690, BandHeight = 17;

    private const double Step = 25, Head = 27, Top = 34;

    /// <summary>Lays out the chart.</summary>
    public PatternChart(PatternLine line, PatternBook book)
    {
        Line = line;
        int[] years = [.. line.Variants.Values.SelectMany(v => v.Values).SelectMany(y => y).OfType<int>(), line.FirstYear, line.LastYear];
        From = Math.Max(DatingEngine.FirstYear, (years.Min() - 4) / 10 * 10);
        To = Math.Min(DatingEngine.LastYear, (years.Max() + 13) / 10 * 10);
        Rule = new RuleView(Left, 6, Span, From, To, 20);
        var rows = new List<ChartRow>();
        double y = Top;
        foreach (Trait trait in book.Traits.Where(t => line.Variants.ContainsKey(t.Id)))
        {
            double head = y;
            y += Head;
            var bands = new List<ChartBand>();
            foreach (string variant in trait.Variants)
            {
                bands.Add(Band(trait, variant, line.Variants[trait.Id].GetValueOrDefault(variant), y));
                y += Step;
            }
            rows.Add(new ChartRow(trait, head, bands));
            y += 6;
        }
        (Rows, Height) = (rows, y + 24);
    }

    /// <summary>The line.</summary>
    public PatternLine Line { get; }

    /// <summary>First and last year drawn.</summary>
    public int From { get; }

    /// <summary>Last year drawn.</summary>
    public int To { get; }

    /// <summary>The rule of years.</summary>
    public RuleView Rule { get; }

    /// <summary>Rows, one a trait.</summary>
    public IReadOnlyList<ChartRow> Rows { get; }

    /// <summary>Height of the drawing.</summary>
    public double Height { get; }

    private ChartBand Band(Trait trait, string variant, int?[]? years, double y)
    {
        string title = trait.VariantTitle(variant);
        if (years is null)
        {
            return new ChartBand(variant, title, null, y, "", []);
        }
        double X(int? year, double open) => year is int v ? Rule.At(Math.Clamp(v, From, To)) : open;
        double left = Left, right = Left + Span, foot = y + BandHeight;
        double a = X(years[0], left), b = X(years[1], left), c = X(years[2], right), d = X(years[3], right);
        return new ChartBand(variant, title, years, y, string.Create(CultureInfo.InvariantCulture,
            $"M{a:0.#} {foot:0.#}L{b:0.#} {y:0.#}L{c:0.#} {y:0.#}L{d:0.#} {foot:0.#}Z"),
        [
            new("a", "begins", years[0], a, foot - 3), new("b", "in full from", years[1], b, y + 3), new("c", "in full until", years[2], c, y + 3),
                new("d", "ended", years[3], d, foot - 3),
        ]);
    }
}
