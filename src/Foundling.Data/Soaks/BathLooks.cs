using Foundling.Core.Baths;
using Foundling.Core.Keys;
using Foundling.Core.Safety;
using Foundling.Core.Soaks;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Store;
using Foundling.Data.Tags;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Soaks;

/// <summary>What is known of soaks beside what somebody said at the bath: counts on pictures, the times of all soaks before, and what to mind.</summary>
public sealed class BathLooks(FoundlingDb db, TagBook tags, BathBook baths)
{
    private const int MostLearnedFrom = 200;

    /// <summary>What counts on pictures say is left of the rust on the parts that are in, since they went in.</summary>
    public async Task<IReadOnlyDictionary<string, (double Left, double Low, double High, DateTimeOffset At)>> Counted(IEnumerable<LoadNow> loads,
        CancellationToken cancel = default)
    {
        Dictionary<string, (double, double, double, DateTimeOffset)> counted = [];
        foreach (var of in loads.SelectMany(l => l.Standing.Select(p => (Part: p, l.InAt))).GroupBy(p => p.Part.Tag))
        {
            Tag? tag = await tags.Show(of.Key, TagParts.Counts, cancel).ConfigureAwait(false);
            foreach ((SoakedPart part, DateTimeOffset inAt) in of)
            {
                List<CountRecord> counts = [.. (tag?.Counts ?? []).Where(c => c.Part == part.Part && c.Kind == FindingKind.Rust && c.Result() is not null)
                    .OrderBy(c => c.At)];
                if (counts.FindLast(c => c.At >= inAt) is { } now)
                {
                    (double left, double low, double high) = RustLeft.Of(counts.FindLast(c => c.At < inAt)?.Result(), now.Result()!);
                    counted[part.Key] = (left, low, high, now.At);
                }
            }
        }
        return counted;
    }

    /// <summary>What the shop's own soaks say about soak times.</summary>
    public async Task<IReadOnlyList<LearnedSoak>> Learned(CancellationToken cancel = default)
    {
        SoakAir air = await baths.Air(cancel).ConfigureAwait(false);
        List<StandingBath> all = await db.Baths.AsNoTracking().Include(b => b.Events).OrderByDescending(b => b.Number).Take(MostLearnedFrom)
            .ToListAsync(cancel).ConfigureAwait(false);
        return LearnedSoaks.Of(all.Select(b => BathState.Of(b, air.Assumptions)), air);
    }

    /// <summary>What to mind at a step of the tools of a load.</summary>
    /// <param name="load">The load.</param>
    /// <param name="step">The step.</param>
    /// <param name="kind">The bath it is in.</param>
    /// <param name="cancel">Stops it.</param>
    public async Task<IReadOnlyList<Caution>> Minded(LoadNow load, StepKey step, BathKind kind, CancellationToken cancel = default)
    {
        List<CautionId> ids = [];
        foreach (int number in load.Parts.Select(p => p.Tag).Distinct())
        {
            Tag? tag = await tags.Show(number, TagParts.Rod, cancel).ConfigureAwait(false);
            ids.AddRange(tag?.Steps.Where(s => s.Key.Step == step).SelectMany(s => s.Cautions) ?? []);
        }
        return Cautions.Of(BathWords.Minded(ids, kind));
    }
}
