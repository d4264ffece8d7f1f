using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.Soles;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for soles, of iron and of wood.</summary>
internal static class SoleRules
{
    private static readonly Cond Metal = If("it has a flat metal sole", q => q.Tool.HasMetalSole);

    private static readonly Cond Tensed = If("what holds its iron bends the body", q => q.Tool.HasBed);

    private static string Cap(PlanQuestion q) => q.Tool.Part(PartIds.LeverCap) is { } cap ? cap.Name is "lever cap" ? "cap" : cap.Name
        : q.Tool.Part(PartIds.Clamp)?.Name ?? "cap";

    private static string Under(PlanQuestion q) => SoleWays.IsBare(q) ? " as a bare body" : q.Tool.HasBed ? " under tension" : ", the cutter out";

    private static readonly Cond Touched = If("the sole is not left as it is", q => q.Way(ChoiceId.Flat) != WayId.Leave && q.May(PartIds.Body));

    private static readonly Cond Wooden = If("it has a wooden sole", q => q.Tool.HasWoodenSole && q.May(PartIds.Body));

    // A survey says whether it is true, whatever was seen before.
    private static readonly Cond Winds = If("its sole is in wind, hollow or worn", q => Survey(q) is not null ? Uneven(q) is not null
        : new[] { FindingKind.Wind, FindingKind.OutOfFlat, FindingKind.Bent }.Any(k => q.Worst(k, PartIds.Body) >= 1));

    /// <summary>The latest survey of the sole, read; null where none was made.</summary>
    private static GridSurveyResult? Survey(PlanQuestion q) => SurveysRead.OfSole(q.Facts, q.Shop.Assumptions);

    // A survey says whether a sole is flat enough for its work, whatever else is known.
    private static string? Uneven(PlanQuestion q)
    {
        if (q.Facts.Marked is { } marks && marks.Chance >= q.Shop.Assumptions.MarksSureShare)
        {
            return marks.Likely == SoleForm.Flat ? null : $"Its marks tell of a sole that is {MarksReader.Words(marks.Likely)}.";
        }
        if (Survey(q) is not { } read)
        {
            // A toe that is worn low bears nothing: it is left out, unless the whole sole is wanted.
            return Causes.OfFace(q, f => Causes.Lapped(q, f) && (!PartGroups.IsToe(f.Place) || q.Way(ChoiceId.Flat) == WayId.Whole), PartIds.Body);
        }
        return SurveysRead.Off(read, q.Facts, q.Way(ChoiceId.Flat), q.Shop.Assumptions) is not { } off ? null
            : off.Zones ? $"Toe, mouth and heel are {off.Mm:0.00} mm apart by its survey." : $"It is {off.Mm:0.00} mm out of flat by its survey.";
    }

    /// <summary>How many times as long as is usual it takes, by what the survey or the marks foretell; 1 where there are none.</summary>
    private static double ByForecast(PlanQuestion q) => LapForecast.Of(q) is not { } forecast ? 1
        : forecast.Strokes is double strokes ? Math.Max(strokes, forecast.FirstLook) / q.Shop.Assumptions.StrokesPerMinute
            / q.Shop.Assumptions.LapCoarseShare / Math.Max(ByFlat(q).Likely, Whole.Slack)
        : q.Shop.Assumptions.LapMostTimes;

    /// <summary>What is foretold, in a sentence; empty where nothing is.</summary>
    private static string Foretold(PlanQuestion q) => LapForecast.Of(q) is not { } forecast ? ""
        : forecast.Strokes is double strokes
            ? $" About {Math.Max(Math.Round(strokes / 10) * 10, forecast.FirstLook):0} strokes on {LapAdvice.CoarsePaper}, then finer."
        : " It will hardly come in: look, and leave it where it does not.";

    private static string Pressed(PlanQuestion q) => LapForecast.Of(q)?.Press ?? (q.Tool.HasBed ? "over the mouth" : "over the middle");

    private static string Looks(PlanQuestion q) => LapForecast.Of(q) is { } forecast
        ? $"look after {forecast.FirstLook:0} strokes, and again and again" : $"look every {q.Shop.Assumptions.LookStrokesMost:0} strokes";

    private static Aim.ThreePoint Lapping(PlanQuestion q) => (ByFlat(q) * ByForecast(q) * (FaceWays.LapsPits(q) ? q.Shop.Assumptions.PitLapTimes : 1)
        * (SoleWays.IsTwice(q) ? q.Shop.Assumptions.AfterRoughShare : 1)).Halves();

    private static Aim.ThreePoint ByFlat(PlanQuestion q) =>
        q.Minutes(StepKey.SoleLap, Work.Surface(q.Sole.Dm2 * (q.Tool.Is(FormIds.Corrugated) ? q.Shop.Assumptions.CorrugatedShare : 1)),
            q.Way(ChoiceId.Flat) switch { WayId.Whole => StepCase.Much, WayId.Cuts => StepCase.Little, _ => StepCase.Usual });

    /// <summary>Paper by strokes: most of them on the coarse sheet, and a fresh one when it has done its number.</summary>
    private static IEnumerable<Need> Sheets(PlanQuestion q)
    {
        Assumptions a = q.Shop.Assumptions;
        double minutes = Lapping(q).Likely;
        return q.Way(ChoiceId.Lubricant) == WayId.Powder ? [] : [q.Sheets(SupplyIds.P80Sheet, minutes, a.LapCoarseShare), q.Sheets(SupplyIds.P120Sheet,
            minutes, a.LapMiddleShare),
            q.Sheets(SupplyIds.P180Sheet, minutes, 1 - a.LapCoarseShare - a.LapMiddleShare)];
    }

    /// <summary>What the sticks say of the sole: they are longer than it is wide, so they show more than its wind; null where none were laid on.</summary>
    private static WoodenSoleResult? Sticks(PlanQuestion q)
    {
        Assumptions a = q.Shop.Assumptions;
        double width = q.Facts.SoleWidthMm(a);
        (double read, double stick) = q.Measured(MeasureIds.Wind, PartIds.Body) is > 0 and double sticks ? (sticks, a.UsualStickMm)
            : (Math.Abs(Survey(q)?.TwistMm ?? 0), width);
        double hollow = Math.Max(0, Survey(q)?.LengthwiseBowMm ?? 0);
        return read <= 0 && hollow <= 0 ? null : WoodenSole.Of(new WoodenSoleInput(read, stick, width, q.Tool.BedDeg, a.MouthWearDeg,
            q.Measured(MeasureIds.Mouth, PartIds.Body) ?? a.UsualMouthMm, hollow));
    }

    private static string Corners(PlanQuestion q) => Survey(q) is { LengthwiseBowMm: < 0 and double round } && -round > Math.Abs(Sticks(q)?.WindMm ?? 0) / 2
            ? $"By its survey it is high in the middle by {-round:0.00} mm: begin there, and let toe and heel come in last."
        : Sticks(q) is not { } sole ? "High corners first, half the wind at each."
        : sole.RemovalAtHighCornersMm > Math.Abs(sole.WindMm) / 2
        ? $"By its survey {sole.RemovalAtHighCornersMm:0.00} mm stand high: toe and heel first, for it is hollow between them. {Opens(sole)}"
        : q.Measured(MeasureIds.Wind, PartIds.Body) is null or <= 0
        ? $"By its survey {sole.RemovalAtHighCornersMm:0.00} mm stand high: two corners first, across from one another. {Opens(sole)}"
        : $"The sticks read {q.Measured(MeasureIds.Wind, PartIds.Body):0.0#} mm at {q.Shop.Assumptions.UsualStickMm:0} mm, which is {sole.WindMm:0.00} mm over "
            + $"its width: {sole.RemovalAtHighCornersMm:0.00} mm off each of the two high corners first, across from one another. {Opens(sole)}";

    private static string Opens(WoodenSoleResult sole) => $"That opens the mouth by {sole.MouthOpensMm:0.00} mm.";

    private static IReadOnlyList<CautionId> Lapped(PlanQuestion q) => q.Way(ChoiceId.Lubricant) == WayId.Spirit ? [.. Heavy(q), CautionId.Solvent] : Heavy(q);

    private static IReadOnlyList<Need> Wetted(PlanQuestion q) => q.Way(ChoiceId.Lubricant) switch
    {
        WayId.Spirit => [q.On(SupplyIds.WhiteSpirit, [q.Tool.Part(PartIds.Body)!]), Need.Of(SupplyIds.CleanCloth, 1)],
        WayId.Water => [Need.Of(SupplyIds.Detergent, 5), Need.Of(SupplyIds.CleanCloth, 1), Need.Of(SupplyIds.LightOil, 5)],
        WayId.Dry => [Need.Of(SupplyIds.SoftBrush)],
        WayId.Powder => [Need.Of(SupplyIds.LappingPowder, 10), Need.Of(SupplyIds.LightOil, 15), Need.Of(SupplyIds.WhiteSpirit, 30),
            Need.Of(SupplyIds.CleanCloth, 2)],
        _ => [Need.Of(SupplyIds.LightOil, 10), Need.Of(SupplyIds.CleanCloth, 1)],
    };

    private static string Lubricant(PlanQuestion q) => q.Way(ChoiceId.Lubricant) switch
    {
        WayId.Spirit => " White spirit on the paper: no flame, the door open, and oil at the end.",
        WayId.Water => " Water with a drop of soap: wiped dry and oiled at each stop, for it rusts in minutes.",
        WayId.Powder => " Powder and oil on bare glass kept for it, the next finer only after everything is washed: one coarse grain scores it through, "
            + "and none may stay in mouth, threads or slide.",
        WayId.Dry => " Dry, the dust brushed off often and wiped up damp, a mask on.",
        _ => " A film of light oil on the paper; fresh paper when it floats.",
    };

    private static bool Trued(PlanQuestion q) => q.Way(ChoiceId.Sides) == WayId.Trued;

    private static IReadOnlyList<CautionId> Heavy(PlanQuestion q) => q.Heavy ? [CautionId.Slurry, CautionId.Heavy] : [CautionId.Slurry];

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        PlanRule.One("tension", "Tension bends the body.", [NotKeep, Metal, Tensed, Touched,
            If("it is lapped whole", q => !SoleWays.IsBare(q))], q =>
            new Deed(StepKey.Tension, Stage.Together, $"Draw the iron back and close the {Cap(q)} to working tension", q.Minutes(StepKey.Tension))
        {
            Parts = Ids(q.Present.Where(p => p.Is(PartIds.LeverCap, PartIds.Iron, PartIds.Clamp))),
                Reason = "The sole is flattened in the shape it works in.",
            FinishTest = "It closes with a firm thumb, the iron still adjusts.", Cautions = [CautionId.BareEdge],
        }),
        PlanRule.One("survey the sole", "Metal taken off does not come back.", [NotKeep, Metal, Touched], q =>
            new Deed(StepKey.SoleCheck, Stage.Sole, "Survey the sole and decide", q.Minutes(StepKey.SoleCheck, q.Sole))
        {
            Parts = [PartIds.Body], Needs = [Need.Of(SupplyIds.StraightedgeAndFeelers), Need.Of(SupplyIds.FlatPlate)],
            How = "Readings along both edges and the middle. Is the plate itself flat, and long enough?"
                + (q.Findings.Any(f => f.Kind == FindingKind.OutOfFlat && PartGroups.IsToe(f.Place)) ? " The toe is worn low: leave it out of the readings."
                    : ""),
            Reason = "It may be flat enough already; a plate too short makes it worse.", FinishTest = "Flatness stands on the tag.",
        }, buys: 2),
        PlanRule.One("lap the sole roughly", "High spots and rust go first, the truth comes last.", [NotKeep, Metal, Touched,
            If("it is lapped roughly first", SoleWays.IsTwice), Causes.Asked(Uneven)], q =>
            new Deed(StepKey.SoleRough, Stage.Derust, "Lap the bare body roughly, high spots and rust only", q.Minutes(StepKey.SoleRough, q.Sole))
        {
            Parts = [PartIds.Body],
            Needs = [.. q.Way(ChoiceId.Lubricant) == WayId.Powder ? Array.Empty<Need>() : [Need.Of(SupplyIds.P80Sheet, 2)], Need.Of(SupplyIds.FlatPlate),
                .. Wetted(q)],
            How = (q.Way(ChoiceId.Lubricant) == WayId.Powder ? "Coarse powder on the glass,"
                : "Coarse paper on the plate,") + " marks on the sole, until the worst are gone and no further. Wipe, dry and oil at once." + Lubricant(q),
            Reason = $"{Uneven(q)} What goes now need not be soaked off nor lapped twice; the last of it waits for tension.",
            FinishTest = "No high spot rocks on the plate.", Cautions = Lapped(q), Undoable = false, MetalRemovedMm = q.Metal(StepKey.SoleRough),
            SurfaceLost = SurfaceId.Machining,
        }, ChoiceId.Lapping),
        PlanRule.One("lap the sole", "Toe, mouth and heel in one plane.", [NotKeep, Metal, Touched, Causes.Asked(Uneven)], q =>
            new Deed(StepKey.SoleLap, Stage.Sole, q.Way(ChoiceId.Flat) switch { WayId.Whole => $"Lap the whole sole{Under(q)}", WayId.Cuts =>
            $"Lap the sole{Under(q)}, only until it cuts", _ => $"Lap the sole{Under(q)}: {q.Tool.Manner.Sole}" },
            Lapping(q))
        {
            Parts = [PartIds.Body],
            Needs = [.. Sheets(q), Need.Of(SupplyIds.Marker), Need.Of(SupplyIds.FlatPlate), .. Wetted(q)],
            How = $"Marks at {q.Tool.Manner.Sole}; {Looks(q)}; press {Pressed(q)}. "
                + (FaceWays.LapsPits(q) ? "On until the pits are gone, and no further than the mouth allows."
                    : q.Tool.HasBed ? "Leave out pits and a worn toe." : "Leave out pits.")
                + Lubricant(q) + (q.Tool.Is(FormIds.Corrugated) ? " Only the lands between the grooves bear and count; brush the grooves out at each look."
                    : ""),
            Reason = $"{Uneven(q)}{Foretold(q)} Only where the readings say so, and no further than it cuts. Leaving it is an answer.",
            FinishTest = q.Way(ChoiceId.Flat) switch { WayId.Whole => "Marks gone on nine tenths of the sole.", WayId.Cuts =>
                "A full-width shaving at the thickness wanted.",
                _ => $"Marks gone at {q.Tool.Manner.Sole}." }, Cautions = [.. Heavy(q), .. q.Way(ChoiceId.Lubricant) == WayId.Spirit ? [CautionId.Solvent]
                    : Array.Empty<CautionId>()], Undoable = false,
            MetalRemovedMm = q.Metal(StepKey.SoleLap),
            SurfaceLost = SurfaceId.Machining,
        }, ChoiceId.Flat, 12),
        PlanRule.One("clean the sole", "Grit left behind scratches the next board.", [NotKeep, Metal, Touched, Causes.Asked(Uneven)], q =>
            new Deed(StepKey.SoleClean, Stage.Sole, "Wipe off the slurry and oil the sole", q.Minutes(StepKey.SoleClean, q.Sole))
        {
            Parts = [PartIds.Body], Needs = [Need.Of(SupplyIds.CleanCloth, 2), Need.Of(SupplyIds.LightOil, 5)], Reason = "Wet slurry rusts and cuts.",
            FinishTest = "A white cloth stays white.", Cautions = [CautionId.Slurry],
        }),
        PlanRule.One("sides only if wanted", "Clean sides are looks; square sides are for shooting.", [Metal, Chosen(ChoiceId.Sides, WayId.Clean, WayId.Trued),
            If("it has sides that do no work", SmallWays.Sides.Asked)], q =>
            new Deed(StepKey.Sides, Stage.Sole, Trued(q) ? "True the sides square to the sole" : "Clean the sides along the machining lines",
                q.Minutes(StepKey.Sides, Work.Surface(2 * q.Extents[PartIds.Body].FaceDm2), Trued(q) ? StepCase.Much : StepCase.Usual))
        {
            Parts = [PartIds.Body],
            Needs = Trued(q) ? [Need.Of(SupplyIds.P120Sheet, 2), Need.Of(SupplyIds.FlatPlate), Need.Of(SupplyIds.TrySquare), Need.Of(SupplyIds.Marker)]
                : [Need.Of(SupplyIds.P240Sheet, 1), Need.Of(SupplyIds.LightOil, 5)],
            How = Trued(q) ? "Against a square block on the plate, the sole to the block. One side is enough for a shooting board: the one that lies on it."
                : "This is cleaning, not flattening: block behind the paper, lengthwise. Square to the sole only for a shooting board.",
            Reason = Trued(q) ? "A shooting board takes its angle from the side." : "They are seen; nothing is planed with them.",
            FinishTest = Trued(q) ? "No light between side and square along the sole." : "Even lines from toe to heel.", Undoable = false,
            MetalRemovedMm = q.Metal(StepKey.Sides, Trued(q) ? StepCase.Much : StepCase.Usual),
            SurfaceLost = Trued(q) ? SurfaceId.Machining : SurfaceId.SomePatina, Cautions = Trued(q) ? Heavy(q) : [],
        }, ChoiceId.Sides),
        PlanRule.One("ease the arrises", "Lapping leaves edges that score wood and hands.", [NotKeep, Metal, Touched, Causes.Asked(Uneven)], q =>
            new Deed(StepKey.Arris, Stage.Sole, "Ease the arrises of the sole", q.Minutes(StepKey.Arris, q.Sole))
        {
            Parts = [PartIds.Body], Needs = [Need.Of(SupplyIds.FineFile)], How = q.Tool.Works(KindTrait.CheeksGuide)
                ? "One light pass at toe and heel; the long edges that guide it stay crisp."
                : q.Tool.HasBed ? "One light pass, not at the mouth." : "One light pass, not round the throat.", Reason = "A sharp arris lines the work.",
            FinishTest = "Smooth to the finger all round.", MetalRemovedMm = q.Metal(StepKey.Arris), Cautions = [CautionId.Slurry],
        }),
        PlanRule.One("read the wooden sole", "Wood moves: it is read before it is planed.", [NotKeep, Wooden], q =>
            new Deed(StepKey.SoleCheck, Stage.Sole, q.Tool.IsWedged ? "Read the sole with winding sticks, iron and wedge in"
                : "Read the sole with winding sticks, iron in and held", q.Minutes(StepKey.SoleCheck, q.Sole, StepCase.Wood))
        {
            Parts = [PartIds.Body], Needs = [Need.Of(SupplyIds.WindingSticks), Need.Of(SupplyIds.StraightedgeAndFeelers)],
            How = $"{(q.Tool.IsWedged ? "Wedge driven as in use" : "Held as in use")}, iron drawn back. Read wind at the ends and hollow along it, from one "
                + "reference side.",
            Reason = q.Tool.IsWedged ? "The wedge spreads the mouth; a sole trued without it is not true."
                : "What holds the iron bends the body; a sole trued without it is not true.", FinishTest = "Wind and hollow stand on the tag.",
        }, buys: 3),
        PlanRule.One("true the wooden sole", "As little as possible, for it opens the mouth.", [NotKeep, Wooden, Winds], q =>
            new Deed(StepKey.SoleWood, Stage.Sole, "Plane the wind out of the sole, as little as possible", q.Minutes(StepKey.SoleWood, q.Sole))
        {
            Parts = [PartIds.Body], Needs = [Need.Of(SupplyIds.BenchPlane), Need.Of(SupplyIds.WindingSticks), Need.Of(SupplyIds.FlatPlate),
                Need.Of(SupplyIds.P120Sheet, 1)],
            How = Corners(q) + " Then whole strokes. Wipe damp, let the fuzz rise, last light pass, then finish the bare sole "
                + "as the rest. Mind the mouth.",
            Reason = "Each shaving off the sole opens the mouth.", FinishTest = "Sticks in line, no light under a straightedge at toe, mouth and heel.",
            Undoable = false, MetalRemovedMm = Sticks(q)?.RemovalAtHighCornersMm ?? q.Metal(StepKey.SoleWood),
            SurfaceLost = SurfaceId.WornSole, Cautions = [CautionId.WoodDust],
        }, buys: 14),
        PlanRule.One("check the mouth", "A worn mouth is patched, not wished away.", [NotKeep, Wooden], q =>
            new Deed(StepKey.MouthCheck, Stage.Sole, "Check the mouth: width, and a sharp front", q.Minutes(StepKey.MouthCheck))
        {
            Parts = [PartIds.Body], Needs = [Need.Of(SupplyIds.SmallRule)], How = "Iron at working depth. Front edge sharp and square, rear may be eased.",
            Reason = "It decides how fine the plane can work.", FinishTest = "The opening stands on the tag.", Cautions = [CautionId.BareEdge],
        }, buys: 2),
    ];
}
