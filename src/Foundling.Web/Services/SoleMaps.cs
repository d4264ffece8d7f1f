using System.Collections.Concurrent;
using Foundling.Core.Soles;
using Foundling.Core.Tags;
using Foundling.Web.Drawings;

namespace Foundling.Web.Services;

/// <summary>Maps of sole surveys, worked out once for each: a survey never changes once it is kept.</summary>
public sealed class SoleMaps
{
    private const int Kept = 200;

    private readonly ConcurrentDictionary<(Guid, Core.Assumptions), SoleMapView> _maps = new();

    /// <summary>The map of a survey.</summary>
    /// <exception cref="Core.InputException">The readings do not hold together.</exception>
    public SoleMapView Of(SoleRecord survey, Core.Assumptions assumed)
    {
        if (_maps.TryGetValue((survey.Id, assumed), out SoleMapView? known))
        {
            return known;
        }
        var map = new SoleMapView(survey, assumed);
        if (_maps.Count >= Kept)
        {
            _maps.Clear();
        }
        _maps[(survey.Id, assumed)] = map;
        return map;
    }

    /// <summary>What a survey shows.</summary>
    /// <exception cref="Core.InputException">The readings do not hold together.</exception>
    public GridSurveyResult Read(SoleRecord survey, Core.Assumptions assumed) => Of(survey, assumed).Result;
}
