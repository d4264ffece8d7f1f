using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for taking rust off.</summary>
internal static class DerustRules
{
    private const string Block = "out of the bath", BlastBlock = "out of the cabinet";

    private static readonly Cond Soaks = If("rusty parts go into a bath", q => q.SoakLoad.Count > 0);

    private static List<PartDef> Rest(PlanQuestion q) => [.. q.Rusty.Except(q.SoakLoad)];

    private static List<PartDef> Bloom(PlanQuestion q) => [.. q.With(FindingKind.Rust).Where(p => p.Ferrous && q.Worst(FindingKind.Rust, p.Id) == 1)];

    /// <summary>Minutes to work every rusty part by hand; crust takes longer than brown.</summary>
    private static double ByHand(PlanQuestion q, double least, double each) =>
        Math.Round(least + q.Rusty.Sum(p => each * Math.Max(1, q.Worst(FindingKind.Rust, p.Id) - 1)));

    private static bool Delicate(PartDef p) => p.Material == Material.SpringSteel || p.IsFastener || p.Finish == PartFinish.Plated;

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("keep out of the bath", "Baths crack wood, redden brass and lift plate.",
            [Soaks, If("something of it may not go in", q => q.Bath is not null && KeptOut(q).Any())], q => new PlanStep("keep-out", Stage.Derust,
            $"Not for the bath: {Names(KeptOut(q))}", 1, 2, 4)
        {
            Parts = Ids(KeptOut(q)), How = q.StaysWithMetal.Any() ? "Set aside what is loose; what stays on hangs above the liquid." : "Set it aside, dry.",
            Reason = WhyOut(q), FinishTest = "Only iron and steel that may go in lies by the tub.",
        }, RustWays.Id),
        PlanRule.One("soak", "A bath reaches what no brush does.", [Soaks], Soaking, RustWays.Id, 14),
        new("unbroken block out of the bath", "Wet bare iron flash-rusts within minutes, so nothing comes between.", [Soaks], OutOfTheBath, RustWays.Id),
        PlanRule.One("wire wheel", "Fast and dry, for what will not suffer.", [If("something is rusty", q => q.Rusty.Count > 0), Chosen(RustWays.Id, "wire")],
            q => new PlanStep("derust-wire", Stage.Derust, $"Wire wheel on {Names(q.Rusty)}", ByHand(q, 4, 1), ByHand(q, 8, 2), ByHand(q, 20, 4))
        {
            Parts = Ids(q.Rusty), Materials = ["wire wheel", "light oil: 10 mL"],
            How = "Slow and fine for screws and springs, held in pliers; lengthwise on faces. Oil as each comes off.", Reason = "No wetting, no waiting.",
            FinishTest = "No brown comes off on an oily cloth.", Caution = $"{Cautions.Wire} {Cautions.Rotating}", SurfaceLost = Surfaces.SomePatina,
        }, RustWays.Id, 14),
        PlanRule.One("fine abrasive and oil", "By hand the eye is close enough to stop in time.", [If("something is rusty", q => q.Rusty.Count > 0), NotKeep,
            Chosen(RustWays.Id, "abrasive")], q => new PlanStep("derust-abrasive", Stage.Derust, $"Fine abrasive and oil on {Names(q.Rusty)}", ByHand(q, 6, 2),
            ByHand(q, 10, 5), ByHand(q, 25, 10))
        {
            Parts = Ids(q.Rusty), Materials = ["nylon abrasive pad: 1 pieces", "P400 sheet: 1 sheets", "light oil: 20 mL", "clean cloth: 2 pieces"],
            How = q.Present.Any(q.Etched) ? "With the length of the plate, paper on a flat block, a few strokes and look. Stop the moment the etch shows; round it only wool." : $"{Along(q.Rusty)}, never across. Lighter round stamps.",
            Reason = q.Present.Any(q.Etched) ? "The etch is only as deep as the rust: what is left of it is kept by eye."
                : "It thins the rust and leaves the iron.", FinishTest = "No brown comes off on an oily cloth.", SurfaceLost = Surfaces.SomePatina,
            Caution = q.Tool.Family == Family.Saw ? Cautions.Teeth : q.Edges.Any() ? Cautions.BareEdge : "",
        }, RustWays.Id, 14),
        PlanRule.One("scrape", "A blade takes what stands up and leaves the dark skin.",
            [If("something is rusty", q => q.With(FindingKind.Rust, q.Aim == AimKind.Keep ? 1 : 2).Any()), If("the way is the blade, or the aim is Keep", q =>
            q.Way(RustWays.Id) == "scrape" || (q.Aim == AimKind.Keep && q.Rusty.Count == 0))], q => new PlanStep("derust-scrape", Stage.Derust,
            "Lift active rust with a blade held flat, leave the dark skin", 10, 25, 60)
        {
            Parts = Ids(q.With(FindingKind.Rust).Where(p => p.Ferrous)), Materials = ["scraping blade", "light oil: 15 mL", "clean cloth: 2 pieces"],
            How = "Blade nearly flat, oil under it, stop at brown that is smooth.", Reason = "Old darkening is history; only live rust does harm.",
            FinishTest = "No orange dust after a day.", Caution = Cautions.BareEdge,
        }, RustWays.Id, 12),
        PlanRule.One("blast", "It reaches corners and leaves a matt grey.", [If("something is rusty", q => q.Rusty.Count > 0), Chosen(RustWays.Id, "blast")],
            q => new PlanStep("derust-blast", Stage.Derust, $"Blast {Names(q.Rusty)} with a soft medium", 6, 15, 35)
        {
            Parts = Ids(q.Rusty), Block = BlastBlock, Materials = ["blast cabinet", "soft blasting medium: 1 kg", "masking tape: 2 m"],
            How = "Mask working faces and threads. Low pressure, moving; a small compressor rests as long as it runs. Drain water from the line first.",
            Reason = "Bare metal in every corner in minutes.", FinishTest = "Even grey, no brown.", Caution = Cautions.Blasting, Undoable = false,
            SurfaceLost = Surfaces.Patina,
        }, RustWays.Id, 14),
        PlanRule.One("oil after blasting", "Blasted iron is thirsty and rusts within the hour.", [If("something is rusty", q => q.Rusty.Count > 0),
            Chosen(RustWays.Id, "blast")], q => new PlanStep("derust-blast-oil", Stage.Derust, "Blow clean and oil at once", 2, 4, 8)
        {
            Parts = Ids(q.Rusty), Block = BlastBlock, Materials = ["light oil: 10 mL", "clean cloth: 1 pieces"],
            Reason = "A blasted face holds damp like paper.", FinishTest = "A thin film everywhere.",
        }, RustWays.Id),
        PlanRule.One("derust what the bath may not take", "Some rust must come off by hand.",
            [Soaks, If("some rusty parts may not go in", q => Rest(q).Count > 0)], q => new PlanStep("derust-rest", Stage.Derust,
            $"Derust by hand: {Names(Rest(q))}", 3 + (2 * Rest(q).Count), 8 + (4 * Rest(q).Count), 20 + (8 * Rest(q).Count))
        {
            Parts = Ids(Rest(q)),
            Materials = [Rest(q).Any(Delicate) ? "0000 steel wool: 1 pads" : "fine wire brush", "nylon abrasive pad: 1 pieces", "light oil: 15 mL"],
            How = Rest(q).Any(Delicate) ? "Springs, screws and plating: fine wool and oil, no wheel." : $"{Along(Rest(q))}, never across.",
            Reason = q.Bath is BathKind bath && Rest(q).Select(p => q.Limit(bath, p).Reason).FirstOrDefault(r => r is not null) is string why
                ? $"Not for the bath: {Sentences.Middle(why)}." : "The bath would harm it.",
            FinishTest = "No brown comes off on an oily cloth.", Caution = Cautions.Wire, SurfaceLost = Surfaces.SomePatina,
        }, RustWays.Id, 6),
        PlanRule.One("wipe off the bloom", "Light rust needs no bath.", [NotKeep, If("light rust on iron or steel", q => Bloom(q).Count > 0)], q =>
            new PlanStep("derust-bloom", Stage.Derust, $"Wipe off the light bloom: {Names(Bloom(q))}", 3, 6, 15)
        {
            Parts = Ids(Bloom(q)), Materials = ["0000 steel wool: 1 pads", "light oil: 8 mL"], How = "Oil first, then wool, then a dry cloth.",
            Reason = "It comes off with oil and fine wool.", FinishTest = "A white cloth stays white.",
        }, buys: 6),
        PlanRule.One("take the dark skin off", "As it left the works it was bright.", [NotKeep, Chosen("dark", "remove"),
            If("bare iron has darkened or was rusty", q => q.Present.Any(p => p.Ferrous && p.Finish == PartFinish.Bare))], q => new PlanStep("dark-remove",
            Stage.Derust, "Take the dark skin off the bare iron", 10, 25, 60)
        {
            Parts = Ids(q.Present.Where(p => p.Ferrous && p.Finish == PartFinish.Bare && p.Material is not Material.SpringSteel && !p.InSet)),
            Materials = ["P240 sheet: 2 sheets", "P400 sheet: 2 sheets", "light oil: 20 mL"],
            How = $"{Along(q.Present.Where(p => p.Ferrous && p.Finish == PartFinish.Bare))}, block behind the paper. No coarser than the marks allow: go round every stamp.", Reason = "Bright iron is what the works sold.", FinishTest = "An even grey in raking light, every stamp crisp.", Undoable = false, SurfaceLost = Surfaces.Patina, MetalRemovedMm = 0.01, Caution = q.Edges.Any() ? Cautions.BareEdge : "",
        }, "dark", 8),
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

    private static string Liquid(BathKind bath) => bath switch { BathKind.Citric => "citric acid, 5 %", BathKind.Acetic => "vinegar, 5 %",
        BathKind.Electrolysis => "the electrolysis tub", _ => "the chelating bath" };

    private static bool Acid(BathKind? bath) => bath is BathKind.Citric or BathKind.Acetic;

    private static string Caution(BathKind? bath) => bath switch { BathKind.Electrolysis => Cautions.Electrolysis, BathKind.Citric or BathKind.Acetic =>
        Cautions.Acid, _ => Cautions.Bath };

    private static PlanStep Soaking(PlanQuestion q)
    {
        BathKind bath = q.Bath!.Value;
        LoadLimit limit = BathTable.Strictest([.. q.SoakLoad.Select(p => q.Limit(bath, p))]);
        SoakResult soak = Soak.Time(new SoakInput(bath, q.RustLevel, q.TemperatureC, Acid(bath) ? 5 : null, RelativeHumidityPercent: q.RelativeHumidityPercent,
            OutByHours: limit.OutByHours));
        double litres = Math.Max(1, Math.Ceiling((q.LengthMm ?? q.Tool.NominalLengthMm) / 60));
        List<PartDef> above = [.. q.StaysWithMetal];
        return new PlanStep("soak", Stage.Derust, $"Into {Liquid(bath)}: {Names(q.SoakLoad)}", 4, 8, 15)
        {
            Parts = Ids(q.SoakLoad), WaitMin = Math.Round(soak.HoursEach * 60), LookInMin = Math.Round(soak.LookInMinutes), OutByMin = limit.OutByHours * 60,
            Materials = [.. bath switch
            {
                BathKind.Citric => [$"citric acid: {50 * litres:0} g"],
                BathKind.Acetic => [$"vinegar: {litres:0} L"],
                BathKind.Electrolysis => [$"washing soda: {Assumptions.Standard.WashingSodaGL * litres:0} g", "plain iron anode: 1 pieces",
                    "bench power supply"],
                _ => new[] { $"chelating bath: {litres:0} L" },
            }, "bath tub, longer than the longest part"],
            How = $"{(above.Count > 0 ? $"Hang it so that the {Names(above)} {Verb(above, "stays", "stay")} a hand above the liquid." : "Covered by 15 mm, nothing touching.")}{(q.Present.Any(q.Etched) ? " Look at the etch every half hour." : q.SoakLoad.Any(p => p.Finish != PartFinish.Bare) ? " Coatings watched." : "")}{(soak.Soaks > 1 ? $" {soak.Soaks} soaks with a scrub between." : "")}",
            Reason = $"{soak.HoursEach:0.#} h at {q.TemperatureC:0} °C for rust like this. {limit.Reason}{(limit.Reason is null ? "" : ".")}".TrimEnd(),
            FinishTest = "Rust wipes off as a black film.", Caution = Caution(bath), Undoable = false, SurfaceLost = Surfaces.Patina,
        };
    }

    private static IEnumerable<PlanStep> OutOfTheBath(PlanQuestion q)
    {
        bool acid = Acid(q.Bath);
        List<PartId> parts = Ids(q.SoakLoad);
        double within = (q.Bath == BathKind.Chelating ? 15 : 5) * (q.RelativeHumidityPercent > 60 ? 60 / q.RelativeHumidityPercent : 1);
        yield return new PlanStep("soak-lift", Stage.Derust, "Lift out, scrub off the black, rinse", 3, 6, 12)
        {
            Block = Block, Parts = parts, Materials = ["nylon abrasive pad: 1 pieces"], How = "Along the length, under running water, into every corner.",
            Reason = $"From here on without a break: dry and oiled within {within:0} min.", FinishTest = "Rinse water runs clear.", Caution = Caution(q.Bath),
        };
        if (acid)
        {
            yield return new PlanStep("soak-neutralise", Stage.Derust, "Neutralise in soda water until the fizzing stops", 2, 3, 5)
            {
                Block = Block, Parts = parts, Materials = ["baking soda: 15 g"], How = "A tablespoon to the litre, then rinse once more.",
                Reason = "Acid left in pores goes on working.", FinishTest = "No more bubbles.",
            };
        }
        yield return new PlanStep("soak-dry", Stage.Derust, "Dry at once, into every hole", 2, 4, 8)
        {
            Block = Block, Parts = parts, Materials = ["clean cloth: 2 pieces", "heat gun"],
            How = "Cloth, then warm air, never hot enough to change a colour.", Reason = "Flash rust starts while you look away.",
            FinishTest = "Warm to the hand, no dark seams.",
        };
        yield return new PlanStep("soak-oil", Stage.Derust, "Oil it while it is warm", 1, 2, 4)
        {
            Block = Block, Parts = parts, Materials = ["light oil: 10 mL"], Reason = $"The last of the unbroken block: within {within:0} min of the rinse.",
            FinishTest = "A thin film everywhere.",
        };
    }
}
