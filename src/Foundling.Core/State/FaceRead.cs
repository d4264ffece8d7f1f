using Foundling.Core.Keys;
using Foundling.Core.Soles;
using Foundling.Core.Tools;
using Foundling.Core.Tools.Kinds;
using Foundling.Core.Units;

namespace Foundling.Core.State;

/// <summary>A survey of a face, set against how flat that face is wanted.</summary>
/// <param name="Result">What the survey shows.</param>
/// <param name="For">What the wanted figure is for: "try", "the back of an edge".</param>
/// <param name="WantedMm">How flat the whole of it is wanted, mm.</param>
/// <param name="Whole">The whole of it against that.</param>
/// <param name="WantedZonesMm">How near to one plane toe, mouth and heel are wanted, mm; null for a face without them.</param>
/// <param name="Zones">They against that; null where they cannot be told.</param>
/// <param name="Decides">What counts, by the way that was chosen; null where no figure decides, but a shaving does.</param>
/// <param name="Says">What to do about it, in a sentence.</param>
public sealed record FaceRead(GridSurveyResult Result, string For, double WantedMm, FlatVerdict Whole, double? WantedZonesMm, FlatVerdict? Zones,
    FlatVerdict? Decides, string Says)
{
    /// <summary>Reads a survey of a face.</summary>
    /// <param name="face">The face.</param>
    /// <param name="survey">The survey.</param>
    /// <param name="read">What it shows.</param>
    /// <param name="facts">What is known of the tool.</param>
    /// <param name="flat">When a sole counts as flat, by the way that is chosen for this tool; null where none is.</param>
    /// <param name="a">How flat is flat.</param>
    public static FaceRead Of(FlatFace face, GridSurveyInput survey, GridSurveyResult read, Facts facts, WayId? flat, Assumptions a)
    {
        SolePurpose? purpose = facts.SolePurpose(a);
        (double whole, double zones) = face.WantedMm is double wanted ? (wanted, wanted) : SoleTolerance.For(purpose, a);
        FlatVerdict all = GridSurvey.Against(read.FlatnessMinimumZoneMm, read.WholeUncertaintyMm, whole);
        FlatVerdict? three = face.IsSole && read.ThreeZoneErrorMm is double error ? GridSurvey.Against(error, read.ThreeZoneUncertaintyMm, zones) : null;
        string of = !face.IsSole ? $"the {face.Name}" : purpose is { } p ? KeyText.Of(p, ' ') + (facts.Build.Purpose is null ? ", as is usual for it" : "")
            : "a plane of no particular purpose";
        FlatVerdict? decides = !face.IsSole ? all : flat == WayId.Cuts && all != FlatVerdict.Met ? null : flat == WayId.Whole ? all : three ?? all;
        return new FaceRead(read, of, whole, all, three is null ? null : zones, three, decides,
            face.IsSole ? OfSole(facts.Tool, survey, read, all, decides, flat) : OfFace(face, facts.Tool, read, all));
    }

    private static string OfSole(ToolKind tool, GridSurveyInput survey, GridSurveyResult read, FlatVerdict whole, FlatVerdict? decides, WayId? flat)
    {
        if (flat == WayId.Leave)
        {
            return "This sole is left as it is, by the way that was chosen for it.";
        }
        if (decides is null)
        {
            return "By the way that was chosen it is flat enough when it cuts: no figure decides, a full-width shaving does. Try it before metal goes.";
        }
        if (whole == FlatVerdict.Met)
        {
            return "Flat enough for its work: leave it.";
        }
        if (survey.PlateFlatnessMm is double plate && plate >= read.FlatnessMinimumZoneMm)
        {
            return $"The plate may itself be out by {Length.Show(plate)}, as much as this sole: on this plate it cannot be improved. Leave it.";
        }
        return decides switch
        {
            FlatVerdict.Met => "Toe, mouth and heel are in one plane; the rest need not touch. Try it before anything goes off.",
            FlatVerdict.CannotTell => "Nearer to the limit than these readings are sure: try it, or read it again on a better plate, before anything goes off.",
            _ => tool.HasWoodenSole ? $"Plane off what stands high, {(tool.IsWedged ? "iron and wedge in" : "iron in and held")}, and no more than it takes: "
                    + "each shaving opens the mouth."
                : tool.HasBed ? "Lap it under tension, iron drawn back, until the marks go at toe, mouth and heel."
                : "Lap it with the cutter out, until the marks go where it bears.",
        };
    }

    // Hollow as one goes back from the edge is more than 0.
    private static double BehindEdge(FlatFace face, GridSurveyResult read) => (face.From == "the edge" ? read.LengthwiseBowMm : read.CrosswiseBowMm) ?? 0;

    private static string OfFace(FlatFace face, ToolKind tool, GridSurveyResult read, FlatVerdict whole) => whole switch
    {
        FlatVerdict.Met => "Flat enough for what it does: leave it.",
        FlatVerdict.CannotTell => "Nearer to the limit than these readings are sure: read it again on a better plate before anything goes off.",
        _ => face.Key.Split('/')[0] switch
        {
            "back" when tool.Family == Family.EdgeTool => BehindEdge(face, read) >= 0
                ? "Behind the edge it is hollow, which does no harm while the strip at the edge bears: lap until that strip shines, and no further."
                : "Behind the edge it is high, so it rocks: lap the height down until the strip at the edge bears.",
            "back" when tool.Edge == EdgeForm.Bypass => "Its flat side passes the hook: lap it flat and keep it so; a bevel on that side holds the cut open.",
            "back" => "Only the strip at the edge must bear: lap it there, or lift the iron on a shim for a tiny back bevel.",
            "cap_iron" => "Hone its edge on a flat stone, a little undercut, until no light shows between it and the iron.",
            "frog_face" => "Lap it, or file the high spots, only until the iron lies without rocking. Coating on it goes first.",
            "frog_seat" => "Try it in its seat first: coating and dirt rock it more often than the casting does.",
            "left_cheek" or "right_cheek" when tool.Works(KindTrait.CheeksGuide) => "It guides the plane along the shoulder: lap it square to the sole, and no "
                + "more than it takes, or the body is narrower than its iron.",
            "left_cheek" or "right_cheek" => "Leave it, unless it lies on a shooting board: then lap it square to the sole.",
            "side" => "Plane off what stands high, as little as it takes: the side is what guides it.",
            _ => "Leave it, unless it rounds nuts: a jaw that is filed is wider and softer for good.",
        },
    };
}
