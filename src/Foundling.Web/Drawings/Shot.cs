using Foundling.Core.Tags;

namespace Foundling.Web.Drawings;

/// <summary>A picture of a tag as a page shows it.</summary>
/// <param name="Tag">The tag.</param>
/// <param name="Picture">The picture.</param>
/// <param name="Large">Shown large, for printing; else small and leading to the large one.</param>
public sealed record Shot(Tag Tag, Picture Picture, bool Large = false);
