using Foundling.Core.Shelves;
using Foundling.Core.Stores;
using Foundling.Data.Reference;

namespace Foundling.Data.Demo;

/// <summary>The stores of the demo loft: some things counted, some running low, a tin past its day, two abrasives of its own.</summary>
internal static class DemoStores
{
    private const string Cupboard = "solvent cupboard", Shelf = "shelf over the sink", Drawer = "paper drawer", Loft = "finishing shelf", Box = "rag box";

    public static IEnumerable<StoreItem> Of(DateOnly today, DateTimeOffset now)
    {
        StoreItem[] all =
        [
            Kept(SupplyIds.WhiteSpirit, 750, Cupboard, 250, 1000), Kept(SupplyIds.Alcohol, 420, Cupboard, 200, 500),
            Kept(SupplyIds.PenetratingOil, 40, Cupboard, 100, 400), Kept(SupplyIds.LightOil, 185, Cupboard, 100, 250),
            Kept(SupplyIds.Detergent, 600, Shelf), Kept(SupplyIds.CitricAcid, 850, Shelf, 500, 1000), Kept(SupplyIds.ChelatingBath, 16, Shelf, 5, 5),
            Kept(SupplyIds.Vinegar, 3, Shelf, 1, 5), Kept(SupplyIds.WashingSoda, 700, Shelf, 250, 1000), Kept(SupplyIds.BakingSoda, 400, Shelf, 250, 500),
            Kept(SupplyIds.Grease, 90, Cupboard),
            Kept(SupplyIds.P80Sheet, 7, Drawer, 5, 10), Kept(SupplyIds.P120Sheet, 4, Drawer, 5, 10), Kept(SupplyIds.P180Sheet, 9, Drawer, 5, 10),
            Kept(SupplyIds.P240Sheet, 6, Drawer, 5, 10), Kept(SupplyIds.P400Sheet, 12, Drawer, 5, 10), Kept(SupplyIds.P600Sheet, 8, Drawer, 5, 10),
            Kept(SupplyIds.NylonAbrasivePad, 5, Drawer, 3, 10), Kept(SupplyIds.SteelWool, 6, Drawer, 2, 8),
            Kept(SupplyIds.MetalPolish, 140, Drawer, 50, 150), Kept(SupplyIds.HoningCompound, 60, Drawer),
            Kept(SupplyIds.MicrocrystallineWax, 130, Loft, 50, 200), Kept(SupplyIds.PasteWax, 260, Loft, 100, 400),
            Kept(SupplyIds.RawLinseedOil, 480, Loft, 100, 500), Kept(SupplyIds.BoiledLinseedOil, 420, Loft, 100, 500),
            Kept(SupplyIds.GlossBlackEnamel, 340, Loft, 100, 250), Kept(SupplyIds.WoodGlue, 180, Loft, 50, 250),
            Kept(SupplyIds.CleanCloth, 34, Box, 10, 25), Kept(SupplyIds.LintFreeCloth, 18, Box, 5, 20), Kept(SupplyIds.MaskingTape, 38, Drawer, 10, 50),
            Kept(SupplyIds.MarkingBlue, 26, Drawer, 10, 30),
        ];
        Find(all, SupplyIds.WoodGlue).BestBefore = today.AddDays(120);
        StoreItem shellac = Kept(SupplyIds.Shellac, 220, Loft, 100, 250);
        (shellac.OpenedOn, shellac.BestBefore) = (today.AddDays(-210), today.AddDays(-16));
        StoreItem[] grits =
        [
            Graded(SupplyIds.CoarseDiamondPlate, new Grain(AbrasiveForm.Plate, "diamond-plate", "325")),
            Graded(SupplyIds.MediumStone, new Grain(AbrasiveForm.Stone, "JIS", "1000")),
            Graded(SupplyIds.FineStone, new Grain(AbrasiveForm.Stone, "JIS", "6000")),
        ];
        StoreItem belts = new()
        {
            Item = SupplyId.Of("own-1"), Name = "ceramic belt", Class = SupplyClass.Abrasive, Unit = "pieces", Price = 4.5, Pack = 3, Place = Drawer,
            Grain = ReferenceData.Grits.Checked(new Grain(AbrasiveForm.Belt, "FEPA-P", "P60")),
        };
        belts.Count(3);
        StoreItem[] everything = [.. all, shellac, .. grits, belts];
        Array.ForEach(everything, i => i.At = now.AddDays(-2));
        return everything;
    }

    private static StoreItem Find(StoreItem[] all, SupplyId id) => Array.Find(all, i => i.Item == id)!;

    private static StoreItem Graded(SupplyId id, Grain grain) => new() { Item = id, Grain = ReferenceData.Grits.Checked(grain), Place = "sharpening bench" };

    private static StoreItem Kept(SupplyId id, double amount, string place, double? least = null, double? pack = null)
    {
        var item = new StoreItem { Item = id, Place = place, Least = least, Pack = pack };
        item.Count(amount);
        return item;
    }
}
