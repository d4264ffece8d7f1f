using System.Globalization;
using System.Runtime.CompilerServices;

namespace Foundling.Data.Devices;

/// <summary>A thermometer that is not there: it goes through a day, cold at dawn, warm after noon, damp when cold, with a little noise.</summary>
/// <param name="time">The clock it goes by.</param>
public sealed class SimulatedThermometer(TimeProvider time) : ILineSource
{
    private const double MeanC = 15, SwingC = 3, MeanPercent = 64, SwingPercent = 9, WarmestHour = 15, Tenths = 10;

    /// <summary>How often it speaks.</summary>
    public static readonly TimeSpan Every = TimeSpan.FromSeconds(10);

    /// <inheritdoc />
    public async IAsyncEnumerable<string> Lines([EnumeratorCancellation] CancellationToken cancel = default)
    {
        while (!cancel.IsCancellationRequested)
        {
            yield return At(time.GetLocalNow());
            await Task.Delay(Every, time, cancel).ConfigureAwait(false);
        }
    }

    /// <summary>What it says at a moment.</summary>
    public static string At(DateTimeOffset now)
    {
        double swing = Math.Cos((now.TimeOfDay.TotalHours - WarmestHour) / 24 * Math.Tau), noise = ((now.Ticks / Every.Ticks % 7) - 3) / Tenths;
        return string.Create(CultureInfo.InvariantCulture, $"T={MeanC + (SwingC * swing) + noise:0.0} C RH={MeanPercent - (SwingPercent * swing):0} %");
    }
}
