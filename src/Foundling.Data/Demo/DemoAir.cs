using Foundling.Core.Shop;
using Foundling.Data.Devices;

namespace Foundling.Data.Demo;

/// <summary>A week of the demo loft's thermometer, the last reading by hand.</summary>
internal static class DemoAir
{
    private const int Days = 7, Hours = 2;

    public static IEnumerable<ClimateReading> Of(DateTimeOffset now)
    {
        for (DateTimeOffset at = now.AddDays(-Days).AddHours(1); at < now.AddHours(-Hours); at = at.AddHours(Hours))
        {
            AirReading said = AirReading.Read(SimulatedThermometer.At(at))!;
            // The loft is a degree colder than the stand-in's shop.
            yield return Kept(at, said.TemperatureC - 1, said.HumidityPercent, false);
        }
        yield return Kept(now.AddMinutes(-50), 14, 66, true);
    }

    private static ClimateReading Kept(DateTimeOffset at, double c, double? percent, bool byHand) =>
        new() { Id = Guid.CreateVersion7(at), At = at, TemperatureC = c, HumidityPercent = percent, ByHand = byHand };
}
