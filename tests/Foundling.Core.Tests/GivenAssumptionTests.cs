using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using Foundling.Core.Gauges;
using Foundling.Core.Keys;
using Foundling.Core.Origin;

namespace Foundling.Core.Tests;

/// <summary>What is assumed can be given with a question, and nothing given is ignored.</summary>
public sealed class GivenAssumptionTests
{
    private static readonly PropertyInfo[] Constants = [.. typeof(Assumptions).GetProperties().Where(p =>
        p.GetCustomAttribute<AssumedAttribute>() is not null)];

    private static readonly GaugeContext Context = new(Assumptions.Standard, new PatternBook([], []));

    public static TheoryData<string, string> Gauges() => [.. GaugeCatalogue.All.Select(g => (g.File, g.Calculation))];

    private static IEnumerable<JsonElement> Inputs(Gauge gauge) => WorkedExamples.Of(gauge.File).Select(e => e.GetProperty("input")).Where(i =>
        i.GetProperty("calculation").GetString() == gauge.Calculation).Select(WorkedExamples.WithBook);

    private static string Run(Gauge gauge, JsonElement input, GaugeContext context)
    {
        try
        {
            return JsonSerializer.Serialize(GaugeCatalogue.Run(gauge, input, context), gauge.Output, OpenJson.Options);
        }
        catch (InputException fault)
        {
            return $"{fault.ErrorKey}: {fault.Message}";
        }
    }

    /// <summary>Every constant that changes an answer can be given by its name and then changes it in the same way.</summary>
    [Theory]
    [MemberData(nameof(Gauges))]
    public void Each_constant_in_use_is_taken_by_name(string file, string calculation)
    {
        Gauge gauge = GaugeCatalogue.Find(file, calculation)!;
        foreach (JsonElement input in Inputs(gauge).Take(8))
        {
            string standard = Run(gauge, input, Context);
            foreach (PropertyInfo constant in Constants)
            {
                Assumptions other = Assumptions.Standard with { };
                object value = constant.PropertyType == typeof(int) ? (object)((int)constant.GetValue(other)! + 1) : (double)constant.GetValue(other)! * 0.7;
                constant.SetValue(other, value);
                string changed = Run(gauge, input, Context with { Assumptions = other });
                if (changed == standard)
                {
                    continue;
                }
                gauge.Uses.ShouldContain(constant.Name, $"{gauge.Path} depends on it");
                JsonObject with = JsonNode.Parse(input.GetRawText())!.AsObject();
                with[SnakeCase.Of(constant.Name)] = JsonValue.Create(value is int whole ? whole : (double)value);
                Run(gauge, JsonSerializer.SerializeToElement(with), Context).ShouldBe(changed, constant.Name);
            }
        }
    }

    [Theory]
    [MemberData(nameof(Gauges))]
    public void A_key_nobody_knows_is_refused_by_name(string file, string calculation)
    {
        Gauge gauge = GaugeCatalogue.Find(file, calculation)!;
        JsonObject with = JsonNode.Parse((Inputs(gauge).FirstOrDefault() is { ValueKind: JsonValueKind.Object } some ? some
            : JsonSerializer.SerializeToElement(new { })).GetRawText())!.AsObject();
        with["sharpness"] = 3;
        InputException fault = Should.Throw<InputException>(() => GaugeCatalogue.Run(gauge, JsonSerializer.SerializeToElement(with), Context));
        fault.ErrorKey.ShouldBe("unknown_key");
        fault.Sentence.ShouldContain("\"sharpness\"");
        fault.Details["unknown_key"].ShouldBe("sharpness");
    }

    [Fact]
    public void Keys_inside_are_judged_too_and_constants_must_be_numbers()
    {
        Gauge backs = GaugeCatalogue.Find("edges", "save_the_back")!;
        string Said(string json) => Should.Throw<InputException>(() => GaugeCatalogue.Run(backs, JsonDocument.Parse(json).RootElement, Context)).ErrorKey;
        const string Sound = """{"width_mm":50,"thickness_mm":2,"bevel_deg":25,"reserve_mm":30,"pits":[{"depth_mm":0.1,"far_side_mm":3}]""";
        Said(Sound.Replace("far_side_mm", "far_mm", StringComparison.Ordinal) + "}").ShouldBe("unknown_key");
        Said(Sound + ""","loss_per_honing_mm":"much"}""").ShouldBe("out_of_range");
        Said(Sound + ""","loss_per_honing_mm":-1}""").ShouldBe("out_of_range");
        Said(Sound + ""","calculation":"bevel"}""").ShouldBe("unknown_key");
        var quick = (Edges.SaveTheBackResult)GaugeCatalogue.Run(backs,
            JsonDocument.Parse(Sound + ""","grind_on":"belt","loss_per_honing_mm":0.2,"calculation":"save_the_back"}""").RootElement, Context);
        var usual = (Edges.SaveTheBackResult)GaugeCatalogue.Run(backs, JsonDocument.Parse(Sound + "}").RootElement, Context);
        quick.Ways["grind_back"].Minutes.ShouldBeLessThan(usual.Ways["grind_back"].Minutes);
        quick.Ways["lap"].SharpeningsLeft.ShouldBeLessThan(usual.Ways["lap"].SharpeningsLeft);
    }

    [Fact]
    public void A_bevel_is_answered_from_its_face_from_its_angle_or_both()
    {
        Edges.Edge.Bevel(new(2.2, null, 25)).BevelFaceMm!.Value.ShouldBe(5.2056, 1e-3);
        Edges.Edge.Bevel(new(2.2, null, 25)).BevelDeg.ShouldBeNull();
        Edges.BevelResult both = Edges.Edge.Bevel(new(2.2, 5.2, 30));
        (both.BevelDeg!.Value, both.BevelFaceMm!.Value).ShouldSatisfyAllConditions(x => x.Item1.ShouldBe(25.029, 1e-3), x => x.Item2.ShouldBe(4.4, 1e-9));
        Should.Throw<InputException>(() => Edges.Edge.Bevel(new(2.2))).ErrorKey.ShouldBe("required");
    }
}
