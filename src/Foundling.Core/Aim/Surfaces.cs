using System.Text.Json;
using System.Text.Json.Serialization;
using Foundling.Core.Keys;

namespace Foundling.Core.Aim;

/// <summary>An original surface a step may cost.</summary>
public enum SurfaceId
{
    /// <summary>The skin of age on iron.</summary>
    Patina,

    /// <summary>Part of that skin.</summary>
    SomePatina,

    /// <summary>The coating of the works.</summary>
    Coating,

    /// <summary>Lines of the machine on working faces.</summary>
    Machining,

    /// <summary>The finish of the works on wood.</summary>
    WoodFinish,

    /// <summary>The brown of use on brass.</summary>
    Brass,

    /// <summary>A joint made at the works.</summary>
    Joint,

    /// <summary>The whole shell of a body that is drilled into.</summary>
    Shell,

    /// <summary>The edge as its last user left it, when it is ground or filed back.</summary>
    Edge,

    /// <summary>A wooden sole as it was worn.</summary>
    WornSole,
}

/// <summary>What original surfaces are called, and how much of a tool's surface worth each is.</summary>
public static class Surfaces
{
    private static readonly Dictionary<SurfaceId, string> Words = new()
    {
        [SurfaceId.Patina] = "patina",
        [SurfaceId.SomePatina] = "some patina",
        [SurfaceId.Coating] = "the original coating",
        [SurfaceId.Machining] = "machining marks",
        [SurfaceId.WoodFinish] = "the old finish on the wood",
        [SurfaceId.Brass] = "the brown of use on brass",
        [SurfaceId.Joint] = "a joint made at the works",
        [SurfaceId.Shell] = "two holes in the shell",
        [SurfaceId.Edge] = "the edge as it came",
        [SurfaceId.WornSole] = "the sole as it was worn",
    };

    /// <summary>What is lost, in words.</summary>
    public static string Name(SurfaceId surface) => Words[surface];

    /// <summary>Reads a key, or the words older plans name a surface by; null for neither.</summary>
    public static SurfaceId? Read(string? text) =>
        KeyText.Read<SurfaceId>(text) ?? Words.Where(w => w.Value == text).Select(w => (SurfaceId?)w.Key).FirstOrDefault();

    /// <summary>Share of the original surface each stands for; assumptions.</summary>
    public static double Share(SurfaceId surface, Assumptions a) => surface switch
    {
        SurfaceId.Patina => a.SurfacePatina,
        SurfaceId.SomePatina => a.SurfacePatina / 2,
        SurfaceId.Coating => a.SurfaceCoating,
        SurfaceId.Machining or SurfaceId.WornSole => a.SurfaceMachining,
        SurfaceId.Edge => a.SurfaceEdge,
        SurfaceId.WoodFinish => a.SurfaceWood,
        SurfaceId.Brass => a.SurfaceBrass,
        SurfaceId.Joint => a.SurfaceJoint,
        _ => 0,
    };
}

/// <summary>Writes a surface by its key and reads it by its key or by the words of older plans.</summary>
public sealed class SurfaceJson : JsonConverter<SurfaceId>
{
    /// <inheritdoc />
    public override SurfaceId Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        Surfaces.Read(reader.GetString()) ?? throw new JsonException("It names a surface the program does not know.");

    /// <inheritdoc />
    public override void Write(Utf8JsonWriter writer, SurfaceId value, JsonSerializerOptions options) => writer.WriteStringValue(KeyText.Of(value));
}
