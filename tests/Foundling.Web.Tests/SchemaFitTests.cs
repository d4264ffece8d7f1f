using System.IO.Compression;
using System.Text.Json.Nodes;

namespace Foundling.Web.Tests;

/// <summary>What the shop hands out fits the schema in docs.</summary>
public sealed class SchemaFitTests(DemoHost host) : IClassFixture<DemoHost>
{
    /// <summary>Where a document says something its schema does not, in paths.</summary>
    private static IEnumerable<string> Misfits(JsonNode? node, JsonObject root, JsonNode? schema, string at)
    {
        if (schema is not JsonObject s)
        {
            return [];
        }
        if (s["$ref"]?.GetValue<string>() is { } to)
        {
            return Misfits(node, root, to[2..].Split('/').Aggregate((JsonNode?)root, (n, key) => n![key]), at);
        }
        return node switch
        {
            JsonObject o when s["properties"] is JsonObject known =>
                o.SelectMany(p => known.ContainsKey(p.Key) ? Misfits(p.Value, root, known[p.Key], $"{at}.{p.Key}") : [$"{at}.{p.Key} is unknown"])
                .Concat((s["required"]?.AsArray() ?? []).Where(r => !o.ContainsKey(r!.GetValue<string>())).Select(r => $"{at}.{r} is required")),
            JsonObject o => o.SelectMany(p => Misfits(p.Value, root, s["additionalProperties"], $"{at}.{p.Key}")),
            JsonArray list => list.SelectMany((n, i) => Misfits(n, root, s["items"], $"{at}[{i}]")),
            JsonValue v when s["enum"] is JsonArray words => words.Any(w => JsonNode.DeepEquals(w, v)) ? [] : [$"{at} is {v}"],
            _ => [],
        };
    }

    [Theory]
    [InlineData(20)]
    [InlineData(24)]
    [InlineData(28)]
    [InlineData(31)]
    [InlineData(38)]
    public async Task A_bundle_fits_the_schema(int number)
    {
        JsonObject schema = JsonNode.Parse(await File.ReadAllTextAsync(Tree.Path("docs", "tag-bundle.schema.json"),
            TestContext.Current.CancellationToken))!.AsObject();
        HttpResponseMessage answer = await host.Visit().Get($"/tag/{number}/papers?handler=Bundle");
        using var zip = new ZipArchive(await answer.Content.ReadAsStreamAsync(TestContext.Current.CancellationToken));
        await using Stream document = await zip.GetEntry("tag.json")!.OpenAsync(TestContext.Current.CancellationToken);
        JsonNode bundle = (await JsonNode.ParseAsync(document, cancellationToken: TestContext.Current.CancellationToken))!;
        bundle["version"]!.GetValue<int>().ShouldBe(2);
        bundle["tag"]!["plan"]!["deeds"]!.AsArray().Count.ShouldBeGreaterThan(5);
        Misfits(bundle, schema, schema, "bundle").ShouldBeEmpty();
        // And what does not belong is seen.
        bundle["tag"]!["plan"]!["deeds"]![0]!["sharpness"] = 3;
        Misfits(bundle, schema, schema, "bundle").ShouldBe(["bundle.tag.plan.deeds[0].sharpness is unknown"]);
    }
}
