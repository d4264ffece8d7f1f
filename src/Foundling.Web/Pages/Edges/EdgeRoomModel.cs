using Foundling.Core.State;
using Foundling.Core.Tools;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Services;

namespace Foundling.Web.Pages.Edges;

/// <summary>A bench of the room of edges: for a tag, which fills it in, or for anything.</summary>
public abstract class EdgeRoomModel(ShopDesk shop, TagBook tags, ViewUnits units, TimeProvider time) : TagBenchModel(shop, tags, units, time)
{
    /// <summary>The benches of the room: address, name, and the tools that have something to do there.</summary>
    private static readonly (string Address, string Name, Func<ToolKind, bool> For)[] Benches =
    [
        ("/edges", "Edge", EdgeFacts.HasSection), ("/edges/blade", "Blade", EdgeFacts.IsBlade), ("/edges/mouth", "Mouth", EdgeFacts.HasMouth),
        ("/edges/stones", "Stones", EdgeFacts.IsHoned), ("/edges/cutters", "Cutters", t => t.Edge is EdgeForm.Meeting or EdgeForm.Bypass),
    ];

    /// <summary>True for a tool that has something to do in this room.</summary>
    public static bool Suits(ToolKind tool) => Benches.Any(b => b.For(tool));

    /// <summary>The benches of the room, those of the tag where there is one: address, name, and whether it is this one.</summary>
    public IEnumerable<(string Address, string Name, bool Current)> Room => Benches.Where(b => Of is null || b.For(Of.Tool()))
        .Select(b => (Of is null ? b.Address : $"{b.Address}?tag={Of.Number}", b.Name, b.Address == Here));

    /// <inheritdoc />
    protected override bool Fits(ToolKind tool) => Suits(tool);

    /// <inheritdoc />
    protected override string? Elsewhere(ToolKind tool)
    {
        // A page beside the benches suits what has one of them.
        bool suits = !Benches.Any(b => b.Address == Here) || Benches.First(b => b.Address == Here).For(tool);
        return suits ? null : $"{Benches.First(b => b.For(tool)).Address}?tag={Number}";
    }
}
