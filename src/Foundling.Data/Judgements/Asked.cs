using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Data.Papers.Format;

namespace Foundling.Data.Judgements;

/// <summary>The shop a question is asked in, where it is another than this one; what is left out is as in this shop.</summary>
public sealed record ShopBody
{
    /// <summary>Temperature, °C.</summary>
    public double? TemperatureC { get; init; }

    /// <summary>Relative humidity, %.</summary>
    public double? RelativeHumidityPercent { get; init; }

    /// <summary>Ways it prefers, each as "choice=way".</summary>
    public IReadOnlyList<string>? Ways { get; init; }

    /// <summary>Kit it has not got.</summary>
    public IReadOnlyList<SupplyId>? Lacking { get; init; }

    /// <summary>How it dresses its own tools.</summary>
    public string? Dress { get; init; }

    /// <summary>What an hour at the bench is counted at.</summary>
    public double? HourRate { get; init; }

    /// <summary>What it assumes otherwise than the book, by name.</summary>
    public IReadOnlyDictionary<string, double>? Assumed { get; init; }
}

/// <summary>A question about the plan of a tool.</summary>
/// <param name="Tag">The tool as a tag has it; its ways are chosen for it, "rust.iron=wire" for one part.</param>
/// <param name="Shop">The shop, where it is another than this one.</param>
/// <param name="Aim">How far to go; null for what the tag says, else Work.</param>
public sealed record PlanAsked(TagBody Tag, ShopBody? Shop = null, AimKind? Aim = null);

/// <summary>A question about the ways of a tool.</summary>
/// <param name="Tag">The tool.</param>
/// <param name="Shop">The shop.</param>
/// <param name="Aim">How far to go.</param>
/// <param name="Choice">One choice; null for all that are asked.</param>
public sealed record WaysAsked(TagBody Tag, ShopBody? Shop = null, AimKind? Aim = null, ChoiceId? Choice = null);

/// <summary>A question about the aims of a tool.</summary>
/// <param name="Tag">The tool, with what a sound one is worth and how rare it is.</param>
/// <param name="Shop">The shop.</param>
public sealed record AimAsked(TagBody Tag, ShopBody? Shop = null);

/// <summary>A question about what to do with a tool at all.</summary>
/// <param name="Tag">The tool.</param>
/// <param name="Shop">The shop.</param>
public sealed record TriageAsked(TagBody Tag, ShopBody? Shop = null);

/// <summary>A question at a stall.</summary>
/// <param name="Tag">The tool, with what a sound one is worth.</param>
/// <param name="Shop">The shop.</param>
/// <param name="Answers">Answers of the stall check, each as "question/answer"; they count as findings.</param>
/// <param name="AskingPrice">What is asked for it.</param>
/// <param name="SellingCost">What selling it costs.</param>
/// <param name="SellingCostPercent">What selling it costs, as a share of its worth, %.</param>
/// <param name="Aim">How far one would go.</param>
public sealed record StallAsked(TagBody Tag, ShopBody? Shop = null, IReadOnlyList<string>? Answers = null, double? AskingPrice = null, double SellingCost = 0,
    double SellingCostPercent = 0, AimKind? Aim = null);
