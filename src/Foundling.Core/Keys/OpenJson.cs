using System.Text.Json;
using System.Text.Json.Serialization;

namespace Foundling.Core.Keys;

/// <summary>How everything is written in the open formats: fields and words in small letters with joints, keys as text.</summary>
public static class OpenJson
{
    /// <summary>The settings of all of them.</summary>
    public static JsonSerializerOptions Options { get; } = Make();

    private static JsonSerializerOptions Make()
    {
        var policy = new SnakeCase();
        var options = new JsonSerializerOptions
        {
            PropertyNamingPolicy = policy,
            RespectRequiredConstructorParameters = true,
            RespectNullableAnnotations = true,
            Converters = { new KeyJson(), new JsonStringEnumConverter(policy, allowIntegerValues: false) },
        };
        options.MakeReadOnly(populateMissingResolver: true);
        return options;
    }
}
