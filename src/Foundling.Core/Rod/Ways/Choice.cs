namespace Foundling.Core.Rod.Ways;

/// <summary>One method for a stage.</summary>
/// <param name="Id">Key within its choice.</param>
/// <param name="Name">Its name.</param>
/// <param name="School">Who works like that, and for what.</param>
/// <param name="Patina">What it does to patina.</param>
/// <param name="Stamps">What it does to stamps and etched marks.</param>
/// <param name="Coating">What it does to the coating.</param>
public sealed record Way(string Id, string Name, string School, string Patina = "stays", string Stamps = "stay", string Coating = "stays")
{
    /// <summary>Why it is closed for a tool, or null when it is open.</summary>
    public Func<PlanQuestion, string?> Closed { get; init; } = _ => null;

    /// <summary>Kit without which it cannot be done.</summary>
    public IReadOnlyList<string> Kit { get; init; } = [];

    /// <summary>What blocks it for this tool in this shop, in a sentence; null when nothing does.</summary>
    public string? Blocked(PlanQuestion q) => Kit.FirstOrDefault(q.Lacking.Contains) is string lacking ? $"The shop has no {lacking}." : Closed(q);
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
}

/// <summary>A question practitioners answer differently.</summary>
/// <param name="Id">Key.</param>
/// <param name="Question">What is asked, in a word or two.</param>
/// <param name="About">What it decides.</param>
/// <param name="Asked">Whether it is asked for this tool.</param>
/// <param name="Ways">The ways; at least one is never closed.</param>
/// <param name="Advice">The way the book advises, and why.</param>
public sealed record Choice(string Id, string Question, string About, Func<PlanQuestion, bool> Asked, IReadOnlyList<Way> Ways, Func<PlanQuestion,
    (string Way, string Why)> Advice)
{
    /// <summary>Whether the shop's standing preference may stand in place of the advice.</summary>
    public Func<PlanQuestion, string, bool> ShopMay { get; init; } = (_, _) => true;

    /// <summary>Finds a way.</summary>
    /// <exception cref="InputException">No such way.</exception>
    public Way Find(string way) => Ways.FirstOrDefault(w => w.Id == way)
        ?? throw new InputException("unknown_way", Id, way, string.Join(", ", Ways.Select(w => w.Id)), $"\"{way}\" is no way to answer \"{Question}\".");

    /// <summary>The way taken: the wish for this tool, else the shop's, else the advice; a closed one gives way to the next open one.</summary>
    public Way Take(PlanQuestion q) => Taken(q).Way;

    /// <summary>The way taken and who chose it.</summary>
    public (Way Way, ChosenBy By) Taken(PlanQuestion q)
    {
        if (q.TagWays.TryGetValue(Id, out string? wished) && Ways.FirstOrDefault(w => w.Id == wished) is { } own && own.Blocked(q) is null)
        {
            return (own, ChosenBy.Tag);
        }
        if (q.ShopWays.TryGetValue(Id, out string? usual) && Ways.FirstOrDefault(w => w.Id == usual) is { } shops && ShopMay(q, usual)
            && shops.Blocked(q) is null)
        {
            return (shops, ChosenBy.Shop);
        }
        Way advised = Find(Advice(q).Way);
        return (advised.Blocked(q) is null ? advised : Ways.FirstOrDefault(w => w.Blocked(q) is null) ?? advised, ChosenBy.Book);
    }
}

/// <summary>All choices.</summary>
public static class Choices
{
    /// <summary>Every choice, in the order of the work.</summary>
    public static IReadOnlyList<Choice> All { get; } = [RustWays.Choice, SurfaceWays.Dark, SurfaceWays.Coating, SurfaceWays.Wood, .. EdgeWays.All,
        .. SoleWays.All];

    private static readonly Dictionary<string, Choice> ById = All.ToDictionary(c => c.Id);

    /// <summary>Finds a choice.</summary>
    /// <exception cref="InputException">No such choice.</exception>
    public static Choice Find(string id) => ById.TryGetValue(id, out Choice? choice) ? choice
        : throw new InputException("unknown_choice", "choice", id, string.Join(", ", ById.Keys), $"There is no choice \"{id}\".");

    /// <summary>Reads choices kept as "choice=way"; what the book no longer has is left out.</summary>
    public static IReadOnlyDictionary<string, string> Read(IEnumerable<string> kept) =>
        kept.Select(k => k.Split('=')).Where(k => k.Length == 2 && ById.TryGetValue(k[0], out Choice? choice)
            && choice.Ways.Any(w => w.Id == k[1])).GroupBy(k => k[0]).ToDictionary(g => g.Key, g => g.Last()[1]);

    /// <summary>Why a way was chosen, from reasons kept as "choice=words"; null when nothing was said.</summary>
    public static string? ReasonFor(IEnumerable<string> kept, string choice) =>
        kept.FirstOrDefault(r => r.StartsWith(choice + "=", StringComparison.Ordinal))?[(choice.Length + 1)..];

    /// <summary>The reasons with one changed; no words take it out.</summary>
    public static List<string> KeepReason(IEnumerable<string> kept, string choice, string? words) =>
        [.. kept.Where(r => !r.StartsWith(choice + "=", StringComparison.Ordinal)), .. string.IsNullOrWhiteSpace(words) ? [] : new[] { $"{choice}={words}" }];

    /// <summary>Keeps a choice among those kept as "choice=way"; no way takes it back.</summary>
    /// <exception cref="InputException">No such choice or way.</exception>
    public static List<string> Keep(IEnumerable<string> kept, string choice, string? way)
    {
        List<string> others = [.. kept.Where(k => !k.StartsWith(choice + "=", StringComparison.Ordinal))];
        return string.IsNullOrEmpty(way) ? others : [.. others, $"{choice}={Find(choice).Find(way).Id}"];
    }
}
