using Foundling.Core;
using Foundling.Core.Keys;
using Foundling.Core.Log;
using Foundling.Core.Rod;
using Foundling.Core.Tags;
using Foundling.Data.Shop;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Soles;

/// <summary>What the log says of the soles this shop lapped.</summary>
public sealed class LapBook(FoundlingDb db, ShopDesk shop)
{
    /// <summary>Strokes and minutes of soles whose marks were read until they bore.</summary>
    public async Task<LearnedLapping> Learned(CancellationToken cancel = default)
    {
        Assumptions a = await shop.Assumed(cancel).ConfigureAwait(false);
        List<Tag> tags = await db.Tags.AsNoTracking().Include(t => t.Rubs).Where(t => t.Rubs.Count > 1).OrderByDescending(t => t.Number)
            .Take(Pace.MostJobs).ToListAsync(cancel).ConfigureAwait(false);
        List<int> numbers = [.. tags.Select(t => t.Number)];
        DeedId lapping = StepKey.SoleLap;
        var events = await db.Set<BenchEvent>().AsNoTracking()
            .Where(e => e.Step == lapping && LogTotals.Booking.Contains(e.Kind) && numbers.Contains(EF.Property<int>(e, "TagNumber")))
            .Select(e => new { Tag = EF.Property<int>(e, "TagNumber"), Minutes = e.Minutes ?? 0 }).ToListAsync(cancel).ConfigureAwait(false);
        ILookup<int, double> minutes = events.ToLookup(e => e.Tag, e => e.Minutes);
        List<LappedSole> soles = [];
        foreach (Tag tag in tags)
        {
            tag.Rubs.Sort((x, y) => (x.At, x.Id).CompareTo((y.At, y.Id)));
            if (LappedSole.Of([.. tag.RubsNow.Select(r => (r.Seen.Strokes, r.StrokesLeft))], minutes[tag.Number].Sum(), a) is { } sole)
            {
                soles.Add(sole);
            }
        }
        return LearnedLapping.Of(soles, a);
    }
}
