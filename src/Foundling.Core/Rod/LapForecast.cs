using System.Collections.Concurrent;
using Foundling.Core.Grits;
using Foundling.Core.Keys;
using Foundling.Core.Soles;
using Foundling.Core.State;

namespace Foundling.Core.Rod;

/// <summary>What lapping a sole will come to, by its survey or by the marks that were read on it.</summary>
/// <param name="Strokes">Strokes on the coarse paper to the standard of the school; null where it would never come in.</param>
/// <param name="FirstLook">Strokes until the first look.</param>
/// <param name="Press">Where to press, in words; null where only marks were read.</param>
/// <param name="By">By what: "by its survey".</param>
internal sealed record LapForecast(double? Strokes, double FirstLook, string? Press, string By)
{
    /// <summary>The grade of the paper that does the flattening.</summary>
    public const string Coarse = "P80";

    private const int Kept = 200;

    /// <summary>A survey by what was read, not by which object holds it.</summary>
    private sealed record Asked(GridSurveyInput Survey, Assumptions Assumed, SoleLayout Layout)
    {
        public bool Equals(Asked? other) => other is not null && Layout.LengthMm == other.Layout.LengthMm && Layout.WidthMm == other.Layout.WidthMm
            && Layout.MouthFrontMm == other.Layout.MouthFrontMm && Layout.Mouth == other.Layout.Mouth && Layout.Grooves.SequenceEqual(other.Layout.Grooves)
            && Survey.LengthMm == other.Survey.LengthMm && Survey.WidthMm == other.Survey.WidthMm && Survey.MouthFrontMm == other.Survey.MouthFrontMm
            && Same(Survey.PointsMm, other.Survey.PointsMm) && Same(Survey.LeftOutMm, other.Survey.LeftOutMm) && Assumed.Equals(other.Assumed);

        public override int GetHashCode() => HashCode.Combine(Survey.PointsMm.Count, Survey.PointsMm[0][2], Survey.PointsMm[^1][2], Survey.LengthMm,
            Layout.MouthFrontMm, Layout.Grooves.Count);

        private static bool Same(IReadOnlyList<double[]>? one, IReadOnlyList<double[]>? other) => (one?.Count ?? 0) == (other?.Count ?? 0)
            && (one ?? []).Zip(other ?? []).All(p => p.First.AsSpan().SequenceEqual(p.Second));
    }

    private static readonly ConcurrentDictionary<Asked, IReadOnlyList<HandsTried>> Known = new();

    /// <summary>The runs of a survey, worked out once for each.</summary>
    private static IReadOnlyList<HandsTried> Runs(Asked asked)
    {
        if (Known.Count > Kept)
        {
            Known.Clear();
        }
        return Known.GetOrAdd(asked, static a => LapAdvice.Hands(a.Layout.Lapped(a.Survey, Coarse, a.Assumed), a.Assumed));
    }

    /// <summary>The forecast for what is planned; null where the sole was neither surveyed nor marked.</summary>
    public static LapForecast? Of(PlanQuestion q)
    {
        Assumptions a = q.Shop.Assumptions;
        if (q.Facts.Marked is { } marked)
        {
            double? left = marked.StrokesLeft * (Removal.SizeOf(marked.Grit) is double um ? Removal.Um(um, a) / Removal.Um(Removal.SizeOf(Coarse)!.Value, a) : 1);
            return new LapForecast(left, LapAdvice.NextLook(left, a), null, "by the marks on it");
        }
        if (q.Facts.Surveys is not [.., var survey])
        {
            return null;
        }
        IReadOnlyList<HandsTried> hands = Runs(new Asked(survey, a, SoleLayout.Of(q.Facts, a)));
        HandsTried best = LapAdvice.Best(hands) ?? hands[0];
        double? strokes = q.Way(ChoiceId.Flat) switch
        {
            WayId.Whole => best.Result.Strokes90Contact, WayId.Cuts => best.Result.StrokesMouth ?? best.Strokes, _ => best.Strokes,
        };
        return new LapForecast(strokes, LapAdvice.NextLook(strokes, a), best.Where, "by its survey");
    }
}
