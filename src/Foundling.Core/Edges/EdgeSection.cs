namespace Foundling.Core.Edges;

/// <summary>An iron as it stands in its bed, seen from the side.</summary>
/// <param name="ThicknessMm">How thick it is, mm.</param>
/// <param name="BedDeg">Its bed against the sole, degrees.</param>
/// <param name="BevelDeg">The ground bevel against the back, degrees.</param>
/// <param name="SecondaryBevelDeg">The honed one, degrees; null for none.</param>
/// <param name="LandMm">Width of the honed one, mm.</param>
/// <param name="BackBevelDeg">A bevel on the back, degrees; 0 for none.</param>
/// <param name="BackLandMm">Its width, mm.</param>
/// <param name="BevelUp">The bevel faces up.</param>
/// <param name="Rounded">The bevel is rounded under: it has its full angle, the honed one, only at the edge.</param>
public sealed record EdgeSectionInput(double ThicknessMm, double BedDeg, double BevelDeg, double? SecondaryBevelDeg = null, double LandMm = 0,
    double BackBevelDeg = 0, double BackLandMm = 0, bool BevelUp = false, bool Rounded = false);

/// <summary>A section through an edge, mm: the edge at 0, 0; x away from the wood still to be cut, y up from the planed surface.</summary>
/// <param name="Outline">Corners [x, y]: end of the back, where its bevel begins, the edge, end of the honed bevel, heel of the ground one, end of that
/// side.</param>
/// <param name="Heel">The heel of the ground bevel.</param>
/// <param name="Round">Where the tangents at the edge and at the heel of a rounded bevel meet; null for a flat one.</param>
public sealed record EdgeSection(IReadOnlyList<double[]> Outline, double[] Heel, double[]? Round = null)
{
    /// <summary>Width of a honed bevel nobody measured, mm: half of what asks for a grind.</summary>
    public static double UsualLandMm(Assumptions a) => a.RegrindLandMm / 2;

    private const int Times = 3;
    private const double MostMm = 100;

    /// <summary>The section of an iron.</summary>
    /// <exception cref="InputException">A honed bevel flatter than the ground one, or sizes no iron has.</exception>
    public static EdgeSection Of(EdgeSectionInput input)
    {
        double t = Check.Within(Check.Positive(input.ThicknessMm, "thickness_mm"), 0, MostMm, "thickness_mm");
        double bed = Edge.Rad(Check.Between(input.BedDeg, 0, 180, "bed_deg")), beta = Edge.Rad(Check.Between(input.BevelDeg, 0, 90, "bevel_deg"));
        double honed = input.SecondaryBevelDeg is double second ? Edge.Rad(Check.Between(second, 0, 90, "secondary_bevel_deg")) : beta;
        if (honed < beta - Whole.Slack)
        {
            throw new InputException("secondary_below_primary", "secondary_bevel_deg", input.SecondaryBevelDeg, $"more than {input.BevelDeg:0.##}",
                $"A secondary bevel of {input.SecondaryBevelDeg:0.##}° is flatter than the bevel of {input.BevelDeg:0.##}°: it would not reach the edge.");
        }
        double back = Edge.Rad(Check.Within(input.BackBevelDeg, 0, 45, "back_bevel_deg"));
        double land = input.SecondaryBevelDeg is null || input.Rounded ? 0 : Math.Min(Check.NotNegative(input.LandMm, "land_mm"), t / Math.Sin(honed));
        double backLand = back <= 0 ? 0 : Check.Within(input.BackLandMm, 0, MostMm, "back_land_mm");
        double raised = backLand * Math.Sin(back), left = Math.Max(0, t - raised - (land * Math.Sin(honed)));
        double heel = (land * Math.Cos(honed)) + (left / Math.Tan(beta)), end = Math.Max(heel, t) * Times;
        // Along the iron and out of its back: the bevel lies on the other side.
        double side = input.BevelUp ? 1 : -1;
        double[] At(double along, double out1) => [(along * Math.Cos(bed)) - (out1 * Math.Sin(bed)), (along * Math.Sin(bed)) + (out1 * Math.Cos(bed))];
        double[][] outline =
        [
            At(end, -side * raised), At(backLand * Math.Cos(back), -side * raised), At(0, 0), At(land * Math.Cos(honed), side * land * Math.Sin(honed)),
            At(heel, side * (t - raised)), At(end, side * (t - raised)),
        ];
        // Half way to the heel along the full angle: from there the curve turns in towards it.
        double half = heel / 2;
        return new EdgeSection(outline, outline[4], input.Rounded ? At(half, side * Math.Min(half * Math.Tan(honed), t - raised)) : null);
    }
}
