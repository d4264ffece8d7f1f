using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Rod.Ways;
using Foundling.Core.State;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod;

/// <summary>What a plan does about a finding.</summary>
/// <param name="Finding">The finding.</param>
/// <param name="By">Deeds that answer it; empty for none.</param>
/// <param name="WhyNot">Why nothing is done about it, in a sentence; null when something is.</param>
public sealed record FindingAnswer(Found Finding, IReadOnlyList<DeedId> By, string? WhyNot);

/// <summary>What a plan does about each finding: nothing that is plainly wrong is passed over in silence.</summary>
public static class FindingAnswers
{
    private const int Plain = 2, BadRepair = 4, Broken = 3, Weak = 4;

    private static readonly StepSet
        Rust = new(StepKey.DerustWire, StepKey.DerustAbrasive, StepKey.DerustScrape, StepKey.DerustBlast, StepKey.DerustRest, StepKey.DerustBloom, StepKey.Soak,
            StepKey.SoakAgain, StepKey.SoakEarly, StepKey.DarkRemove),
        Pits = new(StepKey.EdgeSave, StepKey.EdgeBack, StepKey.EdgeGrind, StepKey.SoleLap, StepKey.FrogFace, StepKey.BedFlat, StepKey.LeverCap, StepKey.CapFit,
            StepKey.JawDress, StepKey.JawHone, StepKey.HookTrue, StepKey.CheekLap, StepKey.PitFill),
        Coat = new(StepKey.CoatSeal, StepKey.CoatTouch, StepKey.CoatScuff, StepKey.CoatStrip, StepKey.Coat1, StepKey.Coat2, StepKey.CoatBake, StepKey.WoodOil,
            StepKey.WoodWax, StepKey.WoodShellac, StepKey.WoodLacquer, StepKey.WoodRevive),
        Break = new(StepKey.HandleMake, StepKey.HaftWedge, StepKey.WoodGlue, StepKey.HaftShape, StepKey.HaftHang, StepKey.OpenJoint,
            StepKey.CloseJoint, StepKey.Grip, StepKey.Find, StepKey.Boxing, StepKey.TangBed, StepKey.SawFile, StepKey.CordNew),
        Loose = new(StepKey.HandleMake, StepKey.RodWhy, StepKey.RodShorten, StepKey.RodTighten, StepKey.WoodGlue, StepKey.TangBed, StepKey.HaftWedge,
            StepKey.HaftShape, StepKey.HaftHang, StepKey.JawPlay,
            StepKey.PivotClean, StepKey.SetPivot, StepKey.SawNuts, StepKey.SawBack, StepKey.Boxing, StepKey.WedgeFit, StepKey.Abutments, StepKey.Grip,
            StepKey.StripSeat, StepKey.CollarGrip, StepKey.FrogSeat, StepKey.TangFit, StepKey.PadScrews, StepKey.FrameSeat, StepKey.CloseJoint,
                StepKey.OpenJoint,
            StepKey.Assemble, StepKey.ChuckClean, StepKey.Tension, StepKey.SetStops, StepKey.StringUp, StepKey.CordNew, StepKey.Slides),
        Edge = new(StepKey.EdgeGrind, StepKey.EdgeHone, StepKey.EdgeSave, StepKey.EdgeBack, StepKey.EdgeTeeth, StepKey.EdgeKeep, StepKey.JawDress,
            StepKey.JawHone, StepKey.SawJoint, StepKey.SawFile, StepKey.SawSet, StepKey.BurrFile, StepKey.BurrTurn, StepKey.IronsHone, StepKey.JawTeeth,
                StepKey.GearTeeth),
        Slots = new(StepKey.SlotsDress, StepKey.JawBurrs, StepKey.Find), Bent = new(StepKey.Straighten, StepKey.SawStraight, StepKey.SawBack,
            StepKey.JawSpread, StepKey.Tabs),
        Gone = new(StepKey.HandleMake, StepKey.HaftHang, StepKey.Find, StepKey.IronsFind, StepKey.IronsFit, StepKey.HaftShape, StepKey.Grip,
            StepKey.CordNew, StepKey.CloseJoint),
        Worn = new(StepKey.JawDress, StepKey.JawPlay, StepKey.JawTeeth, StepKey.JawSpread, StepKey.Grip, StepKey.EdgeHone, StepKey.EdgeGrind, StepKey.WedgeFit,
            StepKey.BurrFile, StepKey.BurrTurn, StepKey.SlideClean, StepKey.ThreadMend, StepKey.CordNew, StepKey.EdgeTeeth, StepKey.FootLevel),
        Flat = new(StepKey.SoleCheck, StepKey.SoleLap, StepKey.SoleWood, StepKey.FrogSeat, StepKey.FrogFace, StepKey.CheekCheck, StepKey.CheekLap,
            StepKey.FrameSeat, StepKey.SoleShape);

    private static StepSet By(FindingKind kind) => kind switch
    {
        FindingKind.Rust => Rust,
        FindingKind.Pitting => Pits,
        FindingKind.CoatingLoss => Coat,
        FindingKind.Crack => Break,
        FindingKind.Looseness => Loose,
        FindingKind.Seizure => StepSets.Free,
        FindingKind.EdgeDamage => Edge,
        FindingKind.Missing => Gone,
        FindingKind.Burred => Slots,
        FindingKind.Mushroomed => StepKey.Mushroom,
        FindingKind.Bent => Bent,
        FindingKind.PlatingLoss => StepKey.WashPlated,
        FindingKind.Repair => StepKey.UndoRepair,
        FindingKind.PaintSplash => StepKey.WashPaint,
        FindingKind.Sap => StepKey.WashSap,
        FindingKind.Damp => StepKey.WoodDry,
        FindingKind.Worm => StepKey.WormKill,
        FindingKind.Packed => StepKey.WashPacked,
        FindingKind.BentTab => StepKey.Tabs,
        FindingKind.Worn => Worn,
        FindingKind.Mark => Rust,
        _ => Flat,
    };

    /// <summary>What a plan does about each finding that is plain to see.</summary>
    /// <param name="q">What was planned.</param>
    /// <param name="plan">The plan.</param>
    public static IReadOnlyList<FindingAnswer> Of(PlanQuestion q, IReadOnlyList<Deed> plan) =>
    [
        .. q.Findings.Where(f => f.Severity >= Plain && f.Kind != FindingKind.Mark && q.Tool.Part(f.Part) is not null).Select(f =>
        {
            PartId part = q.Tool.Key(f.Part);
            StepSet by = By(f.Kind);
            List<DeedId> deeds = [.. plan.Where(d => by.Has(d.Id.Step) && (d.Parts.Count == 0 || d.Parts.Any(p => q.Tool.Key(p) == part))).Select(d => d.Id)];
            return new FindingAnswer(f, deeds, deeds.Count > 0 ? null : Why(q, f, q.Tool.Part(f.Part)!));
        }),
        .. q.Facts.SetAside.Where(f => f.Severity >= Plain && f.Kind != FindingKind.Mark).Select(f => new FindingAnswer(f, [],
            $"The {q.Tool.Part(f.Part)!.Name} is not to be touched: {Units.Sentences.Middle(q.Tool.Part(f.Part)!.Spared!)}.")),
    ];

    private static string Why(PlanQuestion q, Found found, PartDef part)
    {
        if (q.Discarded.Contains(part))
        {
            return "A new part takes its place.";
        }
        if (q.Worst(FindingKind.Missing, part.Id) >= 1 && found.Kind != FindingKind.Missing)
        {
            return "The part is gone; what it was like matters no more.";
        }
        return found.Kind switch
        {
            FindingKind.Pitting or FindingKind.OutOfFlat or FindingKind.OutOfSquare or FindingKind.Wind or FindingKind.EdgeDamage or FindingKind.Burred
                or FindingKind.Mushroomed or FindingKind.Worn when MetalWays.Spares(q) => "No metal is taken off on this tool, and the papers say so.",
            FindingKind.OutOfFlat when part.Is(PartIds.Frog) && q.Way(ChoiceId.FrogFace) == WayId.Leave =>
                "The frog's face is left as it is by the way that was chosen.",
            FindingKind.OutOfFlat or FindingKind.OutOfSquare when part.Is(PartIds.Body) && !Rules.Causes.Bears(q, found) =>
                "Nothing is planed with the sides: only a shooting board asks for them.",
            FindingKind.OutOfFlat when PartGroups.IsToe(found.Place) => "A worn toe bears nothing: it is left out when the sole is read and lapped.",
            FindingKind.Pitting when FaceWays.FacePits.Asked(q) && Rules.Causes.Bears(q, found) && part.Is(PartIds.Body, PartIds.Frog) =>
                "Its pits are lived with: the metal round them bears.",
            FindingKind.Pitting when found.Severity >= Weak =>
                "What the rust took does not come back: it is weaker there, is used with less force, and the papers say so.",
            FindingKind.Pitting when part.Is(PartIds.FixedJaw, PartIds.SlidingJaw) => "A nut does not feel them: what is left of the face holds it.",
            FindingKind.Pitting => "Pits where nothing bears and nothing cuts do no harm once they are clean and oiled.",
            FindingKind.PlatingLoss => "Plating does not come back at home: loose flakes are wiped off, and bare iron is oiled.",
            FindingKind.Repair when found.Severity == BadRepair - 1 =>
                "It works otherwise than it was made to: the papers say how, and it is undone only when that is wanted.",
            FindingKind.Repair when found.Severity < BadRepair => "A repair that does its work stays, and the papers name it.",
            FindingKind.Crack when part.IsFastener && found.Severity >= Broken =>
                "A cracked screw, nut or pin is not mended: one of the same thread or taper takes its place.",
            FindingKind.Crack when part.Material != Material.Wood => found.Severity >= Broken
                ? "Cracked metal is not mended at the bench: it is replaced, or the tool rests." : "It is watched: marked at its ends, and looked at again.",
            FindingKind.Worm => "Old holes without dust are dead worm: they stay, and the papers say so.",
            FindingKind.Worn => "What is worn is used as long as it lasts; the papers say how much is left.",
            FindingKind.Looseness when q.Aim == AimKind.Keep && part.Is(PartIds.Haft, PartIds.Head) =>
                "Under Keep it is left as it is: a head that moves is not swung, and the papers say so.",
            FindingKind.Bent when part.Material == Material.Wood && q.Aim != AimKind.Keep =>
                "Warped wood does not come back to stay: it is used as it is, or made new.",
            _ when q.Aim == AimKind.Keep => "Under Keep it is left as it is, and the papers say so.",
            FindingKind.OutOfFlat or FindingKind.OutOfSquare or FindingKind.Wind when q.Tool.HasMetalSole && q.Way(ChoiceId.Flat) == WayId.Leave =>
                "The sole is left as it is by the way that was chosen.",
            FindingKind.CoatingLoss => "The finish is left as it is by the way that was chosen.",
            FindingKind.Looseness => "It is looked at again when the tool goes together.",
            FindingKind.EdgeDamage when q.Tried == AsFoundTry.Well => "It cut well as found, so the edge is left.",
            _ => "Nothing in the book mends it here: it stands in the papers, and whoever uses the tool knows.",
        };
    }
}
