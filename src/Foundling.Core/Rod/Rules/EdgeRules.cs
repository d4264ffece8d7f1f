using Foundling.Core.Aim;
using Foundling.Core.Edges;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.Safety;
using Foundling.Core.State;
using Foundling.Core.Stores;
using Foundling.Core.Tools;
using static Foundling.Core.Rod.PlanQuestion;
using static Foundling.Core.Rod.When;

namespace Foundling.Core.Rod.Rules;

/// <summary>Rules for edges with a back and a bevel, two bevels or one flat face.</summary>
internal static class EdgeRules
{
    /// <summary>Honing and covering are one block: a bare edge is not left lying.</summary>
    private static readonly Cond Backed = Edge(EdgeForm.BackAndBevel, EdgeForm.FlatFace, EdgeForm.Curved, EdgeForm.Profiled);

    private static readonly Cond Ground = Edge(EdgeForm.BackAndBevel, EdgeForm.FlatFace, EdgeForm.TwoBevels, EdgeForm.Toothed, EdgeForm.Curved,
        EdgeForm.Profiled);

    private static readonly Cond Worked = If("it does not already cut well as found", q => q.Tried != State.AsFoundTry.Well || Damage(q) >= 2
        || EdgeWays.Pits(q) >= 3);

    private static List<PartId> Parts(PlanQuestion q) => Ids(q.Edges);

    private static PartId[] Keys(PlanQuestion q) => [.. q.Tool.Edges.Select(p => p.Id)];

    private static int Damage(PlanQuestion q) => EdgeWays.Damage(q);

    private static Cond Pitted { get; } = If("pits near the edge or reaching it", q => EdgeWays.Pits(q) >= 3);

    private static string Steel(PlanQuestion q) => EdgeWays.Steel(q) is { } s
        ? $" {s.Reserve.ReserveMm:0.#} mm of hard steel are left, about {IronReserve.SharpeningsIn(s.Reserve.ReserveMm, q.Shop.Assumptions)} "
            + $"sharpenings{(s.SetbackMm > 0 ? $"; grinding past the pits would leave {s.Reserve.SharpeningsLeft}" : "")}." : "";

    private static bool Shaped(PlanQuestion q) => q.Tool.Edge is EdgeForm.Curved or EdgeForm.Profiled;

    /// <summary>The side without a bevel, by its name.</summary>
    private static string Face(PlanQuestion q) => q.Tool.Is(FormIds.InCannel) ? "outside" : q.Tool.Manner.Face
        ?? (q.Tool.Edge == EdgeForm.FlatFace ? "flat face" : "back");

    private static string Unknown(PlanQuestion q) => Feature.Find(FeatureIds.Cannel)!.On(q.Tool) && !q.Tool.Is(FormIds.OutCannel)
        ? " Ground inside, it is the outside that is kept true." : "";

    /// <summary>Nobody sees the polish of what works at the bottom of a groove, and a strop rounds teeth.</summary>
    internal static bool GritThatCuts(PlanQuestion q) => q.Tool.HasSkate || q.Tool.Edge == EdgeForm.Toothed || q.Way(ChoiceId.Grit) == WayId.Medium;

    private static string Backing(PlanQuestion q) => q.Tool.Is(FormIds.InCannel)
        ? "Lengthwise on a flat plate, rolled over its curve, in the last 15 mm. It carries no bevel."
        : q.Tool.Manner.Back is { } back ? back + Unknown(q) : (q.Tool.Family == Family.Plane || q.Tool.Edge == EdgeForm.FlatFace
            ? "Only the last 12 mm; the middle may start high."
        : q.Tool.Part(PartIds.Blade) is not null && q.Tool.Part(PartIds.Handle) is not null
            ? "The whole back counts on a chisel: never lift it." : "Its flat side rides on the wood: keep it flat, never lift it.");

    private static string Grinding(PlanQuestion q) => q.Tool.Is(FormIds.InCannel)
        ? "On the inside, with a round stone or a mounted point of the hollow's radius: no wheel reaches it. Light, and dipped often."
        : q.Way(ChoiceId.Grinding) is WayId.Glass or WayId.CoarsePlate && q.Tool.Edge != EdgeForm.TwoBevels
            ? "Bevel flat down, in a jig or with both hands, fresh abrasive often, square as one goes. It stays cool; check with a square." + Bit(q)
        : q.Tool.Manner.Grind ?? (q.Tool.Edge switch
        {
            EdgeForm.TwoBevels => "File, head clamped, towards the eye and away from the hand; count strokes a side. A wheel takes the temper of a thin bit.",
            EdgeForm.Profiled => "Iron in the plane, edge just through: scribe the sole's profile on its flat, then grind to the line on the edge of a narrow "
                + $"wheel. The sole is the master and is never scraped to the iron.{Bit(q)}",
            _ => $"Light touch, dip before it is warm to the finger.{Bit(q)}",
        });

    // An edge nobody has tried is taken for one that does not cut; a back that is flat by its survey is only worked for what is on it.
    private static string? Back(PlanQuestion q) => Causes.BySurvey(q, "back/", q.Shop.Assumptions.FaceBackMm, () => null)
        ?? Causes.Of(q, [FindingKind.Rust, FindingKind.Pitting, FindingKind.EdgeDamage, FindingKind.OutOfFlat], 1, f => Causes.Bears(q, f), Keys(q))
        ?? Causes.BySurvey(q, "back/", q.Shop.Assumptions.FaceBackMm, () => q.Tried is null ? "Nobody has tried it yet." : null);

    private static string? Cap(PlanQuestion q) => Causes.OfFace(q, f => f.Place != "cam", PartIds.LeverCap);

    private static Work Wide(PlanQuestion q) => Work.Wide(q.Facts.EdgeWidthMm(q.Shop.Assumptions) * Math.Max(1, q.Edges.Count()));

    // A back that is pitted or under crust is not nearly flat any more; pits that stop an edge have a step of their own, and lapped out they leave it flat.
    private static bool Rough(PlanQuestion q) => !EdgeWays.Raises(q) && (EdgeWays.Pits(q) < EdgeWays.PitsThatStop
        ? q.WorstOn(FindingKind.Rust, Keys(q)) >= 3 || EdgeWays.Pits(q) >= 2
        : q.Way(ChoiceId.Back) != WayId.Lap && q.WorstOn(FindingKind.Rust, Keys(q)) >= 3);

    private static string Honing(PlanQuestion q) => string.Join(" ", new[]
    {
        q.Way(ChoiceId.Hold) == WayId.Jig ? "In the jig, marker on the bevel for the first strokes."
            : q.Tool.StoneGoes ? $"{HoningWords.Held(q.Tool)} Marker on the bevel for the first strokes.".TrimStart()
            : "Freehand, elbows in; marker on the bevel for the first strokes.",
        Shaped(q) ? "" : q.Tool.Edge == EdgeForm.TwoBevels ? "Both sides alike, a little rounded, never hollow." : q.Tool.Edge == EdgeForm.FlatFace
            ? "The flat face stays flat: only the burr is taken off it." : q.Tool.Edge == EdgeForm.Toothed
                ? "One flat bevel. The burr is knocked out of the grooves by setting the edge down on end grain; a strop would round the points."
                : q.Way(ChoiceId.Bevel) switch { WayId.Single => "One flat bevel.", WayId.Rounded =>
            "Rounded under, full angle only at the edge.", _ => "A secondary bevel, a few degrees steeper." },
        q.Tool.Edge == EdgeForm.Profiled ? "Slips of each radius for its members; on the flat nothing but the burr. Then held against the sole." : "",
        EdgeWays.Raises(q) ? EdgeWays.Shims(q) ? "The burr comes off with the shim in its place."
            : "The burr comes off with the back lifted as before."
            : "",
        q.Tool.Manner.Honing ?? "",
        Choices.Find(ChoiceId.Corners).Asked(q)
            ? q.Way(ChoiceId.Corners) switch { WayId.Square => "Corners square.", WayId.Cambered => "Lean on the corners for a camber.", _ =>
            "A few strokes more on each corner." } : "",
        q.Way(ChoiceId.Grit) == WayId.Medium ? "The medium stone is the last."
            : GritThatCuts(q) || q.Way(ChoiceId.Grit) == WayId.Cuts ? "Stop at the grit that cuts."
            : FaceWays.Buffs(q) ? "On to the finest stone, then seconds a side on a cloth wheel with compound, the edge trailing: a thin edge is blue before "
                + "it feels warm."
            : "On to the finest stone, then the strop until it shines.",
    }.Where(t => t.Length > 0));

    /// <summary>How far the edge goes back: as deep as the worst nick was measured, else as is usual, and what is out of square, mm.</summary>
    private static double GroundMm(PlanQuestion q) => (q.Findings.Where(f => f.Kind == FindingKind.EdgeDamage && Keys(q).Contains(q.Tool.Key(f.Part)))
        .Max(f => f.DepthMm) ?? q.Metal(StepKey.EdgeGrind, Damage(q) >= 3 ? StepCase.Much : StepCase.Usual))
        + ((q.Measured(MeasureIds.OutOfSquare, Keys(q)) ?? 0) / 2);

    /// <summary>Handling and looking by the width, the steel by its volume on what it is ground on.</summary>
    private static ThreePoint ByVolume(PlanQuestion q)
    {
        ThreePoint handling = q.Minutes(StepKey.EdgeGrind, Wide(q), Damage(q) >= 3 ? StepCase.Much : StepCase.Usual);
        if (q.Tool.Edge == EdgeForm.TwoBevels)
        {
            return handling;
        }
        double volume = q.Edges.Sum(p => q.Facts.EdgeWidthMm(q.Shop.Assumptions) * Math.Max(1, q.Extents[p.Id].ThickMm)) * GroundMm(q);
        return (handling + Around(q, Edges.Edge.Minutes(volume, EdgeWays.GroundOn(q), q.Shop.Assumptions))).Halves();
    }

    private static ThreePoint Around(PlanQuestion q, double minutes) =>
        new(minutes * q.Shop.Assumptions.OwnLowShare, minutes, minutes * q.Shop.Assumptions.OwnHighTimes);

    /// <summary>What the route past the pits takes where they are known, else what it takes as a rule.</summary>
    private static ThreePoint Saving(PlanQuestion q, StepCase @case) =>
        EdgeWays.Route(q) is { } route ? Around(q, route.Way.Minutes).Halves() : q.Minutes(StepKey.EdgeSave, @case);

    private static string Route(PlanQuestion q) => EdgeWays.Route(q) is not { } route ? "" : q.Way(ChoiceId.Back) switch
    {
        WayId.Lap => $" {route.Saved.DeepestMm:0.0##} mm at the deepest, {route.Way.MetalMm3:0} mm³ of steel; the edge goes "
            + $"back {route.Way.SetbackMm:0.0#} mm.",
        WayId.Shim => $" {route.Way.AngleDeg:0.0#}° passes under the deepest; the shine grows to {route.Way.LandMm:0.#} mm.",
        _ => $" That is {route.Way.SetbackMm:0.#} mm, {route.Way.MetalMm3:0} mm³ of steel.",
    };

    // A blade of two bevels has no back to lap: what is pitted at its edge goes with the bevels.
    private static bool BevelPits(PlanQuestion q) => q.Tool.Edge == EdgeForm.TwoBevels && EdgeWays.Pits(q) >= EdgeWays.PitsThatStop;

    private static string GrindTitle(PlanQuestion q) => (q.Tool.Edge == EdgeForm.TwoBevels, Damage(q) >= 3) switch
    {
        (true, true) => "Grind past the chips, both bevels alike",
        (true, _) => BevelPits(q) ? "Grind past the pits, both bevels alike" : "Grind both bevels alike",
        (_, true) => "Grind past the chips and square the edge",
        _ => "Grind the bevel",
    };

    private static IReadOnlyList<Need> GroundOn(PlanQuestion q) => q.Way(ChoiceId.Grinding) switch
    {
        WayId.Belt => [Need.Of(SupplyIds.BeltGrinder)],
        WayId.Glass => [Need.Of(SupplyIds.P80Sheet, 2), Need.Of(SupplyIds.FlatPlate)],
        WayId.CoarsePlate => [Need.Of(SupplyIds.CoarseDiamondPlate)],
        _ => [Need.Of(SupplyIds.BenchGrinder)],
    };

    private static string On(PlanQuestion q) => q.Way(ChoiceId.Grinding) switch
    {
        WayId.Belt => "belt", WayId.Glass => "coarse paper", WayId.CoarsePlate => "coarse plate", _ => "wheel",
    };

    /// <summary>A light test that was passed leaves the cap iron alone; where none was made, so does a tool that cuts well and keeps its edge.</summary>
    private static bool Gapes(PlanQuestion q) => q.Measured(MeasureIds.CapLight, PartIds.CapIron) is double light
        ? light > q.Shop.Assumptions.CapLightMm + Whole.Slack : Worked.Holds(q) || q.WorstOn(FindingKind.Bent, [PartIds.CapIron]) > 0
            || q.WorstOn(FindingKind.Pitting, [PartIds.CapIron]) > 0;

    // Beyond the line of a laid-on bit the iron is soft.
    private static string Bit(PlanQuestion q) => q.Tool.Is(FormIds.LaidOn) || q.Tool.Is(FormIds.TaperedIron)
        ? " The hard bit ends at a line on the back: past it nothing holds an edge." : "";

    public static IReadOnlyList<PlanRule> All { get; } =
    [
        new("deal with the pits", "Pits that reach the edge stop a restoration.", [NotKeep, Backed, Pitted], Save, ChoiceId.Back, 8),
        PlanRule.One("flatten the back", "The back is half of the edge.", [NotKeep, Backed, Worked, Causes.Asked(Back)], q =>
            new Deed(StepKey.EdgeBack, Stage.Edge, q.Tool.Edge == EdgeForm.Curved ? $"True the {Face(q)} behind the edge"
                : q.Tool.BackGuides ? $"Flatten the whole {Face(q)}" : $"Flatten the {Face(q)} near the edge",
                q.Minutes(StepKey.EdgeBack, Rough(q) ? StepCase.Much : StepCase.Usual))
        {
            Parts = Parts(q), Needs = [Need.Of(SupplyIds.P180Sheet, 1), Need.Of(SupplyIds.P400Sheet, 1),
                q.Tool.Edge == EdgeForm.Curved ? Need.Of(SupplyIds.SlipStones) : Need.Of(GritThatCuts(q) ? SupplyIds.MediumStone : SupplyIds.FineStone)],
            How = Backing(q),
            Reason = $"{Back(q)} {(q.Tool.Edge == EdgeForm.Curved ? "Where it is rough the edge is a saw, however the bevel shines."
                : q.Tool.Edge == EdgeForm.FlatFace ? "Honing cannot make a sharp edge on a face that is not flat."
                : "Honing cannot make a sharp edge on a round back.")}", FinishTest = "One even shine up to the edge.",
            Undoable = false, MetalRemovedMm = q.Metal(StepKey.EdgeBack),
        }, buys: 12),
        PlanRule.One("shim by habit", "A hair of back bevel, made the same way each time.", [NotKeep, Worked,
            If("the back is honed over a shim", EdgeWays.ByHabit)], q =>
            new Deed(StepKey.EdgeSave, Stage.Edge, "Hone the back over a shim: a hair of back bevel", q.Minutes(StepKey.EdgeSave, StepCase.Shim))
        {
            Parts = Parts(q), Needs = [Need.Of(SupplyIds.Shim, 1), Need.Of(SupplyIds.FineStone)], Undoable = false,
            MetalRemovedMm = q.Metal(StepKey.EdgeSave, StepCase.Shim),
            How = "The back reasonably flat first. Shim under the far end, a dozen strokes crosswise on the finest stone. Write its thickness on the tag: from "
                + "now on always with it.",
            Reason = "Only a line behind the edge has to be polished.", FinishTest = "A thin bright line along the whole edge.",
        }, ChoiceId.BackHabit, 6),
        PlanRule.One("grind", "Nicks and a lost bevel need the wheel.", [NotKeep, Ground,
            If("the edge is nicked or chipped, or has pits in its two bevels", q => Damage(q) >= 2 || BevelPits(q)),
            If("it is not ground back past its pits already", q => !(Pitted.Holds(q) && Backed.Holds(q) && q.Way(ChoiceId.Back) == WayId.Grind))], q =>
            new Deed(StepKey.EdgeGrind, Stage.Edge, GrindTitle(q), ByVolume(q))
        {
            Parts = Parts(q), Needs = q.Tool.Edge == EdgeForm.TwoBevels
                ? [Need.Of(SupplyIds.FineFile), Need.Of(SupplyIds.BenchVice), Need.Of(SupplyIds.SoftJaws)] : GroundOn(q),
            How = Grinding(q),
            Reason = $"{(Damage(q) >= 3 ? "Chips" : Damage(q) >= 2 ? "Nicks" : "Pits at the edge")} come out at the "
                + $"{(q.Tool.Edge == EdgeForm.TwoBevels ? "file" : On(q))}, not at the stone.",
            FinishTest = q.Tool.Edge switch
            {
                EdgeForm.TwoBevels => "An even curve, both bevels the same width.",
                EdgeForm.Profiled => "It shows the profile of the sole from fence to stop, no blue.",
                EdgeForm.Curved => "One even band from corner to corner, no blue.",
                _ => "Square to the side, no blue.",
            },
            Undoable = false, SurfaceLost = SurfaceId.Edge,
            MetalRemovedMm = GroundMm(q),
        }, ChoiceId.Grinding, 8),
        PlanRule.One("hone", "Two polished faces that meet.", [NotKeep, Ground, Worked], q =>
            new Deed(StepKey.EdgeHone, Stage.Edge, GritThatCuts(q) ? "Hone until a burr turns, at the grit that cuts" : "Hone until a burr turns, then strop",
            q.Minutes(StepKey.EdgeHone, Wide(q), q.Tool.Edge == EdgeForm.TwoBevels ? StepCase.Much : StepCase.Usual))
        {
            Block = Block.HonedAndCovered, Parts = Parts(q),
            Needs =
            [
                Need.Of(SupplyIds.MediumStone), .. GritThatCuts(q) ? [] : new[] { Need.Of(SupplyIds.FineStone) },
                .. Shaped(q) ? [Need.Of(SupplyIds.SlipStones)] : Array.Empty<Need>(), .. GritThatCuts(q) ? [] : new[] { Need.Of(FaceWays.Buffs(q)
                    ? SupplyIds.BuffingWheel : SupplyIds.Strop) },
                .. GritThatCuts(q) ? [] : q.Way(ChoiceId.Grit) == WayId.Shines ? [Need.Of(SupplyIds.HoningCompound, 2)] : Array.Empty<Need>(),
            ],
            How = Honing(q), Reason = "A dull edge hides every other fault.", FinishTest = "No light reflects from the edge.",
        }, ChoiceId.Hold, 30),
        PlanRule.One("cover the edge", "A bare honed edge is covered at once.", [NotKeep, Ground, Worked], q =>
            new Deed(StepKey.EdgeCover, Stage.Edge, "Cover the edge until it is needed", q.Minutes(StepKey.EdgeCover))
        {
            Block = Block.HonedAndCovered, Parts = Parts(q), Needs = [Need.Of(SupplyIds.TapeOrCorkStrip, 1)], Reason = "Hands work round it from here on.",
            FinishTest = "Nothing bare.",
        }),
        PlanRule.One("the rest of the set", "Irons of a set are honed as they are wanted.",
            [NotKeep, If("it has a set of irons", q => q.Tool.Set.Any(p => q.Has(p.Id))), If("it did not cut well as found", q =>
                q.Tried != State.AsFoundTry.Well)], q => new Deed(StepKey.IronsHone, Stage.Edge,
            $"Hone the rest of the set: {q.Tool.Set.Count(p => q.Has(p.Id))} irons, to the grit that cuts",
            q.Minutes(StepKey.IronsHone, q.Tool.Set.Where(p => q.Has(p.Id)), StepCase.Each))
        {
            Parts = Ids(q.Tool.Set.Where(p => q.Has(p.Id))), Needs = [Need.Of(SupplyIds.MediumStone), Need.Of(SupplyIds.TapeOrCorkStrip, 4)],
            How = "Bevel and the last of the flat side; no polish. Each into its roll as it is done.", Reason = "A groove does not see the shine.",
            FinishTest = "Each cuts a clean groove in scrap.",
        }, buys: 5),
        PlanRule.One("fit the cap iron", "One gap and shavings jam under it.", [NotKeep, There(PartIds.CapIron, "cap iron"), There(PartIds.Iron, "iron"),
            If("it has not passed the light test, and does not cut well as it is", Gapes)], q =>
            new Deed(StepKey.CapFit, Stage.Edge, "Fit the cap iron: no light along the edge", q.Minutes(StepKey.CapFit))
        {
            Parts = [PartIds.CapIron], Needs = [Need.Of(SupplyIds.MediumStone), Need.Of(SupplyIds.Strop)],
            How = "Undercut a little so that the very front touches; a soft one may be bent back. Polish the hump. Swing it on crosswise.",
            Reason = q.Measured(MeasureIds.CapLight, PartIds.CapIron) is double light
                ? $"{light:0.0##} mm of light under its edge: it takes a shaving and chokes."
                : "A gap of a hair takes a shaving and chokes.", FinishTest = "No light, no rattle when the corners are tapped.",
            Undoable = false, MetalRemovedMm = q.Metal(StepKey.CapFit), Cautions = [CautionId.BareEdge],
        }, buys: 8),
        PlanRule.One("lever cap front", "It presses just behind the edge.", [NotKeep, There(PartIds.LeverCap, "lever cap"), Causes.Asked(Cap)], q =>
            new Deed(StepKey.LeverCap, Stage.Edge, $"True the front of the {q.Tool.Part(PartIds.LeverCap)!.Name}", q.Minutes(StepKey.LeverCap))
        {
            Parts = [PartIds.LeverCap], Needs = [Need.Of(SupplyIds.P240Sheet, 1)], How = "Underside of the front edge only.",
            Reason = $"{Cap(q)} It must press across the whole {(q.Has(PartIds.CapIron) ? "cap iron" : "iron")}.",
            FinishTest = "A slip of paper is gripped from corner to corner.",
            Undoable = false, MetalRemovedMm = q.Metal(StepKey.LeverCap),
        }, buys: 2),
        PlanRule.One("only stabilise the edge", "Under Keep an edge is covered, not made.", [Keep, If("it has an edge", q => q.Edges.Any())], q =>
            new Deed(StepKey.EdgeKeep, Stage.Edge, "Oil the edge and cover it as it is", q.Minutes(StepKey.EdgeKeep))
        {
            Parts = Parts(q), Needs = [Need.Of(SupplyIds.LightOil, 2), Need.Of(SupplyIds.TapeOrCorkStrip, 1)],
                Reason = "Its last sharpening is part of its history.",
            FinishTest = "Nothing bare.",
        }),
    ];

    // A diamond plate is slower than fresh paper wherever it is not reckoned by volume.
    private static ThreePoint Lapping(PlanQuestion q)
    {
        Assumptions a = q.Shop.Assumptions;
        ThreePoint minutes = Saving(q, EdgeWays.Pits(q) >= 4 ? StepCase.Much : StepCase.Usual);
        return EdgeWays.Route(q) is null
            ? (minutes * (Edges.Edge.Rate(GrindOn.P100OnGlass, a) / Edges.Edge.Rate(EdgeWays.LappedOn(q), a))).Halves() : minutes;
    }

    private static IReadOnlyList<Need> LappedOn(PlanQuestion q) => EdgeWays.Rounds(q) ? [Need.Of(SupplyIds.SlipStones), Need.Of(SupplyIds.P180Sheet, 1)]
        : EdgeWays.LappedOn(q) == GrindOn.CoarseDiamond ? [Need.Of(SupplyIds.CoarseDiamondPlate), Need.Of(SupplyIds.MediumStone)]
        : [Need.Of(SupplyIds.P80Sheet, 2), Need.Of(SupplyIds.P180Sheet, 1), .. q.Tool.StoneGoes ? Array.Empty<Need>() : [Need.Of(SupplyIds.FlatPlate)]];

    private static string Lapped(PlanQuestion q)
    {
        bool diamond = EdgeWays.LappedOn(q) == GrindOn.CoarseDiamond;
        string on = diamond ? "a coarse diamond plate, wet, rinsed often, its scratches out on the medium stone." : "a flat plate, fresh paper often.";
        return q.Tool.Edge == EdgeForm.Curved ? Backing(q)
            : q.Tool.Manner.Back is not null ? $"{Backing(q)} For the pits {(diamond ? "on" : "on coarse paper over")} {on}"
            : q.Tool.StoneGoes ? $"Only the last 12 mm: {(diamond ? "a coarse diamond plate" : "coarse paper on a flat block")} laid flat on it and "
                + "led along, never tilted."
            : $"{(q.Tool.BackGuides ? "Never lifted, pressed over its last 12 mm, on" : "Only the last 12 mm, on")} {on}";
    }

    private static IEnumerable<Deed> Save(PlanQuestion q)
    {
        Deed deed = q.Way(ChoiceId.Back) switch
        {
            WayId.Grind => new Deed(StepKey.EdgeSave, Stage.Edge, "Grind the edge back past the pits", Saving(q, StepCase.Grind))
            {
                Needs = GroundOn(q),
                How = (q.Tool.Edge == EdgeForm.Profiled ? "Back along the whole profile to half a millimetre past the last pit: scribed anew from the sole, "
                    + "ground to the line on the edge of a narrow wheel, then the bevel." : "Straight across to half a millimetre past the last pit, then the "
                    + "bevel.") + " Dip before it is warm." + Route(q) + Steel(q),
                MetalRemovedMm = EdgeWays.Route(q)?.Way.SetbackMm ?? q.Metal(StepKey.EdgeSave, StepCase.Grind),
                Reason = EdgeWays.Route(q) is { } r && r.Saved.Ways["lap"].Minutes > r.Way.Minutes ? "There is steel enough, and it is quicker than lapping."
                    : "There is steel enough, and no pit is left behind.",
            },
            WayId.Shim => new Deed(StepKey.EdgeSave, Stage.Edge, q.Tool.Edge == EdgeForm.FlatFace
                ? "Pass under the pits with a feeler under the flat: a tiny back bevel" : "Pass under the pits with a shim: a tiny back bevel",
                    Saving(q, StepCase.Shim))
            {
                Needs = [Need.Of(SupplyIds.Shim, 1), Need.Of(SupplyIds.CoarseDiamondPlate), Need.Of(SupplyIds.FineStone)],
                MetalRemovedMm = EdgeWays.Route(q)?.Saved.DeepestMm ?? q.Metal(StepKey.EdgeSave, StepCase.Shim),
                How = "The back reasonably flat first. Shim under the far end, stroke crosswise until the shine passes the pits, the last strokes on the "
                    + "finest stone. "
                    + "From now on always with the shim." + Route(q) + Steel(q),
                Reason = "The least metal, and the pits stay behind the edge.",
            },
            WayId.Lift => new Deed(StepKey.EdgeSave, Stage.Edge, "Lift the back a hair and lap past the pits", q.Minutes(StepKey.EdgeSave, StepCase.Lift))
            {
                Needs = [Need.Of(SupplyIds.MediumStone)],
                MetalRemovedMm = q.Metal(StepKey.EdgeSave, StepCase.Lift),
                How = "The thickness of a coin under the far end, by hand." + Steel(q), Reason = "Quick, and only the edge sees it.",
            },
            _ => new Deed(StepKey.EdgeSave, Stage.Edge, q.Tool.Edge == EdgeForm.Curved ? $"Stone the pits out of the last part of the {Face(q)}"
                : q.Tool.BackGuides || q.Tool.Manner.Back is not null ? $"Lap the pits out of the {Face(q)}"
                : $"Lap the pits out of the last part of the {Face(q)}",
                Lapping(q))
            {
                Needs = LappedOn(q),
                How = Lapped(q) + " Stop when the line at the edge is clean." + Route(q) + Steel(q),
                MetalRemovedMm = EdgeWays.Route(q)?.Saved.DeepestMm ?? q.Metal(StepKey.EdgeSave),
                Reason = "A pit in the edge is a notch in every shaving; this costs minutes, not steel.",
            },
        };
        yield return deed with
        {
            Parts = Parts(q), FinishTest = $"No pit within the first millimetre of the {Face(q)}.", Undoable = false, SurfaceLost = SurfaceId.Edge,
        };
    }
}
