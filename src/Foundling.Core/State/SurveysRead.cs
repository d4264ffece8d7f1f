using System.Runtime.CompilerServices;
using Foundling.Core.Keys;
using Foundling.Core.Soles;

namespace Foundling.Core.State;

/// <summary>Surveys as they are read, each worked out once while it is at hand: a survey never changes.</summary>
public static class SurveysRead
{
    private static readonly ConditionalWeakTable<GridSurveyInput, ConditionalWeakTable<Assumptions, GridSurveyResult>> Known = new();

    /// <summary>What a survey shows.</summary>
    public static GridSurveyResult Of(GridSurveyInput survey, Assumptions a) => Known.GetOrCreateValue(survey).GetValue(a, x => GridSurvey.Read(survey, x));

    /// <summary>What the latest survey of the sole shows; null where none was made.</summary>
    public static GridSurveyResult? OfSole(Facts facts, Assumptions a) => facts.Surveys is [.., var survey] ? Of(survey, a) : null;

    /// <summary>
    /// How far a sole is off what is wanted of it, mm, and whether toe, mouth and heel are: by the way that was chosen the whole of it counts, or
    /// else the three where they can be told. Null where it is in.
    /// </summary>
    /// <param name="read">What its survey shows.</param>
    /// <param name="facts">What is known of the tool.</param>
    /// <param name="flat">When it counts as flat; null where nothing was chosen.</param>
    /// <param name="a">How flat is flat.</param>
    public static (double Mm, bool Zones)? Off(GridSurveyResult read, Facts facts, WayId? flat, Assumptions a)
    {
        (double whole, double three) = SoleTolerance.For(facts.SolePurpose(a), a);
        return flat != WayId.Whole && read.ThreeZoneErrorMm is double zones ? zones <= three + Whole.Slack ? null : (zones, true)
            : read.FlatnessMinimumZoneMm <= whole + Whole.Slack ? null : (read.FlatnessMinimumZoneMm, false);
    }
}
