using Foundling.Core;
using Foundling.Core.Shop;
using Foundling.Data.Soaks;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;

namespace Foundling.Data.Shop;

/// <summary>Keeps what the thermometer of the shop said, by hand or from a device, and lets the shop's air follow it.</summary>
public sealed class AirBook(FoundlingDb db, TimeProvider time, ShopBook shop, BathBook baths)
{
    private const int DayHours = 24, MostReadings = 3000;

    /// <summary>Readings since a moment, oldest first.</summary>
    public Task<List<ClimateReading>> Since(DateTimeOffset from, CancellationToken cancel = default) => db.Set<ClimateReading>().AsNoTracking()
        .Where(r => r.At >= from).OrderByDescending(r => r.At).Take(MostReadings).OrderBy(r => r.At).ToListAsync(cancel);

    /// <summary>The last reading; null for none.</summary>
    public Task<ClimateReading?> Last(CancellationToken cancel = default) =>
        db.Set<ClimateReading>().AsNoTracking().OrderByDescending(r => r.At).FirstOrDefaultAsync(cancel);

    /// <summary>Keeps what somebody read and typed: it holds from now on.</summary>
    /// <exception cref="InputException">No air of a shop.</exception>
    public Task ByHand(AirReading reading, CancellationToken cancel = default) => Keep(reading, true, cancel);

    /// <summary>Hears a reading of a device: it is kept when it tells something new.</summary>
    /// <returns>True when it was kept.</returns>
    public async Task<bool> Heard(AirReading reading, CancellationToken cancel = default)
    {
        Assumptions assumed = Assumptions.Of((await shop.Read(cancel).ConfigureAwait(false)).Assumed);
        if (!Airs.Tells(await Last(cancel).ConfigureAwait(false), reading, time.GetUtcNow(), assumed))
        {
            return false;
        }
        await Keep(reading, false, cancel).ConfigureAwait(false);
        return true;
    }

    private async Task Keep(AirReading reading, bool byHand, CancellationToken cancel)
    {
        Writing write = await db.Write(cancel).ConfigureAwait(false);
        await using (write.ConfigureAwait(false))
        {
            ShopSettings settings = await shop.Read(cancel).ConfigureAwait(false);
            DateTimeOffset now = time.GetUtcNow();
            var kept = new ClimateReading
            {
                Id = Guid.CreateVersion7(now), At = now, TemperatureC = reading.TemperatureC, HumidityPercent = reading.HumidityPercent, ByHand = byHand,
            };
            List<ClimateReading> day = await Since(now.AddHours(-DayHours), cancel).ConfigureAwait(false);
            var before = new Climate(settings.TemperatureC, settings.HumidityPercent);
            Climate after = Airs.After(before, kept, day, Assumptions.Of(settings.Assumed));
            db.Add(kept);
            await db.SaveChangesAsync(cancel).ConfigureAwait(false);
            if (after != before)
            {
                (settings.TemperatureC, settings.HumidityPercent) = (after.TemperatureC, after.RelativeHumidityPercent);
                await shop.Save(settings, cancel).ConfigureAwait(false);
                await baths.Retime(cancel).ConfigureAwait(false);
            }
            await write.Done(cancel).ConfigureAwait(false);
        }
    }
}

internal sealed class ClimateReadingMapping : IEntityTypeConfiguration<ClimateReading>
{
    public void Configure(EntityTypeBuilder<ClimateReading> reading)
    {
        reading.ToTable("ClimateReadings");
        reading.HasKey(r => r.Id);
        reading.Property(r => r.Id).ValueGeneratedNever();
        reading.HasIndex(r => r.At);
    }
}
