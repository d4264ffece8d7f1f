using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod;

/// <summary>Plans as they are written and read, in one place.</summary>
public static class PlanText
{
    private static readonly JsonSerializerOptions Json = new(OpenJson.Options)
    {
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull, TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { LeaveOutNothings } },
    };

    /// <summary>What says nothing is not written: most deeds have no block, no lag, no price in surface.</summary>
    private static void LeaveOutNothings(JsonTypeInfo type)
    {
        foreach (JsonPropertyInfo property in type.Properties.Where(p => p.AssociatedParameter is not { HasDefaultValue: false }))
        {
            property.ShouldSerialize = static (_, value) => value is not (null or "" or false or 0.0 or System.Collections.ICollection { Count: 0 }
                or StepHand.Rule);
        }
    }

    /// <summary>The document of a plan.</summary>
    public static string Write(Plan plan) => JsonSerializer.Serialize(plan, Json);

    /// <summary>Reads the document of a plan.</summary>
    /// <exception cref="JsonException">It is no plan.</exception>
    public static Plan Read(string document) => JsonSerializer.Deserialize<Plan>(document, Json) ?? throw new JsonException("There is no plan in it.");
}
