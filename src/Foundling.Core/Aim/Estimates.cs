namespace Foundling.Core.Aim;

/// <summary>A three-point estimate.</summary>
/// <param name="Low">If all goes well.</param>
/// <param name="Likely">Most often.</param>
/// <param name="High">If it fights back.</param>
public sealed record ThreePoint(double Low, double Likely, double High)
{
    /// <summary>Mean (a + 4m + b) / 6.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double Mean => (Low + (4 * Likely) + High) / 6;

    /// <summary>Variance ((b - a) / 6)^2.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public double Variance => (High - Low) * (High - Low) / 36;

    /// <summary>Both, one after the other.</summary>
    public static ThreePoint operator +(ThreePoint one, ThreePoint other) =>
        new(one.Low + other.Low, one.Likely + other.Likely, one.High + other.High);

    /// <summary>So many times as much.</summary>
    public static ThreePoint operator *(ThreePoint one, double times) => new(one.Low * times, one.Likely * times, one.High * times);

    /// <summary>To half a minute; what takes any time takes at least that.</summary>
    public ThreePoint Halves()
    {
        static double Half(double minutes) => minutes <= 0 ? 0 : Math.Max(LeastMin, Math.Round(minutes * 2, MidpointRounding.AwayFromZero) / 2);
        return new ThreePoint(Half(Low), Half(Likely), Half(High));
    }

    private const double LeastMin = 0.5;

    /// <summary>The nearest whole figures.</summary>
    public ThreePoint Whole() => new(Math.Round(Low), Math.Round(Likely), Math.Round(High));

    /// <summary>Checks the order of the three; answers this.</summary>
    /// <exception cref="InputException">Not low &lt;= likely &lt;= high, or below 0.</exception>
    public ThreePoint Ordered() =>
        Low >= 0 && Low <= Likely && Likely <= High && double.IsFinite(High)
            ? this
            : throw new InputException("three_point_out_of_order", "likely", Likely, $"{Low:0.##} to {High:0.##}",
                $"The estimates {Low:0.##}, {Likely:0.##}, {High:0.##} must rise from low to likely to high and not be below 0.");
}

/// <summary>Steps to add up.</summary>
/// <param name="Steps">The steps.</param>
/// <param name="Unit">Unit of the figures, in words.</param>
/// <param name="CommonSpread">Share of the mean by which the same hands and the same tool make all steps quick or slow together.</param>
public sealed record TotalsInput(IReadOnlyList<NamedEstimate> Steps, string Unit = "minutes", double CommonSpread = 0);

/// <summary>A three-point estimate of a step that may have a name.</summary>
public sealed record NamedEstimate(double Low, double Likely, double High, string? Name = null)
{
    /// <summary>The estimate alone.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public ThreePoint Estimate => new(Low, Likely, High);
}

/// <summary>A total: mean, spread, and the values not exceeded five and eight times in ten.</summary>
public sealed record TotalsResult(double Mean, double Sd, double P50, double P80);

/// <summary>Adds three-point estimates: steps vary each for itself, and all together by a common spread.</summary>
public static class Totals
{
    /// <summary>Standard deviations above the mean that eight in ten do not exceed.</summary>
    public const double Z80 = 0.8416;

    /// <summary>Totals of steps.</summary>
    public static TotalsResult Of(TotalsInput input) => Of(input.Steps.Select(s => s.Estimate), Check.Within(input.CommonSpread, 0, 10, "common_spread"));

    /// <summary>Totals of steps.</summary>
    /// <param name="steps">The steps.</param>
    /// <param name="commonSpread">Share of the mean that is common to all steps.</param>
    public static TotalsResult Of(IEnumerable<ThreePoint> steps, double commonSpread = 0)
    {
        double mean = 0, variance = 0;
        foreach (ThreePoint step in steps)
        {
            mean += step.Ordered().Mean;
            variance += step.Variance;
        }
        double sd = Math.Sqrt(variance + (commonSpread * mean * commonSpread * mean));
        return new TotalsResult(mean, sd, mean, mean + (Z80 * sd));
    }
}

/// <summary>What is needed to say the most one should pay.</summary>
public sealed record HighestPriceInput(
    IReadOnlyList<ThreePoint> StepsMinutes,
    double WorthAtAimLikely,
    double MaterialsCost = 0,
    double HourRate = 0,
    double SellingCost = 0,
    double SellingCostPercent = 0,
    double? AskingPrice = null);

/// <summary>The most one should pay, with what went into it.</summary>
public sealed record HighestPriceResult(double Hours, double SellingCostTotal, double BeforeFloor, double HighestSensiblePrice, bool? WorthBuyingAtAsking);

/// <summary>How much surface is lost on what kind of tool.</summary>
public sealed record OverRestorationInput(double ComparableWorth, Rarity Rarity, double SurfaceLostShare);

/// <summary>Worth after the surface is lost; always an assumption.</summary>
public sealed record OverRestorationResult(double WorthAfter, bool Assumed);

/// <summary>How often a tool of this kind turns up.</summary>
public enum Rarity
{
    /// <summary>Every market has one.</summary>
    Common,

    /// <summary>Now and then.</summary>
    Uncommon,

    /// <summary>Seldom.</summary>
    Scarce,

    /// <summary>Hardly ever.</summary>
    Rare,
}

/// <summary>Money against work.</summary>
public static class Worth
{
    /// <summary>Worth at the aim, less materials, hours at their rate and the cost of selling.</summary>
    public static HighestPriceResult HighestPrice(HighestPriceInput input)
    {
        double hours = Totals.Of(input.StepsMinutes).P50 / 60;
        double selling = Check.NotNegative(input.SellingCost) + (Check.NotNegative(input.SellingCostPercent) / 100 * Check.NotNegative(input.WorthAtAimLikely));
        double before = input.WorthAtAimLikely - Check.NotNegative(input.MaterialsCost) - (hours * Check.NotNegative(input.HourRate)) - selling;
        double price = Math.Max(0, before);
        return new HighestPriceResult(hours, selling, before, price,
            input.AskingPrice is double asking ? before >= 0 && asking <= price + Whole.Slack : null);
    }

    /// <summary>What is left of a tool's worth when its surface goes.</summary>
    public static OverRestorationResult OverRestoration(OverRestorationInput input, Assumptions assumptions)
    {
        Assumptions a = assumptions;
        double factor = input.Rarity switch
        {
            Rarity.Common => 0,
            Rarity.Uncommon => a.RarityUncommon,
            Rarity.Scarce => a.RarityScarce,
            _ => a.RarityRare,
        };
        return new OverRestorationResult(Check.NotNegative(input.ComparableWorth) * (1 - (factor * Check.Within(input.SurfaceLostShare, 0, 1))), true);
    }
}
