namespace Foundling.Web.Services;

/// <summary>A line to type into on a bench, with what cannot be at its foot.</summary>
/// <param name="Name">Its name in the address; its key on the page too.</param>
/// <param name="Label">What is typed.</param>
/// <param name="Value">What stands in it.</param>
/// <param name="Fault">What cannot be; null for none.</param>
/// <param name="Placeholder">What holds while it is empty.</param>
/// <param name="Hint">A word more; null for none.</param>
/// <param name="Number">Only figures go into it, no unit.</param>
public sealed record BenchField(string Name, string Label, string? Value, string? Fault, string? Placeholder = null, string? Hint = null, bool Number = false);
