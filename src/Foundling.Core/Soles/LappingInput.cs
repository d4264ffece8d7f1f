using System.Text.Json.Serialization;
using Foundling.Core.Grits;

namespace Foundling.Core.Soles;

/// <summary>What lies under the abrasive.</summary>
public enum LappingPlate
{
    /// <summary>Paper on glass.</summary>
    PaperOnGlass,

    /// <summary>Paper on fibreboard.</summary>
    PaperOnMdf,
}

/// <summary>Shape of a sole, mm; bows positive when the ends are high.</summary>
/// <param name="LengthwiseBowMm">Bow along it.</param>
/// <param name="CrosswiseBowMm">Bow across.</param>
/// <param name="TwistMm">Wind between the ends.</param>
/// <param name="Dips">Round dips in it; a negative one is a bump.</param>
/// <param name="EndsMm">How far toe and heel are worn down at their very ends.</param>
public sealed record SoleShape(double LengthwiseBowMm = 0, double CrosswiseBowMm = 0, double TwistMm = 0, IReadOnlyList<Dip>? Dips = null,
    double EndsMm = 0)
{
    private const double EndShare = 0.2;

    /// <summary>Height at a place, mm.</summary>
    /// <param name="x">From the toe, mm.</param>
    /// <param name="y">From the near edge, mm.</param>
    /// <param name="length">Length of the sole, mm.</param>
    /// <param name="width">Its width, mm.</param>
    public double At(double x, double y, double length, double width)
    {
        double u = (x - (length / 2)) * 2 / length, v = (y - (width / 2)) * 2 / width;
        double z = (LengthwiseBowMm * u * u) + (CrosswiseBowMm * v * v) + (TwistMm * u * v / 4);
        foreach (Dip dip in Dips ?? [])
        {
            double r2 = Math.Pow(x - dip.XMm, 2) + Math.Pow(y - dip.YMm, 2);
            z -= dip.DepthMm * Math.Exp(-r2 / (2 * dip.RadiusMm * dip.RadiusMm));
        }
        double end = Math.Max(0, (EndShare * length) - Math.Min(x, length - x)) / (EndShare * length);
        return z - (EndsMm * end * end);
    }
}

/// <summary>A round dip, mm.</summary>
public sealed record Dip(double XMm, double YMm, double DepthMm, double RadiusMm);

/// <summary>The mouth, centred on the width, mm.</summary>
public sealed record MouthOpening(double FromMm, double ToMm, double WidthMm);

/// <summary>A groove along the whole length, mm across.</summary>
public sealed record Groove(double FromMm, double ToMm);

/// <summary>Where the hands press from some stroke on.</summary>
/// <param name="FromStroke">From this stroke on.</param>
/// <param name="XMm">From the toe, mm.</param>
/// <param name="YMm">From the near edge, mm; null for the middle.</param>
/// <param name="ForceN">How hard, N; null for as before.</param>
public sealed record LapPress(double FromStroke, double XMm, double? YMm = null, double? ForceN = null);

/// <summary>A sole to be lapped, by its shape or by the readings of a survey.</summary>
/// <param name="LengthMm">Its length, mm.</param>
/// <param name="WidthMm">Its width, mm.</param>
/// <param name="Grit">The grade of the paper.</param>
/// <param name="Shape">Its shape; null where readings are given.</param>
/// <param name="CellMm">Size of the cells it is reckoned in, mm.</param>
/// <param name="Plate">What lies under the paper.</param>
/// <param name="ForceN">How hard the hands press, N; null for as usual.</param>
/// <param name="ForceXMm">Where they press, mm from the toe; null for the middle.</param>
/// <param name="ForceYMm">Where they press, mm from the near edge; null for the middle.</param>
/// <param name="MouthFrontMm">Front of the mouth, mm from the toe.</param>
/// <param name="MouthOpening">The mouth, which carries no pressure.</param>
/// <param name="Grooves">Grooves, which carry none.</param>
/// <param name="Metal">What it is made of.</param>
/// <param name="ReportAfterStrokes">Strokes after which the picture is wanted.</param>
/// <param name="MaxStrokes">The run ends here at the latest.</param>
/// <param name="PointsMm">Readings [x, y, height], mm, in place of the shape.</param>
/// <param name="LeftOutMm">Readings of pits and of a worn toe: as they are, but no mark need go there.</param>
/// <param name="Presses">Where the hands go later.</param>
/// <param name="GritUm">Mean size of the grain where the grade is none of the listed, µm.</param>
/// <param name="CellAcrossMm">Size of the cells across, mm; null for as along it. Grooves want narrow ones.</param>
public sealed record LappingInput(
    double LengthMm,
    double WidthMm,
    string Grit,
    SoleShape? Shape = null,
    double CellMm = 5,
    LappingPlate Plate = LappingPlate.PaperOnGlass,
    double? ForceN = null,
    double? ForceXMm = null,
    double? ForceYMm = null,
    double? MouthFrontMm = null,
    MouthOpening? MouthOpening = null,
    IReadOnlyList<Groove>? Grooves = null,
    LapMetal Metal = LapMetal.Iron,
    IReadOnlyList<int>? ReportAfterStrokes = null,
    int MaxStrokes = 20000,
    IReadOnlyList<double[]>? PointsMm = null,
    IReadOnlyList<double[]>? LeftOutMm = null,
    IReadOnlyList<LapPress>? Presses = null,
    double? GritUm = null,
    double? CellAcrossMm = null);

/// <summary>Share of each zone's cells whose marks are gone.</summary>
public sealed record ZoneShares(double? Toe, double? Mouth, double? Heel);

/// <summary>The sole after some strokes.</summary>
public sealed record LappingSnapshot(
    double Strokes,
    double TouchingFraction,
    double CleanedFraction,
    double FaintFraction,
    double PeakPressureKpa,
    double MaxWearUm,
    ZoneShares ZoneCleanedFraction);

/// <summary>How long it takes to bring the sole in; null when the run ended first.</summary>
public sealed record LappingResult(
    double? StrokesThreeZones,
    double? MinutesThreeZones,
    double? MaxWearAtThreeZonesMm,
    double? MetalRemovedAtThreeZonesCm3,
    double? Strokes90Contact,
    double? Minutes90Contact,
    double? MaxWearAt90ContactMm,
    double? MetalRemovedAt90ContactCm3,
    int? SheetsTo90Contact,
    IReadOnlyList<LappingSnapshot> Snapshots)
{
    /// <summary>Strokes until the land before the mouth bears, which is flat enough to try a cut; null when the run ended first.</summary>
    public double? StrokesMouth { get; init; }

    /// <summary>Greatest error of the balance of force over the run, as a share of the force.</summary>
    [JsonIgnore]
    public double WorstForceError { get; init; }

    /// <summary>Greatest error of the balance of moments over the run, as a share of the force at half the length.</summary>
    [JsonIgnore]
    public double WorstMomentError { get; init; }
}

/// <summary>The sole at some stroke, cell by cell.</summary>
/// <param name="Strokes">Strokes so far.</param>
/// <param name="WearMm">Metal gone from each cell that bears, mm.</param>
/// <param name="SinkMm">How far each is pressed into the layer, mm; below 0 for what does not touch.</param>
public sealed record LapFrame(double Strokes, IReadOnlyList<double> WearMm, IReadOnlyList<double> SinkMm);
