using Foundling.Core.Baths;
using Foundling.Core.Safety;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;

namespace Foundling.Core.Rod;

/// <summary>Rules for taking rust off.</summary>
internal static class DerustRules
{
    private const string Block = "out of the bath";

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("keep out of the bath", "Baths crack wood, redden brass and lift plate.", q => q.SoakLoad.Count > 0, q => new PlanStep
        {
            Key = "keep-out", Stage = Stage.Derust, LowMin = 1, LikelyMin = 2, HighMin = 4, Parts = [.. KeptOut(q).Select(p => p.Id)],
            Title = $"Set aside, not for the bath: {Names(KeptOut(q))}", Reason = "Wood swells and cracks, brass turns pink, springs turn brittle in acid.", FinishTest = "Only iron and steel that may go in lies by the tub.",
        }),
        PlanRule.One("soak", "A bath reaches what no brush does.", q => q.SoakLoad.Count > 0, Soaking),
        new("unbroken block out of the bath", "Wet bare iron flash-rusts within minutes, so nothing comes between.", q => q.SoakLoad.Count > 0, OutOfTheBath),
        PlanRule.One("derust what the bath may not take", "Some rust must come off by hand.", q => q.Aim != AimKind.Keep && q.Rusty.Except(q.SoakLoad).Any(), q => new PlanStep
        {
            Key = "hand-derust-rest", Stage = Stage.Derust, Title = $"Derust by hand: {Names(q.Rusty.Except(q.SoakLoad))}", Parts = [.. q.Rusty.Except(q.SoakLoad).Select(p => p.Id)],
            LowMin = 8, LikelyMin = 18, HighMin = 45, Materials = ["fine wire brush", "nylon abrasive pad", "light oil"], How = "With the machining lines, never across.",
            Reason = q.Bath is BathKind bath ? q.Rusty.Except(q.SoakLoad).Select(p => q.Baths.For(bath, p).Reason).FirstOrDefault(r => r is not null) ?? "The bath would harm it." : "This shop works rust by hand.",
            FinishTest = "No brown comes off on an oily cloth.", Caution = Cautions.Wire, SurfaceLost = "some patina",
        }),
        PlanRule.One("wipe off the bloom", "Light rust needs no bath.", q => q.Aim != AimKind.Keep && q.With(FindingKind.Rust).Any(p => q.Worst(FindingKind.Rust, p.Id) == 1), q => new PlanStep
        {
            Key = "hand-derust-bloom", Stage = Stage.Derust, Title = "Wipe off the light bloom", Parts = [.. q.With(FindingKind.Rust).Where(p => q.Worst(FindingKind.Rust, p.Id) == 1).Select(p => p.Id)],
            LowMin = 3, LikelyMin = 6, HighMin = 15, Materials = ["0000 steel wool", "light oil"], Reason = "It comes off with oil and fine wool.", FinishTest = "A white cloth stays white.",
        }),
        PlanRule.One("keep the patina", "Under Keep only rust that is still working comes off.", q => q.Aim == AimKind.Keep && q.With(FindingKind.Rust).Any(), q => new PlanStep
        {
            Key = "hand-derust-keep", Stage = Stage.Derust, Title = "Lift active rust with a blade held flat, leave the dark skin", Parts = [.. q.With(FindingKind.Rust).Select(p => p.Id)],
            LowMin = 10, LikelyMin = 25, HighMin = 60, Materials = ["scraping blade", "light oil"], How = "Blade nearly flat, oil under it, stop at brown that is smooth.",
            Reason = "Old darkening is history; only live rust does harm.", FinishTest = "No orange dust after a day.", Caution = Cautions.BareEdge,
        }),
        PlanRule.One("clean brass", "Brass is brightened, not worn.", q => q.Aim != AimKind.Keep && q.Present.Any(p => p.Material == Material.Brass), q => new PlanStep
        {
            Key = "brass", Stage = Stage.SmallParts, Title = $"Brighten brass: {Names(q.Present.Where(p => p.Material == Material.Brass))}", Parts = [.. q.Present.Where(p => p.Material == Material.Brass).Select(p => p.Id)],
            LowMin = 3, LikelyMin = 8, HighMin = 20, Materials = q.Aim == AimKind.Show ? ["metal polish", "cotton"] : ["soap and water", "soft brush"],
            Reason = q.Aim == AimKind.Show ? "As it left the works." : "Dirt off; the colour of use may stay.", FinishTest = "Knurling is clean to its root.", Caution = Cautions.Polish,
            SurfaceLost = q.Aim == AimKind.Show ? "the brown of use on brass" : "",
        }),
    ];

    private static IEnumerable<PartDef> KeptOut(PlanQuestion q) => q.Present.Where(p => !q.SoakLoad.Contains(p) && (!p.Ferrous || !q.Baths.For(q.Bath!.Value, p).Allowed));

    private static PlanStep Soaking(PlanQuestion q)
    {
        BathKind bath = q.Bath!.Value;
        LoadLimit limit = q.Baths.For(bath, q.SoakLoad);
        SoakResult soak = Soak.Time(new SoakInput(bath, q.RustLevel, q.TemperatureC, bath == BathKind.Citric ? 5 : null, RelativeHumidityPercent: q.RelativeHumidityPercent, OutByHours: limit.OutByHours));
        string name = bath == BathKind.Citric ? "citric acid, 5 %" : "the chelating bath";
        return new PlanStep
        {
            Key = "soak", Stage = Stage.Derust, Title = $"Into {name}: {Names(q.SoakLoad)}", Parts = [.. q.SoakLoad.Select(p => p.Id)], LowMin = 4, LikelyMin = 8, HighMin = 15,
            WaitMin = Math.Round(soak.HoursEach * 60), LookInMin = Math.Round(soak.LookInMinutes), OutByMin = limit.OutByHours * 60,
            Materials = [bath == BathKind.Citric ? "citric acid, 50 g to the litre" : "chelating bath to cover", "tub that the longest part lies in"],
            How = $"Covered by 15 mm, nothing touching, coatings watched.{(soak.Soaks > 1 ? $" {soak.Soaks} soaks with a scrub between." : "")}",
            Reason = $"{soak.HoursEach:0.#} h at {q.TemperatureC:0} °C for rust like this. {limit.Reason}", FinishTest = "Rust wipes off as a black film.",
            Caution = bath == BathKind.Citric ? Cautions.Acid : Cautions.Bath, Undoable = false, SurfaceLost = "patina on the soaked faces",
        };
    }

    private static IEnumerable<PlanStep> OutOfTheBath(PlanQuestion q)
    {
        bool acid = q.Bath == BathKind.Citric;
        List<string> parts = [.. q.SoakLoad.Select(p => p.Id)];
        double within = (acid ? 5 : 15) * (q.RelativeHumidityPercent > 60 ? 60 / q.RelativeHumidityPercent : 1);
        yield return new PlanStep
        {
            Key = "soak-lift", Stage = Stage.Derust, Block = Block, Parts = parts, Title = "Lift out, scrub off the black, rinse", LowMin = 3, LikelyMin = 6, HighMin = 12,
            Materials = ["nylon abrasive pad", "clean water"], Reason = $"From here on without a break: dry and oiled within {within:0} min.", FinishTest = "Rinse water runs clear.", Caution = acid ? Cautions.Acid : Cautions.Bath,
        };
        if (acid)
        {
            yield return new PlanStep
            {
                Key = "soak-neutralise", Stage = Stage.Derust, Block = Block, Parts = parts, Title = "Neutralise in soda water until the fizzing stops", LowMin = 2, LikelyMin = 3, HighMin = 5,
                Materials = ["baking soda, a tablespoon to the litre"], Reason = "Acid left in pores goes on working.", FinishTest = "No more bubbles.",
            };
        }
        yield return new PlanStep
        {
            Key = "soak-dry", Stage = Stage.Derust, Block = Block, Parts = parts, Title = "Dry at once, into every hole", LowMin = 2, LikelyMin = 4, HighMin = 8,
            Materials = ["dry cloth", "warm air"], Reason = "Flash rust starts while you look away.", FinishTest = "Warm to the hand, no dark seams.",
        };
        yield return new PlanStep
        {
            Key = "soak-oil", Stage = Stage.Derust, Block = Block, Parts = parts, Title = "Oil it while it is warm", LowMin = 1, LikelyMin = 2, HighMin = 4,
            Materials = ["light oil"], Reason = $"The last of the unbroken block: within {within:0} min of the rinse.", FinishTest = "A thin film everywhere.",
        };
    }
}
