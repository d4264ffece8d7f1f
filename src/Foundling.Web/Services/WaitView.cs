using Foundling.Core.Log;
using Foundling.Core.Tags;

namespace Foundling.Web.Services;

/// <summary>A wait as it stands on a page.</summary>
/// <param name="Tag">The tag it is on.</param>
/// <param name="Wait">The wait.</param>
/// <param name="Named">Whether the tool is named with it.</param>
public sealed record WaitView(Tag Tag, Wait Wait, bool Named);
