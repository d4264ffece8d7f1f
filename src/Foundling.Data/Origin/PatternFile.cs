using Foundling.Core.Tools;
using System.Globalization;
using System.Text.Json;
using CsvHelper;
using Foundling.Core;
using Foundling.Core.Keys;
using Foundling.Core.Origin;
using Foundling.Core.Units;

namespace Foundling.Data.Origin;

/// <summary>What came of reading a file into the book.</summary>
/// <param name="Book">The book with everything good in it.</param>
/// <param name="Lines">Keys of the lines that came.</param>
/// <param name="Faults">One sentence for each row or entry left out.</param>
public sealed record PatternImport(PatternBook Book, IReadOnlyList<string> Lines, IReadOnlyList<string> Faults);

/// <summary>Pattern pages as CSV and JSON; see docs/formats.md. Both are exact both ways.</summary>
public static class PatternFile
{
    /// <summary>Name of the JSON format.</summary>
    public const string Format = "foundling-pattern-book";

    /// <summary>Version of the JSON format.</summary>
    public const int FormatVersion = 1;

    /// <summary>Most rows taken.</summary>
    public const int MostRows = 50_000;

    /// <summary>Most letters taken.</summary>
    public const int MostLetters = 8_000_000;

    private const int MostFaults = 500;

    private static readonly string[] Columns =
        ["record", "line", "trait", "variant", "name", "range", "kinds", "from", "full_from", "full_to", "to", "share", "length_mm", "iron_width_mm", "part",
            "effort", "own", "none", "filled", "pale", "drawn", "material", "finish", "never", "of_parts", "source", "note"];

    private static readonly JsonSerializerOptions Json = new(OpenJson.Options) { WriteIndented = true,
        DefaultIgnoreCondition = System.Text.Json.Serialization.JsonIgnoreCondition.WhenWritingNull };

    private static readonly InputLimits Limits = new(Items: 5000, All: 1_000_000, Letters: 8000);

    private sealed record Document(string Format, int Version, IReadOnlyList<Trait> Traits, IReadOnlyList<PatternLine> Lines);

    /// <summary>The book as JSON.</summary>
    public static string WriteJson(PatternBook book) => JsonSerializer.Serialize(new Document(Format, FormatVersion, book.Traits, book.Lines), Json);

    /// <summary>The book as CSV, one statement a row.</summary>
    public static string WriteCsv(PatternBook book)
    {
        using var text = new StringWriter { NewLine = "\n" };
        using (CsvWriter csv = CsvWriter.Create(text, new CsvWriterOptions(), true))
        {
            csv.WriteRecord(Columns);
            foreach (Trait t in book.Traits)
            {
                Row(csv, ("record", "trait"), ("trait", t.Id), ("name", t.Name), ("part", t.Part), ("effort", SnakeCase.Of(t.Effort.ToString())),
                    ("own", t.Own ? "yes" : null), ("none", t.None), ("note", t.Note));
                foreach (string v in t.Variants)
                {
                    VariantDrawing? art = t.DrawingOf(v);
                    Row(csv, ("record", "variant"), ("trait", t.Id), ("variant", v), ("name", t.VariantNames?.GetValueOrDefault(v)), ("filled", art?.F),
                        ("pale", art?.P), ("drawn", art?.L), ("material", Name(t.Builds?.GetValueOrDefault(v)?.Material)),
                        ("finish", Name(t.Builds?.GetValueOrDefault(v)?.Finish)), ("never", t.Builds?.GetValueOrDefault(v)?.Never == true ? "yes" : null),
                        ("of_parts", t.Builds?.GetValueOrDefault(v)?.Parts is { } parts ? string.Join(';', parts) : null));
                }
            }
            foreach (PatternLine l in book.Lines)
            {
                Row(csv, ("record", "line"), ("line", l.Id), ("name", l.Maker), ("range", l.Range), ("kinds", l.Kinds is null ? null
                    : string.Join(';', l.Kinds)), ("from", Number(l.FirstYear)), ("to", Number(l.LastYear)),
                    ("share", Number(l.Share)), ("source", l.Source), ("note", l.Note));
                foreach (LineSize s in l.SizesOrNone)
                {
                    Row(csv, ("record", "size"), ("line", l.Id), ("name", s.Id), ("from", Number(s.FirstYear)), ("to", Number(s.LastYear)),
                        ("length_mm", Number(s.LengthMm)), ("iron_width_mm", Number(s.IronWidthMm)));
                }
                foreach ((string trait, IReadOnlyDictionary<string, int?[]> variants) in l.Variants)
                {
                    foreach ((string variant, int?[] y) in variants)
                    {
                        Statement? said = l.StatementOn(trait, variant);
                        Row(csv, ("record", "years"), ("line", l.Id), ("trait", trait), ("variant", variant), ("from", Number(y[0])),
                            ("full_from", Number(y[1])), ("full_to", Number(y[2])), ("to", Number(y[3])),
                            ("source", said?.Source), ("note", said?.Note));
                    }
                }
            }
        }
        return text.ToString();
    }

    /// <summary>Reads CSV or JSON into a book: what is good is taken, what is not is named.</summary>
    /// <exception cref="InputException">Nothing in it can be read.</exception>
    public static PatternImport Read(string text, PatternBook into)
    {
        string clean = text.TrimStart('\uFEFF').TrimStart();
        if (clean.Length is 0 or > MostLetters)
        {
            throw Bad(clean.Length == 0 ? "There is nothing in this file." : $"This file is too large: at most {MostLetters / 1_000_000} MB.");
        }
        return clean[0] == '{' ? ReadJson(clean, into) : ReadCsv(clean, into);
    }

    private static PatternImport ReadJson(string text, PatternBook into)
    {
        Document document;
        try
        {
            document = InputGuard.Check(JsonSerializer.Deserialize<Document>(text, Json) ?? throw new JsonException(), Limits);
        }
        catch (JsonException fault)
        {
            throw Bad($"This is not a pattern book: it cannot be read{(fault.Path is { Length: > 1 } path ? $" at {path}" : "")}.");
        }
        if (document.Format != Format || document.Version != FormatVersion)
        {
            throw Bad($"This file is \"{document.Format}\" version {document.Version}; this shop reads {Format} version {FormatVersion}.");
        }
        var faults = new List<string>();
        var lines = new List<string>();
        PatternBook book = into;
        foreach (Trait trait in document.Traits)
        {
            book = Try(book, b => b.Join(new PatternBook([trait], [])), faults, $"Trait {trait.Id}");
        }
        foreach (PatternLine line in document.Lines)
        {
            int before = faults.Count;
            book = Try(book, b => b.With(line), faults, $"Line {line.Id}");
            if (faults.Count == before)
            {
                lines.Add(line.Id);
            }
        }
        return new PatternImport(book, lines, faults);
    }

    private sealed class FileRow(long at, Dictionary<string, string> cells)
    {
        public long At { get; } = at;

        public string this[string column] => cells.GetValueOrDefault(column, "").Trim();

        public string? Or(string column) => this[column] is { Length: > 0 } text ? text : null;

        public int? Year(string column) => Or(column) is not { } text ? null
            : int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out int year) ? year
                : throw Bad($"\"{text}\" in the column {column} is not a year.");

        public double? Decimal(string column) => Or(column) is not { } text ? null
            : double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out double number) ? number
                : throw Bad($"\"{text}\" in the column {column} is not a number.");
    }

    private static PatternImport ReadCsv(string text, PatternBook into)
    {
        ILookup<string, FileRow> rows = Rows(text).ToLookup(r => r["record"]);
        var faults = new SortedList<long, string>();
        PatternBook book = into;
        bool Take(FileRow row, Action what)
        {
            try
            {
                what();
                return true;
            }
            catch (InputException fault) when (faults.Count < MostFaults)
            {
                faults[row.At] = $"Row {row.At}: {fault.Sentence}";
                return false;
            }
            catch (InputException)
            {
                throw Bad($"More than {MostFaults} rows of this file are wrong, so nothing of it was taken. {faults.Values[0]}");
            }
        }
        ILookup<string, FileRow> forms = rows["variant"].ToLookup(r => r["trait"]);
        foreach (FileRow row in rows["trait"])
        {
            Take(row, () => book = book.Join(new PatternBook([TraitOf(row, [.. forms[row["trait"]]])], [])));
        }
        var lines = new List<string>();
        foreach (FileRow row in rows["line"])
        {
            if (Take(row, () => book = book.With(LineOf(row))))
            {
                lines.Add(row["line"]);
            }
        }
        // Each row is judged alone and the good ones go into their line together, so that the work grows with the rows.
        foreach (IGrouping<string, FileRow> of in rows["size"].GroupBy(r => r["line"]))
        {
            var sizes = new List<LineSize>();
            foreach (FileRow row in of)
            {
                Take(row, () => sizes.Add(new LineSize(row["name"], row.Decimal("length_mm"), row.Decimal("iron_width_mm"), row.Year("from"), row.Year("to"))));
            }
            Take(of.First(), () => book = book.LineOf(of.Key) is var line
                ? book.With(line with { Sizes = [.. line.SizesOrNone.Where(s => sizes.All(n => n.Id != s.Id)), .. sizes] }) : book);
        }
        foreach (IGrouping<string, FileRow> of in rows["years"].GroupBy(r => r["line"]))
        {
            if (book.Lines.All(l => l.Id != of.Key))
            {
                Take(of.First(), () => book.LineOf(of.Key));
                continue;
            }
            var years = new List<VariantYears>();
            foreach (FileRow row in of)
            {
                Take(row, () =>
                {
                    Statement? said = (row.Or("source") ?? row.Or("note")) is null ? null : new Statement(row.Or("source"), row.Or("note"));
                    var one = new VariantYears(row["trait"], row["variant"], [row.Year("from"), row.Year("full_from"), row.Year("full_to"), row.Year("to")],
                        said);
                    BookEdits.Verify(book, one);
                    years.Add(one);
                });
            }
            Take(of.First(), () => book = book.WithYears(of.Key, years));
        }
        foreach (FileRow row in rows.Where(g => g.Key is not ("trait" or "variant" or "line" or "size" or "years")).SelectMany(g => g))
        {
            faults[row.At] = $"Row {row.At}: \"{Shorten.To(row["record"], 60)}\" is no kind of row; it is trait, variant, line, size or years.";
        }
        return lines.Count == 0 && rows["trait"].All(r => faults.ContainsKey(r.At)) && faults.Count > 0 && ReferenceEquals(book, into)
            ? throw Bad("Nothing in this file can be used. " + faults.Values[0])
            : new PatternImport(book, lines, [.. faults.Values]);
    }

    private static PatternLine LineOf(FileRow row) => new(
        row["line"], row.Year("from") ?? throw Bad("A line needs its first year, in the column from."), row.Year("to")
            ?? throw Bad("A line needs its last year, in the column to."),
        new Dictionary<string, IReadOnlyDictionary<string, int?[]>>(), row.Or("name"), row.Or("range"), row.Decimal("share") ?? 1, null,
            row.Or("kinds")?.Split(';'), row.Or("source"), row.Or("note"));

    private static Trait TraitOf(FileRow row, List<FileRow> forms) => forms.GroupBy(f => f["variant"]).FirstOrDefault(g => g.Count() > 1) is { } twice
        ? throw Bad($"The form \"{Shorten.To(twice.Key, 60)}\" of {Shorten.To(row["trait"], 60)} stands there twice.")
        : new(row["trait"], row["part"],
        Enum.GetValues<LookEffort>().Where(e => SnakeCase.Of(e.ToString()) == row["effort"]).Select(e => (LookEffort?)e).FirstOrDefault()
            ?? throw Bad($"\"{row["effort"]}\" is no effort; it is glance, lens, cap_off or strip."),
        [.. forms.Select(f => f["variant"])], row.Or("name"),
        forms.Any(f => f.Or("name") is not null) ? forms.Where(f => f.Or("name") is not null).ToDictionary(f => f["variant"], f => f["name"]) : null,
        forms.Any(Drawn) ? forms.Where(Drawn).ToDictionary(f => f["variant"], f => new VariantDrawing(f.Or("filled"), f.Or("pale"), f.Or("drawn"))) : null,
            row.Or("note"), row["own"] is "yes", row.Or("none"), forms.Any(Says) ? forms.Where(Says).ToDictionary(f => f["variant"], BuildOf) : null);

    private static bool Says(FileRow form) => (form.Or("material") ?? form.Or("finish") ?? form.Or("never") ?? form.Or("of_parts")) is not null;

    private static VariantBuild BuildOf(FileRow form) => new(Named<Material>(form, "material"), Named<PartFinish>(form, "finish"), form["never"] is "yes",
        form.Or("of_parts")?.Split(';', StringSplitOptions.TrimEntries));

    private static T? Named<T>(FileRow row, string column)
        where T : struct, Enum => row.Or(column) is not { } text ? null
        : Enum.GetValues<T>().Where(v => SnakeCase.Of(v.ToString()) == text).Select(v => (T?)v).FirstOrDefault()
            ?? throw Bad($"\"{Shorten.To(text, 60)}\" is no {column}; it is {string.Join(", ", Enum.GetValues<T>().Select(v => SnakeCase.Of(v.ToString())))}.");

    private static string? Name<T>(T? value)
        where T : struct, Enum => value is { } v ? SnakeCase.Of(v.ToString()) : null;

    private static bool Drawn(FileRow form) => (form.Or("filled") ?? form.Or("pale") ?? form.Or("drawn")) is not null;

    private static List<FileRow> Rows(string text)
    {
        string head = text.Split('\n', 2)[0];
        using var reader = new StringReader(text);
        using CsvReader csv = CsvReader.Create(reader, new CsvReaderOptions
        {
            HasHeader = false, TrackLineNumbers = true, AllowLineBreaksInQuotes = true,
            Separator = head.Contains(';', StringComparison.Ordinal) && !head.Contains(',', StringComparison.Ordinal) ? ';' : ',',
        });
        string[]? columns = null;
        var rows = new List<FileRow>();
        long row = 0;
        try
        {
            while (csv.Read())
            {
                row++;
                string[] cells = [.. Enumerable.Range(0, csv.FieldCount).Select(csv.GetString)];
                if (columns is null)
                {
                    columns = [.. cells.Select(c => c.Trim())];
                    if (!columns.Contains("record"))
                    {
                        throw Bad("This is not a pattern book: the first row must name the columns, the first of them record.");
                    }
                }
                else if (cells.Any(c => !string.IsNullOrWhiteSpace(c)))
                {
                    rows.Add(new FileRow(row, columns.Zip(cells).GroupBy(p => p.First).ToDictionary(g => g.Key, g => g.First().Second)));
                }
                if (row > MostRows)
                {
                    throw Bad($"This file has more than {MostRows:#,0} rows.");
                }
            }
        }
        catch (Exception fault) when (fault is not InputException)
        {
            throw Bad($"This file cannot be read as CSV after row {row}.");
        }
        return rows.Count > 0 ? rows : throw Bad("There are no rows under the heading.");
    }

    private static PatternBook Try(PatternBook book, Func<PatternBook, PatternBook> change, List<string> faults, string where)
    {
        try
        {
            return change(book);
        }
        catch (InputException fault)
        {
            faults.Add($"{where}: {fault.Sentence}");
            return book;
        }
    }

    private static void Row(CsvWriter csv, params (string Column, string? Value)[] cells) =>
        csv.WriteRecord([.. Columns.Select(c => cells.FirstOrDefault(x => x.Column == c).Value ?? "")]);

    private static string? Number(double? value) => value?.ToString("R", CultureInfo.InvariantCulture);

    private static InputException Bad(string sentence) => new("not_a_pattern_book", "file", null, "a pattern book as CSV or JSON", sentence);
}
