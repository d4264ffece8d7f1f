using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for taking rust off.</summary>
internal static class DerustRules
{
    private static readonly Cond Soaks = If("rusty parts go into a bath", q => q.SoakLoad.Count > 0);

    private static List<PartDef> Rest(PlanQuestion q) => [.. q.Rusty.Except(q.SoakLoad)];

    private static List<PartDef> Bloom(PlanQuestion q) => [.. q.With(FindingKind.Rust).Where(p => p.Ferrous && q.Worst(FindingKind.Rust, p.Id) == 1)];

    private const int Crust = 3;

    /// <summary>Minutes to work rusty parts by hand; crust takes longer than brown.</summary>
    private static ThreePoint ByHand(PlanQuestion q, StepKey step, IReadOnlyList<PartDef> parts)
    {
        List<PartDef> crust = [.. parts.Where(p => q.Worst(FindingKind.Rust, p.Id) >= Crust)], brown = [.. parts.Except(crust)];
        return crust.Count == 0 ? q.Minutes(step, brown) : brown.Count == 0 ? q.Minutes(step, crust, StepCase.Much)
            : q.Minutes(step, brown) + q.Minutes(step, crust, StepCase.Much);
    }

    private static IEnumerable<PartDef> Bright(PlanQuestion q) =>
        q.Present.Where(p => p.Ferrous && p.Finish == PartFinish.Bare && p.Material is not Material.SpringSteel && !p.InSet);

    private static bool Delicate(PartDef p) => p.Material == Material.SpringSteel || p.IsFastener || p.Finish == PartFinish.Plated;

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("keep out of the bath", "Baths crack wood, redden brass and lift plate.",
            [Soaks, If("something of it may not go in", q => q.Bath is not null && KeptOut(q).Any())], q => new Deed(StepKey.KeepOut, Stage.Derust,
            $"Not for the bath: {q.Called(KeptOut(q))}", q.Minutes(StepKey.KeepOut))
        {
            Parts = Ids(KeptOut(q)), How = q.StaysWithMetal.Any() ? "Set aside what is loose; what stays on hangs above the liquid." : "Set it aside, dry.",
            Reason = WhyOut(q), FinishTest = "Only iron and steel that may go in lies by the tub.",
        }, RustWays.Id),
        PlanRule.One("soak", "A bath reaches what no brush does.", [Soaks], Soaking, RustWays.Id, 14),
        new("unbroken block out of the bath", "Wet bare iron flash-rusts within minutes, so nothing comes between.", [Soaks], OutOfTheBath, RustWays.Id),
        PlanRule.One("wire wheel", "Fast and dry, for what will not suffer.",
            [If("something is rusty", q => q.Rusty.Count > 0), Chosen(RustWays.Id, WayId.Wire)],
            q => new Deed(StepKey.DerustWire, Stage.Derust, $"Wire wheel on {q.Called(q.Rusty)}", ByHand(q, StepKey.DerustWire, q.Rusty))
        {
            Parts = Ids(q.Rusty), Needs = [Need.Of(SupplyIds.WireWheel), q.On(SupplyIds.LightOil, q.Rusty)],
            How = "Slow and fine for screws and springs, held in pliers; lengthwise on faces. Oil as each comes off.", Reason = "No wetting, no waiting.",
            FinishTest = "No brown comes off on an oily cloth.", Cautions = [CautionId.Wire, CautionId.Rotating], SurfaceLost = SurfaceId.SomePatina,
        }, RustWays.Id, 14),
        PlanRule.One("fine abrasive and oil", "By hand the eye is close enough to stop in time.", [If("something is rusty", q => q.Rusty.Count > 0), NotKeep,
            Chosen(RustWays.Id, WayId.Abrasive)], q =>
                new Deed(StepKey.DerustAbrasive, Stage.Derust, $"Fine abrasive and oil on {q.Called(q.Rusty)}", ByHand(q, StepKey.DerustAbrasive, q.Rusty))
        {
            Parts = Ids(q.Rusty), Needs = [Need.Of(SupplyIds.NylonAbrasivePad, 1), Need.Of(SupplyIds.P400Sheet, 1), q.On(SupplyIds.LightOil, q.Rusty, 2),
                q.On(SupplyIds.CleanCloth, q.Rusty)],
            How = q.Present.Any(q.Etched)
                ? "With the length of the plate, paper on a flat block, a few strokes and look. Stop the moment the etch shows; round it only wool."
                    : $"{Along(q.Rusty)}, never across. Lighter round stamps.",
            Reason = q.Present.Any(q.Etched) ? "The etch is only as deep as the rust: what is left of it is kept by eye."
                : "It thins the rust and leaves the iron.", FinishTest = "No brown comes off on an oily cloth.", SurfaceLost = SurfaceId.SomePatina,
            Cautions = q.Tool.Family == Family.Saw ? [CautionId.Teeth] : q.Edges.Any() ? [CautionId.BareEdge] : [],
        }, RustWays.Id, 14),
        PlanRule.One("scrape", "A blade takes what stands up and leaves the dark skin.",
            [If("something is rusty", q => q.With(FindingKind.Rust, q.Aim == AimKind.Keep ? 1 : 2).Any(p => p.Ferrous)),
            If("the way is the blade, or the aim is Keep", q =>
            q.Way(RustWays.Id) == WayId.Scrape || (q.Aim == AimKind.Keep && q.Rusty.Count == 0))], q => new Deed(StepKey.DerustScrape, Stage.Derust,
            "Lift active rust with a blade held flat, leave the dark skin",
            ByHand(q, StepKey.DerustScrape, [.. q.With(FindingKind.Rust).Where(p => p.Ferrous)]))
        {
            Parts = Ids(q.With(FindingKind.Rust).Where(p => p.Ferrous)),
                Needs = [Need.Of(SupplyIds.ScrapingBlade), q.On(SupplyIds.LightOil, q.With(FindingKind.Rust), 2),
                    q.On(SupplyIds.CleanCloth, q.With(FindingKind.Rust))],
            How = "Blade nearly flat, oil under it, stop at brown that is smooth.", Reason = "Old darkening is history; only live rust does harm.",
            FinishTest = "No orange dust after a day.", Cautions = [CautionId.BareEdge],
        }, RustWays.Id, 12),
        PlanRule.One("blast", "It reaches corners and leaves a matt grey.",
            [If("something is rusty", q => q.Rusty.Count > 0), Chosen(RustWays.Id, WayId.Blast)],
            q => new Deed(StepKey.DerustBlast, Stage.Derust, $"Blast {q.Called(q.Rusty)} with a soft medium", q.Minutes(StepKey.DerustBlast, q.Rusty))
        {
            Parts = Ids(q.Rusty), Block = Block.OutOfTheCabinet,
                Needs = [Need.Of(SupplyIds.BlastCabinet), Need.Of(SupplyIds.SoftBlastingMedium, 1), Need.Of(SupplyIds.MaskingTape, 2)],
            How = "Mask working faces and threads. Low pressure, moving; a small compressor rests as long as it runs. Drain water from the line first.",
            Reason = "Bare metal in every corner in minutes.", FinishTest = "Even grey, no brown.", Cautions = [CautionId.Blasting], Undoable = false,
            SurfaceLost = SurfaceId.Patina,
        }, RustWays.Id, 14),
        PlanRule.One("oil after blasting", "Blasted iron is thirsty and rusts within the hour.", [If("something is rusty", q => q.Rusty.Count > 0),
            Chosen(RustWays.Id, WayId.Blast)], q => new Deed(StepKey.DerustBlastOil, Stage.Derust, "Blow clean and oil at once",
                q.Minutes(StepKey.DerustBlastOil, q.Rusty))
        {
            Parts = Ids(q.Rusty), Block = Block.OutOfTheCabinet, Needs = [Need.Of(SupplyIds.LightOil, 10), Need.Of(SupplyIds.CleanCloth, 1)],
            Reason = "A blasted face holds damp like paper.", FinishTest = "A thin film everywhere.",
        }, RustWays.Id),
        PlanRule.One("derust what the bath may not take", "Some rust must come off by hand.",
            [Soaks, If("some rusty parts may not go in", q => Rest(q).Count > 0)], q => new Deed(StepKey.DerustRest, Stage.Derust,
            $"Derust by hand: {q.Called(Rest(q))}", 
            ByHand(q, StepKey.DerustRest, Rest(q)))
        {
            Parts = Ids(Rest(q)),
            Needs = [Rest(q).Any(Delicate) ? Need.Of(SupplyIds.SteelWool, 1) : Need.Of(SupplyIds.FineWireBrush), Need.Of(SupplyIds.NylonAbrasivePad, 1),
                Need.Of(SupplyIds.LightOil, 15)],
            How = Rest(q).Any(Delicate) ? "Springs, screws and plating: fine wool and oil, no wheel." : $"{Along(Rest(q))}, never across.",
            Reason = q.Bath is BathKind bath && Rest(q).Select(p => q.Limit(bath, p).Reason).FirstOrDefault(r => r is not null) is string why
                ? $"Not for the bath: {Sentences.Middle(why)}." : "The bath would harm it.",
            FinishTest = "No brown comes off on an oily cloth.", Cautions = [CautionId.Wire], SurfaceLost = SurfaceId.SomePatina,
        }, RustWays.Id, 6),
        PlanRule.One("wipe off the bloom", "Light rust needs no bath.", [NotKeep, If("light rust on iron or steel", q => Bloom(q).Count > 0)], q =>
            new Deed(StepKey.DerustBloom, Stage.Derust, $"Wipe off the light bloom: {q.Called(Bloom(q))}", q.Minutes(StepKey.DerustBloom, Bloom(q)))
        {
            Parts = Ids(Bloom(q)), Needs = [Need.Of(SupplyIds.SteelWool, 1), q.On(SupplyIds.LightOil, Bloom(q))],
            How = "Oil first, then wool, then a dry cloth.",
            Reason = "It comes off with oil and fine wool.", FinishTest = "A white cloth stays white.",
        }, buys: 6),
        PlanRule.One("take the dark skin off", "As it left the works it was bright.", [NotKeep, Chosen(ChoiceId.Dark, WayId.Remove),
            If("bare iron has darkened or was rusty", q => Bright(q).Any())], q => new Deed(StepKey.DarkRemove,
            Stage.Derust, "Take the dark skin off the bare iron", q.Minutes(StepKey.DarkRemove, Bright(q)))
        {
            Parts = Ids(Bright(q)),
            Needs = [Need.Of(SupplyIds.P240Sheet, 2), Need.Of(SupplyIds.P400Sheet, 2), q.On(SupplyIds.LightOil, Bright(q), 2)],
            How = $"{Along(q.Present.Where(p => p.Ferrous && p.Finish == PartFinish.Bare))}, block behind the paper. No coarser than the marks allow: go "
                + "round every stamp.",
            Reason = "Bright iron is what the works sold.", FinishTest = "An even grey in raking light, every stamp crisp.", Undoable = false,
                SurfaceLost = SurfaceId.Patina, MetalRemovedMm = q.Metal(StepKey.DarkRemove),
            Cautions = q.Edges.Any() ? [CautionId.BareEdge] : [],
        }, ChoiceId.Dark, 8),
    ];

    /// <summary>What a bath would do to the parts that are kept out of it, and to no others.</summary>
    private static string WhyOut(PlanQuestion q)
    {
        List<PartDef> kept = [.. KeptOut(q)];
        string[] harms =
        [
            kept.Any(p => p.Material == Material.Wood) ? "wood swells and cracks" : "", kept.Any(p => p.Material == Material.Soft) ? "grips go soft and let go"
                : "",
            kept.Any(p => p.Material == Material.Brass) ? "brass turns pink" : "", kept.Any(p => p.Ferrous && p.Material == Material.SpringSteel)
                ? "springs turn brittle" : "",
            kept.Any(p => p.Ferrous && p.Finish == PartFinish.Plated) ? "plating lifts" : "", kept.Any(q.DullPlate) ? "plating that may be cadmium comes off"
                : "", kept.Any(p => p.Ferrous && p.Finish is PartFinish.Japanned or PartFinish.Painted) ? "the coating lifts" : "",
        ];
        string said = string.Join(", ", harms.Where(h => h.Length > 0));
        return said.Length == 0 ? "The bath would harm it." : $"{Sentences.Start(said)}.";
    }

    private static IEnumerable<PartDef> KeptOut(PlanQuestion q) => q.Present.Except(q.Discarded).Where(p => !q.SoakLoad.Contains(p)
        && (!p.Ferrous || !q.Limit(q.Bath!.Value, p).Allowed));

    private static string Liquid(BathKind bath, Assumptions a) =>
        bath switch { BathKind.Citric => $"citric acid, {a.AcidPercent:0.#} %", BathKind.Acetic => $"vinegar, {a.AcidPercent:0.#} %",
        BathKind.Electrolysis => "the electrolysis tub", _ => "the chelating bath" };

    private static bool Acid(BathKind? bath) => bath is BathKind.Citric or BathKind.Acetic;

    private static CautionId Caution(BathKind? bath) => bath switch
    {
        BathKind.Electrolysis => CautionId.Electrolysis,
        BathKind.Citric or BathKind.Acetic => CautionId.Acid,
        _ => CautionId.Bath,
    };

    /// <summary>Acid in a litre for each percent of it, g.</summary>
    private const double GramsPerPercent = 10;

    /// <summary>What the bath is made of.</summary>
    private static IReadOnlyList<Need> Mixed(BathKind bath, double litres, Assumptions a) => bath switch
    {
        BathKind.Citric => [Need.Of(SupplyIds.CitricAcid, Math.Round(GramsPerPercent * a.AcidPercent * litres))],
        BathKind.Acetic => [Need.Of(SupplyIds.Vinegar, litres)],
        BathKind.Electrolysis => [Need.Of(SupplyIds.WashingSoda, Math.Round(a.WashingSodaGL * litres)),
            Need.Of(SupplyIds.PlainIronAnode, 1), Need.Of(SupplyIds.BenchPowerSupply)],
        _ => [Need.Of(SupplyIds.ChelatingBath, litres)],
    };

    private static Deed Soaking(PlanQuestion q)
    {
        BathKind bath = q.Bath!.Value;
        LoadLimit limit = BathTable.Strictest([.. q.SoakLoad.Select(p => q.Limit(bath, p))]);
        SoakResult soak = Soak.Time(new SoakInput(bath, q.RustLevel, q.TemperatureC, Acid(bath) ? q.Shop.Assumptions.AcidPercent : null,
            RelativeHumidityPercent: q.RelativeHumidityPercent,
            OutByHours: limit.OutByHours), q.Shop.Assumptions);
        double litres = Math.Max(1, Math.Ceiling(q.Facts.LengthMm / 60));
        List<PartDef> above = [.. q.StaysWithMetal];
        string hang = above.Count > 0 ? $"Hang it so that the {Names(above)} {Verb(above, "stays", "stay")} a hand above the liquid."
            : $"Covered by {q.Shop.Assumptions.BathCoverMm:0.#} mm, nothing touching.";
        string watch = q.Present.Any(q.Etched) ? " Look at the etch every half hour." : q.SoakLoad.Any(p => p.Finish != PartFinish.Bare) ? " Coatings watched."
            : "";
        return new Deed(StepKey.Soak, Stage.Derust, $"Into {Liquid(bath, q.Shop.Assumptions)}: {q.Called(q.SoakLoad)}", q.Minutes(StepKey.Soak))
        {
            Parts = Ids(q.SoakLoad), Lag = Lag.Bath(Math.Round(soak.HoursEach * 60), limit.OutByHours * 60, Math.Round(soak.LookInMinutes), StepKey.SoakLift),
            Needs = [.. Mixed(bath, litres, q.Shop.Assumptions), Need.Of(SupplyIds.BathTub)],
            How = $"{hang}{watch}{(soak.Soaks > 1 ? $" {soak.Soaks} soaks with a scrub between." : "")}",
            Reason = $"{soak.HoursEach:0.#} h at {q.TemperatureC:0} °C for rust like this. {limit.Reason}{(limit.Reason is null ? "" : ".")}".TrimEnd(),
            FinishTest = "Rust wipes off as a black film.", Cautions = [Caution(bath)], Bath = bath, Undoable = false, SurfaceLost = SurfaceId.Patina,
        };
    }

    private static IEnumerable<Deed> OutOfTheBath(PlanQuestion q)
    {
        bool acid = Acid(q.Bath);
        List<PartId> parts = Ids(q.SoakLoad);
        double within = Soak.OilWithinMin(q.Bath, q.RelativeHumidityPercent, q.Shop.Assumptions);
        yield return new Deed(StepKey.SoakLift, Stage.Derust, "Lift out, scrub off the black, rinse", q.Minutes(StepKey.SoakLift, q.SoakLoad))
        {
            Block = Block.OutOfTheBath, Parts = parts, Needs = [Need.Of(SupplyIds.NylonAbrasivePad, 1)],
                How = "Along the length, under running water, into every corner.",
            Reason = $"From here on without a break: dry and oiled within {within:0} min.", FinishTest = "Rinse water runs clear.",
                Cautions = [Caution(q.Bath)],
        };
        if (acid)
        {
            yield return new Deed(StepKey.SoakNeutralise, Stage.Derust, "Neutralise in soda water until the fizzing stops", q.Minutes(StepKey.SoakNeutralise))
            {
                Block = Block.OutOfTheBath, Parts = parts, Needs = [Need.Of(SupplyIds.BakingSoda, 15)],
                    How = "A tablespoon to the litre, then rinse once more.",
                Reason = "Acid left in pores goes on working.", FinishTest = "No more bubbles.",
            };
        }
        yield return new Deed(StepKey.SoakDry, Stage.Derust, "Dry at once, into every hole", q.Minutes(StepKey.SoakDry, q.SoakLoad))
        {
            Block = Block.OutOfTheBath, Parts = parts, Needs = [q.On(SupplyIds.CleanCloth, q.SoakLoad), Need.Of(SupplyIds.HeatGun)],
            How = "Cloth, then warm air, never hot enough to change a colour.", Reason = "Flash rust starts while you look away.",
            FinishTest = "Warm to the hand, no dark seams.",
        };
        yield return new Deed(StepKey.SoakOil, Stage.Derust, "Oil it while it is warm", q.Minutes(StepKey.SoakOil, q.SoakLoad))
        {
            Block = Block.OutOfTheBath, Parts = parts, Needs = [q.On(SupplyIds.LightOil, q.SoakLoad)],
                Reason = $"The last of the unbroken block: within {within:0} min of the rinse.",
            FinishTest = "A thin film everywhere.",
        };
    }
}
