using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using System.Text;
using Foundling.Core.Keys;
using Foundling.Core.Rod;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using Foundling.Data.Papers;
using Foundling.Data.Papers.Format;

namespace Foundling.Data.Tests;

/// <summary>What stands in docs of formats and rules is what the program reads, writes and plans by.</summary>
public sealed class SchemaTests
{
    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true, IndentSize = 1 };

    /// <summary>Keys and enums are written by converters, which a schema cannot look into; they are words.</summary>
    private static JsonNode Worded(JsonSchemaExporterContext context, JsonNode schema) =>
        schema.GetValueKind() == JsonValueKind.True ? new JsonObject { ["type"] = "string" } : schema;

    [Fact]
    public void The_schema_in_docs_is_that_of_the_bundle() => Written("docs/tag-bundle.schema.json",
        Schema(BundleDesk.Json, typeof(TagDocument)).ToJsonString(Indented) + "\n");

    [Fact]
    public void The_schema_in_docs_is_that_of_a_kind_file() => Written("docs/kind.schema.json",
        Schema(OpenJson.Options, typeof(KindFile)).ToJsonString(Indented) + "\n");

    [Fact]
    public void The_list_of_rules_in_docs_is_that_of_the_book()
    {
        var text = new StringBuilder("# What each rule reads\n\nA rule gives its steps when all of this holds. Rules ask what a tool has and how it works, "
            + "never what its kind is "
            + "called;\nthe words are those the program shows on *Why this plan*.\n");
        foreach ((string name, IReadOnlyList<PlanRule> rules) in Planner.Rooms)
        {
            text.Append($"\n## {name}\n\n| rule | holds when |\n|---|---|\n");
            foreach (PlanRule rule in rules)
            {
                text.Append($"| {rule.Name} | {string.Join("; ", rule.When.Select(c => c.Words.Replace("|", "/", StringComparison.Ordinal)))} |\n");
            }
        }
        Written("docs/rules.md", text.ToString());
        Planner.Rules.SelectMany(r => r.When).Select(c => c.Words.ToLowerInvariant()).ShouldAllBe(w => ToolCatalogue.Kinds.All(k =>
            !w.Contains($"is a {k.Name.ToLowerInvariant()}")));
    }

    private static JsonNode Schema(JsonSerializerOptions options, Type type) => options.GetJsonSchemaAsNode(type,
        new JsonSchemaExporterOptions { TreatNullObliviousAsNonNullable = true, TransformSchemaNode = Worded });

    internal static void Written(string name, string text)
    {
        string path = Tree.Path(name);
        if (Environment.GetEnvironmentVariable("FOUNDLING_WRITE_SCHEMA") is not null)
        {
            Directory.CreateDirectory(Path.GetDirectoryName(path)!);
            File.WriteAllText(path, text);
        }
        File.ReadAllText(path).ShouldBe(text,
            $"write it anew with FOUNDLING_WRITE_SCHEMA=1, and raise the version when what was written before is read otherwise: {name}");
    }
}
