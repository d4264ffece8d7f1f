using Foundling.Core.Shelves;
using System.Globalization;
using CsvHelper;
using Foundling.Core;
using Foundling.Core.Keys;
using Foundling.Core.Stores;
using Foundling.Core.Units;
using Foundling.Data.Reference;

namespace Foundling.Data.Stores;

/// <summary>A row of a stores file, read and looked at.</summary>
/// <param name="Item">What it is about; null for something of the shop's own that is new.</param>
/// <param name="Facts">What it says beside how much there is.</param>
/// <param name="Amount">How much there is; null where it does not say.</param>
/// <param name="Stock">How much there is, in a word; null where it does not say.</param>
/// <param name="Price">What a unit costs; null where it does not say.</param>
public sealed record StoreRow(SupplyId? Item, StoreFacts Facts, double? Amount, Stock? Stock, double? Price);

/// <summary>The stores as CSV, for a spreadsheet: one thing a row, amounts in the unit of its row.</summary>
public static class StoresFile
{
    /// <summary>Most rows taken.</summary>
    public const int MostRows = 2000;

    private const int MostFaults = 20;

    // A cell that a spreadsheet would take for a formula.
    private static readonly char[] Formula = ['=', '+', '-', '@', '\t', '\r'];

    private static readonly string[] Columns =
        ["id", "name", "class", "unit", "amount", "stock", "least", "pack", "price", "form", "grading", "grit", "opened", "best_before", "place"];

    /// <summary>Writes what the shop keeps.</summary>
    /// <param name="items">What is kept.</param>
    /// <param name="assumptions">Prices.</param>
    public static string Write(IEnumerable<StoreItem> items, Assumptions assumptions)
    {
        using var text = new StringWriter { NewLine = "\n" };
        using (CsvWriter csv = CsvWriter.Create(text, new CsvWriterOptions(), true))
        {
            csv.WriteRecord(Columns);
            foreach (StoreItem item in items)
            {
                Supply supply = item.Supply;
                Grain? grain = item.Coarseness;
                csv.WriteRecord(
                [
                    item.Item.Value, Plain(supply.Name), KeyText.Of(supply.Class), supply.Unit, Number(item.Amount), KeyText.Of(item.Stock), Number(item.Least),
                    Number(item.Pack), supply.Kit ? "" : Number(item.PriceIn(assumptions)), grain is null ? "" : KeyText.Of(grain.Form), grain?.System ?? "",
                    grain?.Grit ?? "", Day(item.OpenedOn), Day(item.BestBefore), Plain(item.Place),
                ]);
            }
        }
        return text.ToString();
    }

    /// <summary>Reads a file; it is taken whole or not at all.</summary>
    /// <param name="text">The file.</param>
    /// <param name="kept">What the shop keeps.</param>
    /// <exception cref="InputException">What cannot be read, each line named.</exception>
    public static IReadOnlyList<StoreRow> Read(string text, IReadOnlyCollection<StoreItem> kept)
    {
        string clean = text.TrimStart('\uFEFF');
        using var reader = new StringReader(clean);
        using CsvReader csv = CsvText.Open(clean, reader);
        string[]? columns = null;
        List<StoreRow> rows = [];
        List<string> faults = [];
        while (Next(csv))
        {
            string[] cells = [.. Enumerable.Range(0, csv.FieldCount).Select(csv.GetString)];
            if (columns is null)
            {
                columns = [.. cells.Select(c => c.Trim().ToLowerInvariant())];
                if (!columns.Contains("name") && !columns.Contains("id"))
                {
                    throw Bad($"The first line must name the columns: {string.Join(", ", Columns)}. A name or an id, and what else there is.");
                }
                continue;
            }
            if (cells.All(string.IsNullOrWhiteSpace))
            {
                continue;
            }
            if (rows.Count >= MostRows)
            {
                throw Bad($"This file has more than {MostRows:#,0} lines.");
            }
            try
            {
                rows.Add(Row(new Cells(columns, cells), kept));
            }
            catch (InputException fault)
            {
                faults.Add($"Line {csv.LineNumber}: {fault.Sentence}");
                if (faults.Count == MostFaults)
                {
                    break;
                }
            }
        }
        return faults.Count > 0 ? throw Bad($"{string.Join(" ", faults)} Nothing was taken from the file.")
            : rows.Count > 0 ? rows : throw Bad("There is nothing under the heading of this file.");
    }

    private sealed record Cells(string[] Columns, string[] Values)
    {
        public string this[string column] => Array.IndexOf(Columns, column) is >= 0 and int i && i < Values.Length ? Values[i].Trim().TrimStart('\'') : "";
    }

    private static StoreRow Row(Cells cells, IReadOnlyCollection<StoreItem> kept)
    {
        string id = cells["id"], name = cells["name"];
        StoreItem? known = kept.FirstOrDefault(k => id.Length > 0 && k.Item.Value == id)
            ?? kept.FirstOrDefault(k => name.Length > 0 && string.Equals(k.Supply.Name, name, StringComparison.OrdinalIgnoreCase));
        if (known is null && name.Length == 0)
        {
            throw Bad(id.Length == 0 ? "It says neither a name nor an id." : $"\"{Shorten.To(id, 40)}\" is nothing this shop keeps, and there is no name.");
        }
        string unit = known?.Supply.Unit ?? cells["unit"], called = known?.Supply.Name ?? name;
        if (known is null && unit.Length > 0 && !Measure.Units.Contains(unit))
        {
            throw Bad($"{called}: \"{Shorten.To(unit, 20)}\" is no unit of the stores: {string.Join(", ", Measure.Units)}, or none for kit.");
        }
        // An amount without a unit of its own is in the unit of its row.
        string own = cells["unit"];
        double? Amount(string column) => cells[column] is { Length: > 0 } text
            ? unit.Length == 0 ? throw Bad($"{called} is kit: it is there or it is not, and has no {column}.")
                : Measure.Read(char.IsAsciiLetter(text[^1]) || own.Length == 0 ? text : $"{text} {own}", unit, called, column) : null;
        double? amount = Amount("amount");
        StoreItem now = known ?? new StoreItem();
        bool Says(string column) => cells.Columns.Contains(column);
        return new StoreRow(known?.Item, new StoreFacts
        {
            Name = called, Class = Key(cells, "class", known?.Supply.Class ?? (unit.Length == 0 ? SupplyClass.Kit : SupplyClass.Sundry)), Unit = unit,
            Least = Says("least") ? Amount("least") : now.Least, Pack = Says("pack") ? Amount("pack") : now.Pack,
            OpenedOn = Says("opened") ? Day(cells, "opened") : now.OpenedOn, BestBefore = Says("best_before") ? Day(cells, "best_before") : now.BestBefore,
            Place = Says("place") ? cells["place"] : now.Place, Grain = GrainOf(cells, now),
        }, amount, cells["stock"].Length > 0 ? Key(cells, "stock", Stock.Have) : null, Price(cells));
    }

    private static Grain? GrainOf(Cells cells, StoreItem now)
    {
        if (cells["grading"].Length == 0 && cells["grit"].Length == 0)
        {
            return now.Grain;
        }
        Grain said = ReferenceData.Grits.Checked(new Grain(Key(cells, "form", AbrasiveForm.Sheet), cells["grading"], cells["grit"]));
        return said == now.Supply.Grain && now.Grain is null ? null : said;
    }

    private static double? Price(Cells cells) => cells["price"].Length == 0 ? null : Typed.Price(cells["price"], "price");

    private static T Key<T>(Cells cells, string column, T otherwise)
        where T : struct, Enum => cells[column] is not { Length: > 0 } text ? otherwise
            : KeyText.Read<T>(text.ToLowerInvariant()) ?? throw Bad($"\"{Shorten.To(text, 40)}\" is no {column}: "
                + $"{string.Join(", ", Enum.GetValues<T>().Select(v => KeyText.Of(v)))}.");

    private static DateOnly? Day(Cells cells, string column) => cells[column] is not { Length: > 0 } text ? null
        : DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out DateOnly day) ? day
        : throw Bad($"\"{Shorten.To(text, 20)}\" in the column {column} is no day: write it as 2026-11-28.");

    private static bool Next(CsvReader csv)
    {
        try
        {
            return csv.Read();
        }
        catch (Exception fault) when (fault is not InputException)
        {
            throw Bad($"This file cannot be read as CSV after line {csv.LineNumber}.");
        }
    }

    private static string Number(double? value) => value?.ToString("0.####", CultureInfo.InvariantCulture) ?? "";

    private static string Day(DateOnly? day) => day?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) ?? "";

    /// <summary>A cell as it stands in a file: what a spreadsheet would take for a formula is marked as text.</summary>
    internal static string Plain(string text) => text.Length > 0 && Formula.Contains(text[0]) ? $"'{text}" : text;

    private static InputException Bad(string sentence) => new("not_a_stores_file", "file", null, "stores as CSV", sentence);
}
