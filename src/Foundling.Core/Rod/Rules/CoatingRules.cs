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

/// <summary>Rules for coatings: sealed, touched in, resprayed or baked, with the faces that were bare left bare.</summary>
internal static class CoatingRules
{
    private const ChoiceId Id = ChoiceId.Coating;

    private static readonly Cond Has = If("it has coated parts", q => SurfaceWays.Coated(q).Any());

    private static readonly Cond Asked = If("coating is lost, or the aim asks for a new one", q => Choices.Find(Id).Asked(q));

    private static readonly Cond Strips = If("too little sound coating is left to paint over, or it is baked anew", SurfaceWays.Strips);

    // What is blasted loses its coat in the cabinet.
    private static List<PartDef> Stripped(PlanQuestion q) => [.. SurfaceWays.Stripped(q).Except(q.RustPlan.By(WayId.Blast))
        .Except(q.RustPlan.By(WayId.BlastCoarse))];

    /// <summary>Parts that get new paint: all that are coated anew, and those with bare patches that are touched in.</summary>
    private static List<PartDef> Renewed(PlanQuestion q) => [.. Painted(q), .. Touched(q)];

    private static List<PartDef> Touched(PlanQuestion q) =>
        [.. SurfaceWays.CoatedBy(q, WayId.Touch).Where(p => q.Worst(FindingKind.CoatingLoss, p.Id) >= 1)];

    private static IReadOnlyList<PartDef> Painted(PlanQuestion q) => SurfaceWays.CoatedBy(q, WayId.Respray, WayId.Bake);

    private static IReadOnlyList<PartDef> By(PlanQuestion q, params WayId[] ways) => SurfaceWays.CoatedBy(q, ways);

    private static readonly Cond ByHand = If("the coat does not go in the cabinet", q => Stripped(q).Count > 0);

    // The old coat comes off before the rust under it, which stands among the steps of derusting.
    private static Stage Early(PlanQuestion q) => SurfaceWays.Strips(q) && q.Rusty.Count > 0 ? Stage.Derust : Stage.Coating;

    // From here on pits show through paint; what is named on a body is one of its bare faces, and gets neither paint nor filler.
    private const int DeepPits = 3;

    private static List<PartDef> Hollow(PlanQuestion q) => [.. By(q, WayId.Respray).Where(p => q.Findings.Any(f => f.Kind == FindingKind.Pitting
        && f.Severity >= DeepPits && q.Tool.Key(f.Part) == p.Id && (f.Place.Length == 0 || !p.Is(PartIds.Body))))];

    private static List<PartDef> Keyed(PlanQuestion q) => [.. By(q, WayId.Respray).Where(p => !SurfaceWays.Strips(q, p))];

    private static Cond Way(params WayId[] ways) => If($"some coated part is {string.Join(" or ", ways.Select(w => Choices.Find(Id).Find(w).Name))}",
        q => By(q, ways).Count > 0);

    private static Drying Enamel(PlanQuestion q) => Drying.Enamel(q.Shop.Assumptions).In(q.TemperatureC, q.RelativeHumidityPercent);

    private static bool Japanned(PlanQuestion q) => SurfaceWays.Coated(q).Any(p => p.Finish == PartFinish.Japanned);

    private static string Colour(PlanQuestion q) => q.Aim == AimKind.Own ? q.Dress.Length > 0 ? q.Dress : "the shop's colour" : Japanned(q) ? "gloss black"
        : "the colour it had";

    // What was coated over may be worth more than what was put on it.
    private static string Beneath(PlanQuestion q) => SurfaceWays.Coated(q).FirstOrDefault(p => p.Under is not null) is { } over
        ? $" Under the coat on the {over.Name} lies {BuildWords.Beneath(over.Under!.Value)}: stop at it and look before going on." : "";

    /// <summary>Where a colour survives: under what was screwed, driven or drawn over it.</summary>
    private static string Hidden(PlanQuestion q)
    {
        string[] over = [.. q.Present.Where(p => p.Is(PartIds.Frog, PartIds.Strap, PartIds.UpperGrip, PartIds.LowerGrip, PartIds.Gear, PartIds.LeverCap,
            PartIds.Tote,
            PartIds.SideHandle)).Select(p => p.Name).Take(2)];
        return over.Length == 0 ? "seats and washers" : Sentences.List([.. over, "seats"]);
    }

    private static SupplyId Paint(PlanQuestion q) => q.Aim == AimKind.Own ? SupplyIds.EnamelInTheShopsColour
        : Japanned(q) ? SupplyIds.GlossBlackEnamel : SupplyIds.EnamelMatchedInColour;

    /// <summary>Faces that were left bare at the works, where that is known.</summary>
    private static string Bare(PlanQuestion q)
    {
        IReadOnlyList<string> faces = InTurn.Said(q.Tool.Manner.Bare ?? [], q.Tool.Made);
        return faces.Count == 0 ? "seats, threads and whatever slides" : Sentences.List(faces);
    }

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("seal the coating's edge", "A lifting edge lets damp creep under.", [Has, Asked, Way(WayId.Seal)], q =>
            new Deed(StepKey.CoatSeal, Stage.Coating, "Seal the edges of the old coating with wax", q.Minutes(StepKey.CoatSeal, By(q, WayId.Seal)))
        {
            Parts = Ids(By(q, WayId.Seal)), Needs = [Need.Of(SupplyIds.MicrocrystallineWax, 5), Need.Of(SupplyIds.FineBrush)],
                How = "Warm the wax, brush it along every edge, wipe.",
            Reason = "Keeps what is left without adding colour.", FinishTest = "No edge lifts under a soft brush.",
        }, Id, 6),
        PlanRule.One("wax over the coating", "What is sound stays, and bare spots are fed.", [Has, Asked, Way(WayId.WaxOver)], q =>
            new Deed(new DeedId(StepKey.CoatSeal, "wax"), Stage.Coating, "Oil the bare spots and wax over the old coating", q.Minutes(StepKey.CoatSeal,
                By(q, WayId.WaxOver)))
        {
            Parts = Ids(By(q, WayId.WaxOver)), Needs = [q.On(SupplyIds.LightOil, By(q, WayId.WaxOver)), q.On(SupplyIds.PasteWax, By(q, WayId.WaxOver)),
                Need.Of(SupplyIds.LintFreeCloth, 1)],
            How = "Oil first where it is bare, wipe, then thin wax over all, buffed when it hazes.", Reason = "Nothing new is put on that cannot come off.",
            FinishTest = "An even soft shine, dry to the hand.",
        }, Id, 5),
        PlanRule.One("touch in the coating", "Small losses are touched in, sound coating stays.", [Has, Asked,
            If("a coated part with bare patches is touched in", q => Touched(q).Count > 0)], q =>
            new Deed(StepKey.CoatTouch, Stage.Coating, "Touch in the bare patches of coating", q.Minutes(StepKey.CoatTouch, Renewed(q)))
        {
            Parts = Ids(Renewed(q)), Lag = Lag.Cure(Enamel(q).CureMin, 60),
            Needs = [Need.Of(Japanned(q) ? SupplyIds.GlossBlackEnamel : SupplyIds.EnamelMatchedInColour, 5), Need.Of(SupplyIds.FineBrush),
                Need.Of(SupplyIds.WhiteSpirit, 10)],
            How = $"Feather the edge first; match sheen on a hidden spot. Stay off {Bare(q)}.",
            Reason = Touched(q).Any(p => p.Material == Material.CastIron) ? "Bare casting rusts again; the rest is original."
                : "Bare steel rusts again; the rest is original.", FinishTest = "Dry, no sags, seats clear.", Cautions = [CautionId.OldPaint],
        }, Id, 5),
        PlanRule.One("touch in the cap iron", "Pits that cannot be taken out can be made to vanish.", [NotKeep,
            If("pits in the cap iron are touched in", q => FaceWays.CapPits.Asked(q) && q.Way(ChoiceId.CapPits) == WayId.Paint)], q =>
            new Deed(new DeedId(StepKey.CoatTouch, "cap"), Stage.Coating, "Touch the pits of the cap iron in with dull black",
                q.Minutes(StepKey.CoatTouch, q.Those(PartIds.CapIron)))
        {
            Parts = [PartIds.CapIron], Lag = Lag.Cure(Enamel(q).CureMin, 60),
            Needs = [Need.Of(SupplyIds.GlossBlackEnamel, 2), Need.Of(SupplyIds.FineBrush), Need.Of(SupplyIds.WhiteSpirit, 10)],
            How = "Degreased, in the pits and above the hump only, wiped off level and rubbed dull. None on the front that bears, the hump or the underside.",
            Reason = "Its pits do no harm and are only seen.", FinishTest = "Bright metal wherever shavings or iron touch it.",
        }, ChoiceId.CapPits),
        PlanRule.One("settle the colour", "A colour chosen wet is a colour regretted.", [Has, Asked, Way(WayId.Respray, WayId.Bake)], q =>
            new Deed(StepKey.CoatColour, Early(q), q.Aim == AimKind.Own ? $"Settle the colour: {Colour(q)}" : "Match the colour to what survives",
                q.Minutes(StepKey.CoatColour))
        {
            Parts = Ids(Painted(q)),
            How = q.Aim == AimKind.Own ? "A dab on scrap beside the last tool dressed like it, dry, in daylight."
                : $"Look under {Hidden(q)}: there it was never in the light.", Reason = "It is settled before anything is stripped.",
            FinishTest = "A dry dab beside the old one, in daylight.",
        }, Id),
        PlanRule.One("strip the coating", "A new coat holds only on sound ground.", [Has, Asked, Way(WayId.Respray, WayId.Bake), Strips,
            ByHand], q =>
            Strip(q), ChoiceId.Strip),
        PlanRule.One("key the old coat", "A sound coat is the best primer.", [Has, Asked, If("a sound old coat is painted over", q => Keyed(q).Count > 0)], q =>
            new Deed(StepKey.CoatScuff, Stage.Coating, "Dull the sound old coat so that the new one holds", q.Minutes(StepKey.CoatScuff, Keyed(q)))
        {
            Parts = Ids(Keyed(q)), Needs = [Need.Of(SupplyIds.P400Sheet, 1), Need.Of(SupplyIds.WhiteSpirit, 30)],
            How = "Wet, only until the shine is gone." + (q.Way(ChoiceId.Primer) == WayId.Primed ? "" : " No primer over a sound coat."),
            Reason = "The old coat is whole: it stays, under the new one.",
            FinishTest = "No shine left, no bare spot made.", Cautions = [CautionId.OldPaint], Undoable = false, SurfaceLost = SurfaceId.Coating,
        }, Id),
        PlanRule.One("fill deep pits", "Paint sinks into a pit and shows it twice.", [Has, Asked, Way(WayId.Respray),
            If("a part that is painted anew has deep pits", q => Hollow(q).Count > 0)], q =>
            new Deed(StepKey.PitFill, Stage.Coating, $"Fill the deep pits of {Names(Hollow(q))} and rub them level", q.Minutes(StepKey.PitFill, Hollow(q)))
        {
            Parts = Ids(Hollow(q)), Lag = Lag.Cure(Adhesive.SlowEpoxy(q.Shop.Assumptions).In(q.TemperatureC).CuredMin, null),
            Needs = [Need.Of(SupplyIds.MetalFilledEpoxy, 5), Need.Of(SupplyIds.P240Sheet, 1)],
            How = $"On clean bare metal, pressed into the pits, rubbed level when it is hard. None on {Bare(q)}: what bears stays metal.",
            Reason = "A pit shows through any coat.", FinishTest = "Nothing to feel under a finger.", Cautions = [CautionId.Epoxy], Undoable = false,
        }, Id, 5),
        PlanRule.One("mask bare faces", "What was bare when it was made stays bare.", [Has, Asked, Way(WayId.Respray, WayId.Bake)],
            q => Masked(q, StepKey.CoatMask, Painted(q), q.Minutes(StepKey.CoatMask, Painted(q))), Id),
        PlanRule.One("degrease before the coat", "A film of oil lifts paint in sheets.", [Has, Asked, Way(WayId.Touch, WayId.Respray, WayId.Bake)], q =>
            new Deed(StepKey.CoatDegrease, Stage.Coating, "Degrease what is to be coated", q.Minutes(StepKey.CoatDegrease, Renewed(q)))
        {
            Parts = Ids(Renewed(q)), Needs = [q.On(SupplyIds.WhiteSpirit, Renewed(q)), q.On(SupplyIds.CleanCloth, Renewed(q))],
            How = "A clean cloth, turned often, and not touched again with bare hands. Let it dry right off.",
            Reason = "The oil that kept rust away keeps paint away too.", FinishTest = "A second cloth stays white.",
            Cautions = By(q, WayId.Bake).Count > 0 ? [CautionId.Solvent, CautionId.Chlorinated] : [CautionId.Solvent],
        }, Id),
        PlanRule.One("prime", "Bare iron holds paint badly.", [Has, Asked, Way(WayId.Respray), Chosen(ChoiceId.Primer, WayId.Primed)], q =>
            new Deed(StepKey.CoatPrime, Stage.Coating, SurfaceWays.Strips(q) ? "One thin coat of primer on the bare metal" : "One thin coat of primer",
                q.Minutes(StepKey.CoatPrime, By(q, WayId.Respray)))
        {
            Parts = Ids(By(q, WayId.Respray)), Lag = Lag.Recoat(Prime(q).RecoatFromMin, Prime(q).RecoatUntilMin, StepKey.Coat1),
                Needs = [q.On(SupplyIds.Primer, By(q, WayId.Respray)), Need.Of(SupplyIds.SprayGear)],
            How = "Thin, from all sides, into the corners first.", Reason = "It holds the paint and keeps damp out.",
            FinishTest = "An even matt film.", Cautions = [CautionId.Spray],
        }, ChoiceId.Primer),
        new("coats of paint", "Thin coats inside the recoat window, each with its time.", [Has, Asked, Way(WayId.Respray)], Sprayed, Id, 12),
        new("japan and bake", "As the works did it: thin coats, heat, and time.", [Has, Asked, Way(WayId.Bake)], Baked, Id, 14),
    ];

    private static Deed Masked(PlanQuestion q, DeedId id, IReadOnlyList<PartDef> parts, ThreePoint minutes) =>
        new(id, Stage.Coating, $"Mask what was left bare at the works: {Bare(q)}", minutes)
        {
            Parts = Ids(parts), Needs = [Need.Of(SupplyIds.MaskingTape, 3), Need.Of(Paint(q), 2)],
            How = "Press the tape down and seal its edge with the base colour, so that nothing creeps under. Plug threads.",
            Reason = "Paint under a seat lets it rock.", FinishTest = "Tape pressed down, edges cut clean.",
        };

    private static Deed Strip(PlanQuestion q)
    {
        List<PartDef> parts = Stripped(q);
        WayId way = q.Way(ChoiceId.Strip);
        (StepCase @case, Need[] needs, string how, CautionId[] cautions) = Off(way, q, parts);
        return new Deed(StepKey.CoatStrip, Early(q), "Strip what is left of the coating", q.Minutes(StepKey.CoatStrip, parts, @case))
        {
            Parts = Ids(parts), Needs = needs, How = how + Beneath(q), Reason = SurfaceWays.TooLittle(q)
                ? "Too little is left, or it is not sound." : "What is baked goes on bare iron; over an old coat it lifts.",
            FinishTest = "Bare metal in every corner.", Cautions = cautions, Undoable = false, SurfaceLost = SurfaceId.Coating,
        };
    }

    private static (StepCase Case, Need[] Needs, string How, CautionId[] Cautions) Off(WayId way, PlanQuestion q, List<PartDef> parts) => way switch
    {
        WayId.Scrape => (StepCase.Scraped, [Need.Of(SupplyIds.ScrapingBlade), Need.Of(SupplyIds.FineWireBrush), Need.Of(SupplyIds.LightOil, 5)],
            "Blade on the pull, the dust kept damp and wiped up, never swept. Corners with the brush. Oil bare iron at once.", [CautionId.OldPaint]),
        WayId.Heat => (StepCase.Heated, [Need.Of(SupplyIds.HeatGun), Need.Of(SupplyIds.WoodenScraper), Need.Of(SupplyIds.FineWireBrush)],
            "Only until it lifts, never until it smokes: burnt old paint is lead in the air. Off the edges and springs. Oil bare iron once it is cold.",
            [CautionId.OldPaint, CautionId.Torch]),
        WayId.Blast or WayId.BlastCoarse => (way == WayId.Blast ? StepCase.Soft : StepCase.Coarse,
            [Need.Of(SupplyIds.BlastCabinet), Need.Of(way == WayId.Blast ? SupplyIds.SoftBlastingMedium : SupplyIds.CoarseBlastingMedium, 1),
                Need.Of(SupplyIds.MaskingTape, 2), Need.Of(SupplyIds.LightOil, 5)],
            "Mask seats, threads, pins and working faces. Low pressure, moving. Blow clean and oil within the hour, or coat the same day.",
            [CautionId.OldPaint, CautionId.Blasting]),
        _ => (StepCase.Usual, [q.On(SupplyIds.PaintStripper, parts), Need.Of(SupplyIds.WoodenScraper), Need.Of(SupplyIds.FineWireBrush)],
            "Stripper, wait, wood and brush. Rinse, dry and oil bare iron at once.", [CautionId.OldPaint, CautionId.Stripper]),
    };

    private static IEnumerable<Deed> Sprayed(PlanQuestion q)
    {
        int coats = CoatWays.Count(q, ChoiceId.MetalCoats);
        for (int coat = 1; coat <= coats; coat++)
        {
            bool last = coat == coats;
            DeedId Key(int n) => n == 1 ? StepKey.Coat1 : n == 2 ? StepKey.Coat2 : new DeedId(StepKey.Coat2, $"{n}");
            Lag lag = last ? Lag.Cure(Enamel(q).CureMin, 60) : Lag.Recoat(Enamel(q).RecoatFromMin, Enamel(q).RecoatUntilMin, StepKey.Coat2);
            yield return new Deed(Key(coat), Stage.Coating, coats == 1 ? $"One thin coat of {Colour(q)}" : $"{CoatWays.Turn(coat)} thin coat of {Colour(q)}",
                q.Minutes(coat == 1 ? StepKey.Coat1 : StepKey.Coat2, By(q, WayId.Respray)))
            {
                Parts = Ids(By(q, WayId.Respray)), Lag = lag, Since = coat == 1 ? null : [new Follows(Key(coat - 1), "inside the recoat window")],
                Needs = [q.On(Paint(q), By(q, WayId.Respray)), Need.Of(SupplyIds.SprayGear)],
                How = (coat == 1 ? "Two light passes." : "As the first, across it.") + (last ? " Tape off while it is still soft."
                    : $" The next coat goes on from {Typed.Wait(Enamel(q).RecoatFromMin)} to {Typed.Wait(Enamel(q).RecoatUntilMin!.Value)} after it, or "
                        + "again after "
                        + $"{Typed.Wait(Enamel(q).AgainMin!.Value)} and a rub-down."),
                Reason = coat == 1 ? "A thick coat sags and stays soft." : last ? "It wears from the edges, so one is not enough."
                    : "Thin coats dry through.",
                FinishTest = last ? "Hard to the nail." : "Even, no runs.", Cautions = [CautionId.Spray], Final = coat == 1,
            };
            if (last && q.Way(ChoiceId.Colours) == WayId.TwoColours)
            {
                yield return Second(q, Key(coat));
            }
        }
    }

    private static Deed Second(PlanQuestion q, DeedId last) => new(new DeedId(StepKey.Coat2, "second"), Stage.Coating,
        "Second colour: mask to its line, one thin coat", q.Minutes(StepKey.Coat2, By(q, WayId.Respray)))
    {
        Parts = Ids(By(q, WayId.Respray)), Lag = Lag.Cure(Enamel(q).CureMin, 60), Since = [new Follows(last, "the first colour is hard")],
        Needs = [Need.Of(SupplyIds.EnamelMatchedInColour, 5), Need.Of(SupplyIds.MaskingTape, 1), Need.Of(SupplyIds.FineBrush)],
        How = "Raised letters by a roller of felt or a card with paint drawn over them; a part in its own colour is masked to a line of its own.",
        Reason = "It was of two colours, or is wanted so.", FinishTest = "A clean line in raking light.", Cautions = [CautionId.Spray],
    };

    private static IEnumerable<Deed> Baked(PlanQuestion q)
    {
        Assumptions a = q.Shop.Assumptions;
        IReadOnlyList<PartDef> parts = By(q, WayId.Bake);
        int coats = CoatWays.Count(q, ChoiceId.MetalCoats);
        double flash = new Drying(a.JapanFlashOffMin, null, a.JapanFlashOffMin).In(q.TemperatureC, q.RelativeHumidityPercent).RecoatFromMin;
        static DeedId Key(StepKey step, int n) => n == 1 ? step : new DeedId(step, $"{n}");
        for (int coat = 1; coat <= coats; coat++)
        {
            if (coat > 1)
            {
                yield return Masked(q, Key(StepKey.CoatMask, coat), parts, q.Minutes(StepKey.CoatMask, parts, StepCase.Little)) with
                {
                    Title = "Mask again what stays bare", Since = [new Follows(Key(StepKey.CoatBake, coat - 1), "each coat is baked before the next")],
                    How = "The same pieces cut again, along the line that is baked in; threads plugged again.", Reason = "The tape came off for the oven.",
                };
            }
            yield return new Deed(Key(StepKey.CoatLay, coat), Stage.Coating, coats == 1 ? "One thin coat of japan"
                : $"{CoatWays.Turn(coat)} thin coat of japan", q.Minutes(StepKey.CoatLay, parts))
            {
                Parts = Ids(parts), Lag = Lag.Cure(flash), Since = coat == 1 ? null : [new Follows(Key(StepKey.CoatBake, coat - 1),
                    "each coat is baked before the next")],
                Needs = [q.On(SupplyIds.Japanning, parts), Need.Of(SupplyIds.FineBrush)],
                How = $"{(coat > 1 ? "Rub nibs off first. " : "")}Brushed out thin, then left to flash off for {Typed.Wait(flash)} in moving air, away from "
                    + "the oven.",
                Reason = parts.Any(p => p.Finish == PartFinish.Japanned) ? "It left the works baked." : "Baked it stands more than the paint it had.",
                FinishTest = "Even, no sags, no smell of spirit close to it.", Cautions = [CautionId.Solvent], Final = coat == 1,
            };
            yield return new Deed(Key(StepKey.CoatUnmask, coat), Stage.Coating, "Tape and plugs off before the oven", q.Minutes(StepKey.CoatUnmask, parts))
            {
                Parts = Ids(parts), How = "Drawn off flat along the edge; a lifted edge is laid down again with the brush.",
                Reason = "Tape chars in the oven and leaves its glue for good.", FinishTest = "No tape, no plug, no wax left on it.",
            };
            yield return new Deed(Key(StepKey.CoatBake, coat), Stage.Coating, coats == 1 ? "Bake it" : $"Bake coat {coat} of {coats}",
                q.Minutes(StepKey.CoatBake))
            {
                Parts = Ids(parts), Lag = Lag.Cure(a.JapanOvenHours * 60, null), Needs = [Need.Of(SupplyIds.ShopOven)],
                How = "Raise the heat slowly, hold, and let it fall with the door shut.", Reason = "Heat is what makes japan hard.",
                FinishTest = coat == coats ? "Hard to the nail, even in raking light." : "Hard to the nail.", Cautions = [CautionId.Oven],
            };
        }
    }

    private static Drying Prime(PlanQuestion q) => Drying.Primer(q.Shop.Assumptions).In(q.TemperatureC, q.RelativeHumidityPercent);
}
