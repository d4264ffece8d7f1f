using System.Text.Json;

namespace Foundling.Core.Soles;

/// <summary>A line a straightedge is laid along.</summary>
/// <param name="Key">Key.</param>
/// <param name="Name">Its name: "near edge", "from toe near to heel far".</param>
/// <param name="Stations">Stations along it, in order.</param>
public sealed record PlannedLine(string Key, string Name, IReadOnlyList<string> Stations);

/// <summary>A place where a feeler is slid under the straightedge.</summary>
/// <param name="Key">Key.</param>
/// <param name="XMm">How far along the face, mm.</param>
/// <param name="YMm">How far across, mm.</param>
/// <param name="Row">0 near the near edge, 1 in the middle, 2 near the far edge.</param>
public sealed record PlannedStation(string Key, double XMm, double YMm, int Row);

/// <summary>Where straightedge and feelers are laid on a face: two edges, two ends, both diagonals, the middle, and across before the mouth.</summary>
/// <param name="Stations">Where gaps are read.</param>
/// <param name="Lines">The lines over them.</param>
public sealed record FeelerPlan(IReadOnlyList<PlannedStation> Stations, IReadOnlyList<PlannedLine> Lines)
{
    private const int Columns = 5, RowsAcross = 3, Middle = 2, BeforeMouthMm = 5;
    private static readonly string[] RowNames = ["near edge", "middle", "far edge"];

    /// <summary>The lines of a face.</summary>
    /// <param name="lengthMm">Its length, mm.</param>
    /// <param name="widthMm">Its width, mm.</param>
    /// <param name="mouthFrontMm">Front of its mouth, mm from the toe; null for a face without one.</param>
    public static FeelerPlan Of(double lengthMm, double widthMm, double? mouthFrontMm)
    {
        List<double> along = [.. SurveyGrid.Along(lengthMm, Columns)];
        // The diagonals cross in the middle, so it lies there to the hair.
        along[Middle] = (along[0] + along[^1]) / 2;
        int? mouth = null;
        if (mouthFrontMm is double front)
        {
            // The mouth takes the place of the quarter it is nearer to.
            double land = Math.Round(front - BeforeMouthMm);
            int quarter = land < along[Middle] ? 1 : 3;
            if (land > along[quarter - 1] && land < along[quarter + 1] && Math.Abs(land - along[quarter]) < Math.Abs(land - along[Middle]))
            {
                (along[quarter], mouth) = (land, quarter);
            }
        }
        List<double> across = [.. SurveyGrid.Rows(widthMm)];
        across[1] = (across[0] + across[2]) / 2;
        List<PlannedStation> stations = [.. Enumerable.Range(0, Columns * RowsAcross)
            .Select(i => new PlannedStation(Key(i / RowsAcross, i % RowsAcross), along[i / RowsAcross], across[i % RowsAcross], i % RowsAcross))];
        IEnumerable<string> Row(int row) => Enumerable.Range(0, Columns).Select(c => Key(c, row));
        IEnumerable<string> Column(int column) => Enumerable.Range(0, RowsAcross).Select(r => Key(column, r));
        List<PlannedLine> lines =
        [
            new("near", RowNames[0], [.. Row(0)]), new("far", RowNames[2], [.. Row(2)]), new("middle", "middle", [.. Row(1)]),
            new("first", "first end, across", [.. Column(0)]), new("last", "other end, across", [.. Column(Columns - 1)]),
            new("down", "diagonal, near to far", [Key(0, 0), Key(Middle, 1), Key(Columns - 1, 2)]),
            new("up", "diagonal, far to near", [Key(0, 2), Key(Middle, 1), Key(Columns - 1, 0)]),
        ];
        if (mouth is int at)
        {
            lines.Add(new PlannedLine("mouth", "across, before the mouth", [.. Column(at)]));
        }
        return new FeelerPlan(stations, lines);
    }

    /// <summary>The lines that were laid, with their gaps, as a survey; stations that no line touched are left out.</summary>
    /// <param name="gaps">Gaps, mm, by line and station.</param>
    /// <exception cref="InputException">A line of one gap, or no line at all.</exception>
    public LineSurveyInput Laid(IReadOnlyDictionary<(string Line, string Station), double> gaps)
    {
        List<FeelerLine> lines = [];
        foreach (PlannedLine line in Lines)
        {
            List<string> read = [.. line.Stations.Where(s => gaps.ContainsKey((line.Key, s)))];
            if (read.Count == 1)
            {
                throw new InputException("one_gap", "gap", line.Name, "two gaps or more on a line",
                    $"Only one gap was read on the line \"{line.Name}\": a straightedge says nothing by one. Read 0 where it touches.");
            }
            if (read.Count > 1)
            {
                lines.Add(new FeelerLine(line.Name, [.. read.Select(s => new[]
                {
                    JsonSerializer.SerializeToElement(s), JsonSerializer.SerializeToElement(gaps[(line.Key, s)]),
                })]));
            }
        }
        HashSet<string> used = [.. lines.SelectMany(l => l.Readings).Select(r => r[0].GetString()!)];
        return new LineSurveyInput(Stations.Where(s => used.Contains(s.Key)).ToDictionary(s => s.Key, s => new[] { s.XMm, s.YMm }), lines);
    }

    /// <summary>Where a station is, in words without a unit: "near edge" or "middle".</summary>
    public static string RowName(int row) => RowNames[row];

    private static string Key(int column, int row) => $"{column}/{row}";
}
