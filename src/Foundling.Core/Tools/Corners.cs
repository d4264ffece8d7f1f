namespace Foundling.Core.Tools;

/// <summary>Closed outlines given by their corners, each as x and y.</summary>
public static class Corners
{
    /// <summary>Area of an outline by the shoelace formula, square pixels.</summary>
    public static double Area(IReadOnlyList<double[]> outline)
    {
        double twice = 0;
        for (int i = 0; i < outline.Count; i++)
        {
            double[] p = outline[i], q = outline[(i + 1) % outline.Count];
            twice += (p[0] * q[1]) - (q[0] * p[1]);
        }
        return Math.Abs(twice) / 2;
    }

    /// <summary>True for a point inside an outline; a point on an edge belongs to one side only.</summary>
    public static bool Inside(IReadOnlyList<double[]> outline, double x, double y)
    {
        bool inside = false;
        for (int i = 0, j = outline.Count - 1; i < outline.Count; j = i++)
        {
            double[] a = outline[i], b = outline[j];
            if (a[1] > y != b[1] > y && x < ((b[0] - a[0]) * (y - a[1]) / (b[1] - a[1])) + a[0])
            {
                inside = !inside;
            }
        }
        return inside;
    }
}
