using Foundling.Core.Tags;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.Ways;

/// <summary>Ways to treat darkening, coating and wood.</summary>
public static class SurfaceWays
{
    private const string KeepSays = "Under Keep the old surface is the history of the tool.";

    /// <summary>Parts that were coated when they were made.</summary>
    public static IEnumerable<PartDef> Coated(PlanQuestion q) => q.Present.Where(p => p.Finish is PartFinish.Japanned or PartFinish.Painted);

    /// <summary>How much of the coating is gone, 0 to 4.</summary>
    public static int CoatingLoss(PlanQuestion q) => q.WorstOn(FindingKind.CoatingLoss, Coated(q).Select(p => p.Id));

    /// <summary>Wooden parts that are there.</summary>
    public static IEnumerable<PartDef> Wooden(PlanQuestion q) => q.Present.Where(p => p.Material == Material.Wood);

    /// <summary>Wooden parts that are there and stay.</summary>
    public static IEnumerable<PartDef> OldWood(PlanQuestion q) => Wooden(q).Except(q.Discarded);

    /// <summary>Old darkening of iron.</summary>
    public static Choice Dark { get; } = new("dark", "Old darkening is", "whether smooth dark iron is left or taken bright", q => q.Aim != AimKind.Keep
        && q.Present.Any(p => p.Ferrous),
    [
        new("keep", "history, left", "the conserver's and most users'"),
        new("remove", "rust, taken off", "for a tool shown bright", "goes", "lose their dark ground"),
    ], q => q.Aim == AimKind.Show ? ("remove", "It left the works bright.") : ("keep", "Smooth dark iron does no harm."));

    /// <summary>The coating.</summary>
    public static Choice Coating { get; } = new("coating", "The coating is", "how far the coating is renewed", q => Coated(q).Any() && (CoatingLoss(q) >= 1
        || q.Aim is AimKind.Show or AimKind.Own),
    [
        new("leave", "left as it is", "what is sound stays"),
        new("seal", "sealed at its edges", "the conserver's: nothing added that cannot come off"),
        new("touch", "touched in", "bare patches only", Coating: "old coat stays, patches are new") { Closed = q => q.Aim == AimKind.Keep ? KeepSays
            : CoatingLoss(q) == 0 ? "Nothing is bare." : CoatingLoss(q) == 4 ? "Too little is left to touch in." : null },
        new("respray", "resprayed cold", "over the sound coat, or after a strip", Coating: "covered or stripped") { Closed = q => q.Aim == AimKind.Keep
            ? KeepSays : null },
        new("bake", "stripped and baked anew", "as the works did it", "goes from coated faces", "fill a little", "stripped") { Kit = ["shop oven"],
            Closed = q => q.Aim == AimKind.Keep ? KeepSays : Coated(q).Any(p => p.Finish == PartFinish.Painted && p.Material == Material.Steel)
            && Coated(q).All(p => p.Finish == PartFinish.Painted) ? "It was painted cold when it was made." : null },
    ], q => q.Aim switch
    {
        AimKind.Keep => CoatingLoss(q) >= 1 ? ("seal", "A lifting edge lets damp creep under.") : ("leave", "It is whole."),
        AimKind.Own => ("respray", "Dressed to this shop's taste; the papers say so."),
        AimKind.Show => CoatingLoss(q) >= 2 ? (Coated(q).Any(p => p.Finish == PartFinish.Japanned) ? "bake" : "respray",
            "It left the works with an even coat.") : CoatingLoss(q) == 1 ? ("touch", "Only chips are gone.") : ("leave", "It is whole."),
        _ => CoatingLoss(q) switch { >= 4 => ("respray", "Only traces are left."), >= 2 => ("touch", "Bare metal rusts again; the rest is original."), _ =>
            ("leave", "Chips at corners do no harm.") },
    })
    {
        ShopMay = (q, way) => q.Aim == AimKind.Keep ? way is "leave" or "seal" : (CoatingLoss(q) >= 4 || q.Aim == AimKind.Show
            && CoatingLoss(q) >= 2) == way is "respray" or "bake" && q.Aim != AimKind.Own,
    };

    /// <summary>The finish of wood.</summary>
    public static Choice Wood { get; } = new("wood", "Wood is", "what happens to the old finish and what comes after", q => Wooden(q).Any(),
    [
        new("leave", "cleaned and left", "the old surface stays"),
        new("wax", "cleaned and waxed", "nothing that cannot come off"),
        new("revive", "revived", "clean, stain the dings, a thin coat over the old", Coating: "old finish stays under it") { Closed = q =>
            q.Aim == AimKind.Keep ? KeepSays : null },
        new("oil", "oiled", "feeds the wood, easily renewed") { Closed = q => q.Aim == AimKind.Keep && q.WorstOn(FindingKind.CoatingLoss,
            Wooden(q).Select(p => p.Id)) < 3 ? KeepSays : null },
        new("oil-wax", "oiled, then waxed", "oil's depth, wax's touch") { Closed = q => q.Aim == AimKind.Keep ? KeepSays : null },
        new("shellac", "scraped and shellacked", "an even shine as it was sold", Coating: "old finish goes") { Closed = q => q.Aim == AimKind.Keep ? KeepSays
            : null },
        new("lacquer", "scraped and lacquered", "quick and hard", Coating: "old finish goes") { Closed = q => q.Aim == AimKind.Keep ? KeepSays : null },
    ], q => q.Aim switch
    {
        AimKind.Keep => ("wax", "Clean wood under wax keeps what is there."),
        AimKind.Show => OldWood(q).All(p => p.Finish is PartFinish.Oiled or PartFinish.Bare) ? ("oil-wax", "It left the works oiled.")
            : ("shellac", "It left the works with a shine."),
        AimKind.Own => ("oil-wax", "To this shop's taste; the papers say so."),
        _ => ("oil", "Thirsty wood cracks."),
    })
    {
        ShopMay = (q, way) => q.Aim != AimKind.Keep || way is "leave" or "wax",
    };
}
