using Foundling.Core.Edges;

namespace Foundling.Web.Drawings;

/// <summary>A mouth in section, to scale: body, bed, iron and cap iron. The front wall stands where it is; the iron moves.</summary>
public sealed class MouthView
{
    /// <summary>Width and height of the drawing, where the front wall stands, and the line of the sole.</summary>
    public const double Width = 760, Height = 400, WallX = 250, SoleY = 350;

    private const double ViewMm = 46, MetalMm = 5, WoodMm = 20, WallLeanDeg = 15, FrogFromMm = 4, FrogLongMm = 30;

    /// <summary>How many times as large as it is.</summary>
    public const double Times = Width / ViewMm;

    // The hump of a cap iron from its edge on: along and out, mm.
    private static readonly (double Along, double Out)[] Hump = [(0, 0), (1.2, 1.3), (4.5, 3.1), (8, 2.6), (12, 0.7), (ViewMm, 0.7), (ViewMm, 0)];

    /// <summary>Draws a mouth.</summary>
    /// <param name="input">Bed, iron and move.</param>
    /// <param name="plan">What becomes of it.</param>
    /// <param name="bevelDeg">Bevel of the iron, degrees.</param>
    /// <param name="capBackMm">How far behind the edge the cap iron sits, mm; null for none.</param>
    /// <param name="wooden">The sole is wood.</param>
    public MouthView(MouthPlanInput input, MouthPlan plan, double bevelDeg, double? capBackMm, bool wooden)
    {
        double t = input.NewIronMm ?? input.IronMm, bed = input.BedDeg * Math.PI / 180;
        MouthMm = plan.After.NewMouthMm;
        EdgeX = WallX + (MouthMm * Times);
        double high = wooden ? WoodMm : MetalMm, lean = high * Math.Tan(WallLeanDeg * Math.PI / 180);
        Front = $"M0 {N(SoleY)}H{N(WallX)}L{N(WallX - (lean * Times))} {N(SoleY - (high * Times))}H0Z";
        var section = EdgeSection.Of(new EdgeSectionInput(t, input.BedDeg, bevelDeg, BevelUp: input.BevelUp));
        // Both ends run on out of the drawing.
        double on = ViewMm * Math.Cos(bed), rise = ViewMm * Math.Sin(bed);
        Iron = "M" + string.Join("L", section.Outline.Select((p, i) => i is 0 or 5 ? At(p[0] + on, p[1] + rise) : At(p[0], p[1]))) + "Z";
        // Along the iron and out of its front.
        (double X, double Y) On(double along, double out1) => ((along * Math.Cos(bed)) - (out1 * Math.Sin(bed)), (along * Math.Sin(bed)) + (out1 *
          Math.Cos(bed)));
        // The bed lies behind the iron; on a bevel-up plane the back itself lies on it.
        double behind = input.BevelUp ? 0 : t, atSole = behind / Math.Sin(bed), moved = input.ForwardMm;
        (double X, double Y) low = On((FrogFromMm / Math.Sin(bed)) + (behind / Math.Tan(bed)), -behind), top = On(FrogLongMm, -behind);
        double depth = 9;
        Frog = input.Moves && !input.BevelUp ? "M" + string.Join("L", new[] { (low.X, low.Y), (top.X, top.Y), (top.X + depth, top.Y), (low.X + depth + 6,
          low.Y) }
            .Select(p => At(p.Item1, p.Item2))) + "Z" : "";
        // The body does not move with the frog: its ramp stays where the bed met the sole.
        double ramp = atSole + (input.BevelUp ? 0 : moved), up = Frog.Length > 0 ? FrogFromMm : Math.Min(high, FrogLongMm * Math.Sin(bed)),
            at = EdgeXOf(ramp), over = EdgeXOf(ramp + (up / Math.Tan(bed)));
        Rear = $"M{N(at)} {N(SoleY)}L{N(over)} {N(SoleY - (up * Times))}H{N(Width)}V{N(SoleY)}Z";
        CapX = EdgeX;
        if (capBackMm is double back)
        {
            double side = input.BevelUp ? t : 0;
            Cap = "M" + string.Join("L", Hump.Select(h => { (double x, double y) = On(back + h.Along, side + h.Out); return At(x, y); })) + "Z";
            (double cx, double cy) = On(back, side);
            (CapX, CapY) = (EdgeX + (cx * Times), SoleY - (cy * Times));
        }
        AlongPer = Math.Cos(bed) * Times;
        (double kx, double ky) = On(FrogLongMm * 0.8, -behind);
        (KnobX, KnobY) = (EdgeX + (kx * Times), SoleY - (ky * Times));
        KnobFrom = KnobX + (moved * Times);
    }

    /// <summary>The mouth that is drawn, mm.</summary>
    public double MouthMm { get; }

    /// <summary>Where the edge is.</summary>
    public double EdgeX { get; }

    /// <summary>The body in front of the mouth.</summary>
    public string Front { get; }

    /// <summary>The body behind it.</summary>
    public string Rear { get; }

    /// <summary>The frog; empty where none moves.</summary>
    public string Frog { get; }

    /// <summary>The iron.</summary>
    public string Iron { get; }

    /// <summary>The cap iron; empty for none.</summary>
    public string Cap { get; } = "";

    /// <summary>The edge of the cap iron.</summary>
    public double CapX { get; }

    /// <summary>The edge of the cap iron.</summary>
    public double CapY { get; }

    /// <summary>Across the drawing for each mm along the iron.</summary>
    public double AlongPer { get; }

    /// <summary>The point that moves the frog.</summary>
    public double KnobX { get; }

    /// <summary>The point that moves the frog.</summary>
    public double KnobY { get; }

    /// <summary>Where that point is before it is moved.</summary>
    public double KnobFrom { get; }

    private static string N(double v) => Figure.N(v);

    private double EdgeXOf(double mm) => EdgeX + (mm * Times);

    private string At(double x, double y) => $"{N(EdgeXOf(x))} {N(SoleY - (y * Times))}";
}
