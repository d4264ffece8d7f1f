using System.Collections.Concurrent;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Foundling.Core.Keys;

/// <summary>Names of enums as they are written in files, forms and the store: small letters with a joint between words.</summary>
public static class KeyText
{
    private static readonly ConcurrentDictionary<(Type, char), (Dictionary<string, object> ByText, Dictionary<object, string> ByValue)> Known = new();

    /// <summary>A value as it is written: <c>CoatPrime</c> is coat-prime.</summary>
    /// <param name="value">One of the values of its enum.</param>
    /// <param name="joint">What stands between words.</param>
    public static string Of<T>(T value, char joint = '-')
        where T : struct, Enum => Table(typeof(T), joint).ByValue.TryGetValue(value, out string? text) ? text : "";

    /// <summary>Reads a value; null for a text that is none of them.</summary>
    /// <param name="text">The text.</param>
    /// <param name="joint">What stands between words.</param>
    public static T? Read<T>(string? text, char joint = '-')
        where T : struct, Enum => text is not null && Table(typeof(T), joint).ByText.TryGetValue(text, out object? value) ? (T)value : null;

    private static (Dictionary<string, object> ByText, Dictionary<object, string> ByValue) Table(Type type, char joint) =>
        Known.GetOrAdd((type, joint), static key =>
    {
        var values = Enum.GetValuesAsUnderlyingType(key.Item1).Cast<object>().Select(v => Enum.ToObject(key.Item1, v))
            .ToDictionary(v => v, v => SnakeCase.Of(v.ToString()!).Replace('_', key.Item2));
        return (values.ToDictionary(v => v.Value, v => v.Key), values);
    });
}

/// <summary>Writes the keys of an enum with hyphens, also as names of fields.</summary>
public sealed class KeyJson : JsonConverterFactory
{
    /// <inheritdoc />
    public override bool CanConvert(Type typeToConvert) =>
        typeToConvert.IsEnum && typeToConvert.GetCustomAttributes(typeof(JsonConverterAttribute), false) is [JsonConverterAttribute { ConverterType: { } own }]
        && own == typeof(KeyJson);

    /// <inheritdoc />
    public override JsonConverter CreateConverter(Type typeToConvert, JsonSerializerOptions options) =>
        (JsonConverter)Activator.CreateInstance(typeof(One<>).MakeGenericType(typeToConvert))!;

    private sealed class One<T> : JsonConverter<T>
        where T : struct, Enum
    {
        public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => Read(reader.GetString());

        public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) => writer.WriteStringValue(KeyText.Of(value));

        public override T ReadAsPropertyName(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => Read(reader.GetString());

        public override void WriteAsPropertyName(Utf8JsonWriter writer, T value, JsonSerializerOptions options) => writer.WritePropertyName(KeyText.Of(value));

        private static T Read(string? text) => KeyText.Read<T>(text) ?? throw new JsonException($"\"{text}\" is no {typeof(T).Name}.");
    }
}
