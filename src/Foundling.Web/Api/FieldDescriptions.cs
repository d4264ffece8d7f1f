using Foundling.Core.Gauges;
using Foundling.Web.Services;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Foundling.Web.Api;

/// <summary>Says in the description of the API what a field is where its own comment does not: what the gauge says of it, or its name, and its unit.</summary>
internal sealed class FieldDescriptions : IOpenApiSchemaTransformer
{
    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        foreach ((string name, IOpenApiSchema field) in schema.Properties ?? new Dictionary<string, IOpenApiSchema>())
        {
            if (field is OpenApiSchema { Description: null or "" } own)
            {
                (string label, string unit) = GaugeForm.Label(name);
                own.Description = $"{Words.Start(FieldWords.Of(name) ?? label)}{(unit.Length > 0 ? $", {unit}" : "")}.";
            }
        }
        return Task.CompletedTask;
    }
}
