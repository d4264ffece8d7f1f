using static Foundling.Core.Tools.Fit;

namespace Foundling.Core.Tools;

/// <summary>What was measured on a tool, as far as its drawing follows it. All in mm, but the points to the inch.</summary>
/// <param name="LengthMm">Length of the kind: of the sole, of the tooth line, over all.</param>
/// <param name="MouthMm">Front of the mouth from the toe.</param>
/// <param name="WidthMm">Width of the iron, the blade or the edge.</param>
/// <param name="BladeMm">What is left of a chisel's blade, from the edge to the shoulder.</param>
/// <param name="PointsPerInch">Points of a saw to the inch.</param>
public readonly record struct FitMeasures(double LengthMm, double? MouthMm = null, double? WidthMm = null, double? BladeMm = null,
    double? PointsPerInch = null);

/// <summary>How the drawing of each kind follows its measurements: some parts stretch, the others keep their size and move.</summary>
internal static class ProfileFits
{
    private delegate Map? Rule(FitMeasures m);

    private static readonly Dictionary<KindId, Rule> Rules = new()
    {
        // Small bench planes have small furniture, so under the nominal length the whole drawing shrinks.
        [KindIds.MetalBenchPlane] = m => m.LengthMm < 245 ? null
            : Plane(m, 6, 245, 76, m.LengthMm < 300 ? 76.0 / 245 : 0.32, [0, 20, 58, 76, 103, 150, 206, 245], (l, mouth) =>
                [0, 20, mouth - 18, mouth, mouth + 27, mouth + 74, mouth + 130, l],
            [PartIds.Body], (part, l, group) => part.Is(PartIds.Knob, PartIds.KnobBolt) ? 0.12 * (l - 245) : group),
        [KindIds.WoodenBenchPlane] = m =>
            Plane(m, 6, 432, 152, m.LengthMm < 300 ? 0.37 : m.LengthMm > 500 ? 0.34 : 152.0 / 432, [0, 30, 110, 152, 190, 284, 374, 402, 432], (l, mouth) =>
                [0, 30, mouth - 42, mouth, mouth + 38, mouth + 132, mouth + 222, l - 30, l],
            [PartIds.Body], (part, _, group) => part == PartIds.Strike ? 0.43 * group : group),
        [KindIds.BlockPlane] = m =>
            Plane(m, 6, 158, 52, 52.0 / 158, [0, 14, 36, 52, 86, 128, 158], (l, mouth) => [0, 14, mouth - 16, mouth, mouth + 34, l - 30, l],
                [PartIds.Body, PartIds.ToePlate], (_, _, group) => group),
        [KindIds.RebatePlane] = m =>
            Plane(m, 6, 240, 92, 92.0 / 240, [0, 20, 80, 92, 140, 220, 240], (l, mouth) => [0, 20, mouth - 12, mouth, mouth + 48, l - 20, l], [PartIds.Body],
                (_, _, group) => group),
        [KindIds.PloughPlane] = m =>
            Plane(m, 4.63, 197, 84, 84.0 / 197, [8, 22, 70, 84, 130, 197], (l, mouth) => [8, 22, mouth - 14, mouth, mouth + 46, l],
                [PartIds.Body, PartIds.Skate], (part, l, group) => part.Is(PartIds.Fence, PartIds.Stem, PartIds.StemWedge) ? 0.47 * (l - 197) : group),
        [KindIds.ScraperPlane] = m =>
            Plane(m, 6, 236, 96, 96.0 / 236, [0, 20, 70, 96, 124, 178, 236], (l, mouth) => [0, 20, mouth - 26, mouth, mouth + 28, mouth + 82, l],
                [PartIds.Body],
            (part, l, group) => part.Is(PartIds.Knob, PartIds.KnobBolt) ? 0.16 * (l - 236) : part.Is(PartIds.Tote, PartIds.ToteBolt)
                ? Math.Min(group, l - 82 - 153) : group),
        [KindIds.ToothingPlane] = m =>
            Plane(m, 6, 190, 72, 72.0 / 190, [0, 26, 60, 72, 110, 156, 190], (l, mouth) => [0, 26, mouth - 12, mouth, mouth + 38, l - 34, l], [PartIds.Body],
                (part, l, group) => part == PartIds.Strike ? l - 190 : group),
        [KindIds.Spokeshave] = Spokeshave,
        [KindIds.HandSaw] = m => Saw(m, [0, 40, 560, 660], n => [0, 40, n - 100, n], [PartIds.Plate]),
        [KindIds.BackSaw] = m => Saw(m, [0, 20, 260, 305], n => [0, 20, n - 45, n], [PartIds.Plate, PartIds.Back]),
        [KindIds.Chisel] = Chisel,
        [KindIds.Drawknife] = m => Along(84.6, 294.6, m.LengthMm - 367),
        [KindIds.Axe] = m => Edge(Along(152.5, 602.5, m.LengthMm - 667), m, 62.5, 99.4, 176.9, 114),
        [KindIds.HewingHatchet] = m => Edge(Along(123.1, 381.1, m.LengthMm - 417), m, 67.1, 100.3, 169.3, 124),
        [KindIds.MetalHatchet] = m => Edge(Along(97, 217, m.LengthMm - 383), m, 47, 96.4, 141.4, 84),
        [KindIds.HandDrill] = m => Along(231, 306, m.LengthMm - 320),
        [KindIds.Brace] = m => m.LengthMm - 378 is >= -6 and <= 30 ? Along(322, 330, m.LengthMm - 378, 0.2) : null,
        [KindIds.Pruner] = Pruner,
    };

    /// <summary>The map of a kind for these measurements; null where the drawing is better made larger or smaller as a whole.</summary>
    public static Map? Of(KindId kind, FitMeasures m) => Rules.TryGetValue(kind, out Rule? rule) ? rule(m) : null;

    private static Map? Plane(FitMeasures m, double toe, double nominal, double nominalMouth, double share, double[] from, Func<double, double,
        double[]> knots, PartId[] stretch, Func<PartId, double, double, double> shift)
    {
        double mouth = m.MouthMm is double measured && measured > m.LengthMm * 0.2 && measured < m.LengthMm * 0.5 ? measured : m.LengthMm * share;
        double[] to = knots(m.LengthMm, mouth);
        if (nominal == 245 && to[^2] > m.LengthMm - 12)
        {
            // The tote of a short bench plane sits close to the heel: the mouth gives way.
            mouth = m.LengthMm - 130 - 12;
            to = knots(m.LengthMm, mouth);
        }
        return Fair(from, to) ? (part, p) => stretch.Contains(part) ? p with { X = Knots(p.X - toe, from, to) + toe } : p
            with { X = p.X + shift(part, m.LengthMm, mouth - nominalMouth) } : null;
    }

    private static Map? Saw(FitMeasures m, double[] from, Func<double, double[]> knots, PartId[] stretch)
    {
        double[] to = knots(m.LengthMm);
        return Fair(from, to) ? (part, p) => stretch.Contains(part) ? p with { X = Knots(p.X - 6, from, to) + 6 } : p with { X = p.X + to[^1] - from[^1] }
            : null;
    }

    private static Map? Spokeshave(FitMeasures m)
    {
        const double Middle = 131.4, Iron = 53, Across = 251;
        double w = m.WidthMm ?? Iron;
        double[] from = [0, 26.5, 36, 110, 125.4], to = [0, w / 2, (w / 2) + 9.5, ((m.LengthMm - Across) / 2) + 110, ((m.LengthMm - Across) / 2) + 125.4];
        return !Fair(from, to) ? null : (part, p) =>
        {
            double x = p.X - Middle, side = Math.Sign(x);
            return p with
            {
                X = Middle + (part switch
                {
                    var on when on.Is(PartIds.Body) => side * Knots(Math.Abs(x), from, to),
                    var on when on.Is(PartIds.Iron, PartIds.LeverCap) => x * w / Iron,
                    var on when on.Is(PartIds.Adjuster) => x + (side * 0.27 * (w - Iron)),
                    _ => x,
                }),
            };
        };
    }

    private static Map? Chisel(FitMeasures m)
    {
        const double Axis = 22.6, Blade = 88, Handle = 74, Nominal = 284, Width = 25.4, Shoulder = 114, Neck = 137;
        double more = m.LengthMm - Nominal, blade = m.BladeMm is double left ? left - 108 : more * Blade / (Blade + Handle);
        double[] from = [0, 18, 106, 188, 262, 296], to = [0, 18, 106 + blade, 188 + blade, 262 + more, 296 + more];
        double wide = (m.WidthMm ?? Width) / Width;
        return !Fair(from, to) ? null : (part, p) => new Spot(Knots(p.X, from, to), part != PartIds.Blade ? p.Y
            : Axis + ((p.Y - Axis) * (1 + ((wide - 1) * Math.Clamp((Neck - p.X) / (Neck - Shoulder), 0, 1)))));
    }

    private static Map? Pruner(FitMeasures m)
    {
        Spot pivot = new(77.5, 42.9);
        const double From = 52, To = 110;
        double more = m.LengthMm - 200;
        return more < -0.6 * (To - From) ? null : (part, p) =>
        {
            if (!part.Is(PartIds.UpperHandle, PartIds.LowerHandle, PartIds.Catch))
            {
                return p;
            }
            // Each handle grows along its own line, so that both ends come out at the same length.
            Spot line = part == PartIds.LowerHandle ? new(0.908, 0.419) : new(0.934, -0.359);
            double t = ((p.X - pivot.X) * line.X) + ((p.Y - pivot.Y) * line.Y), by = more / line.X * Math.Clamp((t - From) / (To - From), 0, 1);
            return new Spot(p.X + (by * line.X), p.Y + (by * line.Y));
        };
    }

    private static Map? Along(double from, double to, double more, double least = 0.25)
    {
        double[] before = [0, from, to, to + 1], after = [0, from, to + more, to + more + 1];
        return to - from + more < least * (to - from) ? null : (_, p) => p with { X = Knots(p.X, before, after) };
    }

    /// <summary>Adds the width of the edge: head and bit grow towards it.</summary>
    private static Map? Edge(Map? along, FitMeasures m, double middle, double fromY, double edgeY, double nominal) =>
        along is null || m.WidthMm is not double edge || edge < nominal / 3 || edge > nominal * 3 ? along : (part, p) =>
            along(part, part.Is(PartIds.Head, PartIds.Bit) ? p
                with { X = middle + ((p.X - middle) * (1 + (((edge / nominal) - 1) * Math.Clamp((p.Y - fromY) / (edgeY - fromY), 0, 1)))) } : p);
}

/// <summary>Where a point of a part goes, mm.</summary>
internal delegate Spot Map(PartId part, Spot point);

/// <summary>Piecewise linear maps through knots.</summary>
internal static class Fit
{
    private const double LeastShare = 0.2;

    /// <summary>Piecewise linear map through knots, the end pieces carried on.</summary>
    public static double Knots(double x, double[] from, double[] to)
    {
        int i = 1;
        while (i < from.Length - 1 && x > from[i])
        {
            i++;
        }
        return to[i - 1] + ((x - from[i - 1]) * (to[i] - to[i - 1]) / (from[i] - from[i - 1]));
    }

    /// <summary>True when no piece is squeezed to less than a fifth of what it was.</summary>
    public static bool Fair(double[] from, double[] to) => Enumerable.Range(1, from.Length - 1).All(i =>
        to[i] - to[i - 1] >= LeastShare * (from[i] - from[i - 1]));
}
