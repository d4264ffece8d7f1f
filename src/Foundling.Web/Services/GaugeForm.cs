using System.Globalization;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using Foundling.Core;
using Foundling.Core.Gauges;
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
public sealed record GaugeField(string Name, string Label, string Unit, IReadOnlyList<string> Choices, bool Required, bool YesNo, bool Whole);

/// <summary>Makes a form from a gauge whose input is plain numbers and words, and reads it back.</summary>
public static class GaugeForm
{
    private static readonly Dictionary<string, string> Units = new()
    {
        ["mm"] = "mm", ["mm2"] = "mm²", ["mm3"] = "mm³", ["deg"] = "°", ["ml"] = "mL", ["l"] = "L", ["g"] = "g", ["c"] = "°C", ["percent"] = "%", ["hours"] = "h", ["minutes"] = "min", ["a"] = "A", ["n"] = "N",
    };

    /// <summary>The fields of a gauge, or null when its input is more than plain values.</summary>
    public static IReadOnlyList<GaugeField>? Fields(Gauge gauge)
    {
        ParameterInfo[] parameters = gauge.Input.GetConstructors()[0].GetParameters();
        return parameters.All(p => IsPlain(Bare(p.ParameterType))) ? [.. parameters.Select(Field)] : null;
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
            if (field.YesNo)
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
                double value = field.Unit == "mm" ? Length.Parse(text, field.Name)
                    : double.TryParse(text.Replace(',', '.').TrimEnd('%', '°', ' '), NumberStyles.Float, CultureInfo.InvariantCulture, out double number) && double.IsFinite(number) ? number
                    : throw new InputException("not_a_number", field.Name, text, "a number", $"\"{Shorten.To(text, 40)}\" is not a number.");
                if (field.Whole && Math.Abs(value) < int.MaxValue)
                {
                    input[field.Name] = (int)Math.Round(value);
                }
                else
                {
                    input[field.Name] = value;
                }
            }
        }
        return JsonSerializer.SerializeToElement(input);
    }

    private static GaugeField Field(ParameterInfo parameter)
    {
        string name = SnakeCase.Of(parameter.Name!);
        (string label, string unit) = Label(name);
        Type type = Bare(parameter.ParameterType);
        return new GaugeField(name, label, unit, type.IsEnum ? [.. Enum.GetNames(type).Select(SnakeCase.Of)] : [], !parameter.HasDefaultValue, type == typeof(bool), type == typeof(int));
    }

    private static Type Bare(Type type) => Nullable.GetUnderlyingType(type) ?? type;

    private static bool IsPlain(Type type) => type == typeof(double) || type == typeof(int) || type == typeof(bool) || type.IsEnum;
}
