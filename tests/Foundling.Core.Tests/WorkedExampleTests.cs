using System.Text.Json;
using Foundling.Core.Gauges;
using Foundling.Core.Keys;
using Foundling.Core.Origin;

namespace Foundling.Core.Tests;

/// <summary>Runs every worked example through the gauge of its name.</summary>
public sealed class WorkedExampleTests
{
    public static TheoryData<string, string> Examples()
    {
        var rows = new TheoryData<string, string>();
        foreach (string file in WorkedExamples.Files)
        {
            foreach (JsonElement example in WorkedExamples.Of(file))
            {
                string calculation = example.GetProperty("input").GetProperty("calculation").GetString()!;
                if (GaugeCatalogue.Find(file, calculation) is not null)
                {
                    rows.Add(file, example.GetProperty("name").GetString()!);
                }
            }
        }
        return rows;
    }

    [Theory]
    [MemberData(nameof(Examples))]
    public void Agrees_with_the_worked_example(string file, string name)
    {
        JsonElement example = WorkedExamples.Of(file).First(e => e.GetProperty("name").GetString() == name);
        JsonElement input = WorkedExamples.WithBook(example.GetProperty("input"));
        Gauge gauge = GaugeCatalogue.Find(file, input.GetProperty("calculation").GetString()!)!;
        JsonElement expected = example.GetProperty("expected");
        var context = new GaugeContext(Assumptions.Standard, new PatternBook([], []));

        if (expected.TryGetProperty("error", out JsonElement error))
        {
            InputException fault = Should.Throw<InputException>(() => GaugeCatalogue.Run(gauge, input, context));
            fault.ErrorKey.ShouldBe(error.GetString());
            foreach (JsonProperty detail in expected.EnumerateObject().Where(p => p.Name != "error"))
            {
                Convert.ToDouble(fault.Details[detail.Name]).ShouldBe(detail.Value.GetDouble(), 1e-6);
            }
            return;
        }
        JsonElement actual = JsonSerializer.SerializeToElement(GaugeCatalogue.Run(gauge, input, context), OpenJson.Options);
        WorkedExamples.Compare(expected, actual, example.GetProperty("tolerance"), "").ShouldBeEmpty();
    }

    [Fact]
    public void Every_room_built_so_far_is_covered() =>
        Examples().Select(r => r.Data.Item1).Distinct().Order().ShouldBe(["baths", "dating", "edges", "grits", "pace", "proof", "rod", "saws", "sole", "state",
          "worth"]);
}

/// <summary>Reads the worked examples and compares results with them.</summary>
public static class WorkedExamples
{
    public static IEnumerable<string> Files =>
        Directory.GetFiles(Path.Combine(AppContext.BaseDirectory, "worked-examples"), "*.json").Select(f => Path.GetFileNameWithoutExtension(f)!).Order();

    public static List<JsonElement> Of(string file)
    {
        using JsonDocument document = JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "worked-examples", file + ".json")));
        return [.. document.RootElement.EnumerateArray().Select(e => e.Clone())];
    }

    /// <summary>Puts the book itself where an input only names it.</summary>
    public static JsonElement WithBook(JsonElement input)
    {
        if (!input.TryGetProperty("pattern_book", out JsonElement named))
        {
            return input;
        }
        JsonElement book = Of("dating").First(e => e.GetProperty("name").GetString() == named.GetString()).GetProperty("input");
        var whole = input.EnumerateObject().Where(p => p.Name != "pattern_book").ToDictionary(p => p.Name, p => (object)p.Value);
        whole["pattern_book"] = new { traits = book.GetProperty("traits"), lines = book.GetProperty("lines") };
        return JsonSerializer.SerializeToElement(whole);
    }

    public static List<string> Compare(JsonElement expected, JsonElement actual, JsonElement tolerance, string path)
    {
        var faults = new List<string>();
        switch (expected.ValueKind)
        {
            case JsonValueKind.Object:
                foreach (JsonProperty p in expected.EnumerateObject())
                {
                    if (actual.ValueKind != JsonValueKind.Object || !actual.TryGetProperty(p.Name, out JsonElement value))
                    {
                        faults.Add($"{path}.{p.Name} is missing");
                        continue;
                    }
                    JsonElement here = tolerance.TryGetProperty("per_key", out JsonElement keys) && keys.TryGetProperty(p.Name, out JsonElement own) ? own
                        : tolerance;
                    faults.AddRange(Compare(p.Value, value, here, $"{path}.{p.Name}"));
                }
                break;
            case JsonValueKind.Array:
                if (actual.ValueKind != JsonValueKind.Array || actual.GetArrayLength() != expected.GetArrayLength())
                {
                    faults.Add($"{path} wanted {expected}, got {actual}");
                    break;
                }
                for (int i = 0; i < expected.GetArrayLength(); i++)
                {
                    faults.AddRange(Compare(expected[i], actual[i], tolerance, $"{path}[{i}]"));
                }
                break;
            case JsonValueKind.Number:
                double allowed = tolerance.GetProperty("absolute").GetDouble() + (tolerance.GetProperty("relative")
                    .GetDouble() * Math.Abs(expected.GetDouble()));
                if (actual.ValueKind != JsonValueKind.Number || !(Math.Abs(actual.GetDouble() - expected.GetDouble()) <= allowed))
                {
                    faults.Add($"{path} wanted {expected}, got {actual}");
                }
                break;
            default:
                if (actual.ToString() != expected.ToString() || actual.ValueKind != expected.ValueKind)
                {
                    faults.Add($"{path} wanted {expected}, got {actual}");
                }
                break;
        }
        return faults;
    }
}
