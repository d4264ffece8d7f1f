using System.Diagnostics.CodeAnalysis;
using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod;

/// <summary>
/// The key of a deed within its plan: which step it is, what of where there are several of that step, and which piece of it
/// where it was split. Written as <c>soak</c>, <c>find:crank_screw</c>, <c>own:3</c>, <c>apart/2</c>.
/// </summary>
/// <param name="Step">Which step.</param>
/// <param name="Of">The part it is about, or the number of a step of one's own; empty where a plan has it once.</param>
/// <param name="Piece">1 for the whole; 2 and more for pieces split off it.</param>
[JsonConverter(typeof(DeedIdJson))]
public readonly record struct DeedId(StepKey Step, string Of = "", int Piece = 1) : Keys.IKey, IParsable<DeedId>
{
    /// <summary>The key of a step a plan has once.</summary>
    public static implicit operator DeedId(StepKey step) => new(step);

    /// <summary>The deed this is a piece of; itself when it is whole.</summary>
    public DeedId Whole => this with { Piece = 1 };

    /// <summary>The name of its place on a page.</summary>
    public string Anchor => "step-" + ToString().Replace('/', '-').Replace(':', '-');

    /// <summary>Reads a key.</summary>
    /// <exception cref="InputException">No key of a step.</exception>
    public static DeedId Read(string? text) => TryParse(text, null, out DeedId id) ? id
        : throw new InputException("unknown_step", "step", text, "the key of a step", $"\"{text}\" is no step.");

    /// <inheritdoc />
    public static DeedId Parse(string s, IFormatProvider? provider) => Read(s);

    /// <inheritdoc />
    public static bool TryParse([NotNullWhen(true)] string? s, IFormatProvider? provider, out DeedId result)
    {
        result = default;
        string[] pieces = (s ?? "").Split('/');
        string[] halves = pieces[0].Split(':');
        int piece = 1;
        if (pieces.Length > 2 || halves.Length > 2 || (pieces.Length == 2 && !Number(pieces[1], out piece))
            || Keys.KeyText.Read<StepKey>(halves[0]) is not StepKey step)
        {
            return false;
        }
        result = new DeedId(step, halves.Length == 2 ? halves[1] : "", piece);
        return result.Of.Length <= 60 && result.Of.All(c => char.IsAsciiLetterOrDigit(c) || c == '_');
    }

    private static bool Number(string text, out int number) =>
        int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out number) && number is > 1 and < 1000;

    /// <inheritdoc />
    public override string ToString() => string.Create(CultureInfo.InvariantCulture,
        $"{Keys.KeyText.Of(Step)}{(Of.Length > 0 ? ":" + Of : "")}{(Piece > 1 ? $"/{Piece}" : "")}");
}

/// <summary>Writes keys of deeds as text.</summary>
public sealed class DeedIdJson : JsonConverter<DeedId>
{
    /// <inheritdoc />
    public override DeedId Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        DeedId.TryParse(reader.GetString(), null, out DeedId id) ? id : throw new JsonException("That is no key of a step.");

    /// <inheritdoc />
    public override void Write(Utf8JsonWriter writer, DeedId value, JsonSerializerOptions options) => writer.WriteStringValue(value.ToString());
}
