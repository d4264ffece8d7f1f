using CsCheck;
using Foundling.Core.Baths;

namespace Foundling.Core.Tests.Soaks;

/// <summary>A warm bath cools, and its work is done by when the gauge says.</summary>
public sealed class CoolingCurveTests
{
    private static readonly Assumptions A = Assumptions.Standard;

    [Fact]
    public void The_curve_ends_when_the_gauge_says_and_never_turns_back() => Gen.Select(Gen.Double[15, 60], Gen.Double[5, 25], Gen.Double[1, 40],
        Gen.Enum<RustLevel>()).Sample((warm, room, litres, rust) =>
        {
            double hours = Soak.Time(new SoakInput(BathKind.Citric, rust, warm, 5, RoomTemperatureC: room, VolumeL: litres), A).SoakHours;
            IReadOnlyList<CoolingMoment> curve = CoolingCurve.Of(warm, room, litres, hours, A);
            curve[^1].Hours.ShouldBe(hours, 1e-9);
            curve[^1].Done.ShouldBe(1, 1e-9);
            curve.Zip(curve.Skip(1)).ShouldAllBe(p => p.Second.Done > p.First.Done && (p.Second.TemperatureC - p.First.TemperatureC) * (room - warm) >= 0);
            double half = CoolingCurve.By(curve, 0.5);
            (warm > room ? half <= hours / 2 + 1e-9 : half >= hours / 2 - 1e-9).ShouldBeTrue("warm it works faster");
            // The same work by the gauge's own figures.
            double at20 = Soak.ReferenceHours(BathKind.Citric, rust, A), done = 0;
            for (int i = 0; i < 4000; i++)
            {
                done += hours / 4000 / Soak.SlowerAt(Soak.Cooled(warm, room, litres, (i + 0.5) * hours / 4000, A));
            }
            done.ShouldBe(at20, at20 * 0.001);
        });
}
