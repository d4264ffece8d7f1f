using System.Text.Json;
using MathNet.Numerics.LinearAlgebra;

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
    /// <summary>
    /// Solves z(station) = alpha + beta t - gap by least squares. Three freedoms are the plane; more than that means the
    /// lines leave the shape open.
    /// </summary>
    /// <exception cref="InputException">An unknown station, or lines that leave the shape open.</exception>
    public static LineSurveyResult Solve(LineSurveyInput input)
    {
        List<string> stations = [.. input.StationsMm.Keys];
        var rows = new List<(int Station, int Line, double T, double Gap)>();
        for (int i = 0; i < input.Lines.Count; i++)
        {
            FeelerLine line = input.Lines[i];
            double[]? first = null;
            foreach (JsonElement[] reading in line.Readings)
            {
                if (reading.Length != 2 || reading[0].ValueKind != JsonValueKind.String || reading[1].ValueKind != JsonValueKind.Number)
                {
                    throw new InputException("not_a_reading", "readings", line.Line, "a station and a gap", $"Each reading of line {line.Line} needs a station and a gap in mm.");
                }
                string name = reading[0].GetString()!;
                int station = stations.IndexOf(name);
                if (station < 0)
                {
                    throw new InputException("unknown_station", "readings", name, string.Join(", ", stations), $"Line {line.Line} names the station {name}, which has no place.");
                }
                double[] place = input.StationsMm[name];
                first ??= place;
                double t = Math.Sqrt(Math.Pow(place[0] - first[0], 2) + Math.Pow(place[1] - first[1], 2));
                rows.Add((station, i, t, Check.NotNegative(reading[1].GetDouble(), "gap_mm")));
            }
        }
        double scale = Math.Max(1e-9, rows.Select(r => r.T).DefaultIfEmpty(0).Max());
        int unknowns = stations.Count + (2 * input.Lines.Count);
        if (rows.Count == 0)
        {
            throw new InputException("lines_leave_the_shape_open", "lines", 0, "six or eight lines", "Lay the straightedge along at least six lines: two edges, two ends and both diagonals.");
        }
        var matrix = Matrix<double>.Build.Dense(rows.Count, unknowns);
        var right = Vector<double>.Build.Dense(rows.Count);
        for (int k = 0; k < rows.Count; k++)
        {
            (int station, int line, double t, double gap) = rows[k];
            matrix[k, station] = 1;
            matrix[k, stations.Count + (2 * line)] = -1;
            matrix[k, stations.Count + (2 * line) + 1] = -t / scale;
            right[k] = -gap;
        }
        var svd = matrix.Svd();
        int rank = svd.S.Count(s => s > 1e-9 * svd.S[0]);
        int open = unknowns - rank - 3;
        if (open > 0)
        {
            throw new InputException("lines_leave_the_shape_open", "lines", input.Lines.Count, "lines that cross, both diagonals among them",
                $"These lines leave {open} freedom{(open == 1 ? "" : "s")} of the shape unseen. Add both diagonals: without them twist cannot be seen.")
            {
                Details = { ["open_freedoms"] = open },
            };
        }
        // The plane is free, so the shortest solution is taken and its own plane removed afterwards.
        var solved = Vector<double>.Build.Dense(unknowns);
        for (int s = 0; s < rank; s++)
        {
            solved += svd.VT.Row(s) * (svd.U.Column(s).DotProduct(right) / svd.S[s]);
        }
        List<double[]> points = [.. stations.Select((s, i) => new[] { input.StationsMm[s][0], input.StationsMm[s][1], solved[i] })];
        Plane plane = Planes.LeastSquares(points);
        var heights = stations.Select((s, i) => (s, points[i][2] - plane.At(points[i][0], points[i][1]))).ToDictionary(x => x.s, x => x.Item2);

        List<(string Station, double Spread)> closures = [.. rows
            .GroupBy(r => r.Station)
            .Where(g => g.Count() > 1)
            .Select(g =>
            {
                double[] says = [.. g.Select(r => solved[stations.Count + (2 * r.Line)] + (solved[stations.Count + (2 * r.Line) + 1] * r.T / scale) - r.Gap)];
                return (stations[g.Key], says.Max() - says.Min());
            })];
        (string Station, double Spread) worst = closures.OrderByDescending(c => c.Spread).ThenBy(c => c.Station, StringComparer.Ordinal).FirstOrDefault();
        return new LineSurveyResult(heights, Planes.Range(points, plane), Planes.MinimumZone(points).HeightMm, worst.Spread,
            closures.Count == 0 ? 0 : Math.Sqrt(closures.Average(c => c.Spread * c.Spread)), worst.Station ?? "");
    }
}
