using Foundling.Core.Rod;

namespace Foundling.Web.Pages.Tags;

/// <summary>What taking another way did to a rod.</summary>
/// <param name="Question">What was asked.</param>
/// <param name="Now">The way it has.</param>
/// <param name="Was">The way it had.</param>
/// <param name="Change">What that changes.</param>
/// <param name="Handler">Handler that takes it back.</param>
/// <param name="Back">Fields it wants for that.</param>
public sealed record RodChange(string Question, string Now, string Was, PlanDiff Change, string Handler, IReadOnlyList<(string Name, string Value)> Back);
