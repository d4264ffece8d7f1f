using System.Globalization;
using System.Runtime.CompilerServices;
using Foundling.Core.Soles;

namespace Foundling.Data.Devices;

/// <summary>
/// A bench indicator that is not there: it is led over a made-up sole from place to place, stands still at each for a while, and has noise,
/// drift, a line that is dropped and a reading that is wild.
/// </summary>
/// <param name="grid">The places it is led to, row by row.</param>
/// <param name="lengthMm">Length of the sole, mm.</param>
/// <param name="widthMm">Its width, mm.</param>
/// <param name="time">The clock it goes by.</param>
public sealed class SimulatedIndicator(SurveyGrid grid, double lengthMm, double widthMm, TimeProvider time) : ILineSource
{
    private const int Moving = 4, Still = 9, WildAt = 6, DroppedAt = 4;
    private const double LiftMm = 1.6, NoiseMm = 0.0004, DriftMm = 0.00004, WildMm = 7.5;

    /// <summary>How often it speaks.</summary>
    public static readonly TimeSpan Every = TimeSpan.FromMilliseconds(40);

    /// <summary>The sole it is led over: hollow along its length, with a little wind.</summary>
    public static SoleShape Shape { get; } = new(0.09, 0.012, 0.03);

    /// <inheritdoc />
    public async IAsyncEnumerable<string> Lines([EnumeratorCancellation] CancellationToken cancel = default)
    {
        foreach (string line in Said())
        {
            yield return line;
            await Task.Delay(Every, time, cancel).ConfigureAwait(false);
        }
    }

    /// <summary>All it says from the first place to the last.</summary>
    public IEnumerable<string> Said()
    {
        (double X, double Y)[] places = [.. grid.AcrossMm.SelectMany(y => grid.AlongMm.Select(x => (x, y)))];
        var random = new Random(places.Length);
        double drift = 0;
        for (int p = 0; p < places.Length; p++)
        {
            double height = Shape.At(places[p].X, places[p].Y, lengthMm, widthMm);
            // The wild one comes before the place is read as it should be.
            foreach (double off in p == WildAt ? new[] { WildMm, 0 } : [0])
            {
                for (int i = 0; i < Moving; i++)
                {
                    yield return Line(height + off + (LiftMm * (i + 1) / Moving));
                }
                for (int i = 0; i < Still; i++)
                {
                    drift += DriftMm;
                    yield return p == DroppedAt && i == Still / 2 ? "E1" : Line(height + off + drift + (NoiseMm * ((2 * random.NextDouble()) - 1)));
                }
            }
        }
    }

    private static string Line(double mm) => string.Create(CultureInfo.InvariantCulture, $"Z={mm:+0.0000;-0.0000} mm");
}
