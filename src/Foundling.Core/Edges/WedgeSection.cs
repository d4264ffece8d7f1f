namespace Foundling.Core.Edges;

/// <summary>A blade that thins towards its edge: axe, knife, hewing head.</summary>
/// <param name="AngleDeg">Angle between its faces behind the edge, degrees.</param>
/// <param name="ReachMm">How far behind the edge it is drawn, mm.</param>
/// <param name="HonedDeg">Angle of the honed edge, degrees; null where it is the same.</param>
/// <param name="LandMm">How wide that honed band is on each side that has one, mm.</param>
/// <param name="Side">Which side is ground.</param>
public sealed record WedgeSectionInput(double AngleDeg, double ReachMm, double? HonedDeg = null, double LandMm = 0, Ground Side = Ground.BothSides);

/// <summary>Which sides of a blade are ground.</summary>
public enum Ground
{
    /// <summary>Both, alike.</summary>
    BothSides,

    /// <summary>The left one, seen from the hand with the edge down; the right one is flat.</summary>
    LeftSide,

    /// <summary>The right one; the left one is flat.</summary>
    RightSide,
}

/// <summary>A section through such a blade, mm: the edge at 0, 0, the blade along x.</summary>
/// <param name="Outline">Corners [x, y] from the far end of the upper side to the edge and back along the lower side.</param>
/// <param name="Heel">Where the ground face of the upper side ends.</param>
/// <param name="ThickMm">How thick it is there, mm.</param>
public sealed record WedgeSection(IReadOnlyList<double[]> Outline, double[] Heel, double ThickMm)
{
    private const double MostMm = 100;

    /// <summary>The section of a blade.</summary>
    /// <exception cref="InputException">A honed edge more acute than the faces behind it, or sizes no blade has.</exception>
    public static WedgeSection Of(WedgeSectionInput input)
    {
        double angle = Check.Between(input.AngleDeg, 0, 90, "angle_deg"), reach = Check.Within(Check.Positive(input.ReachMm, "reach_mm"), 0, MostMm,
          "reach_mm");
        double honed = Check.Between(input.HonedDeg ?? angle, 0, 90, "honed_deg"), land = Check.Within(input.LandMm, 0, MostMm, "land_mm");
        if (honed < angle - Whole.Slack)
        {
            throw new InputException("secondary_below_primary", "honed_deg", honed, $"{angle:0.##} or more",
                $"An edge honed to {honed:0.##}° on faces of {angle:0.##}° would not be reached by the stone.");
        }
        bool both = input.Side == Ground.BothSides;
        double face = Edge.Rad(both ? angle / 2 : angle), stone = Edge.Rad(both ? honed / 2 : honed);
        double x = input.HonedDeg is null ? 0 : Math.Min(land * Math.Cos(stone), reach), y = x * Math.Tan(stone), far = y + ((reach - x) * Math.Tan(face));
        double[][] upper = [[reach, far], [x, y], [0, 0]];
        double[][] lower = both ? [[x, -y], [reach, -far]] : [[reach, 0]];
        double sign = input.Side == Ground.RightSide ? -1 : 1;
        double[][] outline = [.. upper.Concat(lower).Select(p => new[] { p[0], sign * p[1] })];
        return new WedgeSection(outline, outline[0], both ? 2 * far : far);
    }
}
