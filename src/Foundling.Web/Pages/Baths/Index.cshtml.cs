using Foundling.Core.Soaks;
using Foundling.Data.Soaks;
using Foundling.Web.Services;

namespace Foundling.Web.Pages.Baths;

/// <summary>Every bath of the shop, with what lies in it and when it must be looked at.</summary>
public sealed class IndexModel(BathBook baths) : SentencePageModel
{
    /// <summary>Baths that stand.</summary>
    public IReadOnlyList<BathHere> Standing { get; private set; } = [];

    /// <summary>Tools whose rods come to a soak.</summary>
    public IReadOnlyList<ToolWaiting> Waiting { get; private set; } = [];

    /// <summary>Baths that were poured away.</summary>
    public IReadOnlyList<StandingBath> Poured { get; private set; } = [];

    /// <inheritdoc />
    protected override async Task After() => (Standing, Waiting, Poured) = (await baths.Standing(), await baths.Waiting(null), await baths.Poured());

    /// <summary>Shows them.</summary>
    public void OnGet()
    {
    }
}
