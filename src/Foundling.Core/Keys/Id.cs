using System.Diagnostics.CodeAnalysis;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Foundling.Core.Keys;

/// <summary>A key: what it stands for is elsewhere, and its text is all there is to it.</summary>
public interface IKey
{
    /// <summary>The key as it is written.</summary>
    string ToString();
}

/// <summary>
/// The key of something that is listed elsewhere: a part, a kind, a supply. It is no text: a key of one thing cannot stand
/// where a key of another is wanted, and a rule names it by its constant. Text becomes a key only by <see cref="Of"/>, where
/// it comes from a file, a form or the store.
/// </summary>
/// <typeparam name="T">What it is the key of.</typeparam>
/// <param name="text">The key as it is written.</param>
[JsonConverter(typeof(IdJson))]
[SuppressMessage("Design", "CA1000", Justification = "Called by the names PartId, KindId and SupplyId, which say what they are keys of.")]
public readonly struct Id<T>(string? text) : IKey, IEquatable<Id<T>>, IComparable<Id<T>>, IParsable<Id<T>>
{
    private readonly string? _text = text;

    /// <summary>No key at all.</summary>
    public static Id<T> None => default;

    /// <summary>The key as it is written in files, forms and the store; empty for none.</summary>
    public string Value => _text ?? "";

    /// <summary>True when there is no key.</summary>
    public bool IsNone => Value.Length == 0;

    /// <summary>The key that is written so; whether anything has it is for the list of those things to say.</summary>
    public static Id<T> Of(string? text) => new(text);

    /// <summary>True when it is one of these.</summary>
    public bool Is(params ReadOnlySpan<Id<T>> any)
    {
        foreach (Id<T> one in any)
        {
            if (Equals(one))
            {
                return true;
            }
        }
        return false;
    }

    /// <inheritdoc />
    public static Id<T> Parse(string s, IFormatProvider? provider) => new(s);

    /// <inheritdoc />
    public static bool TryParse([NotNullWhen(true)] string? s, IFormatProvider? provider, out Id<T> result)
    {
        result = new(s);
        return s is not null;
    }

    /// <inheritdoc />
    public bool Equals(Id<T> other) => string.Equals(Value, other.Value, StringComparison.Ordinal);

    /// <inheritdoc />
    public override bool Equals(object? obj) => obj is Id<T> other && Equals(other);

    /// <inheritdoc />
    public override int GetHashCode() => Value.GetHashCode(StringComparison.Ordinal);

    /// <inheritdoc />
    public int CompareTo(Id<T> other) => string.CompareOrdinal(Value, other.Value);

    /// <inheritdoc />
    public override string ToString() => Value;

    /// <summary>The same key.</summary>
    public static bool operator ==(Id<T> left, Id<T> right) => left.Equals(right);

    /// <summary>Another key.</summary>
    public static bool operator !=(Id<T> left, Id<T> right) => !left.Equals(right);

    /// <summary>Before in the order of letters.</summary>
    public static bool operator <(Id<T> left, Id<T> right) => left.CompareTo(right) < 0;

    /// <summary>Before in the order of letters, or the same.</summary>
    public static bool operator <=(Id<T> left, Id<T> right) => left.CompareTo(right) <= 0;

    /// <summary>Behind in the order of letters.</summary>
    public static bool operator >(Id<T> left, Id<T> right) => left.CompareTo(right) > 0;

    /// <summary>Behind in the order of letters, or the same.</summary>
    public static bool operator >=(Id<T> left, Id<T> right) => left.CompareTo(right) >= 0;
}

/// <summary>Writes keys as plain text, also as names of fields.</summary>
public sealed class IdJson : JsonConverterFactory
{
    /// <inheritdoc />
    public override bool CanConvert(Type typeToConvert) => typeToConvert.IsGenericType && typeToConvert.GetGenericTypeDefinition() == typeof(Id<>);

    /// <inheritdoc />
    public override JsonConverter CreateConverter(Type typeToConvert, JsonSerializerOptions options) =>
        (JsonConverter)Activator.CreateInstance(typeof(One<>).MakeGenericType(typeToConvert.GetGenericArguments()))!;

    private sealed class One<T> : JsonConverter<Id<T>>
    {
        public override Id<T> Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => reader.TokenType == JsonTokenType.String
            ? new(reader.GetString()) : throw new JsonException("A key is written as text.");

        public override void Write(Utf8JsonWriter writer, Id<T> value, JsonSerializerOptions options) => writer.WriteStringValue(value.Value);

        public override Id<T> ReadAsPropertyName(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => new(reader.GetString());

        public override void WriteAsPropertyName(Utf8JsonWriter writer, Id<T> value, JsonSerializerOptions options) => writer.WritePropertyName(value.Value);
    }
}
