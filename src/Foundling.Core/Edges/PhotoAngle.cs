namespace Foundling.Core.Edges;

/// <summary>A blade measured on a photograph that was taken square to it: the angle of its faces, and its thickness where a length is known.</summary>
/// <param name="AngleDeg">Between the lines from the edge to the two points, degrees.</param>
/// <param name="ThickMm">Between the two points, mm; null without a scale.</param>
public sealed record PhotoAngle(double AngleDeg, double? ThickMm)
{
    // Nearer than this the eye cannot place a point, and the angle means nothing.
    private const double LeastPixels = 8;

    /// <summary>Measures it.</summary>
    /// <param name="edge">The edge, pixels.</param>
    /// <param name="one">A point on the one face.</param>
    /// <param name="other">A point on the other face.</param>
    /// <param name="edgeToOneMm">From the edge to the first point, mm, which gives the scale; null for none.</param>
    /// <exception cref="InputException">Points that lie on one another.</exception>
    public static PhotoAngle Of((double X, double Y) edge, (double X, double Y) one, (double X, double Y) other, double? edgeToOneMm = null)
    {
        static double Far((double X, double Y) a, (double X, double Y) b) => Math.Sqrt(((a.X - b.X) * (a.X - b.X)) + ((a.Y - b.Y) * (a.Y - b.Y)));
        double a = Far(edge, one), b = Far(edge, other);
        if (a < LeastPixels || b < LeastPixels)
        {
            throw new InputException("points_too_near", "points", Math.Min(a, b), $"{LeastPixels:0} pixels or more",
                "Put the points apart: one on the edge, one on each face as far back as it is straight.");
        }
        double dot = (((one.X - edge.X) * (other.X - edge.X)) + ((one.Y - edge.Y) * (other.Y - edge.Y))) / (a * b);
        return new PhotoAngle(Edge.Deg(Math.Acos(Math.Clamp(dot, -1, 1))),
            edgeToOneMm is double mm ? Check.Positive(mm, "edge_to_point_mm") / a * Far(one, other) : null);
    }
}
