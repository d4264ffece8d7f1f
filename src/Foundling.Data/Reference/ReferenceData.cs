using System.Globalization;
using System.Text.Json;
using CsvHelper;
using Foundling.Core.Baths;
using Foundling.Core.Edges;
using Foundling.Core.Grits;
using Foundling.Core.Keys;
using Foundling.Core.Marks;
using Foundling.Core.Origin;

namespace Foundling.Data.Reference;

/// <summary>Tables of public facts and the pattern book the shop starts with, read once.</summary>
public static class ReferenceData
{
    private static readonly Lazy<PatternBook> LazyBook = new(() =>
    {
        using Stream stream = Open("pattern-book.json");
        return JsonSerializer.Deserialize<PatternBook>(stream, OpenJson.Options)!;
    });

    private static readonly Lazy<BathTable> LazyBaths = new(() => new BathTable([.. Rows("bath-compatibility.csv")
        .Where(r => Enum.TryParse<BathKind>(r["bath"], ignoreCase: true, out _))
        .Select(r => new BathRule(Enum.Parse<BathKind>(r["bath"], ignoreCase: true), r["material"], r["verdict"] == "never",
            r["out_by_hours"].Length > 0 ? Number(r["out_by_hours"]) : null, r["reason"]))]));

    private static readonly Lazy<GritTable> LazyGrits = new(() => new GritTable(
    [
        .. Rows("abrasive-grits.csv").Select(r => new GritSize(r["system"], r["grit"], Number(r["mean_um"]), r["quality"] == "exact", true)),
        .. Rows("soft-abrasives.csv").Select(r => new GritSize(r["kind"], r["grade"], Number(r["scratch_like_um"]), r["quality"] == "exact", false)),
    ]));

    private static readonly Lazy<MarkTables> LazyMarks = new(() => new MarkTables(
        Starts("us-utility-patents.csv"), Starts("us-design-patents.csv"), Starts("gb-registered-designs.csv"),
        [.. Rows("dated-marks.csv").Where(r => r["bound_kind"] == "fixed")
            .Select(r => new DatedMark(r["mark_key"], r["what_you_see"], Year(r["not_before"]), Year(r["not_after"]), r["soft"] == "true", r["why"]))],
        [.. Rows("dated-materials.csv")
            .Select(r => new DatedMaterial(r["key"], r["what_you_see"], Year(r["not_before"]), Year(r["typical_from"]), Year(r["typical_to"]),
                r["quality"] == "approximate", r["why"]))],
        [.. Rows("gb-diamond-marks.csv").Where(r => r["kind"] is "year" or "month" or "irregular")
            .Select(r => new DiamondLetter(r["cycle"] == "1842-1867", r["year"].Length > 0 && r["position"] is "top" or "right" && r["kind"] != "month",
            r["symbol"], Year(r["year"]), Year(r["month"]), r["kind"] == "irregular", r["note"]))],
        [.. Rows("mark-forms.csv").Select(r => new MarkForm(r["key"], r["group"], r["forms"]))]));

    private static readonly Lazy<IReadOnlyList<TemperColour>> LazyColours = new(() => [.. Rows("temper-colours.csv").Select(r => new TemperColour(r["colour"],
        Number(r["temp_low_c"]), Number(r["temp_high_c"]), Year(r["hrc_low"])!.Value, Year(r["hrc_high"])!.Value,
        Enum.Parse<HardnessKept>(r["hardness"], ignoreCase: true), r["meaning_for_edge"]))]);

    /// <summary>The sample lines a new shop's pattern book starts with; all invented.</summary>
    public static PatternBook Book => LazyBook.Value;

    /// <summary>What baths do to materials.</summary>
    public static BathTable Baths => LazyBaths.Value;

    /// <summary>Sizes of grains in all grading systems.</summary>
    public static GritTable Grits => LazyGrits.Value;

    /// <summary>What marks, materials and numbers say about years.</summary>
    public static MarkTables Marks => LazyMarks.Value;

    /// <summary>Colours that heat leaves on steel, from cool to hot.</summary>
    public static IReadOnlyList<TemperColour> Colours => LazyColours.Value;

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

    private static List<YearStart> Starts(string file) =>
        [.. Rows(file).Select(r => new YearStart(Year(r["year"])!.Value, long.Parse(r["first_number"], CultureInfo.InvariantCulture)))];

    private static double Number(string text) => double.Parse(text, CultureInfo.InvariantCulture);

    private static int? Year(string text) => text.Length == 0 ? null : int.Parse(text, CultureInfo.InvariantCulture);

    private static Stream Open(string file) =>
        typeof(ReferenceData).Assembly.GetManifestResourceStream($"reference/{file}") ?? throw new FileNotFoundException(file);
}
