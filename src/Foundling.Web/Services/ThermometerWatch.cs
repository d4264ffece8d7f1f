using Foundling.Core;
using Foundling.Core.Shop;
using Foundling.Data.Devices;
using Foundling.Data.Shop;
using Microsoft.EntityFrameworkCore;

namespace Foundling.Web.Services;

/// <summary>How it stands with the thermometer that is listened to.</summary>
public sealed class ThermometerState : IDisposable
{
    private CancellationTokenSource _changed = new();

    /// <summary>When it last said something that could be read; null for not yet.</summary>
    public DateTimeOffset? HeardAt { get; private set; }

    /// <summary>What it said then.</summary>
    public AirReading? Heard { get; private set; }

    /// <summary>Lines it sent that are no reading, since it was opened.</summary>
    public int Unread { get; private set; }

    /// <summary>Why it is not heard, in a sentence; null while it is.</summary>
    public string? Fault { get; private set; }

    /// <summary>Ends when another device is to be heard.</summary>
    internal CancellationToken Changed => _changed.Token;

    /// <summary>Another device is to be heard.</summary>
    public void Change()
    {
        CancellationTokenSource before = Interlocked.Exchange(ref _changed, new CancellationTokenSource());
        before.Cancel();
    }

    /// <inheritdoc />
    public void Dispose() => _changed.Dispose();

    internal void Begin() => (HeardAt, Heard, Unread, Fault) = (null, null, 0, null);

    internal void Take(AirReading? reading, DateTimeOffset at)
    {
        if (reading is null)
        {
            Unread++;
            return;
        }
        (Heard, HeardAt, Fault) = (reading, at, null);
    }

    internal void Lost(string why) => Fault = why;
}

/// <summary>Listens to the thermometer of the shop, where there is one, and hands what it says to the shop's air. A lost one is tried again.</summary>
internal sealed class ThermometerWatch(IServiceScopeFactory scopes, ThermometerState state, TimeProvider time, ILogger<ThermometerWatch> log)
    : BackgroundService
{
    private static readonly TimeSpan TryAgain = TimeSpan.FromSeconds(30);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await Task.Yield();
        while (!stoppingToken.IsCancellationRequested)
        {
            using var either = CancellationTokenSource.CreateLinkedTokenSource(stoppingToken, state.Changed);
            try
            {
                string address = await Address(either.Token);
                state.Begin();
                if (address.Length == 0)
                {
                    await Task.Delay(Timeout.InfiniteTimeSpan, time, either.Token);
                }
                await Listen(address, either.Token);
                state.Lost("It has stopped speaking. It is tried again in half a minute.");
            }
            catch (OperationCanceledException)
            {
                continue;
            }
            catch (Exception fault) when (fault is IOException or System.Net.Sockets.SocketException or UnauthorizedAccessException or InputException
                or Microsoft.Data.Sqlite.SqliteException or DbUpdateException)
            {
                log.LogWarning("The thermometer is not heard: {Fault}", fault.Message);
                state.Lost($"It is not heard: {(fault as InputException)?.Sentence ?? fault.Message} It is tried again in half a minute.");
            }
            try
            {
                await Task.Delay(TryAgain, time, either.Token);
            }
            catch (OperationCanceledException)
            {
                // Another device, or the end: both are seen above.
            }
        }
    }

    private async Task<string> Address(CancellationToken cancel)
    {
        await using AsyncServiceScope scope = scopes.CreateAsyncScope();
        return (await scope.ServiceProvider.GetRequiredService<ShopBook>().Read(cancel)).Thermometer;
    }

    private async Task Listen(string address, CancellationToken cancel)
    {
        await foreach (string line in LineSources.Open(address, () => new SimulatedThermometer(time)).Lines(cancel))
        {
            AirReading? reading = AirReading.Read(line);
            if (reading is not null)
            {
                await using AsyncServiceScope scope = scopes.CreateAsyncScope();
                await scope.ServiceProvider.GetRequiredService<AirBook>().Heard(reading, cancel);
            }
            state.Take(reading, time.GetUtcNow());
        }
    }
}
