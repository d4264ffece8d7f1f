using Foundling.Core.Units;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Rust;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for taking rust off outside a bath.</summary>
internal static class DerustRules
{
    private const int Crust = 3;

    private static List<PartDef> Rest(PlanQuestion q) => [.. q.RustPlan.Rest.Select(k => k.Part)];

    private static List<PartDef> Bloom(PlanQuestion q) => [.. q.Bloomed.Except(q.SoakLoad)];

    private static Cond By(params WayId[] ways) => If($"rust comes off some part by {string.Join(" or ", ways.Select(w => RustWays.Choice.Find(w).Name))}",
        q => ways.Any(w => q.RustPlan.By(w).Count > 0));

    /// <summary>Minutes to work rusty parts by hand; crust takes longer than brown.</summary>
    private static ThreePoint ByHand(PlanQuestion q, StepKey step, IReadOnlyList<PartDef> parts)
    {
        List<PartDef> crust = [.. parts.Where(p => q.Worst(FindingKind.Rust, p.Id) >= Crust)], brown = [.. parts.Except(crust)];
        return crust.Count == 0 ? q.Minutes(step, brown) : brown.Count == 0 ? q.Minutes(step, crust, StepCase.Much)
            : q.Minutes(step, brown) + q.Minutes(step, crust, StepCase.Much);
    }

    /// <summary>The same for what a bath left, by how much it left.</summary>
    private static ThreePoint ByHand(PlanQuestion q, IReadOnlyList<KeptOut> rest) => rest.GroupBy(k => k.Left)
        .Select(g => ByHand(q, StepKey.DerustRest, [.. g.Select(k => k.Part)]) * g.Key).Aggregate((one, other) => one + other).Halves();

    private static IEnumerable<PartDef> Bright(PlanQuestion q) =>
        q.Worked.Where(p => p.Ferrous && p.Finish == PartFinish.Bare && p.Material is not Material.SpringSteel && !p.InSet);

    private static bool Delicate(PartDef p) => p.Material == Material.SpringSteel || p.IsFastener || p.Finish == PartFinish.Plated;

    private static string Toothed(PlanQuestion q, IEnumerable<PartDef> parts) => q.Tool.Family == Family.Saw && parts.Any(p => p.Is(PartIds.Plate))
        ? " Stop short of the tooth line: abrasive rounds the points." : "";

    private static CautionId[] Dusty(PlanQuestion q, IEnumerable<PartDef> parts) =>
        parts.Any(p => SurfaceWays.IsCoated(p) && !SurfaceWays.Strips(q, p)) ? [CautionId.OldPaint] : [];

    private static IReadOnlyList<PartDef> AtTheWheel(PlanQuestion q) => [.. q.RustPlan.By(WayId.Wire), .. q.RustPlan.Wheeled];

    private static IReadOnlyList<PartDef> Blasted(PlanQuestion q) => [.. q.RustPlan.By(WayId.Blast), .. q.RustPlan.By(WayId.BlastCoarse)];

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("wire wheel", "Fast and dry, for what will not suffer.",
            [If("some part goes to the wheel", q => AtTheWheel(q).Count > 0)], Wheel, RustWays.Id, 14),
        PlanRule.One("fine abrasive and oil", "By hand the eye is close enough to stop in time.", [NotKeep, By(WayId.Abrasive)], q =>
            new Deed(StepKey.DerustAbrasive, Stage.Derust, $"Fine abrasive and oil on {q.Called(q.RustPlan.By(WayId.Abrasive))}",
                ByHand(q, StepKey.DerustAbrasive, q.RustPlan.By(WayId.Abrasive)))
        {
            Parts = Ids(q.RustPlan.By(WayId.Abrasive)),
            Needs = [Need.Of(SupplyIds.NylonAbrasivePad, 1), Need.Of(SupplyIds.P400Sheet, 1), q.On(SupplyIds.LightOil, q.RustPlan.By(WayId.Abrasive), 2),
                q.On(SupplyIds.CleanCloth, q.RustPlan.By(WayId.Abrasive))],
            How = q.RustPlan.By(WayId.Abrasive).Any(q.Etched)
                ? "With the length of the plate, paper on a flat block, a few strokes and look. Stop the moment the etch shows; round it only wool."
                    : $"{Along(q.RustPlan.By(WayId.Abrasive))}, never across. Lighter round stamps.{Toothed(q, q.RustPlan.By(WayId.Abrasive))}",
            Reason = q.RustPlan.By(WayId.Abrasive).Any(q.Etched) ? "The etch is only as deep as the rust: what is left of it is kept by eye."
                : "It thins the rust and leaves the iron.", FinishTest = "No brown comes off on an oily cloth.", SurfaceLost = SurfaceId.SomePatina,
                    Undoable = false,
        }, RustWays.Id, 14),
        PlanRule.One("scrape", "A blade takes what stands up and leaves the dark skin.",
            [If("the way is the blade, or the aim is Keep", q => Scraped(q).Count > 0)], q => new Deed(StepKey.DerustScrape, Stage.Derust,
            "Lift active rust with a blade held flat, leave the dark skin", ByHand(q, StepKey.DerustScrape, Scraped(q)))
        {
            Parts = Ids(Scraped(q)),
            Needs = [Need.Of(SupplyIds.ScrapingBlade), q.On(SupplyIds.LightOil, Scraped(q), 2), q.On(SupplyIds.CleanCloth, Scraped(q))],
            How = "Blade nearly flat, oil under it, stop at brown that is smooth.", Reason = "Old darkening is history; only live rust does harm.",
            FinishTest = "A white cloth with oil on it stays white.",
        }, RustWays.Id, 12),
        PlanRule.One("blast", "It reaches corners and leaves a matt grey.", [By(WayId.Blast, WayId.BlastCoarse)], Blast, RustWays.Id, 14),
        PlanRule.One("oil after blasting", "Blasted iron is thirsty and rusts within the hour.", [By(WayId.Blast, WayId.BlastCoarse)],
            q => new Deed(StepKey.DerustBlastOil, Stage.Derust, "Blow clean and oil at once", q.Minutes(StepKey.DerustBlastOil, Blasted(q)))
        {
            Parts = Ids(Blasted(q)), Block = Block.OutOfTheCabinet,
            Needs = [q.On(SupplyIds.LightOil, Blasted(q)), q.On(SupplyIds.CleanCloth, Blasted(q))],
            Reason = "A blasted face holds damp like paper.", FinishTest = "A thin film everywhere.",
        }, RustWays.Id),
        PlanRule.One("by hand what its way would harm", "Some rust must come off by hand.",
            [NotKeep, If("the way meant for some rusty part would harm it", q => Rest(q).Count > 0)], q => new Deed(StepKey.DerustRest, Stage.Derust,
            $"Derust by hand: {q.Called(Rest(q))}", ByHand(q, q.RustPlan.Rest))
        {
            Parts = Ids(Rest(q)),
            Needs = [Rest(q).Any(Delicate) ? Need.Of(SupplyIds.SteelWool, 1) : Need.Of(SupplyIds.FineWireBrush), Need.Of(SupplyIds.NylonAbrasivePad, 1),
                q.On(SupplyIds.LightOil, Rest(q), 2)],
            How = (Rest(q).All(Delicate) ? "Fine wool and oil, no wheel." : $"{Along(Rest(q).Where(p => !Delicate(p)))}, never across."
                + (Rest(q).Any(Delicate) ? " Springs, screws and plating: fine wool and oil, no wheel." : ""))
                + (Rest(q).Any(p => Joined.To(q, p).Any(o => !o.Ferrous)) ? " Only the faces one can reach; oil kept off the wood." : ""),
            Reason = string.Join(" ", q.RustPlan.Rest.Select(k => $"{Sentences.Start(k.Why)}.").Distinct().Take(MostReasons)),
            FinishTest = "No brown comes off on an oily cloth.", SurfaceLost = SurfaceId.SomePatina, Undoable = false,
        }, RustWays.Id, 6),
        PlanRule.One("wipe off the bloom", "Light rust needs no bath.", [NotKeep, If("light rust on iron or steel", q => Bloom(q).Count > 0)], q =>
            new Deed(StepKey.DerustBloom, Stage.Derust, $"Wipe off the light bloom: {q.Called(Bloom(q))}", q.Minutes(StepKey.DerustBloom, Bloom(q)))
        {
            Parts = Ids(Bloom(q)), Needs = [Need.Of(SupplyIds.SteelWool, 1), q.On(SupplyIds.LightOil, Bloom(q))],
            How = "Oil first, then wool, then a dry cloth.",
            Reason = "It comes off with oil and fine wool.", FinishTest = "A white cloth stays white.",
        }, ChoiceId.Bloom, 6),
        PlanRule.One("take the dark skin off", "As it left the works it was bright.", [NotKeep, Chosen(ChoiceId.Dark, WayId.Remove),
            If("bare iron has darkened or was rusty", q => Bright(q).Any())], q => new Deed(StepKey.DarkRemove,
            Stage.Derust, "Take the dark skin off the bare iron", q.Minutes(StepKey.DarkRemove, Bright(q)))
        {
            Parts = Ids(Bright(q)),
            Needs = [.. Sanding(q),
                q.On(SupplyIds.LightOil, Bright(q), 2)],
            How = $"{Along(q.Present.Where(p => p.Ferrous && p.Finish == PartFinish.Bare))}, block behind the paper. No coarser than the marks allow: go "
                + $"round every stamp.{Toothed(q, Bright(q))}",
            Reason = "Bright iron is what the works sold.", FinishTest = "An even grey in raking light, every stamp crisp.", Undoable = false,
                SurfaceLost = SurfaceId.Patina, MetalRemovedMm = q.Metal(StepKey.DarkRemove),
        }, ChoiceId.Dark, 8),
    ];

    private const int MostReasons = 3;

    /// <summary>Paper for the bare iron, by the strokes it takes.</summary>
    private static IEnumerable<Need> Sanding(PlanQuestion q)
    {
        Assumptions a = q.Shop.Assumptions;
        double minutes = q.Minutes(StepKey.DarkRemove, Bright(q)).Likely * a.SandingStrokesShare;
        return [q.Sheets(SupplyIds.P240Sheet, minutes, a.SandingCoarseShare), q.Sheets(SupplyIds.P400Sheet, minutes, 1 - a.SandingCoarseShare)];
    }

    /// <summary>Parts whose live rust is lifted with a blade; under Keep light rust too.</summary>
    private static IReadOnlyList<PartDef> Scraped(PlanQuestion q)
    {
        IReadOnlyList<PartDef> chosen = q.RustPlan.By(WayId.Scrape);
        return q.Aim == AimKind.Keep && (q.Rusty.Count == 0 || chosen.Count > 0) ? [.. q.With(FindingKind.Rust).Where(p => p.Ferrous)] : chosen;
    }

    private static Deed Wheel(PlanQuestion q)
    {
        IReadOnlyList<PartDef> parts = AtTheWheel(q);
        IReadOnlyList<PartDef> whole = q.RustPlan.By(WayId.Wire);
        ThreePoint minutes = q.RustPlan.Wheeled.Count == 0 ? ByHand(q, StepKey.DerustWire, whole)
            : whole.Count == 0 ? q.Minutes(StepKey.DerustWire, q.RustPlan.Wheeled)
            : ByHand(q, StepKey.DerustWire, whole) + q.Minutes(StepKey.DerustWire, q.RustPlan.Wheeled);
        bool held = parts.Any(Delicate), faces = parts.Any(p => !Delicate(p));
        return new Deed(StepKey.DerustWire, Stage.Derust, $"Wire wheel on {q.Called(parts)}", minutes)
        {
            Parts = Ids(parts), Needs = [Need.Of(SupplyIds.WireWheel), q.On(SupplyIds.LightOil, parts)],
            How = string.Join(" ", new[]
            {
                held ? "Slow and fine for small parts, held in pliers with soft jaws." : "", faces ? "Lengthwise on faces, trailing over edges." : "",
                "Oil each as it comes off.",
            }.Where(t => t.Length > 0)),
            Reason = q.RustPlan.Wheeled.Count > 0 ? "The bath has loosened it: what is left is quick." : "No wetting, no waiting.",
            FinishTest = "No brown comes off on an oily cloth.",
            Cautions = [CautionId.Wire, CautionId.Rotating, .. Dusty(q, parts)], SurfaceLost = SurfaceId.SomePatina, Undoable = false,
        };
    }

    private static Deed Blast(PlanQuestion q)
    {
        IReadOnlyList<PartDef> parts = Blasted(q), coarse = q.RustPlan.By(WayId.BlastCoarse);
        bool rough = coarse.Count > 0;
        return new Deed(StepKey.DerustBlast, Stage.Derust, $"Blast {q.Called(parts)} with a {(rough ? "coarse" : "soft")} medium",
            q.Minutes(StepKey.DerustBlast, parts, rough ? StepCase.Coarse : StepCase.Usual))
        {
            Parts = Ids(parts), Block = Block.OutOfTheCabinet,
            Needs = [Need.Of(SupplyIds.BlastCabinet), Need.Of(rough ? SupplyIds.CoarseBlastingMedium : SupplyIds.SoftBlastingMedium, 1),
                Need.Of(SupplyIds.MaskingTape, 2)],
            How = "Mask working faces, threads and pins. Low pressure, moving; with a small compressor stop while the tank fills. Drain water from the "
                + "line first.",
            Reason = rough ? "Crust and coat go in one, and paint holds on what is left." : "Bare metal in every corner in minutes.",
            FinishTest = "Even grey, no brown.", Cautions = [CautionId.Blasting, .. Dusty(q, parts)], Undoable = false,
            SurfaceLost = parts.Any(SurfaceWays.IsCoated) ? SurfaceId.Coating : SurfaceId.Patina,
        };
    }
}
