using System.Globalization;
using System.Text;
using CsvHelper;
using Foundling.Core;
using Foundling.Core.Soles;
using Foundling.Core.Units;

namespace Foundling.Data.Soles;

/// <summary>Readings from a file, and what could not be read, by line.</summary>
/// <param name="Points">Readings [x, y, height], mm.</param>
/// <param name="Faults">One sentence for each bad line.</param>
public sealed record ReadingsResult(IReadOnlyList<double[]> Points, IReadOnlyList<string> Faults);

/// <summary>Reads sole readings from CSV: three columns x, y and height, in mm unless a unit is given.</summary>
public static class ReadingsFile
{
    /// <summary>Most lines taken.</summary>
    public const int MostLines = 20_000;

    /// <summary>The readings of a survey that count, as they are read in again, mm.</summary>
    public static string Write(GridSurveyInput survey)
    {
        var text = new StringBuilder("x_mm,y_mm,height_mm\n");
        foreach (double[] p in survey.PointsMm)
        {
            text.Append(CultureInfo.InvariantCulture, $"{p[0]:0.###},{p[1]:0.###},{p[2]:0.####}\n");
        }
        return text.ToString();
    }

    /// <summary>Reads a text; a heading line is recognised and passed over.</summary>
    /// <exception cref="InputException">Nothing in it, or far too much.</exception>
    /// <param name="text">The lines.</param>
    /// <param name="heights">What a bare height is.</param>
    public static ReadingsResult Read(string text, BareUnit heights = BareUnit.Millimetres)
    {
        string clean = text.TrimStart('\uFEFF');
        using var reader = new StringReader(clean);
        using CsvReader csv = CsvText.Open(clean, reader);
        var points = new List<double[]>();
        var faults = new List<string>();
        bool first = true;
        while (csv.Read())
        {
            string[] row = [.. Enumerable.Range(0, csv.FieldCount).Select(csv.GetString)];
            long line = csv.LineNumber;
            if (line > MostLines)
            {
                throw new InputException("too_many_lines", "readings", line, $"at most {MostLines:#,0} lines",
                    $"This file has more than {MostLines:#,0} lines; a survey needs a few dozen.");
            }
            bool heading = first && row.Length >= 3 && row.All(c => !c.Any(char.IsDigit));
            first = false;
            if (heading || row.All(string.IsNullOrWhiteSpace))
            {
                continue;
            }
            if (row.Length != 3)
            {
                faults.Add($"Line {line} has {row.Length} value{(row.Length == 1 ? "" : "s")}; each line needs x, y and height.");
                continue;
            }
            var point = new double[3];
            int bad = Enumerable.Range(0, 3).Where(i => !Length.TryParse(row[i], out point[i],
                i == 2 ? heights : BareUnit.Millimetres)).DefaultIfEmpty(-1).First();
            if (bad >= 0)
            {
                faults.Add($"Line {line}: \"{row[bad].Trim()}\" in the {new[] { "x", "y", "height" }[bad]} column is not a length.");
                continue;
            }
            points.Add(point);
        }
        return points.Count == 0 && faults.Count == 0
            ? throw new InputException("no_readings", "readings", null, "lines of x, y and height",
                "There are no readings in this file. Each line needs x, y and height.")
            : new ReadingsResult(points, faults);
    }
}
