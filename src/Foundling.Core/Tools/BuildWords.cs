using Foundling.Core.Units;

namespace Foundling.Core.Tools;

/// <summary>How a tool is built, in words.</summary>
public static class BuildWords
{
    /// <summary>What a part is made of.</summary>
    public static string Of(Material material) => material switch
    {
        Material.CastIron => "cast iron",
        Material.Steel => "steel or malleable iron",
        Material.EdgeSteel => "hardened steel",
        Material.SpringSteel => "spring steel",
        Material.Soft => "leather, cord or rubber",
        _ => material.ToString().ToLowerInvariant(),
    };

    /// <summary>The same in one word, for a choice between several.</summary>
    public static string Short(Material material) => material switch
    {
        Material.Steel => "steel",
        Material.Soft => "leather or cord",
        _ => Of(material),
    };

    /// <summary>How a part is finished.</summary>
    public static string Of(PartFinish finish) => finish.ToString().ToLowerInvariant();

    /// <summary>Where a part comes from; empty for one it was made with.</summary>
    public static string Of(PartStand stand) => stand switch
    {
        PartStand.NeverHad => "not on this one when it was made",
        PartStand.Added => "added later",
        PartStand.HomeMade => "home-made",
        PartStand.FromAnother => "from another tool",
        _ => "",
    };

    /// <summary>What an edge is like.</summary>
    public static string Of(EdgeForm edge) => edge switch
    {
        EdgeForm.BackAndBevel => "a flat back and one bevel",
        EdgeForm.Curved => "a curve, bevelled on one side",
        EdgeForm.Profiled => "the shape of the sole",
        EdgeForm.TwoBevels => "two bevels alike",
        EdgeForm.FlatFace => "one flat face, for one hand",
        EdgeForm.Burr => "filed, with a turned burr",
        EdgeForm.Toothed => "toothed by its grooved back",
        EdgeForm.Bypass => "passes a hook or anvil",
        EdgeForm.Meeting => "two that meet",
        EdgeForm.SawTeeth => "saw teeth",
        _ => "none",
    };

    /// <summary>How a joint must be treated.</summary>
    public static string Of(Joint joint) => joint switch
    {
        Joint.StaysOn => "it stays on",
        Joint.Destroyed => "opening destroys it",
        Joint.TaperedPin => "a tapered pin",
        Joint.ReverseThread => "a reverse thread",
        Joint.Sprung => "under a spring",
        Joint.LockTab => "a lock tab",
        Joint.SplitNut => "split nuts",
        Joint.Wedged => "a wedge",
        _ => "comes off as usual",
    };

    /// <summary>What a part is, in a clause: "cast iron, plated over japanned, home-made".</summary>
    public static string Of(PartDef part)
    {
        string finish = part.Under is { } under && under != part.Finish ? $"{Of(part.Finish)} over {Beneath(under)}"
            : part.Finish == PartFinish.Bare && part.Material is Material.Soft or Material.EdgeSteel or Material.SpringSteel or Material.Brass ? ""
            : Of(part.Finish);
        return string.Join(", ", new[] { Of(part.Material), finish, Of(part.Stand) }.Where(w => w.Length > 0));
    }

    /// <summary>What lies under a coat: "the japanning".</summary>
    public static string Beneath(PartFinish finish) => finish switch
    {
        PartFinish.Japanned => "the japanning",
        PartFinish.Plated => "the plating",
        PartFinish.Varnished => "the varnish",
        PartFinish.Painted => "older paint",
        PartFinish.Oiled => "oiled wood",
        _ => "bare metal or wood",
    };

    /// <summary>What a tool has otherwise than its kind, one clause each, for its papers; empty when nothing differs.</summary>
    /// <param name="kind">The kind.</param>
    /// <param name="tool">The kind as this tool has it.</param>
    public static IReadOnlyList<string> Differs(ToolKind kind, ToolKind tool) =>
    [
        .. Feature.Of(kind).Where(f => tool.Forms.TryGetValue(f.Id, out FormId form) && form != f.Usual)
            .Select(f => $"{f.Name}: {f.FormOn(tool)!.Name}"),
        .. tool.Never.Select(p => $"{Sentences.Start(p.Name)}: {Of(PartStand.NeverHad)}"),
        .. tool.Parts.Where(p => kind.Part(p.Id) is not { } usual || (usual.Material, usual.Finish, usual.Under, usual.Stand)
            != (p.Material, p.Finish, p.Under, p.Stand)).Select(p => $"{Sentences.Start(p.Name)}: {Of(p)}"),
        .. tool.Parts.Where(p => p.Spared is not null).Select(p => $"{Sentences.Start(p.Name)}: not to be touched, {Sentences.Middle(p.Spared!)}"),
    ];

    /// <summary>Materials a part of this kind was also made of; the first is its own.</summary>
    public static IReadOnlyList<Material> Others(PartDef part) => part.Material switch
    {
        Material.Brass => [Material.Brass, Material.Steel],
        Material.Steel when part.IsFastener => [Material.Steel, Material.Brass],
        Material.CastIron => [Material.CastIron, Material.Steel, Material.Brass],
        Material.Wood => [Material.Wood, Material.CastIron, Material.Soft],
        _ => [part.Material],
    };
}
