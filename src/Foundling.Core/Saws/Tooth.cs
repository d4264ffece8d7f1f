namespace Foundling.Core.Saws;

/// <summary>Teeth of a saw as they are counted and filed.</summary>
/// <param name="Tpi">Teeth an inch; null where points are given.</param>
/// <param name="Ppi">Points an inch, one more; null where teeth are given.</param>
/// <param name="RakeDeg">How far the front of a tooth leans back from upright, degrees; below 0 where it hooks forward.</param>
/// <param name="ToothedLengthMm">Length of the tooth line, mm; null where the teeth are not to be counted.</param>
/// <param name="FleamDeg">How far the front of a tooth is filed aslant, degrees.</param>
/// <param name="SlopeDeg">How far the file drops towards the handle side, degrees.</param>
public sealed record ToothInput(double? Tpi = null, double? Ppi = null, double RakeDeg = 0, double? ToothedLengthMm = null, double? FleamDeg = null,
    double? SlopeDeg = null);

/// <summary>A tooth, mm and degrees.</summary>
/// <param name="Tpi">Teeth an inch.</param>
/// <param name="Ppi">Points an inch.</param>
/// <param name="PitchMm">From point to point.</param>
/// <param name="ToothHeightMm">From gullet to point.</param>
/// <param name="LongFlankMm">Its longer side, which the face of the file must cover.</param>
/// <param name="FileSideAtLeastMm">Side of a triangular file whose three corners are each used and whose faces do not overlap.</param>
/// <param name="Teeth">Teeth on the line; null where its length was not given.</param>
public sealed record ToothResult(double Tpi, double Ppi, double PitchMm, double ToothHeightMm, double LongFlankMm, double FileSideAtLeastMm, int? Teeth);

/// <summary>Geometry of saw teeth filed with a three-square file.</summary>
public static class Tooth
{
    /// <summary>Angle of the file, degrees.</summary>
    public const int FileDeg = 60;

    /// <summary>Rake at either end, degrees, beyond which a three-square file cuts no tooth.</summary>
    public const int LeastRakeDeg = -30, MostRakeDeg = FileDeg;

    /// <summary>Most points an inch and longest tooth line that are reckoned with.</summary>
    public const int MostPoints = 60, MostLengthMm = 5000;

    private const int MostFleamDeg = 60;

    /// <summary>A tooth by its pitch and rake: h = pitch / (tan r + tan(60° - r)).</summary>
    /// <exception cref="InputException">Neither teeth nor points, both that do not agree, or a rake no file cuts.</exception>
    public static ToothResult Of(ToothInput input)
    {
        double tpi = Tpi(input), pitch = Units.Length.MmPerInch / tpi;
        double rake = Rake(input.RakeDeg), other = Rad(FileDeg) - rake;
        Check.Within(input.FleamDeg ?? 0, 0, MostFleamDeg, "fleam_deg");
        Check.Within(input.SlopeDeg ?? 0, 0, MostFleamDeg, "slope_deg");
        double height = pitch / (Math.Tan(rake) + Math.Tan(other)), flank = height / Math.Cos(Math.Max(rake, other));
        int? teeth = input.ToothedLengthMm is double length
            ? Whole.Floor(Check.Within(length, 0, MostLengthMm, "toothed_length_mm") / pitch) + 1 : null;
        return new ToothResult(tpi, tpi + 1, pitch, height, flank, 2 * flank, teeth);
    }

    /// <summary>A rake that a three-square file can cut, radians.</summary>
    internal static double Rake(double degrees) => Rad(Check.Between(degrees, LeastRakeDeg, MostRakeDeg, "rake_deg"));

    internal static double Rad(double degrees) => degrees * Math.PI / 180;

    private static double Tpi(ToothInput input)
    {
        if (input is { Tpi: double both, Ppi: double points } && Math.Abs(both + 1 - points) > Whole.Slack)
        {
            throw new InputException("tpi_and_ppi_disagree", "ppi", points, $"{both + 1:0.##}",
                $"{both:0.##} teeth an inch are {both + 1:0.##} points an inch, not {points:0.##}: give one of the two.");
        }
        double tpi = input.Tpi ?? (input.Ppi is double p ? p - 1 : throw new InputException("required", "tpi", null, "teeth or points an inch",
            "Give the teeth an inch or the points an inch."));
        return input.Tpi is null ? Check.Within(tpi + 1, Least, MostPoints, "ppi") - 1 : Check.Within(tpi, Least - 1, MostPoints, "tpi");
    }

    private const double Least = 3 / (double)2;
}
