using Foundling.Core.Aim;
using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Rust;
using Foundling.Core.Rod.Ways;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for baths: what goes in, every soak with its scrub, what comes out early, and the unbroken block after it.</summary>
internal static class SoakRules
{
    private const double MinutesAnHour = 60, MlInL = 1000, Dm2InMm2 = 10_000, HandNeutral = 15, Fives = 5;

    private static readonly Cond Soaks = If("rusty parts go into a bath", q => q.RustPlan.Loads.Count > 0);

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("keep out of the bath", "Baths crack wood, redden brass and lift plate.",
            [Soaks, If("something of it may not go in", q => KeptOut(q).Any())], q => new Deed(StepKey.KeepOut, Stage.Derust,
            $"Not for the bath: {q.Called(KeptOut(q))}", q.Minutes(StepKey.KeepOut))
        {
            Parts = Ids(KeptOut(q)), How = $"Set {(KeptOut(q).Count() == 1 ? "it" : "them")} aside, dry." + Instead(q), Reason = WhyOut(q),
            FinishTest = "Only iron and steel that may go in lies by the tub.",
        }, RustWays.Id),
        new("soak", "A bath reaches what no brush does.", [Soaks], q => q.RustPlan.Loads.SelectMany(l => Soaking(q, l)), RustWays.Id, 14),
        new("out before the rest", "The limit of one part is no reason to lift the others.",
            [Soaks, If("a part must come out before the rest", q => q.RustPlan.Loads.Any(l => l.Early.Count > 0))],
            q => q.RustPlan.Loads.Where(l => l.Early.Count > 0).Select(l => Early(q, l)), RustWays.Id),
        new("unbroken block out of the bath", "Wet bare iron flash-rusts within minutes, so nothing comes between.", [Soaks],
            q => q.RustPlan.Loads.SelectMany(l => OutOfTheBath(q, l)), RustWays.Id),
    ];

    private static IEnumerable<PartDef> KeptOut(PlanQuestion q)
    {
        if (q.RustPlan.Loads is not [SoakLoad first, ..])
        {
            return [];
        }
        HashSet<PartId> byHand = [.. q.RustPlan.Rest.Select(k => k.Part.Id)];
        return q.Present.Except(q.Discarded).Where(p => !q.SoakLoad.Contains(p) && (byHand.Contains(p.Id) || !p.Ferrous || !q.Limit(first.Mix.Kind,
            p).Allowed));
    }

    /// <summary>What only its limit keeps out might go in after all: in how many soaks, and what it costs by hand.</summary>
    private static string Instead(PlanQuestion q) => string.Concat(q.RustPlan.Rest.Where(k => k.Soaks is not null).Select(k =>
        $" The {k.Part.Name}: {Sentences.Middle(k.Why)}; by hand about {q.Minutes(StepKey.DerustRest, [k.Part]).Likely:0.#} min."));

    /// <summary>What a bath would do to the parts that are kept out of it, and to no others.</summary>
    private static string WhyOut(PlanQuestion q)
    {
        List<PartDef> kept = [.. KeptOut(q)];
        bool Kept(Func<PartDef, bool> what) => kept.Any(p => p.Ferrous && what(p));
        string[] harms =
        [
            kept.Any(p => p.Material == Material.Wood) ? "wood swells and cracks" : "", kept.Any(p => p.Material == Material.Soft) ? "grips go soft and let go"
                : "",
            kept.Any(p => p.Material == Material.Brass) ? "brass turns pink" : "", Kept(p => p.Material == Material.SpringSteel) ? "springs turn brittle" : "",
            Kept(p => p.Finish == PartFinish.Plated) ? "plating lifts" : "", kept.Any(q.DullPlate) ? "plating that may be cadmium comes off" : "",
            Kept(SurfaceWays.IsCoated) ? "the coating lifts" : "",
        ];
        string said = string.Join(", ", harms.Where(h => h.Length > 0));
        return said.Length == 0 ? $"The bath would harm {(kept.Count == 1 ? "it" : "them")}." : $"{Sentences.Start(said)}.";
    }

    /// <summary>The bath of the whole tool has the plain keys; another has that of its way behind them.</summary>
    private static string Of(PlanQuestion q, SoakLoad load) => q.RustPlan.Loads[0] == load ? "" : KeyText.Of(load.Way).Replace('-', '_');

    private static DeedId Round(string of, int round) => round == 1 ? new DeedId(StepKey.Soak, of)
        : new DeedId(StepKey.SoakAgain, of.Length == 0 ? $"{round}" : $"{of}_{round}");

    private static IEnumerable<Deed> Soaking(PlanQuestion q, SoakLoad load)
    {
        SoakResult time = load.Time!;
        string of = Of(q, load);
        double each = Math.Round(time.HoursEach * MinutesAnHour);
        double? most = load.Limit.OutByHours * MinutesAnHour;
        Lag lag = Lag.Bath(Math.Min(each, most ?? each), most, Math.Round(time.LookInMinutes), StepKey.SoakLift);
        Lag between = lag with { EndedBy = [StepKey.SoakAgain, StepKey.SoakLift] };
        string watch = load.In.Any(q.Etched) ? " Look at the etch every half hour." : load.In.Any(p => SurfaceWays.IsCoated(p) && !SurfaceWays.Renews(q))
            ? " Coatings watched." : "";
        string more = time.Soaks > 1 ? $" {time.Soaks} soaks with a scrub between." : "";
        string out_ = load.Early.Count > 0 ? $" The {Names(load.Early)} {Verb(load.Early, "comes", "come")} out after "
            + $"{Typed.Wait(load.EarlyHours * MinutesAnHour)}."
            : "";
        yield return new Deed(Round(of, 1), Stage.Derust, $"Into {load.Mix.Name}: {q.Called(load.In)}", q.Minutes(StepKey.Soak))
        {
            Parts = Ids(load.In), Lag = time.Soaks > 1 ? between : lag,
            Needs = [.. Mixed(q, load), Need.Of(SupplyIds.BathTub)],
            How = $"Covered by {q.Shop.Assumptions.BathCoverMm:0.#} mm, nothing touching.{Wired(q, load)}{watch}{more}{out_}",
            Reason = Why(q, load), FinishTest = "Rust wipes off as a black film.", Cautions = [BathNames.CautionOf(load.Mix.Kind)],
            Bath = load.Mix.Kind, Undoable = false, SurfaceLost = SurfaceId.Patina,
        };
        for (int round = 2; round <= time.Soaks; round++)
        {
            yield return new Deed(Round(of, round), Stage.Derust, $"Scrub, look, and back into the bath: soak {round} of {time.Soaks}",
                q.Minutes(StepKey.SoakAgain, load.Main))
            {
                Parts = Ids(load.Main), Lag = round < time.Soaks ? between : lag, Needs = [Need.Of(SupplyIds.NylonAbrasivePad, 1), Need.Of(SupplyIds.BathTub)],
                Since = [new Follows(Round(of, round - 1), "one soak after the other", between), .. FirstOut(of, load)],
                How = $"{Off(load)}Scrub off the black under water. What is clean stays out, {(load.Mix.IsAcid ? "through soda water, " : "")}"
                    + "dried and oiled at once; the rest goes back.",
                Reason = $"{Limited(load)} A scrub lets the bath at what is left.", FinishTest = "Less brown than before.",
                Cautions = [BathNames.CautionOf(load.Mix.Kind)], Bath = load.Mix.Kind,
            };
        }
    }

    private static string Off(SoakLoad load) => load.Mix.Kind == BathKind.Electrolysis ? "Power off first. " : "";

    /// <summary>How a load is wired, with the current that its surface wants; what is not wired needs no word.</summary>
    private static string Wired(PlanQuestion q, SoakLoad load) => load.Mix.Kind == BathKind.Electrolysis
        ? " The negative lead on bare metal of each part, the plain iron round them on the positive; about "
            + $"{q.Shop.Assumptions.ElectrolysisADm2 * q.Extents.Work(load.In).Dm2:0.#} A for all." : "";

    private static IEnumerable<Follows> FirstOut(string of, SoakLoad load) =>
        load.Early.Count > 0 ? [new Follows(new DeedId(StepKey.SoakEarly, of), "what must be out first is out first")] : [];

    private static string Limited(SoakLoad load) => load.Limit is { OutByHours: double limit, Reason: string reason }
        ? $"{(load.Time!.Soaks > 1 ? "Each at" : "At")} most {Typed.Hours(limit * MinutesAnHour)}: {Sentences.Middle(reason)}." : "";

    private static string Why(PlanQuestion q, SoakLoad load)
    {
        SoakResult time = load.Time!;
        string warm = load.Mix.Kind == BathKind.Electrolysis ? "" : load.Mix.WarmC is double warmC ? $" mixed at {warmC:0} °C and left to cool"
            : $" at {q.TemperatureC:0} °C";
        string rust = BathNames.Rust(load.Rust);
        string about = Sentences.Start(Typed.Wait(time.SoakHours * MinutesAnHour)), all = time.Soaks > 1 ? $"{about} in all" : about;
        string what = load.Mix.Share < 1 ? $"{all}{warm} loosen {rust}; the wheel takes what is left." : $"{all}{warm} for {rust}.";
        return $"{what} {Limited(load)}".TrimEnd();
    }

    /// <summary>What the bath is made of, and how much of that this load uses up: what can do more is not paid for by one tool.</summary>
    private static List<Need> Mixed(PlanQuestion q, SoakLoad load)
    {
        Assumptions a = q.Shop.Assumptions;
        double iron = IronTaken(q, load), litres = load.Litres;
        double share = load.Mix switch
        {
            { Kind: BathKind.Citric or BathKind.Acetic } => Spent(Chemistry.AcidOf(load.Mix.Kind)!.Value, AcidG(load), iron, a).Spent,
            { Kind: BathKind.Electrolysis } => 1d / a.ElectrolyteLoads,
            _ => iron / (a.ChelatingIronGL * litres),
        };
        List<Need> needs = [.. Ingredients.Of(load.Mix.Kind, load.Mix.Percent, litres, a).Select(i => i.Item == SupplyIds.PlainIronAnode
            ? Need.Of(i.Item, i.Amount) : new Need(i.Item, i.Amount, Math.Round(i.Amount * Math.Min(1, share), 2)))];
        return load.Mix.Kind == BathKind.Electrolysis ? [.. needs, Need.Of(SupplyIds.BenchPowerSupply)] : needs;
    }

    private static double AcidG(SoakLoad load) => load.Mix.Percent!.Value / 100 * load.Litres * MlInL;

    private static SpentResult Spent(Acid acid, double acidG, double ironG, Assumptions a) =>
        Mixing.Spent(new SpentInput(acid, acidG, Chemistry.IronPerAcid(acid), [new BathLoad(ironG / a.IronInRust, 0)]), a);

    /// <summary>Iron that the rust of a load gives to its bath, g: by the area and the depth of its rust.</summary>
    private static double IronTaken(PlanQuestion q, SoakLoad load)
    {
        Assumptions a = q.Shop.Assumptions;
        return load.In.Where(p => q.Worst(FindingKind.Rust, p.Id) >= 1).Sum(p => Mixing.IronG(q.Extents[p.Id].AllDm2 * Dm2InMm2,
            LevelOf(q.Worst(FindingKind.Rust, p.Id)), a));
    }

    /// <summary>Soda for the parts, and for the bath itself once it is done with.</summary>
    private static double Soda(PlanQuestion q, SoakLoad load)
    {
        Acid acid = Chemistry.AcidOf(load.Mix.Kind)!.Value;
        return Math.Ceiling(Spent(acid, AcidG(load), IronTaken(q, load), q.Shop.Assumptions).BicarbonateG / Fives) * Fives;
    }

    private static Deed Early(PlanQuestion q, SoakLoad load)
    {
        string of = Of(q, load);
        double at = Math.Round(load.EarlyHours * MinutesAnHour);
        double? most = load.EarlyLimit.OutByHours * MinutesAnHour;
        double within = Soak.OilWithinMin(load.Mix.Kind, q.RelativeHumidityPercent, q.Shop.Assumptions);
        return new Deed(new DeedId(StepKey.SoakEarly, of), Stage.Derust, $"Take out before the rest: {q.Called(load.Early)}",
            q.Minutes(StepKey.SoakEarly, load.Early))
        {
            Parts = Ids(load.Early), Since = [new Follows(Round(of, 1), "it has had its time", Lag.Bath(at, most, null, StepKey.SoakEarly))],
            Needs = [Need.Of(SupplyIds.NylonAbrasivePad, 1), q.On(SupplyIds.CleanCloth, load.Early), q.On(SupplyIds.LightOil, load.Early)],
            How = $"{Off(load)}Scrub, rinse{(load.Mix.IsAcid ? ", dip in soda water, rinse again" : "")}, dry and oil in one go, within {within:0} min.",
            Reason = $"Out by {Typed.Hours(most ?? at)}: {Sentences.Middle(load.EarlyLimit.Reason ?? "its time is up")}. Kept out, it would be about "
                + $"{q.Minutes(StepKey.DerustRest, load.Early).Likely:0.#} min by hand.",
            FinishTest = "Clean, dry and oiled; the rest still covered.", Cautions = [BathNames.CautionOf(load.Mix.Kind)],
        };
    }

    private static IEnumerable<Deed> OutOfTheBath(PlanQuestion q, SoakLoad load)
    {
        string of = Of(q, load);
        List<PartId> parts = Ids(load.Main);
        double within = Soak.OilWithinMin(load.Mix.Kind, q.RelativeHumidityPercent, q.Shop.Assumptions);
        DeedId last = Round(of, load.Time!.Soaks);
        yield return new Deed(new DeedId(StepKey.SoakLift, of), Stage.Derust, "Lift out, scrub off the black, rinse", q.Minutes(StepKey.SoakLift, load.Main))
        {
            Block = Block.OutOfTheBath, Parts = parts, Needs = [Need.Of(SupplyIds.NylonAbrasivePad, 1)], Since = [new Follows(last, "the bath first"),
                .. FirstOut(of, load)],
            How = $"{Off(load)}Along the length, under running water, into every corner.",
            Reason = $"From here on without a break: dry and oiled within {within:0} min.", FinishTest = "Rinse water runs clear.",
            Cautions = [BathNames.CautionOf(load.Mix.Kind)],
        };
        if (load.Mix.IsAcid)
        {
            yield return new Deed(new DeedId(StepKey.SoakNeutralise, of), Stage.Derust, "Neutralise in soda water until the fizzing stops",
                q.Minutes(StepKey.SoakNeutralise))
            {
                Block = Block.OutOfTheBath, Parts = parts, Needs = [new Need(SupplyIds.BakingSoda, Soda(q, load), HandNeutral)],
                How = "A tablespoon to the litre, then rinse once more. The rest of the soda is for the bath itself when it is done with: in portions, until "
                    + "the fizzing stops.",
                Reason = "Acid left in pores goes on working.", FinishTest = "No more bubbles.",
            };
        }
        yield return new Deed(new DeedId(StepKey.SoakDry, of), Stage.Derust, "Dry at once, into every hole", q.Minutes(StepKey.SoakDry, load.Main))
        {
            Block = Block.OutOfTheBath, Parts = parts, Needs = [q.On(SupplyIds.CleanCloth, load.Main), Need.Of(SupplyIds.HeatGun)],
            How = "Cloth, then warm air, never hot enough to change a colour.", Reason = "Flash rust starts while you look away.",
            FinishTest = "Warm to the hand, no dark seams.",
        };
        yield return new Deed(new DeedId(StepKey.SoakOil, of), Stage.Derust, "Oil it while it is warm", q.Minutes(StepKey.SoakOil, load.Main))
        {
            Block = Block.OutOfTheBath, Parts = parts, Needs = [q.On(SupplyIds.LightOil, load.Main)],
            Reason = $"The last of the unbroken block: within {within:0} min of the rinse.",
            FinishTest = "A thin film everywhere.",
        };
    }
}
