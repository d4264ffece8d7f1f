using System.Globalization;
using Foundling.Core.Edges;
using Foundling.Core.State;
using Foundling.Core.Tools;
using Foundling.Core.Units;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Edges;

/// <summary>A blade that thins towards its edge, or is curved: two bevels, one flat face, inside or outside. All of it in the address.</summary>
public sealed class BladeModel(ShopDesk shop, TagBook tags, ViewUnits units, TimeProvider time) : EdgeRoomModel(shop, tags, units, time)
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
    public override async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        if (await Load(cancel) is { } elsewhere)
        {
            return elsewhere;
        }
        Side ??= Known?.Tool switch
        {
            { Edge: EdgeForm.FlatFace } => Ground.RightSide,
            { Edge: EdgeForm.Curved } tool => tool.GroundInside ? Ground.RightSide : Ground.LeftSide,
            _ => Ground.BothSides,
        };
        Try("thick", Section);
        Try("curve", () => Curved = Given(Wide) && Given(Curve) ? Edge.Camber(new CamberInput(Units.Mm(Wide, "width_mm"), Units.Mm(Curve, "sagitta_mm"))) :
          null);
        return Page();
    }

    private void Section()
    {
        double reach = Units.MmOrNull(Behind, "distance_behind_edge_mm") ?? Assumed.BladeReachMm;
        if (Given(Thick))
        {
            MeasuredDeg = Edge.KnifeAngle(new KnifeAngleInput(Units.Mm(Thick, "thickness_mm"), reach, Side != Ground.BothSides)).IncludedAngleDeg;
        }
        // A thickness that was measured now wins over an angle that was kept.
        double? typed = Typed.NumberOrNull(Angle, "angle_deg");
        if ((Anew("angle", Angle) ? typed : MeasuredDeg ?? typed) is double angle)
        {
            AngleDeg = angle;
            double? honed = Typed.NumberOrNull(Honed, "honed_deg");
            View = new WedgeView(new WedgeSectionInput(angle, Math.Max(reach, Assumed.BladeReachMm), honed,
                honed is null ? 0 : Units.MmOrNull(Band, "land_mm") ?? EdgeSection.UsualLandMm(Assumed), Side!.Value));
        }
    }

    /// <inheritdoc />
    protected override Task Fill(Facts known, CancellationToken cancel)
    {
        PartId part = known.Tool.Edges.First().Id;
        Angle = Filled("angle", Angle, known.Measured(MeasureIds.Bevel, part)?.ToString("0.##", CultureInfo.InvariantCulture));
        Curve = Filled("curve", Curve, Units.InField(known.Measured(MeasureIds.Camber, part)));
        return Task.CompletedTask;
    }

    /// <inheritdoc />
    protected override IEnumerable<BenchReading> Readings(Facts known)
    {
        PartId part = known.Tool.Edges.First().Id;
        string? angle = Anew("angle", Angle) ? Angle : MeasuredDeg?.ToString("0.#", CultureInfo.InvariantCulture);
        return [new("angle", angle, part, MeasureIds.Bevel), new("curve", Curve, part, MeasureIds.Camber)];
    }

    /// <inheritdoc />
    protected override string FieldOf(string input, string otherwise) => input switch
    {
        "thickness_mm" => "thick", "distance_behind_edge_mm" or "reach_mm" => "behind", "angle_deg" => "angle", "honed_deg" => "honed", "land_mm" => "band",
        "width_mm" => "wide", "sagitta_mm" => "curve", _ => base.FieldOf(input, otherwise),
    };
}
