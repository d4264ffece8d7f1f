using Foundling.Core.Grits;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod;

/// <summary>How much of a material the faces take that are worked.</summary>
public static class Amounts
{
    private const double Dm2InM2 = 100, MlInL = 1000, Few = 10, Many = 5;

    /// <summary>A material for parts of this tool, by their surface.</summary>
    /// <param name="q">What is planned.</param>
    /// <param name="item">The material.</param>
    /// <param name="on">The parts.</param>
    /// <param name="coats">How many coats, or how often.</param>
    public static Need On(this PlanQuestion q, SupplyId item, IEnumerable<PartDef> on, double coats = 1) =>
        Need.Of(item, Said(PerDm2(item, q.Shop.Assumptions) * q.Extents.Work(on).Dm2 * coats));

    /// <summary>Paper by the strokes of hand work: a fresh sheet when one has done its number.</summary>
    /// <param name="q">What is planned.</param>
    /// <param name="item">The paper.</param>
    /// <param name="minutes">Minutes of work, likely.</param>
    /// <param name="share">Share of the strokes that is done with it.</param>
    public static Need Sheets(this PlanQuestion q, SupplyId item, double minutes, double share)
    {
        Assumptions a = q.Shop.Assumptions;
        double um = Removal.SizeOf(Supplies.Find(item)!.Grain!.Grit)!.Value;
        return Need.Of(item, Math.Max(1, Removal.Sheets(um, minutes * a.StrokesPerMinute * Math.Max(0, share), a)));
    }

    /// <summary>What a square decimetre takes of a material, in the unit of the material.</summary>
    /// <exception cref="ArgumentOutOfRangeException">It does not go by surface: a programming error.</exception>
    public static double PerDm2(SupplyId item, Assumptions a)
    {
        double Coat(double m2PerL) => MlInL / m2PerL / Dm2InM2;
        return item == SupplyIds.WhiteSpirit ? a.SolventMlDm2
            : item == SupplyIds.CleanCloth || item == SupplyIds.LintFreeCloth ? 1 / a.ClothDm2
            : item == SupplyIds.LightOil || item == SupplyIds.BoiledLinseedOil || item == SupplyIds.RawLinseedOil ? Coat(a.OilCoverM2L)
            : item == SupplyIds.Shellac ? Coat(a.ShellacCoverM2L)
            : item == SupplyIds.Lacquer || item == SupplyIds.Primer || item == SupplyIds.GlossBlackEnamel || item == SupplyIds.EnamelMatchedInColour
                || item == SupplyIds.EnamelInTheShopsColour ? Coat(a.PaintCoverM2L)
            : item == SupplyIds.Japanning ? Coat(a.JapanCoverM2L)
            : item == SupplyIds.PasteWax || item == SupplyIds.MicrocrystallineWax ? a.WaxGDm2
            : item == SupplyIds.PaintStripper ? a.StripperMlDm2
            : throw new ArgumentOutOfRangeException(nameof(item), item, "It does not go by surface.");
    }

    /// <summary>As one measures it out: whole, and above ten to the next five.</summary>
    private static double Said(double exact) => exact <= Few
        ? Math.Max(1, Math.Ceiling(exact - Whole.Slack))
        : Math.Ceiling((exact / Many) - Whole.Slack) * Many;
}
