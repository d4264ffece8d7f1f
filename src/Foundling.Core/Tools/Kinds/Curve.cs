using System.Globalization;
using System.Text;

namespace Foundling.Core.Tools.Kinds;

/// <summary>A point of a traced outline, mm.</summary>
/// <param name="At">Where it is.</param>
/// <param name="Corner">True for a corner, false for a curve, null to judge by how sharply the line turns there.</param>
internal readonly record struct CurvePoint(Spot At, bool? Corner);

/// <summary>A closed curve through points, as cubic curves: smooth where the points turn gently, sharp at corners.</summary>
internal sealed class Curve
{
    // An eye takes a turn for a corner from about here; a ring of seven taps is still round.
    private const double CornerDeg = 55;

    // A handle is never much longer than the shorter side at its point, so that a straight edge stays straight up to the curve it ends in.
    private const double HandleTimes = 1.5;

    private readonly List<(Spot A, Spot B, Spot To)> _pieces = [];
    private readonly Spot _start;

    /// <param name="points">Points in order, three or more; such as lie on each other are taken once.</param>
    public Curve(IReadOnlyList<CurvePoint> points)
    {
        List<CurvePoint> kept = [.. points.Where((p, i) => Far(p.At, points[(i + 1) % points.Count].At) > 0.01)];
        int n = kept.Count;
        _start = n == 0 ? points[0].At : kept[0].At;
        for (int i = 0; i < n && n >= 3; i++)
        {
            CurvePoint from = kept[i], to = kept[(i + 1) % n];
            Spot before = kept[(i + n - 1) % n].At, after = kept[(i + 2) % n].At;
            double length = Far(from.At, to.At);
            Spot a = Handle(before, from, to.At, length, Far(before, from.At), 1), b = Handle(from.At, to, after, length, Far(to.At, after), -1);
            _pieces.Add((a, b, to.At));
        }
    }

    /// <summary>True when it goes round something.</summary>
    public bool Closes => _pieces.Count >= 3;

    /// <summary>Its path data, hundredths of a millimetre.</summary>
    public override string ToString()
    {
        var text = new StringBuilder();
        text.Append(CultureInfo.InvariantCulture, $"M{_start.X:0.##} {_start.Y:0.##}");
        foreach ((Spot a, Spot b, Spot to) in _pieces)
        {
            text.Append(CultureInfo.InvariantCulture, $"C{a.X:0.##} {a.Y:0.##} {b.X:0.##} {b.Y:0.##} {to.X:0.##} {to.Y:0.##}");
        }
        return text.Append('Z').ToString();
    }

    /// <summary>The handle at a point: along the line there, as long as the sides allow.</summary>
    private static Spot Handle(Spot before, CurvePoint at, Spot after, double length, double other, int forward)
    {
        (Spot In, Spot Out) way = (Unit(before, at.At), Unit(at.At, after));
        double turn = Math.Abs(Math.Atan2((way.In.X * way.Out.Y) - (way.In.Y * way.Out.X), (way.In.X * way.Out.X) + (way.In.Y * way.Out.Y))) * 180 / Math.PI;
        if (at.Corner ?? turn > CornerDeg)
        {
            Spot straight = forward > 0 ? way.Out : way.In;
            return Along(at.At, straight, forward * length / 3);
        }
        // The nearer neighbour says more of the way the line runs.
        double far = Far(before, at.At), further = Far(at.At, after);
        Spot tangent = Unit(default, new Spot((way.In.X * further) + (way.Out.X * far), (way.In.Y * further) + (way.Out.Y * far)));
        return Along(at.At, tangent, forward * Math.Min(length, HandleTimes * other) / 3);
    }

    private static Spot Along(Spot from, Spot way, double far) => new(from.X + (way.X * far), from.Y + (way.Y * far));

    private static double Far(Spot a, Spot b) => Math.Sqrt(((a.X - b.X) * (a.X - b.X)) + ((a.Y - b.Y) * (a.Y - b.Y)));

    private static Spot Unit(Spot a, Spot b) => Far(a, b) is > 0 and var far ? new Spot((b.X - a.X) / far, (b.Y - a.Y) / far) : default;
}
