using System.Globalization;
using System.Text.Json;
using CsvHelper;
using Foundling.Core.Baths;
using Foundling.Core.Gauges;
using Foundling.Core.Origin;

namespace Foundling.Data.Reference;

/// <summary>A small drawing of a variant in a box of 78 by 40: filled, pale and drawn as a line.</summary>
public sealed record VariantDrawing(string? F = null, string? P = null, string? L = null);

/// <summary>Tables of public facts and the pattern book the shop starts with, read once.</summary>
public static class ReferenceData
{
    private static readonly Lazy<PatternBook> LazyBook = new(() =>
    {
        using Stream stream = Open("pattern-book.json");
        return JsonSerializer.Deserialize<PatternBook>(stream, GaugeCatalogue.Json)!;
    });

    private static readonly Lazy<BathTable> LazyBaths = new(() => new BathTable([.. Rows("bath-compatibility.csv")
        .Where(r => Enum.TryParse<BathKind>(r["bath"], ignoreCase: true, out _))
        .Select(r => new BathRule(Enum.Parse<BathKind>(r["bath"], ignoreCase: true), r["material"], r["verdict"] == "never",
            r["out_by_hours"].Length > 0 ? double.Parse(r["out_by_hours"], CultureInfo.InvariantCulture) : null, r["reason"]))]));

    private static readonly Lazy<IReadOnlyList<YearStart>> LazyPatents = new(() => [.. Rows("us-utility-patents.csv")
        .Select(r => new YearStart(int.Parse(r["year"], CultureInfo.InvariantCulture), long.Parse(r["first_number"], CultureInfo.InvariantCulture)))]);

    private static readonly Lazy<Dictionary<string, Dictionary<string, VariantDrawing>>> LazyDrawings = new(() =>
    {
        using Stream stream = Open("variant-drawings.json");
        return JsonSerializer.Deserialize<Dictionary<string, Dictionary<string, VariantDrawing>>>(stream, GaugeCatalogue.Json)!;
    });

    /// <summary>The small drawing of a variant, or null.</summary>
    public static VariantDrawing? Drawing(string trait, string variant) =>
        LazyDrawings.Value.TryGetValue(trait, out Dictionary<string, VariantDrawing>? variants) ? variants.GetValueOrDefault(variant) : null;

    /// <summary>The pattern book.</summary>
    public static PatternBook Book => LazyBook.Value;

    /// <summary>What baths do to materials.</summary>
    public static BathTable Baths => LazyBaths.Value;

    /// <summary>First utility patent number of each year.</summary>
    public static IReadOnlyList<YearStart> Patents => LazyPatents.Value;

    /// <summary>The rows of a shipped table by column name.</summary>
    public static IReadOnlyList<IReadOnlyDictionary<string, string>> Rows(string file)
    {
        using var reader = new StreamReader(Open(file));
        using CsvReader csv = CsvReader.Create(reader, new CsvReaderOptions());
        var rows = new List<IReadOnlyDictionary<string, string>>();
        while (csv.Read())
        {
            rows.Add(csv.Headers.ToArray().Select((h, i) => (h, i)).ToDictionary(x => x.h, x => csv.GetString(x.i)));
        }
        return rows;
    }

    private static Stream Open(string file) =>
        typeof(ReferenceData).Assembly.GetManifestResourceStream($"reference/{file}") ?? throw new FileNotFoundException(file);
}
