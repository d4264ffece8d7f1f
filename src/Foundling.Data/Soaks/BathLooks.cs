using Foundling.Core.Soaks;
using Foundling.Core.Tags;
using Foundling.Core.Tools;
using Foundling.Data.Store;
using Foundling.Data.Tags;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Soaks;

/// <summary>What is known of soaks beside what somebody said at the bath: counts on pictures, and the times of all soaks before.</summary>
public sealed class BathLooks(FoundlingDb db, TagBook tags, BathBook baths)
{
    private const int MostLearnedFrom = 200;

    /// <summary>What counts on pictures say is left of the rust on the parts of a load, since it went in.</summary>
    public async Task<IReadOnlyDictionary<string, (double Left, double Low, double High, DateTimeOffset At)>> Counted(LoadNow load,
        CancellationToken cancel = default)
    {
        Dictionary<string, (double, double, double, DateTimeOffset)> counted = [];
        foreach (IGrouping<int, SoakedPart> of in load.Standing.GroupBy(p => p.Tag))
        {
            Tag? tag = await tags.Show(of.Key, TagParts.Counts, cancel).ConfigureAwait(false);
            foreach (SoakedPart part in of)
            {
                List<CountRecord> counts = [.. (tag?.Counts ?? []).Where(c => c.Part == part.Part && c.Kind == FindingKind.Rust && c.Result() is not null)
                    .OrderBy(c => c.At)];
                if (counts.FindLast(c => c.At >= load.InAt) is { } now)
                {
                    (double left, double low, double high) = RustLeft.Of(counts.FindLast(c => c.At < load.InAt)?.Result(), now.Result()!);
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
}
