using Foundling.Core.Bench;
using Foundling.Core.Gauges;
using Foundling.Core.Log;
using Foundling.Core.Tags;
using Foundling.Web.Services;

namespace Foundling.Web.Drawings;

/// <summary>One step of a rod as a line of the list.</summary>
/// <param name="Tag">Its tag.</param>
/// <param name="Step">The step.</param>
/// <param name="Running">The clock runs for it.</param>
/// <param name="IsNext">It is the next one to do.</param>
/// <param name="SpentMinutes">Minutes booked on it.</param>
/// <param name="Gate">What must be seen, agreed or have come before it starts.</param>
/// <param name="Gauges">Gauges that help with it, filled in.</param>
/// <param name="Opened">Its details stand open, because something typed there was refused.</param>
public sealed record StepView(Tag Tag, PlanStep Step, bool Running, bool IsNext, double? SpentMinutes, Gate Gate, IReadOnlyList<StepGauge> Gauges, bool Opened)
{
    /// <summary>What the shop's own pace makes of its minutes; null where that is not asked.</summary>
    public PaceResult? Pace { get; init; }

    /// <summary>The sole by its surveys, where this step laps it: whether it passes its finish test. Null where that is not asked.</summary>
    public Flatness? Surveyed { get; init; }
}
