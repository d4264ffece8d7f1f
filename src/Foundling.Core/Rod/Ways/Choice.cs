using Foundling.Core.Keys;
using Foundling.Core.Stores;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod.Ways;

/// <summary>One method for a stage.</summary>
/// <param name="Id">Key within its choice.</param>
/// <param name="Name">Its name.</param>
/// <param name="School">Who works like that, and for what.</param>
/// <param name="Patina">What it does to patina.</param>
/// <param name="Stamps">What it does to stamps and etched marks.</param>
/// <param name="Coating">What it does to the coating.</param>
public sealed record Way(WayId Id, string Name, string School, string Patina = "stays", string Stamps = "stay", string Coating = "stays")
{
    /// <summary>Its key as it is written in forms and addresses.</summary>
    public string Key => KeyText.Of(Id);

    /// <summary>Why it is closed for a tool, or null when it is open.</summary>
    public Func<PlanQuestion, string?> Closed { get; init; } = _ => null;

    /// <summary>Kit without which it cannot be done.</summary>
    public IReadOnlyList<SupplyId> Kit { get; init; } = [];

    /// <summary>What blocks it for this tool in this shop, in a sentence; null when nothing does.</summary>
    public string? Blocked(PlanQuestion q) => Lacks(q) ?? Closed(q);

    /// <summary>The kit the shop has not got for it, in a sentence; null when it has all.</summary>
    public string? Lacks(PlanQuestion q) => Kit.Where(q.Lacking.Contains).Select(k => (SupplyId?)k).FirstOrDefault() is SupplyId lacking
        ? $"The shop has no {Supplies.Find(lacking)!.Name}." : null;
}

/// <summary>Who a way was chosen by.</summary>
public enum ChosenBy
{
    /// <summary>The book advises it.</summary>
    Book,

    /// <summary>The shop prefers it.</summary>
    Shop,

    /// <summary>It was chosen for this tool.</summary>
    Tag,

    /// <summary>What the book advises is closed, and the nearest in kind stands in for it.</summary>
    StandIn,
}

/// <summary>A question practitioners answer differently.</summary>
/// <param name="Id">Key.</param>
/// <param name="Question">What is asked, in a word or two.</param>
/// <param name="About">What it decides.</param>
/// <param name="Asked">Whether it is asked for this tool.</param>
/// <param name="Ways">The ways; at least one is never closed.</param>
/// <param name="Advice">The way the book advises, and why.</param>
public sealed record Choice(ChoiceId Id, string Question, string About, Func<PlanQuestion, bool> Asked, IReadOnlyList<Way> Ways, Func<PlanQuestion,
    (WayId Way, string Why)> Advice)
{
    /// <summary>Its key as it is written in forms and addresses.</summary>
    public string Key => KeyText.Of(Id);

    /// <summary>Whether the shop's standing preference may stand in place of the advice.</summary>
    public Func<PlanQuestion, WayId, bool> ShopMay { get; init; } = (_, _) => true;

    /// <summary>Finds a way.</summary>
    /// <exception cref="InputException">No such way.</exception>
    public Way Find(WayId way) => Ways.FirstOrDefault(w => w.Id == way) ?? throw Unknown(KeyText.Of(way));

    /// <summary>Reads a way as it is written.</summary>
    /// <exception cref="InputException">No such way.</exception>
    public Way Read(string? way) => KeyText.Read<WayId>(way) is WayId id ? Find(id) : throw Unknown(way);

    private InputException Unknown(string? way) => new("unknown_way", KeyText.Of(Id), way, string.Join(", ", Ways.Select(w => KeyText.Of(w.Id))),
        $"\"{way}\" is no way to answer \"{Question}\".");

    /// <summary>Ways that come nearest to one that is closed, the nearest first.</summary>
    private static readonly Dictionary<WayId, WayId[]> Near = new()
    {
        [WayId.Chelating] = [WayId.Citric, WayId.VinegarHalf, WayId.Abrasive], [WayId.Citric] = [WayId.Chelating, WayId.Vinegar, WayId.Abrasive],
        [WayId.CitricWarm] = [WayId.Citric, WayId.Chelating], [WayId.Vinegar] = [WayId.Citric, WayId.Chelating],
        [WayId.VinegarHalf] = [WayId.Vinegar, WayId.Chelating], [WayId.Electrolysis] = [WayId.Chelating, WayId.Citric],
        [WayId.SoakWheel] = [WayId.Wire, WayId.Citric], [WayId.Wire] = [WayId.Abrasive, WayId.SoakWheel], [WayId.Abrasive] = [WayId.Scrape],
        [WayId.Scrape] = [WayId.Abrasive], [WayId.Blast] = [WayId.BlastCoarse, WayId.Wire], [WayId.BlastCoarse] = [WayId.Blast, WayId.Wire],
        [WayId.Bake] = [WayId.Respray, WayId.Touch], [WayId.Respray] = [WayId.Touch], [WayId.Touch] = [WayId.Seal, WayId.Respray], [WayId.Seal] = [WayId.Leave],
        [WayId.Shellac] = [WayId.Lacquer, WayId.OilWax, WayId.Revive], [WayId.Lacquer] = [WayId.Shellac, WayId.OilWax], [WayId.OilWax] = [WayId.Oil, WayId.Wax],
        [WayId.OilShellac] = [WayId.Shellac, WayId.OilWax], [WayId.RawOil] = [WayId.Oil, WayId.OilWax], [WayId.WaxOver] = [WayId.Seal, WayId.Leave],
        [WayId.Oil] = [WayId.OilWax, WayId.Wax], [WayId.Revive] = [WayId.Wax], [WayId.Wax] = [WayId.Leave],
        [WayId.Grind] = [WayId.Lap, WayId.Shim], [WayId.Lap] = [WayId.Grind, WayId.Lift], [WayId.Shim] = [WayId.Lift, WayId.Lap], [WayId.Lift] = [WayId.Shim,
            WayId.Lap], [WayId.Jig] = [WayId.Freehand],
    };

    /// <summary>The way taken: the wish for this tool, else the shop's, else the advice; a closed one gives way to the nearest open one.</summary>
    public Way Take(PlanQuestion q) => Taken(q).Way;

    /// <summary>The way taken and who chose it.</summary>
    public (Way Way, ChosenBy By) Taken(PlanQuestion q)
    {
        if (q.TagWays.TryGetValue(Id, out WayId wished) && Ways.FirstOrDefault(w => w.Id == wished) is { } own && own.Blocked(q) is null)
        {
            return (own, ChosenBy.Tag);
        }
        if (q.ShopWays.TryGetValue(Id, out WayId usual) && Ways.FirstOrDefault(w => w.Id == usual) is { } shops && ShopMay(q, usual)
            && shops.Blocked(q) is null)
        {
            return (shops, ChosenBy.Shop);
        }
        Way advised = Find(Advice(q).Way);
        if (advised.Blocked(q) is null)
        {
            return (advised, ChosenBy.Book);
        }
        Way? nearest = Near.GetValueOrDefault(advised.Id, []).Select(n => Ways.FirstOrDefault(w => w.Id == n)).FirstOrDefault(w => w is not null
            && w.Blocked(q) is null);
        return (nearest ?? Ways.FirstOrDefault(w => w.Blocked(q) is null) ?? advised, ChosenBy.StandIn);
    }
}

/// <summary>All choices.</summary>
public static class Choices
{
    /// <summary>The choices under what they are about, in the order of the work.</summary>
    public static IReadOnlyList<(string About, IReadOnlyList<Choice> Choices)> Grouped { get; } =
    [
        ("Washing and rust", [SmallWays.Wash, RustWays.Choice, RustWays.Bloom, SurfaceWays.Dark, SmallWays.Brass]),
        ("Coating", [SurfaceWays.Coating, CoatWays.Strip, CoatWays.Primer, CoatWays.Metal, CoatWays.Colours]),
        ("Wood and handles", [HandleWays.Handles, SurfaceWays.Wood, SurfaceWays.Film, CoatWays.Wood, SmallWays.RodEnd]),
        ("Edges and working faces", [MetalWays.Metal, .. EdgeWays.All]),
        ("Sole", [.. SoleWays.All, SmallWays.Sides]),
    ];

    /// <summary>Every choice, in the order of the work.</summary>
    public static IReadOnlyList<Choice> All { get; } = [.. Grouped.SelectMany(g => g.Choices)];

    private static readonly Dictionary<ChoiceId, Choice> ById = All.ToDictionary(c => c.Id);

    /// <summary>Finds a choice.</summary>
    /// <exception cref="InputException">No such choice.</exception>
    public static Choice Find(ChoiceId id) => ById[id];

    /// <summary>Reads a choice as it is written.</summary>
    /// <exception cref="InputException">No such choice.</exception>
    public static Choice Read(string? id) => KeyText.Read<ChoiceId>(id) is ChoiceId known ? ById[known]
        : throw new InputException("unknown_choice", "choice", id, string.Join(", ", ById.Keys.Select(k => KeyText.Of(k))), $"There is no choice \"{id}\".");

    /// <summary>Reads choices kept as "choice=way"; what the book no longer has is left out.</summary>
    public static IReadOnlyDictionary<ChoiceId, WayId> Read(IEnumerable<string> kept) =>
        kept.Select(k => k.Split('=')).Where(k => k.Length == 2)
            .Select(k => (Choice: KeyText.Read<ChoiceId>(k[0]), Way: KeyText.Read<WayId>(k[1])))
            .Where(k => k.Choice is ChoiceId choice && k.Way is WayId way && ById[choice].Ways.Any(w => w.Id == way))
            .GroupBy(k => k.Choice!.Value).ToDictionary(g => g.Key, g => g.Last().Way!.Value);

    /// <summary>Refuses a kept way that the book or the tool has not.</summary>
    /// <param name="kept">"choice=way", or "choice.part=way".</param>
    /// <param name="tool">The tool.</param>
    /// <exception cref="InputException">No such choice, part or way.</exception>
    public static void Judge(string kept, ToolKind tool)
    {
        string[] halves = kept.Split('=');
        string[] left = halves[0].Split('.');
        Choice choice = Read(left[0]);
        choice.Read(halves.Length == 2 ? halves[1] : null);
        if (left.Length > 2 || (left.Length == 2 && (!PartChoices.All.Contains(choice.Id) || !tool.Made(PartId.Of(left[1])))))
        {
            throw new InputException("unknown_part", "ways", kept, "choice.part=way", $"\"{Units.Shorten.To(kept, 60)}\" names no part of this tool.");
        }
    }

    /// <summary>Why a way was chosen, from reasons kept as "choice=words"; null when nothing was said.</summary>
    public static string? ReasonFor(IEnumerable<string> kept, ChoiceId choice) =>
        kept.Where(r => ChoiceOf(r) == choice).Select(r => r[(r.IndexOf('=', StringComparison.Ordinal) + 1)..]).FirstOrDefault();

    /// <summary>The reasons with one changed; no words take it out.</summary>
    public static List<string> KeepReason(IEnumerable<string> kept, ChoiceId choice, string? words) =>
        [.. kept.Where(r => ChoiceOf(r) != choice), .. string.IsNullOrWhiteSpace(words) ? [] : new[] { $"{KeyText.Of(choice)}={words}" }];

    private static ChoiceId? ChoiceOf(string kept) => KeyText.Read<ChoiceId>(kept.Split('=')[0]);

    /// <summary>Keeps a choice among those kept as "choice=way"; no way takes it back.</summary>
    /// <exception cref="InputException">No such choice or way.</exception>
    public static List<string> Keep(IEnumerable<string> kept, ChoiceId choice, WayId? way)
    {
        List<string> others = [.. kept.Where(k => ChoiceOf(k) != choice)];
        return way is WayId taken ? [.. others, $"{KeyText.Of(choice)}={KeyText.Of(Find(choice).Find(taken).Id)}"] : others;
    }
}
