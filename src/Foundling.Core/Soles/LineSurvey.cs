using System.Text.Json;
using MathNet.Numerics.LinearAlgebra;
using MathNet.Numerics.LinearAlgebra.Factorization;

namespace Foundling.Core.Soles;

/// <summary>One straightedge line with its feeler readings, each [station, gap in mm], in order along the line.</summary>
public sealed record FeelerLine(string Line, IReadOnlyList<JsonElement[]> Readings);

/// <summary>Stations [x, y] in mm and the lines laid over them.</summary>
public sealed record LineSurveyInput(IReadOnlyDictionary<string, double[]> StationsMm, IReadOnlyList<FeelerLine> Lines);

/// <summary>Heights at the stations over their least squares plane, mm, and how well the lines close.</summary>
public sealed record LineSurveyResult(
    IReadOnlyDictionary<string, double> HeightMm,
    double FlatnessLsqMm,
    double FlatnessMinimumZoneMm,
    double ClosureWorstMm,
    double ClosureRmsMm,
    string ClosureWorstStation);

/// <summary>Turns straightedge lines with feeler gaps into heights.</summary>
public static class LineSurvey
{
    /// <summary>Most stations, lines and readings taken; a survey by hand has a few dozen.</summary>
    public const int MostStations = 2000, MostLines = 60, MostReadings = 10_000;

    private sealed record Row(int Station, int Line, double T, double Gap);

    /// <summary>
    /// Solves z(station) = alpha + beta t - gap by least squares. A station's own height is the mean of what its lines say,
    /// so only the lines are unknown: a small problem however many stations there are. Three freedoms are the plane; more
    /// than that means the lines leave the shape open.
    /// </summary>
    /// <exception cref="InputException">An unknown station, or lines that leave the shape open.</exception>
    public static LineSurveyResult Solve(LineSurveyInput input)
    {
        if (input.StationsMm.Count > MostStations || input.Lines.Count > MostLines || input.Lines.Sum(l => l.Readings.Count) > MostReadings)
        {
            throw new InputException("too_many", "lines", input.Lines.Count,
                $"at most {MostLines} lines, {MostStations} stations and {MostReadings:#,0} readings",
                $"That is more than a straightedge survey has: at most {MostLines} lines, {MostStations:#,0} stations and {MostReadings:#,0} readings.");
        }
        List<string> stations = [.. input.StationsMm.Keys];
        List<Row> rows = Rows(input, stations);
        if (rows.Count == 0)
        {
            throw new InputException("lines_leave_the_shape_open", "lines", 0, "six or eight lines",
                "Lay the straightedge along at least six lines: two edges, two ends and both diagonals.");
        }
        double scale = Math.Max(1e-9, rows.Max(r => r.T));
        int unknowns = 2 * input.Lines.Count;
        ILookup<int, Row> at = rows.ToLookup(r => r.Station);
        // Each reading against the mean of its station: what is left over is what the lines disagree about.
        var matrix = Matrix<double>.Build.Dense(Math.Max(rows.Count, unknowns), unknowns);
        var right = Vector<double>.Build.Dense(matrix.RowCount);
        for (int k = 0; k < rows.Count; k++)
        {
            Row own = rows[k];
            double share = 1.0 / at[own.Station].Count();
            matrix[k, 2 * own.Line] += 1;
            matrix[k, (2 * own.Line) + 1] += own.T / scale;
            right[k] += own.Gap;
            foreach (Row other in at[own.Station])
            {
                matrix[k, 2 * other.Line] -= share;
                matrix[k, (2 * other.Line) + 1] -= share * other.T / scale;
                right[k] -= share * other.Gap;
            }
        }
        var qr = matrix.QR(QRMethod.Thin);
        var svd = qr.R.Svd();
        int rank = svd.S[0] <= 0 ? 0 : svd.S.Count(v => v > 1e-9 * svd.S[0]);
        int open = unknowns - rank - 3 + (stations.Count - at.Count);
        if (open > 0 || !Planes.AreSpread([.. input.StationsMm.Values.Select(p => new[] { p[0], p[1], 0 })]))
        {
            throw Open(Math.Max(open, 1), LineSight.Unseen(input, [.. stations.Where((_, i) => !at.Contains(i))]), input.Lines.Count);
        }
        // The plane is free, so the shortest solution is taken and its own plane removed afterwards.
        Vector<double> projected = qr.Q.TransposeThisAndMultiply(right), line = Vector<double>.Build.Dense(unknowns);
        for (int s = 0; s < rank; s++)
        {
            line += svd.VT.Row(s) * (svd.U.Column(s).DotProduct(projected) / svd.S[s]);
        }
        double Says(Row r) => line[2 * r.Line] + (line[(2 * r.Line) + 1] * r.T / scale) - r.Gap;
        List<double[]> points = [.. stations.Select((s, i) => new[] { input.StationsMm[s][0], input.StationsMm[s][1], at[i].Average(Says) })];
        Plane plane = Planes.LeastSquares(points);
        var heights = stations.Select((s, i) => (s, points[i][2] - plane.At(points[i][0], points[i][1]))).ToDictionary(x => x.s, x => x.Item2);
        List<(string Station, double Spread)> closures = [.. at.Where(g => g.Count() > 1).Select(g => (stations[g.Key], g.Max(Says) - g.Min(Says)))];
        (string Station, double Spread) worst = closures.OrderByDescending(c => c.Spread).ThenBy(c => c.Station, StringComparer.Ordinal).FirstOrDefault();
        return new LineSurveyResult(heights, Planes.Range(points, plane), Planes.MinimumZone(points).HeightMm, worst.Spread,
            closures.Count == 0 ? 0 : Math.Sqrt(closures.Average(c => c.Spread * c.Spread)), worst.Station ?? "");
    }

    private static InputException Open(int open, IReadOnlyList<UnseenShape> unseen, int lines) =>
        new("lines_leave_the_shape_open", "lines", lines, "lines that cross, both diagonals among them",
            $"These lines leave {open} freedom{(open == 1 ? "" : "s")} of the shape unseen. {(unseen.Count == 0
                ? "Some of them do not hang together: lay one that crosses the others." : string.Join(" ", unseen.Select(LineSight.Says)))}")
        {
            Details = { ["open_freedoms"] = open },
        };

    private static List<Row> Rows(LineSurveyInput input, List<string> stations)
    {
        var place = stations.Select((s, i) => (s, i)).ToDictionary(x => x.s, x => x.i);
        if (stations.Find(s => input.StationsMm[s] is not { Length: 2 } xy || !xy.All(double.IsFinite)) is { } misplaced)
        {
            throw new InputException("not_a_place", "stations_mm", misplaced, "x and y in mm", $"The station {misplaced} needs two numbers: x and y in mm.");
        }
        var rows = new List<Row>();
        for (int i = 0; i < input.Lines.Count; i++)
        {
            FeelerLine line = input.Lines[i];
            double[]? first = null;
            foreach (JsonElement[] reading in line.Readings)
            {
                if (reading.Length != 2 || reading[0].ValueKind != JsonValueKind.String || reading[1].ValueKind != JsonValueKind.Number)
                {
                    throw new InputException("not_a_reading", "readings", line.Line, "a station and a gap",
                        $"Each reading of line {line.Line} needs a station and a gap in mm.");
                }
                string name = reading[0].GetString()!;
                if (!place.TryGetValue(name, out int station))
                {
                    throw new InputException("unknown_station", "readings", name, string.Join(", ", stations.Take(60)),
                        $"Line {line.Line} names the station {name}, which has no place.");
                }
                double[] xy = input.StationsMm[name];
                first ??= xy;
                double t = Math.Sqrt(Math.Pow(xy[0] - first[0], 2) + Math.Pow(xy[1] - first[1], 2));
                rows.Add(new Row(station, i, t, Check.Within(reading[1].GetDouble(), 0, MostGapMm, "gap_mm")));
            }
        }
        return rows;
    }

    private const double MostGapMm = 100;
}
