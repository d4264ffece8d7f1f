using Foundling.Core.Origin;
using Foundling.Core.Shop;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;

namespace Foundling.Web.Services;

/// <summary>A face before and after, by its surveys.</summary>
/// <param name="Face">The face.</param>
/// <param name="Last">Its last survey.</param>
/// <param name="Map">The map of that.</param>
/// <param name="Read">That survey against how flat the face is wanted.</param>
/// <param name="First">Its first survey; null where there is only one.</param>
/// <param name="Before">The map of that.</param>
public sealed record Flatness(FlatFace Face, SoleRecord Last, SoleMapView Map, FaceRead Read, SoleRecord? First, SoleMapView? Before)
{
    /// <summary>The faces of a tool that were surveyed, the sole first.</summary>
    public static IReadOnlyList<Flatness> Of(Tag tag, ShopContext shop, PatternBook patterns, SoleMaps maps)
    {
        if (tag.Surveys.Count == 0)
        {
            return [];
        }
        Facts facts = tag.Facts();
        List<Flatness> all = [];
        foreach (FlatFace face in FlatFaces.Of(facts, shop.Assumptions))
        {
            if (tag.SurveysOf(face.Key) is not [var first, ..] of)
            {
                continue;
            }
            SoleRecord last = of[^1];
            SoleMapView map = maps.Of(last, shop.Assumptions);
            FlatFace sized = face.Sized(last.Input.LengthMm, last.Input.WidthMm);
            all.Add(new Flatness(sized, last, map, FaceRead.Of(sized, last.Input, map.Result, facts, RodDesk.FlatBy(tag, shop, patterns), shop.Assumptions),
                first == last ? null : first, first == last ? null : maps.Of(first, shop.Assumptions)));
        }
        return all;
    }
}
