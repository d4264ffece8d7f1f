using Foundling.Core.Tags;

namespace Foundling.Web.Drawings;

/// <summary>One step of a rod as a line of the list.</summary>
/// <param name="Tag">Its tag.</param>
/// <param name="Step">The step.</param>
/// <param name="Running">The clock runs for it.</param>
/// <param name="IsNext">It is the next one to do.</param>
/// <param name="SpentMinutes">Minutes booked on it.</param>
public sealed record StepView(Tag Tag, PlanStep Step, bool Running, bool IsNext, double? SpentMinutes);
