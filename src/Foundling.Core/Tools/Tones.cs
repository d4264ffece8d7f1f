using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using System.Xml.Linq;

namespace Foundling.Core.Tools;

/// <summary>How a drawing follows the build of a tool: parts it never had are left out, others have the colour of what they are made of.</summary>
public static class Tones
{
    private static readonly HashSet<string> All =
        ["cast", "iron", "steel", "dark-steel", "brass", "rosewood", "beech", "ash", "leather", "cord", "paint"];

    private static readonly ConditionalWeakTable<ToolKind, ConcurrentDictionary<Profile, Profile>> Known = new();

    /// <summary>True for the name of a colour of the drawings.</summary>
    public static bool IsTone(string name) => All.Contains(name);

    /// <summary>The colour of a part by what it is made of and how it is finished.</summary>
    public static string Of(PartDef part) => (part.Material, part.Finish) switch
    {
        (_, PartFinish.Painted) => "paint",
        (_, PartFinish.Japanned) => "cast",
        (_, PartFinish.Plated) => "steel",
        (Material.CastIron, _) => "iron",
        (Material.Brass, _) => "brass",
        (Material.Wood, PartFinish.Varnished) => "rosewood",
        (Material.Wood, _) => "beech",
        (Material.Soft, _) => "leather",
        _ => "steel",
    };

    /// <summary>A drawing as this tool is built.</summary>
    /// <param name="profile">The drawing of its kind, at its size.</param>
    /// <param name="tool">The kind as this tool has it.</param>
    public static Profile Dressed(this Profile profile, ToolKind tool)
    {
        ToolKind kind = ToolCatalogue.Kind(profile.Kind);
        return ReferenceEquals(kind, tool) ? profile : Known.GetOrCreateValue(tool).GetOrAdd(profile, p => p.Toned(
            [.. tool.Never.Select(n => n.Id)],
            tool.Parts.Where(t => kind.Part(t.Id) is { } usual && (usual.Material, usual.Finish) != (t.Material, t.Finish)).ToDictionary(t => t.Id, Of)));
    }

    /// <summary>A drawing without some parts, and with others in another colour.</summary>
    /// <param name="profile">The drawing.</param>
    /// <param name="without">Parts that are left out.</param>
    /// <param name="tones">Colours of parts, by their names; only what has the main colour of a part changes.</param>
    public static Profile Toned(this Profile profile, IReadOnlyCollection<PartId> without, IReadOnlyDictionary<PartId, string> tones) => profile with
    {
        Parts = [.. profile.Parts.Where(p => !without.Contains(p.Part)).Select(p => tones.TryGetValue(p.Part, out string? tone) ? Coloured(p, tone) : p)],
        Without = without, Tones = tones,
    };

    /// <summary>Gives another colour to what has the main colour of a part.</summary>
    /// <param name="classes">The classes of its shapes, back to front.</param>
    /// <param name="tone">The colour.</param>
    internal static void Colour(IEnumerable<XAttribute> classes, string tone)
    {
        List<XAttribute> all = [.. classes];
        string? main = all.Select(c => ToneOf(c.Value)).FirstOrDefault(t => t is not null);
        all.Where(c => main is not null && ToneOf(c.Value) == main).ToList().ForEach(c => c.Value = tone + c.Value[main!.Length..]);
    }

    private static string? ToneOf(string shape) => shape.Split(' ')[0] is var first && All.Contains(first) ? first : null;

    /// <summary>The main colour of a part that is drawn; null where it has none.</summary>
    internal static string? Main(DrawnPart part) => part.Shapes.Select(s => ToneOf(s.Class)).FirstOrDefault(t => t is not null);

    private static DrawnPart Coloured(DrawnPart part, string tone)
    {
        string? main = Main(part);
        return main is null ? part : part with
        {
            Shapes = [.. part.Shapes.Select(s => ToneOf(s.Class) == main ? s with { Class = tone + s.Class[main.Length..] } : s)],
        };
    }
}
