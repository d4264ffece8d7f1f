using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.Tools;

/// <summary>What was measured on a tool, as far as its drawing follows it. All in mm, but the points to the inch.</summary>
/// <param name="LengthMm">Length of the kind: of the sole, of the tooth line, over all.</param>
/// <param name="MouthMm">Front of the mouth from the toe.</param>
/// <param name="WidthMm">Width of the iron, the blade or the edge.</param>
/// <param name="BladeMm">What is left of a chisel's blade, from the edge to the shoulder.</param>
/// <param name="PointsPerInch">Points of a saw to the inch.</param>
public readonly record struct FitMeasures(double LengthMm, double? MouthMm = null, double? WidthMm = null, double? BladeMm = null,
    double? PointsPerInch = null);

/// <summary>Where a point of a part goes, mm.</summary>
internal delegate Spot Map(PartId part, Spot point);

/// <summary>How a drawing follows measurements, by the fit of its kind: some parts stretch, the others keep their size and move.</summary>
internal static class ProfileFits
{
    // No piece is squeezed to less than a fifth of what it was.
    private const double LeastShare = 0.2;

    private delegate Spot Delta(Spot point);

    /// <summary>The map of a kind for these measurements; null where the drawing is better made larger or smaller as a whole.</summary>
    public static Map? Of(KindFile kind, FitMeasures m)
    {
        if (kind.Fit is not { } fit || m.LengthMm < fit.FromMm || m.LengthMm > fit.ToMm)
        {
            return null;
        }
        double[] at = Measures(fit, m);
        var moves = new List<(IReadOnlyList<PartId>? Parts, Delta Delta)>();
        foreach (KindMove move in fit.Moves)
        {
            if (!Moves(move, at, out List<Delta> deltas))
            {
                return null;
            }
            moves.AddRange(deltas.Select(d => (move.Parts, d)));
        }
        HashSet<PartId> named = [.. fit.Moves.SelectMany(v => v.Parts ?? [])];
        return (part, p) =>
        {
            Spot to = p;
            foreach ((IReadOnlyList<PartId>? parts, Delta delta) in moves)
            {
                if (parts?.Contains(part) ?? !named.Contains(part))
                {
                    Spot by = delta(p);
                    to = new Spot(to.X + by.X, to.Y + by.Y);
                }
            }
            return to;
        };
    }

    /// <summary>L, m, W and B: as measured where that can be believed, else as is usual.</summary>
    private static double[] Measures(KindFit fit, FitMeasures m)
    {
        double[] at = [m.LengthMm, 0, fit.WidthMm ?? 0, 0];
        at[1] = m.MouthMm is double mouth && mouth > fit.MouthShares[0] * m.LengthMm && mouth < fit.MouthShares[1] * m.LengthMm ? mouth
            : fit.Mouth.FirstOrDefault(u => u.BelowMm is null || m.LengthMm < u.BelowMm) is { } usual ? Linear.Parse(usual.Is).At(at) : 0;
        at[1] = fit.MouthMost is { } most ? Math.Min(at[1], Linear.Parse(most).At(at)) : at[1];
        at[2] = m.WidthMm is double width && width >= fit.WidthTimes[0] * fit.WidthMm
            && width <= fit.WidthTimes[1] * fit.WidthMm ? width : at[2];
        at[3] = m.BladeMm ?? (fit.Blade is { } blade ? Linear.Parse(blade).At(at) : 0);
        return at;
    }

    private static bool Moves(KindMove move, double[] measures, out List<Delta> deltas)
    {
        double Is(string sum) => Linear.Parse(sum).At(measures);
        deltas = [];
        if (move.Knots is { } knots)
        {
            double[] from = [.. knots.At], to = [.. knots.To.Select(Is)];
            if (!Fair(from, to))
            {
                return false;
            }
            deltas.Add(p =>
            {
                double x = p.X - knots.Origin, side = knots.Both ? Math.Sign(x) : 1;
                return new Spot((side * Knots(side * x, from, to)) - x, 0);
            });
        }
        if (move.Right is { } right)
        {
            double by = Is(right);
            deltas.Add(p => new Spot(move.From is double line ? Math.Sign(p.X - line) * by : by, 0));
        }
        if (move.Scale is { } scale)
        {
            double more = Is(scale.By) - 1;
            deltas.Add(p =>
            {
                double along = scale.Across ? p.X : p.Y;
                double share = scale is { Full: double full, None: double none } ? Math.Clamp((along - none) / (full - none), 0, 1) : 1;
                return scale.Across ? new Spot(0, (p.Y - scale.About) * more * share) : new Spot((p.X - scale.About) * more * share, 0);
            });
        }
        if (move.Stretch is { } stretch)
        {
            double by = Is(stretch.By), run = stretch.To - stretch.From;
            Spot origin = new(stretch.Origin?[0] ?? 0, stretch.Origin?[1] ?? 0), along = new(stretch.Along?[0] ?? 1, stretch.Along?[1] ?? 0);
            deltas.Add(p =>
            {
                double t = ((p.X - origin.X) * along.X) + ((p.Y - origin.Y) * along.Y), far = by * Math.Clamp((t - stretch.From) / run, 0, 1);
                return new Spot(far * along.X, far * along.Y);
            });
            return run + by >= LeastShare * run;
        }
        return true;
    }

    /// <summary>Piecewise linear map through knots, the end pieces carried on.</summary>
    private static double Knots(double x, double[] from, double[] to)
    {
        int i = 1;
        while (i < from.Length - 1 && x > from[i])
        {
            i++;
        }
        return to[i - 1] + ((x - from[i - 1]) * (to[i] - to[i - 1]) / (from[i] - from[i - 1]));
    }

    private static bool Fair(double[] from, double[] to) => Enumerable.Range(1, from.Length - 1).All(i =>
        to[i] - to[i - 1] >= LeastShare * (from[i] - from[i - 1]));
}
