using Foundling.Core.Units;
using Foundling.Core.Aim;
using Foundling.Core.Finishes;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for wood: find out what the old finish is, mend, stain before oil, finish with its waits.</summary>
internal static class WoodRules
{
    private const ChoiceId Id = ChoiceId.Wood;

    private static readonly Cond Has = If("it has wood", q => SurfaceWays.Finished(q).Any());

    private static readonly Cond HasOld = If("it has wood that stays", q => SurfaceWays.OldWood(q).Any());

    private static readonly Cond Dry = If("the wood is dry", q => q.WorstOn(FindingKind.Damp, SurfaceWays.Wooden(q).Select(p => p.Id)) < 2);

    /// <summary>True when a broken part is bored for a rod or a bolt.</summary>
    private static bool Bored(PlanQuestion q) => Broken(q).Any(p => p.Rod is not null || p.Is(PartIds.Handle) && q.Tool.Family == Family.Saw);

    private static List<PartDef> Broken(PlanQuestion q) => [.. SurfaceWays.OldWood(q).Where(p => q.Worst(FindingKind.Crack, p.Id) is >= 2 and var c
        && !(p.Is(PartIds.Haft) && c >= 3) || LetIn(q, p))];

    internal static bool IsGlued(PlanQuestion q, PartDef part) => Broken(q).Contains(part);

    // The handle and the button of a wooden body are let in and glued: loose, their glue has let go.
    private static bool LetIn(PlanQuestion q, PartDef part) => part.Is(PartIds.Tote, PartIds.Strike) && part.Rod is null
        && q.Tool.Part(PartIds.Body)?.Material == Material.Wood && q.Worst(FindingKind.Looseness, part.Id) >= 2;

    // From here on dust falls.
    private const int LiveWorm = 3;

    // From here on it crumbles.
    private const int Rotten = 4;

    private static List<PartDef> Wormy(PlanQuestion q) => [.. q.With(FindingKind.Worm, LiveWorm).Where(p => SurfaceWays.OldWood(q).Contains(p))];

    private static Adhesive Glue(PlanQuestion q) => (q.Aim == AimKind.Keep ? Adhesive.LiquidHide(q.Shop.Assumptions)
        : Adhesive.Wood(q.Shop.Assumptions)).In(q.TemperatureC);

    private static string Cold(PlanQuestion q) => Glue(q).TooCold(q.TemperatureC)
        ? $" At {q.TemperatureC:0} °C it does not hold: warm the shop and the wood to {Glue(q).LeastC:0} °C or more first." : "";

    // Where wood must grip, or must move, it stays bare.
    private static string Bare(PlanQuestion q) => (q.Tool.Manner.Unfinished is { } bare ? $" None on {bare}." : "")
        + (HandleRules.HungAnew(q) && !q.Tool.TightensItself ? " The end grain over the eye too: that is where a haft dries out." : "");

    // What is scraped off anyway need not be known, and oiled wood has no film on it.
    private static List<PartDef> Filmed(PlanQuestion q) =>
        [.. SurfaceWays.OldWood(q).Where(p => p.Finish == PartFinish.Varnished).Except(SurfaceWays.Scraped(q))];

    private static bool Sanded(PlanQuestion q) => q.Way(ChoiceId.Film) == WayId.Sand;

    private static Cond Way(params WayId[] ways) => If($"some wood is {string.Join(" or ", ways.Select(w => Choices.Find(Id).Find(w).Name))}",
        q => By(q, ways).Count > 0);

    private static IReadOnlyList<PartDef> By(PlanQuestion q, params WayId[] ways) => SurfaceWays.FinishedBy(q, ways);

    private static readonly WayId[] Stains = [WayId.Revive, WayId.Shellac, WayId.Lacquer], Oils = [WayId.Oil, WayId.OilWax, WayId.OilShellac],
        Waxes = [WayId.Wax, WayId.OilWax, WayId.OilShellac], Shellacs = [WayId.Shellac, WayId.OilShellac];

    private static Drying Wipe(PlanQuestion q) => Drying.OilWipeOff(q.Shop.Assumptions).In(q.TemperatureC, q.RelativeHumidityPercent);

    private static double In(PlanQuestion q, Func<Assumptions, Drying> finish) => finish(q.Shop.Assumptions).In(q.TemperatureC,
        q.RelativeHumidityPercent).RecoatFromMin;

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("dry damp wood", "Damp wood moves, and holds neither glue nor finish.", [Has, FoundOnWhatStays(FindingKind.Damp, 2)], q =>
            new Deed(StepKey.WoodDry, Stage.Wood, $"Let {Names(q.Staying(FindingKind.Damp, 2))} dry slowly in the shop", q.Minutes(StepKey.WoodDry))
        {
            Parts = Ids(q.Staying(FindingKind.Damp, 2)), Lag = Lag.Cure(14 * 24 * 60, 48 * 60),
            How = "Off the ground, out of sun and away from a stove. Weigh it each week: dry when it loses no more."
                + (q.Staying(FindingKind.Damp, Rotten).Any() ? " What crumbles does not come back: it is the pattern for a new one." : ""),
            Reason = "Dried fast it splits.",
            FinishTest = "No lighter than last week.",
        }),
        PlanRule.One("kill live worm", "Live worm goes from one tool into the next.", [Has,
            If("wood has live worm", q => Wormy(q).Count > 0)], q =>
            new Deed(StepKey.WormKill, Stage.Wash, $"Bag {Names(Wormy(q))} and freeze "
                + $"{(Wormy(q).Count == 1 && !Wormy(q)[0].Name.EndsWith('s') ? "it" : "them")}",
                q.Minutes(StepKey.WormKill, Wormy(q)))
        {
            Parts = Ids(Wormy(q)), Lag = Lag.Cure(q.Shop.Assumptions.WormFreezeDays * 24 * 60, null),
            Needs = [Need.Of(SupplyIds.FreezerBag, Wormy(q).Count)],
            How = $"Dry wood, the air pressed out, sealed, {q.Shop.Assumptions.WormFreezeDays:0} days at -18 °C or colder; opened only when it is warm again. "
                + "Then stood on white paper: no fresh dust in spring. Other wood keeps away until then. What crumbles is replaced.",
            Reason = "Fresh pale dust says that it is alive.", FinishTest = "No fresh dust on the paper.",
        }, buys: 8),
        PlanRule.One("find out the old finish", "What softens it says what it is, and what may go over it.", [HasOld,
            If("it has an old finish that stays on", q => Filmed(q).Count > 0)], q =>
            new Deed(StepKey.WoodFind, Stage.Wash, "Find out what the old finish on the wood is", q.Minutes(StepKey.WoodFind))
        {
            Parts = Ids(Filmed(q)), Needs = [Need.Of(SupplyIds.Alcohol, 5), Need.Of(SupplyIds.WhiteSpirit, 5), Need.Of(SupplyIds.CleanCloth, 1)],
            How = "On a hidden spot: alcohol softens shellac, lacquer thinner lacquer, neither oil or varnish; white spirit lifts only wax and grime.",
            Reason = "Cleaned with the wrong one it comes off.", FinishTest = "It is written on the tag.", Cautions = [CautionId.Solvent],
        }),
        PlanRule.One("clean the wood", "Most old wood is sound under its dirt.", [HasOld], q =>
            new Deed(StepKey.WoodClean, Stage.Wood, $"Clean {Names(SurfaceWays.OldWood(q))}", q.Minutes(StepKey.WoodClean, SurfaceWays.OldWood(q)))
        {
            Parts = Ids(SurfaceWays.OldWood(q)), Needs = [q.On(SupplyIds.WhiteSpirit, SurfaceWays.OldWood(q)), Need.Of(SupplyIds.SteelWool, 1)],
            How = "With what does not touch the finish, with the grain, wiped off before it dries.", Reason = "The colour of use is under the dirt.",
            FinishTest = "The cloth comes away clean.", Cautions = [CautionId.Solvent],
        }, buys: 3),
        PlanRule.One("glue a break", "A clean break holds better than the wood beside it.", [Has, If("wood is cracked or broken, or its glue has let go", q =>
            Broken(q).Count > 0)],
            q => new Deed(StepKey.WoodGlue, Stage.Wood, $"Glue and clamp {Names(Broken(q))}", q.Minutes(StepKey.WoodGlue, Broken(q)))
        {
            Parts = Ids(Broken(q)), Lag = Lag.Cure(Glue(q).CuredMin, Glue(q).ClampedMin), Undoable = q.Aim == AimKind.Keep,
            Needs = [q.Aim == AimKind.Keep ? Need.Of(SupplyIds.LiquidHideGlue, 8) : Need.Of(SupplyIds.WoodGlue, 8), Need.Of(SupplyIds.Clamps),
                Need.Of(SupplyIds.ScrapOfSoftwood), Need.Of(SupplyIds.Alcohol, 5)],
            How = $"Dry run first.{(Broken(q).Exists(p => LetIn(q, p)) ? " Old glue out of the joint, down to wood." : "")} Oily tropical wood is wiped with "
                + "alcohol just before, or the glue does not hold. "
                + $"{(Bored(q) ? "A waxed rod keeps the bore open; no glue in it. " : "")}Closed within {Math.Floor(Glue(q).OpenMin):0} min, "
                + "clamps off "
                + $"after {Typed.Wait(Glue(q).ClampedMin)}, load after {Typed.Wait(Glue(q).CuredMin)}.{Cold(q)}",
            Reason = "Glue before any finish, or it will not hold.", FinishTest = Bored(q) ? "No line to feel, bore free." : "No line to feel.",
        }, buys: 6),
        PlanRule.One("scrape the wood", "A new surface starts at clean wood.", [Has, Dry, If("an old finish is in the way of the new one",
            q => SurfaceWays.Scraped(q).Any())], q =>
            new Deed(StepKey.WoodScrape, Stage.Wood, $"{(Sanded(q) ? "Sand" : "Scrape")} the old finish off {Names(SurfaceWays.Scraped(q))}",
                q.Minutes(StepKey.WoodScrape, SurfaceWays.Scraped(q), Sanded(q) ? StepCase.Coarse : StepCase.Usual))
        {
            Parts = Ids(SurfaceWays.Scraped(q)), Needs = Sanded(q)
                ? [Need.Of(SupplyIds.P120Sheet, 1), Need.Of(SupplyIds.P240Sheet, 1)] : [Need.Of(SupplyIds.CardScraper), Need.Of(SupplyIds.P240Sheet, 1)],
            How = Sanded(q) ? "With the grain, two grits and no more, round every stamp and off the edges."
                    + (Spins(SurfaceWays.Scraped(q)) ? " A knob may spin on a mandrel, slowly." : "")
                : "Scrape, do not sand: edges and stamps stay. Stop at the colour, not at white wood.",
            Reason = By(q, WayId.Shellac, WayId.Lacquer).Count == 0 ? "Oil does not go through varnish."
                : "The old finish is too far gone for what is asked.",
            FinishTest = "Even in raking light.", Cautions = Sanded(q) && Spins(SurfaceWays.Scraped(q))
                ? [CautionId.WoodDust, CautionId.Rotating] : [CautionId.WoodDust],
                Undoable = false,
            SurfaceLost = SurfaceId.WoodFinish,
        }, Id),
        PlanRule.One("stain the dings", "Stain before oil: oil closes the wood.", [Has, Dry, Way(Stains),
            If("some of it has a film, or gets one", q => Stained(q).Count > 0)], q =>
            new Deed(StepKey.WoodStain, Stage.Wood, Broken(q).Count > 0 ? "Stain pale dings and the glue line to match" : "Stain pale dings to match",
                q.Minutes(StepKey.WoodStain, Stained(q)))
        {
            Parts = Ids(Stained(q)), Lag = Lag.Cure(In(q, Drying.Stain)), Needs = [Need.Of(SupplyIds.WoodStain, 3), Need.Of(SupplyIds.FineBrush)],
                How = "Thin, in two goes, the second when the first is dry.",
            Reason = "Pale spots are all one sees afterwards.", FinishTest = "Found only by looking for them.", Undoable = false,
        }, Id),
        new("revive the finish", "A thin coat over a sound old one keeps its age.", [Has, Dry, Way(WayId.Revive)], Revived, Id, 5),
        PlanRule.One("oil a new handle", "New wood is oiled, whatever the old wood has on it.", [NotKeep,
            If("a new handle gets no finish with the rest", q => Unfinished(q).Count > 0)], q =>
            new Deed(new DeedId(StepKey.WoodRevive, "new"), Stage.Wood, $"Oil {Names(Unfinished(q))}, which {Verb(Unfinished(q))} new",
                q.Minutes(StepKey.WoodRevive, Unfinished(q)))
        {
            Parts = Ids(Unfinished(q)), Lag = Lag.Cure(In(q, Drying.Oil), 30), Needs = [q.On(SupplyIds.BoiledLinseedOil, Unfinished(q)),
                Need.Of(SupplyIds.LintFreeCloth, 2)],
            How = $"One thin coat, and after {Wipe(q).RecoatFromMin:0} min all that stands wiped off again; stained first where it should match the old wood.",
            Reason = "Bare wood takes up water and dirt.", FinishTest = "Dry to the hand, no tack.", Cautions = [CautionId.OilyRags],
        }, Id, 5),
        new("oil the wood", "Thin coats of oil, each wiped off in its time.", [Has, Dry, Way(Oils)], Oiled, Id, 5),
        new("dip the wood", "Raw oil goes in as deep as it is given time.", [Has, Dry, Way(WayId.RawOil)], Dipped, Id, 5),
        PlanRule.One("wax the wood", "Wax can always come off again.", [Has, Way(Waxes)], q =>
            new Deed(StepKey.WoodWax, Stage.Wood, "Wax the wood and buff it", q.Minutes(StepKey.WoodWax, By(q, Waxes)))
        {
            Parts = Ids(By(q, Waxes)), Lag = Lag.Cure(In(q, Drying.Wax)), Needs = [q.On(SupplyIds.PasteWax, By(q, Waxes)), Need.Of(SupplyIds.LintFreeCloth,
                1)],
                How = "Thin; buff when it hazes, 5 to 15 min." + Bare(q),
            Reason = "Dry to the hand, and it keeps dirt out.", FinishTest = "No streak, no drag.",
        }, Id, 4),
        new("shellac the wood", "Thin coats, each dry before the next.", [Has, Dry, Way(Shellacs)], q => Coated(q, By(q, Shellacs), StepKey.WoodShellac,
            "shellac",
            SupplyIds.Shellac, Drying.Shellac, Spins(By(q, Shellacs)) ? "Small pad, long strokes; a knob may spin on a mandrel, slowly."
                : "Small pad, long strokes along the grain, never back over what is wet.", "An even shine as it was sold.",
            Spins(By(q, Shellacs)) ? [CautionId.Solvent, CautionId.Rotating] : [CautionId.Solvent], Need.Of(SupplyIds.LintFreeCloth, 1)), Id, 8),
        new("lacquer the wood", "Quick and hard, in moving air.", [Has, Dry, Way(WayId.Lacquer)], q => Coated(q, By(q, WayId.Lacquer), StepKey.WoodLacquer,
            "lacquer",
            SupplyIds.Lacquer, Drying.Lacquer, "Light passes.", "Hard, clear and even.", [CautionId.Spray], Need.Of(SupplyIds.SprayGear)), Id, 8),
    ];

    // Oiled wood is fed with what is in it; a film gets a film.
    private static IEnumerable<Deed> Revived(PlanQuestion q)
    {
        List<PartDef> filmed = [.. WithFilm(q, WayId.Revive).Except(Unfinished(q))],
            oiled = [.. By(q, WayId.Revive).Except(WithFilm(q, WayId.Revive)).Except(Unfinished(q))];
        if (filmed.Count > 0)
        {
            yield return new Deed(StepKey.WoodRevive, Stage.Wood, "One thin coat over the old finish", q.Minutes(StepKey.WoodRevive, filmed))
            {
                Parts = Ids(filmed), Lag = Lag.Cure(In(q, Drying.Shellac), 30), Needs = [q.On(SupplyIds.Shellac, filmed), Need.Of(SupplyIds.LintFreeCloth, 1)],
                How = "What it was, or shellac, which holds on everything clean. One wipe, no going back over it." + Bare(q),
                Reason = "It closes what is worn without hiding it.", FinishTest = "Dry, even, no drag.", Cautions = [CautionId.OilyRags],
            };
        }
        if (oiled.Count > 0)
        {
            yield return new Deed(new DeedId(StepKey.WoodRevive, "oil"), Stage.Wood, $"Wipe {Names(oiled)} over with a little oil",
                q.Minutes(StepKey.WoodRevive, oiled))
            {
                Parts = Ids(oiled), Lag = Lag.Cure(In(q, Drying.Oil), 30), Needs = [q.On(SupplyIds.BoiledLinseedOil, oiled), Need.Of(SupplyIds.LintFreeCloth,
                    2)],
                How = $"One wipe of what is in it already, and after {Wipe(q).RecoatFromMin:0} min all that stands wiped off again.{Bare(q)}",
                Reason = "Oiled wood is fed where hands have worn it dry.", FinishTest = "Dry to the hand, no tack.", Cautions = [CautionId.OilyRags],
            };
        }
    }

    // A new haft has its own finish planned; where the old wood is left or only revived, a new handle still needs one.
    private static List<PartDef> Unfinished(PlanQuestion q) => [.. HandleWays.Remade(q).Where(p => p.Material == Material.Wood && !p.Is(PartIds.Haft)
        && q.WayFor(ChoiceId.Wood, p) is WayId.Leave or WayId.Wax or WayId.Revive)];

    private static List<PartDef> WithFilm(PlanQuestion q, params WayId[] ways) => [.. By(q, ways).Where(p => p.Finish == PartFinish.Varnished)];

    // Oil evens pale spots by itself: what is fed with oil again is not stained.
    private static List<PartDef> Stained(PlanQuestion q) => [.. WithFilm(q, WayId.Revive), .. By(q, WayId.Shellac, WayId.Lacquer)];

    private static DeedId Coat(StepKey step, int coat) => coat == 1 ? step : new DeedId(step, $"{coat}");

    private static IEnumerable<Deed> Oiled(PlanQuestion q)
    {
        // Under shellac one coat of oil gives the depth.
        int coats = By(q, WayId.Oil, WayId.OilWax).Count == 0 ? 1 : CoatWays.Count(q, ChoiceId.WoodCoats);
        for (int coat = 1; coat <= coats; coat++)
        {
            yield return new Deed(Coat(StepKey.WoodOil, coat), Stage.Wood, coats == 1 ? "One thin coat of oil on the wood"
                : $"{CoatWays.Turn(coat)} thin coat of oil on the wood", q.Minutes(StepKey.WoodOil, By(q, Oils)))
            {
                Parts = Ids(By(q, Oils)), Lag = Lag.WipeOff(Wipe(q).RecoatFromMin, Wipe(q).RecoatUntilMin ?? Wipe(q).RecoatFromMin, StepKey.WoodWipe),
                Since = coat == 1 ? null : [new Follows(Coat(StepKey.WoodWipe, coat - 1), "the coat before has dried")],
                Needs = [q.On(SupplyIds.BoiledLinseedOil, By(q, Oils)), Need.Of(SupplyIds.LintFreeCloth, 1)],
                Reason = coat == 1 ? "It keeps the colour and sheds water." : "One coat dries patchy.",
                How = $"Rub it in thin and let it stand {Wipe(q).RecoatFromMin:0} to {Wipe(q).RecoatUntilMin:0} min, no longer: it skins over.{Bare(q)}",
                FinishTest = "Wet all over, nowhere a puddle.", Cautions = [CautionId.OilyRags], Final = coat == 1,
            };
            yield return new Deed(Coat(StepKey.WoodWipe, coat), Stage.Wood, "Wipe off all the oil that stands",
                q.Minutes(StepKey.WoodWipe, By(q, Oils)))
            {
                Parts = Ids(By(q, Oils)), Lag = Lag.Cure(In(q, Drying.Oil)), Needs = [Need.Of(SupplyIds.LintFreeCloth, 1)],
                Since = [new Follows(Coat(StepKey.WoodOil, coat), "it stands a while, then it is wiped off")],
                How = "With a clean cloth, turned often, into every corner. Where it has gone tacky, fresh oil softens it: rub, and wipe again.",
                Reason = "What the wood has not taken never dries hard.", FinishTest = "Dry to the hand, no tack.", Cautions = [CautionId.OilyRags],
            };
        }
    }

    // Some wood may be oiled by hand and some dipped.
    private static DeedId Dip(StepKey step) => new(step, "dip");

    private static IEnumerable<Deed> Dipped(PlanQuestion q)
    {
        Assumptions a = q.Shop.Assumptions;
        yield return new Deed(Dip(StepKey.WoodOil), Stage.Wood, "Stand the wood in raw linseed oil", q.Minutes(StepKey.WoodOil, By(q, WayId.RawOil)))
        {
            Parts = Ids(By(q, WayId.RawOil)), Lag = Lag.Cure(a.RawOilDipHours * MinutesAnHour), Needs = [q.On(SupplyIds.RawLinseedOil, By(q, WayId.RawOil),
                a.RawOilTimes)],
            How = (HandleRules.HungAnew(q) ? "Head down in a flat pan, so that the eye drinks, then the other end." : "End grain down, turned once.") + Bare(q),
            Reason = "What is soaked through sheds water from within.",
            FinishTest = "No more bubbles from the end grain.", Cautions = [CautionId.OilyRags], Undoable = false,
        };
        yield return new Deed(Dip(StepKey.WoodWipe), Stage.Wood, "Let it drip, and wipe off all the oil that stands", q.Minutes(StepKey.WoodWipe,
            By(q, WayId.RawOil)))
        {
            Parts = Ids(By(q, WayId.RawOil)), Lag = Lag.Cure(new Drying(a.RawOilDryDays * HoursADay * MinutesAnHour, null,
                a.RawOilDryDays * HoursADay * MinutesAnHour)
                .In(q.TemperatureC, q.RelativeHumidityPercent).RecoatFromMin), Needs = [Need.Of(SupplyIds.LintFreeCloth, 2)],
            Since = [new Follows(Dip(StepKey.WoodOil), "it soaks first")],
            How = "Wiped again after a day and after a week: what sweats out goes sticky.", Reason = "What the wood has not taken never dries hard.",
            FinishTest = "Dry to the hand, no tack.", Cautions = [CautionId.OilyRags],
        };
    }

    private const double MinutesAnHour = 60, HoursADay = 24;

    /// <summary>True when some of it is round about a bore, so that it can turn while it is finished.</summary>
    private static bool Spins(IEnumerable<PartDef> parts) => parts.Any(p => p.Is(PartIds.Knob));

    private static IEnumerable<Deed> Coated(PlanQuestion q, IReadOnlyList<PartDef> parts, StepKey step, string finish, SupplyId supply, Func<Assumptions,
        Drying> drying, string how,
        string reason, IReadOnlyList<CautionId> cautions, Need with)
    {
        int coats = CoatWays.Count(q, ChoiceId.WoodCoats);
        Drying dries = drying(q.Shop.Assumptions).In(q.TemperatureC, q.RelativeHumidityPercent);
        for (int coat = 1; coat <= coats; coat++)
        {
            bool last = coat == coats;
            yield return new Deed(Coat(step, coat), Stage.Wood, coats == 1 ? $"One thin coat of {finish}" : $"{CoatWays.Turn(coat)} thin coat of {finish}",
                q.Minutes(step, parts, coat == 1 ? StepCase.Usual : StepCase.Much))
            {
                Parts = Ids(parts), Lag = last ? Lag.Cure(dries.CureMin, dries.RecoatFromMin) : Lag.Recoat(dries.RecoatFromMin, dries.RecoatUntilMin, step),
                Since = coat == 1 ? null : [new Follows(Coat(step, coat - 1), "the coat before is dry")],
                Needs = coat == 1 ? [q.On(supply, parts), with]
                    : [q.On(supply, parts), with, Need.Of(SupplyIds.SteelWool, 1)],
                How = (coat == 1 ? how : "Rub down with wool, dust off, then as the first.") + (last ? " Wax it once it is hard." : "") + Bare(q),
                Reason = reason,
                FinishTest = last ? "No bare spot in raking light." : "Dry, no drag under the finger.", Cautions = cautions, Final = coat == 1,
            };
        }
    }
}
