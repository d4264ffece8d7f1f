using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Data.Shop;

/// <summary>What holds for the whole shop.</summary>
public sealed class ShopSettings
{
    /// <summary>The only row.</summary>
    public int Id { get; set; } = 1;

    /// <summary>Name of the shop.</summary>
    public string Name { get; set; } = "";

    /// <summary>Temperature in the shop, °C.</summary>
    public double TemperatureC { get; set; } = 18;

    /// <summary>Relative humidity, %.</summary>
    public double HumidityPercent { get; set; } = 55;

    /// <summary>Ways the shop prefers, each as "choice=way"; where it has none the book advises.</summary>
    public List<string> Ways { get; set; } = [];

    /// <summary>How the shop dresses its own tools, in words: a colour, a grip.</summary>
    public string Dress { get; set; } = "";

    /// <summary>What it assumes otherwise than the book, each as "name=value".</summary>
    public List<string> Assumed { get; set; } = [];

    /// <summary>What an hour at the bench is counted at, in the shop's money.</summary>
    public double HourRate { get; set; }

    /// <summary>Where the thermometer of the shop is heard, as <see cref="Devices.LineSources"/> writes it; empty for read by hand.</summary>
    public string Thermometer { get; set; } = "";

    /// <summary>Where the bench indicator is heard, written in the same way; empty for none.</summary>
    public string Indicator { get; set; } = "";

    /// <summary>What a bare number of it is.</summary>
    public Core.Units.BareUnit IndicatorUnit { get; set; }

    /// <summary>True where it counts up when its tip goes down.</summary>
    public bool IndicatorTurned { get; set; }
}

/// <summary>The one clock that may run.</summary>
public sealed class RunningClock
{
    /// <summary>The only row.</summary>
    public int Id { get; set; } = 1;

    /// <summary>Tag it runs for.</summary>
    public int TagNumber { get; set; }

    /// <summary>Deed it runs for.</summary>
    public Core.Rod.DeedId Step { get; set; }

    /// <summary>Title of the step when it started.</summary>
    public string Title { get; set; } = "";

    /// <summary>When it started.</summary>
    public DateTimeOffset StartedAt { get; set; }
}

/// <summary>Reads and keeps the shop's settings.</summary>
public sealed class ShopBook(FoundlingDb db)
{
    /// <summary>The settings, with defaults for a new shop.</summary>
    public async Task<ShopSettings> Read(CancellationToken cancel = default) =>
        await db.Shop.AsNoTracking().FirstOrDefaultAsync(cancel).ConfigureAwait(false) ?? new ShopSettings();

    /// <summary>The settings as they stand, for changing: nobody else writes until what is changed was kept.</summary>
    public async Task<ShopSettings> ForChange(CancellationToken cancel = default)
    {
        await db.Write(cancel).ConfigureAwait(false);
        return await Read(cancel).ConfigureAwait(false);
    }

    /// <summary>Keeps the settings.</summary>
    public async Task Save(ShopSettings settings, CancellationToken cancel = default)
    {
        bool there = await db.Shop.AnyAsync(cancel).ConfigureAwait(false);
        db.Entry(settings).State = there ? EntityState.Modified : EntityState.Added;
        await db.SaveChangesAsync(cancel).ConfigureAwait(false);
        db.Entry(settings).State = EntityState.Detached;
    }
}
