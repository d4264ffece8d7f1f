namespace Foundling.Core.Log;

/// <summary>A sole of this shop that was lapped while its marks were read.</summary>
/// <param name="Strokes">Strokes it took.</param>
/// <param name="Minutes">Minutes booked on lapping it; null where no clock ran.</param>
/// <param name="Foretold">Strokes that were foretold at the first look; null where that said it would never come in.</param>
public sealed record LappedSole(double Strokes, double? Minutes, double? Foretold)
{
    /// <summary>What a series of looks says: how many strokes it took until toe, mouth and heel bore, and what the first look foretold.</summary>
    /// <param name="looks">Strokes since the look before, and strokes that were left by what was seen, in order; null left for never.</param>
    /// <param name="minutes">Minutes booked on lapping it; null or 0 for none.</param>
    /// <param name="a">When nothing is left.</param>
    /// <returns>Null where the last look did not see it done.</returns>
    public static LappedSole? Of(IReadOnlyList<(double Strokes, double? Left)> looks, double? minutes, Assumptions a)
    {
        double all = looks.Sum(l => l.Strokes);
        return looks.Count < 2 || all <= 0 || looks[^1].Left is not double left || left >= a.LookStrokesLeast ? null
            : new LappedSole(all, minutes > 0 ? minutes : null, looks[0].Left is double first ? looks[0].Strokes + first : null);
    }
}

/// <summary>What the soles lapped in this shop say of its strokes. Source: the same rule as for the pace of steps.</summary>
/// <param name="AMinute">Strokes a minute, with looking and changing paper counted in; null where no sole tells.</param>
/// <param name="Times">Strokes it took as a share of those foretold; null where no sole tells.</param>
public sealed record LearnedLapping(PaceResult? AMinute, PaceResult? Times)
{
    private const int OneDecimal = 1, TwoDecimals = 2;

    /// <summary>Strokes a minute by the book.</summary>
    public static double BookAMinute { get; } = Book("strokes_per_minute");

    /// <summary>Strokes for each that is foretold, by the book.</summary>
    public static double BookTimes { get; } = Book("lap_strokes_times");

    private static double Book(string name) => Assumptions.Book.First(f => f.Name == name).Value;

    /// <summary>True where a sole told anything.</summary>
    public bool Tells => AMinute is not null || Times is not null;

    /// <summary>The assumptions of a shop with what it learned, or with the book's again.</summary>
    /// <param name="assumed">Its assumptions.</param>
    /// <param name="mine">Its own; false for the book's.</param>
    public Assumptions Taken(Assumptions assumed, bool mine) => assumed with
    {
        StrokesPerMinute = mine && AMinute is not null ? Math.Round(AMinute.LikelyMedianMin, OneDecimal) : BookAMinute,
        LapStrokesTimes = mine && Times is not null ? Math.Round(Times.LikelyMedianMin, TwoDecimals) : BookTimes,
    };

    /// <summary>What soles say.</summary>
    /// <param name="soles">Soles that were lapped, the latest first.</param>
    /// <param name="a">What the book says.</param>
    public static LearnedLapping Of(IReadOnlyList<LappedSole> soles, Assumptions a)
    {
        // The minutes of the step hold the finer papers too, so only the share of the coarse one is set against its strokes.
        double[] rates = [.. soles.Where(s => s.Minutes is not null).Take(Pace.MostJobs).Select(s => s.Strokes / (s.Minutes!.Value * a.LapCoarseShare))];
        double[] times = [.. soles.Where(s => s.Foretold > 0).Take(Pace.MostJobs).Select(s => s.Strokes / s.Foretold!.Value)];
        return new LearnedLapping(rates.Length == 0 ? null : Pace.Of(new PaceInput(BookAMinute, rates), a),
            times.Length == 0 ? null : Pace.Of(new PaceInput(BookTimes, times), a));
    }
}
