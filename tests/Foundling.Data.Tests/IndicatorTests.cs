using Foundling.Core;
using Foundling.Core.Soles;
using Foundling.Data.Devices;

namespace Foundling.Data.Tests;

/// <summary>The stand-in of the bench indicator is heard like a real one.</summary>
public sealed class IndicatorTests
{
    [Fact]
    public void Every_place_of_the_made_up_sole_is_read_once_and_rightly()
    {
        SurveyGrid grid = SurveyGrid.Of(245, 60, 8);
        var watch = new IndicatorWatch(new IndicatorSetup(), Assumptions.Standard);
        IndicatorSaid[] said = [.. new SimulatedIndicator(grid, 245, 60, TimeProvider.System).Said().Select(watch.Hear)];
        double[] read = [.. said.Select(s => s.Steady).OfType<double>()];
        read.Length.ShouldBe(24);
        said.Count(s => s.Wild).ShouldBe(1);
        said.Count(s => s.Mm is null).ShouldBe(1);
        (double X, double Y)[] places = [.. grid.AcrossMm.SelectMany(y => grid.AlongMm.Select(x => (x, y)))];
        for (int i = 0; i < read.Length; i++)
        {
            read[i].ShouldBe(SimulatedIndicator.Shape.At(places[i].X, places[i].Y, 245, 60), 0.012, "noise and drift");
        }
    }
}
