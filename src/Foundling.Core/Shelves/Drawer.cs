using Foundling.Core.Grits;
using Foundling.Core.Stores;

namespace Foundling.Core.Shelves;

/// <summary>An abrasive of the shop as ladders reckon with it.</summary>
/// <param name="Abrasive">How coarse it counts, and whether it flattens.</param>
/// <param name="Grain">What it is made up as, and its grade.</param>
public sealed record Owned(LadderAbrasive Abrasive, Grain Grain);

/// <summary>The abrasives a shop has.</summary>
public static class Drawer
{
    /// <summary>All that is there and whose grade the table knows. A belt or a wheel takes metal off, but in no plane.</summary>
    /// <param name="shelves">What the shop knows of its stores.</param>
    /// <param name="table">The table of grits.</param>
    public static IReadOnlyList<Owned> Of(IEnumerable<StoreItem> shelves, GritTable table) =>
    [
        .. (from item in shelves
            where item.Stock != Stock.None && item.Coarseness is not null
            let size = table.Find(item.Coarseness!.System, item.Coarseness.Grit)
            where size is not null
            let flat = size.Flat && item.Coarseness!.Form is AbrasiveForm.Sheet or AbrasiveForm.Plate or AbrasiveForm.Stone or AbrasiveForm.Loose
            select new Owned(new LadderAbrasive(item.Supply.Name, size.Um, flat), item.Coarseness!)).DistinctBy(o => o.Abrasive.Name),
    ];

    /// <summary>Papers a sole can be lapped on: those whose removal is listed and those the shop has, the coarsest first.</summary>
    /// <param name="shelves">What the shop knows of its stores.</param>
    /// <param name="table">The table of grits.</param>
    public static IReadOnlyList<(string Grit, bool Here)> Papers(IEnumerable<StoreItem> shelves, GritTable table)
    {
        HashSet<string> here = [.. Of(shelves, table).Where(o => o.Grain.Form == AbrasiveForm.Sheet).Select(o => o.Grain.Grit)];
        return [.. Removal.Grades.Concat(here).Distinct().OrderByDescending(g => Removal.SizeOf(g) ?? table.SizeOf(g)).Select(g => (g, here.Contains(g)))];
    }
}
