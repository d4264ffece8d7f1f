using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using Foundling.Data.Papers;
using Foundling.Data.Papers.Format;

namespace Foundling.Data.Tests;

/// <summary>The schema of the tag bundle in docs is the one the program writes and reads by.</summary>
public sealed class SchemaTests
{
    private const string Name = "docs/tag-bundle.schema.json";

    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true, IndentSize = 1 };

    /// <summary>Keys and enums are written by converters, which a schema cannot look into; they are words.</summary>
    private static JsonNode Worded(JsonSchemaExporterContext context, JsonNode schema) =>
        schema.GetValueKind() == JsonValueKind.True ? new JsonObject { ["type"] = "string" } : schema;

    [Fact]
    public void The_schema_in_docs_is_that_of_the_bundle()
    {
        JsonNode schema = BundleDesk.Json.GetJsonSchemaAsNode(typeof(TagDocument),
            new JsonSchemaExporterOptions { TreatNullObliviousAsNonNullable = true, TransformSchemaNode = Worded });
        string path = Tree.Path(Name), text = schema.ToJsonString(Indented) + "\n";
        if (Environment.GetEnvironmentVariable("FOUNDLING_WRITE_SCHEMA") is not null)
        {
            File.WriteAllText(path, text);
        }
        File.ReadAllText(path).ShouldBe(text,
            $"write it anew with FOUNDLING_WRITE_SCHEMA=1, and raise the version when what was written before is read otherwise: {Name}");
    }
}
