using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Stores;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.Ways;

/// <summary>Ways to treat darkening, coating and wood.</summary>
public static class SurfaceWays
{
    private const string KeepSays = "Under Keep the old surface is the history of the tool.";

    /// <summary>Parts that were coated when they were made.</summary>
    public static IEnumerable<PartDef> Coated(PlanQuestion q) => q.Worked.Where(IsCoated);

    /// <summary>True for a part that was coated when it was made.</summary>
    public static bool IsCoated(PartDef part) => part.Finish is PartFinish.Japanned or PartFinish.Painted;

    /// <summary>Coated parts that are treated by one of these ways.</summary>
    public static IReadOnlyList<PartDef> CoatedBy(PlanQuestion q, params WayId[] ways) =>
        Coating.Asked(q) ? [.. Coated(q).Where(p => ways.Contains(q.WayFor(ChoiceId.Coating, p)))] : [];

    /// <summary>True when a new coat goes on, whether the old one is stripped or covered.</summary>
    public static bool Renews(PlanQuestion q) => CoatedBy(q, WayId.Respray, WayId.Bake).Count > 0;

    /// <summary>True when a new coat goes on a part.</summary>
    public static bool Renews(PlanQuestion q, PartDef part) => IsCoated(part) && Coating.Asked(q) && q.WayFor(ChoiceId.Coating,
        part) is WayId.Respray or WayId.Bake;

    /// <summary>True when an old coat comes off: it is baked anew, or too little of it is sound enough to paint over.</summary>
    public static bool Strips(PlanQuestion q) => Stripped(q).Count > 0;

    /// <summary>True when the old coat of a part comes off.</summary>
    public static bool Strips(PlanQuestion q, PartDef part) => Renews(q, part) && (q.WayFor(ChoiceId.Coating, part) == WayId.Bake || TooLittle(q));

    /// <summary>True when too little of the old coat is sound to paint over it.</summary>
    public static bool TooLittle(PlanQuestion q) => CoatingLoss(q) >= Gone;

    /// <summary>Parts whose old coat comes off.</summary>
    public static IReadOnlyList<PartDef> Stripped(PlanQuestion q) => [.. CoatedBy(q, WayId.Respray, WayId.Bake).Where(p => Strips(q, p))];

    // From here on too little of an old coat is sound to paint over it.
    private const int Gone = 3;

    /// <summary>How much of the coating is gone, 0 to 4.</summary>
    public static int CoatingLoss(PlanQuestion q) => q.WorstOn(FindingKind.CoatingLoss, Coated(q).Select(p => p.Id));

    /// <summary>Wooden parts that are there.</summary>
    public static IEnumerable<PartDef> Wooden(PlanQuestion q) => q.Worked.Where(p => p.Material == Material.Wood && !InTheEye(q, p));

    // The wedge of a haft sits in the eye, where no cloth or brush comes.
    private static bool InTheEye(PlanQuestion q, PartDef part) => part.Is(PartIds.Wedge) && q.Tool.Made(PartIds.Haft);

    /// <summary>Wood that is finished: what is there, and a new haft in the place of one that is gone.</summary>
    public static IEnumerable<PartDef> Finished(PlanQuestion q) => q.Tool.Parts.Where(p => p.Material == Material.Wood
        && !InTheEye(q, p) && (q.May(p.Id) || Rules.HandleRules.MadeAnew(q, p)));

    /// <summary>Wooden parts that are there and stay.</summary>
    public static IEnumerable<PartDef> OldWood(PlanQuestion q) => Wooden(q).Except(q.Discarded);

    /// <summary>How much of the finish of the wood is gone, 0 to 4; a new haft has none.</summary>
    public static int FinishLoss(PlanQuestion q) => Rules.HandleRules.HungAnew(q) ? FindingScales.Worst
        : q.WorstOn(FindingKind.CoatingLoss, OldWood(q).Select(p => p.Id));

    /// <summary>Wood whose old film comes off: all of it for a new film, what is varnished for oil, which does not go through varnish.</summary>
    public static IEnumerable<PartDef> Scraped(PlanQuestion q) => q.Aim == AimKind.Keep ? [] : OldWood(q).Where(p => q.WayFor(ChoiceId.Wood, p) switch
    {
        WayId.Shellac or WayId.Lacquer => true,
        WayId.Oil or WayId.OilWax or WayId.OilShellac or WayId.RawOil => p.Finish == PartFinish.Varnished,
        _ => false,
    });

    /// <summary>Wood that is finished by one of these ways.</summary>
    public static IReadOnlyList<PartDef> FinishedBy(PlanQuestion q, params WayId[] ways) =>
        Wood.Asked(q) ? [.. Finished(q).Where(p => ways.Contains(q.WayFor(ChoiceId.Wood, p)))] : [];

    /// <summary>Old darkening of iron.</summary>
    public static Choice Dark { get; } = new(ChoiceId.Dark, "Old darkening is", "whether smooth dark iron is left or taken bright", q => q.Aim != AimKind.Keep
        && q.Present.Any(p => p.Ferrous),
    [
        new(WayId.Keep, "history, left", "the conserver's and most users'"),
        new(WayId.Remove, "rust, taken off", "for a tool shown bright", "goes", "lose their dark ground"),
    ], q => q.Aim == AimKind.Show ? (WayId.Remove, "It left the works bright.") : (WayId.Keep, "Smooth dark iron does no harm."));

    /// <summary>The coating.</summary>
    public static Choice Coating { get; } = new(ChoiceId.Coating, "The coating is", "how far the coating is renewed", q => Coated(q).Any()
        && (CoatingLoss(q) >= 1
        || q.Aim is AimKind.Show or AimKind.Own),
    [
        new(WayId.Leave, "left as it is", "what is sound stays"),
        new(WayId.WaxOver, "left, oiled and waxed over", "the user's who will not paint: renewed in a minute"),
        new(WayId.Seal, "sealed at its edges", "the conserver's: nothing added that cannot come off"),
        new(WayId.Touch, "touched in", "bare patches only", Coating: "old coat stays, patches are new") { Closed = q => q.Aim == AimKind.Keep ? KeepSays
            : CoatingLoss(q) == 0 ? "Nothing is bare." : CoatingLoss(q) == 4 ? "Too little is left to touch in." : null },
        new(WayId.Respray, "resprayed cold", "over the sound coat, or after a strip", Coating: "covered or stripped") { Closed = q => q.Aim == AimKind.Keep
            ? KeepSays : null },
        new(WayId.Bake, "stripped and baked anew", "as the works did it", "goes from coated faces", "fill a little", "stripped") { Kit = [SupplyIds.ShopOven],
            Closed = q => q.Aim == AimKind.Keep ? KeepSays : Coated(q).All(p => p.Finish == PartFinish.Painted)
            ? "It was painted cold when it was made." : null },
    ], q => q.Aim switch
    {
        AimKind.Keep => CoatingLoss(q) >= 1 ? (WayId.Seal, "A lifting edge lets damp creep under.") : (WayId.Leave, "It is whole."),
        AimKind.Own => (WayId.Respray, "Dressed to this shop's taste; the papers say so."),
        AimKind.Show => CoatingLoss(q) >= 2 ? (Coated(q).Any(p => p.Finish == PartFinish.Japanned) ? WayId.Bake : WayId.Respray,
            "It left the works with an even coat.") : CoatingLoss(q) == 1 ? (WayId.Touch, "Only chips are gone.") : (WayId.Leave, "It is whole."),
        _ => CoatingLoss(q) switch { >= 4 => (WayId.Respray, "Only traces are left."), >= 2 => (WayId.Touch, "Bare metal rusts again; the rest is original."),
            _ =>
            (WayId.Leave, "Chips at corners do no harm.") },
    })
    {
        ShopMay = (q, way) => q.Aim == AimKind.Keep ? way is WayId.Leave or WayId.Seal or WayId.WaxOver : (CoatingLoss(q) >= 4 || q.Aim == AimKind.Show
            && CoatingLoss(q) >= 2) == way is WayId.Respray or WayId.Bake && q.Aim != AimKind.Own,
    };

    /// <summary>How an old film comes off wood.</summary>
    public static Choice Film { get; } = new(ChoiceId.Film, "The old film comes off the wood by", "how wood is bared for a new finish", q => Scraped(q).Any(),
    [
        new(WayId.Scrape, "a scraper", "edges and stamps stay crisp"),
        new(WayId.Sand, "paper, coarse to fine", "quick on round parts that spin; edges soften", Stamps: "blur"),
    ], _ => (WayId.Scrape, "It stops at the colour and leaves edges and stamps."));

    /// <summary>The finish of wood.</summary>
    public static Choice Wood { get; } = new(ChoiceId.Wood, "Wood is", "what happens to the old finish and what comes after", q => Finished(q).Any(),
    [
        new(WayId.Leave, "cleaned and left", "the old surface stays"),
        new(WayId.Wax, "cleaned and waxed", "nothing that cannot come off"),
        new(WayId.Revive, "revived", "clean, stain the dings, a thin coat over the old", Coating: "old finish stays under it") { Closed = q =>
            q.Aim == AimKind.Keep ? KeepSays : null },
        new(WayId.Oil, "oiled", "sheds water, easily renewed; varnish is scraped off first") { Closed = q => q.Aim == AimKind.Keep
            ? KeepSays : null },
        new(WayId.OilWax, "oiled, then waxed", "oil's depth, wax's touch") { Closed = q => q.Aim == AimKind.Keep ? KeepSays : null },
        new(WayId.OilShellac, "oiled, shellacked, then waxed", "oil's depth under a thin shine", Coating: "old finish goes") { Closed = q =>
            q.Aim == AimKind.Keep ? KeepSays : null },
        new(WayId.RawOil, "dipped in raw oil", "soaked through, for hafts and wooden bodies; weeks until it is dry") { Closed = q =>
            q.Aim == AimKind.Keep ? KeepSays : null },
        new(WayId.Shellac, "scraped and shellacked", "an even shine as it was sold", Coating: "old finish goes") { Closed = q => q.Aim == AimKind.Keep
            ? KeepSays
            : null },
        new(WayId.Lacquer, "scraped and lacquered", "quick and hard", Coating: "old finish goes") { Closed = q => q.Aim == AimKind.Keep ? KeepSays : null },
    ], q => q.Aim switch
    {
        AimKind.Keep => (WayId.Wax, "Clean wood under wax keeps what is there."),
        AimKind.Show => OldWood(q).All(p => p.Finish is PartFinish.Oiled or PartFinish.Bare) ? (WayId.OilWax, "It left the works oiled.")
            : (WayId.Shellac, "It left the works with a shine."),
        AimKind.Own => (WayId.OilWax, "To this shop's taste; the papers say so."),
        _ => FinishLoss(q) switch
        {
            >= 3 => (WayId.Oil, "Bare wood takes up water and dirt."),
            2 => (WayId.Revive, "It is worn where hands go and sound elsewhere."),
            _ => (WayId.Leave, "The old finish is sound: clean wood is enough."),
        },
    })
    {
        ShopMay = (q, way) => q.Aim != AimKind.Keep || way is WayId.Leave or WayId.Wax,
    };
}
