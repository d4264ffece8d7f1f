using Foundling.Core.Saws;

namespace Foundling.Web.Drawings;

/// <summary>Teeth to scale: from the side, and from above with their set.</summary>
public sealed class TeethView
{
    private const int Teeth = 6, Side = 24;
    private const double TallMost = 190, Plate = 46;

    /// <summary>Width of the drawing.</summary>
    public const double Width = 760;

    /// <summary>Draws teeth.</summary>
    /// <param name="input">The teeth.</param>
    /// <param name="set">Set and plate; null where they are not given.</param>
    /// <param name="fileSideMm">Side of a file that lies in a gullet; null for none.</param>
    public TeethView(ToothInput input, SetInput? set, double? fileSideMm)
    {
        var shape = ToothShape.Of(input, Teeth);
        Times = Math.Min((Width - (2 * Side)) / (Teeth * shape.Tooth.PitchMm), TallMost / shape.Tooth.ToothHeightMm);
        Base = 10 + (shape.Tooth.ToothHeightMm * Times);
        Outline = "M" + string.Join("L", shape.Outline.Select(p => $"{Figure.N(Side + (p[0] * Times))} {Figure.N(Base - (p[1] * Times))}"));
        Right = Side + (Teeth * shape.Tooth.PitchMm * Times);
        Body = $"{Outline}V{Figure.N(Base + Plate)}H{Side}Z";
        Height = Base + Plate;
        Points = [.. shape.Outline.Where((_, i) => i % 2 == 1).Select(p => Side + (p[0] * Times))];
        // The file lies with one corner in the third gullet, its faces along the flanks.
        if (fileSideMm is double side)
        {
            double rake = Math.PI * input.RakeDeg / 180, x = Side + (2 * shape.Tooth.PitchMm * Times), s = side * Times;
            (double X, double Y) Corner(double angle) => (x + (s * Math.Sin(angle)), Base - (s * Math.Cos(angle)));
            (double X, double Y) a = Corner(rake), b = Corner(rake - (Math.PI / 3));
            FilePath = $"M{Figure.N(x)} {Figure.N(Base)}L{Figure.N(a.X)} {Figure.N(a.Y)}L{Figure.N(b.X)} {Figure.N(b.Y)}Z";
        }
        if (set is not null)
        {
            Above = AboveOf(input, set);
        }
    }

    /// <summary>How many times as large as it is.</summary>
    public double Times { get; }

    /// <summary>The teeth and a strip of the plate.</summary>
    public string Body { get; }

    /// <summary>The tooth line alone, from gullet to gullet.</summary>
    public string Outline { get; }

    /// <summary>Where the gullets lie.</summary>
    public double Base { get; }

    /// <summary>The right end.</summary>
    public double Right { get; }

    /// <summary>Height of the drawing.</summary>
    public double Height { get; }

    /// <summary>Points along it.</summary>
    public IReadOnlyList<double> Points { get; }

    /// <summary>A file in a gullet; null for none.</summary>
    public string? FilePath { get; }

    /// <summary>The tooth line from above; null where set or plate is not given.</summary>
    public TeethAbove? Above { get; }

    private TeethAbove AboveOf(ToothInput input, SetInput set)
    {
        double t = set.PlateMm * Times, out1 = set.SetPerSideMm * Times, y = out1 + Rim, aslant = Math.Tan(Math.PI * (input.FleamDeg ?? 0) / 180) * t;
        List<string> teeth = [];
        for (int i = 0; i < Points.Count; i++)
        {
            // Points lean out to one side and the other in turn; the front of each is filed aslant.
            double x = Points[i], shift = i % 2 == 0 ? -out1 : out1, w = Math.Max(3, (Right - Side) / Teeth / 3);
            (double near, double far) = i % 2 == 0 ? (x, x + aslant) : (x + aslant, x);
            teeth.Add($"M{Figure.N(near)} {Figure.N(y + shift)}L{Figure.N(far)} {Figure.N(y + shift + t)}L{Figure.N(far + w)} {Figure.N(y + shift + t)}"
                + $"L{Figure.N(near + w)} {Figure.N(y + shift)}Z");
        }
        return new TeethAbove((2 * y) + t, y, t, teeth, y - out1, y + t + out1);
    }

    private const int Rim = 6;
}

/// <summary>A tooth line from above.</summary>
/// <param name="Height">Height of the drawing.</param>
/// <param name="PlateAt">Near side of the plate.</param>
/// <param name="PlateWide">Its thickness as drawn.</param>
/// <param name="Teeth">The teeth.</param>
/// <param name="KerfFrom">Near side of the kerf.</param>
/// <param name="KerfTo">Its far side.</param>
public sealed record TeethAbove(double Height, double PlateAt, double PlateWide, IReadOnlyList<string> Teeth, double KerfFrom, double KerfTo);
