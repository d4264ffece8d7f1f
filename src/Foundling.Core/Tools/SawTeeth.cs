using Foundling.Core.Tools.Kinds;

namespace Foundling.Core.Tools;

/// <summary>Teeth of a saw's drawing, redrawn from their count: stretching the plate would stretch them too.</summary>
internal static class SawTeeth
{
    private const double InchMm = 25.4, FaceAngle = 60, FinestDrawn = 14;
    private const int Several = 12;

    /// <summary>The drawing with its tooth line drawn anew.</summary>
    /// <param name="saw">The drawing.</param>
    /// <param name="teeth">How its teeth are drawn; null for what has none.</param>
    /// <param name="pointsPerInch">Points to the inch; null for as many as the kind is drawn with.</param>
    public static Profile Redraw(Profile saw, KindTeeth? teeth, double? pointsPerInch)
    {
        if (teeth is null)
        {
            return saw;
        }
        double usual = teeth.Points, rake = teeth.RakeDeg, line = saw.RestY - teeth.LineMm;
        double points = pointsPerInch is double counted and >= 2 and <= 40 ? counted : usual, pitch = InchMm / (points - 1);
        if (points > FinestDrawn)
        {
            // Finer teeth would run together: every second one is drawn.
            pitch *= 2;
        }
        double height = Height(pitch, rake), deepest = Height(InchMm / (usual - 1), rake) + 0.05;
        Outline Line(Outline path) => path.Redraw(Several, p => p.Y >= line - deepest && p.Y <= line + 0.05, (first, last) => Teeth(first.X, last.X,
            line, pitch, height, rake));
        return saw with { Parts = [.. saw.Parts.Select(p => p.Part == teeth.Part
            ? p with { Shapes = [.. p.Shapes.Select(s => s with { Path = Line(s.Path) })] }
            : p)] };
    }

    private static double Height(double pitch, double rake) => pitch / (Math.Tan(Radians(rake)) + Math.Tan(Radians(FaceAngle - rake)));

    private static double Radians(double degrees) => degrees * Math.PI / 180;

    private static IEnumerable<Spot> Teeth(double from, double to, double rest, double pitch, double height, double rake)
    {
        int count = Math.Max(1, (int)Math.Round(Math.Abs(to - from) / pitch));
        double step = (to - from) / count, face = height * Math.Tan(Radians(rake)) * Math.Sign(step);
        yield return new Spot(from, rest - height);
        for (int i = 0; i < count; i++)
        {
            // The front of a tooth looks to the toe.
            yield return new Spot(step < 0 ? from + ((i + 1) * step) - face : from + (i * step) + face, rest);
            yield return new Spot(from + ((i + 1) * step), rest - height);
        }
    }
}
