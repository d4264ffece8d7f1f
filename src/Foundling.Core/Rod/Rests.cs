using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Foundling.Core.Keys;

namespace Foundling.Core.Rod;

/// <summary>What a plan rests on besides the rules: a short mark of each, which changes when it does.</summary>
/// <param name="Findings">What is wrong with the tool, and how it worked as found.</param>
/// <param name="Readings">What was measured on it, its size and the surveys of its sole.</param>
/// <param name="Stores">Kit the shop has not got.</param>
/// <param name="Air">How warm and damp the shop is.</param>
/// <param name="Habits">Ways the shop prefers.</param>
/// <param name="Dress">How the shop dresses its tools.</param>
/// <param name="Figures">Figures the shop assumes otherwise than the book, prices and what surveys take down left aside.</param>
/// <param name="Cost">What the materials of the plan cost, in the shop's money.</param>
public sealed record Rests(string Findings, string Readings, string Stores, string Air, string Habits, string Dress, string Figures, double Cost)
{
    /// <summary>What a plan made now would rest on.</summary>
    /// <param name="q">What is planned.</param>
    public static Rests Of(PlanQuestion q) => Of(q, Planner.Steps(q));

    /// <summary>What a plan of these deeds rests on.</summary>
    internal static Rests Of(PlanQuestion q, IEnumerable<Deed> deeds) => new(
        Mark(q.Findings, q.Tried, q.Odd.Order(), q.Facts.Kinship),
        // Marks on a sole and other faces came later than plans: a plan without them rests on what it always did.
        Mark([q.Facts.Build, q.Facts.Readings, q.Facts.Surveys, .. q.Facts.FaceSurveys.SelectMany(f => new object[] { f.Face, f.Survey }),
            .. q.Facts.Marked is { } marked ? [marked] : Array.Empty<object>()]),
        Mark(q.Lacking.Select(s => s.Value).Order(StringComparer.Ordinal)),
        Mark(q.TemperatureC, q.RelativeHumidityPercent),
        Mark(q.ShopWays.OrderBy(w => w.Key).Select(w => $"{w.Key} {w.Value}")),
        Mark(q.Dress),
        Mark(q.Shop.Assumptions.Kept().Where(k => !Aside.Any(a => k.StartsWith(a, StringComparison.Ordinal))).Order(StringComparer.Ordinal)),
        Math.Round(deeds.Sum(d => Needs.Cost(d, q.Shop.Assumptions)), 2));

    /// <summary>What has changed since, in the words of the shop; the cost is left to who compares it.</summary>
    /// <param name="now">What a plan made now would rest on.</param>
    public IReadOnlyList<string> Changed(Rests now) =>
    [
        .. new (string Then, string Now, string Words)[]
        {
            (Findings, now.Findings, "what was found"), (Readings, now.Readings, "what was measured"), (Stores, now.Stores, "the kit of the shop"),
            (Air, now.Air, "the air of the shop"), (Habits, now.Habits, "the shop's own ways"), (Dress, now.Dress, "the shop's own dress"),
            (Figures, now.Figures, "the figures the shop goes by"),
        }.Where(p => p.Then != p.Now).Select(p => p.Words),
    ];

    private const int MarkLength = 12;

    // A price shows in the cost; what a reading may be off by goes into a survey when it is read in, and stays there.
    private static readonly string[] Aside = [Assumptions.PricePrefix, Assumptions.SurveyPrefix];

    private static string Mark(params object?[] what) =>
        Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(JsonSerializer.Serialize(what, OpenJson.Options))))[..MarkLength];
}
