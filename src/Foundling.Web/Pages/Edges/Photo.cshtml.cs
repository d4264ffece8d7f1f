using System.Globalization;
using Foundling.Core.Edges;
using Foundling.Core.State;
using Foundling.Core.Tags;
using Foundling.Data.Shop;
using Foundling.Data.Tags;
using Foundling.Web.Drawings;
using Foundling.Web.Services;
using Microsoft.AspNetCore.Mvc;

namespace Foundling.Web.Pages.Edges;

/// <summary>A bevel measured on a photograph: the edge and a point on each face. All of it in the address.</summary>
public sealed class PhotoModel(ShopDesk shop, TagBook tags, ViewUnits units, TimeProvider time) : EdgeRoomModel(shop, tags, units, time)
{
    /// <summary>The photograph; nothing for the first.</summary>
    [BindProperty(SupportsGet = true)]
    public Guid? Picture { get; set; }

    /// <summary>The edge, pixels: x and y.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Tip { get; set; }

    /// <summary>A point on the one face.</summary>
    [BindProperty(SupportsGet = true)]
    public string? One { get; set; }

    /// <summary>A point on the other.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Two { get; set; }

    /// <summary>From the edge to the first point.</summary>
    [BindProperty(SupportsGet = true)]
    public string? Long { get; set; }

    /// <summary>The photographs of the tag.</summary>
    public IReadOnlyList<Picture> Pictures { get; private set; } = [];

    /// <summary>The one that is measured on.</summary>
    public Picture? Shown { get; private set; }

    /// <summary>The points: field, place, and what it stands on.</summary>
    public IReadOnlyList<(string Field, double X, double Y, string Name)> Points { get; private set; } = [];

    /// <summary>The lines from the one face over the edge to the other.</summary>
    public string Lines => "M" + string.Join("L", new[] { Points[1], Points[0], Points[2] }.Select(p => $"{Figure.N(p.X)} {Figure.N(p.Y)}"));

    /// <summary>What was measured.</summary>
    public PhotoAngle? Angle { get; private set; }

    /// <summary>Where the angle is used.</summary>
    public string Use => EdgeFacts.HasSection(Known!.Tool) ? $"/edges?tag={Number}&bevel={Degrees}" : $"/edges/blade?tag={Number}&angle={Degrees}";

    private string Degrees => Angle!.AngleDeg.ToString("0.#", CultureInfo.InvariantCulture);

    /// <inheritdoc />
    public override string Here => "/edges/photo";

    /// <summary>Shows it.</summary>
    public override async Task<IActionResult> OnGet(CancellationToken cancel)
    {
        if (await Load(cancel) is { } elsewhere)
        {
            return elsewhere;
        }
        Pictures = [.. Of?.Pictures ?? []];
        Shown = Pictures.FirstOrDefault(p => p.Id == Picture) ?? (Pictures.Count > 0 ? Pictures[0] : null);
        if (Known is null || Shown is null)
        {
            return Known is null ? NotFound() : Page();
        }
        (double w, double h) = (Shown.Width, Shown.Height);
        Points = [Point("tip", Tip, w * 0.3, h * 0.6, "the edge"), Point("one", One, w * 0.6, h * 0.45, "the one face"),
            Point("two", Two, w * 0.6, h * 0.6, "the other face")];
        Try("long", () => Angle = PhotoAngle.Of((Points[0].X, Points[0].Y), (Points[1].X, Points[1].Y), (Points[2].X, Points[2].Y),
            Units.MmOrNull(Long, "edge_to_point_mm")));
        return Page();
    }

    private (string, double, double, string) Point(string field, string? typed, double x, double y, string name)
    {
        (x, y) = PhotoPoints.One(typed, (x, y), Shown!.Width, Shown.Height);
        return (field, x, y, name);
    }

    /// <inheritdoc />
    protected override string FieldOf(string input, string otherwise) => input == "points" ? "points" : "long";
}
