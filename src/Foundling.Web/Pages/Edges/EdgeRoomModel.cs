using Foundling.Core;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Edges;

/// <summary>A bench of the room of edges: for a tag, which fills it in, or for anything.</summary>
public abstract class EdgeRoomModel(ShopDesk shop, TagBook tags) : BenchPageModel
{
    /// <summary>The benches of the room: address, name, and the tools that have something to do there.</summary>
    private static readonly (string Address, string Name, Func<ToolKind, bool> For)[] Benches =
    [
        ("/edges", "Edge", EdgeFacts.HasSection), ("/edges/blade", "Blade", EdgeFacts.IsBlade), ("/edges/mouth", "Mouth and cap", EdgeFacts.HasMouth),
        ("/edges/stones", "Stones", EdgeFacts.IsHoned), ("/edges/cutters", "Cutters", t => t.Edge is EdgeForm.Meeting or EdgeForm.Bypass),
    ];

    /// <summary>The shop.</summary>
    protected ShopDesk Shop { get; } = shop;

    /// <summary>The tags.</summary>
    protected TagBook Tags { get; } = tags;

    /// <summary>True for a tool that has something to do in this room.</summary>
    public static bool Suits(ToolKind tool) => Benches.Any(b => b.For(tool));

    /// <summary>The tag; null for none.</summary>
    [BindProperty(SupportsGet = true, Name = "tag")]
    public int? Number { get; set; }

    /// <summary>The tool; null for none.</summary>
    public Tag? Of { get; private set; }

    /// <summary>What is known of it; null for none.</summary>
    public Facts? Known { get; private set; }

    /// <summary>The shop's assumptions.</summary>
    public Assumptions Assumed { get; private set; } = null!;

    /// <summary>Address of this bench.</summary>
    public abstract string Here { get; }

    /// <summary>The benches of the room, those of the tag where there is one: address, name, and whether it is this one.</summary>
    public IEnumerable<(string Address, string Name, bool Current)> Room => Benches.Where(b => Of is null || b.For(Of.Tool()))
        .Select(b => (Of is null ? b.Address : $"{b.Address}?tag={Of.Number}", b.Name, b.Address == Here));

    /// <summary>Reads the tag. Answers where to go instead: nowhere for a tool without an edge, the bench that suits it for another.</summary>
    protected async Task<IActionResult?> Load(CancellationToken cancel)
    {
        Assumed = await Shop.Assumed(cancel);
        if (Number is not int number)
        {
            return null;
        }
        Of = await Tags.Show(number, TagParts.Head | TagParts.Pictures, cancel);
        if (Of is null || !Suits(Of.Tool()))
        {
            return NotFound();
        }
        Known = Of.Facts();
        // A page beside the benches suits what has one of them.
        return !Benches.Any(b => b.Address == Here) || Benches.First(b => b.Address == Here).For(Known.Tool) ? null :
          LocalRedirect($"{Benches.First(b => b.For(Known.Tool)).Address}?tag={number}");
    }
}
