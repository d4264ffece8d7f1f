using System.Text.Json;
using System.Text.Json.Serialization;
using Foundling.Core.Aim;
using Foundling.Core.Keys;
using Foundling.Core.Tools;

namespace Foundling.Core.Rod;

/// <summary>A plan: a document that never changes. What changes it makes another, and the earlier ones are kept.</summary>
/// <param name="Aim">How far it goes.</param>
/// <param name="Deeds">What is done, in order.</param>
public sealed record Plan(AimKind Aim, IReadOnlyList<Deed> Deeds)
{
    /// <summary>Which of the tool's plans it is, from 1; 0 while it was not kept.</summary>
    [JsonIgnore]
    public int Version { get; init; }

    /// <summary>Key in the store; null while it was not kept.</summary>
    [JsonIgnore]
    public Guid? Id { get; init; }

    /// <summary>The same plan with other deeds; another plan, not kept yet.</summary>
    /// <param name="deeds">The deeds.</param>
    /// <param name="why">Why it was changed.</param>
    public Plan With(IReadOnlyList<Deed> deeds, string why) => this with { Deeds = deeds, Why = why, Version = 0, Id = null };

    /// <summary>The ways it was made by.</summary>
    public IReadOnlyDictionary<ChoiceId, WayId> Ways { get; init; } = new Dictionary<ChoiceId, WayId>();

    /// <summary>The build it was made for; null for a tool as its kind has it.</summary>
    public ToolBuild? Built { get; init; }

    /// <summary>What it rests on; null for a plan from before that was kept.</summary>
    public Rests? Rests { get; init; }

    /// <summary>Why it was made, in a few words.</summary>
    public string Why { get; init; } = "";

    /// <summary>What another version of the program wrote into it and this one does not know.</summary>
    [JsonExtensionData]
    public IDictionary<string, JsonElement>? More { get; init; }

    /// <summary>The deed of a key, or null.</summary>
    public Deed? Find(DeedId id) => Deeds.FirstOrDefault(d => d.Id == id);
}

/// <summary>What a change makes of a plan.</summary>
/// <param name="Added">Deeds that come in.</param>
/// <param name="Gone">Deeds that fall away.</param>
/// <param name="Changed">Deeds that stay but are done differently, as they will be.</param>
/// <param name="Minutes">Likely hands-on minutes more, or less.</param>
/// <param name="WaitMinutes">Minutes of waiting more, or less.</param>
public sealed record PlanDiff(IReadOnlyList<Deed> Added, IReadOnlyList<Deed> Gone, IReadOnlyList<Deed> Changed, double Minutes, double WaitMinutes)
{
    /// <summary>Compares two plans deed by deed.</summary>
    public static PlanDiff Of(IReadOnlyList<Deed> before, IReadOnlyList<Deed> after)
    {
        Dictionary<DeedId, Deed> was = before.ToDictionary(s => s.Id), now = after.ToDictionary(s => s.Id);
        // Steps that are not bound into a plan yet say only how long each of them waits.
        static double Waits(IReadOnlyList<Deed> deeds) => deeds.Any(d => d.After.Count > 0) ? PlanTime.Waiting(deeds) : deeds.Sum(d => d.Lag?.HoldsMin ?? 0);
        return new PlanDiff(
            [.. after.Where(s => !was.ContainsKey(s.Id))],
            [.. before.Where(s => !now.ContainsKey(s.Id))],
            [.. after.Where(s => was.TryGetValue(s.Id, out Deed? old) && Differs(old, s))],
            after.Sum(s => s.Minutes.Likely) - before.Sum(s => s.Minutes.Likely),
            Waits(after) - Waits(before));
    }

    /// <summary>True when a deed is done differently: other words, minutes, waiting or materials.</summary>
    public static bool Differs(Deed a, Deed b) => a.Title != b.Title || a.How != b.How || a.Minutes.Likely != b.Minutes.Likely
        || a.Lag?.HoldsMin != b.Lag?.HoldsMin || !a.Needs.SequenceEqual(b.Needs);

    /// <summary>True when nothing changes.</summary>
    [JsonIgnore]
    public bool Nothing => Added.Count + Gone.Count + Changed.Count == 0;
}
