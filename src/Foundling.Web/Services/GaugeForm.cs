using System.Globalization;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using Foundling.Core;
using Foundling.Core.Gauges;
using Foundling.Core.Keys;
using Foundling.Core.Units;

namespace Foundling.Web.Services;

/// <summary>One field of a gauge.</summary>
/// <param name="Name">Its name in the open format.</param>
/// <param name="Label">Its name in words.</param>
/// <param name="Unit">Its unit, empty for a plain number.</param>
/// <param name="Choices">Words to choose from, empty for a number.</param>
/// <param name="Required">It must be filled.</param>
/// <param name="YesNo">A yes or no.</param>
/// <param name="Whole">A whole number.</param>
public sealed record GaugeField(string Name, string Label, string Unit, IReadOnlyList<string> Choices, bool Required, bool YesNo, bool Whole)
{
    /// <summary>What it means, in a line.</summary>
    public string? Means => FieldWords.Of(Name);

    /// <summary>The values on each line of a list; null for a single value.</summary>
    public IReadOnlyList<GaugeField>? Columns { get; init; }

    /// <summary>Each line of the list is bare numbers and no record of named ones.</summary>
    public bool Bare { get; init; }
}

/// <summary>Makes a form from a gauge whose input is plain numbers and words, and reads it back.</summary>
public static class GaugeForm
{
    private static readonly Dictionary<string, string> Units = new()
    {
        ["mm"] = "mm", ["mm2"] = "mm²", ["mm3"] = "mm³", ["deg"] = "°", ["ml"] = "mL", ["l"] = "L", ["g"] = "g", ["c"] = "°C", ["percent"] = "%",
            ["hours"] = "h", ["minutes"] = "min", ["a"] = "A", ["n"] = "N",
    };

    /// <summary>
    /// The fields of a gauge, or null when it needs more than plain values and lists of numbers. What may be left out and is more is left out.
    /// </summary>
    public static IReadOnlyList<GaugeField>? Fields(Gauge gauge)
    {
        ParameterInfo[] parameters = gauge.Input.GetConstructors()[0].GetParameters();
        List<GaugeField?> fields = [.. parameters.Where(p => !p.HasDefaultValue || Field(p) is not null).Select(Field)];
        return fields.TrueForAll(f => f is not null) ? [.. fields.OfType<GaugeField>()] : null;
    }

    /// <summary>A name of the open format as a label and its unit.</summary>
    public static (string Label, string Unit) Label(string name)
    {
        int at = name.LastIndexOf('_');
        return at > 0 && Units.TryGetValue(name[(at + 1)..], out string? unit)
            ? (Words.Start(name[..at].Replace('_', ' ')), unit)
            : (Words.Start(name.Replace('_', ' ')), "");
    }

    /// <summary>Reads typed values into an input; lengths take units and fractions.</summary>
    /// <exception cref="InputException">Something is no number.</exception>
    public static JsonElement Read(IReadOnlyList<GaugeField> fields, Func<string, string?> typed)
    {
        var input = new JsonObject();
        foreach (GaugeField field in fields)
        {
            string? text = typed(field.Name)?.Trim();
            if (field.Columns is not null && (field.Required || !string.IsNullOrEmpty(text)))
            {
                input[field.Name] = Rows(field, text ?? "");
            }
            else if (field.YesNo)
            {
                input[field.Name] = text is "true";
            }
            else if (string.IsNullOrEmpty(text))
            {
                if (field.Required)
                {
                    throw new InputException("required", field.Name, null, "a value", $"Fill in: {field.Label.ToLowerInvariant()}.");
                }
            }
            else if (field.Choices.Count > 0)
            {
                input[field.Name] = text;
            }
            else
            {
                input[field.Name] = Number(field, text);
            }
        }
        return JsonSerializer.SerializeToElement(input);
    }

    private static JsonNode Number(GaugeField field, string text)
    {
        double value = field.Unit == "mm" ? Length.Parse(text, field.Name)
            : double.TryParse(text.Replace(',', '.').TrimEnd('%', '°', ' '), NumberStyles.Float, CultureInfo.InvariantCulture, out double number)
                && double.IsFinite(number) ? number
            : throw new InputException("not_a_number", field.Name, text, "a number", $"\"{Shorten.To(text, 40)}\" is not a number.");
        return field.Whole && Math.Abs(value) < int.MaxValue ? (int)Math.Round(value) : value;
    }

    /// <summary>Reads a list: one row on a line, its values apart by blanks or semicolons; a list of single values may stand on one line.</summary>
    private static JsonArray Rows(GaugeField field, string text)
    {
        IReadOnlyList<GaugeField> columns = field.Columns!;
        char[] gaps = [' ', '\t', ';'];
        string[] lines = text.Split('\n', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);
        if (columns.Count == 1)
        {
            return new JsonArray([.. lines.SelectMany(l => l.Split(gaps, StringSplitOptions.RemoveEmptyEntries)).Select(v =>
                Number(columns[0] with { Name = field.Name }, v.TrimEnd(',')))]);
        }
        int least = field.Bare ? columns.Count : columns.Count(c => c.Required);
        var rows = new JsonArray();
        foreach (string line in lines)
        {
            string[] values = line.Split(gaps, StringSplitOptions.RemoveEmptyEntries);
            if (values.Length < least || values.Length > columns.Count)
            {
                throw new InputException("not_readable", field.Name, line, $"{least} to {columns.Count} values on a line",
                    $"\"{Shorten.To(line, 40)}\": write {string.Join(", ", columns.Select(c => c.Label.ToLowerInvariant()))} on each line.");
            }
            JsonNode[] read = [.. values.Select((v, i) => Number(columns[i] with { Name = field.Name }, v.TrimEnd(',')))];
            rows.Add(field.Bare ? new JsonArray(read) : (JsonNode)new JsonObject(read.Select((v, i) => KeyValuePair.Create(columns[i].Name, (JsonNode?)v))));
        }
        return rows;
    }

    private static GaugeField? Field(ParameterInfo parameter)
    {
        string name = SnakeCase.Of(parameter.Name!);
        (string label, string unit) = Label(name);
        Type type = Bare(parameter.ParameterType);
        if (IsPlain(type))
        {
            return new GaugeField(name, label, unit, type.IsEnum ? [.. Enum.GetNames(type).Select(SnakeCase.Of)] : [], !parameter.HasDefaultValue,
                type == typeof(bool), type == typeof(int));
        }
        return type.IsGenericType && type.GetGenericTypeDefinition() == typeof(IReadOnlyList<>) && Columns(name, type.GetGenericArguments()[0],
            unit) is { } columns
            ? new GaugeField(name, label, unit, [], !parameter.HasDefaultValue, false, false) { Columns = columns,
                Bare = type.GetGenericArguments()[0].IsArray }
            : null;
    }

    private static List<GaugeField>? Columns(string name, Type row, string unit)
    {
        if (row == typeof(double) || row == typeof(int))
        {
            return [new GaugeField("", "", unit, [], true, false, row == typeof(int))];
        }
        if (row == typeof(double[]))
        {
            string[] names = name.EndsWith("_px", StringComparison.Ordinal) ? ["X", "Y"] : ["Along", "Across", "Height"];
            return [.. names.Select(n => new GaugeField(n, n, unit, [], true, false, false))];
        }
        ParameterInfo[] parameters = row.IsClass && row.Namespace!.StartsWith("Foundling", StringComparison.Ordinal) ? row.GetConstructors()[0].GetParameters()
            : [];
        return parameters.Length > 0 && parameters.All(p => Bare(p.ParameterType) == typeof(double)) ? [.. parameters.Select(p => Field(p)!)] : null;
    }

    private static Type Bare(Type type) => Nullable.GetUnderlyingType(type) ?? type;

    private static bool IsPlain(Type type) => type == typeof(double) || type == typeof(int) || type == typeof(bool) || type.IsEnum;
}
