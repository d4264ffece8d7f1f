using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using Foundling.Core.Grits;
using Foundling.Core.Keys;
using Foundling.Core.Soles;
using Foundling.Core.State;

namespace Foundling.Core.Rod;

/// <summary>What lapping a sole will come to, by its survey or by the marks that were read on it.</summary>
/// <param name="Strokes">Strokes on the coarse paper to the standard of the school; null where it would never come in.</param>
/// <param name="FirstLook">Strokes until the first look.</param>
/// <param name="Press">Where to press, in words; null where only marks were read.</param>
internal sealed record LapForecast(double? Strokes, double FirstLook, string? Press)
{
    private sealed class Runs : ConcurrentDictionary<(SoleLayout Sole, int Grooves), IReadOnlyList<HandsTried>>;

    private static readonly ConditionalWeakTable<GridSurveyInput, ConditionalWeakTable<Assumptions, Runs>> Known = new();

    /// <summary>The runs of a survey on the sole of a tool, worked out once while the survey is at hand.</summary>
    private static IReadOnlyList<HandsTried> Of(GridSurveyInput survey, SoleLayout sole, Assumptions a) =>
        Known.GetOrCreateValue(survey).GetOrCreateValue(a).GetOrAdd((sole with { Grooves = [] }, sole.Grooves.Count),
            _ => LapAdvice.Hands(sole.Lapped(survey, LapAdvice.CoarsePaper, a), a));

    /// <summary>The forecast for what is planned; null where the sole was neither surveyed nor marked.</summary>
    public static LapForecast? Of(PlanQuestion q)
    {
        Assumptions a = q.Shop.Assumptions;
        if (q.Facts.Marked is { } marked)
        {
            double Takes(string grit) => Removal.Um(Removal.SizeOf(grit) ?? Removal.SizeOf(LapAdvice.CoarsePaper)!.Value, a);
            double? left = marked.StrokesLeft * a.LapStrokesTimes * Takes(marked.Grit) / Takes(LapAdvice.CoarsePaper);
            return new LapForecast(left, LapAdvice.NextLook(left, a), null);
        }
        if (q.Facts.Surveys is not [.., var survey])
        {
            return null;
        }
        IReadOnlyList<HandsTried> hands = Of(survey, SoleLayout.Of(q.Facts, a), a);
        HandsTried best = LapAdvice.Best(hands) ?? hands[0];
        double? strokes = q.Way(ChoiceId.Flat) switch
        {
            WayId.Whole => best.Result.Strokes90Contact, WayId.Cuts => best.Result.StrokesMouth ?? best.Strokes, _ => best.Strokes,
        };
        return new LapForecast(strokes * a.LapStrokesTimes, LapAdvice.NextLook(strokes, a), best.Where);
    }
}
