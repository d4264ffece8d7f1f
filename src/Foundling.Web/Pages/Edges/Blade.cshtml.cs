using Foundling.Core.Edges;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Edges;

/// <summary>A blade that thins towards its edge, or is curved: two bevels, one flat face, inside or outside. All of it in the address.</summary>
public sealed class BladeModel(ShopDesk shop, TagBook tags, ViewUnits units) : EdgeRoomModel(shop, tags)
{
    /// <summary>How thick it is a little behind the edge.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Thick { get; set; }

    /// <summary>How far behind the edge that is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Behind { get; set; }

    /// <summary>Angle between its faces, degrees; it wins over what was measured.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Angle { get; set; }

    /// <summary>Angle of the honed edge, degrees.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Honed { get; set; }

    /// <summary>How wide the honed band is.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Band { get; set; }

    /// <summary>Which sides are ground.</summary>
    [BindProperty(SupportsGet = true)]
    public Ground? Side { get; set; }

    /// <summary>Length of the edge from corner to corner.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Wide { get; set; }

    /// <summary>How far its middle stands out before its corners.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Curve { get; set; }

    /// <summary>The section; null where it cannot be drawn.</summary>
    public WedgeView? View { get; private set; }

    /// <summary>The angle as it was measured; null where it was not.</summary>
    public double? MeasuredDeg { get; private set; }

    /// <summary>The angle that is drawn, degrees.</summary>
    public double AngleDeg { get; private set; }

    /// <summary>The curve of the edge.</summary>
    public CamberResult? Curved { get; private set; }

    /// <summary>A curved blade, ground inside or outside.</summary>
    public bool Hollow => Known?.Tool.Edge == EdgeForm.Curved;

    /// <inheritdoc />
    public override string Here => "/edges/blade";

    /// <summary>Shows it.</summary>
    public async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        if (await Load(cancel) is { } elsewhere)
        {
            return elsewhere;
        }
        Side ??= Known?.Tool switch
        {
            { Edge: EdgeForm.FlatFace } => Ground.RightSide,
            { Edge: EdgeForm.Curved } tool => tool.Is(FormIds.InCannel) ? Ground.RightSide : Ground.LeftSide,
            _ => Ground.BothSides,
        };
        Try("thick", Section);
        Try("curve", () => Curved = Given(Wide) && Given(Curve) ? Edge.Camber(new CamberInput(units.Mm(Wide, "width_mm"), units.Mm(Curve, "sagitta_mm"))) :
          null);
        return Page();
    }

    private void Section()
    {
        double reach = units.MmOrNull(Behind, "distance_behind_edge_mm") ?? Assumed.BladeReachMm;
        if (Given(Thick))
        {
            MeasuredDeg = Edge.KnifeAngle(new KnifeAngleInput(units.Mm(Thick, "thickness_mm"), reach, Side != Ground.BothSides)).IncludedAngleDeg;
        }
        if ((Typed.NumberOrNull(Angle, "angle_deg") ?? MeasuredDeg) is double angle)
        {
            AngleDeg = angle;
            double? honed = Typed.NumberOrNull(Honed, "honed_deg");
            View = new WedgeView(new WedgeSectionInput(angle, Math.Max(reach, Assumed.BladeReachMm), honed,
                honed is null ? 0 : units.MmOrNull(Band, "land_mm") ?? EdgeSection.UsualLandMm(Assumed), Side!.Value));
        }
    }

    /// <inheritdoc />
    protected override string FieldOf(string input, string otherwise) => input switch
    {
        "thickness_mm" => "thick", "distance_behind_edge_mm" or "reach_mm" => "behind", "angle_deg" => "angle", "honed_deg" => "honed", "land_mm" => "band",
        "width_mm" => "wide", "sagitta_mm" => "curve", _ => otherwise,
    };
}
