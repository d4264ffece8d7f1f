using Foundling.Core.Rod;

namespace Foundling.Core.Tests.Rod.Former;

/// <summary>A pair of steps as it was once held by hand: what must still come before what, wherever the two are about the same parts.</summary>
/// <param name="Before">The earlier steps.</param>
/// <param name="After">The later steps.</param>
/// <param name="Why">Why this order.</param>
/// <param name="When">When it holds; null for always.</param>
/// <param name="Soft">Practitioners differ on it.</param>
internal sealed record FormerPair(StepSet Before, StepSet After, string Why, Cond? When = null, bool Soft = false);
