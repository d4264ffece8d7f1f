using Foundling.Data.Pictures;
using Foundling.Data.Store;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Web.Services;

/// <summary>What is done once a day while the shop is open: a copy of the database, and sweeping up after crashes.</summary>
internal sealed class Housekeeping(IServiceScopeFactory scopes, DataFolder folder, TimeProvider time, ILogger<Housekeeping> log) : BackgroundService
{
    private static readonly TimeSpan Daily = TimeSpan.FromHours(24), FormsKept = TimeSpan.FromDays(30);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        // The first answers are worth more than tidiness.
        await Task.Yield();
        while (!stoppingToken.IsCancellationRequested)
        {
            try
            {
                await Once(stoppingToken);
            }
            catch (Exception fault) when (fault is IOException or UnauthorizedAccessException or DbUpdateException or Microsoft.Data.Sqlite.SqliteException)
            {
                log.LogWarning("The daily copy or sweep did not work: {Fault}", fault.Message);
            }
            await Task.Delay(Daily, time, stoppingToken);
        }
    }

    private async Task Once(CancellationToken cancel)
    {
        DateTimeOffset now = time.GetUtcNow();
        Backups.Daily(folder, now);
        await using AsyncServiceScope scope = scopes.CreateAsyncScope();
        FoundlingDb db = scope.ServiceProvider.GetRequiredService<FoundlingDb>();
        DateTimeOffset old = now - FormsKept;
        await db.TakenForms.Where(f => f.At < old).ExecuteDeleteAsync(cancel);
        await scope.ServiceProvider.GetRequiredService<PictureSweep>().Sweep(cancel);
    }
}
